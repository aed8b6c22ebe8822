package foldtwice.source;

import static foldtwice.source.ToPhrase.quoted;

import foldtwice.extras.Extras;
import foldtwice.outline.ConditionText;
import foldtwice.outline.Mentioned;
import foldtwice.outline.Outline;
import foldtwice.outline.StepParts;
import foldtwice.routine.Condition;
import foldtwice.routine.Expr;
import foldtwice.routine.Line;
import foldtwice.routine.Parameter;
import foldtwice.routine.Readout;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.routine.Whom;
import foldtwice.source.Turned.Loss;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Trigger;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * Turns a macro into a script that does the same. One pass over the steps. Law: {@link ToMacro} of
 * what comes out, if nothing is lost, is the macro again.
 */
public final class ToScript {

  private final Routine.Macro macro;
  private final Identifiers identifiers;
  private final List<Loss> lost = new ArrayList<>();
  private final StringBuilder out = new StringBuilder();
  private final Set<String> given = new LinkedHashSet<>();
  private final Set<String> loopVariables = new LinkedHashSet<>();
  private final ToPhrase to;
  private int depth;
  private int loops;
  private String number = "";

  private ToScript(Routine.Macro macro) {
    this.macro = macro;
    this.identifiers = new Identifiers(Variables.named(macro));
    this.to = new ToPhrase(identifiers, given, () -> loops > 0, this::lose);
  }

  /** The macro as a script, and what that has no place for. */
  public static Turned of(Routine.Macro macro) {
    ToScript script = new ToScript(macro);
    script.declare();
    script.lines(macro.steps(), "");
    return new Turned(new Routine.Script(macro.head(), script.out.toString()), script.lost);
  }

