/**
 * Triggers assigned so that a week costs least. Start at {@link foldtwice.plan.Planning}.
 *
 * <p>What counts, all in seconds a week:
 *
 * <ol>
 *   <li><b>Effort</b>: the score of {@link foldtwice.suggest} for the trigger, a unit of which is
 *       {@value foldtwice.plan.Planning#UNIT} s (so that holding Ctrl, 1.5 units, is the 0.2 s of a
 *       key), times the uses. Initials, the same key elsewhere and dangerous neighbours are in that
 *       score: advice and plan cannot disagree.
 *   <li><b>Learning anew</b>: what is moved is looked for a while: {@value
 *       foldtwice.plan.Planning#LEARNING} s a week each (a minute, spread over half a year; common
 *       practice, no source).
 *   <li><b>Commands of programs</b> without their keys: choosing them from the menu by the
 *       keystroke-level model, as often as they are used.
 * </ol>
 *
 * <p>What must hold: every trigger is free on every station when all that may move is taken away;
 * no two planned triggers are pressed alike, nor begins one with the other, wherever both are
 * heard; what is locked stays; at most so many are moved. A family is one decision: all of it moves
 * to another pattern of its kind, or nothing does. What an arrow key sets off stays, which is
 * remembered by where it points. Commands of programs lose their keys only where that is wished and
 * they are in a menu. A plan is proven by a full audit of every station: what brings a conflict
 * that was not there before is a constraint from then on.
 */
package foldtwice.plan;
