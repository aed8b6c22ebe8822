package foldtwice.sheet;

import foldtwice.surface.Face;
import foldtwice.surface.IconShape;
import foldtwice.surface.RadialMenu;
import foldtwice.surface.Toolbar;
import foldtwice.trigger.Direction;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import java.util.function.IntFunction;

/** Toolbars and radial menus in pictures. */
final class ButtonDrawing {

  /** Buttons in a row; a longer toolbar goes on below. */
  private static final int IN_ROW = 8;

  private static final double WIDE = 21;
  private static final double HIGH = 15;
  private static final double BETWEEN = 1;
  private static final double GROUPS = 3;

  private static final String INK = "#22303C";
  private static final String SOFT = "#556371";
  private static final String LINE = "fill=\"#FFFFFF\" stroke=\"#7A6A45\" stroke-width=\"0.25\"";
  private static final String EMPTY =
      "fill=\"none\" stroke=\"#B8A988\" stroke-width=\"0.25\" stroke-dasharray=\"1 0.8\"";

  private ButtonDrawing() {}

  /**
   * A toolbar as it lies there, its buttons numbered.
   *
   * @param does what a button does, by its slot; empty for nothing
   */
  static Svg toolbar(Toolbar bar, IntFunction<String> does) {
    int rows = (bar.slots() + IN_ROW - 1) / IN_ROW;
    double width = x(bar, IN_ROW - 1) + WIDE;
    Svg svg = new Svg(width, rows * (HIGH + BETWEEN) - BETWEEN, bar.name());
    for (int slot = 1; slot <= bar.slots(); slot++) {
      double x = x(bar, (slot - 1) % IN_ROW);
      int row = (slot - 1) / IN_ROW;
      double y = row * (HIGH + BETWEEN);
      String says = does.apply(slot);
      Face face = bar.face(slot);
      boolean empty = says.isEmpty() && face.equals(Face.PLAIN);
      svg.box(x, y, WIDE, HIGH, 0.8, empty ? EMPTY : LINE);
      svg.text(x + 1, y + 2.6, 5, "start", false, SOFT, Integer.toString(slot));
      if (!empty) {
        inside(svg, face, says, x, y + 2.4, WIDE, HIGH - 3);
      }
    }
    return svg;
  }

  /** The left edge of the button in a column; groups of buttons are a gap apart. */
  private static double x(Toolbar bar, int column) {
    int gaps = bar.group() > 0 && bar.group() < IN_ROW ? column / bar.group() : 0;
    return column * (WIDE + BETWEEN) + gaps * GROUPS;
  }

  /** One line of what is written inside a button. */
  private record Written(String text, double points, boolean bold) {
    double step() {
      return points * 0.42;
    }
  }

  /** Icon, label and what it does, one under the other, in the middle. */
  private static void inside(
      Svg svg, Face face, String says, double x, double y, double w, double h) {
    var icon = IconShape.of(face.icon());
    double iconHigh = icon.isPresent() ? 4.8 : 0;
    String title = face.label().isEmpty() ? says : face.label();
    boolean both = !face.label().isEmpty() && !says.isEmpty() && !says.equals(title);
    List<Written> lines = new ArrayList<>();
    Fonts.bold()
        .lines(title, 6.5, w - 1.6, both ? 1 : Math.max(1, (int) ((h - iconHigh) / 2.8)))
        .forEach(l -> lines.add(new Written(l, 6.5, true)));
    int room = (int) ((h - iconHigh - lines.size() * 2.8) / 2.3);
    if (both && room > 0) {
      Fonts.regular()
          .lines(says, 5.2, w - 1.6, room)
          .forEach(l -> lines.add(new Written(l, 5.2, false)));
    }
    double high = iconHigh + lines.stream().mapToDouble(Written::step).sum();
    double top = y + (h - high) / 2;
    if (icon.isPresent()) {
      svg.icon(icon.get(), x + w / 2 - 2, top, 4, INK);
      top += iconHigh;
    }
    for (Written l : lines) {
      top += l.step();
      svg.text(
          x + w / 2,
          top - l.step() * 0.2,
          l.points(),
          "middle",
          l.bold(),
          l.bold() ? INK : SOFT,
          l.text());
    }
  }

  /** A radial menu: its choices where the pointer goes for them. */
  static Svg radial(RadialMenu menu, Function<Direction, String> does) {
    double wide = 40;
    double high = 11;
    double across = wide + 7;
    double width = 2 * across + wide;
    double height = 5 * (high + 1.5);
    double cx = width / 2;
    double cy = height / 2;
    Svg svg = new Svg(width, height, menu.name());
    for (Direction d : Direction.values()) {
      String says = does.apply(d);
      Face face = menu.face(d);
      boolean empty = says.isEmpty() && face.equals(Face.PLAIN);
      double mx = cx + d.across() * across;
      double my = cy + d.down() * (d.across() == 0 ? 2 : 1) * (high + 1.5);
      double ex = mx - d.across() * wide / 2;
      double ey = my - (d.across() == 0 ? d.down() * high / 2 : 0);
      double way = Math.hypot(ex - cx, ey - cy);
      svg.line(
          cx + (ex - cx) / way * 4,
          cy + (ey - cy) / way * 4,
          ex,
          ey,
          String.format(
              Locale.ROOT, "stroke=\"%s\" stroke-width=\"0.3\"", empty ? "#D9CFBC" : "#7A6A45"));
      svg.box(mx - wide / 2, my - high / 2, wide, high, 2, empty ? EMPTY : LINE);
      if (!empty) {
        inside(svg, face, says, mx - wide / 2, my - high / 2 + 0.6, wide, high - 1.2);
      }
    }
    svg.circle(cx, cy, 4, "fill=\"#FFFFFF\" stroke=\"#22303C\" stroke-width=\"0.4\"");
    return svg;
  }
}
