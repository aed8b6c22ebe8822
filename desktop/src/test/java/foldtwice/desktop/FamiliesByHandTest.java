package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.binding.Family;
import foldtwice.binding.Pattern;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.place.Place;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Trigger;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.control.CheckBox;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A series is bound in one go, moved, extended and taken apart. */
class FamiliesByHandTest {

  @TempDir Path folder;

  private static Library library(Hands hands) {
    return hands.session.now().library();
  }

  private static Family named(Hands hands, String name) {
    return library(hands).families().values().stream()
        .filter(f -> f.name().equals(name))
        .findFirst()
        .orElseThrow();
  }

  /** Makes what is planned; where that is still being worked out, it is made when it is. */
  private static void make(Hands hands) {
    hands.space("#family-make");
    hands.waitUntil("it is made", () -> hands.found("#family-make") == null);
    hands.settle();
  }

  @Test
  void aSeriesIsBoundInOneGoAndMovedAsOne() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.choose("letter case small");
      hands.space("#family-open");
      hands.paste("#family-name", "Cases");
      hands.paste("#family-first", "Ctrl+Alt+F5");
      hands.waitForText("#family-rows", "F7");
      assertThat(hands.text("#family-rows")).contains("Small letters");
      assertThat(hands.text("#family-says")).contains("3 with a trigger, 0 without");
      assertThat(hands.text("#family-rows")).contains("F5", "F6", "F7");
      make(hands);
      Family made = library(hands).families().get("letter-case");
      assertThat(made.name()).isEqualTo("Cases");
      assertThat(made.members()).hasSize(3);
      assertThat(hands.text("#register")).contains("2 of 3", "Letters");

