package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.trigger.Notation;
import java.nio.file.Path;
import java.util.Map;
import javafx.scene.control.TableRow;
import javafx.scene.control.TableView;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Changing, copying and removing bindings in the real window; everything can be undone. */
class KeepByHandTest {

  @TempDir Path folder;

  private static Map<String, Binding> bindings(Hands hands) {
    return hands.session.now().library().bindings();
  }

  @Test
  void theOppositeIsOneClickAway() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.click("#opposite");
      Binding fresh = bindings(hands).get("b274");
      assertThat(fresh.routine()).isEqualTo("shift-boxes");
      assertThat(fresh.arguments().get("dx").shown()).isEqualTo("-0.5 mm");
      assertThat(hands.text("#leaf-does")).contains("\u22120.5 mm");
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      assertThat(bindings(hands)).hasSize(273);
    }
  }

  @Test
  void severalAreRemovedTogetherAndComeBackTogether() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.choose("flag cells");
      hands.press(KeyCode.SHIFT, KeyCode.DOWN);
      hands.press(KeyCode.SHIFT, KeyCode.DOWN);
      hands.press(KeyCode.DELETE);
      assertThat(bindings(hands)).hasSize(270);
      assertThat(hands.text("#said")).isEqualTo("Removed 3 bindings");
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      assertThat(bindings(hands)).hasSize(273);
      assertThat(bindings(hands).keySet()).startsWith("b01", "b02", "b03");
    }
  }

  @Test
  void aSecondTriggerAndOneByPosition() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.click("#add-trigger");
      hands.press(KeyCode.F7);
      hands.waitUntil("it is added", () -> bindings(hands).get("b01").triggers().size() == 2);
      assertThat(bindings(hands).get("b01").triggers())
          .containsExactly(Notation.read("Alt+."), Notation.read("F7"));
      hands.click("#trigger-0");
      assertThat(hands.text("#layouts"))
          .isEqualTo("same key on DE, GB, US; on the key “,” of this keyboard, with Shift on FR");
      hands.click("#by-position");
      assertThat(bindings(hands).get("b01").triggers().getFirst())
          .isEqualTo(Notation.read("Alt+[Period]"));
      assertThat(hands.text("#layouts")).isEqualTo("same key on DE, GB, US, FR");
      hands.click("#by-position");
      assertThat(bindings(hands).get("b01").triggers().getFirst())
          .isEqualTo(Notation.read("Alt+."));
    }
  }

  @Test
  void aFreeKeyNearbyIsTakenByKeyboard() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.waitUntil("free keys are found", () -> hands.found("#near .button") != null);
      hands.space("#near .button");
      assertThat(bindings(hands).get("b01").triggers())
          .isNotEmpty()
          .doesNotContain(Notation.read("Alt+."));
      assertThat(hands.text("#here")).isEqualTo("free");
    }
  }

  @Test
  void anotherPlaceChangesTheAdvice() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      assertThat(hands.text("#here")).isEqualTo("free");
      hands.click("#where");
      hands.press(KeyCode.HOME);
      hands.press(KeyCode.DOWN);
      hands.press(KeyCode.ENTER);
      assertThat(bindings(hands).get("b01").place().id()).isEqualTo("vasculum/grid");
      assertThat(hands.text("#here")).contains("takes the place of Next record");
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      assertThat(bindings(hands).get("b01").place().id()).isEqualTo("tagpress/box-selected");
    }
  }

  @Test
  void columnsSortAndLeavesFoldAway() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      TableView<?> register = (TableView<?>) hands.node("#register");
      Hands.ask(() -> register.getSortOrder().remove(0));
      hands.click("#col-conflict");
      assertThat(
              Hands.ask(
                  () ->
                      register.lookupAll(".table-row-cell").stream()
                          .filter(r -> ((TableRow<?>) r).getIndex() == 0)
                          .mapToInt(r -> r.lookupAll(".blocks").size())
                          .sum()))
          .as("what blocks stands first")
          .isEqualTo(1);
      hands.click("#leaf-does-fold");
      assertThat(hands.has("#arg-dx")).isFalse();
      hands.click("#leaf-does-unfold");
      assertThat(hands.has("#arg-dx")).isTrue();
    }
  }

  @Test
  void theNightSheetIsOneKeyAway() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      String day = Hands.ask(() -> hands.scene().getStylesheets().getFirst());
      hands.press(KeyCode.F10);
      assertThat(Hands.ask(() -> hands.scene().getStylesheets().getFirst())).isNotEqualTo(day);
      hands.press(KeyCode.F10);
      assertThat(Hands.ask(() -> hands.scene().getStylesheets().getFirst())).isEqualTo(day);
    }
  }

  @Test
  void firingInTheRegisterShowsTheSelectionMove() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.choose("move selection columns 1");
      hands.press(KeyCode.F5);
      assertThat(hands.text("#result"))
          .contains("selection  Date, rows 3 to 5 \u2192 Elevation m, rows 3 to 5");
      hands.waitForText("#why", "Vasculum \u203a grid takes it: Move selection");
    }
  }
}
