package foldtwice.desktop.collect;

import foldtwice.desktop.parts.Asking;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.WhyRows;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.standin.Preview;
import foldtwice.routine.Value;
import foldtwice.run.Program;
import foldtwice.run.Run;
import foldtwice.run.Status;
import foldtwice.run.Trace;
import foldtwice.words.StepWords;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** A run beside its steps: the stand-in's picture, the values of names, what the last step did. */
final class RunPanel extends VBox {

  private static final int LAST_CHANGES = 8;

  private final Session session;
  private final Consumer<Map<String, Value>> keep;
  private final Preview preview = new Preview();
  private final VBox says = new VBox(4);

  /**
   * A panel for runs.
   *
   * @param again runs it once more, answered the same
   * @param keep keeps the values a routine is run with
   */
  RunPanel(Session session, Runnable close, Node again, Consumer<Map<String, Value>> keep) {
    this.session = session;
    this.keep = keep;
    setId("run-panel");
    setSpacing(6);
    preview.setPrefHeight(170);
    preview.setMinHeight(170);
    getChildren()
        .addAll(
            preview,
            says,
            new HBox(12, again, Parts.button("run-close", Ui.text("run.close"), close, "link")));
  }

  /**
   * Shows a run as it stands.
   *
   * @param before the program as it was before the run
   */
  void show(Run run, Program before) {
    run.program().ifPresent(p -> preview.show(p, before));
    says.getChildren().clear();
    Trace trace = run.trace();
    boolean over = run.status() instanceof Status.Over;
    says.getChildren()
        .add(
            Parts.wrapped(
                StepWords.ending(trace.ending()),
                trace.endedBadly() ? "blocks" : over ? "good" : "strong"));
    if (run.status() instanceof Status.Asking) {
      Asking asking = new Asking(session.runs(), run, keep);
      says.getChildren().add(asking);
      Platform.runLater(asking::focusFirst);
    }
    if (run.status() instanceof Status.Waiting w) {
      says.getChildren()
          .add(Parts.wrapped(Ui.text("run.waiting", StepWords.rest(w.step())), "soft"));
    }
    run.program()
        .flatMap(Program::dialog)
        .ifPresent(
            d -> {
              says.getChildren().add(Parts.label(Ui.text("run.dialog", d.title()), "heading"));
              d.fields()
                  .forEach(
                      f ->
                          says.getChildren()
                              .add(
                                  Parts.fact(
                                      f.label(),
                                      Parts.wrapped(f.text() + " " + f.symbol(), "mono"))));
            });
    if (!over && !run.variables().isEmpty()) {
      says.getChildren().add(Parts.label(Ui.text("run.values"), "heading"));
      run.variables()
          .forEach(
              (name, value) ->
                  says.getChildren()
                      .add(Parts.fact(name, Parts.wrapped(value.shown(), "argument"))));
    }
    if (!trace.entries().isEmpty()) {
      says.getChildren().add(Parts.label(Ui.text("run.last"), "heading"));
      List<Trace.Entry> entries = trace.entries();
      List<Trace.Entry> last =
          entries.subList(Math.max(0, entries.size() - LAST_CHANGES), entries.size());
      says.getChildren().addAll(WhyRows.entries(last));
    }
  }
}
