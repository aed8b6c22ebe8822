package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What fits is summoned at the pointer, narrowed, adjusted and run, by keys alone. */
class OfferingByHandTest {

  @TempDir Path folder;

  @Test
  void whatFitsIsSummonedAdjustedAndRun() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.click("#tab-try");
      hands.click("#try-copystand");
      hands.click("#window-copystand #standin-foot");
      hands.press(KeyCode.CONTEXT_MENU);
      hands.waitForText("#offering", "exposure");
      String before = hands.session.programs().get("copystand").values().get("exposure").shown();
      hands.space("#adjust-exposure-more");
      hands.waitUntil(
          "the exposure is another",
          () ->
              !hands
                  .session
                  .programs()
                  .get("copystand")
                  .values()
                  .get("exposure")
                  .shown()
                  .equals(before));
      assertThat(hands.has("#offering")).as("the list stays").isTrue();
      hands.click("#adjust-exposure");
      hands.paste("#adjust-exposure", "99 EV");
      hands.press(KeyCode.ENTER);
      hands.waitForText("#offering-wrong", "exposure");
      hands.click("#offering-filter");
      hands.type("apply look");
      assertThat(hands.text("#offering-rows")).contains("Apply look").doesNotContain("exposure");
      hands.press(KeyCode.ENTER);
      hands.waitForText("#try-presses", "Apply look");
      assertThat(hands.has("#offering")).isFalse();
      hands.press(KeyCode.CONTEXT_MENU);
      hands.waitForText("#offering", "exposure");
      hands.press(KeyCode.ESCAPE);
      assertThat(hands.has("#offering")).isFalse();
    }
  }

  @Test
  void oneLevelDownAndUpAgain() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.click("#tab-try");
      hands.click("#try-trackway");
      hands.click("#window-trackway #standin-foot");
      hands.session.programs().get("trackway").click("Lower weir", false);
      hands.press(KeyCode.CONTEXT_MENU);
      hands.waitForText("#offering", "Lower weir");
      hands.space("#offering-down");
      hands.waitForText("#offering", "3 selected");
      hands.space("#offering-up");
      hands.waitForText("#offering", "Lower weir");
      assertThat(hands.text("#offering")).contains("and all that lies inside");
    }
  }
}
