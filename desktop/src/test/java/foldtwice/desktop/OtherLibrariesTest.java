package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.Seeds;
import foldtwice.desktop.session.Faults;
import foldtwice.desktop.view.OwnKeys;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * The demo is one library among many: every view and every action on others, without a fault. Each
 * action on one of the libraries, another one each time; on each when asked to be hard.
 */
class OtherLibrariesTest {

  @TempDir Path folder;

  private static final String STATION =
      """
      "stations": [{"id": "desk", "name": "My desk", "layout": "us", "shape": "ansi"}]
      """;

  private static final String EMPTY =
      """
      {"format": "fold-twice-library", "version": 1, "name": "Nothing yet", %s}
      """
          .formatted(STATION);

  private static final long SEED = Seeds.drawn();

  private static final int LIBRARIES = 3;

  private Hands open(String library) throws Exception {
    Files.writeString(folder.resolve("fernhollow.json"), library);
    return Hands.open(folder);
  }

  /** Goes to every view and does what is this library's part by the look-up. */
  private void everythingIsTried(int which, String library) throws Exception {
    Thread.UncaughtExceptionHandler before = Thread.getDefaultUncaughtExceptionHandler();
    Hands.FAULTS.install();
    List<String> faults = new ArrayList<>();
    try (Hands hands = open(library)) {
      for (String tab : List.of("places", "collect", "bind", "atlas", "conflicts", "try")) {
        hands.click("#tab-" + tab);
        faults(hands, "the view " + tab, faults);
      }
      hands.hurry(); // each action in a few frames
      var acts = List.copyOf(OwnKeys.get().acts().entrySet());
      assertThat(acts).hasSizeGreaterThan(60);
      for (var act : Seeds.dealt(acts, LIBRARIES, SEED).get(which)) {
        hands.press(KeyCode.F3);
        hands.paste("#look-up", act.getValue());
        hands.press(KeyCode.ENTER);
        faults(hands, act.getValue(), faults);
        hands.onlyThis();
        hands.press(KeyCode.ESCAPE);
        hands.press(KeyCode.ESCAPE);
      }
    } finally {
      Thread.setDefaultUncaughtExceptionHandler(before);
    }
    assertThat(faults).isEmpty();
    try (Hands again = Hands.open(folder)) {
      assertThat(again.session.now().library().name()).isNotEmpty();
    }
  }

  private static void faults(Hands hands, String where, List<String> faults) {
    Optional<Faults.Fault> fault = Hands.ask(() -> Hands.FAULTS.lastProperty().get());
    fault.ifPresent(
        f -> {
          faults.add(where + ": " + f.details().lines().limit(6).toList());
          Hands.ask(
              () -> {
                Hands.FAULTS.read();
                return true;
              });
        });
    assertThat(hands.scene()).isNotNull();
  }

  @Test
  void onAnEmptyLibraryNothingFails() throws Exception {
    everythingIsTried(0, EMPTY);
  }

  /** A program of which nothing but the name is known. */
  @Test
  void onAProgramWithoutCommandsNothingFails() throws Exception {
    everythingIsTried(
        1,
        """
        {"format": "fold-twice-library", "version": 1, "name": "One program", %s,
         "applications": [{"id": "loom", "name": "Loom planner"}]}
        """
            .formatted(STATION));
  }

  /** A library of another trade, whose programs are only described. */
  @Test
  void onTheSeedHouseNothingFails() throws Exception {
    everythingIsTried(2, Files.readString(Hands.root().resolve("demo/seedhouse.json")));
  }
}
