package foldtwice.bench;

import foldtwice.binding.Binding;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.live.display.Display;
import foldtwice.live.display.DisplayException;
import foldtwice.live.display.Grabs;
import foldtwice.live.listen.Catching;
import foldtwice.live.listen.Listening;
import foldtwice.place.Place;
import foldtwice.resolve.Claim;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Press;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Listens a hundred times and kills (SIGKILL) the process that catches keys, then a hundred times
 * the one that started it; each time asks the display whether the key is free again. To be run on a
 * desktop of its own: {@code tools/live-desktop}. Prints how often, and how long it took at most.
 */
public final class LiveKilled {

  private static final int TIMES = 100;
  private static final long PATIENCE = 5_000_000_000L;
  private static final Press KEY = Press.of(KeyCode.KEY_U, Modifier.CTRL, Modifier.ALT);

  private LiveKilled() {}

  /** Without arguments: measures. With one: only listens, to be killed. */
  public static void main(String[] arguments) throws Exception {
    if (arguments.length > 0) {
      Listening listening = listen();
      System.out.println(listening.process());
      Thread.sleep(60_000);
      return;
    }
    List<Double> child = new ArrayList<>();
    for (int i = 0; i < TIMES; i++) {
      Listening listening = listen();
      caught();
      long at = System.nanoTime();
      ProcessHandle.of(listening.process()).orElseThrow().destroyForcibly();
      child.add(free(at));
    }
    print("the listener killed", child);
    List<Double> parent = new ArrayList<>();
    for (int i = 0; i < TIMES; i++) {
      Process process =
          new ProcessBuilder(
                  ProcessHandle.current().info().command().orElseThrow(),
                  "-XX:TieredStopAtLevel=1",
                  "--enable-native-access=ALL-UNNAMED",
                  "-cp",
                  System.getProperty("java.class.path"),
                  LiveKilled.class.getName(),
                  "listen")
              .start();
      if (process.inputReader().readLine() == null) {
        throw new IllegalStateException("it does not listen");
      }
      caught();
      long at = System.nanoTime();
      process.destroyForcibly();
      parent.add(free(at));
    }
    print("its parent killed", parent);
    System.exit(0);
  }

  private static void print(String what, List<Double> millis) {
    List<Double> sorted = millis.stream().sorted().toList();
    System.out.printf(
        "%s %d times: keys free each time, after %.0f ms (median), %.0f at most%n",
        what, sorted.size(), sorted.get(sorted.size() / 2), sorted.getLast());
  }

  private static boolean isFree() throws DisplayException {
    try (Display other = Display.open(Optional.empty())) {
      Grabs grabs = new Grabs(other);
      boolean free = grabs.catching(Set.of(KEY)).isEmpty();
      grabs.catching(Set.of());
      return free;
    }
  }

  private static void caught() throws DisplayException {
    if (isFree()) {
      throw new IllegalStateException("the key is not caught");
    }
  }

  private static double free(long at) throws DisplayException {
    while (!isFree()) {
      if (System.nanoTime() - at > PATIENCE) {
        throw new IllegalStateException("the key is still caught");
      }
      Thread.onSpinWait();
    }
    return (System.nanoTime() - at) / 1e6;
  }

  private static Listening listen() throws Exception {
    Line line = new Line(new Step.Note(new Template("nothing")));
    Library library =
        new Edit.Together(
                List.of(
                    new Edit.PutRoutine(
                        Routine.Macro.of("m", "m", "a", List.of(), List.of(line)), 0),
                    new Edit.PutBinding(
                        Binding.fresh(
                            "b",
                            "m",
                            new Place.Everywhere(),
                            List.of(Notation.read("Ctrl+Alt+U")),
                            Map.of()))))
            .on(Library.empty("Bench"));
    return Listening.start(
        Optional.empty(),
        Press.of(KeyCode.ESCAPE, Modifier.CTRL, Modifier.ALT),
        Catching.of(library, LiveWork.station()),
        new Listening.Where() {
          @Override
          public Optional<Place> state(long process) {
            return Optional.empty();
          }

          @Override
          public long front() {
            return 0;
          }

          @Override
          public Optional<Long> process(String application) {
            return Optional.empty();
          }
        },
        new Listening.Hears() {
          @Override
          public void fires(String binding, Optional<Press> by) {}

          @Override
          public void undecided(List<Claim> claims) {}

          @Override
          public void taken(Set<Press> presses) {}

          @Override
          public void stopped() {}

          @Override
          public void ended(String why) {}
        });
  }
}
