package foldtwice.surface;

import foldtwice.text.Refusals;
import java.io.ByteArrayInputStream;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/**
 * An icon of one's own, taken from an SVG: nothing of the file is kept but the outlines of its
 * shapes, as SVG path data (W3C <em>SVG 2</em>, chapters 9 and 10), and the box they lie in. What
 * could fetch, run or refer to anything is not even looked at.
 *
 * @param left the left edge of the box
 * @param path path data
 */
public record IconShape(double left, double top, double width, double height, String path) {

  /** Larger files are no icons. */
  public static final int MOST_BYTES = 64 * 1024;

  private static final String MARK = "path:";
  private static final Pattern DATA = Pattern.compile("[MmLlHhVvCcSsQqTtAaZz0-9.,eE+\\-\\s]+");
  private static final Pattern NUMBER =
      Pattern.compile("[+-]?(\\d{1,6}(\\.\\d{0,8})?|\\.\\d{1,8})(px)?");

  /** What may stand around shapes. */
  private static final Set<String> AROUND = Set.of("svg", "g");

  /** An SVG that is no icon, and why. */
  public static final class Refused extends Exception {
    private static final long serialVersionUID = 1;

    Refused(String message) {
      super(message);
    }
  }

  /** How a face writes it. */
  public String written() {
    return MARK + left + " " + top + " " + width + " " + height + "|" + path;
  }

  /** The shape a face names; empty when it names an icon by its name, or none. */
  public static Optional<IconShape> of(String icon) {
    int bar = icon.indexOf('|');
    if (!icon.startsWith(MARK) || bar < 0) {
      return Optional.empty();
    }
    String[] box = icon.substring(MARK.length(), bar).strip().split("\\s+");
    String path = icon.substring(bar + 1);
    if (box.length != 4 || !DATA.matcher(path).matches()) {
      return Optional.empty();
    }
    for (String n : box) {
      if (!NUMBER.matcher(n).matches()) {
        return Optional.empty();
      }
    }
    return Optional.of(
        new IconShape(
            Double.parseDouble(box[0]),
            Double.parseDouble(box[1]),
            Double.parseDouble(box[2]),
            Double.parseDouble(box[3]),
            path));
  }

  /**
   * Reads the shapes of an SVG.
   *
   * @throws Refused when it is no SVG, has no shapes, or has what cannot be taken as it is
   */
  public static IconShape read(byte[] svg) throws Refused {
    if (svg.length > MOST_BYTES) {
      throw new Refused(Refusals.says("surface.expected-icon-at-most", svg.length / 1024));
    }
    XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
    factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
    factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
    try {
      XMLStreamReader in = factory.createXMLStreamReader(new ByteArrayInputStream(svg));
      return shapes(in);
    } catch (XMLStreamException e) {
      Refused refused = new Refused(Refusals.says("surface.this-no-svg", first(e.getMessage())));
      refused.initCause(e);
      throw refused;
    }
  }

  private static String first(String message) {
    return message == null ? "it cannot be read" : message.replaceAll("\\s+", " ").strip();
  }

  private static IconShape shapes(XMLStreamReader in) throws XMLStreamException, Refused {
    double[] box = null;
    StringBuilder path = new StringBuilder();
    int passed = 0; // how deep inside something that is not taken
    while (in.hasNext()) {
      int event = in.next();
      if (event == XMLStreamConstants.DTD) {
        throw new Refused(Refusals.says("surface.expected-svg-without-document"));
      } else if (event == XMLStreamConstants.END_ELEMENT && passed > 0) {
        passed--;
      } else if (event == XMLStreamConstants.START_ELEMENT) {
        String name = in.getLocalName();
        if (box == null) {
          box = box(in, name);
        } else if (passed > 0 || !(AROUND.contains(name) || isShape(name))) {
          passed++;
          continue;
        }
        if (in.getAttributeValue(null, "transform") != null) {
          throw new Refused(Refusals.says("surface.expected-shapes-without-transform", name));
        }
        outline(in, name).ifPresent(d -> path.append(d).append(' '));
      }
    }
    String all = path.toString().strip();
    if (box == null || all.isEmpty()) {
      throw new Refused(Refusals.says("surface.expected-svg-with-shapes"));
    }
    if (!DATA.matcher(all).matches()) {
      throw new Refused(Refusals.says("surface.expected-path-data-found"));
    }
    return new IconShape(box[0], box[1], box[2], box[3], all);
  }

