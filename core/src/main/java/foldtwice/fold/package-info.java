/**
 * Folds what repeats: loops out of a recording ({@link foldtwice.fold.LoopFolder}), one routine
 * with parameters out of siblings ({@link foldtwice.fold.Siblings}), and back again.
 */
package foldtwice.fold;
