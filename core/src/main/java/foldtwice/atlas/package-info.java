/**
 * Who owns which key: a picture of the keyboard as data, in one place or in all, with modifiers
 * held and strokes made before. Read from the compiled keymap the resolver runs on. Start at {@link
 * foldtwice.atlas.Atlas}.
 */
package foldtwice.atlas;
