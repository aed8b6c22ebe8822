package foldtwice.bench;

import foldtwice.binding.Binding;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.file.Chronicle;
import foldtwice.library.file.FormatException;
import foldtwice.library.file.LibraryFile;
import foldtwice.library.file.LibraryStore;
import foldtwice.trigger.Notation;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.ExecutionException;

/**
 * A history of a hundred thousand edits: read to be shown, and searched; and what it costs to open
 * a library of ten thousand bindings with a hundred edits to be undone.
 */
public final class Remembered {

  private Remembered() {}

  /** Takes no arguments. */
  public static void main(String[] none)
      throws IOException, FormatException, InterruptedException, ExecutionException {
    Path folder = Files.createTempDirectory("foldtwice-history");
    Path file = folder.resolve("big.json");
    LibraryFile.create(file, Big.library(10_000, 50, 1));
    double plain = opened(file);
    try (LibraryStore store = LibraryStore.open(file, "bench", Clock.systemUTC())) {
      for (int i = 0; i < 200; i++) {
        Binding b = store.library().bindings().get("b" + i * 7);
        String keys = "Ctrl+Alt+Shift+" + (char) ('A' + i % 26);
        store
            .make(
                new Edit.PutBinding(b.withTriggers(List.of(Notation.read(keys)))),
                "Binding " + i + " moved to " + keys)
            .get();
      }
    }
    System.out.printf(
        "opening 10,000 bindings: %.0f ms, with 100 to undo: %.0f ms%n", plain, opened(file));
    Path history = folder.resolve("big.json.history");
    byte[] session = Files.readAllBytes(history);
    for (int i = 1; i < 500; i++) {
      Files.write(history, session, StandardOpenOption.APPEND);
    }
    Library now = LibraryFile.look(file);
    double[] reading = new double[7];
    double[] searching = new double[7];
    int events = 0;
    for (int i = 0; i < reading.length; i++) {
      long began = System.nanoTime();
      Chronicle all = Chronicle.of(file, now);
      long then = System.nanoTime();
      events = all.events().size();
      long found =
          all.events().stream()
              .filter(e -> e.says().toLowerCase(Locale.ROOT).contains("binding 19"))
              .count();
      reading[i] = (then - began) / 1e6;
      searching[i] = (System.nanoTime() - then) / 1e6;
      if (found == 0) {
        throw new IllegalStateException("nothing was found");
      }
    }
    System.out.printf(
        "first reading of %d events (%d MB): %.0f ms%n",
        events, Files.size(history) >> 20, reading[0]);
    Arrays.sort(reading);
    Arrays.sort(searching);
    System.out.printf("reading: %.0f ms, searching: %.1f ms (medians)%n", reading[3], searching[3]);
  }

  private static double opened(Path file) throws IOException, FormatException {
    double[] all = new double[7];
    for (int i = 0; i < all.length; i++) {
      long began = System.nanoTime();
      LibraryStore store = LibraryStore.open(file, "bench", Clock.systemUTC());
      all[i] = (System.nanoTime() - began) / 1e6;
      store.close();
    }
    Arrays.sort(all);
    return all[3];
  }
}
