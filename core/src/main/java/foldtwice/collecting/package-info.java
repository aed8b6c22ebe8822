/**
 * Takes routines up from files and texts of others. Everything that comes in is hostile until it
 * has been checked, and runs only when a person has looked through it. Start at {@link
 * foldtwice.collecting.Collecting}.
 */
package foldtwice.collecting;
