package foldtwice.library;

import foldtwice.binding.Binding;
import foldtwice.routine.Routine;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;

/**
 * Bindings and routines switched off and on again. What is off claims nothing: native commands have
 * their keys back, and nothing of it is lost.
 */
public final class Switching {

  private Switching() {}

  /** True when some of them can be switched off; else they can be switched on. */
  public static boolean isOn(Collection<Binding> some) {
    return some.stream().anyMatch(b -> !b.triggers().isEmpty());
  }

  /** Switches bindings off, or on again. */
  public static Edit bindings(Collection<Binding> some, boolean on) {
    List<Edit> all = new ArrayList<>();
    for (Binding b : some) {
      Binding next = on ? b.switchedOn() : b.switchedOff();
      if (!next.equals(b)) {
        all.add(new Edit.PutBinding(next));
      }
    }
    return new Edit.Together(all);
  }

  /** Switches a routine and all that is bound to it off, or on again. */
  public static Edit routine(Library library, Routine routine, boolean on) {
    List<Binding> its = Bound.to(library, routine.id());
    return new Edit.Together(
        List.of(new Edit.PutRoutine(routine.withCard(routine.card().off(!on))), bindings(its, on)));
  }
}
