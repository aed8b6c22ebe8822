package foldtwice.library.file;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.StepKind;
import foldtwice.routine.StepKinds;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** A kind of step is described once; everything else agrees with that. */
class StepKindsTest {

  private static final Path ROOT = Path.of(System.getProperty("project.root"));

  @Test
  void everyKindOfStepIsDescribedOnce() {
    Set<Object> there =
        Stream.of(Step.Plain.class, Step.Leading.class)
            .flatMap(c -> Arrays.stream(c.getPermittedSubclasses()))
            .collect(Collectors.toSet());
    assertThat(StepKinds.ALL.stream().<Object>map(StepKind::type))
        .containsExactlyInAnyOrderElementsOf(there);
    assertThat(StepKinds.ALL.stream().map(StepKind::id)).doesNotHaveDuplicates();
    for (StepKind<?> kind : StepKinds.ALL) {
      assertThat(kind.parts()).as(kind.id()).hasSameSizeAs(kind.type().getRecordComponents());
    }
  }

  /** A step made of the parts of another is that other: the order of parts is the right one. */
  @Test
  void aStepIsMadeOfItsParts() throws Exception {
    Set<StepKind<?>> seen = new HashSet<>();
    var library = LibraryJson.read(Files.readAllBytes(ROOT.resolve("demo/fernhollow.json")));
    for (Routine r : library.routines().values()) {
      if (r instanceof Routine.Macro m) {
        made(m.steps(), seen);
      }
    }
    assertThat(seen).hasSizeGreaterThan(18);
  }

  private static void made(List<Line> lines, Set<StepKind<?>> seen) {
    for (Line line : lines) {
      StepKind<?> kind = StepKinds.of(line.step());
      seen.add(kind);
      assertThat((Object) kind.step(kind.parts(line.step()).values())).isEqualTo(line.step());
      line.step().bodies().forEach(b -> made(b, seen));
    }
  }

  /** Source: docs/library.schema.json, which is written by hand for others to read. */
  @Test
  void theSchemaHasTheSameKindsWithTheSameFields() throws IOException {
    JsonNode schema =
        new ObjectMapper().readTree(Files.readString(ROOT.resolve("docs/library.schema.json")));
    Map<String, Set<String>> told = new HashMap<>();
    for (JsonNode one : schema.at("/$defs/step/oneOf")) {
      Set<String> fields = new TreeSet<>();
      one.get("properties").fieldNames().forEachRemaining(fields::add);
      for (JsonNode also : one.path("allOf")) {
        fields.addAll(fieldsOf(schema.at(also.get("$ref").asText().substring(1))));
      }
      fields.remove("do");
      told.put(one.at("/properties/do/const").asText(), fields);
    }
    for (StepKind<?> kind : StepKinds.ALL) {
      Set<String> fields = new TreeSet<>();
      kind.parts().forEach(p -> fields.addAll(FormJson.fields(p.form(), p.name())));
      if (!kind.id().equals("keys")) { // whose fields are those of a trigger, told there
        assertThat(told.get(kind.id())).as(kind.id()).isEqualTo(fields);
      }
    }
    assertThat(told).hasSameSizeAs(StepKinds.ALL);
  }

  private static Set<String> fieldsOf(JsonNode part) {
    Set<String> fields = new TreeSet<>();
    part.path("properties").fieldNames().forEachRemaining(fields::add);
    for (String list : List.of("anyOf", "oneOf")) {
      part.path(list).forEach(p -> fields.addAll(fieldsOf(p)));
    }
    return fields;
  }

  /** What a script cannot call is what its own language has, or what it has in another form. */
  @Test
  void everyKindHasItsPlaceInTheInterfaceOfScripts() throws IOException {
    String host;
    try (var in = Step.class.getResourceAsStream("/foldtwice/script/interface.js")) {
      host = new String(in.readAllBytes(), StandardCharsets.UTF_8);
    }
    List<String> without = new ArrayList<>();
    for (StepKind<?> kind : StepKinds.ALL) {
      if (kind.calls().isEmpty()) {
        without.add(kind.id());
      }
      kind.calls().forEach(c -> assertThat(host).as(kind.id()).contains("('" + c.name() + "',"));
    }
    assertThat(without)
        .containsExactlyInAnyOrder("read", "set", "wait", "ask", "if", "repeat", "each");
  }

  @Test
  void aKindThatIsNotThereIsNamedWithThoseThatAre() {
    byte[] wrong =
        """
        {"format": "fold-twice-library", "version": 1, "name": "x",
         "applications": [], "routines": [{"id": "r", "name": "R", "kind": "macro",
         "application": "a", "steps": [{"do": "sing"}]}]}
        """
            .getBytes(StandardCharsets.UTF_8);
    assertThat(org.assertj.core.api.Assertions.catchThrowable(() -> LibraryJson.read(wrong)))
        .isInstanceOf(FormatException.class)
        .hasMessageContaining("/routines/0/steps/0/do")
        .hasMessageContaining("expected one of choose, fill, press")
        .hasMessageContaining("found \"sing\"");
  }
}
