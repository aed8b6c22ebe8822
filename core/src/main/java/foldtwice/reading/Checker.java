package foldtwice.reading;

import foldtwice.known.Facts;
import foldtwice.known.Known;
import foldtwice.outline.Outline;
import foldtwice.place.Labels;
import foldtwice.place.Versions;
import foldtwice.reading.Types.ValueType;
import foldtwice.routine.Condition;
import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Kind;
import foldtwice.routine.Line;
import foldtwice.routine.Parameter;
import foldtwice.routine.Readout;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.routine.ValueException;
import foldtwice.routine.Whom;
import foldtwice.source.Helpers;
import foldtwice.source.Named;
import foldtwice.source.Wanted;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * Finds what is wrong with a macro while it is written: names nobody gives, menu paths, fields and
 * buttons the program does not have, values of the wrong kind, circles. One walk over the steps;
 * the nearest right name is sought only where something is wrong.
 */
public final class Checker {

  private final Known known;
  private final Types types = new Types();
  private final Optional<Facts> facts;
  private final Routine.Macro macro;
  private final Slips slips;
  private final WorkedDialogs dialogs;
  private final Conditions conditions;

  private Checker(Routine.Macro macro, Known known) {
    this.macro = macro;
    this.known = known;
    this.facts = known.program(macro.application());
    this.slips = new Slips(macro, types, facts.map(Facts::labels).orElse(Labels.AS_DESCRIBED));
    this.dialogs = new WorkedDialogs(macro, known, slips);
    this.conditions = new Conditions(macro, known, slips, dialogs);
  }

  /** What is wrong, in the order of the steps. */
  public static List<Mark> check(Routine.Macro macro, Known known) {
    Checker checker = new Checker(macro, known);
    macro.parameters().forEach(p -> checker.types.put(p.name(), Types.of(p.kind())));
    checker.lines(macro.steps(), "");
    return checker.slips.marks();
  }

  /** What the names of a macro hold, as far as it can be told; parameters as they are declared. */
  public static Map<String, Kind> kinds(Routine.Macro macro, Known known) {
    Checker checker = new Checker(macro, known);
    macro.parameters().forEach(p -> checker.types.put(p.name(), Types.of(p.kind())));
    checker.lines(macro.steps(), "");
    Map<String, Kind> kinds = new HashMap<>();
    checker.types.names().forEach(n -> kinds.put(n, checker.types.kind(n)));
    macro.parameters().forEach(p -> kinds.put(p.name(), p.kind()));
    return kinds;
  }

  /** A checker of what the calls of a script want; {@code names} hold anything. */
  static Checker of(Routine.Script script, Known known, Set<String> names) {
    Checker checker = new Checker(new Routine.Macro(script.head(), List.of()), known);
    script.parameters().forEach(p -> checker.types.put(p.name(), Types.of(p.kind())));
    names.forEach(n -> checker.types.put(n, ValueType.ANY));
    checker.types.put(Named.UNKNOWN, ValueType.ANY);
    return checker;
  }

  /** What is wrong with what a call wants, whatever was called before it. */
  List<Mark> wanted(Wanted wanted) {
    int before = slips.marks().size();
    dialogs.unsure();
    switch (wanted) {
      case Wanted.Take(Step step, var names) -> {
        names.keySet().forEach(n -> types.put(n, ValueType.TEXT));
        step(step);
      }
      case Wanted.Answer(Step.Ask ask) -> step(ask);
      case Wanted.Read(Readout what) -> conditions.readout(what, w -> null);
      case Wanted.Test(Condition condition) -> conditions.check(condition, w -> null);
      case Wanted.Compute(Expr value) -> slips.expr(value);
      case Wanted.Through(Step.Items items) -> items(items);
      case Wanted.Use u -> {}
    }
    List<Mark> marks = slips.marks();
    return marks.subList(before, marks.size());
  }

  private void lines(List<Line> lines, String prefix) {
    for (int i = 0; i < lines.size(); i++) {
      if (lines.get(i).on()) {
        slips.at(prefix + (i + 1));
        step(lines.get(i).step());
      }
    }
  }

