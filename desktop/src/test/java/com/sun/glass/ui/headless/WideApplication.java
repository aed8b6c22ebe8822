package com.sun.glass.ui.headless;

import com.sun.glass.events.*;
import com.sun.glass.ui.*;
import java.nio.*;
import java.util.*;

public final class WideApplication extends HeadlessApplication {
  static final String[] WH = System.getProperty("wide.size", "1280x800").split("x");
  static final int W = Integer.parseInt(WH[0]), H = Integer.parseInt(WH[1]);
  static final float S = Float.parseFloat(System.getProperty("wide.scale", "1"));
  private Screen[] screens;
  private HeadlessRobot robot;
  private final HeadlessWindowManager wm = new HeadlessWindowManager();

  @Override
  protected Screen[] staticScreen_getScreens() {
    if (screens == null)
      screens =
          new Screen[] {
            new Screen(0, 32, 0, 0, W, H, 0, 0, W, H, 0, 0, W, H, 96, 96, 1f, 1f, S, S)
          };
    return screens;
  }

  @Override
  public Window createWindow(Window owner, Screen s, int mask) {
    var w = new WideWindow(wm, owner, s, mask);
    if (robot != null) {
      robot.windowAdded(w);
      w.setRobot(robot);
    }
    return w;
  }

  @Override
  public View createView() {
    return new WideView();
  }

  @Override
  public GlassRobot createRobot() {
    return robot = new HeadlessRobot(this);
  }

  @Override
  public Cursor createCursor(int x, int y, Pixels p) {
    return new HeadlessCursor(0);
  }

  @Override
  protected int _getKeyCodeForChar(char c, int hint) { // US layout, as HeadlessRobot
    if (c >= 'a' && c <= 'z') return c - 32;
    return (c >= 'A' && c <= 'Z') || (c >= '0' && c <= '9') || ",-./;=[\\] ".indexOf(c) >= 0
        ? c
        : 0;
  }
}

final class WideWindow extends HeadlessWindow {
  private static final boolean UNPAINTED = Boolean.getBoolean("wide.unpainted");
  int[] px = new int[0];
  int pw, ph;
  private boolean shown;

  WideWindow(HeadlessWindowManager m, Window owner, Screen s, int mask) {
    super(m, owner, s, ByteBuffer.allocate(0), mask);
  }

  @Override
  void blit(Pixels p) {
    pw = p.getWidth();
    ph = p.getHeight();
    px = new int[pw * ph];
    ((IntBuffer) p.getBuffer()).duplicate().rewind().get(px);
  }

  @Override
  public boolean isMinimized() { // nobody looks: the painter leaves such a window alone
    return UNPAINTED || super.isMinimized();
  }

  @Override
  void clearRect(int x, int w, int y, int h) {}

  @Override
  protected boolean _setVisible(long ptr, boolean v) {
    shown = v;
    if (!v) handBack();
    return super._setVisible(ptr, v);
  }

  @Override
  protected boolean _close(long ptr) {
    shown = false;
    handBack();
    return super._close(ptr);
  }

  @Override
  protected boolean _requestFocus(long ptr, int ev) { // only one window has the focus
    for (var o : List.copyOf(Window.getWindows()))
      if (o != this && o.isFocused()) ((WideWindow) o).notifyFocus(WindowEvent.FOCUS_LOST);
    return super._requestFocus(ptr, ev);
  }

  private void handBack() {
    if (!isFocused()) return;
    notifyFocus(WindowEvent.FOCUS_LOST);
    var l =
        Window.getWindows().reversed().stream()
            .map(o -> (WideWindow) o)
            .filter(
                o ->
                    o != this
                        && o.shown
                        && !o.isClosed()
                        && o.isEnabled()
                        && (o.getStyleMask() & Window.POPUP) == 0);
    l.findFirst().ifPresent(o -> o.notifyFocus(WindowEvent.FOCUS_GAINED));
  }

  @Override
  public javafx.scene.paint.Color getColor(int x, int y) {
    int[] d = new int[1];
    getScreenCapture(x, y, 1, 1, d, false);
    return javafx.scene.paint.Color.rgb(d[0] >> 16 & 255, d[0] >> 8 & 255, d[0] & 255);
  }

