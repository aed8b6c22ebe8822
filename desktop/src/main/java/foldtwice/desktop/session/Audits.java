package foldtwice.desktop.session;

import foldtwice.conflict.Audit;
import foldtwice.conflict.Subject;
import java.util.function.Consumer;
import java.util.function.Supplier;

/**
 * Looks in the background for what is wrong, each time from what was found last, whether anybody
 * still waited for it or not: who goes on and on editing waits for little, too.
 */
final class Audits {

  private final Question<Told> question;

  /** The last one that was made, of whatever moment and station; the next is made from it. */
  private volatile Audit last;

  /** What it tells. */
  private volatile Told told = Told.NOTHING;

  /**
   * @param show gets what was found, if nothing else was asked since
   */
  Audits(Background background, Consumer<Told> show) {
    question = background.question(Background.Lane.AUDIT, show);
  }

  /** Looks through this; what was asked before is not shown any more. On the interface thread. */
  void look(Subject subject) {
    question.ask(new Question.Same(subject), () -> found(subject));
  }

  private Told found(Subject subject) {
    Audit found = of(subject).get();
    last = found;
    told = Told.of(found, subject.library(), told);
    return told;
  }

  /** How the audit of a subject is made, on any thread. */
  Supplier<Audit> of(Subject subject) {
    return () -> {
      Audit from = last;
      return from == null ? Audit.of(subject) : from.after(subject);
    };
  }
}
