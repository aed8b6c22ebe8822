package foldtwice.live.listen;

import foldtwice.place.Place;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Outcome;
import foldtwice.resolve.Owner;
import foldtwice.resolve.Resolver;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Lift;
import foldtwice.trigger.Press;
import foldtwice.trigger.Signal;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Listens for the keys of a library on this computer, until it is closed, the emergency stop is
 * pressed, or the process that catches keys ends. What fires is told to whoever listens; keys that
 * turn out to be nobody's are passed on.
 */
public final class Listening implements AutoCloseable {

  private static final Logger LOG = LoggerFactory.getLogger(Listening.class);
  private static final long BEAT = 200;
  private static final long STARTS = 15_000;

  /** Hears what comes of keys; on a thread of the listening. */
  public interface Hears {

    /**
     * A binding fires.
     *
     * @param by the press that made it; empty where that is over already
     */
    void fires(String binding, Optional<Press> by);

    /** Several claim it, so none fired. */
    void undecided(List<Claim> claims);

    /** Another program has these already: they cannot be caught. */
    void taken(Set<Press> presses);

    /** The person pressed the emergency stop: everything is given back already. */
    void stopped();

    /**
     * It is over without having been closed.
     *
     * @param why in words; empty when the process ended by itself
     */
    void ended(String why);
  }

  /** Where one is: asked when a key is pressed. */
  public interface Where {
    /** The state of the program of this process; empty for one no library knows. */
    Optional<Place> state(long process);

    /** The process whose window is in front; 0 for none that tells. */
    long front();

    /** The number of a running program's process, by application id. */
    Optional<Long> process(String application);
  }

  private final Process process;
  private final Writer to;
  private final Hears hears;
  private final Where where;
  private final Caught caught = new Caught();
  private volatile Catching catching;
  private volatile boolean closed;

  /** What the listener was told last to catch. */
  private List<String> told = List.of();

  private Resolver resolver;
  private Resolver.State state;
  private List<Press> swallowed = new ArrayList<>();

  /** What a key means that is about to be kept; of the reading thread only. */
  private List<Outcome> meant = List.of();

  private Optional<Press> meantBy = Optional.empty();
  private final Set<KeyCode> down = ConcurrentHashMap.newKeySet();

  /** Waits until the keys are caught. */
  private static final class Caught {
    private final CountDownLatch done = new CountDownLatch(1);

    void done() {
      done.countDown();
    }

    void await() throws IOException {
      try {
        if (!done.await(STARTS, TimeUnit.MILLISECONDS)) {
          throw new IOException("it does not answer");
        }
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        throw new IOException("interrupted", e);
      }
    }
  }

  private Listening(Process process, Hears hears, Where where) {
    this.process = process;
    this.to = new OutputStreamWriter(process.getOutputStream(), StandardCharsets.US_ASCII);
    this.hears = hears;
    this.where = where;
  }

