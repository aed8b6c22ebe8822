package foldtwice.desktop.parts;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javafx.scene.text.Font;
import javafx.scene.text.Text;

/**
 * Lays words into a small room: broken only between words, a word that is too long for a line cut
 * at its end. Used on the interface thread.
 */
public final class Fitting {

  private static final String CUT = "\u2026";
  private static final int KEPT = 4_000;

  private final Text measure = new Text();
  private final Map<String, Double> widths = new HashMap<>();

  public Fitting(Font font) {
    measure.setFont(font);
  }

  /**
   * The text in lines.
   *
   * @param width of a line, in pixels
   * @param most lines there is room for; what does not fit is cut with a sign for it
   */
  public String lines(String text, double width, int most) {
    List<String> lines = new ArrayList<>();
    StringBuilder line = new StringBuilder();
    boolean more = false;
    for (String word : text.strip().split("\\s+")) {
      String longer = line.isEmpty() ? word : line + " " + word;
      if (!line.isEmpty() && width(longer) > width) {
        if (lines.size() + 1 >= most) {
          more = true;
          break;
        }
        lines.add(line.toString());
        line.setLength(0);
        longer = word;
      }
      line.setLength(0);
      line.append(cut(longer, width));
    }
    lines.add(more ? cut(line + CUT, width) : line.toString());
    return String.join("\n", lines);
  }

  /** The text, cut at its end where it is too long. */
  private String cut(String text, double width) {
    if (width(text) <= width) {
      return text;
    }
    String kept = text.endsWith(CUT) ? text.substring(0, text.length() - 1) : text;
    while (kept.length() > 1 && width(kept + CUT) > width) {
      kept = kept.substring(0, kept.length() - 1).stripTrailing();
    }
    return kept + CUT;
  }

  private double width(String text) {
    if (widths.size() > KEPT) {
      widths.clear();
    }
    return widths.computeIfAbsent(
        text,
        t -> {
          measure.setText(t);
          return measure.getLayoutBounds().getWidth();
        });
  }
}
