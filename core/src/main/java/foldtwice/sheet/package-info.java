/**
 * Cheat sheets: what is bound, on paper. Start at {@link foldtwice.sheet.Sheet}.
 *
 * <p>{@link foldtwice.sheet.Contents} says what stands on a sheet, a template lays it out as one
 * XHTML document with pictures in SVG, and that is printed as PDF. Lengths are in millimetres.
 */
package foldtwice.sheet;
