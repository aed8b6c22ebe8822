package foldtwice.words;

import foldtwice.binding.Binding;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.ConflictKind;
import foldtwice.conflict.Weight;
import foldtwice.known.Touch;
import foldtwice.library.Dangling;
import foldtwice.library.Library;
import foldtwice.place.AddOn;
import foldtwice.place.Application;
import foldtwice.place.NativeCommand;
import foldtwice.place.Need;
import foldtwice.place.Place;
import foldtwice.place.Rule;
import foldtwice.place.Station;
import foldtwice.reading.Hindrance;
import foldtwice.reading.Mark;
import foldtwice.reading.Reading;
import foldtwice.ready.Wait;
import foldtwice.remedy.Way;
import foldtwice.resolve.Afterwards;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Explanation.LayerReport;
import foldtwice.resolve.Layer;
import foldtwice.resolve.Outcome;
import foldtwice.resolve.Owner;
import foldtwice.routine.Kind;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Target;
import foldtwice.routine.Value;
import foldtwice.suggest.Suggestion;
import foldtwice.surface.Device;
import foldtwice.surface.Surface;
import foldtwice.text.Texts;
import foldtwice.trigger.Direction;
import foldtwice.trigger.Key;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Layout;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Press;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** Says what the values of one library are, in words. */
public final class Words {

  static final Texts TEXTS = Texts.of("foldtwice.words.Words", Words.class.getClassLoader());

  private static final String MINUS = "\u2212";

  private final Library library;
  private final Optional<Layout> layout;

  public Words(Library library) {
    this(library, Optional.empty());
  }

  /**
   * @param layout of the keyboard before whoever reads it: a key named by position is called by
   *     what is printed on it there
   */
  public Words(Library library, Layout layout) {
    this(library, Optional.of(layout));
  }

  private Words(Library library, Optional<Layout> layout) {
    this.library = library;
    this.layout = layout;
  }

  /** The same before the same keyboard, of another library. */
  public Words of(Library other) {
    return new Words(other, layout);
  }

  Library library() {
    return library;
  }

  /** The words on the key caps of a stroke, modifiers first. */
  public List<String> caps(Stroke stroke) {
    List<String> caps = new ArrayList<>(Notation.caps(stroke));
    if (stroke.key() instanceof Key.At(KeyCode code) && layout.isPresent()) {
      Stroke printed = layout.get().stroke(new Press(code, Modifiers.NONE));
      caps.set(caps.size() - 1, Notation.word(printed.key()));
    }
    return List.copyOf(caps);
  }

  /** Keys in a text: a stroke that is named by position says so. */
  public String keys(List<Stroke> strokes) {
    return strokes.stream()
        .map(
            s ->
                s.key() instanceof Key.At && layout.isPresent()
                    ? TEXTS.get("keys.position", String.join("+", caps(s)))
                    : Notation.write(s))
        .collect(Collectors.joining(TEXTS.get("trigger.then")));
  }

  /** An application by its name; one that is not there by its id. */
  public String application(String id) {
    return Optional.ofNullable(library.applications().get(id)).map(Application::name).orElse(id);
  }

  /** Who owns a claim: a routine with its arguments, a command, what the desktop does. */
  public String owner(Owner owner) {
    return switch (owner) {
      case Owner.Yours(String id) ->
          Optional.ofNullable(library.bindings().get(id)).map(this::binding).orElse(id);
      case Owner.Native(String application, String id) ->
          Optional.ofNullable(library.applications().get(application))
              .flatMap(a -> a.command(id).map(c -> command(a, c)))
              .orElse(id);
      case Owner.Menu(String id) ->
          Optional.ofNullable(library.surfaces().get(id)).map(Surface::name).orElse(id);
      case Owner.Key(String device, String page, String key) ->
          trigger(new Trigger.PadKey(device, page, key, Trigger.Duration.TAP));
      case Owner.Desktop(String what) -> what;
    };
  }

  /** Who owns a claim, in as few words as tell: the routine without its arguments. */
  public String shortly(Owner owner) {
    return owner instanceof Owner.Yours(String id)
        ? Optional.ofNullable(library.bindings().get(id))
            .flatMap(library::routineOf)
            .map(Routine::name)
            .orElse(id)
        : owner(owner);
  }

  public static String direction(Direction direction) {
    return TEXTS.get("direction." + direction);
  }

  public static String pointerButton(Trigger.PointerButton button) {
    return TEXTS.get("pointer." + button);
  }

  /** A trigger in running text, devices and what is on them by their names. */
  public String trigger(Trigger trigger) {
    return new TriggerWords(library, this).of(trigger);
  }

