package foldtwice.sheet;

import foldtwice.atlas.Atlas;
import foldtwice.atlas.Key;
import foldtwice.resolve.Keymap;
import foldtwice.trigger.Shape;
import foldtwice.words.Legends;
import foldtwice.words.Words;
import java.util.List;
import java.util.stream.Collectors;

/**
 * The keyboard in a place with something held. Who owns a key is told by the shape in its corner: a
 * filled fold is yours, an outlined one the program's, a square the desktop's, dots begin something
 * longer, a cross is shared; a second fold says that something is wrong.
 */
final class KeyboardDrawing {

  private static final String INK = "#22303C";
  private static final String SOFT = "#556371";
  private static final String YOURS = "#1E6B5E";
  private static final String NATIVE = "#4A6076";
  private static final String BLOCKS = "#A93C2B";

  private KeyboardDrawing() {}

  /**
   * The picture.
   *
   * @param width in millimetres
   */
  static Svg of(Keymap keymap, Atlas atlas, Words words, double width, String title) {
    List<Shape.Cap> caps = keymap.station().shape().allCaps();
    double right = caps.stream().mapToDouble(c -> c.x() + c.width()).max().orElseThrow();
    double top = caps.stream().mapToDouble(Shape.Cap::y).min().orElseThrow();
    double bottom = caps.stream().mapToDouble(c -> c.y() + 1).max().orElseThrow();
    double unit = width / right;
    Svg svg = new Svg(width, (bottom - top) * unit, title);
    for (Shape.Cap cap : caps) {
      Key key = atlas.keys().get(cap.code());
      double x = cap.x() * unit + 0.25;
      double y = (cap.y() - top) * unit + 0.25;
      double w = cap.width() * unit - 0.5;
      double h = unit - 0.5;
      boolean free = key.claims().isEmpty();
      svg.box(
          x,
          y,
          w,
          h,
          0.9,
          "fill=\"#FFFFFF\" stroke=\""
              + (free ? "#C9BFAB" : "#7A6A45")
              + "\" stroke-width=\"0.22\"");
      mark(svg, key, x + w, y, unit * 0.24);
      svg.text(
          x + 0.8,
          y + unit * 0.26,
          unit * 0.5,
          "start",
          false,
          free ? SOFT : INK,
          Fonts.regular()
              .fitted(
                  Legends.of(keymap.layout(), cap.code()),
                  unit * 0.5,
                  w - (free ? 1 : unit * 0.3)));
      if (!free) {
        says(svg, key, words, x, y, w, h, unit);
      }
    }
    return svg;
  }

  private static void says(
      Svg svg, Key key, Words words, double x, double y, double w, double h, double unit) {
    String text =
        key.claims().stream()
            .limit(2)
            .map(c -> words.shortly(c.owner()))
            .distinct()
            .collect(Collectors.joining(" / "));
    double points = unit * 0.44;
    double step = points * 0.41;
    double from = y + unit * 0.33 + step * 0.8;
    int most = Math.max(1, (int) ((y + h - 0.5 - from) / step) + 1);
    List<String> lines = Fonts.regular().lines(text, points, w - 1.2, most);
    for (int i = 0; i < lines.size(); i++) {
      svg.text(x + 0.8, from + i * step, points, "start", false, INK, lines.get(i));
    }
  }

  private static void mark(Svg svg, Key key, double right, double top, double size) {
    String line = "fill=\"#FFFFFF\" stroke=\"" + NATIVE + "\" stroke-width=\"0.25\"";
    switch (key.part()) {
      case YOURS -> svg.area("fill=\"" + YOURS + "\"", fold(right, top, size));
      case NATIVE -> svg.area(line, fold(right - 0.15, top + 0.15, size - 0.15));
      case DESKTOP ->
          svg.box(right - size, top + 0.4, size - 0.4, size - 0.4, 0, "fill=\"" + INK + "\"");
      case BEGINS -> {
        for (int i = 0; i < 3; i++) {
          svg.circle(right - 0.7 - i * 0.85, top + 0.9, 0.3, "fill=\"" + YOURS + "\"");
        }
      }
      case SHARED -> {
        String cross = "stroke=\"" + BLOCKS + "\" stroke-width=\"0.4\"";
        svg.line(right - size, top + 0.4, right - 0.4, top + size, cross)
            .line(right - 0.4, top + 0.4, right - size, top + size, cross);
      }
      case FREE, TYPES, MODIFIER -> {}
    }
    if (key.trouble().isPresent()) {
      svg.area(
          "fill=\"none\" stroke=\"" + BLOCKS + "\" stroke-width=\"0.3\"",
          fold(right - 0.2, top + 0.2, size * 1.45));
    }
  }

  private static double[] fold(double right, double top, double size) {
    return new double[] {right - size, top, right, top, right, top + size};
  }

  /** What the corners mean, each mark beside its word. */
  static Svg legend(double width) {
    Svg svg = new Svg(width, 4.4, Sheet.TEXTS.get("sheet.legend"));
    double x = 0;
    for (Key.Part part :
        List.of(
            Key.Part.YOURS, Key.Part.NATIVE, Key.Part.DESKTOP, Key.Part.BEGINS, Key.Part.SHARED)) {
      Key key = new Key(part, List.of(), java.util.Optional.empty(), 0, true, 0, "");
      mark(svg, key, x + 3, 0.8, 2.8);
      String says = Sheet.TEXTS.get("sheet.legend." + part);
      svg.text(x + 4.2, 3.4, 7.5, "start", false, INK, says);
      x += 4.2 + Fonts.regular().width(says, 7.5) + 6;
    }
    Key trouble =
        new Key(
            Key.Part.FREE,
            List.of(),
            java.util.Optional.of(foldtwice.conflict.Weight.BLOCKS),
            0,
            true,
            0,
            "");
    mark(svg, trouble, x + 3, 0.4, 2.2);
    svg.text(x + 4.2, 3.4, 7.5, "start", false, INK, Sheet.TEXTS.get("sheet.legend.TROUBLE"));
    return svg;
  }
}
