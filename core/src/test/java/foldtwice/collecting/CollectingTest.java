package foldtwice.collecting;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.Fixture;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.place.AddOn;
import foldtwice.routine.Routine;
import foldtwice.trigger.Notation;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class CollectingTest {

  /** What was seen to be written and never read again. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          a.sql   | SELECT * FROM ITEM WHERE ID = ‹ loan ›
          b.json  | {"format": "fold-twice-routines", "routines": [{"kind": "macro", "id": "a", "name": "A", "application": "kiln", "steps": [], "triggers": [{"keys": ["CTRL+m"]}]}]}
          c.js    | // application: kiln\\n// keys: Ctrl+K\\nprogram.finish();
          """)
  void whatIsTakenUpIsReadAgainEvenWithoutItsApplication(String name, String text)
      throws Exception {
    for (Library into : List.of(library, Library.empty("mine"))) {
      Path file = folder.resolve("library.json");
      Files.writeString(file, foldtwice.library.file.LibraryJson.write(into));
      if (!(new Collecting(into).text(name, text.replace("\\n", "\n"))
          instanceof Found.Routines(var from, var kind, List<Found.Item> items))) {
        assertThat(name).as("only what says for itself").isEqualTo("a.sql");
        continue;
      }
      Library after;
      try (var store =
          foldtwice.library.file.LibraryStore.open(file, "w", java.time.Clock.systemUTC())) {
        store.make(new Collecting(store.library()).take(items)).get();
        after = store.library();
      }
      assertThat(foldtwice.library.file.LibraryFile.look(file)).isEqualTo(after);
      Routine taken = after.routines().values().stream().toList().getLast();
      assertThat(after.applications()).containsKey(taken.application());
      assertThat(after.bindings().values().stream().filter(b -> b.routine().equals(taken.id())))
          .hasSize(name.equals("a.sql") ? 0 : 1);
    }
  }

  @TempDir Path folder;

  private final Library library = Fixture.library("mine box Alt+L");
  private final Collecting collecting = new Collecting(library);

  private static final String SCRIPT =
      """
      // name: Lay a stair
      // application: app
      // author: R. Tarn
      // SPDX-License-Identifier: GPL-3.0-or-later
      // version: 2.1
      // needs: Label fitter 1.2, Lister
      // keys: Ctrl+Shift+M
      program.select('all');
      """;

  private static final String ADD_ON =
      """
      {"format": "fold-twice-add-on", "name": "Label fitter", "version": "1.2", "application": "app",
       "author": "Bracken Works", "licence": "MIT", "needsVersion": "3.2",
       "actions": [
        {"id": "fit", "name": "Fit", "contexts": ["box"],
         "parameters": [{"name": "margin", "kind": "distance", "least": "0 mm", "most": "9 mm",
                         "step": "1 mm", "default": "2 mm"}]},
        {"id": "spread", "name": "Spread"}]}
      """;

  private static final String MACROS =
      """
      {"format": "fold-twice-routines", "routines": [
        {"kind": "macro", "id": "a", "name": "A", "application": "app",
         "steps": [{"do": "press", "button": "Go"}], "triggers": [{"keys": ["CTRL+m"]}]},
        {"kind": "macro", "id": "a2", "name": "B", "application": "app",
         "steps": [{"do": "press", "button": "Stop"}]}]}
      """;

  private Found.Routines routines(String name, String text) {
    Found found = collecting.text(name, text);
    assertThat(found).as(found.toString()).isInstanceOf(Found.Routines.class);
    return (Found.Routines) found;
  }

  @Test
  void aScriptSaysWhoItIsFromAndWhatItNeeds() {
    Found.Routines found = routines("stair.js", SCRIPT);
    Routine routine = found.items().getFirst().routine();
    assertThat(routine.name()).isEqualTo("Lay a stair");
    assertThat(routine.origin().author()).isEqualTo("R. Tarn");
    assertThat(routine.origin().seen()).isFalse();
    assertThat(routine.manner().addOns())
        .containsExactly(new AddOn("Label fitter", "1.2"), new AddOn("Lister", ""));
    assertThat(Licence.of(routine.origin().licence())).isEqualTo(Licence.SAME_LICENCE);
    assertThat(found.items().getFirst().triggers()).containsExactly(Notation.read("Ctrl+Shift+M"));
  }

  @Test
  void anAddOnGivesItsActions() {
    Found.Routines found = routines("fitter.json", ADD_ON);
    assertThat(found.kind()).isEqualTo(Found.Kind.ADD_ON);
    assertThat(found.items())
        .allSatisfy(
            i ->
                assertThat(i.routine().manner().addOns())
                    .containsExactly(new AddOn("Label fitter", "1.2")));
    Routine fit = found.items().getFirst().routine();
    assertThat(fit.parameter("margin").orElseThrow().otherwise().shown()).isEqualTo("2 mm");
    assertThat(fit.manner().fromVersion()).isEqualTo("3.2");
    assertThat(fit.manner().startIn()).containsExactly("box");
  }

  @Test
  void takingGivesFreeIdsAndBindingsAndIsOneUndo() {
    List<Found.Item> items = routines("m.json", MACROS).items();
    Edit take = collecting.take(items);
    Library after = take.on(library);
    assertThat(after.routines()).hasSize(library.routines().size() + 2);
    assertThat(after.bindings()).hasSize(library.bindings().size() + 1);
    assertThat(take.inverse(library).on(after)).isEqualTo(library);
    Collecting again = new Collecting(after);
    Found.Routines second = (Found.Routines) again.text("m.json", MACROS);
    assertThat(second.items()).allSatisfy(i -> assertThat(i.equal()).isPresent());
    Library twice = again.take(second.items()).on(after);
    assertThat(twice.routines()).containsKeys("a", "a-2", "a2", "a2-2");
  }

  @Test
  void whatIsEqualButForConstantsIsSaidToBeSimilar() {
    Library after = collecting.take(routines("s.js", SCRIPT).items()).on(library);
    Found.Routines other =
        (Found.Routines)
            new Collecting(after).text("t.js", "// application: app\nprogram.select('next');\n");
    assertThat(other.items().getFirst().similar()).map(Routine::name).contains("Lay a stair");
  }

  @Test
  void aFolderIsLookedThroughFileByFile() throws IOException {
    Files.writeString(folder.resolve("stair.js"), SCRIPT);
    Files.createDirectories(folder.resolve("more"));
    Files.writeString(folder.resolve("more/fitter.json"), ADD_ON);
    Files.writeString(folder.resolve("more/where.sql"), "SELECT * FROM ITEM WHERE ID = ‹id›");
    Files.write(folder.resolve("noise.bin"), new byte[] {1, 2, (byte) 0xC3, 0});
    Files.writeString(folder.resolve("late.js"), SCRIPT, StandardCharsets.UTF_16);
    Files.createSymbolicLink(folder.resolve("round"), folder);
    List<Found> found = collecting.look(folder);
    assertThat(found).hasSize(5);
    assertThat(found).filteredOn(f -> f instanceof Found.Refused).hasSize(1);
    assertThat(found)
        .filteredOn(f -> f instanceof Found.Routines r && r.kind() == Found.Kind.SCRIPT)
        .as("also in UTF-16")
        .hasSize(2);
  }

  @Test
  void aHugeFileIsNotRead() throws IOException {
    Path huge = folder.resolve("huge.js");
    try (var file = new java.io.RandomAccessFile(huge.toFile(), "rw")) {
      file.setLength(100_000_000);
    }
    assertThat(collecting.look(huge))
        .singleElement()
        .isInstanceOfSatisfying(
            Found.Refused.class,
            r -> assertThat(r.why()).contains("100000000").contains("not read"));
  }

  /** Hostile and broken inputs: each is refused with a reason, or taken for what it plainly is. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "   \n\t",
        "{",
        "{}",
        "[]",
        "null",
        "{\"format\": 3}",
        "{\"format\": \"other\"}",
        "{\"format\": \"fold-twice-library\"}",
        "{\"format\": \"fold-twice-routines\"}",
        "{\"format\": \"fold-twice-routines\", \"routines\": {}}",
        "{\"format\": \"fold-twice-routines\", \"routines\": [null]}",
        "{\"format\": \"fold-twice-routines\", \"routines\": [{}]}",
        "{\"format\": \"fold-twice-routines\", \"routines\": [{\"kind\": \"macro\"}]}",
        "{\"format\": \"fold-twice-routines\", \"routines\": [{\"kind\": \"program\", \"id\": \"x\"}]}",
        "{\"format\": \"fold-twice-routines\", \"routines\": [], \"routines\": []}",
        "{\"format\": \"fold-twice-add-on\"}",
        "{\"format\": \"fold-twice-add-on\", \"name\": \"\", \"application\": \"app\"}",
        "{\"format\": \"fold-twice-add-on\", \"name\": \"N\"}",
        "{\"format\": \"fold-twice-add-on\", \"name\": \"N\", \"application\": \"app\"}",
        "{\"format\": \"fold-twice-add-on\", \"name\": \"N\", \"application\": \"app\", \"actions\": 7}",
        "{\"format\": \"fold-twice-add-on\", \"name\": \"N\", \"application\": \"app\", \"actions\": [{\"id\": \" \"}]}",
        "SELECT 1; DROP TABLE ITEM",
        "Dear all, please find attached",
        "#!/bin/sh\nrm -rf /",
        "<html><script>alert(1)</script></html>",
      })
  void itIsRefusedWithAReason(String text) {
    assertThat(collecting.text("pasted", text))
        .isInstanceOfSatisfying(
            Found.Refused.class,
            r -> assertThat(r.why()).containsAnyOf("expected", "no JSON that can be read"));
  }

  @Test
  void deepAndEndlessJsonIsRefused() {
    String deep = "{\"format\": " + "[".repeat(100_000);
    assertThat(collecting.text("deep.json", deep)).isInstanceOf(Found.Refused.class);
    StringBuilder many = new StringBuilder("{\"format\": \"fold-twice-routines\", \"routines\": [");
    for (int i = 0; i < 3000; i++) {
      many.append(i == 0 ? "" : ",")
          .append("{\"kind\": \"script\", \"id\": \"s")
          .append(i)
          .append("\", \"name\": \"S\", \"application\": \"app\", \"source\": \"\"}");
    }
    assertThat(collecting.text("many.json", many.append("]}").toString()))
        .isInstanceOfSatisfying(
            Found.Refused.class, r -> assertThat(r.why()).contains("at most 2000 routines"));
  }

  @Test
  void badKeysInAHeaderAreSaid() {
    assertThat(collecting.text("x.js", "// keys: Strg+Flurb\nprogram.again();"))
        .isInstanceOfSatisfying(Found.Refused.class, r -> assertThat(r.why()).startsWith("keys:"));
  }

  /** Identifiers: SPDX License List, from memory. */
  @ParameterizedTest
  @CsvSource({
    "'', NONE, true",
    "MIT, NOTICE, false",
    "Apache-2.0, NOTICE, false",
    "GPL-3.0-or-later, SAME_LICENCE, true",
    "MIT OR GPL-2.0-only, NOTICE, false",
    "MIT AND GPL-2.0-only, SAME_LICENCE, true",
    "(MPL-2.0), SAME_LICENCE, true",
    "GPL-2.0-only WITH Classpath-exception-2.0, SAME_LICENCE, true",
    "LicenseRef-house, UNKNOWN, true",
  })
  void licencesAskForWhatTheyAskFor(String spdx, Licence licence, boolean conditions) {
    assertThat(Licence.of(spdx)).isEqualTo(licence);
    assertThat(Licence.of(spdx).hasConditions()).isEqualTo(conditions);
  }

  @Test
  void lookingIsGivenUp() throws IOException {
    for (int i = 0; i < 20; i++) {
      Files.writeString(folder.resolve("m" + i + ".json"), MACROS);
    }
    assertThat(collecting.look(folder)).hasSize(20);
    assertThat(new Collecting(library, () -> true).look(folder)).isEmpty();
  }
}
