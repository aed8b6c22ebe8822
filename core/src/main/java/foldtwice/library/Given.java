package foldtwice.library;

import foldtwice.binding.Binding;
import foldtwice.routine.Routine;

/** A binding as a program was given it, with its routine as it was then. */
public record Given(Binding binding, Routine routine) {

  /** True when these are still what was given, as far as it matters to what they do. */
  public boolean is(Binding b, Routine r) {
    return (b.equals(binding) && r.equals(routine))
        || Fingerprint.of(b, r).equals(Fingerprint.of(binding, routine));
  }
}
