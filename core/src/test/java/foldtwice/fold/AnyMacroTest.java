package foldtwice.fold;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.library.Library;
import foldtwice.library.RandomLibraries;
import foldtwice.routine.Line;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/** Folding looks at whatever stands in a library, steps of every kind with anything in them. */
class AnyMacroTest {

  @Property(tries = 60)
  void siblingsAreSoughtInAnyLibrary(@ForAll long seed) {
    Library library = RandomLibraries.of(seed);
    for (Siblings.Group group : Siblings.find(library)) {
      assertThat(group.members()).hasSizeGreaterThan(1);
    }
  }

  /** A fold is never longer than what it folds, by the measure it is sought by. */
  @Property(tries = 150)
  void whatRepeatsIsFoldedAndGetsNoLonger(@ForAll long seed) throws Exception {
    List<Line> lines = RandomLibraries.lines(new Random(seed));
    List<Line> thrice = Collections.nCopies(3, lines).stream().flatMap(List::stream).toList();
    List<Line> folded = LoopFolder.fold(thrice, Set.of("dx", "way", "words"));
    assertThat(Measure.of(folded)).isLessThanOrEqualTo(Measure.of(thrice));
  }
}
