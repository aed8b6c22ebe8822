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

  /** A step does not fit what the program has. */
  record Step(Mark mark) implements Hindrance {}

  /** Everything that does, what it declares to need before what its steps turn out to need. */
  static List<Hindrance> of(Routine.Macro macro, Known here) {
    Optional<Facts> facts = here.program(macro.application());
    if (facts.isEmpty()) {
      return List.of(new NoProgram(macro.application()));
    }
    List<Hindrance> all = new ArrayList<>();
    Manner manner = macro.manner();
    String version = facts.get().version();
    if (!manner.fromVersion().isEmpty() && !Versions.atLeast(version, manner.fromVersion())) {
      all.add(new TooOld(macro.application(), manner.fromVersion(), version));
    }
    manner.addOns().stream()
        .filter(a -> !facts.get().addOns().contains(a))
        .forEach(a -> all.add(new NoAddOn(a)));
    Checker.check(macro, here).forEach(m -> all.add(new Step(m)));
    return List.copyOf(all);
  }
}
