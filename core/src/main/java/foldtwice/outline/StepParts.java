package foldtwice.outline;

import foldtwice.routine.Condition;
import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Form;
import foldtwice.routine.Readout;
import foldtwice.routine.Step;
import foldtwice.routine.StepKind;
import foldtwice.routine.StepKinds;
import foldtwice.routine.Template;
import foldtwice.routine.ValueException;
import foldtwice.routine.Whom;
import foldtwice.text.Blanks;
import foldtwice.text.Refusals;
import foldtwice.trigger.Notation;
import foldtwice.trigger.NotationException;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * The parts of a step as texts, one text for each part; a person writes them in place. Questions
 * and the lines inside have no text of their own: they are edited one by one.
 *
 * <p>Law: {@code with(step, i, of(step).get(i).text()).equals(step)} for every part.
 */
public final class StepParts {

  /** Between the labels of a menu path. */
  public static final String UNDER = " \u203a ";

  /**
   * A part.
   *
   * @param index its place among the parts of its kind
   * @param options the words that can stand there, if it is one of some
   */
  public record Part(int index, String label, Form<?> form, String text, List<String> options) {}

  private static final List<String> YES_NO = List.of("yes", "no");

  private StepParts() {}

  /** The parts of a step that are texts, in their order. */
  public static List<Part> of(Step step) {
    StepKind<?> kind = StepKinds.of(step);
    List<Object> values = kind.parts(step).values();
    List<Part> parts = new ArrayList<>();
    for (int i = 0; i < values.size(); i++) {
      StepKind.Part<?, ?> part = kind.parts().get(i);
      if (!(part.form() instanceof Form.Questions) && !(part.form() instanceof Form.Lines)) {
        parts.add(
            new Part(
                i,
                part.label(),
                part.form(),
                write(part.form(), values.get(i)),
                options(part.form())));
      }
    }
    return parts;
  }

  /**
   * The step with another text in a part.
   *
   * @param index of the part, as {@link Part#index} says
   * @throws ValueException saying what is allowed there
   */
  public static Step with(Step step, int index, String text) {
    StepKind<?> kind = StepKinds.of(step);
    List<Object> values = new ArrayList<>(kind.parts(step).values());
    values.set(index, read(kind.parts().get(index).form(), text));
    return kind.step(values);
  }

  /** The step with another value in a part, which its form says the type of. */
  static Step put(Step step, int index, Object value) {
    StepKind<?> kind = StepKinds.of(step);
    List<Object> values = new ArrayList<>(kind.parts(step).values());
    values.set(index, value);
    return kind.step(values);
  }

  private static List<String> options(Form<?> form) {
    return switch (form) {
      case Form.Word<?> w ->
          Arrays.stream(w.type().getEnumConstants()).map(StepParts::written).toList();
      case Form.Flag f -> YES_NO;
      default -> List.of();
    };
  }

  /** A value of a form as it is written. */
  static String write(Form<?> form, Object value) {
    return switch (form) {
      case Form.Value v -> ExprNotation.write((Expr) value);
      case Form.Values v -> ListText.values(list(value, Expr.class));
      case Form.Text t -> ((Template) value).source();
      case Form.Texts t -> ListText.texts(list(value, Template.class));
      case Form.Menu m -> path(list(value, Template.class));
      case Form.Name n -> (String) value;
      case Form.Variable v -> (String) value;
      case Form.Word<?> w -> written((Enum<?>) value);
      case Form.Flag f -> YES_NO.get((Boolean) value ? 0 : 1);
      case Form.Keys k -> Notation.write((Trigger.Keys) value);
      case Form.ToRead r -> ReadoutText.write((Readout) value);
      case Form.Selected s -> shown((Whom) value);
      case Form.Holds h -> ConditionText.write((Condition) value);
      case Form.Arguments a -> ListText.arguments(arguments(value));
      case Form.Through t -> ListText.items((Step.Items) value);
      case Form.Questions q -> throw new IllegalArgumentException("questions are no text");
      case Form.Lines l -> throw new IllegalArgumentException("lines are no text");
    };
  }

