package foldtwice.desktop.session;

import foldtwice.binding.Binding;
import foldtwice.known.Facts;
import foldtwice.library.Edit;
import foldtwice.library.Ids;
import foldtwice.library.Library;
import foldtwice.live.Firing;
import foldtwice.live.Live;
import foldtwice.live.bus.BusException;
import foldtwice.live.program.LiveComputer;
import foldtwice.live.program.LiveProgram;
import foldtwice.live.program.LiveRun;
import foldtwice.live.program.Needed;
import foldtwice.live.survey.Describing;
import foldtwice.live.survey.Proposal;
import foldtwice.live.survey.Survey;
import foldtwice.place.Application;
import foldtwice.place.Danger;
import foldtwice.place.Station;
import foldtwice.reading.Risk;
import foldtwice.resolve.Claim;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.run.Change;
import foldtwice.run.Reply;
import foldtwice.run.Run;
import foldtwice.run.Status;
import foldtwice.run.Trace;
import foldtwice.script.Ecmascript;
import foldtwice.standin.SimulatedComputer;
import foldtwice.standin.StandIns;
import foldtwice.surface.Device;
import foldtwice.surface.Page;
import foldtwice.trigger.Motion;
import foldtwice.trigger.Notation;
import foldtwice.trigger.NotationException;
import foldtwice.trigger.Press;
import foldtwice.trigger.Trigger;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.scene.input.Clipboard;

/**
 * The real programs of this computer, as one window works with them: which are running, what was
 * read off one, whether keys are caught, what they set off. Used on the interface thread; whatever
 * asks a program is done in a lane of its own.
 */
public final class LiveDesk implements AutoCloseable {

  private static final int MOST_FIRED = 20;

  /** Where the desktop is reached; for tests another than that of the environment. */
  private final Live.Where where =
      new Live.Where(
          Optional.ofNullable(System.getProperty("foldtwice.live.session")),
          Optional.ofNullable(System.getProperty("foldtwice.live.display")));

  /** Whether there are programs to be worked. */
  public sealed interface Reach {

    /** Nobody looked yet. */
    record Unknown() implements Reach {}

    record There(List<Live.Running> running) implements Reach {
      public There {
        running = List.copyOf(running);
      }
    }

    record Not(String why) implements Reach {}
  }

  /**
   * Something that was set off.
   *
   * @param binding that fired; none where a routine was run by hand
   * @param refused why nothing was done
   * @param asks the routine a person has to allow before it runs
   * @param onlyShown true for what would come of it, on a sketch of its program
   */
  public record Fired(
      long number,
      Optional<Binding> binding,
      Optional<Routine> routine,
      Optional<LiveRun.Standing> standing,
      Optional<Reply.Refused> refused,
      Optional<Routine> asks,
      boolean onlyShown) {

    /** True while it goes on. */
    public boolean isOn() {
      return refused.isEmpty() && standing.filter(LiveRun.Standing::isOver).isEmpty();
    }

    /** What it wants to know. */
    public Optional<Status.Asking> asking() {
      return standing
          .map(LiveRun.Standing::status)
          .flatMap(s -> s instanceof Status.Asking a ? Optional.of(a) : Optional.empty());
    }
  }

  /**
   * How things stand.
   *
   * @param caught how many keys are caught; none while nobody listens
   * @param taken those another program has
   * @param fired the last first
   */
  public record State(Reach reach, Optional<Integer> caught, Set<Press> taken, List<Fired> fired) {
    public State {
      taken = Set.copyOf(taken);
      fired = List.copyOf(fired);
    }
  }

  /**
   * What was read off a program, against what the library says of it.
   *
   * @param conflicts how many there would be that are not there now
   * @param touched the names of the routines that choose something that is gone
   */
  public record Reading(
      Live.Running running, Survey survey, Proposal proposal, int conflicts, List<String> touched) {
    public Reading {
      touched = List.copyOf(touched);
    }
  }

