/**
 * What is wrong: between claims, exactly where they can meet, and between a binding and what its
 * routine does.
 *
 * <p>The auditor asks, for every claim and every state it can be heard in, the same compiled keymap
 * the resolver runs on; advice while choosing a trigger asks the same question for a binding that
 * is not there yet. So advice, audit and behaviour cannot disagree.
 *
 * <p>The policy, clause by clause, is in docs/architecture.md; the tests name the kinds. In short:
 * {@code blocks} where a binding does nothing it says in any of its places, or two paralyse each
 * other; {@code costs} where it works and something that is used, or dangerous to miss, is lost, or
 * it works in some of its places only; {@code note} for the rest. Within a weight the one that
 * loses most comes first ({@code Loss}).
 *
 * <p>Start at {@link foldtwice.conflict.Audit}: {@code Meetings} finds who gets a trigger, {@code
 * Works} whether a routine can do what it is there for, {@code Chains}, {@code Circles}, {@code
 * Twins} and {@code StaleEntries} what their names say.
 */
package foldtwice.conflict;
