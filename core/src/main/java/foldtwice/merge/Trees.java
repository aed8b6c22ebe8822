package foldtwice.merge;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.databind.node.TextNode;
import foldtwice.library.Ids;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/** Documents that came from one, made one: see {@link Merging} for what goes with what. */
final class Trees {

  /** Lists of texts in which only what is in them counts; menu paths and strokes are none. */
  private static final Set<String> SETS =
      Set.of("triggers", "parked", "opens", "rules", "reserved", "devices", "members", "tags");

  /** Fields that say what the others of the same object are. */
  private static final Set<String> KINDS = Set.of("kind", "do", "rule");

  private final Function<List<String>, Take> taking;
  private final Set<List<String>> whole;
  private final List<Contradiction> contradictions = new ArrayList<>();

  /**
   * @param taking what is taken at a path where both sides changed the same
   * @param whole paths of parts that go as they are, not field by field
   */
  Trees(Function<List<String>, Take> taking, Set<List<String>> whole) {
    this.taking = taking;
    this.whole = whole;
  }

  List<Contradiction> contradictions() {
    return contradictions;
  }

  /** One of three; null stands for nothing there. */
  JsonNode merged(JsonNode base, JsonNode ours, JsonNode theirs, List<String> path) {
    if (same(ours, theirs) || same(base, theirs)) {
      return ours;
    }
    if (same(base, ours)) {
      return theirs;
    }
    if (ours == null || theirs == null) {
      return removedOrChanged(base, ours, theirs, path);
    }
    if (whole.contains(path)) {
      return either(base, ours, theirs, path);
    }
    if (ours.isObject() && theirs.isObject() && (base == null || base.isObject())) {
      return object(base, ours, theirs, path);
    }
    if (ours.isArray() && theirs.isArray() && (base == null || base.isArray())) {
      return list(base == null ? JsonNodeFactory.instance.arrayNode() : base, ours, theirs, path);
    }
    if (path.getLast().equals("source") && ours.isTextual() && theirs.isTextual()) {
      return lines(base, ours, theirs, path);
    }
    return either(base, ours, theirs, path);
  }

  private static boolean same(JsonNode a, JsonNode b) {
    return a == null ? b == null : a.equals(b);
  }

  private JsonNode either(JsonNode base, JsonNode ours, JsonNode theirs, List<String> path) {
    Take take = taking.apply(path) == Take.THEIRS ? Take.THEIRS : Take.OURS;
    note(path, base, ours, theirs, false, take);
    return take == Take.THEIRS ? theirs : ours;
  }

  /** What one side took out and the other changed stays, unless somebody decides otherwise. */
  private JsonNode removedOrChanged(
      JsonNode base, JsonNode ours, JsonNode theirs, List<String> path) {
    Take wished = taking.apply(path);
    Take kept = ours == null ? Take.THEIRS : Take.OURS;
    Take take = wished == Take.BOTH ? kept : wished;
    note(path, base, ours, theirs, false, take);
    return take == Take.THEIRS ? theirs : ours;
  }

  void note(
      List<String> path, JsonNode base, JsonNode ours, JsonNode theirs, boolean both, Take taken) {
    contradictions.add(
        new Contradiction(
            path,
            Optional.ofNullable(base),
            Optional.ofNullable(ours),
            Optional.ofNullable(theirs),
            both,
            taken));
  }

  /** The fields of both, each once. */
  static Set<String> names(JsonNode one, JsonNode other) {
    Set<String> names = new LinkedHashSet<>();
    one.fieldNames().forEachRemaining(names::add);
    other.fieldNames().forEachRemaining(names::add);
    return names;
  }

  static List<String> under(List<String> path, String name) {
    List<String> longer = new ArrayList<>(path);
    longer.add(name);
    return longer;
  }

  private JsonNode object(JsonNode base, JsonNode ours, JsonNode theirs, List<String> path) {
    if (KINDS.stream().anyMatch(k -> !same(ours.get(k), theirs.get(k)))) {
      return either(base, ours, theirs, path); // the other fields of one mean nothing to the other
    }
    ObjectNode out = JsonNodeFactory.instance.objectNode();
    for (String name : names(ours, theirs)) {
      JsonNode was = base == null ? null : base.get(name);
      JsonNode one = merged(was, ours.get(name), theirs.get(name), under(path, name));
      if (one != null) {
        out.set(name, one);
      }
    }
    return out;
  }

  private JsonNode list(JsonNode base, JsonNode ours, JsonNode theirs, List<String> path) {
    Optional<List<String>> key = Keyed.by(List.of(base, ours, theirs));
    if (key.isPresent() && !(base.isEmpty() && ours.isEmpty() && theirs.isEmpty())) {
      return keyed(
          Keyed.members(base, key.get()),
          Keyed.members(ours, key.get()),
          Keyed.members(theirs, key.get()),
          path);
    }
    if (SETS.contains(path.getLast())) {
      return set(base, ours, theirs, path);
    }
    return isSteps(ours) && isSteps(theirs)
        ? array(
            Sequences.merged(all(base), all(ours), all(theirs), (b, o, t) -> steps(b, o, t, path)))
        : either(base, ours, theirs, path);
  }

  private static boolean isSteps(JsonNode list) {
    for (JsonNode one : list) {
      if (!one.has("do")) {
        return false;
      }
    }
    return true;
  }

  private static List<JsonNode> all(JsonNode list) {
    List<JsonNode> all = new ArrayList<>(list.size());
    list.forEach(all::add);
    return all;
  }

  private static ArrayNode array(Iterable<JsonNode> all) {
    ArrayNode out = JsonNodeFactory.instance.arrayNode();
    all.forEach(out::add);
    return out;
  }

