/** Trackway, a stand-in for a field map: stops, the legs between them, plots inside sites. */
package foldtwice.standin.trackway;
