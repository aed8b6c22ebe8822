package foldtwice.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.dataformat.csv.CsvMapper;
import com.fasterxml.jackson.dataformat.csv.CsvParser;
import foldtwice.Seeds;
import foldtwice.binding.Binding;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.RandomLibraries;
import foldtwice.place.Place;
import foldtwice.routine.Routine;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;

class SheetTest {

  private static Library named(Library demo, String name) {
    Routine any = demo.routines().get("shift-boxes");
    return new Edit.PutRoutine(any.with(any.head().named(any.id(), name))).on(demo);
  }

  /** What does not work on the station is not on the sheet, and is told with its reason. */
  @Test
  void whatBlocksIsLeftOutAndTold() throws Exception {
    Library demo = Sheets.demo();
    Wanted list = Wanted.of(new About.Program("tagpress"), SheetKind.LIST);
    Sheet working = Sheets.of(demo, list);
    Sheet all = Sheets.of(demo, list.onlyWorking(false));
    assertThat(working.contents().leftOut())
        .anySatisfy(
            a -> {
              assertThat(a.trigger()).isEqualTo("Ctrl+Shift+A");
              assertThat(a.why()).contains("double claim");
            });
    int out = working.contents().leftOut().size();
    long off = working.contents().leftOut().stream().filter(a -> a.trigger().isEmpty()).count();
    assertThat(all.contents().size()).isEqualTo(working.contents().size() + out - off);
    assertThat(all.contents().lines()).anyMatch(l -> l.note().contains("double claim"));
    assertThat(working.contents().lines()).noneMatch(l -> l.note().contains("double claim"));
  }

  /** A thing to do stands once for all that wait for it, what comes first first. */
  @Test
  void installNotesTellWhatToDoInOrder() throws Exception {
    Sheet notes =
        Sheets.of(Sheets.demo(), Wanted.of(new About.Program("trackway"), SheetKind.INSTALL_NOTES));
    assertThat(notes.html()).containsOnlyOnce("Restart the program");
    assertThat(notes.html().indexOf("Copy what is bound into the program"))
        .isPositive()
        .isLessThan(notes.html().indexOf("Restart the program"));
    for (foldtwice.place.Need need : foldtwice.place.Need.values()) {
      assertThat(Sheet.TEXTS.get("sheet.do." + need)).isNotBlank();
    }
  }

  /** Families stay together, and stand where the most used of them would. */
  @Test
  void familiesStayTogether() throws Exception {
    Library demo = Sheets.demo();
    Contents contents =
        Sheets.of(demo, Wanted.of(new About.Program("vasculum"), SheetKind.LIST)).contents();
    for (Contents.Group g : contents.groups()) {
      List<String> kin = new ArrayList<>();
      for (Contents.Line l : g.lines()) {
        String of = demo.familyOf(l.binding()).map(f -> f.id()).orElse("");
        if (!of.isEmpty() && (kin.isEmpty() || !kin.getLast().equals(of))) {
          assertThat(kin).as("a family in two places of " + g.name()).doesNotContain(of);
        }
        kin.add(of);
      }
    }
  }

  /** Every kind of sheet of any library, about anything: a document, or nothing to print. */
  @Property(tries = 8)
  void everySheetOfAnyLibraryIsADocument(@ForAll long seed) throws Exception {
    Library library = RandomLibraries.of(seed);
    if (library.stations().isEmpty()) {
      return;
    }
    for (About about : About.all(library)) {
      for (SheetKind kind : SheetKind.values()) {
        Sheet sheet = Sheets.of(library, Wanted.of(about, kind).withNatives(true));
        Sheets.parsed(sheet.html());
        assertThat(sheet.contents().title()).isNotNull();
        for (String picture : sheet.pictures()) {
          isInsideItsBox(Sheets.parsed(picture));
        }
      }
    }
  }

  /** Every box, line and point of a picture lies in its view box. */
  private static void isInsideItsBox(Document svg) {
    Element root = svg.getDocumentElement();
    String[] box = root.getAttribute("viewBox").split(" ");
    double left = Double.parseDouble(box[0]);
    double top = Double.parseDouble(box[1]);
    double right = left + Double.parseDouble(box[2]);
    double bottom = top + Double.parseDouble(box[3]);
    NodeList all = root.getElementsByTagName("rect");
    for (int i = 0; i < all.getLength(); i++) {
      Element r = (Element) all.item(i);
      double x = Double.parseDouble(r.getAttribute("x"));
      double y = Double.parseDouble(r.getAttribute("y"));
      assertThat(x).isBetween(left, right);
      assertThat(y).isBetween(top, bottom);
      assertThat(x + Double.parseDouble(r.getAttribute("width"))).isLessThanOrEqualTo(right);
      assertThat(y + Double.parseDouble(r.getAttribute("height"))).isLessThanOrEqualTo(bottom);
    }
  }

