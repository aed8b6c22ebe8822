package foldtwice.conflict;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.Fixture;
import foldtwice.binding.Binding;
import foldtwice.extras.Extras;
import foldtwice.library.Dangling;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.Surroundings;
import foldtwice.place.Danger;
import foldtwice.place.Place;
import foldtwice.ready.Outlook;
import foldtwice.ready.Setup;
import foldtwice.ready.Wait;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Owner;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.routine.Whom;
import foldtwice.source.ToScript;
import foldtwice.surface.Device;
import foldtwice.surface.Page;
import foldtwice.surface.RadialMenu;
import foldtwice.surface.Toolbar;
import foldtwice.trigger.Direction;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** The kinds that come from what a routine does, from devices and from what is not there. */
class KindsTest {

  private static Step step(String written) {
    String[] f = written.split(" ", 2);
    return switch (f[0]) {
      case "types" -> new Step.TypeText(new Template("x"));
      case "presses" -> new Step.PressKeys(Notation.read(f[1]));
      case "calls" -> new Step.RunRoutine(f[1], Map.of());
      case "releases" -> new Step.Modifiers(Step.Holding.RELEASE);
      case "ignores" -> new Step.Modifiers(Step.Holding.IGNORE);
      case "front" -> new Step.BringToFront(f[1]);
      case "points" -> new Step.Select(Whom.Group.AT_POINTER, false);
      case "pauses" -> new Step.Pause(new Template(""), List.of());
      case "switched-off" -> throw new IllegalArgumentException(written);
      default -> throw new IllegalArgumentException("no step is written " + written);
    };
  }

  /** {@code "r: presses Alt+A, types"}. */
  private static Routine routine(String written) {
    String[] f = written.split(": ", 2);
    List<Line> steps =
        Stream.of(f[1].split(", ")).map(s -> new Line(step(s))).collect(Collectors.toList());
    return Routine.Macro.of(f[0], f[0].toUpperCase(java.util.Locale.ROOT), "app", List.of(), steps);
  }

  /** The rows of the fixture; each binding fires the routine {@code r} unless told otherwise. */
  private static Library library(List<String> rows, String... routines) {
    Library library = Fixture.library(rows.toArray(String[]::new));
    List<Edit> edits = new ArrayList<>();
    Stream.of(routines).forEach(r -> edits.add(new Edit.PutRoutine(routine(r))));
    int i = 0;
    for (Binding b : library.bindings().values()) {
      String r = routines[Math.min(i++, routines.length - 1)].split(":")[0];
      edits.add(new Edit.PutBinding(b.withRoutine(r, Map.of())));
    }
    return new Edit.Together(edits).on(library);
  }

  /** The same with its macros as scripts: what their texts name is known as well. */
  private static Library asScripts(Library library) {
    return new Edit.Together(
            library.routines().values().stream()
                .filter(Routine.Macro.class::isInstance)
                .<Edit>map(r -> new Edit.PutRoutine(ToScript.of((Routine.Macro) r).routine()))
                .toList())
        .on(library);
  }

  private static List<Conflict> found(Library library, ConflictKind kind) {
    return Auditor.audit(Subject.of(library, Fixture.keymap(library))).stream()
        .filter(c -> c.kind() == kind)
        .toList();
  }

