package foldtwice.live.display;

import com.sun.jna.Library;
import com.sun.jna.Native;
import com.sun.jna.NativeLong;
import com.sun.jna.Pointer;
import com.sun.jna.Structure;
import com.sun.jna.platform.unix.X11;
import com.sun.jna.ptr.IntByReference;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Press;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;

/**
 * Keys that are caught before a program sees them. What is caught is given back when the connection
 * closes, however that comes about. Each is caught whatever locks are on; the keys of the locks
 * themselves are never.
 */
public final class Grabs {

  /** Num lock is where it is on nearly all displays: the second modifier of the server. */
  private static final int NUM = X11.Mod2Mask;

  private static final int[] LOCKS = {0, X11.LockMask, NUM, X11.LockMask | NUM};
  private static final int ALTGR = X11.Mod5Mask;

  /** What the library of the display has besides. */
  interface More extends Library {
    int XAllowEvents(X11.Display display, int mode, NativeLong time);

    int XConnectionNumber(X11.Display display);

    boolean XkbSetDetectableAutoRepeat(X11.Display display, int on, IntByReference supported);

    int XGrabServer(X11.Display display);

    int XUngrabServer(X11.Display display);

    X11.Window XCreateWindow(
        X11.Display display,
        X11.Window parent,
        int x,
        int y,
        int width,
        int height,
        int border,
        int depth,
        int kind,
        Pointer visual,
        NativeLong which,
        Attributes how);
  }

  /** How a window is made, as the display's library has it; its truths are 0 and 1. */
  @Structure.FieldOrder({
    "backgroundPixmap",
    "backgroundPixel",
    "borderPixmap",
    "borderPixel",
    "bitGravity",
    "windowGravity",
    "backingStore",
    "backingPlanes",
    "backingPixel",
    "saveUnder",
    "events",
    "stopped",
    "unmanaged",
    "colormap",
    "cursor"
  })
  public static final class Attributes extends Structure {
    public NativeLong backgroundPixmap;
    public NativeLong backgroundPixel;
    public NativeLong borderPixmap;
    public NativeLong borderPixel;
    public int bitGravity;
    public int windowGravity;
    public int backingStore;
    public NativeLong backingPlanes;
    public NativeLong backingPixel;
    public int saveUnder;
    public NativeLong events;
    public NativeLong stopped;
    public int unmanaged;
    public NativeLong colormap;
    public NativeLong cursor;
  }

  private static final int ASYNC_KEYBOARD = 3;
  private static final int REPLAY_KEYBOARD = 5;
  private static final int INPUT_ONLY = 2;
  private static final int UNMANAGED = 1 << 9;
  private static final More MORE = Native.load("X11", More.class);

  private final Display display;
  private final Set<Press> caught = new HashSet<>();
  private final X11.XEvent event = new X11.XEvent();

  /** Gets the keys while every one is caught; not seen, and made when it is needed first. */
  private Optional<X11.Window> catcher = Optional.empty();

  public Grabs(Display display) {
    this.display = display;
    MORE.XkbSetDetectableAutoRepeat(display.handle(), 1, new IntByReference());
    Display.X.XSelectInput(
        display.handle(), display.root(), new NativeLong(X11.PropertyChangeMask));
  }

  /** Something that happened to a caught key, or elsewhere. */
  public sealed interface Heard {
    /**
     * A key went down. Until it is answered by {@link #keep} or {@link #pass}, the keyboard stands
     * still.
     *
     * @param loose it came while every key was caught: the keyboard goes on
     */
    record Down(Press press, boolean loose) implements Heard {}

    record Up(Press press) implements Heard {}

    /** Another window may have come to the front. */
    record Elsewhere() implements Heard {}
  }

  /**
   * Catches every key, or only those it was told to: while strokes are waited for, what is typed
   * after them must not overtake them. The keyboard does not stand still then, and what is not ours
   * has to be sent.
   */
  public void everything(boolean on) {
    synchronized (display) {
      if (on) {
        Display.X.XGrabKeyboard(
            display.handle(),
            catcher(),
            0,
            X11.GrabModeAsync,
            X11.GrabModeAsync,
            new NativeLong(0));
      } else {
        Display.X.XUngrabKeyboard(display.handle(), new NativeLong(0));
      }
      Display.X.XSync(display.handle(), false);
    }
  }

  private X11.Window catcher() {
    if (catcher.isEmpty()) {
      Attributes how = new Attributes();
      how.unmanaged = 1; // no window manager shows it
      catcher =
          Optional.of(
              MORE.XCreateWindow(
                  display.handle(),
                  display.root(),
                  -1,
                  -1,
                  1,
                  1,
                  0,
                  0,
                  INPUT_ONLY,
                  Pointer.NULL,
                  new NativeLong(UNMANAGED),
                  how));
      Display.X.XMapWindow(display.handle(), catcher.get());
    }
    return catcher.get();
  }

