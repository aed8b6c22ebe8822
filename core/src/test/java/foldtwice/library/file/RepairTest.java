package foldtwice.library.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.Fixture;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.place.Place;
import foldtwice.trigger.Notation;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Random;
import java.util.function.Consumer;
import java.util.stream.LongStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Libraries that older versions, or hands, have written wrongly. */
class RepairTest {

  @TempDir Path folder;
  private Path file;
  private byte[] demo;

  @BeforeEach
  void aCopyOfTheDemo() throws IOException {
    file = folder.resolve("library.json");
    demo =
        Files.readAllBytes(Path.of(System.getProperty("project.root"), "demo", "fernhollow.json"));
    Files.write(file, demo);
  }

  private void spoil(Consumer<JsonNode> how) throws Exception {
    JsonNode tree = Json.parse(Files.readAllBytes(file));
    how.accept(tree);
    Files.writeString(file, tree.toString());
  }

  private LibraryStore repaired() throws Exception {
    return LibraryFile.repair(file, "somebody", Clock.systemUTC());
  }

  private LibraryStore open() throws Exception {
    return LibraryStore.open(file, "somebody", Clock.systemUTC());
  }

  private Path aside() throws IOException {
    try (var all = Files.walk(folder.resolve("library.json.set-aside"))) {
      return all.filter(p -> p.endsWith("parts.json")).findFirst().orElseThrow();
    }
  }

  @Test
  void whatIsWrongIsNamedAndSetAsideAndAllElseOpens() throws Exception {
    Library whole = LibraryJson.read(demo);
    spoil(
        tree -> {
          ((ObjectNode) tree.path("bindings").path(3)).put("place", "nowhere/at-all");
          ((ObjectNode) tree.path("applications").path(0).path("commands").path(2)).put("id", " ");
          ((ObjectNode) tree.path("stations").path(1)).put("layout", "klingon");
        });
    assertThatThrownBy(this::open).isInstanceOf(FormatException.class);
    assertThat(LibraryFile.broken(file))
        .extracting(LibraryFile.SetAside::where)
        .containsExactlyInAnyOrder("/bindings/3", "/applications/0/commands/2", "/stations/1");
    byte[] spoilt = Files.readAllBytes(file);

    try (LibraryStore store = repaired()) {
      assertThat(store.library().bindings()).hasSize(whole.bindings().size() - 1);
      assertThat(store.library().stations()).hasSize(whole.stations().size() - 1);
      assertThat(store.library().routines()).isEqualTo(whole.routines());
      assertThat(store.mayWrite()).isTrue();
    }
    assertThat(Files.readString(aside()))
        .contains("nowhere/at-all", "/stations/1", "klingon", "expected one of the layouts");
    assertThat(Files.readAllBytes(aside().resolveSibling("library.json")))
        .as("as it was")
        .isEqualTo(spoilt);
    assertThat(LibraryFile.broken(file)).isEmpty();
    open().close();
  }

  /** A macro without one of its steps does something else: it must not fire. */
  @Test
  void aRoutineOfWhichSomethingWasSetAsideIsOff() throws Exception {
    String id = LibraryJson.read(demo).routines().keySet().iterator().next();
    spoil(
        tree ->
            ((ObjectNode) tree.path("routines").path(0).path("steps").path(0)).put("do", "dance"));
    try (LibraryStore store = repaired()) {
      assertThat(store.library().routines().get(id).card().off()).isTrue();
    }
    assertThat(Files.readString(aside())).contains("/routines/0/steps/0", "dance");
  }

  /** An older version gave an application called Everywhere this id. */
  @Test
  void anApplicationThatWasEverywhereGetsAnIdOfItsOwn() throws Exception {
    spoil(
        tree -> {
          ObjectNode fresh = ((ArrayNode) tree.path("applications")).addObject();
          fresh.put("id", "everywhere").put("name", "Everywhere").put("version", "");
          fresh.putArray("contexts").addObject().put("id", "page").put("name", "page");
          ((ObjectNode) tree.path("bindings").path(0)).put("place", "everywhere/page");
        });
    assertThatThrownBy(this::open).hasMessageContaining("other than everywhere");
    try (LibraryStore store = repaired()) {
      assertThat(store.library().applications()).containsKey("everywhere-2");
      assertThat(store.library().bindings().values().iterator().next().place())
          .isEqualTo(new Place.Within("everywhere-2", "page"));
    }
  }

