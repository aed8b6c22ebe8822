package foldtwice.outline;

import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.ValueException;
import foldtwice.text.Refusals;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * Lists as a person writes them: values with commas between, arguments as {@code name = value},
 * what a loop goes through, and what a program is started with.
 */
final class ListText {

  static final String LINES = "lines of";
  static final String FILE = "lines of file";
  static final String SELECTED = "what is selected";
  private static final List<String> EQUALS = List.of("=");

  private ListText() {}

  static String values(List<Expr> values) {
    return values.stream().map(ExprNotation::write).collect(Collectors.joining(", "));
  }

  /**
   * Values with commas between; none for an empty text.
   *
   * @throws ValueException where one cannot be read
   */
  static List<Expr> values(String text) {
    return values(new Written(text));
  }

  private static List<Expr> values(Written in) {
    List<Expr> values = new ArrayList<>();
    while (!in.isOver()) {
      values.add(in.expr());
      if (!in.passes(',')) {
        in.end("a comma and another value, or the end");
      }
    }
    return values;
  }

  static String arguments(Map<String, Expr> arguments) {
    return arguments.entrySet().stream()
        .map(e -> Written.name(e.getKey(), EQUALS) + " = " + ExprNotation.write(e.getValue()))
        .collect(Collectors.joining(", "));
  }

  /**
   * Arguments with commas between.
   *
   * @throws ValueException where one cannot be read, or is given twice
   */
  static Map<String, Expr> arguments(String text) {
    Map<String, Expr> arguments = new LinkedHashMap<>();
    Written in = new Written(text);
    while (!in.isOver()) {
      String name = in.name(EQUALS, true);
      if (!in.passes('=')) {
        throw in.fault("=");
      }
      if (arguments.put(name, in.expr()) != null) {
        throw in.fault(Refusals.says("outline.each-parameter-once-not", name));
      }
      if (!in.passes(',')) {
        in.end("a comma and another parameter, or the end");
      }
    }
    return arguments;
  }

  static String items(Step.Items items) {
    return switch (items) {
      case Step.Items.Given(List<Expr> values) -> values(values);
      case Step.Items.LinesOf(Expr text) -> LINES + " " + ExprNotation.write(text);
      case Step.Items.LinesOfFile(Template file) ->
          FILE + " " + Written.name(file.source(), List.of());
      case Step.Items.Selected() -> SELECTED;
    };
  }

  /**
   * What a loop goes through.
   *
   * @throws ValueException saying what there is
   */
  static Step.Items items(String text) {
    Written in = new Written(text);
    if (in.passes(SELECTED)) {
      in.end("the end");
      return new Step.Items.Selected();
    }
    if (in.passes(FILE)) {
      return new Step.Items.LinesOfFile(new Template(in.name(List.of(), false)));
    }
    if (in.passes(LINES)) {
      Expr of = in.expr();
      in.end("the end");
      return new Step.Items.LinesOf(of);
    }
    return new Step.Items.Given(values(in));
  }

  static String texts(List<Template> texts) {
    return texts.stream()
        .map(Template::source)
        .map(t -> t.isEmpty() || t.startsWith("'") || hasBlank(t) ? Written.quote(t) : t)
        .collect(Collectors.joining(" "));
  }

  private static boolean hasBlank(String text) {
    return text.chars().anyMatch(Character::isWhitespace);
  }

  /**
   * Texts with blanks between; one with a blank in it stands in quotes.
   *
   * @throws ValueException when a quote does not end
   */
  static List<Template> texts(String text) {
    List<Template> texts = new ArrayList<>();
    Written in = new Written(text);
    while (!in.isOver()) {
      texts.add(new Template(in.word()));
    }
    return texts;
  }
}
