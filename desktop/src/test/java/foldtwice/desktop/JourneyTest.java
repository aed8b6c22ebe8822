package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.library.Library;
import foldtwice.library.file.LibraryFile;
import foldtwice.routine.Routine;
import foldtwice.trigger.Notation;
import java.nio.file.Path;
import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Somebody else's trade, from an empty page to keys that work, as a newcomer goes. */
class JourneyTest {

  private static final String COMMANDS =
      """
      Menu path\tKeys\tDoes\tOpens\tNeeds
      Lot > Add lot\tCtrl+L\tadd Lot
      Lot > Dry \u2026\tCtrl+D\t\tDry lot\tselection
      Lot > Turn out\t\tremove\t\tselection
      Edit > All\tCtrl+A\tselect all
      Edit > Undo\tCtrl+Z\tundo
      View > Labels\tCtrl+B\tturn Labels
      """;
  private static final String DIALOGS =
      """
      Dry lot\tTo\t4 % to 20 % by 1 %\t12
      \tLabels\tchoice on, off\toff
      \tDry\tbutton\t\tgive Moisture to [To]; set Labels to [Labels]
      \tLeave\tbutton
      """;

  @TempDir Path folder;

  private OwnData data;

  @BeforeEach
  void dataInAFolderOfItsOwn() {
    data = new OwnData(folder);
  }

  @AfterEach
  void dataWhereItWas() {
    data.close();
  }

  private static void paste(Hands hands, String part, String rows) {
    Hands.copied(rows);
    hands.click("#part-" + part);
    hands.click("#described-paste");
  }

