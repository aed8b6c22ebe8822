/** The Try view: a stand-in, a keyboard, and what fired and why. */
package foldtwice.desktop.trying;
