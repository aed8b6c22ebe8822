package foldtwice.library.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import foldtwice.conflict.Auditor;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.Detail;
import foldtwice.conflict.Subject;
import foldtwice.library.Library;
import foldtwice.library.PressCheck;
import foldtwice.library.RandomLibraries;
import foldtwice.resolve.Keymap;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LibraryJsonTest {

  private static final String SOUND =
      """
      {'format': 'fold-twice-library', 'version': 1, 'name': 'T',
       'applications': [{'id': 'app', 'name': 'App', 'contexts': [{'id': 'box', 'name': 'box'}]}],
       'stations': [{'id': 's', 'name': 'S', 'layout': 'de'}],
       'routines': [{'kind': 'macro', 'id': 'r', 'name': 'R', 'application': 'app',
         'parameters': [{'name': 'dx', 'kind': 'distance', 'least': '0 mm', 'most': '10 mm', 'step': '1 mm', 'default': '2 mm'}],
         'steps': [{'do': 'choose', 'menu': ['A']}, {'do': 'set', 'variable': 'v', 'value': '2'}]}],
       'bindings': [{'id': 'b1', 'routine': 'r', 'place': 'app/box', 'triggers': [{'keys': ['ALT+l']}],
         'arguments': {'dx': '1 mm'}, 'uses': 0}]}
      """;

  private static final Path ROOT = Path.of(System.getProperty("project.root"));

  private static Library read(String document) throws FormatException {
    return LibraryJson.read(document.getBytes(StandardCharsets.UTF_8));
  }

  private static String demo() throws IOException {
    return Files.readString(ROOT.resolve("demo/fernhollow.json"));
  }

  /** Checks by themselves come back as they were. */
  @Property(tries = 200)
  void checksByThemselvesComeBack(@ForAll long seed) throws FormatException {
    Library library = RandomLibraries.of(seed);
    List<PressCheck> checks = List.copyOf(library.checks().values());
    assertThat(CheckFile.read(CheckFile.write(checks).getBytes(StandardCharsets.UTF_8)))
        .isEqualTo(checks);
  }

  @Property(tries = 300)
  void writingThenReadingChangesNothing(@ForAll long seed) throws FormatException {
    Library library = RandomLibraries.of(seed);
    String written = LibraryJson.write(library);
    assertThat(read(written)).isEqualTo(library);
    assertThat(LibraryJson.write(read(written))).isEqualTo(written);
  }

  /** Reference: the JSON Schema in docs, read by networknt's validator. */
  @Property(tries = 100)
  void whatIsWrittenFitsTheSchema(@ForAll long seed) throws IOException {
    String written = LibraryJson.write(RandomLibraries.of(seed));
    assertThat(schema().validate(written, InputFormat.JSON)).isEmpty();
  }

  private static Schema schema() throws IOException {
    return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
        .getSchema(Files.readString(ROOT.resolve("docs/library.schema.json")), InputFormat.JSON);
  }

  @Test
  void theDemoLibraryFitsTheSchemaAndIsWrittenAsWeWriteIt() throws Exception {
    assertThat(schema().validate(demo(), InputFormat.JSON)).isEmpty();
    assertThat(LibraryJson.write(read(demo()))).isEqualTo(demo());
  }

  /** A library of another trade, whose programs are only described. */
  @Test
  void theSeedHouseFitsTheSchemaAndIsWrittenAsWeWriteIt() throws Exception {
    String seeds = Files.readString(ROOT.resolve("demo/seedhouse.json"));
    assertThat(schema().validate(seeds, InputFormat.JSON)).isEmpty();
    assertThat(LibraryJson.write(read(seeds))).isEqualTo(seeds);
  }

  @Test
  void theSchemaRefusesWhatTheReaderRefuses() throws Exception {
    for (String broken :
        new String[] {
          demo().replace("\"version\": 1", "\"version\": 2"),
          demo().replaceFirst("ALT\\+period", "Alt+."),
          demo().replaceFirst("\"do\": \"choose\"", "\"do\": \"wish\""),
          demo().replaceFirst("\"0.5 mm\"", "5"),
          demo().replaceFirst("\"layout\": \"de\"", "\"layout\": \"xx\""),
        }) {
      assertThat(broken).isNotEqualTo(demo());
      assertThat(schema().validate(broken, InputFormat.JSON)).isNotEmpty();
      assertThatThrownBy(() -> read(broken)).isInstanceOf(FormatException.class);
    }
  }

  @Test
  void fieldsThatAreNotKnownSurviveEverywhere() throws Exception {
    String later =
        demo()
            .replaceFirst("\"name\": \"Fernhollow Herbarium\",", "$0 \"theme\": {\"paper\": 1.50},")
            .replaceFirst("\"id\": \"vasculum\",", "$0 \"vendor\": [true],")
            .replaceFirst("\"do\": \"choose\",", "$0 \"comment\": \"why\",")
            .replaceFirst("\"id\": \"b01\",", "$0 \"colour\": \"moss\",");
    String again = LibraryJson.write(read(later));
    assertThat(again)
        .contains("\"theme\": {\"paper\": 1.50}")
        .contains("\"vendor\": [true]")
        .contains("\"comment\": \"why\"")
        .contains("\"colour\": \"moss\"");
    assertThat(LibraryJson.write(read(again))).isEqualTo(again);
  }

  @Test
  void aSmallChangeIsASmallDifference() throws Exception {
    String demo = demo();
    String changed =
        LibraryJson.write(read(demo.replaceFirst("\"dx\": \"0.5 mm\"", "\"dx\": \"0.6 mm\"")));
    assertThat(changed.lines().filter(l -> !demo.contains(l)).toList())
        .containsExactly("      \"arguments\": {\"dx\": \"0.6 mm\"},");
  }

  /** What is replaced in a small library | where the complaint points | what it says. */
  @ParameterizedTest(name = "{0} instead of {1}")
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '"',
      value = {
        "'version': 1|'version': 7|/version|reads versions 1 to 1",
        "'version': 1|'version': 'x'|/version|a whole number",
        "fold-twice-library|other|the document|no library of Fold Twice",
        "'place': 'app/box'|'place': 'app/nowhere'|/bindings/0/place|nowhere",
        "'place': 'app/box'|'place': 5|/bindings/0/place|expected a text, found 5",
        "ALT+l|ALT+nosuch|/bindings/0/triggers/0/keys/0|keysym name",
        "['ALT+l']|[]|/bindings/0/triggers/0/keys|one to 6 strokes",
        "'default': '2 mm'|'default': '12 mm'|/routines/0/parameters/0/default|from 0 mm to 10 mm",
        "'do': 'choose'|'do': 'wish'|/routines/0/steps/0/do|expected one of choose, fill",
        "'value': '2'|'value': '2 +'|/routines/0/steps/1/value|a number",
        "'kind': 'macro'|'kind': 'dance'|/routines/0/kind|expected one of macro",
        "'layout': 'de'|'layout': 'zz'|/stations/0/layout|expected one of the layouts us, gb, de, fr",
        "'id': 'box'|'id': 'app2', 'inner': [{'id': 'app2', 'name': ''}]|/applications/0/contexts|same id",
        "'uses': 0|'usesPerWeek': -1|/bindings/0/usesPerWeek|0 or more",
        "'bindings': [|'bindings': [{'id': 'b1', 'routine': 'r', 'place': 'app'}, |/bindings/1|stands twice",
        "}]}|}|line|no JSON that can be read",
        "'name': 'T'|'name': 'T', 'name': 'U'|line|stands here twice",
      })
  void faultsSayWhereAndWhat(String instead, String of, String where, String what) {
    assertThat(SOUND).contains(instead);
    assertThatThrownBy(() -> read(SOUND.replace(instead, of).replace('\'', '"')))
        .isInstanceOfSatisfying(
            FormatException.class,
            e -> {
              assertThat(e.where()).startsWith(where);
              assertThat(e.what()).contains(what);
            });
  }

  /** An argument that no longer fits its parameter is kept as it stands: the audit tells of it. */
  @ParameterizedTest
  @CsvSource({"1, BAD_ARGUMENT", "1 furlong, BAD_ARGUMENT", "11 mm, BAD_ARGUMENT", "9 mm, none"})
  void argumentsThatNoLongerFitAreReadAndTold(String argument, String kind) throws Exception {
    Library library =
        read(SOUND.replace("'dx': '1 mm'", "'dx': '" + argument + "'").replace('\'', '"'));
    assertThat(library.bindings().get("b1").arguments().get("dx").shown()).isEqualTo(argument);
    assertThat(read(LibraryJson.write(library))).isEqualTo(library);
    Keymap keymap = Keymap.of(library, library.stations().get("s"));
    assertThat(Auditor.audit(Subject.of(library, keymap)))
        .extracting(c -> c.kind().name())
        .isEqualTo(kind.equals("none") ? List.of() : List.of(kind));
    Library unknown = read(SOUND.replace("'dx': '1 mm'", "'dy': '1 mm'").replace('\'', '"'));
    assertThat(Auditor.audit(Subject.of(unknown, keymap)))
        .extracting(Conflict::detail)
        .containsExactly(new Detail.NoParameter("dy"));
  }

  @ParameterizedTest
  @CsvSource({"''", "' '", "[]", "42", "not json", "{}", "null"})
  void foreignDocumentsAreRefused(String document) {
    assertThatThrownBy(() -> read(document)).isInstanceOf(FormatException.class);
  }

  /** Cut anywhere, a document is refused as a whole and never half-read. */
  @Test
  void everyTruncationIsRefused() throws IOException {
    String demo = demo().strip();
    for (int end = 0; end < demo.length(); end += 997) {
      String cut = demo.substring(0, end);
      assertThatThrownBy(() -> read(cut)).isInstanceOf(FormatException.class);
    }
  }
}
