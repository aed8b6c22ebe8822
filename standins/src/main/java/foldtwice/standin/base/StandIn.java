package foldtwice.standin.base;

import foldtwice.place.Place;
import foldtwice.routine.Kind;
import foldtwice.routine.Step;
import foldtwice.routine.Value;
import foldtwice.routine.ValueException;
import foldtwice.routine.Whom;
import foldtwice.run.Change;
import foldtwice.run.Dialog;
import foldtwice.run.Program;
import foldtwice.run.Reply;
import foldtwice.shape.Effects;
import foldtwice.shape.Facts;
import foldtwice.shape.Nearness;
import foldtwice.shape.Touch;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.Supplier;

/**
 * What all stand-ins share: commands with menu paths, one open dialog, settings, adjustable values,
 * a pointer, and an undo history over an immutable document.
 *
 * @param <D> the document, the selection included; replaced whole by every change
 */
public abstract class StandIn<D> implements Program {

  /** Separates the labels of a menu path. */
  public static final String UNDER = " \u203a ";

  /** Going through the history is nothing to do once more. */
  private static final Set<String> UNDOING = Set.of("undo", "redo");

  private record Command(
      List<String> menu, Effects effects, String opens, Supplier<Reply> action) {}

  /** What was done last: a command, or a button with what stood in its dialog. */
  private record Last(String command, OpenDialog dialog, String button) {}

  private final String application;
  private final Edition edition;
  private final Map<String, Command> commands = new LinkedHashMap<>();
  private final Map<List<String>, String> byMenu = new LinkedHashMap<>();
  private final Map<String, BooleanSupplier> ticks = new LinkedHashMap<>();
  private final Map<String, Supplier<OpenDialog>> dialogs = new LinkedHashMap<>();
  private final Map<String, Kind> settingKinds = new LinkedHashMap<>();
  private final Map<String, Value> settings = new LinkedHashMap<>();
  private final Map<String, Value> fromRestart = new LinkedHashMap<>();
  private final Set<String> needRestart = new LinkedHashSet<>();
  private final Map<String, Kind.Measure> adjustable = new LinkedHashMap<>();
  private final UndoHistory<D> history = new UndoHistory<>();
  private Clipboard clipboard = new Clipboard();
  private Clock clock = Clock.fixed(Instant.EPOCH, ZoneOffset.UTC);
  private Facts facts;
  private OpenDialog dialog;
  private D document;
  private String pointer = "";
  private Last last;

  protected StandIn(String application, Edition edition, D document) {
    this.application = application;
    this.edition = edition;
    this.document = document;
  }

  // what a stand-in says of itself

  /**
   * Adds a command; {@code menu} is its path, or empty for one that only has a key. What comes with
   * an add-on is added only where the add-on is.
   */
  protected final void command(String id, String menu, Effects effects, Supplier<Reply> action) {
    add(id, menu, effects, null, action);
  }

  /** Adds a command that opens a dialog; the dialog can be made in any state of the program. */
  protected final void opening(
      String id, String menu, Effects effects, Supplier<OpenDialog> opened) {
    String title = opened.get().view().title();
    dialogs.put(title, opened);
    Supplier<Reply> open = () -> open(opened.get());
    add(
        id,
        menu,
        effects,
        title,
        effects.needsSelection()
            ? () ->
                somethingSelected()
                    ? open.get()
                    : new Reply.Refused("something selected", "nothing selected")
            : open);
  }

  private void add(String id, String menu, Effects effects, String opens, Supplier<Reply> action) {
    if (effects.addOn().isPresent() && !edition.has(effects.addOn().get())) {
      return;
    }
    List<String> path = menu.isEmpty() ? List.of() : List.of(menu.split(UNDER));
    commands.put(id, new Command(path, effects, opens, action));
    if (!path.isEmpty()) {
      byMenu.put(path, id);
    }
  }

