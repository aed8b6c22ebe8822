package foldtwice.standin.desk;

import foldtwice.known.Effects;
import foldtwice.known.Touch;
import foldtwice.place.AddOn;
import foldtwice.place.Place;
import foldtwice.routine.Kind;
import foldtwice.routine.LengthUnit;
import foldtwice.routine.Step;
import foldtwice.routine.Value;
import foldtwice.routine.ValueException;
import foldtwice.run.Change;
import foldtwice.run.Dialog;
import foldtwice.run.Reply;
import foldtwice.standin.base.Edition;
import foldtwice.standin.base.OpenDialog;
import foldtwice.standin.base.StandIn;
import java.math.RoundingMode;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The simulated computer: it says which window is in front, and starts what is not there. */
public final class Desk extends StandIn<Things> {

  public static final String ID = "desk";

  /** The unit converter, one of the small programs of the desk. */
  public static final String CONVERTER = "converter";

  /** The notepad, another. */
  public static final String NOTEPAD = "notepad";

  /** The versions there are; the later one writes the time into the names of pictures. */
  public static final List<String> VERSIONS = List.of("1", "2");

  /** The add-on that makes dated folders. */
  public static final AddOn DATER = new AddOn("Dater", "1.0");

  /** How long a program takes to come to the front, in milliseconds. */
  public static final long STARTING = 900;

  private static final DateTimeFormatter STAMP =
      DateTimeFormatter.ofPattern("uuuu-MM-dd'T'HH-mm-ss");
  private static final Effects WINDOWS = Effects.of(Touch.WINDOWS);
  private static final Effects SELECTION = Effects.of(Touch.SELECTION);
  private static final Effects DOCUMENT = Effects.of(Touch.OBJECTS, Touch.SELECTION);

  private final List<String> windows = new ArrayList<>(List.of(ID));
  private final Map<String, Long> starting = new LinkedHashMap<>();
  private String converterTo = "mm";
  private boolean launching;
  private String launcher = "";
  private int pictures;

  public Desk() {
    this(Edition.of(VERSIONS.getFirst(), List.of(DATER)));
  }

  public Desk(Edition edition) {
    super(ID, edition, Things.first());
    setting("pictures to", "clipboard", "clipboard", "folder");
    settingFromRestart("key repeat", "slow", "slow", "fast");
    windowCommands();
    folderCommands();
    typingCommands();
  }

  private void windowCommands() {
    command("launcher", "Desk \u203a Launcher", Effects.of(Touch.VIEW), this::openLauncher);
    command("converter", "Start \u203a Converter", WINDOWS, () -> start(CONVERTER, List.of()));
    command("notepad", "Start \u203a Notepad", WINDOWS, () -> start(NOTEPAD, List.of()));
    command("next-window", "Window \u203a Next", WINDOWS, this::nextWindow);
    command("show-desk", "Window \u203a Show the desk", WINDOWS, () -> toFront(ID));
    command("close-window", "Window \u203a Close", WINDOWS, this::closeWindow);
    Effects capture = Effects.of(Touch.CLIPBOARD, Touch.OBJECTS, Touch.SELECTION, Touch.FILES);
    command(
        "capture", "Picture \u203a Whole screen", capture, () -> capture(Step.Area.WHOLE, null));
    command(
        "capture-window", "Picture \u203a Window", capture, () -> capture(Step.Area.WINDOW, null));
    command(
        "capture-area", "Picture \u203a Area", capture, () -> capture(Step.Area.SELECTION, null));
    command(
        "lock",
        "Desk \u203a Lock",
        Effects.of(Touch.VIEW),
        () -> changed("screen", "open", "locked, and opened again"));
  }

