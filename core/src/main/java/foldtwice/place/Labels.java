package foldtwice.place;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;

/**
 * The labels of a program in one of its languages: of menus, dialogs, fields and buttons.
 *
 * @param language an IETF BCP 47 tag; empty for the one in which the program is described
 * @param words what each label is there, by what it is where the program is described; one that is
 *     not listed, or stands for nothing, is the same
 */
public record Labels(String language, Map<String, String> words) {

  private static final Pattern TAG = Pattern.compile("[A-Za-z]{2,8}(-[A-Za-z0-9]{1,8})*");

  /** As the program is described. */
  public static final Labels AS_DESCRIBED = new Labels("", Map.of());

  public Labels {
    Map<String, String> said = new LinkedHashMap<>(words);
    said.entrySet().removeIf(e -> e.getKey().isBlank() || e.getValue().isBlank());
    words = Collections.unmodifiableMap(said);
  }

  /** True for a text that can be a language tag, by its form (RFC 5646). */
  public static boolean isTag(String text) {
    return TAG.matcher(text).matches();
  }

  /** What a label is there. */
  public String of(String label) {
    return words.getOrDefault(label, label);
  }

  /** What the labels of a menu path are there. */
  public List<String> of(List<String> labels) {
    return words.isEmpty() ? labels : labels.stream().map(this::of).toList();
  }

  /** These labels by what they are there: back to how the program is described. */
  public Labels back() {
    Map<String, String> back = new LinkedHashMap<>();
    words.forEach((described, there) -> back.putIfAbsent(there, described));
    return new Labels("", back);
  }
}
