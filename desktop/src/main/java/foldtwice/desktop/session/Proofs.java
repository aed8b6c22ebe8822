package foldtwice.desktop.session;

import foldtwice.binding.Binding;
import foldtwice.binding.Proof;
import foldtwice.library.Fingerprint;
import foldtwice.library.Library;
import foldtwice.routine.Routine;
import foldtwice.run.Trial;
import java.time.Instant;
import java.util.List;
import java.util.function.BiConsumer;

/** What was seen to fire in this window: it is counted, and kept as proven. */
public final class Proofs {

  private final Session session;
  private final Uses uses;
  private final BiConsumer<String, Proof> keep;

  /**
   * @param keep keeps, by the id of a binding, that it was seen to fire
   */
  Proofs(Session session, BiConsumer<String, Proof> keep) {
    this.session = session;
    this.uses = new Uses(session.background(), () -> session.store().file());
    this.keep = keep;
  }

  /** The bindings that were fired last in this window, in order; those that are still there. */
  public List<String> lately() {
    return uses.lately().stream().filter(now().bindings()::containsKey).toList();
  }

  /** A binding fired, and its routine ran. */
  public void ran(Trial.Effect.Ran ran) {
    if (session.mayWrite()) {
      uses.fired(session.now().station().id(), ran.binding().id(), ran.run());
      prove(ran.binding(), ran.routine(), ran.trace().wentWell());
    }
  }

  /** The same for one that fired in a real program. */
  void ranLive(Binding fired, Routine routine, boolean wentWell) {
    if (session.mayWrite()) {
      uses.fired(session.now().station().id(), fired.id());
      prove(fired, routine, wentWell);
    }
  }

  private void prove(Binding fired, Routine routine, boolean wentWell) {
    Binding binding = now().bindings().get(fired.id());
    if (!fired.equals(binding) || !wentWell) {
      return; // also when the program still has an older one
    }
    String fingerprint = Fingerprint.of(binding, routine);
    Proof old = now().proofs().get(binding.id());
    if (old == null || !old.fingerprint().equals(fingerprint)) {
      keep.accept(binding.id(), new Proof(Instant.now(), fingerprint));
    }
  }

  private Library now() {
    return session.now().library();
  }
}
