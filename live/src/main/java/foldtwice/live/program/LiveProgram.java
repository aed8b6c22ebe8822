package foldtwice.live.program;

import foldtwice.describe.Description;
import foldtwice.describe.Does;
import foldtwice.known.Facts;
import foldtwice.live.bus.Bus;
import foldtwice.live.bus.BusException;
import foldtwice.live.bus.Late;
import foldtwice.live.bus.Ref;
import foldtwice.live.bus.Seen;
import foldtwice.live.display.Display;
import foldtwice.live.say.Say;
import foldtwice.place.Application;
import foldtwice.place.Place;
import foldtwice.routine.Step;
import foldtwice.routine.Value;
import foldtwice.routine.Whom;
import foldtwice.run.Dialog;
import foldtwice.run.Program;
import foldtwice.run.Reply;
import foldtwice.trigger.Press;
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

  private final long process;
  private final Application application;
  private final Facts facts;
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
  private final Closing closing;
  private final Commanding commands;
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
    this.process = bus.process(root);
    this.application = application;
    this.facts = facts;
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
    this.closing = new Closing(process, windows, display);
    this.commands =
        new Commanding(
            bus,
            process,
            application,
            description,
            facts.labels(),
            display,
            choosing,
            windows,
            menus,
            looking);
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
    return Late.waitedFor(READS, windows::dialog, Optional::isPresent).isPresent();
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
    return asked.reply(() -> commands.has(menuPath));
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
    return asked.reply(() -> commands.choose(menuPath));
  }

  @Override
  public boolean ticked(List<String> menuPath) {
    return asked.or(false, () -> menus.ticked(facts.labels().of(menuPath)));
  }

  @Override
  public Reply fire(String command) {
    return asked.reply(() -> commands.fire(command));
  }

  /**
   * Sends keys as if they were pressed, if one of its windows has the keys.
   *
   * @param presses one after the other
   */
  public Reply strike(List<Press> presses) {
    return asked.reply(() -> commands.strike(presses));
  }

  @Override
  public Reply again() {
    return new Reply.Refused(Say.text("offers", application.name()), Say.text("again"));
  }

  @Override
  public Reply type(String text) {
    return asked.reply(
        () -> {
          Optional<Seen> at =
              Late.waitedFor(
                  () -> windows.dialog().isPresent() ? Optional.<Seen>empty() : page.find(),
                  Optional::isPresent);
          return at.isEmpty()
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
          String label = facts.labels().of(button);
          Optional<Seen> found =
              Late.waitedFor(() -> dialogs.button(label), b -> b.filter(Seen::isReady).isPresent());
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
    return asked.reply(closing::close);
  }

  @Override
  public Map<String, Value> settings() {
    return asked.or(Map.of(), () -> ticks.values(menus));
  }

  @Override
  public Reply change(String setting, Value value) {
    return asked.reply(() -> ticks.change(setting, value.shown(), menus, this::choose));
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
    return asked.reply(() -> dials.adjust(value, way, to, edge, looking));
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
