/** The Bind view: the register of bindings and the trifold that edits one. */
package foldtwice.desktop.bind;
