package foldtwice.desktop.session;

import foldtwice.atlas.Troubles;
import foldtwice.binding.Binding;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.Subject;
import foldtwice.conflict.Weight;
import foldtwice.library.History;
import foldtwice.library.Library;
import foldtwice.library.Surroundings;
import foldtwice.place.Station;
import foldtwice.reading.Readings;
import foldtwice.ready.Heard;
import foldtwice.ready.Outlook;
import foldtwice.ready.Setup;
import foldtwice.resolve.Keymap;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What there is to show at one moment.
 *
 * @param told what is wrong with the library on the station; of an earlier moment while {@code
 *     audited} is false
 * @param setup what has been put into the programs of the station
 * @param hearing what those programs know of the library, when somebody asks
 * @param known what they offer
 * @param readings what routines come to before it
 */
public record Snapshot(
    Library library,
    Station station,
    Keymap keymap,
    Told told,
    boolean audited,
    Setup setup,
    Lazy<Heard> hearing,
    Surroundings known,
    Readings readings,
    Optional<History.Done> undoable,
    Optional<History.Done> redoable) {

  /** The same moment, looked through. */
  Snapshot with(Told found) {
    return new Snapshot(
        library, station, keymap, found, true, setup, hearing, known, readings, undoable, redoable);
  }

  /** The same moment after something was done on the computer. */
  Snapshot with(Setup other, Lazy<Heard> hearing) {
    return new Snapshot(
        library, station, keymap, told, audited, other, hearing, known, readings, undoable,
        redoable);
  }

  /** What the programs of the station know of the library. */
  public Heard heard() {
    return hearing.get();
  }

  /** What is wrong, without what somebody lives with; the heaviest first. */
  public List<Conflict> allConflicts() {
    return told.all();
  }

  /** The same by the claims that have a part in them. */
  public Troubles troubles() {
    return told.troubles();
  }

  /** Conflicts somebody lives with. */
  public List<Conflict> accepted() {
    return told.accepted();
  }

  /**
   * The keymaps of all stations, the one in view first; costs compiling the others.
   *
   * @param before those of a library, which are followed where they can be
   */
  public Stations stations(Optional<Stations> before) {
    List<Keymap> all = new ArrayList<>(List.of(keymap));
    for (Station s : library.stations().values()) {
      if (!s.equals(station)) {
        all.add(
            before
                .flatMap(b -> b.of(s).map(k -> k.following(b.library, library)))
                .orElseGet(() -> Keymap.of(library, s)));
      }
    }
    return new Stations(library, all);
  }

  /** The keymaps of a library on its stations. */
  public record Stations(Library library, List<Keymap> keymaps) {
    private Optional<Keymap> of(Station station) {
      return keymaps.stream().filter(k -> k.station().equals(station)).findFirst();
    }
  }

  /** True when nothing but what is wrong was told anew since another moment. */
  public boolean isOnlyLookedThrough(Snapshot since) {
    return Question.Same.is(library, since.library)
        && Question.Same.is(keymap, since.keymap)
        && Question.Same.is(setup, since.setup)
        && Question.Same.is(known, since.known)
        && station.equals(since.station);
  }

  /** How ready a binding is on the station. */
  public Outlook outlook(Binding binding) {
    return Outlook.of(library, keymap, known, setup, binding);
  }

  /** What is audited. */
  public Subject subject() {
    return new Subject(library, keymap, known, setup);
  }

  /** The conflicts a binding has a part in, the heaviest first. */
  public List<Conflict> conflictsOf(String binding) {
    return told.byBinding().getOrDefault(binding, List.of());
  }

  /** Those of every binding that has a part in any; where nothing new was told, the very same. */
  public Map<String, List<Conflict>> conflictsByBinding() {
    return told.byBinding();
  }

  public Words words() {
    return new Words(library, keymap.layout());
  }

  public long count(Weight weight) {
    return told.counts().getOrDefault(weight, 0L);
  }
}
