package foldtwice.desktop.collect;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Styles;
import foldtwice.desktop.session.Ui;
import foldtwice.outline.Outline;
import foldtwice.reading.Mark;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.run.Trace;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** A row of the outline, as something that can be equal to what is shown already. */
sealed interface OutlineRow {

  double INDENT = 24;

  /** The number of the line it is, or of the one that would be put there. */
  String number();

  /** A line. */
  record Step(Outline.Row row, boolean chosen, boolean at, boolean failed, int wrong)
      implements OutlineRow {
    @Override
    public String number() {
      return row.number();
    }
  }

  /** Something wrong with the line above. */
  record Wrong(Mark mark, int place, int depth) implements OutlineRow {
    @Override
    public String number() {
      return "";
    }
  }

  /** What a run found where it failed. */
  record Failed(String says, int depth) implements OutlineRow {
    @Override
    public String number() {
      return "";
    }
  }

  /**
   * A place where a line can be put that has none yet, or where the otherwise of a condition
   * begins.
   *
   * @param taken true when there are lines already
   */
  record Slot(String number, int depth, boolean otherwise, boolean taken, boolean chosen)
      implements OutlineRow {}

  /** True for what the keys can stand on: a line, or a place that has none yet. */
  static boolean canBeChosen(OutlineRow row) {
    return row instanceof Step || (row instanceof Slot s && !s.taken());
  }

  /** The rows of a macro. */
  static List<OutlineRow> of(
      List<Line> steps,
      List<Mark> marks,
      List<String> chosen,
      String at,
      Optional<Trace.Failed> failed) {
    Map<String, List<Mark>> wrong = new HashMap<>();
    marks.forEach(m -> wrong.computeIfAbsent(m.number(), n -> new ArrayList<>()).add(m));
    List<OutlineRow> rows = new ArrayList<>();
    lines(steps, "", 0, rows, new Given(wrong, new HashSet<>(chosen), at, failed));
    return rows;
  }

  /** What is the same for all rows. */
  record Given(
      Map<String, List<Mark>> wrong, Set<String> chosen, String at, Optional<Trace.Failed> failed) {

    Optional<Trace.Failed> failedAt(String number) {
      return failed.filter(f -> f.number().equals(number));
    }
  }

  private static void lines(
      List<Line> lines, String prefix, int depth, List<OutlineRow> rows, Given given) {
    for (int i = 0; i < lines.size(); i++) {
      Line line = lines.get(i);
      String number = prefix + (i + 1);
      List<Mark> wrong = given.wrong().getOrDefault(number, List.of());
      rows.add(
          new Step(
              new Outline.Row(number, depth, line),
              given.chosen().contains(number),
              given.at().equals(number),
              given.failedAt(number).isPresent(),
              wrong.size()));
      given
          .failedAt(number)
          .ifPresent(
              f -> rows.add(new Failed(Ui.text("collect.failed", f.expected(), f.found()), depth)));
      for (int w = 0; w < wrong.size(); w++) {
        rows.add(new Wrong(wrong.get(w), w, depth));
      }
      List<List<Line>> bodies = line.step().bodies();
      for (int b = 0; b < bodies.size(); b++) {
        String inside = number + (b == 0 ? "." : ".e");
        boolean empty = bodies.get(b).isEmpty();
        if (empty || b > 0) {
          String first = inside + 1;
          rows.add(new Slot(first, depth, b > 0, !empty, empty && given.chosen().contains(first)));
        }
        lines(bodies.get(b), inside, depth + 1, rows, given);
      }
    }
  }

  /** A mark in words. */
  static String says(Mark mark) {
    return Ui.text("mark." + mark.fault(), mark.found(), mark.expected());
  }

  /** What rows have in common that are the same node: a line stays it however it is shown. */
  static Object key(OutlineRow row) {
    return row instanceof Step step ? step.row() : row;
  }

  /** What a line reads as, which other names and defaults may change. */
  static List<String> reads(OutlineRow row, Routine.Macro macro, Words words) {
    return row instanceof Step step
        ? List.of(
            words.step(step.row().line().step()),
            StepText.preview(macro, step.row().line().step()).orElse(""))
        : List.of();
  }

  /** Shows the line of a node as the row says: chosen, stood before, failed, marked. */
  static void restyle(Node node, OutlineRow row) {
    if (row instanceof Step step) {
      Styles.set(node, "chosen", step.chosen());
      Styles.set(node, "at", step.at());
      Styles.set(node, "failed", step.failed());
      Styles.set(node, "marked", step.wrong() > 0);
    }
  }

  /**
   * The node of a row.
   *
   * @param reads what it {@link #reads} as
   */
  static Node node(OutlineRow row, List<String> reads, OutlineView.Actions actions) {
    return switch (row) {
      case Step step -> new LineNode(step, reads);
      case Wrong(Mark mark, int place, int depth) -> mark(mark, depth, actions);
      case Failed(String says, int depth) -> failed(says, depth);
      case Slot slot -> slot(slot);
    };
  }

  private static Node slot(Slot slot) {
    String key = slot.otherwise() ? slot.taken() ? "slot.else" : "slot.noelse" : "slot.inside";
    Label says = Parts.label(Ui.text(key), slot.taken() ? "strong" : "soft");
    HBox box = new HBox(says);
    box.setAlignment(Pos.CENTER_LEFT);
    box.setId("slot-" + slot.number());
    box.getStyleClass().addAll("step-row", "step-slot");
    Styles.set(box, "chosen", slot.chosen());
    VBox.setMargin(
        box, new Insets(0, 0, 0, slot.depth() * INDENT + (slot.otherwise() ? 42 : INDENT + 42)));
    return box;
  }

  private static Node failed(String says, int depth) {
    HBox box = new HBox(Parts.wrapped(says, "blocks"));
    box.setId("failed-here");
    box.getStyleClass().addAll("said", "blocks", "step-mark");
    VBox.setMargin(box, new Insets(2, 0, 4, depth * INDENT + 40));
    return box;
  }

  private static Node mark(Mark mark, int depth, OutlineView.Actions actions) {
    Label says = Parts.wrapped(says(mark), "blocks");
    HBox.setHgrow(says, Priority.ALWAYS);
    HBox box = new HBox(8, says);
    if (mark.mended().isPresent()) {
      box.getChildren()
          .add(
              Parts.button(
                  "mend-" + mark.number(),
                  Ui.text("mark.take", mark.nearest().orElse("")),
                  () -> actions.mend(mark)));
    }
    box.setAlignment(Pos.CENTER_LEFT);
    box.getStyleClass().addAll("said", "blocks", "step-mark");
    box.setId("mark-" + mark.number());
    VBox.setMargin(box, new Insets(2, 0, 4, depth * INDENT + 40));
    return box;
  }
}
