/**
 * Keys of bindings caught on this computer. Catching is a process of its own ({@link
 * foldtwice.live.listen.Listener}): it lets everything go when its parent is silent for a second,
 * when the emergency stop is pressed, and, as its connection closes with it, however it ends. What
 * a key means is decided here, by the same resolver as everywhere.
 */
package foldtwice.live.listen;
