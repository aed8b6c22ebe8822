package foldtwice.collecting;

import foldtwice.routine.Routine;
import foldtwice.trigger.Trigger;
import java.util.List;
import java.util.Optional;

/** What a file or a text turned out to be. */
public sealed interface Found {

  /** The file's name, or what the text was called. */
  String from();

  /** Routines that can be taken up. */
  record Routines(String from, Kind kind, List<Item> items) implements Found {
    public Routines {
      items = List.copyOf(items);
    }
  }

  /** Nothing that can be taken up, and why; nothing of it was kept. */
  record Refused(String from, String why) implements Found {}

  /** Kinds of file. */
  enum Kind {
    SCRIPT,
    MACROS,
    ADD_ON,
    SQL
  }

  /**
   * A routine that can be taken up.
   *
   * @param triggers what it came with; they become bindings when they are taken too
   * @param equal the routine of the library that does the very same
   * @param similar one that is equal but for constants, or has the same name
   */
  record Item(
      Routine routine, List<Trigger> triggers, Optional<Routine> equal, Optional<Routine> similar) {
    public Item {
      triggers = List.copyOf(triggers);
    }

    /** The same, bound to nothing. */
    public Item withoutTriggers() {
      return new Item(routine, List.of(), equal, similar);
    }
  }
}