  /** All windows, bottom first; x, y, w, h in device pixels. */
  @Override
  public void getScreenCapture(int x, int y, int w, int h, int[] out, boolean fit) {
    Arrays.fill(out, 0xff000000);
    for (var win : Window.getWindows()) {
      var v = (WideWindow) win;
      if (!v.shown || v.isMinimized() || v.isClosed()) continue;
      int ox = Math.round(v.getX() * WideApplication.S) - x,
          oy = Math.round(v.getY() * WideApplication.S) - y;
      for (int r = Math.max(0, -oy); r < v.ph && r + oy < h; r++)
        for (int c = Math.max(0, -ox); c < v.pw && c + ox < w; c++) {
          int s = v.px[r * v.pw + c],
              a = s >>> 24,
              i = (r + oy) * w + c + ox,
              d = out[i],
              t = 255 - a; // premultiplied
          out[i] =
              a == 255
                  ? s
                  : 0xff000000
                      | ((s >> 16 & 255) + (d >> 16 & 255) * t / 255) << 16
                      | ((s >> 8 & 255) + (d >> 8 & 255) * t / 255) << 8
                      | ((s & 255) + (d & 255) * t / 255);
        }
    }
  }
}

final class WideView extends HeadlessView {
  static int keyMods;
  static final Set<Integer> down = new LinkedHashSet<>();
  static WideView dragOver, pressView;

  static int bit(int b) {
    return switch (b) {
      case 212 -> 32;
      case 213 -> 64;
      case 214 -> 128;
      case 215 -> 256;
      case 216 -> 512;
      default -> 0;
    };
  }

  @Override
  protected void notifyKey(int t, int code, char[] ch, int mods) {
    keyMods = mods;
    super.notifyKey(t, code, t == KeyEvent.RELEASE ? new char[0] : ch, mods);
  }

  @Override
  protected void notifyMouse(
      int t, int b, int x, int y, int ax, int ay, int mods, boolean popup, boolean synth) {
    if (t == MouseEvent.DOWN) {
      down.add(b);
      pressView = this;
    } else if (t == MouseEvent.UP) down.remove(b);
    int m = keyMods;
    for (int d : down) m |= bit(d);
    if (WideDnd.data != null) {
      drag(t, x, y, ax, ay);
      return;
    }
    var v = this;
    if ((t == MouseEvent.DRAG || t == MouseEvent.UP)
        && pressView != null
        && pressView != this
        && !pressView.isClosed()
        && pressView.getWindow() != null) { // implicit grab
      v = pressView;
      x = ax - v.getWindow().getX();
      y = ay - v.getWindow().getY();
    }
    v.deliver(
        t,
        b,
        x,
        y,
        ax,
        ay,
        m,
        popup && b == MouseEvent.BUTTON_RIGHT && t == MouseEvent.DOWN,
        false);
    if (t == MouseEvent.UP && down.isEmpty()) pressView = null;
  }

  void deliver(int t, int b, int x, int y, int ax, int ay, int m, boolean p, boolean s) {
    super.notifyMouse(t, b, x, y, ax, ay, m, p, s);
  }

  private void drag(int t, int x, int y, int ax, int ay) {
    int want = (keyMods & 4) != 0 ? Clipboard.ACTION_COPY : WideDnd.actions & Clipboard.ACTION_MOVE;
    if (want == 0) want = WideDnd.actions & -WideDnd.actions;
    if (t == MouseEvent.DRAG || t == MouseEvent.UP) {
      if (dragOver != this) {
        if (dragOver != null && !dragOver.isClosed()) dragOver.notifyDragLeave();
        dragOver = this;
        WideDnd.accepted = notifyDragEnter(x, y, ax, ay, want);
      }
      WideDnd.accepted = notifyDragOver(x, y, ax, ay, want);
    }
    if (t == MouseEvent.UP && down.isEmpty()) {
      int done = 0;
      if (WideDnd.accepted != 0) done = notifyDragDrop(x, y, ax, ay, want);
      else notifyDragLeave();
      var src = pressView != null && !pressView.isClosed() ? pressView : this;
      dragOver = null;
      pressView = null;
      src.notifyDragEnd(done);
      WideDnd.data = null;
    }
  }
}
