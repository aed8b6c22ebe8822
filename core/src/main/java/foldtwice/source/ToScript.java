package foldtwice.source;

import foldtwice.extras.Extras;
import foldtwice.outline.ConditionText;
import foldtwice.outline.Mentioned;
import foldtwice.outline.Outline;
import foldtwice.outline.ParameterText;
import foldtwice.outline.QuestionText;
import foldtwice.outline.StepParts;
import foldtwice.routine.Condition;
import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Form;
import foldtwice.routine.Line;
import foldtwice.routine.Parameter;
import foldtwice.routine.Readout;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.StepKind;
import foldtwice.routine.StepKinds;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.routine.Whom;
import foldtwice.source.Turned.Loss;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Trigger;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Turns a macro into a script that does the same. One pass over the steps. Law: {@link ToMacro} of
 * what comes out, if nothing is lost, is the macro again.
 */
public final class ToScript {

  private static final String TURN = "turn";
  private static final Set<String> BUILT_IN = Set.of("today", "stamp");

  private static final Set<String> GROUPS =
      Stream.of(Whom.Group.values()).map(StepParts::written).collect(Collectors.toSet());

  private final Routine.Macro macro;
  private final Identifiers identifiers;
  private final List<Loss> lost = new ArrayList<>();
  private final StringBuilder out = new StringBuilder();
  private final Set<String> given = new LinkedHashSet<>();
  private final Set<String> loopVariables = new LinkedHashSet<>();
  private int depth;
  private int loops;
  private String number = "";

  private ToScript(Routine.Macro macro) {
    this.macro = macro;
    this.identifiers = new Identifiers(named(macro));
  }

  /** The macro as a script, and what that has no place for. */
  public static Turned of(Routine.Macro macro) {
    ToScript to = new ToScript(macro);
    to.declare();
    to.lines(macro.steps(), "");
    return new Turned(new Routine.Script(macro.head(), to.out.toString()), to.lost);
  }

  /** The names a macro gives or asks for, in order: parameters first. */
  private static Set<String> named(Routine.Macro macro) {
    Set<String> names = new LinkedHashSet<>();
    macro.parameters().forEach(p -> names.add(p.name()));
    for (Outline.Row row : Outline.rows(macro.steps())) {
      names.addAll(given(row.line().step()));
      names.addAll(Mentioned.names(row.line().step()));
    }
    names.removeAll(BUILT_IN);
    names.remove(TURN);
    return names;
  }

  /** The names a step gives values to. */
  private static Set<String> given(Step step) {
    Set<String> names = new LinkedHashSet<>();
    StepKind<?> kind = StepKinds.of(step);
    List<Object> values = kind.parts(step).values();
    for (int i = 0; i < values.size(); i++) {
      if (kind.parts().get(i).form() instanceof Form.Variable) {
        names.add((String) values.get(i));
      }
    }
    step.questions().forEach(q -> names.add(q.variable()));
    return names;
  }

  /** Variables are known from their first value to the end, wherever that is given. */
  private void declare() {
    Set<String> mentioned = new TreeSet<>();
    Set<String> set = new LinkedHashSet<>();
    Set<String> loopsOnly = new LinkedHashSet<>();
    for (Outline.Row row : Outline.rows(macro.steps())) {
      Step step = row.line().step();
      mentioned.addAll(Mentioned.names(step));
      set.addAll(given(step));
      if (step instanceof Step.ForEach(String variable, var items, var body)
          && isOwn(variable, body)) {
        loopsOnly.add(variable);
      }
    }
    macro.parameters().stream()
        .map(Parameter::name)
        .filter(n -> mentioned.contains(n) || set.contains(n))
        .forEach(
            n ->
                line(
                    (set.contains(n) ? "let " : "const ")
                        + identifiers.of(n)
                        + " = parameters"
                        + (Identifiers.isOne(n) ? "." + n : "[" + quoted(n) + "]")
                        + ";"));
    Set<String> parameters =
        macro.parameters().stream().map(Parameter::name).collect(Collectors.toSet());
    given.addAll(parameters);
    given.addAll(set);
    loopVariables.addAll(loopsOnly);
    loopVariables.removeAll(parameters);
    List<String> variables =
        set.stream()
            .filter(n -> !parameters.contains(n) && !loopVariables.contains(n))
            .map(identifiers::of)
            .toList();
    if (!variables.isEmpty()) {
      line("let " + String.join(", ", variables) + ";");
    }
  }

