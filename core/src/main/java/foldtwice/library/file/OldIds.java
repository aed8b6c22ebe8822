package foldtwice.library.file;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.databind.node.TextNode;
import foldtwice.library.Ids;
import foldtwice.place.Place;
import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.Set;

/**
 * Mends what older versions could write: an application with the id {@code everywhere}, whose
 * contexts then were no places and whose bindings were everybody's. It gets another id, and so does
 * what says it is in one of its contexts or acts on it.
 */
final class OldIds {

  private static final String TAKEN = new Place.Everywhere().id();

  private OldIds() {}

  /** The document as it is, or mended. */
  static byte[] mended(byte[] document, Aside aside) throws FormatException {
    JsonNode tree = Json.parse(document);
    Set<String> ids = new HashSet<>();
    ObjectNode wrong = null;
    for (JsonNode a : tree.path("applications")) {
      ids.add(a.path("id").asText());
      wrong = a.path("id").asText().equals(TAKEN) && a instanceof ObjectNode o ? o : wrong;
    }
    if (wrong == null) {
      return document;
    }
    String id = Ids.free(TAKEN, ids::contains);
    aside.note(
        "/applications", "the id \"" + TAKEN + "\" means every application; it is now " + id);
    wrong.put("id", id);
    rename(tree, id);
    return tree.toString().getBytes(StandardCharsets.UTF_8);
  }

  private static void rename(JsonNode node, String id) {
    if (node instanceof ObjectNode object) {
      String place = object.path("place").asText();
      if (place.startsWith(TAKEN + "/")) {
        object.set("place", new TextNode(id + place.substring(TAKEN.length())));
      }
      if (object.path("application").asText().equals(TAKEN)) {
        object.put("application", id);
      }
    }
    node.forEach(inner -> rename(inner, id));
  }
}
