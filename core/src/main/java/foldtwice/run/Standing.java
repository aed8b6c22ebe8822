package foldtwice.run;

import foldtwice.reading.Hindrance;
import foldtwice.text.Refusals;
import java.util.List;
import java.util.Optional;

/** Something that stands in the way of a run, with the program as it is now. */
public sealed interface Standing {

  /** The routine is switched off. */
  record Off(String routine) implements Standing {}

  /** It was collected, and nobody has looked through it. */
  record Unseen(String routine) implements Standing {}

  /** Its program lacks something. */
  record Lacks(Hindrance what) implements Standing {}

  /**
   * It starts with a dialog open.
   *
   * @param open the title of the one that is
   */
  record Dialog(String title, Optional<String> open) implements Standing {}

  /**
   * It starts in certain contexts.
   *
   * @param contexts their ids
   * @param now the id of the one the program is in
   */
  record Context(List<String> contexts, String now) implements Standing {}

  /** What is said to whoever runs it. */
  default StepFailure failure() {
    return switch (this) {
      case Off(String routine) ->
          new StepFailure(
              Refusals.says("run.routine-switched-on"), Refusals.says("run.switched-off", routine));
      case Unseen(String routine) ->
          new StepFailure(
              Refusals.says("run.routine-person-has-looked"),
              Refusals.says("run.was-collected-and-nobody", routine));
      case Lacks(Hindrance what) -> Entry.failure(what);
      case Dialog(String title, Optional<String> open) ->
          new StepFailure(Refusals.says("run.dialog-open", title), open.orElse("no dialog"));
      case Context(List<String> contexts, String now) ->
          new StepFailure(
              Refusals.says("run.start", String.join(" or ", contexts)),
              Refusals.says("run.it-is-in", now));
    };
  }
}
