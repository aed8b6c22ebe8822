package foldtwice.cage;

import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Set;

/**
 * Processes of one trade, each a Java machine with the classes of this one, a limit of memory, no
 * environment, and nothing but its standard input and output to talk through. It ends when this
 * process does, for then its input ends.
 *
 * <p>Starting one takes about a second until it has warmed up; one that is given back is used
 * again, one that is ended is replaced in the background.
 */
public final class Cage {

  /** Of the environment, what no process of that system starts without. */
  private static final Set<String> NEEDED = Set.of("SystemRoot", "SYSTEMROOT");

  /** More are not kept waiting for work. */
  private static final int MOST_IDLE = 2;

  private final Class<?> main;
  private final int megabytes;
  private final Deque<Cell> idle = new ArrayDeque<>();

  /**
   * @param main what each process runs; says nothing on standard output but what its cell expects
   * @param megabytes the memory each may hold
   */
  public Cage(Class<?> main, int megabytes) {
    this.main = main;
    this.megabytes = megabytes;
  }

  /** The memory each may hold, in megabytes. */
  public int megabytes() {
    return megabytes;
  }

  /** One that waits, or a new one. */
  public Cell take() {
    synchronized (idle) {
      while (!idle.isEmpty()) {
        Cell cell = idle.pop();
        if (cell.isAlive()) {
          return cell;
        }
      }
    }
    return start();
  }

  /** For the next; only one that waits for work. */
  public void giveBack(Cell cell) {
    synchronized (idle) {
      if (cell.isAlive() && idle.size() < MOST_IDLE) {
        idle.push(cell);
        return;
      }
    }
    cell.end();
  }

  /** Ends one that is at work, and gets another ready. */
  public void end(Cell cell) {
    cell.end();
    warmUp();
  }

  /** Starts one, so that the next has not to wait. Returns at once. */
  public void warmUp() {
    Thread.ofVirtual()
        .start(
            () -> {
              synchronized (idle) {
                if (!idle.isEmpty()) {
                  return;
                }
              }
              giveBack(start());
            });
  }

  private Cell start() {
    List<String> command = new ArrayList<>();
    command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
    command.addAll(
        List.of(
            "-Xmx" + megabytes + "m",
            "-Xss2m",
            "-XX:+UseSerialGC",
            "-XX:+ExitOnOutOfMemoryError",
            "-XX:-UsePerfData",
            "-Xshare:auto",
            // What the machine says of itself must not get among the answers.
            "-Xlog:disable",
            "-Xlog:all=error:stderr",
            "--enable-native-access=ALL-UNNAMED",
            "--sun-misc-unsafe-memory-access=allow",
            "-Duser.timezone=UTC",
            "-Duser.language=en",
            "-Dfile.encoding=UTF-8",
            "-cp",
            classes(),
            main.getName()));
    ProcessBuilder builder = new ProcessBuilder(command);
    builder.environment().keySet().retainAll(NEEDED);
    builder.redirectError(ProcessBuilder.Redirect.DISCARD);
    try {
      return new Cell(builder.start());
    } catch (IOException e) {
      throw new UncheckedIOException("no process can be started for " + main.getName(), e);
    }
  }

  /** The class path, each part by its whole name: the process may begin elsewhere. */
  private static String classes() {
    String separator = System.getProperty("path.separator");
    List<String> parts = new ArrayList<>();
    for (String part : System.getProperty("java.class.path").split(separator, -1)) {
      parts.add(new File(part).getAbsolutePath());
    }
    return String.join(separator, parts);
  }
}
