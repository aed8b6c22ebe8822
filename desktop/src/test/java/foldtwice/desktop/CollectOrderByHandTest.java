package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.library.Edit;
import foldtwice.place.Finding;
import foldtwice.place.NativeCommand;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.trigger.Notation;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Keeping order in Collect: lists sorted and narrowed, namesakes told apart, values kept. */
class CollectOrderByHandTest {

  @TempDir Path folder;

  private static Optional<Finding> finding(Hands hands, String command) {
    return hands
        .session
        .now()
        .library()
        .applications()
        .get("tagpress")
        .command(command)
        .flatMap(NativeCommand::finding);
  }

  private static Value defaultOf(Hands hands, String routine, String parameter) {
    return hands
        .session
        .now()
        .library()
        .routines()
        .get(routine)
        .parameter(parameter)
        .orElseThrow()
        .otherwise();
  }

  @Test
  void theListIsNarrowedAndSorted() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.F2);
      assertThat(hands.rows("#routines")).contains("Labels");
      hands.click("#routine-by");
      hands.press(KeyCode.DOWN);
      hands.press(KeyCode.ENTER);
      hands.click("#routine-filter");
      hands.press(KeyCode.DOWN);
      List<String> rows = hands.rows("#routines");
      assertThat(rows.getFirst()).startsWith("Add a plot");
      assertThat(rows).doesNotContain("Labels").isSortedAccordingTo(String.CASE_INSENSITIVE_ORDER);
      hands.click("#routine-more");
      hands.menu("Pin or unpin the chosen routine");
      hands.click("#routine-show");
      hands.press(KeyCode.DOWN);
      hands.press(KeyCode.DOWN);
      hands.press(KeyCode.ENTER);
      List<String> pinned =
          hands.session.now().library().routines().values().stream()
              .filter(r -> r.card().pinned())
              .map(Routine::name)
              .sorted(String.CASE_INSENSITIVE_ORDER)
              .toList();
      assertThat(pinned).contains("Add a plot", "Shift boxes");
      assertThat(hands.rows("#routines")).hasSameSizeAs(pinned);
      for (int i = 0; i < pinned.size(); i++) {
        assertThat(hands.rows("#routines").get(i)).startsWith(pinned.get(i));
      }
    }
  }

  @Test
  void oneOfTwoCommandsOfOneLabelIsMarkedAndEveryListShowsIt() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.routine("fit and lock");
      hands.click("#step-1");
      assertThat(hands.text("#namesakes"))
          .contains("2 commands are called Fit to text", "Box \u203a Fit to text", "Text \u203a");
      hands.click("#found-fit");
      hands.press(KeyCode.DOWN);
      hands.press(KeyCode.ENTER);
      assertThat(finding(hands, "fit")).map(Finding::works).contains(false);
      assertThat(hands.text("#mark-1")).contains("Box \u203a Fit to text is marked as not working");
      hands.click("#found-fit-text");
      hands.press(KeyCode.UP);
      hands.press(KeyCode.ENTER);
      assertThat(hands.text("#mend-1")).isEqualTo("Take Text \u203a Fit to text");
      hands.click("#found-note-fit");
      hands.retype("needs the fitter");
      hands.press(KeyCode.ENTER);
      assertThat(finding(hands, "fit")).contains(new Finding(false, "needs the fitter"));
      hands.click("#add-step");
      hands.type("fit to");
      assertThat(hands.text("#add-list"))
          .contains("does not work: needs the fitter", "works: only");
      hands.press(KeyCode.ESCAPE);
      hands.press(KeyCode.F3);
      hands.type("fit to text");
      assertThat(hands.text("#look-list"))
          .contains("Fit to text (Box)", "does not work: needs the fitter", "Fit to text (Text)");
      hands.press(KeyCode.ESCAPE);
      hands.click("#outline");
      for (int i = 0; i < 3; i++) {
        hands.press(KeyCode.CONTROL, KeyCode.Z);
      }
      assertThat(finding(hands, "fit")).map(Finding::works).contains(true);
    }
  }

  @Test
  void stepsAreDraggedIntoOrder() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.routine("fit and lock");
      assertThat(hands.text("#step-1")).contains("Fit to text");
      hands.drag("#step-2", "#step-1");
      assertThat(hands.text("#step-1")).contains("Lock");
      assertThat(hands.text("#step-2")).contains("Fit to text");
      hands.click("#outline");
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      assertThat(hands.text("#step-1")).contains("Fit to text");
    }
  }

  /** A row tells the trigger its routine has now, and its tip all of them. */
  @Test
  void theTriggerInTheListFollows() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.routine("close a loan");
      hands.press(KeyCode.F2);
      assertThat(hands.rows("#routines")).anyMatch(r -> r.contains("Ctrl+Alt+C"));
      Binding b =
          hands.session.now().library().bindings().values().stream()
              .filter(x -> x.routine().equals("close-loan"))
              .findFirst()
              .orElseThrow();
      hands.make(new Edit.PutBinding(b.withTriggers(List.of(Notation.read("Alt+9")))), "moved");
      assertThat(hands.rows("#routines"))
          .anyMatch(r -> r.contains("Close a loan") && r.contains("Alt+9"))
          .noneMatch(r -> r.contains("Ctrl+Alt+C"));
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      assertThat(hands.rows("#routines")).anyMatch(r -> r.contains("Ctrl+Alt+C"));
    }
  }

  @Test
  void valuesAreKeptWithoutRunning() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.routine("close a loan");
      assertThat(hands.session.now().library().routines().get("close-loan"))
          .isInstanceOf(Routine.Macro.class);
      String before = Hands.ask(() -> hands.session.programs().get("muniment").state().toString());
      hands.press(KeyCode.F8);
      hands.waitUntil("it asks", () -> hands.found("#asking") != null);
      hands.paste("#asked-loan", "far too much");
      hands.click("#asking-keep");
      assertThat(hands.text("#asking")).as("it does not fit and is not kept").contains("loan:");
      hands.paste("#asked-loan", "12");
      hands.click("#asking-keep");
      assertThat(hands.has("#asking")).isFalse();
      assertThat(hands.text("#facts")).contains("12");
      assertThat(defaultOf(hands, "close-loan", "loan").shown()).isEqualTo("12");
      String after = Hands.ask(() -> hands.session.programs().get("muniment").state().toString());
      assertThat(after).as("nothing ran").isEqualTo(before);
    }
  }
}
