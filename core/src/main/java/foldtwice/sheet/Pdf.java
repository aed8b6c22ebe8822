package foldtwice.sheet;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FSFontUseCase;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfBoxRenderer;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import com.openhtmltopdf.util.XRLog;
import java.io.IOException;
import java.io.OutputStream;
import java.util.EnumSet;
import java.util.logging.Level;
import org.apache.pdfbox.pdmodel.PDDocument;

/** Prints a document. Nothing it names is fetched. */
final class Pdf {

  static {
    if (System.getProperty("java.awt.headless") == null) {
      System.setProperty("java.awt.headless", "true"); // it draws, and needs no screen for that
    }
    XRLog.listRegisteredLoggers().forEach(l -> XRLog.setLevel(l, Level.SEVERE));
  }

  /** What is in the page already needs no fetching. */
  private static final String PICTURE = "data:image/png;base64,";

  private Pdf() {}

  /**
   * Prints.
   *
   * @param imprint what the document keeps of itself
   * @throws java.util.concurrent.CancellationException when the watch gives it up
   */
  static void write(String xhtml, String imprint, OutputStream out, Watch watch)
      throws IOException {
    PdfRendererBuilder builder = new PdfRendererBuilder();
    for (Fonts.Face face : Fonts.FACES) {
      builder.useFont(
          face::open,
          face.family(),
          face.weight(),
          FontStyle.NORMAL,
          true,
          EnumSet.of(FSFontUseCase.DOCUMENT, FSFontUseCase.SVG));
    }
    builder.useSVGDrawer(new BatikSVGDrawer());
    builder.useUriResolver((base, uri) -> uri.startsWith(PICTURE) ? uri : null);
    builder.useUnicodeLineBreaker(new Breaks(xhtml, watch));
    builder.withProducer("Fold Twice");
    builder.withHtmlContent(xhtml, "");
    try (PdfBoxRenderer renderer = builder.buildPdfRenderer();
        PDDocument document = renderer.createPDFKeepOpen()) {
      document.getDocumentInformation().setCustomMetadataValue(Imprint.NAME, imprint);
      document.save(out);
    }
  }
}