  /** A command's menu item is ticked while this holds. */
  protected final void tick(String command, BooleanSupplier holds) {
    ticks.put(command, holds);
  }

  protected final void setting(String name, String value, String... options) {
    settingKinds.put(name, new Kind.Choice(List.of(options)));
    settings.put(name, new Value.Text(value));
  }

  /** A setting whose change takes effect only after a restart. */
  protected final void settingFromRestart(String name, String value, String... options) {
    setting(name, value, options);
    needRestart.add(name);
  }

  protected final void adjustable(String name, Kind.Measure range) {
    adjustable.put(name, range);
  }

  /** What this change of the document looks like to a person. */
  protected abstract List<Change> differences(D before, D after);

  /** The names of all objects, in their order. */
  protected abstract List<String> names();

  /** The document with these selected, in this order; each is one of {@link #names}. */
  protected abstract D selecting(List<String> names);

  /** The objects inside one; none where objects have no inside. */
  protected List<String> inside(String name) {
    return List.of();
  }

  /** The object one lies in. */
  protected Optional<String> around(String name) {
    return Optional.empty();
  }

  /** Gives an adjustable value, which is in its range, to what is selected. */
  protected Reply setValue(String name, Value.Quantity value) {
    throw new IllegalStateException("no adjustable values: " + name + " " + value);
  }

  /**
   * Finishes what is half done, such as a text being typed, before a run, after it and before undo.
   */
  protected void settle() {}

  /** Drops what is half done. */
  protected Reply drop() {
    return Reply.QUIET;
  }

  /** What a change that takes effect later waits for. */
  protected String waitsFor() {
    return "after a restart";
  }

  /** After a restart, what it begins with. */
  protected void restarted() {}

  /** Goes into one of its contexts; what was half done has been dropped. */
  protected abstract Reply goTo(String context);

  /** Further windows of its own. */
  protected Set<String> windows() {
    return Set.of();
  }

  /** The ways of selecting that mean something here. */
  protected Set<Whom.Group> selects() {
    return Set.of(
        Whom.Group.ALL,
        Whom.Group.NOTHING,
        Whom.Group.NEXT,
        Whom.Group.PREVIOUS,
        Whom.Group.AT_POINTER);
  }

  // for stand-ins to work with

  public final D document() {
    return document;
  }

  public final Edition edition() {
    return edition;
  }

  protected final Clipboard clipboard() {
    return clipboard;
  }

  /** The time on the computer it runs on. */
  protected final Clock clock() {
    return clock;
  }

  /** From now on this is what it cuts and pastes through, and where it reads the time. */
  public final void attach(Clipboard shared, Clock shown) {
    clipboard = shared;
    clock = shown;
  }

  /** The document becomes another one; one step of undo unless a run is on. */
  protected final Reply become(D next) {
    if (next.equals(document)) {
      return Reply.QUIET;
    }
    D before = document;
    history.left(before);
    document = next;
    return new Reply.Done(differences(before, next));
  }

  /** Takes the last change back as if it had not been made. */
  protected final void takeBack() {
    if (!history.inRun()) {
      document = history.takeBack();
    }
  }

  /** The document becomes another one, and nothing before it can be undone any more. */
  protected final Reply becomeForGood(D next) {
    List<Change> changes = changes();
    changes.addAll(differences(document, next));
    compare(changes, "undo history", history.depth() + " steps", "0 steps");
    document = next;
    history.empty(next);
    return new Reply.Done(changes);
  }

  protected final Reply open(OpenDialog opened) {
    dialog = opened;
    return new Reply.Done(List.of(new Change("dialog", "none", opened.view().title())));
  }

  protected final void close() {
    dialog = null;
  }

  /** Takes over everything another one is in. */
  protected final void takeOver(StandIn<D> other) {
    document = other.document;
    dialog = other.dialog;
    pointer = other.pointer;
    last = other.last;
    settings.putAll(other.settings);
    fromRestart.putAll(other.fromRestart);
    history.takeOver(other.history);
    clipboard.put(other.clipboard.text());
    clock = other.clock;
  }

