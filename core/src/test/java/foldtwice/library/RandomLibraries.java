package foldtwice.library;

import foldtwice.binding.Binding;
import foldtwice.binding.Family;
import foldtwice.binding.Fitting;
import foldtwice.binding.Pattern;
import foldtwice.binding.Proof;
import foldtwice.describe.Description;
import foldtwice.describe.RandomDescriptions;
import foldtwice.extras.Extras;
import foldtwice.place.AddOn;
import foldtwice.place.Application;
import foldtwice.place.Context;
import foldtwice.place.Danger;
import foldtwice.place.Finding;
import foldtwice.place.NativeCommand;
import foldtwice.place.Need;
import foldtwice.place.Place;
import foldtwice.place.Rule;
import foldtwice.place.Station;
import foldtwice.place.WayIn;
import foldtwice.routine.Card;
import foldtwice.routine.Condition;
import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Head;
import foldtwice.routine.Kind;
import foldtwice.routine.Line;
import foldtwice.routine.Manner;
import foldtwice.routine.Origin;
import foldtwice.routine.Parameter;
import foldtwice.routine.Readout;
import foldtwice.routine.Routine;
import foldtwice.routine.Scale;
import foldtwice.routine.Step;
import foldtwice.routine.Target;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.routine.Whom;
import foldtwice.routine.Yardstick;
import foldtwice.surface.Device;
import foldtwice.surface.Face;
import foldtwice.surface.Offering;
import foldtwice.surface.Page;
import foldtwice.surface.RadialMenu;
import foldtwice.surface.Surface;
import foldtwice.surface.Toolbar;
import foldtwice.trigger.Direction;
import foldtwice.trigger.Layouts;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Platform;
import foldtwice.trigger.Shape;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;

/** Whole libraries of every kind of value there is, drawn from a seed. */
public final class RandomLibraries {

  private static final List<String> KEYS =
      List.of(
          "Alt+.", "L then B", "Ctrl+[KeyQ]", "F5", "Logo+\u00e4", "AltGr+Shift+E", "Num+Enter");
  private static final List<String> TEXTS =
      List.of(
          "Shift boxes",
          "\u2640 on \u00b1",
          "a \"quoted\" one",
          "tab\tand\nline",
          "",
          "\ud83c\udf3f");

  private final Random random;
  private int ids;

  private RandomLibraries(long seed) {
    random = new Random(seed);
  }

  public static Library of(long seed) {
    return new RandomLibraries(seed).library();
  }

  private Library library() {
    LinkedHashMap<String, Application> applications = new LinkedHashMap<>();
    LinkedHashMap<String, Station> stations = new LinkedHashMap<>();
    LinkedHashMap<String, Surface> surfaces = new LinkedHashMap<>();
    LinkedHashMap<String, Routine> routines = new LinkedHashMap<>();
    LinkedHashMap<String, Binding> bindings = new LinkedHashMap<>();
    LinkedHashMap<String, Proof> proofs = new LinkedHashMap<>();
    for (int i = random.nextInt(3); i >= 0; i--) {
      Application a = application();
      applications.put(a.id(), a);
      Station s = station();
      stations.put(s.id(), s);
    }
    for (int i = random.nextInt(4); i >= 0; i--) {
      Routine r = routine(applications.keySet().iterator().next());
      routines.put(r.id(), r);
    }
    Library places =
        new Library(
            "",
            applications,
            Map.of(),
            Map.of(),
            Map.of(),
            Map.of(),
            Map.of(),
            Map.of(),
            Map.of(),
            Map.of(),
            Map.of(),
            Map.of(),
            Map.of(),
            Map.of(),
            true,
            Extras.NONE);
    Offering offering = new Offering(id(), text(), one(places.places()), triggers(), extras());
    for (Surface s : List.of(device(), toolbar(), menu(one(places.places())), offering)) {
      if (random.nextBoolean()) {
        surfaces.put(s.id(), s);
      }
    }
    for (int i = random.nextInt(6); i > 0; i--) {
      Binding b = binding(one(List.copyOf(routines.values())), one(places.places()));
      bindings.put(b.id(), b);
      if (random.nextBoolean()) {
        proofs.put(b.id(), new Proof(Instant.ofEpochSecond(random.nextInt()), "0123456789abcdef"));
      }
    }
    LinkedHashMap<String, Family> families = new LinkedHashMap<>();
    if (random.nextBoolean()) {
      Family f = family(List.copyOf(bindings.keySet()));
      families.put(f.id(), f);
    }
    LinkedHashMap<String, Acceptance> accepted = new LinkedHashMap<>();
    if (random.nextBoolean()) {
      Acceptance a =
          new Acceptance(
              "fedcba9876543210",
              text(),
              "for now",
              text(),
              Instant.ofEpochSecond(random.nextInt()),
              random.nextBoolean()
                  ? Optional.empty()
                  : Optional.of(
                      new Stake(
                          random.nextInt(50) / 4.0,
                          Danger.values()[random.nextInt(Danger.values().length)])));
      accepted.put(a.conflict(), a);
    }
    return new Library(
        text(),
        applications,
        stations,
        surfaces,
        routines,
        bindings,
        families,
        accepted,
        proofs,
        files(routines, bindings),
        checks(),
        descriptions(applications),
        procedures(bindings),
        outlays(),
        random.nextInt(8) > 0,
        extras());
  }

