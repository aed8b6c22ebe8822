/**
 * Series of bindings, planned before they are made and changed as one. Start at {@link
 * foldtwice.family.Series}.
 */
package foldtwice.family;
