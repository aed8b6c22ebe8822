/** Small pieces all views are made of: key caps, marks, rows, the theme. */
package foldtwice.desktop.parts;