  private void step(Step step) {
    String here = slips.number();
    switch (step) {
      case Step.Choose(List<Template> path) -> dialogs.choose(path);
      case Step.Fill(String field, Expr value) -> dialogs.fill(field, value);
      case Step.PressButton(String label) -> dialogs.press(label);
      case Step.Read(Readout what, String variable) -> {
        conditions.readout(what, w -> new Step.Read(w, variable));
        types.put(variable, conditions.typeOf(what));
      }
      case Step.ChangeSetting(String setting, Expr value, Step.Lasting lasting) ->
          setting(setting, List.of(value), s -> new Step.ChangeSetting(s, value, lasting));
      case Step.Cycle(String setting, List<Expr> values, Step.Lasting lasting) ->
          setting(setting, values, s -> new Step.Cycle(s, values, lasting));
      case Step.Adjust(String value, Step.Adjusting way, Expr to, Step.Edge edge) ->
          adjust(value, way, to, edge);
      case Step.Select(Whom whom, boolean adding, Step.Edge edge) -> select(whom);
      case Step.SelectOffset(Expr rows, Expr columns, Step.Edge edge) -> {
        slips.wants(rows, ValueType.NUMBER);
        slips.wants(columns, ValueType.NUMBER);
      }
      case Step.TypeText(Template text) -> {
        slips.names(text);
        if (text.source().isEmpty()) {
          slips.mark(Mark.Fault.NOTHING_INSIDE, "nothing", "a text to type");
        }
      }
      case Step.SetVariable(String name, Expr value) -> {
        slips.expr(value);
        types.put(name, types.of(value));
      }
      case Step.Leave l -> dialogs.closed();
      case Step.Capture(Step.Area area, Template file) -> slips.names(file);
      case Step.RunRoutine(String id, Map<String, Expr> arguments) -> run(id, arguments);
      case Step.StartProgram(String application, List<Template> arguments) -> {
        arguments.forEach(slips::names);
        conditions.program(application, a -> new Step.StartProgram(a, arguments));
      }
      case Step.BringToFront(String application) ->
          conditions.program(application, a -> new Step.BringToFront(a));
      case Step.WaitUntil(Condition condition, Expr limit) -> {
        conditions.check(condition, c -> new Step.WaitUntil(c, limit));
        ValueType type = slips.expr(limit);
        if (!type.fits(ValueType.amount(foldtwice.routine.Scale.SECOND))
            && !type.equals(ValueType.NUMBER)) {
          slips.mark(
              Mark.Fault.WRONG_KIND, ExprNotation.write(limit), "a time in seconds, such as 30 s");
        }
      }
      case Step.Ask(Template text, List<Step.Question> questions) -> {
        slips.names(text);
        questions(questions, q -> new Step.Ask(text, q));
      }
      case Step.Pause(Template note, List<Step.Question> offers) -> {
        slips.names(note);
        questions(offers, q -> new Step.Pause(note, q));
        dialogs.unsure();
      }
      case Step.If(Condition condition, List<Line> then, List<Line> otherwise) -> {
        conditions.check(condition, c -> new Step.If(c, then, otherwise));
        Optional<Boolean> sure = sure(condition);
        Optional<Facts.Dialog> before = dialogs.open();
        if (sure.isPresent()) { // what is for another version is not held against this one
          lines(sure.get() ? then : otherwise, here + (sure.get() ? "." : ".e"));
          return;
        }
        lines(then, here + ".");
        Optional<Facts.Dialog> after = dialogs.open();
        dialogs.stands(before);
        lines(otherwise, here + ".e");
        if (!after.equals(dialogs.open())) {
          dialogs.unsure();
        }
      }
      case Step.Repeat(Expr times, List<Line> body) -> {
        slips.wants(times, ValueType.NUMBER);
        turns(times);
        types.put(Builtin.TURN, ValueType.NUMBER);
        loop(body, here);
      }
      case Step.ForEach(String variable, Step.Items items, List<Line> body) -> {
        types.put(variable, items(items));
        types.put(Builtin.TURN, ValueType.NUMBER);
        loop(body, here);
      }
      case Step.Stop(Template reason) -> slips.names(reason);
      case Step.Note(Template text) -> slips.names(text);
      case Step.PressKeys k -> dialogs.unsure();
      case Step.Again a -> dialogs.unsure();
      case Step.Modifiers m -> {}
    }
  }

