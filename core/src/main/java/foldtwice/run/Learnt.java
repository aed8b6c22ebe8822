package foldtwice.run;

import foldtwice.known.Touch;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import java.util.Collection;
import java.util.Collections;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Supplier;

/**
 * What a routine was seen to change when it was run on copies. It may change more with other
 * arguments or in another state: for a script this is all that can be said before it runs.
 *
 * @param runs how many runs it was seen in; those it refused to begin are not counted
 * @param leaves settings that were others after a run
 * @param programs the applications in which something changed
 * @param trouble how the first run ended when none went well
 */
public record Learnt(
    int runs,
    Set<Touch> touches,
    Set<String> leaves,
    Set<String> programs,
    Optional<Trace.Ending> trouble) {

  /** More runs than this are not made. */
  public static final int MOST_RUNS = 8;

  public Learnt {
    touches = Collections.unmodifiableSet(touches);
    leaves = Collections.unmodifiableSet(leaves);
    programs = Collections.unmodifiableSet(programs);
  }

  /**
   * Runs a routine with each of these arguments, every time among fresh copies: as they are, and
   * with everything selected in its program. What it asks is answered with what it suggests.
   *
   * @param applications those whose programs are compared
   */
  public static Learnt of(
      Routine routine,
      List<Map<String, Value>> arguments,
      Collection<String> applications,
      Supplier<Around> copies) {
    Seen seen = new Seen();
    for (Map<String, Value> given : arguments) {
      for (boolean selected : new boolean[] {false, true}) {
        if (seen.tried++ < MOST_RUNS) {
          seen.run(routine, given, selected, applications, copies.get());
        }
      }
    }
    return new Learnt(seen.runs, seen.touches, seen.leaves, seen.programs, seen.trouble());
  }

  /** Where a program is follows from what is selected and set. */
  private static final String PLACE = "view place";

  private static final class Seen {
    private final Set<Touch> touches = EnumSet.noneOf(Touch.class);
    private final Set<String> leaves = new TreeSet<>();
    private final Set<String> programs = new TreeSet<>();
    private Optional<Trace.Ending> trouble = Optional.empty();
    private int tried;
    private int runs;
    private boolean well;

    void run(
        Routine routine,
        Map<String, Value> given,
        boolean selected,
        Collection<String> applications,
        Around around) {
      Computer computer = around.computer();
      if (selected) {
        computer
            .program(routine.application())
            .ifPresent(p -> p.select(foldtwice.routine.Whom.Group.ALL, false));
      }
      Aim.program(routine, computer)
          .ifPresent(p -> Entry.prepare(routine, p, around.applications().apply(p.application())));
      Map<String, Map<String, String>> before = new LinkedHashMap<>();
      Map<String, Integer> depths = new LinkedHashMap<>();
      for (String id : applications) {
        computer
            .program(id)
            .ifPresent(
                p -> {
                  before.put(id, p.state());
                  depths.put(id, p.undoDepth());
                });
      }
      Trace trace = Run.of(routine, given, around).toEnd();
      if (trace.endedBadly() && trouble.isEmpty()) {
        trouble = Optional.of(trace.ending());
      }
      if (trace.entries().isEmpty() && trace.endedBadly()) {
        return; // it may not start in this state: nothing was seen
      }
      runs++;
      well |= !trace.endedBadly();
      before.forEach(
          (id, was) -> compare(id, was, depths.get(id), computer.program(id).orElseThrow()));
    }

    private void compare(String id, Map<String, String> was, int depth, Program program) {
      Map<String, String> is = program.state();
      Set<String> names = new TreeSet<>(was.keySet());
      names.addAll(is.keySet());
      for (String name : names) {
        if (!name.equals(PLACE) && !Objects.equals(was.get(name), is.get(name))) {
          programs.add(id);
          if (name.startsWith("setting ")) {
            leaves.add(name.substring("setting ".length()));
          } else {
            touches.add(kind(name));
          }
        }
      }
      if (program.undoDepth() < depth) {
        programs.add(id);
        touches.add(Touch.UNDO_HISTORY);
      }
    }

    /** What went wrong is worth telling when none of the runs went well. */
    Optional<Trace.Ending> trouble() {
      return well ? Optional.empty() : trouble;
    }

    /** What a name of {@link Program#state} tells of. */
    private static Touch kind(String name) {
      String word = name.contains(" ") ? name.substring(0, name.indexOf(' ')) : name;
      return switch (word) {
        case "selection" -> Touch.SELECTION;
        case "view", "field" -> Touch.VIEW;
        case "file" -> Touch.FILES;
        case "window" -> Touch.WINDOWS;
        case "clipboard" -> Touch.CLIPBOARD;
        default -> Touch.OBJECTS;
      };
    }
  }
}
