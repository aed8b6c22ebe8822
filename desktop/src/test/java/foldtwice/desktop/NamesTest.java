package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.TreeSet;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What can have the keys has a name, which is what a screen reader says. */
class NamesTest {

  @TempDir Path folder;

  private final TreeSet<String> nameless = new TreeSet<>();
  private int named;

  @Test
  void everythingThatCanHaveTheKeysHasAName() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      look(hands, "bind");
      hands.click("#family-open");
      look(hands, "bind, a family");
      hands.click("#family-leave");
      hands.click("#type-trigger");
      look(hands, "bind, typing");
      hands.press(KeyCode.ESCAPE);
      hands.click("#other-trigger");
      look(hands, "bind, not a key");
      hands.press(KeyCode.F12);
      for (int i = 0; i < 18; i++) {
        look(hands, "places, row " + i);
        hands.press(KeyCode.DOWN);
      }
      hands.click("#add-application");
      look(hands, "places, a list of commands");
      for (String routine : List.of("shift boxes", "stair boxes", "open loans", "straighten")) {
        hands.routine(routine);
        look(hands, "collect, " + routine);
      }
      hands.routine("shift boxes");
      hands.click("#run-routine");
      look(hands, "collect, a run");
      hands.click("#take-in");
      look(hands, "collect, taking in");
      for (String tab : List.of("atlas", "conflicts", "try")) {
        hands.click("#tab-" + tab);
        look(hands, tab);
      }
      hands.click("#record");
      look(hands, "try, recording");
      hands.click("#try-side-checks");
      look(hands, "try, checks");
      hands.click("#tab-conflicts");
      hands.click("#settle");
      look(hands, "conflicts, settling");
    }
    assertThat(nameless).isEmpty();
    assertThat(named).isGreaterThan(1_000);
  }

  private void look(Hands hands, String where) {
    Hands.ask(
        () -> {
          look(hands.scene().getRoot(), where, hands.scene().getRoot());
          return true;
        });
  }

  private void look(Node node, String where, Parent root) {
    if (!node.isVisible()) {
      return;
    }
    boolean control =
        node instanceof Control
            && node.isFocusTraversable()
            && !(node instanceof ScrollPane)
            && !(node instanceof ScrollBar);
    if (control) {
      String name = name(node);
      if (name.isBlank()) {
        nameless.add(where + ": " + node.getClass().getSimpleName() + " #" + node.getId());
      } else {
        named++;
      }
    }
    if (node instanceof Parent parent) {
      parent.getChildrenUnmodifiable().forEach(c -> look(c, where, root));
    }
  }

  private static String name(Node node) {
    if (node.getAccessibleText() != null) {
      return node.getAccessibleText();
    }
    boolean says = node instanceof Labeled l && l.getText() != null && !(node instanceof Label);
    return says ? ((Labeled) node).getText() : "";
  }
}
