package foldtwice.extras;

import java.util.Collections;
import java.util.Map;
import java.util.TreeMap;

/**
 * Fields of a file that this version does not know, kept as they were.
 *
 * @param json field name to the JSON text of its value, sorted by name
 */
public record Extras(Map<String, String> json) {

  /** Nothing unknown. */
  public static final Extras NONE = new Extras(Map.of());

  public Extras {
    json = json.isEmpty() ? Map.of() : Collections.unmodifiableMap(new TreeMap<>(json));
  }
}
