package foldtwice.surface;

import foldtwice.trigger.Trigger;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/**
 * What the keys of a device mean while this page shows.
 *
 * @param id unique within the device; empty where a device has no pages
 * @param faces by key, what it shows
 * @param sends by key, what it does of itself, before any binding hears of it
 */
public record Page(
    String id, String name, String colour, Map<String, Face> faces, Map<String, Sends> sends) {

  /** What a key of a device does of itself. */
  public sealed interface Sends {

    /** It types these keys; somebody else must catch them. */
    record Chord(Trigger.Keys keys) implements Sends {}

    /** It shows another page. */
    record Turn(String page) implements Sends {}
  }

  public Page {
    faces = Collections.unmodifiableMap(new LinkedHashMap<>(faces));
    sends = Collections.unmodifiableMap(new LinkedHashMap<>(sends));
  }

  public Face face(String key) {
    return faces.getOrDefault(key, Face.PLAIN);
  }

  public Optional<Sends> sends(String key) {
    return Optional.ofNullable(sends.get(key));
  }

  /** The same page, a key showing this; nothing of its own when the face is plain. */
  public Page showing(String key, Face face) {
    Map<String, Face> more = new LinkedHashMap<>(faces);
    if (face.equals(Face.PLAIN)) {
      more.remove(key);
    } else {
      more.put(key, face);
    }
    return new Page(id, name, colour, more, sends);
  }

  /** The same page, a key sending this, or nothing. */
  public Page sending(String key, Optional<Sends> what) {
    Map<String, Sends> more = new LinkedHashMap<>(sends);
    if (what.isPresent()) {
      more.put(key, what.get());
    } else {
      more.remove(key);
    }
    return new Page(id, name, colour, faces, more);
  }
}
