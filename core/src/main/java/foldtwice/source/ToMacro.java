package foldtwice.source;

import foldtwice.extras.Extras;
import foldtwice.outline.Mentioned;
import foldtwice.routine.Expr;
import foldtwice.routine.Line;
import foldtwice.routine.Parameter;
import foldtwice.routine.Readout;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.ValueException;
import foldtwice.source.Source.Spot;
import foldtwice.source.Turned.Loss;
import foldtwice.text.Refusals;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Turns a script into a macro that does the same, as far as a macro can: calls of the interface,
 * values computed from others, conditions, and loops over lists and numbers. One pass over the
 * text; what a macro has no step for is told with its line.
 */
public final class ToMacro {

  static final String TURN = "turn";
  private static final String NO_STEP = "no step does this: ";

  private final Source source;
  private final Set<String> changed = new HashSet<>();
  private final List<Loss> lost = new ArrayList<>();
  private final Comments comments;
  private final Scopes scopes;
  private final FromPhrase from;

  private ToMacro(Source source, List<Parameter> parameters) {
    this.source = source;
    this.comments = new Comments(source.text());
    this.scopes = new Scopes(parameters);
    this.from = new FromPhrase(source, scopes);
  }

  /** The script as a macro, and what that has no place for. */
  public static Turned of(Routine.Script script) {
    Source source = Source.of(script.source());
    ToMacro to = new ToMacro(source, script.parameters());
    source.slip().ifPresent(s -> to.lose(s.at(), "it cannot be read: " + s.what()));
    List<Line> lines = to.block(source.clauses());
    to.scopes
        .direct()
        .forEach(
            (name, at) -> {
              if (to.changed.contains(name)) {
                to.lose(at, "parameters." + name + " as it was given, beside one that changes");
              }
            });
    to.comments.others().forEach(at -> to.lose(at, "a comment that stands above no step"));
    return new Turned(new Routine.Macro(script.head(), lines), to.lost);
  }

  private void lose(Span at, String what) {
    lose(Spot.of(source.text(), at.from()), what);
  }

  private void lose(Spot at, String what) {
    lost.add(new Loss(Integer.toString(at.line()), what));
  }

  private List<Line> block(List<Clause> clauses) {
    scopes.open();
    List<Line> lines = new ArrayList<>();
    for (Clause clause : clauses) {
      try {
        Optional<Step> step = step(clause);
        step.ifPresent(s -> lines.add(new Line(s, true, comments.above(clause.at()), Extras.NONE)));
      } catch (LostException e) {
        lose(e.at(), e.getMessage());
      } catch (ValueException e) {
        lose(clause.at(), "expected " + e.allowed() + ", found " + e.found());
      }
    }
    scopes.close();
    return lines;
  }

  /** The step a clause is; empty for one that needs none. */
  private Optional<Step> step(Clause clause) throws LostException {
    return switch (clause) {
      case Clause.Declared(String name, Optional<Phrase> value, Span at) ->
          declared(name, value, at);
      case Clause.Done(Phrase what, Span at) -> done(what);
      case Clause.When(Phrase holds, var then, var otherwise, Span at) ->
          Optional.of(new Step.If(from.condition(holds), block(then), block(otherwise)));
      case Clause.Each(String name, boolean fresh, Phrase of, var body, Span at) ->
          Optional.of(each(name, fresh, from.items(of), body, at));
      case Clause.Counted(String name, Phrase most, var body, Span at) ->
          Optional.of(counted(name, most, body));
      case Clause.Other o -> throw new LostException(o.at(), NO_STEP + source.excerpt(o.at()));
    };
  }

  private Optional<Step> declared(String name, Optional<Phrase> value, Span at)
      throws LostException {
    if (scopes.hasAround(name)) {
      throw new LostException(at, Refusals.says("source.stands-for-two-things", name));
    }
    if (value.isPresent() && scopes.parameter(value.get()).isPresent()) {
      String parameter = scopes.parameter(value.get()).get();
      scopes.put(name, new Expr.Name(parameter));
      return Optional.empty();
    }
    scopes.lose(name);
    Optional<Step> step = value.isEmpty() ? Optional.empty() : given(name, value.get());
    scopes.put(name, new Expr.Name(name));
    return step;
  }

  /** A variable gets a value. */
  private Optional<Step> given(String name, Phrase value) throws LostException {
    if (value instanceof Phrase.Call call && from.wanted(call).isPresent()) {
      return Optional.of(
          switch (from.wanted(call).get()) {
            case Wanted.Read(Readout what) -> new Step.Read(what, name);
            case Wanted.Compute(Expr e) -> new Step.SetVariable(name, e);
            case Wanted.Answer(Step.Ask ask) -> {
              Step.Question q = ask.questions().getFirst();
              yield ask.withQuestions(
                  List.of(new Step.Question(name, q.kind(), q.otherwise(), q.offered(), q.kept())));
            }
            default -> throw new LostException(call.at(), NO_STEP + source.excerpt(call.at()));
          });
    }
    return Optional.of(new Step.SetVariable(name, from.expr(value)));
  }

  private Optional<Step> done(Phrase what) throws LostException {
    return switch (what) {
      case Phrase.Infix(Phrase.Name(String name, Span a), String sign, Phrase value, Span at)
          when sign.equals("=") ->
          given(variable(name, at), value);
      case Phrase.Infix(Phrase.Fields(var names, Span a), String sign, Phrase.Call call, Span at)
          when sign.equals("=") ->
          Optional.of(answered(names, call));
      case Phrase.Call call -> {
        Optional<Step> loop = loop(call); // once only: it takes comments, and tells what is lost
        yield loop.isPresent() ? loop : Optional.of(taken(call));
      }
      default -> throw new LostException(what.at(), NO_STEP + source.excerpt(what.at()));
    };
  }

