package foldtwice.reading;

import foldtwice.known.Facts;
import foldtwice.known.Known;
import foldtwice.place.AddOn;
import foldtwice.place.Versions;
import foldtwice.routine.Manner;
import foldtwice.routine.Routine;
import foldtwice.source.Source;
import foldtwice.sql.SqlText;
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

  /** Its source cannot be read, from here on. */
  record Unreadable(int line, int column, String expected) implements Hindrance {}

  /** Its text is no statement of SQL as far as can be told here; its program may know better. */
  record NoStatement(String why) implements Hindrance {}

  /** A step does not fit what the program has. */
  record Step(Mark mark) implements Hindrance {}

  /** Everything that does, what it declares to need before what its steps turn out to need. */
  static List<Hindrance> of(Routine routine, Known here) {
    List<Hindrance> all = new ArrayList<>(missing(routine, here));
    boolean there = here.program(routine.application()).isPresent();
    if (there && routine instanceof Routine.Macro macro) {
      Checker.check(macro, here).forEach(m -> all.add(new Step(m)));
    } // what a script needs is known when it runs
    if (routine instanceof Routine.Script script) {
      Source.of(script.source())
          .slip()
          .ifPresent(s -> all.add(new Unreadable(s.at().line(), s.at().column(), s.what())));
    }
    if (routine instanceof Routine.Stored stored
        && stored.language() == Routine.Stored.Language.SQL
        && SqlText.of(stored.text()) instanceof SqlText.Unreadable(String why)) {
      all.add(new NoStatement(why));
    }
    return List.copyOf(all);
  }

  /**
   * What it waits for on this computer: a program, a version, an add-on. Its steps are not read.
   */
  static List<Hindrance> missing(Routine routine, Known here) {
    return here.program(routine.application()).isEmpty()
        ? List.of(new NoProgram(routine.application()))
        : needs(routine, here.program(routine.application()).get());
  }

  /** What a routine needs of its program and does not find there; runs are refused for the same. */
  static List<Hindrance> needs(Routine routine, Facts facts) {
    List<Hindrance> all = new ArrayList<>();
    Manner manner = routine.manner();
    if (!manner.fromVersion().isEmpty()
        && !facts.version().isEmpty()
        && !Versions.atLeast(facts.version(), manner.fromVersion())) {
      all.add(new TooOld(routine.application(), manner.fromVersion(), facts.version()));
    }
    if (!facts.tells(Facts.Aspect.ADD_ONS)) {
      return all; // which it has nobody has said
    }
    manner.addOns().stream().flatMap(a -> lacking(a, facts).stream()).forEach(all::add);
    if (routine instanceof Routine.PluginAction p && all.isEmpty()) {
      action(p, facts).ifPresent(all::add);
    }
    return all;
  }

  /** What is wrong with an add-on that is needed; empty for nothing. */
  private static Optional<Hindrance> lacking(AddOn needed, Facts facts) {
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