  /** True for the variable of a loop that nothing outside its body gives or asks for. */
  private boolean isOwn(String variable, List<Line> body) {
    int inside = (int) Outline.rows(body).stream().filter(r -> touches(r, variable)).count();
    long loopsOfIt =
        Outline.rows(macro.steps()).stream()
            .filter(r -> r.line().step() instanceof Step.ForEach e && e.variable().equals(variable))
            .count();
    boolean given =
        Outline.rows(body).stream().anyMatch(r -> given(r.line().step()).contains(variable));
    long all = Outline.rows(macro.steps()).stream().filter(r -> touches(r, variable)).count();
    return loopsOfIt == 1 && !given && all == inside + 1;
  }

  private static boolean touches(Outline.Row row, String name) {
    Step step = row.line().step();
    return given(step).contains(name) || Mentioned.names(step).contains(name);
  }

  private void lines(List<Line> lines, String prefix) {
    for (int i = 0; i < lines.size(); i++) {
      Line line = lines.get(i);
      number = prefix + (i + 1);
      if (!line.extras().equals(Extras.NONE)) {
        lose("fields this version does not know");
      }
      if (!line.comment().isEmpty()) {
        line.comment().lines().forEach(c -> line("// " + c));
      }
      if (!line.on()) {
        lose("a step that is switched off");
      } else {
        step(line.step(), number);
      }
    }
  }

  private void lose(String what) {
    lost.add(new Loss(number, what));
  }

  private void line(String text) {
    out.append("  ".repeat(depth)).append(text).append('\n');
  }

  private void step(Step step, String here) {
    switch (step) {
      case Step.Choose(List<Template> path) -> call("program.choose", texts(path));
      case Step.Fill(String field, Expr value) -> call("program.fill", quoted(field), expr(value));
      case Step.PressButton(String label) -> call("program.press", quoted(label));
      case Step.Read(Readout what, String variable) -> give(variable, readout(what));
      case Step.ChangeSetting(String setting, Expr value, Step.Lasting lasting) ->
          call(
              lasting == Step.Lasting.THIS_RUN ? "program.change" : "program.changeForGood",
              quoted(setting),
              expr(value));
      case Step.Cycle(String setting, List<Expr> values, Step.Lasting lasting) ->
          call(
              lasting == Step.Lasting.THIS_RUN ? "program.cycle" : "program.cycleForGood",
              with(quoted(setting), values.stream().map(this::expr).toList()));
      case Step.Adjust(String value, Step.Adjusting way, Expr to, Step.Edge edge) ->
          call(
              way == Step.Adjusting.TO ? "program.adjustTo" : "program.adjustBy",
              edged(List.of(quoted(value), expr(to)), edge, Step.Edge.CLAMP));
      case Step.Select(Whom whom, boolean adding, Step.Edge edge) ->
          call(
              adding ? "program.selectToo" : "program.select",
              edged(List.of(whom(whom)), edge, Step.Edge.REPORT));
      case Step.SelectOffset(Expr rows, Expr columns, Step.Edge edge) ->
          call("program.move", edged(List.of(expr(rows), expr(columns)), edge, Step.Edge.REPORT));
      case Step.TypeText(Template text) -> call("program.type", text(text));
      case Step.PressKeys(Trigger.Keys keys) -> call("program.keys", quoted(Notation.write(keys)));
      case Step.SetVariable(String name, Expr value) -> give(name, expr(value));
      case Step.Leave(Step.Leaving leaving) ->
          call(leaving == Step.Leaving.FINISH ? "program.finish" : "program.giveUp");
      case Step.Modifiers(Step.Holding holding) ->
          call(holding == Step.Holding.RELEASE ? "program.releaseHeld" : "program.ignoreHeld");
      case Step.Again() -> call("program.again");
      case Step.Capture(Step.Area area, Template file) ->
          call(
              "computer.capture",
              file.source().isEmpty()
                  ? List.of(quoted(StepParts.written(area)))
                  : List.of(quoted(StepParts.written(area)), text(file)));
      case Step.RunRoutine(String id, Map<String, Expr> arguments) ->
          call(
              "runRoutine",
              arguments.isEmpty() ? List.of(quoted(id)) : List.of(quoted(id), fields(arguments)));
      case Step.StartProgram(String application, List<Template> arguments) ->
          call("computer.start", with(quoted(application), texts(arguments)));
      case Step.BringToFront(String application) ->
          call("computer.bringToFront", quoted(application));
      case Step.WaitUntil(Condition condition, Expr limit) -> wait(condition, limit);
      case Step.Ask(Template text, List<Step.Question> questions) -> ask("ask", text, questions);
      case Step.Pause(Template note, List<Step.Question> offers) -> ask("pause", note, offers);
      case Step.Stop(Template reason) -> call("stop", text(reason));
      case Step.Note(Template text) -> call("log", text(text));
      case Step.If(Condition condition, List<Line> then, List<Line> otherwise) -> {
        line("if (" + condition(condition) + ") {");
        body(then, here + ".");
        if (!otherwise.isEmpty()) {
          line("} else {");
          body(otherwise, here + ".e");
        }
        line("}");
      }
      case Step.Repeat(Expr times, List<Line> body) -> repeat(times, body, here);
      case Step.ForEach(String variable, Step.Items items, List<Line> body) ->
          each(variable, items, body, here);
    }
  }