  private Map<String, Procedure> procedures(Map<String, Binding> bindings) {
    LinkedHashMap<String, Procedure> all = new LinkedHashMap<>();
    for (int i = random.nextInt(3); i > 0; i--) {
      List<Procedure.Part> parts = new ArrayList<>();
      bindings.keySet().stream()
          .limit(random.nextInt(4))
          .forEach(b -> parts.add(new Procedure.Part.Bound(b)));
      if (random.nextBoolean()) {
        parts.add(new Procedure.Part.Native(id(), id()));
      }
      Procedure p =
          new Procedure(
              id(),
              text(),
              parts,
              random.nextInt(40) / 2.0,
              1 + random.nextInt(30),
              new Yardstick(random.nextBoolean() ? List.of() : List.of(new Yardstick.Move.Hand())),
              extras());
      all.put(p.id(), p);
    }
    return all;
  }

  private Map<String, Outlay> outlays() {
    LinkedHashMap<String, Outlay> all = new LinkedHashMap<>();
    for (int i = random.nextInt(3); i > 0; i--) {
      Outlay o =
          new Outlay(
              one(List.of(Outlay.HOUR, Outlay.ofRoutine(id()), Outlay.ofAddOn(text()))),
              random.nextInt(400) / 4.0,
              new BigDecimal(one(List.of("0", "19.90", "250", "0.05"))),
              one(List.of("", "EUR", "JPY")),
              extras());
      all.put(o.id(), o);
    }
    return all;
  }

  private Map<String, Description> descriptions(Map<String, Application> applications) {
    LinkedHashMap<String, Description> all = new LinkedHashMap<>();
    for (Application a : applications.values()) {
      Description d = RandomDescriptions.of(a, random);
      if (!d.isEmpty()) {
        all.put(a.id(), d);
      }
    }
    return all;
  }

  private Map<String, PressCheck> checks() {
    LinkedHashMap<String, PressCheck> checks = new LinkedHashMap<>();
    for (int i = random.nextInt(3); i > 0; i--) {
      PressCheck c =
          new PressCheck(
              id(),
              text(),
              random.nextBoolean() ? "" : id(),
              one(List.of(new Place.Within("a", "c"), new Place.Over("a", "c", "p"))),
              triggers().isEmpty() ? List.of(Notation.read("F2")) : List.of(Notation.read("F3")),
              one(
                  List.of(
                      new Expected.Fires(id(), random.nextBoolean()),
                      new Expected.Lacks(id()),
                      new Expected.Does(id(), id()),
                      new Expected.Keeps(text()),
                      new Expected.Opens(id()),
                      new Expected.Turns(id(), id()),
                      new Expected.Types(text()),
                      new Expected.Undecided(List.of("b2", "b1")),
                      new Expected.Nothing())),
              extras());
      checks.put(c.id(), c);
    }
    return checks;
  }

