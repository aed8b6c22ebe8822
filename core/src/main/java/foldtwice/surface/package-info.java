/**
 * What else than a keyboard sets things off: devices with keys and dials of their own, toolbars,
 * radial menus. Start at {@link foldtwice.surface.Surface}.
 */
package foldtwice.surface;
