package foldtwice.desktop.collect;

import foldtwice.routine.Routine;
import foldtwice.words.Words;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javafx.scene.Node;

/** The nodes of the outline's rows: what stays stays its node, and idle ones show other lines. */
final class RowNodes {

  /** The node of a row, and what that reads as. */
  private record Made(Node node, List<String> reads) {}

  private final OutlineView.Actions actions;
  private Map<Object, Made> nodes = new HashMap<>();

  RowNodes(OutlineView.Actions actions) {
    this.actions = actions;
  }

  /**
   * The nodes of the rows that are there from now on, in their order.
   *
   * @param there what is there now, in its order: an idle node is used again near where it is
   */
  List<Node> show(List<OutlineRow> rows, Routine.Macro macro, Words words, List<Node> there) {
    Deque<LineNode> idle = idle(rows, there);
    Map<Object, Made> next = new HashMap<>();
    List<Node> all = new ArrayList<>();
    for (OutlineRow row : rows) {
      Object key = OutlineRow.key(row);
      Made made = nodes.get(key);
      List<String> reads = OutlineRow.reads(row, macro, words);
      if (made == null || !made.reads().equals(reads)) {
        made = new Made(node(row, reads, made, idle), reads);
      }
      OutlineRow.restyle(made.node(), row);
      next.put(key, made);
      all.add(made.node());
    }
    nodes = next;
    return all;
  }

  /** Lines that are there and will not be, in their order. */
  private Deque<LineNode> idle(List<OutlineRow> rows, List<Node> there) {
    Set<Object> stay = new HashSet<>();
    rows.forEach(row -> stay.add(OutlineRow.key(row)));
    Set<Node> gone = new HashSet<>();
    nodes.forEach(
        (key, made) -> {
          if (!stay.contains(key)) {
            gone.add(made.node());
          }
        });
    Deque<LineNode> idle = new ArrayDeque<>();
    for (Node child : there) {
      if (child instanceof LineNode line && gone.contains(line)) {
        idle.add(line);
      }
    }
    return idle;
  }

  /** The node of a row: the one it has, or one that is idle, if either can show it. */
  private Node node(OutlineRow row, List<String> reads, Made made, Deque<LineNode> idle) {
    if (row instanceof OutlineRow.Step step) {
      LineNode line = made == null ? idle.poll() : (LineNode) made.node();
      if (line != null) {
        line.show(step, reads);
        return line;
      }
    }
    return OutlineRow.node(row, reads, actions);
  }

  /** The node of a row; null when it is not there. */
  Node of(OutlineRow row) {
    Made made = nodes.get(OutlineRow.key(row));
    return made == null ? null : made.node();
  }

  /** Those of all rows that are there. */
  List<Node> all() {
    return nodes.values().stream().map(Made::node).toList();
  }
}
