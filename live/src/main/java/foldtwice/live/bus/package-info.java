/**
 * The accessibility interface of a desktop (freedesktop AT-SPI2) over D-Bus: what programs are
 * running, what their windows hold, and what can be done with each part. Every call has a limit of
 * its own; nothing here may be called on an interface thread.
 */
package foldtwice.live.bus;
