package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.library.Library;
import foldtwice.surface.IconShape;
import foldtwice.surface.Page;
import foldtwice.surface.Toolbar;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Trigger;
import java.nio.file.Files;
import java.nio.file.Path;
import javafx.scene.input.KeyCode;
import javax.sound.midi.Receiver;
import javax.sound.midi.ShortMessage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Toolbars and devices are laid out in Places, from the key to what it shall do. */
class SurfacesByHandTest {

  @TempDir Path folder;

  private static Library library(Hands hands) {
    return hands.session.now().library();
  }

  private static Toolbar toolbar(Hands hands) {
    return (Toolbar) library(hands).surfaces().get("label-tools");
  }

  private static void goTo(Hands hands, int down) {
    hands.press(KeyCode.F12);
    for (int i = 0; i < down; i++) {
      hands.press(KeyCode.DOWN);
    }
  }

  @Test
  void buttonsAreMovedAndGetIconsAndRoutines() throws Exception {
    Path svg = folder.resolve("leaf.svg");
    Files.writeString(svg, "<svg viewBox='0 0 8 8'><script>1</script><path d='M1 1L7 7'/></svg>");
    Path bad = folder.resolve("bad.svg");
    Files.writeString(bad, "<svg><path d='M1 1' transform='scale(2)'/></svg>");
    try (Hands hands = Hands.open(folder)) {
      goTo(hands, 15);
      assertThat(hands.text("#toolbar-pane")).contains("Fit", "Across");
      String first = toolbar(hands).face(1).label();
      hands.drag("#slot-1", "#slot-4");
      assertThat(toolbar(hands).face(4).label()).isEqualTo(first);
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      assertThat(toolbar(hands).face(1).label()).isEqualTo(first);
      hands.space("#slot-1");
      hands.press(KeyCode.ALT, KeyCode.RIGHT);
      assertThat(toolbar(hands).face(2).label()).isEqualTo(first);

      hands.paste("#face-search", "anchor");
      hands.space("#icon-anchor");
      assertThat(toolbar(hands).face(2).icon()).isEqualTo("anchor");
      hands.choosing(bad);
      hands.space("#face-svg");
      assertThat(hands.text("#face-wrong")).contains("bad.svg", "without a transform");
      hands.choosing(svg);
      hands.space("#face-svg");
      assertThat(IconShape.of(toolbar(hands).face(2).icon()).orElseThrow().path())
          .isEqualTo("M1 1L7 7");

      hands.space("#slot-7");
      assertThat(hands.text("#give-does")).contains("nothing is bound");
      hands.click("#give-routine");
      hands.press(KeyCode.DOWN);
      hands.press(KeyCode.ENTER);
      hands.space("#give");
      assertThat(library(hands).bindings().get("b274").triggers())
          .containsExactly(new Trigger.Button("label-tools", 7));
    }
  }

  @Test
  void aPadGetsAPageAndAKeySendsAChordOfThePool() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      goTo(hands, 12);
      hands.space("#page-add");
      assertThat(library(hands).device("rowan").orElseThrow().pages()).hasSize(4);
      hands.space("#pad-r2k2");
      hands.waitForText("#device-pool", "F14");
      hands.space("#pool-0");
      Page fresh = library(hands).device("rowan").orElseThrow().pages().getLast();
      assertThat(fresh.sends("r2k2"))
          .contains(new Page.Sends.Chord(Notation.read("Ctrl+Alt+[F14]")));
      hands.space("#page-remove");
      assertThat(library(hands).device("rowan").orElseThrow().pages()).hasSize(3);
    }
  }

  private static void addDevice(Hands hands) {
    hands.press(KeyCode.F3);
    hands.paste("#look-up", "add a device");
    hands.press(KeyCode.ENTER);
  }

  /** Described by note and control numbers, driven by the JDK's own messages. */
  @Test
  void aMidiDeviceIsTakenInPluggedInAndFires() throws Exception {
    Path broken = folder.resolve("broken.json");
    Files.writeString(broken, "{\"keys\": [{\"id\": \"a\", \"usage\": \"note 999\"}]}");
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.F12);
      hands.choosing(broken);
      addDevice(hands);
      assertThat(hands.session.saidProperty().get()).contains("broken.json", "number up to 127");
      hands.choosing(Hands.root().resolve("demo/devices/corbel.json"));
      addDevice(hands);
      assertThat(hands.text("#device-pane")).contains("One", "nothing is bound to it");
      hands.click("#give-routine");
      hands.type("fit and");
      hands.press(KeyCode.ENTER);
      hands.space("#give");
      String routine = library(hands).bindings().get("b274").routine();
      hands.click("#tab-places");
      for (int i = 0; i < 8; i++) {
        hands.press(KeyCode.UP);
      }
      hands.space("#plugged-corbel");
      hands.click("#tab-try");
      hands.click("#try-tagpress");
      Receiver in = hands.midi("corbel");
      in.send(new ShortMessage(ShortMessage.NOTE_ON, 0, 36, 90), -1);
      in.send(new ShortMessage(ShortMessage.NOTE_OFF, 0, 36, 0), -1);
      hands.waitForText("#try-presses", library(hands).routines().get(routine).name());
    }
  }
}
