package foldtwice.bench;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;

/**
 * From starting the process to the first window that can be used, in turns of one another; the
 * median of several.
 *
 * @param application milliseconds for Fold Twice with the demo library
 * @param emptyTable milliseconds for {@link EmptyTable}
 */
record Starts(double application, double emptyTable) {

  private static final int TURNS = 7;
  private static final int PATIENCE_SECONDS = 60;

  static Starts measure() throws IOException, InterruptedException {
    List<Double> ours = new ArrayList<>();
    List<Double> rivals = new ArrayList<>();
    for (int turn = 0; turn < TURNS; turn++) {
      rivals.add(one(rivalCommand()));
      ours.add(one(ourCommand()));
    }
    return new Starts(median(ours), median(rivals));
  }

  static double median(List<Double> times) {
    return times.stream().sorted().toList().get(times.size() / 2);
  }

  /** The rival, from the very Java. */
  private static ProcessBuilder rivalCommand() {
    return new ProcessBuilder(
        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
        "--enable-native-access=ALL-UNNAMED",
        "--sun-misc-unsafe-memory-access=allow",
        "-Dglass.platform=Headless",
        "-Dprism.order=sw",
        "-cp",
        System.getProperty("java.class.path"),
        EmptyTable.class.getName());
  }

  /** The command a person types, in a data folder that is new. */
  private static ProcessBuilder ourCommand() throws IOException {
    Path data = Files.createTempDirectory("foldtwice-start");
    ProcessBuilder command =
        new ProcessBuilder(Path.of(System.getProperty("foldtwice.home"), "foldtwice").toString());
    command
        .environment()
        .put(
            "FOLDTWICE_OPTS",
            "-Dglass.platform=Headless -Dprism.order=sw -Dfoldtwice.data=" + data);
    return command;
  }

  private static double one(ProcessBuilder command) throws IOException, InterruptedException {
    long began = System.nanoTime();
    Process process = command.redirectErrorStream(true).start();
    var watch =
        process
            .onExit()
            .completeOnTimeout(process, PATIENCE_SECONDS, TimeUnit.SECONDS)
            .thenAccept(Process::destroyForcibly);
    try (BufferedReader out =
        new BufferedReader(
            new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8))) {
      List<String> said = new ArrayList<>();
      for (String line = out.readLine(); line != null; line = out.readLine()) {
        said.add(line);
        if (line.contains(EmptyTable.OPEN)) {
          return (System.nanoTime() - began) / 1e6;
        }
      }
      throw new IOException(
          command.command() + " ended without a window: " + String.join("\n", said));
    } finally {
      process.destroy();
      process.waitFor();
      watch.join();
    }
  }
}