  /**
   * Catches no more than it was told to, where nothing is left that came while it caught every key.
   *
   * @return false when something is, which has to be {@link #heard} first
   */
  public boolean calm() {
    boolean[] calm = {false};
    alone(
        () -> {
          Display.X.XSync(display.handle(), false);
          calm[0] = Display.X.XPending(display.handle()) == 0;
          if (calm[0]) {
            everything(false);
          }
        });
    return calm[0];
  }

  /** Does something on the display between whose parts no program does anything. */
  public void alone(Runnable done) {
    synchronized (display) {
      MORE.XGrabServer(display.handle());
      try {
        done.run();
      } finally {
        MORE.XUngrabServer(display.handle());
        Display.X.XSync(display.handle(), false);
      }
    }
  }

  /** The number of the connection, to wait on. */
  public int connection() {
    return MORE.XConnectionNumber(display.handle());
  }

  /** The key that went down is ours: no program sees it. */
  public void keep() {
    allow(ASYNC_KEYBOARD);
  }

  /** The key that went down goes to the program in front, as if nobody had caught it. */
  public void pass() {
    allow(REPLAY_KEYBOARD);
  }

  private void allow(int mode) {
    synchronized (display) {
      MORE.XAllowEvents(display.handle(), mode, new NativeLong(0));
      Display.X.XFlush(display.handle());
    }
  }

  /**
   * Catches these and no others from now on.
   *
   * @return those that another program has caught already
   */
  public Set<Press> catching(Set<Press> wanted) {
    Set<Press> taken = new HashSet<>();
    synchronized (display) {
      for (Press p : Set.copyOf(caught)) {
        if (!wanted.contains(p)) {
          let(p);
          caught.remove(p);
        }
      }
      for (Press p : wanted) {
        if (!caught.contains(p)) {
          if (grab(p)) {
            caught.add(p);
          } else {
            let(p);
            taken.add(p);
          }
        }
      }
      Display.X.XSync(display.handle(), false);
    }
    return taken;
  }

  private boolean grab(Press p) {
    Display.X.XSync(display.handle(), false);
    display.wasRefused();
    for (int lock : LOCKS) {
      Display.X.XGrabKey(
          display.handle(),
          p.code().xkb(),
          mask(p.held()) | lock,
          display.root(),
          1,
          X11.GrabModeAsync,
          X11.GrabModeSync);
    }
    Display.X.XSync(display.handle(), false);
    return !display.wasRefused();
  }

  private void let(Press p) {
    for (int lock : LOCKS) {
      Display.X.XUngrabKey(display.handle(), p.code().xkb(), mask(p.held()) | lock, display.root());
    }
  }

  private static int mask(Modifiers held) {
    int mask = 0;
    for (Modifier m : held.list()) {
      mask |=
          switch (m) {
            case CTRL -> X11.ControlMask;
            case ALT -> X11.Mod1Mask;
            case ALTGR -> ALTGR;
            case SHIFT -> X11.ShiftMask;
            case NUM -> NUM;
            case LOGO -> X11.Mod4Mask;
          };
    }
    return mask;
  }

  /** The next thing that happened; empty when nothing has, without waiting. */
  public Optional<Heard> heard() {
    synchronized (display) {
      while (Display.X.XPending(display.handle()) > 0) {
        Display.X.XNextEvent(display.handle(), event);
        if (event.type == X11.PropertyNotify) {
          return Optional.of(new Heard.Elsewhere());
        }
        if (event.type == X11.KeyPress || event.type == X11.KeyRelease) {
          event.setType(X11.XKeyEvent.class);
          event.read();
          Optional<Press> press = press(event.xkey);
          if (press.isPresent()) {
            boolean loose = catcher.filter(event.xkey.window::equals).isPresent();
            return press.map(
                p -> event.type == X11.KeyPress ? new Heard.Down(p, loose) : new Heard.Up(p));
          }
          pass();
        }
      }
    }
    return Optional.empty();
  }

  private static Optional<Press> press(X11.XKeyEvent key) {
    for (KeyCode code : KeyCode.values()) {
      if (code.xkb() == key.keycode) {
        Modifiers held = Modifiers.NONE;
        for (Modifier m : Modifier.values()) {
          if (m != Modifier.NUM && (key.state & mask(Modifiers.of(m))) != 0) {
            held = held.with(m);
          }
        }
        return Optional.of(new Press(code, held));
      }
    }
    return Optional.empty();
  }
}
