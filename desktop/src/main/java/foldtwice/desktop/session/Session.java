package foldtwice.desktop.session;

import foldtwice.binding.Binding;
import foldtwice.binding.Proof;
import foldtwice.conflict.Audit;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.Subject;
import foldtwice.known.Known;
import foldtwice.library.Acceptance;
import foldtwice.library.Edit;
import foldtwice.library.History;
import foldtwice.library.Ids;
import foldtwice.library.Library;
import foldtwice.library.ProgramFile;
import foldtwice.library.Returning;
import foldtwice.library.Surroundings;
import foldtwice.library.file.Backups;
import foldtwice.library.file.LibraryStore;
import foldtwice.place.Station;
import foldtwice.reading.Readings;
import foldtwice.ready.Heard;
import foldtwice.ready.Remembering;
import foldtwice.ready.Setup;
import foldtwice.resolve.Keymap;
import foldtwice.routine.Value;
import foldtwice.run.Computer;
import foldtwice.run.Run;
import foldtwice.run.Trial;
import foldtwice.script.Ecmascript;
import foldtwice.sheet.Demonstration;
import foldtwice.sheet.Sheet;
import foldtwice.standin.SimulatedComputer;
import foldtwice.standin.StandIns;
import foldtwice.standin.base.StandIn;
import java.io.IOException;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;

/**
 * One window's state. Used on the interface thread only; what takes long is done elsewhere and
 * comes back as a new {@link Snapshot}.
 */
public final class Session implements AutoCloseable {

  private final OnDisk disk;
  private final FileAsking files;
  private final ReadOnlyObjectWrapper<Snapshot> now = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyStringWrapper said = new ReadOnlyStringWrapper("");
  private final Computers computers;
  private final Map<String, String> pages = new LinkedHashMap<>();
  private final Background background = new Background(this::say);
  private final Audits audits;
  private final Hearing hearing = new Hearing();
  private final ReadOnlyStringWrapper chosen = new ReadOnlyStringWrapper("");
  private final Question<Elsewhere> choosing =
      background.question(Background.Lane.WORK, this::arrive, why -> stay());
  private final Guests guests;
  private final Optional<Instant> lastHere;
  private final Runs runs = new Runs(run -> Answers.keep(this, run));
  private final Proofs proofs = new Proofs(this, this::prove);
  private final Needs needs = new Needs(this, this::setUp);
  private final Recorder recorder = new Recorder(this);
  private final Proposals proposals = new Proposals(this);
  private final Learning learning = new Learning(background);
  private final MidiInputs pads = new MidiInputs(this);
  private final LiveDesk live = new LiveDesk(this);

  /** A library as it is on a station. */
  private record Elsewhere(Library library, Station station, Keymap keymap) {}

  public Session(LibraryStore store) {
    this(store, FileAsking.DIALOGS);
  }

  /**
   * @param files asks for files and folders
   */
  public Session(LibraryStore store, FileAsking files) {
    this.disk = new OnDisk(store, this::say);
    this.files = files;
    computers = new Computers(store.library(), () -> store().file());
    audits = new Audits(background, found -> now.set(now().with(found)));
    Station first = store.library().stations().values().iterator().next();
    publish(store.history(), first, Keymap.of(store.library(), first));
    audits.look(now().subject());
    guests = new Guests(this);
    LastHere here = new LastHere(store.file());
    lastHere = here.when();
    here.now();
    WarmUp.START.run();
  }

  /** When this person was in the library before; empty for the first time. */
  public Optional<Instant> lastHere() {
    return lastHere;
  }

  /** Who is a guest in the library. */
  public Guests guests() {
    return guests;
  }

  public ReadOnlyObjectProperty<Snapshot> nowProperty() {
    return now.getReadOnlyProperty();
  }

  public Snapshot now() {
    return now.get();
  }

  /** The id of the station that was chosen: the one in view, or one that is on its way there. */
  public ReadOnlyStringProperty chosenProperty() {
    return chosen.getReadOnlyProperty();
  }

  /** What was done last, for the foot of the window. */
  public ReadOnlyStringProperty saidProperty() {
    return said.getReadOnlyProperty();
  }

  public void say(String what) {
    said.set(what);
  }

  public boolean mayWrite() {
    return store().mayWrite();
  }

