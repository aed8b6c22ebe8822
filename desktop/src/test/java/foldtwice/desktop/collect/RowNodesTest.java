package foldtwice.desktop.collect;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.desktop.Toolkit;
import foldtwice.library.Library;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Labeled;
import javafx.scene.layout.VBox;
import javafx.scene.text.Text;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.mockito.Mockito;

/** Nodes that show one line after the other show each as a new one would. */
class RowNodesTest {

  private static final Words WORDS = new Words(Library.empty("own"));
  private final OutlineView.Actions actions = Mockito.mock(OutlineView.Actions.class);

  @BeforeAll
  static void start() throws InterruptedException {
    Toolkit.start();
  }

  private static Routine.Macro macro(List<Line> lines) {
    return Routine.Macro.of("m", "M", "tagpress", List.of(), lines);
  }

  private static List<Line> lines(Random random, int many, int depth) {
    List<Line> lines = new ArrayList<>();
    for (int i = 0; i < many; i++) {
      Step step =
          switch (random.nextInt(depth > 1 ? 3 : 4)) {
            case 0 ->
                new Step.Note(new Template("turn " + random.nextInt(9) + " of \u2039n\u203a"));
            case 1 -> new Step.Choose(Template.all(List.of("Edit", "Item " + random.nextInt(9))));
            case 2 -> new Step.SetVariable("n", ExprNotation.read(random.nextInt(9) + " mm"));
            default -> new Step.Repeat(ExprNotation.read("3"), lines(random, 2, depth + 1));
          };
      Line line = new Line(step);
      line = random.nextInt(3) == 0 ? line.saying("because " + i) : line;
      lines.add(random.nextInt(4) == 0 ? line.switchedOn(false) : line);
    }
    return lines;
  }

  private static List<OutlineRow> rows(Random random, List<Line> lines) {
    List<OutlineRow> plain = OutlineRow.of(lines, List.of(), List.of(), "", Optional.empty());
    List<String> chosen =
        plain.stream()
            .map(OutlineRow::number)
            .filter(n -> !n.isEmpty() && random.nextInt(5) == 0)
            .toList();
    return OutlineRow.of(
        lines, List.of(), chosen, chosen.isEmpty() ? "" : chosen.getFirst(), Optional.empty());
  }

  /** All of a node that is seen: what it is, its styles, its texts, in their order. */
  private static String seen(Node node) {
    StringBuilder all = new StringBuilder(node.getClass().getSimpleName());
    all.append(node.getId()).append(new java.util.TreeSet<>(node.getStyleClass()));
    all.append(VBox.getMargin(node));
    if (node instanceof Labeled labeled) {
      return all.append(labeled.getText()).toString();
    }
    if (node instanceof Text text) {
      return all.append(text.getText()).toString();
    }
    if (node instanceof Parent parent) {
      parent
          .getChildrenUnmodifiable()
          .forEach(child -> all.append('(').append(seen(child)).append(')'));
    }
    return all.toString();
  }

  private void showsAsNew(RowNodes nodes, VBox box, List<OutlineRow> rows, Routine.Macro macro) {
    List<Node> there = nodes.show(rows, macro, WORDS, List.copyOf(box.getChildren()));
    assertThat(there).hasSameSizeAs(rows).doesNotHaveDuplicates();
    for (int i = 0; i < rows.size(); i++) {
      OutlineRow row = rows.get(i);
      Node fresh = OutlineRow.node(row, OutlineRow.reads(row, macro, WORDS), actions);
      assertThat(seen(there.get(i))).as(row.toString()).isEqualTo(seen(fresh));
      assertThat(nodes.of(row)).isSameAs(there.get(i));
    }
    box.getChildren().setAll(there);
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 5, 8, 13, 21, 34})
  void whateverWasShownBefore(long seed) {
    Toolkit.ask(
        () -> {
          Random random = new Random(seed);
          RowNodes nodes = new RowNodes(actions);
          VBox box = new VBox();
          List<Line> lines = lines(random, 30, 0);
          for (int i = 0; i < 25; i++) {
            if (random.nextInt(2) == 0) {
              List<Line> other = new ArrayList<>(lines);
              other.set(random.nextInt(lines.size()), lines(random, 1, 0).getFirst());
              lines = random.nextInt(6) == 0 ? lines(random, 30, 0) : other;
            }
            List<OutlineRow> all = rows(random, lines);
            int from = random.nextInt(all.size() - 9);
            showsAsNew(nodes, box, all.subList(from, from + 8), macro(lines));
          }
          return true;
        });
  }

  /** Scrolled far, the lines are others and the nodes the same, each where it was. */
  @Test
  void scrolledFarNothingIsMade() {
    Toolkit.ask(
        () -> {
          List<Line> lines = new ArrayList<>();
          for (int i = 0; i < 60; i++) {
            lines.add(new Line(new Step.Note(new Template("note " + i))));
          }
          List<OutlineRow> rows = OutlineRow.of(lines, List.of(), List.of(), "", Optional.empty());
          RowNodes nodes = new RowNodes(actions);
          VBox box = new VBox();
          showsAsNew(nodes, box, rows.subList(0, 10), macro(lines));
          List<Node> before = List.copyOf(box.getChildren());
          showsAsNew(nodes, box, rows.subList(40, 50), macro(lines));
          assertThat(box.getChildren()).isEqualTo(before);
          showsAsNew(nodes, box, rows.subList(45, 55), macro(lines));
          assertThat(box.getChildren().subList(0, 5)).isEqualTo(before.subList(5, 10));
          Set<Node> both = new HashSet<>(before);
          assertThat(both).containsAll(box.getChildren());
          return true;
        });
  }
}