  /**
   * Starts listening.
   *
   * @param display its name; empty for that of the environment
   * @param stop the emergency stop
   * @throws IOException when no keys can be caught here
   */
  public static Listening start(
      Optional<String> display, Press stop, Catching catching, Where where, Hears hears)
      throws IOException {
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
    Process process =
        new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.DISCARD).start();
    Listening listening = new Listening(process, hears, where);
    BufferedReader from =
        new BufferedReader(
            new InputStreamReader(process.getInputStream(), StandardCharsets.US_ASCII));
    Thread.ofPlatform().name("listening beats").daemon().start(listening::beats);
    String first = listening.first(from);
    if (!Wire.UP.equals(first)) {
      listening.close();
      throw new IOException(
          first == null ? "it does not start" : first.substring(Wire.FAILED.length()).strip());
    }
    listening.say(Wire.STOP_IS + " " + Wire.write(stop));
    listening.catches(catching);
    Thread.ofPlatform().name("listens").daemon().start(() -> listening.listen(from));
    listening.caught.await();
    return listening;
  }

  private String first(BufferedReader from) throws IOException {
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
    String line = from.readLine();
    late.interrupt();
    return line;
  }

  /** Catches what another state of the library has. */
  public void catches(Catching next) {
    catching = next;
    synchronized (this) {
      resolver = new Resolver(next.keymap());
      state = null;
      swallowed = new ArrayList<>();
    }
    List<String> lines = new ArrayList<>();
    lines.add(Wire.EVERYWHERE + " " + Wire.write(next.everywhere()));
    for (Map.Entry<String, Set<Press>> e : next.within().entrySet()) {
      where
          .process(e.getKey())
          .ifPresent(pid -> lines.add(Wire.WITHIN + " " + pid + " " + Wire.write(e.getValue())));
    }
    if (!lines.equals(told)) {
      told = lines;
      lines.forEach(this::say);
      say(Wire.DONE);
    }
  }

  /** Signs of life, until it is closed; a sequence that waited too long is over at one of them. */
  private void beats() {
    while (!closed) {
      say(Wire.ALIVE);
      tick();
      try {
        Thread.sleep(BEAT);
      } catch (InterruptedException e) {
        return;
      }
    }
  }

  private void say(String line) {
    try {
      synchronized (to) {
        to.write(line + "\n");
        to.flush();
      }
    } catch (IOException e) {
      LOG.debug("the listener is gone", e); // the reading thread says so
    }
  }

  private void listen(BufferedReader from) {
    String why = "";
    boolean stop = false;
    try {
      for (String line = from.readLine(); line != null; line = from.readLine()) {
        List<String> words = List.of(line.split(" "));
        switch (words.getFirst()) {
          case Wire.DOWN ->
              down(Wire.press(words.get(1)).orElseThrow(), Long.parseLong(words.get(2)));
          case Wire.LIFT -> Wire.press(words.get(1)).ifPresent(this::lift);
          case Wire.TAKEN -> hears.taken(Wire.presses(words.subList(1, words.size())));
          case Wire.FRONT -> forget();
          case Wire.DONE -> caught.done();
          case Wire.KEPT -> {
            tell(meant, meantBy);
            meant = List.of();
          }
          case Wire.LATE -> {
            LOG.warn("a key was passed on: it took too long to tell what it means");
            meant = List.of();
            forget();
          }
          case Wire.STOP -> stop = true;
          case Wire.FAILED -> why = line.substring(Wire.FAILED.length()).strip();
          default -> LOG.debug("the listener says {}", line);
        }
        if (stop) {
          break;
        }
      }
    } catch (IOException e) {
      why = e.getMessage();
    }
    if (stop) {
      close();
      hears.stopped();
    } else if (!closed) {
      close();
      hears.ended(why);
    }
  }

  private synchronized void forget() {
    state = null;
    swallowed = new ArrayList<>();
    say(Wire.NEXT);
  }

  private void down(Press press, long process) {
    Optional<Place> now = where.state(process);
    List<Outcome> outcomes;
    boolean kept;
    synchronized (this) {
      Place place = catching.state(now);
      if (state == null || !state.place().equals(place)) {
        state = Resolver.start(place);
        swallowed = new ArrayList<>();
      }
      Resolver.Answer answer = resolver.press(state, press, System.nanoTime() / 1_000_000);
      boolean waited = !state.pending().isEmpty();
      state = answer.next();
      outcomes = answer.outcomes();
      kept = isOurs(outcomes, press);
      if (kept && !state.pending().isEmpty()) {
        swallowed.add(press);
        say(Wire.NEXT + " " + Wire.write(catching.following(place, state.pending())));
      } else if (waited) {
        say(Wire.NEXT);
        if (!kept) {
          swallowed.forEach(p -> say(Wire.SEND + " " + Wire.write(p)));
        }
        swallowed = new ArrayList<>();
      }
    }
    meant = kept ? outcomes : List.of();
    meantBy = Optional.of(press);
    down.add(press.code());
    say(kept ? Wire.KEEP : Wire.PASS);
  }

  /** True when somebody of the library does something with it, or may when more strokes come. */
  private boolean isOurs(List<Outcome> outcomes, Press press) {
    return outcomes.stream()
        .anyMatch(
            o ->
                switch (o) {
                  case Outcome.Fired(Claim c) -> isOurs(c);
                  case Outcome.Waiting(Optional<Claim> otherwise) ->
                      otherwise.filter(Listening::isOurs).isPresent()
                          || !catching.following(state.place(), List.<Signal>of(press)).isEmpty();
                  case Outcome.Undecided u -> true;
                  default -> false;
                });
  }

  private static boolean isOurs(Claim claim) {
    return claim.owner() instanceof Owner.Yours;
  }

  /** Something was done with another thing than the keyboard: it is whole at once. */
  public void signal(Signal signal) {
    List<Outcome> outcomes;
    Optional<Place> now = where.state(where.front());
    synchronized (this) {
      outcomes =
          resolver
              .press(Resolver.start(catching.state(now)), signal, System.nanoTime() / 1_000_000)
              .outcomes();
    }
    tell(outcomes, Optional.empty());
  }

  /** True while a key that was kept has not come up. */
  public boolean isDown(Press press) {
    return !closed && down.contains(press.code());
  }

  private void lift(Press press) {
    down.remove(press.code());
    List<Outcome> outcomes;
    synchronized (this) {
      if (state == null) {
        return;
      }
      outcomes = resolver.press(state, new Lift(press), System.nanoTime() / 1_000_000).outcomes();
    }
    tell(outcomes, Optional.empty());
  }

  private void tick() {
    List<Outcome> outcomes = List.of();
    synchronized (this) {
      if (state != null && !state.pending().isEmpty()) {
        Resolver.Answer answer = resolver.tick(state, System.nanoTime() / 1_000_000);
        if (answer.next().pending().isEmpty()) {
          say(Wire.NEXT);
          if (answer.outcomes().stream()
              .noneMatch(o -> o instanceof Outcome.Fired(Claim c) && isOurs(c))) {
            swallowed.forEach(p -> say(Wire.SEND + " " + Wire.write(p)));
          }
          swallowed = new ArrayList<>();
        }
        state = answer.next();
        outcomes = answer.outcomes();
      }
    }
    tell(outcomes, Optional.empty());
  }

  private void tell(List<Outcome> outcomes, Optional<Press> by) {
    for (Outcome o : outcomes) {
      switch (o) {
        case Outcome.Fired(Claim c) when c.owner() instanceof Owner.Yours(String id) ->
            hears.fires(id, by);
        case Outcome.Undecided(List<Claim> claims) -> hears.undecided(claims);
        default -> {} // it was passed on, or waits
      }
    }
  }

  /** The number of the process that catches keys. */
  public long process() {
    return process.pid();
  }

  /** All that is caught: everywhere, and in programs that are running. */
  public Set<Press> caught() {
    Catching now = catching;
    Set<Press> all = new HashSet<>(now.everywhere());
    now.within()
        .forEach(
            (application, presses) -> {
              if (where.process(application).isPresent()) {
                all.addAll(presses);
              }
            });
    return all;
  }

  /** Gives all keys back. */
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
