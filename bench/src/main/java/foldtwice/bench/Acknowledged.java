package foldtwice.bench;

import foldtwice.binding.Binding;
import foldtwice.library.Edit;
import foldtwice.library.file.FormatException;
import foldtwice.library.file.LibraryJson;
import foldtwice.library.file.LibraryStore;
import foldtwice.trigger.Notation;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutionException;

/**
 * From an edit to its acknowledgement among 10,000 bindings: read back, made, written, forced to
 * disk.
 *
 * @param median milliseconds
 * @param last of a hundred the fifth slowest, in milliseconds
 * @param held how long of the median whoever makes the edit is held, in milliseconds
 */
record Acknowledged(double median, double last, double held) {

  private static final int TURNS = 400;

  static Acknowledged measure()
      throws IOException, FormatException, InterruptedException, ExecutionException {
    Path file = Files.createTempDirectory("foldtwice-kept").resolve("library.json");
    Files.writeString(file, LibraryJson.write(Big.library(10_000, 200, 1)));
    List<Double> whole = new ArrayList<>();
    List<Double> held = new ArrayList<>();
    try (LibraryStore store = LibraryStore.open(file, "bench", Clock.systemUTC())) {
      List<String> ids = List.copyOf(store.library().bindings().keySet());
      for (int turn = -TURNS; turn < TURNS; turn++) {
        Binding b = store.library().bindings().get(ids.get((turn + TURNS) * 7 % ids.size()));
        Edit edit =
            new Edit.PutBinding(
                b.withTriggers(List.of(Notation.read("F" + (1 + (turn + TURNS) % 12)))));
        long began = System.nanoTime();
        var kept = store.make(edit);
        long made = System.nanoTime();
        kept.get();
        long end = System.nanoTime();
        if (turn >= 0) {
          whole.add((end - began) / 1e6);
          held.add((made - began) / 1e6);
        }
      }
    }
    whole.sort(null);
    return new Acknowledged(whole.get(TURNS / 2), whole.get(TURNS * 95 / 100), Starts.median(held));
  }
}
