/**
 * What is wrong between claims, exactly where they can meet.
 *
 * <p>The auditor asks, for every binding and every state it can be heard in, the same compiled
 * keymap the resolver runs on; advice while choosing a trigger asks the same question for a binding
 * that is not there yet. So advice, audit and behaviour cannot disagree.
 *
 * <p>Weights: {@code blocks} where a binding does nothing it says in any of its places, or two
 * bindings paralyse each other; {@code costs} where it works and something that is used, or
 * dangerous to miss, is lost, or it works in some of its places only; {@code note} for the rest.
 * Start at {@link foldtwice.conflict.Auditor}.
 */
package foldtwice.conflict;
