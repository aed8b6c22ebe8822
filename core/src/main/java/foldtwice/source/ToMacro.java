package foldtwice.source;

import foldtwice.extras.Extras;
import foldtwice.outline.Mentioned;
import foldtwice.routine.Condition;
import foldtwice.routine.Condition.Relation;
import foldtwice.routine.Expr;
import foldtwice.routine.Line;
import foldtwice.routine.Parameter;
import foldtwice.routine.Readout;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.routine.ValueException;
import foldtwice.source.Source.Spot;
import foldtwice.source.Turned.Loss;
import foldtwice.text.Refusals;
import java.math.BigDecimal;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
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

  private static final String TURN = "turn";
  private static final String NO_STEP = "no step does this: ";

  /** Something of the source that a macro has no place for. */
  private static final class LostException extends Exception {
    private static final long serialVersionUID = 1L;
    private final transient Span at;

    LostException(Span at, String what) {
      super(what, null, false, false);
      this.at = at;
    }
  }

  private final Source source;
  private final Set<String> parameters = new HashSet<>();
  private final Set<String> changed = new HashSet<>();
  private final Map<String, Span> direct = new LinkedHashMap<>();
  private final List<Loss> lost = new ArrayList<>();
  private final Comments comments;

  /** What the names stand for, the innermost scope first. */
  private final Deque<Map<String, Expr>> scopes = new ArrayDeque<>();

  private ToMacro(Source source, List<Parameter> parameters) {
    this.source = source;
    this.comments = new Comments(source.text());
    parameters.forEach(p -> this.parameters.add(p.name()));
  }

  /** The script as a macro, and what that has no place for. */
  public static Turned of(Routine.Script script) {
    Source source = Source.of(script.source());
    ToMacro to = new ToMacro(source, script.parameters());
    source.slip().ifPresent(s -> to.lose(s.at(), "it cannot be read: " + s.what()));
    List<Line> lines = to.block(source.clauses());
    to.direct.forEach(
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
    scopes.push(new LinkedHashMap<>());
    List<Line> lines = new ArrayList<>();
    for (Clause clause : clauses) {
      try {
        Optional<Step> step = step(clause);
        step.ifPresent(s -> lines.add(new Line(s, true, comments.above(clause.at()), Extras.NONE)));
      } catch (LostException e) {
        lose(e.at, e.getMessage());
      } catch (ValueException e) {
        lose(clause.at(), "expected " + e.allowed() + ", found " + e.found());
      }
    }
    scopes.pop();
    return lines;
  }

  /** The step a clause is; empty for one that needs none. */
  private Optional<Step> step(Clause clause) throws LostException {
    return switch (clause) {
      case Clause.Declared(String name, Optional<Phrase> value, Span at) ->
          declared(name, value, at);
      case Clause.Done(Phrase what, Span at) -> done(what);
      case Clause.When(Phrase holds, var then, var otherwise, Span at) ->
          Optional.of(new Step.If(condition(holds), block(then), block(otherwise)));
      case Clause.Each(String name, boolean fresh, Phrase of, var body, Span at) ->
          Optional.of(each(name, fresh, items(of), body, at));
      case Clause.Counted(String name, Phrase most, var body, Span at) ->
          Optional.of(counted(name, most, body));
      case Clause.Other o -> throw new LostException(o.at(), NO_STEP + excerpt(o.at()));
    };
  }

  private String excerpt(Span at) {
    String text = source.text().substring(at.from(), Math.min(at.to(), source.text().length()));
    String line = text.lines().findFirst().orElse("").strip();
    return line.length() > 60 ? line.substring(0, 60) + "\u2026" : line;
  }

  private Optional<Step> declared(String name, Optional<Phrase> value, Span at)
      throws LostException {
    if (scopes.stream().skip(1).anyMatch(s -> s.containsKey(name))) {
      throw new LostException(at, Refusals.says("source.stands-for-two-things", name));
    }
    if (value.isPresent() && parameter(value.get()).isPresent()) {
      String parameter = parameter(value.get()).get();
      scopes.peek().put(name, new Expr.Name(parameter));
      return Optional.empty();
    }
    scopes.peek().put(name, LOST);
    Optional<Step> step = value.isEmpty() ? Optional.empty() : given(name, value.get());
    scopes.peek().put(name, new Expr.Name(name));
    return step;
  }

  private Optional<String> parameter(Phrase phrase) {
    return phrase instanceof Phrase.Member(Phrase.Name(String of, Span a), String name, Span b)
            && of.equals("parameters")
            && parameters.contains(name)
        ? Optional.of(name)
        : Optional.empty();
  }

  /** A variable gets a value. */
  private Optional<Step> given(String name, Phrase value) throws LostException {
    if (value instanceof Phrase.Call call && wanted(call).isPresent()) {
      return Optional.of(
          switch (wanted(call).get()) {
            case Wanted.Read(Readout what) -> new Step.Read(what, name);
            case Wanted.Compute(Expr e) -> new Step.SetVariable(name, e);
            case Wanted.Answer(Step.Ask ask) -> {
              Step.Question q = ask.questions().getFirst();
              yield ask.withQuestions(
                  List.of(new Step.Question(name, q.kind(), q.otherwise(), q.offered(), q.kept())));
            }
            default -> throw new LostException(call.at(), NO_STEP + excerpt(call.at()));
          });
    }
    return Optional.of(new Step.SetVariable(name, expr(value)));
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
      default -> throw new LostException(what.at(), NO_STEP + excerpt(what.at()));
    };
  }

  private Step taken(Phrase.Call call) throws LostException {
    if (wanted(call).orElse(null) instanceof Wanted.Take(Step step, var names)) {
      return step;
    }
    throw new LostException(call.at(), NO_STEP + excerpt(call.at()));
  }

  /** The name a variable has in the macro. */
  private String variable(String name, Span at) throws LostException {
    if (!(named(name, at) instanceof Expr.Name(String plain)) || plain.equals(TURN)) {
      throw new LostException(at, Refusals.says("source.given-value-which-turn", name));
    }
    changed.add(plain);
    return plain;
  }

  /** {@code ({a, b} = ask(…))}. */
  private Step answered(List<Phrase.Field> names, Phrase.Call call) throws LostException {
    if (!(wanted(call).orElse(null) instanceof Wanted.Take(Step step, var more))
        || step.questions().size() != names.size()) {
      throw new LostException(call.at(), NO_STEP + excerpt(call.at()));
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
      items = items(of);
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
    // the turn of a loop around this one is not known inside, nor after it
    Map<String, Expr> hidden = new LinkedHashMap<>();
    for (Map<String, Expr> scope : scopes) {
      scope.forEach(
          (name, e) -> {
            if (e.equals(new Expr.Name(TURN)) && !known.containsKey(name)) {
              hidden.put(name, GONE);
            }
          });
    }
    hidden.putAll(known);
    scopes.push(hidden);
    List<Line> lines = block(clauses);
    scopes.pop();
    scopes.forEach(
        scope -> scope.replaceAll((name, e) -> e.equals(new Expr.Name(TURN)) ? GONE : e));
    return lines;
  }

  /** A variable whose value no step computes. */
  private static final Expr LOST = new Expr.UnitOf(new Expr.UnitOf(new Expr.Name(TURN)));

  /** A turn that is no longer known. */
  private static final Expr GONE = new Expr.UnitOf(new Expr.Name(TURN));

  private Step each(String name, boolean fresh, Step.Items items, List<Clause> body, Span at)
      throws LostException {
    if (fresh && scopes.stream().anyMatch(s -> s.containsKey(name))) {
      throw new LostException(at, Refusals.says("source.stands-for-two-things", name));
    }
    String variable = fresh ? name : variable(name, at);
    return new Step.ForEach(
        variable, items, body(fresh ? Map.of(name, new Expr.Name(name)) : Map.of(), body));
  }

  private Step counted(String name, Phrase most, List<Clause> body) throws LostException {
    Expr times = expr(most);
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

  private Step.Items items(Phrase of) throws LostException {
    return switch (of) {
      case Phrase.Listed(var items, Span at) -> {
        List<Expr> values = new ArrayList<>();
        for (Phrase item : items) {
          values.add(expr(item));
        }
        yield new Step.Items.Given(values);
      }
      case Phrase.Call call when isCall(call, "lines") && call.given().size() == 1 ->
          new Step.Items.LinesOf(expr(call.given().getFirst()));
      case Phrase.Call call
          when wanted(call).orElse(null) instanceof Wanted.Through(Step.Items items)
              && !(items instanceof Step.Items.Selected) ->
          items;
      default ->
          throw new LostException(
              of.at(), Refusals.says("source.list-no-step-goes", excerpt(of.at())));
    };
  }

  private static boolean isCall(Phrase.Call call, String name) {
    return Names.member(call).filter(m -> m.name().equals(name)).isPresent();
  }

  private Condition condition(Phrase phrase) throws LostException {
    return switch (phrase) {
      case Phrase.Prefix(String sign, Phrase of, Span at) when sign.equals("!") ->
          new Condition.Not(condition(of));
      case Phrase.Infix(Phrase left, String sign, Phrase right, Span at)
          when sign.equals("&&") || sign.equals("||") -> {
        List<Condition> all = new ArrayList<>();
        flatten(left, sign, all);
        all.add(condition(right));
        yield sign.equals("&&") ? new Condition.All(all) : new Condition.Any(all);
      }
      case Phrase.Infix(Phrase left, String sign, Phrase right, Span at)
          when relation(sign).isPresent() && (isPlain(left) || isPlain(right)) ->
          compared(left, relation(sign).get(), right);
      case Phrase.Call call
          when wanted(call).orElse(null) instanceof Wanted.Test(Condition condition) ->
          condition;
      default ->
          throw new LostException(
              phrase.at(), Refusals.says("source.condition-no-step-looks", excerpt(phrase.at())));
    };
  }

  private void flatten(Phrase phrase, String sign, List<Condition> into) throws LostException {
    if (phrase instanceof Phrase.Infix(Phrase left, String joint, Phrase right, Span at)
        && joint.equals(sign)
        && !isBracketed(phrase)) {
      flatten(left, sign, into);
      into.add(condition(right));
    } else {
      into.add(condition(phrase));
    }
  }

  /** What stands in brackets of its own stays together. */
  private boolean isBracketed(Phrase phrase) {
    String text = source.text().substring(phrase.at().from(), phrase.at().to());
    if (!text.startsWith("(")) {
      return false;
    }
    int depth = 0;
    for (int i = 0; i < text.length(); i++) {
      depth += text.charAt(i) == '(' ? 1 : text.charAt(i) == ')' ? -1 : 0;
      if (depth == 0) {
        return i == text.length() - 1;
      }
    }
    return true;
  }

  private static boolean isPlain(Phrase phrase) {
    return phrase instanceof Phrase.Words || phrase instanceof Phrase.Digits;
  }

  private static Optional<Relation> relation(String sign) {
    return switch (sign) {
      case "===", "==" -> Optional.of(Relation.IS);
      case "!==", "!=" -> Optional.of(Relation.IS_NOT);
      case "<" -> Optional.of(Relation.LESS);
      case ">" -> Optional.of(Relation.MORE);
      default -> Optional.empty();
    };
  }

  private Condition compared(Phrase left, Relation relation, Phrase right) throws LostException {
    if (left instanceof Phrase.Call call
        && wanted(call).orElse(null) instanceof Wanted.Read(Readout what)) {
      return new Condition.Reads(what, relation, expr(right));
    }
    return new Condition.Compare(expr(left), relation, expr(right));
  }

  private Expr expr(Phrase phrase) throws LostException {
    return switch (phrase) {
      case Phrase.Words(String text, Span at) -> new Expr.Literal(new Value.Text(text));
      case Phrase.Digits(BigDecimal n, Span at) -> new Expr.Literal(new Value.Amount(n));
      case Phrase.YesNo(boolean yes, Span at) -> new Expr.Literal(new Value.Flag(yes));
      case Phrase.Prefix(String sign, Phrase.Digits n, Span at) when sign.equals("-") ->
          new Expr.Opposite(expr(n));
      case Phrase.Name(String name, Span at) -> named(name, at);
      case Phrase.Member m when parameter(m).isPresent() -> asGiven(parameter(m).get(), m.at());
      case Phrase.Infix(Phrase left, String sign, Phrase right, Span at)
          when sign.equals("*") || sign.equals("-") ->
          new Expr.Joined(
              expr(left),
              sign.equals("*") ? Expr.Operator.TIMES : Expr.Operator.MINUS,
              expr(right));
      case Phrase.Mixed m -> new Expr.Written(template(m));
      case Phrase.Call call when isCall(call, "amount") && plainText(call).isPresent() ->
          new Expr.Literal(Calls.amount(plainText(call).get()));
      case Phrase.Call call when wanted(call).orElse(null) instanceof Wanted.Compute(Expr e) -> e;
      default ->
          throw new LostException(
              phrase.at(), Refusals.says("source.value-no-step-computes", excerpt(phrase.at())));
    };
  }

  /** A parameter as it was given, whatever becomes of a variable of its name. */
  private Expr asGiven(String parameter, Span at) {
    direct.putIfAbsent(parameter, at);
    return new Expr.Name(parameter);
  }

  private static Optional<String> plainText(Phrase.Call call) {
    return call.given().size() == 1 && call.given().getFirst() instanceof Phrase.Words w
        ? Optional.of(w.text())
        : Optional.empty();
  }

  private Expr named(String name, Span at) throws LostException {
    for (Map<String, Expr> scope : scopes) {
      Expr e = scope.get(name);
      if (e != null) {
        if (e.equals(GONE)) {
          throw new LostException(at, Refusals.says("source.turn-loop-around-another"));
        }
        if (e.equals(LOST)) {
          throw new LostException(at, Refusals.says("source.what-needs-which-lost", name));
        }
        return e;
      }
    }
    throw new LostException(at, Refusals.says("source.what-stands-for-not", name));
  }

  private Template template(Phrase.Mixed mixed) throws LostException {
    StringBuilder out = new StringBuilder();
    for (Phrase part : mixed.parts()) {
      switch (part) {
        case Phrase.Words(String text, Span at) when text.indexOf('\u2039') < 0 -> out.append(text);
        case Phrase.Name(String name, Span at)
            when named(name, at) instanceof Expr.Name(String n) ->
            out.append('\u2039').append(n).append('\u203a');
        case Phrase.Member m when parameter(m).isPresent() ->
            out.append('\u2039').append(parameter(m).get()).append('\u203a');
        default ->
            throw new LostException(
                part.at(), Refusals.says("source.value-no-step-puts", excerpt(part.at())));
      }
    }
    return new Template(out.toString());
  }

  /** What a call of the interface wants; empty for any other call. */
  private Optional<Wanted> wanted(Phrase.Call call) throws LostException {
    Optional<Interface.Member> member = Names.member(call).filter(m -> !m.host().isEmpty());
    if (member.isEmpty() || member.get().host().equals("amount")) {
      return Optional.empty();
    }
    Interface.Member m = member.get();
    List<Given> given = new ArrayList<>();
    for (int i = 0; i < call.given().size(); i++) {
      Phrase one = call.given().get(i);
      switch (m.takes(i).orElse(Interface.Takes.AMOUNT)) {
        case QUESTIONS -> given.addAll(questions(one));
        case NAMES -> {
          if (m.host().equals("run")) {
            given.addAll(arguments(one));
          } else {
            sameNames(one);
          }
        }
        default -> given.add(given(one));
      }
    }
    Wanted wanted = Calls.of(m.host(), given);
    if (wanted instanceof Wanted.Take(Step step, var names) && !names.isEmpty()) {
      throw new LostException(call.at(), Refusals.says("source.text-with-as-stands"));
    }
    return Optional.of(wanted);
  }

  private Given given(Phrase phrase) throws LostException {
    return switch (phrase) {
      case Phrase.Words(String text, Span at) -> new Given.Plain(new Value.Text(text));
      case Phrase.YesNo(boolean yes, Span at) -> new Given.Plain(new Value.Flag(yes));
      case Phrase.Mixed m -> new Given.Written(template(m));
      default -> new Given.Computed(expr(phrase));
    };
  }

  /** The names a text is computed with are those of the macro. */
  private void sameNames(Phrase phrase) throws LostException {
    for (Phrase.Field f : fields(phrase)) {
      if (!expr(f.value()).equals(new Expr.Name(f.name()))) {
        throw new LostException(
            phrase.at(), Refusals.says("source.stands-for-something-else", f.name()));
      }
    }
  }

  private List<Given> arguments(Phrase phrase) throws LostException {
    List<Given> given = new ArrayList<>();
    for (Phrase.Field f : fields(phrase)) {
      given.add(new Given.Plain(new Value.Text(f.name())));
      given.add(given(f.value()));
    }
    return given;
  }

  private static List<Phrase.Field> fields(Phrase phrase) throws LostException {
    if (phrase instanceof Phrase.Fields(var fields, Span at)) {
      return fields;
    }
    throw new LostException(phrase.at(), Refusals.says("source.names-are-computed"));
  }

  private List<Given> questions(Phrase phrase) throws LostException {
    List<Given> given = new ArrayList<>();
    for (Phrase.Field question : fields(phrase)) {
      given.add(new Given.Plain(new Value.Text(question.name())));
      Map<String, Phrase> said = new LinkedHashMap<>();
      fields(question.value()).forEach(f -> said.put(f.name(), f.value()));
      for (String field : Calls.QUESTION) {
        given.add(said.containsKey(field) ? field(said.get(field)) : missing(field));
      }
    }
    return given;
  }

  private static Given missing(String field) {
    return new Given.Plain(field.equals("kept") ? new Value.Flag(false) : new Value.Text(""));
  }

  private Given field(Phrase phrase) throws LostException {
    if (!(phrase instanceof Phrase.Listed(var items, Span at))) {
      return given(phrase);
    }
    List<String> parts = new ArrayList<>();
    for (Phrase item : items) {
      parts.add(given(item).shown());
    }
    return new Given.Plain(new Value.Text(String.join(", ", parts)));
  }
}
