/**
 * What leaves the library, and what it was: cheat sheets, the history. Start at {@link
 * foldtwice.desktop.handover.HandOverView}.
 */
package foldtwice.desktop.handover;
