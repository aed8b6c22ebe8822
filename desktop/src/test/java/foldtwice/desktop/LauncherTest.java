package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.DisabledOnOs;
import org.junit.jupiter.api.condition.OS;
import org.junit.jupiter.api.io.TempDir;

/** The launcher itself, before a Java that only tells what it was asked to start. */
@DisabledOnOs(OS.WINDOWS)
class LauncherTest {

  private static final Path LIST =
      Hands.root().resolve("cli/src/main/resources/foldtwice/cli/commands");

  @TempDir Path home;

  @BeforeEach
  void aHouseThatIsBuilt() throws Exception {
    Files.createDirectory(home.resolve("tools"));
    for (String script : List.of("foldtwice", "tools/jdk")) {
      Files.copy(
          Hands.root().resolve(script), home.resolve(script), StandardCopyOption.COPY_ATTRIBUTES);
    }
    Path list = home.resolve("cli/src/main/resources/foldtwice/cli/commands");
    Files.createDirectories(list.getParent());
    Files.copy(LIST, list);
    Files.createFile(home.resolve("pom.xml"));
    for (String module : List.of("core", "standins", "cli", "desktop")) {
      Files.createDirectories(home.resolve(module + "/src/main"));
      Files.createFile(home.resolve(module + "/pom.xml"));
    }
    Path jars = Files.createDirectories(home.resolve("desktop/target"));
    Files.writeString(jars.resolve("classpath.txt"), "nothing.jar");
    Files.createFile(jars.resolve("foldtwice.aot"));
    Thread.sleep(20);
    Files.createFile(jars.resolve("built")); // newer than every source
    Path java = Files.createDirectories(home.resolve("jdk/bin")).resolve("java");
    Files.writeString(
        java,
        """
        #!/bin/sh
        for a; do
          case $a in foldtwice.*) seen=1 ;; esac
          [ -z "$seen" ] || printf '%s\\n' "$a"
        done
        """);
    assertThat(java.toFile().setExecutable(true)).isTrue();
    Files.writeString(home.resolve("jdk/release"), "JAVA_VERSION=\"25.0.1\"\n");
  }

  /** What is started, and with what. */
  private List<String> started(String... arguments) throws Exception {
    return said(begun(arguments));
  }

  private Process begun(String... arguments) throws Exception {
    List<String> command = new ArrayList<>(List.of("sh", home.resolve("foldtwice").toString()));
    command.addAll(List.of(arguments));
    ProcessBuilder builder = new ProcessBuilder(command).redirectErrorStream(true);
    builder.environment().put("JAVA_HOME", home.resolve("jdk").toString());
    builder.environment().remove("FOLDTWICE_OPTS");
    builder
        .environment()
        .merge("PATH", home.resolve("bin").toString(), (path, own) -> own + ":" + path);
    return builder.start();
  }

  private static List<String> said(Process process) throws Exception {
    String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(process.waitFor(20, TimeUnit.SECONDS)).isTrue();
    return said.lines().toList();
  }

  /** A house in which nothing is built yet, and a Maven that only counts how often it builds. */
  private void nothingIsBuilt() throws Exception {
    Path jars = home.resolve("desktop/target");
    for (String made : List.of("built", "foldtwice.aot", "classpath.txt")) {
      Files.delete(jars.resolve(made));
    }
    Path mvn = Files.createDirectories(home.resolve("bin")).resolve("mvn");
    Files.writeString(
        mvn,
        """
        #!/bin/sh
        echo built >>%1$s/builds
        sleep 1
        echo nothing.jar >%1$s/desktop/target/classpath.txt
        """
            .formatted(home));
    assertThat(mvn.toFile().setExecutable(true)).isTrue();
  }

  @Test
  void severalThatAreStartedAtOnceAreBuiltOnce() throws Exception {
    nothingIsBuilt();
    List<Process> all = List.of(begun("check"), begun("check"), begun("check"));
    for (Process each : all) {
      assertThat(said(each)).endsWith("foldtwice.cli.Main", "check");
      assertThat(each.exitValue()).isZero();
    }
    assertThat(home.resolve("builds")).hasContent("built");
    assertThat(started("check"))
        .as("nothing is left to be done")
        .containsExactly("foldtwice.cli.Main", "check");
  }

  @Test
  void aBuildThatWasKilledHoldsNobodyUp() throws Exception {
    nothingIsBuilt();
    Process killed = new ProcessBuilder("true").start();
    assertThat(killed.waitFor(20, TimeUnit.SECONDS)).isTrue();
    Files.writeString(
        Files.createDirectory(home.resolve(".building")).resolve("by"), killed.pid() + "\n");
    assertThat(started("check")).endsWith("foldtwice.cli.Main", "check");
    assertThat(home.resolve("builds")).hasContent("built");
    assertThat(home.resolve(".building")).doesNotExist();
  }

  private static String help(String... arguments) {
    StringWriter said = new StringWriter();
    PrintWriter out = new PrintWriter(said);
    assertThat(foldtwice.cli.Main.run(out, out, arguments)).as(said.toString()).isZero();
    return said.toString();
  }

  /** Every command that the help lists is the command line's, and has a help of its own. */
  @Test
  void everyCommandOfTheHelpIsStarted() throws Exception {
    List<String> commands =
        Pattern.compile("(?m)^  ([a-z]+)  ")
            .matcher(help("--help"))
            .results()
            .map(m -> m.group(1))
            .toList();
    assertThat(commands).contains("check", "press", "run", "verify", "repair", "backups");
    for (String command : commands) {
      assertThat(started(command, "--help"))
          .as(command)
          .containsExactly("foldtwice.cli.Main", command, "--help");
      assertThat(help(command, "--help")).contains(command);
    }
    List<String> listed = Files.readAllLines(LIST);
    assertThat(listed).containsAll(commands);
    assertThat(listed.stream().filter(c -> !c.startsWith("-"))).hasSameSizeAs(commands);
    for (String option : listed.stream().filter(c -> c.startsWith("-")).toList()) {
      assertThat(started(option)).containsExactly("foldtwice.cli.Main", option);
    }
    assertThat(Files.readString(Hands.root().resolve("foldtwice.cmd")))
        .as("both launchers have one list")
        .contains("foldtwice\\cli\\commands");
  }

  @Test
  void whatIsNoCommandIsTheDesktops() throws Exception {
    assertThat(started()).containsExactly("foldtwice.desktop.Launch");
    assertThat(started("verfy")).containsExactly("foldtwice.desktop.Launch", "verfy");
    assertThat(started("my library.json", "x"))
        .containsExactly("foldtwice.desktop.Launch", "my library.json", "x");
    assertThat(started("pictures")).containsExactly("foldtwice.desktop.Launch", "pictures");
  }

  /** A word that is neither a command nor a file: exit 2, and the nearest right word. */
  @Test
  void aMistypedCommandIsAnErrorWithTheNearestRightWord() throws Exception {
    Process process =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-cp",
                System.getProperty("java.class.path"),
                "foldtwice.desktop.Launch",
                "verfy")
            .redirectErrorStream(true)
            .start();
    String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(process.waitFor(60, TimeUnit.SECONDS)).isTrue();
    assertThat(process.exitValue()).as(said).isEqualTo(2);
    assertThat(said).contains("verfy", "did you mean verify?");
  }
}
