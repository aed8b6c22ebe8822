/** How much there is of everything. Start at {@link CountsView}. */
package foldtwice.desktop.counts;