      hands.space("#family-open");
      hands.paste("#family-first", "Ctrl+Shift+F7");
      hands.waitForText("#family-rows", "F9");
      make(hands);
      assertThat(library(hands).bindings().get(made.members().getLast()).triggers().toString())
          .contains("F9");
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      assertThat(library(hands).families()).doesNotContainKey("letter-case");
      assertThat(library(hands).bindings()).hasSize(273);
    }
  }

  /** What is changed elsewhere while a family is looked at is not taken back by making it. */
  @Test
  void aFamilyThatIsOpenFollowsWhatIsChangedMeanwhile() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.choose("exposure step");
      Family its = named(hands, "Exposure in steps");
      hands.space("#family-open");
      String left = its.members().getLast();
      hands.space("#family-member-" + left);
      Family named =
          new Family(its.id(), "Light in steps", its.members(), its.pattern(), its.extras());
      hands.make(new Edit.PutFamily(named), "called otherwise");
      assertThat(hands.text("#family-name")).isEqualTo("Light in steps");
      assertThat(((CheckBox) hands.node("#family-member-" + left)).isSelected())
          .as("what was ticked off")
          .isFalse();
      make(hands);
      Family made = library(hands).families().get(its.id());
      assertThat(made.name()).isEqualTo("Light in steps");
      assertThat(made.members()).doesNotContain(left).hasSize(its.members().size() - 1);

      hands.space("#family-open");
      assertThat(hands.has("#family-name")).isTrue();
      hands.make(new Edit.RemoveFamily(its.id()), "taken apart");
      assertThat(hands.has("#family-name")).as("it is gone").isFalse();
    }
  }

  /** How it is laid, where, and with what else given: as others left it, but for what is typed. */
  @Test
  void whatIsLaidOtherwiseElsewhereIsLaidSoHere() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.choose("exposure step");
      Family its = named(hands, "Exposure in steps");
      hands.space("#family-open");
      assertThat(hands.has("#family-second")).isTrue();
      hands.make(new Edit.PutFamily(its.with(beside("Ctrl+Alt+F5"))), "laid otherwise");
      assertThat(hands.has("#family-second")).as("one after another now").isFalse();
      hands.waitForText("#family-rows", "F5");
      assertThat(hands.text("#family-rows")).contains("F5", "F6");
      hands.paste("#family-first", "Ctrl+Alt+F7");
      hands.waitForText("#family-rows", "F8");
      hands.make(new Edit.PutFamily(its.with(beside("Ctrl+Alt+F2"))), "laid otherwise");
      hands.quiet();
      assertThat(hands.text("#family-rows")).as("what is typed here stays").contains("F7", "F8");
      make(hands);
      assertThat(library(hands).families().get(its.id()).pattern())
          .isEqualTo(beside("Ctrl+Alt+F7"));
    }
  }

  private static Pattern beside(String keys) {
    Trigger.Keys first = Notation.read(keys);
    return new Pattern.Neighbours(first.strokes().getFirst());
  }

  /** A new family is made where its first binding is now, of the values it takes now. */
  @Test
  void aFamilyIsMadeWhereItsFirstBindingIsNow() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.choose("sharpness");
      hands.space("#family-open");
      hands.paste("#family-values", "2%; 10%");
      hands.paste("#family-first", "Ctrl+Alt+F5");
      hands.waitForText("#family-rows", "F6");
      Place elsewhere = new Place.Within("copystand", "strip");
      for (String id : List.of("b118", "b119")) {
        Binding its = library(hands).bindings().get(id);
        assertThat(its.place()).isNotEqualTo(elsewhere);
        hands.make(new Edit.PutBinding(its.withPlace(elsewhere)), "put elsewhere");
      }
      hands.quiet();
      hands.waitForText("#family-rows", "F6");
      make(hands);
      Family made = library(hands).families().values().stream().reduce((a, b) -> b).orElseThrow();
      assertThat(made.members())
          .isNotEmpty()
          .allSatisfy(
              m -> assertThat(library(hands).bindings().get(m).place()).isEqualTo(elsewhere));
    }
  }

  @Test
  void stepsAreBoundAsPairsThatRepeat() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.choose("sharpness");
      hands.space("#family-open");
      hands.space("#family-steps");
      hands.paste("#family-values", "2%; 10%");
      hands.paste("#family-first", "Ctrl+Alt+F5");
      hands.paste("#family-second", "Ctrl+Alt+F6");
      hands.space("#family-held");
      hands.press(KeyCode.DOWN);
      hands.press(KeyCode.ENTER);
      hands.space("#family-repeat");
      hands.press(KeyCode.DOWN);
      hands.press(KeyCode.ENTER);
      hands.waitForText("#family-says", "4 with a trigger");
      make(hands);
      Family made = library(hands).families().values().stream().reduce((a, b) -> b).orElseThrow();
      assertThat(made.members())
          .hasSize(4)
          .allSatisfy(
              m -> assertThat(library(hands).bindings().get(m).fitting().repeats()).isEqualTo(5));
    }
  }

  @Test
  void aFamilyIsExtendedByWhatGoesWithItAndTakenApart() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.choose("flag moss shift");
      hands.space("#family-open");
      assertThat(hands.text("#family")).contains("Members: 5", "Flag colours");
      hands.space("#family-member-b62");
      hands.waitForText("#family-says", "4 with a trigger");
      make(hands);
      hands.space("#family-open");
      assertThat(hands.text("#family")).contains("Could be added", "Clear");
      hands.space("#family-tick-Clear");
      hands.waitForText("#family-says", "5 with a trigger");
      make(hands);
      assertThat(library(hands).families().get("flag-colours").members())
          .as("the binding that does it already")
          .contains("b62");
      hands.space("#family-open");
      hands.space("#family-apart");
      assertThat(library(hands).families()).doesNotContainKey("flag-colours");
      assertThat(library(hands).bindings()).hasSize(273);
    }
  }

  /** A procedure: five routines in running order on keys side by side, in one go. */
  @Test
  void fiveRoutinesAreLaidOnNeighbouringKeysInRunningOrder() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.choose("lay label block");
      hands.press(KeyCode.CONTROL, KeyCode.N);
      hands.space("#family-open");
      hands.click("#family-routine");
      for (String letters : List.of("fit and", "al", "spr", "da", "sa")) {
        hands.type(letters);
        hands.press(KeyCode.ENTER);
      }
      hands.paste("#family-name", "Sheet, start to end");
      hands.paste("#family-first", "Ctrl+Alt+F1");
      hands.waitForText("#family-says", "5 with a trigger");
      make(hands);
      Family made = library(hands).families().values().stream().reduce((a, b) -> b).orElseThrow();
      assertThat(made.name()).isEqualTo("Sheet, start to end");
      assertThat(made.members())
          .extracting(m -> library(hands).bindings().get(m).triggers().getFirst())
          .extracting(t -> foldtwice.trigger.Notation.write((foldtwice.trigger.Trigger.Keys) t))
          .containsExactly(
              "Ctrl+Alt+F1", "Ctrl+Alt+F2", "Ctrl+Alt+F3", "Ctrl+Alt+F4", "Ctrl+Alt+F5");
      assertThat(made.members())
          .extracting(m -> library(hands).bindings().get(m).routine())
          .doesNotHaveDuplicates();
    }
  }
}
