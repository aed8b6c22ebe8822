/** What fits what is selected in a program right now. Start at {@link foldtwice.fit.Fits}. */
package foldtwice.fit;