  /** Its file. */
  public OnDisk disk() {
    return disk;
  }

  public FileAsking files() {
    return files;
  }

  public LibraryStore store() {
    return disk.store();
  }

  private Library library() {
    return store().library();
  }

  /**
   * The simulated computer of the station in view; it stays as it is while another is looked at.
   */
  public SimulatedComputer computer() {
    return computers.of(now().library(), now().station());
  }

  /** A text file beside the library, as its macros read it. */
  public Computer.File beside(String name) {
    return computers.beside(name);
  }

  /**
   * That computer and its keyboard, over what its programs have been given.
   *
   * @param drive takes the steps of a run that is set off
   */
  public Trial trial(Consumer<Run> drive) {
    Heard heard = now().heard();
    return new Trial(heard.library(), heard.keymap(), computer(), Ecmascript.ENGINE, pages, drive);
  }

  /** Its programs, by application id. */
  public Map<String, StandIn<?>> programs() {
    return computer().programs();
  }

  /** What macros are checked against: the programs of the station in view, and the library. */
  public Known known() {
    return now().known();
  }

  /** By device, the id of the page it shows; kept up to date while devices are worked. */
  public Map<String, String> pages() {
    return pages;
  }

  /** What could be folded. */
  public Proposals proposals() {
    return proposals;
  }

  /** What scripts were seen to change. */
  public Learning learning() {
    return learning;
  }

  public Recorder recorder() {
    return recorder;
  }

  /** The MIDI devices that are plugged in. */
  public MidiInputs pads() {
    return pads;
  }

  /** The real programs of this computer. */
  public LiveDesk live() {
    return live;
  }

  /** An id no binding has yet. */
  public String freeBindingId() {
    return Ids.ofBinding(now().library());
  }

  /** An id no routine has yet, made of a name. */
  public String freeRoutineId(String name) {
    return recorder.freeId(name);
  }

  /** What was seen to fire. */
  public Proofs proofs() {
    return proofs;
  }

  private void prove(String binding, Proof proof) {
    if (disk.keep(store -> store.prove(binding, proof))) {
      follow();
    }
  }

  /** What bindings wait for, done. */
  public Needs needs() {
    return needs;
  }

  /** The runs that are on. */
  public Runs runs() {
    return runs;
  }

  /**
   * Makes an edit and says so; nothing when it would change nothing, and why not when it is
   * refused.
   */
  public void make(Edit edit, String what) {
    if (!disk.refuses()
        && !edit.on(library()).equals(library())
        && disk.keep(store -> store.make(edit, what))) {
      say(what);
      follow();
    }
  }

  public void undo() {
    Optional<History.Done> of = now().undoable();
    if (!disk.refuses() && of.isPresent() && disk.keep(LibraryStore::undo)) {
      say(told("said.undone", "said.undone.what", of.get()));
      follow();
    }
  }

  public void redo() {
    Optional<History.Done> of = now().redoable();
    if (!disk.refuses() && of.isPresent() && disk.keep(LibraryStore::redo)) {
      say(told("said.redone", "said.redone.what", of.get()));
      follow();
    }
  }

  private static String told(String plain, String with, History.Done of) {
    return of.says().isEmpty() ? Ui.text(plain) : Ui.text(with, of.says());
  }

  /** Makes the library what it was at another time, as an edit. */
  public void goBackTo(Backups.Backup backup) {
    disk.read(
        backup,
        then -> make(Returning.to(library(), then), Ui.text("said.returned", OnDisk.when(backup))));
  }

  /**
   * Runs a routine on programs of its own and tells how it is done. Takes long; not on the
   * interface thread.
   */
  public Sheet.Shown demonstrating(Subject subject, Demonstration.Camera camera) {
    return (routine, arguments) ->
        Demonstration.of(
            subject,
            routine,
            arguments,
            () -> SimulatedComputer.apart(subject, computers::beside, Ecmascript.ENGINE),
            camera);
  }

  /** How what is wrong is worked out, on any thread, from what was found last. */
  public Supplier<Audit> audit(Subject subject) {
    return audits.of(subject);
  }

  /**
   * What is audited on another station than the one in view; on any thread. Costs making its
   * programs.
   */
  public static Subject subject(Library library, Station station, Setup setup) {
    return new Subject(
        library, Keymap.of(library, station), StandIns.around(station, library), setup);
  }

