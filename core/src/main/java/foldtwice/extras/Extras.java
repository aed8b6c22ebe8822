package foldtwice.extras;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * Fields of a file that this version does not know, kept as they were: those of the thing itself,
 * and those of its parts that have no room for them, such as a trigger of a binding.
 *
 * <p>Two are equal when their own fields are. What stands in a part belongs to that part: it goes
 * with it wherever it is moved, and is gone when the part is.
 *
 * @param json field name to the JSON text of its value, sorted by name
 * @param parts what stands in parts
 */
public record Extras(Map<String, String> json, List<Part> parts) {

  /**
   * Unknown fields of one part.
   *
   * @param names the fields that lead to it, places in lists left out: {@code triggers}
   * @param path the way to it as it was read: {@code triggers/0}
   * @param content what the part is known by, such as all it holds; by this it is found again
   * @param json field name to the JSON text of its value
   */
  public record Part(String names, String path, String content, Map<String, String> json) {
    public Part {
      json = Collections.unmodifiableMap(new TreeMap<>(json));
    }

    /** True when no list lies on the way: then whatever stands there is the same part. */
    public boolean isFixed() {
      return names.equals(path);
    }
  }

  /** Nothing unknown. */
  public static final Extras NONE = new Extras(Map.of());

  public Extras {
    json = json.isEmpty() ? Map.of() : Collections.unmodifiableMap(new TreeMap<>(json));
    parts = List.copyOf(parts);
  }

  /** Of the thing itself only. */
  public Extras(Map<String, String> json) {
    this(json, List.of());
  }

  /** The same without a field. */
  public Extras without(String name) {
    Map<String, String> rest = new TreeMap<>(json);
    rest.remove(name);
    return new Extras(rest, parts);
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof Extras e && e.json.equals(json);
  }

  @Override
  public int hashCode() {
    return json.hashCode();
  }
}
