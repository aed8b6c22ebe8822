package foldtwice.conflict;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.Fixture;
import foldtwice.RandomClaims;
import foldtwice.atlas.Troubles;
import foldtwice.binding.Binding;
import foldtwice.extras.Extras;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.place.NativeCommand;
import foldtwice.place.Need;
import foldtwice.place.Place;
import foldtwice.place.WayIn;
import foldtwice.ready.Setup;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Owner;
import foldtwice.routine.Expr;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.surface.Device;
import foldtwice.surface.Page;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.UnaryOperator;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

/** Looking again after an edit finds what looking at everything finds. */
class AuditTest {

  /** Sequences of a hundred edits. */
  @Property(tries = 25)
  void whatIsLookedAtAgainIsAllThatChanged(@ForAll long seed) {
    isAllThatChanged(seed);
  }

  /** A sequence in which a chain was told with its places in the order of the claims. */
  @Test
  void aChainIsToldAlikeInWhateverOrderItsClaimsCame() {
    isAllThatChanged(22369);
  }

  /** A sequence whose routines ran one another in more ways than could be walked. */
  @Test
  void aThicketOfCallsIsLookedAtAgain() {
    isAllThatChanged(4962782894064117476L);
  }

  /** In numbered slots, in files that have to be copied, and with routines that could be one. */
  @Property(tries = 20)
  void whatIsKeptByProgramsIsLookedAtAgain(@ForAll long seed) {
    keptByPrograms(seed);
  }

  /**
   * A sequence in which a binding comes by another way while what was copied of it still stands.
   */
  @Test
  void whatStillStandsOfAnotherWayIsLookedAtAgain() {
    keptByPrograms(106);
  }

  private static void keptByPrograms(long seed) {
    Random random = new Random(seed);
    Library plain =
        Fixture.withPad(RandomClaims.library(random, 8), random.nextBoolean(), 2, Optional.empty());
    Library library =
        new Edit.PutApplication(
                plain
                    .applications()
                    .get("app")
                    .withWays(List.of(way("plain", 0), way("slots", 2), COPIED, way("window", 0))))
            .on(plain);
    for (int i = 0; i < 3; i++) {
      library = new Edit.PutRoutine(copy("c" + i, i)).on(library);
    }
    isAllThatChanged(
        library,
        random,
        edit ->
            edit instanceof Edit.PutBinding(Binding b, int at) && random.nextInt(4) > 0
                ? new Edit.PutBinding(kept(b, random))
                : edit);
  }

  private static final WayIn COPIED =
      new WayIn("copied", "Copied", List.of(Need.FILE_COPIED), false, 0, true, Extras.NONE);

  private static WayIn way(String id, int slots) {
    return new WayIn(
        id,
        id,
        id.equals("window") ? List.of(Need.NEW_WINDOW) : List.of(),
        true,
        slots,
        false,
        Extras.NONE);
  }

  private static Binding kept(Binding b, Random random) {
    String way = List.of("plain", "slots", "copied", "window").get(random.nextInt(4));
    Binding by = b.withFitting(b.fitting().by(way));
    return random.nextBoolean() ? by : by.withRoutine("c" + random.nextInt(3), Map.of());
  }

  /** Routines like it differ in a constant only. */
  private static Routine copy(String id, int constant) {
    List<Line> lines = new ArrayList<>();
    for (String setting : List.of("unit", "grid", "zoom", "unit")) {
      lines.add(
          new Line(
              new Step.ChangeSetting(
                  setting,
                  new Expr.Literal(Value.Amount.of(setting.equals("grid") ? constant : 1)),
                  Step.Lasting.FOR_GOOD)));
    }
    return Routine.Macro.of(id, id, "app", List.of(), lines);
  }

  private static void isAllThatChanged(long seed) {
    Random random = new Random(seed);
    Library library = Fixture.withPad(RandomClaims.library(random, 8), true, 2, Optional.empty());
    isAllThatChanged(library, random, edit -> edit);
  }

