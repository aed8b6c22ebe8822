/**
 * Real programs behind the ports of core: read, worked and set off on this computer. On Linux with
 * X11; elsewhere it says that it is not there yet.
 */
package foldtwice.live;