  private void folderCommands() {
    opening(
        "new-folder",
        "Folder \u203a New \u2026",
        Effects.of(Touch.VIEW),
        () ->
            OpenDialog.of("New folder", Dialog.Field.text("Name", ""))
                .closing(
                    "Make",
                    DOCUMENT,
                    (p, d) -> ((Desk) p).make(d.field("Name").orElseThrow().text()))
                .leaving("Cancel"));
    command(
        "dated-folder",
        "Folder \u203a New with date",
        DOCUMENT.from(DATER),
        () -> make("sheets " + stamp()));
    command("delete", "Folder \u203a Delete", DOCUMENT.onSelection(), this::delete);
    command(
        "empty-bin",
        "Folder \u203a Empty the bin",
        Effects.of(Touch.UNDO_HISTORY),
        () -> becomeForGood(document()));
    command(
        "select-all",
        "Edit \u203a Select all",
        SELECTION,
        () -> become(document().selecting(document().files())));
    command("next", "Edit \u203a Next", SELECTION, () -> select(1, 0, Step.Edge.CLAMP));
    command("previous", "Edit \u203a Previous", SELECTION, () -> select(-1, 0, Step.Edge.CLAMP));
    command("undo", "Edit \u203a Undo", DOCUMENT, this::undo);
    command("redo", "Edit \u203a Redo", DOCUMENT, this::redo);
  }

  private void typingCommands() {
    command("copy", "Edit \u203a Copy", Effects.of(Touch.CLIPBOARD), this::copyText);
    command(
        "paste",
        "Edit \u203a Paste",
        Effects.of(Touch.OBJECTS, Touch.VIEW),
        () -> type(clipboard().text()));
    command("clear", "Edit \u203a Clear", Effects.of(Touch.OBJECTS, Touch.VIEW), this::clear);
    command("erase", "", Effects.of(Touch.OBJECTS, Touch.VIEW), this::erase);
    for (String unit : List.of("mm", "cm", "in", "pt", "pica")) {
      command(
          "convert-" + unit,
          "Convert \u203a To " + unit,
          Effects.of(Touch.OBJECTS, Touch.VIEW),
          () -> convertTo(unit));
      tick("convert-" + unit, () -> converterTo.equals(unit));
    }
    command("enter", "", Effects.of(Touch.OBJECTS, Touch.VIEW, Touch.WINDOWS), this::enterKey);
    command("leave", "", Effects.of(Touch.VIEW, Touch.WINDOWS), this::leave);
  }

  private String stamp() {
    return STAMP.format(LocalDateTime.ofInstant(clock().instant(), clock().getZone()));
  }

  // windows

  /** What is in front now: an application's id, or one of the desk's small programs. */
  public String front() {
    come();
    return windows.getFirst();
  }

  /** The windows from the front to the back. */
  public List<String> order() {
    come();
    return List.copyOf(windows);
  }

  /** What has been started and is not there yet. */
  public List<String> starting() {
    come();
    return List.copyOf(starting.keySet());
  }

  /** What was started comes to the front when its time has come. */
  private void come() {
    long now = clock().millis();
    for (String window : List.copyOf(starting.keySet())) {
      if (starting.get(window) <= now) {
        starting.remove(window);
        windows.remove(window);
        windows.addFirst(window);
      }
    }
  }

  /** A program that is running gets a window, behind the others. */
  public void add(String window) {
    if (!windows.contains(window)) {
      windows.add(window);
    }
  }

  /** Starts a program; it comes to the front after {@link #STARTING}. */
  public Reply start(String program, List<String> arguments) {
    come();
    starting.put(program, clock().millis() + STARTING);
    if (program.equals(CONVERTER) && !arguments.isEmpty()) {
      return both(
          changed("starting", "nothing", program),
          become(document().typing(String.join(" ", arguments))));
    }
    return changed("starting", "nothing", program);
  }

  /** Brings a window to the front at once. */
  public Reply toFront(String window) {
    String before = front();
    if (!windows.contains(window)) {
      return new Reply.Refused("a window, one of " + String.join(", ", windows), "no " + window);
    }
    windows.remove(window);
    windows.addFirst(window);
    return changed("window in front", before, window);
  }

  private Reply nextWindow() {
    String before = front();
    windows.addLast(windows.removeFirst());
    return changed("window in front", before, front());
  }

