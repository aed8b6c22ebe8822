package foldtwice.handover;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.databind.node.TextNode;
import foldtwice.library.Library;
import foldtwice.library.file.FormatException;
import foldtwice.library.file.Json;
import foldtwice.library.file.LibraryJson;
import foldtwice.place.Place;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The parts of a library's document, by list and id, and what each needs of the others. */
final class Parts {

  /** What can go along, in the order in which it is told. */
  static final List<String> LISTS =
      List.of(
          "applications",
          "descriptions",
          "devices",
          "toolbars",
          "menus",
          "offerings",
          "routines",
          "bindings",
          "families",
          "procedures");

  /** Those that share their ids. */
  static final List<String> SURFACES = List.of("devices", "toolbars", "menus", "offerings");

  /** One part of a library. */
  record Part(String list, String id) {}

  private final ObjectNode document;
  private final Map<String, Map<String, ObjectNode>> lists = new LinkedHashMap<>();

  Parts(Library library) throws FormatException {
    document = (ObjectNode) Json.parse(LibraryJson.write(library).getBytes(StandardCharsets.UTF_8));
    for (String list : LISTS) {
      Map<String, ObjectNode> members = new LinkedHashMap<>();
      for (JsonNode one : document.path(list)) {
        members.put(id(list, one), (ObjectNode) one);
      }
      lists.put(list, members);
    }
  }

  private static String id(String list, JsonNode one) {
    return one.path(list.equals("descriptions") ? "of" : "id").asText();
  }

  Map<String, ObjectNode> of(String list) {
    return lists.get(list);
  }

  /** What has the id of a part, or of what shares its ids with it; the part itself first. */
  Optional<ObjectNode> rival(Part part) {
    return get(part)
        .or(
            () ->
                SURFACES.contains(part.list())
                    ? SURFACES.stream()
                        .map(l -> lists.get(l).get(part.id()))
                        .filter(java.util.Objects::nonNull)
                        .findFirst()
                    : Optional.empty());
  }

  Optional<ObjectNode> get(Part part) {
    return Optional.ofNullable(lists.get(part.list()).get(part.id()));
  }

  /** What a part cannot be without, those that are there. */
  Set<Part> needs(Part part) {
    Set<Part> needed = new LinkedHashSet<>();
    JsonNode node = get(part).orElseThrow();
    switch (part.list()) {
      case "bindings" -> {
        add(needed, "routines", node.path("routine").asText());
        place(needed, node);
        triggers(needed, node);
      }
      case "routines" -> {
        node.findValuesAsText("application").forEach(a -> add(needed, "applications", a));
        node.findValuesAsText("routine").forEach(r -> add(needed, "routines", r));
        named(node).forEach(r -> add(needed, "routines", r));
      }
      case "families" -> node.path("members").forEach(m -> add(needed, "bindings", m.asText()));
      case "procedures" -> {
        node.path("parts").findValuesAsText("binding").forEach(b -> add(needed, "bindings", b));
        node.path("parts")
            .findValuesAsText("application")
            .forEach(a -> add(needed, "applications", a));
      }
      case "applications" -> add(needed, "descriptions", part.id());
      case "descriptions" -> add(needed, "applications", part.id());
      case "toolbars" -> add(needed, "applications", node.path("application").asText());
      case "menus", "offerings" -> {
        place(needed, node);
        triggers(needed, node);
      }
      default -> {}
    }
    needed.remove(part);
    return needed;
  }

  private void add(Set<Part> needed, String list, String id) {
    if (lists.get(list).containsKey(id)) {
      needed.add(new Part(list, id));
    }
  }

  private void place(Set<Part> needed, JsonNode node) {
    Place.of(node.path("place").asText("everywhere"))
        .applicationId()
        .ifPresent(a -> add(needed, "applications", a));
  }

