package foldtwice.shape;

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
    manner.addOns().stream()
        .filter(a -> !facts.get().addOns().contains(a))
        .forEach(a -> all.add(new NoAddOn(a)));
    switch (routine) {
      case Routine.Macro macro -> Checker.check(macro, here).forEach(m -> all.add(new Step(m)));
      case Routine.PluginAction p -> action(p, facts.get()).ifPresent(all::add);
      case Routine.Script s -> {} // what it needs is known when it runs
      case Routine.Stored s -> {}
    }
    return List.copyOf(all);
  }

  private static Optional<Hindrance> action(Routine.PluginAction p, Facts facts) {
    if (!facts.addOns().contains(p.addOn())) {
      return Optional.of(new NoAddOn(p.addOn()));
    }
    return facts.action(p.addOn(), p.action()).isPresent()
        ? Optional.empty()
        : Optional.of(new NoAction(p.addOn(), p.action()));
  }
}
