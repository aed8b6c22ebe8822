package foldtwice.live.listen;

import foldtwice.place.Place;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Outcome;
import foldtwice.resolve.Owner;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Lift;
import foldtwice.trigger.Press;
import foldtwice.trigger.Signal;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Listens for the keys of a library on this computer, until it is closed, the emergency stop is
 * pressed, or the process that catches keys ends. What fires is told to whoever listens, one thing
 * after the other on a thread of its own: it may take as long as it likes. Keys that turn out to be
 * nobody's are passed on.
 */
public final class Listening implements AutoCloseable {

  private static final Logger LOG = LoggerFactory.getLogger(Listening.class);
  private static final long BEAT = 200;

  /** Hears what comes of keys; on a thread of its own. */
  public interface Hears {

    /**
     * A binding fires.
     *
     * @param by the press that made it; empty where that is over already
     */
    void fires(String binding, Optional<Press> by);

    /** Several claim it, so none fired. */
    void undecided(List<Claim> claims);

    /**
     * Another program has these already: they cannot be caught. Told again when they are others;
     * none when all are caught.
     */
    void taken(Set<Press> presses);

    /**
     * Another window came to the front.
     *
     * @param process whose it is; 0 for none that tells
     */
    default void front(long process) {}

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

  private final ListenerProcess listener;
  private final Hears hears;
  private final Where where;
  private final ExecutorService telling =
      Executors.newSingleThreadExecutor(
          Thread.ofPlatform().name("listening tells").daemon().factory());
  private final CountDownLatch caught = new CountDownLatch(1);
  private final Set<KeyCode> down = ConcurrentHashMap.newKeySet();
  private volatile Catching catching;
  private Meaning meaning;

  /** What the listener was told last to catch. */
  private List<String> told = List.of();

  /** The number of the last key that was answered. */
  private long answered;

  /** What a key means that is about to be kept; of the reading thread only. */
  private List<Outcome> meant = List.of();

  private Optional<Press> meantBy = Optional.empty();

  /**
   * What it means that no more was pressed after a key, by its number; done when the listener says
   * that it was so.
   */
  private final Map<Long, List<Outcome>> over = new HashMap<>();

  private Listening(ListenerProcess listener, Hears hears, Where where) {
    this.listener = listener;
    this.hears = hears;
    this.where = where;
  }

  /**
   * Starts listening; returns when the keys are caught.
   *
   * @param display its name; empty for that of the environment
   * @param stop the emergency stop
   * @throws IOException when no keys can be caught here
   */
  public static Listening start(
      Optional<String> display, Press stop, Catching catching, Where where, Hears hears)
      throws IOException {
    rehearse(catching, where);
    Listening listening = new Listening(ListenerProcess.start(display, stop), hears, where);
    Thread.ofPlatform().name("listening beats").daemon().start(listening::beats);
    listening.catches(catching);
    Thread.ofPlatform().name("listens").daemon().start(listening::listen);
    listening.awaitCaught();
    return listening;
  }

  /** The first key would be answered late otherwise: all that it needs has to be loaded then. */
  private static void rehearse(Catching catching, Where where) {
    Optional<Place> in = where.state(where.front());
    Meaning apart = new Meaning(catching);
    for (Press press : catching.everywhere()) {
      apart.press(press, in, now());
      apart.forget();
    }
    for (Set<Press> presses : catching.within().values()) {
      for (Press press : presses) {
        apart.press(press, in, now());
        apart.forget();
      }
    }
  }

  private void awaitCaught() throws IOException {
    try {
      if (!caught.await(ListenerProcess.STARTS, TimeUnit.MILLISECONDS)) {
        close();
        throw new IOException("the process that catches keys does not answer");
      }
    } catch (InterruptedException e) {
      close();
      Thread.currentThread().interrupt();
      throw new IOException("interrupted", e);
    }
  }

  /** Catches the same keys again, of the programs that are running now. */
  public synchronized void again() {
    catches(catching);
  }

  /** Catches what another state of the library has. */
  public synchronized void catches(Catching next) {
    catching = next;
    if (meaning != null && meaning.isWaiting()) {
      over(meaning.forget(), List.of());
    }
    meaning = new Meaning(next);
    List<String> lines = new ArrayList<>();
    lines.add(Wire.EVERYWHERE + " " + Wire.write(next.everywhere()));
    for (Map.Entry<String, Set<Press>> e : next.within().entrySet()) {
      where
          .process(e.getKey())
          .ifPresent(pid -> lines.add(Wire.WITHIN + " " + pid + " " + Wire.write(e.getValue())));
    }
    if (!lines.equals(told)) {
      told = lines;
      lines.forEach(listener::say);
      listener.say(Wire.DONE);
    }
  }

