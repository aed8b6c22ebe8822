package foldtwice.live.display;

import com.sun.jna.Callback;
import com.sun.jna.Library;
import com.sun.jna.Native;
import com.sun.jna.NativeLong;
import com.sun.jna.Pointer;
import com.sun.jna.platform.unix.X11;
import com.sun.jna.ptr.IntByReference;
import com.sun.jna.ptr.NativeLongByReference;
import com.sun.jna.ptr.PointerByReference;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Keysym;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Press;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Predicate;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** A connection to the X display of this computer. */
public final class Display implements AutoCloseable {

  static final X11 X = loaded();
  private static final Logger LOG = LoggerFactory.getLogger(Display.class);

  /** The connections, by their addresses, of which a request was refused since it was asked. */
  private static final Set<Long> REFUSED = ConcurrentHashMap.newKeySet();

  private static final X11.XErrorHandler TELLS =
      (display, event) -> {
        REFUSED.add(Pointer.nativeValue(display.getPointer()));
        return 0;
      };

  /** What the library of the display has since its version 1.7. */
  interface Leaving extends Library {
    void XSetIOErrorExitHandler(X11.Display display, Gone then, Pointer none);

    void XSetIOErrorHandler(Broken then);
  }

  /** Called first when a display went away. */
  interface Broken extends Callback {
    int is(Pointer display);
  }

  /** Called then, instead of ending the process. */
  interface Gone extends Callback {
    void is(Pointer display, Pointer none);
  }

  /** Without one that returns the process ends before {@link Gone} is called. */
  private static final Broken RETURNS = display -> 0;

  private static final Leaving LEAVING = X == null ? null : Native.load("X11", Leaving.class);

  private static X11 loaded() {
    try {
      return X11.INSTANCE;
    } catch (UnsatisfiedLinkError | NoClassDefFoundError e) {
      return null; // there is no X on this computer: open() says so
    }
  }

  private final X11.Display display;
  private final X11.Window root;
  private boolean closed;

  /** The display went away: nothing is asked of it any more. */
  private volatile boolean gone;

  /** Kept for as long as the display's library may call it. */
  private final Gone goes = (of, none) -> gone = true;

  private Display(X11.Display display) {
    this.display = display;
    this.root = X.XDefaultRootWindow(display);
    try {
      LEAVING.XSetIOErrorHandler(RETURNS);
      LEAVING.XSetIOErrorExitHandler(display, goes, Pointer.NULL);
    } catch (UnsatisfiedLinkError e) {
      LOG.warn("this process ends when its display does: {}", e.getMessage());
    }
  }

  /** True when the display went away. */
  public boolean isGone() {
    return gone;
  }

  /** True when nothing can be asked of it. */
  private boolean isOver() {
    return closed || gone;
  }

  /**
   * The display of this name; that of the environment where there is none.
   *
   * @throws DisplayException when there is none
   */
  public static Display open(Optional<String> name) throws DisplayException {
    if (X == null) {
      throw new DisplayException("the library of the X display is not installed here");
    }
    X.XSetErrorHandler(TELLS);
    X11.Display display = X.XOpenDisplay(name.orElse(null));
    if (display == null) {
      throw new DisplayException(
          "no X display"
              + name.or(() -> Optional.ofNullable(System.getenv("DISPLAY")))
                  .map(n -> " " + n)
                  .orElse(""));
    }
    return new Display(display);
  }

  X11.Display handle() {
    return display;
  }

  X11.Window root() {
    return root;
  }

  /**
   * A window.
   *
   * @param process the number of its program's process; 0 when it tells none
   */
  public record Window(long id, long process, String title) {}

  /** True when a window manager is there, which says what is in front. */
  public synchronized boolean isManaged() {
    return !isOver() && !longs(root, "_NET_SUPPORTING_WM_CHECK", X11.XA_WINDOW).isEmpty();
  }

  /** The window that has the keys, as the window manager says. */
  public synchronized Optional<Window> front() {
    return isOver() ? Optional.empty() : windowsOf("_NET_ACTIVE_WINDOW").stream().findFirst();
  }

