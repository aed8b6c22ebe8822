package foldtwice.live.program;

import foldtwice.describe.Description;
import foldtwice.describe.Does;
import foldtwice.describe.While;
import foldtwice.known.Facts;
import foldtwice.live.bus.Bus;
import foldtwice.live.bus.BusException;
import foldtwice.live.bus.Label;
import foldtwice.live.bus.Mark;
import foldtwice.live.bus.Ref;
import foldtwice.live.bus.Role;
import foldtwice.live.bus.Seen;
import foldtwice.live.display.Display;
import foldtwice.live.say.Say;
import foldtwice.live.survey.Way;
import foldtwice.place.Application;
import foldtwice.place.Context;
import foldtwice.place.NativeCommand;
import foldtwice.place.Place;
import foldtwice.routine.Scale;
import foldtwice.routine.Step;
import foldtwice.routine.Value;
import foldtwice.routine.Whom;
import foldtwice.run.Change;
import foldtwice.run.Dialog;
import foldtwice.run.Program;
import foldtwice.run.Reply;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Press;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/**
 * A running program, worked through the accessibility interface. What a description says of it is
 * used to find things; what it then is, is looked at each time. A program that does not answer
 * within {@link Bus#LIMIT} refuses, and nothing is done twice.
 *
 * <p>Its own undo is used: {@link #undo} presses it until the text is what it was before the last
 * run, and tells how often.
 */
public final class LiveProgram implements Program {

  /** How long a step waits to see what came of it, in milliseconds. */
  private static final long SETTLES = 40;

  /** How long a dialog that a command is known to open may take, in milliseconds. */
  private static final long OPENS = 2_000;

  /** So often its own undo is pressed at most to take a run back. */
  private static final int MOST_UNDONE = 200;

  private final Bus bus;
  private final Ref root;
  private final long process;
  private final Application application;
  private final Description description;
  private final Facts facts;
  private final Optional<Display> display;
  private final Choosing choosing;
  private final Windows windows;
  private final Menus menus;
  private final Dialogs dialogs;
  private final Page page;
  private final Ticks ticks;
  private final Map<String, Ref> dials = new HashMap<>();
  private Optional<String> dialogBefore = Optional.empty();
  private Optional<String> textBefore = Optional.empty();
  private boolean ran;

  /** It did not answer when it was looked at; the next step says so. */
  private volatile boolean silent;

  /**
   * @param root of the program on the bus
   * @param facts what is known of it, for what is checked before a run
   * @param display where keys can be sent; empty where there is none
   */
  public LiveProgram(
      Bus bus,
      Ref root,
      Application application,
      Description description,
      Facts facts,
      Optional<Display> display)
      throws BusException {
    this.bus = bus;
    this.root = root;
    this.process = bus.process(root);
    this.application = application;
    this.description = description;
    this.facts = facts;
    this.display = display;
    this.choosing = new Choosing(bus, process, display);
    this.windows = new Windows(bus, root);
    this.menus = new Menus(bus, windows);
    this.dialogs = new Dialogs(bus, windows);
    this.page = new Page(bus, windows);
    this.ticks = new Ticks(application, description);
  }

  /**
   * Has a program open a dialog by choosing a menu item; waits for it.
   *
   * @return false when there is no such item, or no dialog comes
   */
  public static boolean opening(Bus bus, Ref root, List<String> menuPath, Optional<Display> display)
      throws BusException {
    Windows windows = new Windows(bus, root);
    if (!(new Menus(bus, windows).find(menuPath) instanceof Menus.Found.Item(Seen item))
        || !item.isReady()) {
      return false;
    }
    new Choosing(bus, bus.process(root), display).choose(item, true);
    long end = System.nanoTime() + OPENS * 1_000_000;
    while (windows.dialog().isEmpty() && System.nanoTime() < end) {
      Menus.pause();
    }
    return windows.dialog().isPresent();
  }

