package foldtwice.merge;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import foldtwice.library.Library;
import foldtwice.library.RandomEdits;
import foldtwice.library.RandomLibraries;
import foldtwice.library.file.FormatException;
import foldtwice.library.file.LibraryJson;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

/** The laws of merging, over random libraries and random edits of them. */
class MergingTest {

  /** A library, and what two people made of it. */
  private record Sides(Library base, Library x, Library y) {
    static Sides of(long seed) {
      Library base = RandomLibraries.of(seed);
      Random random = new Random(seed);
      return new Sides(base, edited(base, random), edited(base, random));
    }
  }

  private static Library edited(Library library, Random random) {
    Library next = library;
    for (int i = random.nextInt(1, 8); i > 0; i--) {
      Library then = RandomEdits.of(next, random, 1).on(next);
      next = isOne(then) ? then : next;
    }
    return next;
  }

  /** Others are refused when they are made. */
  private static boolean isOne(Library library) {
    try {
      return LibraryJson.read(LibraryJson.write(library).getBytes(StandardCharsets.UTF_8))
          .equals(library);
    } catch (FormatException e) {
      return false;
    }
  }

  @Property(tries = 40)
  void anUnchangedSideGivesTheOther(@ForAll long seed) throws Exception {
    Library base = RandomLibraries.of(seed);
    Library x = edited(base, new Random(seed));
    assertThat(Merging.of(base, x, base)).isEqualTo(new Merging(x, List.of()));
    assertThat(Merging.of(base, base, x)).isEqualTo(new Merging(x, List.of()));
    assertThat(Merging.of(base, x, x)).isEqualTo(new Merging(x, List.of()));
  }

  @Property(tries = 40)
  void theOrderOfTheSidesMattersToNothingButContradictions(@ForAll long seed) throws Exception {
    Sides s = Sides.of(seed);
    Merging one = Merging.of(s.base, s.x, s.y);
    Merging other = Merging.of(s.base, s.y, s.x);
    assertThat(subjects(other)).isEqualTo(subjects(one));
    if (one.contradictions().isEmpty()) {
      assertThat(other.library()).isEqualTo(one.library());
    }
  }

  private static Set<List<String>> subjects(Merging merging) {
    return merging.contradictions().stream()
        .map(Contradiction::subject)
        .collect(Collectors.toSet());
  }

  @Property(tries = 40)
  void mergingOnceMoreChangesNothing(@ForAll long seed) throws Exception {
    Sides s = Sides.of(seed);
    Library merged = Merging.of(s.base, s.x, s.y).library();
    assertThat(Merging.of(s.y, merged, s.y).library()).isEqualTo(merged);
    assertThat(Merging.of(s.x, s.x, merged).library()).isEqualTo(merged);
    Library again = Merging.of(s.base, merged, s.y).library();
    assertThat(again.bindings().keySet()).isEqualTo(merged.bindings().keySet());
  }

  /**
   * What one side added is in; what neither took out is in. What one side changed is as it has it,
   * but where the other has something new that cannot do without what was there: that is to decide.
   */
  @Property(tries = 40)
  void nothingThatOnlyOneSideHasIsDropped(@ForAll long seed) throws Exception {
    nothingIsDropped(Sides.of(seed));
  }

  /** One side takes out the context in which the other puts a new menu. */
  @Test
  void aContextThatIsNeededIsKeptAndToldOf() throws Exception {
    Sides s = Sides.of(758);
    assertThat(Merging.of(s.base, s.x, s.y).contradictions())
        .anyMatch(c -> c.path().subList(0, 3).equals(List.of("applications", "ü0", "contexts")));
    nothingIsDropped(s);
  }

  private static void nothingIsDropped(Sides s) throws Exception {
    Merging merging = Merging.of(s.base, s.x, s.y);
    for (String list : LISTS) {
      Set<String> toDecide =
          merging.contradictions().stream()
              .filter(c -> c.path().size() > 1 && c.path().getFirst().equals(list))
              .map(c -> c.path().get(1))
              .collect(Collectors.toSet());
      kept(
          parts(s.base, list),
          parts(s.x, list),
          parts(s.y, list),
          parts(merging.library(), list),
          toDecide);
    }
  }

  private static final List<String> LISTS =
      List.of(
          "bindings",
          "routines",
          "applications",
          "devices",
          "toolbars",
          "menus",
          "offerings",
          "stations",
          "checks",
          "families",
          "descriptions",
          "accepted");

  /** As they are written: what an argument means depends on its routine. */
  private static Map<String, JsonNode> parts(Library library, String list) throws Exception {
    JsonNode all = Merging.tree(library).path(list);
    return Keyed.members(all, Keyed.by(List.of(all)).orElse(List.of("id")));
  }

  private static <T> void kept(
      Map<String, T> base,
      Map<String, T> x,
      Map<String, T> y,
      Map<String, T> merged,
      Set<String> toDecide) {
    TreeSet<String> wanted = new TreeSet<>(x.keySet());
    wanted.addAll(y.keySet());
    wanted.removeIf(id -> base.containsKey(id) && (!x.containsKey(id) || !y.containsKey(id)));
    assertThat(merged.keySet()).containsAll(wanted);
    for (String id : wanted) {
      boolean onlyX = !base.containsKey(id) ? !y.containsKey(id) : base.get(id).equals(y.get(id));
      boolean onlyY = !base.containsKey(id) ? !x.containsKey(id) : base.get(id).equals(x.get(id));
      if ((onlyX || onlyY) && !toDecide.contains(id)) {
        assertThat(merged.get(id)).isEqualTo(onlyX ? x.get(id) : y.get(id));
      }
    }
  }
}
