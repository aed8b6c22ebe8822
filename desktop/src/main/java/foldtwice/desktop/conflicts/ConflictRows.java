package foldtwice.desktop.conflicts;

import foldtwice.conflict.Conflict;
import foldtwice.desktop.conflicts.ConflictList.Row;
import foldtwice.desktop.session.Snapshot;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;

/**
 * Conflicts as the rows of a list, in groups with a heading each; made on any thread.
 *
 * @param counts how many are in each group, by its heading: beside the rows, so that a heading
 *     stays the same when another one comes into its group
 */
record ConflictRows(List<Row> rows, Map<Row.Heading, Integer> counts) {

  static final ConflictRows NONE = new ConflictRows(List.of(), Map.of());

  /**
   * The rows of those that a filter leaves. Costs a pass over the conflicts, and the words of each
   * when something is filtered.
   */
  static ConflictRows of(Snapshot now, List<Conflict> conflicts, Grouping grouping, String filter) {
    Function<Conflict, String> group = grouping.of(now);
    List<String> typed = typed(filter);
    Map<String, List<Row>> groups = new LinkedHashMap<>();
    for (Conflict c : conflicts) {
      if (typed.isEmpty() || matches(c, typed, now.words())) {
        groups.computeIfAbsent(group.apply(c), g -> new ArrayList<>()).add(new Row.One(c));
      }
    }
    List<Row> rows = new ArrayList<>(conflicts.size() + groups.size());
    Map<Row.Heading, Integer> counts = new HashMap<>();
    groups.forEach(
        (name, some) -> {
          Row.Heading heading = new Row.Heading(name);
          rows.add(heading);
          rows.addAll(some);
          counts.put(heading, some.size());
        });
    return new ConflictRows(rows, counts);
  }

  private static List<String> typed(String filter) {
    return filter.isBlank()
        ? List.of()
        : List.of(filter.toLowerCase(Locale.ROOT).strip().split("\\s+"));
  }

  private static boolean matches(Conflict c, List<String> typed, Words words) {
    String all =
        (Words.kind(c.kind()) + " " + words.sentence(c) + " " + Words.weight(c.weight()))
            .toLowerCase(Locale.ROOT);
    return typed.stream().allMatch(all::contains);
  }
}
