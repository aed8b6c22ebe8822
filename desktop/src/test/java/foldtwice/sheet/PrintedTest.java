package foldtwice.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import foldtwice.library.Library;
import foldtwice.surface.Device;
import foldtwice.surface.Page;
import java.awt.Color;
import java.awt.geom.Point2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.apache.pdfbox.contentstream.PDFGraphicsStreamEngine;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.graphics.image.PDImage;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.pdfbox.text.TextPosition;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What comes out of the printer, read back by Apache PDFBox. */
class PrintedTest {

  private static final double MM = 72 / 25.4;

  private static String plain(String text) {
    return text.replaceAll("\\s+", "").toLowerCase(Locale.ROOT);
  }

  private static Wanted wanted(SheetKind kind) {
    return Wanted.of(
        kind == SheetKind.PAD_LABELS ? new About.OnDevice("rowan") : new About.Program("tagpress"),
        kind);
  }

  /**
   * ISO 216 and US Letter, the fonts inside the file, and no sign for a glyph that is not there.
   */
  @ParameterizedTest
  @EnumSource(SheetKind.class)
  void pagesHaveTheirSizeAndBringTheirFonts(SheetKind kind) throws Exception {
    Library demo = Printed.demo();
    for (Paper paper : Paper.values()) {
      Sheet sheet = Printed.of(demo, wanted(kind).on(paper));
      assertThat(sheet.missing()).isEmpty();
      try (PDDocument pdf = Printed.printed(sheet)) {
        assertThat(pdf.getNumberOfPages()).isPositive();
        for (PDPage page : pdf.getPages()) {
          boolean lies = kind.lies();
          var box = page.getMediaBox();
          assertThat(box.getWidth() / MM)
              .isCloseTo(lies ? paper.height() : paper.width(), within(0.1));
          assertThat(box.getHeight() / MM)
              .isCloseTo(lies ? paper.width() : paper.height(), within(0.1));
          for (COSName name : page.getResources().getFontNames()) {
            PDFont font = page.getResources().getFont(name);
            assertThat(font.isEmbedded()).as(font.getName()).isTrue();
          }
        }
      }
    }
  }

  /** Every line is there, in the order of the contents. */
  @ParameterizedTest
  @EnumSource(
      value = SheetKind.class,
      names = {"LIST", "POCKET_CARD"})
  void everyLineIsOnIt(SheetKind kind) throws Exception {
    Sheet sheet = Printed.of(Printed.demo(), wanted(kind));
    assertThat(sheet.contents().size()).isGreaterThan(60);
    assertThat(sheet.left()).isZero();
    String read;
    try (PDDocument pdf = Printed.printed(sheet)) {
      read = plain(new PDFTextStripper().getText(pdf));
    }
    int from = 0;
    for (Contents.Line line : sheet.contents().lines()) {
      String does = plain(line.does());
      if (kind == SheetKind.LIST) {
        int at = read.indexOf(does, from);
        assertThat(at).as(line.does()).isNotNegative();
        from = at;
      } else if (!(line.trigger() instanceof foldtwice.trigger.Trigger.PadKey)) {
        assertThat(read).as(line.does()).contains(does);
      }
    }
  }

  /**
   * Folded along both creases every leaf is upright: whatever stands above the first crease goes
   * over it to the back, which turns it upside down; the second turns nothing.
   */
  @ParameterizedTest
  @EnumSource(Paper.class)
  void everyLeafOfAPocketCardIsUprightWhenFolded(Paper paper) throws Exception {
    Sheet sheet = Printed.of(Printed.demo(), wanted(SheetKind.POCKET_CARD).on(paper));
    List<TextPosition> all = new ArrayList<>();
    PDFTextStripper reader =
        new PDFTextStripper() {
          @Override
          protected void processTextPosition(TextPosition text) {
            if (!text.getUnicode().isBlank()) {
              all.add(text);
            }
          }
        };
    try (PDDocument pdf = Printed.printed(sheet)) {
      assertThat(pdf.getNumberOfPages()).isEqualTo(1);
      reader.getText(pdf);
    }
    assertThat(all).hasSizeGreaterThan(800);
    double margin = PocketCard.MARGIN - 0.1;
    int[] leaves = new int[4];
    for (TextPosition t : all) {
      double x = t.getTextMatrix().getTranslateX() / MM;
      double y = paper.height() - t.getTextMatrix().getTranslateY() / MM; // from the top
      boolean above = y < paper.height() / 2;
      double across = t.getTextMatrix().getScaleX(); // the way the letter runs
      double[] after = folded(across > 0 ? 1 : -1, above);
      assertThat(after[0]).as("%s at %s %s", t.getUnicode(), x, y).isEqualTo(1);
      if (t.getFontSizeInPt() > 6.2 || above) { // the words at the creases are on the creases
        double fromEdge = Math.min(Math.min(x, paper.width() - x), Math.min(y, paper.height() - y));
        assertThat(fromEdge).as("%s at %s %s", t.getUnicode(), x, y).isGreaterThan(margin - 3);
      }
      leaves[(above ? 0 : 2) + (x < paper.width() / 2 ? 0 : 1)]++;
    }
    assertThat(leaves).as("text on all four leaves").doesNotContain(0);
  }