  /** Whether a condition holds here whatever happens: of versions it is known. */
  private Optional<Boolean> sure(Condition condition) {
    return switch (condition) {
      case Condition.VersionAtLeast(String version)
          when facts.filter(f -> !f.version().isEmpty()).isPresent() ->
          Optional.of(Versions.atLeast(facts.get().version(), version));
      case Condition.Not(Condition of) -> sure(of).map(yes -> !yes);
      default -> Optional.empty();
    };
  }

  /** So often a run goes round, and no more. */
  private void turns(Expr times) {
    if (times.constant().orElse(null) instanceof Value.Amount n && !n.counts()) {
      slips.mark(Mark.Fault.OUT_OF_RANGE, ExprNotation.write(times), Value.Amount.COUNTING);
    }
  }

  private void loop(List<Line> body, String here) {
    if (body.stream().noneMatch(Line::on)) {
      slips.mark(Mark.Fault.NOTHING_INSIDE, "nothing", "steps to repeat");
    }
    lines(body, here + ".");
  }

  private ValueType items(Step.Items items) {
    return switch (items) {
      case Step.Items.Given(List<Expr> values) -> {
        ValueType type = null;
        for (Expr e : values) {
          ValueType one = slips.expr(e);
          type = type == null || type.equals(one) ? one : ValueType.ANY;
        }
        yield type == null ? ValueType.ANY : type;
      }
      case Step.Items.LinesOf(Expr text) -> {
        slips.wants(text, ValueType.TEXT);
        yield ValueType.TEXT;
      }
      case Step.Items.LinesOfFile(Template file) -> {
        slips.names(file);
        yield ValueType.TEXT;
      }
      case Step.Items.Selected() -> ValueType.TEXT;
    };
  }

  private void setting(String name, List<Expr> values, Function<String, Step> mend) {
    List<ValueType> kinds = values.stream().map(slips::expr).toList();
    if (!conditions.tells(Facts.Aspect.SETTINGS)) {
      return;
    }
    Kind kind = facts.get().settings().get(name);
    if (kind == null) {
      slips.mark(
          Mark.Fault.NO_SUCH_SETTING,
          name,
          "a setting of " + known.nameOf(macro.application()),
          facts.get().settings().keySet(),
          mend);
      return;
    }
    for (int i = 0; i < values.size(); i++) {
      if (!kinds.get(i).fits(Types.of(kind))) {
        slips.mark(Mark.Fault.WRONG_KIND, ExprNotation.write(values.get(i)), kind.allowed());
      } else if (values.get(i) instanceof Expr.Literal(Value value)) {
        inRange(kind, value);
      }
    }
  }

  private void inRange(Kind kind, Value value) {
    try {
      kind.check(value);
    } catch (ValueException e) {
      slips.mark(Mark.Fault.OUT_OF_RANGE, value.shown(), e.allowed());
    }
  }

  private void adjust(String name, Step.Adjusting way, Expr to, Step.Edge edge) {
    ValueType type = slips.expr(to);
    if (!conditions.tells(Facts.Aspect.VALUES)) {
      return;
    }
    Kind.Measure range = facts.get().values().get(name);
    if (range == null) {
      slips.mark(
          Mark.Fault.NO_SUCH_VALUE,
          name,
          "an adjustable value of " + known.nameOf(macro.application()),
          facts.get().values().keySet(),
          near -> new Step.Adjust(near, way, to, edge));
    } else if (!type.fits(Types.of(range)) && !type.equals(ValueType.NUMBER)) {
      slips.mark(Mark.Fault.WRONG_KIND, ExprNotation.write(to), Types.of(range).words());
    } else if (way == Step.Adjusting.TO && to instanceof Expr.Literal(Value.Quantity q)) {
      inRange(range, q);
    }
  }

  private void select(Whom whom) {
    switch (whom) {
      case Whom.Named(Template name) -> slips.names(name);
      case Whom.Group group -> {
        if (conditions.tells(Facts.Aspect.SELECTING) && !facts.get().selects().contains(group)) {
          slips.mark(Mark.Fault.NO_SUCH_VALUE, group.toString(), "a way of selecting it has");
        }
      }
    }
  }

