/**
 * What a hand does: keys by position and by character, strokes, chords, sequences, their notations,
 * and the keyboard layouts that link position and character. The lowest room of the house; it knows
 * nothing of applications or bindings. Start at {@link foldtwice.trigger.Trigger}.
 */
package foldtwice.trigger;
