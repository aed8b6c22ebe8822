package foldtwice.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Sheets from the command line. */
class SheetCommandTest {

  private static final Path ROOT = Path.of(System.getProperty("project.root"));

  @TempDir Path folder;

  private record Ran(int exit, String out, String err) {}

  private Ran sheet(String library, String out, String... more) {
    String[] all = new String[more.length + 4];
    all[0] = "sheet";
    all[1] = ROOT.resolve("demo").resolve(library).toString();
    all[2] = "--out";
    all[3] = folder.resolve(out).toString();
    System.arraycopy(more, 0, all, 4, more.length);
    StringWriter said = new StringWriter();
    StringWriter err = new StringWriter();
    int exit = Main.run(new PrintWriter(said), new PrintWriter(err), all);
    return new Ran(exit, said.toString(), err.toString());
  }

  @Test
  void aCardIsThereAndWhatIsNotOnItIsTold() throws Exception {
    Ran card = sheet("fernhollow.json", "card.pdf", "--of", "Tagpress", "--as", "pocket-card");
    assertThat(card.exit).isEqualTo(1);
    assertThat(card.out.strip()).isEqualTo(folder.resolve("card.pdf").toString());
    assertThat(card.err)
        .contains("left out: Ctrl+Shift+A  Align boxes, edges Left edges: double claim");
    assertThat(new String(Files.readAllBytes(folder.resolve("card.pdf")), 0, 5, "US-ASCII"))
        .isEqualTo("%PDF-");
  }

  /** Nobody simulates the programs of this one. */
  @Test
  void aListOfAnotherTradeTellsWhatItsBindingsDo() throws Exception {
    Ran list = sheet("seedhouse.json", "seeds.csv", "--all");
    assertThat(list.err).isEmpty();
    assertThat(list.exit).isZero();
    assertThat(Files.readString(folder.resolve("seeds.csv")))
        .startsWith("keys,does,place,times a week,note\r\n")
        .contains("Ctrl+Shift+D,Dry lot,Siftbook \u203a drawers");
  }

  @Test
  void theKindOfFileIsSaidByItsEnding() throws Exception {
    assertThat(sheet("fernhollow.json", "rowan.svg", "--of", "rowan", "--as", "pad-labels").out)
        .contains("rowan-1.svg", "rowan-2.svg");
    assertThat(sheet("fernhollow.json", "a.html", "--of", "flag-colours").exit).isZero();
    assertThat(Files.readString(folder.resolve("a.html")))
        .contains("Flag whole records, colour Rust", "Flag colours");
    Ran other = sheet("fernhollow.json", "card.docx");
    assertThat(other.exit).isEqualTo(2);
    assertThat(other.err).contains("expected a file .pdf, .html, .svg or .csv");
  }

  @Test
  void whatIsNotThereIsRefusedWithTheNearest() throws Exception {
    Ran none = sheet("fernhollow.json", "x.pdf", "--of", "Tagpres");
    assertThat(none.exit).isEqualTo(2);
    assertThat(none.err).contains("there is no \"Tagpres\"; did you mean Tagpress?");
    assertThat(sheet("fernhollow.json", "x.pdf", "--as", "poster").err).contains("pocket-card");
    assertThat(sheet("fernhollow.json", "gone/x.pdf").err).contains("no such folder");
    Ran nothing = sheet("seedhouse.json", "x.pdf", "--as", "pad-labels");
    assertThat(nothing.exit).isEqualTo(2);
    assertThat(nothing.err).contains("there would be nothing on it");
    try (var all = Files.list(folder)) {
      assertThat(all).isEmpty();
    }
  }
}
