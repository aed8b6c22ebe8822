package foldtwice.describe;

import foldtwice.extras.Extras;
import foldtwice.place.AddOn;
import foldtwice.place.Labels;
import foldtwice.place.Versions;
import foldtwice.routine.Kind;
import foldtwice.routine.Parameter;
import foldtwice.routine.Value;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * What is said of a program beyond its contexts and commands. Each list may be empty: then nothing
 * of its kind is known, and nothing is held against anybody.
 *
 * @param application the program's id
 * @param language in which its labels are written, as an IETF BCP 47 tag; empty when nobody said
 * @param commands what is known of its commands, by their ids
 * @param things the kinds of things that can be selected in it
 * @param states while it is in which context, of those of which more is known than their names
 * @param labels in other languages
 */
public record Description(
    String application,
    String language,
    List<Command> commands,
    List<Dialog> dialogs,
    List<Setting> settings,
    List<Adjustable> values,
    List<Thing> things,
    List<Action> actions,
    List<State> states,
    List<Labels> labels,
    Extras extras) {

  /**
   * While the program is in a context of its own accord, beside commands that lead there.
   *
   * @param context its id; one that lies in no other is chosen by focus where nothing is said
   */
  public record State(String context, While holds) {}

  /**
   * What a command does.
   *
   * @param id of a native command of the program
   * @param does one after the other; empty when it is not known
   * @param opens the title of the dialog it opens; empty for none
   * @param onSelection true when it refuses with nothing selected
   * @param addOn the add-on it comes with; empty for the program itself
   */
  public record Command(
      String id, List<Does> does, String opens, boolean onSelection, String addOn, Span span) {
    public Command {
      does = List.copyOf(does);
    }

    /** One of which nothing is known. */
    public static Command unknown(String id) {
      return new Command(id, List.of(), "", false, "", Span.ALWAYS);
    }

    /** The same, doing this. */
    public Command doing(List<Does> others) {
      return new Command(id, others, opens, onSelection, addOn, span);
    }
  }

  /** A dialog; its first button is the one Enter presses. */
  public record Dialog(String title, List<Field> fields, List<Button> buttons, Span span) {
    public Dialog {
      fields = List.copyOf(fields);
      buttons = List.copyOf(buttons);
    }
  }

  /**
   * A field of a dialog.
   *
   * @param kind what may stand in it
   * @param start what stands in it when the dialog opens
   * @param unitOf the setting that says in which unit a length is meant; empty for that of its kind
   */
  public record Field(String label, Kind kind, String start, String unitOf) {}

  /**
   * A button of a dialog.
   *
   * @param does one after the other; may name fields of the dialog
   * @param stays true when the dialog stays open after it
   */
  public record Button(String label, List<Does> does, boolean stays) {
    public Button {
      does = List.copyOf(does);
    }
  }

  /**
   * A setting.
   *
   * @param options what it may be
   * @param start one of them
   * @param fromRestart true when a change takes effect only after the program is started anew
   */
  public record Setting(
      String name, List<String> options, String start, boolean fromRestart, Span span) {
    public Setting {
      options = List.copyOf(options);
      if (options.isEmpty() || !options.contains(start)) {
        throw new IllegalArgumentException(
            "the setting "
                + name
                + " begins with one of its values "
                + String.join(", ", options)
                + ", found \""
                + start
                + "\"");
      }
    }
  }

  /** A value that can be turned up and down, of what is selected. */
  public record Adjustable(String name, Kind.Measure range, Value.Quantity start, Span span) {
    public Adjustable {
      range.check(start);
    }
  }

  /**
   * A kind of thing that can be selected.
   *
   * @param count how many there are when the program is started
   * @param values the adjustable values they have; empty for all
   */
  public record Thing(String kind, int count, List<String> values) {

    /** More of a kind than this are not drawn up. */
    public static final int MOST = 1000;

    public Thing {
      values = List.copyOf(values);
      if (count < 0 || count > MOST) {
        throw new IllegalArgumentException(
            "of " + kind + " there are 0 to " + MOST + " at the start, found " + count);
      }
    }
  }

  /**
   * What an add-on can do when a routine asks it to.
   *
   * @param addOn of the version it came with, empty for any
   * @param contexts in which it works; empty for all
   */
  public record Action(
      AddOn addOn,
      String id,
      String name,
      List<Parameter> parameters,
      List<String> contexts,
      List<Does> does) {
    public Action {
      parameters = List.copyOf(parameters);
      contexts = List.copyOf(contexts);
      does = List.copyOf(does);
    }
  }

  public Description {
    commands = List.copyOf(commands);
    dialogs = List.copyOf(dialogs);
    settings = List.copyOf(settings);
    values = List.copyOf(values);
    things = List.copyOf(things);
    actions = List.copyOf(actions);
    states = List.copyOf(states);
    labels = List.copyOf(labels);
  }

  /** Nothing said of a program. */
  public static Description none(String application) {
    return new Description(
        application,
        "",
        List.of(),
        List.of(),
        List.of(),
        List.of(),
        List.of(),
        List.of(),
        List.of(),
        List.of(),
        Extras.NONE);
  }

  /** True when nothing is said. */
  public boolean isEmpty() {
    return equals(none(application));
  }

  public Description withCommands(List<Command> others) {
    return new Description(
        application,
        language,
        others,
        dialogs,
        settings,
        values,
        things,
        actions,
        states,
        labels,
        extras);
  }

  public Description withDialogs(List<Dialog> others) {
    return new Description(
        application,
        language,
        commands,
        others,
        settings,
        values,
        things,
        actions,
        states,
        labels,
        extras);
  }

  public Description withSettings(List<Setting> others) {
    return new Description(
        application,
        language,
        commands,
        dialogs,
        others,
        values,
        things,
        actions,
        states,
        labels,
        extras);
  }

  public Description withValues(List<Adjustable> others) {
    return new Description(
        application,
        language,
        commands,
        dialogs,
        settings,
        others,
        things,
        actions,
        states,
        labels,
        extras);
  }

  public Description withThings(List<Thing> others) {
    return new Description(
        application,
        language,
        commands,
        dialogs,
        settings,
        values,
        others,
        actions,
        states,
        labels,
        extras);
  }

  public Description withActions(List<Action> others) {
    return new Description(
        application,
        language,
        commands,
        dialogs,
        settings,
        values,
        things,
        others,
        states,
        labels,
        extras);
  }

  public Description withStates(List<State> others) {
    return new Description(
        application,
        language,
        commands,
        dialogs,
        settings,
        values,
        things,
        actions,
        others,
        labels,
        extras);
  }

  public Description withLabels(List<Labels> others) {
    return new Description(
        application,
        language,
        commands,
        dialogs,
        settings,
        values,
        things,
        actions,
        states,
        others,
        extras);
  }

  /** Its labels in a language; as they are described where the language is that, or nobody said. */
  public Labels labels(String tag) {
    return labels.stream()
        .filter(l -> l.language().equals(tag))
        .findFirst()
        .orElseGet(
            () ->
                tag.isEmpty() || tag.equals(language)
                    ? Labels.AS_DESCRIBED
                    : new Labels(tag, java.util.Map.of()));
  }

  /** While it is in this context, where that is said. */
  public Optional<While> holds(String context) {
    return states.stream().filter(s -> s.context().equals(context)).map(State::holds).findFirst();
  }

  /** The same, with labels in another language. */
  public Description in(String other) {
    return new Description(
        application,
        other,
        commands,
        dialogs,
        settings,
        values,
        things,
        actions,
        states,
        labels,
        extras);
  }

  public Optional<Command> command(String id) {
    return commands.stream().filter(c -> c.id().equals(id)).findFirst();
  }

  /** The add-ons that something of it comes with. */
  public Set<AddOn> addOns() {
    Set<AddOn> all = new LinkedHashSet<>();
    actions.forEach(a -> all.add(a.addOn()));
    for (Command c : commands) {
      if (!c.addOn().isEmpty() && all.stream().noneMatch(a -> a.name().equals(c.addOn()))) {
        all.add(new AddOn(c.addOn(), ""));
      }
    }
    return all;
  }

  /** The versions in which something comes or goes, in order. */
  public Set<String> versions() {
    Set<String> all = new TreeSet<>(Versions::compare);
    spans().forEach(s -> all.addAll(List.of(s.since(), s.until())));
    all.remove("");
    return all;
  }

  private List<Span> spans() {
    List<Span> all = new ArrayList<>();
    commands.forEach(c -> all.add(c.span()));
    dialogs.forEach(d -> all.add(d.span()));
    settings.forEach(s -> all.add(s.span()));
    values.forEach(v -> all.add(v.span()));
    return all;
  }
}