  /** Some entries as they are, some as they were, some that are gone. */
  private Map<String, ProgramFile> files(
      Map<String, Routine> routines, Map<String, Binding> bindings) {
    LinkedHashMap<String, Given> entries = new LinkedHashMap<>();
    for (Binding b : bindings.values()) {
      Routine now = routines.get(b.routine());
      Binding then = random.nextBoolean() ? b : b.withTriggers(triggers());
      switch (random.nextInt(3)) {
        case 0 -> entries.put(b.id(), new Given(then, now));
        case 1 -> entries.put(b.id(), new Given(then, now.withManner(Manner.PLAIN)));
        default -> {} // not given yet
      }
    }
    if (!bindings.isEmpty() && random.nextBoolean()) {
      Binding some = bindings.values().iterator().next();
      Binding gone =
          new Binding(
              "gone",
              some.routine(),
              some.place(),
              some.triggers(),
              some.arguments(),
              some.usesPerWeek(),
              some.fitting(),
              some.extras());
      entries.put("gone", new Given(gone, routines.get(gone.routine())));
    }
    ProgramFile file = new ProgramFile("s1", "a1", entries);
    return random.nextBoolean() ? Map.of() : Map.of(file.id(), file);
  }

  private <T> T one(List<T> of) {
    return of.get(random.nextInt(of.size()));
  }

  private String id() {
    return one(List.of("a", "b-", "\u00fc")) + ids++;
  }

  private String text() {
    return one(TEXTS);
  }

  private Extras extras() {
    return random.nextInt(3) > 0
        ? Extras.NONE
        : new Extras(Map.of("later", one(List.of("{\"a\":[1,2.50,null]}", "true", "\"x\""))));
  }

  private List<Trigger> triggers() {
    return java.util.stream.Stream.generate(this::trigger).limit(random.nextInt(3)).toList();
  }

  /** Of every kind. */
  private Trigger trigger() {
    Direction way = one(List.of(Direction.values()));
    Trigger.PointerButton button = one(List.of(Trigger.PointerButton.values()));
    return switch (random.nextInt(12)) {
      case 0 ->
          new Trigger.Held(
              Notation.read(one(KEYS)).strokes().getFirst(), one(List.of(Trigger.Edge.values())));
      case 1 -> new Trigger.PadKey(id(), "", id(), one(List.of(Trigger.Duration.values())));
      case 2 -> new Trigger.Dial(id(), text(), id(), one(List.of(Trigger.Turn.values())));
      case 3 -> new Trigger.Gesture(button, List.of(way));
      case 4 -> new Trigger.Gesture(button, List.of(Direction.UP, Direction.LEFT, Direction.UP));
      case 5 -> new Trigger.Pointer(button, new Modifiers(random.nextInt(64)));
      case 6 -> new Trigger.Radial(id(), way);
      case 7 -> new Trigger.Button(id(), 1 + random.nextInt(40));
      case 8 -> new Trigger.AtStart();
      default -> Notation.read(one(KEYS));
    };
  }

  private Face face() {
    return new Face(text(), one(List.of("", "moss")), one(List.of("", "flag")));
  }

  private Device device() {
    List<Device.Cap> keys =
        List.of(
            new Device.Cap("k1", text(), 0, 0, 1, 1, "07/68", ""),
            new Device.Cap("k2", "", 1.25, 0.5, 1.5, 1, "", "louder"));
    List<Device.Knob> dials = List.of(new Device.Knob("d1", text(), 3, 0, random.nextBoolean()));
    Page first = new Page("p1", text(), "moss", Map.of("k1", face()), Map.of());
    Page second =
        new Page(
            "p2",
            "",
            "",
            Map.of(),
            Map.of(
                "k1", new Page.Sends.Chord(Notation.read("Ctrl+Alt+F13")),
                "k2", new Page.Sends.Turn("p1")));
    List<Page> pages =
        random.nextBoolean()
            ? List.of(first, second)
            : List.of(new Page("", "", "", Map.of(), Map.of()));
    return new Device(id(), text(), keys, dials, pages, extras());
  }

  private Toolbar toolbar() {
    return new Toolbar(
        id(),
        text(),
        id(),
        12,
        random.nextInt(4),
        random.nextBoolean(),
        Map.of(3, face(), 12, face()),
        extras());
  }

  private RadialMenu menu(Place place) {
    return new RadialMenu(
        id(), text(), place, triggers(), Map.of(Direction.DOWN_LEFT, face()), extras());
  }

