package foldtwice.standin;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.fit.Fit;
import foldtwice.fit.Fits;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.routine.Routine;
import foldtwice.routine.Scale;
import foldtwice.routine.Value;
import foldtwice.routine.Whom;
import foldtwice.run.Around;
import foldtwice.run.Program;
import foldtwice.run.Run;
import foldtwice.run.Trial;
import foldtwice.script.Ecmascript;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What fits is what can really be done as things are. */
class FitsTest {

  private final SimulatedComputer computer = SimulatedComputer.fresh();

  private Fits fits(String program) {
    return fits(Demo.LIBRARY, program);
  }

  private Fits fits(Library library, String program) {
    return Fits.of(library, Demo.keymap("camera-bench"), computer.programs().get(program));
  }

  private static Stream<Routine> routines(Fits fits) {
    return fits.all().stream()
        .flatMap(f -> f instanceof Fit.Does d ? Stream.of(d.routine()) : Stream.empty());
  }

  private static List<String> values(Fits fits) {
    return fits.all().stream()
        .flatMap(f -> f instanceof Fit.Adjusts a ? Stream.of(a.name()) : Stream.empty())
        .toList();
  }

  private Around around() {
    return new Trial(Demo.LIBRARY, Demo.keymap("camera-bench"), computer, Ecmascript.ENGINE)
        .around();
  }

  @Test
  void withNothingSelectedNothingThatActsOnThatFits() {
    Program tagpress = computer.programs().get("tagpress");
    tagpress.select(Whom.Group.NOTHING, false);
    assertThat(routines(fits("tagpress"))).extracting(Routine::id).doesNotContain("shift-boxes");
    tagpress.select(Whom.Group.ALL, false);
    assertThat(routines(fits("tagpress"))).extracting(Routine::id).contains("shift-boxes");
    assertThat(values(fits("tagpress"))).isEmpty();
  }

  @Test
  void valuesFitWhereThereIsSomethingToAdjust() {
    Program copystand = computer.programs().get("copystand");
    copystand.select(Whom.Group.ALL, false);
    assertThat(values(fits("copystand"))).contains("exposure", "white balance");
  }

  @Test
  void pinnedOnesComeFirstAndThoseSetAsideNotAtAll() {
    computer.programs().get("tagpress").select(Whom.Group.ALL, false);
    Routine some = routines(fits("tagpress")).reduce((a, b) -> b).orElseThrow();
    Library pinned =
        new Edit.PutRoutine(some.with(some.head().with(some.card().pinned(true)))).on(Demo.LIBRARY);
    assertThat(routines(fits(pinned, "tagpress")).filter(r -> r.card().pinned()))
        .extracting(Routine::id)
        .contains(some.id());
    assertThat(fits(pinned, "tagpress").all().getFirst())
        .isInstanceOfSatisfying(
            Fit.Does.class, d -> assertThat(d.routine().card().pinned()).isTrue());
    Library aside =
        new Edit.PutRoutine(some.with(some.head().with(some.card().setAside(true))))
            .on(Demo.LIBRARY);
    assertThat(routines(fits(aside, "tagpress"))).extracting(Routine::id).doesNotContain(some.id());
  }

  @Test
  void whatLiesInsideIsReachedAndOneUndoTakesItBack() {
    Program map = computer.programs().get("trackway");
    computer.bringToFront("trackway");
    map.select(Whom.Group.NOTHING, false);
    map.click("Lower weir", false);
    assertThat(fits("trackway").down()).isTrue();
    assertThat(fits("trackway").up()).isFalse();
    Map<String, String> before = map.state();
    Routine move = Demo.LIBRARY.routines().get("move-stops");
    int depth = map.undoDepth();
    Run run = Run.of(Fits.run(move, true), Map.of("east", Value.Amount.of(7)), around());
    run.toEnd();
    assertThat(run.trace().endedBadly()).as(run.trace().ending().toString()).isFalse();
    assertThat(map.state()).isNotEqualTo(before);
    assertThat(map.selected()).containsExactly("Lower weir");
    assertThat(map.undoDepth()).isEqualTo(depth + 1);
    map.undo();
    assertThat(map.state()).isEqualTo(before);
  }

  @Test
  void aValueIsSetAndKeptInItsRange() {
    Program copystand = computer.programs().get("copystand");
    copystand.select(Whom.Group.ALL, false);
    Fit.Adjusts exposure =
        fits("copystand").all().stream()
            .flatMap(f -> f instanceof Fit.Adjusts a ? Stream.of(a) : Stream.empty())
            .filter(a -> a.name().equals("exposure"))
            .findFirst()
            .orElseThrow();
    Run.of(
            Fits.set("copystand", exposure, Value.Quantity.of("99", Scale.EV), false),
            Map.of(),
            around())
        .toEnd();
    assertThat(copystand.values().get("exposure")).isEqualTo(exposure.range().most());
  }
}
