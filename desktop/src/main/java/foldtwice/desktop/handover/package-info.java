/** What leaves the library: sheets on paper. */
package foldtwice.desktop.handover;
