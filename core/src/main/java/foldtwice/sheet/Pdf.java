package foldtwice.sheet;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FSFontUseCase;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import com.openhtmltopdf.util.XRLog;
import java.io.IOException;
import java.io.OutputStream;
import java.util.EnumSet;
import java.util.logging.Level;

/** Prints a document. Nothing it names is fetched. */
final class Pdf {

  static {
    if (System.getProperty("java.awt.headless") == null) {
      System.setProperty("java.awt.headless", "true"); // it draws, and needs no screen for that
    }
    XRLog.listRegisteredLoggers().forEach(l -> XRLog.setLevel(l, Level.SEVERE));
  }

  private Pdf() {}

  static void write(String xhtml, String title, OutputStream out) throws IOException {
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
    builder.useUriResolver((base, uri) -> null);
    builder.withProducer("Fold Twice");
    builder.withHtmlContent(xhtml, "");
    builder.toStream(out);
    builder.run();
  }
}