  /** A command by its name; one that shares its name, by its menu too: {@code Clear (Flags)}. */
  public static String command(Application application, NativeCommand command) {
    return command(command, application.namesakes(command).size() > 1);
  }

  /** The same, where it is known whether others share its name. */
  static String command(NativeCommand command, boolean shares) {
    List<String> menu = command.menuPath();
    return !shares || menu.size() < 2
        ? command.name()
        : TEXTS.get(
            "command.in",
            command.name(),
            String.join(" \u203a ", menu.subList(0, menu.size() - 1)));
  }

  /** What was found out about a command: {@code does not work: only in a text}. */
  public static Optional<String> finding(NativeCommand command) {
    return command
        .finding()
        .map(
            f ->
                f.note().isEmpty()
                    ? TEXTS.get(f.works() ? "finding.works" : "finding.fails")
                    : TEXTS.get(f.works() ? "finding.works.note" : "finding.fails.note", f.note()));
  }

  /** A binding by its routine and the arguments it gives: {@code Shift boxes, dx +0.5 mm}. */
  public String binding(Binding binding) {
    String arguments = arguments(binding);
    String name = routineName(binding);
    return arguments.isEmpty() ? name : name + ", " + arguments;
  }

  /** A binding in two short lines: its routine, and what it gives it. */
  public String brief(Binding binding) {
    String given =
        library
            .routineOf(binding)
            .map(
                r ->
                    r.parameters().stream()
                        .filter(p -> binding.arguments().containsKey(p.name()))
                        .map(p -> value(p, binding.arguments().get(p.name())))
                        .collect(Collectors.joining(", ")))
            .orElse("");
    return given.isEmpty() ? routineName(binding) : routineName(binding) + "\n" + given;
  }

  /** Which triggers a person sees, and which one has to know; empty for none of either. */
  public String sight(Collection<Trigger> triggers) {
    String seen = sight("sight.seen", Trigger.Sight.SEEN, triggers);
    String known = sight("sight.known", Trigger.Sight.KNOWN, triggers);
    return seen.isEmpty() || known.isEmpty() ? seen + known : TEXTS.get("sight.both", seen, known);
  }

  private String sight(String text, Trigger.Sight sight, Collection<Trigger> triggers) {
    String such =
        triggers.stream()
            .filter(t -> t.sight() == sight)
            .map(this::trigger)
            .distinct()
            .collect(Collectors.joining(", "));
    return such.isEmpty() ? "" : TEXTS.get(text, such);
  }

  /**
   * That a trigger needs more held than it says on a station's keyboard; empty when it does not.
   */
  public Optional<String> besides(Trigger trigger, Station station) {
    Modifiers more =
        trigger.keyStrokes().stream().map(station::besides).reduce(Modifiers.NONE, Modifiers::and);
    return more.isEmpty()
        ? Optional.empty()
        : Optional.of(TEXTS.get("typed.besides", trigger(trigger), more.words(), station.name()));
  }

  /** Why a trigger is suggested: {@code first letter of shift; the same in Copystand}. */
  public String reasons(Suggestion suggestion) {
    return suggestion.reasons().stream().map(this::reason).collect(Collectors.joining("; "));
  }

  private String commands(List<Owner.Native> some) {
    return some.stream().map(this::owner).collect(Collectors.joining(", "));
  }

  private String reason(Suggestion.Reason reason) {
    return switch (reason) {
      case Suggestion.Reason.Initials(String letters) -> TEXTS.get("reason.initials", letters);
      case Suggestion.Reason.FirstLetter(String word) -> TEXTS.get("reason.letter", word);
      case Suggestion.Reason.SameElsewhere(List<String> applications) ->
          TEXTS.get(
              "reason.same",
              applications.stream()
                  .map(a -> place(new Place.Whole(a)))
                  .collect(Collectors.joining(", ")));
      case Suggestion.Reason.Displaces(var commands) ->
          TEXTS.get("reason.displaces", commands(commands));
      case Suggestion.Reason.GivesBack(var commands) ->
          TEXTS.get("reason.givesback", commands(commands));
      case Suggestion.Reason.OtherElsewhere(String application) ->
          TEXTS.get("reason.other", place(new Place.Whole(application)));
      case Suggestion.Reason.NoModifier() -> TEXTS.get("reason.plain");
      case Suggestion.Reason.DangerBeside(String key, String command) ->
          TEXTS.get("reason.danger", key, command);
      case Suggestion.Reason.OnDevice(String device) ->
          TEXTS.get("reason.device", library.device(device).map(Device::name).orElse(device));
      case Suggestion.Reason.OfItsName(String letters) -> TEXTS.get("reason.ofname", letters);
      case Suggestion.Reason.Within(int millimetres, boolean oneHand) ->
          TEXTS.get("reason.within", millimetres, oneHand ? 1 : 2);
    };
  }