  private Family family(List<String> members) {
    Stroke first = Notation.read(one(KEYS)).strokes().getFirst();
    Modifiers held = new Modifiers(random.nextInt(64));
    Pattern pattern =
        one(
            List.of(
                new Pattern.Neighbours(first),
                new Pattern.Pairs(first, held),
                new Pattern.Steps(first, Notation.read("Down").strokes().getFirst(), held),
                new Pattern.Initials(List.of(first), held),
                new Pattern.Initials(List.of(), Modifiers.NONE),
                new Pattern.PadKeys(id(), one(List.of("", "p1")), "k1")));
    return new Family(id(), text(), members, pattern, extras());
  }

  private WayIn way() {
    List<Need> needs = List.of(Need.values());
    return new WayIn(
        id(),
        text(),
        needs.subList(0, random.nextInt(needs.size())),
        random.nextBoolean(),
        random.nextInt(3),
        random.nextBoolean(),
        extras());
  }

  private Application application() {
    String id = id();
    Context inner =
        new Context(id(), text(), List.of(), false, random.nextBoolean(), false, extras());
    Context outer =
        new Context(
            id(),
            text(),
            List.of(inner),
            random.nextBoolean(),
            false,
            random.nextBoolean(),
            extras());
    List<Rule> rules =
        List.of(
            new Rule.MostStrokes(random.nextInt(4)),
            new Rule.HoldsOneOf(new Modifiers(random.nextInt(64))),
            new Rule.AlwaysHolds(new Modifiers(random.nextInt(64))),
            new Rule.In(
                List.of(inner.id(), "other"),
                new Rule.HoldsOneOf(new Modifiers(random.nextInt(64)))),
            new Rule.NeverHolds(new Modifiers(random.nextInt(64))),
            new Rule.NeverKeys(List.of("F1")));
    NativeCommand command =
        new NativeCommand(
            id(),
            text(),
            text(),
            List.of("Box", text()),
            triggers(),
            random.nextBoolean() ? Optional.empty() : Optional.of(triggers()),
            new Place.Within(id, inner.id()),
            random.nextInt(100) / 4.0,
            one(List.of(Danger.values())),
            random.nextBoolean()
                ? Optional.empty()
                : Optional.of(new Finding(random.nextBoolean(), text())),
            extras());
    return new Application(
        id,
        text(),
        text(),
        List.of(outer),
        List.of(command),
        rules.subList(0, random.nextInt(5)),
        random.nextBoolean() ? List.of() : List.of(way(), way()),
        extras());
  }

  private Station station() {
    return new Station(
        id(),
        text(),
        one(Layouts.IDS),
        one(List.of(Shape.values())),
        one(List.of(Platform.values())),
        List.of(new Station.Reserved(Notation.read(one(KEYS)), text())),
        List.of(
            new Station.Installed(
                id(), "1." + random.nextInt(9), List.of(new AddOn(text(), "1.2")))),
        some(id()),
        extras());
  }

