package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.Seeds;
import foldtwice.desktop.parts.Capture;
import foldtwice.desktop.parts.Parts;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A view that is out of view stays as it was left, and nothing in it is reached or heard. */
class HiddenViewsTest {

  @TempDir Path folder;

  @Test
  void theKeysGoRoundOnlyInWhatIsSeen() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.hurry();
      hands.views().forEach(tab -> hands.click("#" + tab));
      List<String> hidden = new ArrayList<>();
      Set<String> reached = new TreeSet<>();
      for (String tab : Seeds.oneOf(2, hands.views())) {
        hands.click("#" + tab);
        for (int i = 0; i < 40; i++) {
          hands.press(KeyCode.TAB);
          Node keys = hands.focus();
          if (!Hands.ask(() -> Parts.isSeen(keys))) {
            hidden.add(tab + " leads to " + keys);
          }
          reached.add(String.valueOf(keys));
        }
      }
      assertThat(reached).hasSizeGreaterThan(Seeds.HARD ? 60 : 30);
      assertThat(hidden).isEmpty();
    }
  }

  @Test
  void aViewThatIsLeftReadsNoKeysAndIsFoundAsItWasLeft() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.CONTROL, KeyCode.F);
      hands.type("loan");
      hands.press(KeyCode.ENTER);
      String counted = hands.text("#count");
      hands.press(KeyCode.F4);
      assertThat(hands.has("#capturing")).isTrue();
      hands.click("#tab-try");
      assertThat(Hands.ask(() -> Capture.isReading(hands.scene()))).isFalse();
      assertThat(hands.has("#filter")).as("a field of the view that is left").isFalse();
      hands.click("#tab-bind");
      assertThat(hands.has("#capturing")).isFalse();
      assertThat(hands.text("#filter")).isEqualTo("loan");
      assertThat(hands.text("#count")).isEqualTo(counted);
    }
  }
}