  /** Closes the dialog a program has open, without doing anything; what came of it. */
  public static Reply closing(Bus bus, Ref root, Optional<Display> display) throws BusException {
    Application any = Application.unknown(root.bus());
    return new LiveProgram(bus, root, any, Description.none(any.id()), Elsewhere.NOTHING, display)
        .cancel();
  }

  /** Something that asks the program. */
  private interface Asking<T> {
    T ask() throws BusException;
  }

  private Reply reply(Asking<Reply> what) {
    if (silent) { // it did not answer a moment ago: what it is told now it might do late
      silent = false;
      return refused(new BusException(BusException.Why.SILENT, ""));
    }
    try {
      return what.ask();
    } catch (BusException e) {
      return refused(e);
    }
  }

  private Reply.Refused refused(BusException e) {
    return switch (e.why()) {
      case SILENT ->
          new Reply.Refused(
              Say.text("answer", application.name(), Bus.LIMIT / 1000), Say.text("silent"));
      case GONE, NO_BUS ->
          new Reply.Refused(
              Say.text("running", application.name()),
              Say.text(isRunning() ? "gonepart" : "ended"));
      case REFUSED -> new Reply.Refused(Say.text("offers", application.name()), e.getMessage());
    };
  }

  /** What is asked, or this where the program does not tell. */
  private <T> T or(T otherwise, Asking<T> what) {
    if (silent) {
      return otherwise;
    }
    try {
      return what.ask();
    } catch (BusException e) {
      silent = e.why() == BusException.Why.SILENT;
      return otherwise;
    }
  }

  /** True while it is on the bus. */
  public boolean isRunning() {
    return or(false, () -> bus.programs().stream().anyMatch(s -> s.ref().equals(root)));
  }

  /** The number of its process. */
  public long process() {
    return process;
  }

  /** True while one of its windows has the keys. */
  public boolean isFront() {
    return or(false, windows::isFront);
  }

  /** What it is called in the library. */
  public String name() {
    return application.name();
  }

  /** True when a ticked item of its menus is this setting. */
  boolean isSetting(String name) {
    return ticks.settings().containsKey(name);
  }

  /** Whether a menu item is there, without choosing it. */
  Reply has(List<String> menuPath) {
    return reply(
        () ->
            menus.find(there(menuPath)) instanceof Menus.Found.Not(String expected, String found)
                ? new Reply.Refused(expected, found)
                : Reply.QUIET);
  }

  /** The title of its window. */
  public String title() {
    return or("", windows::title);
  }

  @Override
  public String application() {
    return application.id();
  }

  @Override
  public Facts facts() {
    return facts;
  }

  @Override
  public Place place() {
    return or(anywhere(), this::placeNow);
  }

  private Place anywhere() {
    return first(false).map(this::within).orElseGet(() -> new Place.Whole(application.id()));
  }

  private Place placeNow() throws BusException {
    Optional<Seen> dialog = windows.dialog();
    if (dialog.isPresent()) {
      for (Description.State s : description.states()) {
        if (s.holds() instanceof While.DialogOpen open
            && open.fits(facts.labels().back().of(dialog.get().name()))) {
          return within(s.context());
        }
      }
    }
    boolean writing = dialog.isEmpty() && page.find().filter(s -> s.is(Mark.FOCUSED)).isPresent();
    return writing ? first(true).map(this::within).orElseGet(this::anywhere) : anywhere();
  }

  private Place within(String context) {
    return new Place.Within(application.id(), context);
  }

  /** The first context that one can be in, with text or without, and without more being so. */
  private Optional<String> first(boolean text) {
    List<Context> all =
        application.allContexts().stream()
            .filter(c -> !c.groupOnly() && !application.isByPointer(c.id()))
            .filter(c -> description.states().stream().noneMatch(s -> s.context().equals(c.id())))
            .toList();
    return all.stream()
        .filter(c -> c.takesText() == text)
        .findFirst()
        .or(() -> all.stream().findFirst())
        .map(Context::id);
  }