  private void body(List<Line> lines, String prefix) {
    depth++;
    lines(lines, prefix);
    depth--;
  }

  private void repeat(Expr times, List<Line> body, String here) {
    if (!(times instanceof Expr.Literal(Value.Amount(BigDecimal n)) && n.scale() <= 0)) {
      Set<String> changed = new TreeSet<>();
      Outline.rows(body).forEach(r -> changed.addAll(given(r.line().step())));
      Set<String> counted = Mentioned.names(new Step.Repeat(times, List.of()));
      if (counted.stream().anyMatch(n -> changed.contains(n) || n.equals(TURN))) {
        lose("how often it repeats is settled once; a script looks again at each turn");
      }
    }
    line("for (let turn = 1; turn <= " + expr(times) + "; turn++) {");
    loop(body, here);
    line("}");
  }

  /** The turn of an inner loop stays known after it; in a script it does not. */
  private void loop(List<Line> body, String here) {
    boolean inner = false;
    for (Line l : body) {
      if (inner && asksForTurn(l)) {
        lose("the turn of the loop inside, after it");
      }
      inner |= Outline.rows(List.of(l)).stream().anyMatch(r -> isLoop(r.line().step()));
    }
    loops++;
    body(body, here + ".");
    loops--;
  }

  private static boolean isLoop(Step step) {
    return step instanceof Step.Repeat || step instanceof Step.ForEach;
  }

  /** True when it asks for the turn of the loop it lies in. */
  private static boolean asksForTurn(Line line) {
    return Mentioned.names(line.step()).contains(TURN)
        || (!isLoop(line.step())
            && line.step().bodies().stream().flatMap(List::stream).anyMatch(ToScript::asksForTurn));
  }

  private void each(String variable, Step.Items items, List<Line> body, String here) {
    boolean own = loopVariables.contains(variable);
    boolean turn =
        Outline.rows(body).stream().anyMatch(r -> Mentioned.names(r.line().step()).contains(TURN));
    boolean selected = items instanceof Step.Items.Selected;
    String name = identifiers.of(variable);
    if (!turn && !selected) {
      line("for (" + (own ? "const " : "") + name + " of " + items(items) + ") {");
      loop(body, here);
      line("}");
      return;
    }
    String given = own ? name : identifiers.free("item");
    String at = turn ? ", at" : "";
    line(
        (selected ? "program.eachSelected(" : items(items) + ".forEach(")
            + "("
            + given
            + at
            + ") => {");
    depth++;
    if (!own) {
      line(name + " = " + given + ";");
    }
    if (turn) {
      line("const turn = at + 1;");
    }
    depth--;
    loop(body, here);
    line("});");
  }

  private String items(Step.Items items) {
    return switch (items) {
      case Step.Items.Given(List<Expr> values) ->
          values.stream().map(this::expr).collect(Collectors.joining(", ", "[", "]"));
      case Step.Items.LinesOf(Expr text) -> "lines(" + expr(text) + ")";
      case Step.Items.LinesOfFile(Template file) -> "computer.lines(" + text(file) + ")";
      case Step.Items.Selected() -> throw new IllegalStateException("has a call of its own");
    };
  }

  private void give(String name, String value) {
    line(identifiers.of(name) + " = " + value + ";");
  }

  private void call(String what, String... given) {
    call(what, List.of(given));
  }

  private void call(String what, List<String> given) {
    line(what + "(" + String.join(", ", given) + ");");
  }

  private static List<String> with(String first, List<String> more) {
    List<String> all = new ArrayList<>();
    all.add(first);
    all.addAll(more);
    return all;
  }

