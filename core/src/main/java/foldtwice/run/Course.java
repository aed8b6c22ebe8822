package foldtwice.run;

import foldtwice.reading.Reading;
import foldtwice.routine.Expr;
import foldtwice.routine.Line;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Value;
import foldtwice.routine.ValueException;
import foldtwice.text.Refusals;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * How far a run has come: the routines it is in, what it has told, and the limits it keeps. Each
 * way on ends with a {@link Status}.
 */
final class Course {

  /** How long the end of a run waits for a program that is told to give up, in nanoseconds. */
  private static final long GIVING_UP = 100_000_000;

  final Around around;
  final Deque<Scope> scopes = new ArrayDeque<>();
  final Deque<Activation> frames = new ArrayDeque<>();
  final List<Trace.Entry> entries = new ArrayList<>();
  Status status;

  /** What steps took so far. */
  long nanos;

  private final Map<String, Program> begun = new LinkedHashMap<>();
  private final Budget budget = new Budget();
  private int steps;
  private Held held;

  /** A step that was taken and whose program is still at work on it. */
  record Held(
      String number, Step step, String detail, Program.Work work, long began, boolean script) {}

  Course(Around around) {
    this.around = around;
  }

  /** What its program is still at work on. */
  Optional<Held> held() {
    return Optional.ofNullable(held);
  }

  /** Goes into a routine, if it may be run here with these arguments. */
  Scope enter(Routine into, Map<String, Value> arguments, String at) throws StepFailure {
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

  /** What is done to a program from here on is one step of its undo history. */
  void begin(Program program) {
    if (begun.putIfAbsent(program.application(), program) == null) {
      program.beginRun();
    }
  }

  /** Goes into what the routine of a scope does. */
  void into(Scope scope, String prefix, Activation.Turns turns) {
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

  /** Goes into the lines inside a step. */
  void into(Activation from, List<Line> lines, String prefix, Activation.Turns turns) {
    frames.push(Activation.of(from.scope, lines, prefix, turns));
  }

  /** Goes into a routine that another runs, and back when it is done. */
  void call(Routine inner, Map<String, Value> arguments, String number) throws StepFailure {
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

  /** Counts a step, and keeps to what a run may take. */
  void limit() throws StepFailure {
    count();
    if (nanos > Run.MOST_MILLIS * 1_000_000 && !around.computer().isReal()) {
      throw new StepFailure(
          Refusals.says("run.end-within-ms", Run.MOST_MILLIS), Refusals.says("run.too-many"));
    }
  }

  private void count() throws StepFailure {
    if (++steps > Run.MOST_STEPS) {
      throw new StepFailure(
          Refusals.says("run.end-within-steps", Run.MOST_STEPS), Refusals.says("run.too-many"));
    }
  }

  /** Counts a step; false at the limit, which the run sees to itself. */
  boolean mayGoOn() {
    return steps < Run.MOST_STEPS && ++steps > 0;
  }

  /** What was counted last was no step. */
  void wasNoStep() {
    steps--;
  }

  /** Leaves frames that are done, goes round loops, and stands before the next step. */
  void settle() throws StepFailure {
    while (!frames.isEmpty()) {
      Activation frame = frames.peek();
      if (frame.script.isPresent()) {
        frame.answerDone();
        status = new Status.Computing(frame.number());
        return;
      }
      while (frame.next < frame.lines.size() && !frame.lines.get(frame.next).on()) {
        frame.next++;
      }
      if (frame.next < frame.lines.size()) {
        status = new Status.Ready(frame.number(), frame.lines.get(frame.next).step());
        return;
      }
      if (frame.goRound()) {
        count();
      } else {
        frames.pop();
      }
    }
    end(new Trace.Finished());
  }

  /** Tells a step that was taken, or ends the run when the program refused. */
  void note(String number, Step step, String detail, Reply reply, long began) throws StepFailure {
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

  /** Looks whether a program is done with the step it was given; waits so long at most. */
  void goOn(long patience) {
    Held was = held;
    Optional<Reply> reply = was.work().done(patience);
    if (reply.isEmpty()) {
      status = new Status.Computing(was.number());
      return;
    }
    held = null;
    Activation frame = frames.peek();
    try {
      note(was.number(), was.step(), was.detail(), reply.get(), was.began());
      if (!was.script()) {
        frame.next++;
      }
      settle();
    } catch (StepFailure failure) {
      if (was.script()) {
        refuse(frame, failure);
      } else {
        end(new Trace.Failed(was.number(), was.step(), failure.expected(), failure.found()));
      }
    }
  }

  /** Tells a script that what it wanted could not be done. */
  void refuse(Activation frame, StepFailure failure) {
    frame.answerRefused(failure);
    status = new Status.Computing(frame.number());
  }

  /** Ends the run: nothing stays open or changed that was so for the run alone. */
  void end(Trace.Ending ending) {
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

  long now() {
    return around.computer().clock().millis();
  }
}
