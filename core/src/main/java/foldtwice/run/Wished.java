package foldtwice.run;

import foldtwice.routine.Step;
import java.util.Optional;

/** What a script wants of the run it is part of, and what it is answered. */
final class Wished {

  /** How long one look at a script waits for it, in nanoseconds. */
  static final long PATIENCE = 2_000_000;

  private final Course course;
  private final Around around;
  private final Stepper stepper;

  Wished(Course course, Stepper stepper) {
    this.course = course;
    this.around = course.around;
    this.stepper = stepper;
  }

  /** Goes on with a script: sees what it wants, and does it. */
  void goOn(Activation frame, Scripts.Going going) {
    try {
      if (frame.wish == null) {
        Scripts.Wish wish = going.next(PATIENCE, w -> help(frame, w));
        course.limit(); // of what the steps took; what the script takes has a limit of its own
        wanted(frame, going, wish);
        if (frame.wish != null && around.watched()) {
          // somebody looks what it has computed before it takes the step
          course.status = new Status.Ready(frame.number(), frame.wish.step());
          return;
        }
      }
      if (frame.wish != null) {
        stepper.take(frame, frame.wish.step());
        if (stepper.isTaken()) {
          course.settle();
        }
      }
    } catch (StepFailure failure) {
      if (frame.wish != null && frame.equals(course.frames.peek())) {
        course.refuse(frame, failure);
      } else {
        course.end(new Trace.Broke(frame.number(), 0, failure.getMessage()));
      }
    } catch (Stop stop) {
      course.end(new Trace.Stopped(frame.number(), stop.getMessage()));
    }
  }

  private void wanted(Activation frame, Scripts.Going going, Scripts.Wish wish) throws StepFailure {
    switch (wish) {
      case Scripts.Wish.Computing c -> {
        course.wasNoStep(); // looking is none
        course.status = new Status.Computing(frame.number());
      }
      case Scripts.Wish.Take take -> {
        frame.at(take.at());
        frame.wish = take;
      }
      case Scripts.Wish.Test t -> tell(frame, going, test(frame, t));
      case Scripts.Wish.Compute c -> tell(frame, going, compute(frame, c));
      case Scripts.Wish.Through t -> tell(frame, going, through(frame, t));
      case Scripts.Wish.Over o -> {
        course.frames.pop();
        frame.turns.end();
        course.settle();
      }
      case Scripts.Wish.Broken(int line, int column, String message) ->
          course.end(new Trace.Broke(frame.prefix + line, column, message));
    }
  }

  private void tell(Activation frame, Scripts.Going going, Scripts.Answer answer) {
    going.answer(answer);
    course.status = new Status.Computing(frame.number());
  }

  private Scripts.Answer test(Activation frame, Scripts.Wish.Test test) {
    return found(
        frame,
        test.at(),
        () ->
            new Scripts.Answer.Holds(
                new Conditions(frame.scope, around.computer()).holds(test.condition())));
  }

  private static Scripts.Answer compute(Activation frame, Scripts.Wish.Compute wanted) {
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
              && course.mayGoOn() -> {
        frame.at(at);
        try {
          stepper.take(frame, step);
          yield Optional.of(new Scripts.Answer.Done(frame.values(gives)));
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
}
