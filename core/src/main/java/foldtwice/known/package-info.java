/**
 * What is known of programs: their commands, dialogs, settings and adjustable values, and what
 * their commands may change. Start at {@link foldtwice.known.Facts} and {@link
 * foldtwice.known.Known}.
 */
package foldtwice.known;