  /** What keeps a routine from working on a computer. */
  public String hindrance(Hindrance h) {
    return switch (h) {
      case Hindrance.NoProgram(String application) ->
          TEXTS.get("hindrance.program", place(new Place.Whole(application)));
      case Hindrance.TooOld(String application, String needed, String found) ->
          TEXTS.get("hindrance.version", place(new Place.Whole(application)), needed, found);
      case Hindrance.NoAddOn(String name) -> TEXTS.get("hindrance.addon", name);
      case Hindrance.AddOnTooOld(AddOn needed, String found) ->
          TEXTS.get("hindrance.addonold", needed.name(), needed.version(), found);
      case Hindrance.NoAction(String addOn, String action) ->
          TEXTS.get("hindrance.action", addOn, action);
      case Hindrance.NoStatement(String why) -> TEXTS.get("hindrance.statement", why);
      case Hindrance.Unreadable(int line, int column, String expected) ->
          TEXTS.get("hindrance.unreadable", line, column, expected);
      case Hindrance.Step(Mark mark) ->
          TEXTS.get("hindrance.step", mark.number(), mark.found(), mark.expected());
    };
  }

  /** What a trigger comes to, such as {@code Flip box in box selected; nothing in sheet}. */
  public String afterwards(List<Afterwards> all) {
    if (all.size() == 1) {
      return outcome(all.getFirst().outcome());
    }
    return all.isEmpty()
        ? TEXTS.get("outcome.nothing")
        : all.stream()
            .map(
                a ->
                    TEXTS.get(
                        "outcome.in",
                        outcome(a.outcome()),
                        a.states().stream()
                            .map(s -> place(s).replaceFirst("^.* \u203a ", ""))
                            .collect(Collectors.joining(", "))))
            .collect(Collectors.joining("; "));
  }

  /** What presses came to, in a few words. */
  public String outcome(Outcome outcome) {
    return switch (outcome) {
      case Outcome.Fired(Claim claim) -> owner(claim.owner());
      case Outcome.Typed(String text) -> TEXTS.get("outcome.types", text);
      case Outcome.Waiting w -> TEXTS.get("outcome.waits");
      case Outcome.Undecided u -> TEXTS.get("outcome.undecided");
      case Outcome.Unclaimed u -> TEXTS.get("outcome.nothing");
    };
  }

  /** How many conflicts there are on a station, by weight, and how many are accepted. */
  public static String tally(
      int bindings, String station, long blocks, long costs, long notes, long accepted) {
    return TEXTS.get("tally", bindings, station, blocks, costs, notes, accepted);
  }

  /** What a trigger points at that is not there. */
  public String dangling(Dangling d) {
    return TEXTS.get("dangling." + d.what(), d.of(), d.named());
  }

  /** What a binding waits for. */
  public String wait(Wait wait) {
    return switch (wait) {
      case Wait.Lacks(Hindrance what) -> hindrance(what);
      case Wait.Dangles(Dangling what) -> dangling(what);
      case Wait.Slot(int slots) -> TEXTS.get("wait.slot", slots);
      case Wait.For(Need need) -> need(need);
      case Wait.Device(String id) ->
          TEXTS.get("wait.device", library.device(id).map(Device::name).orElse(id));
    };
  }

  /** Something that must happen before what was put into a program works. */
  public static String need(Need need) {
    return TEXTS.get("need." + need);
  }

  /** Add-ons with their versions: {@code Straightener 2.0, Lister}. */
  public static String addOns(List<AddOn> addOns) {
    return addOns.stream()
        .map(a -> (a.name() + " " + a.version()).strip())
        .collect(Collectors.joining(", "));
  }

  /** A step after its verb, routines by their names. */
  public String step(Step step) {
    return StepWords.rest(
        step, id -> Optional.ofNullable(library.routines().get(id)).map(Routine::name).orElse(id));
  }

  public String routineName(Binding binding) {
    return library.routineOf(binding).map(Routine::name).orElse(binding.routine());
  }

  /** The arguments a binding gives: {@code dx +0.5 mm}. */
  public String arguments(Binding binding) {
    return library
        .routineOf(binding)
        .map(
            r ->
                r.parameters().stream()
                    .filter(p -> binding.arguments().containsKey(p.name()))
                    .map(p -> p.name() + " " + value(p, binding.arguments().get(p.name())))
                    .collect(Collectors.joining(", ")))
        .orElse("");
  }

