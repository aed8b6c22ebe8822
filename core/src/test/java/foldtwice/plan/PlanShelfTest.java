package foldtwice.plan;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.Seeds;
import foldtwice.conflict.Subject;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.RandomEdits;
import foldtwice.library.RandomLibraries;
import foldtwice.library.Returning;
import foldtwice.library.file.FormatException;
import foldtwice.library.file.LibraryJson;
import foldtwice.resolve.Keymap;
import foldtwice.trigger.Notation;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class PlanShelfTest {

  @TempDir Path folder;

  private static Plan planned(Library library, int moves, double seconds) {
    List<Subject> stations =
        library.stations().values().stream()
            .map(s -> Subject.of(library, Keymap.of(library, s)))
            .toList();
    return Planning.of(
        stations, Planning.Wanted.of(Optional.empty(), moves, seconds), Watcher.PATIENT);
  }

  private static PlanShelf.Kept kept(
      Optional<String> application, int moves, Library library, Plan plan) {
    return PlanShelf.Kept.made(
        new Planning.Wanted(application, moves, 2, moves <= 3, Set.of(), Map.of()),
        moves > 3,
        "here",
        library,
        plan);
  }

  /**
   * Law: a plan holds as long as nothing was done but to take some of it, before and after it is
   * read again; and again when what was done is taken back.
   */
  @Test
  void itHoldsAsLongAsNothingElseIsDone() throws Exception {
    Library library = seeds();
    Plan plan = planned(library, 6, 2);
    assertThat(plan.moved()).hasSizeGreaterThan(2);
    PlanShelf shelf = PlanShelf.EMPTY.with(kept(Optional.empty(), 6, library, plan));
    Random random = new Random(Seeds.drawn());
    int others = 0;
    for (int i = 0; i < 60; i++) {
      List<String> some =
          plan.moved().stream().map(Plan.Line::binding).filter(x -> random.nextBoolean()).toList();
      Library taken = plan.take(library, some).on(library);
      assertThat(holds(shelf, taken)).as("some of it was taken").isTrue();
      Edit edit = RandomEdits.of(taken, random, 0);
      Library other = edit.on(taken);
      boolean counts =
          !(other.bindings().equals(taken.bindings())
              && other.routines().equals(taken.routines())
              && other.surfaces().equals(taken.surfaces())
              && other.applications().equals(taken.applications())
              && other.stations().equals(taken.stations()));
      if (counts) {
        others++;
        assertThat(holds(shelf, other)).as("what counts was changed: %s", edit).isFalse();
        Library back = Returning.to(other, taken).on(other);
        assertThat(holds(shelf, back)).as("it was taken back").isTrue();
      }
    }
    assertThat(others).isGreaterThan(10);
  }

  /** The same whether it was made just now or is read again. */
  private boolean holds(PlanShelf shelf, Library library) throws Exception {
    Path file = folder.resolve("some.json");
    shelf.write(file);
    boolean read =
        PlanShelf.read(file, library).of(Optional.empty()).orElseThrow().holds(library, "there");
    boolean made = shelf.of(Optional.empty()).orElseThrow().holds(library, "there");
    assertThat(read).isEqualTo(made);
    return made;
  }

  /** One that was made for one station alone promises nothing on another. */
  @Test
  void madeForOneStationItHoldsThereAlone() throws Exception {
    Library library = seeds();
    PlanShelf.Kept one = kept(Optional.empty(), 3, library, planned(library, 3, 2));
    assertThat(one.holds(library, "here")).isTrue();
    assertThat(one.holds(library, "there")).isFalse();
  }

  private static Library seeds() throws Exception {
    return LibraryJson.read(
        Files.readAllBytes(Path.of(System.getProperty("project.root"), "demo", "seedhouse.json")));
  }

  /** What is kept is read as it was, with every reason, whatever sets the bindings off. */
  @Test
  void whatIsKeptIsReadAsItWas() throws Exception {
    Path file = folder.resolve("some.json");
    int lines = 0;
    for (long seed = 1; seed <= 20; seed++) {
      Library library = seed == 1 ? seeds() : RandomLibraries.of(seed);
      if (library.stations().isEmpty()) {
        continue;
      }
      Plan plan = planned(library, 8, 2);
      lines += plan.moved().size();
      Set<String> locked = Set.copyOf(library.bindings().keySet().stream().limit(2).toList());
      PlanShelf shelf =
          PlanShelf.EMPTY
              .with(kept(Optional.empty(), 8, library, plan))
              .with(kept(Optional.of("one"), 3, library, plan.provenTo(plan.bound())))
              .with(
                  locked,
                  library.bindings().isEmpty()
                      ? Map.of()
                      : Map.of(
                          library.bindings().keySet().iterator().next(),
                          Set.of(Notation.read("Ctrl+[KeyQ] then X"), Notation.read("F9"))));
      shelf.write(file);
      assertThat(PlanShelf.read(file, library)).as("seed " + seed).isEqualTo(shelf);
    }
    assertThat(lines).isGreaterThan(8);
  }

  @Test
  void whatIsGoneIsLeftOutAndNothingKeptIsEmpty() throws Exception {
    Library library = seeds();
    Path file = folder.resolve("some.json");
    assertThat(PlanShelf.read(file, library)).isEqualTo(PlanShelf.EMPTY);
    Plan plan = planned(library, 4, 2);
    String gone = plan.moved().getFirst().binding();
    PlanShelf.EMPTY
        .with(kept(Optional.empty(), 4, library, plan))
        .with(Set.of(gone), Map.of(gone, Set.of(Notation.read("F9"))))
        .write(file);
    PlanShelf read = PlanShelf.read(file, new Edit.RemoveBinding(gone).on(library));
    assertThat(read.locked()).isEmpty();
    assertThat(read.refused()).isEmpty();
    assertThat(read.of(Optional.empty()).orElseThrow().plan().lines())
        .hasSize(plan.lines().size() - 1)
        .noneMatch(l -> l.binding().equals(gone));
  }

  /** A file that somebody spoilt is refused in words, or gives what of it can be used. */
  @Test
  void spoiltFilesAreRefusedInWords() throws Exception {
    Library library = seeds();
    Path file = folder.resolve("some.json");
    Path shelf = folder.resolve("some.json.plans");
    PlanShelf.EMPTY
        .with(kept(Optional.empty(), 4, library, planned(library, 4, 2)))
        .with(Set.of(), Map.of(library.bindings().keySet().iterator().next(), Set.of()))
        .write(file);
    String good = Files.readString(shelf);
    Random random = new Random(5);
    int refused = 0;
    for (int i = 0; i < 400; i++) {
      StringBuilder bad = new StringBuilder(good);
      for (int k = 0; k <= random.nextInt(3); k++) {
        int at = random.nextInt(bad.length());
        switch (random.nextInt(3)) {
          case 0 -> bad.delete(at, Math.min(bad.length(), at + random.nextInt(40)));
          case 1 -> bad.insert(at, "\"}]{[0,:null-1e999".charAt(random.nextInt(18)));
          default -> bad.setCharAt(at, (char) ('!' + random.nextInt(90)));
        }
      }
      Files.writeString(shelf, bad);
      try {
        assertThat(PlanShelf.read(file, library)).isNotNull();
      } catch (FormatException e) {
        assertThat(e).hasMessageMatching("(?s).*[a-z]{3}.*");
        refused++;
      }
    }
    assertThat(refused).isGreaterThan(50);
    Files.writeString(shelf, "{\"format\": \"fold-twice-plans\", \"version\": 2}");
    org.assertj.core.api.Assertions.assertThatThrownBy(() -> PlanShelf.read(file, library))
        .isInstanceOf(FormatException.class)
        .hasMessageContaining("format version 1");
  }
}
