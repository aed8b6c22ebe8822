package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import foldtwice.place.Place;
import foldtwice.trigger.Notation;
import java.nio.file.Path;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The atlas: looked up by pressing, moved by dragging. */
class AtlasByHandTest {

  @TempDir Path folder;

  private static String trigger(Hands hands, String binding) {
    return Notation.write(
        hands.session.now().library().bindings().get(binding).triggers().getFirst());
  }

  @Test
  void realPressesAreLookedUpAndNotDone() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.CONTROL, KeyCode.M);
      assertThat(hands.text("#atlas-counts")).contains("keys free here");
      hands.down(KeyCode.ALT);
      assertThat(hands.text("#atlas-Period")).contains("Shift boxes");
      hands.press(KeyCode.PERIOD);
      assertThat(hands.text("#story")).contains("takes it: Shift boxes", "Reach, one hand");
      hands.up(KeyCode.ALT);
      hands.press(KeyCode.CONTROL, KeyCode.D);
      assertThat(hands.text("#story")).contains("displaces Duplicate", "settle");
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      assertThat(hands.session.now().undoable()).as("nothing was undone or done").isEmpty();
      assertThat(hands.text("#story")).contains("Undo");
      hands.press(KeyCode.CONTROL, KeyCode.D);
      hands.space("#story-to-b14");
      assertThat(hands.text("#leaf-sets")).contains("Ctrl", "D");
    }
  }

  @Test
  void aSequenceIsGoneIntoAndLeft() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.CONTROL, KeyCode.M);
      assertThat(hands.text("#atlas-KeyF")).contains("begins");
      hands.press(KeyCode.F);
      hands.press(KeyCode.F);
      assertThat(hands.text("#atlas-begun")).contains("After F");
      assertThat(hands.text("#atlas-KeyL")).contains("Fit and"); // as much as there is room for
      assertThat(hands.node("#atlas-KeyL").getAccessibleText()).contains("Fit and lock");
      hands.press(KeyCode.ESCAPE);
      assertThat(hands.text("#atlas-KeyL")).doesNotContain("Fit");
    }
  }

  @Test
  void aKeyIsDraggedToAnotherAndComesBack() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.CONTROL, KeyCode.M);
      hands.click("#holding-Alt");
      assertThat(trigger(hands, "b20")).isEqualTo("Alt+L");
      hands.drag("#atlas-KeyL", "#atlas-KeyK");
      assertThat(trigger(hands, "b20")).isEqualTo("Alt+K");
      assertThat(hands.session.saidProperty().get()).isEqualTo("Lock every box moved to Alt+K");
      assertThat(hands.text("#atlas-KeyK")).contains("Lock");
      hands.click("#undo");
      assertThat(trigger(hands, "b20")).isEqualTo("Alt+L");
    }
  }

  @Test
  void aRoutineIsBoundToAFreeKeyAndAChainIsFollowed() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.CONTROL, KeyCode.M);
      hands.down(KeyCode.ALT);
      hands.press(KeyCode.J);
      hands.up(KeyCode.ALT);
      hands.press(KeyCode.ALT, KeyCode.J);
      hands.click("#holding-Alt");
      hands.click("#atlas-KeyJ");
      hands.space("#give-routine");
      hands.type("fit and");
      hands.press(KeyCode.ENTER);
      hands.space("#give");
      assertThat(trigger(hands, "b274")).isEqualTo("Alt+J");
      hands.space("#atlas-page-rowan-register");
      assertThat(hands.text("#chain")).contains("Count", "Ctrl+Alt+F18", "Nobody catches it");
    }
  }

  /**
   * Beside the keys: buttons, choices and movements, each with where it goes, by keyboard alone.
   */
  @Test
  void whatIsNoKeyIsLookedAtToo() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.CONTROL, KeyCode.M);
      hands.space("#atlas-toolbar-label-tools");
      assertThat(hands.text("#atlas-spot-slot-2")).contains("Across", "Spread evenly");
      hands.space("#atlas-spot-slot-2");
      assertThat(hands.text("#chain")).contains("button 2", "Spread evenly, way Across");
      hands.space("#atlas-pointer");
      hands.space("#atlas-spot-right");
      assertThat(hands.text("#chain")).contains("drag right", "Tagpress \u203a box selected");
      hands.atlas(new Place.Within("vasculum", "grid"));
      hands.space("#atlas-menu-letters");
      assertThat(hands.text("#atlas-spot-down")).contains("Flag cells");
      hands.space("#atlas-spot-up");
      assertThat(hands.text("#chain")).contains("Letter case");
      assertThatThrownBy(() -> hands.node("#atlas-toolbar-label-tools"))
          .as("not in this program")
          .hasMessageContaining("nothing on the screen");
    }
  }

  /** Bind was left by mouse while it listened: from then on the keys belong to what is shown. */
  @Test
  void aViewThatIsLeftNoLongerListens() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.F4);
      hands.click("#tab-atlas");
      hands.down(KeyCode.ALT);
      assertThat(hands.text("#atlas-Period")).contains("Shift boxes");
      hands.up(KeyCode.ALT);
    }
  }
}
