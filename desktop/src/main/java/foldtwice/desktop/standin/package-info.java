/** Stand-ins drawn as windows that mouse and keyboard can work. */
package foldtwice.desktop.standin;
