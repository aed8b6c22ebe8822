/**
 * Desk, a stand-in for the computer itself: windows and which is in front, a launcher, a clipboard,
 * pictures of the screen, a folder, a unit converter and a notepad.
 */
package foldtwice.standin.desk;
