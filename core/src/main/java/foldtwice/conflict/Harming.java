package foldtwice.conflict;

import foldtwice.known.Known;
import foldtwice.reading.Reading;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Whom;
import foldtwice.source.Named;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Trigger;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What modifiers that are still down do to the first step they harm. Each routine that is run is
 * walked once for each depth, however often it is run.
 */
final class Harming {

  private final Known known;
  private final Modifiers held;

  /** Routines that were walked, each with how deep. */
  private final Set<List<Object>> harmless = new HashSet<>();

  Harming(Known known, Modifiers held) {
    this.known = known;
    this.held = held;
  }

  /** Empty when nothing is harmed, or the routine says what becomes of held modifiers before. */
  Optional<Detail.Harm> of(Routine routine) {
    return harm(routine, 0);
  }

  private Optional<Detail.Harm> harm(Routine routine, int depth) {
    List<Line> lines =
        switch (routine) {
          case Routine.Macro m -> m.steps();
          case Routine.Script s -> Named.lines(s);
          default -> List.of();
        };
    if (depth >= Reading.DEEPEST) {
      return Optional.empty();
    }
    return switch (walk(lines, depth)) {
      case Walk.Harmed(Detail.Harm harm) -> Optional.of(harm);
      case Walk.Safe s -> Optional.empty();
      case Walk.On o -> Optional.empty();
    };
  }

  /** How far a walk over steps has come. */
  private sealed interface Walk {
    record On() implements Walk {}

    record Safe() implements Walk {}

    record Harmed(Detail.Harm harm) implements Walk {}
  }

  private Walk walk(List<Line> lines, int depth) {
    for (Line line : lines) {
      Walk after = line.on() ? step(line.step(), depth) : new Walk.On();
      if (!(after instanceof Walk.On)) {
        return after;
      }
    }
    return new Walk.On();
  }

  private Walk step(Step step, int depth) {
    boolean shift = held.has(Modifier.SHIFT);
    return switch (step) {
      case Step.Modifiers m -> new Walk.Safe();
      case Step.TypeText t when !held.without(Modifier.SHIFT).isEmpty() ->
          new Walk.Harmed(Detail.Harm.TYPES);
      case Step.PressKeys(Trigger.Keys keys)
          when keys.strokes().stream()
              .anyMatch(s -> !s.modifiers().and(held).equals(s.modifiers())) ->
          new Walk.Harmed(Detail.Harm.PRESSES);
      case Step.Select(Whom whom, boolean adding, var edge)
          when shift && !adding && whom == Whom.Group.AT_POINTER ->
          new Walk.Harmed(Detail.Harm.SELECTS);
      case Step.RunRoutine(String id, var arguments) ->
          harmless.add(List.of(id, depth)) // until it is found to be otherwise, which ends all
              ? known
                  .routine(id)
                  .flatMap(r -> harm(r, depth + 1))
                  .<Walk>map(Walk.Harmed::new)
                  .orElse(new Walk.On())
              : new Walk.On();
      case Step.Ask a -> new Walk.Safe(); // a person has let go by then
      case Step.Pause p -> new Walk.Safe();
      case Step.TypeText t -> new Walk.On();
      case Step.PressKeys k -> new Walk.On();
      case Step.Select s -> new Walk.On();
      case Step.If i -> inside(i, depth);
      case Step.Repeat r -> inside(r, depth);
      case Step.ForEach f -> inside(f, depth);
      case Step.WaitUntil w -> new Walk.On();
      case Step.Stop s -> new Walk.On(); // what is after it may be reached another way
      case Step.Plain p -> new Walk.On();
    };
  }

  private Walk inside(Step step, int depth) {
    for (List<Line> body : step.bodies()) {
      if (walk(body, depth) instanceof Walk.Harmed harmed) {
        return harmed;
      }
    }
    return new Walk.On();
  }
}
