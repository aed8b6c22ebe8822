/**
 * What the engine's values are called in sentences, for the command line and the interface alike.
 * All texts stand in the resource bundle {@code Words}. Start at {@link foldtwice.words.Words}.
 */
package foldtwice.words;