  // Program

  @Override
  public final String application() {
    return application;
  }

  @Override
  public final Facts facts() {
    if (facts == null) {
      List<Facts.Command> all = new ArrayList<>();
      commands.forEach(
          (id, c) ->
              all.add(
                  new Facts.Command(id, c.menu(), c.effects(), Optional.ofNullable(c.opens()))));
      facts =
          new Facts(
              application,
              edition.version(),
              edition.addOns(),
              all,
              dialogs.values().stream().map(d -> d.get().facts()).toList(),
              settingKinds,
              adjustable,
              indicators().keySet(),
              windows(),
              selects());
    }
    return facts;
  }

  @Override
  public final Reply enter(Place state) {
    if (state.equals(place())) {
      return Reply.QUIET;
    }
    if (!(state instanceof Place.Within(String id, String context)) || !id.equals(application)) {
      return new Reply.Refused("a state of " + application, state.id());
    }
    cancel();
    drop();
    return goTo(context);
  }

  /** The menu paths of all commands, in menu order. */
  public final List<List<String>> menuPaths() {
    return List.copyOf(byMenu.keySet());
  }

  /** The ids of all commands. */
  public final List<String> commandIds() {
    return List.copyOf(commands.keySet());
  }

  /** The menu path of a command; empty for one without. */
  public final List<String> menuPath(String command) {
    return commands.get(command).menu();
  }

  @Override
  public final Reply choose(List<String> menuPath) {
    if (dialog != null) {
      return new Reply.Refused("no open dialog", "the dialog \"" + dialog.view().title() + "\"");
    }
    String id = byMenu.get(menuPath);
    return id == null
        ? new Reply.Refused("a menu path" + nearest(menuPath), String.join(UNDER, menuPath))
        : act(id);
  }

  private String nearest(List<String> path) {
    return Nearness.nearest(
            String.join(UNDER, path),
            byMenu.keySet().stream().map(p -> String.join(UNDER, p)).toList())
        .map(p -> ", such as " + p)
        .orElse("");
  }

  @Override
  public final boolean ticked(List<String> menuPath) {
    BooleanSupplier holds = ticks.get(byMenu.getOrDefault(menuPath, ""));
    return holds != null && holds.getAsBoolean();
  }

  @Override
  public final Reply fire(String command) {
    return commands.containsKey(command)
        ? act(command)
        : new Reply.Refused("a command of " + application, "no \"" + command + "\"");
  }

  private Reply act(String id) {
    Command command = commands.get(id);
    Reply reply = command.action().get();
    boolean repeatable =
        command.opens() == null
            && command.effects().touches().contains(Touch.OBJECTS)
            && !UNDOING.contains(id);
    if (repeatable && reply instanceof Reply.Done) {
      last = new Last(id, null, "");
    }
    return reply;
  }

  @Override
  public final Reply again() {
    if (last == null) {
      return new Reply.Refused("something done before", "nothing yet");
    }
    return last.dialog() == null
        ? act(last.command())
        : last.dialog().buttons().get(last.button()).action().on(this, last.dialog().view());
  }

  @Override
  public final Optional<Dialog> dialog() {
    return Optional.ofNullable(dialog).map(OpenDialog::view);
  }

  @Override
  public final Reply fill(String field, String text) {
    if (dialog == null) {
      return new Reply.Refused("an open dialog with the field \"" + field + "\"", "no dialog");
    }
    Optional<Dialog.Field> target = dialog.view().field(field);
    if (target.isEmpty()) {
      return new Reply.Refused(
          "a field, one of "
              + String.join(
                  ", ", dialog.view().fields().stream().map(Dialog.Field::label).toList()),
          "no \"" + field + "\"");
    }
    Dialog.Field f = target.get();
    if (!f.options().isEmpty() && !f.options().contains(text)) {
      return new Reply.Refused("one of " + String.join(", ", f.options()), "\"" + text + "\"");
    }
    if (f.decimals() >= 0) {
      Optional<BigDecimal> number = OpenDialog.number(text);
      if (number.isEmpty() || number.get().scale() > f.decimals()) {
        return new Reply.Refused(
            "a number with at most " + f.decimals() + " decimals", "\"" + text + "\"");
      }
    }
    dialog = dialog.with(field, text);
    return new Reply.Done(List.of(new Change(field, f.text(), text)));
  }

