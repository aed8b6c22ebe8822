/** The view of this computer's real programs: read, run, fired by their keys. */
package foldtwice.desktop.live;