  private static List<String> edged(List<String> given, Step.Edge edge, Step.Edge usual) {
    List<String> all = new ArrayList<>(given);
    if (edge != usual) {
      all.add(quoted(StepParts.written(edge)));
    }
    return all;
  }

  private void wait(Condition condition, Expr limit) {
    List<String> given = new ArrayList<>();
    given.add(quoted(ConditionText.write(condition)));
    given.add(expr(limit));
    Set<String> names = Mentioned.names(new Step.WaitUntil(condition, NOTHING));
    if (!known(names).isEmpty()) {
      given.add(shorthand(names));
    }
    call("waitUntil", given);
  }

  private static final Expr NOTHING = new Expr.Literal(new Value.Text(""));

  private void ask(String what, Template text, List<Step.Question> questions) {
    if (questions.isEmpty()) {
      call(what, what.equals("ask") ? List.of(text(text), "{}") : List.of(text(text)));
      return;
    }
    String names =
        questions.stream()
            .map(q -> field(q.variable(), identifiers.of(q.variable())))
            .collect(Collectors.joining(", "));
    String asked =
        questions.stream()
            .map(q -> key(q.variable()) + ": " + question(q))
            .collect(Collectors.joining(", "));
    line("({" + names + "} = " + what + "(" + text(text) + ", {" + asked + "}));");
  }

  /** True when it comes back as it was from what stands in its fields. */
  private static boolean isReadAgain(QuestionText written, Step.Question q) {
    try {
      return written.read().equals(q);
    } catch (ParameterText.FieldException e) {
      return false;
    }
  }

  private String question(Step.Question q) {
    QuestionText written = QuestionText.of(q);
    if (!isReadAgain(written, q)) {
      lose(
          "the question for \u2039" + q.variable() + "\u203a, whose fields do not fit one another");
    }
    List<String> fields = new ArrayList<>();
    fields.add("kind: " + quoted(StepParts.written(written.parameter().sort())));
    fields.add("default: " + expr(q.otherwise()));
    if (written.parameter().sort().hasRange()) {
      fields.add("least: " + quoted(written.parameter().least()));
      fields.add("most: " + quoted(written.parameter().most()));
      fields.add("step: " + quoted(written.parameter().step()));
    }
    if (!written.parameter().options().isEmpty()) {
      fields.add("options: [" + quotedEach(written.parameter().options()) + "]");
    }
    if (!q.offered().isEmpty()) {
      fields.add("offered: [" + quotedEach(written.offered()) + "]");
    }
    if (q.kept()) {
      fields.add("kept: true");
    }
    return "{" + String.join(", ", fields) + "}";
  }

  private static String quotedEach(String parted) {
    return List.of(parted.split(", ")).stream()
        .map(ToScript::quoted)
        .collect(Collectors.joining(", "));
  }

  private String fields(Map<String, Expr> values) {
    return values.entrySet().stream()
        .map(e -> field(e.getKey(), expr(e.getValue())))
        .collect(Collectors.joining(", ", "{", "}"));
  }

  private static String field(String name, String value) {
    return name.equals(value) ? name : key(name) + ": " + value;
  }

  private static String key(String name) {
    return Identifiers.isOne(name) ? name : quoted(name);
  }

  private String whom(Whom whom) {
    return switch (whom) {
      case Whom.Group group -> quoted(StepParts.written(group));
      case Whom.Named(Template name) -> {
        if (GROUPS.contains(name.source())) {
          lose("an object that is called " + name.source() + ", which a script takes for a group");
        }
        yield text(name);
      }
    };
  }

  private String readout(Readout what) {
    return switch (what) {
      case Readout.Setting(String name) -> "program.setting(" + quoted(name) + ")";
      case Readout.Adjustable(String name) -> "program.value(" + quoted(name) + ")";
      case Readout.Indicator(String name) -> "program.shown(" + quoted(name) + ")";
      case Readout.Field(String label) -> "program.field(" + quoted(label) + ")";
      case Readout.Of.SELECTED_COUNT -> "program.selectedCount()";
      case Readout.Of.SELECTED_TEXT -> "program.selectedText()";
      case Readout.Of.CLIPBOARD -> "computer.clipboard()";
    };
  }

