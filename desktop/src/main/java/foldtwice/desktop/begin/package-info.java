/**
 * How one begins: a new library with this computer as its first station, or one there is. Start at
 * {@link foldtwice.desktop.begin.BeginPane}.
 */
package foldtwice.desktop.begin;