  @Override
  public Reply enter(Place state) {
    return reply(
        () -> {
          if (placeNow().equals(state)) {
            return Reply.QUIET;
          }
          Optional<Context> context =
              state instanceof Place.Within(String id, String c) && id.equals(application.id())
                  ? application.context(c)
                  : Optional.empty();
          if (context.filter(Context::takesText).isPresent()) {
            Optional<Seen> text = page.find();
            if (text.isPresent() && bus.focus(text.get().ref())) {
              return Reply.QUIET;
            }
          }
          return new Reply.Refused(Say.text("place", state.id()), placeNow().id());
        });
  }

  @Override
  public Reply choose(List<String> menuPath) {
    return reply(
        () -> {
          Optional<Seen> dialog = windows.dialog();
          if (dialog.filter(d -> d.is(Mark.MODAL)).isPresent()) {
            return new Reply.Refused(Say.text("nodialog"), Say.text("isopen", dialog.get().name()));
          }
          Menus.Found found = menus.find(there(menuPath));
          return switch (found) {
            case Menus.Found.Not(String expected, String what) -> new Reply.Refused(expected, what);
            case Menus.Found.Item(Seen item) when !item.isReady() ->
                new Reply.Refused(
                    Say.text("item", String.join(" \u203a ", menuPath)), Say.text("greyed"));
            case Menus.Found.Item(Seen item) ->
                doing(() -> choosing.choose(item, opens(menuPath)), opens(menuPath));
          };
        });
  }

  /** A menu path in the language in which the program is here. */
  private List<String> there(List<String> menuPath) {
    return facts.labels().of(menuPath);
  }

  /** True when a command is known to open a dialog. */
  private boolean opens(List<String> path) {
    return application
        .commandAt(path)
        .flatMap(
            c -> description.commands().stream().filter(d -> d.id().equals(c.id())).findFirst())
        .filter(d -> !d.opens().isEmpty())
        .isPresent();
  }

  /** Something that is told to the program. */
  private interface Telling {
    void tell() throws BusException;
  }

  /** Does something, and waits until what comes of it is seen, or nothing does. */
  private Reply doing(Telling what, boolean opens) throws BusException {
    Map<String, String> before = look();
    String dialog = before.getOrDefault(DIALOG, "");
    what.tell();
    long end = System.nanoTime() + (opens ? OPENS : SETTLES) * 1_000_000;
    Map<String, String> after = look();
    while (System.nanoTime() < end
        && (opens ? after.getOrDefault(DIALOG, "").equals(dialog) : after.equals(before))) {
      Thread.onSpinWait();
      after = look();
    }
    if (!after.equals(before)) {
      Map<String, String> again = look(); // what comes in two parts is told as one
      after = again;
    }
    return new Reply.Done(changes(before, after));
  }

  private static final String DIALOG = "window dialog";
  private static final String TEXT = "text";

  /** What can be told of its state in a few calls. */
  private Map<String, String> look() throws BusException {
    Map<String, String> state = new LinkedHashMap<>();
    windows.dialog().ifPresent(d -> state.put(DIALOG, d.name()));
    if (!state.containsKey(DIALOG)) {
      page.text().ifPresent(t -> state.put(TEXT, t));
      for (var s : ticks.settings().values()) {
        state.put("setting " + s.name(), option(s));
      }
      for (Description.Adjustable v : description.values()) {
        Optional<Ref> dial = dial(v.name());
        if (dial.isPresent()) {
          Bus.Range r = bus.range(dial.get());
          state.put("value " + v.name(), quantity(r).shown());
        }
      }
    }
    return state;
  }

