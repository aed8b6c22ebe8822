package foldtwice.standin.base;

import foldtwice.known.Effects;
import foldtwice.known.Facts;
import foldtwice.known.Touch;
import foldtwice.place.AddOn;
import foldtwice.place.Place;
import foldtwice.routine.Kind;
import foldtwice.routine.Parameter;
import foldtwice.routine.Step;
import foldtwice.routine.Value;
import foldtwice.routine.ValueException;
import foldtwice.routine.Whom;
import foldtwice.run.Change;
import foldtwice.run.Dialog;
import foldtwice.run.Reply;
import foldtwice.run.Simulated;
import foldtwice.text.Counted;
import foldtwice.text.Nearness;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.Function;
import java.util.function.Supplier;

/**
 * What all stand-ins share: commands with menu paths, one open dialog, settings, adjustable values,
 * a pointer, and an undo history over an immutable document.
 *
 * @param <D> the document, the selection included; replaced whole by every change
 */
public abstract class StandIn<D> implements Simulated {

  /** Separates the labels of a menu path. */
  public static final String UNDER = " \u203a ";

  /** Going through the history is nothing to do once more. */
  private static final Set<String> UNDOING = Set.of("undo", "redo");

  /** What an add-on can do. */
  private record Action(Facts.Action facts, Function<Map<String, Value>, Reply> does) {}

  /** What was done last: a command, or a button with what stood in its dialog. */
  private record Last(String command, OpenDialog dialog, String button) {}

