/**
 * The library as one immutable value, the edits that turn it into the next one, and undo over them.
 * Nothing else in the product holds truth. Keeping it on disk is the room next door, {@link
 * foldtwice.library.file}. Start at {@link foldtwice.library.Library} and {@link
 * foldtwice.library.History}.
 */
package foldtwice.library;