  private static List<Change> changes(Map<String, String> before, Map<String, String> after) {
    List<Change> changes = new ArrayList<>();
    Map<String, String> all = new LinkedHashMap<>(before);
    all.putAll(after);
    for (String what : all.keySet()) {
      boolean hidden =
          !what.equals(DIALOG)
              && (before.containsKey(DIALOG) || after.containsKey(DIALOG))
              && !(before.containsKey(what) && after.containsKey(what));
      String old = before.getOrDefault(what, "");
      String now = after.getOrDefault(what, "");
      if (!hidden && !old.equals(now)) {
        changes.add(what.equals(TEXT) ? Excerpt.of(what, old, now) : new Change(what, old, now));
      }
    }
    return changes;
  }

  @Override
  public boolean ticked(List<String> menuPath) {
    return or(false, () -> menus.ticked(there(menuPath)));
  }

  @Override
  public Reply fire(String command) {
    Optional<NativeCommand> known = application.command(command);
    if (known.isEmpty()) {
      return new Reply.Refused(Say.text("command", application.name()), command);
    }
    NativeCommand c = known.get();
    if (!c.menuPath().isEmpty()) {
      return choose(c.menuPath());
    }
    return reply(
        () -> {
          for (Seen window : windows.mainFirst()) {
            Seen.Tree tree = bus.tree(window.ref(), s -> s.role() != Role.MENU_BAR, 2_000);
            Optional<Seen> button =
                tree.all()
                    .filter(s -> s.role() == Role.PUSH_BUTTON || s.role() == Role.TOGGLE_BUTTON)
                    .filter(s -> Label.same(s.name(), c.name()))
                    .findFirst();
            if (button.isPresent()) {
              return button.get().isReady()
                  ? doing(() -> bus.act(button.get().ref()), false)
                  : new Reply.Refused(Say.text("button", c.name()), Say.text("greyed"));
            }
          }
          return strikeFirst(c);
        });
  }

  private Reply strikeFirst(NativeCommand c) throws BusException {
    for (Trigger t : c.triggers()) {
      if (t instanceof Trigger.Keys(List<Stroke> strokes) && strokes.size() == 1) {
        return new Reply.Refused(Say.text("button", c.name()), Say.text("onlykeys", c.name()));
      }
    }
    return new Reply.Refused(Say.text("button", c.name()), Say.text("notthere"));
  }

  /**
   * Sends keys as if they were pressed, if one of its windows has the keys.
   *
   * @param presses one after the other
   */
  public Reply strike(List<Press> presses) {
    return reply(
        () -> {
          if (display.isEmpty()) {
            return new Reply.Refused(Say.text("display"), Say.text("none"));
          }
          Optional<Display.Window> front = display.get().front();
          if (front.filter(w -> w.process() == process).isEmpty()) {
            return new Reply.Refused(
                Say.text("infront", application.name()),
                front.map(Display.Window::title).orElse(Say.text("none")));
          }
          display.get().release();
          return doing(() -> presses.forEach(display.get()::strike), false);
        });
  }

  @Override
  public Reply again() {
    return new Reply.Refused(Say.text("offers", application.name()), Say.text("again"));
  }

  @Override
  public Reply type(String text) {
    return reply(
        () -> {
          Optional<Seen> at = page.find();
          if (windows.dialog().isPresent() || at.isEmpty()) {
            return new Reply.Refused(Say.text("textfield"), place().id());
          }
          Ref into = at.get().ref();
          return doing(
              () -> {
                Optional<int[]> selected = bus.selection(into);
                if (selected.isPresent()) {
                  bus.delete(into, selected.get()[0], selected.get()[1]);
                }
                bus.insert(into, bus.caret(into), text);
              },
              false);
        });
  }

  @Override
  public Optional<Dialog> dialog() {
    return or(Optional.empty(), dialogs::dialog);
  }

  @Override
  public Reply fill(String field, String text) {
    return reply(() -> dialogs.fill(facts.labels().of(field), text));
  }

