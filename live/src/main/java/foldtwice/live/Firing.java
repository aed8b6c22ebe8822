package foldtwice.live;

import foldtwice.binding.Binding;
import foldtwice.library.Library;
import foldtwice.live.listen.Catching;
import foldtwice.live.listen.Listening;
import foldtwice.live.program.LiveComputer;
import foldtwice.live.program.LiveKeys;
import foldtwice.live.program.LiveProgram;
import foldtwice.live.program.LiveRun;
import foldtwice.live.program.Needed;
import foldtwice.live.say.Say;
import foldtwice.place.Place;
import foldtwice.place.Station;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Keymap;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.run.Aim;
import foldtwice.run.Around;
import foldtwice.run.Scripts;
import foldtwice.run.Trial;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Press;
import foldtwice.trigger.Signal;
import foldtwice.trigger.Trigger;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Predicate;

/**
 * The keys of a library fired for real: what they set off is run in the real programs, one run at a
 * time. The emergency stop ends the run that is on and gives all keys back.
 */
public final class Firing implements AutoCloseable {

  /** Hears what happens, on threads of its own. */
  public interface Tells {

    /** A binding fired, and its routine runs. */
    void begins(Binding binding, Routine routine);

    /** How the run stands. */
    void goes(Binding binding, Routine routine, LiveRun.Standing standing);

    /** A binding fired, and nothing was done. */
    void refused(Binding binding, String expected, String found);

    /** Several bindings claim the same keys. */
    void undecided(List<Claim> claims);

    /** Another program has caught these before. */
    void taken(Set<Press> presses);

    /**
     * Nothing is caught any more.
     *
     * @param why in words; empty after the emergency stop
     */
    void ended(String why);
  }

  /** A program that begins is looked for after so many milliseconds, and so many more. */
  private static final List<Long> STARTS =
      List.of(0L, 400L, 1_000L, 2_000L, 4_000L, 8_000L, 16_000L);

  private final LiveComputer computer;
  private final Scripts scripts;
  private final Predicate<Routine> may;
  private final Tells tells;
  private final AtomicReference<LiveRun> on = new AtomicReference<>();
  private volatile long front;
  private volatile Library library;
  private volatile Keymap keymap;
  private volatile Listening listening;

  private Firing(LiveComputer computer, Scripts scripts, Predicate<Routine> may, Tells tells) {
    this.computer = computer;
    this.scripts = scripts;
    this.may = may;
    this.tells = tells;
  }

  /**
   * Starts to listen.
   *
   * @param stop the emergency stop
   * @param may asked before a routine runs; says no to what a person has to allow first
   * @throws IOException when no keys can be caught here
   */
  public static Firing start(
      Library library,
      Station station,
      LiveComputer computer,
      Live.Where where,
      Press stop,
      Scripts scripts,
      Predicate<Routine> may,
      Tells tells)
      throws IOException {
    Firing firing = new Firing(computer, scripts, may, tells);
    computer.programs().values().forEach(LiveProgram::place); // the first time takes longest
    Catching catching = firing.take(library, station);
    firing.listening =
        Listening.start(where.display(), stop, catching, firing.place(), firing.hears());
    return firing;
  }

  private Catching take(Library next, Station station) {
    Catching catching = Catching.of(next, station);
    library = next;
    keymap = Keymap.of(next, station);
    return catching;
  }

  /** Another state of the library. */
  public void follow(Library next, Station station) {
    listening.catches(take(next, station));
  }

  private Listening.Where place() {
    return new Listening.Where() {
      @Override
      public Optional<Place> state(long process) {
        return computer.programs().values().stream()
            .filter(p -> p.process() == process)
            .findFirst()
            .map(LiveProgram::place);
      }

      @Override
      public long front() {
        return computer.live().map(LiveProgram::process).orElse(0L);
      }

      @Override
      public Optional<Long> process(String application) {
        return Optional.ofNullable(computer.programs().get(application)).map(LiveProgram::process);
      }
    };
  }

  private Listening.Hears hears() {
    return new Listening.Hears() {
      @Override
      public void fires(String binding, Optional<Press> by) {
        Binding fired = library.bindings().get(binding);
        fire(fired);
        if (by.isPresent() && fired.fitting().repeats() > 0) {
          aside(() -> repeat(fired, by.get()));
        }
      }

      @Override
      public void undecided(List<Claim> claims) {
        tells.undecided(claims);
      }

      @Override
      public void taken(Set<Press> presses) {
        tells.taken(presses);
      }

      @Override
      public void front(long process) {
        front = process;
        aside(() -> meet(process));
      }

      @Override
      public void stopped() {
        stop();
        tells.ended("");
      }

      @Override
      public void ended(String why) {
        stop();
        tells.ended(why.isEmpty() ? Say.text("listenerended") : why);
      }
    };
  }

