package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.fail;
import static org.junit.jupiter.api.Assumptions.abort;

import java.io.BufferedReader;
import java.io.File;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The application in a real window of a real (virtual) display, with the platform's own keys. */
class WindowSmokeTest {

  @TempDir Path folder;

  @Test
  void aBindingIsMadeAndFiredInARealWindow() throws Exception {
    if (!hasDisplayServer()) {
      if ("required".equals(System.getenv("FOLDTWICE_SMOKE"))) {
        fail("FOLDTWICE_SMOKE is required, but there is no Xvfb; install xvfb and libgtk-3-0");
      }
      abort("there is no Xvfb here; .ci/run installs it");
    }
    Path library = folder.resolve("library.json");
    Files.copy(Hands.root().resolve("demo/fernhollow.json"), library);
    Process display =
        new ProcessBuilder(
                "Xvfb", "-displayfd", "1", "-screen", "0", "1280x800x24", "-nolisten", "tcp")
            .redirectError(ProcessBuilder.Redirect.DISCARD)
            .start();
    try (BufferedReader number =
        new BufferedReader(
            new InputStreamReader(display.getInputStream(), StandardCharsets.UTF_8))) {
      List<String> said = work(":" + number.readLine(), library);
      assertThat(said)
          .contains("advice free")
          .contains("said Replaced: Shift boxes, dx +0.5 mm is now Ctrl+Shift+M")
          .contains("fired box 1 x  12 mm \u2192 12.5 mm");
    } finally {
      display.destroy();
      display.waitFor();
    }
    assertThat(Files.readString(library)).contains("CTRL+SHIFT+m");
  }

  private static boolean hasDisplayServer() {
    return List.of(System.getenv("PATH").split(File.pathSeparator)).stream()
        .anyMatch(d -> Files.isExecutable(Path.of(d, "Xvfb")));
  }

  private static List<String> work(String display, Path library)
      throws IOException, InterruptedException {
    ProcessBuilder child =
        new ProcessBuilder(
            Path.of(System.getProperty("java.home"), "bin", "java").toString(),
            "--enable-native-access=ALL-UNNAMED",
            "--sun-misc-unsafe-memory-access=allow",
            "-Dprism.order=sw",
            "-cp",
            System.getProperty("java.class.path"),
            SmokeMain.class.getName(),
            library.toString());
    child.environment().put("DISPLAY", display);
    child.environment().remove("WAYLAND_DISPLAY");
    Process process = child.redirectErrorStream(true).start();
    var watch =
        process
            .onExit()
            .completeOnTimeout(process, 300, TimeUnit.SECONDS)
            .thenAccept(Process::destroyForcibly);
    try (BufferedReader out =
        new BufferedReader(
            new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8))) {
      return out.lines().toList();
    } finally {
      process.waitFor();
      watch.join();
    }
  }
}
