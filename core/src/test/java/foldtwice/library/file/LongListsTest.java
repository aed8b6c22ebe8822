package foldtwice.library.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import foldtwice.binding.Binding;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.place.Place;
import foldtwice.trigger.Notation;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** Long lists are read on several cores: with the same outcome as one after the other. */
class LongListsTest {

  private static final int MANY = 5_000;
  private static Library library;

  @BeforeAll
  static void manyBindings() throws Exception {
    Path demo = Path.of(System.getProperty("project.root")).resolve("demo/fernhollow.json");
    Library small = LibraryJson.read(Files.readAllBytes(demo));
    List<Binding> like = List.copyOf(small.bindings().values());
    List<Place> places = small.places();
    List<Edit> edits = new ArrayList<>();
    for (int i = 0; i < MANY; i++) {
      Binding b = like.get(i % like.size());
      String keys = "Ctrl+Alt+" + (char) ('A' + i % 26) + " then " + (char) ('A' + i / 26 % 26);
      edits.add(
          new Edit.PutBinding(
              Binding.fresh(
                  "x" + i,
                  b.routine(),
                  places.get(i % places.size()),
                  List.of(Notation.read(keys)),
                  Map.copyOf(b.arguments()))));
    }
    library = new Edit.Together(edits).on(small);
  }

  private static byte[] bytes(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }

  @Test
  void whatIsWrittenIsReadAgainInItsOrder() throws Exception {
    Library read = LibraryJson.read(bytes(LibraryJson.write(library)));
    assertThat(read).isEqualTo(library);
    assertThat(List.copyOf(read.bindings().keySet()))
        .isEqualTo(List.copyOf(library.bindings().keySet()));
  }

  /** Of two faults the first in the document is told, whichever part came to its end first. */
  @Test
  void theFirstFaultIsTold() {
    String broken =
        LibraryJson.write(library)
            .replace("\"id\": \"x700\"", "\"id\": \" x700\"")
            .replace("\"id\": \"x4700\"", "\"id\": \" x4700\"");
    int at = List.copyOf(library.bindings().keySet()).indexOf("x700");
    assertThatThrownBy(() -> LibraryJson.read(bytes(broken)))
        .isInstanceOf(FormatException.class)
        .hasMessageContaining("/bindings/" + at + "/id")
        .hasMessageContaining("found \" x700\"");
  }

  @Test
  void twoOfOneIdAreRefusedWhereTheSecondStands() {
    String broken = LibraryJson.write(library).replace("\"id\": \"x4700\"", "\"id\": \"x12\"");
    int at = List.copyOf(library.bindings().keySet()).indexOf("x4700");
    assertThatThrownBy(() -> LibraryJson.read(bytes(broken)))
        .isInstanceOf(FormatException.class)
        .hasMessageContaining("/bindings/" + at)
        .hasMessageContaining("the id \"x12\" stands twice");
  }

  /** Unknown fields of parts are kept here too. */
  @Test
  void unknownFieldsAreKept() throws Exception {
    String known = LibraryJson.write(library);
    String with =
        known.replace("\"id\": \"x4700\",", "\"id\": \"x4700\", \"later\": [1, {\"a\": 2}],");
    assertThat(with).isNotEqualTo(known);
    String again = LibraryJson.write(LibraryJson.read(bytes(with)));
    assertThat(again).contains("\"later\": [1, {\"a\": 2}]");
  }

  /** Many edits made together are the same as one after the other. */
  @Test
  void editsTogetherAreTheSameAsInTurn() {
    List<Edit> edits = new ArrayList<>();
    List<String> ids = List.copyOf(library.bindings().keySet());
    for (int i = 0; i < 60; i++) {
      Binding b = library.bindings().get(ids.get(i * 71));
      edits.add(
          switch (i % 4) {
            case 0 -> new Edit.RemoveBinding(b.id());
            case 1 -> new Edit.PutBinding(b.withTriggers(List.of()));
            case 2 ->
                new Edit.PutBinding(
                    Binding.fresh("y" + i, b.routine(), b.place(), List.of(), Map.of()), i);
            default ->
                new Edit.PutBinding(
                    Binding.fresh("z" + i, b.routine(), b.place(), List.of(), Map.of()));
          });
    }
    Library inTurn = library;
    for (Edit e : edits) {
      inTurn = e.on(inTurn);
    }
    Library together = new Edit.Together(edits).on(library);
    assertThat(together).isEqualTo(inTurn);
    assertThat(List.copyOf(together.bindings().keySet()))
        .isEqualTo(List.copyOf(inTurn.bindings().keySet()));
  }
}