  /** Accepts conflicts, for one reason. */
  public void accept(List<Conflict> conflicts, String reason) {
    Instant at = store().clock().instant();
    List<Edit> edits =
        conflicts.stream()
            .<Edit>map(
                c ->
                    new Edit.Accept(
                        c.fingerprint(),
                        Optional.of(
                            new Acceptance(
                                c.fingerprint(),
                                now().words().sentence(c),
                                reason,
                                store().who(),
                                at,
                                Optional.of(c.loss().stake())))))
            .toList();
    make(
        new Edit.Together(edits),
        conflicts.size() == 1
            ? Ui.text("said.accepted", now().words().sentence(conflicts.getFirst()))
            : Ui.text("said.acceptedmany", conflicts.size()));
  }

  /** Keeps the arguments of a binding. */
  public void keepArguments(String id, Map<String, Value> arguments) {
    Binding binding = now().library().bindings().get(id);
    if (binding != null) {
      Binding next = binding.withRoutine(binding.routine(), arguments);
      make(new Edit.PutBinding(next), Ui.text("said.keptvalues", now().words().arguments(next)));
    }
  }

  /** Looks at the library on another station, as soon as its keymap is there. */
  public void choose(Station station) {
    if (station.equals(now().station())) {
      stay();
      return;
    }
    chosen.set(station.id());
    Library library = library();
    choosing.ask(
        List.of(station, new Question.Same(library)),
        () -> new Elsewhere(library, station, Keymap.of(library, station)));
  }

  /** No other station is on its way any more. */
  private void stay() {
    choosing.drop();
    chosen.set(now().station().id());
  }

  private void arrive(Elsewhere there) {
    choosing.drop();
    Station same = library().stations().get(there.station().id());
    if (library().equals(there.library())) {
      publish(store().history(), there.station(), there.keymap());
      audits.look(now().subject());
      live.follow(now());
    } else if (same != null) {
      choose(same); // something was changed meanwhile
    } else {
      stay();
    }
  }

  private void follow() {
    Snapshot before = now();
    give(Remembering.after(before.library(), library(), computers.left()));
    Library next = library();
    Keymap keymap = before.keymap().following(before.library(), next);
    computers.follow(before.library(), next);
    if (!keymap.station().installed().equals(before.station().installed())) {
      computers.replace(before.station());
    }
    publish(store().history(), keymap.station(), keymap);
    audits.look(now().subject());
    live.follow(now());
  }

  /** What has been put into the programs of each station, as things are now. */
  public Map<String, Setup> setups() {
    return computers.setups(library());
  }

  /** Keeps what programs have in their files otherwise than the library remembers. */
  private void give(List<ProgramFile> files) {
    files.forEach(file -> disk.keep(store -> store.give(file)));
  }

  /** Shows a moment; what was wrong in the last one stays until the next audit, where it was. */
  private void publish(History history, Station station, Keymap keymap) {
    Library library = history.library();
    Snapshot stale = now();
    boolean here = stale != null && stale.station().id().equals(station.id());
    Setup setup = computers.setup(station.id(), library);
    computers.put(station.id(), setup, library);
    Map<String, StandIn<?>> programs = computers.of(library, station).programs();
    Surroundings known =
        stale == null
            ? StandIns.around(programs, library)
            : StandIns.around(programs, library, stale.known());
    now.set(
        new Snapshot(
            library,
            station,
            keymap,
            here ? stale.told() : Told.NOTHING,
            false,
            setup,
            hearing.at(library, keymap, setup),
            known,
            stale != null && Question.Same.is(known, stale.known())
                ? stale.readings()
                : new Readings(known),
            history.last(),
            history.next()));
    if (!choosing.isUnderWay()) {
      chosen.set(station.id());
    }
  }

  private void setUp(Setup next) {
    computers.put(now().station().id(), next, now().library());
    if (mayWrite()) {
      give(Remembering.of(library(), computers.left()));
    }
    now.set(now().with(next, hearing.at(now().library(), now().keymap(), next)));
    audits.look(now().subject());
  }

  /** The threads beside the interface. */
  public Background background() {
    return background;
  }

  @Override
  public void close() throws IOException {
    live.close();
    background.close();
    new LastHere(store().file()).now();
    store().close();
  }
}
