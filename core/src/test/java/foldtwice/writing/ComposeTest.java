package foldtwice.writing;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.known.NothingElse;
import foldtwice.library.file.LibraryJson;
import foldtwice.outline.Outline;
import foldtwice.outline.QuestionText;
import foldtwice.outline.StepParts;
import foldtwice.routine.Form;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.StepKind;
import foldtwice.routine.StepKinds;
import foldtwice.words.StepWords;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Whatever a macro says could have been written by hand, from what the field for steps offers. */
class ComposeTest {

  private static final StepFinder FINDER =
      new StepFinder("any", NothingElse.NOTHING, s -> StepWords.verb(s) + " " + StepWords.rest(s));

  /** The step of a kind that is offered for its first word. */
  private static Step offered(StepKind<?> kind) {
    String verb =
        StepWords.verb(new Sayings(Optional.empty(), NothingElse.NOTHING).blank(kind.id()));
    return FINDER.find(verb.toLowerCase(java.util.Locale.ROOT)).stream()
        .filter(s -> kind.type().isInstance(s))
        .findFirst()
        .orElseThrow(() -> new AssertionError("nothing of kind " + kind.id() + " for " + verb));
  }

  @Test
  void aStepOfEveryKindIsOfferedInAnyProgram() {
    for (StepKind<?> kind : StepKinds.ALL) {
      assertThat(kind.type().isInstance(offered(kind))).as(kind.id()).isTrue();
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {"fernhollow", "seedhouse"})
  void everyMacroThatShipsCouldHaveBeenWrittenByHand(String name) throws Exception {
    Path file = Path.of(System.getProperty("project.root"), "demo", name + ".json");
    int macros = 0;
    for (Routine r : LibraryJson.read(Files.readAllBytes(file)).routines().values()) {
      if (r instanceof Routine.Macro macro) {
        macros++;
        List<Line> written = new ArrayList<>();
        for (Outline.Row row : Outline.rows(macro.steps())) {
          written = new ArrayList<>(Outline.insert(written, row.number(), written(row.line())));
        }
        assertThat(written).as(macro.name()).isEqualTo(macro.steps());
      }
    }
    assertThat(macros).isGreaterThan(4);
  }

  /** The line written part by part, with nothing inside it yet. */
  private static Line written(Line line) throws Exception {
    StepKind<?> kind = StepKinds.of(line.step());
    Step step = offered(kind);
    for (StepParts.Part part : StepParts.of(line.step())) {
      step = StepParts.with(step, part.index(), part.text());
    }
    if (kind.parts().stream().anyMatch(p -> p.form() instanceof Form.Questions)) {
      step = asking(step, line.step());
    }
    List<List<Line>> empty = step.bodies().stream().map(b -> List.<Line>of()).toList();
    return new Line(step.withBodies(empty)).switchedOn(line.on()).saying(line.comment());
  }

  private static Step asking(Step step, Step like) throws Exception {
    return switch (step) {
      case Step.Ask(var text, var none) -> new Step.Ask(text, asked(((Step.Ask) like).questions()));
      case Step.Pause(var text, var none) ->
          new Step.Pause(text, asked(((Step.Pause) like).offers()));
      default -> throw new AssertionError("asks nothing: " + step);
    };
  }

  private static List<Step.Question> asked(List<Step.Question> questions) throws Exception {
    List<Step.Question> all = new ArrayList<>();
    for (Step.Question q : questions) {
      all.add(QuestionText.of(q).read());
    }
    return all;
  }
}
