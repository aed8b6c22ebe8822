package foldtwice.shape;

import foldtwice.place.AddOn;
import foldtwice.place.Versions;
import foldtwice.routine.Manner;
import foldtwice.routine.Routine;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What keeps a routine from working with the programs as they are on one computer. */
public sealed interface Hindrance {

  /** Its program is not on this computer. */
  record NoProgram(String application) implements Hindrance {}

  /** It wants a later version. */
  record TooOld(String application, String needed, String found) implements Hindrance {}

  /** An add-on it needs is missing. */
  record NoAddOn(String name) implements Hindrance {}

  /** An add-on it needs is there in an earlier version. */
  record AddOnTooOld(AddOn needed, String found) implements Hindrance {}

  /** The add-on is there, but in a version without this action. */
  record NoAction(String addOn, String action) implements Hindrance {}

  /** A step does not fit what the program has. */
  record Step(Mark mark) implements Hindrance {}

  /** Everything that does, what it declares to need before what its steps turn out to need. */
  static List<Hindrance> of(Routine routine, Known here) {
    Optional<Facts> facts = here.program(routine.application());
    if (facts.isEmpty()) {
      return List.of(new NoProgram(routine.application()));
    }
    List<Hindrance> all = new ArrayList<>();
    Manner manner = routine.manner();
    String version = facts.get().version();
    if (!manner.fromVersion().isEmpty() && !Versions.atLeast(version, manner.fromVersion())) {
      all.add(new TooOld(routine.application(), manner.fromVersion(), version));
    }
    manner.addOns().stream().flatMap(a -> lacking(a, facts.get()).stream()).forEach(all::add);
    switch (routine) {
      case Routine.Macro macro -> Checker.check(macro, here).forEach(m -> all.add(new Step(m)));
      case Routine.PluginAction p -> {
        if (all.isEmpty()) {
          action(p, facts.get()).ifPresent(all::add);
        }
      }
      case Routine.Script s -> {} // what it needs is known when it runs
      case Routine.Stored s -> {}
    }
    return List.copyOf(all);
  }

  /** What is wrong with an add-on that is needed; empty for nothing. */
  static Optional<Hindrance> lacking(AddOn needed, Facts facts) {
    Optional<AddOn> found = facts.addOn(needed.name());
    if (found.isEmpty()) {
      return Optional.of(new NoAddOn(needed.name()));
    }
    return found.get().meets(needed)
        ? Optional.empty()
        : Optional.of(new AddOnTooOld(needed, found.get().version()));
  }

  private static Optional<Hindrance> action(Routine.PluginAction p, Facts facts) {
    if (facts.addOn(p.addOn()).isEmpty()) {
      return Optional.of(new NoAddOn(p.addOn()));
    }
    return facts.action(p.addOn(), p.action()).isPresent()
        ? Optional.empty()
        : Optional.of(new NoAction(p.addOn(), p.action()));
  }
}
