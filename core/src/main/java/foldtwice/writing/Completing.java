package foldtwice.writing;

import foldtwice.known.Facts;
import foldtwice.known.Known;
import foldtwice.outline.ConditionText;
import foldtwice.outline.ReadoutText;
import foldtwice.outline.StepParts;
import foldtwice.routine.Condition.Relation;
import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Form;
import foldtwice.routine.Kind;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.StepKinds;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.routine.ValueException;
import foldtwice.routine.Whom;
import java.util.Arrays;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * How what is being written into a part of a step may go on: the names the program has there, what
 * a notation allows next, and insertions. Each list costs one pass over what the program offers of
 * the kind.
 */
public final class Completing {

  /** More are not shown. */
  public static final int MOST = 40;

  /**
   * One way to go on.
   *
   * @param from where what it replaces begins in the text
   * @param text what stands there then
   * @param shown what it is called; often the same
   */
  public record Completion(int from, String text, String shown) {

    /** The text up to the cursor with this in its place. */
    public String in(String written) {
      return written.substring(0, from) + text;
    }
  }

  private static final char OPEN = '\u2039';
  private static final String CLOSE = "\u203a";

  private final Known known;
  private final Optional<Facts> facts;
  private final List<String> names;

  /**
   * @param names what can be inserted where the step stands, see {@link InScope}
   */
  public Completing(String application, Known known, List<String> names) {
    this.known = known;
    this.facts = known.program(application);
    this.names = names;
  }

  /**
   * How a part may go on.
   *
   * @param written what stands in it up to the cursor
   */
  public List<Completion> of(Step step, StepParts.Part part, String written) {
    Found found = new Found(written);
    int open = written.lastIndexOf(OPEN);
    boolean inserts = open >= 0 && written.indexOf(CLOSE, open) < 0;
    if (inserts && takesNames(part.form())) {
      found.at(open + 1);
      names.forEach(n -> found.add(n + CLOSE, n));
      return found.all();
    }
    switch (part.form()) {
      case Form.Menu m -> menu(found, 0, "");
      case Form.Name n -> named(step, part, found);
      case Form.ToRead r -> readout(found, 0, false);
      case Form.Holds h -> condition(found);
      case Form.Through t ->
          List.of("lines of ", "lines of file ", "what is selected").forEach(found::add);
      case Form.Selected s -> selected(found);
      case Form.Arguments a -> arguments(step, found);
      case Form.Value v -> values(step, found, 0);
      case Form.Values v -> values(step, found, afterLast(written, ","));
      case Form.Word<?> w -> part.options().forEach(found::add);
      case Form.Flag f -> part.options().forEach(found::add);
      default -> {}
    }
    if (takesNames(part.form())) {
      found.at(wordAt(written));
      names.forEach(n -> found.add(OPEN + n + CLOSE, OPEN + n + CLOSE, n));
    }
    return found.all();
  }

  private static boolean takesNames(Form<?> form) {
    return !(form instanceof Form.Name
        || form instanceof Form.Variable
        || form instanceof Form.Word<?>
        || form instanceof Form.Flag
        || form instanceof Form.Keys
        || form instanceof Form.ToRead);
  }

  /** What was found, as far as it goes on from what is written. */
  private static final class Found {
    private final String written;
    private final Set<Completion> all = new LinkedHashSet<>();
    private int from;

    Found(String written) {
      this.written = written;
    }

    /** What is added from here on replaces what stands from this place on. */
    void at(int place) {
      from = place;
      while (from < written.length() && written.charAt(from) == ' ') {
        from++;
      }
    }

    String half() {
      return written.substring(from);
    }

    void add(String text) {
      add(text, text.strip());
    }

    void add(String text, String shown) {
      add(text, shown, text);
    }

    /**
     * @param begins what has to begin with what is written
     */
    void add(String text, String shown, String begins) {
      String half = half().strip().toLowerCase(Locale.ROOT);
      if (all.size() < MOST
          && (begins.toLowerCase(Locale.ROOT).startsWith(half)
              || shown.toLowerCase(Locale.ROOT).startsWith(half))
          && !text.strip().equals(half().strip())) {
        all.add(new Completion(from, text, shown));
      }
    }