  private Routine routine(String application) {
    Scale scale = one(List.of(Scale.values()));
    List<Parameter> parameters =
        List.of(
            parameter("dx", new Kind.Distance(mm("-9"), mm("9"), mm("0.1")), mm("0.5")),
            parameter("times", new Kind.Count(-5, 5), Value.Amount.of(-2)),
            parameter("words", new Kind.Words(), new Value.Text(text())),
            parameter("way", new Kind.Choice(List.of("Up", "Down")), new Value.Text("Up")),
            parameter("sure", new Kind.YesNo(), new Value.Flag(random.nextBoolean())),
            parameter(
                "level",
                new Kind.Measure(
                    Value.Quantity.of("-2.5", scale),
                    Value.Quantity.of("4", scale),
                    Value.Quantity.of("0.5", scale)),
                Value.Quantity.of("1.5", scale)),
            parameter("many", new Kind.Count(0, 90, 10), Value.Amount.of(20)),
            parameter(
                "share",
                new Kind.Decimal(
                    new BigDecimal("-0.5"), new BigDecimal("2"), new BigDecimal("0.25")),
                new Value.Amount(new BigDecimal("0.75"))),
            parameter("press", new Kind.KeyPress(), new Value.Text("Ctrl+M")),
            parameter("paint", new Kind.Colour(), new Value.Text("#1e6b5e")));
    Head head =
        new Head(
            id(),
            text(),
            text(),
            application,
            one(List.of(Target.values())),
            parameters,
            new Manner(
                one(List.of(Manner.Asking.values())),
                random.nextBoolean() ? "" : "4.1",
                some(new AddOn(text(), random.nextBoolean() ? "" : "2.0")),
                some(id()),
                random.nextBoolean() ? "" : text()),
            new Card(
                random.nextBoolean(),
                random.nextBoolean(),
                random.nextBoolean(),
                some(text()),
                random.nextBoolean() ? "" : "fern",
                random.nextBoolean() ? "" : text()),
            random.nextBoolean()
                ? Origin.HERE
                : new Origin(
                    text(),
                    text(),
                    one(List.of("", "MIT", "GPL-3.0-or-later")),
                    "",
                    random.nextBoolean()),
            new Yardstick(
                List.<Yardstick.Move>of(
                        new Yardstick.Move.Keys(3, one(List.of(Yardstick.Meant.values()))),
                        new Yardstick.Move.Point(
                            240,
                            20,
                            random.nextBoolean()
                                ? Yardstick.Meant.COMMAND
                                : Yardstick.Meant.ARGUMENT),
                        new Yardstick.Move.Clicks(1),
                        new Yardstick.Move.Menu(2),
                        new Yardstick.Move.Hand(),
                        new Yardstick.Move.Choose(9),
                        new Yardstick.Move.Wait(800),
                        new Yardstick.Move.Slip(20, List.of(new Yardstick.Move.Clicks(2))))
                    .subList(0, random.nextInt(9))),
            extras());
    return switch (random.nextInt(6)) {
      case 0 -> new Routine.Script(head, "// " + text() + "\nprogram.select('all');\n");
      case 1 -> new Routine.PluginAction(head, text(), id());
      case 2 ->
          new Routine.Stored(
              head,
              one(List.of(Routine.Stored.Language.values())),
              new Template(text() + " ‹times›"));
      default -> new Routine.Macro(head, lines(2));
    };
  }

  private <T> List<T> some(T text) {
    return random.nextBoolean() ? List.of() : List.of(text);
  }

  private Parameter parameter(String name, Kind kind, Value otherwise) {
    return new Parameter(name, kind, otherwise, extras());
  }

  private static Value.Length mm(String amount) {
    return new Value.Length(new BigDecimal(amount), foldtwice.routine.LengthUnit.MM);
  }

  /** Steps of every kind, some inside others. */
  public static List<Line> lines(Random random) {
    return new RandomLibraries(random.nextLong()).lines(2);
  }

  private List<Line> lines(int depth) {
    return random
        .ints(random.nextInt(4), 0, depth == 0 ? 24 : 27)
        .mapToObj(
            kind ->
                new Line(
                    step(kind, depth),
                    random.nextInt(5) > 0,
                    random.nextInt(5) > 0 ? "" : text(),
                    extras()))
        .toList();
  }

  private Expr value() {
    return ExprNotation.read(
        one(
            List.of(
                "-\u2039dx\u203a * 2",
                "'it''s'",
                "0.5 mm",
                "yes",
                "1.5 EV",
                "12%",
                "30 s",
                "'sheet \u2039words\u203a, \u2039today\u203a'")));
  }

  private Template template() {
    return new Template(one(List.of("Box", "\u2039way\u203a", "no " + "\u2039turn\u203a.")));
  }

  private Readout readout() {
    return one(
        List.of(
            new Readout.Setting(text()),
            new Readout.Adjustable(text()),
            new Readout.Indicator(text()),
            new Readout.Field(text()),
            Readout.Of.SELECTED_COUNT,
            Readout.Of.SELECTED_TEXT,
            Readout.Of.CLIPBOARD));
  }

  /** Conditions of every kind, some made of others. */
  public static Condition condition(Random random) {
    return new RandomLibraries(random.nextLong()).condition();
  }

  private Condition condition() {
    Condition one = plain();
    return switch (random.nextInt(6)) {
      case 0 -> new Condition.All(List.of(one, condition()));
      case 1 -> new Condition.Any(List.of(one, condition(), plain()));
      case 2 -> new Condition.Not(condition());
      default -> one;
    };
  }

  private Condition plain() {
    Condition.Relation relation = one(List.of(Condition.Relation.values()));
    return one(
        List.of(
            new Condition.Reads(readout(), relation, value()),
            new Condition.SomethingSelected(),
            new Condition.Compare(value(), relation, value()),
            new Condition.Ticked(List.of(template())),
            new Condition.VersionAtLeast("4.1"),
            new Condition.DialogOpen(text()),
            new Condition.InFront(id()),
            new Condition.Not(new Condition.SomethingSelected())));
  }

