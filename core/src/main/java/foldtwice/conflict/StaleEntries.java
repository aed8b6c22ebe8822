package foldtwice.conflict;

import foldtwice.place.Application;
import foldtwice.ready.Entries;
import foldtwice.resolve.Keymap;
import java.util.List;

/** What programs have been given and the library no longer has, or has otherwise by now. */
final class StaleEntries {

  private final Subject subject;
  private final Dangers dangers;

  StaleEntries(Subject subject, Dangers dangers) {
    this.dangers = dangers;
    this.subject = subject;
  }

  /**
   * Those of an application. Costs a pass over the bindings when its program has been given any.
   */
  List<Conflict> of(Application application) {
    if (subject.setup().program(application.id()).file().isEmpty()) {
      return List.of();
    }
    return Entries.of(subject.library(), subject.setup(), application).stream()
        .filter(e -> e.state() == Entries.State.CHANGED || e.state() == Entries.State.STALE)
        .filter(e -> !e.binding().triggers().isEmpty())
        .map(e -> stale(application, e))
        .toList();
  }

  private Conflict stale(Application application, Entries.Entry entry) {
    return Told.of(
        subject,
        dangers,
        List.of(Keymap.claims(entry.binding()).getFirst()),
        ConflictKind.STALE_ENTRY,
        Weight.COSTS,
        new Detail.Entry(application.id(), entry.name(), entry.state()));
  }
}
