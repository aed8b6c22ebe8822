package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.conflict.Weight;
import foldtwice.desktop.view.OwnCheck;
import foldtwice.desktop.view.OwnKeys;
import foldtwice.library.file.LibraryJson;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Trigger;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import java.util.ResourceBundle;
import java.util.prefs.Preferences;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The application's own keys, under the check of everybody's. */
class OwnKeysTest {

  @TempDir Path folder;

  private final Preferences kept = Preferences.userNodeForPackage(OwnKeysTest.class).node("test");

  @AfterEach
  void forget() throws Exception {
    kept.removeNode();
  }

  /** What ships is heard on every station of the demo and takes nothing from anybody. */
  @Test
  void whatShipsMeetsNothingOnAnyStation() throws Exception {
    var library =
        LibraryJson.read(Files.readAllBytes(Hands.root().resolve("demo/fernhollow.json")));
    try (Hands hands = Hands.open(folder)) {
      Map<String, String> acts = OwnKeys.get().acts();
      OwnKeys keys = new OwnKeys(kept);
      assertThat(keys.all()).hasSizeGreaterThan(20);
      assertThat(acts)
          .as("every key is an action's")
          .containsKeys(keys.all().keySet().toArray(new String[0]));
      keys.all()
          .forEach(
              (id, trigger) -> {
                assertThat(new OwnCheck(library, keys.without(id), acts).on(id, trigger))
                    .filteredOn(t -> t.conflict().weight() == Weight.BLOCKS)
                    .as(id)
                    .isEmpty();
              });
      assertThat(hands.session.now().library()).isEqualTo(library);
    }
  }

  @Test
  void whatAnotherActionHasAndWhatTheDesktopKeepsIsTold() throws Exception {
    var library =
        LibraryJson.read(Files.readAllBytes(Hands.root().resolve("demo/fernhollow.json")));
    Map<String, String> acts = Map.of("undo", "Undo", "redo", "Redo");
    Map<String, Trigger.Keys> undo = Map.of("undo", Notation.read("Ctrl+Z"));
    OwnCheck check = new OwnCheck(library, undo, acts);
    assertThat(check.on("redo", Notation.read("Ctrl+Z")))
        .hasSize(library.stations().size())
        .allSatisfy(t -> assertThat(t.conflict().kind().id()).isEqualTo("double-claim"));
    var station = library.stations().values().iterator().next();
    Trigger reserved = station.reserved().getFirst().trigger();
    assertThat(check.on("redo", (Trigger.Keys) reserved))
        .anySatisfy(t -> assertThat(t.conflict().kind().id()).isEqualTo("reserved"));
    assertThat(check.on("redo", Notation.read("Ctrl+Alt+F12"))).isEmpty();
  }

  @Test
  void whatAPersonChoseIsThereAtTheNextStart() {
    OwnKeys keys = new OwnKeys(kept);
    keys.give("undo", Optional.of(Notation.read("Ctrl+Shift+U")));
    keys.give("redo", Optional.empty());
    OwnKeys next = new OwnKeys(kept);
    assertThat(next.keys("undo")).isEqualTo("Ctrl+Shift+U");
    assertThat(next.keys("redo")).isEmpty();
    String shipped = ResourceBundle.getBundle("foldtwice.desktop.Keys").getString("undo");
    next.give("undo", Optional.of(Notation.read(shipped)));
    assertThat(kept.get("undo", "nothing is kept")).isEqualTo("nothing is kept");
    kept.put("fire", "no key at all \u2026");
    assertThat(new OwnKeys(kept).of("fire")).isEqualTo(next.shipped("fire"));
  }
}
