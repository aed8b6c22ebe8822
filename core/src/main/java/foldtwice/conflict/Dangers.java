package foldtwice.conflict;

import foldtwice.library.Library;
import foldtwice.place.Danger;
import foldtwice.place.NativeCommand;
import foldtwice.reading.Risk;
import foldtwice.resolve.Owned;
import foldtwice.resolve.Owner;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/** What the owners of claims would do by mistake. Each routine is read once. */
final class Dangers {

  private final Subject subject;
  private final Map<String, Danger> read;

  Dangers(Subject subject) {
    this(subject, new ConcurrentHashMap<>());
  }

  private Dangers(Subject subject, Map<String, Danger> read) {
    this.subject = subject;
    this.read = read;
  }

  /**
   * The same after some changes: routines stay read.
   *
   * @param rewritten ids of those that are to be read again
   */
  Dangers after(Subject next, Set<String> rewritten) {
    Map<String, Danger> kept = rewritten.isEmpty() ? read : new ConcurrentHashMap<>(read);
    kept.keySet().removeAll(rewritten);
    return new Dangers(next, kept);
  }

  Danger of(Owner owner) {
    Library library = subject.library();
    return switch (owner) {
      case Owner.Yours y ->
          Owned.binding(library, y).map(b -> ofRoutine(b.routine())).orElse(Danger.NONE);
      case Owner.Native n ->
          Owned.command(library, n).map(NativeCommand::danger).orElse(Danger.NONE);
      case Owner.Menu m -> Danger.NONE;
      case Owner.Key k -> Danger.NONE;
      case Owner.Desktop d -> Danger.NONE;
    };
  }

  Danger ofRoutine(String id) {
    return read.computeIfAbsent(
        id,
        r ->
            subject
                .known()
                .routine(r)
                .map(is -> Risk.of(is, subject.known(), subject.library().applications()))
                .orElse(Danger.NONE));
  }
}
