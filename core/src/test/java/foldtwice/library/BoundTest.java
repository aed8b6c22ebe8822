package foldtwice.library;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.place.Place;
import foldtwice.routine.Routine;
import foldtwice.trigger.Trigger;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/** What bindings have in common, after each of many edits, is what a look at all of them tells. */
class BoundTest {

  @Property(tries = 40)
  void isWhatALookAtAllTells(@ForAll long seed) {
    Random random = new Random(seed);
    Library library = many(RandomLibraries.of(seed), random);
    for (int i = 0; i < 12; i++) {
      check(library);
      library = RandomEdits.of(library, random, 1).on(library);
    }
  }

  /** More than lie in one chunk. */
  private static Library many(Library library, Random random) {
    List<Binding> some = List.copyOf(library.bindings().values());
    if (some.isEmpty()) {
      return library;
    }
    Map<String, Binding> all = new LinkedHashMap<>(library.bindings());
    for (int i = 0; i < 170; i++) {
      Binding b = some.get(random.nextInt(some.size()));
      all.put("m" + i, Binding.fresh("m" + i, b.routine(), b.place(), b.triggers(), b.arguments()));
    }
    return library.withBindings(all);
  }

  private static void check(Library library) {
    for (String a : library.applications().keySet()) {
      assertThat(Bound.in(library, a)).isEqualTo(all(library, b -> b.place().isOf(a)));
    }
    for (Routine r : library.routines().values()) {
      assertThat(Bound.to(library, r.id()))
          .isEqualTo(all(library, b -> b.routine().equals(r.id())));
    }
    for (Binding b : library.bindings().values()) {
      for (Trigger t : b.triggers()) {
        assertThat(Bound.on(library, t)).isEqualTo(all(library, o -> o.triggers().contains(t)));
      }
    }
    assertThat(Bound.drafts(library)).isEqualTo(all(library, Binding::isDraft));
    assertThat(Bound.triggers(library))
        .containsExactlyElementsOf(
            library.bindings().values().stream()
                .flatMap(b -> b.triggers().stream())
                .distinct()
                .toList());
    assertThat(Bound.inEach(library))
        .isEqualTo(
            library.bindings().values().stream()
                .map(Binding::place)
                .map(Place::applicationId)
                .flatMap(java.util.Optional::stream)
                .collect(Collectors.groupingBy(a -> a, Collectors.summingInt(a -> 1))));
  }

  private static List<Binding> all(Library library, Predicate<Binding> which) {
    return library.bindings().values().stream().filter(which).toList();
  }
}
