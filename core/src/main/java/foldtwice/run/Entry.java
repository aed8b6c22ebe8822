package foldtwice.run;

import foldtwice.place.AddOn;
import foldtwice.place.Versions;
import foldtwice.routine.Manner;
import foldtwice.routine.Routine;
import foldtwice.shape.Facts;

/** Says whether a routine may be run on a program as it is. */
final class Entry {

  private Entry() {}

  static StepFailure lacks(String addOn) {
    return new StepFailure("the add-on " + addOn, "it is not there");
  }

  static void mayRun(Routine routine, Program program) throws StepFailure {
    Facts facts = program.facts();
    Manner manner = routine.manner();
    if (routine.card().off()) {
      throw new StepFailure("a routine that is switched on", routine.name() + " is switched off");
    }
    if (!routine.origin().seen()) {
      throw new StepFailure(
          "a routine a person has looked through",
          routine.name() + " was collected and nobody has");
    }
    if (!manner.fromVersion().isEmpty()
        && !Versions.atLeast(facts.version(), manner.fromVersion())) {
      throw new StepFailure(
          routine.application() + " " + manner.fromVersion() + " or later", facts.version());
    }
    for (AddOn needed : manner.addOns()) {
      AddOn found = facts.addOn(needed.name()).orElseThrow(() -> lacks(needed.name()));
      if (!found.meets(needed)) {
        throw new StepFailure(
            "the add-on " + needed.name() + " " + needed.version() + " or later", found.version());
      }
    }
    String state = program.place().id();
    String context = state.substring(state.indexOf('/') + 1);
    if (!manner.startIn().isEmpty() && !manner.startIn().contains(context)) {
      throw new StepFailure(
          "to start in " + String.join(" or ", manner.startIn()), "it is in " + context);
    }
  }
}
