package foldtwice.desktop.parts;

import foldtwice.desktop.session.Ui;
import foldtwice.resolve.Explanation;
import foldtwice.resolve.Explanation.LayerReport;
import foldtwice.run.Change;
import foldtwice.run.Trace;
import foldtwice.trigger.Key;
import foldtwice.trigger.Layout;
import foldtwice.trigger.Lift;
import foldtwice.trigger.Motion;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Press;
import foldtwice.trigger.Signal;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import foldtwice.words.StepWords;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Who took a press and what the run did, as rows of a name and what it says. */
public final class WhyRows {

  private static final double NAME_WIDTH = 104;

  private WhyRows() {}

  /** What was pressed on the keyboard, and one row a layer. */
  public static List<Node> layers(Explanation why, Words words, Layout layout) {
    return lines(why, words, layout).stream().map(Line::row).toList();
  }

  /** The same in a pane, which stays as it is where it would say the same again. */
  public static void layers(Pane pane, Explanation why, Words words, Layout layout) {
    List<Line> lines = lines(why, words, layout);
    Refill.with(pane, lines, () -> lines.stream().map(Line::row).toList());
  }

  /** A row before it is laid out. */
  private record Line(String name, String says, String style) {
    Node row() {
      return WhyRows.row(name, "", says, style);
    }
  }

  private static List<Line> lines(Explanation why, Words words, Layout layout) {
    List<Line> rows = new ArrayList<>();
    String by =
        why.presses().getFirst() instanceof Motion
            ? Ui.text("happens.hand")
            : Ui.text("happens.keyboard", layout.id().toUpperCase(Locale.ROOT));
    rows.add(new Line(by, positions(why.presses(), words), "soft"));
    List<String> passed = new ArrayList<>();
    for (LayerReport report : why.layers()) {
      if (report.verdict() == Explanation.Verdict.PASSES) {
        passed.add(words.layer(report.layer()));
        continue;
      }
      passing(rows, passed, words);
      String style =
          switch (report.verdict()) {
            case TAKES, TYPES, WAITS -> "good";
            case UNDECIDED -> "blocks";
            case CUT_SHORT, TOO_LATE, HELD_BACK, TYPING -> "costs";
            case PASSES -> "soft"; // gathered above
          };
      rows.add(new Line(words.layer(report.layer()), words.verdict(report), style));
    }
    passing(rows, passed, words);
    return rows;
  }

  private static String positions(List<Signal> signals, Words words) {
    return signals.stream()
        .map(
            s ->
                switch (s) {
                  case Press p -> pressed(p, words);
                  case Lift(Press p) -> Ui.text("happens.up", pressed(p, words));
                  case Motion(Trigger trigger) -> words.trigger(trigger);
                })
        .collect(Collectors.joining(Notation.THEN));
  }

  /** The key that goes down, by what is printed on it. */
  private static String pressed(Press p, Words words) {
    return String.join("+", words.caps(new Stroke(p.held(), new Key.At(p.code()))));
  }

  /** Layers that let a press pass one after the other share a row. */
  private static void passing(List<Line> rows, List<String> passed, Words words) {
    if (!passed.isEmpty()) {
      rows.add(new Line(String.join(", ", passed), words.passes(passed.size()), "soft"));
      passed.clear();
    }
  }

  /** One row a step, and how it ended. */
  public static List<Node> trace(Trace trace) {
    List<Node> rows = new ArrayList<>(entries(trace.entries()));
    rows.add(ending(trace));
    return rows;
  }

  /** How it ended. */
  public static Node ending(Trace trace) {
    return row(
        "",
        millis(trace.nanos()),
        StepWords.ending(trace.ending()),
        trace.endedBadly() ? "blocks" : "good");
  }

  /** A step, or what it changed. */
  private record Told(Trace.Entry entry, Optional<Change> change) {
    Node row() {
      if (change.isPresent()) {
        return WhyRows.row("", "", changed(change.get()), "change");
      }
      String number = entry instanceof Trace.Taken t ? t.number() + " " : "";
      String style = entry instanceof Trace.NotPutBack ? "blocks" : "plain";
      return WhyRows.row(
          number + StepWords.verb(entry), millis(entry.nanos()), StepWords.line(entry), style);
    }
  }

  /** One row a step, its changes under it. */
  public static List<Node> entries(List<Trace.Entry> entries) {
    List<Told> told = new ArrayList<>();
    for (Trace.Entry e : entries) {
      told.add(new Told(e, Optional.empty()));
      e.changes().forEach(c -> told.add(new Told(e, Optional.of(c))));
    }
    return FewOrMany.rows(told, Told::row, Ui.text("why.steps", entries.size()));
  }

  /** What was changed. */
  public static List<Node> changes(List<Change> changes, String style) {
    return FewOrMany.rows(
        changes, c -> Parts.wrapped(changed(c), style), Ui.text("why.changes", changes.size()));
  }

  /** A change as {@code box 1 x 12 mm → 12.5 mm}. */
  public static String changed(Change c) {
    return c.what() + "  " + c.before() + " \u2192 " + c.after();
  }

  /** Milliseconds with two decimals. */
  public static String millis(long nanos) {
    return String.format(Locale.ROOT, "%.2f ms", nanos / 1e6);
  }

  private static HBox row(String name, String time, String says, String style) {
    Label left = Parts.wrapped(name, "soft");
    left.setMinWidth(NAME_WIDTH);
    left.setPrefWidth(NAME_WIDTH);
    left.setMaxWidth(NAME_WIDTH);
    Label right = Parts.wrapped(says);
    switch (style) {
      case "change" -> right.getStyleClass().add("changed");
      case "plain" -> {}
      default -> right.getStyleClass().add(style);
    }
    right.setMaxWidth(Double.MAX_VALUE);
    HBox.setHgrow(right, Priority.ALWAYS);
    HBox row = new HBox(8, left, right);
    if (!time.isEmpty()) {
      Label at = Parts.label(time, "mono", "soft");
      at.setMinWidth(Region.USE_PREF_SIZE);
      row.getChildren().add(at);
    }
    row.getStyleClass().add("why-row");
    return row;
  }

  /** Puts rows into a box, with room only for what they need. */
  public static VBox box(List<Node> rows) {
    VBox box = new VBox();
    box.getChildren().addAll(rows);
    return box;
  }
}
