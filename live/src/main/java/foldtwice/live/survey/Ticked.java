package foldtwice.live.survey;

import foldtwice.describe.Description;
import foldtwice.describe.Does;
import foldtwice.describe.Span;
import foldtwice.library.Ids;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Ticked items as settings, and what choosing each item does to them. */
final class Ticked {

  /** By name. */
  private final Map<String, Description.Setting> found = new LinkedHashMap<>();

  private final Map<List<String>, List<Does>> does = new HashMap<>();

  Ticked(List<Survey.Item> items) {
    Set<String> names = new HashSet<>();
    for (int i = 0; i < items.size(); i++) {
      Survey.Item item = items.get(i);
      if (item.ticking() == Survey.Ticking.TURNS) {
        turns(item, free(item.path(), names));
      } else if (item.ticking() == Survey.Ticking.ONE_OF) {
        int end = i;
        while (end < items.size() && isBeside(item, items.get(end))) {
          end++;
        }
        List<String> parent = parent(item);
        oneOf(items.subList(i, end), free(parent.isEmpty() ? item.path() : parent, names));
        i = end - 1;
      }
    }
  }

  private void turns(Survey.Item item, String name) {
    found.put(name, setting(name, List.of("off", "on"), item.on() ? "on" : "off"));
    does.put(Differences.plain(item.path()), List.of(new Does.Turns(name)));
  }

  private void oneOf(List<Survey.Item> group, String name) {
    List<String> options = group.stream().map(g -> g.path().getLast()).distinct().toList();
    Optional<String> now =
        group.stream().filter(Survey.Item::on).map(g -> g.path().getLast()).findFirst();
    found.put(name, setting(name, options, now.orElse(options.getFirst())));
    for (Survey.Item g : group) {
      does.put(
          Differences.plain(g.path()),
          List.of(new Does.Sets(name, new Does.Given.Is(g.path().getLast()))));
    }
  }

  /** What choosing a path does. */
  List<Does> does(List<String> path) {
    return does.getOrDefault(Differences.plain(path), List.of());
  }

  /** With what a library says of settings. */
  List<Description.Setting> over(List<Description.Setting> said, Differences differences) {
    return differences.merge(
        said,
        List.copyOf(found.values()),
        Description.Setting::name,
        (old, now) ->
            Set.copyOf(old.options()).equals(Set.copyOf(now.options()))
                ? old
                : new Description.Setting(
                    old.name(), now.options(), now.start(), old.fromRestart(), old.span()),
        s -> String.join(", ", s.options()),
        Proposal.What.SETTING,
        false);
  }

  private static List<String> parent(Survey.Item item) {
    return item.path().subList(0, item.path().size() - 1);
  }

  private static boolean isBeside(Survey.Item one, Survey.Item other) {
    return other.ticking() == Survey.Ticking.ONE_OF && parent(other).equals(parent(one));
  }

  private static Description.Setting setting(String name, List<String> options, String start) {
    return new Description.Setting(name, options, start, false, Span.ALWAYS);
  }

  private static String free(List<String> path, Set<String> names) {
    String name = path.getLast();
    if (!names.add(name)) {
      name = Ids.freeName(String.join(" ", path), names::contains);
      names.add(name);
    }
    return name;
  }
}
