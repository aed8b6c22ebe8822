package foldtwice.cli;

import static foldtwice.cli.Ran.run;
import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import foldtwice.library.Library;
import foldtwice.library.file.LibraryFile;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is saved, a better plan, bindings as a table: without a window. */
class PlanningCommandsTest {

  private static final Path ROOT = Path.of(System.getProperty("project.root"));

  @TempDir Path folder;

  private static Path demo(String name) {
    return ROOT.resolve("demo").resolve(name);
  }

  @Test
  void paybackTellsWhatIsSaved() throws Exception {
    Ran text = run("payback", demo("fernhollow.json"));
    assertThat(text.exit()).isZero();
    assertThat(text.out())
        .contains("a week saved on Camera bench", "Shift boxes", "costs most without a trigger");
    JsonNode json =
        new ObjectMapper()
            .readTree(run("payback", demo("seedhouse.json"), "--format", "json").out());
    double sum = 0;
    for (JsonNode b : json.get("bindings")) {
      sum += b.path("savedSecondsAWeek").path("mid").asDouble();
    }
    assertThat(json.get("savedSecondsAWeek").get("mid").asDouble())
        .isCloseTo(sum, org.assertj.core.api.Assertions.within(0.1));
    assertThat(run("payback", demo("fernhollow.json"), "--format", "csv").out())
        .startsWith("binding,does,place,times a week,by hand s")
        .contains("\r\nb01,");
    Ran slow = run("payback", demo("fernhollow.json"), "--skill", "SWIFT");
    assertThat(slow.exit()).isEqualTo(2);
    Ran log = run("payback", demo("fernhollow.json"), "--uses", demo("uses.csv").toString());
    assertThat(log.exit()).isZero();
    assertThat(log.err()).isEmpty();
    assertThat(
            run("payback", demo("fernhollow.json"), "--uses", demo("seedhouse.json").toString())
                .exit())
        .isEqualTo(2);
  }

  @Test
  void aPlanIsMadeAndTaken() throws Exception {
    Path out = folder.resolve("planned.json");
    Ran plan =
        run(
            "plan",
            demo("seedhouse.json"),
            "--seconds",
            "20",
            "--moves",
            "3",
            "--out",
            out.toString());
    assertThat(plan.exit()).isZero();
    assertThat(plan.out()).contains("->", "a week less", "from the best possible");
    Library before = LibraryFile.look(demo("seedhouse.json"));
    Library after = LibraryFile.look(out);
    long moved =
        after.bindings().values().stream()
            .filter(b -> !b.equals(before.bindings().get(b.id())))
            .count();
    assertThat(moved).isBetween(1L, 3L);
    assertThat(run("plan", demo("seedhouse.json"), "--out", out.toString()).exit()).isEqualTo(2);
    assertThat(run("plan", demo("seedhouse.json"), "--moves", "0").exit()).isEqualTo(1);
    Ran nobody = run("plan", demo("seedhouse.json"), "--application", "Siftbok");
    assertThat(nobody.exit()).isEqualTo(2);
    assertThat(nobody.err()).contains("did you mean Siftbook?");
  }

  @Test
  void bindingsGoOutAndComeBack() throws Exception {
    Path table = folder.resolve("t.csv");
    assertThat(run("bindings", demo("seedhouse.json"), "--out", table.toString()).exit()).isZero();
    Ran same = run("bindings", demo("seedhouse.json"), "--read", table.toString());
    assertThat(same.exit()).isZero();
    assertThat(same.out()).isEmpty();
    Files.writeString(
        table, Files.readString(table).replace("Ctrl+Shift+D", "Ctrl+Shift+J") + "ghost,,,,,,\r\n");
    Path out = folder.resolve("new.json");
    Ran edited =
        run(
            "bindings",
            demo("seedhouse.json"),
            "--read",
            table.toString(),
            "--out",
            out.toString());
    assertThat(edited.exit()).isEqualTo(1);
    assertThat(edited.out()).contains("changes", "Dry lot", "cannot be taken", "ghost");
    assertThat(run("diff", demo("seedhouse.json"), out.toString()).out())
        .contains("Ctrl+Shift+D \u2192 Ctrl+Shift+J");
  }
}
