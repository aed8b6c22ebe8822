package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.place.Place;
import foldtwice.place.Station;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Shape;
import foldtwice.trigger.Trigger;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A better assignment is looked for, looked at and taken line by line. */
class PlanByHandTest {

  @TempDir Path folder;

  private static void plan(Hands hands) {
    hands.press(KeyCode.CONTROL, KeyCode.F7);
    hands.lookUp("look for a better assignment");
    hands.waitForText("#plan-proof", "best possible");
  }

  private static List<String> moved(Hands hands) {
    return hands.rows("#plan-lines").stream().filter(r -> r.contains("Not this")).toList();
  }

  @Test
  void oneProgramIsPlannedLockedTakenAndUndone() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      Library before = hands.session.now().library();
      plan(hands);
      assertThat(hands.text("#plan-proof")).contains("proven in", "triggers");
      assertThat(hands.text("#plan-says")).contains("a week less", "no conflict comes with it");
      assertThat(moved(hands)).hasSize(8);
      String first = moved(hands).getFirst();
      assertThat(first).contains("Shift boxes, dx +0.5 mm");

      hands.giveKeys("#plan-lines");
      hands.press(KeyCode.HOME);
      hands.lookUp("lock a line of the plan");
      hands.waitForText("#plan-proof", "proven in");
      assertThat(moved(hands)).noneMatch(r -> r.contains("Shift boxes, dx +0.5 mm"));

