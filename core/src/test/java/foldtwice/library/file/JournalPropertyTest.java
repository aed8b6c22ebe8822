package foldtwice.library.file;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.Fixture;
import foldtwice.RandomClaims;
import foldtwice.binding.Proof;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.RandomLibraries;
import foldtwice.surface.Summoned;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.concurrent.CompletableFuture;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/** Whatever is done, and wherever it is cut off, what was kept is there again. */
class JournalPropertyTest {

  @Property(tries = 20)
  void whatWasKeptIsThereAfterACrashAtAnyByte(@ForAll long seed) throws Exception {
    Random random = new Random(seed);
    Path folder = Files.createTempDirectory("journal");
    Path file = folder.resolve("l.json");
    Files.writeString(file, LibraryJson.write(Fixture.library("mine box Alt+L", "mine sheet F5")));
    byte[] document = Files.readAllBytes(file);
    List<Library> kept = new java.util.ArrayList<>();
    List<Long> sizes = new java.util.ArrayList<>();
    try (LibraryStore store = LibraryStore.open(file, "w", Clock.systemUTC())) {
      kept.add(store.library());
      sizes.add(Files.size(Journal.of(file)));
      for (int i = 0; i < 12; i++) {
        act(store, random, i).get();
        kept.add(store.library());
        sizes.add(Files.size(Journal.of(file)));
      }
      byte[] journal = Files.readAllBytes(Journal.of(file));
      for (int turn = 0; turn < 6; turn++) {
        int cut = random.nextInt(sizes.getFirst().intValue(), journal.length + 1);
        assertThat(afterCrash(folder, document, Arrays.copyOf(journal, cut)))
            .isEqualTo(kept.get(last(sizes, cut)));
      }
    }
    assertThat(LibraryFile.look(file)).as("closed").isEqualTo(kept.getLast());
    assertThat(Files.exists(Journal.of(file))).isFalse();
  }

  private static CompletableFuture<Instant> act(LibraryStore store, Random random, int i) {
    return switch (random.nextInt(9)) {
      case 4 ->
          store.make(new Edit.PutStation(other(random).stations().values().iterator().next()));
      case 5 ->
          store.make(
              new Edit.PutApplication(other(random).applications().values().iterator().next()));
      case 6 ->
          store.make(
              other(random).surfaces().values().stream()
                  .filter(s -> !(s instanceof Summoned))
                  .<Edit>map(Edit.PutSurface::new)
                  .findFirst()
                  .orElse(new Edit.RemoveSurface("none")));
      case 7 ->
          store.make(
              new Edit.RemoveSurface(
                  store.library().surfaces().keySet().stream().findFirst().orElse("none")));
      case 0 -> store.undo();
      case 1 -> store.redo();
      case 2 -> store.prove("mine sheet F5", new Proof(Instant.EPOCH, "0123456789abcdef"));
      case 3 -> store.make(new Edit.RemoveBinding("mine box Alt+L"));
      default ->
          store.make(
              new Edit.Together(
                  List.of(new Edit.PutBinding(RandomClaims.binding(random, "n" + i), 0))));
    };
  }

  private static Library other(Random random) {
    return RandomLibraries.of(random.nextLong());
  }

  /** The last state that was whole on disk within so many bytes. */
  private static int last(List<Long> sizes, int bytes) {
    int last = 0;
    for (int i = 0; i < sizes.size(); i++) {
      last = sizes.get(i) - 1 <= bytes ? i : last; // a line that lacks its line feed is whole
    }
    return last;
  }

  private static Library afterCrash(Path folder, byte[] document, byte[] journal)
      throws IOException, FormatException {
    Path other = Files.createTempDirectory(folder, "crash").resolve("l.json");
    Files.write(other, document);
    Files.write(Journal.of(other), journal);
    try (LibraryStore store = LibraryStore.open(other, "w", Clock.systemUTC())) {
      return store.library();
    }
  }
}