  /**
   * Reads what {@link #write} writes.
   *
   * @throws ValueException saying what is allowed
   */
  static Object read(Form<?> form, String text) {
    return switch (form) {
      case Form.Value v -> ExprNotation.read(text);
      case Form.Values v -> ListText.values(text);
      case Form.Text t -> new Template(text);
      case Form.Texts t -> ListText.texts(text);
      case Form.Menu m -> menu(text);
      case Form.Name n -> text;
      case Form.Variable v -> variable(text);
      case Form.Word<?> w -> word(w.type(), text);
      case Form.Flag f -> flag(text);
      case Form.Keys k -> keys(text);
      case Form.ToRead r -> ReadoutText.read(text);
      case Form.Selected s -> whom(text);
      case Form.Holds h -> ConditionText.read(text);
      case Form.Arguments a -> ListText.arguments(text);
      case Form.Through t -> ListText.items(text);
      case Form.Questions q -> throw new IllegalArgumentException("questions are no text");
      case Form.Lines l -> throw new IllegalArgumentException("lines are no text");
    };
  }

  /** What a loop goes through, as a person writes it. */
  public static String items(Step.Items items) {
    return ListText.items(items);
  }

  private static <T> List<T> list(Object value, Class<T> of) {
    return ((List<?>) value).stream().map(of::cast).toList();
  }

  private static Map<String, Expr> arguments(Object value) {
    Map<String, Expr> arguments = new java.util.LinkedHashMap<>();
    ((Map<?, ?>) value).forEach((name, e) -> arguments.put((String) name, (Expr) e));
    return arguments;
  }

  private static String shown(Whom whom) {
    return switch (whom) {
      case Whom.Named(Template name) ->
          isGroup(name.source()) ? Written.quote(name.source()) : quotedAgain(name.source());
      case Whom.Group group -> written(group);
    };
  }

  private static boolean isGroup(String name) {
    return Arrays.stream(Whom.Group.values()).anyMatch(g -> written(g).equals(name.strip()));
  }

  private static String quotedAgain(String name) {
    return name.startsWith("'") ? Written.quote(name) : name;
  }

  private static Whom whom(String text) {
    for (Whom.Group group : Whom.Group.values()) {
      if (written(group).equals(text.strip())) {
        return group;
      }
    }
    return new Whom.Named(new Template(text.startsWith("'") ? new Written(text).word() : text));
  }

  private static boolean flag(String text) {
    if (!YES_NO.contains(text.strip())) {
      throw new ValueException(text, Refusals.says("outline.yes-or-no"));
    }
    return text.strip().equals(YES_NO.getFirst());
  }

  /** A word of some as it is written: {@code stop quietly}. */
  public static String written(Enum<?> value) {
    return value.name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }

  /**
   * Reads what {@link #written} writes.
   *
   * @throws ValueException saying which words there are
   */
  public static <E extends Enum<E>> E word(Class<E> type, String text) {
    for (E value : type.getEnumConstants()) {
      if (written(value).equals(text.strip())) {
        return value;
      }
    }
    throw new ValueException(
        text,
        Refusals.says(
            "outline.one-of",
            Arrays.stream(type.getEnumConstants())
                .map(StepParts::written)
                .collect(Collectors.joining(", "))));
  }

  /** A menu path as people write it. */
  public static String path(List<Template> menu) {
    return menu.stream().map(Template::source).collect(Collectors.joining(UNDER));
  }

  /**
   * The labels of a written menu path. The sign between them has room around it, so that an
   * insertion's own sign is never taken for it.
   *
   * @throws ValueException when there is none
   */
  public static List<Template> menu(String text) {
    List<Template> menu =
        Arrays.stream(Blanks.single(text).split(" \u203a |>"))
            .map(String::strip)
            .filter(label -> !label.isEmpty())
            .map(Template::new)
            .toList();
    if (menu.isEmpty()) {
      throw new ValueException(text, Refusals.says("outline.menu-path-its-labels", UNDER.strip()));
    }
    return menu;
  }

  private static String variable(String text) {
    String name = text.strip();
    if (name.isEmpty() || name.indexOf('\u2039') >= 0 || name.indexOf('\u203a') >= 0) {
      throw new ValueException(text, Refusals.says("outline.name-without-and"));
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
}
