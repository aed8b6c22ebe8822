package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.desktop.session.OwnKeys;
import foldtwice.library.file.LibraryJson;
import foldtwice.place.Station;
import foldtwice.resolve.Keymap;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Trigger;
import java.nio.file.Files;
import java.util.HashSet;
import java.util.Set;
import org.junit.jupiter.api.Test;

class OwnShortcutsTest {

  @Test
  void oursCanBePressedOnEveryStationAndClashNeitherWithEachOtherNorTheDesktop() throws Exception {
    var library =
        LibraryJson.read(Files.readAllBytes(Hands.root().resolve("demo/fernhollow.json")));
    for (Station station : library.stations().values()) {
      Keymap keymap = Keymap.of(library, station);
      Set<Object> taken = new HashSet<>();
      station.reserved().forEach(r -> taken.addAll(keymap.paths(r.trigger())));
      for (OwnKeys own : OwnKeys.values()) {
        Trigger.Keys trigger = Notation.read(own.keys());
        assertThat(keymap.paths(trigger)).as(own + " on " + station.name()).isNotEmpty();
        assertThat(taken.addAll(keymap.paths(trigger))).as(own + " on " + station.name()).isTrue();
      }
    }
  }
}
