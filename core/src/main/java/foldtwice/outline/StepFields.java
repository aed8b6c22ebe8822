package foldtwice.outline;

import foldtwice.routine.Condition;
import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Form;
import foldtwice.routine.Step;
import foldtwice.routine.StepKind;
import foldtwice.routine.StepKinds;
import foldtwice.routine.Template;
import foldtwice.routine.ValueException;
import foldtwice.routine.Whom;
import foldtwice.text.Blanks;
import foldtwice.trigger.Notation;
import foldtwice.trigger.NotationException;
import foldtwice.trigger.Trigger;
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

  private static final List<String> YES_NO = List.of("yes", "no");

  private StepFields() {}

  /** The fields of a step. */
  public static List<Field> of(Step step) {
    StepKind<?> kind = StepKinds.of(step);
    List<Object> values = kind.parts(step).values();
    List<Field> fields = new ArrayList<>();
    for (int i = 0; i < values.size(); i++) {
      StepKind.Part<?, ?> part = kind.parts().get(i);
      fields.addAll(of(part.form(), part.label(), values.get(i)));
    }
    return fields;
  }

  private static List<Field> of(Form<?> form, String label, Object value) {
    return switch (form) {
      case Form.Value v -> List.of(value(label, (Expr) value));
      case Form.Values v -> List.of(values(label, exprs(value)));
      case Form.Text t -> List.of(text(label, (Template) value));
      case Form.Menu m -> List.of(new Field(label, Holds.MENU, path(templates(value)), List.of()));
      case Form.Name n -> List.of(name(label, (String) value));
      case Form.Variable v -> List.of(name(label, (String) value));
      case Form.Word<?> w -> List.of(word(label, (Enum<?>) value));
      case Form.Flag f -> List.of(new Field(label, Holds.WORD, yes((Boolean) value), YES_NO));
      case Form.Keys k -> List.of(name(label, Notation.write((Trigger.Keys) value)));
      case Form.Selected s -> List.of(new Field(label, Holds.TEXT, shown((Whom) value), List.of()));
      case Form.Holds h -> condition((Condition) value);
      case Form.Arguments a -> {
        List<Field> fields = new ArrayList<>();
        ((Map<?, ?>) value).forEach((n, e) -> fields.add(value((String) n, (Expr) e)));
        yield fields;
      }
      case Form.Through t ->
          value instanceof Step.Items.Given(List<Expr> given)
              ? List.of(values(label, given))
              : List.of();
      case Form.ToRead r -> List.of();
      case Form.Texts t -> List.of();
      case Form.Questions q -> List.of();
      case Form.Lines l -> List.of();
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

  private static Step build(Step step, List<String> texts) {
    StepKind<?> kind = StepKinds.of(step);
    List<Object> values = kind.parts(step).values();
    List<Object> next = new ArrayList<>(values.size());
    int at = 0;
    for (int i = 0; i < values.size(); i++) {
      Form<?> form = kind.parts().get(i).form();
      int many = of(form, "", values.get(i)).size();
      next.add(
          many == 0 ? values.get(i) : build(form, values.get(i), texts.subList(at, at + many)));
      at += many;
    }
    return kind.step(next);
  }

  private static Object build(Form<?> form, Object was, List<String> t) {
    return switch (form) {
      case Form.Value v -> read(t.getFirst());
      case Form.Values v -> reads(t.getFirst());
      case Form.Text x -> new Template(t.getFirst());
      case Form.Menu m -> menu(t.getFirst());
      case Form.Name n -> t.getFirst();
      case Form.Variable v -> variable(t.getFirst());
      case Form.Word<?> w -> word(w.type(), t.getFirst());
      case Form.Flag f -> t.getFirst().equals(yes(true));
      case Form.Keys k -> keys(t.getFirst());
      case Form.Selected s -> whom(t.getFirst());
      case Form.Holds h -> build((Condition) was, t);
      case Form.Arguments a -> {
        Map<String, Expr> next = new LinkedHashMap<>();
        int i = 0;
        for (Object name : ((Map<?, ?>) was).keySet()) {
          next.put((String) name, read(t.get(i++)));
        }
        yield next;
      }
      case Form.Through x -> new Step.Items.Given(reads(t.getFirst()));
      case Form.ToRead r -> was;
      case Form.Texts x -> was;
      case Form.Questions q -> was;
      case Form.Lines l -> was;
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

  private static List<Expr> exprs(Object value) {
    return ((List<?>) value).stream().map(Expr.class::cast).toList();
  }

  private static List<Template> templates(Object value) {
    return ((List<?>) value).stream().map(Template.class::cast).toList();
  }

  private static String yes(boolean yes) {
    return YES_NO.get(yes ? 0 : 1);
  }

  private static String shown(Whom whom) {
    return switch (whom) {
      case Whom.Named(Template name) -> name.source();
      case Whom.Group group -> written(group);
    };
  }

  private static Field values(String label, List<Expr> values) {
    return new Field(label, Holds.VALUE, list(values), List.of());
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
        written(value),
        Arrays.stream(value.getDeclaringClass().getEnumConstants())
            .map(StepFields::written)
            .toList());
  }

  private static String written(Enum<?> value) {
    return value.name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }

  private static <E extends Enum<E>> E word(Class<E> type, String text) {
    for (E value : type.getEnumConstants()) {
      if (written(value).equals(text.strip())) {
        return value;
      }
    }
    throw new ValueException(
        text,
        "one of "
            + Arrays.stream(type.getEnumConstants())
                .map(StepFields::written)
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

  private static Trigger.Keys keys(String text) {
    try {
      return Notation.read(text);
    } catch (NotationException e) {
      throw new ValueException(text, e.getMessage());
    }
  }

  private static Whom whom(String text) {
    for (Whom.Group group : Whom.Group.values()) {
      if (written(group).equals(text.strip())) {
        return group;
      }
    }
    return new Whom.Named(new Template(text));
  }
}