  private Reply closeWindow() {
    String before = front();
    if (!before.equals(CONVERTER) && !before.equals(NOTEPAD)) {
      return new Reply.Refused("a small program's window in front", before);
    }
    windows.removeFirst();
    return changed("window in front", before, front());
  }

  private Reply openLauncher() {
    String before = launching ? "launcher: " + launcher : front();
    launching = true;
    launcher = "";
    return changed("keys go to", before, "launcher: ");
  }

  /** True while a name is typed into the launcher. */
  public boolean launching() {
    return launching;
  }

  /** What is typed into the launcher. */
  public String launcher() {
    return launcher;
  }

  // pictures, folder

  /**
   * Takes a picture.
   *
   * @param file where it goes; null for where the setting says, empty for the clipboard
   */
  public Reply capture(Step.Area area, String file) {
    String what = area == Step.Area.WHOLE ? "screen" : front();
    String to = file;
    if (to == null) {
      to = settings().get("pictures to").shown().equals("folder") ? pictureName() : "";
    }
    pictures++;
    if (!to.isEmpty()) {
      return make(to);
    }
    String before = clipboard().text();
    clipboard().put("[picture of " + what + "]");
    return changed("clipboard", before, clipboard().text());
  }

  private String pictureName() {
    return edition().version().equals(VERSIONS.getFirst())
        ? "picture " + (pictures + 1)
        : "picture " + stamp();
  }

  private Reply make(String name) {
    String plain = name.strip();
    if (plain.isEmpty() || plain.matches(".*[/\\\\:*?\"<>|].*")) {
      return new Reply.Refused("a name without / \\ : * ? \" < > |", "\"" + name + "\"");
    }
    return document().files().contains(plain)
        ? new Reply.Refused("a name that is not in the folder yet", "\"" + plain + "\"")
        : become(document().with(plain));
  }

  private Reply delete() {
    return somethingSelected()
        ? become(document().withoutSelected())
        : new Reply.Refused("a selected file", "nothing selected");
  }

  // typing

  private Reply copyText() {
    String before = clipboard().text();
    String text =
        switch (front()) {
          case CONVERTER -> document().converted();
          case NOTEPAD -> document().notes();
          default -> String.join("\n", document().selected());
        };
    if (text.isEmpty()) {
      return new Reply.Refused("something to copy", "nothing");
    }
    clipboard().put(text);
    return changed("clipboard", before, text);
  }

  @Override
  public Reply type(String text) {
    if (launching) {
      String before = launcher;
      launcher = launcher + text;
      return changed("launcher", before, launcher);
    }
    return switch (front()) {
      case CONVERTER -> become(document().typing(document().typed() + text));
      case NOTEPAD -> become(document().noting(document().notes() + text));
      default -> new Reply.Refused("a window that takes text in front", front());
    };
  }

  private Reply erase() {
    String text = launching ? launcher : text();
    if (text.isEmpty()) {
      return new Reply.Refused("a text to erase from", "none");
    }
    return retype(text.substring(0, text.offsetByCodePoints(text.length(), -1)));
  }

  private Reply clear() {
    return retype("");
  }

  private String text() {
    return switch (front()) {
      case CONVERTER -> document().typed();
      case NOTEPAD -> document().notes();
      default -> "";
    };
  }

  private Reply retype(String text) {
    if (launching) {
      String before = launcher;
      launcher = text;
      return changed("launcher", before, text);
    }
    return switch (front()) {
      case CONVERTER -> become(document().typing(text));
      case NOTEPAD -> become(document().noting(text));
      default -> new Reply.Refused("a window that takes text in front", front());
    };
  }

  private Reply convertTo(String unit) {
    String before = converterTo;
    converterTo = unit;
    Reply to = changed("converter's unit", before, unit);
    return document().typed().isEmpty() ? to : both(to, convert());
  }

