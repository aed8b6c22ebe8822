package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.library.Library;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Several bindings changed at once, switched off by family and place, and what the look-up finds.
 */
class SeveralByHandTest {

  @TempDir Path folder;

  private static Library library(Hands hands) {
    return hands.session.now().library();
  }

  private static void lookUp(Hands hands, String words) {
    hands.press(KeyCode.F3);
    hands.paste("#look-up", words);
  }

  /** What is typed for one is so for all that are chosen; one undo takes it back. */
  @Test
  void usesAreTypedForAllThatAreChosen() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.choose("exposure step");
      hands.press(KeyCode.SHIFT, KeyCode.DOWN);
      Library before = library(hands);
      hands.click("#uses");
      hands.retype("77");
      hands.press(KeyCode.ENTER);
      List<Binding> changed =
          library(hands).bindings().values().stream().filter(b -> b.usesPerWeek() == 77).toList();
      assertThat(changed).hasSize(2);
      assertThat(hands.text("#said")).contains("2 bindings changed");
      hands.click("#uses");
      hands.retype("often");
      hands.press(KeyCode.ENTER);
      assertThat(hands.text("#uses")).as("no number: it stays as it was").isEqualTo("77");
      hands.press(KeyCode.F6);
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      assertThat(library(hands)).isEqualTo(before);
    }
  }

  @Test
  void aFamilyAndAPlaceGoOffAndOn() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.choose("exposure step");
      Library before = library(hands);
      String chosen =
          before.families().values().stream()
              .filter(
                  f ->
                      f.members().stream()
                          .anyMatch(m -> before.bindings().get(m).routine().contains("exposure")))
              .findFirst()
              .orElseThrow()
              .id();
      List<String> members = before.families().get(chosen).members();
      lookUp(hands, "switch the family of the chosen");
      hands.press(KeyCode.ENTER);
      assertThat(members).allMatch(m -> library(hands).bindings().get(m).isOff());
      lookUp(hands, "switch the family of the chosen");
      hands.press(KeyCode.ENTER);
      assertThat(library(hands)).isEqualTo(before);
      lookUp(hands, "switch all that is bound in the place");
      hands.press(KeyCode.ENTER);
      assertThat(library(hands).bindings().values().stream().filter(Binding::isOff).count())
          .isGreaterThan(members.size());
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      assertThat(library(hands)).isEqualTo(before);
    }
  }

  /** Values, settings, actions of add-ons, kinds of routines, and what is off. */
  @Test
  void theLookUpFindsWhatCanBecomeABinding() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      lookUp(hands, "exposure");
      assertThat(hands.text("#look-list")).contains("Value to step", "a macro that turns it up");
      hands.press(KeyCode.ESCAPE);
      lookUp(hands, "plugin action");
      assertThat(hands.text("#look-list")).contains("Routine", "plugin action");
      hands.press(KeyCode.ESCAPE);
      hands.choose("exposure step");
      hands.click("#off-binding");
      lookUp(hands, "exposure off in");
      assertThat(hands.text("#look-list")).contains("Binding", "off in Copystand");
    }
  }

  /** A copy comes in by the same way and repeats alike. */
  @Test
  void aCopyKeepsItsWay() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.choose("exposure step");
      Binding first =
          library(hands).bindings().values().stream()
              .filter(b -> b.routine().contains("exposure"))
              .findFirst()
              .orElseThrow();
      hands.make(
          new foldtwice.library.Edit.PutBinding(
              first.withFitting(first.fitting().repeating(8).by("presets"))),
          "repeating");
      hands.choose("exposure step");
      int before = library(hands).bindings().size();
      hands.click("#copy");
      assertThat(library(hands).bindings()).hasSize(before + 1);
      Binding copy = List.copyOf(library(hands).bindings().values()).getLast();
      assertThat(copy.routine()).isEqualTo(first.routine());
      assertThat(copy.fitting().way()).isEqualTo("presets");
      assertThat(copy.fitting().repeats()).isEqualTo(8);
    }
  }
}
