package foldtwice.merge;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.place.Place;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What one side took out although something that is in the merged library needs it: routines that
 * are bound, applications and contexts in which something is bound, what triggers are on. It is put
 * back as the other side has it.
 */
final class Needed {

  private static final List<String> SURFACES = List.of("devices", "toolbars", "menus", "offerings");

  private final Trees trees;
  private final Parts base;
  private final Parts ours;
  private final Parts theirs;
  private final ObjectNode merged;
  private final Parts now;

  /** The parts of a library by list and id, each list looked at once. */
  private record Parts(JsonNode library, Map<String, Map<String, JsonNode>> lists) {
    Parts(JsonNode library) {
      this(library, new HashMap<>());
    }

    Map<String, JsonNode> of(String list) {
      return lists.computeIfAbsent(list, l -> Trees.byId(library, l));
    }
  }

  Needed(Trees trees, JsonNode base, JsonNode ours, JsonNode theirs, ObjectNode merged) {
    this.trees = trees;
    this.base = new Parts(base);
    this.ours = new Parts(ours);
    this.theirs = new Parts(theirs);
    this.merged = merged;
    this.now = new Parts(merged);
  }

  void restore() {
    Set<String> routines = new LinkedHashSet<>();
    Set<String> surfaces = new LinkedHashSet<>();
    for (JsonNode b : merged.path("bindings")) {
      routines.add(b.path("routine").asText());
      for (String list : List.of("triggers", "parked")) {
        b.path(list)
            .forEach(
                t ->
                    List.of("device", "toolbar", "menu")
                        .forEach(f -> surfaces.add(t.path(f).asText(""))));
      }
    }
    routines.forEach(id -> whole("routines", id));
    for (String list : SURFACES) {
      surfaces.forEach(id -> whole(list, id));
    }
    Set<Place> places = new LinkedHashSet<>();
    merged.path("routines").forEach(r -> applications(r, places));
    merged.path("descriptions").forEach(d -> applications(d, places));
    merged.findValues("place").forEach(p -> places.add(Place.of(p.asText())));
    places.forEach(this::place);
    for (JsonNode a : merged.path("applications")) { // what came back has commands of its own
      a.findValues("place").forEach(p -> place(Place.of(p.asText())));
    }
  }

  private static void applications(JsonNode of, Set<Place> places) {
    String application = of.path("application").asText("");
    if (!application.isEmpty()) {
      places.add(new Place.Whole(application));
    }
  }

  /** Puts a part back that is gone, if a side has it. */
  private void whole(String list, String id) {
    if (id.isEmpty() || now.of(list).containsKey(id)) {
      return;
    }
    JsonNode mine = ours.of(list).get(id);
    JsonNode yours = theirs.of(list).get(id);
    JsonNode kept = mine == null ? yours : mine;
    if (kept == null) {
      return; // nobody has it: it is missing on both sides, and told there
    }
    at(list).add(kept);
    now.of(list).put(id, kept);
    trees.note(
        List.of(list, id),
        base.of(list).get(id),
        mine,
        yours,
        false,
        mine == null ? Take.THEIRS : Take.OURS);
  }

  private ArrayNode at(String list) {
    return merged.get(list) instanceof ArrayNode there ? there : merged.putArray(list);
  }

  private void place(Place place) {
    Optional<String> application = place.applicationId();
    if (application.isEmpty()) {
      return;
    }
    whole("applications", application.get());
    JsonNode is = now.of("applications").get(application.get());
    if (is instanceof ObjectNode there) {
      contextsOf(place).forEach(c -> context(there, application.get(), c));
    }
  }

  private static List<String> contextsOf(Place place) {
    return switch (place) {
      case Place.Everywhere e -> List.of();
      case Place.Whole w -> List.of();
      case Place.Within(var id, String context) -> List.of(context);
      case Place.Over(var id, String focus, String pointer) -> List.of(focus, pointer);
    };
  }

  /** Puts a context back that is gone, in the ones it was in, if a side has it. */
  private void context(ObjectNode there, String application, String context) {
    if (find(there.path("contexts"), context).isPresent()) {
      return;
    }
    for (Parts side : List.of(ours, theirs)) {
      JsonNode its = side.of("applications").get(application);
      List<JsonNode> path = its == null ? List.of() : path(its.path("contexts"), context);
      if (!path.isEmpty()) {
        put(there, path);
        boolean mine = its.equals(ours.of("applications").get(application));
        JsonNode is = path.getLast();
        trees.note(
            List.of("applications", application, "contexts", context),
            is,
            mine ? is : null,
            mine ? null : is,
            false,
            mine ? Take.OURS : Take.THEIRS);
        return;
      }
    }
  }

  /**
   * The innermost of a path, in those around it that are there still, and the others put around.
   */
  private static void put(ObjectNode there, List<JsonNode> path) {
    ObjectNode in = there;
    String list = "contexts";
    for (JsonNode c : path) {
      Optional<ObjectNode> found = find(there.path("contexts"), c.path("id").asText());
      if (found.isEmpty()) {
        ObjectNode copy = c.deepCopy();
        copy.remove("inner");
        (in.get(list) instanceof ArrayNode all ? all : in.putArray(list)).add(copy);
        in = copy;
      } else {
        in = found.get();
      }
      list = "inner";
    }
  }

  private static Optional<ObjectNode> find(JsonNode contexts, String id) {
    List<JsonNode> path = path(contexts, id);
    return path.isEmpty() ? Optional.empty() : Optional.of((ObjectNode) path.getLast());
  }

  /** From the outermost context to the one of an id; empty when there is none. */
  private static List<JsonNode> path(JsonNode contexts, String id) {
    for (JsonNode c : contexts) {
      if (c.path("id").asText().equals(id)) {
        return List.of(c);
      }
      List<JsonNode> inner = path(c.path("inner"), id);
      if (!inner.isEmpty()) {
        List<JsonNode> path = new ArrayList<>(List.of(c));
        path.addAll(inner);
        return path;
      }
    }
    return List.of();
  }
}
