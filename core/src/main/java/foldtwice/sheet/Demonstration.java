package foldtwice.sheet;

import foldtwice.conflict.Subject;
import foldtwice.routine.Routine;
import foldtwice.routine.Target;
import foldtwice.routine.Value;
import foldtwice.routine.Whom;
import foldtwice.run.Around;
import foldtwice.run.Change;
import foldtwice.run.Computer;
import foldtwice.run.Entry;
import foldtwice.run.Program;
import foldtwice.run.Run;
import foldtwice.run.Simulated;
import foldtwice.run.Status;
import foldtwice.run.Trace;
import foldtwice.words.StepWords;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;

/** Runs a routine on fresh programs and tells what happens, stage by stage. */
public final class Demonstration {

  /** Takes pictures of programs. */
  public interface Camera {

    /** None are taken. */
    Camera NONE = (now, before) -> Optional.empty();

    /**
     * A picture.
     *
     * @param now the program as it is
     * @param before the same one before the step, so that what is another can be marked
     */
    Optional<HowTo.Shot> take(Program now, Program before);
  }

  /** What is selected before it begins. */
  private enum Beforehand {
    NOTHING,
    ONE,
    ALL
  }

  private final Routine routine;
  private final Map<String, Value> arguments;
  private final Words words;

  private Demonstration(Subject subject, Routine routine, Map<String, Value> arguments) {
    this.routine = routine;
    this.arguments = arguments;
    words = new Words(subject.library(), subject.keymap().layout());
  }

  /**
   * Runs it on programs in which as little is selected as it needs. What it asks is answered with
   * what it suggests; time that it waits is simulated.
   *
   * @param arguments by parameter; defaults are taken for others
   * @param fresh programs that nobody else works, the same ones each time
   * @return what happened; nothing where its program is not there
   */
  public static Optional<HowTo> of(
      Subject subject,
      Routine routine,
      Map<String, Value> arguments,
      Supplier<Around> fresh,
      Camera camera) {
    Demonstration d = new Demonstration(subject, routine, arguments);
    Optional<HowTo> best = Optional.empty();
    for (Beforehand b : Beforehand.values()) {
      Optional<Trace> tried = d.prepared(fresh.get(), b).map(Run::toEnd);
      if (tried.isEmpty()) {
        continue;
      }
      boolean well = tried.get().wentWell() && !tried.get().changes().isEmpty();
      if (well || best.isEmpty()) {
        Around again = fresh.get();
        best = d.prepared(again, b).map(run -> d.told(run, again.computer(), b, camera));
      }
      if (well) {
        break;
      }
    }
    return best;
  }

  private Optional<Run> prepared(Around around, Beforehand beforehand) {
    Computer computer = around.computer();
    Optional<Program> there = computer.program(routine.application());
    if (there.isEmpty()) {
      return Optional.empty();
    }
    Program program = there.get();
    computer.bringToFront(routine.application());
    switch (beforehand) {
      case NOTHING -> {}
      case ONE -> program.select(1, 0, foldtwice.routine.Step.Edge.CLAMP);
      case ALL -> program.select(Whom.Group.ALL, false);
    }
    Entry.prepare(routine, program, around.applications().apply(routine.application()));
    return Optional.of(Run.of(routine, arguments, around));
  }

  private HowTo told(Run run, Computer computer, Beforehand beforehand, Camera camera) {
    String before =
        beforehand == Beforehand.NOTHING || routine.target() != Target.SELECTION
            ? ""
            : Sheet.TEXTS.get("sheet.howto.select", words.application(routine.application()));
    List<HowTo.Stage> stages = new ArrayList<>();
    int left = 0;
    int seen = 0;
    Optional<HowTo.Stage> asked = Optional.empty();
    Program was = asItIs(computer.front());
    while (!(run.status() instanceof Status.Over)) {
      switch (run.status()) {
        case Status.Ready r -> run.step();
        case Status.Computing c -> run.step();
        case Status.Waiting w -> {
          computer.pass(Math.max(1, w.lookAgain() - computer.clock().millis()));
          run.step();
        }
        case Status.Asking a -> {
          asked = Optional.of(asked(a));
          if (a.number().isEmpty()) { // before the first step
            stages.add(asked.get());
            asked = Optional.empty();
          }
          run.answer(Map.of());
        }
        case Status.Over o -> {}
      }
      List<Trace.Entry> fresh = run.since(seen);
      seen += fresh.size();
      for (Trace.Entry e : fresh) {
        Program front = computer.front();
        if (again(stages, e)) {
          continue;
        }
        if (stages.size() >= HowTo.MOST) {
          left++;
          continue;
        }
        Program then = was.application().equals(front.application()) ? was : front;
        HowTo.Stage stage = stage(e, front, camera.take(front, then));
        stages.add(asked.map(q -> answered(q, stage)).orElse(stage));
        asked = Optional.empty();
        was = asItIs(front);
      }
    }
    Trace trace = run.trace();
    return new HowTo(
        routine.id(),
        before,
        stages,
        left,
        trace.wentWell() ? "" : StepWords.ending(trace.ending()));
  }

  /** As it is now, whatever is done to it later. */
  private static Program asItIs(Program program) {
    return program instanceof Simulated simulated ? simulated.copy() : program;
  }

  /** True when it is a further turn of a step that is told already. */
  private static boolean again(List<HowTo.Stage> stages, Trace.Entry e) {
    if (!(e instanceof Trace.Taken taken)) {
      return false;
    }
    for (int i = stages.size() - 1; i >= 0; i--) {
      HowTo.Stage s = stages.get(i);
      if (s.number().equals(taken.number())) {
        stages.set(
            i,
            new HowTo.Stage(
                s.number(), s.times() + 1, s.does(), s.changes(), s.program(), s.picture()));
        return true;
      }
    }
    return false;
  }

  private HowTo.Stage stage(Trace.Entry e, Program front, Optional<HowTo.Shot> picture) {
    return new HowTo.Stage(
        e instanceof Trace.Taken t ? t.number() : "",
        1,
        StepWords.verb(e) + " " + StepWords.line(e),
        e.changes().stream().map(Demonstration::said).toList(),
        words.place(front.place()),
        picture);
  }

  private HowTo.Stage asked(Status.Asking asking) {
    return new HowTo.Stage(
        "",
        1,
        Sheet.TEXTS.get("sheet.howto.asks", asking.text()),
        asking.questions().stream()
            .map(q -> Sheet.TEXTS.get("sheet.howto.answered", q.name(), q.otherwise().shown()))
            .toList(),
        "",
        Optional.empty());
  }

  /** The step that asked, in the words of what it asked. */
  private static HowTo.Stage answered(HowTo.Stage asked, HowTo.Stage step) {
    List<String> all = new ArrayList<>(asked.changes());
    all.addAll(step.changes());
    return new HowTo.Stage(step.number(), 1, asked.does(), all, step.program(), step.picture());
  }

  private static String said(Change c) {
    return Sheet.TEXTS.get("sheet.howto.change", c.what(), shown(c.before()), shown(c.after()));
  }

  private static String shown(String value) {
    return value.isBlank() ? Sheet.TEXTS.get("sheet.howto.nothing") : value;
  }
}