  private final String application;
  private final Edition edition;
  private final Commands commands = new Commands();
  private final Map<String, Supplier<OpenDialog>> dialogs = new LinkedHashMap<>();
  private final Settings settings = new Settings();
  private final Map<String, Kind.Measure> adjustable = new LinkedHashMap<>();
  private final List<Action> actions = new ArrayList<>();
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
    add(id, menu, effects, Optional.empty(), action);
  }

  /** The same with the labels of its path, whatever is in them. */
  protected final void command(
      String id, List<String> path, Effects effects, Supplier<Reply> action) {
    if (effects.addOn().isEmpty() || edition.has(new AddOn(effects.addOn().get(), ""))) {
      commands.add(id, edition.labels().of(path), effects, Optional.empty(), action);
    }
  }

  /**
   * Adds a command that does something and then opens a dialog, which can be made in any state.
   *
   * @param first what it does before
   */
  protected final void opening(
      String id,
      List<String> path,
      Effects effects,
      Supplier<OpenDialog> opened,
      Supplier<Reply> first) {
    if (effects.addOn().isPresent() && !edition.has(new AddOn(effects.addOn().get(), ""))) {
      return;
    }
    String title = edition.labels().of(opened.get().view().title());
    dialogs.put(title, opened);
    commands.add(
        id,
        edition.labels().of(path),
        effects,
        Optional.of(title),
        () -> {
          if (effects.needsSelection() && !somethingSelected()) {
            return new Reply.Refused("something selected", "nothing selected");
          }
          Reply done = first.get();
          return done instanceof Reply.Refused ? done : both(done, open(opened.get()));
        });
  }

  /** Adds a command that opens a dialog; the dialog can be made in any state of the program. */
  protected final void opening(
      String id, String menu, Effects effects, Supplier<OpenDialog> opened) {
    opening(id, path(menu), effects, opened, () -> Reply.QUIET);
  }

  private static List<String> path(String menu) {
    return menu.isEmpty() ? List.of() : List.of(menu.split(UNDER));
  }

  private void add(
      String id, String menu, Effects effects, Optional<String> opens, Supplier<Reply> action) {
    if (effects.addOn().isEmpty() || edition.has(new AddOn(effects.addOn().get(), ""))) {
      commands.add(id, edition.labels().of(path(menu)), effects, opens, action);
    }
  }

  /** A command's menu item is ticked while this holds. */
  protected final void tick(String command, BooleanSupplier holds) {
    commands.tick(command, holds);
  }

  protected final void setting(String name, String value, String... options) {
    settings.add(name, value, List.of(options), false);
  }

  /** A setting whose change takes effect only after a restart. */
  protected final void settingFromRestart(String name, String value, String... options) {
    settings.add(name, value, List.of(options), true);
  }

  /**
   * Adds what an add-on can do that has no menu path; it is there only where the add-on is.
   *
   * @param action gets the arguments by name; all are there and fit
   */
  protected final void action(Facts.Action facts, Function<Map<String, Value>, Reply> action) {
    if (edition.has(facts.from())) {
      actions.add(new Action(facts, action));
    }
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

  /** The kinds of which it has nothing but what it says: see {@link Facts#tells}. */
  protected Set<Facts.Aspect> told() {
    return EnumSet.allOf(Facts.Aspect.class);
  }

  /**
   * Is told to do something with what nobody described.
   *
   * @param what it is, in words
   * @param to what it is to become, empty where it is only done
   */
  protected Optional<Reply> undescribed(Facts.Aspect aspect, String what, String to) {
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

  /** From now on nobody waits for what takes its time: it is {@linkplain #work work} then. */
  public void hurry() {}

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
    compare(changes, "undo history", Counted.of(history.depth(), "step"), Counted.of(0, "step"));
    document = next;
    history.empty(next);
    return new Reply.Done(changes);
  }

  protected final Reply open(OpenDialog opened) {
    dialog = opened.in(edition.labels());
    return new Reply.Done(List.of(new Change("dialog", "none", dialog.view().title())));
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
    settings.takeOver(other.settings);
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
      facts =
          new Facts(
              application,
              edition.installed(),
              edition.addOns(),
              commands.facts(),
              dialogs.values().stream().map(d -> d.get().in(edition.labels()).facts()).toList(),
              settings.kinds(),
              adjustable,
              indicators().keySet(),
              windows(),
              selects(),
              actions.stream().map(Action::facts).toList(),
              edition.isThere() ? told() : EnumSet.noneOf(Facts.Aspect.class),
              edition.labels());
    }
    return facts;
  }

  @Override
  public final Reply enter(Place state) {
    if (state.equals(place())) {
      return Reply.QUIET;
    }
    if (!state.isOf(application)) {
      return new Reply.Refused("a state of " + application, state.id());
    }
    return switch (state) {
      case Place.Within(var id, String focus) when !panes().contains(focus) -> goTo(focus, "");
      case Place.Over(var id, String focus, String pane) when panes().contains(pane) ->
          goTo(focus, pane);
      default -> new Reply.Refused("a state of " + application, state.id());
    };
  }

  private Reply goTo(String focus, String pane) {
    cancel();
    drop();
    Reply there = goTo(focus);
    return there instanceof Reply.Refused || pane().equals(pane) ? there : both(there, point(pane));
  }

  /** The menu paths of all commands, in menu order. */
  public final List<List<String>> menuPaths() {
    return commands.menuPaths();
  }

  /** The ids of all commands. */
  public final List<String> commandIds() {
    return commands.ids();
  }

  /** The menu path of a command; empty for one without. */
  public final List<String> menuPath(String command) {
    return commands.of(command).orElseThrow().menu();
  }

  @Override
  public final Reply choose(List<String> menuPath) {
    if (dialog != null) {
      return new Reply.Refused("no open dialog", "the dialog \"" + dialog.view().title() + "\"");
    }
    return commands
        .at(menuPath)
        .map(this::act)
        .or(() -> undescribed(Facts.Aspect.COMMANDS, "command " + String.join(UNDER, menuPath), ""))
        .orElseGet(
            () ->
                new Reply.Refused(
                    "a menu path" + commands.nearest(menuPath, edition.labels()),
                    String.join(UNDER, menuPath)));
  }

  @Override
  public final boolean ticked(List<String> menuPath) {
    return commands.ticked(menuPath);
  }

  @Override
  public final Reply fire(String command) {
    return commands.of(command).isPresent()
        ? act(command)
        : new Reply.Refused("a command of " + application, "no \"" + command + "\"");
  }

  private Reply act(String id) {
    Commands.Command command = commands.of(id).orElseThrow();
    Reply reply = command.action().get();
    boolean repeatable =
        command.opens().isEmpty()
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
  public final Reply invoke(String addOn, String id, Map<String, Value> arguments) {
    if (dialog != null) {
      return new Reply.Refused("no open dialog", "the dialog \"" + dialog.view().title() + "\"");
    }
    Optional<Action> action =
        actions.stream()
            .filter(a -> a.facts().from().name().equals(addOn) && a.facts().id().equals(id))
            .findFirst();
    if (action.isEmpty()) {
      return undescribed(Facts.Aspect.ADD_ONS, "action " + addOn + ": " + id, "")
          .orElseGet(() -> new Reply.Refused("an action of " + addOn, "no \"" + id + "\""));
    }
    for (Parameter p : action.get().facts().parameters()) {
      try {
        p.kind().check(arguments.get(p.name()));
      } catch (ValueException e) {
        return new Reply.Refused(p.name() + ": " + e.allowed(), e.found());
      }
    }
    return action.get().does().apply(arguments);
  }

  @Override
  public final Optional<Dialog> dialog() {
    return Optional.ofNullable(dialog).map(OpenDialog::view);
  }

  @Override
  public final Reply fill(String field, String text) {
    if (dialog == null) {
      return undescribed(Facts.Aspect.DIALOGS, "field " + field, text)
          .orElseGet(
              () ->
                  new Reply.Refused(
                      "an open dialog with the field \"" + field + "\"", "no dialog"));
    }
    return switch (dialog.filled(field, text)) {
      case OpenDialog.Filled.With(OpenDialog next, Change change) -> {
        dialog = next;
        yield new Reply.Done(List.of(change));
      }
      case OpenDialog.Filled.Not(Reply.Refused refused) -> refused;
    };
  }

  @Override
  public final Reply press(String button) {
    if (dialog == null) {
      return undescribed(Facts.Aspect.DIALOGS, "button " + button, "")
          .orElseGet(
              () ->
                  new Reply.Refused(
                      "an open dialog with the button \"" + button + "\"", "no dialog"));
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
    return settings.values();
  }

  @Override
  public final Reply change(String setting, Value value) {
    return undescribed(Facts.Aspect.SETTINGS, "setting " + setting, value.shown())
        .orElseGet(() -> settings.change(setting, value));
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
  public abstract StandIn<D> copy();

  @Override
  public final Reply adjust(String name, Step.Adjusting way, Value.Quantity to, Step.Edge edge) {
    Value.Quantity now = values().get(name);
    if (now == null) {
      return undescribed(
              Facts.Aspect.VALUES,
              "value " + name,
              (way == Step.Adjusting.TO ? "" : "by ") + to.shown())
          .orElseGet(
              () -> new Reply.Refused("something selected to adjust", "no \"" + name + "\""));
    }
    Kind.Measure range = adjustable.get(name);
    if (to.scale() != range.least().scale()) {
      return new Reply.Refused("an amount in " + range.least().scale().symbol(), to.shown());
    }
    Value.Quantity wanted = way == Step.Adjusting.TO ? to : now.plus(to);
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
    Optional<List<String>> found = Groups.of(this, whom);
    if (found.isEmpty()) {
      return new Reply.Refused(Groups.wanted(whom), "none");
    }
    List<String> names = new ArrayList<>(adding ? selected() : List.of());
    found.get().stream().filter(n -> !names.contains(n)).forEach(names::add);
    return become(selecting(names));
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
      return new Reply.Refused("an offset by rows only", Counted.of(columns, "column"));
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
    if (!name.isEmpty() && !names().contains(name) && !panes().contains(name)) {
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

  /** The contexts that one is in by having the pointer over them. */
  protected List<String> panes() {
    return List.of();
  }

  /** The one of {@link #panes} that the pointer is over; empty for none. */
  public final String pane() {
    return panes().contains(pointer) ? pointer : "";
  }

  /** The state with the focus in this context and the pointer where it is. */
  protected final Place within(String focus) {
    return pane().isEmpty()
        ? new Place.Within(application, focus)
        : new Place.Over(application, focus, pane());
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
    return settings.pending(waitsFor());
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
    return settings.takeUp();
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
    settings.describe(state);
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