    List<Completion> all() {
      return List.copyOf(all);
    }
  }

  private static int afterLast(String written, String word) {
    int at = written.lastIndexOf(word);
    return at < 0 ? 0 : at + word.length();
  }

  /** Where the word at the end begins. */
  private static int wordAt(String written) {
    return afterLast(written, " ");
  }

  private void menu(Found found, int from, String tail) {
    String half = found.written.substring(Math.min(from, found.written.length()));
    int last = afterLast(half, StepParts.UNDER);
    List<String> above =
        last == 0
            ? List.of()
            : StepParts.menu(half.substring(0, last - StepParts.UNDER.length())).stream()
                .map(Template::source)
                .toList();
    found.at(from + last);
    facts
        .map(Facts::commands)
        .orElse(List.of())
        .forEach(
            c -> {
              List<String> path = c.menu();
              if (path.size() > above.size() && path.subList(0, above.size()).equals(above)) {
                boolean whole = path.size() == above.size() + 1;
                String label = path.get(above.size());
                found.add(label + (whole ? tail : StepParts.UNDER), label);
              }
            });
    if (last == 0) { // by any of its words
      found.at(from);
      facts
          .map(Facts::commands)
          .orElse(List.of())
          .forEach(
              c -> {
                if (c.menu().size() > 1) {
                  String path = String.join(StepParts.UNDER, c.menu());
                  found.add(path + tail, path, c.menu().getLast());
                }
              });
    }
  }

  private void named(Step step, StepParts.Part part, Found found) {
    String name = StepKinds.of(step).parts().get(part.index()).name();
    switch (name) {
      case "field" -> fields().forEach(f -> found.add(f.label()));
      case "button" ->
          dialogs().flatMap(d -> d.buttons().stream()).forEach(b -> found.add(b.label()));
      case "setting" -> settings().forEach(found::add);
      case "adjustable" -> adjustables().forEach(found::add);
      case "application" -> known.windows().forEach(found::add);
      case "routine" ->
          known
              .routines()
              .forEach(id -> found.add(id, known.routine(id).map(Routine::name).orElse(id)));
      default -> throw new IllegalStateException("no names known for " + name);
    }
  }

  private Stream<Facts.Dialog> dialogs() {
    return facts.stream().flatMap(f -> f.dialogs().stream());
  }

  private Stream<Facts.Field> fields() {
    return dialogs().flatMap(d -> d.fields().stream());
  }

  private Collection<String> settings() {
    return facts.map(f -> f.settings().keySet()).orElse(Set.of());
  }

  private Collection<String> adjustables() {
    return facts.map(f -> f.values().keySet()).orElse(Set.of());
  }

  /** A readout; with {@code is} after its name where it is compared. */
  private void readout(Found found, int from, boolean compared) {
    String tail = compared ? " is " : "";
    String half = found.written.substring(Math.min(from, found.written.length()));
    for (String word : ReadoutText.beginnings()) {
      if (half.startsWith(word + " ")) {
        found.at(from + word.length() + 1);
        Collection<String> there =
            switch (word) {
              case "setting" -> settings();
              case "value" -> adjustables();
              case "indicator" -> facts.map(Facts::indicators).orElse(Set.of());
              case "field" -> fields().map(Facts.Field::label).toList();
              default -> List.of();
            };
        there.forEach(n -> found.add(n + tail, n));
        if (!there.isEmpty()) {
          return;
        }
      }
    }
    found.at(from);
    ReadoutText.beginnings().forEach(b -> found.add(isNamed(b) ? b + " " : b + tail, b));
  }

  private static boolean isNamed(String word) {
    return !word.contains(" ");
  }