  /** All windows the window manager knows. */
  public synchronized List<Window> windows() {
    return isOver() ? List.of() : windowsOf("_NET_CLIENT_LIST");
  }

  private List<Window> windowsOf(String property) {
    List<Window> windows = new ArrayList<>();
    for (long id : longs(root, property, X11.XA_WINDOW)) {
      if (id != 0) {
        X11.Window w = new X11.Window(id);
        List<Long> process = longs(w, "_NET_WM_PID", X11.XA_CARDINAL);
        windows.add(new Window(id, process.isEmpty() ? 0 : process.getFirst(), title(w)));
      }
    }
    return windows;
  }

  private String title(X11.Window w) {
    return property(w, "_NET_WM_NAME", new X11.Atom(0))
        .map(b -> new String(b, StandardCharsets.UTF_8))
        .orElse("");
  }

  private List<Long> longs(X11.Window of, String name, X11.Atom type) {
    List<Long> all = new ArrayList<>();
    property(of, name, type)
        .ifPresent(
            b -> {
              for (int i = 0; i + 8 <= b.length; i += 8) {
                long n = 0;
                for (int k = 7; k >= 0; k--) {
                  n = (n << 8) | (b[i + k] & 0xff);
                }
                all.add(n);
              }
            });
    return all;
  }

  /** A property as it lies in memory; 32-bit items are longs there. */
  private Optional<byte[]> property(X11.Window of, String name, X11.Atom type) {
    X11.Atom atom = X.XInternAtom(display, name, false); // true comes out as -1, which X refuses
    if (atom == null) {
      return Optional.empty();
    }
    IntByReference format = new IntByReference();
    NativeLongByReference items = new NativeLongByReference();
    PointerByReference value = new PointerByReference();
    wasRefused();
    X.XGetWindowProperty(
        display,
        of,
        atom,
        new NativeLong(0),
        new NativeLong(4096),
        false,
        type,
        new X11.AtomByReference(),
        format,
        items,
        new NativeLongByReference(),
        value);
    Pointer at = value.getValue();
    if (wasRefused() || at == null) {
      return Optional.empty();
    }
    int width = format.getValue() == 32 ? NativeLong.SIZE : format.getValue() / 8;
    byte[] bytes = at.getByteArray(0, Math.toIntExact(items.getValue().longValue()) * width);
    X.XFree(at);
    return Optional.of(bytes);
  }

  /** Asks the window manager to bring a window to the front. */
  public synchronized void raise(Window window) {
    if (isOver()) {
      return;
    }
    X11.XEvent event = new X11.XEvent();
    event.setType(X11.XClientMessageEvent.class);
    event.xclient.type = X11.ClientMessage;
    event.xclient.window = new X11.Window(window.id());
    event.xclient.message_type = X.XInternAtom(display, "_NET_ACTIVE_WINDOW", false);
    event.xclient.format = 32;
    event.xclient.data.setType(NativeLong[].class);
    event.xclient.data.l[0] = new NativeLong(2); // as a pager does
    X.XSendEvent(
        display,
        root,
        0,
        new NativeLong(X11.SubstructureNotifyMask | X11.SubstructureRedirectMask),
        event);
    X.XFlush(display);
  }

  /** How a key is pressed that makes this, with these held, as the keyboard is now. */
  public synchronized Optional<Press> making(Keysym keysym, Modifiers held) {
    X11.KeySym wanted = X.XStringToKeysym(keysym.name());
    if (isOver() || wanted == null || wanted.longValue() == 0) {
      return Optional.empty();
    }
    byte code = X.XKeysymToKeycode(display, wanted);
    for (KeyCode key : KeyCode.values()) {
      if (code != 0 && key.xkb() == (code & 0xff)) {
        if (wanted.equals(X.XKeycodeToKeysym(display, code, 0))) {
          return Optional.of(new Press(key, held));
        }
        return wanted.equals(X.XKeycodeToKeysym(display, code, 1))
            ? Optional.of(new Press(key, held.with(Modifier.SHIFT)))
            : Optional.empty();
      }
    }
    return Optional.empty();
  }

