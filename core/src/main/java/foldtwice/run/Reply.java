package foldtwice.run;

import java.util.List;

/** How a program answers. */
public sealed interface Reply {

  /** It did it; nothing need have changed. */
  record Done(List<Change> changes) implements Reply {
    public Done {
      changes = List.copyOf(changes);
    }
  }

  /**
   * It could not, and changed nothing.
   *
   * @param expected what it would have needed
   * @param found what was there instead
   */
  record Refused(String expected, String found) implements Reply {}

  /** Done, with nothing changed. */
  Reply QUIET = new Done(List.of());
}
