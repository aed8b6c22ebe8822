/** What it costs and what it saves: the view Payback. Start at {@link PaybackView}. */
package foldtwice.desktop.payback;
