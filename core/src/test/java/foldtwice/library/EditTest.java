package foldtwice.library;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.Fixture;
import foldtwice.binding.Binding;
import foldtwice.binding.Family;
import foldtwice.binding.Pattern;
import foldtwice.binding.Proof;
import foldtwice.binding.Readiness;
import foldtwice.extras.Extras;
import foldtwice.place.Application;
import foldtwice.place.Finding;
import foldtwice.place.NativeCommand;
import foldtwice.routine.Value;
import foldtwice.trigger.Notation;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class EditTest {

  /** An edit some library could be asked for, also one that has nothing to do. */
  private static Edit edit(Library library, Random random, int depth) {
    List<Binding> all = List.copyOf(library.bindings().values());
    Binding some =
        all.isEmpty() || random.nextInt(4) == 0
            ? Fixture.library("mine box Alt+L").bindings().get("mine box Alt+L")
            : all.get(random.nextInt(all.size()));
    return switch (random.nextInt(depth == 0 ? 12 : 13)) {
      case 0 ->
          new Edit.PutBinding(
              some.withTriggers(List.of(Notation.read("F" + random.nextInt(1, 9)))));
      case 1 -> new Edit.RemoveBinding(random.nextInt(5) == 0 ? "nobody" : some.id());
      case 2 ->
          new Edit.PutBinding(
              new Binding(
                  "new" + random.nextInt(5),
                  some.routine(),
                  some.place(),
                  List.of(),
                  some.arguments(),
                  0,
                  some.extras()),
              random.nextInt(6));
      case 3 -> new Edit.PutBinding(some.withArgument("x", Value.Amount.of(random.nextInt(9))));
      case 4 ->
          new Edit.PutRoutine(
              foldtwice.routine.Routine.Macro.of(
                  "r" + random.nextInt(4), "R", "app", List.of(), RandomLibraries.lines(random)),
              random.nextInt(6));
      case 5 -> new Edit.RemoveRoutine("r" + random.nextInt(4));
      case 6 ->
          new Edit.Find(
              library.applications().keySet().stream().findFirst().orElse("nowhere"),
              library.applications().values().stream()
                  .flatMap(a -> a.commands().stream())
                  .map(c -> c.id())
                  .findFirst()
                  .orElse("nothing"),
              random.nextBoolean()
                  ? Optional.empty()
                  : Optional.of(new Finding(random.nextBoolean(), "note " + random.nextInt(3))));
      case 7 -> putOther(RandomLibraries.of(random.nextLong()), random);
      case 8 -> remove(library, random);
      case 9 -> remap(library, random);
      case 10 ->
          random.nextBoolean()
              ? new Edit.RemoveFamily(
                  library.families().keySet().stream().findFirst().orElse("none"))
              : new Edit.PutFamily(
                  new Family(
                      library.families().keySet().stream().findFirst().orElse("new"),
                      "others",
                      List.of(some.id()),
                      new Pattern.PadKeys("rowan", "", "k1"),
                      Extras.NONE),
                  random.nextInt(3));
      case 11 -> {
        String conflict =
            library.accepted().keySet().stream().findFirst().orElse("0011223344556677");
        yield new Edit.Accept(
            conflict,
            random.nextBoolean()
                ? Optional.empty()
                : Optional.of(
                    new Acceptance(conflict, "", "so be it", "", java.time.Instant.EPOCH)));
      }
      default -> {
        List<Edit> edits = new ArrayList<>();
        Library at = library;
        for (int i = random.nextInt(4); i > 0; i--) {
          Edit e = edit(at, random, depth - 1);
          edits.add(e);
          at = e.on(at);
        }
        yield new Edit.Together(edits);
      }
    };
  }

  /** Other triggers for the first native command, at times the ones it came with. */
  private static Edit remap(Library library, Random random) {
    Application a = library.applications().values().stream().findFirst().orElse(null);
    if (a == null || a.commands().isEmpty()) {
      return new Edit.Remap("nowhere", "nothing", List.of());
    }
    NativeCommand c = a.commands().getFirst();
    return new Edit.Remap(
        a.id(),
        c.id(),
        random.nextBoolean() ? c.byDefault() : List.of(Notation.read("F" + random.nextInt(1, 9))));
  }

  /** Something of another library: a surface, a station, an application. */
  private static Edit putOther(Library other, Random random) {
    int at = random.nextInt(6);
    Edit station = new Edit.PutStation(other.stations().values().iterator().next(), at);
    return switch (random.nextInt(3)) {
      case 0 ->
          other.surfaces().isEmpty()
              ? station
              : new Edit.PutSurface(other.surfaces().values().iterator().next(), at);
      case 1 -> new Edit.PutApplication(other.applications().values().iterator().next(), at);
      default -> station;
    };
  }

  /** One that is there, or one that is not. */
  private static Edit remove(Library library, Random random) {
    return switch (random.nextInt(3)) {
      case 0 ->
          new Edit.RemoveSurface(library.surfaces().keySet().stream().findFirst().orElse("none"));
      case 1 ->
          new Edit.RemoveApplication(
              library.applications().keySet().stream().findFirst().orElse("none"));
      default ->
          new Edit.RemoveStation(library.stations().keySet().stream().findFirst().orElse("none"));
    };
  }

  @Property
  void theInverseTakesAnEditBack(@ForAll long seed) {
    Random random = new Random(seed);
    Library before = RandomLibraries.of(seed);
    Edit edit = edit(before, random, 2);
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
      history = history.with(done(edit(history.library(), random, 1)));
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
