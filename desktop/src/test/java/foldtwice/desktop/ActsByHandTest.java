package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.Seeds;
import foldtwice.desktop.view.OwnKeys;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Actions are found by the look-up wherever they belong, and have the keys a person gives them. */
class ActsByHandTest {

  @TempDir Path folder;

  /** A fourth of them, others each time. */
  @Test
  void theLookUpFindsEveryActionOfEveryView() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.hurry();
      assertThat(OwnKeys.get().acts()).hasSizeGreaterThan(45);
      List<String> lost = new ArrayList<>();
      for (var act : Seeds.oneOf(4, List.copyOf(OwnKeys.get().acts().entrySet()))) {
        boolean now = !List.of("back", "forward", "undo", "redo", "look-up").contains(act.getKey());
        if (now) {
          hands.find(act.getValue());
          if (!hands.text("#look-list").contains(act.getValue())) {
            lost.add(act.getKey());
          }
          hands.press(KeyCode.ESCAPE);
        }
      }
      assertThat(lost).isEmpty();
    }
  }

  @Test
  void anActionOfAnotherViewIsDoneThere() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.find("take in routines");
      hands.press(KeyCode.ENTER);
      assertThat(hands.focus().getId()).isEqualTo("take-in-text");
      hands.find("conflicts on all stations");
      hands.press(KeyCode.ENTER);
      hands.waitUntil(
          "stations are shown",
          () -> hands.found("#scope-stations") instanceof ToggleButton t && t.isSelected());
      hands.find("settle the easy");
      hands.press(KeyCode.ENTER);
      hands.waitUntil("it is looked for", () -> hands.found("#settling") != null);
    }
  }

  /** What stands on the sheet is found too, by the words on it. */
  @Test
  void aButtonThatIsSeenIsFound() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.routine("shift boxes");
      hands.find("add a parameter");
      assertThat(hands.text("#look-list")).contains("Add a parameter", "in Collect");
      hands.press(KeyCode.ENTER);
      assertThat(hands.has("#parameter-name")).isTrue();
    }
  }

  @Test
  void aPersonGivesAnActionAnotherKeyUnderAdvice() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.find("keys of fold twice");
      hands.press(KeyCode.ENTER);
      hands.paste("#own-filter", "day sheet");
      hands.space("#own-change-day-night");
      hands.click("#own-keys");
      hands.paste("#own-keys", "Ctrl+Z");
      hands.press(KeyCode.ENTER);
      assertThat(hands.text("#own-advice")).contains("claimed twice", "Undo the last change");
      hands.click("#own-keys");
      hands.paste("#own-keys", "Ctrl+Shift+F9");
      hands.press(KeyCode.ENTER);
      assertThat(OwnKeys.get().keys("day-night")).isEqualTo("Ctrl+Shift+F9");
      hands.press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.F9);
      assertThat(hands.node("#day-night").getAccessibleText()).isEqualTo("Day sheet");
      hands.press(KeyCode.F10);
      assertThat(hands.node("#day-night").getAccessibleText()).isEqualTo("Day sheet");
      hands.press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.F9);
    } finally {
      OwnKeys.get().give("day-night", OwnKeys.get().shipped("day-night"));
    }
  }

  /** What nobody expected is one clear line in the window, with the details to be copied. */
  @Test
  void aFaultThatNobodyExpectedIsSeenAndItsDetailsCopied() throws Exception {
    Thread.UncaughtExceptionHandler before = Thread.getDefaultUncaughtExceptionHandler();
    Hands.FAULTS.install();
    try (Hands hands = Hands.open(folder)) {
      javafx.application.Platform.runLater(
          () -> {
            throw new IllegalStateException("the shelf fell down");
          });
      hands.waitForText("#fault-what", "the shelf fell down");
      hands.click("#fault-copy");
      assertThat(Hands.ask(() -> Clipboard.getSystemClipboard().getString()))
          .contains("IllegalStateException", "ActsByHandTest");
      hands.click("#fault-read");
      assertThat(hands.node("#fault").isVisible()).isFalse();
      Thread elsewhere =
          Thread.ofPlatform()
              .start(
                  () -> {
                    throw new IllegalArgumentException("and so did the roof");
                  });
      elsewhere.join();
      hands.waitForText("#fault-what", "and so did the roof");
      hands.click("#fault-read");
    } finally {
      Thread.setDefaultUncaughtExceptionHandler(before);
    }
  }

  /** The way back leads to what was looked at, over several views. */
  @Test
  void theWayBackLeadsToWhatWasLookedAt() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.find("boxes as a stair");
      hands.press(KeyCode.ENTER);
      assertThat(hands.text("#routine-name")).isEqualTo("Lay boxes as a stair");
      hands.find("go to atlas");
      hands.press(KeyCode.ENTER);
      hands.find("go to places");
      hands.press(KeyCode.ENTER);
      hands.press(KeyCode.CONTROL, KeyCode.F2);
      assertThat(hands.has("#atlas-keys")).isTrue();
      hands.press(KeyCode.F6); // where keys are looked up, they are not done
      hands.press(KeyCode.CONTROL, KeyCode.F2);
      assertThat(hands.text("#routine-name")).isEqualTo("Lay boxes as a stair");
    }
  }
}