  private List<Step.Question> questions() {
    return random.nextBoolean()
        ? List.of()
        : List.of(
            new Step.Question("margin", new Kind.Count(1, 9), value()),
            new Step.Question(
                "share",
                new Kind.Words(),
                value(),
                List.of(new Value.Text(text()), new Value.Text("a, b")),
                random.nextBoolean()));
  }

  private Step step(int kind, int depth) {
    Step.Edge edge = one(List.of(Step.Edge.values()));
    return switch (kind) {
      case 0 -> new Step.Choose(List.of(new Template("Box"), template()));
      case 1 -> new Step.Fill(text(), value());
      case 2 -> new Step.PressButton(text());
      case 3 -> new Step.Read(readout(), "before");
      case 4 -> new Step.ChangeSetting(text(), value(), one(List.of(Step.Lasting.values())));
      case 5 -> new Step.SelectOffset(value(), value(), edge);
      case 6 -> new Step.SetVariable("v", value());
      case 7 ->
          new Step.Cycle(
              text(),
              Stream.generate(this::value).limit(random.nextInt(4)).toList(),
              one(List.of(Step.Lasting.values())));
      case 8 -> new Step.Adjust(text(), one(List.of(Step.Adjusting.values())), value(), edge);
      case 9 -> new Step.Select(one(List.of(Whom.Group.values())), random.nextBoolean(), edge);
      case 10 -> new Step.Select(new Whom.Named(template()), random.nextBoolean(), edge);
      case 11 -> new Step.TypeText(template());
      case 12 -> new Step.PressKeys(Notation.read(one(KEYS)));
      case 13 -> new Step.Leave(one(List.of(Step.Leaving.values())));
      case 14 -> new Step.Modifiers(one(List.of(Step.Holding.values())));
      case 15 -> new Step.Again();
      case 16 ->
          new Step.Capture(
              one(List.of(Step.Area.values())), random.nextBoolean() ? Template.EMPTY : template());
      case 17 -> new Step.RunRoutine(id(), random.nextBoolean() ? Map.of() : Map.of("x", value()));
      case 18 ->
          new Step.StartProgram(id(), random.nextBoolean() ? List.of() : List.of(template()));
      case 19 -> new Step.BringToFront(id());
      case 20 -> new Step.WaitUntil(condition(), value());
      case 21 -> new Step.Ask(template(), questions());
      case 22 -> new Step.Pause(template(), questions());
      case 23 -> random.nextBoolean() ? new Step.Stop(template()) : new Step.Note(template());
      case 24 -> new Step.If(condition(), lines(depth - 1), lines(depth - 1));
      case 25 ->
          new Step.ForEach(
              "it",
              one(
                  List.of(
                      new Step.Items.Given(
                          Stream.generate(this::value).limit(random.nextInt(4)).toList()),
                      new Step.Items.LinesOf(value()),
                      new Step.Items.LinesOfFile(template()),
                      new Step.Items.Selected())),
              lines(depth - 1));
      default -> new Step.Repeat(value(), lines(depth - 1));
    };
  }

  private Binding binding(Routine routine, Place place) {
    Map<String, Value> all =
        Map.of(
            "dx",
            mm("-0.25"),
            "times",
            Value.Amount.of(5),
            "words",
            new Value.Text(text()),
            "way",
            new Value.Text("Down"),
            "sure",
            new Value.Flag(true));
    Map<String, Value> some = new LinkedHashMap<>();
    all.forEach(
        (name, value) -> {
          if (random.nextBoolean()) {
            some.put(name, value);
          }
        });
    Fitting fitting =
        random.nextBoolean()
            ? Fitting.PLAIN
            : new Fitting(
                one(List.of("", "file")),
                random.nextInt(4),
                random.nextBoolean()
                    ? Optional.empty()
                    : Optional.of(new Fitting.Replaced("app", "flip")),
                random.nextBoolean() ? List.of() : triggers(),
                random.nextBoolean()
                    ? Optional.empty()
                    : Optional.of(one(List.of(Manner.Asking.values()))));
    return new Binding(
        id(), routine.id(), place, triggers(), some, random.nextInt(900) / 2.0, fitting, extras());
  }
}
