package foldtwice.desktop.collect;

import foldtwice.desktop.parts.Asking;
import foldtwice.desktop.parts.Contents;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.WhyRows;
import foldtwice.desktop.session.Question;
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
  private final Contents says;

  /**
   * A panel for runs.
   *
   * @param again runs it once more, answered the same
   * @param keep keeps the values a routine is run with
   */
  RunPanel(Session session, Runnable close, Node again, Consumer<Map<String, Value>> keep) {
    this.session = session;
    this.keep = keep;
    VBox rows = new VBox(4);
    says = new Contents(rows);
    setId("run-panel");
    setSpacing(6);
    preview.setPrefHeight(170);
    preview.setMinHeight(170);
    getChildren()
        .addAll(
            preview,
            rows,
            new HBox(12, again, Parts.button("run-close", Ui.text("run.close"), close, "link")));
  }

  /**
   * Shows a run as it stands.
   *
   * @param before the program as it was before the run
   */
  void show(Run run, Program before) {
    run.program().ifPresent(p -> preview.show(p, before));
    Trace trace = run.trace();
    boolean over = run.status() instanceof Status.Over;
    says(
        StepWords.ending(trace.ending()), trace.endedBadly() ? "blocks" : over ? "good" : "strong");
    if (run.status() instanceof Status.Asking asks) {
      says.add(List.of(new Question.Same(run), asks), () -> asking(run));
    }
    if (run.status() instanceof Status.Waiting w) {
      says(Ui.text("run.waiting", StepWords.rest(w.step())), "soft");
    }
    run.program()
        .flatMap(Program::dialog)
        .ifPresent(
            d -> {
              heading(Ui.text("run.dialog", d.title()));
              d.fields().forEach(f -> fact(f.label(), f.text() + " " + f.symbol(), "mono"));
            });
    if (!over && !run.variables().isEmpty()) {
      heading(Ui.text("run.values"));
      run.variables().forEach((name, value) -> fact(name, value.shown(), "mono"));
    }
    if (!trace.entries().isEmpty()) {
      heading(Ui.text("run.last"));
      List<Trace.Entry> entries = trace.entries();
      List<Trace.Entry> last =
          entries.subList(Math.max(0, entries.size() - LAST_CHANGES), entries.size());
      says.add(last, () -> new VBox(4, WhyRows.entries(last).toArray(Node[]::new)));
    }
    says.show();
  }

  /** What it asks; stays as long as it asks the same, with what is being typed. */
  private Node asking(Run run) {
    Asking asking = new Asking(session.runs(), run, keep);
    Platform.runLater(asking::focusFirst);
    return asking;
  }

  private void says(String text, String style) {
    says.add(List.of(text, style), () -> Parts.wrapped(text, style));
  }

  private void heading(String text) {
    says.add(List.of("heading", text), () -> Parts.label(text, "heading"));
  }

  private void fact(String name, String is, String style) {
    says.add(List.of(name, is, style), () -> Parts.fact(name, Parts.wrapped(is, style)));
  }
}
