package foldtwice.desktop;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.library.Library;
import foldtwice.library.file.LibraryJson;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Predicate;

/** Everything in a library said otherwise. */
final class Otherwise {

  private static final ObjectMapper JSON = new ObjectMapper();

  private static final List<String> NAMED =
      List.of(
          "applications",
          "routines",
          "stations",
          "devices",
          "toolbars",
          "menus",
          "offerings",
          "families",
          "checks");

  /** What says which thing it is, or speaks of others that have to be there. */
  private static final Set<String> THEIR_OWN =
      Set.of(
          "id",
          "name",
          "applications/commands",
          "applications/contexts",
          "applications/contexts/inner",
          "applications/commands/place",
          "applications/ways",
          "devices/keys",
          "devices/pages",
          "devices/keys/x",
          "devices/keys/y",
          "devices/pages/faces",
          "devices/pages/sends",
          "routines/action",
          "routines/addOn",
          "routines/kind",
          "routines/source",
          "routines/text",
          "bindings/routine",
          "families/members");

  private Otherwise() {}

  /**
   * The same library with another name for everything that has one; all its routines ask, what is
   * used is used more often, and what stands on keys and what is told of routines is something
   * else.
   */
  static Library of(Library library) throws Exception {
    JsonNode all = JSON.readTree(LibraryJson.write(library));
    call(all);
    for (String list : NAMED) {
      all.path(list).forEach(Otherwise::call);
    }
    all.path("routines").forEach(r -> tell((ObjectNode) r));
    all.path("bindings").forEach(Otherwise::use);
    for (JsonNode application : all.path("applications")) {
      for (JsonNode command : application.path("commands")) {
        call(command);
        use(command);
        put(command, "group", "Other things");
      }
    }
    for (JsonNode toolbar : all.path("toolbars")) {
      toolbar.path("faces").forEach(f -> put(f, "label", "Face"));
    }
    return LibraryJson.read(JSON.writeValueAsString(all).getBytes(StandardCharsets.UTF_8));
  }

  /**
   * The same library in which things of some kinds have what the next of their kind has; which
   * kinds is drawn, and told.
   */
  static Library handedOn(Library library, Random random) throws Exception {
    JsonNode all = JSON.readTree(LibraryJson.write(library));
    SortedMap<String, List<ObjectNode>> kinds = new TreeMap<>(Comparator.reverseOrder());
    gather("", all, kinds);
    Set<String> drawn = new TreeSet<>();
    kinds.forEach( // what is within others before those
        (kind, things) -> {
          if (things.size() > 1 && random.nextBoolean()) {
            drawn.add(kind);
            handOn(kind, things);
          }
        });
    System.out.println("handed on: " + drawn);
    return LibraryJson.read(JSON.writeValueAsString(all).getBytes(StandardCharsets.UTF_8));
  }

  private static void gather(String kind, JsonNode node, Map<String, List<ObjectNode>> kinds) {
    if (node instanceof ObjectNode thing) {
      if (!kind.isEmpty()) {
        kinds.computeIfAbsent(kind, k -> new ArrayList<>()).add(thing);
      }
      thing.properties().forEach(e -> gather(path(kind, e.getKey()), e.getValue(), kinds));
    } else if (node.isArray()) {
      node.forEach(n -> gather(kind, n, kinds));
    }
  }

  private static String path(String kind, String field) {
    return kind.isEmpty() ? field : kind + "/" + field;
  }

  private static void handOn(String kind, List<ObjectNode> things) {
    List<ObjectNode> were = things.stream().map(ObjectNode::deepCopy).toList();
    Predicate<String> own = f -> THEIR_OWN.contains(f) || THEIR_OWN.contains(path(kind, f));
    for (int i = 0; i < things.size(); i++) {
      ObjectNode thing = things.get(i);
      thing.retain(were.get(i).propertyStream().map(Map.Entry::getKey).filter(own).toList());
      were.get((i + 1) % were.size())
          .properties()
          .forEach(
              e -> {
                if (!own.test(e.getKey())) {
                  thing.set(e.getKey(), e.getValue());
                }
              });
    }
  }

  /** What is said otherwise of other libraries, and of which this one has nothing. */
  static List<String> lacks(Library library) throws Exception {
    JsonNode all = JSON.readTree(LibraryJson.write(library));
    return NAMED.stream().filter(list -> all.path(list).isEmpty()).toList();
  }

  private static void call(JsonNode thing) {
    if (thing.path("name").isTextual()) {
      put(thing, "name", thing.get("name").asText() + " as it is now");
    }
    for (String inner : List.of("contexts", "inner")) {
      thing.path(inner).forEach(Otherwise::call);
    }
  }

  private static void tell(ObjectNode routine) {
    routine.put("asking", "always");
    routine.put("note", "What is told now");
    routine.put("colour", "clay");
  }

  private static void use(JsonNode thing) {
    ((ObjectNode) thing).put("usesPerWeek", 3 * thing.path("usesPerWeek").asDouble());
  }

  private static void put(JsonNode thing, String field, String text) {
    ((ObjectNode) thing).put(field, text);
  }
}
