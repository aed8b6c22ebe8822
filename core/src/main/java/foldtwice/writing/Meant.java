package foldtwice.writing;

import foldtwice.known.Facts;
import foldtwice.known.Known;
import foldtwice.outline.StepParts;
import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Kind;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.routine.ValueException;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What the words a person uses for the parts of a step mean in a program: names as it has them,
 * values without quotes, amounts on its scales.
 */
final class Meant {

  private static final String FOR_GOOD = " for good";

  private final Optional<Facts> facts;
  private final Known known;

  Meant(Optional<Facts> facts, Known known) {
    this.facts = facts;
    this.known = known;
  }

  Step pressed(String label) {
    return new Step.PressButton(there(label, buttons()));
  }

  /** The first label of the first command; a program of which none is known has none. */
  String firstMenu() {
    return facts.stream()
        .flatMap(f -> f.commands().stream())
        .filter(c -> !c.menu().isEmpty())
        .map(c -> c.menu().getFirst())
        .findFirst()
        .orElse("Menu");
  }

  Step filled(String rest) {
    Two parts = Two.of(rest, " with ");
    String label = there(parts.first(), fields().map(Facts.Field::label));
    return new Step.Fill(label, value(parts.second(), fieldKind(label)));
  }

  Step changed(String rest) {
    Two whole = Two.of(rest, " to ");
    boolean good = whole.second().endsWith(FOR_GOOD);
    String name = there(whole.first(), settings());
    return new Step.ChangeSetting(
        name,
        value(cut(whole.second(), FOR_GOOD), setting(name)),
        good ? Step.Lasting.FOR_GOOD : Step.Lasting.THIS_RUN);
  }

  Step switched(String rest) {
    Two parts = Two.of(rest, " through ");
    String name = there(parts.first(), settings());
    List<Expr> values = new ArrayList<>();
    for (String one : parts.second().split(",")) {
      values.add(value(one.strip(), setting(name)));
    }
    return new Step.Cycle(name, values, Step.Lasting.FOR_GOOD);
  }

  Step ran(String rest) {
    Two parts = Two.orAlone(rest, " with ");
    return StepParts.with(new Step.RunRoutine(routine(parts.first()), Map.of()), 1, parts.second());
  }

  Step started(String rest) {
    Two parts = Two.orAlone(rest, " with ");
    return StepParts.with(
        new Step.StartProgram(window(parts.first()), List.of()), 1, parts.second());
  }

  /** What stands before and behind a word. */
  private record Two(String first, String second) {

    static Two of(String text, String word) {
      return cut(text, word, text.indexOf(word));
    }

    static Two last(String text, String word) {
      return cut(text, word, text.lastIndexOf(word));
    }

    /** With nothing behind where the word is missing. */
    static Two orAlone(String text, String word) {
      return text.contains(word) ? of(text, word) : new Two(text, "");
    }

    private static Two cut(String text, String word, int at) {
      if (at <= 0) {
        throw new ValueException(text, "something" + word + "something");
      }
      return new Two(text.substring(0, at).strip(), text.substring(at + word.length()).strip());
    }
  }

  /** Without what stands at the end, if it does. */
  static String cut(String text, String tail) {
    return text.endsWith(tail) ? text.substring(0, text.length() - tail.length()).strip() : text;
  }

  /** A name as the program has it, if it differs in nothing but large letters. */
  private static String there(String typed, Stream<String> names) {
    return names.filter(n -> n.equalsIgnoreCase(typed)).findFirst().orElse(typed);
  }

  /** A path as the program has it, if it differs in nothing but large letters and points. */
  List<Template> menu(String typed) {
    List<Template> path = StepParts.menu(typed);
    return facts.stream()
        .flatMap(f -> f.commands().stream())
        .map(Facts.Command::menu)
        .filter(m -> m.size() == path.size() && plain(m).equals(plain(sources(path))))
        .findFirst()
        .map(Template::all)
        .orElse(path);
  }

  private static List<String> sources(List<Template> path) {
    return path.stream().map(Template::source).toList();
  }

  /** Labels without what only says that a dialog follows. */
  private static List<String> plain(List<String> path) {
    return path.stream()
        .map(l -> l.replaceAll("(\u2026|\\.{3})$", "").strip().toLowerCase(Locale.ROOT))
        .toList();
  }

  private Stream<Facts.Field> fields() {
    return facts.stream().flatMap(f -> f.dialogs().stream()).flatMap(d -> d.fields().stream());
  }

  private Stream<String> buttons() {
    return facts.stream()
        .flatMap(f -> f.dialogs().stream())
        .flatMap(d -> d.buttons().stream())
        .map(Facts.Button::label);
  }

  private Stream<String> settings() {
    return facts.stream().flatMap(f -> f.settings().keySet().stream());
  }

  private Optional<Kind> setting(String name) {
    return facts.map(f -> f.settings().get(name));
  }

  private Optional<Kind> fieldKind(String label) {
    return fields()
        .filter(f -> f.label().equals(label))
        .filter(f -> f.takes() == Facts.Takes.CHOICE || f.takes() == Facts.Takes.TEXT)
        .<Kind>map(f -> f.options().isEmpty() ? new Kind.Words() : new Kind.Choice(f.options()))
        .findFirst();
  }

  /** An expression; else the value a program has of that name; a plain text needs no quotes. */
  private static Expr value(String typed, Optional<Kind> kind) {
    if (kind.isPresent()) {
      try {
        return new Expr.Literal(kind.get().read(typed));
      } catch (ValueException other) {
        return ExprNotation.read(typed); // not as it stands; it may be computed
      }
    }
    return ExprNotation.read(typed);
  }

  /** {@code exposure by 0.1}, {@code white balance to 5200 K}. */
  Step adjusted(String rest) {
    int by = rest.lastIndexOf(" by ");
    int to = rest.lastIndexOf(" to ");
    boolean moves = by > to;
    Two parts = moves ? Two.last(rest, " by ") : Two.last(rest, " to ");
    Expr amount = ExprNotation.read(parts.second());
    String name = there(parts.first(), facts.stream().flatMap(f -> f.values().keySet().stream()));
    Optional<Kind.Measure> range = facts.map(f -> f.values().get(name));
    Expr onScale =
        amount instanceof Expr.Literal(Value.Amount(BigDecimal n)) && range.isPresent()
            ? new Expr.Literal(new Value.Quantity(n, range.get().least().scale()))
            : amount;
    return new Step.Adjust(
        name, moves ? Step.Adjusting.BY : Step.Adjusting.TO, onScale, Step.Edge.CLAMP);
  }

  /** The id of the routine that is called so; else the text, to be mended where it is marked. */
  private String routine(String name) {
    return known.routines().stream()
        .filter(
            id ->
                id.equals(name)
                    || known.routine(id).filter(r -> r.name().equalsIgnoreCase(name)).isPresent())
        .findFirst()
        .orElse(name);
  }

  /** A window as the computer has it. */
  String window(String name) {
    return known.windows().stream().filter(w -> w.equalsIgnoreCase(name)).findFirst().orElse(name);
  }
}