  @Test
  void oneLineOfTheJournalThatCannotBeReadIsSetAsideAndTheOthersHold() throws Exception {
    Files.writeString(file, LibraryJson.write(Fixture.library("mine box Alt+L")));
    byte[] journal;
    byte[] document = Files.readAllBytes(file);
    try (LibraryStore store = open()) {
      for (String keys : List.of("F2", "F3")) {
        store
            .make(
                new Edit.PutBinding(
                    store
                        .library()
                        .bindings()
                        .get("mine box Alt+L")
                        .withTriggers(List.of(Notation.read(keys)))))
            .get();
      }
      store.undo().get();
      store.make(new Edit.RemoveStation("none")).get();
      journal = Files.readAllBytes(Journal.of(file));
    }
    Files.write(file, document);
    String text = new String(journal, StandardCharsets.UTF_8).replace("F3", "F4");
    Files.writeString(Journal.of(file), text);
    assertThatThrownBy(this::open).hasMessageContaining("library.json.journal, line 3");
    assertThat(LibraryFile.broken(file))
        .singleElement()
        .satisfies(a -> assertThat(a.where()).endsWith("library.json.journal, line 3"));
    try (LibraryStore store = repaired()) {
      assertThat(LibraryJson.write(store.library()))
          .as("what was undone was the line that cannot be read")
          .contains("\"F2\"");
    }
    assertThat(aside().resolveSibling("library.json.journal")).hasContent(text);
  }

  @Test
  void whatIsNoLibraryIsNotRepaired() throws Exception {
    Files.writeString(file, "{\"format\": \"something else\"}");
    assertThatThrownBy(this::repaired).hasMessageContaining("no library of Fold Twice");
    assertThat(folder.toFile().list()).contains("library.json").hasSizeLessThanOrEqualTo(2);
    Files.write(file, demo);
    try (LibraryStore store = open()) {
      assertThatThrownBy(this::repaired).hasMessageContaining("is open, by somebody");
      assertThat(store.mayWrite()).isTrue();
    }
  }

  static LongStream seeds() {
    return foldtwice.Seeds.both();
  }

  /** Any field of anything made something else: it opens, or what is set aside makes it open. */
  @ParameterizedTest
  @MethodSource("seeds")
  void whateverIsWrongWithAPartTheRestOpens(long seed) throws Exception {
    Random random = new Random(seed);
    int opened = 0;
    for (int i = 0; i < 15; i++) {
      Files.write(file, demo);
      spoil(tree -> spoilSomething(tree, random));
      List<LibraryFile.SetAside> broken = LibraryFile.broken(file);
      try (LibraryStore store = repaired()) {
        assertThat(store.library().applications().size()).isGreaterThan(3);
        opened += broken.isEmpty() ? 0 : 1;
      }
      open().close();
    }
    assertThat(opened).as("something had to be set aside now and then").isGreaterThan(1);
  }

  private static void spoilSomething(JsonNode tree, Random random) {
    List<String> lists =
        List.of("applications", "stations", "devices", "routines", "bindings", "checks");
    JsonNode list = tree.path(lists.get(random.nextInt(lists.size())));
    JsonNode at = list.path(random.nextInt(list.size()));
    for (int depth = random.nextInt(4); depth > 0; depth--) {
      List<JsonNode> inner = new java.util.ArrayList<>();
      at.forEach(n -> inner.add(n.isArray() && !n.isEmpty() ? n.path(0) : n));
      inner.removeIf(n -> !n.isObject());
      at = inner.isEmpty() ? at : inner.get(random.nextInt(inner.size()));
    }
    List<String> fields = new java.util.ArrayList<>();
    at.fieldNames().forEachRemaining(fields::add);
    if (!fields.isEmpty()) {
      JsonNode[] others = {
        Json.object().put("x", 1), Json.MAPPER.getNodeFactory().numberNode(-7),
        Json.MAPPER.getNodeFactory().textNode(" ? "), Json.MAPPER.createArrayNode().add("z")
      };
      ((ObjectNode) at)
          .set(fields.get(random.nextInt(fields.size())), others[random.nextInt(others.length)]);
    }
  }
}
