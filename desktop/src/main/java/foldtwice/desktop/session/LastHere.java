package foldtwice.desktop.session;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.Optional;
import java.util.UUID;
import java.util.prefs.Preferences;

/** When this person was last in a library; kept with their preferences. */
final class LastHere {

  private final Preferences kept = Preferences.userNodeForPackage(LastHere.class).node("here");
  private final String key;

  LastHere(Path file) {
    // Names of preferences are short, paths may be long.
    key = UUID.nameUUIDFromBytes(file.toString().getBytes(StandardCharsets.UTF_8)).toString();
  }

  Optional<Instant> when() {
    try {
      return Optional.ofNullable(kept.get(key, null)).map(Instant::parse);
    } catch (DateTimeParseException e) {
      return Optional.empty(); // somebody has changed it: as if never here
    }
  }

  void now() {
    kept.put(key, Instant.now().toString());
  }
}
