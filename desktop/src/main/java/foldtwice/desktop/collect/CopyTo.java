package foldtwice.desktop.collect;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.RoutineField;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Edit;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Asks to which routine steps are copied, and copies them to its end. */
final class CopyTo extends VBox {

  private final Chosen chosen;
  private final RoutineField where =
      new RoutineField("copy-to", Ui.text("several.where"), Routine::name, this::copy);
  private final Label says = Parts.wrapped("", "strong");
  private List<Line> lines = List.of();

  CopyTo(Chosen chosen) {
    super(6);
    this.chosen = chosen;
    getStyleClass().add("said");
    getChildren()
        .addAll(
            says,
            where,
            new HBox(Parts.button("copy-to-leave", Ui.text("several.leave"), this::close, "link")));
    close();
  }

  /** Asks. */
  void ask(List<Line> steps) {
    lines = steps;
    says.setText(Ui.text("several.copying", steps.size()));
    where.offer(
        chosen.session.now().library().routines().values().stream()
            .filter(r -> r instanceof Routine.Macro && !r.id().equals(chosen.id()))
            .toList());
    Parts.there(this, true);
    where.focus();
  }

  private void close() {
    Parts.there(this, false);
  }

  private void copy() {
    if (where.chosen().orElse(null) instanceof Routine.Macro to) {
      List<Line> all = new ArrayList<>(to.steps());
      all.addAll(lines);
      chosen.session.make(
          new Edit.PutRoutine(to.withSteps(all)),
          Ui.text("said.copiedto", lines.size(), to.name()));
    }
    close();
  }
}
