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
import foldtwice.routine.StepKinds;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.routine.ValueException;
import foldtwice.routine.Whom;
import foldtwice.text.Blanks;
import foldtwice.trigger.Notation;
import foldtwice.trigger.NotationException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

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

  /**
   * How a kind of step is said.
   *
   * @param verbs its first words; the first is the one it reads with
   * @param blank with nothing, or the usual, in its parts
   * @param read the step of what follows the verb; throws where that is not understood
   */
  private record Saying(List<String> verbs, Step blank, Function<String, Step> read) {}

  private final Optional<Facts> facts;
  private final Meant meant;

  /** By the id of the kind, in the order in which kinds are told. */
  private final Map<String, Saying> sayings = new LinkedHashMap<>();

  Sayings(Optional<Facts> facts, Known known) {
    this.facts = facts;
    this.meant = new Meant(facts, known);
    StepKinds.ALL.forEach(k -> sayings.put(k.id(), saying(k.id())));
  }

  private Saying saying(String kind) {
    return switch (kind) {
      case "choose" ->
          said(
              new Step.Choose(List.of(new Template(meant.firstMenu()))),
              r -> new Step.Choose(meant.menu(r)),
              "choose");
      case "fill" -> said(new Step.Fill("", NOTHING), meant::filled, "fill");
      case "press" -> said(new Step.PressButton(""), r -> meant.pressed(r), "press");
      case "read" ->
          bothAtLast(new Step.Read(Readout.Of.SELECTED_TEXT, "text"), " as ", "remember", "read");
      case "change" ->
          said(
              new Step.ChangeSetting("", NOTHING, Step.Lasting.THIS_RUN), meant::changed, "change");
      case "cycle" ->
          said(
              new Step.Cycle("", List.of(), Step.Lasting.FOR_GOOD),
              meant::switched,
              "switch",
              "cycle");
      case "adjust" ->
          said(
              new Step.Adjust("", Step.Adjusting.BY, ONE, Step.Edge.CLAMP),
              meant::adjusted,
              "adjust");
      case "select" -> {
        Step all = new Step.Select(Whom.Group.ALL, false);
        yield said(all, r -> StepParts.with(all, 0, group(r)), "select");
      }
      case "offset" ->
          said(
              new Step.SelectOffset(ONE, NONE, Step.Edge.STOP_QUIETLY),
              Sayings::offset,
              "move on",
              "move");
      case "type" ->
          said(new Step.TypeText(Template.EMPTY), r -> new Step.TypeText(new Template(r)), "type");
      case "keys" -> said(keys("Esc"), Sayings::keys, "keys");
      case "set" -> both(new Step.SetVariable("value", ONE), " to ", "set");
      case "leave" -> first(new Step.Leave(Step.Leaving.FINISH), "leave");
      case "modifiers" -> first(new Step.Modifiers(Step.Holding.RELEASE), "modifiers");
      case "again" -> said(new Step.Again(), r -> new Step.Again(), "once more", "again");
      case "capture" -> both(new Step.Capture(Step.Area.WINDOW, Template.EMPTY), " to ", "capture");
      case "run" -> said(new Step.RunRoutine("", Map.of()), meant::ran, "run");
      case "start" -> said(new Step.StartProgram("", List.of()), meant::started, "start");
      case "front" ->
          said(
              new Step.BringToFront(""),
              r -> new Step.BringToFront(meant.window(Meant.cut(r, " to the front"))),
              "to front",
              "bring");
      case "wait" ->
          bothAtLast(
              new Step.WaitUntil(new Condition.SomethingSelected(), HALF_A_MINUTE),
              " at most ",
              "wait until",
              "wait");
      case "ask" -> said(asking(Template.EMPTY), r -> asking(new Template(r)), "ask");
      case "pause" ->
          said(
              new Step.Pause(Template.EMPTY, List.of()),
              r -> new Step.Pause(new Template(r), List.of()),
              "pause");
      case "if" ->
          first(new Step.If(new Condition.SomethingSelected(), List.of(), List.of()), "if");
      case "repeat" -> {
        Step twice = new Step.Repeat(TWO, List.of());
        yield said(twice, r -> StepParts.with(twice, 0, Meant.cut(r, " times")), "repeat");
      }
      case "each" ->
          both(
              new Step.ForEach("one", new Step.Items.Given(List.of()), List.of()),
              " in ",
              "for each",
              "for",
              "each");
      case "stop" ->
          said(new Step.Stop(Template.EMPTY), r -> new Step.Stop(new Template(r)), "stop");
      case "note" ->
          said(new Step.Note(Template.EMPTY), r -> new Step.Note(new Template(r)), "note");
      default -> throw new IllegalStateException("no way of saying " + kind);
    };
  }

  private static Saying said(Step blank, Function<String, Step> read, String... verbs) {
    return new Saying(List.of(verbs), blank, read);
  }

  /** What follows the verb is the first part. */
  private static Saying first(Step blank, String... verbs) {
    return said(blank, r -> StepParts.with(blank, 0, r), verbs);
  }

  /** Two parts with a word between them; the second is the usual one where the word is missing. */
  private static Saying both(Step blank, String word, String... verbs) {
    return said(blank, r -> parted(blank, r, r.indexOf(word), word), verbs);
  }

  /** The same where the first part may have the word in it. */
  private static Saying bothAtLast(Step blank, String word, String... verbs) {
    return said(blank, r -> parted(blank, r, r.lastIndexOf(word), word), verbs);
  }

  private static Step parted(Step blank, String rest, int at, String word) {
    return at < 0
        ? StepParts.with(blank, 0, rest)
        : StepParts.with(
            StepParts.with(blank, 0, rest.substring(0, at).strip()),
            1,
            rest.substring(at + word.length()).strip());
  }

  /** What the text says. */
  List<Step> said(String text) {
    List<Step> said = new ArrayList<>();
    for (Saying saying : sayings.values()) {
      saying.verbs().stream()
          .filter(v -> begins(text, v))
          .findFirst()
          .map(v -> text.substring(v.length()).strip())
          .filter(rest -> !rest.isEmpty())
          .flatMap(rest -> understood(saying, rest))
          .ifPresent(said::add);
    }
    return said;
  }

  /** A step of each kind whose first word the text begins, to be filled in. */
  List<Step> blanks(String text) {
    return sayings.values().stream()
        .filter(s -> s.verbs().stream().anyMatch(v -> begins(text, v) || halfSaid(text, v)))
        .map(Saying::blank)
        .toList();
  }

  /** A step of a kind with what the program has first, or with nothing, in its parts. */
  Step blank(String kind) {
    return sayings.get(kind).blank();
  }

  private static boolean begins(String text, String verb) {
    return text.toLowerCase(Locale.ROOT).startsWith(verb)
        && (text.length() == verb.length() || text.charAt(verb.length()) == ' ');
  }

  private static boolean halfSaid(String text, String verb) {
    return text.length() > 1 && verb.startsWith(text.toLowerCase(Locale.ROOT));
  }

  private static Optional<Step> understood(Saying saying, String rest) {
    try {
      return Optional.of(saying.read().apply(rest));
    } catch (ValueException notYet) {
      return Optional.empty(); // half typed: the blank step is offered
    }
  }

  private static Step asking(Template text) {
    return new Step.Ask(text, List.of(new Step.Question("answer", new Kind.Words(), NOTHING)));
  }

  /** {@code exposure by 0.1} without a verb, where the program has such a value. */
  Optional<Step> adjustedPlainly(String text) {
    boolean known =
        facts.map(Facts::values).orElse(Map.of()).keySet().stream()
            .anyMatch(v -> text.toLowerCase(Locale.ROOT).startsWith(v.toLowerCase(Locale.ROOT)));
    return known ? understood(sayings.get("adjust"), text) : Optional.empty();
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

  private static Expr text(String text) {
    return new Expr.Literal(new Value.Text(text));
  }

  private static Expr number(long n) {
    return new Expr.Literal(Value.Amount.of(n));
  }
}