  private static boolean isShape(String name) {
    return Set.of("path", "rect", "circle", "ellipse", "line", "polyline", "polygon")
        .contains(name);
  }

  private static double[] box(XMLStreamReader in, String name) throws Refused {
    if (!name.equals("svg")) {
      throw new Refused(Refusals.says("surface.expected-svg-found", name));
    }
    String view = in.getAttributeValue(null, "viewBox");
    String[] n =
        view == null
            ? new String[] {
              "0", "0", in.getAttributeValue(null, "width"), in.getAttributeValue(null, "height")
            }
            : view.strip().split("[\\s,]+");
    if (n.length != 4) {
      throw new Refused(Refusals.says("surface.expected-viewbox-four-numbers", view));
    }
    double[] box = {number(n[0], 0), number(n[1], 0), number(n[2], 24), number(n[3], 24)};
    if (box[2] <= 0 || box[3] <= 0) {
      throw new Refused(Refusals.says("surface.expected-box-wider-and"));
    }
    return box;
  }

  private static double number(String text, double otherwise) throws Refused {
    if (text == null || text.isBlank()) {
      return otherwise;
    }
    if (!NUMBER.matcher(text.strip()).matches()) {
      throw new Refused(Refusals.says("surface.expected-number-found", text));
    }
    return Double.parseDouble(text.strip().replace("px", ""));
  }

  private static double at(XMLStreamReader in, String attribute) throws Refused {
    return number(in.getAttributeValue(null, attribute), 0);
  }

  /** A shape as path data; SVG 2, chapter 10 says how each is drawn. */
  private static Optional<String> outline(XMLStreamReader in, String name) throws Refused {
    return switch (name) {
      case "path" -> Optional.ofNullable(in.getAttributeValue(null, "d"));
      case "rect" ->
          Optional.of(
              join("M", at(in, "x"), at(in, "y"), "h", at(in, "width"), "v", at(in, "height"))
                  + join(" h", -at(in, "width"), "Z"));
      case "circle" -> Optional.of(round(at(in, "cx"), at(in, "cy"), at(in, "r"), at(in, "r")));
      case "ellipse" -> Optional.of(round(at(in, "cx"), at(in, "cy"), at(in, "rx"), at(in, "ry")));
      case "line" ->
          Optional.of(join("M", at(in, "x1"), at(in, "y1"), "L", at(in, "x2"), at(in, "y2")));
      case "polyline" -> Optional.of("M " + points(in));
      case "polygon" -> Optional.of("M " + points(in) + " Z");
      default -> Optional.empty();
    };
  }

  private static String points(XMLStreamReader in) {
    String points = in.getAttributeValue(null, "points");
    return points == null ? "" : points.strip();
  }

  private static String round(double x, double y, double rx, double ry) {
    return join("M", x - rx, y, "a", rx, ry, 0.0, "1 0", 2 * rx, 0.0)
        + join(" a", rx, ry, 0.0, "1 0", -2 * rx, 0.0, "Z");
  }

  private static String join(Object... parts) {
    StringBuilder all = new StringBuilder();
    for (Object part : parts) {
      String text =
          part instanceof Double d ? String.format(Locale.ROOT, "%.6g", d) : (String) part;
      if (!all.isEmpty()) {
        all.append(' ');
      }
      all.append(text);
    }
    return all.toString();
  }
}
