/** Renders the pictures of the documentation without a display. */
package foldtwice.desktop.pictures;
