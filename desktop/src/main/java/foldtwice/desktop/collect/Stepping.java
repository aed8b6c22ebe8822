package foldtwice.desktop.collect;

import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Value;
import foldtwice.run.Program;
import foldtwice.run.Run;
import foldtwice.run.Status;
import foldtwice.run.Trace;
import foldtwice.run.Trial;
import foldtwice.script.Ecmascript;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;

/** A run of the chosen routine, at once or step by step, on the computer of the station in view. */
final class Stepping {

  /** How long a step of a script is waited for, in nanoseconds. */
  private static final long PATIENCE = 40_000_000;

  private final Chosen chosen;
  private final Supplier<Map<String, Value>> arguments;
  private final Runnable onStood;
  private Run current;
  private Program before;

  /**
   * @param arguments what the routine is given
   * @param onStood is called whenever the run stands otherwise than before
   */
  Stepping(Chosen chosen, Supplier<Map<String, Value>> arguments, Runnable onStood) {
    this.chosen = chosen;
    this.arguments = arguments;
    this.onStood = onStood;
  }

  private Session session() {
    return chosen.session;
  }

  /** The run that is shown, if one is. */
  Optional<Run> run() {
    return Optional.ofNullable(current);
  }

  /** Its program as it was when it began. */
  Program before() {
    return before;
  }

  /** The number of the step it stands before; empty for none. */
  String number() {
    return current == null ? "" : current.number();
  }

  /** How it failed, if it did. */
  Optional<Trace.Failed> failed() {
    return current != null
            && current.status() instanceof Status.Over(Trace trace)
            && trace.ending() instanceof Trace.Failed failed
        ? Optional.of(failed)
        : Optional.empty();
  }

  /** Where it broke, and why. */
  Optional<Trace.Broke> broken() {
    return current != null
            && current.status() instanceof Status.Over(Trace trace)
            && trace.ending() instanceof Trace.Broke broke
        ? Optional.of(broke)
        : Optional.empty();
  }

  private boolean isOver() {
    return current == null || current.status() instanceof Status.Over;
  }

  private Run begin(Routine routine) {
    session().computer().bringToFront(routine.application());
    before = session().programs().get(routine.application()).copy();
    Snapshot now = session().now();
    return Run.of(
        routine,
        arguments.get(),
        new Trial(now.library(), now.keymap(), session().computer(), Ecmascript.ENGINE)
            .around()
            .watching());
  }

  private void drive(Consumer<Run> how) {
    Optional<Routine> routine =
        chosen.routine().filter(r -> session().programs().containsKey(r.application()));
    if (routine.isEmpty()) {
      session().say(Ui.text("happens.nostandin"));
      return;
    }
    if (isOver()) {
      current = begin(routine.get());
    }
    how.accept(current);
    stood();
  }

  private void stood() {
    if (current != null) {
      onStood.run();
    }
  }

  /** Runs the routine to its end, or goes on with the one being stepped. */
  void runAll() {
    drive(r -> session().runs().drive(r, x -> stood()));
  }

  /** Runs the routine once more, answered as it was, with what it was given then. */
  void runAgain() {
    List<Map<String, Value>> answers = current == null ? List.of() : current.inputs();
    close();
    drive(
        r -> {
          r.replay(answers);
          session().runs().drive(r, x -> stood());
        });
  }

  /** True when there is a run that was answered something, and is over. */
  boolean canRunAgain() {
    return current != null && isOver() && !current.inputs().isEmpty();
  }

  /** Takes the next step, or begins. */
  void stepOnce() {
    boolean fresh = isOver();
    drive(
        r -> {
          session().runs().hold(r, x -> stood());
          if (!fresh || r.status() instanceof Status.Computing) {
            stepThrough(r);
            session().runs().settle(r);
          }
        });
    if (current != null && isOver()) {
      session().runs().let(current);
    }
  }

  /** One step; a script gets a moment to come to its next one. */
  private static void stepThrough(Run run) {
    long end = System.nanoTime() + PATIENCE;
    do {
      run.step();
    } while (run.status() instanceof Status.Computing && System.nanoTime() < end);
  }

  /** Runs until it stands before a step. */
  void runTo(String number) {
    close();
    drive(
        r -> {
          session().runs().hold(r, x -> stood());
          int most = Run.MOST_STEPS;
          while (r.status() instanceof Status.Ready(String at, Step next)
              && !at.equals(number)
              && most-- > 0) {
            r.step();
          }
        });
  }

  /** Ends it, if there is one, and shows it no more. */
  void close() {
    if (current != null) {
      Run over = current;
      current = null;
      if (!(over.status() instanceof Status.Over)) {
        session().runs().giveUp(over);
      }
      session().runs().let(over);
      onStood.run();
    }
  }
}
