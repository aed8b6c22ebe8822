package foldtwice.run;

import foldtwice.known.Facts;
import foldtwice.place.AddOn;
import foldtwice.reading.Hindrance;
import foldtwice.reading.Mark;
import foldtwice.routine.Manner;
import foldtwice.routine.Routine;
import java.util.Optional;

/** Says whether a routine may be run on a program as it is. */
public final class Entry {

  private Entry() {}

  private static StepFailure failure(Hindrance hindrance) {
    return switch (hindrance) {
      case Hindrance.NoProgram(String application) ->
          new StepFailure(application, "it is not there");
      case Hindrance.TooOld(String application, String needed, String found) ->
          new StepFailure(application + " " + needed + " or later", found);
      case Hindrance.NoAddOn(String name) ->
          new StepFailure("the add-on " + name, "it is not there");
      case Hindrance.AddOnTooOld(AddOn needed, String found) ->
          new StepFailure(
              "the add-on " + needed.name() + " " + needed.version() + " or later", found);
      case Hindrance.NoAction(String addOn, String action) ->
          new StepFailure("an action of " + addOn, "no \"" + action + "\"");
      case Hindrance.Unreadable u ->
          new StepFailure("a source text that can be read", u.expected() + " in line " + u.line());
      case Hindrance.Step(Mark mark) -> new StepFailure(mark.expected(), mark.found());
    };
  }

  /** True when a run of it would begin. */
  public static boolean isOpen(Routine routine, Program program) {
    return refusal(routine, program).isEmpty();
  }

  static void mayRun(Routine routine, Program program) throws StepFailure {
    Optional<StepFailure> refusal = refusal(routine, program);
    if (refusal.isPresent()) {
      throw refusal.get();
    }
  }

  private static Optional<StepFailure> refusal(Routine routine, Program program) {
    Facts facts = program.facts();
    Manner manner = routine.manner();
    if (routine.card().off()) {
      return Optional.of(
          new StepFailure("a routine that is switched on", routine.name() + " is switched off"));
    }
    if (!routine.origin().seen()) {
      return Optional.of(
          new StepFailure(
              "a routine a person has looked through",
              routine.name() + " was collected and nobody has"));
    }
    if (routine
        .application()
        .equals(program.application())) { // else it makes do with what is there
      for (Hindrance h : Hindrance.needs(routine, facts)) {
        return Optional.of(failure(h));
      }
    }
    boolean isOpened =
        manner.opened().isEmpty()
            || program.dialog().filter(d -> d.title().equals(manner.opened())).isPresent();
    if (!isOpened) {
      return Optional.of(
          new StepFailure(
              "the dialog " + manner.opened() + " open",
              program.dialog().map(Dialog::title).orElse("no dialog")));
    }
    String state = program.place().id();
    String context = state.substring(state.indexOf('/') + 1);
    if (!manner.startIn().isEmpty() && !manner.startIn().contains(context)) {
      return Optional.of(
          new StepFailure(
              "to start in " + String.join(" or ", manner.startIn()), "it is in " + context));
    }
    return Optional.empty();
  }
}
