package foldtwice.desktop.session;

import foldtwice.binding.Binding;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.Subject;
import foldtwice.conflict.Weight;
import foldtwice.library.History;
import foldtwice.library.Library;
import foldtwice.place.Station;
import foldtwice.ready.Heard;
import foldtwice.ready.Outlook;
import foldtwice.ready.Setup;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Owner;
import foldtwice.shape.Known;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What there is to show at one moment.
 *
 * @param conflicts by the binding they stand at
 * @param allConflicts of the library on the station, without the accepted ones; those of an earlier
 *     moment while {@code audited} is false
 * @param accepted conflicts somebody lives with
 * @param setup what has been put into the programs of the station
 * @param heard what those programs know of the library
 * @param known what they offer
 */
public record Snapshot(
    Library library,
    Station station,
    Keymap keymap,
    Map<String, List<Conflict>> conflicts,
    List<Conflict> allConflicts,
    List<Conflict> accepted,
    boolean audited,
    Setup setup,
    Heard heard,
    Known known,
    Optional<History.Done> undoable,
    Optional<History.Done> redoable) {

  /** The same moment, looked through. */
  Snapshot with(List<Conflict> found) {
    Map<Boolean, List<Conflict>> parted = parted(found, library);
    return new Snapshot(
        library,
        station,
        keymap,
        byBinding(parted.get(false)),
        parted.get(false),
        parted.get(true),
        true,
        setup,
        heard,
        known,
        undoable,
        redoable);
  }

  /** Those that are accepted, and those that are not. */
  private static Map<Boolean, List<Conflict>> parted(List<Conflict> found, Library library) {
    return library.accepted().isEmpty()
        ? Map.of(false, found, true, List.of())
        : found.stream()
            .collect(
                Collectors.partitioningBy(c -> library.accepted().containsKey(c.fingerprint())));
  }

  /** The same moment after something was done on the computer. */
  Snapshot with(Setup other) {
    return new Snapshot(
        library,
        station,
        keymap,
        conflicts,
        allConflicts,
        accepted,
        audited,
        other,
        Heard.of(library, keymap, other),
        known,
        undoable,
        redoable);
  }

  /** The keymaps of all stations, the one in view first; costs compiling the others. */
  public List<Keymap> stations() {
    List<Keymap> all = new ArrayList<>(List.of(keymap));
    for (Station s : library.stations().values()) {
      if (!s.equals(station)) {
        all.add(Keymap.of(library, s));
      }
    }
    return all;
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
    return conflicts.getOrDefault(binding, List.of());
  }

  public Words words() {
    return new Words(library);
  }

  public long count(Weight weight) {
    return allConflicts.stream().filter(c -> c.weight() == weight).count();
  }

  /** Conflicts by the bindings they stand at. */
  static Map<String, List<Conflict>> byBinding(List<Conflict> conflicts) {
    Map<String, List<Conflict>> by = new HashMap<>();
    for (Conflict c : conflicts) {
      c.claims().stream()
          .flatMap(
              claim -> claim.owner() instanceof Owner.Yours(String b) ? Stream.of(b) : Stream.of())
          .distinct()
          .filter(c::isAbout)
          .forEach(b -> by.computeIfAbsent(b, x -> new ArrayList<>()).add(c));
    }
    return by;
  }
}