  @Override
  public Reply press(String button) {
    return reply(
        () -> {
          Optional<Seen> found = dialogs.button(facts.labels().of(button));
          if (found.isEmpty()) {
            List<String> there = dialogs.buttons();
            return new Reply.Refused(
                Say.text("button", button),
                there.isEmpty() ? Say.text("none") : String.join(", ", there));
          }
          return found.get().isReady()
              ? doing(() -> bus.act(found.get().ref()), false)
              : new Reply.Refused(Say.text("button", button), Say.text("greyed"));
        });
  }

  @Override
  public Reply finish() {
    return dialog()
        .map(d -> d.buttons().isEmpty() ? cancel() : press(d.buttons().getFirst()))
        .orElse(Reply.QUIET);
  }

  @Override
  public Reply cancel() {
    return reply(
        () -> {
          Optional<Seen> open = windows.dialog();
          if (open.isEmpty()) {
            return Reply.QUIET;
          }
          String title = open.get().name();
          if (display.isPresent()) {
            Optional<Display.Window> mine =
                display.get().windows().stream()
                    .filter(w -> w.process() == process && w.title().equals(title))
                    .findFirst();
            mine.ifPresent(display.get()::raise);
            long end = System.nanoTime() + OPENS * 1_000_000 / 2;
            while (mine.isPresent() && System.nanoTime() < end) {
              Optional<Display.Window> front = display.get().front();
              if (front.equals(mine)) {
                display.get().strike(Press.of(KeyCode.ESCAPE));
                break;
              }
              Menus.pause();
            }
          }
          long end = System.nanoTime() + OPENS * 1_000_000 / 2;
          while (windows.dialog().filter(d -> d.ref().equals(open.get().ref())).isPresent()) {
            if (System.nanoTime() > end) {
              return new Reply.Refused(Say.text("closed", title), Say.text("isopen", title));
            }
            Menus.pause();
          }
          return new Reply.Done(List.of(new Change(DIALOG, title, "")));
        });
  }

  private String option(Ticks.Setting s) throws BusException {
    for (Ticks.Item item : s.items()) {
      if (menus.ticked(there(item.path()))) {
        return item.option();
      }
    }
    return s.off();
  }

  @Override
  public Map<String, Value> settings() {
    return or(
        Map.of(),
        () -> {
          Map<String, Value> all = new LinkedHashMap<>();
          for (Ticks.Setting s : ticks.settings().values()) {
            all.put(s.name(), new Value.Text(option(s)));
          }
          return all;
        });
  }

  @Override
  public Reply change(String setting, Value value) {
    Ticks.Setting known = ticks.settings().get(setting);
    if (known == null) {
      return new Reply.Refused(Say.text("setting"), setting);
    }
    String wanted = value.shown();
    return reply(
        () -> {
          if (option(known).equals(wanted)) {
            return Reply.QUIET;
          }
          for (Ticks.Item item : known.items()) {
            if (item.option().equals(wanted) || (known.turns() && known.off().equals(wanted))) {
              return choose(item.path());
            }
          }
          return new Reply.Refused(
              Say.text(
                  "oneof",
                  setting,
                  String.join(", ", known.items().stream().map(Ticks.Item::option).toList())),
              wanted);
        });
  }

  @Override
  public Map<String, Value> indicators() {
    return Map.of();
  }

  private Optional<Ref> dial(String name) throws BusException {
    Ref known = dials.get(name);
    if (known != null && !bus.look(List.of(known)).isEmpty()) {
      return Optional.of(known);
    }
    dials.remove(name);
    for (Seen window : windows.mainFirst()) {
      Seen.Tree tree =
          bus.tree(window.ref(), s -> s.role() != Role.MENU_BAR && !s.role().isText(), 2_000);
      tree.all()
          .filter(s -> s.role().isValue() && s.offers("Value"))
          .forEach(s -> dials.putIfAbsent(s.name(), s.ref()));
    }
    return Optional.ofNullable(dials.get(name));
  }

