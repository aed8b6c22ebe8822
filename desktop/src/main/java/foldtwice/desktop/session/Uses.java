package foldtwice.desktop.session;

import foldtwice.run.Run;
import foldtwice.text.Csv;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayDeque;
import java.util.Collections;
import java.util.Deque;
import java.util.List;
import java.util.Set;
import java.util.WeakHashMap;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Writes what is fired to a use log beside the library, as others would: to be read in Payback. */
final class Uses {

  private static final Logger LOG = LoggerFactory.getLogger(Uses.class);

  /** So many of those fired last make a procedure. */
  private static final int MOST = 12;

  private static final List<String> HEADING = List.of("when", "station", "binding", "count");

  private final Background background;
  private final Supplier<Path> library;
  private final Set<Run> counted = Collections.newSetFromMap(new WeakHashMap<>());
  private final Deque<String> lately = new ArrayDeque<>();
  private boolean told;

  Uses(Background background, Supplier<Path> library) {
    this.background = background;
    this.library = library;
  }

  /** What was fired last in this window, in order. */
  List<String> lately() {
    return List.copyOf(lately);
  }

  /**
   * A binding fired; told again, it is not counted again. What cannot be written is logged once: no
   * work is lost by it.
   */
  void fired(String station, String binding, Run run) {
    if (counted.add(run)) {
      fired(station, binding);
    }
  }

  /** The same for a run that is told once. */
  void fired(String station, String binding) {
    lately.add(binding);
    if (lately.size() > MOST) {
      lately.remove();
    }
    Path file = library.get().resolveSibling(library.get().getFileName() + ".uses.csv");
    String when = Instant.now().truncatedTo(ChronoUnit.MILLIS).toString();
    background.in(
        Background.Lane.IDLE,
        () -> {
          try {
            String rows =
                Csv.write(List.of(List.of(when, Csv.cell(station), Csv.cell(binding), "1")));
            String all = Files.exists(file) ? rows : Csv.write(List.of(HEADING)) + rows;
            Files.writeString(
                file,
                all,
                StandardCharsets.UTF_8,
                StandardOpenOption.CREATE,
                StandardOpenOption.APPEND);
          } catch (IOException e) {
            if (!told) {
              told = true;
              LOG.warn("what is fired cannot be counted in {}", file, e);
            }
          }
        });
  }
}