  @Override
  public final Reply press(String button) {
    if (dialog == null) {
      return new Reply.Refused("an open dialog with the button \"" + button + "\"", "no dialog");
    }
    OpenDialog pressed = dialog;
    OpenDialog.Button b = pressed.buttons().get(button);
    if (b == null) {
      return new Reply.Refused(
          "a button, one of " + String.join(", ", pressed.buttons().keySet()),
          "no \"" + button + "\"");
    }
    Reply reply = b.action().on(this, pressed.view());
    if (!(reply instanceof Reply.Done(List<Change> changed))) {
      return reply;
    }
    if (b.effects().touches().contains(Touch.OBJECTS)) {
      last = new Last("", pressed, button);
    }
    if (!b.closes() || !pressed.equals(dialog)) {
      return reply;
    }
    dialog = null;
    List<Change> all = new ArrayList<>(changed);
    all.add(new Change("dialog", pressed.view().title(), "none"));
    return new Reply.Done(all);
  }

  @Override
  public final Reply finish() {
    if (dialog != null) {
      return press(dialog.view().buttons().getFirst());
    }
    D before = document;
    settle();
    return new Reply.Done(differences(before, document));
  }

  @Override
  public final Reply cancel() {
    if (dialog == null) {
      return drop();
    }
    String title = dialog.view().title();
    dialog = null;
    return new Reply.Done(List.of(new Change("dialog", title, "none")));
  }

  @Override
  public final Map<String, Value> settings() {
    return Collections.unmodifiableMap(settings);
  }

  @Override
  public final Reply change(String setting, Value value) {
    Value before = settings.get(setting);
    if (before == null) {
      return new Reply.Refused(
          "a setting, one of " + String.join(", ", settings.keySet()), "no \"" + setting + "\"");
    }
    try {
      settingKinds.get(setting).check(value);
    } catch (ValueException e) {
      return new Reply.Refused(e.allowed(), value.shown());
    }
    if (needRestart.contains(setting)) {
      return later(setting, before, value);
    }
    if (before.equals(value)) {
      return Reply.QUIET;
    }
    settings.put(setting, value);
    return new Reply.Done(List.of(new Change(setting, before.shown(), value.shown())));
  }

  private Reply later(String setting, Value before, Value value) {
    Value waiting = fromRestart.getOrDefault(setting, before);
    if (waiting.equals(value)) {
      return Reply.QUIET;
    }
    if (before.equals(value)) {
      fromRestart.remove(setting);
    } else {
      fromRestart.put(setting, value);
    }
    return new Reply.Done(
        List.of(new Change(setting + " from the next start", waiting.shown(), value.shown())));
  }

  @Override
  public Map<String, Value> indicators() {
    return Map.of();
  }

  @Override
  public Map<String, Value.Quantity> values() {
    return Map.of();
  }

  @Override
  public final Reply adjust(String name, Step.Way way, Value.Quantity to, Step.Edge edge) {
    Value.Quantity now = values().get(name);
    if (now == null) {
      return new Reply.Refused("something selected to adjust", "no \"" + name + "\"");
    }
    Kind.Measure range = adjustable.get(name);
    if (to.scale() != range.least().scale()) {
      return new Reply.Refused("an amount in " + range.least().scale().symbol(), to.shown());
    }
    Value.Quantity wanted = way == Step.Way.TO ? to : now.plus(to);
    Value.Quantity least = range.least();
    Value.Quantity most = range.most();
    if (wanted.compareTo(least) < 0 || wanted.compareTo(most) > 0) {
      if (edge != Step.Edge.CLAMP) {
        return new Reply.Refused(name + " " + range.allowed(), wanted.shown());
      }
      wanted = wanted.compareTo(least) < 0 ? least : most;
    }
    return setValue(name, wanted);
  }

