package foldtwice.shape;

import foldtwice.routine.Condition;
import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.ValueException;
import foldtwice.routine.Whom;
import foldtwice.text.Blanks;
import foldtwice.trigger.Notation;
import foldtwice.trigger.NotationException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * What can be written into a step, as texts: each step has so many fields in a fixed order.
 *
 * <p>Law: {@code with(step, i, of(step).get(i).text()).equals(step)} for every field.
 */
public final class StepFields {

  /** Between the labels of a menu path. */
  public static final String UNDER = " \u203a ";

  /** What a field holds. */
  public enum Holds {
    /** An expression. */
    VALUE,
    /** A text with insertions. */
    TEXT,
    /** A menu path. */
    MENU,
    /** A name: of a field, a setting, a variable, a routine. */
    NAME,
    /** One of the field's options. */
    WORD
  }

  /**
   * A field.
   *
   * @param options of a word
   */
  public record Field(String label, Holds holds, String text, List<String> options) {}

  private StepFields() {}

  /** The fields of a step. */
  public static List<Field> of(Step step) {
    return switch (step) {
      case Step.Choose(List<Template> menu) ->
          List.of(new Field("", Holds.MENU, path(menu), List.of()));
      case Step.Fill(String field, Expr value) ->
          List.of(name("field", field), value("with", value));
      case Step.PressButton(String label) -> List.of(name("button", label));
      case Step.Read(var what, String variable) -> List.of(name("as", variable));
      case Step.ChangeSetting(String setting, Expr value, Step.Lasting lasting) ->
          List.of(name("setting", setting), value("to", value), word("lasting", lasting));
      case Step.Cycle(String setting, List<Expr> values, Step.Lasting lasting) ->
          List.of(
              name("setting", setting),
              new Field("values", Holds.VALUE, list(values), List.of()),
              word("lasting", lasting));
      case Step.Adjust(String value, Step.Way way, Expr to, Step.Edge edge) ->
          List.of(name("value", value), word("way", way), value("amount", to), word("edge", edge));
      case Step.Select(Whom whom, boolean adding) ->
          List.of(
              new Field(
                  "what",
                  Holds.TEXT,
                  whom instanceof Whom.Named(Template name)
                      ? name.source()
                      : whom.toString().toLowerCase(Locale.ROOT).replace('_', ' '),
                  List.of()),
              new Field("besides", Holds.WORD, adding ? "yes" : "no", List.of("yes", "no")));
      case Step.SelectOffset(Expr rows, Expr columns, Step.Edge edge) ->
          List.of(value("rows", rows), value("columns", columns), word("edge", edge));
      case Step.TypeText(Template text) -> List.of(text("text", text));
      case Step.PressKeys(var keys) -> List.of(name("keys", Notation.write(keys)));
      case Step.SetVariable(String name, Expr value) ->
          List.of(name("name", name), value("to", value));
      case Step.Leave(Step.Leaving leaving) -> List.of(word("leaving", leaving));
      case Step.Modifiers(Step.Holding holding) -> List.of(word("holding", holding));
      case Step.Again() -> List.of();
      case Step.Capture(Step.Area area, Template file) ->
          List.of(word("area", area), text("file", file));
      case Step.RunRoutine(String routine, Map<String, Expr> arguments) -> {
        List<Field> fields = new ArrayList<>(List.of(name("routine", routine)));
        arguments.forEach((name, value) -> fields.add(value(name, value)));
        yield fields;
      }
      case Step.StartProgram(String application, List<Template> arguments) ->
          List.of(name("program", application));
      case Step.BringToFront(String application) -> List.of(name("program", application));
      case Step.WaitUntil(Condition c, Expr limit) -> {
        List<Field> fields = new ArrayList<>(condition(c));
        fields.add(value("at most", limit));
        yield fields;
      }
      case Step.Ask(Template text, var questions) -> List.of(text("text", text));
      case Step.Pause(Template note, var offers) -> List.of(text("note", note));
      case Step.If(Condition c, var then, var otherwise) -> condition(c);
      case Step.Repeat(Expr times, var body) -> List.of(value("times", times));
      case Step.ForEach(String variable, Step.Items items, var body) ->
          items instanceof Step.Items.Given(List<Expr> values)
              ? List.of(
                  name("name", variable), new Field("in", Holds.VALUE, list(values), List.of()))
              : List.of(name("name", variable));
      case Step.Stop(Template reason) -> List.of(text("reason", reason));
      case Step.Note(Template text) -> List.of(text("text", text));
    };
  }

