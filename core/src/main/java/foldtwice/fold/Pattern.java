package foldtwice.fold;

import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;

/**
 * A routine taken apart as a whole: its shape, equal for routines that are equal but for constants,
 * and the constants in their order.
 *
 * @param names a name for each constant
 */
record Pattern(String shape, List<Constant> constants, List<String> names) {

  private static final java.util.regex.Pattern SCRIPT =
      java.util.regex.Pattern.compile(
          "//[^\n]*|/\\*(?s:.*?)\\*/|'[^'\\\\\n]*'|\"[^\"\\\\\n]*\"|\\b\\d{1,9}\\b|[\\w$]+|\\s+|[^\\w\\s]");

  /** Empty for what cannot be taken apart. */
  static Optional<Pattern> of(Routine routine) {
    return switch (routine) {
      case Routine.Macro m -> Optional.of(macro(m.steps()));
      case Routine.Script s -> script(s.source());
      case Routine.PluginAction p -> Optional.empty();
      case Routine.Stored c -> Optional.empty();
    };
  }

  private static Pattern macro(List<Line> lines) {
    StringBuilder shape = new StringBuilder();
    List<Constant> constants = new ArrayList<>();
    List<String> names = new ArrayList<>();
    walk(lines, shape, constants, names);
    return new Pattern(shape.toString(), constants, names);
  }

  private static void walk(
      List<Line> lines, StringBuilder shape, List<Constant> constants, List<String> names) {
    for (Line line : lines) {
      Token token = head(line);
      shape.append('\u0003').append(token.shape());
      for (Token.Slot slot : token.slots()) {
        constants.add(((Token.Slot.Fixed) slot).constant());
      }
      if (!token.slots().isEmpty()) {
        names.addAll(token.names());
      }
      if (line.on()) {
        for (List<Line> body : line.step().bodies()) {
          shape.append('\u0004');
          walk(body, shape, constants, names);
          shape.append('\u0005');
        }
      }
    }
  }

  /** A line without the lines inside it; one that is off stays whole. */
  private static Token head(Line line) {
    return Token.of(
        line.on()
            ? line.with(
                line.step()
                    .withBodies(line.step().bodies().stream().map(b -> List.<Line>of()).toList()))
            : line);
  }

  /** The lines with other things in the places of the constants. */
  static List<Line> written(List<Line> lines, Iterator<Token.Slot> slots) {
    List<Line> out = new ArrayList<>();
    for (Line line : lines) {
      Token token = head(line);
      Line written = token.with(token.slots().stream().map(s -> slots.next()).toList()).written();
      List<List<Line>> bodies = new ArrayList<>();
      if (line.on()) {
        line.step().bodies().forEach(b -> bodies.add(written(b, slots)));
      }
      out.add(bodies.isEmpty() ? written : written.with(written.step().withBodies(bodies)));
    }
    return out;
  }

  /** By its words; a script with a slash outside of comments is left alone: it may be anything. */
  private static Optional<Pattern> script(String source) {
    StringBuilder shape = new StringBuilder();
    List<Constant> constants = new ArrayList<>();
    List<String> names = new ArrayList<>();
    Matcher words = SCRIPT.matcher(source);
    while (words.find()) {
      String word = words.group();
      if (word.isBlank() || word.startsWith("//") || word.startsWith("/*")) {
        continue;
      }
      if (word.equals("/") || word.equals("`") || word.equals("\\")) {
        return Optional.empty();
      }
      Optional<Constant> constant = literal(word);
      shape.append('\u0003').append(constant.isPresent() ? "" : word);
      constant.ifPresent(
          c -> {
            constants.add(c);
            names.add("value " + (names.size() + 1));
          });
    }
    return Optional.of(new Pattern(shape.toString(), constants, names));
  }

  private static Optional<Constant> literal(String word) {
    char first = word.charAt(0);
    if ((first == '\'' || first == '"') && word.length() > 1) {
      return Optional.of(Constant.of(Constant.Place.TEXT, word.substring(1, word.length() - 1)));
    }
    return Character.isDigit(first) && word.chars().allMatch(Character::isDigit)
        ? Optional.of(
            new Constant(
                Constant.Place.VALUE,
                word,
                new foldtwice.routine.Value.Amount(new java.math.BigDecimal(word))))
        : Optional.empty();
  }

  /** The source with other things in the places of the constants; null leaves one as it is. */
  static String written(String source, List<String> instead) {
    StringBuilder out = new StringBuilder();
    Matcher words = SCRIPT.matcher(source);
    int at = 0;
    while (words.find()) {
      String word = words.group();
      boolean comment = word.startsWith("//") || word.startsWith("/*");
      if (!comment && !word.isBlank() && literal(word).isPresent()) {
        String other = instead.get(at++);
        out.append(other == null ? word : other);
      } else {
        out.append(word);
      }
    }
    return out.toString();
  }
}
