package foldtwice.library.file;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;

/** What other processes do to a library: started as programs of their own. */
public final class Processes {

  private Processes() {}

  /** Starts one that does something: see {@link #main}. */
  static Process start(String... what) throws IOException {
    return command(what).redirectErrorStream(true).start();
  }

  /** The same, with what it says in a file, which stays when it is killed. */
  static Process start(Path says, String... what) throws IOException {
    return command(what).redirectErrorStream(true).redirectOutput(says.toFile()).start();
  }

  private static ProcessBuilder command(String... what) {
    List<String> command =
        new ArrayList<>(
            List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-Xshare:auto",
                "-XX:TieredStopAtLevel=1",
                "-cp",
                System.getProperty("java.class.path"),
                Processes.class.getName()));
    command.addAll(List.of(what));
    return new ProcessBuilder(command);
  }

  static String said(Process process) throws IOException, InterruptedException {
    String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    process.waitFor();
    return said;
  }

  /** Whether another process may write a library now. */
  static boolean mayWrite(Path file) throws IOException, InterruptedException {
    String said = said(start("open", file.toString()));
    if (!said.strip().matches("true|false")) {
      throw new AssertionError(said);
    }
    return said.strip().equals("true");
  }

  public static void main(String[] args) throws Exception {
    Path file = Path.of(args[1]);
    ProcessHandle parent = ProcessHandle.current().parent().orElseThrow();
    var unused = parent.onExit().thenRun(() -> Runtime.getRuntime().halt(1));
    switch (args[0]) {
      case "open" -> {
        try (LibraryStore store = LibraryStore.open(file, "process", Clock.systemUTC())) {
          System.out.println(store.mayWrite());
        }
      }
      case "edit" -> edit(file);
      case "race" -> race(file, Integer.parseInt(args[2]));
      default -> throw new IllegalArgumentException(args[0]);
    }
  }

  /** Changes and says so, until it is killed. */
  private static void edit(Path file) throws Exception {
    LibraryStore store = LibraryStore.open(file, "process", Clock.systemUTC());
    int from = Kills.number(store.library());
    for (int i = from + 1; ; i++) {
      store.make(Kills.numbered(store.library(), i)).get();
      System.out.println(i);
      System.out.flush();
      if (i % 9 == 0) {
        store.close();
        store = LibraryStore.open(file, "process", Clock.systemUTC());
      }
    }
  }

  /** Takes the lock again and again; whoever has it is alone, or says "overlap". */
  private static void race(Path file, int times) throws Exception {
    Path witness = file.resolveSibling("witness");
    int had = 0;
    for (int i = 0; i < times; i++) {
      if (WriterLock.take(file, "racer") instanceof WriterLock.Result.Ours(WriterLock lock)) {
        try {
          Files.write(witness, new byte[0], StandardOpenOption.CREATE_NEW);
          had++;
          Files.delete(witness);
        } catch (java.nio.file.FileAlreadyExistsException e) {
          System.out.println("overlap");
        } finally {
          lock.close();
        }
      }
    }
    System.out.println("had " + had);
  }
}
