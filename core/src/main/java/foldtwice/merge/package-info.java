/**
 * Two libraries that came from one, made one again; and what is different between two. Start at
 * {@link foldtwice.merge.Merging} and {@link foldtwice.merge.Differing}.
 *
 * <p>Both go by meaning: the parts of libraries are known by their ids, whatever their order, and
 * the fields of each go by themselves, those this version does not know among them. They work on
 * the document a library is written as, so that nothing is left out.
 */
package foldtwice.merge;