  private JsonNode keyed(
      Map<String, JsonNode> base,
      Map<String, JsonNode> ours,
      Map<String, JsonNode> theirs,
      List<String> path) {
    ArrayNode out = JsonNodeFactory.instance.arrayNode();
    for (String id :
        Order.of(
            List.copyOf(base.keySet()), List.copyOf(ours.keySet()), List.copyOf(theirs.keySet()))) {
      boolean cameTwice =
          path.size() == 1
              && !base.containsKey(id)
              && ours.containsKey(id)
              && theirs.containsKey(id)
              && !ours.get(id).equals(theirs.get(id));
      if (cameTwice) {
        twoOfOneId(ours, theirs, under(path, id)).forEach(out::add);
        continue;
      }
      JsonNode one = merged(base.get(id), ours.get(id), theirs.get(id), under(path, id));
      if (one != null) {
        out.add(one);
      }
    }
    return out;
  }

  /**
   * Two that came under one id are two things, not one that both changed. Of bindings both can be
   * had, the second under an id of its own.
   */
  private List<JsonNode> twoOfOneId(
      Map<String, JsonNode> ours, Map<String, JsonNode> theirs, List<String> path) {
    String id = path.getLast();
    if (!path.getFirst().equals("bindings")) {
      return List.of(either(null, ours.get(id), theirs.get(id), path));
    }
    Take take = taking.apply(path);
    note(path, null, ours.get(id), theirs.get(id), true, take);
    return switch (take) {
      case OURS -> List.of(ours.get(id));
      case THEIRS -> List.of(theirs.get(id));
      case BOTH -> {
        ObjectNode second = theirs.get(id).deepCopy();
        boolean there = false;
        for (JsonNode b : ours.values()) {
          there |= second.put("id", b.path("id").asText()).equals(b);
        }
        second.put("id", Ids.free(id, i -> ours.containsKey(i) || theirs.containsKey(i)));
        yield there ? List.of(ours.get(id)) : List.of(ours.get(id), second);
      }
    };
  }

  /** What either added is in, what either took out is not. */
  private JsonNode set(JsonNode base, JsonNode ours, JsonNode theirs, List<String> path) {
    Set<JsonNode> was = new LinkedHashSet<>(all(base));
    Set<JsonNode> one = new LinkedHashSet<>(all(ours));
    Set<JsonNode> other = new LinkedHashSet<>(all(theirs));
    if (one.equals(other)) {
      return ours; // only their order is another
    }
    List<JsonNode> both =
        Order.of(List.copyOf(was), List.copyOf(one), List.copyOf(other)).stream()
            .filter(n -> !was.contains(n) || (one.contains(n) && other.contains(n)))
            .toList();
    boolean replacedTwice =
        was.stream().anyMatch(n -> !one.contains(n) && !other.contains(n))
            && one.stream().anyMatch(n -> !was.contains(n) && !other.contains(n))
            && other.stream().anyMatch(n -> !was.contains(n) && !one.contains(n));
    if (!replacedTwice) {
      return array(both);
    }
    Take take = taking.apply(path);
    note(path, base, ours, theirs, true, take);
    return switch (take) {
      case OURS -> ours;
      case THEIRS -> theirs;
      case BOTH -> array(both);
    };
  }

  /**
   * The same step changed by both goes field by field; what both put in comes one after the other.
   */
  private List<JsonNode> steps(
      List<JsonNode> base, List<JsonNode> ours, List<JsonNode> theirs, List<String> path) {
    if (base.size() == 1
        && ours.size() == 1
        && theirs.size() == 1
        && isOneStep(base, ours, theirs)) {
      return List.of(merged(base.getFirst(), ours.getFirst(), theirs.getFirst(), path));
    }
    boolean both = base.isEmpty();
    Take wished = taking.apply(path);
    Take take = wished == Take.BOTH && !both ? Take.OURS : wished;
    note(path, array(base), array(ours), array(theirs), both, take);
    return switch (take) {
      case OURS -> ours;
      case THEIRS -> theirs;
      case BOTH -> {
        List<JsonNode> all = new ArrayList<>(ours);
        all.addAll(theirs);
        yield all;
      }
    };
  }

  private static boolean isOneStep(
      List<JsonNode> base, List<JsonNode> ours, List<JsonNode> theirs) {
    JsonNode what = base.getFirst().get("do");
    return what != null
        && what.equals(ours.getFirst().get("do"))
        && what.equals(theirs.getFirst().get("do"));
  }

  /** A source text, line by line. */
  private JsonNode lines(JsonNode base, JsonNode ours, JsonNode theirs, List<String> path) {
    boolean[] twice = {false};
    List<String> lines =
        Sequences.merged(
            linesOf(base),
            linesOf(ours),
            linesOf(theirs),
            (b, o, t) -> {
              twice[0] = true;
              return o;
            });
    return twice[0] ? either(base, ours, theirs, path) : new TextNode(String.join("\n", lines));
  }

  private static List<String> linesOf(JsonNode text) {
    return text == null ? List.of() : Arrays.asList(text.asText().split("\n", -1));
  }

  /** True when both are lists in which only what is in them counts, and that is the same. */
  static boolean isSameSet(JsonNode one, JsonNode other, List<String> path) {
    return one != null
        && other != null
        && one.isArray()
        && other.isArray()
        && !path.isEmpty()
        && SETS.contains(path.getLast())
        && Set.copyOf(all(one)).equals(Set.copyOf(all(other)));
  }

  /** By their ids, the members of a list of the library. */
  static Map<String, JsonNode> byId(JsonNode library, String list) {
    JsonNode all = library.get(list);
    return all == null ? new LinkedHashMap<>() : Keyed.members(all, List.of("id"));
  }
}
