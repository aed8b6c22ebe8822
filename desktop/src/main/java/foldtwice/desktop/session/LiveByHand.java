package foldtwice.desktop.session;

import foldtwice.library.Library;
import foldtwice.live.Firing;
import foldtwice.live.Live;
import foldtwice.live.bus.BusException;
import foldtwice.live.program.LiveComputer;
import foldtwice.live.program.LiveProgram;
import foldtwice.live.program.LiveRun;
import foldtwice.live.program.Needed;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.run.Change;
import foldtwice.run.Reply;
import foldtwice.run.Run;
import foldtwice.run.Status;
import foldtwice.run.Trace;
import foldtwice.script.Ecmascript;
import foldtwice.standin.SimulatedComputer;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.Predicate;
import java.util.function.Supplier;
import javafx.application.Platform;

/** Routines run by hand in their real programs, shown beforehand, and taken back. */
public final class LiveByHand {

  private final Session session;
  private final LiveLink link;
  private final AtomicLong numbers;
  private final Consumer<Supplier<Runnable>> later;
  private final Consumer<LiveState.Fired> note;
  private final Predicate<Routine> mayRun;
  private final BooleanSupplier isOn;
  private Runnable onChange = () -> {};
  private volatile LiveRun on;
  private volatile Ran ran;

  /**
   * @param numbers of all that is set off
   * @param later works beside the interface, and shows what came of it
   * @param note tells how one stands
   * @param isOn whether anything runs
   */
  LiveByHand(
      Session session,
      LiveLink link,
      AtomicLong numbers,
      Consumer<Supplier<Runnable>> later,
      Consumer<LiveState.Fired> note,
      Predicate<Routine> mayRun,
      BooleanSupplier isOn) {
    this.session = session;
    this.link = link;
    this.numbers = numbers;
    this.later = later;
    this.note = note;
    this.mayRun = mayRun;
    this.isOn = isOn;
  }

  /** Called when what can be taken back has changed, and nothing else. */
  public void onChange(Runnable show) {
    onChange = show;
  }

  /** Runs a routine in its real program, by hand. */
  public void run(Routine routine) {
    Snapshot now = session.now();
    long mine = numbers.incrementAndGet();
    if (!mayRun.test(routine)) {
      note.accept(
          LiveState.Fired.refused(
              mine,
              Optional.empty(),
              Optional.of(routine),
              new Reply.Refused(Ui.text("live.allowed"), Ui.text("live.dangerous")),
              Optional.of(routine)));
      return;
    }
    later.accept(() -> begin(routine, now, mine));
  }

  private Runnable begin(Routine routine, Snapshot now, long mine) {
    try {
      LiveComputer computer = link.computer(now.library(), now.station());
      Optional<Reply.Refused> lacks = lacks(now.library(), routine, computer);
      if (lacks.isPresent()) {
        return () ->
            note.accept(
                LiveState.Fired.refused(
                    mine, Optional.empty(), Optional.of(routine), lacks.get(), Optional.empty()));
      }
      computer.bringToFront(routine.application());
      ran = new Ran(computer, routine.application());
      Platform.runLater(() -> session.say(Ui.text("said.livebegins", routine.name())));
      on =
          LiveRun.start(
              routine,
              Map.of(),
              Firing.around(now.library(), now.keymap(), computer, Ecmascript.ENGINE),
              standing ->
                  Platform.runLater(
                      () ->
                          note.accept(
                              LiveState.Fired.going(mine, Optional.empty(), routine, standing))));
      return () -> {}; // how it goes is told as it goes
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
      return Optional.of(notRunning(routine.application()));
    }
    return Needed.of(routine, program).stream()
        .findFirst()
        .map(l -> new Reply.Refused(l.expected(), Ui.text("live.atstep", l.number(), l.found())));
  }

  private static Reply.Refused notRunning(String application) {
    return new Reply.Refused(Ui.text("live.isrunning", application), Ui.text("live.notrunning"));
  }

  /**
   * Tells what stands in a routine's way; where nothing does, shows the whole way it would take, on
   * a sketch of its program. Touches nothing.
   */
  public void dry(Routine routine) {
    Snapshot now = session.now();
    long mine = numbers.incrementAndGet();
    later.accept(
        () -> {
          try {
            Optional<Reply.Refused> lacks =
                lacks(now.library(), routine, link.computer(now.library(), now.station()));
            Optional<LiveRun.Standing> way =
                lacks.isPresent() ? Optional.empty() : Optional.of(sketched(routine, now));
            return () -> {
              note.accept(
                  new LiveState.Fired(
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
  record Ran(LiveComputer computer, String application) {}

  /** What ran last, by hand or by a key. */
  void ran(LiveComputer computer, String application) {
    ran = new Ran(computer, application);
  }

  /** Answers what it asks; false when none is on. */
  boolean answer(Map<String, Value> values) {
    LiveRun now = on;
    if (now != null) {
      now.answer(values);
    }
    return now != null;
  }

  /** Ends the one that is on. */
  void stop() {
    LiveRun now = on;
    if (now != null) {
      now.stop();
    }
  }

  /** True when something ran that can be taken back by its program's own undo. */
  public boolean canUndo() {
    return ran != null && !isOn.getAsBoolean();
  }

  /** Takes the last run back by its program's own undo; says in how many steps of it. */
  public void undoRun() {
    Ran last = ran;
    if (last == null) {
      return;
    }
    later.accept(
        () -> {
          Optional<LiveProgram> program =
              Optional.ofNullable(last.computer().programs().get(last.application()));
          Reply reply =
              program.map(LiveProgram::undo).orElseGet(() -> notRunning(last.application()));
          return () -> {
            if (reply instanceof Reply.Done(List<Change> changes)) {
              ran = null;
              session.say(
                  Ui.text("said.liveundone", program.get().name(), changes.getLast().after()));
              onChange.run();
            } else if (reply instanceof Reply.Refused(String expected, String found)) {
              session.say(Ui.text("standin.refused", expected, found));
            }
          };
        });
  }
}