  private static Value.Quantity quantity(Bus.Range r) {
    return new Value.Quantity(new Way(r.least(), r.most()).percent(r.now()), Scale.PERCENT);
  }

  @Override
  public Map<String, Value.Quantity> values() {
    return or(
        Map.of(),
        () -> {
          Map<String, Value.Quantity> all = new LinkedHashMap<>();
          for (Description.Adjustable v : description.values()) {
            Optional<Ref> dial = dial(v.name());
            if (dial.isPresent()) {
              all.put(v.name(), quantity(bus.range(dial.get())));
            }
          }
          return all;
        });
  }

  @Override
  public Reply adjust(String value, Step.Adjusting way, Value.Quantity to, Step.Edge edge) {
    return reply(
        () -> {
          Optional<Ref> dial =
              description.values().stream().anyMatch(v -> v.name().equals(value))
                  ? dial(value)
                  : Optional.empty();
          if (dial.isEmpty()) {
            return new Reply.Refused(Say.text("value"), value);
          }
          if (to.scale() != Scale.PERCENT) {
            return new Reply.Refused(Say.text("percent"), to.shown());
          }
          Bus.Range range = bus.range(dial.get());
          Value.Quantity wanted = way == Step.Adjusting.TO ? to : quantity(range).plus(to);
          double at = new Way(range.least(), range.most()).at(wanted.amount());
          if (at < range.least() || at > range.most()) {
            if (edge != Step.Edge.CLAMP) {
              return new Reply.Refused(Say.text("within", value, "0 %", "100 %"), wanted.shown());
            }
            at = Math.clamp(at, range.least(), range.most());
          }
          double target = at;
          return doing(() -> bus.set(dial.get(), target), false);
        });
  }

  @Override
  public List<String> selected() {
    String text = selectedText();
    return text.isEmpty() ? List.of() : List.of(text);
  }

  @Override
  public String selectedText() {
    return or(
        "",
        () -> {
          Optional<Seen> at = page.find();
          if (at.isEmpty()) {
            return "";
          }
          Optional<int[]> selected = bus.selection(at.get().ref());
          if (selected.isEmpty()) {
            return "";
          }
          String text = bus.text(at.get().ref());
          int from = text.offsetByCodePoints(0, selected.get()[0]);
          return text.substring(
              from, text.offsetByCodePoints(from, selected.get()[1] - selected.get()[0]));
        });
  }

  @Override
  public Reply select(int rows, int columns, Step.Edge edge) {
    return new Reply.Refused(Say.text("offers", application.name()), Say.text("moving"));
  }

  @Override
  public Reply select(Whom.Group whom, boolean adding) {
    return reply(
        () -> {
          Optional<Seen> at = page.find();
          boolean can = whom == Whom.Group.ALL || whom == Whom.Group.NOTHING;
          if (!can || at.isEmpty()) {
            return new Reply.Refused(Say.text("offers", application.name()), Say.text("selecting"));
          }
          String before = selectedText();
          Ref text = at.get().ref();
          if (whom == Whom.Group.ALL) {
            bus.select(text, 0, bus.length(text));
          } else {
            int caret = bus.caret(text);
            bus.select(text, caret, caret);
          }
          return selection(before);
        });
  }

  private Reply selection(String before) {
    String after = selectedText();
    return before.equals(after)
        ? Reply.QUIET
        : new Reply.Done(List.of(Excerpt.of("selection", before, after)));
  }

  /**
   * Selects the next place in its text where this is written, from the beginning after the last.
   */
  @Override
  public Reply selectNamed(String name, boolean adding) {
    return reply(
        () -> {
          Optional<Seen> at = page.find();
          if (at.isEmpty() || adding || name.isEmpty()) {
            return new Reply.Refused(Say.text("offers", application.name()), Say.text("selecting"));
          }
          Ref into = at.get().ref();
          String text = bus.text(into);
          int from =
              text.offsetByCodePoints(
                  0, Math.min(bus.caret(into), text.codePointCount(0, text.length())));
          int found = text.indexOf(name, from);
          found = found < 0 ? text.indexOf(name) : found;
          if (found < 0) {
            return new Reply.Refused(Say.text("written", name), Say.text("notthere"));
          }
          String before = selectedText();
          int start = text.codePointCount(0, found);
          bus.select(into, start, start + name.codePointCount(0, name.length()));
          return selection(before);
        });
  }

