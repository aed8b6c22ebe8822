package foldtwice.run;

import foldtwice.known.Facts;
import foldtwice.routine.Routine;
import foldtwice.routine.Target;
import foldtwice.routine.Whom;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What a routine is pointed at before its first step, as it declares, and what is selected again
 * after its last. One that acts on the whole document finds all of it selected; one on what the
 * pointer is over finds that, or else the whole document; one on the program in front works that
 * program. Where a step selects by itself, or a command does, what it selected stays.
 */
public final class Aim {

  private final Program program;
  private final List<String> before;
  private final List<String> aimed;
  private final Optional<Trace.Entry> entry;
  private boolean selects;

  private Aim(
      Program program, List<String> before, List<String> aimed, Optional<Trace.Entry> entry) {
    this.program = program;
    this.before = before;
    this.aimed = aimed;
    this.entry = entry;
  }

  /** The program a routine works; empty when that is not running. */
  public static Optional<Program> program(Routine routine, Computer computer) {
    return routine.target() == Target.FRONT_PROGRAM
        ? Optional.of(computer.front())
        : computer.program(routine.application());
  }

  /** Points. */
  static Aim take(Routine routine, Program program, Computer computer) throws StepFailure {
    long began = System.nanoTime();
    List<String> before = program.selected();
    List<Change> changes =
        switch (routine.target()) {
          case DOCUMENT -> all(program);
          case POINTER_OR_DOCUMENT ->
              program.select(Whom.Group.AT_POINTER, false) instanceof Reply.Done(var pointed)
                  ? pointed
                  : all(program);
          case SELECTION, LAST_SELECTED, PROGRAM, FRONT_PROGRAM -> List.of();
        };
    boolean behind = !computer.front().application().equals(program.application());
    Optional<Trace.Entry> entry =
        changes.isEmpty() && !behind
            ? Optional.empty()
            : Optional.of(
                new Trace.Aimed(
                    routine.target(),
                    program.application(),
                    !behind,
                    changes,
                    System.nanoTime() - began));
    return new Aim(program, before, program.selected(), entry);
  }

  private static List<Change> all(Program program) throws StepFailure {
    Facts facts = program.facts();
    boolean selects =
        !facts.tells(Facts.Aspect.SELECTING) || facts.selects().contains(Whom.Group.ALL);
    if (!selects || program.dialog().isPresent()) {
      return List.of(); // there is nothing to select in it, or not now
    }
    return switch (program.select(Whom.Group.ALL, false)) {
      case Reply.Done(List<Change> changes) -> changes;
      case Reply.Refused(String expected, String found) -> List.of(); // an empty document
    };
  }

  /** What is to be told of it. */
  Optional<Trace.Entry> entry() {
    return entry;
  }

  /** A step selects by itself. */
  void selects() {
    selects = true;
  }

  /** Selects again what was selected before, as far as it is still there. */
  List<Change> back() {
    if (selects || before.equals(aimed) || !program.selected().equals(aimed)) {
      return List.of();
    }
    List<Change> changes = new ArrayList<>(made(program.select(Whom.Group.NOTHING, false)));
    for (int i = 0; i < before.size(); i++) {
      changes.addAll(made(program.selectNamed(before.get(i), i > 0)));
    }
    return changes;
  }

  private static List<Change> made(Reply reply) {
    return reply instanceof Reply.Done(List<Change> changes) ? changes : List.of();
  }
}