      hands.giveKeys("#plan-lines");
      hands.press(KeyCode.HOME);
      hands.press(KeyCode.SHIFT, KeyCode.DOWN);
      hands.press(KeyCode.SHIFT, KeyCode.DOWN);
      hands.lookUp("take the chosen lines");
      Library after = hands.session.now().library();
      long changed =
          after.bindings().values().stream()
              .filter(b -> !b.equals(before.bindings().get(b.id())))
              .count();
      assertThat(changed).isGreaterThanOrEqualTo(3);
      assertThat(hands.session.saidProperty().get()).contains("taken", "One undo takes it back");
      assertThat(hands.text("#plan-lines")).contains("taken");
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      assertThat(hands.session.now().library().bindings()).isEqualTo(before.bindings());
    }
  }

  /** What a plan promises is not promised any more when somebody else takes a key of it. */
  @Test
  void itIsSaidThatAPlanIsOutOfDate() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      plan(hands);
      assertThat(hands.text("#plan-says")).doesNotContain("look again");
      Binding elsewhere = hands.session.now().library().bindings().get("b213");
      List<Trigger> f12 = List.of(Notation.read("Ctrl+Alt+F12"));
      hands.make(new Edit.PutBinding(elsewhere.withTriggers(f12)), "moved");
      assertThat(hands.text("#plan-says")).as("in another program").doesNotContain("look again");
      hands.make(
          new Edit.PutBinding(
              Binding.fresh("b999", "shift-boxes", new Place.Whole("tagpress"), f12, Map.of())),
          "bound");
      assertThat(hands.text("#plan-says")).contains("has changed since: look again");
      assertThat(hands.node("#plan-says").getStyleClass()).contains("costs");
      assertThat(hands.node("#plan-proof").getStyleClass()).doesNotContain("good");
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      assertThat(hands.text("#plan-says")).doesNotContain("look again");
      hands.lookUp("take the whole plan");
      assertThat(hands.session.saidProperty().get()).contains("taken");
      assertThat(hands.text("#plan-says")).as("that was of it").doesNotContain("look again");
    }
  }

  /** Before anything is planned, too, the keys are those of the station that is chosen. */
  @Test
  void theKeysAreThoseOfTheStation() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.CONTROL, KeyCode.F7);
      hands.quiet();
      assertThat(hands.texts("#plan-keys-today")).contains("\u00dc").doesNotContain("[");
      Station here = hands.session.now().station();
      hands.make(
          new Edit.PutStation(here.withKeyboard("us", Shape.ANSI, here.platform())),
          "another keyboard");
      assertThat(hands.texts("#plan-keys-today")).contains("[").doesNotContain("\u00dc");
    }
  }

  /** Not this one: looked for again from there, and another is proposed, or none. */
  @Test
  void anotherTriggerIsLookedFor() throws Exception {
    Files.copy(Hands.root().resolve("demo/seedhouse.json"), folder.resolve("fernhollow.json"));
    try (Hands hands = Hands.open(folder)) {
      plan(hands);
      String first = hands.rows("#plan-lines").getFirst();
      hands.giveKeys("#plan-lines");
      hands.press(KeyCode.HOME);
      hands.lookUp("look for another trigger than the one");
      assertThat(hands.session.saidProperty().get()).contains("Not ");
      hands.waitForText("#plan-proof", "best possible");
      assertThat(hands.rows("#plan-lines")).doesNotContain(first);
      hands.lookUp("take the whole plan");
      assertThat(hands.session.saidProperty().get()).contains("taken");
      assertThat(hands.node("#plan-take-all").isDisabled()).isTrue();
      hands.waitUntil("it is audited", () -> hands.session.now().audited());
      assertThat(hands.session.now().allConflicts())
          .as("nothing new blocks")
          .hasSizeLessThanOrEqualTo(12);
      assertThat(
              hands.session.now().library().bindings().values().stream()
                  .filter(b -> !b.triggers().isEmpty())
                  .map(b -> Notation.write(b.triggers().getFirst()) + b.place().id()))
          .doesNotHaveDuplicates();
    }
  }

  /** What was planned, locked and refused is there again after a restart, and gone on with. */
  @Test
  void aPlanIsGoneOnWithLater() throws Exception {
    Files.copy(Hands.root().resolve("demo/seedhouse.json"), folder.resolve("fernhollow.json"));
    Path kept = folder.resolve("fernhollow.json.plans");
    List<String> planned;
    String proof;
    try (Hands hands = Hands.open(folder)) {
      plan(hands);
      hands.giveKeys("#plan-lines");
      hands.press(KeyCode.HOME);
      hands.lookUp("look for another trigger than the one");
      hands.waitForText("#plan-proof", "best possible");
      hands.giveKeys("#plan-lines");
      hands.press(KeyCode.HOME);
      hands.lookUp("lock a line of the plan");
      hands.waitForText("#plan-proof", "best possible");
      planned = hands.rows("#plan-lines");
      proof = hands.text("#plan-proof");
      hands.waitUntil("it is kept", () -> kept(kept).contains("\"LOCKED\""));
      assertThat(kept(kept)).contains("\"refused\"").doesNotContain("\"refused\": {}");
    }
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.CONTROL, KeyCode.F7);
      hands.waitForText("#plan-proof", "best possible");
      assertThat(hands.text("#plan-proof")).isEqualTo(proof);
      assertThat(hands.rows("#plan-lines")).isEqualTo(planned);
      hands.lookUp("look for a better assignment");
      hands.waitForText("#plan-proof", "best possible");
      assertThat(hands.rows("#plan-lines")).as("the same wishes").isEqualTo(planned);
      hands.lookUp("let the plan propose again what you refused");
      hands.waitForText("#plan-proof", "best possible");
      hands.waitUntil("nothing is refused", () -> kept(kept).contains("\"refused\": {}"));
      assertThat(hands.node("#plan-take-all").isDisabled()).isFalse();
      hands.lookUp("take the whole plan");
      assertThat(hands.session.saidProperty().get()).contains("taken");
    }
  }

  private static String kept(Path file) {
    try {
      return Files.exists(file) ? Files.readString(file) : "";
    } catch (java.io.IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  /** It can be stopped, and the interface goes on meanwhile. */
  @Test
  void itIsStopped() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.CONTROL, KeyCode.F7);
      hands.lookUp("look for a better assignment");
      hands.lookUp("stop looking");
      hands.waitForText("#plan-says", "Stopped");
      assertThat(hands.node("#plan-look").isDisabled()).isFalse();
      assertThat(hands.node("#plan-stop").isDisabled()).isTrue();
    }
  }
}
