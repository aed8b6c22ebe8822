package foldtwice.fold;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.library.Library;
import foldtwice.library.RandomLibraries;
import foldtwice.routine.Line;
import java.util.ArrayList;
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

  /** What was repeated can be repeated again: unfolding a fold leads back to as many steps. */
  @Property(tries = 150)
  void whatRepeatsIsFoldedAndUnfoldedAgain(@ForAll long seed) throws Exception {
    Random random = new Random(seed);
    List<Line> lines = RandomLibraries.lines(random);
    List<Line> thrice =
        new ArrayList<>(Collections.nCopies(3, lines).stream().flatMap(List::stream).toList());
    List<Line> folded = LoopFolder.fold(thrice, Set.of("dx", "way", "words"));
    assertThat(Measure.of(folded)).isLessThanOrEqualTo(Measure.of(thrice));
    if (Line.count(folded) < Line.count(thrice) && lines.stream().allMatch(Line::on)) {
      assertThat(Line.count(Unfolding.unfold(folded))).isGreaterThanOrEqualTo(Line.count(folded));
    }
  }
}
