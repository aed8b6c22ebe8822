package foldtwice.sheet;

import foldtwice.surface.IconShape;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** A picture under way, in SVG, one unit to the millimetre. What is put in is escaped. */
final class Svg {

  private static final double MM_PER_POINT = 25.4 / 72;

  /** Room around it, so that no edge of a line is cut off. */
  static final double AROUND = 0.5;

  private final double width;
  private final double height;
  private final String title;
  private final StringBuilder body = new StringBuilder();
  private final List<Text> texts = new ArrayList<>();

  Svg(double width, double height, String title) {
    this.width = width;
    this.height = height;
    this.title = title;
  }

  /** A number to the nearest thousandth, without zeros at its end. */
  static String n(double number) {
    long thousandths = Math.round(number * 1000);
    return BigDecimal.valueOf(thousandths, 3).stripTrailingZeros().toPlainString();
  }

  static String escaped(String text) {
    StringBuilder out = new StringBuilder();
    text.codePoints()
        .filter(Svg::isAllowed)
        .forEach(
            c -> {
              switch (c) {
                case '<' -> out.append("&lt;");
                case '>' -> out.append("&gt;");
                case '&' -> out.append("&amp;");
                case '"' -> out.append("&quot;");
                case '\'' -> out.append("&#39;");
                default -> out.appendCodePoint(c);
              }
            });
    return out.toString();
  }

  /** What may stand in an XML 1.0 document (its production 2). */
  static boolean isAllowed(int c) {
    return c == 0x9
        || c == 0xA
        || c == 0xD
        || (c >= 0x20 && c <= 0xD7FF)
        || (c >= 0xE000 && c <= 0xFFFD)
        || c >= 0x10000;
  }

  /**
   * A rectangle.
   *
   * @param style its presentation attributes, written out
   */
  Svg box(double x, double y, double w, double h, double round, String style) {
    body.append(
        String.format(
            Locale.ROOT,
            "<rect x=\"%s\" y=\"%s\" width=\"%s\" height=\"%s\" rx=\"%s\" %s/>",
            n(x),
            n(y),
            n(w),
            n(h),
            n(round),
            style));
    return this;
  }

  /** An outline through points, closed. */
  Svg area(String style, double... xy) {
    body.append("<polygon points=\"");
    for (int i = 0; i < xy.length; i += 2) {
      body.append(i > 0 ? " " : "").append(n(xy[i])).append(',').append(n(xy[i + 1]));
    }
    body.append("\" ").append(style).append("/>");
    return this;
  }

  Svg line(double x1, double y1, double x2, double y2, String style) {
    body.append(
        String.format(
            Locale.ROOT,
            "<line x1=\"%s\" y1=\"%s\" x2=\"%s\" y2=\"%s\" %s/>",
            n(x1),
            n(y1),
            n(x2),
            n(y2),
            style));
    return this;
  }

  Svg circle(double x, double y, double r, String style) {
    body.append(
        String.format(
            Locale.ROOT, "<circle cx=\"%s\" cy=\"%s\" r=\"%s\" %s/>", n(x), n(y), n(r), style));
    return this;
  }

  /**
   * A line of text.
   *
   * @param anchor start, middle or end
   * @param bold in the heavier weight
   */
  Svg text(
      double x, double y, double points, String anchor, boolean bold, String colour, String says) {
    texts.add(new Text(x, y, points, anchor, bold, colour, says));
    return this;
  }

  /** A line of text, which a page sets itself so that it can be searched. */
  private record Text(
      double x, double y, double points, String anchor, boolean bold, String colour, String says) {

    String inSvg() {
      return String.format(
              Locale.ROOT,
              "<text x=\"%s\" y=\"%s\" font-family=\"'Hanken Grotesk','DejaVu Sans',sans-serif\""
                  + " font-size=\"%s\" font-weight=\"%s\" text-anchor=\"%s\" fill=\"%s\">",
              n(x),
              n(y),
              n(points * MM_PER_POINT),
              bold ? "600" : "400",
              anchor,
              colour)
          + escaped(says)
          + "</text>";
    }

    String onPage() {
      Fonts fonts = bold ? Fonts.bold() : Fonts.regular();
      double width = fonts.width(says, points);
      double left =
          switch (anchor) {
            case "middle" -> x - width / 2;
            case "end" -> x - width;
            default -> x;
          };
      return String.format(
              Locale.ROOT,
              "<span style=\"left:%smm;top:%smm;font-size:%spt;color:%s%s\">",
              n(left + AROUND),
              n(y + AROUND - Fonts.BASELINE * points * MM_PER_POINT),
              n(points),
              colour,
              bold ? ";font-weight:600" : "")
          + escaped(says)
          + "</span>";
    }
  }

  /** An icon of one's own, fitted into a square. */
  Svg icon(IconShape icon, double x, double y, double size, String colour) {
    double scale = size / Math.max(icon.width(), icon.height());
    body.append(
        String.format(
            Locale.ROOT,
            "<path transform=\"translate(%s %s) scale(%s) translate(%s %s)\" fill=\"%s\" d=\"%s\"/>",
            n(x + (size - icon.width() * scale) / 2),
            n(y + (size - icon.height() * scale) / 2),
            String.format(Locale.ROOT, "%.6f", scale),
            n(-icon.left()),
            n(-icon.top()),
            colour,
            escaped(icon.path())));
    return this;
  }

  /** How high the element is, in millimetres. */
  double outerHeight() {
    return height + 2 * AROUND;
  }

  /** The picture as a document of its own. */
  String document() {
    StringBuilder all = new StringBuilder(body);
    texts.forEach(t -> all.append(t.inSvg()));
    return "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n" + element(all);
  }

  /** The picture as a part of a page, its texts set over it. */
  String onPage() {
    StringBuilder all = new StringBuilder();
    all.append(
            String.format(
                Locale.ROOT,
                "<div class=\"picture\" style=\"width:%smm;height:%smm\">",
                n(width + 2 * AROUND),
                n(height + 2 * AROUND)))
        .append(element(body));
    texts.forEach(t -> all.append(t.onPage()));
    return all.append("</div>").toString();
  }

  private String element(CharSequence inside) {
    return String.format(
        Locale.ROOT,
        "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%smm\" height=\"%smm\""
            + " viewBox=\"%s %s %s %s\" role=\"img\" aria-label=\"%s\"><title>%s</title>%s</svg>",
        n(width + 2 * AROUND),
        n(height + 2 * AROUND),
        n(-AROUND),
        n(-AROUND),
        n(width + 2 * AROUND),
        n(height + 2 * AROUND),
        escaped(title),
        escaped(title),
        inside);
  }
}
