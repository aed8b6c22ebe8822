package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.desktop.parts.Tips;
import java.nio.file.Path;
import java.util.List;
import java.util.Objects;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.text.Text;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * What can have the keys has a name, which is what a screen reader says; and a key named by its
 * position is called by what is printed on it, in brackets only where it is typed.
 */
class NamesTest {

  private static final Pattern BY_POSITION =
      Pattern.compile(
          Stream.of(foldtwice.trigger.KeyCode.values())
              .map(c -> Pattern.quote("[" + c.code() + "]"))
              .collect(Collectors.joining("|")));

  @TempDir Path folder;

  private final TreeSet<String> nameless = new TreeSet<>();
  private final TreeSet<String> inCode = new TreeSet<>();
  private int named;

  @Test
  void everythingThatCanHaveTheKeysHasAName() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      look(hands, "bind");
      hands.choose("flag cells moss");
      look(hands, "bind, by position");
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
      for (String tab : List.of("atlas", "conflicts", "plan", "payback", "handover", "try")) {
        hands.click("#tab-" + tab);
        look(hands, tab);
      }
      hands.click("#record");
      look(hands, "try, recording");
      hands.click("#try-side-checks");
      look(hands, "try, checks");
      hands.click("#tab-handover");
      hands.click("#handover-history");
      look(hands, "handover, history");
      hands.click("#tab-conflicts");
      hands.click("#settle");
      look(hands, "conflicts, settling");
    }
    assertThat(nameless).isEmpty();
    assertThat(inCode).as("keys as files name them").isEmpty();
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
    says(node)
        .filter(s -> BY_POSITION.matcher(s).find())
        .forEach(s -> inCode.add(where + ": " + s));
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

  private static Stream<String> says(Node node) {
    String text =
        switch (node) {
          case Labeled l -> l.getText();
          case Text t when !isTyped(t) -> t.getText();
          default -> "";
        };
    return Stream.of(text, node.getAccessibleText(), node instanceof Control c ? Tips.of(c) : "")
        .filter(Objects::nonNull);
  }

  /** True for what stands in a field. */
  private static boolean isTyped(Node node) {
    for (Node n = node; n != null; n = n.getParent()) {
      if (n instanceof TextInputControl) {
        return true;
      }
    }
    return false;
  }

  private static String name(Node node) {
    if (node.getAccessibleText() != null) {
      return node.getAccessibleText();
    }
    boolean says = node instanceof Labeled l && l.getText() != null && !(node instanceof Label);
    return says ? ((Labeled) node).getText() : "";
  }
}
