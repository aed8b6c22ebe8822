/** What was fired last: the view Lately. Start at {@link LatelyView}. */
package foldtwice.desktop.lately;
