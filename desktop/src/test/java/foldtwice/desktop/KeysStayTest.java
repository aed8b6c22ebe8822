package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.Seeds;
import foldtwice.desktop.view.Target;
import foldtwice.library.Edit;
import foldtwice.place.Station;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Whatever has the keys keeps them when something else changes, and when an audit arrives. On half
 * of the sheets, others each time; on all when asked to be hard.
 */
class KeysStayTest {

  @TempDir Path folder;

  /** Everything under a node that can have the keys, in order. */
  private static void reachable(Node node, List<Node> into) {
    if (!node.isVisible() || node.isDisabled()) {
      return;
    }
    if (node.isFocusTraversable()) {
      into.add(node);
    }
    if (node instanceof Parent p) {
      p.getChildrenUnmodifiable().forEach(c -> reachable(c, into));
    }
  }

  private static List<Node> reachable(Hands hands) {
    return Hands.ask(
        () -> {
          List<Node> all = new ArrayList<>();
          reachable(hands.scene().getRoot(), all);
          return all;
        });
  }

  private static final int MOST_ALIKE = 4;

  /** What a few stand for all of: icons, keys of a device, one's own keys, free triggers. */
  private static String kind(Node node) {
    return told(node)
        .replaceFirst("#(icon|own-change|pad|dial|slot|pool|free|choice)-.*", "#$1-\u2026");
  }

  /** True for what stands around the sheet that is open. */
  private static boolean isAround(Node node) {
    Node at = node;
    while (at != null && !at.getStyleClass().contains("sheet")) {
      at = at.getParent();
    }
    return at == null;
  }

  private static String told(Node node) {
    return node == null
        ? "nothing"
        : node.getClass().getSimpleName()
            + " "
            + (node.getId() == null ? node.getAccessibleText() : "#" + node.getId());
  }

  /** Something changes that has nothing to do with what is shown. */
  private static void somethingElseChanges(Hands hands, int turn) {
    Station spare = hands.session.now().library().stations().get("spare");
    hands.make(new Edit.PutStation(spare.named("Spare " + turn)), "the spare desk");
  }

  /** Selects what stands in a field, and looks whether it still is when something changes. */
  private boolean losesSelection(Hands hands, Node node, int turn) throws Exception {
    if (!(node instanceof TextInputControl field) || Hands.ask(() -> field.getLength()) == 0) {
      return false;
    }
    hands.press(KeyCode.CONTROL, KeyCode.A);
    String selected = Hands.ask(field::getSelectedText);
    somethingElseChanges(hands, turn);
    hands.waitUntil("it is audited", () -> hands.session.now().audited());
    hands.settle();
    return hands.focus() instanceof TextInputControl now
        && !Hands.ask(now::getSelectedText).equals(selected);
  }

  /** Begins to write into a field; what stands in it then. */
  private static String write(Hands hands, Node node) {
    if (node instanceof TextInputControl field && field.isEditable()) {
      hands.press(KeyCode.END);
      hands.letters("9");
    }
    return written(node);
  }

  private static void unwrite(Hands hands, String written) {
    if (written(hands.focus()).equals(written) && !written.isEmpty()) {
      hands.press(KeyCode.BACK_SPACE);
    }
  }

  private static String written(Node node) {
    return node instanceof TextInputControl field && field.isEditable()
        ? Hands.ask(field::getText)
        : "";
  }

  private static Map<String, Target> sheets() {
    Map<String, Target> sheets = new LinkedHashMap<>();
    sheets.put("an application", new Target.Application("tagpress"));
    sheets.put("a station", new Target.Station("camera-bench"));
    sheets.put("a toolbar", new Target.Surface("label-tools"));
    sheets.put("a device", new Target.Surface("rowan"));
    sheets.put("a radial menu", new Target.Surface("letters"));
    sheets.put("an offering", new Target.Surface("fits"));
    sheets.put("own keys", new Target.Own());
    sheets.put("collect", new Target.Sheet("collect"));
    sheets.put("a script", new Target.Routine("flag-doubtful"));
    sheets.put("bind", new Target.Sheet("bind"));
    sheets.put("atlas", new Target.Sheet("atlas"));
    sheets.put("conflicts", new Target.Sheet("conflicts"));
    sheets.put("try", new Target.Sheet("try"));
    return sheets;
  }

  @Test
  void nothingThatChangesElsewhereTakesThem() throws Exception {
    List<String> moved = new ArrayList<>();
    Set<Node> around = new HashSet<>();
    Map<String, Integer> alike = new HashMap<>();
    try (Hands hands = Hands.open(folder)) {
      hands.hurry();
      Station here = hands.session.now().station();
      hands.make(new Edit.PutStation(here.as("spare", "Spare")), "a spare desk");
      int turn = 0;
      for (var sheet : Seeds.oneOf(2, List.copyOf(sheets().entrySet()))) {
        hands.to(sheet.getValue());
        for (int i = 0; i < reachable(hands).size(); i++) {
          Node node = reachable(hands).get(i);
          if (isAround(node)
              ? !around.add(node) // what is around all sheets is looked at on the first
              : alike.merge(sheet.getKey() + kind(node), 1, Integer::sum) > MOST_ALIKE) {
            continue;
          }
          hands.giveKeys(node);
          Node had = hands.focus();
          String named = told(had);
          if (losesSelection(hands, had, turn++)) {
            moved.add(sheet.getKey() + ": what was selected in " + named);
          }
          String written = write(hands, had);
          somethingElseChanges(hands, turn++);
          hands.waitUntil("it is audited", () -> hands.session.now().audited());
          hands.settle();
          String has = told(hands.focus());
          if (!has.equals(named)) {
            moved.add(sheet.getKey() + ": from " + named + " to " + has);
          } else if (!written.equals(written(hands.focus()))) {
            moved.add(sheet.getKey() + ": " + named + " lost " + written);
          }
          unwrite(hands, written);
        }
      }
    }
    assertThat(moved).isEmpty();
  }
}
