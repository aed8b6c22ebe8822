package foldtwice.known;

import foldtwice.place.AddOn;
import foldtwice.place.Labels;
import foldtwice.routine.Kind;
import foldtwice.routine.Parameter;
import foldtwice.routine.Scale;
import foldtwice.routine.Whom;
import java.util.Collections;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What a program of one version, with the add-ons it has, offers to be worked.
 *
 * @param addOns those it has
 * @param settings by name, with what each may be
 * @param values the adjustable values by name, with their ranges
 * @param indicators what it shows and nobody can set, by name
 * @param windows further windows of its own, which can be started and brought to the front
 * @param selects the ways of selecting that mean something in it
 * @param actions what its add-ons can do that has no menu path
 * @param told the kinds of which it has nothing but what is listed: all, of a program that is
 *     known; of one that somebody described, those of which something is described
 * @param labels what its labels are in the language it is in, by how it is described
 */
public record Facts(
    String application,
    String version,
    Set<AddOn> addOns,
    List<Command> commands,
    List<Dialog> dialogs,
    Map<String, Kind> settings,
    Map<String, Kind.Measure> values,
    Set<String> indicators,
    Set<String> windows,
    Set<Whom.Group> selects,
    List<Action> actions,
    Set<Aspect> told,
    Labels labels) {

  /** Of a program of which nothing is known: nothing is held against anybody. */
  public static Facts unknown(String application) {
    return unknown(application, Labels.AS_DESCRIBED);
  }

  /** Of a program of which nothing is known but its labels. */
  public static Facts unknown(String application, Labels labels) {
    return new Facts(
        application,
        "",
        Set.of(),
        List.of(),
        List.of(),
        Map.of(),
        Map.of(),
        Set.of(),
        Set.of(),
        Set.of(),
        List.of(),
        Set.of(),
        labels);
  }

  /** A kind of thing a program offers. */
  public enum Aspect {
    COMMANDS,
    DIALOGS,
    SETTINGS,
    VALUES,
    INDICATORS,
    ADD_ONS,
    SELECTING
  }

  /**
   * A command.
   *
   * @param menu its path; empty for one that only has a key
   * @param opens the title of the dialog it opens
   */
  public record Command(String id, List<String> menu, Effects effects, Optional<String> opens) {
    public Command {
      menu = List.copyOf(menu);
    }
  }

  /**
   * What an add-on can do when it is asked to by a routine.
   *
   * @param from the add-on, of the version it came with
   * @param contexts ids of the contexts it works in; empty for all
   */
  public record Action(
      AddOn from,
      String id,
      String name,
      List<Parameter> parameters,
      List<String> contexts,
      Effects effects) {
    public Action {
      parameters = List.copyOf(parameters);
      contexts = List.copyOf(contexts);
    }
  }

  /** A dialog, its fields and buttons as labelled. */
  public record Dialog(String title, List<Field> fields, List<Button> buttons) {
    public Dialog {
      fields = List.copyOf(fields);
      buttons = List.copyOf(buttons);
    }

    public Optional<Field> field(String label) {
      return fields.stream().filter(f -> f.label().equals(label)).findFirst();
    }

    public Optional<Button> button(String label) {
      return buttons.stream().filter(b -> b.label().equals(label)).findFirst();
    }
  }

  /**
   * A field of a dialog.
   *
   * @param takes what may be written into it
   * @param scale of an amount
   * @param options of a choice
   * @param range what a number must lie in, where that is known
   */
  public record Field(
      String label,
      Takes takes,
      Optional<Scale> scale,
      List<String> options,
      Optional<Kind> range) {
    public Field {
      options = List.copyOf(options);
    }
  }

  /** What a field takes. */
  public enum Takes {
    TEXT,
    NUMBER,
    LENGTH,
    AMOUNT,
    CHOICE
  }

  /**
   * A button of a dialog.
   *
   * @param closes true when the dialog is gone after it
   */
  public record Button(String label, Effects effects, boolean closes) {}

  public Facts {
    addOns = Set.copyOf(addOns);
    commands = List.copyOf(commands);
    dialogs = List.copyOf(dialogs);
    settings = Collections.unmodifiableMap(new LinkedHashMap<>(settings));
    values = Collections.unmodifiableMap(new LinkedHashMap<>(values));
    indicators = Set.copyOf(indicators);
    windows = Set.copyOf(windows);
    selects = Set.copyOf(selects);
    actions = List.copyOf(actions);
    told = told.isEmpty() ? Set.of() : Collections.unmodifiableSet(EnumSet.copyOf(told));
  }

  /**
   * True when what is not listed of a kind is not there. Of the other kinds nothing is known, and
   * nothing is held against anybody.
   */
  public boolean tells(Aspect aspect) {
    return told.contains(aspect);
  }

  /** True when all there is of it is listed. */
  public boolean whole() {
    return told.size() == Aspect.values().length;
  }

  public Optional<Dialog> dialog(String title) {
    return dialogs.stream().filter(d -> d.title().equals(title)).findFirst();
  }

  public Optional<Command> command(String id) {
    return commands.stream().filter(c -> c.id().equals(id)).findFirst();
  }

  /** The add-on of this name, if it is there. */
  public Optional<AddOn> addOn(String name) {
    return addOns.stream().filter(a -> a.name().equals(name)).findFirst();
  }

  public Optional<Action> action(String addOn, String id) {
    return actions.stream()
        .filter(a -> a.from().name().equals(addOn) && a.id().equals(id))
        .findFirst();
  }

  /** The commands by menu path. */
  public Map<List<String>, Command> menu() {
    Map<List<String>, Command> byPath = new HashMap<>();
    commands.stream().filter(c -> !c.menu().isEmpty()).forEach(c -> byPath.put(c.menu(), c));
    return byPath;
  }
}