  private Step taken(Phrase.Call call) throws LostException {
    if (from.wanted(call).orElse(null) instanceof Wanted.Take(Step step, var names)) {
      return step;
    }
    throw new LostException(call.at(), NO_STEP + source.excerpt(call.at()));
  }

  /** The name a variable has in the macro. */
  private String variable(String name, Span at) throws LostException {
    if (!(scopes.named(name, at) instanceof Expr.Name(String plain)) || plain.equals(TURN)) {
      throw new LostException(at, Refusals.says("source.given-value-which-turn", name));
    }
    changed.add(plain);
    return plain;
  }

  /** {@code ({a, b} = ask(…))}. */
  private Step answered(List<Phrase.Field> names, Phrase.Call call) throws LostException {
    if (!(from.wanted(call).orElse(null) instanceof Wanted.Take(Step step, var more))
        || step.questions().size() != names.size()) {
      throw new LostException(call.at(), NO_STEP + source.excerpt(call.at()));
    }
    List<Step.Question> questions = new ArrayList<>();
    for (Step.Question q : step.questions()) {
      Phrase.Field field =
          names.stream().filter(n -> n.name().equals(q.variable())).findFirst().orElse(null);
      if (field == null
          || !(field.value() instanceof Phrase.Name(String name, Span at))
          || !variable(name, at).equals(q.variable())) {
        throw new LostException(call.at(), Refusals.says("source.answer-kept-under-another"));
      }
      questions.add(q);
    }
    return step.withQuestions(questions);
  }

  /** {@code list.forEach((name, at) => …)}, {@code program.eachSelected((name, at) => …)}. */
  private Optional<Step> loop(Phrase.Call call) throws LostException {
    if (call.given().size() != 1
        || !(call.given().getFirst() instanceof Phrase.Function(var names, var body, Span at))
        || names.isEmpty()
        || names.size() > 2) {
      return Optional.empty();
    }
    Step.Items items;
    if (Names.member(call).filter(m -> m.name().equals("program.eachSelected")).isPresent()) {
      items = new Step.Items.Selected();
    } else if (call.what() instanceof Phrase.Member(Phrase of, String name, Span where)
        && name.equals("forEach")) {
      items = from.items(of);
    } else {
      return Optional.empty();
    }
    List<Clause> rest = new ArrayList<>(body);
    Map<String, Expr> known = new LinkedHashMap<>();
    String variable = names.getFirst();
    // a variable from outside that gets the item first is the loop's
    if (!rest.isEmpty()
        && rest.getFirst()
            instanceof
            Clause.Done(
                Phrase.Infix(
                    Phrase.Name(String outer, Span o),
                    String sign,
                    Phrase.Name(String item, Span i),
                    Span w),
                Span d)
        && sign.equals("=")
        && item.equals(variable)) {
      variable = variable(outer, o);
      rest.removeFirst();
    } else {
      known.put(variable, new Expr.Name(variable));
    }
    if (names.size() == 2 && !rest.isEmpty() && isTurn(rest.getFirst(), names.getLast())) {
      known.put(((Clause.Declared) rest.getFirst()).name(), new Expr.Name(TURN));
      rest.removeFirst();
    }
    return Optional.of(new Step.ForEach(variable, items, body(known, rest)));
  }

  /** {@code const turn = at + 1}. */
  private static boolean isTurn(Clause clause, String at) {
    return clause instanceof Clause.Declared d
        && d.value().orElse(null)
            instanceof
            Phrase.Infix(
                Phrase.Name(String counted, Span a),
                String sign,
                Phrase.Digits(BigDecimal one, Span b),
                Span c)
        && counted.equals(at)
        && sign.equals("+")
        && one.compareTo(BigDecimal.ONE) == 0;
  }

  private List<Line> body(Map<String, Expr> known, List<Clause> clauses) {
    scopes.openLoop(known);
    List<Line> lines = block(clauses);
    scopes.closeLoop();
    return lines;
  }

  private Step each(String name, boolean fresh, Step.Items items, List<Clause> body, Span at)
      throws LostException {
    if (fresh && scopes.has(name)) {
      throw new LostException(at, Refusals.says("source.stands-for-two-things", name));
    }
    String variable = fresh ? name : variable(name, at);
    return new Step.ForEach(
        variable, items, body(fresh ? Map.of(name, new Expr.Name(name)) : Map.of(), body));
  }

  private Step counted(String name, Phrase most, List<Clause> body) throws LostException {
    Expr times = from.expr(most);
    Set<String> names = Mentioned.names(new Step.Repeat(times, List.of()));
    List<Line> lines = body(Map.of(name, new Expr.Name(TURN)), body);
    if (!names.isEmpty() && gives(lines, names)) {
      throw new LostException(most.at(), Refusals.says("source.how-often-repeats-changes"));
    }
    return new Step.Repeat(times, lines);
  }

  private static boolean gives(List<Line> lines, Set<String> names) {
    return foldtwice.outline.Outline.rows(lines).stream()
        .map(r -> r.line().step())
        .anyMatch(
            s ->
                (s instanceof Step.SetVariable set && names.contains(set.name()))
                    || (s instanceof Step.Read read && names.contains(read.variable()))
                    || s.questions().stream().anyMatch(q -> names.contains(q.variable())));
  }
}
