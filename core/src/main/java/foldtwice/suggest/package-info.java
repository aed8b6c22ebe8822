/**
 * Which free trigger would suit a binding, and why. Start at {@link foldtwice.suggest.Suggestions}.
 *
 * <p>The score is a sum of costs; the smallest is the best. With d the way a finger has to go from
 * its home key in key widths of 19.05 mm, per stroke:
 *
 * <ol>
 *   <li><b>Reach</b>: 1 + d, and 2 more on the digit row, 3 more for keys that are not letters or
 *       digits.
 *   <li><b>Modifiers</b>: Ctrl 1.5, Shift 1.2, Alt 1.8, AltGr 2.5, Logo 3 each, so that one more
 *       never costs less; 1 more for Ctrl and Alt with a key of the left half, which one hand has
 *       to hold.
 *   <li><b>Further strokes</b> of a sequence: 2 each, for the time between them.
 *   <li><b>Initials</b>: minus 4 when the strokes spell the routine's initials, minus 2.5 when they
 *       are other letters of its name or the key is its first letter, minus 1 when it is the first
 *       letter of a later word.
 *   <li><b>Keys of devices</b> that are plugged in on every station: 5 for the way of the hand, and
 *       3 more when the page has to be turned.
 *   <li><b>The same elsewhere</b>: minus 2 when the same trigger fires the same routine in another
 *       application, plus 1 when it fires another one there.
 *   <li><b>Neighbours</b>: plus 2 when a key beside it, with the same modifiers, saves, deletes or
 *       prints here.
 * </ol>
 *
 * Home positions and costs are common practice, no source; the order they give is what is tested:
 * never a trigger that is taken, never one a rule refuses, and a further modifier never costs less.
 */
package foldtwice.suggest;
