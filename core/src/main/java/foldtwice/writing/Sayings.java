package foldtwice.writing;

import foldtwice.known.Facts;
import foldtwice.known.Known;
import foldtwice.outline.StepParts;
import foldtwice.routine.Condition;
import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Kind;
import foldtwice.routine.Readout;
import foldtwice.routine.Scale;
import foldtwice.routine.Step;
import foldtwice.routine.StepKind;
import foldtwice.routine.StepKinds;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.routine.ValueException;
import foldtwice.routine.Whom;
import foldtwice.text.Blanks;
import foldtwice.trigger.Notation;
import foldtwice.trigger.NotationException;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Steps said in so many words, one way of saying for each kind of step: {@code change unit to mm},
 * {@code repeat 3 times}, {@code for each name in 'a', 'b'}, {@code wait until something is
 * selected at most 5 s}. What is said in part gives the step as far as it goes.
 */
final class Sayings {

  static final Expr HALF_A_MINUTE = new Expr.Literal(Value.Quantity.of("30", Scale.SECOND));
  private static final Expr NOTHING = text("");
  private static final Expr ONE = number(1);
  private static final Expr TWO = number(2);
  private static final Expr NONE = number(0);

  /** The first words of each kind of step, by its id; a kind with none could not be written. */
  private static final Map<String, List<String>> VERBS = new LinkedHashMap<>();

  static {
    VERBS.put("choose", List.of("choose"));
    VERBS.put("fill", List.of("fill"));
    VERBS.put("press", List.of("press"));
    VERBS.put("read", List.of("remember", "read"));
    VERBS.put("change", List.of("change"));
    VERBS.put("cycle", List.of("switch", "cycle"));
    VERBS.put("adjust", List.of("adjust"));
    VERBS.put("select", List.of("select"));
    VERBS.put("offset", List.of("move on", "move"));
    VERBS.put("type", List.of("type"));
    VERBS.put("keys", List.of("keys"));
    VERBS.put("set", List.of("set"));
    VERBS.put("leave", List.of("leave"));
    VERBS.put("modifiers", List.of("modifiers"));
    VERBS.put("again", List.of("once more", "again"));
    VERBS.put("capture", List.of("capture"));
    VERBS.put("run", List.of("run"));
    VERBS.put("start", List.of("start"));
    VERBS.put("front", List.of("to front", "bring"));
    VERBS.put("wait", List.of("wait until", "wait"));
    VERBS.put("ask", List.of("ask"));
    VERBS.put("pause", List.of("pause"));
    VERBS.put("if", List.of("if"));
    VERBS.put("repeat", List.of("repeat"));
    VERBS.put("each", List.of("for each", "for", "each"));
    VERBS.put("stop", List.of("stop"));
    VERBS.put("note", List.of("note"));
  }

  private final Optional<Facts> facts;
  private final Known known;

  Sayings(Optional<Facts> facts, Known known) {
    this.facts = facts;
    this.known = known;
  }

  /** What the text says, the fullest understanding first. */
  List<Step> said(String text) {
    List<Step> said = new ArrayList<>();
    for (StepKind<?> kind : StepKinds.ALL) {
      for (String verb : VERBS.get(kind.id())) {
        if (begins(text, verb)) {
          String rest = text.substring(verb.length()).strip();
          if (!rest.isEmpty()) {
            understood(kind.id(), rest).ifPresent(said::add);
          }
          break;
        }
      }
    }
    return said;
  }

  /** A step of each kind whose first word the text begins, to be filled in. */
  List<Step> blanks(String text) {
    List<Step> blanks = new ArrayList<>();
    for (StepKind<?> kind : StepKinds.ALL) {
      if (VERBS.get(kind.id()).stream().anyMatch(v -> begins(text, v) || halfSaid(text, v))) {
        blanks.add(blank(kind.id()));
      }
    }
    return blanks;
  }

  private static boolean begins(String text, String verb) {
    return text.toLowerCase(Locale.ROOT).startsWith(verb)
        && (text.length() == verb.length() || text.charAt(verb.length()) == ' ');
  }

  private static boolean halfSaid(String text, String verb) {
    return text.length() > 1 && verb.startsWith(text.toLowerCase(Locale.ROOT));
  }

  private Optional<Step> understood(String kind, String rest) {
    try {
      return Optional.of(read(kind, rest));
    } catch (ValueException notYet) {
      return Optional.empty(); // half typed: the blank step is offered
    }
  }

