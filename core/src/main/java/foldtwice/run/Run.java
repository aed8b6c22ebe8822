package foldtwice.run;

import foldtwice.reading.Reading;
import foldtwice.routine.Expr;
import foldtwice.routine.Kind;
import foldtwice.routine.Line;
import foldtwice.routine.Manner;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.routine.ValueException;
import foldtwice.text.Refusals;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * A routine being run, step by step, at the pace of whoever holds it. Nothing of it blocks: where
 * it has to wait or to ask, its {@link #status} says so.
 *
 * <p>Whatever happens, the run is one step of each program's undo history, no dialog stays open,
 * and every setting changed for the run is put back. Nothing is thrown at the caller: how it ended
 * is in the trace.
 */
public final class Run {

  /** A run is stopped after this many steps, so that a mistake cannot go on for ever. */
  public static final int MOST_STEPS = 100_000;

  /** A run is stopped after computing this long, in milliseconds; a person waits for it. */
  public static final long MOST_MILLIS = 5_000;

  /** How often a wait looks again, in milliseconds. */
  public static final long LOOK_EVERY = 50;

  /** How long the end of a run waits for a program that is told to give up, in nanoseconds. */
  private static final long GIVING_UP = 100_000_000;

  /** How long one look at a script waits for it, in nanoseconds. */
  private static final long SCRIPT_PATIENCE = 2_000_000;

  /** Under this name a script's questions are answered; it is no variable of anybody. */
  private static final String ANSWER = foldtwice.source.Calls.ANSWER;

  private final Around around;
  private final Routine routine;
  private final Optional<Program> worked;
  private final Map<String, Program> begun = new LinkedHashMap<>();
  private final Deque<Scope> scopes = new ArrayDeque<>();
  private final Deque<Activation> frames = new ArrayDeque<>();
  private final List<Trace.Entry> entries = new ArrayList<>();
  private final List<KeptAnswer> kept = new ArrayList<>();
  private final List<Map<String, Value>> inputs = new ArrayList<>();
  private final Deque<Map<String, Value>> replay = new ArrayDeque<>();
  private final Budget budget = new Budget();
  private Status status;
  private int steps;
  private long nanos;
  private boolean heldIgnored;
  private long waitsUntil = -1;

  /** A step that was taken and whose program is still at work on it; null for none. */
  private Held held;

  private record Held(
      String number, Step step, String detail, Program.Work work, long began, boolean script) {}

  private Run(Around around, Routine routine) {
    this.around = around;
    this.routine = routine;
    this.worked = Aim.program(routine, around.computer());
  }

  /**
   * A run that has not taken a step yet.
   *
   * @param arguments by parameter name; defaults are taken for those missing
   */
  public static Run of(Routine routine, Map<String, Value> arguments, Around around) {
    Run run = new Run(around, routine);
    run.begin(arguments);
    return run;
  }

  /** Runs a routine on one program to its end; what it asks is answered with the defaults. */
  public static Trace whole(Routine routine, Map<String, Value> arguments, Program program) {
    return of(routine, arguments, Around.alone(program)).toEnd();
  }

  public Status status() {
    return status;
  }

  /** The trace so far. */
  public Trace trace() {
    return status instanceof Status.Over(Trace trace)
        ? trace
        : new Trace(entries, new Trace.Underway(number()), nanos);
  }

  /** What was told since so many entries. */
  public List<Trace.Entry> since(int entry) {
    return List.copyOf(entries.subList(entry, entries.size()));
  }

  /**
   * The values of parameters and variables of the routine being run innermost; those of a script as
   * far as they are seen where it is, when it is watched.
   */
  public Map<String, Value> variables() {
    if (scopes.isEmpty()) {
      return Map.of();
    }
    Map<String, Value> all = new LinkedHashMap<>(scopes.peek().names);
    if (!frames.isEmpty()) {
      all.remove(ANSWER);
      all.putAll(frames.peek().seen);
    }
    return Collections.unmodifiableMap(all);
  }

  /** The number of the step that comes next, or that the run is at. */
  public String number() {
    return switch (status) {
      case Status.Ready(String number, Step next) -> number;
      case Status.Computing(String number) -> number;
      case Status.Waiting(String number, Step step, long again) -> number;
      case Status.Asking(String number, String text, var questions, boolean byHand) -> number;
      case Status.Over o -> "";
    };
  }

  /**
   * Runs to the end. Waiting lets simulated time pass; what is asked is answered with the defaults.
   * Only for computers whose time is simulated.
   */
  public Trace toEnd() {
    while (true) {
      switch (status) {
        case Status.Ready r -> step();
        case Status.Computing c -> step();
        case Status.Waiting w -> {
          around.computer().pass(Math.max(1, w.lookAgain() - now()));
          step();
        }
        case Status.Asking a -> answer(Map.of());
        case Status.Over(Trace trace) -> {
          return trace;
        }
      }
    }
  }

  /** Takes steps until it must wait, ask or is over, but not for longer than this. */
  public Status go(long mostNanos) {
    long began = System.nanoTime();
    boolean due = true;
    while (due && System.nanoTime() - began < mostNanos) {
      step();
      replayed();
      due = status instanceof Status.Ready || status instanceof Status.Computing;
    }
    return status;
  }

  /** Takes one step, or looks again at what it waits for. Nothing while it asks or is over. */
  public Status step() {
    if (status instanceof Status.Asking || status instanceof Status.Over) {
      return status;
    }
    Activation frame = frames.peek();
    if (held != null) {
      return goOn(frame);
    }
    if (frame.script.isPresent()) {
      return script(frame, frame.script.get());
    }
    Line line = frame.lines.get(frame.next);
    String number = frame.number();
    long began = System.nanoTime();
    try {
      if (waitsUntil < 0) {
        limit();
      }
      take(frame, line.step(), number, began);
      nanos += System.nanoTime() - began;
      if (isTaken()) {
        frame.next++;
        settle();
      }
    } catch (StepFailure failure) {
      end(new Trace.Failed(number, line.step(), failure.expected(), failure.found()));
    } catch (Stop stop) {
      end(new Trace.Stopped(number, stop.getMessage()));
    }
    return status;
  }

  /** False while a step asks, waits, or keeps its program at work. */
  private boolean isTaken() {
    return !(status instanceof Status.Asking) && waitsUntil < 0 && held == null;
  }

  /** Looks whether a program is done with the step it was given. */
  private Status goOn(Activation frame) {
    Held was = held;
    Optional<Reply> reply = was.work().done(SCRIPT_PATIENCE);
    if (reply.isEmpty()) {
      status = new Status.Computing(was.number());
      return status;
    }
    held = null;
    try {
      note(was.number(), was.step(), was.detail(), reply.get(), was.began());
      if (!was.script()) {
        frame.next++;
      }
      settle();
    } catch (StepFailure failure) {
      if (was.script()) {
        refuse(frame, frame.script.orElseThrow(), failure);
      } else {
        end(new Trace.Failed(was.number(), was.step(), failure.expected(), failure.found()));
      }
    }
    return status;
  }

  /** Tells a script that what it wanted could not be done. */
  private void refuse(Activation frame, Scripts.Going going, StepFailure failure) {
    frame.wish = null;
    frame.takeBack();
    going.answer(new Scripts.Answer.Refused(failure.expected(), failure.found()));
    status = new Status.Computing(frame.number());
  }

  /**
   * Answers what is asked, or lets a pause go on.
   *
   * @param values by name; what is missing keeps the value that was offered
   * @return what is wrong with them, by name; empty when the run goes on
   */
  public Map<String, String> answer(Map<String, Value> values) {
    if (!(status instanceof Status.Asking asking)) {
      return Map.of();
    }
    Map<String, String> wrong = new LinkedHashMap<>();
    Map<String, Value> good = new LinkedHashMap<>();
    for (Status.Asked asked : asking.questions()) {
      try {
        Value value = values.getOrDefault(asked.name(), asked.otherwise());
        good.put(asked.name(), asked.kind().check(value));
      } catch (ValueException e) {
        wrong.put(asked.name(), e.allowed());
      }
    }
    if (!wrong.isEmpty()) {
      return wrong;
    }
    inputs.add(good);
    Scope scope = scopes.peek();
    scope.names.putAll(good);
    if (asking.number().isEmpty()) {
      into(scope, "", Activation.ONCE);
    } else {
      Activation frame = frames.peek();
      kept.addAll(KeptAnswer.of(scope.routine, frame.step(), asking.questions(), good));
      entries.add(new Trace.Taken(asking.number(), frame.step(), shown(good), List.of(), 0));
      frame.next++;
    }
    try {
      settle();
    } catch (StepFailure failure) {
      end(
          new Trace.Failed(
              asking.number(), new Step.Note(Template.EMPTY), failure.expected(), failure.found()));
    }
    return wrong;
  }

  /** What a person answered, in order; one entry each time somebody was asked. */
  public List<Map<String, Value>> inputs() {
    return List.copyOf(inputs);
  }

  /**
   * From here on it is answered as another run of the routine was, as long as it asks the same;
   * what a person does by hand is left to a person.
   *
   * @param before as {@link #inputs} told
   */
  public void replay(List<Map<String, Value>> before) {
    replay.addAll(before);
    replayed();
  }

  private void replayed() {
    while (status instanceof Status.Asking asking && !asking.byHand() && !replay.isEmpty()) {
      Map<String, Value> given = replay.poll();
      boolean same =
          asking.questions().stream()
              .map(Status.Asked::name)
              .collect(Collectors.toSet())
              .equals(given.keySet());
      if (!same || !answer(given).isEmpty()) {
        replay.clear(); // it asks something else than then
      }
    }
    if (status instanceof Status.Asking asking && asking.byHand()) {
      replay.poll();
    }
  }

  /** The answers that shall be kept, in the order in which they were given. */
  public List<KeptAnswer> kept() {
    return List.copyOf(kept);
  }

  private static String shown(Map<String, Value> values) {
    List<String> parts = new ArrayList<>();
    values.forEach((name, value) -> parts.add(name + " " + value.shown()));
    return String.join(", ", parts);
  }

  /** The person gives it up: settings are put back, and one undo leads to where it began. */
  public void giveUp() {
    if (!(status instanceof Status.Over)) {
      end(new Trace.GivenUp(number()));
    }
  }

  private void begin(Map<String, Value> arguments) {
    try {
      Scope scope = enter(routine, arguments, "");
      boolean asks =
          !routine.parameters().isEmpty()
              && (routine.manner().asking() == Manner.Asking.ALWAYS
                  || (routine.manner().asking() == Manner.Asking.WHEN_NOTHING_SELECTED
                      && !scope.program.somethingSelected()));
      if (asks) {
        List<Status.Asked> questions = new ArrayList<>();
        for (Parameter p : routine.parameters()) {
          questions.add(new Status.Asked(p.name(), p.kind(), scope.names.get(p.name()), List.of()));
        }
        status = new Status.Asking("", routine.name(), questions, false);
      } else {
        into(scope, "", Activation.ONCE);
        settle();
      }
    } catch (StepFailure failure) {
      end(new Trace.Failed("", new Step.Note(Template.EMPTY), failure.expected(), failure.found()));
    }
  }

  /** Goes into a routine, if it may be run here with these arguments. */
  private Scope enter(Routine into, Map<String, Value> arguments, String at) throws StepFailure {
    if (scopes.size() >= Reading.DEEPEST) {
      throw new StepFailure(
          Refusals.says("run.routines-run-routines-at", Reading.DEEPEST),
          Refusals.says("run.once-more-at-step", into.name(), at));
    }
    Program program =
        Aim.program(into, around.computer())
            .orElseThrow(
                () ->
                    new StepFailure(
                        Refusals.says("run.running", into.application()),
                        Refusals.says("run.not-running")));
    Entry.mayRun(into, program, around.applications().apply(program.application()));
    if (held == null && program.work().isPresent()) {
      throw new StepFailure(
          Refusals.says("run.done-with-what-at", into.application()), Refusals.says("run.at-work"));
    }
    Map<String, Value> names = new LinkedHashMap<>();
    for (Parameter p : into.parameters()) {
      Value value = arguments.getOrDefault(p.name(), p.otherwise());
      try {
        names.put(p.name(), p.kind().check(value));
      } catch (ValueException e) {
        throw new StepFailure(p.name() + ": " + e.allowed(), value.shown());
      }
    }
    begin(program);
    Aim aim = Aim.take(into, program, around.computer());
    aim.entry().ifPresent(entries::add);
    Scope scope = new Scope(into, program, aim, names, around.computer(), budget);
    scopes.push(scope);
    return scope;
  }

  private void begin(Program program) {
    if (begun.putIfAbsent(program.application(), program) == null) {
      program.beginRun();
    }
  }

  private void limit() throws StepFailure {
    if (++steps > MOST_STEPS) {
      throw new StepFailure(
          Refusals.says("run.end-within-steps", MOST_STEPS), Refusals.says("run.too-many"));
    }
    if (nanos > MOST_MILLIS * 1_000_000 && !around.computer().isReal()) {
      throw new StepFailure(
          Refusals.says("run.end-within-ms", MOST_MILLIS), Refusals.says("run.too-many"));
    }
  }

  /** Leaves frames that are done, goes round loops, and stands before the next step. */
  private void settle() throws StepFailure {
    while (!frames.isEmpty()) {
      Activation frame = frames.peek();
      if (frame.script.isPresent()) {
        done(frame, frame.script.get());
        return;
      }
      while (frame.next < frame.lines.size() && !frame.lines.get(frame.next).on()) {
        frame.next++;
      }
      if (frame.next < frame.lines.size()) {
        status = new Status.Ready(frame.number(), frame.lines.get(frame.next).step());
        return;
      }
      if (!frame.goRound()) {
        frames.pop();
      } else if (++steps > MOST_STEPS) {
        throw new StepFailure(
            Refusals.says("run.end-within-steps", MOST_STEPS), Refusals.says("run.too-many"));
      }
    }
    end(new Trace.Finished());
  }

  private void take(Activation frame, Step step, String number, long began)
      throws StepFailure, Stop {
    Scope scope = frame.scope;
    switch (step) {
      case Step.If(var condition, List<Line> then, List<Line> otherwise) -> {
        boolean holds = new Conditions(scope, around.computer()).holds(condition);
        note(number, step, holds ? "yes" : "no", Reply.QUIET, began);
        into(frame, holds ? then : otherwise, number + (holds ? "." : ".e"), Activation.ONCE);
      }
      case Step.Repeat(var times, List<Line> body) -> {
        int turns = scope.evaluator.whole(times);
        note(number, step, Integer.toString(turns), Reply.QUIET, began);
        loop(frame, body, number, Loops.counted(scope, turns));
      }
      case Step.ForEach(String variable, Step.Items items, List<Line> body) -> {
        Activation.Turns turns = Loops.of(scope, variable, items, around.computer());
        note(number, step, Loops.size(turns), Reply.QUIET, began);
        loop(frame, body, number, turns);
      }
      case Step.RunRoutine(String id, var given) when frame.deed.isPresent() -> {
        Reply reply = Deeds.perform(frame.deed.get(), scope, around.computer());
        note(number, step, "", reply, began);
      }
      case Step.RunRoutine(String id, var given) -> {
        Routine routine =
            around
                .routines()
                .apply(id)
                .orElseThrow(
                    () ->
                        new StepFailure(
                            Refusals.says("run.routine", id), Refusals.says("run.not-there")));
        Map<String, Value> arguments = new LinkedHashMap<>();
        for (var e : given.entrySet()) {
          if (routine.parameter(e.getKey()).isEmpty()) {
            throw new StepFailure(
                Refusals.says(
                    "run.parameter-one",
                    routine.name(),
                    String.join(", ", routine.parameters().stream().map(Parameter::name).toList())),
                Refusals.says("run.no-such", e.getKey()));
          }
          arguments.put(e.getKey(), scope.value(e.getValue()));
        }
        note(number, step, routine.name(), Reply.QUIET, began);
        call(routine, arguments, number);
      }
      case Step.PressKeys(Trigger.Keys keys) -> {
        begin(around.computer().front());
        switch (around.keys().strike(withHeld(keys), around.computer())) {
          case Around.Struck.Done(String what, Reply reply) ->
              note(number, step, what, reply, began);
          case Around.Struck.Fires(Routine routine, Map<String, Value> arguments) -> {
            note(number, step, routine.name(), Reply.QUIET, began);
            call(routine, arguments, number);
          }
        }
      }
      case Step.Modifiers(Step.Holding holding) -> {
        if (holding == Step.Holding.RELEASE) {
          around.computer().hold(Modifiers.NONE);
        }
        heldIgnored = holding == Step.Holding.IGNORE;
        note(number, step, "", Reply.QUIET, began);
      }
      case Step.WaitUntil(var condition, var limit) -> {
        if (new Conditions(scope, around.computer()).holds(condition)) {
          waitsUntil = -1;
          note(number, step, "", Reply.QUIET, began);
        } else {
          wait(step, scope.value(limit), number);
        }
      }
      case Step.Ask(Template text, List<Step.Question> questions) ->
          ask(scope, text, questions, number, false);
      case Step.Pause(Template text, List<Step.Question> offers) ->
          ask(scope, text, offers, number, true);
      case Step.Stop(Template reason) -> throw new Stop(scope.evaluator.text(reason));
      case Step.Plain plain -> {
        if (plain instanceof Step.TypeText) {
          begin(around.computer().front());
        }
        Doing.Did did = new Doing(scope, around.computer(), heldIgnored).take(plain);
        note(number, step, did.detail(), did.reply(), began);
      }
    }
  }

  private void into(Activation from, List<Line> lines, String prefix, Activation.Turns turns) {
    frames.push(Activation.of(from.scope, lines, prefix, turns));
  }

  private void loop(Activation from, List<Line> body, String number, Activation.Turns turns)
      throws StepFailure {
    if (turns.again(1)) {
      into(from, body, number + ".", turns);
    } else {
      turns.end();
    }
  }

  private void call(Routine inner, Map<String, Value> arguments, String number) throws StepFailure {
    Scope scope = enter(inner, arguments, number);
    into(
        scope,
        number + "/",
        new Activation.Turns() {
          @Override
          public boolean again(int turn) {
            return false;
          }

          @Override
          public void end() {
            entries.addAll(scope.putBack());
            scopes.pop();
          }
        });
  }

  /** Goes into what the routine of a scope does. */
  private void into(Scope scope, String prefix, Activation.Turns turns) {
    frames.push(
        switch (scope.routine) {
          case Routine.Macro m -> Activation.of(scope, m.steps(), prefix, turns);
          case Routine.Script s ->
              Activation.script(
                  scope, around.scripts().start(s, scope.names, setting()), prefix, turns);
          case Routine.PluginAction p -> Activation.deed(scope, itself(scope), prefix, turns);
          case Routine.Stored s -> Activation.deed(scope, itself(scope), prefix, turns);
        });
  }

  private Scripts.Setting setting() {
    return new Scripts.Setting(
        around.computer().clock().instant(), around.routines(), around.watched());
  }

  /** A line that says which routine is run, with which arguments. */
  private static Line itself(Scope scope) {
    Map<String, Expr> arguments = new LinkedHashMap<>();
    scope.names.forEach((name, value) -> arguments.put(name, new Expr.Literal(value)));
    return new Line(new Step.RunRoutine(scope.routine.id(), arguments));
  }

  /** Goes on with a script: sees what it wants, and does it. */
  private Status script(Activation frame, Scripts.Going going) {
    long began = System.nanoTime();
    try {
      if (frame.wish == null) {
        Scripts.Wish wish = going.next(SCRIPT_PATIENCE, w -> help(frame, w));
        limit(); // of what the steps took; what the script takes has a limit of its own
        wanted(frame, going, wish);
        if (frame.wish != null && around.watched()) {
          status = new Status.Ready(frame.number(), frame.wish.step());
          return status; // somebody looks what it has computed before it takes the step
        }
      }
      if (frame.wish != null) {
        began = System.nanoTime();
        take(frame, frame.wish.step(), frame.number(), began);
        nanos += System.nanoTime() - began;
        if (isTaken()) {
          settle();
        }
      }
    } catch (StepFailure failure) {
      if (frame.wish != null && frame.equals(frames.peek())) {
        refuse(frame, going, failure);
      } else {
        end(new Trace.Broke(frame.number(), 0, failure.getMessage()));
      }
    } catch (Stop stop) {
      end(new Trace.Stopped(frame.number(), stop.getMessage()));
    }
    return status;
  }

  private void wanted(Activation frame, Scripts.Going going, Scripts.Wish wish) throws StepFailure {
    switch (wish) {
      case Scripts.Wish.Computing c -> {
        steps--; // looking is no step
        status = new Status.Computing(frame.number());
      }
      case Scripts.Wish.Take take -> {
        frame.at(take.at());
        frame.wish = take;
      }
      case Scripts.Wish.Test t -> tell(frame, going, test(frame, t));
      case Scripts.Wish.Compute c -> tell(frame, going, compute(frame, c));
      case Scripts.Wish.Through t -> tell(frame, going, through(frame, t));
      case Scripts.Wish.Over o -> {
        frames.pop();
        frame.turns.end();
        settle();
      }
      case Scripts.Wish.Broken(int line, int column, String message) ->
          end(new Trace.Broke(frame.prefix + line, column, message));
    }
  }

  private void tell(Activation frame, Scripts.Going going, Scripts.Answer answer) {
    going.answer(answer);
    status = new Status.Computing(frame.number());
  }

  private Scripts.Answer test(Activation frame, Scripts.Wish.Test test) {
    return found(
        frame,
        test.at(),
        () ->
            new Scripts.Answer.Holds(
                new Conditions(frame.scope, around.computer()).holds(test.condition())));
  }

  private Scripts.Answer compute(Activation frame, Scripts.Wish.Compute wanted) {
    return found(
        frame, wanted.at(), () -> new Scripts.Answer.Comes(frame.scope.value(wanted.value())));
  }

  private Scripts.Answer through(Activation frame, Scripts.Wish.Through wanted) {
    return found(
        frame,
        wanted.at(),
        () -> new Scripts.Answer.Listed(Loops.all(frame.scope, wanted.items(), around.computer())));
  }

  private interface Finding {
    Scripts.Answer find() throws StepFailure;
  }

  /** Finds something out for a script, with the names it gives for that. */
  private static Scripts.Answer found(Activation frame, Scripts.Place at, Finding finding) {
    frame.at(at);
    try {
      return finding.find();
    } catch (StepFailure failure) {
      return new Scripts.Answer.Refused(failure.expected(), failure.found());
    } finally {
      frame.takeBack();
    }
  }

  /** Takes a script's step at once, if it is one that neither waits, asks nor leads elsewhere. */
  private Optional<Scripts.Answer> help(Activation frame, Scripts.Wish wish) {
    return switch (wish) {
      case Scripts.Wish.Test t -> Optional.of(test(frame, t));
      case Scripts.Wish.Compute c -> Optional.of(compute(frame, c));
      case Scripts.Wish.Through t -> Optional.of(through(frame, t));
      case Scripts.Wish.Take(Scripts.Place at, Step step, var gives)
          when step instanceof Step.Plain
              && !around.watched()
              && !frame.scope.program.takesTime()
              && mayGoOn() -> {
        frame.at(at);
        long began = System.nanoTime();
        try {
          take(frame, step, frame.number(), began);
          nanos += System.nanoTime() - began;
          yield Optional.of(new Scripts.Answer.Done(values(frame, gives)));
        } catch (StepFailure failure) {
          yield Optional.of(new Scripts.Answer.Refused(failure.expected(), failure.found()));
        } catch (Stop stop) {
          yield Optional.empty(); // nothing moved, and the run ends: it sees to that itself
        } finally {
          frame.takeBack();
        }
      }
      default -> Optional.empty();
    };
  }

  /** Counts a step; false at the limit, which the run sees to itself. */
  private boolean mayGoOn() {
    return steps < MOST_STEPS && ++steps > 0;
  }

  private static Map<String, Value> values(Activation frame, List<String> names) {
    Map<String, Value> values = new LinkedHashMap<>();
    names.forEach(name -> values.put(name, frame.scope.names.get(name)));
    return values;
  }

  /** Tells a script that what it wanted has been done. */
  private void done(Activation frame, Scripts.Going going) {
    if (frame.wish != null) {
      Map<String, Value> values = values(frame, frame.wish.gives());
      frame.wish = null;
      frame.takeBack();
      going.answer(new Scripts.Answer.Done(values));
    }
    status = new Status.Computing(frame.number());
  }

  private Trigger.Keys withHeld(Trigger.Keys keys) {
    Modifiers held = heldIgnored ? Modifiers.NONE : around.computer().held();
    return new Trigger.Keys(
        keys.strokes().stream()
            .map(s -> new Stroke(new Modifiers(s.modifiers().bits() | held.bits()), s.key()))
            .toList());
  }

  private void ask(
      Scope scope, Template text, List<Step.Question> questions, String number, boolean byHand)
      throws StepFailure {
    List<Status.Asked> asked = new ArrayList<>();
    for (Step.Question q : questions) {
      Value otherwise = scope.value(q.otherwise());
      Kind kind = q.kind();
      try {
        kind.check(otherwise);
      } catch (ValueException e) {
        throw new StepFailure(q.variable() + ": " + e.allowed(), otherwise.shown());
      }
      asked.add(new Status.Asked(q.variable(), kind, otherwise, q.offered()));
    }
    around.computer().hold(Modifiers.NONE); // whoever answers has let go of the trigger
    status = new Status.Asking(number, scope.evaluator.text(text), asked, byHand);
  }

  private void wait(Step step, Value limit, String number) throws StepFailure {
    if (waitsUntil < 0) {
      waitsUntil = now() + Loops.millis(limit);
    }
    if (now() >= waitsUntil) {
      waitsUntil = -1;
      throw new StepFailure(
          Refusals.says("run.go-on-within", limit.shown()), Refusals.says("run.still-waiting"));
    }
    status = new Status.Waiting(number, step, Math.min(waitsUntil, now() + LOOK_EVERY));
  }

  private long now() {
    return around.computer().clock().millis();
  }

  /** Tells a step that was taken, or ends the run when the program refused. */
  private void note(String number, Step step, String detail, Reply reply, long began)
      throws StepFailure {
    switch (reply) {
      case Reply.Done(List<Change> changes) -> {
        Optional<Program.Work> work =
            begun.values().stream().map(Program::work).flatMap(Optional::stream).findFirst();
        if (work.isPresent()) {
          boolean script = frames.peek().script.isPresent();
          held = new Held(number, step, detail, work.get(), began, script);
          status = new Status.Computing(number);
        } else {
          entries.add(
              new Trace.Taken(
                  number, step, detail, budget.told(changes), System.nanoTime() - began));
        }
      }
      case Reply.Refused(String expected, String found) -> throw new StepFailure(expected, found);
    }
  }

  private void end(Trace.Ending ending) {
    frames.forEach(f -> f.script.ifPresent(Scripts.Going::stop));
    if (held != null) {
      held.work().giveUp();
      held.work().done(GIVING_UP);
      held = null;
    }
    begun.values().forEach(p -> p.dialog().ifPresent(d -> p.cancel()));
    while (!scopes.isEmpty()) {
      entries.addAll(scopes.pop().putBack());
    }
    begun.values().forEach(Program::endRun);
    frames.clear();
    status = new Status.Over(new Trace(entries, ending, nanos));
  }

  /** The program whose run this is. */
  public Optional<Program> program() {
    return worked;
  }

  public Routine routine() {
    return routine;
  }
}
