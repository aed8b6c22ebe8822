/**
 * Muniment, a stand-in for the console of an archive database. The database is a real one, embedded
 * and in memory: what a statement means here is what it means there.
 */
package foldtwice.standin.muniment;