  /**
   * Whose window came to the front may have been started just now: its keys are caught as soon as
   * it tells of itself.
   */
  private void meet(long process) {
    try {
      for (long wait : STARTS) {
        Thread.sleep(wait);
        boolean isKnown =
            computer.programs().values().stream().anyMatch(p -> p.process() == process);
        if (isKnown || front != process || process == 0) {
          return;
        }
        Listening now = listening;
        if (computer.look() && now != null) {
          now.again();
        }
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private void fire(Binding binding) {
    Optional<Routine> routine = library.routineOf(binding);
    if (routine.isEmpty()) {
      tells.refused(binding, Say.text("routine"), binding.routine());
      return;
    }
    LiveRun now = on.get();
    if (now != null && !(now.standing() != null && now.standing().isOver())) {
      tells.refused(binding, Say.text("oneatatime"), Say.text("isrunning"));
    } else {
      run(binding, routine.get());
    }
  }

  /** Fires again and again while the key stays down, as long as each run goes well. */
  private void repeat(Binding binding, Press press) {
    try {
      Thread.sleep(Trial.REPEAT_DELAY_MILLIS);
      while (listening.isDown(press)) {
        LiveRun last = on.get();
        LiveRun.Standing standing = last == null ? null : last.standing();
        if (standing != null && standing.isOver()) {
          if (standing.trace().endedBadly()) {
            return; // else it would run into the same again and again
          }
          fire(binding);
        }
        Thread.sleep(1000 / binding.fitting().repeats());
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private void run(Binding binding, Routine routine) {
    Optional<Refused> refused = refused(routine);
    if (refused.isPresent()) {
      tells.refused(binding, refused.get().expected(), refused.get().found());
      return;
    }
    computer.hold(Modifiers.NONE); // those of the trigger must not get among what is sent
    tells.begins(binding, routine);
    on.set(
        LiveRun.start(
            binding.asked(routine),
            binding.arguments(),
            around(),
            standing -> tells.goes(binding, routine, standing)));
  }

  private record Refused(String expected, String found) {}

  private Optional<Refused> refused(Routine routine) {
    if (!may.test(routine)) {
      return Optional.of(new Refused(Say.text("mayrun"), Say.text("notallowed", routine.name())));
    }
    Optional<LiveProgram> program =
        Aim.program(routine, computer)
            .flatMap(p -> Optional.ofNullable(computer.programs().get(p.application())));
    if (program.isEmpty()) {
      return Optional.of(
          new Refused(Say.text("running", routine.application()), Say.text("notrunning")));
    }
    return Needed.of(routine, program.get()).stream()
        .findFirst()
        .map(l -> new Refused(l.expected(), Say.text("atstep", l.number(), l.found())));
  }

  /** What surrounds runs on this computer. */
  public Around around() {
    return around(library, keymap, computer, scripts);
  }

  /** What surrounds runs of a library on this computer. */
  public static Around around(
      Library library, Keymap keymap, LiveComputer computer, Scripts scripts) {
    return new Around(
        computer,
        id -> Optional.ofNullable(library.routines().get(id)),
        id -> Optional.ofNullable(library.applications().get(id)),
        new LiveKeys(library, keymap),
        scripts,
        false);
  }

  /**
   * Something was done on a device, or with the pointer; what it sets off is told. Returns at once.
   */
  public void signal(Signal signal) {
    aside(() -> listening.signal(signal));
  }

  /** A device types keys of itself: they go where a hand's would. Returns at once. */
  public void strike(Trigger.Keys keys) {
    aside(
        () ->
            keymap.paths(keys).stream()
                .findFirst()
                .ifPresent(
                    path ->
                        path.forEach(
                            s -> {
                              if (s instanceof Press p) {
                                computer.strike(p);
                              }
                            })));
  }

  private static void aside(Runnable what) {
    Thread.ofVirtual().name("live signal").start(what);
  }

  /** Answers what the run that is on asks. */
  public void answer(Map<String, Value> values) {
    Optional.ofNullable(on.get()).ifPresent(r -> r.answer(values));
  }

  /** Ends the run that is on. */
  public void stop() {
    Optional.ofNullable(on.get()).ifPresent(LiveRun::stop);
  }

  /** What is caught. */
  public Set<Press> caught() {
    return listening.caught();
  }

  /** Gives all keys back; the run that is on ends. */
  @Override
  public void close() {
    listening.close();
    stop();
  }
}
