/**
 * Kits: a choice of bindings and routines with all they need, as one file for another library.
 * Start at {@link foldtwice.handover.Kit} and {@link foldtwice.handover.Taking}.
 */
package foldtwice.handover;
