package com.sun.glass.ui.wide;

import com.sun.glass.ui.*;

/**
 * -Dglass.platform=Wide -Dwide.size=2560x1440 -Dwide.scale=2 : headless glass with a settable
 * screen (test scope, class path only).
 */
public final class WidePlatformFactory extends com.sun.glass.ui.headless.HeadlessPlatformFactory {
  @Override
  public Application createApplication() {
    return new com.sun.glass.ui.headless.WideApplication();
  }

  @Override
  public com.sun.glass.ui.delegate.ClipboardDelegate createClipboardDelegate() {
    var base = super.createClipboardDelegate();
    return n ->
        Clipboard.DND.equals(n) ? new com.sun.glass.ui.headless.WideDnd() : base.createClipboard(n);
  }
}
