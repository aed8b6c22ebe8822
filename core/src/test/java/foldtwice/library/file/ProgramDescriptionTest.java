package foldtwice.library.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import foldtwice.library.Library;
import foldtwice.library.RandomLibraries;
import foldtwice.place.Application;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ProgramDescriptionTest {

  private static final Path DOCS = Path.of(System.getProperty("project.root"), "docs");

  private static Schema schema() throws IOException {
    String library = Files.readString(DOCS.resolve("library.schema.json"));
    return SchemaRegistry.withDefaultDialect(
            SpecificationVersion.DRAFT_2020_12,
            b -> b.schemas(Map.of("https://foldtwice.example/library.schema.json", library)))
        .getSchema(Files.readString(DOCS.resolve("program.schema.json")), InputFormat.JSON);
  }

  /** Whatever is described, in names of every script; and it fits the schema. */
  @Property(tries = 60)
  void whatIsWrittenIsReadAsItWas(@ForAll long seed) throws Exception {
    Schema schema = schema();
    Library library = RandomLibraries.of(seed);
    for (Application a : library.applications().values()) {
      ProgramDescription program = new ProgramDescription(a, library.description(a.id()));
      String written = program.write();
      assertThat(ProgramDescription.is(written.getBytes(StandardCharsets.UTF_8))).isTrue();
      assertThat(ProgramDescription.read(written.getBytes(StandardCharsets.UTF_8)))
          .isEqualTo(program);
      assertThat(schema.validate(written, InputFormat.JSON)).isEmpty();
    }
  }

  private static final String SOUND =
      """
      {"format": "fold-twice-program", "version": 1,
       "application": {"id": "loom", "name": "Loom"},
       "description": {"of": "loom",
         "settings": [{"name": "Grid", "options": ["on", "off"], "start": "on"}],
         "values": [{"name": "Width", "scale": "%", "least": "0", "most": "9", "step": "1"}],
         "things": [{"kind": "Piece", "count": 4}],
         "commands": [{"id": "c", "does": ["turn Grid"]}]}}
      """;

  @ParameterizedTest
  @CsvSource({
    "fold-twice-program,fold-twice-library,describes no program",
    "\"of\": \"loom\",\"of\": \"mill\",/description/of",
    "\"start\": \"on\",\"start\": \"dim\",/description/settings/0",
    "turn Grid,mirror it,/description/commands/0/does/0",
    "\"scale\": \"%\",\"scale\": \"ell\",/description/values/0/scale",
    "\"count\": 4,\"count\": 100000,/description/things/0",
    "\"version\": 1,\"version\": 7,version",
  })
  void whatIsWrongIsNamedByItsPlace(String sound, String broken, String says) throws Exception {
    byte[] good = SOUND.getBytes(StandardCharsets.UTF_8);
    assertThat(ProgramDescription.read(good).description().settings()).hasSize(1);
    byte[] bad = SOUND.replace(sound, broken).getBytes(StandardCharsets.UTF_8);
    assertThatThrownBy(() -> ProgramDescription.read(bad))
        .isInstanceOf(FormatException.class)
        .hasMessageContaining(says);
  }
}
