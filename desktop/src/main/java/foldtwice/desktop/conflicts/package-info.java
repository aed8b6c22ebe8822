/**
 * Conflicts: what is wrong, the worst first, played in place, with remedies and what each causes;
 * what is accepted, and why; what breaks where on all stations. Start at {@link
 * foldtwice.desktop.conflicts.ConflictsView}.
 */
package foldtwice.desktop.conflicts;