  /** A value as it reads best: with its sign where it could have either. */
  public static String value(Parameter parameter, Value value) {
    boolean signed =
        switch (parameter.kind()) {
          case Kind.Distance d -> d.least().amount().signum() < 0;
          case Kind.Count c -> c.least() < 0;
          case Kind.Decimal d -> d.least().signum() < 0;
          case Kind.Measure m -> m.least().amount().signum() < 0;
          default -> false;
        };
    BigDecimal amount =
        switch (value) {
          case Value.Length l -> l.amount();
          case Value.Amount(BigDecimal n) -> n;
          case Value.Quantity q -> q.amount();
          default -> null;
        };
    String shown = value.shown().replace("-", MINUS);
    if (amount == null) {
      return value.shown();
    }
    return signed && amount.signum() > 0 ? "+" + shown : shown;
  }

  /** What a routine acts on. */
  public static String target(Target target) {
    return TEXTS.get("target." + target);
  }

  /** What it may change that is no setting. */
  public static String touch(Touch touch) {
    return TEXTS.get("touch." + touch);
  }

  /** What about it cannot be read beforehand. */
  public static String beyond(Reading.Beyond beyond) {
    return TEXTS.get("beyond." + beyond);
  }

  public String place(Place place) {
    return library.nameOf(place);
  }

  /** The places of a list, joined. */
  public String places(List<Place> places) {
    return places.stream().map(this::place).collect(Collectors.joining(", "));
  }

  /** A conflict in a few words, for a row of a list. */
  public String brief(Conflict c) {
    return new ConflictWords(this, library).brief(c);
  }

  /** A conflict in a sentence. */
  public String sentence(Conflict c) {
    return new ConflictWords(this, library).sentence(c);
  }

  /** What a rule of an application demands. */
  public String rule(Rule rule, Place place) {
    String application =
        place
            .applicationId()
            .map(id -> library.applications().get(id))
            .map(Application::name)
            .orElse("");
    return switch (rule) {
      case Rule.MostStrokes(int count) ->
          TEXTS.get(count == 1 ? "rule.one-stroke" : "rule.most-strokes", application, count);
      case Rule.HoldsOneOf h -> TEXTS.get("rule.holds-one-of", application, modifiers(rule));
      case Rule.AlwaysHolds a -> TEXTS.get("rule.always-holds", application, modifiers(rule));
      case Rule.In(List<String> contexts, Rule of) ->
          TEXTS.get(
              "rule.in",
              place
                  .applicationId()
                  .map(
                      a ->
                          contexts.stream()
                              .map(c -> place(new Place.Within(a, c)))
                              .collect(Collectors.joining(", ")))
                  .orElse(""),
              rule(of, place));
      case Rule.NeverHolds n -> TEXTS.get("rule.never-holds", application, modifiers(rule));
      case Rule.NeverKeys(List<String> keysyms) ->
          TEXTS.get("rule.never-keys", application, String.join(", ", keysyms));
    };
  }

  private static String modifiers(Rule rule) {
    return rule.modifierList().stream()
        .map(Modifier::word)
        .collect(Collectors.joining(TEXTS.get("or")));
  }

  /** What is said of layers that let a press pass. */
  public String passes(int layers) {
    return TEXTS.get("passes", layers);
  }

  /** What can be done about a conflict. */
  public String way(Way way) {
    return new WayWords(this, library).of(way);
  }

  /** What a kind of conflict is called. */
  public static String kind(ConflictKind kind) {
    return TEXTS.get("kind." + kind.id());
  }

  public static String weight(Weight weight) {
    return TEXTS.get("weight." + weight.id());
  }

  /** Who looked at a press. */
  public String layer(Layer layer) {
    return switch (layer) {
      case Layer.Reserved() -> TEXTS.get("layer.reserved");
      case Layer.SystemWide() -> TEXTS.get("layer.system-wide");
      case Layer.At(Place place) -> place(place);
      case Layer.TextEntry() -> TEXTS.get("layer.text-entry");
    };
  }

  /** What a layer did with a press. */
  public String verdict(LayerReport report) {
    boolean isNative =
        report.claims().stream().allMatch(c -> c.owner() instanceof Owner.Native)
            && !report.claims().isEmpty();
    String key = "verdict." + report.verdict().name();
    String says =
        TEXTS.get(
            isNative && TEXTS.bundle().containsKey(key + ".native") ? key + ".native" : key,
            owners(report.claims()));
    return report.behind().isEmpty()
        ? says
        : TEXTS.get("verdict.behind", says, owners(report.behind()));
  }

  private String owners(List<Claim> claims) {
    return claims.stream().map(c -> owner(c.owner())).distinct().collect(Collectors.joining(", "));
  }

  /** A number without needless decimals. */
  public static String number(double n) {
    return new BigDecimal(Double.toString(n)).stripTrailingZeros().toPlainString();
  }
}
