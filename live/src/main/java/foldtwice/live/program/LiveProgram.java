package foldtwice.live.program;

import foldtwice.describe.Description;
import foldtwice.describe.Does;
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
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
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

  /** How long a dialog that is to be read may take, in milliseconds. */
  private static final long READS = 8_000;

  /** How long a dialog may take to come to the front and to close, in milliseconds. */
  private static final long CLOSES = 10_000;

  /** How long after one try to close it the next one follows, in milliseconds. */
  private static final long AGAIN = 400;

  private final Bus bus;
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
  private final Asked asked;
  private final Dials dials;
  private final Looking looking;
  private final Writing writing;
  private final Spot spot;
  private final Undoing undoing;
  private Optional<String> dialogBefore = Optional.empty();
  private Optional<String> textBefore = Optional.empty();
  private boolean ran;

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
    this.ticks = new Ticks(application, description, facts.labels());
    this.asked = new Asked(bus, root, application.name());
    this.dials = new Dials(bus, windows, description.values());
    this.looking = new Looking(windows, page, ticks, menus, dials);
    this.writing = new Writing(bus, page, looking, application.name());
    this.spot = new Spot(bus, application, description, facts.labels(), windows, page);
    this.undoing = new Undoing(application, description, page, looking);
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
    long end = System.nanoTime() + READS * 1_000_000;
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

  /** True while it is on the bus. */
  public boolean isRunning() {
    return asked.isRunning();
  }

  /** The number of its process. */
  public long process() {
    return process;
  }

  /** True while one of its windows has the keys. */
  public boolean isFront() {
    return asked.or(false, windows::isFront);
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
    return asked.reply(
        () ->
            menus.find(there(menuPath)) instanceof Menus.Found.Not(String expected, String found)
                ? new Reply.Refused(expected, found)
                : Reply.QUIET);
  }

  /** The title of its window. */
  public String title() {
    return asked.or("", windows::title);
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
    return asked.or(spot.anywhere(), spot::now);
  }

  @Override
  public Reply enter(Place state) {
    return asked.reply(() -> spot.enter(state));
  }

  @Override
  public Reply choose(List<String> menuPath) {
    return asked.reply(
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
                looking.doing(() -> choosing.choose(item, opens(menuPath)), opens(menuPath));
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

  @Override
  public boolean ticked(List<String> menuPath) {
    return asked.or(false, () -> menus.ticked(there(menuPath)));
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
    return asked.reply(
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
                  ? looking.doing(() -> bus.act(button.get().ref()), false)
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
    return asked.reply(
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
          return looking.doing(() -> presses.forEach(display.get()::strike), false);
        });
  }

  @Override
  public Reply again() {
    return new Reply.Refused(Say.text("offers", application.name()), Say.text("again"));
  }

  @Override
  public Reply type(String text) {
    return asked.reply(
        () -> {
          Optional<Seen> at = page.find();
          return windows.dialog().isPresent() || at.isEmpty()
              ? new Reply.Refused(Say.text("textfield"), spot.now().id())
              : writing.type(at.get(), text);
        });
  }

  @Override
  public Optional<Dialog> dialog() {
    return asked.or(Optional.empty(), dialogs::dialog);
  }

  @Override
  public Reply fill(String field, String text) {
    return asked.reply(() -> dialogs.fill(facts.labels().of(field), text));
  }

  @Override
  public Reply press(String button) {
    return asked.reply(
        () -> {
          Optional<Seen> found = dialogs.button(facts.labels().of(button));
          if (found.isEmpty()) {
            List<String> there = dialogs.buttons();
            return new Reply.Refused(
                Say.text("button", button),
                there.isEmpty() ? Say.text("none") : String.join(", ", there));
          }
          return found.get().isReady()
              ? looking.doing(() -> choosing.push(found.get()), false)
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
    return asked.reply(
        () -> {
          Optional<Seen> open = windows.dialog();
          if (open.isEmpty()) {
            return Reply.QUIET;
          }
          String title = open.get().name();
          long end = System.nanoTime() + CLOSES * 1_000_000;
          long next = System.nanoTime();
          while (windows.dialog().filter(d -> d.ref().equals(open.get().ref())).isPresent()) {
            if (System.nanoTime() > end) {
              return new Reply.Refused(Say.text("closed", title), Say.text("isopen", title));
            }
            if (System.nanoTime() >= next && display.isPresent()) {
              escape(display.get(), title); // one that was not heard is lost: again
              next = System.nanoTime() + AGAIN * 1_000_000;
            }
            Menus.pause();
          }
          return new Reply.Done(List.of(new Change(Looking.DIALOG, title, "")));
        });
  }

  /** Presses Escape in a window that is in front, or brings it there. */
  private void escape(Display display, String title) throws BusException {
    Optional<Display.Window> mine =
        display.windows().stream()
            .filter(w -> w.process() == process && w.title().equals(title))
            .findFirst();
    if (mine.isPresent() && display.front().equals(mine)) {
      display.strike(Press.of(KeyCode.ESCAPE));
    } else {
      mine.ifPresent(display::raise);
    }
  }

  @Override
  public Map<String, Value> settings() {
    return asked.or(
        Map.of(),
        () -> {
          Map<String, Value> all = new LinkedHashMap<>();
          for (Ticks.Setting s : ticks.settings().values()) {
            all.put(s.name(), new Value.Text(ticks.option(s, menus)));
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
    return asked.reply(
        () -> {
          if (ticks.option(known, menus).equals(wanted)) {
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

  @Override
  public Map<String, Value.Quantity> values() {
    return asked.or(Map.of(), dials::values);
  }

  @Override
  public Reply adjust(String value, Step.Adjusting way, Value.Quantity to, Step.Edge edge) {
    return asked.reply(
        () -> {
          Optional<Ref> dial = dials.find(value);
          if (dial.isEmpty()) {
            return new Reply.Refused(Say.text("value"), value);
          }
          if (to.scale() != Scale.PERCENT) {
            return new Reply.Refused(Say.text("percent"), to.shown());
          }
          Bus.Range range = bus.range(dial.get());
          Value.Quantity wanted = way == Step.Adjusting.TO ? to : Dials.quantity(range).plus(to);
          double at = new Way(range.least(), range.most()).at(wanted.amount());
          if (at < range.least() || at > range.most()) {
            if (edge != Step.Edge.CLAMP) {
              return new Reply.Refused(Say.text("within", value, "0 %", "100 %"), wanted.shown());
            }
            at = Math.clamp(at, range.least(), range.most());
          }
          double target = at;
          return looking.doing(() -> bus.set(dial.get(), target), false);
        });
  }

  @Override
  public List<String> selected() {
    String text = selectedText();
    return text.isEmpty() ? List.of() : List.of(text);
  }

  @Override
  public String selectedText() {
    return asked.or("", writing::selected);
  }

  @Override
  public Reply select(int rows, int columns, Step.Edge edge) {
    return new Reply.Refused(Say.text("offers", application.name()), Say.text("moving"));
  }

  @Override
  public Reply select(Whom.Group whom, boolean adding) {
    return asked.reply(() -> writing.select(whom));
  }

  /**
   * Selects the next place in its text where this is written, from the beginning after the last.
   */
  @Override
  public Reply selectNamed(String name, boolean adding) {
    return adding
        ? new Reply.Refused(Say.text("offers", application.name()), Say.text("selecting"))
        : asked.reply(() -> writing.selectNext(name));
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
    dialogBefore = asked.or(Optional.empty(), () -> windows.dialog().map(Seen::name));
    textBefore = asked.or(Optional.empty(), page::text);
    ran = true;
  }

  @Override
  public void endRun() {
    Optional<String> open = asked.or(Optional.empty(), () -> windows.dialog().map(Seen::name));
    if (open.isPresent() && dialogBefore.isEmpty()) {
      cancel();
    }
  }

  @Override
  public Reply undo() {
    return asked.reply(() -> undoing.back(new Does.Undoes(), 'z', textBefore, this::choose));
  }

  @Override
  public Reply redo() {
    return asked.reply(() -> undoing.back(new Does.Redoes(), 'y', Optional.empty(), this::choose));
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

  @Override
  public Map<String, String> state() {
    return asked.or(Map.of(), looking::look);
  }
}