  /** HTML, SVG, control characters, ends of quotes: a name is a name. Two of them, drawn. */
  @Test
  void aHostileNameIsOnlyAName() throws Exception {
    Library demo = Sheets.demo();
    for (String name :
        Seeds.oneOf(
            4,
            List.of(
                "<script>alert(1)</script>",
                "]]> --> </style></svg> &amp; \"quoted\" 'so'",
                "bell\u0007 and null\u0000",
                "${7*7} <#assign x=1> #{1}",
                "@import url(http://example.org/x.css);",
                "half a pair \ud83d",
                "a".repeat(10_000)))) {
      Library hostile = named(demo, name);
      About where = new About.Program(hostile.routines().get("shift-boxes").application());
      for (SheetKind kind : SheetKind.values()) {
        Sheet sheet = Sheets.of(hostile, Wanted.of(where, kind));
        Document page = Sheets.parsed(sheet.html());
        assertThat(page.getElementsByTagName("script").getLength()).isZero();
        assertThat(page.getElementsByTagName("style").getLength()).isEqualTo(2);
        if (kind == SheetKind.POCKET_CARD) {
          assertThat(Sheets.bytes(sheet)).isNotEmpty();
        }
      }
    }
  }

  @Test
  void whatNoFontCanShowIsTold() throws Exception {
    Library demo = named(Sheets.demo(), "Pflanzen \u690d\u7269 \u00b1 \u2640");
    assertThat(Sheets.of(demo, Wanted.of(new About.Everything(), SheetKind.LIST)).missing())
        .containsExactly("\u690d", "\u7269");
  }

  @Test
  void thousandsOfBindingsComeOnACardAsFarAsThereIsRoom() throws Exception {
    Library demo = Sheets.demo();
    Sheet card = Sheets.of(demo, Wanted.of(new About.Everything(), SheetKind.POCKET_CARD));
    assertThat(card.left()).isPositive().isLessThan(card.contents().size());
    assertThat(card.html()).contains(card.left() + " more");
    List<Double> uses = card.contents().lines().stream().map(Contents.Line::uses).sorted().toList();
    double least = uses.get(card.left());
    for (Contents.Line l : card.contents().lines()) {
      if (l.uses() > least && l.does().length() < 20 && l.strokes().size() > 0) {
        assertThat(card.html()).as("used often: " + l.does()).contains(Svg.escaped(l.does()));
      }
    }
  }

  @Test
  void anEmptyLibraryHasNothingToPrint() {
    Library empty =
        new foldtwice.library.Beginning(
                "Nothing yet",
                "Desk",
                "us",
                foldtwice.trigger.Shape.ANSI,
                foldtwice.library.Beginning.desktop("logo"))
            .library();
    for (SheetKind kind : SheetKind.values()) {
      assertThat(Sheets.of(empty, Wanted.of(new About.Everything(), kind)).isEmpty()).isTrue();
    }
  }

  /** RFC 4180, read by Jackson; what a spreadsheet would work out is no formula any more. */
  @Test
  void theTableIsReadBackAndNeverComputes() throws Exception {
    Library demo = named(Sheets.demo(), "=HYPERLINK(\"x\"), \"a\"\nb");
    Sheet sheet = Sheets.of(demo, Wanted.of(new About.Everything(), SheetKind.LIST));
    List<List<String>> rows = new ArrayList<>();
    try (var it =
        new CsvMapper()
            .readerForListOf(String.class)
            .with(CsvParser.Feature.WRAP_AS_ARRAY)
            .<List<String>>readValues(sheet.csv())) {
      it.forEachRemaining(rows::add);
    }
    assertThat(rows).hasSize(sheet.contents().size() + 1);
    assertThat(rows).allMatch(r -> r.size() == 5);
    assertThat(rows.stream().flatMap(List::stream)).noneMatch(c -> c.matches("(?s)[=+\\-@].*"));
    for (int i = 0; i < sheet.contents().lines().size(); i++) {
      Contents.Line line = sheet.contents().lines().get(i);
      assertThat(rows.get(i + 1).get(1).replaceFirst("^'", "")).isEqualTo(line.does());
    }
  }

