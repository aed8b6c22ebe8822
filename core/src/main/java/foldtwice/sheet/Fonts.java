package foldtwice.sheet;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.TreeSet;
import org.apache.fontbox.ttf.CmapLookup;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;

/**
 * The fonts of sheets, as files and as widths. A character the first has no glyph for is taken from
 * the second, as in print.
 */
final class Fonts {

  /** A font in the jar. */
  record Face(String family, int weight, String file) {

    InputStream open() {
      return Objects.requireNonNull(
          Fonts.class.getResourceAsStream("/foldtwice/sheet/fonts/" + file), file);
    }
  }

  static final List<Face> FACES =
      List.of(
          new Face("Hanken Grotesk", 400, "hanken-grotesk-400.ttf"),
          new Face("Hanken Grotesk", 600, "hanken-grotesk-600.ttf"),
          new Face("DejaVu Sans", 400, "DejaVuSans.ttf"),
          new Face("DejaVu Sans", 600, "DejaVuSans-Bold.ttf"));

  /** How far below the top of a line as high as its type the letters stand, in its height. */
  static final double BASELINE = baseline();

  private static final double MM_PER_POINT = 25.4 / 72;

  /** More words than this stand on no line. */
  private static final int MOST_WORDS = 60;

  private static final String CUT = "\u2026";

  private static double baseline() {
    TrueTypeFont font = Once.REGULAR.loaded.getFirst().font();
    try {
      double em = font.getUnitsPerEm();
      double above = font.getHorizontalHeader().getAscender() / em;
      double below = -font.getHorizontalHeader().getDescender() / em;
      return (1 - above - below) / 2 + above;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private record Loaded(TrueTypeFont font, CmapLookup glyphs, double unitsPerEm) {}

  private static final class Once {
    static final Fonts REGULAR = new Fonts(400);
    static final Fonts BOLD = new Fonts(600);
  }

  private final List<Loaded> loaded = new ArrayList<>();

  private Fonts(int weight) {
    for (Face face : FACES) {
      if (face.weight() == weight) {
        try (InputStream in = face.open()) {
          TrueTypeFont font = new TTFParser().parse(new RandomAccessReadBuffer(in));
          loaded.add(new Loaded(font, font.getUnicodeCmapLookup(), font.getUnitsPerEm()));
        } catch (IOException e) {
          throw new UncheckedIOException("a font of the sheets: " + face.file(), e);
        }
      }
    }
  }

  static Fonts regular() {
    return Once.REGULAR;
  }

  static Fonts bold() {
    return Once.BOLD;
  }

  /** How wide a text is set, in millimetres. */
  double width(String text, double points) {
    double ems = 0;
    synchronized (loaded) { // the parsed tables are read on demand
      for (int c : text.codePoints().toArray()) {
        ems += advance(c);
      }
    }
    return ems * points * MM_PER_POINT;
  }

  private double advance(int c) {
    for (Loaded l : loaded) {
      int glyph = l.glyphs().getGlyphId(c);
      if (glyph > 0) {
        try {
          return l.font().getAdvanceWidth(glyph) / l.unitsPerEm();
        } catch (IOException e) {
          throw new UncheckedIOException(e);
        }
      }
    }
    return 1;
  }

  /** The text, or as much of its beginning as there is room for. Looks no further than that. */
  String fitted(String text, double points, double room) {
    double ems = room / (points * MM_PER_POINT);
    double cut = width(CUT, 1) / MM_PER_POINT;
    double used = 0;
    int end = 0; // as much as fits with the sign for what is cut off behind it
    synchronized (loaded) {
      for (int at = 0; at < text.length(); ) {
        int c = text.codePointAt(at);
        used += advance(c);
        if (used > ems) {
          return text.substring(0, end).stripTrailing() + CUT;
        }
        at += Character.charCount(c);
        end = used + cut <= ems ? at : end;
      }
    }
    return text;
  }

  /** The text broken at blanks into lines that fit; the last one is cut short if it must be. */
  List<String> lines(String text, double points, double room, int most) {
    List<String> lines = new ArrayList<>();
    StringBuilder line = new StringBuilder();
    List<String> words = List.of(text.strip().split("\\s+", most * MOST_WORDS));
    for (int i = 0; i < words.size(); i++) {
      String longer = line.isEmpty() ? words.get(i) : line + " " + words.get(i);
      if (line.isEmpty() || width(longer, points) <= room) {
        line.setLength(0);
        line.append(longer);
      } else if (lines.size() + 1 == most) {
        line.append(' ').append(String.join(" ", words.subList(i, words.size())));
        break;
      } else {
        lines.add(fitted(line.toString(), points, room));
        line.setLength(0);
        line.append(words.get(i));
      }
    }
    lines.add(fitted(line.toString(), points, room));
    return lines;
  }

  /** The characters of a text that no font has a glyph for. */
  Set<String> missing(String text) {
    Set<String> missing = new TreeSet<>();
    synchronized (loaded) {
      BitSet all = new BitSet();
      text.codePoints().forEach(all::set);
      all.stream()
          .filter(c -> !Character.isWhitespace(c) && !Character.isISOControl(c))
          .filter(c -> loaded.stream().allMatch(l -> l.glyphs().getGlyphId(c) <= 0))
          .forEach(c -> missing.add(Character.toString(c)));
    }
    return missing;
  }
}
