package foldtwice.desktop.handover;

import foldtwice.conflict.Conflict;
import foldtwice.conflict.Subject;
import foldtwice.sheet.Sheet;
import foldtwice.sheet.Wanted;
import foldtwice.sheet.Watch;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;

/**
 * A sheet as it will print: the printed document itself, drawn.
 *
 * @param pdf the document; nothing when the sheet has nothing on it
 * @param pages how many it has
 */
record Preview(Sheet sheet, Optional<byte[]> pdf, int pages) {

  /** The dots to the inch of what is sent to a printer. */
  static final int PRINTER = 220;

  /** One page as a picture. */
  record Page(int number, WritableImage picture) {}

  /** Makes the sheet and prints it to memory. Takes up to seconds; not on the interface thread. */
  static Preview of(
      Subject subject, List<Conflict> conflicts, Wanted wanted, Sheet.Shown shown, Watch watch) {
    Sheet sheet =
        Sheet.of(subject, conflicts, wanted, LocalDate.now(ZoneId.systemDefault()), shown);
    if (sheet.isEmpty()) {
      return new Preview(sheet, Optional.empty(), 0);
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try {
      sheet.pdf(out, watch);
      byte[] pdf = out.toByteArray();
      try (PDDocument document = Loader.loadPDF(pdf)) {
        return new Preview(sheet, Optional.of(pdf), document.getNumberOfPages());
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /**
   * Draws a page. Not on the interface thread.
   *
   * @param number counted from 1
   */
  Page page(int number, double dotsPerInch) {
    try (PDDocument document = Loader.loadPDF(pdf.orElseThrow())) {
      BufferedImage drawn =
          new PDFRenderer(document).renderImageWithDPI(number - 1, (float) dotsPerInch);
      int w = drawn.getWidth();
      int h = drawn.getHeight();
      WritableImage picture = new WritableImage(w, h);
      picture
          .getPixelWriter()
          .setPixels(
              0,
              0,
              w,
              h,
              PixelFormat.getIntArgbInstance(),
              opaque(drawn.getRGB(0, 0, w, h, null, 0, w)),
              0,
              w);
      return new Page(number, picture);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static int[] opaque(int[] pixels) {
    for (int i = 0; i < pixels.length; i++) {
      pixels[i] |= 0xFF000000;
    }
    return pixels;
  }
}