  /** The contrast formula of WCAG 2.2, 1.4.3: at least 4.5 to 1 for text. */
  @Test
  void textHasEnoughContrastByDayAndByNight() throws Exception {
    String html =
        Sheets.of(Sheets.demo(), Wanted.of(new About.Everything(), SheetKind.LIST)).html();
    String night = html.substring(html.indexOf("prefers-color-scheme: dark"));
    String day = html.substring(0, html.indexOf("prefers-color-scheme: dark"));
    for (String ink :
        List.of(colour(day, "color: (#\\w+); \\}"), colour(day, "\\.soft \\{ color: (#\\w+)"))) {
      assertThat(contrast(ink, "#FFFFFF")).as(ink).isGreaterThan(4.5);
      assertThat(contrast(ink, colour(day, "body \\{ background: (#\\w+)"))).isGreaterThan(4.5);
    }
    String dark = colour(night, "body \\{ background: (#\\w+)");
    assertThat(contrast(colour(night, "; color: (#\\w+)"), dark)).isGreaterThan(4.5);
    assertThat(contrast(colour(night, "\\.then \\{ color: (#\\w+)"), dark)).isGreaterThan(4.5);
  }

  private static String colour(String css, String pattern) {
    Matcher m = Pattern.compile(pattern).matcher(css);
    assertThat(m.find()).as(pattern).isTrue();
    return m.group(1);
  }

  private static double contrast(String one, String other) {
    double a = luminance(one);
    double b = luminance(other);
    return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
  }

  private static double luminance(String colour) {
    double[] parts = new double[3];
    for (int i = 0; i < 3; i++) {
      double c = Integer.parseInt(colour.substring(1 + 2 * i, 3 + 2 * i), 16) / 255.0;
      parts[i] = c <= 0.04045 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4);
    }
    return 0.2126 * parts[0] + 0.7152 * parts[1] + 0.0722 * parts[2];
  }

  @TempDir Path folder;

  @Test
  void filesAreWholeOrNotThere() throws Exception {
    Sheet sheet =
        Sheets.of(Sheets.demo(), Wanted.of(new About.Program("tagpress"), SheetKind.LIST));
    Path nowhere = folder.resolve("gone").resolve("list.html");
    assertThat(
            org.assertj.core.api.Assertions.catchThrowable(
                () -> SheetFile.write(sheet, SheetFile.Form.HTML, nowhere)))
        .hasMessageContaining("no such folder");
    assertThat(
            org.assertj.core.api.Assertions.catchThrowable(
                () -> SheetFile.write(sheet, SheetFile.Form.SVG, folder.resolve("list.svg"))))
        .hasMessageContaining("no picture");
    Sheet labels =
        Sheets.of(Sheets.demo(), Wanted.of(new About.OnDevice("rowan"), SheetKind.PAD_LABELS));
    List<Path> written = SheetFile.write(labels, SheetFile.Form.SVG, folder.resolve("rowan.svg"));
    assertThat(written).hasSize(labels.pictures().size()).allMatch(Files::exists);
    try (var all = Files.list(folder)) {
      assertThat(all).hasSameSizeAs(written);
    }
    for (Path p : written) {
      Sheets.parsed(Files.readString(p));
    }
  }

  /** A sheet of a program tells of what is bound everywhere for one of its routines, too. */
  @Test
  void whatIsBoundEverywhereForAProgramIsOnItsSheet() throws Exception {
    Library demo = Sheets.demo();
    Binding any =
        demo.bindings().values().stream()
            .filter(b -> b.place().applicationId().equals(java.util.Optional.of("tagpress")))
            .filter(b -> !b.triggers().isEmpty())
            .findFirst()
            .orElseThrow();
    Library moved = new Edit.PutBinding(any.withPlace(new Place.Everywhere())).on(demo);
    assertThat(
            Sheets.of(
                    moved,
                    Wanted.of(new About.Program("tagpress"), SheetKind.LIST).onlyWorking(false))
                .contents()
                .lines())
        .anyMatch(l -> l.binding().equals(any.id()));
  }

  /**
   * Law: the part that is done never falls; giving it up ends it there; watching changes nothing.
   */
  @Test
  void printingIsWatchedAndGivenUp() throws Exception {
    Sheet sheet = Sheets.of(Sheets.demo(), Wanted.of(new About.Everything(), SheetKind.LIST));
    List<Double> parts = new ArrayList<>();
    ByteArrayOutputStream watched = new ByteArrayOutputStream();
    sheet.pdf(
        watched,
        part -> {
          parts.add(part);
          return true;
        });
    assertThat(parts).isSorted().hasSizeGreaterThan(5);
    assertThat(parts.getLast()).isBetween(0.3, 0.99);
    assertThat(text(watched.toByteArray())).isEqualTo(text(Sheets.bytes(sheet)));

    List<Double> until = new ArrayList<>();
    assertThatThrownBy(
            () ->
                sheet.pdf(
                    OutputStream.nullOutputStream(),
                    part -> {
                      until.add(part);
                      return until.size() < 3;
                    }))
        .isInstanceOf(CancellationException.class);
    assertThat(until).hasSize(3);
  }

  private static String text(byte[] pdf) throws IOException {
    try (PDDocument document = Loader.loadPDF(pdf)) {
      return new PDFTextStripper().getText(document);
    }
  }
}
