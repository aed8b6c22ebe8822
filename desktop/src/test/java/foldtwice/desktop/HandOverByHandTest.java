package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.file.LibraryJson;
import foldtwice.place.Place;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.sheet.SheetKind;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Trigger;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javafx.scene.input.KeyCode;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Sheets are chosen, looked at and saved. */
class HandOverByHandTest {

  @TempDir Path folder;

  private static void find(Hands hands, String about) {
    hands.lookUp("find what a sheet");
    hands.retype(about);
    hands.giveKeys("#sheet-about");
    hands.press(KeyCode.HOME);
  }

  private static String read(Path pdf) throws IOException {
    try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
      return new PDFTextStripper().getText(document);
    }
  }

  private Path saved(Hands hands, String name, String act) {
    Path file = folder.resolve(name);
    hands.choosing(file);
    javafx.scene.Node pdf = hands.node("#sheet-pdf");
    hands.waitUntil("the sheet is made", () -> !pdf.isDisabled());
    hands.lookUp(act);
    hands.waitUntil("it is there", () -> Files.exists(file));
    hands.waitUntil("it is said", () -> hands.session.saidProperty().get().contains(name));
    return file;
  }

  @Test
  void aPocketCardAndAListAreLookedAtAndSaved() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.CONTROL, KeyCode.H);
      find(hands, "tagpress");
      hands.waitForText("#on-sheet", "76 lines on 1 page");
      assertThat(hands.text("#on-sheet")).contains("Left out", "Ctrl+Shift+A", "double claim");
      assertThat(hands.text("#sheet-fold")).contains("to the back");
      assertThat(read(saved(hands, "card.pdf", "save the sheet as pdf")))
          .contains("Tagpress", "version 3.2", "Shift boxes, dx +0.5 mm");

      hands.giveKeys("#sheet-kinds");
      hands.press(KeyCode.DOWN);
      hands.waitForText("#on-sheet", "76 lines on 3 pages");
      hands.space("#sheet-all");
      hands.waitForText("#on-sheet", "Does not work here");
      assertThat(Files.readString(saved(hands, "all.html", "for a browser")))
          .contains("What is in the way", "double claim");
      hands.space("#sheet-next");
      hands.space("#sheet-next");
      assertThat(hands.node("#sheet-next").isDisabled()).isTrue();
      assertThat(hands.text(".view-top")).contains("Page 3 of 3");
    }
  }

  /** What changes in the library is on the sheet at once, and the next step is one click away. */
  @Test
  void theSheetFollowsTheLibraryAndLeadsToWhatIsLeftOut() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.CONTROL, KeyCode.H);
      find(hands, "rowan");
      hands.giveKeys("#sheet-kinds");
      hands.press(KeyCode.END);
      hands.waitForText("#on-sheet", "on 3 pages");
      Path labels = saved(hands, "labels.pdf", "save the sheet as pdf");
      assertThat(read(labels)).contains("Left edges", "true size");

      find(hands, "tagpress");
      hands.giveKeys("#sheet-kinds");
      hands.press(KeyCode.HOME);
      hands.waitForText("#on-sheet", "Left out: 5");
      hands.space("#left-out-0");
      assertThat(hands.text("#routine")).contains("Repeat box");
      hands.press(KeyCode.CONTROL, KeyCode.F2);
      hands.waitForText("#on-sheet", "76 lines");
    }
  }

  /** A long sheet tells how far it is, is given up, and made after all. */
  @Test
  void aLongSheetIsGivenUpAndMadeAfterAll() throws Exception {
    Library demo =
        LibraryJson.read(Files.readAllBytes(Hands.root().resolve("demo/fernhollow.json")));
    List<Edit> many = new ArrayList<>();
    Place tagpress = new Place.Whole("tagpress");
    for (int i = 0; i < 26 * 26 * 20; i++) {
      Trigger trigger =
          Notation.read(
              "Alt+%c then %c then %c".formatted('A' + i % 26, 'A' + i / 26 % 26, 'A' + i / 676));
      many.add(
          new Edit.PutBinding(
              Binding.fresh("x" + i, "shift-boxes", tagpress, List.of(trigger), Map.of())));
    }
    Files.writeString(
        folder.resolve("fernhollow.json"), LibraryJson.write(new Edit.Together(many).on(demo)));
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.CONTROL, KeyCode.H);
      hands.waitUntil("it is audited", () -> hands.session.now().audited());
      find(hands, "everything");
      hands.giveKeys("#sheet-kinds");
      hands.press(KeyCode.DOWN);
      hands.waitForText("#sheet-says", "%");
      javafx.scene.Node stop = hands.node("#sheet-stop");
      hands.waitUntil("it takes long", stop::isVisible);
      hands.space("#sheet-stop");
      assertThat(hands.text("#sheet-says")).as(hands.text("#on-sheet")).startsWith("Given up");
      assertThat(hands.node("#sheet-pdf").isDisabled()).isTrue();
      hands.make(new Edit.PutBinding(demo.bindings().get("b01").used(3)), "something else");
      hands.settle();
      assertThat(hands.text("#sheet-says")).as("it stays given up").startsWith("Given up");
      hands.space("#sheet-make");
      hands.waitForText("#sheet-says", "%");
    }
  }

  /** From a real run: each step, what it changed, the program after it. */
  @Test
  void aRoutineIsToldStepByStepWithPictures() throws Exception {
    Path sheet;
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.CONTROL, KeyCode.H);
      find(hands, "date on label");
      hands.giveKeys("#sheet-kinds");
      hands.press(KeyCode.HOME);
      for (int i = 0; i < SheetKind.HOW_TO.ordinal(); i++) {
        hands.press(KeyCode.DOWN);
      }
      hands.waitForText("#on-sheet", "2 lines on 2 pages");
      sheet = saved(hands, "how-to.pdf", "save the sheet as pdf");
      assertThat(read(sheet))
          .contains(
              "Ctrl", "Choose Text \u203a Edit text", "Type \u00b7 2031-05-08", "box 1 text:");
      assertThat(pictures(sheet)).isEqualTo(2);

      hands.choosing(sheet);
      hands.lookUp("look whether a sheet made before");
      hands.waitForText("#sheet-checked", "Still right");
      Routine.Macro was =
          (Routine.Macro) hands.session.now().library().routines().get("date-on-label");
      List<Line> shorter = was.steps().subList(0, was.steps().size() - 1);
      hands.make(new Edit.PutRoutine(new Routine.Macro(was.head(), shorter)), "one step less");
      hands.lookUp("look whether a sheet made before");
      hands.waitForText("#sheet-checked", "1 line is different now");
      assertThat(hands.text("#on-sheet")).contains("not so any more: step 4: Leave");
      hands.choosing(Files.writeString(folder.resolve("other.pdf"), "none"));
      hands.lookUp("look whether a sheet made before");
      hands.waitForSaid("no sheet");
    }
  }

  private static int pictures(Path pdf) throws IOException {
    int found = 0;
    try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
      for (PDPage page : document.getPages()) {
        for (COSName name : page.getResources().getXObjectNames()) {
          found += page.getResources().isImageXObject(name) ? 1 : 0;
        }
      }
    }
    return found;
  }

  @Test
  void whatCannotBeWrittenOrPrintedIsSaid() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.CONTROL, KeyCode.H);
      hands.waitForText("#on-sheet", "on 1 page");
      hands.choosing(folder.resolve("gone").resolve("card.pdf"));
      hands.lookUp("save the sheet as pdf");
      hands.waitForSaid("no such folder");
      hands.lookUp("print the sheet");
      hands.waitForSaid("no printer");
      try (var left = Files.list(folder)) {
        assertThat(left.map(p -> p.getFileName().toString()).toList())
            .doesNotContain("gone", "card.pdf");
      }
    }
  }

  /** A library whose programs nobody simulates; one with nothing in it. */
  @Test
  void otherLibrariesHaveSheetsToo() throws Exception {
    Files.copy(Hands.root().resolve("demo/seedhouse.json"), folder.resolve("fernhollow.json"));
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.CONTROL, KeyCode.H);
      hands.waitForText("#on-sheet", "on 1 page");
      find(hands, "everything");
      hands.waitForText("#on-sheet", "9 lines");
      assertThat(read(saved(hands, "seeds.pdf", "save the sheet as pdf")))
          .contains("Fernhollow Seed House");
    }
    Files.writeString(
        folder.resolve("fernhollow.json"),
        """
        {"format": "fold-twice-library", "version": 1, "name": "Nothing yet",
         "stations": [{"id": "desk", "name": "My desk", "layout": "us", "shape": "ansi"}]}
        """);
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.CONTROL, KeyCode.H);
      hands.waitForText("#sheet-says", "nothing to print");
      assertThat(hands.node("#sheet-pdf").isDisabled()).isTrue();
      assertThat(List.of(hands.text("#first-steps"))).isNotEmpty();
    }
  }
}
