/**
 * Ways to settle a conflict, each with what it would solve and what it would cause.
 *
 * <p>Nothing is guessed: every way is made on a copy of the library, and the copy is audited. Start
 * at {@link foldtwice.remedy.Remedies}; what can be tried for which kind of conflict is in {@code
 * Ideas}.
 */
package foldtwice.remedy;
