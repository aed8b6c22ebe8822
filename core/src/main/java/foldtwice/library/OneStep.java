package foldtwice.library;

import foldtwice.binding.Binding;
import foldtwice.place.Place;
import foldtwice.routine.Head;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Target;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A key that does one thing: starts a program, types a text. */
public final class OneStep {

  private OneStep() {}

  /**
   * Binds a step to a trigger: by the macro that is nothing else, where the library has one, or
   * else by a new one.
   *
   * @param name of the new one
   * @param application of the new one
   */
  public static Edit bind(
      Library library, Step step, String name, String application, Place place, Trigger trigger) {
    List<Line> lines = List.of(new Line(step));
    Optional<Routine> there =
        library.routines().values().stream()
            .filter(r -> r.application().equals(application) && r.parameters().isEmpty())
            .filter(r -> r instanceof Routine.Macro m && m.steps().equals(lines))
            .findFirst();
    List<Edit> edits = new ArrayList<>();
    Routine routine =
        there.orElseGet(
            () -> {
              String id = Ids.free(Ids.of(name, "routine"), library.routines()::containsKey);
              Head head = Head.of(id, name, application, List.of()).with(Target.FRONT_PROGRAM);
              return new Routine.Macro(head, lines);
            });
    if (there.isEmpty()) {
      edits.add(new Edit.PutRoutine(routine));
    }
    String id = Ids.ofBinding(library);
    edits.add(
        new Edit.PutBinding(Binding.fresh(id, routine.id(), place, List.of(trigger), Map.of())));
    return new Edit.Together(edits);
  }
}
