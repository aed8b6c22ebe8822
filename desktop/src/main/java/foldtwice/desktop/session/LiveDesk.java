package foldtwice.desktop.session;

import foldtwice.binding.Binding;
import foldtwice.library.Edit;
import foldtwice.live.Firing;
import foldtwice.live.Live;
import foldtwice.live.bus.BusException;
import foldtwice.live.program.LiveComputer;
import foldtwice.live.program.LiveRun;
import foldtwice.place.Danger;
import foldtwice.reading.Risk;
import foldtwice.resolve.Claim;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.run.Reply;
import foldtwice.run.Trace;
import foldtwice.script.Ecmascript;
import foldtwice.trigger.Notation;
import foldtwice.trigger.NotationException;
import foldtwice.trigger.Press;
import foldtwice.trigger.Trigger;
import java.io.IOException;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/**
 * The real programs of this computer, as one window works with them: which are running, what was
 * read off one, whether keys are caught, what they set off. Used on the interface thread; whatever
 * asks a program is done in a lane of its own.
 */
public final class LiveDesk implements AutoCloseable {

  private final Session session;
  private final Allowed allowed = new Allowed();
  private final ReadOnlyObjectWrapper<LiveState> state =
      new ReadOnlyObjectWrapper<>(LiveState.UNKNOWN);
  private final Question<LiveState.Reach> looking;
  private Consumer<LiveState.Reach> onLooked = r -> {};
  private final Question<Optional<LiveReading>> reading;
  private Consumer<Optional<LiveReading>> onRead = r -> {};
  private final LiveLink link;
  private volatile Firing firing;
  private final LiveByHand byHand;
  private volatile LiveComputer listened;
  private boolean starting;
  private final AtomicLong numbers = new AtomicLong();

  LiveDesk(Session session) {
    this.session = session;
    Background background = session.background();
    link = new LiveLink(session, this::mayStart);
    byHand =
        new LiveByHand(
            session,
            link,
            numbers,
            this::later,
            this::note,
            r -> mayRun(r, session.now()),
            () -> state().fired().stream().anyMatch(LiveState.Fired::isOn));
    looking =
        background.question(
            Background.Lane.LIVE,
            r -> {
              state.set(state().reaching(r));
              onLooked.accept(r);
            });
    reading = background.question(Background.Lane.LIVE, r -> onRead.accept(r));
  }

  public ReadOnlyObjectProperty<LiveState> stateProperty() {
    return state.getReadOnlyProperty();
  }

  public LiveState state() {
    return state.get();
  }

  /**
   * Looks which programs are running.
   *
   * @param then gets what was seen, once the state has it
   */
  public void look(Consumer<LiveState.Reach> then) {
    onLooked = then;
    looking.anew(link::look);
  }

  /**
   * Reads a running program.
   *
   * @param opening menu paths that open dialogs, to be read too
   * @param then gets what was read; nothing where the program does not answer
   */
  public void read(
      Live.Running running, List<List<String>> opening, Consumer<Optional<LiveReading>> then) {
    onRead = then;
    Snapshot now = session.now();
    reading.anew(
        () -> {
          try {
            return Optional.of(link.read(running, opening, now));
          } catch (Live.Unavailable | BusException e) {
            String why = e.getMessage();
            Platform.runLater(() -> session.say(Ui.text("said.livesilent", running.name(), why)));
            return Optional.empty();
          }
        });
  }

  private volatile List<String> asked = List.of();

  private boolean mayStart(List<String> command) {
    boolean may = allowed.hasCommand(command);
    asked = may ? List.of() : command;
    return may;
  }

  /** The command line that was refused last because nobody allowed it. */
  public Optional<List<String>> commandAsked() {
    return asked.isEmpty() ? Optional.empty() : Optional.of(asked);
  }

  private boolean mayRun(Routine routine, Snapshot now) {
    Danger danger = Risk.of(routine, now.known(), now.library().applications());
    return (danger != Danger.DELETES && danger != Danger.PRINTS) || allowed.has(routine);
  }

  /** Lets a routine run from now on, though it deletes or prints. */
  public void allow(Routine routine) {
    allowed.add(routine);
    session.say(Ui.text("said.allowed", routine.name()));
    state.set(
        state()
            .firing(
                state().fired().stream()
                    .map(f -> f.asks().equals(Optional.of(routine)) ? f.allowed() : f)
                    .toList()));
  }

  /** Lets a command line be started from now on. */
  public void allow(List<String> command) {
    allowed.add(command);
    asked = List.of();
    session.say(Ui.text("said.allowed", String.join(" ", command)));
  }

  /** The emergency stop, as it was chosen. */
  public String stopKeys() {
    return allowed.stopKeys();
  }

  /**
   * Chooses the emergency stop.
   *
   * @return why not; empty when it is taken
   */
  public Optional<String> stopKeys(String keys) {
    try {
      if (Notation.read(keys).strokes().size() != 1 || press(keys).isEmpty()) {
        return Optional.of(Ui.text("live.stopkeys.one"));
      }
    } catch (NotationException e) {
      return Optional.of(e.getMessage());
    }
    allowed.stopKeys(keys);
    return Optional.empty();
  }

  private Optional<Press> press(String keys) {
    return session.now().keymap().paths(Notation.read(keys)).stream()
        .findFirst()
        .flatMap(p -> p.getFirst() instanceof Press press ? Optional.of(press) : Optional.empty());
  }

  /** Works in the lane, and shows what came of it: none of this is ever dropped. */
  private void later(Supplier<Runnable> work) {
    session.background().once(Background.Lane.LIVE, work, Runnable::run);
  }

  public boolean isListening() {
    return state().caught().isPresent();
  }

  /** True while keys are caught, or something runs. */
  public boolean isBusy() {
    return isListening() || state().fired().stream().anyMatch(LiveState.Fired::isOn);
  }

