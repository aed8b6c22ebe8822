package foldtwice.standin.base;

import foldtwice.known.Effects;
import foldtwice.known.Facts;
import foldtwice.place.AddOn;
import foldtwice.routine.Kind;
import foldtwice.routine.Value;
import foldtwice.routine.Whom;
import foldtwice.run.Change;
import foldtwice.run.Reply;
import foldtwice.run.Simulated;
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
import java.util.regex.Pattern;

/**
 * What a stand-in says of itself before anything is done with it: its commands, the dialogs they
 * open, its settings, adjustable values and what its add-ons can do. What is known of it follows.
 */
public abstract class Declared implements Simulated {

  /** Separates the labels of a menu path. */
  public static final String UNDER = " \u203a ";

  private static final Pattern BETWEEN = Pattern.compile(UNDER, Pattern.LITERAL);

  /** What an add-on can do. */
  record Action(Facts.Action facts, Function<Map<String, Value>, Reply> does) {}

  private final String application;
  private final Edition edition;
  private final Commands commands = new Commands();
  private final Map<String, Supplier<OpenDialog>> dialogs = new LinkedHashMap<>();
  private final Settings settings = new Settings();
  private final Map<String, Kind.Measure> adjustable = new LinkedHashMap<>();
  private final List<Action> actions = new ArrayList<>();
  private Facts facts;

  Declared(String application, Edition edition) {
    this.application = application;
    this.edition = edition;
  }

  final Commands commands() {
    return commands;
  }

  /** What its settings are set to. */
  final Settings given() {
    return settings;
  }

  /** What an adjustable value may be; null where there is no such value. */
  final Kind.Measure range(String value) {
    return adjustable.get(value);
  }

  final Optional<Action> action(String addOn, String id) {
    return actions.stream()
        .filter(a -> a.facts().from().name().equals(addOn) && a.facts().id().equals(id))
        .findFirst();
  }

  abstract Reply open(OpenDialog opened);

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
    return menu.isEmpty() ? List.of() : List.of(BETWEEN.split(menu));
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

  /** The kinds of which it has nothing but what it says: see {@link Facts#tells}. */
  protected Set<Facts.Aspect> told() {
    return EnumSet.allOf(Facts.Aspect.class);
  }

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

  public final Edition edition() {
    return edition;
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
  public final boolean ticked(List<String> menuPath) {
    return commands.ticked(menuPath);
  }

  @Override
  public Map<String, Value> indicators() {
    return Map.of();
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

  /** A list to collect changes in. */
  protected static List<Change> changes() {
    return new ArrayList<>();
  }
}
