package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.library.Library;
import foldtwice.routine.Routine;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Scripts written, broken, mended and fired; stored commands; siblings folded. */
class SourceByHandTest {

  @TempDir Path folder;

  private static Library library(Hands hands) {
    return hands.session.now().library();
  }

  private static String state(Hands hands, String program, String what) {
    return Hands.ask(() -> hands.session.programs().get(program).state().get(what));
  }

  private static Binding bound(Hands hands) {
    return library(hands).bindings().values().stream()
        .filter(b -> b.routine().equals("new-script"))
        .findFirst()
        .orElseThrow();
  }

  private static void source(Hands hands, String id, String text) {
    hands.write("#source-text", text);
    hands.waitUntil(
        "it is kept",
        () -> ((Routine.Script) library(hands).routines().get(id)).source().equals(text));
  }

  @Test
  void aScriptIsWrittenBrokenMendedBoundAndFired() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.routine("fit and lock");
      hands.click("#new-menu");
      hands.menu("New script");
      assertThat(hands.text("#routine-about")).contains("Script");
      source(hands, "new-script", "program.select('box 3');\nprogram.choose('Box', 'Lok');\n");
      hands.press(KeyCode.F8);
      hands.waitForText("#run-panel", "Failed at line 2");
      assertThat(hands.text("#source-says"))
          .contains("Line 2", "such as Box \u203a Lock", "found Box \u203a Lok");
      source(hands, "new-script", "program.select('box 3');\nprogram.choose('Box', 'Lock');\n");
      hands.press(KeyCode.F8);
      hands.waitForText("#run-panel", "Done");
      assertThat(state(hands, "tagpress", "selection")).isEqualTo("box 3");
      hands.click("#run-close");
      assertThat(hands.text("#facts")).contains("whatever its script does with other values");