  /** After the last of and, or, not and a bracket something new begins. */
  private void condition(Found found) {
    String written = found.written;
    int from =
        Stream.of(" and ", " or ", "not ", "(")
            .mapToInt(w -> afterLast(written, w))
            .max()
            .orElse(0);
    String half = written.substring(from);
    int is = half.indexOf(" is ");
    int word = wordAt(written);
    if (word > from && isWhole(written.substring(from, word))) {
      found.at(word);
      found.add("and ");
      found.add("or ");
    }
    if (half.startsWith("menu ")) {
      menu(found, from + "menu ".length(), " is ticked");
    } else if (half.startsWith("dialog ")) {
      found.at(from + "dialog ".length());
      dialogs().forEach(d -> found.add(d.title() + " is open", d.title()));
    } else if (half.startsWith("program ")) {
      found.at(from + "program ".length());
      known.windows().forEach(w -> found.add(w + " is in front", w));
    } else if (is >= 0) {
      compared(half.substring(0, is), half.substring(is + 4), from + is + 4, found);
    } else {
      readout(found, from, true);
      found.at(from);
      ConditionText.beginnings().forEach(b -> found.add(isNamed(b) ? b + " " : b, b));
    }
  }

  private static boolean isWhole(String condition) {
    try {
      return ConditionText.read(condition) != null;
    } catch (ValueException e) {
      return false;
    }
  }

  /** What may stand behind {@code setting unit is}. */
  private void compared(String left, String half, int from, Found found) {
    found.at(from);
    if (half.isBlank()) {
      Arrays.stream(Relation.values())
          .map(r -> r.words().substring("is".length()).strip())
          .filter(r -> !r.isEmpty())
          .forEach(r -> found.add(r + " "));
    }
    for (String more : List.of("not ", "less than ", "more than ")) {
      if (half.startsWith(more)) {
        found.at(from + more.length());
      }
    }
    if (left.startsWith("setting ")) {
      facts
          .map(f -> f.settings().get(left.substring("setting ".length()).strip()))
          .ifPresent(k -> options(k, found));
    } else if (left.startsWith("field ")) {
      String label = left.substring("field ".length()).strip();
      fields()
          .filter(f -> f.label().equals(label))
          .forEach(f -> f.options().forEach(o -> found.add(quoted(o), o)));
    }
  }

  private static void options(Kind kind, Found found) {
    switch (kind) {
      case Kind.Choice(List<String> options) -> options.forEach(o -> found.add(quoted(o), o));
      case Kind.YesNo y -> List.of("yes", "no").forEach(found::add);
      default -> {}
    }
  }

  private static String quoted(String text) {
    return ExprNotation.write(new Expr.Literal(new Value.Text(text)));
  }

  private void selected(Found found) {
    facts.map(Facts::selects).filter(s -> !s.isEmpty()).orElse(Set.of(Whom.Group.values())).stream()
        .sorted()
        .forEach(w -> found.add(StepParts.written(w)));
  }

  private void arguments(Step step, Found found) {
    if (!(step instanceof Step.RunRoutine(String id, var given))) {
      return;
    }
    int from = afterLast(found.written, ",");
    found.at(from);
    String half = found.half();
    List<Parameter> parameters = known.routine(id).map(Routine::parameters).orElse(List.of());
    int equals = half.indexOf('=');
    if (equals < 0) {
      parameters.stream()
          .filter(p -> !found.written.contains(p.name() + " ="))
          .forEach(
              p ->
                  found.add(
                      p.name() + " = " + ExprNotation.write(new Expr.Literal(p.otherwise())),
                      p.name()));
      return;
    }
    String name = half.substring(0, equals).strip();
    found.at(found.from + equals + 1);
    parameters.stream().filter(p -> p.name().equals(name)).forEach(p -> options(p.kind(), found));
  }

  private void values(Step step, Found found, int from) {
    found.at(from);
    switch (step) {
      case Step.Fill(String label, Expr value) ->
          fields()
              .filter(f -> f.label().equals(label))
              .forEach(f -> f.options().forEach(o -> found.add(quoted(o), o)));
      case Step.ChangeSetting(String setting, Expr value, var lasting) ->
          facts.map(f -> f.settings().get(setting)).ifPresent(k -> options(k, found));
      case Step.Cycle(String setting, var all, var lasting) ->
          facts.map(f -> f.settings().get(setting)).ifPresent(k -> options(k, found));
      default -> {}
    }
  }
}
