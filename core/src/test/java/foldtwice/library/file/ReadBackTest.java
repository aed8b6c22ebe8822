package foldtwice.library.file;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.library.Edit;
import foldtwice.library.History;
import foldtwice.library.Hostile;
import foldtwice.library.Library;
import foldtwice.library.RandomEdits;
import foldtwice.library.RandomLibraries;
import foldtwice.library.RefusedException;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.LongStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** No change is made that could not be read again. */
class ReadBackTest {

  private static final int LIBRARIES = Integer.getInteger("libraries", 30);
  private static final int EDITS = 15;

  static LongStream seeds() {
    return foldtwice.Seeds.both();
  }

  /** Whatever stands in whatever field: it is written and read as it was meant, or refused. */
  @ParameterizedTest
  @MethodSource("seeds")
  void everyStateThatIsMadeIsReadAgainAsItIs(long seed) throws FormatException {
    Random random = new Random(seed);
    int made = 0;
    int refused = 0;
    for (int i = 0; i < LIBRARIES; i++) {
      Library first = RandomLibraries.of(random.nextLong());
      History history = History.of(read(first));
      History replayed = history;
      for (int j = 0; j < EDITS; j++) {
        try {
          JournalEntry entry = entry(history, random);
          JournalEntry.Proved proved = entry.proved(history);
          replayed =
              JournalEntry.read(
                      In.root(Json.parse(Json.bytes(proved.line().get()))), replayed.library())
                  .on(replayed);
          history = proved.after();
          made++;
          assertThat(replayed.library()).as("by the journal").isEqualTo(history.library());
          assertThat(read(history.library()))
              .as("by the file, after %s", proved.line().get())
              .isEqualTo(history.library());
        } catch (RefusedException e) {
          refused++;
          assertThat(e.getMessage()).as("says why").isNotBlank();
        }
      }
    }
    System.out.println("hard: " + made + " changes read back, " + refused + " refused");
    assertThat(made).as("not all is refused").isGreaterThan(LIBRARIES * EDITS / 2);
    assertThat(refused).as("not all is harmless").isGreaterThan(LIBRARIES * EDITS / 50);
  }

  /** As while steps are typed: a macro with one step more or one other, the rest as it was. */
  private static Edit oneStepOther(Library library, Random random) {
    List<Routine.Macro> macros =
        library.routines().values().stream()
            .filter(Routine.Macro.class::isInstance)
            .map(Routine.Macro.class::cast)
            .toList();
    if (macros.isEmpty()) {
      return RandomEdits.of(library, random, 2);
    }
    Routine.Macro macro = macros.get(random.nextInt(macros.size()));
    List<Line> steps = new ArrayList<>(macro.steps());
    String text = Hostile.TEXTS.get(random.nextInt(Hostile.TEXTS.size()));
    Line line = new Line(new Step.Note(new Template(text)));
    int at = random.nextInt(steps.size() + 1);
    if (at < steps.size() && random.nextBoolean()) {
      steps.set(at, line);
    } else {
      steps.add(at, line);
    }
    return new Edit.PutRoutine(macro.withSteps(steps));
  }

  private static JournalEntry entry(History history, Random random) {
    return switch (random.nextInt(12)) {
      case 0 -> new JournalEntry.Undone(Instant.EPOCH, "x");
      case 1 -> new JournalEntry.Redone(Instant.EPOCH, "x");
      case 2, 3 ->
          JournalEntry.Made.on(
              history.library(),
              new History.Done(oneStepOther(history.library(), random), Instant.EPOCH, "x"));
      default -> {
        Edit edit = RandomEdits.of(history.library(), random, 2);
        yield JournalEntry.Made.on(
            history.library(),
            new History.Done(
                random.nextInt(3) == 0 ? edit : Hostile.in(edit, random),
                Instant.EPOCH,
                Hostile.TEXTS.get(random.nextInt(Hostile.TEXTS.size()))));
      }
    };
  }

  private static Library read(Library library) throws FormatException {
    return LibraryJson.read(LibraryJson.write(library).getBytes(StandardCharsets.UTF_8));
  }
}