  /** Where a letter stands there is ink: nothing lies over it, and it is not white on white. */
  @ParameterizedTest
  @EnumSource(SheetKind.class)
  void everyLetterCanBeSeen(SheetKind kind) throws Exception {
    Sheet sheet = Printed.of(Printed.demo(), wanted(kind));
    double dots = 220;
    List<TextPosition> letters = new ArrayList<>();
    PDFTextStripper reader =
        new PDFTextStripper() {
          @Override
          protected void processTextPosition(TextPosition text) {
            if (text.getUnicode().matches("\\p{L}|\\p{N}")) {
              letters.add(text);
            }
          }
        };
    try (PDDocument pdf = Printed.printed(sheet)) {
      reader.setStartPage(1);
      reader.setEndPage(1);
      reader.getText(pdf);
      BufferedImage page = new PDFRenderer(pdf).renderImageWithDPI(0, (float) dots);
      assertThat(letters).hasSizeGreaterThan(60);
      for (TextPosition t : letters) {
        double x = t.getTextMatrix().getTranslateX() * dots / 72;
        double y = page.getHeight() - t.getTextMatrix().getTranslateY() * dots / 72;
        boolean upright = t.getTextMatrix().getScaleX() > 0;
        int w = (int) Math.ceil(t.getWidthDirAdj() * dots / 72);
        int h = (int) Math.ceil(t.getFontSizeInPt() * 0.7 * dots / 72);
        int left = (int) (upright ? x : x - w);
        int top = (int) (upright ? y - h : y);
        assertThat(darkest(page, left, top, w + 1, h + 1))
            .as("%s at %.0f %.0f", t.getUnicode(), x, y)
            .isLessThan(170);
      }
    }
  }

  private static int darkest(BufferedImage page, int left, int top, int w, int h) {
    int darkest = 255;
    for (int x = Math.max(0, left); x < Math.min(page.getWidth(), left + w); x++) {
      for (int y = Math.max(0, top); y < Math.min(page.getHeight(), top + h); y++) {
        Color c = new Color(page.getRGB(x, y));
        darkest = Math.min(darkest, (c.getRed() + c.getGreen() + c.getBlue()) / 3);
      }
    }
    return darkest;
  }

  /** The direction of reading after the folds, as whoever holds the card sees it. */
  private static double[] folded(double across, boolean above) {
    double[] way = {across, 0, 0};
    if (above) {
      way = new double[] {way[0], -way[1], -way[2]}; // half a turn about the horizontal crease
      way = new double[] {-way[0], way[1], -way[2]}; // looked at from behind
    }
    return way;
  }

  /** Boxes that are drawn on a page, in millimetres. */
  private static final class Boxes extends PDFGraphicsStreamEngine {
    private final List<double[]> found = new ArrayList<>();
    private double left = Double.MAX_VALUE;
    private double right = -Double.MAX_VALUE;
    private double bottom = Double.MAX_VALUE;
    private double top = -Double.MAX_VALUE;

    Boxes(PDPage page) {
      super(page);
    }

    private void at(double x, double y) {
      left = Math.min(left, x);
      right = Math.max(right, x);
      bottom = Math.min(bottom, y);
      top = Math.max(top, y);
    }

    private void end() {
      if (right > left) {
        found.add(new double[] {(right - left) / MM, (top - bottom) / MM});
      }
      left = bottom = Double.MAX_VALUE;
      right = top = -Double.MAX_VALUE;
    }

    @Override
    public void appendRectangle(Point2D a, Point2D b, Point2D c, Point2D d) {
      for (Point2D p : List.of(a, b, c, d)) {
        at(p.getX(), p.getY());
      }
    }

    @Override
    public void moveTo(float x, float y) {
      at(x, y);
    }

    @Override
    public void lineTo(float x, float y) {
      at(x, y);
    }

    @Override
    public void curveTo(float x1, float y1, float x2, float y2, float x3, float y3) {
      at(x3, y3);
    }

    @Override
    public Point2D getCurrentPoint() {
      return new Point2D.Double(left, bottom);
    }

    @Override
    public void closePath() {}

    @Override
    public void endPath() {
      end();
    }

    @Override
    public void strokePath() {
      end();
    }

    @Override
    public void fillPath(int windingRule) {
      end();
    }

    @Override
    public void fillAndStrokePath(int windingRule) {
      end();
    }

    @Override
    public void shadingFill(COSName shadingName) {}

    @Override
    public void clip(int windingRule) {}

    @Override
    public void drawImage(PDImage image) {}
  }

  private static List<double[]> boxes(PDPage page) throws IOException {
    Boxes boxes = new Boxes(page);
    boxes.processPage(page);
    return boxes.found;
  }

  /** 3/4 inch to the key width (common practice): to a tenth of a millimetre. */
  @org.junit.jupiter.api.Test
  void padLabelsAreAsLargeAsTheirKeys() throws Exception {
    Library demo = Printed.demo();
    Device rowan = demo.device("rowan").orElseThrow();
    Page labels = rowan.firstPage();
    long keys =
        rowan.keys().stream()
            .filter(k -> !labels.face(k.id()).label().isEmpty() || labels.sends(k.id()).isPresent())
            .count();
    try (PDDocument pdf =
        Printed.printed(
            Printed.of(demo, Wanted.of(new About.OnDevice("rowan"), SheetKind.PAD_LABELS)))) {
      long right =
          boxes(pdf.getPage(0)).stream()
              .filter(b -> Math.abs(b[0] - 19.05) < 0.1 && Math.abs(b[1] - 19.05) < 0.1)
              .count();
      assertThat(right).isGreaterThanOrEqualTo(keys);
    }
  }
}