  private void run(String id, Map<String, Expr> arguments) {
    arguments.values().forEach(slips::expr);
    Optional<Routine> routine = known.routine(id);
    if (routine.isEmpty()) {
      slips.mark(
          Mark.Fault.NO_SUCH_ROUTINE,
          id,
          "a routine of the library",
          known.routines(),
          near -> new Step.RunRoutine(near, arguments));
      return;
    }
    if (reaches(known, id, macro.id())) {
      slips.mark(
          Mark.Fault.CIRCLE, routine.get().name(), "a routine that does not run this one again");
    }
    for (var e : arguments.entrySet()) {
      Optional<Parameter> p = routine.get().parameter(e.getKey());
      if (p.isEmpty()) {
        slips.mark(
            Mark.Fault.NO_SUCH_PARAMETER,
            e.getKey(),
            "a parameter of " + routine.get().name(),
            routine.get().parameters().stream()
                .map(Parameter::name)
                .filter(n -> !arguments.containsKey(n))
                .toList(),
            near -> new Step.RunRoutine(id, renamed(arguments, e.getKey(), near)));
      } else if (!types.of(e.getValue()).fits(Types.of(p.get().kind()))) {
        slips.mark(
            Mark.Fault.WRONG_KIND, ExprNotation.write(e.getValue()), p.get().kind().allowed());
      }
    }
    dialogs.unsure();
  }

  private static Map<String, Expr> renamed(Map<String, Expr> all, String from, String to) {
    Map<String, Expr> next = new LinkedHashMap<>();
    all.forEach((name, value) -> next.put(name.equals(from) ? to : name, value));
    return next;
  }

  /** True when a routine runs or uses another one, directly or around. */
  static boolean reaches(Known known, String from, String to) {
    return reaches(known, from, to, new HashSet<>());
  }

  private static boolean reaches(Known known, String from, String to, Set<String> seen) {
    if (from.equals(to)) {
      return true;
    }
    if (!seen.add(from)) {
      return false;
    }
    return known.routine(from).stream()
        .flatMap(r -> called(r).stream())
        .anyMatch(next -> reaches(known, next, to, seen));
  }

  private static List<String> called(Routine routine) {
    return switch (routine) {
      case Routine.Macro m -> called(m.steps());
      case Routine.Script s -> {
        List<String> all = new ArrayList<>(called(Named.lines(s)));
        all.addAll(Helpers.named(s.source()));
        yield all;
      }
      case Routine.PluginAction p -> List.of();
      case Routine.Stored c -> List.of();
    };
  }

  private static List<String> called(List<Line> lines) {
    return Outline.rows(lines).stream()
        .map(r -> r.line().step())
        .filter(s -> s instanceof Step.RunRoutine)
        .map(s -> ((Step.RunRoutine) s).routine())
        .toList();
  }

  private void questions(List<Step.Question> questions, Function<List<Step.Question>, Step> mend) {
    Set<String> names = new HashSet<>();
    for (int i = 0; i < questions.size(); i++) {
      Step.Question q = questions.get(i);
      if (!slips.expr(q.otherwise()).fits(Types.of(q.kind()))) {
        slips.mark(Mark.Fault.WRONG_KIND, ExprNotation.write(q.otherwise()), q.kind().allowed());
      }
      if (!names.add(q.variable())) {
        String free = free(q.variable(), questions);
        List<Step.Question> other = new ArrayList<>(questions);
        other.set(i, q.named(free));
        slips.add(
            new Mark(
                slips.number(),
                Mark.Fault.ASKED_TWICE,
                "\u2039" + q.variable() + "\u203a",
                "a name of its own for each question",
                Optional.ofNullable(mend.apply(other)),
                Optional.of(free)));
      }
      types.put(q.variable(), Types.of(q.kind()));
    }
  }

  /** The name with the least number after it that no question has. */
  private static String free(String name, List<Step.Question> questions) {
    for (int n = 2; ; n++) {
      String next = name + " " + n;
      if (questions.stream().noneMatch(q -> q.variable().equals(next))) {
        return next;
      }
    }
  }
}