  private void triggers(Set<Part> needed, JsonNode node) {
    node.findValuesAsText("device").forEach(d -> add(needed, "devices", d));
    node.findValuesAsText("toolbar").forEach(t -> add(needed, "toolbars", t));
    for (String list : List.of("menus", "offerings")) {
      node.findValuesAsText("menu").forEach(m -> add(needed, list, m));
    }
  }

  /** The routines a script names in its source, in quotes. */
  private List<String> named(JsonNode routine) {
    String source = routine.path("source").asText("");
    return lists.get("routines").keySet().stream()
        .filter(id -> source.contains("\"" + id + "\"") || source.contains("'" + id + "'"))
        .toList();
  }

  /** The library of these parts alone: without stations, and without what was seen or checked. */
  Library only(Set<Part> parts) throws FormatException {
    ObjectNode out = document.deepCopy();
    Set<String> kept = Set.copyOf(LISTS);
    out.properties().stream()
        .filter(f -> f.getValue().isArray() && !kept.contains(f.getKey()))
        .map(Map.Entry::getKey)
        .toList()
        .forEach(out::remove);
    for (String list : LISTS) {
      ArrayNode members = Json.object().arrayNode();
      for (JsonNode one : document.path(list)) {
        if (parts.contains(new Part(list, id(list, one)))) {
          members.add(list.equals("families") ? members(one.deepCopy(), parts) : one.deepCopy());
        }
      }
      if (members.isEmpty()) {
        out.remove(list);
      } else {
        out.set(list, members);
      }
    }
    return read(out);
  }

  private static ObjectNode members(ObjectNode family, Set<Part> parts) {
    ArrayNode there = Json.object().arrayNode();
    family
        .path("members")
        .forEach(
            m -> {
              if (parts.contains(new Part("bindings", m.asText()))) {
                there.add(m);
              }
            });
    family.set("members", there);
    return family;
  }

  /** The library with parts under other ids, and whatever names them. */
  Library renamed(Map<Part, String> ids) throws FormatException {
    ObjectNode out = document.deepCopy();
    for (Map.Entry<Part, String> e : ids.entrySet()) {
      Part was = e.getKey();
      for (JsonNode one : out.path(was.list())) {
        if (id(was.list(), one).equals(was.id())) {
          ((ObjectNode) one).put("id", e.getValue());
        }
      }
      switch (was.list()) {
        case "routines" -> {
          out.path("bindings").forEach(b -> field(b, "routine", was.id(), e.getValue()));
          out.path("routines").forEach(r -> deep(r, "routine", was.id(), e.getValue()));
        }
        case "bindings" -> {
          out.path("families").forEach(f -> member(f, was.id(), e.getValue()));
          out.path("procedures")
              .forEach(p -> deep(p.path("parts"), "binding", was.id(), e.getValue()));
        }
        case "devices" -> triggers(out, "device", was.id(), e.getValue());
        case "toolbars" -> triggers(out, "toolbar", was.id(), e.getValue());
        case "menus", "offerings" -> triggers(out, "menu", was.id(), e.getValue());
        default -> {}
      }
    }
    return read(out);
  }

  private static void triggers(ObjectNode out, String field, String was, String is) {
    List.of("bindings", "menus", "offerings")
        .forEach(list -> out.path(list).forEach(b -> deep(b, field, was, is)));
  }

  private static void field(JsonNode node, String field, String was, String is) {
    if (node.path(field).asText().equals(was)) {
      ((ObjectNode) node).put(field, is);
    }
  }

  private static void deep(JsonNode node, String field, String was, String is) {
    node.findParents(field).forEach(p -> field(p, field, was, is));
  }

  private static void member(JsonNode family, String was, String is) {
    if (family.path("members") instanceof ArrayNode members) {
      for (int i = 0; i < members.size(); i++) {
        if (members.get(i).asText().equals(was)) {
          members.set(i, TextNode.valueOf(is));
        }
      }
    }
  }

  private static Library read(ObjectNode document) throws FormatException {
    return LibraryJson.read(Json.print(document).getBytes(StandardCharsets.UTF_8));
  }
}
