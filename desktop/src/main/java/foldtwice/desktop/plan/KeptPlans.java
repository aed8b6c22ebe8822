package foldtwice.desktop.plan;

import foldtwice.desktop.session.Background.Lane;
import foldtwice.desktop.session.DiskWork;
import foldtwice.desktop.session.Session;
import foldtwice.library.Library;
import foldtwice.plan.Plan;
import foldtwice.plan.PlanShelf;
import foldtwice.trigger.Trigger;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** What was planned and wished, kept beside the library. */
final class KeptPlans {

  private final Session session;
  private final Path file;
  private PlanShelf shelf = PlanShelf.EMPTY;

  /** What could not be read is not written over. */
  private boolean isRead;

  /**
   * Reads what is kept, beside the interface.
   *
   * @param onRead called when it is there
   */
  KeptPlans(Session session, Runnable onRead) {
    this.session = session;
    file = session.store().file();
    Library library = session.now().library();
    session
        .background()
        .once(
            Lane.READING,
            () -> DiskWork.done(() -> PlanShelf.read(file, library)),
            found -> {
              shelf = found;
              isRead = true;
              onRead.run();
            });
  }

  Set<String> locked() {
    return shelf.locked();
  }

  Map<String, Set<Trigger>> refused() {
    return shelf.refused();
  }

  Optional<PlanShelf.Kept> of(Optional<String> application) {
    return shelf.of(application);
  }

  void keep(PlanShelf.Kept plan) {
    keep(shelf.with(plan));
  }

  /** A binding stays, or may be moved again; true when it stays. */
  boolean lock(String binding) {
    Set<String> locks = new HashSet<>(shelf.locked());
    boolean stays = locks.add(binding) || !locks.remove(binding);
    keep(shelf.with(locks, shelf.refused()));
    return stays;
  }

  /** A binding shall not have what a line proposes. */
  void refuse(Plan.Line line) {
    Map<String, Set<Trigger>> all = new HashMap<>(shelf.refused());
    Set<Trigger> its = new HashSet<>(all.getOrDefault(line.binding(), Set.of()));
    its.add(line.proposed());
    all.put(line.binding(), Set.copyOf(its));
    keep(shelf.with(shelf.locked(), all));
  }

  /** Everything may be proposed again. */
  void refuseNothing() {
    keep(shelf.with(shelf.locked(), Map.of()));
  }

  private void keep(PlanShelf next) {
    shelf = next;
    if (isRead && session.mayWrite()) {
      session.background().write(() -> next.write(file), () -> {});
    }
  }
}