  /** Signs of life, until it is closed; a sequence that waited too long is over at one of them. */
  private void beats() {
    while (!listener.isClosed()) {
      listener.say(Wire.ALIVE);
      tick();
      try {
        Thread.sleep(BEAT);
      } catch (InterruptedException e) {
        return;
      }
    }
  }

  private void listen() {
    String why = "";
    try {
      listener.hear(this::take);
    } catch (IOException e) {
      why = e.getMessage();
    }
    if (!listener.isClosed()) {
      String said = why;
      close(() -> hears.ended(said));
    }
  }

  private void take(List<String> words) {
    List<String> rest = words.subList(1, words.size());
    switch (words.getFirst()) {
      case Wire.DOWN ->
          down(
              Long.parseLong(rest.get(0)),
              Wire.press(rest.get(1)).orElseThrow(),
              Long.parseLong(rest.get(2)));
      case Wire.LIFT -> Wire.press(rest.getFirst()).ifPresent(this::lift);
      case Wire.TAKEN -> telling.execute(() -> hears.taken(Set.copyOf(Wire.presses(rest))));
      case Wire.FRONT -> {
        forget();
        long process = Long.parseLong(rest.getFirst());
        telling.execute(() -> hears.front(process));
      }
      case Wire.DONE -> caught.countDown();
      case Wire.KEPT -> tell(meant, meantBy);
      case Wire.OVER -> wasOver(Long.parseLong(rest.getFirst()));
      case Wire.LATE -> {
        LOG.warn("a key was passed on: it took too long to tell what it means");
        forget();
      }
      case Wire.STOP -> close(hears::stopped);
      default -> LOG.debug("the listener says {}", words);
    }
  }

  private synchronized void forget() {
    meaning.forget();
    over.clear();
  }

  private static long now() {
    return System.nanoTime() / 1_000_000;
  }

  private void down(long number, Press press, long process) {
    Optional<Place> in = where.state(process);
    synchronized (this) {
      Meaning.Answer answer = meaning.press(press, in, now());
      answered = number;
      meant = answer.outcomes();
      String verdict = (answer.keep() ? Wire.KEEP : Wire.PASS) + " " + answer.held();
      say(Wire.ANSWER + " " + number + " " + verdict, answer.send());
    }
    meantBy = Optional.of(press);
    down.add(press.code());
  }

  private void say(String what, List<Press> send) {
    listener.say((what + " " + Wire.write(send)).strip());
  }

  /** Something was done with another thing than the keyboard: it is whole at once. */
  public void signal(Signal signal) {
    Optional<Place> in = where.state(where.front());
    List<Outcome> outcomes;
    synchronized (this) {
      outcomes = meaning.alone(signal, in, now());
    }
    tell(outcomes, Optional.empty());
  }

  /** True while a key that was kept has not come up. */
  public boolean isDown(Press press) {
    return !listener.isClosed() && down.contains(press.code());
  }

  private void lift(Press press) {
    down.remove(press.code());
    List<Outcome> outcomes;
    synchronized (this) {
      outcomes = meaning.lift(new Lift(press), now());
    }
    tell(outcomes, Optional.empty());
  }

  private synchronized void tick() {
    if (meaning != null && meaning.isWaiting()) {
      Meaning.Answer answer = meaning.tick(now());
      if (!meaning.isWaiting()) {
        over(answer.send(), answer.outcomes());
      }
    }
  }

  /** No more was pressed in time, or none of it counts any more. */
  private void over(List<Press> send, List<Outcome> outcomes) {
    over.put(answered, outcomes);
    say(Wire.OVER + " " + answered, send);
  }

  private void wasOver(long number) {
    List<Outcome> outcomes;
    synchronized (this) {
      outcomes = over.remove(number);
    }
    tell(outcomes == null ? List.of() : outcomes, Optional.empty());
  }

  private void tell(List<Outcome> outcomes, Optional<Press> by) {
    for (Outcome o : outcomes) {
      switch (o) {
        case Outcome.Fired(Claim c) when c.owner() instanceof Owner.Yours(String id) ->
            telling.execute(() -> hears.fires(id, by));
        case Outcome.Undecided(List<Claim> claims) ->
            telling.execute(() -> hears.undecided(claims));
        default -> {} // none of the library's
      }
    }
  }

  /** The number of the process that catches keys. */
  public long process() {
    return listener.number();
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
    close(() -> {});
  }

  private void close(Runnable then) {
    listener.close();
    then.run(); // at once: what is being told just now must not hold up a stop
    telling.shutdown();
  }
}
