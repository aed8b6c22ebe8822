/** The routines of the library, and the steps of the chosen one. */
package foldtwice.desktop.collect;
