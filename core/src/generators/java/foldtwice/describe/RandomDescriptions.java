package foldtwice.describe;

import foldtwice.extras.Extras;
import foldtwice.known.Touch;
import foldtwice.place.AddOn;
import foldtwice.place.Application;
import foldtwice.place.Context;
import foldtwice.place.Labels;
import foldtwice.routine.Kind;
import foldtwice.routine.LengthUnit;
import foldtwice.routine.Parameter;
import foldtwice.routine.Scale;
import foldtwice.routine.Value;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.Supplier;

/** Descriptions of an application, mostly of a piece and at times with slips. */
public final class RandomDescriptions {

  private static final List<String> NAMES =
      List.of(
          "Grid",
          "go to",
          "\u7e54\u308b",
          "a to b by c",
          "[x]",
          "\"q\" \\ ; w",
          " blank ",
          "_n",
          "\u05d0\u05e8\u05d2",
          "tab\there",
          "");

  private final Application of;
  private final Random random;

  /** Whether something may go through the undo history. */
  private final boolean history;

  private RandomDescriptions(Application of, Random random, boolean history) {
    this.of = of;
    this.random = random;
    this.history = history;
  }

  public static Description of(Application application, Random random) {
    return new RandomDescriptions(application, random, true).description();
  }

  /** One in which nothing goes back or forth through the undo history. */
  public static Description onwards(Application application, Random random) {
    return new RandomDescriptions(application, random, false).description();
  }

  /** Something that can be done, of any kind. */
  public static Does does(Random random) {
    return new RandomDescriptions(Application.unknown("a"), random, true).any();
  }

  private Description description() {
    return new Description(
        of.id(),
        random.nextInt(3) == 0 ? "" : "en",
        some(this::command),
        some(this::dialog),
        some(this::setting),
        some(this::value),
        some(() -> new Description.Thing(name(), random.nextInt(5), names())),
        some(this::action),
        some(this::state),
        random.nextInt(3) > 0
            ? List.of()
            : List.of(new Labels("de", Map.of(name(), "\u00fc" + name(), "Box", "Kasten"))),
        random.nextInt(4) == 0 ? new Extras(Map.of("later", "[1]"), List.of()) : Extras.NONE);
  }

  private Description.State state() {
    List<String> contexts = of.allContexts().stream().map(Context::id).toList();
    String context =
        contexts.isEmpty() || random.nextInt(6) == 0
            ? "nowhere"
            : contexts.get(random.nextInt(contexts.size()));
    While holds =
        switch (random.nextInt(5)) {
          case 0 -> new While.Selected("");
          case 1 -> new While.Selected(name().strip());
          case 2 -> new While.NothingSelected();
          case 3 -> new While.DialogOpen(random.nextBoolean() ? "Options" : "");
          default -> new While.Document();
        };
    return new Description.State(context, holds);
  }

  private <T> List<T> some(Supplier<T> make) {
    List<T> all = new ArrayList<>();
    for (int i = random.nextInt(4); i > 0; i--) {
      all.add(make.get());
    }
    return all;
  }

  private Description.Command command() {
    String id =
        of.commands().isEmpty() || random.nextInt(6) == 0
            ? "none"
            : of.commands().get(random.nextInt(of.commands().size())).id();
    return new Description.Command(
        id,
        some(this::any),
        random.nextInt(3) == 0 ? name() : "",
        random.nextInt(4) == 0,
        random.nextInt(4) == 0 ? "Weaver" : "",
        span());
  }

  private Description.Dialog dialog() {
    return new Description.Dialog(
        name(),
        some(
            () ->
                new Description.Field(
                    name(),
                    kind(),
                    random.nextBoolean() ? "" : "3",
                    random.nextInt(4) == 0 ? "Grid" : "")),
        some(() -> new Description.Button(name(), some(this::any), random.nextBoolean())),
        span());
  }

  private Description.Setting setting() {
    List<String> options = List.of("on", "off", name());
    return new Description.Setting(
        name(), options, options.get(random.nextInt(3)), random.nextInt(4) == 0, span());
  }

  private Description.Adjustable value() {
    Scale scale = Scale.values()[random.nextInt(Scale.values().length)];
    Kind.Measure range = new Kind.Measure(amount(-3, scale), amount(90, scale), amount(1, scale));
    return new Description.Adjustable(name(), range, amount(random.nextInt(80), scale), span());
  }

  private static Value.Quantity amount(long n, Scale scale) {
    return new Value.Quantity(BigDecimal.valueOf(n), scale);
  }

  private Description.Action action() {
    List<Parameter> parameters =
        random.nextBoolean()
            ? List.of()
            : List.of(
                new Parameter(
                    "n", new Kind.Count(0, 9), new Value.Amount(BigDecimal.ONE), Extras.NONE));
    return new Description.Action(
        new AddOn("Weaver", random.nextBoolean() ? "" : "2.1"),
        "w" + random.nextInt(9),
        name(),
        parameters,
        contexts(),
        some(this::any));
  }

  private Kind kind() {
    return switch (random.nextInt(5)) {
      case 0 -> new Kind.Words();
      case 1 -> new Kind.Count(-2, 9);
      case 2 ->
          new Kind.Measure(
              amount(0, Scale.PERCENT), amount(9, Scale.PERCENT), amount(1, Scale.PERCENT));
      case 3 ->
          new Kind.Distance(
              new Value.Length(BigDecimal.ZERO, LengthUnit.MM),
              new Value.Length(BigDecimal.TEN, LengthUnit.MM),
              new Value.Length(BigDecimal.ONE, LengthUnit.MM));
      default -> new Kind.Choice(List.of("left", "right"));
    };
  }

  private Does any() {
    return switch (random.nextInt(11)) {
      case 0 -> new Does.Sets(name(), given());
      case 1 -> new Does.Turns(name());
      case 2 -> new Does.Gives(name(), given());
      case 3 -> new Does.Raises(name(), given());
      case 4 -> new Does.Selects(Does.Which.values()[random.nextInt(4)]);
      case 5 -> new Does.Adds(name());
      case 6 -> new Does.Removes();
      case 7 -> new Does.Leads(contexts().stream().findFirst().orElse("nowhere"));
      case 8 -> history ? new Does.Undoes() : new Does.Removes();
      case 9 -> history ? new Does.Redoes() : new Does.Turns(name());
      default -> {
        Touch touch = Touch.values()[random.nextInt(Touch.values().length)];
        yield new Does.Changes(history || touch != Touch.UNDO_HISTORY ? touch : Touch.VIEW);
      }
    };
  }

  private Does.Given given() {
    return switch (random.nextInt(4)) {
      case 0 -> new Does.Given.Field(name());
      case 1 -> new Does.Given.Is(name());
      case 2 -> new Does.Given.Is(random.nextBoolean() ? "on" : "off");
      default -> new Does.Given.Is(random.nextInt(-9, 99) + " %");
    };
  }

  private Span span() {
    return random.nextInt(3) > 0
        ? Span.ALWAYS
        : new Span(random.nextBoolean() ? "" : "3.2", random.nextBoolean() ? "" : "3.10");
  }

  private List<String> contexts() {
    return of.allContexts().stream().map(Context::id).filter(c -> random.nextInt(3) == 0).toList();
  }

  private List<String> names() {
    return random.nextBoolean() ? List.of() : List.of(name());
  }

  private String name() {
    return random.nextBoolean() ? "Grid" : NAMES.get(random.nextInt(NAMES.size()));
  }
}
