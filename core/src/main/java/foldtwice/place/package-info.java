/**
 * Where a trigger means something: applications with their tree of contexts, native commands and
 * rules of acceptance, and the stations they run on. Start at {@link foldtwice.place.Application}
 * and {@link foldtwice.place.Place}.
 */
package foldtwice.place;