  private static void isAllThatChanged(
      Library first, Random random, UnaryOperator<Edit> otherwise) {
    Library library = first;
    Audit audit = Audit.of(Subject.of(library, Fixture.keymap(library)));
    Troubles troubles = new Troubles(audit.conflicts());
    for (int i = 0; i < 100; i++) {
      Edit edit = otherwise.apply(edit(library, random));
      Library next = edit.on(library);
      Keymap keymap = audit.subject().keymap().following(library, next);
      Audit before = audit;
      Subject now = audit.subject().with(next, keymap);
      if (random.nextInt(4) == 0) {
        Setup copied = now.setup().copied(next, next.applications().get("app"));
        now = new Subject(next, keymap, now.known(), copied);
      }
      audit = audit.after(now);
      List<Conflict> anew =
          Auditor.audit(
              new Subject(next, Keymap.of(next, keymap.station()), now.known(), now.setup()));
      assertThat(new HashSet<>(audit.conflicts()))
          .as(edit::toString)
          .containsExactlyInAnyOrderElementsOf(new HashSet<>(anew));
      assertThat(audit.conflicts()).hasSameSizeAs(anew).isSortedAccordingTo(Auditor.HEAVIEST_FIRST);
      assertThat(Ranked.changed(before.conflicts(), audit.gone(), audit.fresh()))
          .isEqualTo(audit.conflicts());
      troubles = troubles.after(audit.gone(), audit.fresh());
      isOf(troubles, audit.conflicts());
      library = next;
    }
  }

  private static void isOf(Troubles troubles, List<Conflict> conflicts) {
    Map<Claim, List<Conflict>> by = new HashMap<>();
    conflicts.forEach(
        c ->
            new HashSet<>(c.claims())
                .forEach(claim -> by.computeIfAbsent(claim, x -> new ArrayList<>()).add(c)));
    by.forEach(
        (claim, its) ->
            assertThat(troubles.of(List.of(claim), Optional.empty()))
                .isEqualTo(its.stream().distinct().toList()));
    assertThat(troubles.of(List.of(NOBODYS), Optional.empty())).isEmpty();
  }

  private static final Claim NOBODYS =
      new Claim(new Owner.Yours("nobody"), Notation.read("F9"), new Place.Everywhere());

  /** The station has a pad with two keys that send. */
  private static Edit edit(Library library, Random random) {
    List<Binding> all = List.copyOf(library.bindings().values());
    return switch (random.nextInt(9)) {
      case 0, 1, 2 -> {
        Binding b = RandomClaims.binding(random, "n" + random.nextInt(9));
        yield new Edit.PutBinding(b.withRoutine("r" + random.nextInt(4), arguments(random)));
      }
      case 3 ->
          new Edit.RemoveBinding(all.isEmpty() ? "none" : all.get(random.nextInt(all.size())).id());
      case 4 ->
          all.isEmpty()
              ? new Edit.RemoveBinding("none")
              : new Edit.PutBinding(
                  all.get(random.nextInt(all.size()))
                      .withTriggers(
                          random.nextInt(4) == 0
                              ? List.of()
                              : List.of(RandomClaims.trigger(random))));
      case 5 ->
          new Edit.PutRoutine(
              Routine.Macro.of("r" + random.nextInt(4), "R", "app", List.of(), lines(random)));
      case 6 -> new Edit.RemoveRoutine("r" + random.nextInt(4));
      case 7 -> {
        List<NativeCommand> commands = library.applications().get("app").commands();
        yield commands.isEmpty()
            ? new Edit.RemoveRoutine("none")
            : new Edit.Remap(
                "app",
                commands.get(random.nextInt(commands.size())).id(),
                random.nextBoolean() ? List.of() : List.of(RandomClaims.trigger(random)));
      }
      default -> {
        Device pad = library.device("pad").orElseThrow();
        Trigger trigger = RandomClaims.trigger(random);
        yield new Edit.PutSurface(
            pad.with(
                pad.firstPage()
                    .sending(
                        "k" + (1 + random.nextInt(2)),
                        trigger instanceof Trigger.Keys keys
                            ? Optional.of(new Page.Sends.Chord(keys))
                            : Optional.empty())));
      }
    };
  }

  private static Map<String, Value> arguments(Random random) {
    return random.nextInt(3) == 0 ? Map.of("x", Value.Amount.of(random.nextInt(2))) : Map.of();
  }

  private static List<Line> lines(Random random) {
    List<Line> lines = new ArrayList<>();
    for (int i = random.nextInt(3); i >= 0; i--) {
      Step step =
          switch (random.nextInt(5)) {
            case 0 -> new Step.PressKeys(Notation.read(random.nextBoolean() ? "Alt+A" : "F2"));
            case 1 -> new Step.RunRoutine("r" + random.nextInt(4), Map.of());
            case 2 -> new Step.TypeText(new Template("x"));
            case 3 -> new Step.Modifiers(Step.Holding.RELEASE);
            default ->
                new Step.ChangeSetting(
                    "unit", new Expr.Literal(new Value.Text("mm")), Step.Lasting.FOR_GOOD);
          };
      lines.add(new Line(step));
    }
    return lines;
  }
}
