package com.sun.glass.ui.headless;

import com.sun.glass.ui.*;
import java.util.*;

public final class WideDnd extends SystemClipboard {
  static HashMap<String, Object> data;
  static int actions, accepted;

  public WideDnd() {
    super(Clipboard.DND);
  }

  @Override
  protected boolean isOwner() {
    return false;
  }

  @Override
  protected void pushToSystem(HashMap<String, Object> d, int a) {
    data = new HashMap<>(d);
    actions = a;
  }

  @Override
  protected void pushTargetActionToSystem(int a) {}

  @Override
  protected Object popFromSystem(String m) {
    var o = data == null ? null : data.get(m);
    return o instanceof DelayedCallback c ? c.providedData() : o;
  }

  @Override
  protected int supportedSourceActionsFromSystem() {
    return actions;
  }

  @Override
  protected String[] mimesFromSystem() {
    return data == null ? new String[0] : data.keySet().toArray(String[]::new);
  }
}