  /** Variables are known from their first value to the end, wherever that is given. */
  private void declare() {
    Set<String> mentioned = new TreeSet<>();
    Set<String> set = new LinkedHashSet<>();
    Set<String> loopsOnly = new LinkedHashSet<>();
    for (Outline.Row row : Outline.rows(macro.steps())) {
      Step step = row.line().step();
      mentioned.addAll(Mentioned.names(step));
      set.addAll(Variables.given(step));
      if (step instanceof Step.ForEach(String variable, var items, var body)
          && Variables.isOwn(macro, variable, body)) {
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
      case Step.Choose(List<Template> path) -> call("program.choose", to.texts(path));
      case Step.Fill(String field, Expr value) ->
          call("program.fill", quoted(field), to.expr(value));
      case Step.PressButton(String label) -> call("program.press", quoted(label));
      case Step.Read(Readout what, String variable) -> give(variable, to.readout(what));
      case Step.ChangeSetting(String setting, Expr value, Step.Lasting lasting) ->
          call(
              lasting == Step.Lasting.THIS_RUN ? "program.change" : "program.changeForGood",
              quoted(setting),
              to.expr(value));
      case Step.Cycle(String setting, List<Expr> values, Step.Lasting lasting) ->
          call(
              lasting == Step.Lasting.THIS_RUN ? "program.cycle" : "program.cycleForGood",
              with(quoted(setting), values.stream().map(to::expr).toList()));
      case Step.Adjust(String value, Step.Adjusting way, Expr wanted, Step.Edge edge) ->
          call(
              way == Step.Adjusting.TO ? "program.adjustTo" : "program.adjustBy",
              edged(List.of(quoted(value), to.expr(wanted)), edge, Step.Edge.CLAMP));
      case Step.Select(Whom whom, boolean adding, Step.Edge edge) ->
          call(
              adding ? "program.selectToo" : "program.select",
              edged(List.of(to.whom(whom)), edge, Step.Edge.REPORT));
      case Step.SelectOffset(Expr rows, Expr columns, Step.Edge edge) ->
          call(
              "program.move",
              edged(List.of(to.expr(rows), to.expr(columns)), edge, Step.Edge.REPORT));
      case Step.TypeText(Template text) -> call("program.type", to.text(text));
      case Step.PressKeys(Trigger.Keys keys) -> call("program.keys", quoted(Notation.write(keys)));
      case Step.SetVariable(String name, Expr value) -> give(name, to.expr(value));
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
                  : List.of(quoted(StepParts.written(area)), to.text(file)));
      case Step.RunRoutine(String id, Map<String, Expr> arguments) ->
          call(
              "runRoutine",
              arguments.isEmpty()
                  ? List.of(quoted(id))
                  : List.of(quoted(id), to.fields(arguments)));
      case Step.StartProgram(String application, List<Template> arguments) ->
          call("computer.start", with(quoted(application), to.texts(arguments)));
      case Step.BringToFront(String application) ->
          call("computer.bringToFront", quoted(application));
      case Step.WaitUntil(Condition condition, Expr limit) -> wait(condition, limit);
      case Step.Ask(Template text, List<Step.Question> questions) -> ask("ask", text, questions);
      case Step.Pause(Template note, List<Step.Question> offers) -> ask("pause", note, offers);
      case Step.Stop(Template reason) -> call("stop", to.text(reason));
      case Step.Note(Template text) -> call("log", to.text(text));
      case Step.If(Condition condition, List<Line> then, List<Line> otherwise) -> {
        line("if (" + to.condition(condition) + ") {");
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
      Outline.rows(body).forEach(r -> changed.addAll(Variables.given(r.line().step())));
      Set<String> counted = Mentioned.names(new Step.Repeat(times, List.of()));
      if (counted.stream().anyMatch(n -> changed.contains(n) || n.equals(ToPhrase.TURN))) {
        lose("how often it repeats is settled once; a script looks again at each turn");
      }
    }
    line("for (let turn = 1; turn <= " + to.expr(times) + "; turn++) {");
    loop(body, here);
    line("}");
  }

  /** The turn of an inner loop stays known after it; in a script it does not. */
  private void loop(List<Line> body, String here) {
    boolean inner = false;
    for (Line l : body) {
      if (inner && Variables.asksForTurn(l)) {
        lose("the turn of the loop inside, after it");
      }
      inner |= Outline.rows(List.of(l)).stream().anyMatch(r -> Variables.isLoop(r.line().step()));
    }
    loops++;
    body(body, here + ".");
    loops--;
  }

  private void each(String variable, Step.Items items, List<Line> body, String here) {
    boolean own = loopVariables.contains(variable);
    boolean turn =
        Outline.rows(body).stream()
            .anyMatch(r -> Mentioned.names(r.line().step()).contains(ToPhrase.TURN));
    boolean selected = items instanceof Step.Items.Selected;
    String name = identifiers.of(variable);
    if (!turn && !selected) {
      line("for (" + (own ? "const " : "") + name + " of " + to.items(items) + ") {");
      loop(body, here);
      line("}");
      return;
    }
    String given = own ? name : identifiers.free("item");
    String at = turn ? ", at" : "";
    line(
        (selected ? "program.eachSelected(" : to.items(items) + ".forEach(")
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
    given.add(to.expr(limit));
    Set<String> names = Mentioned.names(new Step.WaitUntil(condition, ToPhrase.NOTHING));
    if (!ToPhrase.known(names).isEmpty()) {
      given.add(to.shorthand(names));
    }
    call("waitUntil", given);
  }

  private void ask(String what, Template text, List<Step.Question> questions) {
    if (questions.isEmpty()) {
      call(what, what.equals("ask") ? List.of(to.text(text), "{}") : List.of(to.text(text)));
      return;
    }
    String names =
        questions.stream()
            .map(q -> ToPhrase.field(q.variable(), identifiers.of(q.variable())))
            .collect(Collectors.joining(", "));
    String asked =
        questions.stream()
            .map(q -> ToPhrase.key(q.variable()) + ": " + to.question(q))
            .collect(Collectors.joining(", "));
    line("({" + names + "} = " + what + "(" + to.text(text) + ", {" + asked + "}));");
  }
}
