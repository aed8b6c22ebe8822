/**
 * What can be said of a macro without running it: what the programs offer ({@link
 * foldtwice.shape.Facts}), what a macro changes ({@link foldtwice.shape.Reading}), what is wrong
 * with it ({@link foldtwice.shape.Checker}), how two differ ({@link foldtwice.shape.Comparison}),
 * and edits of its steps ({@link foldtwice.shape.Outline}).
 */
package foldtwice.shape;
