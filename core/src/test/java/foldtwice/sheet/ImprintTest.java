package foldtwice.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import foldtwice.binding.Binding;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.RandomLibraries;
import foldtwice.library.file.FormatException;
import foldtwice.trigger.Notation;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ImprintTest {

  @TempDir Path folder;

  private Path file(Sheet sheet, String name) throws Exception {
    Path file = folder.resolve(name);
    SheetFile.write(sheet, SheetFile.Form.of(file).orElseThrow(), file);
    return file;
  }

  /** Whatever stands in names: what a sheet keeps of itself is read again from PDF and HTML. */
  @Property(tries = 8)
  void itIsReadAgain(@ForAll long seed) throws Exception {
    Library library = RandomLibraries.of(seed);
    if (library.stations().isEmpty()) {
      return;
    }
    Path here = Files.createTempDirectory("imprint");
    for (About about : About.all(library).stream().limit(4).toList()) {
      Sheet sheet =
          Sheets.of(library, Wanted.of(about, SheetKind.LIST).withNatives(true).on(Paper.LETTER));
      Imprint read = Imprint.read(sheet.imprint().text());
      assertThat(read).isEqualTo(sheet.imprint());
      for (String name : List.of("s.pdf", "s.html")) {
        Path file = here.resolve(name);
        SheetFile.write(sheet, SheetFile.Form.of(file).orElseThrow(), file);
        Imprint found = Imprint.in(file);
        assertThat(found.wanted()).isEqualTo(sheet.wanted());
        assertThat(found.lines()).hasSameSizeAs(sheet.imprint().lines());
        assertThat(found.since(sheet.imprint())).isEmpty();
      }
    }
  }

  @Test
  void itTellsWhatIsDifferentSince() throws Exception {
    Library demo = Sheets.demo();
    Wanted wanted = Wanted.of(new About.Program("tagpress"), SheetKind.LIST);
    Imprint then = Imprint.in(file(Sheets.of(demo, wanted), "list.pdf"));
    Binding b01 = demo.bindings().get("b01");
    Binding b04 = demo.bindings().get("b04");
    Library later =
        new Edit.PutBinding(b01.withTriggers(List.of(Notation.read("Ctrl+Alt+F9")))).on(demo);
    later =
        new Edit.PutBinding(b04.withRoutine(b04.routine(), demo.bindings().get("b03").arguments()))
            .on(later);
    assertThat(then.since(Sheets.of(later, wanted).imprint()))
        .containsExactlyInAnyOrder(
            new Imprint.Difference.Gone(
                new Imprint.Line("Alt+., Tagpress \u203a box selected", "Shift boxes, dx +0.5 mm")),
            new Imprint.Difference.New(
                new Imprint.Line(
                    "Ctrl+Alt+F9, Tagpress \u203a box selected", "Shift boxes, dx +0.5 mm")),
            new Imprint.Difference.Other(
                "Alt+Up, Tagpress \u203a box selected",
                "Shift boxes, dy \u22120.5 mm",
                "Shift boxes, dy +0.5 mm"));
  }

  @Test
  void whatIsNoSheetIsRefused() throws Exception {
    for (String text :
        List.of(
            "",
            "<html/>",
            "<!DOCTYPE html><html><head><title>x</title></head><body/></html>",
            "<!DOCTYPE x [<!ENTITY e SYSTEM \"file:///etc/passwd\">]><html><head>&e;</head></html>")) {
      Path html = Files.writeString(folder.resolve("x.html"), text);
      assertThatThrownBy(() -> Imprint.in(html))
          .isInstanceOf(FormatException.class)
          .hasMessageContaining("no sheet");
    }
    Path pdf = Files.write(folder.resolve("x.pdf"), "%PDF-1.4".getBytes(StandardCharsets.US_ASCII));
    assertThatThrownBy(() -> Imprint.in(pdf)).hasMessageContaining("no sheet");
    assertThatThrownBy(() -> Imprint.read("{\"sheet\": 2}")).hasMessageContaining("version");
    assertThatThrownBy(() -> Imprint.read("{\"sheet\": 1, \"about\": \"Nothing:x\"}"))
        .hasMessageContaining("what the sheet is about");
  }

  /** A key names one thing only, and is read again. */
  @Property(tries = 15)
  void keysAreReadAgain(@ForAll long seed) {
    List<About> all = About.all(RandomLibraries.of(seed));
    assertThat(all).extracting(About::key).doesNotHaveDuplicates();
    assertThat(all).allMatch(a -> About.keyed(a.key()).orElseThrow().equals(a));
  }
}
