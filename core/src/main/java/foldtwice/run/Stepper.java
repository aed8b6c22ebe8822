package foldtwice.run;

import foldtwice.routine.Kind;
import foldtwice.routine.Line;
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
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Takes one step of a run, of whatever kind, and leaves its course where that leads. */
final class Stepper {

  private final Course course;
  private final Around around;

  /** True from where a routine says that keys held down do not count. */
  private boolean heldIgnored;

  /** When the wait it is in is over, in milliseconds; negative for none. */
  private long waitsUntil = -1;

  Stepper(Course course) {
    this.course = course;
    this.around = course.around;
  }

  /** True in the middle of a wait: the step was taken before, and is looked at again. */
  boolean isWaiting() {
    return waitsUntil >= 0;
  }

  /** False while a step asks, waits, or keeps its program at work. */
  boolean isTaken() {
    return !(course.status instanceof Status.Asking) && !isWaiting() && course.held().isEmpty();
  }

  /** Takes a step that a script wants, or that comes next; what it took counts. */
  void take(Activation frame, Step step) throws StepFailure, Stop {
    long began = System.nanoTime();
    take(frame, step, frame.number(), began);
    course.nanos += System.nanoTime() - began;
  }

  private void take(Activation frame, Step step, String number, long began)
      throws StepFailure, Stop {
    Scope scope = frame.scope;
    switch (step) {
      case Step.If(var condition, List<Line> then, List<Line> otherwise) -> {
        boolean holds = new Conditions(scope, around.computer()).holds(condition);
        course.note(number, step, holds ? "yes" : "no", Reply.QUIET, began);
        course.into(
            frame, holds ? then : otherwise, number + (holds ? "." : ".e"), Activation.ONCE);
      }
      case Step.Repeat(var times, List<Line> body) -> {
        int turns = scope.evaluator.whole(times);
        course.note(number, step, Integer.toString(turns), Reply.QUIET, began);
        loop(frame, body, number, Loops.counted(scope, turns));
      }
      case Step.ForEach(String variable, Step.Items items, List<Line> body) -> {
        Activation.Turns turns = Loops.of(scope, variable, items, around.computer());
        course.note(number, step, Loops.size(turns), Reply.QUIET, began);
        loop(frame, body, number, turns);
      }
      case Step.RunRoutine(String id, var given) when frame.deed.isPresent() -> {
        Reply reply = Deeds.perform(frame.deed.get(), scope, around.computer());
        course.note(number, step, "", reply, began);
      }
      case Step.RunRoutine run -> {
        Routine routine = routine(run);
        Map<String, Value> arguments = new LinkedHashMap<>();
        for (var e : run.arguments().entrySet()) {
          arguments.put(e.getKey(), scope.value(e.getValue()));
        }
        course.note(number, step, routine.name(), Reply.QUIET, began);
        course.call(routine, arguments, number);
      }
      case Step.PressKeys(Trigger.Keys keys) -> {
        course.begin(around.computer().front());
        switch (around.keys().strike(withHeld(keys), around.computer())) {
          case Around.Struck.Done(String what, Reply reply) ->
              course.note(number, step, what, reply, began);
          case Around.Struck.Fires(Routine routine, Map<String, Value> arguments) -> {
            course.note(number, step, routine.name(), Reply.QUIET, began);
            course.call(routine, arguments, number);
          }
        }
      }
      case Step.Modifiers(Step.Holding holding) -> {
        if (holding == Step.Holding.RELEASE) {
          around.computer().hold(Modifiers.NONE);
        }
        heldIgnored = holding == Step.Holding.IGNORE;
        course.note(number, step, "", Reply.QUIET, began);
      }
      case Step.WaitUntil(var condition, var limit) -> {
        if (new Conditions(scope, around.computer()).holds(condition)) {
          waitsUntil = -1;
          course.note(number, step, "", Reply.QUIET, began);
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
          course.begin(around.computer().front());
        }
        Doing.Did did = new Doing(scope, around.computer(), heldIgnored).take(plain);
        course.note(number, step, did.detail(), did.reply(), began);
      }
    }
  }

  /** The routine that a step runs, if it has the parameters that are given to it. */
  private Routine routine(Step.RunRoutine run) throws StepFailure {
    Routine routine =
        around
            .routines()
            .apply(run.routine())
            .orElseThrow(
                () ->
                    new StepFailure(
                        Refusals.says("run.routine", run.routine()),
                        Refusals.says("run.not-there")));
    for (String given : run.arguments().keySet()) {
      if (routine.parameter(given).isEmpty()) {
        throw new StepFailure(
            Refusals.says(
                "run.parameter-one",
                routine.name(),
                String.join(", ", routine.parameters().stream().map(Parameter::name).toList())),
            Refusals.says("run.no-such", given));
      }
    }
    return routine;
  }

  private void loop(Activation from, List<Line> body, String number, Activation.Turns turns)
      throws StepFailure {
    if (turns.again(1)) {
      course.into(from, body, number + ".", turns);
    } else {
      turns.end();
    }
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
    course.status = new Status.Asking(number, scope.evaluator.text(text), asked, byHand);
  }

  private void wait(Step step, Value limit, String number) throws StepFailure {
    long now = course.now();
    if (!isWaiting()) {
      waitsUntil = now + Loops.millis(limit);
    }
    if (now >= waitsUntil) {
      waitsUntil = -1;
      throw new StepFailure(
          Refusals.says("run.go-on-within", limit.shown()), Refusals.says("run.still-waiting"));
    }
    course.status = new Status.Waiting(number, step, Math.min(waitsUntil, now + Run.LOOK_EVERY));
  }
}
