/**
 * What a file held that this version does not know. Every record that is kept carries it, so that a
 * round trip through an older version loses nothing.
 */
package foldtwice.extras;
