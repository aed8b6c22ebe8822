package foldtwice.library.file;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.binding.Binding;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.RandomLibraries;
import foldtwice.trigger.Trigger;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What a later version may write is kept wherever it stands. */
class UnknownFieldsTest {

  /** Fields that hold things by their ids: what is added there would be one more thing. */
  private static final Set<String> BY_ID = Set.of("faces", "sends", "arguments");

  private static byte[] demo() throws Exception {
    return Files.readAllBytes(
        Path.of(System.getProperty("project.root"), "demo", "fernhollow.json"));
  }

  private static byte[] bytes(JsonNode tree) {
    return tree.toString().getBytes(StandardCharsets.UTF_8);
  }

  private static JsonNode again(JsonNode tree) throws FormatException {
    String written = LibraryJson.write(LibraryJson.read(bytes(tree)));
    return Json.parse(written.getBytes(StandardCharsets.UTF_8));
  }

  /** Every object of a document but those that hold things by their ids. */
  private static void objects(JsonNode node, String field, List<ObjectNode> all) {
    if (node instanceof ObjectNode object && !BY_ID.contains(field)) {
      all.add(object);
    }
    node.properties().forEach(e -> objects(e.getValue(), e.getKey(), all));
    if (node.isArray()) {
      node.forEach(item -> objects(item, "", all));
    }
  }

  private static List<ObjectNode> objects(JsonNode tree) {
    List<ObjectNode> all = new ArrayList<>();
    objects(tree, "", all);
    return all;
  }

  @Test
  void oneAtEveryObjectOfTheDemoIsWrittenBackWhereItStood() throws Exception {
    JsonNode tree = again(Json.parse(demo()));
    List<ObjectNode> all = objects(tree);
    for (int i = 0; i < all.size(); i++) {
      all.get(i).putObject("laterField").put("number", i).putArray("list").add("x").add(1.50);
    }
    assertThat(all.size()).as("there is something to lose").isGreaterThan(1_500);
    assertThat(again(tree)).isEqualTo(Json.parse(bytes(tree)));
  }

  /** One alone too, in parts of every kind: of several alike it stays with its own. */
  @Test
  void oneAloneIsWrittenBackWhereItStood() throws Exception {
    for (long seed = 0; seed < 60; seed++) {
      Library library = RandomLibraries.of(seed);
      JsonNode plain = Json.parse(LibraryJson.write(library).getBytes(StandardCharsets.UTF_8));
      int many = objects(plain).size();
      for (int i = (int) seed % 7; i < many; i += 7) {
        JsonNode tree = plain.deepCopy();
        objects(tree).get(i).put("laterField", i);
        JsonNode object = objects(tree).get(i);
        assertThat(again(tree)).as("seed %d, %s", seed, object).isEqualTo(tree);
      }
    }
  }

  private static Library withLater(String binding, int trigger) throws Exception {
    JsonNode tree = Json.parse(demo());
    for (JsonNode b : tree.path("bindings")) {
      if (b.path("id").asText().equals(binding)) {
        ((ObjectNode) b.path("triggers").path(trigger)).put("laterField", "kept");
      }
    }
    return LibraryJson.read(bytes(tree));
  }

  private static String written(Library library, String binding) throws FormatException {
    JsonNode tree = Json.parse(LibraryJson.write(library).getBytes(StandardCharsets.UTF_8));
    for (JsonNode b : tree.path("bindings")) {
      if (b.path("id").asText().equals(binding)) {
        return b.path("triggers").toString();
      }
    }
    return "none";
  }

  @Test
  void itGoesWithItsPartAndIsGoneWithIt() throws Exception {
    Library library = withLater("b01", 0);
    Binding b = library.bindings().get("b01");
    Trigger other = foldtwice.trigger.Notation.read("Ctrl+Alt+Shift+F9");
    Library moved =
        new Edit.PutBinding(b.withTriggers(List.of(other, b.triggers().getFirst()))).on(library);
    assertThat(written(moved, "b01")).endsWith("\"laterField\":\"kept\"}]");
    Library gone = new Edit.PutBinding(b.withTriggers(List.of(other))).on(library);
    assertThat(written(gone, "b01")).doesNotContain("laterField").contains("F9");
    assertThat(new Edit.PutBinding(b.withTriggers(List.of(other))).inverse(library).on(gone))
        .isEqualTo(library);
  }

  /** A thing by itself, such as where a routine comes from, is the same one when it changes. */
  @Test
  void itStaysWithAPartThatIsChangedInPlace() throws Exception {
    JsonNode tree = Json.parse(demo());
    ObjectNode routine = (ObjectNode) tree.path("routines").path(0);
    ObjectNode origin = routine.putObject("origin");
    origin.put("from", "a.js").put("laterField", "kept");
    Library library = LibraryJson.read(bytes(tree));
    var first = library.routines().values().iterator().next();
    var renamed =
        first.with(first.head().with(new foldtwice.routine.Origin("b.js", "", "MIT", "", true)));
    String json = LibraryJson.write(new Edit.PutRoutine(renamed).on(library));
    assertThat(json).containsPattern("\"from\": \"b.js\".{0,60}\"laterField\": \"kept\"");
  }
}
