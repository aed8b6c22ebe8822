/**
 * A screen for tests: headless glass with one focus, drags that work and a size that can be set. On
 * the test class path only; {@code -Dglass.platform=Wide -Dwide.size=1280x800 -Dwide.scale=1}.
 */
package com.sun.glass.ui.wide;