  private static List<Field> condition(Condition condition) {
    return switch (condition) {
      case Condition.Compare(Expr left, Condition.Relation relation, Expr right) ->
          List.of(value("", left), word("", relation), value("", right));
      case Condition.Reads(var what, Condition.Relation relation, Expr value) ->
          List.of(word("", relation), value("", value));
      case Condition.VersionAtLeast(String version) -> List.of(name("version", version));
      case Condition.DialogOpen(String title) -> List.of(name("dialog", title));
      case Condition.InFront(String application) -> List.of(name("program", application));
      case Condition.Ticked(List<Template> menu) ->
          List.of(new Field("", Holds.MENU, path(menu), List.of()));
      case Condition.Not(Condition of) -> condition(of);
      case Condition.SomethingSelected() -> List.of();
    };
  }

  /**
   * The step with another text in a field.
   *
   * @throws ValueException saying what is allowed there
   */
  public static Step with(Step step, int field, String text) {
    List<String> texts = new ArrayList<>(of(step).stream().map(Field::text).toList());
    texts.set(field, text);
    return build(step, texts);
  }

  private static Step build(Step step, List<String> t) {
    return switch (step) {
      case Step.Choose c -> new Step.Choose(menu(t.get(0)));
      case Step.Fill f -> new Step.Fill(t.get(0), read(t.get(1)));
      case Step.PressButton p -> new Step.PressButton(t.get(0));
      case Step.Read(var what, String variable) -> new Step.Read(what, variable(t.get(0)));
      case Step.ChangeSetting c ->
          new Step.ChangeSetting(t.get(0), read(t.get(1)), word(Step.Lasting.class, t.get(2)));
      case Step.Cycle c ->
          new Step.Cycle(t.get(0), reads(t.get(1)), word(Step.Lasting.class, t.get(2)));
      case Step.Adjust a ->
          new Step.Adjust(
              t.get(0),
              word(Step.Way.class, t.get(1)),
              read(t.get(2)),
              word(Step.Edge.class, t.get(3)));
      case Step.Select s -> new Step.Select(whom(t.get(0)), t.get(1).equals("yes"));
      case Step.SelectOffset s ->
          new Step.SelectOffset(read(t.get(0)), read(t.get(1)), word(Step.Edge.class, t.get(2)));
      case Step.TypeText x -> new Step.TypeText(new Template(t.get(0)));
      case Step.PressKeys k -> new Step.PressKeys(keys(t.get(0)));
      case Step.SetVariable s -> new Step.SetVariable(variable(t.get(0)), read(t.get(1)));
      case Step.Leave l -> new Step.Leave(word(Step.Leaving.class, t.get(0)));
      case Step.Modifiers m -> new Step.Modifiers(word(Step.Holding.class, t.get(0)));
      case Step.Again a -> a;
      case Step.Capture c ->
          new Step.Capture(word(Step.Area.class, t.get(0)), new Template(t.get(1)));
      case Step.RunRoutine(String routine, Map<String, Expr> arguments) -> {
        Map<String, Expr> next = new LinkedHashMap<>();
        int i = 1;
        for (String name : arguments.keySet()) {
          next.put(name, read(t.get(i++)));
        }
        yield new Step.RunRoutine(t.get(0), next);
      }
      case Step.StartProgram(String application, List<Template> arguments) ->
          new Step.StartProgram(t.get(0), arguments);
      case Step.BringToFront b -> new Step.BringToFront(t.get(0));
      case Step.WaitUntil(Condition c, Expr limit) ->
          new Step.WaitUntil(build(c, t), read(t.getLast()));
      case Step.Ask(Template text, var questions) ->
          new Step.Ask(new Template(t.get(0)), questions);
      case Step.Pause(Template note, var offers) -> new Step.Pause(new Template(t.get(0)), offers);
      case Step.If(Condition c, var then, var otherwise) ->
          new Step.If(build(c, t), then, otherwise);
      case Step.Repeat(Expr times, var body) -> new Step.Repeat(read(t.get(0)), body);
      case Step.ForEach(String variable, Step.Items items, var body) ->
          new Step.ForEach(
              variable(t.get(0)),
              items instanceof Step.Items.Given ? new Step.Items.Given(reads(t.get(1))) : items,
              body);
      case Step.Stop s -> new Step.Stop(new Template(t.get(0)));
      case Step.Note n -> new Step.Note(new Template(t.get(0)));
    };
  }

