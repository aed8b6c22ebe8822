package foldtwice.live.listen;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.file.LibraryJson;
import foldtwice.place.Place;
import foldtwice.place.Station;
import foldtwice.resolve.Outcome;
import foldtwice.resolve.Owner;
import foldtwice.resolve.Resolver;
import foldtwice.routine.Routine;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Press;
import foldtwice.trigger.Signal;
import foldtwice.trigger.Trigger;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Law: a press that the resolver says is a binding's, or begins one's, is caught where it is; a
 * press that is caught is somebody's first stroke. What may not run is not waited for.
 */
class CatchingTest {

  private static Library demo;

  @BeforeAll
  static void read() throws Exception {
    demo =
        LibraryJson.read(
            Files.readAllBytes(
                Path.of(System.getProperty("project.root"), "demo", "fernhollow.json")));
  }

  /** Some routines switched off, some not looked through yet, some keys given to everything. */
  private static Library changed(Random random) {
    Library library = demo;
    for (Routine r : demo.routines().values()) {
      if (random.nextInt(4) == 0) {
        library = new Edit.PutRoutine(r.withCard(r.card().off(true))).on(library);
      }
    }
    for (Binding b : demo.bindings().values()) {
      if (random.nextInt(20) == 0) {
        library = new Edit.PutBinding(b.withPlace(new Place.Everywhere())).on(library);
      }
    }
    return library;
  }

  private static boolean runs(Library library, String binding) {
    Binding b = library.bindings().get(binding);
    return b != null
        && library.routineOf(b).filter(r -> !r.card().off() && r.origin().seen()).isPresent();
  }

  private static boolean isCaught(Catching catching, Place state, Press press) {
    return catching.everywhere().contains(press)
        || catching
            .within()
            .getOrDefault(state.applicationId().orElse(""), Set.of())
            .contains(press);
  }

  /** Every press that begins anything, and some that begin nothing. */
  private static Set<Press> presses(Catching catching, Library library) {
    Set<Press> all = new HashSet<>();
    for (Binding b : library.bindings().values()) {
      for (Trigger t : b.triggers()) {
        if (t instanceof Trigger.Keys) {
          for (List<Signal> path : catching.keymap().paths(t)) {
            if (path.getFirst() instanceof Press p) {
              all.add(p);
            }
          }
        }
      }
    }
    for (String free : List.of("Ctrl+Alt+Shift+F11", "Alt+Shift+Q", "F24")) {
      catching.keymap().paths(Notation.read(free)).forEach(p -> all.add((Press) p.getFirst()));
    }
    return all;
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2})
  void whatIsSomebodysIsCaught(long seed) {
    Random random = new Random(seed);
    Library library = changed(random);
    for (Station station : library.stations().values()) {
      Catching catching = Catching.of(library, station);
      Set<Press> all = presses(catching, library);
      int fired = 0;
      for (Place state : catching.keymap().states()) {
        for (Press press : all) {
          List<Outcome> outcomes = Resolver.outcomes(catching.keymap(), state, List.of(press));
          for (Outcome o : outcomes) {
            if (o instanceof Outcome.Fired(var claim)
                && claim.owner() instanceof Owner.Yours(String id)
                && runs(library, id)) {
              assertThat(isCaught(catching, state, press))
                  .as("%s in %s fires %s", press, state, id)
                  .isTrue();
              fired++;
            }
          }
        }
      }
      assertThat(fired).as(station.name()).isGreaterThan(30);
    }
  }

  @ParameterizedTest
  @ValueSource(longs = {3, 4})
  void whatIsCaughtIsSomebodys(long seed) {
    Library library = changed(new Random(seed));
    for (Station station : library.stations().values()) {
      Catching catching = Catching.of(library, station);
      Map<String, Set<Press>> within = catching.within();
      assertThat(within).isNotEmpty();
      within.forEach(
          (application, presses) ->
              presses.forEach(
                  p ->
                      assertThat(begins(catching, library, p, Optional.of(application)))
                          .as("%s in %s", p, application)
                          .isTrue()));
      catching
          .everywhere()
          .forEach(
              p ->
                  assertThat(begins(catching, library, p, Optional.empty()))
                      .as(p.toString())
                      .isTrue());
    }
  }

  /** True when a binding that may run, and is bound there, has a way that begins with the press. */
  private static boolean begins(
      Catching catching, Library library, Press press, Optional<String> application) {
    for (Binding b : library.bindings().values()) {
      if (!runs(library, b.id()) || !b.place().applicationId().equals(application)) {
        continue;
      }
      for (Trigger t : b.triggers()) {
        Trigger keys =
            t instanceof Trigger.Held(var stroke, var edge) ? new Trigger.Keys(List.of(stroke)) : t;
        if (keys instanceof Trigger.Keys
            && catching.keymap().paths(keys).stream()
                .anyMatch(path -> path.getFirst().equals(press))) {
          return true;
        }
      }
    }
    return false;
  }

  /** Nothing may run: no key is taken from anybody. */
  @Test
  void whereNothingMayRunNothingIsCaught() {
    Library library = demo;
    for (Routine r : demo.routines().values()) {
      library = new Edit.PutRoutine(r.withCard(r.card().off(true))).on(library);
    }
    for (Station station : library.stations().values()) {
      Catching catching = Catching.of(library, station);
      assertThat(catching.everywhere()).isEmpty();
      assertThat(catching.within().values()).allMatch(Set::isEmpty);
    }
  }

  /** After its first strokes a sequence goes on, in its place; after the last it does not. */
  @Test
  void aSequenceGoesOnUntilItsLastStroke() {
    Station station = demo.stations().values().iterator().next();
    Catching catching = Catching.of(demo, station);
    int sequences = 0;
    for (Binding b : demo.bindings().values()) {
      if (!runs(demo, b.id())) {
        continue;
      }
      for (Trigger t : b.triggers()) {
        if (!(t instanceof Trigger.Keys keys) || keys.strokes().size() < 2) {
          continue;
        }
        for (Place state : catching.keymap().statesOf(b.place())) {
          for (List<Signal> path : catching.keymap().paths(t)) {
            for (int i = 1; i < path.size(); i++) {
              assertThat(catching.goesOn(state, path.subList(0, i)))
                  .as("%s after %s strokes in %s", Notation.write(t), i, state)
                  .isTrue();
            }
            List<Signal> beyond = new ArrayList<>(path);
            beyond.add(path.getLast());
            assertThat(catching.goesOn(state, beyond)).isFalse();
          }
        }
        sequences++;
      }
    }
    assertThat(sequences).isGreaterThan(10);
  }
}