  /** The modifiers that are down. */
  public synchronized Modifiers held() {
    Modifiers held = Modifiers.NONE;
    for (KeyCode code : down()) {
      held = code.modifier().map(held::with).orElse(held);
    }
    return held;
  }

  /** The keys that are down. */
  public synchronized Set<KeyCode> down() {
    byte[] keys = new byte[32];
    if (!isOver()) {
      X.XQueryKeymap(display, keys);
    }
    Set<KeyCode> down = EnumSet.noneOf(KeyCode.class);
    for (KeyCode code : KeyCode.values()) {
      int n = code.xkb();
      if (n > 0 && n < 256 && (keys[n / 8] >> (n % 8) & 1) == 1) {
        down.add(code);
      }
    }
    return down;
  }

  /** Lets modifiers that are down come up, so that what is sent then is sent without them. */
  public synchronized void release() {
    for (KeyCode code : down()) {
      if (code.isModifier()) {
        send(code, false);
      }
    }
    if (!isOver()) {
      X.XFlush(display);
    }
  }

  /**
   * Presses a key and lets it come up, with these modifiers held and no others: those that are down
   * already stay so, others come up.
   */
  public synchronized void strike(Press press) {
    Modifiers there = Modifiers.NONE;
    for (KeyCode code : down()) {
      Optional<Modifier> modifier = code.modifier();
      if (modifier.filter(press.held().list()::contains).isPresent()) {
        there = there.with(modifier.get());
      } else if (modifier.isPresent()) {
        send(code, false);
      }
    }
    List<KeyCode> held =
        press.held().list().stream()
            .filter(Predicate.not(there.list()::contains))
            .map(Display::key)
            .toList();
    held.forEach(k -> send(k, true));
    send(press.code(), true);
    send(press.code(), false);
    held.reversed().forEach(k -> send(k, false));
    sync();
  }

  /** A key goes down, or comes up. */
  public synchronized void key(KeyCode code, boolean down) {
    send(code, down);
    sync();
  }

  private void send(KeyCode code, boolean down) {
    if (isOver()) {
      return;
    }
    X11.XTest.INSTANCE.XTestFakeKeyEvent(display, code.xkb(), down, new NativeLong(0));
  }

  private void sync() {
    if (!isOver()) {
      X.XSync(display, false);
    }
  }

  private static KeyCode key(Modifier m) {
    return switch (m) {
      case CTRL -> KeyCode.CONTROL_LEFT;
      case ALT -> KeyCode.ALT_LEFT;
      case ALTGR -> KeyCode.ALT_RIGHT;
      case SHIFT -> KeyCode.SHIFT_LEFT;
      case NUM -> KeyCode.NUM_LOCK;
      case LOGO -> KeyCode.META_LEFT;
    };
  }

  /** A picture of a part of the screen, or of all of it for none, as PNG. */
  public synchronized byte[] picture(Optional<Window> of) throws DisplayException {
    if (isOver()) {
      throw new DisplayException("the display went away");
    }
    X11.Window w = of.map(o -> new X11.Window(o.id())).orElse(root);
    X11.XWindowAttributes size = new X11.XWindowAttributes();
    wasRefused();
    X.XGetWindowAttributes(display, w, size);
    if (wasRefused() || size.width <= 0) {
      throw new DisplayException("the window is not there any more");
    }
    Screenshot.Image image = Screenshot.of(display, w, size.width, size.height);
    if (image == null) {
      throw new DisplayException("the display gives no picture of it");
    }
    return Screenshot.png(image);
  }

  /** True when a request of this connection was refused since this was asked last. */
  boolean wasRefused() {
    return REFUSED.remove(Pointer.nativeValue(display.getPointer()));
  }

  @Override
  public synchronized void close() {
    if (!closed) {
      closed = true;
      wasRefused(); // the next one may have its address
      if (!gone) { // of one that is gone it would wait for good
        X.XCloseDisplay(display);
      }
    }
  }
}