  private static Condition build(Condition condition, List<String> t) {
    return switch (condition) {
      case Condition.Compare c ->
          new Condition.Compare(
              read(t.get(0)), word(Condition.Relation.class, t.get(1)), read(t.get(2)));
      case Condition.Reads(var what, var relation, var value) ->
          new Condition.Reads(what, word(Condition.Relation.class, t.get(0)), read(t.get(1)));
      case Condition.VersionAtLeast v -> new Condition.VersionAtLeast(t.get(0));
      case Condition.DialogOpen d -> new Condition.DialogOpen(t.get(0));
      case Condition.InFront f -> new Condition.InFront(t.get(0));
      case Condition.Ticked k -> new Condition.Ticked(menu(t.get(0)));
      case Condition.Not(Condition of) -> new Condition.Not(build(of, t));
      case Condition.SomethingSelected s -> s;
    };
  }

  private static Field name(String label, String text) {
    return new Field(label, Holds.NAME, text, List.of());
  }

  private static Field value(String label, Expr value) {
    return new Field(label, Holds.VALUE, ExprNotation.write(value), List.of());
  }

  private static Field text(String label, Template text) {
    return new Field(label, Holds.TEXT, text.source(), List.of());
  }

  private static Field word(String label, Enum<?> value) {
    return new Field(
        label,
        Holds.WORD,
        shown(value),
        Arrays.stream(value.getDeclaringClass().getEnumConstants())
            .map(StepFields::shown)
            .toList());
  }

  private static String shown(Enum<?> value) {
    return value.name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }

  private static <E extends Enum<E>> E word(Class<E> type, String text) {
    for (E value : type.getEnumConstants()) {
      if (shown(value).equals(text.strip())) {
        return value;
      }
    }
    throw new ValueException(
        text,
        "one of "
            + Arrays.stream(type.getEnumConstants())
                .map(StepFields::shown)
                .collect(Collectors.joining(", ")));
  }

  /** A menu path as people write it. */
  public static String path(List<Template> menu) {
    return menu.stream().map(Template::source).collect(Collectors.joining(UNDER));
  }

  /**
   * The labels of a written menu path. The sign between them has room around it, so that an
   * insertion's own sign is never taken for it.
   */
  public static List<Template> menu(String text) {
    List<Template> menu =
        Arrays.stream(Blanks.single(text).split(" \u203a |>"))
            .map(String::strip)
            .filter(label -> !label.isEmpty())
            .map(Template::new)
            .toList();
    if (menu.isEmpty()) {
      throw new ValueException(text, "a menu path, its labels with " + UNDER.strip() + " between");
    }
    return menu;
  }

  private static Expr read(String text) {
    return ExprNotation.read(text);
  }

  private static String list(List<Expr> values) {
    return values.stream().map(ExprNotation::write).collect(Collectors.joining(", "));
  }

  /** Values with commas between; a comma inside quotes belongs to its text. */
  private static List<Expr> reads(String text) {
    List<Expr> values = new ArrayList<>();
    StringBuilder one = new StringBuilder();
    boolean quoted = false;
    for (char c : (text + ",").toCharArray()) {
      quoted ^= c == '\'';
      if (c == ',' && !quoted) {
        if (!one.toString().isBlank()) {
          values.add(read(one.toString().strip()));
        }
        one.setLength(0);
      } else {
        one.append(c);
      }
    }
    return values;
  }

  private static String variable(String text) {
    String name = text.strip();
    if (name.isEmpty() || name.indexOf('\u2039') >= 0 || name.indexOf('\u203a') >= 0) {
      throw new ValueException(text, "a name without \u2039 and \u203a");
    }
    return name;
  }

  private static foldtwice.trigger.Trigger.Keys keys(String text) {
    try {
      return Notation.read(text);
    } catch (NotationException e) {
      throw new ValueException(text, e.getMessage());
    }
  }

  private static Whom whom(String text) {
    for (Whom.Group group : Whom.Group.values()) {
      if (shown(group).equals(text.strip())) {
        return group;
      }
    }
    return new Whom.Named(new Template(text));
  }
}
