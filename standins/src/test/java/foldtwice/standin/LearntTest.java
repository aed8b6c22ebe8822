package foldtwice.standin;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.known.Known;
import foldtwice.known.Touch;
import foldtwice.reading.Reading;
import foldtwice.routine.Head;
import foldtwice.routine.Origin;
import foldtwice.routine.Routine;
import foldtwice.run.Learnt;
import foldtwice.run.Trace;
import foldtwice.run.Trial;
import foldtwice.script.Ecmascript;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a script changes is seen in runs on copies. */
class LearntTest {

  private static final String STATION = "camera-bench";
  private static final Known HERE = Demo.known(STATION);

  private static Learnt learn(Routine routine) {
    return Learnt.of(
        routine,
        List.of(Map.of()),
        Demo.LIBRARY.applications().keySet(),
        () ->
            new Trial(
                    Demo.LIBRARY,
                    Demo.keymap(STATION),
                    SimulatedComputer.of(
                        Demo.LIBRARY,
                        Demo.LIBRARY.stations().get(STATION),
                        SimulatedComputer.standingClock()),
                    Ecmascript.ENGINE)
                .around());
  }

  private static Routine script(String application, String source) {
    return new Routine.Script(Head.of("s", "S", application, List.of()), source);
  }

  @ParameterizedTest
  @CsvSource({
    "vasculum, program.select('Note 1'), SELECTION, ''",
    "tagpress, program.changeForGood('unit'; 'pt'), '', unit",
    "tagpress, program.change('unit'; 'pt'), '', ''",
    "tagpress, program.choose('Sheet'; 'Save'), FILES, ''",
    "desk, computer.start('vasculum'), WINDOWS, ''",
    "tagpress, log('nothing'), '', ''"
  })
  void eachKindOfChangeIsSeen(String application, String source, String touches, String leaves) {
    Learnt learnt = learn(script(application, source.replace(';', ',')));
    assertThat(learnt.trouble()).isEmpty();
    assertThat(learnt.runs()).isEqualTo(2);
    assertThat(learnt.touches())
        .isEqualTo(touches.isEmpty() ? Set.of() : EnumSet.of(Touch.valueOf(touches)));
    assertThat(learnt.leaves()).isEqualTo(leaves.isEmpty() ? Set.of() : Set.of(leaves));
  }

  /** For every macro of the demo library: what is seen is among what its reading says. */
  @Test
  void whatIsSeenOfMacrosIsAmongWhatTheirReadingSays() {
    int compared = 0;
    for (Routine r : Demo.LIBRARY.routines().values()) {
      Reading reading = Reading.of(r, HERE);
      if (r instanceof Routine.Macro && reading.beyond().isEmpty()) {
        Learnt learnt = learn(r);
        assertThat(reading.touches()).as(r.name()).containsAll(learnt.touches());
        compared += learnt.runs();
      }
    }
    assertThat(compared).as("runs").isGreaterThan(60);
  }

  @Test
  void aScriptOfTheDemoIsSeenToDoWhatItDoes() {
    Learnt learnt = learn(Demo.LIBRARY.routines().get("stair-boxes"));
    assertThat(learnt.runs()).isEqualTo(2);
    assertThat(learnt.trouble()).isEmpty();
    assertThat(learnt.touches()).contains(Touch.OBJECTS).doesNotContain(Touch.FILES);
    assertThat(learnt.programs()).containsExactly("tagpress");
    assertThat(learnt.leaves()).isEmpty();
  }

  @Test
  void whatAlwaysGoesWrongSaysHow() {
    Learnt learnt = learn(script("tagpress", "program.choose('No', 'Such')"));
    assertThat(learnt.trouble()).get().isInstanceOf(Trace.Broke.class);
  }

  /** What nobody has looked through is not run, not even on copies. */
  @Test
  void whatIsUnseenIsNotTried() {
    Routine saves = script("tagpress", "program.choose('Sheet', 'Save')");
    Learnt learnt =
        learn(saves.with(saves.head().with(new Origin("elsewhere", "", "", "", false))));
    assertThat(learnt.runs()).isZero();
    assertThat(learnt.touches()).isEmpty();
  }
}
