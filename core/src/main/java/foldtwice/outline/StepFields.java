package foldtwice.outline;

import foldtwice.routine.Condition;
import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Form;
import foldtwice.routine.Step;
import foldtwice.routine.StepKind;
import foldtwice.routine.StepKinds;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.routine.ValueException;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * What stands in a step, as texts: constants and what holds them apart from one another. Where a
 * part holds several constants, as the arguments of a routine that is run, each is a field. What a
 * person writes is in {@link StepParts}.
 *
 * <p>Law: {@code with(step, i, of(step).get(i).text()).equals(step)} for every field.
 */
public final class StepFields {

  /** What a field holds. */
  public enum Holds {
    /** An expression. */
    VALUE,
    /** A text with insertions. */
    TEXT,
    /** A menu path. */
    MENU,
    /** A name, a word, keys: what no two steps are equal without. */
    NAME
  }

  /** A field. */
  public record Field(String label, Holds holds, String text) {}

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
      case Form.Value v -> List.of(field(label, Holds.VALUE, form, value));
      case Form.Values v -> values(label, (List<?>) value);
      case Form.Text t -> List.of(field(label, Holds.TEXT, form, value));
      case Form.Selected s -> List.of(field(label, Holds.TEXT, form, value));
      case Form.Menu m -> List.of(field(label, Holds.MENU, form, value));
      case Form.Name n -> List.of(field(label, Holds.NAME, form, value));
      case Form.Variable v -> List.of(field(label, Holds.NAME, form, value));
      case Form.Keys k -> List.of(field(label, Holds.NAME, form, value));
      case Form.ToRead r -> List.of(field(label, Holds.NAME, form, value));
      case Form.Texts t -> List.of(field(label, Holds.NAME, form, value));
      case Form.Word<?> w -> List.of(field(label, Holds.NAME, form, value));
      case Form.Flag f -> List.of(field(label, Holds.NAME, form, value));
      case Form.Holds h -> condition((Condition) value);
      case Form.Arguments a -> {
        List<Field> fields = new ArrayList<>();
        ((Map<?, ?>) value).forEach((n, e) -> fields.add(value((String) n, (Expr) e)));
        yield fields;
      }
      case Form.Through t -> items(label, (Step.Items) value);
      case Form.Questions q ->
          ((List<?>) value).stream().flatMap(one -> question((Step.Question) one)).toList();
      case Form.Lines l -> List.of();
    };
  }

  private static Field field(String label, Holds holds, Form<?> form, Object value) {
    return new Field(label, holds, StepParts.write(form, value));
  }

  private static List<Field> items(String label, Step.Items items) {
    return switch (items) {
      case Step.Items.Given(List<Expr> given) -> values(label, given);
      case Step.Items.LinesOf(Expr text) -> List.of(value(label, text));
      case Step.Items.LinesOfFile(Template file) ->
          List.of(new Field(label, Holds.TEXT, file.source()));
      case Step.Items.Selected s -> List.of(name(ListText.SELECTED));
    };
  }

  /** All of a question that is not its default is what holds it apart from others. */
  private static Stream<Field> question(Step.Question q) {
    Step.Question rest = with(q, NOTHING);
    return Stream.of(name(rest.toString()), value(q.variable(), q.otherwise()));
  }

  private static final Expr NOTHING = new Expr.Literal(new Value.Text(""));

  private static Step.Question with(Step.Question q, Expr otherwise) {
    return new Step.Question(q.variable(), q.kind(), otherwise, q.offered(), q.kept());
  }

  private static List<Field> values(String label, List<?> values) {
    return values.stream().map(v -> value(label, (Expr) v)).toList();
  }

  private static Field value(String label, Expr value) {
    return new Field(label, Holds.VALUE, ExprNotation.write(value));
  }

  private static Field name(String text) {
    return new Field("", Holds.NAME, text);
  }

  private static List<Field> condition(Condition condition) {
    return switch (condition) {
      case Condition.Compare(Expr left, Condition.Relation relation, Expr right) ->
          List.of(value("", left), name(StepParts.written(relation)), value("", right));
      case Condition.Reads(var what, Condition.Relation relation, Expr value) ->
          List.of(
              name(ReadoutText.write(what)),
              name(StepParts.written(relation)),
              value(ReadoutText.write(what), value));
      case Condition.VersionAtLeast(String version) -> List.of(name(version));
      case Condition.DialogOpen(String title) -> List.of(name(title));
      case Condition.InFront(String application) -> List.of(name(application));
      case Condition.Ticked(List<Template> menu) ->
          List.of(new Field("", Holds.MENU, StepParts.path(menu)));
      case Condition.Not(Condition of) -> condition(of);
      case Condition.All(List<Condition> of) -> conditions(of);
      case Condition.Any(List<Condition> of) -> conditions(of);
      case Condition.SomethingSelected() -> List.of();
    };
  }

  private static List<Field> conditions(List<Condition> of) {
    return of.stream().flatMap(c -> condition(c).stream()).toList();
  }

  /**
   * The step with another text in a field.
   *
   * @throws ValueException saying what is allowed there
   */
  public static Step with(Step step, int field, String text) {
    StepKind<?> kind = StepKinds.of(step);
    List<Object> values = kind.parts(step).values();
    int at = 0;
    for (int i = 0; i < values.size(); i++) {
      Form<?> form = kind.parts().get(i).form();
      List<Field> own = of(form, "", values.get(i));
      if (field < at + own.size()) {
        List<String> texts = new ArrayList<>(own.stream().map(Field::text).toList());
        texts.set(field - at, text);
        return StepParts.put(step, i, build(form, values.get(i), texts.iterator()));
      }
      at += own.size();
    }
    throw new IndexOutOfBoundsException(field);
  }

  private static Object build(Form<?> form, Object was, Iterator<String> t) {
    return switch (form) {
      case Form.Holds h -> build((Condition) was, t);
      case Form.Arguments a -> {
        Map<String, Expr> next = new LinkedHashMap<>();
        for (Object name : ((Map<?, ?>) was).keySet()) {
          next.put((String) name, ExprNotation.read(t.next()));
        }
        yield next;
      }
      case Form.Values v -> values(t);
      case Form.Through x -> items((Step.Items) was, t);
      case Form.Questions q -> {
        List<Step.Question> next = new ArrayList<>();
        for (Object one : (List<?>) was) {
          t.next(); // what holds it apart stays
          next.add(with((Step.Question) one, ExprNotation.read(t.next())));
        }
        yield next;
      }
      default -> StepParts.read(form, t.next());
    };
  }

  private static Condition build(Condition condition, Iterator<String> t) {
    return switch (condition) {
      case Condition.Compare c ->
          new Condition.Compare(
              ExprNotation.read(t.next()), relation(t.next()), ExprNotation.read(t.next()));
      case Condition.Reads r ->
          new Condition.Reads(
              ReadoutText.read(t.next()), relation(t.next()), ExprNotation.read(t.next()));
      case Condition.VersionAtLeast v -> new Condition.VersionAtLeast(t.next());
      case Condition.DialogOpen d -> new Condition.DialogOpen(t.next());
      case Condition.InFront f -> new Condition.InFront(t.next());
      case Condition.Ticked k -> new Condition.Ticked(StepParts.menu(t.next()));
      case Condition.Not(Condition of) -> new Condition.Not(build(of, t));
      case Condition.All(List<Condition> of) -> new Condition.All(build(of, t));
      case Condition.Any(List<Condition> of) -> new Condition.Any(build(of, t));
      case Condition.SomethingSelected s -> s;
    };
  }

  private static Step.Items items(Step.Items was, Iterator<String> t) {
    return switch (was) {
      case Step.Items.Given g -> new Step.Items.Given(values(t));
      case Step.Items.LinesOf l -> new Step.Items.LinesOf(ExprNotation.read(t.next()));
      case Step.Items.LinesOfFile f -> new Step.Items.LinesOfFile(new Template(t.next()));
      case Step.Items.Selected s -> s;
    };
  }

  private static List<Expr> values(Iterator<String> t) {
    List<Expr> values = new ArrayList<>();
    t.forEachRemaining(text -> values.add(ExprNotation.read(text)));
    return values;
  }

  private static List<Condition> build(List<Condition> of, Iterator<String> t) {
    List<Condition> next = new ArrayList<>();
    of.forEach(c -> next.add(build(c, t)));
    return next;
  }

  private static Condition.Relation relation(String text) {
    return StepParts.word(Condition.Relation.class, text);
  }
}
