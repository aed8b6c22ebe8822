package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.place.Application;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Places, worked by mouse and keys. */
class PlacesByHandTest {

  @TempDir Path folder;

  private static Library library(Hands hands) {
    return hands.session.now().library();
  }

  @Test
  void aListOfCommandsBecomesAnApplicationThatCanBeBound() throws Exception {
    Path list = folder.resolve("inkwell.csv");
    Files.writeString(
        list,
        """
        Command;Menu path;Keys;Uses a week
        Save;File > Save;Ctrl+S;90
        Stamp;Insert > Stamp;Ctrl+Ctrl+;3
        Wide page;View > Wide page;;
        """);
    Path broken = folder.resolve("broken.csv");
    Files.writeString(broken, "name\n\"never closed\n");
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.F12);
      assertThat(hands.text("#application-pane"))
          .contains("What it accepts", "single strokes only");
      hands.click("#add-application");
      hands.choosing(broken);
      hands.click("#import-file");
      hands.waitForText("#import-state", "broken.csv: ");
      assertThat(library(hands).applications()).hasSize(6);
      hands.choosing(list);
      hands.click("#import-file");
      hands.waitForText("#import-state", "2 commands can be taken; 1 line cannot");
      assertThat(hands.text("#import-preview"))
          .contains("Line 3: expected keys such as Ctrl+Shift+M, found Ctrl+Ctrl+");
      hands.click("#import-take");
      Application mine = library(hands).applications().get("inkwell");
      assertThat(mine.commands()).hasSize(2);
      assertThat(hands.text("#application-pane"))
          .contains("Nobody simulates this program", "Ctrl", "Wide page");
      hands.paste("#command-filter", "wide");
      assertThat(hands.text("#application-pane")).contains("1 of 2 commands");
      hands.press(KeyCode.F3);
      hands.paste("#look-up", "Ctrl+S");
      hands.waitForText("#look-list", "Save");
      hands.press(KeyCode.ESCAPE);
      hands.click("#tab-places");
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      assertThat(library(hands).applications()).hasSize(6);
    }
  }

  @Test
  void aStationIsChangedAndWhatIsPluggedOutIsNotThere() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.F12);
      for (int i = 0; i < 7; i++) {
        hands.press(KeyCode.DOWN); // past the applications and the heading
      }
      assertThat(hands.text("#station-pane")).contains("Lock the screen");
      hands.click("#plugged-rowan");
      assertThat(library(hands).stations().get("camera-bench").devices())
          .containsExactly("treadle", "top-row");
      hands.click("#tab-try");
      assertThat(hands.has("#device-rowan")).isFalse();
      assertThat(hands.has("#device-treadle")).isTrue();
      hands.click("#tab-places");
      hands.click("#reserve-keys");
      hands.paste("#reserve-keys", "Logo+Logo");
      hands.click("#reserve");
      assertThat(hands.text("#reserve-wrong")).contains("Logo");
      hands.paste("#reserve-keys", "Ctrl+M");
      hands.paste("#reserve-what", "Mutes the room");
      hands.click("#reserve");
      assertThat(library(hands).stations().get("camera-bench").reserved()).hasSize(5);
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      assertThat(library(hands).stations().get("camera-bench").devices())
          .containsExactly("rowan", "treadle", "top-row");
    }
  }

  @Test
  void contextsRulesAndWaysInAreChanged() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.F12);
      hands.space("#context-grid");
      hands.space("#context-add");
      hands.retype("margin");
      hands.space("#context-text");
      Application vasculum = library(hands).applications().get("vasculum");
      assertThat(vasculum.path("new-context"))
          .extracting(c -> c.name())
          .containsExactly("grid", "margin");
      assertThat(vasculum.context("new-context").orElseThrow().takesText()).isTrue();
      assertThat(hands.node("#context-pointer").isDisabled())
          .as("one inside is chosen as the outermost is")
          .isTrue();
      hands.space("#context-remove");
      assertThat(library(hands).applications().get("vasculum").context("new-context")).isEmpty();
      hands.space("#context-grid");
      hands.space("#context-pointer");
      assertThat(library(hands).applications().get("vasculum").isByPointer("grid")).isTrue();
      assertThat(hands.text("#context-grid")).contains("by the pointer");
      hands.click("#undo");
      assertThat(library(hands).applications().get("vasculum").isByPointer("grid")).isFalse();
      hands.space("#context-remove");
      assertThat(hands.session.saidProperty().get()).contains("stays", "bindings");

      int rules = vasculum.rules().size();
      hands.space("#rule-kind");
      hands.press(KeyCode.DOWN);
      hands.press(KeyCode.DOWN);
      hands.press(KeyCode.ENTER);
      hands.paste("#rule-what", "Strg");
      hands.space("#rule-add");
      assertThat(hands.text("#rule-wrong")).contains("expected 1 to 6", "Strg");
      hands.paste("#rule-what", "4");
      hands.space("#rule-add");
      assertThat(library(hands).applications().get("vasculum").rules()).hasSize(rules + 1);
      hands.space("#rule-away-" + rules);
      assertThat(library(hands).applications().get("vasculum").rules()).hasSize(rules);

      hands.space("#way-new");
      hands.paste("#way-name", "Macro folder");
      hands.space("#way-document_open");
      for (String program : List.of("tagpress", "vasculum")) {
        Binding other =
            library(hands).bindings().values().stream()
                .filter(b -> b.place().isOf(program) && !b.triggers().isEmpty())
                .findFirst()
                .orElseThrow();
        hands.make(new Edit.PutBinding(other.withTriggers(List.of())), "meanwhile");
        assertThat(hands.text("#way-name")).as("what is typed stays").contains("Macro folder");
      }
      hands.space("#way-make");
      assertThat(library(hands).applications().get("vasculum").ways())
          .last()
          .satisfies(w -> assertThat(w.needs()).hasSize(1));
      hands.space("#way-away-macro-folder");
      assertThat(library(hands).applications().get("vasculum").ways()).hasSize(2);
    }
  }

  @Test
  void versionsAndAddOnsOfAStationAreChanged() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.F12);
      for (int i = 0; i < 7; i++) {
        hands.press(KeyCode.DOWN);
      }
      hands.paste("#installed-tagpress", "9.9");
      hands.click("#installed-tagpress");
      hands.click("#station-name");
      var station = library(hands).stations().get("camera-bench");
      assertThat(station.installed())
          .anySatisfy(
              i -> {
                assertThat(i.application()).isEqualTo("tagpress");
                assertThat(i.version()).isEqualTo("9.9");
              });
      hands.paste("#addons-tagpress", "Label fitter, Two words 3.1");
      hands.click("#addons-tagpress");
      hands.click("#station-name");
      assertThat(library(hands).stations().get("camera-bench").installed())
          .anySatisfy(
              i ->
                  assertThat(i.addOns())
                      .extracting(a -> a.name() + "/" + a.version())
                      .containsExactly("Label fitter/", "Two words/3.1"));
      hands.click("#tab-try");
      assertThat(hands.has("#try-tagpress")).isTrue();
    }
  }

  /** Another platform carries all triggers over; what breaks by that is read before and after. */
  @Test
  void aStationGetsAnotherPlatformAndTheKeysOfItsDesktop() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.F12);
      for (int i = 0; i < 9; i++) {
        hands.press(KeyCode.DOWN); // to the register desk
      }
      hands.next("#station-platform");
      hands.waitForText("#mapping", "conflicts come of it");
      hands.next("#station-platform");
      hands.waitForText("#mapping", "with the logo key here");
      hands.waitForText("#mapping", "Ctrl+L is kept by the desktop for: Lock the screen");
      assertThat(hands.text("#mapping")).contains("triggers with modifiers are carried over");
      hands.next("#station-desktop");
      assertThat(hands.text("#station-pane")).contains("Show all windows");
      assertThat(hands.has("#mapping")).as("this one has Ctrl for commands").isFalse();
      assertThat(library(hands).stations().get("register-desk").reserved()).hasSize(16);
      for (int i = 0; i < 3; i++) {
        hands.click("#undo");
      }
      assertThat(library(hands).stations().get("register-desk").reserved()).hasSize(5);
    }
  }
}
