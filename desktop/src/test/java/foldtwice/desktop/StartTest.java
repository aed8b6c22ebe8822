package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.desktop.session.WorkingCopy;
import java.io.BufferedReader;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Starting, as the launcher does it, in a process of its own. */
class StartTest {

  @TempDir Path folder;

  /** What is said until a line has this in it. */
  private List<String> start(String until, String... arguments) throws Exception {
    List<String> command =
        new ArrayList<>(
            List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "--enable-native-access=ALL-UNNAMED",
                "--sun-misc-unsafe-memory-access=allow",
                "-Dglass.platform=Headless",
                "-Dprism.order=sw",
                "-Dfoldtwice.home=" + Hands.root(),
                "-Dfoldtwice.data=" + folder.resolve("data"),
                "-cp",
                System.getProperty("java.class.path"),
                "foldtwice.desktop.Launch"));
    command.addAll(List.of(arguments));
    Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
    var watch =
        process
            .onExit()
            .completeOnTimeout(process, 180, TimeUnit.SECONDS)
            .thenAccept(Process::destroyForcibly);
    List<String> said = new ArrayList<>();
    try (BufferedReader out =
        new BufferedReader(
            new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8))) {
      for (String line = out.readLine(); line != null; line = out.readLine()) {
        said.add(line);
        if (line.contains(until)) {
          break;
        }
      }
    } finally {
      process.destroy();
      process.waitFor();
      watch.join();
    }
    return said;
  }

  @Test
  void theDemoLibraryOpensAsAWorkingCopy() throws Exception {
    byte[] demo = Files.readAllBytes(Hands.root().resolve("demo/fernhollow.json"));
    assertThat(start("the window is open")).last().asString().contains("the window is open");
    assertThat(Files.readAllBytes(folder.resolve("data/fernhollow.json"))).isEqualTo(demo);
    assertThat(Hands.root().resolve("demo").toFile().list())
        .as("demo/ itself is never written")
        .containsExactlyInAnyOrder(
            "fernhollow.json",
            "seedhouse.json",
            "to-collect",
            "devices",
            "programs",
            "uses.csv",
            "tagpress-card.pdf",
            "rowan-labels.pdf");
  }

  @Test
  void aWorkingCopyThatIsThereIsGoneOnWith() throws Exception {
    Path original = folder.resolve("x.json");
    Files.writeString(original, "first");
    Path copy = WorkingCopy.of(original, folder.resolve("data"));
    Files.writeString(copy, "worked on");
    assertThat(WorkingCopy.of(original, folder.resolve("data"))).isEqualTo(copy);
    assertThat(Files.readString(copy)).isEqualTo("worked on");
    assertThat(Files.readString(original)).isEqualTo("first");
  }

  @Test
  void aBrokenLibraryIsNamedAndLeftAsItIs() throws Exception {
    Path broken = folder.resolve("broken.json");
    Files.writeString(broken, "{\"format\": \"fold-twice-library\", \"version\": 9}");
    assertThat(start("broken.json", broken.toString()))
        .last()
        .asString()
        .contains("broken.json, /version")
        .contains("open it with the newer Fold Twice that wrote it");
    assertThat(Files.readString(broken))
        .isEqualTo("{\"format\": \"fold-twice-library\", \"version\": 9}");
    assertThat(start("no such file", folder.resolve("missing.json").toString()))
        .last()
        .asString()
        .contains("missing.json is neither a file nor a command");
  }
}
