package foldtwice.desktop.session;

import foldtwice.conflict.Audit;
import foldtwice.conflict.Subject;
import java.util.function.Consumer;
import java.util.function.Supplier;

/**
 * Looks in the background for what is wrong, each time from what was found last. Used on the
 * interface thread.
 */
final class Audits {

  private final Question<Looked> question;

  /** The last one that was shown, of whatever moment and station; the next is made from it. */
  private Audit last;

  private Told told = Told.NOTHING;

  /**
   * @param show gets what was found, if nothing else was asked since
   */
  Audits(Background background, Consumer<Told> show) {
    question =
        background.question(
            Background.Lane.AUDIT,
            found -> {
              last = found.audit();
              told = found.told();
              show.accept(found.told());
            });
  }

  /** Looks through this; what was asked before is not shown any more. */
  void look(Subject subject) {
    Supplier<Audit> audit = of(subject);
    Told before = told;
    question.ask(
        new Question.Same(subject),
        () -> {
          Audit found = audit.get();
          return new Looked(found, Told.of(found.conflicts(), subject.library(), before));
        });
  }

  private record Looked(Audit audit, Told told) {}

  /** How the audit of a subject is made, on any thread. */
  Supplier<Audit> of(Subject subject) {
    Audit from = last;
    return () -> from == null ? Audit.of(subject) : from.after(subject);
  }
}
