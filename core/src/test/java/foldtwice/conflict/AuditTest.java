package foldtwice.conflict;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.Fixture;
import foldtwice.RandomClaims;
import foldtwice.binding.Binding;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.place.NativeCommand;
import foldtwice.resolve.Keymap;
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
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

/** Looking again after an edit finds what looking at everything finds. */
class AuditTest {

  /** Fifty sequences of a hundred edits. */
  @Property(tries = 50)
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

  private static void isAllThatChanged(long seed) {
    Random random = new Random(seed);
    Library library = Fixture.withPad(RandomClaims.library(random, 8), true, 2, Optional.empty());
    Audit audit = Audit.of(Subject.of(library, Fixture.keymap(library)));
    for (int i = 0; i < 100; i++) {
      Edit edit = edit(library, random);
      Library next = edit.on(library);
      Keymap keymap = audit.subject().keymap().following(library, next);
      audit = audit.after(audit.subject().with(next, keymap));
      List<Conflict> anew =
          Auditor.audit(audit.subject().with(next, Keymap.of(next, keymap.station())));
      assertThat(new HashSet<>(audit.conflicts()))
          .as(edit::toString)
          .isEqualTo(new HashSet<>(anew));
      assertThat(audit.conflicts()).hasSameSizeAs(anew).isSortedAccordingTo(Auditor.HEAVIEST_FIRST);
      library = next;
    }
  }

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
