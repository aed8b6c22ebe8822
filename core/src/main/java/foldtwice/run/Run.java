package foldtwice.run;

import foldtwice.routine.Manner;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.routine.ValueException;
import foldtwice.source.Calls;
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

  private final Routine routine;
  private final Optional<Program> worked;
  private final Course course;
  private final Stepper stepper;
  private final Wished wished;
  private final List<KeptAnswer> kept = new ArrayList<>();
  private final List<Map<String, Value>> inputs = new ArrayList<>();
  private final Deque<Map<String, Value>> replay = new ArrayDeque<>();

  private Run(Around around, Routine routine) {
    this.routine = routine;
    this.worked = Aim.program(routine, around.computer());
    this.course = new Course(around);
    this.stepper = new Stepper(course);
    this.wished = new Wished(course, stepper);
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

  private void begin(Map<String, Value> arguments) {
    try {
      Scope scope = course.enter(routine, arguments, "");
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
        course.status = new Status.Asking("", routine.name(), questions, false);
      } else {
        course.into(scope, "", Activation.ONCE);
        course.settle();
      }
    } catch (StepFailure failure) {
      failedAt("", failure);
    }
  }

  /** It could not begin, or go on after an answer; no step is to blame. */
  private void failedAt(String number, StepFailure failure) {
    Step none = new Step.Note(Template.EMPTY);
    course.end(new Trace.Failed(number, none, failure.expected(), failure.found()));
  }

  /** The program whose run this is. */
  public Optional<Program> program() {
    return worked;
  }

  public Routine routine() {
    return routine;
  }

  public Status status() {
    return course.status;
  }

  /** The trace so far. */
  public Trace trace() {
    return status() instanceof Status.Over(Trace trace)
        ? trace
        : new Trace(course.entries, new Trace.Underway(number()), course.nanos);
  }

  /** What was told since so many entries. */
  public List<Trace.Entry> since(int entry) {
    return List.copyOf(course.entries.subList(entry, course.entries.size()));
  }

  /**
   * The values of parameters and variables of the routine being run innermost; those of a script as
   * far as they are seen where it is, when it is watched.
   */
  public Map<String, Value> variables() {
    if (course.scopes.isEmpty()) {
      return Map.of();
    }
    Map<String, Value> all = new LinkedHashMap<>(course.scopes.peek().names);
    if (!course.frames.isEmpty()) {
      all.remove(Calls.ANSWER); // a script's questions are answered under it
      all.putAll(course.frames.peek().seen);
    }
    return Collections.unmodifiableMap(all);
  }

  /** The number of the step that comes next, or that the run is at. */
  public String number() {
    return switch (status()) {
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
      switch (status()) {
        case Status.Ready r -> step();
        case Status.Computing c -> step();
        case Status.Waiting w -> {
          course.around.computer().pass(Math.max(1, w.lookAgain() - course.now()));
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
      due = status() instanceof Status.Ready || status() instanceof Status.Computing;
    }
    return status();
  }

  /** Takes one step, or looks again at what it waits for. Nothing while it asks or is over. */
  public Status step() {
    if (status() instanceof Status.Asking || status() instanceof Status.Over) {
      return status();
    }
    Activation frame = course.frames.peek();
    if (course.held().isPresent()) {
      course.goOn(Wished.PATIENCE);
    } else if (frame.script.isPresent()) {
      wished.goOn(frame, frame.script.get());
    } else {
      step(frame, frame.number(), frame.step());
    }
    return status();
  }

  private void step(Activation frame, String number, Step step) {
    try {
      if (!stepper.isWaiting()) {
        course.limit();
      }
      stepper.take(frame, step);
      if (stepper.isTaken()) {
        frame.next++;
        course.settle();
      }
    } catch (StepFailure failure) {
      course.end(new Trace.Failed(number, step, failure.expected(), failure.found()));
    } catch (Stop stop) {
      course.end(new Trace.Stopped(number, stop.getMessage()));
    }
  }

  /**
   * Answers what is asked, or lets a pause go on.
   *
   * @param values by name; what is missing keeps the value that was offered
   * @return what is wrong with them, by name; empty when the run goes on
   */
  public Map<String, String> answer(Map<String, Value> values) {
    if (!(status() instanceof Status.Asking asking)) {
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
    if (wrong.isEmpty()) {
      answered(asking, good);
    }
    return wrong;
  }

  private void answered(Status.Asking asking, Map<String, Value> good) {
    inputs.add(good);
    Scope scope = course.scopes.peek();
    scope.names.putAll(good);
    if (asking.number().isEmpty()) {
      course.into(scope, "", Activation.ONCE);
    } else {
      Activation frame = course.frames.peek();
      kept.addAll(KeptAnswer.of(scope.routine, frame.step(), asking.questions(), good));
      course.entries.add(new Trace.Taken(asking.number(), frame.step(), shown(good), List.of(), 0));
      frame.next++;
    }
    try {
      course.settle();
    } catch (StepFailure failure) {
      failedAt(asking.number(), failure);
    }
  }

  private static String shown(Map<String, Value> values) {
    List<String> parts = new ArrayList<>();
    values.forEach((name, value) -> parts.add(name + " " + value.shown()));
    return String.join(", ", parts);
  }

  /** What a person answered, in order; one entry each time somebody was asked. */
  public List<Map<String, Value>> inputs() {
    return List.copyOf(inputs);
  }

  /** The answers that shall be kept, in the order in which they were given. */
  public List<KeptAnswer> kept() {
    return List.copyOf(kept);
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
    while (status() instanceof Status.Asking asking && !asking.byHand() && !replay.isEmpty()) {
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
    if (status() instanceof Status.Asking asking && asking.byHand()) {
      replay.poll();
    }
  }

  /** The person gives it up: settings are put back, and one undo leads to where it began. */
  public void giveUp() {
    if (!(status() instanceof Status.Over)) {
      course.end(new Trace.GivenUp(number()));
    }
  }
}
