/**
 * What every view has in common: the contract ({@link foldtwice.desktop.view.View}), actions that
 * are declared once ({@link foldtwice.desktop.view.Act}), where one can go ({@link
 * foldtwice.desktop.view.Target}), and the application's own keys ({@link
 * foldtwice.desktop.view.OwnKeys}). The list of views is the frame's.
 */
package foldtwice.desktop.view;
