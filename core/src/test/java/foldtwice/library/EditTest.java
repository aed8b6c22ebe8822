package foldtwice.library;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.Fixture;
import foldtwice.binding.Binding;
import foldtwice.binding.Proof;
import foldtwice.binding.Readiness;
import foldtwice.trigger.Notation;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class EditTest {

  @Property
  void theInverseTakesAnEditBack(@ForAll long seed) {
    Random random = new Random(seed);
    Library before = RandomLibraries.of(seed);
    Edit edit = RandomEdits.of(before, random, 2);
    Library back = edit.inverse(before).on(edit.on(before));
    assertThat(back).isEqualTo(before);
    assertThat(List.copyOf(back.bindings().keySet()))
        .as("the order, which is the order of the file")
        .isEqualTo(List.copyOf(before.bindings().keySet()));
    assertThat(List.copyOf(back.stations().keySet()))
        .isEqualTo(List.copyOf(before.stations().keySet()));
    assertThat(List.copyOf(back.families().keySet()))
        .isEqualTo(List.copyOf(before.families().keySet()));
    assertThat(List.copyOf(back.surfaces().keySet()))
        .isEqualTo(List.copyOf(before.surfaces().keySet()));
    assertThat(List.copyOf(back.applications().keySet()))
        .isEqualTo(List.copyOf(before.applications().keySet()));
  }

  @Property(tries = 200)
  void undoAndRedoWalkTheWholeWay(@ForAll long seed) {
    Random random = new Random(seed);
    List<Library> way = new ArrayList<>(List.of(RandomLibraries.of(seed)));
    History history = History.of(way.getFirst());
    for (int i = 0; i < 20; i++) {
      history = history.with(done(RandomEdits.of(history.library(), random, 1)));
      way.add(history.library());
    }
    for (int i = 19; i >= 0; i--) {
      history = history.undo();
      assertThat(history.library()).isEqualTo(way.get(i));
    }
    assertThat(history.last()).isEmpty();
    assertThat(history.undo()).isSameAs(history);
    for (int i = 1; i <= 20; i++) {
      history = history.redo();
      assertThat(history.library()).isEqualTo(way.get(i));
    }
    assertThat(history.redo()).isSameAs(history);
  }

  @Test
  void aNewEditForgetsWhatWasTakenBack() {
    History history = History.of(Fixture.library("mine box Alt+L"));
    History other =
        history
            .with(done(new Edit.RemoveBinding("mine box Alt+L")))
            .undo()
            .with(done(new Edit.Together(List.of())));
    assertThat(other.next()).isEmpty();
    assertThat(other.library().bindings()).hasSize(1);
  }

  @Test
  void aProofHoldsUntilSomethingAboutTheBindingChanges() {
    Library library = Fixture.library("mine box Alt+L");
    Binding binding = library.bindings().values().iterator().next();
    assertThat(library.readiness(binding.withTriggers(List.of()))).isEqualTo(Readiness.DRAFT);
    assertThat(library.readiness(binding)).isEqualTo(Readiness.WORKING);
    String print = Fingerprint.of(binding, library.routineOf(binding).orElseThrow());
    History proven = History.of(library).with(binding.id(), new Proof(Instant.EPOCH, print));
    assertThat(proven.library().readiness(binding)).isEqualTo(Readiness.PROVEN);
    History moved =
        proven.with(done(new Edit.PutBinding(binding.withTriggers(List.of(Notation.read("F2"))))));
    Binding now = moved.library().bindings().get(binding.id());
    assertThat(moved.library().readiness(now)).isEqualTo(Readiness.WORKING);
    assertThat(moved.undo().library().readiness(binding))
        .as("a fact is not taken back with an edit")
        .isEqualTo(Readiness.PROVEN);
  }

  private static History.Done done(Edit edit) {
    return new History.Done(edit, Instant.EPOCH, "somebody");
  }
}