  /** A library is begun, a program laid out, a macro recorded, made general, bound and fired. */
  @Test
  void fromAnEmptyPageToTheFirstPressAndFurther() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      Hands.gestures();
      hands.lookUp("begin a library");
      Hands begin = hands.window("A library of your own");
      begin.type("seed house");
      begin.press(KeyCode.ENTER);
      Hands seed = hands.window("seed house");
      seed.waitForText("#first-steps", "Begin with a program");
      firstPress(seed);
      offAndOn(seed);
      conflictSettled(seed);
      otherStation(seed);
      hands.onlyThis();
    }
    Library kept = LibraryFile.look(folder.resolve("data/seed-house.json"));
    assertThat(kept.applications().get("new-program").commands()).hasSize(6);
    assertThat(kept.description("new-program").dialogs()).hasSize(1);
    assertThat(((Routine.Macro) kept.routines().get("dry-lot")).parameters()).hasSize(1);
    assertThat(kept.bindings()).hasSize(2);
    assertThat(kept.stations()).hasSize(2);
    assertThat(kept.bindings().values().stream().flatMap(b -> b.triggers().stream()))
        .contains(Notation.read("Ctrl+Shift+D"));
    try (Hands again = Hands.open(folder)) {
      again.lookUp("begin a library");
      Hands begin = again.window("A library of your own");
      begin.click("#lately-0");
      Hands seed = again.window("seed house");
      seed.press(KeyCode.CONTROL, KeyCode.PAGE_UP);
      seed.waitForText("#register", "Dry lot");
      again.onlyThis();
    }
  }

  /** The shortest way to a first key of one's own, without touching the mouse, and its length. */
  @Test
  void byKeyboardAlone() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      Hands.gestures();
      hands.lookUp("begin a library");
      Hands begin = hands.window("A library of your own");
      begin.type("seed house");
      begin.press(KeyCode.ENTER);
      Hands seed = hands.window("seed house");
      seed.lookUp("add a program");
      seed.type("siftbook");
      seed.press(KeyCode.ENTER);
      seed.lookUp("describe the chosen program");
      Hands.copied(COMMANDS);
      seed.press(KeyCode.CONTROL, KeyCode.V);
      assertThat(seed.text("#described")).contains("Turn out");
      seed.press(KeyCode.CONTROL, KeyCode.PAGE_DOWN);
      seed.press(KeyCode.F6); // its keys are the program's, all but this
      seed.press(KeyCode.F9);
      seed.press(KeyCode.CONTROL, KeyCode.A);
      seed.press(KeyCode.CONTROL, KeyCode.B);
      assertThat(seed.text("#record-steps")).contains("View \u203a Labels");
      seed.press(KeyCode.F6);
      seed.press(KeyCode.F9);
      seed.waitForText("#outline", "View");
      seed.press(KeyCode.CONTROL, KeyCode.PAGE_UP);
      seed.press(KeyCode.CONTROL, KeyCode.N);
      seed.press(KeyCode.F4);
      seed.press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.D);
      seed.waitForText("#register", "Shift");
      seed.press(KeyCode.F5);
      seed.waitForText("#result", "Done");
      assertThat(seed.text("#said")).contains("Ctrl+Shift+D", "siftbook");
      assertThat(Hands.gestures()).as("gestures to the first key that fires").isLessThan(40);
      hands.onlyThis();
    }
  }

  private static void firstPress(Hands seed) {
    seed.click("#first-new-application");
    seed.type("siftbook");
    seed.press(KeyCode.ENTER);
    paste(seed, "commands", COMMANDS);
    paste(seed, "dialogs", DIALOGS);
    paste(seed, "settings", "Labels\ton, off\toff\n");
    paste(seed, "values", "Moisture\t0 % to 100 % by 1 %\t14 %\n");
    paste(seed, "things", "Lot\t4\n");
    assertThat(seed.text("#described-says")).isEmpty();
    seed.press(KeyCode.CONTROL, KeyCode.PAGE_DOWN);
    seed.click("#record");
    seed.click("#thing-Lot-2");
    seed.menu("Lot", "Dry \u2026");
    seed.paste("#field-To", "8");
    seed.click("#dialog-Dry");
    seed.paste("#record-trigger", "Ctrl+Shift+D");
    seed.paste("#record-name", "Dry lot");
    seed.click("#record-keep");
    seed.waitForText("#outline", "To with 8");
    assertThat(seed.text("#outline")).contains("Lot 2", "Lot \u203a Dry \u2026", "Dry");
    seed.click("#step-3");
    seed.click("#make-1");
    assertThat(seed.text("#facts")).contains("to", "8%");
    seed.press(KeyCode.CONTROL, KeyCode.PAGE_DOWN);
    seed.click("#thing-Lot-3");
    seed.menu("Edit", "Undo");
    seed.menu("Edit", "Undo");
    assertThat(seed.text("#thing-Lot-2")).contains("Moisture 14%");
    seed.press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.D);
    seed.waitForText("#thing-Lot-2", "Moisture 8%");
    assertThat(seed.text("#try-why")).contains("takes it: Dry lot");
    assertThat(Hands.gestures()).as("gestures to the first key that fires").isLessThan(40);
  }

  /** While it is off its keys are the program's again; on again, they are its own. */
  private static void offAndOn(Hands seed) {
    seed.press(KeyCode.F6);
    seed.press(KeyCode.CONTROL, KeyCode.PAGE_UP);
    seed.choose("dry");
    seed.click("#off-binding");
    seed.waitForText("#register", "off");
    assertThat(seed.text("#parked")).contains("Switched off", "Ctrl");
    assertThat(seed.text("#leaf-happens")).contains("claims nothing");
    seed.click("#off-binding");
    assertThat(seed.has("#parked")).isFalse();
    assertThat(seed.text("#register")).doesNotContain(" off");
  }

  /** A second key takes what the program has for itself: it is told, and settled. */
  private static void conflictSettled(Hands seed) {
    seed.click("#new-binding");
    seed.click("#type-trigger");
    seed.paste("#typed-trigger", "Ctrl+L");
    seed.press(KeyCode.ENTER);
    if (seed.has("#take-it")) {
      seed.space("#take-it");
    }
    seed.press(KeyCode.F11);
    seed.waitForText("#conflicts", "Labels"); // the routine leaves a setting changed: told too
    seed.click("#conflict-filter");
    seed.retype("add lot");
    seed.waitForText("#conflict-sentence", "Add lot");
    seed.waitForText("#remedies", "Ctrl+L");
    seed.space("#take-0");
    seed.waitForText("#said", "Done: ");
    seed.waitUntil(
        "it is settled",
        () ->
            seed.found("#conflicts").lookupAll(".label").stream()
                .noneMatch(
                    l ->
                        l instanceof Labeled t && String.valueOf(t.getText()).contains("Add lot")));
  }

  /** The same keys on another keyboard. */
  private static void otherStation(Hands seed) {
    seed.press(KeyCode.F12);
    seed.click("#new-station");
    seed.type("potting shed");
    seed.press(KeyCode.ENTER);
    seed.next("#station-layout");
    seed.waitForText("#compared-stations", "Layout");
    seed.press(KeyCode.F11);
    seed.space("#scope-stations");
    seed.waitForText("#stations-matrix", "potting shed");
  }
}
