/**
 * Vasculum, a stand-in for a specimen register: a grid of records with cells to select and flag.
 */
package foldtwice.standin.vasculum;
