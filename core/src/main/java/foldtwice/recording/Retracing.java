package foldtwice.recording;

import foldtwice.library.Library;
import foldtwice.routine.Condition;
import foldtwice.routine.Expr;
import foldtwice.routine.Form;
import foldtwice.routine.Line;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.StepKind;
import foldtwice.routine.StepKinds;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.routine.ValueException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Whether a macro takes the very steps that a hand took, and given what.
 *
 * <p>Where the macro has a parameter the steps have a constant, the same one wherever it stands. A
 * setting that is changed for the run, notes and held modifiers are no steps of a hand. Of an
 * <em>if</em> the branch is tried that what it compares allows; a <em>repeat</em> is taken as often
 * as it is told, or as fits.
 *
 * <p>Cost: linear for a macro without branches; never more than {@value #MOST_TRIES} steps are
 * compared.
 */
public final class Retracing {

  private static final int MOST_TRIES = 4_000;

  /** A condition that was taken to hold, or not to. */
  private record Taken(Condition condition, boolean holds) {}

  /** What is known so far. */
  private record Known(Map<String, Value> given, List<Taken> taken) {

    Known with(String name, Value value) {
      Map<String, Value> more = new HashMap<>(given);
      more.put(name, value);
      return new Known(more, taken);
    }

    Known after(Condition condition, boolean holds) {
      List<Taken> more = new ArrayList<>(taken);
      more.add(new Taken(condition, holds));
      return new Known(given, more);
    }
  }

  private final Routine.Macro macro;
  private int tries;

  private Retracing(Routine.Macro macro) {
    this.macro = macro;
  }

  /** The arguments with which a macro takes exactly these steps; empty when it never does. */
  public static Optional<Map<String, Value>> of(Routine.Macro macro, List<Step> steps) {
    Retracing tracing = new Retracing(macro);
    return tracing.lines(macro.steps(), steps, new Known(Map.of(), List.of())).map(Known::given);
  }

  private Optional<Known> lines(List<Line> lines, List<Step> steps, Known known) {
    if (++tries > MOST_TRIES) {
      return Optional.empty();
    }
    if (lines.isEmpty()) {
      return steps.isEmpty() && agrees(known) ? Optional.of(known) : Optional.empty();
    }
    List<Line> rest = lines.subList(1, lines.size());
    if (!lines.getFirst().on()) {
      return lines(rest, steps, known);
    }
    return switch (lines.getFirst().step()) {
      case Step.Note n -> lines(rest, steps, known);
      case Step.Modifiers m -> lines(rest, steps, known);
      case Step.ChangeSetting c when c.lasting() == Step.Lasting.THIS_RUN ->
          lines(rest, steps, known);
      case Step.If(Condition condition, var then, var otherwise) ->
          lines(joined(then, rest), steps, known.after(condition, true))
              .or(() -> lines(joined(otherwise, rest), steps, known.after(condition, false)));
      case Step.Repeat(Expr times, var body) -> repeated(times, body, rest, steps, known);
      case Step step when steps.isEmpty() -> Optional.empty();
      case Step step ->
          same(step, steps.getFirst(), known)
              .flatMap(k -> lines(rest, steps.subList(1, steps.size()), k));
    };
  }

  private Optional<Known> repeated(
      Expr times, List<Line> body, List<Line> rest, List<Step> steps, Known known) {
    List<Line> all = rest;
    for (int n = 1; n <= steps.size(); n++) {
      all = joined(body, all);
      Optional<Known> told = value(times, new Value.Amount(java.math.BigDecimal.valueOf(n)), known);
      List<Line> these = all;
      Optional<Known> found = told.flatMap(k -> lines(these, steps, k));
      if (found.isPresent()) {
        return found;
      }
    }
    return Optional.empty();
  }

  private static List<Line> joined(List<Line> some, List<Line> others) {
    List<Line> all = new ArrayList<>(some);
    all.addAll(others);
    return all;
  }

  /** One step held against the one that was taken, part by part. */
  private Optional<Known> same(Step step, Step taken, Known known) {
    if (step.equals(taken)) {
      return Optional.of(known);
    }
    if (step.getClass() != taken.getClass()) {
      return Optional.empty();
    }
    StepKind<?> kind = StepKinds.of(step);
    List<Object> parts = kind.parts(step).values();
    List<Object> others = kind.parts(taken).values();
    Optional<Known> so = Optional.of(known);
    for (int i = 0; i < parts.size() && so.isPresent(); i++) {
      Object a = parts.get(i);
      Object b = others.get(i);
      Form<?> form = kind.parts().get(i).form();
      so = so.flatMap(k -> part(form, a, b, k));
    }
    return so;
  }

  private Optional<Known> part(Form<?> form, Object a, Object b, Known known) {
    if (a.equals(b)) {
      return Optional.of(known);
    }
    return switch (form) {
      case Form.Value v when b instanceof Expr.Literal(Value value) ->
          value((Expr) a, value, known);
      case Form.Text t -> text((Template) a, (Template) b, known);
      case Form.Menu m -> texts((List<?>) a, (List<?>) b, known);
      case Form.Texts t -> texts((List<?>) a, (List<?>) b, known);
      default -> Optional.empty(); // of the others no part is a constant a parameter can be
    };
  }

  private Optional<Known> value(Expr expr, Value value, Known known) {
    return switch (expr) {
      case Expr.Literal(Value v) ->
          v.equals(value) || v.shown().equals(value.shown())
              ? Optional.of(known)
              : Optional.empty();
      case Expr.Name(String name) -> bound(name, value, value.shown(), known);
      case Expr.Written(Template template) -> text(template, new Template(value.shown()), known);
      case Expr.Opposite o -> Optional.empty();
      case Expr.UnitOf u -> Optional.empty();
      case Expr.Joined j -> Optional.empty();
    };
  }

  private Optional<Known> texts(List<?> some, List<?> others, Known known) {
    if (some.size() != others.size()) {
      return Optional.empty();
    }
    Optional<Known> so = Optional.of(known);
    for (int i = 0; i < some.size() && so.isPresent(); i++) {
      Template a = (Template) some.get(i);
      Template b = (Template) others.get(i);
      so = so.flatMap(k -> text(a, b, k));
    }
    return so;
  }

  /** A text with insertions held against one without. */
  private Optional<Known> text(Template a, Template b, Known known) {
    List<String> names = a.names();
    if (names.isEmpty()) {
      return a.equals(b) ? Optional.of(known) : Optional.empty();
    }
    StringBuilder pattern = new StringBuilder();
    String mark = "\u0000";
    for (String piece : a.with(n -> mark).split(mark, -1)) {
      pattern.append(pattern.isEmpty() ? "" : "(.+)").append(Pattern.quote(piece));
    }
    Matcher found = Pattern.compile(pattern.toString(), Pattern.DOTALL).matcher(b.source());
    if (!found.matches()) {
      return Optional.empty();
    }
    Optional<Known> so = Optional.of(known);
    for (int i = 0; i < names.size() && so.isPresent(); i++) {
      String name = names.get(i);
      String said = found.group(i + 1);
      so = so.flatMap(k -> bound(name, new Value.Text(said), said, k));
    }
    return so;
  }

  /** A parameter is this, if it can be and is nothing else already. */
  private Optional<Known> bound(String name, Value value, String said, Known known) {
    Optional<Parameter> parameter = macro.parameter(name);
    if (parameter.isEmpty()) {
      return Optional.empty();
    }
    Value of;
    try {
      of = checked(parameter.get(), value, said);
    } catch (ValueException no) {
      return Optional.empty(); // not of its kind, or beyond its range: it is never given that
    }
    Value before = known.given().get(name);
    return before == null
        ? Optional.of(known.with(name, of))
        : before.equals(of) ? Optional.of(known) : Optional.empty();
  }

  private static Value checked(Parameter p, Value value, String said) {
    try {
      return p.kind().check(value);
    } catch (ValueException other) {
      return p.kind().read(said);
    }
  }

  /** Whether what was taken to hold does, where that can be told from the arguments. */
  private boolean agrees(Known known) {
    return known.taken().stream()
        .allMatch(t -> holds(t.condition(), known).filter(h -> h != t.holds()).isEmpty());
  }

  private Optional<Boolean> holds(Condition condition, Known known) {
    if (condition instanceof Condition.Not(Condition of)) {
      return holds(of, known).map(h -> !h);
    }
    if (condition instanceof Condition.All(List<Condition> of)) {
      return several(of, known, false);
    }
    if (condition instanceof Condition.Any(List<Condition> of)) {
      return several(of, known, true);
    }
    if (!(condition instanceof Condition.Compare(Expr left, var relation, Expr right))) {
      return Optional.empty();
    }
    Optional<Value> a = told(left, known);
    Optional<Value> b = told(right, known);
    if (a.isEmpty() || b.isEmpty()) {
      return Optional.empty();
    }
    boolean equal = isEqual(a.get(), b.get());
    return switch (relation) {
      case IS -> Optional.of(equal);
      case IS_NOT -> Optional.of(!equal);
      case LESS, MORE -> Optional.empty();
    };
  }

  /** Whether one is so, where that can be told; that all hold is that none does not. */
  private Optional<Boolean> several(List<Condition> of, Known known, boolean so) {
    boolean told = true;
    for (Condition c : of) {
      Optional<Boolean> one = holds(c, known);
      if (one.equals(Optional.of(so))) {
        return Optional.of(so);
      }
      told &= one.isPresent();
    }
    return told ? Optional.of(!so) : Optional.empty();
  }

  private static boolean isEqual(Value a, Value b) {
    return switch (a) {
      case Value.Length l when b instanceof Value.Length m -> l.compareTo(m) == 0;
      case Value.Quantity q when b instanceof Value.Quantity r && q.scale() == r.scale() ->
          q.compareTo(r) == 0;
      case Value.Amount(var n) when b instanceof Value.Amount(var m) -> n.compareTo(m) == 0;
      default -> a.equals(b);
    };
  }

  private Optional<Value> told(Expr expr, Known known) {
    return switch (expr) {
      case Expr.Literal(Value v) -> Optional.of(v);
      case Expr.Name(String name) ->
          macro.parameter(name).map(p -> known.given().getOrDefault(name, p.otherwise()));
      case Expr.Written w -> Optional.empty();
      case Expr.Opposite o -> Optional.empty();
      case Expr.UnitOf u -> Optional.empty();
      case Expr.Joined j -> Optional.empty();
    };
  }

  /** What a routine of an application would have to be given to take these steps. */
  public record Found(Routine routine, Map<String, Value> arguments) {}

  /** The first routine of an application that takes these steps, without parameters if one does. */
  public static Optional<Found> among(Library library, String application, List<Step> steps) {
    Optional<Found> best = Optional.empty();
    for (Routine r : library.routines().values()) {
      if (r instanceof Routine.Macro m && m.application().equals(application)) {
        Optional<Map<String, Value>> given = of(m, steps);
        if (given.isPresent() && (best.isEmpty() || given.get().isEmpty())) {
          best = Optional.of(new Found(m, given.get()));
        }
      }
    }
    return best;
  }
}