  private final Session session;
  private final Allowed allowed = new Allowed();
  private final ReadOnlyObjectWrapper<State> state =
      new ReadOnlyObjectWrapper<>(
          new State(new Reach.Unknown(), Optional.empty(), Set.of(), List.of()));
  private final Question<Reach> looking;
  private final Question<Optional<Reading>> reading;
  private final Question<Runnable> working;
  private Consumer<Optional<Reading>> onRead = r -> {};
  private Live live;
  private volatile Firing firing;
  private volatile LiveRun byHand;
  private volatile LiveComputer listened;
  private final AtomicLong numbers = new AtomicLong();

  LiveDesk(Session session) {
    this.session = session;
    Background background = session.background();
    looking = background.question(Background.Lane.LIVE, this::reached);
    reading = background.question(Background.Lane.LIVE, r -> onRead.accept(r));
    working = background.question(Background.Lane.LIVE, Runnable::run);
  }

  public ReadOnlyObjectProperty<State> stateProperty() {
    return state.getReadOnlyProperty();
  }

  public State state() {
    return state.get();
  }

  private void put(Reach reach, Optional<Integer> caught, Set<Press> taken, List<Fired> fired) {
    state.set(new State(reach, caught, taken, fired));
  }

  private synchronized Live live() throws Live.Unavailable {
    if (live == null) {
      live = Live.open(where);
    }
    return live;
  }

  private Reach look() {
    try {
      return new Reach.There(live().running());
    } catch (Live.Unavailable e) {
      return new Reach.Not(e.getMessage());
    } catch (BusException e) {
      forget();
      return new Reach.Not(e.getMessage());
    }
  }

  private synchronized void forget() {
    if (live != null) {
      live.close();
      live = null;
    }
  }

  private void reached(Reach reach) {
    State now = state();
    put(reach, now.caught(), now.taken(), now.fired());
  }

  /** Looks which programs are running. */
  public void lookAgain() {
    looking.anew(this::look);
  }

  /**
   * Reads a running program.
   *
   * @param opening menu paths that open dialogs, to be read too
   * @param then gets what was read; nothing where the program does not answer
   */
  public void read(
      Live.Running running, List<List<String>> opening, Consumer<Optional<Reading>> then) {
    onRead = then;
    Snapshot now = session.now();
    reading.anew(() -> read(running, opening, now));
  }

  private Optional<Reading> read(Live.Running running, List<List<String>> opening, Snapshot now) {
    try {
      Survey survey = live().survey(running);
      for (List<String> path : opening) {
        survey = survey.with(live().dialog(running, path));
      }
      Library library = now.library();
      Optional<Application> known =
          library.applications().values().stream().filter(running::is).findFirst();
      Proposal proposal =
          known.isPresent()
              ? Describing.of(known.get(), library.description(known.get().id()), survey)
              : Describing.anew(
                  Ids.free(running.id(), library.applications()::containsKey), survey);
      return Optional.of(
          new Reading(
              running,
              survey,
              proposal,
              LiveEffects.conflicts(now, proposal),
              LiveEffects.touched(library, proposal)));
    } catch (Live.Unavailable | BusException e) {
      String why = e.getMessage();
      Platform.runLater(() -> session.say(Ui.text("said.livesilent", running.name(), why)));
      return Optional.empty();
    }
  }

  private LiveComputer computer(Library library, Station station)
      throws Live.Unavailable, BusException {
    var programs = StandIns.on(station, library);
    Function<Application, Facts> facts = a -> programs.get(a.id()).facts();
    Path folder = session.store().file().toAbsolutePath().getParent();
    return live()
        .computer(
            library,
            facts,
            new LiveComputer.Outside(
                session::beside, LiveDesk::clipboard, Optional.of(folder), this::mayStart));
  }

