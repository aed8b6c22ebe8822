/** The window around the views: strip, tabs, foot, look-up. */
package foldtwice.desktop.frame;
