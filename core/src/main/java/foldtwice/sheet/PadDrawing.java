package foldtwice.sheet;

import foldtwice.surface.Device;
import foldtwice.surface.Face;
import foldtwice.surface.Page;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/** Devices in pictures. */
final class PadDrawing {

  /** The distance between the keys of a keyboard: 3/4 inch, common practice. */
  static final double PITCH = 19.05;

  private static final String INK = "#22303C";
  private static final String SOFT = "#556371";
  private static final String EDGE = "fill=\"#FFFFFF\" stroke=\"#7A6A45\" stroke-width=\"0.25\"";
  private static final String CUT = "stroke=\"#22303C\" stroke-width=\"0.15\"";

  /** The colours of faces. */
  private static final Map<String, String> COLOURS =
      Map.of(
          "fern", "#5C8A3C",
          "clay", "#B5532F",
          "heather", "#7A5BA6",
          "stone", "#7A7468");

  private PadDrawing() {}

  /**
   * A page of a device as it lies there, in a given width.
   *
   * @param does what a key does, by its id; empty for nothing
   */
  static Svg page(Device device, Page page, double width, Function<String, String> does) {
    double right = device.keys().stream().mapToDouble(k -> k.x() + k.width()).max().orElse(1);
    double bottom = device.keys().stream().mapToDouble(k -> k.y() + k.height()).max().orElse(1);
    right = Math.max(right, device.dials().stream().mapToDouble(d -> d.x() + 1).max().orElse(1));
    bottom = Math.max(bottom, device.dials().stream().mapToDouble(d -> d.y() + 1).max().orElse(1));
    double unit = width / right;
    Svg svg = new Svg(width, bottom * unit, device.name() + " " + page.name());
    double points = Math.clamp(unit * 0.52, 4.5, 7.5);
    for (Device.Cap k : device.keys()) {
      double x = k.x() * unit;
      double y = k.y() * unit;
      double w = k.width() * unit;
      double h = k.height() * unit;
      svg.box(x, y, w, h, 0.8, EDGE);
      Face face = page.face(k.id());
      corner(svg, face, x + w, y);
      String text = face.label().isEmpty() ? does.apply(k.id()) : face.label();
      lines(svg, text, x, y, w, h, points);
    }
    for (Device.Knob d : device.dials()) {
      double r = unit * 0.42;
      svg.circle((d.x() + 0.5) * unit, (d.y() + 0.5) * unit, r, EDGE);
      svg.line(
          (d.x() + 0.5) * unit,
          (d.y() + 0.5) * unit - r,
          (d.x() + 0.5) * unit,
          (d.y() + 0.5) * unit - r / 2,
          CUT);
    }
    return svg;
  }

  private static void corner(Svg svg, Face face, double x, double y) {
    String colour = COLOURS.get(face.colour());
    if (colour != null) {
      svg.area("fill=\"" + colour + "\"", x - 2.4, y, x, y, x, y + 2.4);
    }
  }

  private static void lines(
      Svg svg, String text, double x, double y, double w, double h, double points) {
    if (text.isEmpty()) {
      return;
    }
    double step = points * 0.42;
    int most = Math.max(1, (int) ((h - 1) / step));
    List<String> lines = Fonts.regular().lines(text, points, w - 1.2, most);
    double top = y + (h - lines.size() * step) / 2 + step * 0.78;
    for (int i = 0; i < lines.size(); i++) {
      svg.text(x + w / 2, top + i * step, points, "middle", false, INK, lines.get(i));
    }
  }

  /** A label to cut out: exactly as large as its key, its corners marked outside of it. */
  static Svg label(Device.Cap key, Face face, String does) {
    double w = key.width() * PITCH;
    double h = key.height() * PITCH;
    double mark = 2;
    Svg svg = new Svg(w + 2 * mark, h + 2 * mark, face.label().isEmpty() ? does : face.label());
    svg.box(mark, mark, w, h, 0, "fill=\"#FFFFFF\" stroke=\"#D9CFBC\" stroke-width=\"0.1\"");
    String colour = COLOURS.get(face.colour());
    if (colour != null) {
      svg.box(mark, mark + h - 1.6, w, 1.6, 0, "fill=\"" + colour + "\"");
    }
    for (double x : new double[] {mark, mark + w}) {
      svg.line(x, 0, x, mark - 0.5, CUT).line(x, h + mark + 0.5, x, h + 2 * mark, CUT);
    }
    for (double y : new double[] {mark, mark + h}) {
      svg.line(0, y, mark - 0.5, y, CUT).line(w + mark + 0.5, y, w + 2 * mark, y, CUT);
    }
    String title = face.label().isEmpty() ? does : face.label();
    List<String> top = Fonts.bold().lines(title, 8, w - 2, 2);
    for (int i = 0; i < top.size(); i++) {
      svg.text(mark + w / 2, mark + 4.6 + i * 3.4, 8, "middle", true, INK, top.get(i));
    }
    if (!face.label().isEmpty() && !does.isEmpty() && !does.equals(title)) {
      double from = mark + 5.4 + top.size() * 3.4;
      int most = (int) ((mark + h - 2.2 - from) / 2.4) + 1;
      List<String> under = Fonts.regular().lines(does, 5.5, w - 2, Math.max(1, most));
      for (int i = 0; i < under.size(); i++) {
        svg.text(mark + w / 2, from + i * 2.4, 5.5, "middle", false, SOFT, under.get(i));
      }
    }
    return svg;
  }
}