  private Reply convert() {
    try {
      Value.Length length = Kind.length(document().typed());
      LengthUnit unit = LengthUnit.of(converterTo).orElseThrow();
      Value.Length there = length.in(unit);
      Value.Length rounded =
          new Value.Length(there.amount().setScale(4, RoundingMode.HALF_EVEN), unit);
      return become(document().converted(rounded.shown()));
    } catch (ValueException e) {
      return new Reply.Refused(e.allowed(), "\"" + document().typed() + "\"");
    }
  }

  private Reply enterKey() {
    if (launching) {
      String name = launcher.strip().toLowerCase(java.util.Locale.ROOT);
      launching = false;
      launcher = "";
      Reply left = changed("keys go to", "launcher", front());
      if (name.isEmpty()) {
        return left;
      }
      return windows.contains(name) || smallProgram(name).isPresent()
          ? both(left, start(name, List.of()))
          : both(left, changed("launcher", "nothing", "no program " + name));
    }
    return switch (front()) {
      case CONVERTER -> convert();
      case NOTEPAD -> become(document().noting(document().notes() + "\n"));
      default -> new Reply.Refused("something to finish", "nothing");
    };
  }

  private Reply leave() {
    if (dialog().isPresent()) {
      return cancel();
    }
    return launching ? drop() : closeWindow();
  }

  @Override
  protected Reply drop() {
    String before = launching ? "launcher: " + launcher : front();
    launching = false;
    launcher = "";
    return changed("keys go to", before, front());
  }

  @Override
  protected Set<String> windows() {
    return Set.of(CONVERTER, NOTEPAD);
  }

  @Override
  public Map<String, Value> indicators() {
    return Map.of("windows", Value.Amount.of(windows.size()));
  }

  /** The unit the converter gives. */
  public String converterTo() {
    return converterTo;
  }

  @Override
  protected List<String> names() {
    return document().files();
  }

  @Override
  public List<String> selected() {
    return document().selected();
  }

  @Override
  protected Things selecting(List<String> names) {
    return document().selecting(names);
  }

  @Override
  public String selectedText() {
    return document().selected().isEmpty() ? text() : document().selected().getLast();
  }

  @Override
  protected void restarted() {
    starting.clear();
    launching = false;
    launcher = "";
  }

  @Override
  public Place place() {
    if (dialog().isPresent()) {
      return within("dialog");
    }
    if (launching) {
      return within("launcher");
    }
    return within(
        switch (front()) {
          case CONVERTER -> CONVERTER;
          case NOTEPAD -> NOTEPAD;
          default -> "bare";
        });
  }

  @Override
  protected Reply goTo(String context) {
    return switch (context) {
      case "launcher" -> openLauncher();
      case "dialog" -> fire("new-folder");
      case CONVERTER, NOTEPAD -> {
        add(context);
        yield toFront(context);
      }
      default -> toFront(ID);
    };
  }

  @Override
  protected List<Change> differences(Things before, Things after) {
    return Things.differences(before, after);
  }

  @Override
  public Desk copy() {
    Desk copy = new Desk(edition());
    copy.takeOver(this);
    copy.windows.clear();
    copy.windows.addAll(windows);
    copy.starting.putAll(starting);
    copy.converterTo = converterTo;
    copy.launching = launching;
    copy.launcher = launcher;
    copy.pictures = pictures;
    return copy;
  }

  @Override
  public Map<String, String> state() {
    Map<String, String> state = commonState();
    state.put("folder", Things.say(document().files()));
    state.put("notepad", document().notes());
    state.put("converter", document().typed());
    state.put("converted", document().converted());
    state.put("view converter to", converterTo);
    state.put("view launcher", launching ? "open: " + launcher : "closed");
    state.put("window order", String.join(", ", order()));
    state.put("window starting", String.join(", ", starting()));
    return state;
  }

  /** The id of the application of a window: the desk itself for its small programs. */
  public static Optional<String> smallProgram(String window) {
    return window.equals(CONVERTER) || window.equals(NOTEPAD) ? Optional.of(ID) : Optional.empty();
  }
}
