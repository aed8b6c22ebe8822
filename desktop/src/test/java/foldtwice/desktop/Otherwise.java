package foldtwice.desktop;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.library.Library;
import foldtwice.library.file.LibraryJson;
import java.nio.charset.StandardCharsets;
import java.util.List;

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
