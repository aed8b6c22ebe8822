package foldtwice.standin;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.routine.Step;
import foldtwice.routine.Whom;
import foldtwice.run.Program;
import foldtwice.run.Reply;
import foldtwice.standin.base.StandIn;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/** The laws of {@link Program}, on all stand-ins and on random sketches, worked at random. */
class ProgramLawsTest {

  /** Commands that go through the history or empty it. */
  private static final List<String> UNDOING =
      List.of("undo", "redo", "compact", "take-over", "import", "keep", "fix", "empty-bin");

  private static StandIn<?> some(long seed) {
    List<String> ids = StandIns.ids();
    if (Math.floorMod(seed, 3L) == 0) {
      return RandomSketches.any(new Random(seed));
    }
    return StandIns.all().get(ids.get((int) Math.floorMod(seed, (long) ids.size())));
  }

  /** One thing a person could do. */
  private static Reply act(Program program, Random random) {
    List<String> commands = ((StandIn<?>) program).commandIds();
    return switch (random.nextInt(9)) {
      case 0 -> program.type(random.nextBoolean() ? "\u00d7" : "a");
      case 1 ->
          program.select(
              random.nextInt(-3, 4), random.nextInt(-2, 3), Step.Edge.values()[random.nextInt(3)]);
      case 2 ->
          program
              .dialog()
              .filter(d -> !d.fields().isEmpty())
              .<Reply>map(
                  d ->
                      program.fill(
                          d.fields().get(random.nextInt(d.fields().size())).label(),
                          random.nextBoolean() ? "1.25" : "many"))
              .orElse(Reply.QUIET);
      case 3 ->
          program
              .dialog()
              .<Reply>map(d -> program.press(d.buttons().get(random.nextInt(d.buttons().size()))))
              .orElse(Reply.QUIET);
      case 4 -> adjust(program, random);
      default -> {
        if (commands.isEmpty()) {
          yield program.choose(List.of("Edit", "Mirror"));
        }
        String command = commands.get(random.nextInt(commands.size()));
        yield UNDOING.contains(command) ? Reply.QUIET : program.fire(command);
      }
    };
  }

  private static Reply adjust(Program program, Random random) {
    List<String> values = List.copyOf(program.facts().values().keySet());
    if (values.isEmpty()) {
      return program.select(Whom.Group.ALL, false);
    }
    String name = values.get(random.nextInt(values.size()));
    return program.adjust(
        name,
        Step.Adjusting.values()[random.nextInt(2)],
        program.facts().values().get(name).step(),
        Step.Edge.values()[random.nextInt(2)]);
  }

  /** What undo gives back: the document and the selection. */
  private static Object document(Program program) {
    return ((StandIn<?>) program).document();
  }

  @Property(tries = 300)
  void aRunIsOneUndo(@ForAll long seed) {
    Random random = new Random(seed);
    Program program = some(seed);
    for (int i = random.nextInt(20); i > 0; i--) {
      act(program, random);
    }
    program.beginRun();
    Object before = document(program);
    int depth = program.undoDepth();
    for (int i = random.nextInt(20); i > 0; i--) {
      act(program, random);
    }
    program.endRun();
    Object after = document(program);
    if (after.equals(before)) {
      assertThat(program.undoDepth()).isEqualTo(depth);
    } else {
      assertThat(program.undoDepth()).isEqualTo(depth + 1);
      program.undo();
      assertThat(document(program)).isEqualTo(before);
      program.redo();
      assertThat(document(program)).isEqualTo(after);
    }
  }

  @Property(tries = 300)
  void aRefusalChangesNothing(@ForAll long seed) {
    Random random = new Random(seed);
    Program program = some(seed);
    for (int i = 0; i < 30; i++) {
      Map<String, String> before = program.state();
      if (act(program, random) instanceof Reply.Refused) {
        assertThat(program.state()).isEqualTo(before);
      }
    }
  }

  @Property(tries = 200)
  void aCopyIsEqualAndThenItsOwn(@ForAll long seed) {
    Random random = new Random(seed);
    StandIn<?> program = some(seed);
    for (int i = random.nextInt(15); i > 0; i--) {
      act(program, random);
    }
    Program copy = program.copy();
    assertThat(copy.state()).isEqualTo(program.state());
    assertThat(copy.place()).isEqualTo(program.place());
    Map<String, String> then = new HashMap<>(program.state());
    for (int i = 0; i < 15; i++) {
      act(copy, random);
    }
    assertThat(program.state()).isEqualTo(then);
  }

  /** Two copies worked alike stay alike: nothing depends on anything but the state. */
  @Property(tries = 100)
  void workedAlikeTheyStayAlike(@ForAll long seed) {
    StandIn<?> one = some(seed);
    Program other = one.copy();
    Random a = new Random(seed);
    Random b = new Random(seed);
    for (int i = 0; i < 30; i++) {
      assertThat(act(other, b)).isEqualTo(act(one, a));
    }
    assertThat(other.state()).isEqualTo(one.state());
  }

  /** Every change that is told is a change of the state that can be compared. */
  @Property(tries = 200)
  void whatIsToldIsSeen(@ForAll long seed) {
    Random random = new Random(seed);
    Program program = some(seed);
    for (int i = 0; i < 30; i++) {
      Map<String, String> before = program.state();
      Reply reply = act(program, random);
      boolean changed = !program.state().equals(before);
      boolean said = reply instanceof Reply.Done(var changes) && !changes.isEmpty();
      if (changed) {
        assertThat(said || !program.place().id().equals(before.get("view place")))
            .as("said nothing, but " + difference(before, program.state()))
            .isTrue();
      }
    }
  }

  private static String difference(Map<String, String> before, Map<String, String> after) {
    StringBuilder out = new StringBuilder();
    after.forEach(
        (k, v) -> {
          if (!v.equals(before.get(k))) {
            out.append(k).append(": ").append(before.get(k)).append(" to ").append(v).append("; ");
          }
        });
    return out.toString();
  }
}