  private String condition(Condition condition) {
    return switch (condition) {
      case Condition.SomethingSelected() -> "program.somethingSelected()";
      case Condition.Ticked(List<Template> path) ->
          "program.ticked(" + String.join(", ", texts(path)) + ")";
      case Condition.VersionAtLeast(String version) ->
          "program.versionAtLeast(" + quoted(version) + ")";
      case Condition.DialogOpen(String title) -> "program.dialogOpen(" + quoted(title) + ")";
      case Condition.InFront(String application) -> "computer.inFront(" + quoted(application) + ")";
      case Condition.Not(Condition of) -> "!" + tight(of);
      case Condition.All(List<Condition> of) -> joined(of, " && ");
      case Condition.Any(List<Condition> of) -> joined(of, " || ");
      case Condition.Compare c -> holds(c);
      case Condition.Reads r -> holds(r);
    };
  }

  private String joined(List<Condition> of, String sign) {
    return of.stream().map(this::tight).collect(Collectors.joining(sign));
  }

  private String tight(Condition c) {
    return c instanceof Condition.All || c instanceof Condition.Any
        ? "(" + condition(c) + ")"
        : condition(c);
  }

  private String holds(Condition c) {
    return "holds("
        + quoted(ConditionText.write(c))
        + names(Mentioned.names(new Step.WaitUntil(c, NOTHING)))
        + ")";
  }

  /** What a text with insertions is computed with, as the last thing given. */
  private String names(Collection<String> names) {
    return known(names).isEmpty() ? "" : ", " + shorthand(names);
  }

  private static List<String> known(Collection<String> names) {
    return names.stream().filter(n -> !BUILT_IN.contains(n)).toList();
  }

  private String shorthand(Collection<String> names) {
    return known(names).stream()
        .map(n -> field(n, identifier(n)))
        .collect(Collectors.joining(", ", "{", "}"));
  }

  private List<String> texts(List<Template> texts) {
    return texts.stream().map(this::text).toList();
  }

  private String text(Template text) {
    if (text.names().isEmpty()) {
      return quoted(text.source());
    }
    String only = "\u2039" + text.names().getFirst() + "\u203a";
    return text.source().equals(only) && !BUILT_IN.contains(text.names().getFirst())
        ? identifier(text.names().getFirst())
        : computed(new Expr.Written(text));
  }

  private String identifier(String name) {
    if (name.equals(TURN)) {
      if (loops == 0) {
        lose("the turn of a loop, after it");
      }
      return TURN;
    }
    if (!given.contains(name)) {
      lose("a value for \u2039" + name + "\u203a, which nobody gives");
    }
    return identifiers.of(name);
  }

  private String expr(Expr e) {
    return switch (e) {
      case Expr.Literal(Value.Text(String text)) -> quoted(text);
      case Expr.Literal(Value.Flag(boolean yes)) -> Boolean.toString(yes);
      case Expr.Literal(Value.Amount(BigDecimal n)) when isExact(n) -> n.toPlainString();
      case Expr.Literal(Value value) when isExact(number(value)) ->
          "amount(" + quoted(value.shown()) + ")";
      case Expr.Name(String name) when !BUILT_IN.contains(name) -> identifier(name);
      case Expr.Opposite(Expr.Literal(Value.Amount(BigDecimal n)))
          when n.signum() > 0 && isExact(n) ->
          "-" + n.toPlainString();
      default -> computed(e);
    };
  }

  private static BigDecimal number(Value value) {
    return switch (value) {
      case Value.Amount(BigDecimal n) -> n;
      case Value.Length(BigDecimal n, var unit) -> n;
      case Value.Quantity(BigDecimal n, var scale) -> n;
      case Value.Text t -> BigDecimal.ZERO;
      case Value.Flag f -> BigDecimal.ZERO;
    };
  }

  /** True when a script's numbers can be this one. */
  private static boolean isExact(BigDecimal n) {
    return new BigDecimal(Double.toString(n.doubleValue())).compareTo(n) == 0;
  }

  private String computed(Expr e) {
    return "computed("
        + quoted(ExprNotation.write(e))
        + names(Mentioned.names(new Step.SetVariable("", e)))
        + ")";
  }

  /** A text as a script writes it. */
  static String quoted(String text) {
    StringBuilder out = new StringBuilder("'");
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      switch (c) {
        case '\'' -> out.append("\\'");
        case '\\' -> out.append("\\\\");
        case '\n' -> out.append("\\n");
        case '\r' -> out.append("\\r");
        case '\t' -> out.append("\\t");
        default -> {
          if (Character.isISOControl(c)
              || Character.isSurrogate(c)
              || c == '\u2028'
              || c == '\u2029') {
            out.append(String.format("\\u%04x", (int) c));
          } else {
            out.append(c);
          }
        }
      }
    }
    return out.append('\'').toString();
  }
}
