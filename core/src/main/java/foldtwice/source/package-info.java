/**
 * What stands in the source text of a script, found without running it: its calls of the interface,
 * the names in them, where it cannot be read, and the steps it comes to. Start at {@link
 * foldtwice.source.Source} and {@link foldtwice.source.Interface}.
 */
package foldtwice.source;