  @Override
  public Reply click(String name, boolean adding) {
    return new Reply.Refused(Say.text("offers", application.name()), Say.text("pointing"));
  }

  @Override
  public Reply point(String name) {
    return new Reply.Refused(Say.text("offers", application.name()), Say.text("pointing"));
  }

  @Override
  public void beginRun() {
    dialogBefore = or(Optional.empty(), () -> windows.dialog().map(Seen::name));
    textBefore = or(Optional.empty(), page::text);
    ran = true;
  }

  @Override
  public void endRun() {
    Optional<String> open = or(Optional.empty(), () -> windows.dialog().map(Seen::name));
    if (open.isPresent() && dialogBefore.isEmpty()) {
      cancel();
    }
  }

  @Override
  public Reply undo() {
    return back(new Does.Undoes(), "z", textBefore);
  }

  @Override
  public Reply redo() {
    return back(new Does.Redoes(), "y", Optional.empty());
  }

  /**
   * Presses its own undo: until the text is as before the last run, or once where that cannot be
   * told.
   */
  private Reply back(Does what, String letter, Optional<String> until) {
    Optional<List<String>> path = path(what, letter);
    if (path.isEmpty()) {
      return new Reply.Refused(Say.text("offers", application.name()), Say.text("undoing"));
    }
    return reply(
        () -> {
          Map<String, String> before = look();
          int times = 0;
          Optional<String> now = page.text();
          boolean told = until.isPresent() && now.isPresent() && !now.equals(until);
          do {
            Reply reply = choose(path.get());
            if (reply instanceof Reply.Refused && times == 0) {
              return reply;
            }
            if (reply instanceof Reply.Refused) {
              break;
            }
            times++;
            now = page.text();
          } while (told && !Objects.equals(now, until) && times < MOST_UNDONE);
          List<Change> changes = new ArrayList<>(changes(before, look()));
          changes.add(new Change("undo", "", Say.text("times", times)));
          boolean back = !told || Objects.equals(now, until);
          return back
              ? new Reply.Done(changes)
              : new Reply.Refused(Say.text("asbefore"), Say.text("notafter", times));
        });
  }

  private Optional<List<String>> path(Does what, String letter) {
    Optional<List<String>> said =
        description.commands().stream()
            .filter(c -> c.does().contains(what))
            .flatMap(c -> application.command(c.id()).stream())
            .map(NativeCommand::menuPath)
            .filter(p -> !p.isEmpty())
            .findFirst();
    Trigger usual =
        new Trigger.Keys(
            List.of(Stroke.making(letter.codePointAt(0), foldtwice.trigger.Modifier.CTRL)));
    return said.or(
        () ->
            application.commands().stream()
                .filter(c -> c.byDefault().contains(usual) && !c.menuPath().isEmpty())
                .map(NativeCommand::menuPath)
                .findFirst());
  }

  /** One for the last run; how many steps of its own that is, is told when it is taken back. */
  @Override
  public int undoDepth() {
    return ran ? 1 : 0;
  }

  @Override
  public List<String> pending() {
    return List.of();
  }

  @Override
  public Reply restart() {
    return new Reply.Refused(Say.text("byhand", application.name()), Say.text("restarting"));
  }

  /** There is only the one. */
  @Override
  public Program copy() {
    throw new UnsupportedOperationException("a running program cannot be copied");
  }

  @Override
  public Map<String, String> state() {
    return or(Map.of(), this::look);
  }
}
