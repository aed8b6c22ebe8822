/**
 * Processes of our own for work that others have written, such as scripts and statements: with a
 * limit of memory, without the environment, and ended from outside when they do not end themselves.
 * Start at {@link foldtwice.cage.Cage}.
 */
package foldtwice.cage;