  /** Starts to listen for the keys of the library. */
  public void listen() {
    Snapshot now = session.now();
    Optional<Press> stop = press(stopKeys());
    if (isListening() || starting || stop.isEmpty() || !now.library().live()) {
      return;
    }
    starting = true;
    session.say(Ui.text("said.listenstarts"));
    later(() -> begin(now, stop.get()));
  }

  private Runnable begin(Snapshot now, Press stop) {
    try {
      LiveComputer computer = link.computer(now.library(), now.station());
      listened = computer;
      Firing begun =
          Firing.start(
              now.library(),
              now.station(),
              computer,
              link.where(),
              stop,
              Ecmascript.ENGINE,
              r -> mayRun(r, now),
              tells());
      firing = begun;
      return () -> {
        int caught = begun.caught().size();
        starting = false;
        state.set(state().catching(Optional.of(caught)));
        session.pads().follow(session.now());
        session.pads().live(Optional.of(new LivePads(session, begun)));
        session.say(Ui.text("said.listening", caught, stopKeys()));
      };
    } catch (Live.Unavailable | BusException | IOException e) {
      String why = e.getMessage();
      return () -> {
        starting = false;
        session.say(Ui.text("said.nolisten", why));
      };
    }
  }

  /** Lets what is in the library run in real programs, or not; one undo takes it back. */
  public void allowLive(boolean allowed) {
    session.make(
        new Edit.AllowLive(allowed), Ui.text(allowed ? "said.liveallowed" : "said.liveforbidden"));
  }

  /** Presses of a binding that another program has caught, so that they cannot fire live. */
  public Set<Press> takenOf(Binding binding) {
    Set<Press> taken = state().taken();
    Set<Press> mine = new HashSet<>();
    if (!taken.isEmpty()) {
      for (Trigger t : binding.triggers()) {
        session.now().keymap().paths(t).stream()
            .map(List::getFirst)
            .forEach(
                s -> {
                  if (s instanceof Press press && taken.contains(press)) {
                    mine.add(press);
                  }
                });
      }
    }
    return mine;
  }

  /** Follows the library while it listens. */
  void follow(Snapshot now) {
    Firing on = firing;
    if (!now.library().live()) {
      stop();
      return;
    }
    if (on != null && isListening()) {
      session
          .background()
          .once(
              Background.Lane.LIVE,
              () -> {
                on.follow(now.library(), now.station());
                return on.caught().size();
              },
              caught -> {
                if (isListening()) {
                  state.set(state().catching(Optional.of(caught)));
                }
              });
    }
  }

  /** Gives all keys back, and ends what runs. */
  public void stop() {
    Firing was = firing;
    firing = null;
    byHand.stop();
    if (was != null) {
      session
          .background()
          .once(
              Background.Lane.LIVE,
              () -> {
                was.close();
                return true;
              },
              done -> ended(Ui.text("said.listenstopped")));
    }
  }

  private void ended(String says) {
    session.pads().live(Optional.empty());
    firing = null;
    state.set(state().catching(Optional.empty()));
    session.say(says);
  }

  /** Runs of a routine by hand. */
  public LiveByHand byHand() {
    return byHand;
  }

  /** Answers what the run that is on asks. */
  public void answer(LiveState.Fired fired, Map<String, Value> values) {
    boolean hand = fired.binding().isEmpty() && byHand.answer(values);
    if (!hand && firing != null) {
      firing.answer(values);
    }
  }

  private void note(LiveState.Fired fired) {
    state.set(state().with(fired));
    fired
        .standing()
        .filter(s -> s.isOver() && !fired.onlyShown())
        .ifPresent(s -> over(fired, s.trace()));
  }

  private void over(LiveState.Fired fired, Trace trace) {
    String named = fired.routine().map(Routine::name).orElse("");
    if (!(trace.ending() instanceof Trace.GivenUp)) { // that was said by whoever stopped it
      session.say(Ui.text(trace.wentWell() ? "said.livewell" : "said.livenot", named));
    }
    if (fired.binding().isPresent() && fired.routine().isPresent()) {
      session.proofs().ranLive(fired.binding().get(), fired.routine().get(), trace.wentWell());
    }
  }

  private Firing.Tells tells() {
    return new Firing.Tells() {
      private volatile long on;

      @Override
      public void begins(Binding binding, Routine routine) {
        byHand.ran(listened, routine.application());
        on = numbers.incrementAndGet();
      }

      @Override
      public void goes(Binding binding, Routine routine, LiveRun.Standing standing) {
        long mine = on;
        Platform.runLater(
            () -> note(LiveState.Fired.going(mine, Optional.of(binding), routine, standing)));
      }

      @Override
      public void refused(Binding binding, String expected, String found) {
        Platform.runLater(
            () -> {
              Optional<Routine> routine = session.now().library().routineOf(binding);
              note(
                  LiveState.Fired.refused(
                      numbers.incrementAndGet(),
                      Optional.of(binding),
                      routine,
                      new Reply.Refused(expected, found),
                      routine.filter(r -> !mayRun(r, session.now()))));
            });
      }

      @Override
      public void undecided(List<Claim> claims) {
        Platform.runLater(() -> session.say(Ui.text("said.liveundecided", claims.size())));
      }

      @Override
      public void taken(Set<Press> presses) {
        Platform.runLater(
            () -> {
              state.set(state().taken(presses));
            });
      }

      @Override
      public void ended(String why) {
        Platform.runLater(
            () -> LiveDesk.this.ended(why.isEmpty() ? Ui.text("said.emergency") : why));
      }
    };
  }

  @Override
  public void close() {
    Firing was = firing;
    if (was != null) {
      was.close();
    }
    link.forget();
  }
}