  private static String clipboard() {
    CompletableFuture<String> text = new CompletableFuture<>();
    Platform.runLater(
        () -> {
          String held = Clipboard.getSystemClipboard().getString();
          text.complete(held == null ? "" : held);
        });
    try {
      return text.get(1, TimeUnit.SECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return "";
    } catch (ExecutionException | TimeoutException e) {
      return "";
    }
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
    State now = state();
    put(
        now.reach(),
        now.caught(),
        now.taken(),
        now.fired().stream()
            .map(
                f ->
                    f.asks().equals(Optional.of(routine))
                        ? new Fired(
                            f.number(),
                            f.binding(),
                            f.routine(),
                            f.standing(),
                            f.refused(),
                            Optional.empty(),
                            f.onlyShown())
                        : f)
            .toList());
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

  public boolean isListening() {
    return state().caught().isPresent();
  }

  /** True while keys are caught, or something runs. */
  public boolean isBusy() {
    return isListening() || state().fired().stream().anyMatch(Fired::isOn);
  }

  /** Starts to listen for the keys of the library. */
  public void listen() {
    Snapshot now = session.now();
    Optional<Press> stop = press(stopKeys());
    if (isListening() || working.isUnderWay() || stop.isEmpty() || !now.library().live()) {
      return;
    }
    session.say(Ui.text("said.listenstarts"));
    working.anew(() -> begin(now, stop.get()));
  }

  private Runnable begin(Snapshot now, Press stop) {
    try {
      LiveComputer computer = computer(now.library(), now.station());
      listened = computer;
      Firing begun =
          Firing.start(
              now.library(),
              now.station(),
              computer,
              where,
              stop,
              Ecmascript.ENGINE,
              r -> mayRun(r, now),
              tells());
      firing = begun;
      return () -> {
        int caught = begun.caught().size();
        State was = state();
        put(was.reach(), Optional.of(caught), was.taken(), was.fired());
        session.pads().follow(session.now());
        session.pads().live(Optional.of(pads(begun)));
        session.say(Ui.text("said.listening", caught, stopKeys()));
      };
    } catch (Live.Unavailable | BusException | IOException e) {
      String why = e.getMessage();
      return () -> session.say(Ui.text("said.nolisten", why));
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
                State was = state();
                if (was.caught().isPresent()) {
                  put(was.reach(), Optional.of(caught), was.taken(), was.fired());
                }
              });
    }
  }

