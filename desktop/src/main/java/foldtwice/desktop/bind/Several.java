package foldtwice.desktop.bind;

import foldtwice.binding.Binding;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Edit;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;

/** The bindings that are chosen, of which one is looked at: they are changed alike, in one edit. */
final class Several {

  private final Session session;
  private final Supplier<List<Binding>> chosen;

  /**
   * @param chosen those chosen now
   */
  Several(Session session, Supplier<List<Binding>> chosen) {
    this.session = session;
    this.chosen = chosen;
  }

  /** Changes the one that is looked at, and the others that are chosen and fit. */
  void change(Binding shown, Predicate<Binding> fit, UnaryOperator<Binding> change, String said) {
    List<Binding> all = new ArrayList<>(List.of(shown));
    if (chosen.get().stream().anyMatch(b -> b.id().equals(shown.id()))) {
      chosen.get().stream()
          .filter(b -> !b.id().equals(shown.id()) && fit.test(b))
          .forEach(all::add);
    }
    List<Edit> edits = new ArrayList<>();
    for (Binding b : all) {
      Binding next = change.apply(b);
      if (!next.equals(b)) {
        edits.add(new Edit.PutBinding(next));
      }
    }
    if (edits.size() == 1) {
      session.make(edits.getFirst(), said);
    } else if (!edits.isEmpty()) {
      session.make(new Edit.Together(edits), Ui.text("said.changedmany", edits.size()));
    }
  }
}
