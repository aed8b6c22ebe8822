/**
 * The X display: which window is in front, keys sent as if pressed (the XTEST extension), keys
 * caught before a program sees them, the screen as a picture. One {@link
 * foldtwice.live.display.Display} is one connection; its methods may be called from any thread, one
 * at a time.
 */
package foldtwice.live.display;
