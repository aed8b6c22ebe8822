package foldtwice.live.listen;

import foldtwice.trigger.Press;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** The process that catches keys, as its parent talks with it. */
final class ListenerProcess implements AutoCloseable {

  private static final Logger LOG = LoggerFactory.getLogger(ListenerProcess.class);

  /** How long it may take to be there, in milliseconds. */
  static final long STARTS = 15_000;

  private final Process process;
  private final Writer to;
  private final BufferedReader from;
  private volatile boolean closed;

  private ListenerProcess(Process process) {
    this.process = process;
    this.to = new OutputStreamWriter(process.getOutputStream(), StandardCharsets.US_ASCII);
    this.from =
        new BufferedReader(
            new InputStreamReader(process.getInputStream(), StandardCharsets.US_ASCII));
  }

  /**
   * Starts it, and waits until it is there.
   *
   * @param display its name; empty for that of the environment
   * @param stop the emergency stop
   * @throws IOException when no keys can be caught here
   */
  static ListenerProcess start(Optional<String> display, Press stop) throws IOException {
    List<String> command =
        new ArrayList<>(
            List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-Xmx48m",
                "-Xss512k",
                "-XX:+UseSerialGC",
                "-XX:TieredStopAtLevel=1",
                "--enable-native-access=ALL-UNNAMED",
                "-cp",
                System.getProperty("java.class.path"),
                Listener.class.getName()));
    display.ifPresent(command::add);
    ListenerProcess listener =
        new ListenerProcess(
            new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.DISCARD).start());
    Optional<String> first = listener.first();
    if (!first.equals(Optional.of(Wire.UP))) {
      listener.close();
      throw new IOException(
          first
              .map(f -> f.substring(Wire.FAILED.length()).strip())
              .orElse("the process that catches keys does not start"));
    }
    listener.say(Wire.STOP_IS + " " + Wire.write(stop));
    return listener;
  }

  private Optional<String> first() throws IOException {
    Thread late =
        Thread.ofVirtual()
            .start(
                () -> {
                  try {
                    Thread.sleep(STARTS);
                    process.destroyForcibly();
                  } catch (InterruptedException e) {
                    return; // it is up
                  }
                });
    Optional<String> line = Optional.ofNullable(from.readLine());
    late.interrupt();
    return line;
  }

  /** Tells it something; nothing when it is gone, which whoever reads hears of. */
  void say(String line) {
    try {
      synchronized (to) {
        to.write(line + "\n");
        to.flush();
      }
    } catch (IOException e) {
      LOG.debug("the listener is gone", e);
    }
  }

  /**
   * Hears what it says until it is gone.
   *
   * @param line hears a line, in words
   */
  void hear(Consumer<List<String>> line) throws IOException {
    for (String said = from.readLine(); said != null; said = from.readLine()) {
      line.accept(List.of(said.split(" ")));
    }
  }

  long number() {
    return process.pid();
  }

  boolean isClosed() {
    return closed;
  }

  /** It gives all keys back, and ends. */
  @Override
  public void close() {
    closed = true;
    try {
      to.close();
    } catch (IOException e) {
      LOG.debug("the listener is gone already", e);
    }
    try {
      if (!process.waitFor(500, TimeUnit.MILLISECONDS)) {
        process.destroyForcibly();
      }
    } catch (InterruptedException e) {
      process.destroyForcibly();
      Thread.currentThread().interrupt();
    }
  }
}
