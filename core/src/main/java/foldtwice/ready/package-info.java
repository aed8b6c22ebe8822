/**
 * What must still happen before a binding works on a computer, and what its programs know of
 * meanwhile. Start at {@link foldtwice.ready.Outlook} and {@link foldtwice.ready.Setup}.
 */
package foldtwice.ready;