  /** A trigger, what the routine does, and what its modifiers do to it. */
  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "Ctrl+K; types; TYPES BLOCKS",
        "Shift+F5; types; none",
        "F5; types; none",
        "Ctrl+K; releases, types; none",
        "Ctrl+K; ignores, types; none",
        "Ctrl+K; pauses, types; none",
        "Ctrl+K; presses F2; PRESSES COSTS",
        "Ctrl+K; presses Ctrl+C; none",
        "Ctrl+Shift+K; presses Ctrl+C; PRESSES COSTS",
        "Shift+F5; points; SELECTS COSTS",
        "Ctrl+K; points; none",
        "Ctrl+A then B; types; none",
        "held Ctrl+K; types; TYPES BLOCKS",
        "up Ctrl+K; types; none",
        "pad k1; types; none",
      })
  void modifierDown(String trigger, String does, String expected) {
    Library library = library(List.of("mine box " + trigger), "q: " + does);
    assertThat(down(library)).isEqualTo(expected);
    assertThat(down(asScripts(library))).as("as a script").isEqualTo(expected);
  }

  private static String down(Library library) {
    return found(library, ConflictKind.MODIFIER_DOWN).stream()
        .map(c -> ((Detail.Down) c.detail()).harm() + " " + c.weight())
        .findFirst()
        .orElse("none");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        // bindings; their routines; who is on a circle
        "mine box Alt+A; q: presses Alt+A; q>q",
        "mine box Alt+A; q: presses Alt+B; none",
        "mine box Alt+A, mine bare Alt+B; q: presses Alt+B| p: presses Alt+A; none",
        "mine box Alt+A, mine sheet Alt+B; q: presses Alt+B| p: presses Alt+A; q>p>q p>q>p",
        "mine box Alt+A; q: calls q; q>q",
        "mine box Alt+A, mine box Alt+B; q: calls p| p: presses Alt+A; q>p>q p>q>p",
        "mine box Alt+A, mine box Alt+B; q: calls p| p: calls p; p>p",
        "mine box Alt+A, mine text Alt+B; q: front app, presses Alt+B| p: types; none",
        "mine box Alt+A, mine text Alt+B; q: front app, presses Alt+B| p: calls q; q>p>q p>q>p",
      })
  void circles(String claims, String routines, String expected) {
    Library library =
        library(
            List.of(claims.split(", ")),
            Stream.of(routines.split("\\|")).map(String::strip).toArray(String[]::new));
    String sorted = Stream.of(expected.split(" ")).sorted().collect(Collectors.joining(" "));
    assertThat(circular(library)).isEqualTo(sorted);
    assertThat(circular(asScripts(library))).as("as scripts").isEqualTo(sorted);
  }

  private static String circular(Library library) {
    String says =
        found(library, ConflictKind.CIRCULAR).stream()
            .map(
                c ->
                    ((Detail.Circle) c.detail())
                            .links().stream()
                                .map(Detail.Link::routine)
                                .collect(Collectors.joining(">"))
                        + ">"
                        + ((Detail.Circle) c.detail()).links().getFirst().routine())
            .sorted()
            .collect(Collectors.joining(" "));
    return says.isEmpty() ? "none" : says;
  }

  private static Library withPad(Library library, boolean plugged, String sends) {
    Optional<Page.Sends> what =
        sends.isEmpty()
            ? Optional.empty()
            : Optional.of(
                sends.startsWith("page ")
                    ? new Page.Sends.Turn(sends.substring(5))
                    : new Page.Sends.Chord(Notation.read(sends)));
    return Fixture.withPad(library, plugged, 1, what);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        // claims; what the pad's key sends; broken where, taken by whom
        "mine box Ctrl+[F18]; Ctrl+[F18]; none",
        "mine box F5; Ctrl+[F18]; BLOCKS ",
        "native box Ctrl+[F18]; Ctrl+[F18]; none",
        "mine sheet Ctrl+[F18], mine box Ctrl+[F18]; Ctrl+[F18]; none",
        "mine sheet Ctrl+[F18], native box Ctrl+[F18]; Ctrl+[F18]; COSTS box",
        "mine box Ctrl+[F18] then A; Ctrl+[F18]; none",
        "mine text F5; q; none",
        "mine box Ctrl+[F18], mine box Ctrl+[F18] then A; Ctrl+[F18]; none",
        "mine box Logo+L; Logo+L; BLOCKS box",
        "mine box Alt+\u00e4; Alt+\u00e4; BLOCKS ",
        "mine box F5; page labels; BLOCKS ",
      })
  void brokenChains(String claims, String sends, String expected) {
    Library library = withPad(Fixture.library(claims.split(", ")), true, sends);
    String says =
        found(library, ConflictKind.BROKEN_CHAIN).stream()
            .map(
                c ->
                    c.weight()
                        + " "
                        + c.places().stream()
                            .map(p -> p.id().replace("app/", ""))
                            .collect(Collectors.joining("+")))
            .collect(Collectors.joining("/"));
    assertThat(says.isEmpty() ? "none" : says.strip()).isEqualTo(expected);
    assertThat(found(withPad(library, false, sends), ConflictKind.BROKEN_CHAIN)).isEmpty();
  }

  /** What is bound to a key that types of itself never hears of it. */
  @Test
  void aKeyThatSendsCoversWhatIsBoundToIt() {
    Library library =
        withPad(Fixture.library("mine box pad k1", "mine box Ctrl+[F18]"), true, "Ctrl+[F18]");
    assertThat(found(library, ConflictKind.COVERED))
        .singleElement()
        .satisfies(c -> assertThat(c.weight()).isEqualTo(Weight.BLOCKS))
        .satisfies(
            c ->
                assertThat(c.claims().getLast().owner()).isEqualTo(new Owner.Key("pad", "", "k1")));
    assertThat(found(withPad(library, true, ""), ConflictKind.COVERED)).isEmpty();
  }

  /** A binding that fires in no state is blocked, whoever takes it in each of them. */
  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        // claims, the first is looked at; its conflicts
        "mine sheet Alt+A, mine box Alt+A, mine bare Alt+A; COVERED BLOCKS, COVERED BLOCKS",
        "mine sheet Alt+A, mine box Alt+A; COVERED COSTS",
        "mine sheet A then B, mine box A, mine bare A; CUT_SHORT BLOCKS, CUT_SHORT BLOCKS",
        "mine sheet A then B, mine box A, mine bare A then B; COVERED BLOCKS, CUT_SHORT BLOCKS",
        "mine sheet A then B, mine box A; CUT_SHORT COSTS",
        "mine app Alt+A, mine sheet Alt+A; COVERED COSTS",
      })
  void whatFiresNowhereIsBlocked(String claims, String expected) {
    Library library = Fixture.library(claims.split(", "));
    String first = claims.split(", ")[0];
    String says =
        Auditor.audit(Subject.of(library, Fixture.keymap(library))).stream()
            .filter(c -> c.about().owner().name().equals(first))
            .filter(c -> c.kind() == ConflictKind.COVERED || c.kind() == ConflictKind.CUT_SHORT)
            .map(c -> c.kind() + " " + c.weight())
            .sorted()
            .collect(Collectors.joining(", "));
    assertThat(says).isEqualTo(expected);
  }

  private static final Library SURFACES =
      new Edit.Together(
              List.of(
                  new Edit.PutSurface(
                      new Toolbar("bar", "Bar", "app", 2, 0, false, Map.of(), Extras.NONE)),
                  new Edit.PutSurface(
                      new Toolbar("other", "Other", "another", 2, 0, false, Map.of(), Extras.NONE)),
                  new Edit.PutSurface(
                      new RadialMenu(
                          "ring",
                          "Ring",
                          new Place.Whole("app"),
                          List.of(Notation.read("F7")),
                          Map.of(),
                          Extras.NONE)),
                  new Edit.PutSurface(
                      new RadialMenu(
                          "shut",
                          "Shut",
                          new Place.Whole("app"),
                          List.of(),
                          Map.of(),
                          Extras.NONE)),
                  new Edit.PutSurface(
                      new Device(
                          "pad",
                          "Pad",
                          List.of(
                              new Device.Cap("k1", "1", 0, 0, 1, 1, "", ""),
                              new Device.Cap("k2", "2", 1, 0, 1, 1, "", "")),
                          List.of(
                              new Device.Knob("d1", "1", 0, 2, false),
                              new Device.Knob("d2", "2", 1, 2, true)),
                          List.of(new Page("", "", "", Map.of(), Map.of())),
                          Extras.NONE))))
          .on(Fixture.withPad(Fixture.library("mine box F5"), true, 1, Optional.empty()));

  static Stream<Arguments> dangling() {
    return Stream.of(
        Arguments.of(new Trigger.Button("bar", 2), null),
        Arguments.of(new Trigger.Button("bar", 3), Dangling.What.SLOT),
        Arguments.of(new Trigger.Button("none", 1), Dangling.What.TOOLBAR),
        Arguments.of(new Trigger.Button("ring", 1), Dangling.What.TOOLBAR),
        Arguments.of(new Trigger.Button("other", 1), Dangling.What.FOREIGN_TOOLBAR),
        Arguments.of(new Trigger.Radial("ring", Direction.UP), null),
        Arguments.of(new Trigger.Radial("none", Direction.UP), Dangling.What.MENU),
        Arguments.of(new Trigger.Radial("shut", Direction.UP), Dangling.What.UNOPENED),
        Arguments.of(new Trigger.PadKey("pad", "", "k2", Trigger.Duration.TAP), null),
        Arguments.of(
            new Trigger.PadKey("pad", "p", "k2", Trigger.Duration.TAP), Dangling.What.PAGE),
        Arguments.of(new Trigger.PadKey("pad", "", "k9", Trigger.Duration.TAP), Dangling.What.KEY),
        Arguments.of(new Trigger.Dial("pad", "", "d1", Trigger.Turn.LEFT), null),
        Arguments.of(new Trigger.Dial("pad", "", "d9", Trigger.Turn.LEFT), Dangling.What.DIAL),
        Arguments.of(new Trigger.Dial("pad", "", "d1", Trigger.Turn.PUSH), Dangling.What.PUSH),
        Arguments.of(new Trigger.Dial("pad", "", "d2", Trigger.Turn.PUSH), null));
  }

  /** A trigger on what is not there is told, waits, and can be moved to what is. */
  @ParameterizedTest
  @MethodSource("dangling")
  void aTriggerOnWhatIsNotThere(Trigger trigger, Dangling.What what) {
    Binding b = SURFACES.bindings().get("mine box F5").withTriggers(List.of(trigger));
    Library library = new Edit.PutBinding(b).on(SURFACES);
    List<Conflict> found = found(library, ConflictKind.MISSING);
    assertThat(found.stream().map(c -> ((Detail.Dangles) c.detail()).what().what()))
        .containsExactlyElementsOf(what == null ? List.of() : List.of(what));
    Outlook outlook =
        Outlook.of(
            library,
            Fixture.keymap(library),
            new Surroundings(List.of(), List.of(), library),
            new Setup(Map.of()),
            b);
    assertThat(outlook.items().stream().anyMatch(i -> i.what() instanceof Wait.Dangles))
        .isEqualTo(what != null);
  }

  @Test
  void aWayInAndAStartThatAreNotThere() {
    Library library = Fixture.library("mine box Alt+A");
    Binding b = library.bindings().get("mine box Alt+A");
    Library way = new Edit.PutBinding(b.withFitting(b.fitting().by("none"))).on(library);
    assertThat(found(way, ConflictKind.MISSING))
        .extracting(Conflict::detail)
        .containsExactly(new Detail.NoWay("none"));
    Routine r = library.routines().get(b.routine());
    Library elsewhere =
        new Edit.PutRoutine(r.withManner(r.manner().startingIn(List.of("bare")))).on(library);
    assertThat(found(elsewhere, ConflictKind.MISSING))
        .extracting(Conflict::detail)
        .containsExactly(new Detail.NeverStarts(List.of("bare")));
    Library here =
        new Edit.PutRoutine(r.withManner(r.manner().startingIn(List.of("bare", "box"))))
            .on(library);
    assertThat(found(here, ConflictKind.MISSING)).isEmpty();
  }

  @Test
  void whatIsNotThereIsMissing() {
    Library library = Fixture.library("mine box pad k1", "mine box Alt+A");
    Binding b = library.bindings().get("mine box Alt+A");
    assertThat(found(withPad(library, false, ""), ConflictKind.MISSING))
        .extracting(Conflict::detail)
        .containsExactly(new Detail.NoDevice("pad"));
    Library gone = new Edit.RemoveRoutine(b.routine()).on(withPad(library, true, ""));
    assertThat(found(gone, ConflictKind.MISSING))
        .extracting(Conflict::detail)
        .containsExactly(new Detail.NoRoutine(b.routine()));
    Library more =
        new Edit.PutBinding(b.withArgument("x", Value.Amount.of(1))).on(withPad(library, true, ""));
    assertThat(found(more, ConflictKind.MISSING))
        .extracting(Conflict::detail)
        .containsExactly(new Detail.NoParameter("x"));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "mine box Alt+A, mine box Alt+B; 1",
        "mine box Alt+A, mine sheet Alt+B; 1",
        "mine box Alt+A, mine everywhere Alt+B; 1",
        "mine box Alt+A, mine bare Alt+B; 0",
        "mine box Alt+A, mine box pad k1; 0",
        // one of which is never heard
        "mine box Alt+A, mine box Logo+L; 0",
        "mine box Alt+A, mine box Alt+\u20ac; 0",
        // on one key: what goes before does the same
        "mine sheet Alt+A, mine box Alt+A; 1",
        "mine box Alt+A, mine sheet Alt+B, mine box Alt+B; 2",
        "mine box Alt+A, mine box Alt+B, mine bare Alt+C, mine sheet Alt+D; 2",
      })
  void twins(String claims, int expected) {
    Library library = library(List.of(claims.split(", ")), "q: types");
    assertThat(found(library, ConflictKind.TWINS)).hasSize(expected);
    List<Edit> apart = new ArrayList<>();
    int i = 0;
    for (Binding b : library.bindings().values()) {
      apart.add(new Edit.PutBinding(b.withArgument("n", Value.Amount.of(i++))));
    }
    assertThat(found(new Edit.Together(apart).on(library), ConflictKind.TWINS)).isEmpty();
  }

  /** The law of {@link Loss}: it never falls when more is lost. */
  @Test
  void moreUseMoreDangerMorePlacesNeverCostLess() {
    Library library = Fixture.library("mine box Alt+A", "native box Alt+B", "unused box Alt+C");
    Keymap keymap = Fixture.keymap(library);
    var used = keymap.claimsOn(Notation.read("Alt+B"));
    var unused = keymap.claimsOn(Notation.read("Alt+C"));
    Dangers dangers = new Dangers(Subject.of(library, keymap));
    assertThat(Loss.of(library, dangers, used, used, 1).value())
        .isGreaterThan(Loss.of(library, dangers, unused, unused, 1).value());
    assertThat(Loss.of(library, dangers, used, used, 3).value())
        .isGreaterThan(Loss.of(library, dangers, used, used, 2).value());
    assertThat(Danger.values()).extracting(Danger::factor).allMatch(f -> f >= Danger.NONE.factor());
  }

  /** A conflict has another name once anything about it changes, and the same one on a reload. */
  @Test
  void theFingerprintFollowsTheSubstance() {
    Library library = Fixture.library("mine box Alt+L", "native sheet Alt+[KeyL]");
    Conflict one = Auditor.audit(Subject.of(library, Fixture.keymap(library))).getFirst();
    Library again = Fixture.library("mine box Alt+L", "native sheet Alt+[KeyL]");
    assertThat(Auditor.audit(Subject.of(again, Fixture.keymap(again))).getFirst().fingerprint())
        .isEqualTo(one.fingerprint())
        .matches("[0-9a-f]{16}");
    Binding b = library.bindings().get("mine box Alt+L");
    Library wider = new Edit.PutBinding(b.withPlace(Fixture.place("sheet"))).on(library);
    assertThat(Auditor.audit(Subject.of(wider, Fixture.keymap(wider))).getFirst().fingerprint())
        .isNotEqualTo(one.fingerprint());
    Trigger typed = b.triggers().getFirst();
    assertThat(one.claims()).extracting(c -> c.trigger()).contains(typed);
  }
}
