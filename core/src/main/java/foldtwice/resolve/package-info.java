/**
 * What fires when keys are pressed in a place, and why.
 *
 * <p>The policy, clause by clause; the tests name the clauses.
 *
 * <ol>
 *   <li><b>Layers.</b> A press is offered to: the desktop's reserved triggers; system-wide
 *       bindings; the contexts of the application in front, from the innermost outwards, then the
 *       application as a whole; text entry. The first that takes it ends the matter.
 *   <li><b>Yours before native.</b> In one layer a binding goes before a native command.
 *   <li><b>No order among yours.</b> Two bindings on one trigger in one layer are a double claim:
 *       neither fires, whatever the order they were made in.
 *   <li><b>Waiting.</b> While what was pressed is a proper prefix of a longer claim, the resolver
 *       waits, at most {@link foldtwice.resolve.Resolver#TIME_LIMIT_MILLIS}.
 *   <li><b>Cut short.</b> A shorter claim in the same layer as a longer one, or in a layer before
 *       it, fires at once; the longer claim is cut short and never fires there.
 *   <li><b>Held back.</b> A shorter claim in a layer after that of a longer one is held back while
 *       the longer may still come, and fires when the time is up or the next stroke does not fit.
 *   <li><b>Strokes that lead nowhere.</b> When a sequence breaks off, the longest claim held back
 *       on its way fires and the strokes after it are offered anew; without one, the first stroke
 *       goes on to the application and the others are offered anew.
 *   <li><b>Typing.</b> Where a context takes text, a trigger whose first stroke types a character
 *       is heard only if it is claimed in that very context: outer contexts and system-wide
 *       bindings let it pass.
 *   <li><b>Characters and positions.</b> A trigger by character is the press that makes the
 *       character on the station's layout, with the Shift or AltGr it takes; one the layout cannot
 *       make is never heard.
 *   <li><b>Held keys.</b> A held key fires as it goes down: it never waits, and whatever longer
 *       begins with its stroke is cut short in every layer.
 *   <li><b>What is no key.</b> A key of a pad, a dial, a gesture, a button, a choice, and a key
 *       going up, are whole at once: they pass the layers like a single stroke and leave a sequence
 *       that waits alone.
 *   <li><b>Refused.</b> A binding whose trigger a rule of its application refuses, by the way it
 *       comes in, is never heard.
 *   <li><b>The pointer's place.</b> While the pointer is over a context that is the pointer's, that
 *       one and those around it are asked before the contexts of the focus. Text is typed where the
 *       focus is.
 *   <li><b>Modifiers.</b> A trigger is pressed with the modifiers that have its part on the station
 *       ({@link foldtwice.trigger.Platform}); where some held together count as another, the press
 *       is that other one, and types what it types.
 *   <li><b>The desktop's strokes.</b> No desktop knows of sequences: a stroke it keeps is its own
 *       in the middle of one too. What waits goes on waiting, and a sequence with such a stroke
 *       after the first never completes. System-wide bindings are followed here, with the
 *       sequences: clauses 4 to 6 hold for them.
 *   <li><b>At a start</b> nobody stands in another's way: all that is bound to the start of the
 *       program runs, system-wide bindings first, then those of the application as a whole, then
 *       those of the contexts it starts in, inwards; those of one place in the order of their ids.
 * </ol>
 *
 * <p>{@link foldtwice.resolve.Keymap} is the compiled table, {@link foldtwice.resolve.Resolver} the
 * state machine over it. The auditor reads the very same table.
 */
package foldtwice.resolve;
