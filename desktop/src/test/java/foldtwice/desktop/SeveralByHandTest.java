package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.library.Library;
import foldtwice.routine.Routine;
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
      hands.find("switch the family of the chosen");
      hands.press(KeyCode.ENTER);
      assertThat(members).allMatch(m -> library(hands).bindings().get(m).isOff());
      hands.find("switch the family of the chosen");
      hands.press(KeyCode.ENTER);
      assertThat(library(hands)).isEqualTo(before);
      hands.find("switch all that is bound in the place");
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
      hands.find("exposure");
      assertThat(hands.text("#look-list")).contains("Value to step", "can take no trigger itself");
      hands.press(KeyCode.ESCAPE);
      hands.find("rowan");
      assertThat(hands.text("#look-list")).contains("Device or menu", "a device with 16 keys");
      hands.press(KeyCode.ESCAPE);
      hands.find("no trigger vasculum");
      assertThat(hands.text("#look-list")).contains("Native command", "no trigger yet, Vasculum");
      hands.press(KeyCode.ESCAPE);
      hands.find("plugin action");
      assertThat(hands.text("#look-list")).contains("Routine", "plugin action");
      hands.press(KeyCode.ESCAPE);
      hands.choose("exposure step");
      hands.click("#off-binding");
      hands.find("exposure off in");
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

  /** Lists are narrowed by kind, heading, and having no trigger; what is chosen is always shown. */
  @Test
  void listsAreNarrowedByKindAndTrigger() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.choose("plugin action");
      long actions =
          library(hands).bindings().values().stream()
              .filter(b -> library(hands).routineOf(b).orElse(null) instanceof Routine.PluginAction)
              .count();
      assertThat(actions).isPositive();
      assertThat(hands.text("#count")).startsWith(actions + " of ");
      hands.choose("no trigger");
      long without = library(hands).bindings().values().stream().filter(Binding::isDraft).count();
      assertThat(hands.text("#count")).startsWith(without + " of ");

      hands.press(KeyCode.CONTROL, KeyCode.PAGE_UP);
      hands.click("#place-vasculum");
      hands.find("exposure step by");
      hands.press(KeyCode.ENTER);
      assertThat(hands.text("#filter")).as("nothing hides what was gone to").isEmpty();
      assertThat(hands.text("#count")).isEqualTo("273");
      assertThat(hands.text("#leaf-does")).contains("Exposure step");

      hands.press(KeyCode.F12);
      hands.click("#command-filter");
      hands.retype("no trigger");
      assertThat(hands.text("#commands")).isNotEmpty().doesNotContain("Ctrl");
    }
  }

  /** Four steps by hand that a key does earn a hint; so does a recording that is there already. */
  @Test
  void whatIsDoneByHandEarnsAHint() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.click("#tab-try");
      hands.click("#try-copystand");
      hands.menu("Edit", "Select all");
      hands.menu("Adjust", "Straighten");
      hands.waitForText("#said", "does the last 2 steps");
      assertThat(hands.text("#said")).contains("Straighten all shots");

      hands.click("#record");
      hands.menu("Looks", "Archive");
      hands.click("#record-keep");
      assertThat(hands.text("#said")).contains("does the same as Apply look, look Archive");
    }
  }
}
