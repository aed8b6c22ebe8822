package foldtwice.fit;

import foldtwice.binding.Binding;
import foldtwice.routine.Kind;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import java.util.List;

/** One thing that fits. */
public sealed interface Fit {

  /**
   * A routine that can be run as things are.
   *
   * @param here what sets it off in this state, the most used first
   */
  record Does(Routine routine, List<Binding> here) implements Fit {
    public Does {
      here = List.copyOf(here);
    }
  }

  /** An adjustable value of what is selected. */
  record Adjusts(String name, Value.Quantity now, Kind.Measure range) implements Fit {}
}
