/** Copystand, a stand-in for adjusting and sending out photographs of sheets. */
package foldtwice.standin.copystand;