  private Step read(String kind, String rest) {
    return switch (kind) {
      case "choose" -> new Step.Choose(menu(rest));
      case "fill" -> {
        Two parts = Two.of(rest, " with ");
        String label = there(parts.first(), fields().map(Facts.Field::label));
        yield new Step.Fill(label, value(parts.second(), fieldKind(label)));
      }
      case "press" -> new Step.PressButton(there(rest, buttons()));
      case "read" -> {
        Two parts = Two.last(rest, " as ");
        yield StepParts.with(StepParts.with(blank(kind), 0, parts.first()), 1, parts.second());
      }
      case "change" -> {
        Two whole = Two.of(rest, " to ");
        boolean good = whole.second().endsWith(FOR_GOOD);
        String to = good ? cut(whole.second(), FOR_GOOD) : whole.second();
        String name = there(whole.first(), settings());
        yield new Step.ChangeSetting(
            name, value(to, setting(name)), good ? Step.Lasting.FOR_GOOD : Step.Lasting.THIS_RUN);
      }
      case "cycle" -> {
        Two parts = Two.of(rest, " through ");
        String name = there(parts.first(), settings());
        List<Expr> values = new ArrayList<>();
        for (String one : parts.second().split(",")) {
          values.add(value(one.strip(), setting(name)));
        }
        yield new Step.Cycle(name, values, Step.Lasting.FOR_GOOD);
      }
      case "adjust" -> adjusted(rest);
      case "select" -> StepParts.with(blank(kind), 0, group(rest));
      case "offset" -> offset(rest);
      case "type" -> new Step.TypeText(new Template(rest));
      case "keys" -> keys(rest);
      case "set" -> {
        Two parts = Two.of(rest, " to ");
        yield StepParts.with(StepParts.with(blank(kind), 0, parts.first()), 1, parts.second());
      }
      case "leave", "modifiers" -> StepParts.with(blank(kind), 0, rest);
      case "again" -> new Step.Again();
      case "capture" -> {
        Two parts = rest.contains(" to ") ? Two.of(rest, " to ") : new Two(rest, "");
        yield StepParts.with(StepParts.with(blank(kind), 0, parts.first()), 1, parts.second());
      }
      case "run" -> {
        Two parts = rest.contains(" with ") ? Two.of(rest, " with ") : new Two(rest, "");
        yield StepParts.with(
            new Step.RunRoutine(routine(parts.first()), Map.of()), 1, parts.second());
      }
      case "start" -> {
        Two parts = rest.contains(" with ") ? Two.of(rest, " with ") : new Two(rest, "");
        yield StepParts.with(
            new Step.StartProgram(window(parts.first()), List.of()), 1, parts.second());
      }
      case "front" -> new Step.BringToFront(window(cut(rest, " to the front")));
      case "wait" -> {
        Two parts =
            rest.contains(" at most ") ? Two.last(rest, " at most ") : new Two(rest, "30 s");
        yield StepParts.with(StepParts.with(blank(kind), 0, parts.first()), 1, parts.second());
      }
      case "ask" -> new Step.Ask(new Template(rest), List.of(question("answer")));
      case "pause" -> new Step.Pause(new Template(rest), List.of());
      case "if" -> StepParts.with(blank(kind), 0, rest);
      case "repeat" -> StepParts.with(blank(kind), 0, cut(rest, " times"));
      case "each" -> {
        Two parts = Two.of(rest, " in ");
        yield StepParts.with(StepParts.with(blank(kind), 0, parts.first()), 1, parts.second());
      }
      case "stop" -> new Step.Stop(new Template(rest));
      case "note" -> new Step.Note(new Template(rest));
      default -> throw new IllegalStateException("no way of saying " + kind);
    };
  }

  private static final String FOR_GOOD = " for good";

