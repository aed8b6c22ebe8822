package foldtwice.conflict;

import foldtwice.known.Known;
import foldtwice.library.Library;
import foldtwice.library.Surroundings;
import foldtwice.ready.Setup;
import foldtwice.resolve.Keymap;
import java.util.List;
import java.util.Map;

/**
 * What is audited: a library on one station.
 *
 * @param keymap compiled from the library for the station
 * @param known what the programs of the station offer; what is not known of one is not held against
 *     anything
 * @param setup what has been put into them
 */
public record Subject(Library library, Keymap keymap, Known known, Setup setup) {

  /** A library whose programs are not known and have been given nothing. */
  public static Subject of(Library library, Keymap keymap) {
    return new Subject(
        library, keymap, new Surroundings(List.of(), List.of(), library), new Setup(Map.of()));
  }

  /** Another library on the same station, in front of the same programs. */
  public Subject with(Library other, Keymap itsKeymap) {
    return new Subject(
        other,
        itsKeymap,
        new Surroundings(known.programs(), known.otherVersions(), other),
        setup.following(library, other));
  }
}
