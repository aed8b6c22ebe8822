package foldtwice.merge;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.library.Library;
import foldtwice.library.file.FormatException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What is different between two libraries, by meaning: parts by their ids, fields by themselves;
 * order and formatting are no difference, nor are proofs, which are of one computer. A binding of
 * the same routine with the same arguments in the same place that has another id is one row, not
 * two. Costs a pass over both documents.
 *
 * @param rows in the order of the lists of a library
 */
public record Differing(List<Row> rows) {

  /** How a part differs. */
  public enum How {
    ADDED,
    REMOVED,
    CHANGED
  }

  /**
   * A part that differs.
   *
   * @param list the list of the library it is in; empty for the library itself
   * @param id its id in the first library, in the second where it is only there
   * @param now its id in the second library, where that is another
   * @param fields what of it changed; empty for what came or went
   */
  public record Row(String list, String id, String now, How how, List<Field> fields) {
    public Row {
      fields = List.copyOf(fields);
    }
  }

  /**
   * A field that differs.
   *
   * @param path from the part inwards: names of fields, ids of what is in lists
   * @param was empty for one that came
   * @param is empty for one that went
   */
  public record Field(List<String> path, Optional<JsonNode> was, Optional<JsonNode> is) {
    public Field {
      path = List.copyOf(path);
    }
  }

  /** Lists that say what happened on a computer, not what the library is. */
  private static final Set<String> LEFT_OUT = Set.of("proofs", "files");

  public Differing {
    rows = List.copyOf(rows);
  }

  /** From the first to the second. */
  public static Differing between(Library was, Library is) {
    try {
      return new Differing(rows(Merging.tree(was), Merging.tree(is)));
    } catch (FormatException e) {
      throw new IllegalStateException("what is written can be parsed", e);
    }
  }

  private static List<Row> rows(JsonNode was, JsonNode is) {
    List<Row> rows = new ArrayList<>();
    Set<String> names = Trees.names(was, is);
    names.removeAll(LEFT_OUT);
    List<Field> own = new ArrayList<>();
    for (String name : names) {
      JsonNode before = was.path(name);
      JsonNode after = is.path(name);
      Optional<List<String>> key =
          before.isArray() || after.isArray() ? Keyed.by(List.of(before, after)) : Optional.empty();
      if (key.isPresent()) {
        list(name, Keyed.members(before, key.get()), Keyed.members(after, key.get()), rows);
      } else {
        compare(was.get(name), is.get(name), List.of(name), own);
      }
    }
    if (!own.isEmpty()) {
      rows.addFirst(new Row("", "", "", How.CHANGED, own));
    }
    return rows;
  }

  private static void list(
      String name, Map<String, JsonNode> before, Map<String, JsonNode> after, List<Row> rows) {
    Map<String, String> renamed = name.equals("bindings") ? renamed(before, after) : Map.of();
    for (var e : before.entrySet()) {
      String now = renamed.getOrDefault(e.getKey(), e.getKey());
      JsonNode other = after.get(now);
      if (other == null) {
        rows.add(new Row(name, e.getKey(), e.getKey(), How.REMOVED, List.of()));
        continue;
      }
      List<Field> fields = new ArrayList<>();
      compare(e.getValue(), other, List.of(), fields);
      if (!fields.isEmpty()) {
        rows.add(new Row(name, e.getKey(), now, How.CHANGED, fields));
      }
    }
    Set<String> known = new HashSet<>(renamed.values());
    for (String id : after.keySet()) {
      if (!before.containsKey(id) && !known.contains(id)) {
        rows.add(new Row(name, id, id, How.ADDED, List.of()));
      }
    }
  }

  /**
   * By their ids before those now, bindings that mean the same although they are called otherwise.
   */
  private static Map<String, String> renamed(
      Map<String, JsonNode> before, Map<String, JsonNode> after) {
    Map<List<JsonNode>, String> came = new HashMap<>();
    after.forEach(
        (id, b) -> {
          if (!before.containsKey(id)) {
            came.putIfAbsent(meaning(b), id);
          }
        });
    Map<String, String> renamed = new LinkedHashMap<>();
    before.forEach(
        (id, b) -> {
          String now = after.containsKey(id) ? null : came.remove(meaning(b));
          if (now != null) {
            renamed.put(id, now);
          }
        });
    return renamed;
  }

  private static List<JsonNode> meaning(JsonNode binding) {
    return List.of(binding.path("routine"), binding.path("arguments"), binding.path("place"));
  }

  /** Adds the fields in which two differ; null stands for nothing there. */
  private static void compare(JsonNode was, JsonNode is, List<String> path, List<Field> fields) {
    if (was == null ? is == null : was.equals(is)) {
      return;
    }
    if (was instanceof ObjectNode before && is instanceof ObjectNode after) {
      for (String name : Trees.names(before, after)) {
        compare(before.get(name), after.get(name), Trees.under(path, name), fields);
      }
      return;
    }
    Optional<List<String>> key =
        was == null || is == null || !was.isArray() || !is.isArray()
            ? Optional.empty()
            : Keyed.by(List.of(was, is));
    if (key.isPresent() && !path.isEmpty()) {
      Map<String, JsonNode> before = Keyed.members(was, key.get());
      Map<String, JsonNode> after = Keyed.members(is, key.get());
      Set<String> ids = new LinkedHashSet<>(before.keySet());
      ids.addAll(after.keySet());
      ids.forEach(id -> compare(before.get(id), after.get(id), Trees.under(path, id), fields));
      return;
    }
    if (!Trees.isSameSet(was, is, path)) {
      fields.add(new Field(path, Optional.ofNullable(was), Optional.ofNullable(is)));
    }
  }
}