  /** A step of a kind with what the program has first, or with nothing, in its parts. */
  Step blank(String kind) {
    return switch (kind) {
      case "choose" ->
          new Step.Choose(
              List.of(
                  new Template(
                      facts.stream()
                          .flatMap(f -> f.commands().stream())
                          .filter(c -> !c.menu().isEmpty())
                          .map(c -> c.menu().getFirst())
                          .findFirst()
                          .orElse("Menu"))));
      case "fill" -> new Step.Fill("", NOTHING);
      case "press" -> new Step.PressButton("");
      case "read" -> new Step.Read(Readout.Of.SELECTED_TEXT, "text");
      case "change" -> new Step.ChangeSetting("", NOTHING, Step.Lasting.THIS_RUN);
      case "cycle" -> new Step.Cycle("", List.of(), Step.Lasting.FOR_GOOD);
      case "adjust" -> new Step.Adjust("", Step.Adjusting.BY, ONE, Step.Edge.CLAMP);
      case "select" -> new Step.Select(Whom.Group.ALL, false);
      case "offset" -> new Step.SelectOffset(ONE, NONE, Step.Edge.STOP_QUIETLY);
      case "type" -> new Step.TypeText(Template.EMPTY);
      case "keys" -> keys("Esc");
      case "set" -> new Step.SetVariable("value", ONE);
      case "leave" -> new Step.Leave(Step.Leaving.FINISH);
      case "modifiers" -> new Step.Modifiers(Step.Holding.RELEASE);
      case "again" -> new Step.Again();
      case "capture" -> new Step.Capture(Step.Area.WINDOW, Template.EMPTY);
      case "run" -> new Step.RunRoutine("", Map.of());
      case "start" -> new Step.StartProgram("", List.of());
      case "front" -> new Step.BringToFront("");
      case "wait" -> new Step.WaitUntil(new Condition.SomethingSelected(), HALF_A_MINUTE);
      case "ask" -> new Step.Ask(Template.EMPTY, List.of(question("answer")));
      case "pause" -> new Step.Pause(Template.EMPTY, List.of());
      case "if" -> new Step.If(new Condition.SomethingSelected(), List.of(), List.of());
      case "repeat" -> new Step.Repeat(TWO, List.of());
      case "each" -> new Step.ForEach("one", new Step.Items.Given(List.of()), List.of());
      case "stop" -> new Step.Stop(Template.EMPTY);
      case "note" -> new Step.Note(Template.EMPTY);
      default -> throw new IllegalStateException("no blank step of kind " + kind);
    };
  }

  private static Step.Question question(String name) {
    return new Step.Question(name, new Kind.Words(), NOTHING);
  }

  // parts

  /** What stands before and behind a word. */
  private record Two(String first, String second) {

    static Two of(String text, String word) {
      return cut(text, word, text.indexOf(word));
    }

    static Two last(String text, String word) {
      return cut(text, word, text.lastIndexOf(word));
    }

    private static Two cut(String text, String word, int at) {
      if (at <= 0) {
        throw new ValueException(text, "something" + word + "something");
      }
      return new Two(text.substring(0, at).strip(), text.substring(at + word.length()).strip());
    }
  }

  private static String cut(String text, String tail) {
    return text.endsWith(tail) ? text.substring(0, text.length() - tail.length()).strip() : text;
  }

  private static Expr text(String text) {
    return new Expr.Literal(new Value.Text(text));
  }

  private static Expr number(long n) {
    return new Expr.Literal(Value.Amount.of(n));
  }

  /** A name as the program has it, if it differs in nothing but large letters. */
  private static String there(String typed, Stream<String> names) {
    return names.filter(n -> n.equalsIgnoreCase(typed)).findFirst().orElse(typed);
  }

  private List<Template> menu(String typed) {
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
  private Step adjusted(String rest) {
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

  /** {@code exposure by 0.1} without a verb, where the program has such a value. */
  Optional<Step> adjustedPlainly(String text) {
    boolean known =
        facts.map(Facts::values).orElse(Map.of()).keySet().stream()
            .anyMatch(v -> text.toLowerCase(Locale.ROOT).startsWith(v.toLowerCase(Locale.ROOT)));
    return known ? understood("adjust", text) : Optional.empty();
  }

  private static String group(String rest) {
    return switch (rest) {
      case "the next one", "next" -> "next";
      case "the one before", "previous" -> "previous";
      case "what lies inside", "children" -> "children";
      case "what it lies in", "parent" -> "parent";
      case "what the pointer is over", "at pointer" -> "at pointer";
      default -> rest;
    };
  }

  private static Step offset(String rest) {
    String plain = rest.replaceAll("\\b(rows?|columns?|and)\\b", " ");
    String[] numbers = Blanks.single(plain).split(" ");
    boolean columns = numbers.length == 1 && rest.contains("column");
    Expr first = ExprNotation.read(numbers[0]);
    Expr second = numbers.length > 1 ? ExprNotation.read(numbers[1]) : NONE;
    return new Step.SelectOffset(
        columns ? NONE : first, columns ? first : second, Step.Edge.STOP_QUIETLY);
  }

  private static Step keys(String text) {
    try {
      return new Step.PressKeys(Notation.read(text));
    } catch (NotationException e) {
      throw new ValueException(text, e.getMessage());
    }
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

  private String window(String name) {
    return known.windows().stream().filter(w -> w.equalsIgnoreCase(name)).findFirst().orElse(name);
  }
}
