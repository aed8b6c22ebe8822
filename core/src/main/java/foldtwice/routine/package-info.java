/**
 * What can be fired: routines with parameters, the steps of macros, expressions and values with
 * units. Knows nothing of triggers' owners or of running. Start at {@link
 * foldtwice.routine.Routine} and {@link foldtwice.routine.Step}.
 */
package foldtwice.routine;
