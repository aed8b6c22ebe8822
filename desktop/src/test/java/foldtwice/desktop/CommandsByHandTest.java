package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.place.NativeCommand;
import java.nio.file.Path;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Native commands are given other keys, lose them, stand back for a routine, and are put back. */
class CommandsByHandTest {

  @TempDir Path folder;

  private static NativeCommand command(Hands hands, String application, String name) {
    return hands.session.now().library().applications().get(application).commands().stream()
        .filter(c -> c.name().equals(name))
        .findFirst()
        .orElseThrow();
  }

  /** Through the look-up, as somebody would who has read the name in a menu. */
  private static void find(Hands hands, String words) {
    hands.press(KeyCode.F3);
    hands.paste("#look-up", words);
    hands.waitForText("#look-list", words);
    hands.press(KeyCode.ENTER);
    hands.waitForText("#command-pane", words);
  }

  @Test
  void aCommandGetsOtherKeysLosesItsOwnAndIsPutBack() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      find(hands, "Proof sheet");
      assertThat(hands.text("#command-pane")).contains("F8");
      hands.click("#command-keys-press");
      hands.press(KeyCode.CONTROL, KeyCode.ALT, KeyCode.Y);
      hands.waitUntil(
          "it has two", () -> command(hands, "tagpress", "Proof sheet").triggers().size() == 2);
      assertThat(hands.text("#command-after")).contains("Proof sheet");
      hands.click("#command-away-0");
      assertThat(hands.text("#command-after")).contains("F8 from now on: nothing");
      assertThat(hands.text("#command-pane")).contains("by default: F8");
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      assertThat(command(hands, "tagpress", "Proof sheet").isChanged()).isFalse();
      hands.press(KeyCode.CONTROL, KeyCode.Y);
      hands.press(KeyCode.CONTROL, KeyCode.Y);

      hands.click("#reset-tagpress");
      assertThat(hands.text("#resets")).contains("Proof sheet", "Ctrl+Alt+Y, then F8");
      hands.click("#reset-make");
      assertThat(command(hands, "tagpress", "Proof sheet").isChanged()).isFalse();
    }
  }

  /** How often a command is used is typed; what is no number is not taken. */
  @Test
  void itsUsesAreTyped() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      find(hands, "Proof sheet");
      double before = command(hands, "tagpress", "Proof sheet").usesPerWeek();
      hands.giveKeys("#command-uses");
      hands.paste("#command-uses", "37,5");
      hands.press(KeyCode.ENTER);
      assertThat(command(hands, "tagpress", "Proof sheet").usesPerWeek()).isEqualTo(37.5);
      assertThat(hands.text("#command-uses")).isEqualTo("37.5");
      hands.paste("#command-uses", "often");
      hands.press(KeyCode.ENTER);
      assertThat(hands.text("#command-uses")).isEqualTo("37.5");
      hands.giveKeys("#command-next");
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      assertThat(command(hands, "tagpress", "Proof sheet").usesPerWeek()).isEqualTo(before);
    }
  }

  @Test
  void aTriggerThatIsTakenIsTakenOnlyWhenSomebodySaysSo() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      find(hands, "Proof sheet");
      hands.click("#command-keys");
      hands.paste("#command-keys", "Ctrl+D");
      hands.press(KeyCode.ENTER);

      hands.waitForText("#command-question", "has it in");
      assertThat(command(hands, "tagpress", "Proof sheet").isChanged()).isFalse();
      hands.click("#command-leave");
      hands.click("#command-keys");
      hands.paste("#command-keys", "Ctrl+Ctrl");
      hands.press(KeyCode.ENTER);
      assertThat(hands.text("#command-keys-wrong")).contains("Ctrl");
      hands.click("#command-keys");
      hands.paste("#command-keys", "L then F then K");
      hands.press(KeyCode.ENTER);
      hands.waitForText("#command-question", "sequences of at most 2 strokes");
    }
  }

  @Test
  void aRoutineIsPutInACommandsPlaceAndFiresThere() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      find(hands, "Duplicate");
      hands.click("#command-routine");
      hands.press(KeyCode.DOWN);
      hands.press(KeyCode.ENTER);
      assertThat(hands.text("#command-compared")).contains("changes:");
      hands.click("#command-replace");
      Binding fresh = hands.session.now().library().bindings().get("b274");
      assertThat(fresh.fitting().replaces()).isPresent();
      assertThat(hands.text("#command-pane"))
          .contains("nothing sets it off but its menu", "in its place: ");
      hands.press(KeyCode.F3);
      hands.paste("#look-up", "Ctrl+D");
      hands.waitForText("#look-list", hands.session.now().words().routineName(fresh));
      hands.press(KeyCode.ESCAPE);
    }
  }

  /** Without leaving the list: keys, next, keys, next. */
  @Test
  void theCommandsWithoutKeysAreWorkedDownOneByOne() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      find(hands, "Proof sheet");
      hands.space("#command-next");
      hands.waitForText("#command-pane", "Take over as template");
      hands.space("#command-keys-press");
      hands.press(KeyCode.CONTROL, KeyCode.ALT, KeyCode.F6);
      hands.waitUntil(
          "it has keys",
          () -> !command(hands, "tagpress", "Take over as template").triggers().isEmpty());
      hands.space("#command-next");
      hands.waitForText("#command-pane", "Shift boxes");
      assertThat(hands.text("#command-pane")).contains("nothing sets it off but its menu");
    }
  }
}
