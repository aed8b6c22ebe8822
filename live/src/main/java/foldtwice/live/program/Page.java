package foldtwice.live.program;

import foldtwice.live.bus.Bus;
import foldtwice.live.bus.BusException;
import foldtwice.live.bus.Mark;
import foldtwice.live.bus.Ref;
import foldtwice.live.bus.Seen;
import java.util.Optional;

/** The text a program is worked at: the one that has the keys, or else the first to write in. */
final class Page {

  /** A longer text is not held against what it was. */
  static final int LONGEST = 1_000_000;

  private final Bus bus;
  private final Windows windows;
  private Optional<Ref> known = Optional.empty();

  Page(Bus bus, Windows windows) {
    this.bus = bus;
    this.windows = windows;
  }

  /** Where it is. */
  Optional<Seen> find() throws BusException {
    if (known.isPresent()) {
      var seen = bus.look(java.util.List.of(known.get()));
      if (!seen.isEmpty() && seen.getFirst().isShown()) {
        return Optional.of(seen.getFirst());
      }
    }
    known = Optional.empty();
    for (Seen window : windows.mainFirst()) {
      Seen.Tree tree = windows.parts(window);
      Optional<Seen> best = Optional.empty();
      for (Seen s : tree.all().toList()) {
        if (s.role().isText() && s.is(Mark.EDITABLE) && s.isShown() && s.offers("Text")) {
          if (s.is(Mark.FOCUSED)) {
            best = Optional.of(s);
            break;
          }
          boolean larger = best.filter(b -> b.is(Mark.MULTI_LINE)).isEmpty();
          best = (s.is(Mark.MULTI_LINE) && larger) || best.isEmpty() ? Optional.of(s) : best;
        }
      }
      if (best.isPresent()) {
        known = best.map(Seen::ref);
        return best;
      }
    }
    return Optional.empty();
  }

  /** What is written there; empty where there is nothing to write in, or far too much. */
  Optional<String> text() throws BusException {
    Optional<Seen> at = find();
    return at.isPresent() && bus.length(at.get().ref()) <= LONGEST
        ? Optional.of(bus.text(at.get().ref()))
        : Optional.empty();
  }
}