  @Override
  public Reply select(Whom.Group whom, boolean adding) {
    if (!selects().contains(whom)) {
      return new Reply.Refused("a way of selecting that " + application + " has", whom.toString());
    }
    Optional<List<String>> found = found(whom);
    if (found.isEmpty()) {
      return new Reply.Refused(wanted(whom), "none");
    }
    List<String> names = new ArrayList<>(adding ? selected() : List.of());
    found.get().stream().filter(n -> !names.contains(n)).forEach(names::add);
    return become(selecting(names));
  }

  private static String wanted(Whom.Group whom) {
    return switch (whom) {
      case NEXT -> "one more after it";
      case PREVIOUS -> "one more before it";
      case CHILDREN -> "something selected with an inside";
      case PARENT -> "something selected that lies in another";
      case AT_POINTER -> "something the pointer is over";
      default -> "something to select";
    };
  }

  private Optional<List<String>> found(Whom.Group whom) {
    return switch (whom) {
      case ALL -> Optional.of(names());
      case NOTHING -> Optional.of(List.of());
      case NEXT -> beside(1);
      case PREVIOUS -> beside(-1);
      case CHILDREN ->
          some(selected().stream().flatMap(n -> inside(n).stream()).distinct().toList());
      case PARENT -> some(selected().stream().flatMap(n -> around(n).stream()).distinct().toList());
      case AT_POINTER -> some(pointer.isEmpty() ? List.of() : List.of(pointer));
    };
  }

  private static Optional<List<String>> some(List<String> names) {
    return names.isEmpty() ? Optional.empty() : Optional.of(names);
  }

  private Optional<List<String>> beside(int by) {
    List<String> all = names();
    int from = somethingSelected() ? all.indexOf(selected().getLast()) : by > 0 ? -1 : all.size();
    int to = from + by;
    return to < 0 || to >= all.size() ? Optional.empty() : Optional.of(List.of(all.get(to)));
  }

  @Override
  public Reply selectNamed(String name, boolean adding) {
    if (!names().contains(name)) {
      return new Reply.Refused(
          "something to select"
              + Nearness.nearest(name, names()).map(n -> ", such as " + n).orElse(""),
          "no \"" + name + "\"");
    }
    List<String> next = new ArrayList<>(adding ? selected() : List.of());
    next.remove(name);
    next.add(name);
    return become(selecting(next));
  }

  /** In place of what is selected, or besides it, or, where it is selected already, no longer. */
  @Override
  public Reply click(String name, boolean adding) {
    if (name.isEmpty()) {
      return select(Whom.Group.NOTHING, false);
    }
    if (adding && selected().contains(name)) {
      List<String> rest = new ArrayList<>(selected());
      rest.remove(name);
      return become(selecting(rest));
    }
    return selectNamed(name, adding);
  }

  /** Rows go through the objects in their order; columns mean nothing unless overridden. */
  @Override
  public Reply select(int rows, int columns, Step.Edge edge) {
    if (columns != 0) {
      return new Reply.Refused("an offset by rows only", columns + " columns");
    }
    List<String> all = names();
    if (all.isEmpty()) {
      return new Reply.Refused("something to select", "none");
    }
    int from = somethingSelected() ? all.indexOf(selected().getLast()) : -1;
    int to = from + rows;
    if (to < 0 || to >= all.size()) {
      if (edge != Step.Edge.CLAMP) {
        return new Reply.Refused("one " + rows + " further", "the end");
      }
      to = Math.clamp(to, 0, all.size() - 1);
    }
    return become(selecting(List.of(all.get(to))));
  }