      hands.click("#bind-it");
      hands.press(KeyCode.F4);
      hands.press(KeyCode.CONTROL, KeyCode.ALT, KeyCode.SHIFT, KeyCode.F11);
      hands.waitUntil("it is bound", () -> !bound(hands).triggers().isEmpty());
      hands.press(KeyCode.F5);
      hands.waitForText("#leaf-happens", "Done");
      assertThat(bound(hands).triggers()).hasSize(1);
      assertThat(library(hands).proofs()).containsKey(bound(hands).id());
    }
  }

  @Test
  void namesOfTheInterfaceAreCompleted() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.routine("lay boxes as a stair");
      hands.write("#source-text", "program.sel");
      hands.press(KeyCode.CONTROL, KeyCode.SPACE);
      assertThat(hands.rows("#source-offers"))
          .contains("program.select(", "program.selectToo(", "program.selectedText()");
      hands.press(KeyCode.DOWN);
      hands.press(KeyCode.ENTER);
      hands.waitUntil(
          "it is kept",
          () ->
              ((Routine.Script) library(hands).routines().get("stair-boxes"))
                  .source()
                  .equals("program.selectToo("));
    }
  }

  /** The program's own names are known inside the texts of calls, and a wrong one is marked. */
  @Test
  void namesOfTheProgramAreCompletedAndMended() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.routine("lay boxes as a stair");
      hands.write("#source-text", "program.choose('Shift");
      hands.press(KeyCode.CONTROL, KeyCode.SPACE);
      assertThat(hands.rows("#source-offers")).contains("Box \u203a Shift \u2026");
      hands.press(KeyCode.ESCAPE);
      hands.write("#source-text", "program.change('unit', '");
      hands.press(KeyCode.CONTROL, KeyCode.SPACE);
      assertThat(hands.rows("#source-offers")).contains("mm", "in");
      hands.press(KeyCode.DOWN);
      hands.press(KeyCode.ENTER);
      hands.waitForText("#source-says", "Line 1, column 28: it cannot be read from here on");

      source(hands, "stair-boxes", "log('Shfit');\nprogram.choose('Box', 'Shfit \u2026');");
      hands.waitForText("#source-says", "found Box \u203a Shfit");
      hands.space("#source-mend-0");
      hands.waitUntil(
          "it is kept",
          () ->
              ((Routine.Script) library(hands).routines().get("stair-boxes"))
                  .source()
                  .equals("log('Shfit');\nprogram.choose('Box', 'Shift \u2026');"));
      source(hands, "stair-boxes", "log(1);\nprogram.fill('Rigth by', 1);");
      hands.waitForText(
          "#source-says", "Line 2, column 1: expected a field of a dialog of Tagpress");
      assertThat(hands.text("#source-says")).contains("found Rigth by");
      hands.space("#source-mend-0");
      hands.waitUntil(
          "it is kept",
          () ->
              ((Routine.Script) library(hands).routines().get("stair-boxes"))
                  .source()
                  .equals("log(1);\nprogram.fill('Right by', 1);"));
    }
  }

  @Test
  void aMacroIsTurnedIntoAScriptAndBackAndWhatWouldBeLostIsSaid() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.routine("shift boxes");
      Routine macro = library(hands).routines().get("shift-boxes");
      long bound =
          library(hands).bindings().values().stream()
              .filter(b -> b.routine().equals("shift-boxes"))
              .count();
      assertThat(bound).isPositive();
      hands.lookUp("turn the chosen macro");
      assertThat(hands.text("#routine-about")).contains("Script");
      assertThat(((Routine.Script) library(hands).routines().get("shift-boxes")).source())
          .contains("program.choose('Box', 'Shift \u2026');", "program.fill('Right by', dx);");
      hands.press(KeyCode.F8);
      hands.waitForText("#run-panel", "Done");
      hands.click("#run-close");
      hands.lookUp("turn the chosen macro");
      assertThat(library(hands).routines().get("shift-boxes")).isEqualTo(macro);
      assertThat(
              library(hands).bindings().values().stream()
                  .filter(b -> b.routine().equals("shift-boxes"))
                  .count())
          .isEqualTo(bound);

      hands.routine("lay boxes as a stair");
      source(hands, "stair-boxes", "log('a');\nwhile (Math.random() > 2) { log('b'); }\n");
      hands.lookUp("turn the chosen macro");
      assertThat(hands.text("#turn"))
          .contains(
              "1 thing would be lost", "Line 2: no step does this: while (Math.random() > 2)");
      hands.press(KeyCode.ENTER);
      assertThat(library(hands).routines().get("stair-boxes")).isInstanceOf(Routine.Script.class);
      hands.lookUp("turn the chosen macro");
      hands.space("#turn-anyway");
      assertThat(((Routine.Macro) library(hands).routines().get("stair-boxes")).steps()).hasSize(1);
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      hands.waitUntil(
          "it is a script again",
          () -> library(hands).routines().get("stair-boxes") instanceof Routine.Script);
    }
  }

  @Test
  void steppingShowsWhatAScriptHasComputed() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.routine("lay boxes as a stair");
      source(hands, "stair-boxes", "const far = amount('3 mm');\nlog(far);\nlog(far);\n");
      hands.press(KeyCode.F7);
      hands.waitForText("#run-panel", "far 3 mm");
      assertThat(hands.text("#run-panel"))
          .as("it stands before what it computed this for")
          .contains("At step 2")
          .doesNotContain("Last steps");
      hands.press(KeyCode.F7);
      hands.waitForText("#run-panel", "At step 3");
      hands.press(KeyCode.F7);
      hands.waitForText("#run-panel", "Done");
    }
  }

  @Test
  void aStoredCommandSaysWhereItWorksAndIsQualified() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.routine("count items here");
      hands.waitForText("#source-says", "storage");
      assertThat(hands.text("#source-says"))
          .contains("depends on the current schema: ITEM", "herbarium", "works: 1 row found");
      hands.click("#qualify-lending");
      assertThat(((Routine.Stored) library(hands).routines().get("count-here")).text().source())
          .isEqualTo("SELECT COUNT(*) AS ITEMS FROM LENDING.ITEM");
      assertThat(hands.text("#source-says")).contains("the same in every schema");
    }
  }

  @Test
  void fourSiblingsAreFoldedAndTheirFourBindingsGoOnWorking() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.routine("white for shade");
      hands.waitForText("#proposal", "4 routines are equal but for constants");
      hands.click("#fold-see");
      assertThat(hands.text("#proposal-after")).contains("white balance", "3200 K", "7500 K");
      hands.click("#fold-take");
      assertThat(library(hands).routines()).doesNotContainKeys("daylight", "flash-light", "shade");
      List<Binding> moved =
          library(hands).bindings().values().stream()
              .filter(b -> b.routine().equals("lamp-light"))
              .toList();
      assertThat(moved).hasSize(4);
      hands.press(KeyCode.CONTROL, KeyCode.PAGE_DOWN);
      hands.press(KeyCode.CONTROL, KeyCode.PAGE_DOWN);
      hands.click("#try-copystand");
      for (String keys : List.of("S7500", "L3200", "F5600", "D5200")) {
        hands.pressInTurn(KeyCode.W, KeyCode.getKeyCode(keys.substring(0, 1)));
        String white = keys.substring(1) + " K";
        hands.waitUntil(
            white,
            () ->
                hands
                    .session
                    .programs()
                    .get("copystand")
                    .values()
                    .get("white balance")
                    .shown()
                    .equals(white));
      }
      hands.press(KeyCode.F6);
      hands.press(KeyCode.F2);
      hands.click("#outline");
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      assertThat(library(hands).routines()).as("one undo").containsKeys("daylight", "shade");
    }
  }

  @Test
  void loopsAreFoldedUnfoldedAndDismissed() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.routine("four records moss");
      assertThat(hands.text("#routine-name")).isEqualTo("Flag four records moss");
      hands.waitForText("#proposal", "8 lines repeat themselves; as loops they are 5");
      hands.click("#fold-take");
      assertThat(hands.text("#outline")).contains("Repeat", "3 times");
      hands.waitUntil("nothing is proposed", () -> hands.found("#proposal") == null);
      hands.settle();
      hands.click("#unfold-routine");
      assertThat(hands.text("#said")).isEqualTo("Unfolded: Flag four records moss");
      assertThat(((Routine.Macro) library(hands).routines().get("flag-four")).steps()).hasSize(8);
      hands.waitUntil("it is proposed again", () -> hands.found("#proposal") != null);
      String before = hands.text("#foot-folds");
      hands.click("#fold-dismiss");
      assertThat(hands.has("#proposal")).isFalse();
      assertThat(hands.text("#foot-folds")).isNotEqualTo(before);
    }
  }

  @Test
  void aFolderIsTakenInAndRunsOnlyWhenSomebodyHasLookedThroughIt() throws Exception {
    Path others = Files.createDirectory(folder.resolve("others"));
    Files.writeString(
        others.resolve("lock-third.js"),
        """
        // name: Lock the third box
        // application: tagpress
        // author: R. Tarn
        // SPDX-License-Identifier: GPL-3.0-or-later
        // keys: Ctrl+Alt+Shift+F12
        program.select('box 3');
        program.choose('Box', 'Lock');
        """);
    Files.writeString(
        others.resolve("where.sql"), "SELECT SHELF FROM STORAGE.ITEM WHERE ID = \u2039id\u203a");
    Files.writeString(others.resolve("letter.txt"), "Dear all, please find attached");
    try (Hands hands = Hands.open(folder)) {
      hands.routine("fit and lock");
      hands.space("#take-in");
      hands.choosing(others);
      hands.space("#take-in-folder");
      hands.waitForText("#take-in-rows", "Lock the third box");
      assertThat(hands.text("#take-in-rows"))
          .contains(
              "by R. Tarn", "GPL-3.0-or-later: handing it on sets conditions", "Ctrl+Alt+Shift+F12")
          .contains("letter.txt", "expected a script for the interface")
          .contains("stored command, where.sql");
      assertThat(library(hands).routines())
          .as("looking changes nothing")
          .doesNotContainKey("where");
      hands.waitForText("#take-in-take", "2 routines");
      hands.settle();
      hands.space("#take-in-take");
      hands.waitUntil("they are taken", () -> library(hands).routines().containsKey("where"));
      assertThat(library(hands).routines()).containsKeys("lock-the-third-box", "where");
      hands.routine("lock the third");
      assertThat(hands.text("#unseen")).contains("Collected from lock-third.js");
      hands.press(KeyCode.F8);
      hands.waitForText("#run-panel", "a routine a person has looked through");
      assertThat(state(hands, "tagpress", "selection")).isEqualTo("box 1");
      hands.click("#run-close");
      hands.click("#seen");
      assertThat(hands.has("#unseen")).isFalse();
      hands.press(KeyCode.F8);
      hands.waitForText("#run-panel", "Done");
      assertThat(state(hands, "tagpress", "selection")).isEqualTo("box 3");
    }
  }

  /** What would follow from its keys is said before it is taken in; what harms is left out. */
  @Test
  void keysThatComeWithARoutineGetAdviceAndCanBeLeftOut() throws Exception {
    Path others = Files.createDirectory(folder.resolve("others"));
    String like = "// name: %s\n// application: tagpress\n// keys: %s\nprogram.again();\n";
    Files.writeString(others.resolve("a.js"), like.formatted("Keeps quietly", "Ctrl+S"));
    Files.writeString(others.resolve("b.js"), like.formatted("Stays apart", "Ctrl+Alt+Shift+F12"));
    Files.writeString(others.resolve("c.js"), like.formatted("One of two", "Ctrl+Alt+Shift+F11"));
    Files.writeString(others.resolve("d.js"), like.formatted("Two of two", "Ctrl+Alt+Shift+F11"));
    try (Hands hands = Hands.open(folder)) {
      hands.routine("fit and lock");
      hands.space("#take-in");
      hands.choosing(others);
      hands.space("#take-in-folder");
      hands.waitForText(
          "#advice-keeps-quietly", "Ctrl+S, for Keeps quietly, takes the place of Save");
      hands.waitForText("#advice-stays-apart", "free");
      hands.waitForText("#advice-one-of-two", "by One of two and by Two of two");
      hands.waitForText("#advice-two-of-two", "claimed twice");
      hands.space("#keys-one-of-two"); // wanted all the same
      hands.space("#take-in-take");
      hands.waitUntil("taken", () -> library(hands).routines().containsKey("two-of-two"));
      assertThat(library(hands).routines()).containsKeys("keeps-quietly", "stays-apart");
      assertThat(library(hands).bindings().values())
          .extracting(b -> b.routine())
          .contains("stays-apart", "one-of-two")
          .doesNotContain("keeps-quietly", "two-of-two");
    }
  }

  /** Dragged out of another window and let go here. */
  @Test
  void aFolderThatIsDroppedIsLookedThrough() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.routine("fit and lock");
      Library before = library(hands);
      hands.space("#take-in");
      hands.drop("#take-in-panel", Hands.root().resolve("demo/to-collect"));
      hands.waitForText("#take-in-rows", "First capital in every note");
      assertThat(hands.text("#take-in-rows")).contains("Straightener 2.0");
      assertThat(library(hands)).as("looking changes nothing").isEqualTo(before);
    }
  }

  @Test
  void theFolderThatShipsIsChosenAndShownWithWhatTheLibraryHasAlready() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.routine("fit and lock");
      hands.space("#take-in");
      hands.choosing();
      hands.space("#take-in-folder");
      assertThat(hands.text("#take-in-rows")).as("none chosen").isEmpty();
      hands.choosing(Hands.root().resolve("demo/to-collect"));
      hands.space("#take-in-folder");
      hands.waitForText("#take-in-rows", "First capital in every note");
      assertThat(hands.text("#take-in-rows"))
          .contains("Straightener 2.0", "GPL-3.0-or-later: handing it on sets conditions")
          .contains("Level what is tilted");
    }
  }

  @Test
  void aScriptGetsAParameterThatIsRenamedKeptInRangeAndRemoved() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.routine("fit and lock");
      hands.click("#new-menu");
      hands.menu("New script");
      source(hands, "new-script", "for (let i = 0; i < parameters.times; i++) { log(i); }");
      hands.click("#add-parameter");
      hands.paste("#parameter-name", "turns");
      hands.click("#parameter-kind");
      hands.press(KeyCode.UP);
      hands.press(KeyCode.UP);
      hands.press(KeyCode.UP);
      hands.press(KeyCode.ENTER);
      hands.paste("#parameter-default", "many");
      hands.click("#parameter-keep");
      assertThat(hands.text("#parameter-wrong")).contains("Default", "a whole number", "many");
      hands.paste("#parameter-default", "4");
      hands.paste("#parameter-most", "9");
      hands.press(KeyCode.ENTER);
      assertThat(hands.text("#parameters")).contains("turns", "4, -1000 to 9");
      hands.press(KeyCode.ENTER);
      hands.paste("#parameter-name", "times");
      hands.click("#parameter-keep");
      hands.press(KeyCode.F8);
      hands.waitForText("#run-panel", "Done");
      hands.click("#run-close");
      hands.click("#parameter-of-times");
      hands.press(KeyCode.ESCAPE);
      assertThat(hands.has("#parameter-form")).isFalse();
      hands.click("#parameter-of-times");
      hands.click("#parameter-remove");
      assertThat(hands.text("#parameters")).contains("None yet");
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      assertThat(hands.text("#parameters")).contains("times");
    }
  }

  /** What a script changes is seen in runs on copies, and said beside it. */
  @Test
  void whatAScriptChangesIsLearntAndSaid() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.routine("lay boxes as a stair");
      hands.waitForText("#learnt", "objects, selection");
      assertThat(hands.text("#learnt")).contains("seen in 4 runs on copies");
      assertThat(state(hands, "tagpress", "selection")).as("not run here").isEqualTo("box 1");
      hands.write(
          "#source-text",
          "program.choose('Sheet', 'Save');\nprogram.changeForGood('unit', 'pt');\n");
      hands.press(KeyCode.TAB);
      hands.waitForText("#learnt", "files, unit left changed");
    }
  }

  @Test
  void aStoredCommandThatChangesDataIsMarkedDangerous() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.routine("extend a loan");
      assertThat(hands.text("#facts")).contains("Danger", "it changes stored data");
      hands.routine("what a cabinet holds");
      assertThat(hands.text("#facts")).doesNotContain("Danger").doesNotContain("command text");
    }
  }
}
