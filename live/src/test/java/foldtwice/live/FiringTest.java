package foldtwice.live;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.known.Facts;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.live.display.Display;
import foldtwice.live.display.Grabs;
import foldtwice.live.program.LiveComputer;
import foldtwice.live.program.LiveRun;
import foldtwice.place.Place;
import foldtwice.resolve.Claim;
import foldtwice.routine.Routine;
import foldtwice.run.Scripts;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Press;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Real keys that set off runs, while programs and the display come and go. */
class FiringTest {

  private static final Press STOP = Press.of(KeyCode.ESCAPE, Modifier.CTRL, Modifier.ALT);
  private static final Press KEY = Press.of(KeyCode.KEY_J, Modifier.CTRL);

  @TempDir Path pictures;
  private final List<String> heard = new CopyOnWriteArrayList<>();

  private Firing.Tells tells() {
    return new Firing.Tells() {
      @Override
      public void begins(Binding binding, Routine routine) {
        heard.add("begins");
      }

      @Override
      public void goes(Binding binding, Routine routine, LiveRun.Standing standing) {
        if (standing.isOver()) {
          heard.add("over");
        }
      }

      @Override
      public void refused(Binding binding, String expected, String found) {
        heard.add("refused: " + expected + ", " + found);
      }

      @Override
      public void undecided(List<Claim> claims) {
        heard.add("undecided");
      }

      @Override
      public void taken(Set<Press> presses) {
        heard.add("taken");
      }

      @Override
      public void ended(String why) {
        heard.add("ended: " + why);
      }
    };
  }

  private Firing listen(Desktop desktop, Works works) throws Exception {
    Library library =
        new Edit.Together(
                List.of(
                    new Edit.PutRoutine(Works.macro(List.of(), Works.choose("Ledger", "Stamp"))),
                    new Edit.PutBinding(
                        Binding.fresh(
                            "b",
                            "m",
                            new Place.Whole(Works.ID),
                            List.of(Notation.read("Ctrl+J")),
                            Map.of()))))
            .on(works.library());
    LiveComputer computer =
        works.live.computer(
            library, a -> Facts.unknown(a.id()), works.outside(pictures, c -> false));
    return Firing.start(
        library,
        Desktop.station(),
        computer,
        desktop.where(),
        STOP,
        Scripts.NONE,
        r -> true,
        tells());
  }

  /** Else what is listened for would be told to be taken by another program, now and then. */
  @Test
  void toAskWhetherAKeyIsFreeKeepsNobodyFromIt() throws Exception {
    try (Desktop desktop = Desktop.open();
        Display mine = Display.open(Optional.of(desktop.display()))) {
      Grabs grabs = new Grabs(mine);
      AtomicBoolean asking = new AtomicBoolean(true);
      Thread asks =
          Thread.ofPlatform()
              .start(
                  () -> {
                    while (asking.get()) {
                      desktop.isFree(KEY);
                    }
                  });
      for (int i = 0; i < 500; i++) {
        assertThat(grabs.catching(Set.of(KEY))).as("turn " + i).isEmpty();
        grabs.catching(Set.of());
      }
      asking.set(false);
      asks.join();
    }
  }

  /** A program may be started after listening was, and be ended and started again. */
  @Test
  void aProgramThatBeginsLaterIsListenedFor() throws Exception {
    try (Desktop desktop = Desktop.open()) {
      Desktop.Window first = desktop.window(0);
      Works works = new Works(desktop, pictures, c -> false, "");
      first.process().destroyForcibly().waitFor();
      try (Firing firing = listen(desktop, works);
          Display keys = Display.open(Optional.of(desktop.display()))) {
        for (int turn = 0; turn < 2; turn++) {
          heard.clear();
          Desktop.Window window = desktop.window(0);
          Desktop.await("its key is caught", () -> !desktop.isFree(KEY));
          keys.strike(KEY);
          Desktop.await("a run", () -> heard.contains("over"));
          assertThat(window.text()).isEqualTo("[stamp]");
          assertThat(heard).containsExactly("begins", "over");
          window.process().destroyForcibly().waitFor();
          Desktop.await("its key is free", () -> desktop.isFree(KEY));
        }
        assertThat(firing.caught()).isNotNull();
      }
      works.close();
    }
  }

  @Test
  void whenTheDisplayGoesListeningEndsAndSaysSo() throws Exception {
    try (Desktop desktop = Desktop.open()) {
      Desktop.Window window = desktop.window(0);
      Works works = new Works(desktop, pictures, c -> false, "");
      try (Firing firing = listen(desktop, works)) {
        assertThat(firing.caught()).isNotEmpty();
        desktop.loseDisplay();
        Desktop.await("it is told", () -> heard.stream().anyMatch(h -> h.startsWith("ended")));
        assertThat(window.process().waitFor()).as("the window went with it").isNotZero();
        assertThat(works.run(Works.choose("Ledger", "Stamp")).endedBadly()).isTrue();
      }
      works.close();
    }
  }
}