  @Override
  public final Reply point(String name) {
    if (!name.isEmpty() && !names().contains(name)) {
      return new Reply.Refused("something to point at", "no \"" + name + "\"");
    }
    String before = pointer;
    pointer = name;
    return before.equals(name)
        ? Reply.QUIET
        : new Reply.Done(List.of(new Change("pointer", over(before), over(name))));
  }

  private static String over(String name) {
    return name.isEmpty() ? "over nothing" : "over " + name;
  }

  /** The object the pointer is over; empty for none. */
  public final String pointer() {
    return names().contains(pointer) ? pointer : "";
  }

  @Override
  public final void beginRun() {
    settle();
    history.begin(document);
  }

  @Override
  public final void endRun() {
    settle();
    history.end(document);
  }

  @Override
  public final Reply undo() {
    settle();
    return swapped(history.back(document), "something to undo");
  }

  @Override
  public final Reply redo() {
    settle();
    return swapped(history.forth(document), "something to do again");
  }

  private Reply swapped(D other, String expected) {
    if (other == null) {
      return new Reply.Refused(expected, "nothing");
    }
    D before = document;
    document = other;
    return new Reply.Done(differences(before, other));
  }

  @Override
  public final int undoDepth() {
    return history.depth();
  }

  @Override
  public List<String> pending() {
    return fromRestart.entrySet().stream()
        .map(e -> e.getKey() + " " + e.getValue().shown() + ": " + waitsFor())
        .toList();
  }

  @Override
  public final Reply restart() {
    settle();
    List<Change> changes = changes();
    dialog = null;
    pointer = "";
    last = null;
    history.empty(document);
    changes.addAll(takeUp());
    restarted();
    changes.add(new Change("program", "running", "started anew"));
    return new Reply.Done(changes);
  }

  /** What waited takes effect. */
  protected final List<Change> takeUp() {
    List<Change> changes = changes();
    fromRestart.forEach(
        (name, value) -> {
          compare(changes, name, settings.get(name).shown(), value.shown());
          settings.put(name, value);
        });
    fromRestart.clear();
    return changes;
  }

  /** Adds a change where two values differ. */
  public static void compare(List<Change> changes, String what, String before, String after) {
    if (!before.equals(after)) {
      changes.add(new Change(what, before, after));
    }
  }

  /** What two deeds changed together, or the refusal of the second. */
  protected static Reply both(Reply first, Reply second) {
    if (second instanceof Reply.Refused) {
      return second;
    }
    List<Change> all = changes();
    for (Reply r : List.of(first, second)) {
      if (r instanceof Reply.Done(List<Change> some)) {
        all.addAll(some);
      }
    }
    return new Reply.Done(all);
  }

  /** A change of something that is counted or shown, not part of the document. */
  protected static Reply changed(String what, Object before, Object after) {
    List<Change> changes = changes();
    compare(changes, what, before.toString(), after.toString());
    return new Reply.Done(changes);
  }

  /** The settings and the open dialog, as {@link #state} shows them. */
  protected final Map<String, String> commonState() {
    Map<String, String> state = new LinkedHashMap<>();
    state.put("view place", place().id());
    settings.forEach((name, value) -> state.put("setting " + name, value.shown()));
    fromRestart.forEach((name, value) -> state.put("setting " + name + " later", value.shown()));
    state.put("selection", String.join(", ", selected()));
    state.put("clipboard", clipboard.text());
    if (!pointer.isEmpty()) {
      state.put("view pointer", pointer);
    }
    dialog()
        .ifPresent(
            d -> {
              state.put("view dialog", d.title());
              d.fields().forEach(f -> state.put("field " + f.label(), f.text()));
            });
    return state;
  }

  /** A list to collect changes in. */
  protected static List<Change> changes() {
    return new ArrayList<>();
  }
}
