package foldtwice.cli;

import static foldtwice.cli.Ran.run;
import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.extras.Extras;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.Procedure;
import foldtwice.library.file.DeviceFile;
import foldtwice.library.file.LibraryJson;
import foldtwice.routine.Yardstick;
import foldtwice.surface.Device;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Sheets from the command line. */
class SheetCommandTest {

  private static final Path ROOT = Path.of(System.getProperty("project.root"));

  @TempDir Path folder;

  private Ran sheet(String library, String out, String... more) {
    String[] all = new String[more.length + 4];
    all[0] = "sheet";
    all[1] = ROOT.resolve("demo").resolve(library).toString();
    all[2] = "--out";
    all[3] = folder.resolve(out).toString();
    System.arraycopy(more, 0, all, 4, more.length);
    return run((Object[]) all);
  }

  @Test
  void aCardIsThereAndWhatIsNotOnItIsTold() throws Exception {
    Ran card = sheet("fernhollow.json", "card.pdf", "--of", "Tagpress", "--as", "pocket-card");
    assertThat(card.exit()).isEqualTo(1);
    assertThat(card.out().strip()).isEqualTo(folder.resolve("card.pdf").toString());
    assertThat(card.err())
        .contains("left out: Ctrl+Shift+A  Align boxes, edges Left edges: double claim");
    assertThat(new String(Files.readAllBytes(folder.resolve("card.pdf")), 0, 5, "US-ASCII"))
        .isEqualTo("%PDF-");
  }

  /** Nobody simulates the programs of this one. */
  @Test
  void aListOfAnotherTradeTellsWhatItsBindingsDo() throws Exception {
    Ran list = sheet("seedhouse.json", "seeds.csv", "--all");
    assertThat(list.err()).isEmpty();
    assertThat(list.exit()).isZero();
    assertThat(Files.readString(folder.resolve("seeds.csv")))
        .startsWith("keys,does,place,times a week,note\r\n")
        .contains("Ctrl+Shift+D,Dry lot,Siftbook \u203a drawers");
  }

  @Test
  void theKindOfFileIsSaidByItsEnding() throws Exception {
    assertThat(sheet("fernhollow.json", "rowan.svg", "--of", "rowan", "--as", "pad-labels").out())
        .contains("rowan-1.svg", "rowan-2.svg");
    assertThat(sheet("fernhollow.json", "a.html", "--of", "flag-colours").exit()).isZero();
    assertThat(Files.readString(folder.resolve("a.html")))
        .contains("Flag whole records, colour Rust", "Flag colours");
    Ran other = sheet("fernhollow.json", "card.docx");
    assertThat(other.exit()).isEqualTo(2);
    assertThat(other.err()).contains("expected a file .pdf, .html, .svg, .csv or .xcompose");
  }

  /** The steps are told of any program, also where it is only described. */
  @Test
  void aHowToIsMadeAndLookedUpLater() throws Exception {
    Ran how = sheet("seedhouse.json", "how.html", "--of", "Dry lot", "--as", "how-to");
    assertThat(how.err()).contains("without pictures");
    assertThat(how.exit()).isZero();
    assertThat(Files.readString(folder.resolve("how.html"))).contains("Choose ", "Ctrl");
    Path library = ROOT.resolve("demo/seedhouse.json");
    assertThat(checked(library, "how.html").exit()).isZero();
    assertThat(checked(library, "how.html").out()).contains("still right");
    Path changed = folder.resolve("changed.json");
    Files.writeString(changed, Files.readString(library).replace("CTRL+SHIFT+d", "CTRL+SHIFT+j"));
    Ran other = checked(changed, "how.html");
    assertThat(other.exit()).isEqualTo(1);
    assertThat(other.out())
        .contains("not so any more: Ctrl+Shift+D, Siftbook \u203a drawers: Dry lot")
        .contains("new: Ctrl+Shift+J, Siftbook \u203a drawers: Dry lot");
    assertThat(checked(ROOT.resolve("demo/fernhollow.json"), "how.html").exit()).isEqualTo(2);
  }

  /** Several one after the other, each from a run of its own. */
  @Test
  void aProcedureIsToldStepByStep() throws Exception {
    Path library = folder.resolve("with.json");
    Library demo = LibraryJson.read(Files.readAllBytes(ROOT.resolve("demo/fernhollow.json")));
    Procedure p =
        new Procedure(
            "round",
            "Label round",
            List.of(
                new Procedure.Part.Bound("b85"),
                new Procedure.Part.Bound("b79"),
                new Procedure.Part.Bound("gone")),
            10,
            1,
            Yardstick.NONE,
            Extras.NONE);
    Files.writeString(library, LibraryJson.write(new Edit.PutProcedure(p).on(demo)));
    Ran ran =
        run(
            "sheet",
            library,
            "--of",
            "Label round",
            "--as",
            "how-to",
            "--out",
            folder.resolve("round.html"));
    assertThat(ran.exit()).as(ran.err()).isZero();
    assertThat(Files.readString(folder.resolve("round.html")))
        .contains("Paste into label", "Date on label", "2031-05-08");
  }

  private Ran checked(Path library, String sheet) {
    return run("sheet", library, "--check", folder.resolve(sheet));
  }

  /** A device with its pages as JSON, as the window reads it. */
  @Test
  void aDeviceIsWrittenAndReadAgain() throws Exception {
    assertThat(sheet("fernhollow.json", "rowan.json", "--of", "rowan").exit()).isZero();
    Device read = DeviceFile.read(Files.readAllBytes(folder.resolve("rowan.json")));
    Library demo = LibraryJson.read(Files.readAllBytes(ROOT.resolve("demo/fernhollow.json")));
    assertThat(read).isEqualTo(demo.device("rowan").orElseThrow());
    Ran none = sheet("fernhollow.json", "t.json", "--of", "Tagpress");
    assertThat(none.exit()).isEqualTo(2);
    assertThat(none.err()).contains("only a device");
  }

  @Test
  void whatIsNotThereIsRefusedWithTheNearest() throws Exception {
    Ran none = sheet("fernhollow.json", "x.pdf", "--of", "Tagpres");
    assertThat(none.exit()).isEqualTo(2);
    assertThat(none.err()).contains("there is no \"Tagpres\"; did you mean Tagpress?");
    assertThat(sheet("fernhollow.json", "x.pdf", "--as", "poster").err()).contains("pocket-card");
    assertThat(sheet("fernhollow.json", "gone/x.pdf").err()).contains("no such folder");
    Ran nothing = sheet("seedhouse.json", "x.pdf", "--as", "pad-labels");
    assertThat(nothing.exit()).isEqualTo(2);
    assertThat(nothing.err()).contains("there would be nothing on it");
    try (var all = Files.list(folder)) {
      assertThat(all).isEmpty();
    }
  }
}
