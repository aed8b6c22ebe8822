package foldtwice.library;

import foldtwice.surface.Summoned;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Applications and stations taken out with all that could not be without them, as one edit. */
public final class Clearing {

  private Clearing() {}

  /**
   * Takes an application out: what is bound or comes to the pointer in it, and what is said of it.
   */
  public static Edit application(Library library, String id) {
    List<Edit> all = new ArrayList<>();
    all.add(Removing.of(library, Bound.in(library, id)));
    for (Summoned s : library.summoned()) {
      if (s.place().isOf(id)) {
        all.add(new Edit.RemoveSurface(s.id()));
      }
    }
    all.add(new Edit.Describe(id, Optional.empty()));
    all.add(new Edit.RemoveApplication(id));
    return new Edit.Together(all);
  }

  /** Takes a station out, and the checks that are made on it alone. */
  public static Edit station(Library library, String id) {
    List<Edit> all = new ArrayList<>();
    library.checks().values().stream()
        .filter(c -> c.station().equals(id))
        .forEach(c -> all.add(new Edit.RemoveCheck(c.id())));
    all.add(new Edit.RemoveStation(id));
    return new Edit.Together(all);
  }
}
