/**
 * Places: applications with their contexts and commands, stations with their devices; what can be
 * bound where, and how it gets in. Start at {@link foldtwice.desktop.places.PlacesView}.
 */
package foldtwice.desktop.places;
