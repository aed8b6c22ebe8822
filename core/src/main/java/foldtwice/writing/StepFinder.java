package foldtwice.writing;

import foldtwice.known.Facts;
import foldtwice.known.Known;
import foldtwice.routine.Condition;
import foldtwice.routine.Expr;
import foldtwice.routine.Kind;
import foldtwice.routine.Readout;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * Finds the steps a person may mean by what they type: {@code shift}, {@code exposure by 0.1},
 * {@code repeat 3}, {@code type ‹date›}. Every word typed must begin a word of the step as it
 * reads.
 */
public final class StepFinder {

  /** More are not shown. */
  public static final int MOST = 12;

  private static final Expr ONE = new Expr.Literal(Value.Amount.of(1));
  private static final Expr NONE = new Expr.Literal(Value.Amount.of(0));

  private final Optional<Facts> facts;
  private final Known known;
  private final Function<Step, String> words;
  private final Sayings sayings;

  /**
   * @param words a step as it reads, verb first
   */
  public StepFinder(String application, Known known, Function<Step, String> words) {
    this.facts = known.program(application);
    this.known = known;
    this.words = words;
    this.sayings = new Sayings(facts, known);
  }

  /**
   * The steps that may be meant, the nearest first; a step of every kind that is called by its
   * first word is among them.
   */
  public List<Step> find(String typed) {
    String text = typed.strip();
    if (text.isEmpty()) {
      return List.of();
    }
    List<Step> found = new ArrayList<>(sayings.said(text));
    sayings.adjustedPlainly(text).ifPresent(found::add);
    List<Step> blanks = sayings.blanks(text).stream().filter(b -> !found.contains(b)).toList();
    String[] sought = text.toLowerCase(Locale.ROOT).split("[\\s\u203a>]+");
    record Ranked(Step step, int rank) {}
    offered().stream()
        .map(s -> new Ranked(s, rank(s, words.apply(s).toLowerCase(Locale.ROOT), sought)))
        .filter(r -> r.rank() >= 0)
        .sorted(Comparator.comparingInt(Ranked::rank))
        .map(Ranked::step)
        .filter(s -> !found.contains(s) && !blanks.contains(s))
        .limit(Math.max(0, MOST - found.size() - blanks.size()))
        .forEach(found::add);
    found.addAll(blanks);
    return found.subList(0, Math.min(MOST, found.size()));
  }

  /** What another routine does comes after what the program itself does. */
  private static final int LATER = 60;

  /** Commands come first among what matches as well. */
  private static final int SOON = 12;

  /** How far the words are from the beginning, plus the length; negative when one is missing. */
  private static int rank(Step step, String text, String[] sought) {
    int rank =
        switch (step) {
          case Step.RunRoutine r -> LATER;
          case Step.Choose c -> 0;
          default -> SOON;
        };
    for (String word : sought) {
      int at = begins(text, word);
      if (at < 0) {
        return -1;
      }
      rank += at;
    }
    return rank + text.length();
  }

  private static int begins(String text, String word) {
    for (int at = text.indexOf(word); at >= 0; at = text.indexOf(word, at + 1)) {
      if (at == 0 || !Character.isLetterOrDigit(text.charAt(at - 1))) {
        return at;
      }
    }
    return -1;
  }

  /** Every step the program offers as it is, and those any program has. */
  private List<Step> offered() {
    List<Step> all = new ArrayList<>();
    facts.ifPresent(
        f -> {
          f.commands().stream()
              .filter(c -> !c.menu().isEmpty())
              .forEach(c -> all.add(new Step.Choose(Template.all(c.menu()))));
          f.dialogs().forEach(d -> dialog(d, all));
          f.settings().forEach((name, kind) -> setting(name, kind, all));
          f.values().forEach((name, range) -> value(name, range, all));
          f.selects().forEach(w -> all.add(new Step.Select(w, false)));
          f.indicators()
              .forEach(
                  name ->
                      all.add(
                          new Step.WaitUntil(
                              new Condition.Reads(
                                  new Readout.Indicator(name), Condition.Relation.IS, NONE),
                              Sayings.HALF_A_MINUTE)));
        });
    all.add(new Step.SelectOffset(ONE, NONE, Step.Edge.STOP_QUIETLY));
    all.add(new Step.SelectOffset(NONE, ONE, Step.Edge.STOP_QUIETLY));
    for (Step.Leaving leaving : Step.Leaving.values()) {
      all.add(new Step.Leave(leaving));
    }
    for (Step.Holding holding : Step.Holding.values()) {
      all.add(new Step.Modifiers(holding));
    }
    for (Step.Area area : Step.Area.values()) {
      all.add(new Step.Capture(area, Template.EMPTY));
    }
    all.add(new Step.Again());
    all.add(new Step.If(new Condition.SomethingSelected(), List.of(), List.of()));
    all.add(new Step.ForEach("one", new Step.Items.Selected(), List.of()));
    all.add(new Step.Read(Readout.Of.SELECTED_TEXT, "text"));
    all.add(new Step.Read(Readout.Of.SELECTED_COUNT, "count"));
    all.add(new Step.Read(Readout.Of.CLIPBOARD, "copied"));
    for (String window : known.windows()) {
      all.add(new Step.BringToFront(window));
      all.add(new Step.StartProgram(window, List.of()));
      all.add(new Step.WaitUntil(new Condition.InFront(window), Sayings.HALF_A_MINUTE));
    }
    known.routines().forEach(id -> all.add(new Step.RunRoutine(id, defaults(id))));
    return all;
  }

  /** Every parameter of a routine with its default, to be changed where it is run. */
  private Map<String, Expr> defaults(String routine) {
    Map<String, Expr> arguments = new LinkedHashMap<>();
    known
        .routine(routine)
        .ifPresent(
            r ->
                r.parameters()
                    .forEach(p -> arguments.put(p.name(), new Expr.Literal(p.otherwise()))));
    return arguments;
  }

  private static void dialog(Facts.Dialog dialog, List<Step> all) {
    for (Facts.Field field : dialog.fields()) {
      all.add(new Step.Fill(field.label(), sample(field)));
    }
    for (Facts.Button button : dialog.buttons()) {
      Step press = new Step.PressButton(button.label());
      if (!all.contains(press)) {
        all.add(press);
      }
    }
  }

  private static Expr sample(Facts.Field field) {
    Value value =
        switch (field.takes()) {
          case LENGTH ->
              new Value.Length(java.math.BigDecimal.ONE, foldtwice.routine.LengthUnit.MM);
          case AMOUNT -> Value.Quantity.of("1", field.scale().orElseThrow());
          case NUMBER -> Value.Amount.of(1);
          case CHOICE -> new Value.Text(field.options().getFirst());
          case TEXT -> new Value.Text("");
        };
    return new Expr.Literal(value);
  }

  private static void setting(String name, Kind kind, List<Step> all) {
    all.add(new Step.Read(new Readout.Setting(name), name + " before"));
    if (kind instanceof Kind.Choice(List<String> options)) {
      List<Expr> values = new ArrayList<>();
      for (String option : options) {
        Expr value = new Expr.Literal(new Value.Text(option));
        values.add(value);
        all.add(new Step.ChangeSetting(name, value, Step.Lasting.THIS_RUN));
      }
      all.add(new Step.Cycle(name, values, Step.Lasting.FOR_GOOD));
    }
  }

  private static void value(String name, Kind.Measure range, List<Step> all) {
    all.add(
        new Step.Adjust(name, Step.Adjusting.BY, new Expr.Literal(range.step()), Step.Edge.CLAMP));
    all.add(new Step.Read(new Readout.Adjustable(name), name));
  }
}
