package foldtwice.standin;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.reading.Checker;
import foldtwice.reading.Hindrance;
import foldtwice.reading.Mark;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.run.Program;
import foldtwice.run.Run;
import foldtwice.run.Trace;
import foldtwice.words.Words;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What keeps a routine from working on a computer is told, and is so. */
class HindranceTest {

  private static Routine.Macro macro(String id) {
    return (Routine.Macro) Demo.LIBRARY.routines().get(id);
  }

  private static String told(String routine, String station) {
    Words words = new Words(Demo.LIBRARY);
    return String.join(
        "; ",
        Hindrance.of(macro(routine), Demo.known(station)).stream().map(words::hindrance).toList());
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "shift-boxes         | mounting-table | step 1.2, Box \u203a Shift \u2026: expected a menu path of version 4.0; this one is of 3.2",
        "send-reading-copies | mounting-table | Copystand 4.1 or later is needed; here is 4.0",
        "copy-answer         | register-desk  | the add-on Lister",
        "fit-and-lock        | camera-bench   | ''"
      })
  void itIsTold(String routine, String station, String says) {
    String told = told(routine.strip(), station.strip());
    if (says.strip().isEmpty()) {
      assertThat(told).isEmpty();
    } else {
      assertThat(told).contains(says.strip());
    }
  }

  /** What is hindered does not run through, and what is not hindered is refused by no version. */
  @ParameterizedTest
  @ValueSource(strings = {"camera-bench", "mounting-table", "register-desk", "label-corner"})
  void whatIsHinderedFails(String station) {
    int hindered = 0;
    for (Routine r : Demo.LIBRARY.routines().values()) {
      boolean first =
          Hindrance.of(r, Demo.known(station)).stream()
              .anyMatch(h -> !(h instanceof Hindrance.Step));
      if (!first) {
        continue;
      }
      Program program =
          StandIns.on(Demo.LIBRARY.stations().get(station), Demo.LIBRARY).get(r.application());
      assertThat(Run.whole(r, Map.of(), program).ending())
          .as(r.id())
          .isInstanceOf(Trace.Failed.class);
      hindered++;
    }
    if (station.equals("camera-bench")) {
      assertThat(hindered).as("the library was made on it").isZero();
    } else {
      assertThat(hindered).isPositive();
    }
  }

  @Test
  void aStepThatTakesACommandFoundNotToWorkIsMarkedAndItsNamesakeOffered() {
    Routine.Macro fits =
        Routine.Macro.of(
            "m",
            "M",
            "tagpress",
            List.of(),
            List.of(new Line(new Step.Choose(Template.all(List.of("Text", "Fit to text"))))));
    List<Mark> marks = Checker.check(fits, Demo.known("camera-bench"));
    assertThat(marks)
        .singleElement()
        .extracting(Mark::fault)
        .isEqualTo(Mark.Fault.KNOWN_NOT_TO_WORK);
    assertThat(marks.getFirst().expected()).contains("only while a text is being edited");
    assertThat(marks.getFirst().mended())
        .contains(new Step.Choose(Template.all(List.of("Box", "Fit to text"))));
    assertThat(Run.whole(fits, Map.of(), StandIns.of("tagpress").orElseThrow()).ending())
        .as("and the program really refuses it")
        .isInstanceOf(Trace.Failed.class);
  }
}