  /** Gives all keys back, and ends what runs. */
  public void stop() {
    Firing was = firing;
    firing = null;
    LiveRun hand = byHand;
    if (hand != null) {
      hand.stop();
    }
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

  /** What is done on devices goes to the real programs while it listens. */
  private PadHand pads(Firing to) {
    return new PadHand() {
      @Override
      public void key(Device device, String key, Trigger.Duration way) {
        Page page = page(device);
        Optional<Page.Sends> sends =
            way == Trigger.Duration.TAP ? page.sends(key) : Optional.empty();
        if (sends.isEmpty()) {
          to.signal(new Motion(new Trigger.PadKey(device.id(), page.id(), key, way)));
          return;
        }
        switch (sends.get()) {
          case Page.Sends.Turn(String next) -> {
            session.pages().put(device.id(), next);
            session.say(Ui.text("said.liveturned", device.name(), page(device).name()));
          }
          case Page.Sends.Chord(Trigger.Keys keys) -> to.strike(keys);
        }
      }

      @Override
      public boolean down(Device device, String key) {
        return false;
      }

      @Override
      public void up() {}

      @Override
      public void dial(Device device, String dial, Trigger.Turn turn) {
        to.signal(new Motion(new Trigger.Dial(device.id(), page(device).id(), dial, turn)));
      }
    };
  }

  private Page page(Device device) {
    return Optional.ofNullable(session.pages().get(device.id()))
        .flatMap(device::page)
        .orElse(device.firstPage());
  }

  private void ended(String says) {
    session.pads().live(Optional.empty());
    firing = null;
    State was = state();
    put(was.reach(), Optional.empty(), Set.of(), was.fired());
    session.say(says);
  }

  /** Runs a routine in its real program, by hand. */
  public void run(Routine routine) {
    Snapshot now = session.now();
    long mine = numbers.incrementAndGet();
    if (!mayRun(routine, now)) {
      note(
          new Fired(
              mine,
              Optional.empty(),
              Optional.of(routine),
              Optional.empty(),
              Optional.of(new Reply.Refused(Ui.text("live.allowed"), Ui.text("live.dangerous"))),
              Optional.of(routine),
              false));
      return;
    }
    working.anew(() -> begin(routine, now, mine));
  }

  private Runnable begin(Routine routine, Snapshot now, long mine) {
    try {
      LiveComputer computer = computer(now.library(), now.station());
      Optional<Reply.Refused> lacks = lacks(now.library(), routine, computer);
      if (lacks.isPresent()) {
        return () ->
            note(
                new Fired(
                    mine,
                    Optional.empty(),
                    Optional.of(routine),
                    Optional.empty(),
                    lacks,
                    Optional.empty(),
                    false));
      }
      computer.bringToFront(routine.application());
      ran = new Ran(computer, routine.application());
      byHand =
          LiveRun.start(
              routine,
              Map.of(),
              Firing.around(now.library(), now.keymap(), computer, Ecmascript.ENGINE),
              standing ->
                  Platform.runLater(
                      () ->
                          note(
                              new Fired(
                                  mine,
                                  Optional.empty(),
                                  Optional.of(routine),
                                  Optional.of(standing),
                                  Optional.empty(),
                                  Optional.empty(),
                                  false))));
      return () -> session.say(Ui.text("said.livebegins", routine.name()));
    } catch (Live.Unavailable | BusException e) {
      String why = e.getMessage();
      return () -> session.say(Ui.text("said.livesilent", routine.name(), why));
    }
  }

  private static Optional<Reply.Refused> lacks(
      Library library, Routine routine, LiveComputer computer) {
    if (!library.live()) {
      return Optional.of(new Reply.Refused(Ui.text("live.isallowed"), Ui.text("live.isforbidden")));
    }
    LiveProgram program = computer.programs().get(routine.application());
    if (program == null) {
      return Optional.of(
          new Reply.Refused(
              Ui.text("live.isrunning", routine.application()), Ui.text("live.notrunning")));
    }
    return Needed.of(routine, program).stream()
        .findFirst()
        .map(l -> new Reply.Refused(l.expected(), Ui.text("live.atstep", l.number(), l.found())));
  }

  /**
   * Tells what stands in a routine's way; where nothing does, shows the whole way it would take, on
   * a sketch of its program. Touches nothing.
   */
  public void dry(Routine routine) {
    Snapshot now = session.now();
    long mine = numbers.incrementAndGet();
    working.anew(
        () -> {
          try {
            Optional<Reply.Refused> lacks =
                lacks(now.library(), routine, computer(now.library(), now.station()));
            Optional<LiveRun.Standing> way =
                lacks.isPresent() ? Optional.empty() : Optional.of(sketched(routine, now));
            return () -> {
              note(
                  new Fired(
                      mine,
                      Optional.empty(),
                      Optional.of(routine),
                      way,
                      lacks,
                      Optional.empty(),
                      true));
              session.say(
                  lacks
                      .map(l -> Ui.text("said.livelacks", routine.name(), l.expected(), l.found()))
                      .orElseGet(() -> Ui.text("said.livecould", routine.name())));
            };
          } catch (Live.Unavailable | BusException e) {
            String why = e.getMessage();
            return () -> session.say(Ui.text("said.livesilent", routine.name(), why));
          }
        });
  }

  private LiveRun.Standing sketched(Routine routine, Snapshot now) {
    Trace trace =
        Run.of(
                routine,
                Map.of(),
                SimulatedComputer.apart(now.subject(), session::beside, Ecmascript.ENGINE))
            .toEnd();
    return new LiveRun.Standing(trace, new Status.Over(trace));
  }

  /** What ran last for real, and in which program. */
  private record Ran(LiveComputer computer, String application) {}

  private volatile Ran ran;

  /** True when something ran that can be taken back by its program's own undo. */
  public boolean canUndo() {
    return ran != null && state().fired().stream().noneMatch(Fired::isOn);
  }

  /** Takes the last run back by its program's own undo; says in how many steps of it. */
  public void undoRun() {
    Ran last = ran;
    if (last == null) {
      return;
    }
    working.anew(
        () -> {
          LiveProgram program = last.computer().programs().get(last.application());
          Reply reply = program.undo();
          return () -> {
            if (reply instanceof Reply.Done(List<Change> changes)) {
              ran = null;
              session.say(Ui.text("said.liveundone", program.name(), changes.getLast().after()));
              State was = state(); // what can be done now is another thing
              put(was.reach(), was.caught(), was.taken(), List.copyOf(was.fired()));
            } else if (reply instanceof Reply.Refused(String expected, String found)) {
              session.say(Ui.text("standin.refused", expected, found));
            }
          };
        });
  }

  /** Answers what the run that is on asks. */
  public void answer(Fired fired, Map<String, Value> values) {
    if (fired.binding().isEmpty() && byHand != null) {
      byHand.answer(values);
    } else if (firing != null) {
      firing.answer(values);
    }
  }

  private void note(Fired fired) {
    State was = state();
    List<Fired> all = new ArrayList<>(was.fired());
    boolean there = false;
    for (int i = 0; i < all.size(); i++) {
      if (all.get(i).number() == fired.number()) {
        all.set(i, fired);
        there = true;
      }
    }
    if (!there) {
      all.addFirst(fired);
    }
    put(
        was.reach(),
        was.caught(),
        was.taken(),
        all.size() > MOST_FIRED ? all.subList(0, MOST_FIRED) : all);
    fired.standing().filter(LiveRun.Standing::isOver).ifPresent(s -> over(fired, s.trace()));
  }

  private void over(Fired fired, Trace trace) {
    String named = fired.routine().map(Routine::name).orElse("");
    if (!(trace.ending() instanceof Trace.GivenUp)) { // that was said by whoever stopped it
      session.say(Ui.text(trace.wentWell() ? "said.livewell" : "said.livenot", named));
    }
    if (fired.binding().isPresent() && fired.routine().isPresent()) {
      session.proveLive(fired.binding().get(), fired.routine().get(), trace.wentWell());
    }
  }

  private Firing.Tells tells() {
    return new Firing.Tells() {
      private volatile long on;

      @Override
      public void begins(Binding binding, Routine routine) {
        ran = new Ran(listened, routine.application());
        on = numbers.incrementAndGet();
      }

      @Override
      public void goes(Binding binding, Routine routine, LiveRun.Standing standing) {
        long mine = on;
        Platform.runLater(
            () ->
                note(
                    new Fired(
                        mine,
                        Optional.of(binding),
                        Optional.of(routine),
                        Optional.of(standing),
                        Optional.empty(),
                        Optional.empty(),
                        false)));
      }

      @Override
      public void refused(Binding binding, String expected, String found) {
        Platform.runLater(
            () -> {
              Optional<Routine> routine = session.now().library().routineOf(binding);
              note(
                  new Fired(
                      numbers.incrementAndGet(),
                      Optional.of(binding),
                      routine,
                      Optional.empty(),
                      Optional.of(new Reply.Refused(expected, found)),
                      routine.filter(r -> !mayRun(r, session.now())),
                      false));
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
              State was = state();
              put(was.reach(), was.caught(), presses, was.fired());
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
    forget();
  }
}
