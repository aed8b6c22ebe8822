/**
 * Checks of presses: what is expected of them, held against what really comes of them on a
 * simulated computer. Start at {@link foldtwice.check.Checking}.
 */
package foldtwice.check;
