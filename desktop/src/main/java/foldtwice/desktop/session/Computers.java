package foldtwice.desktop.session;

import foldtwice.library.Library;
import foldtwice.place.Station;
import foldtwice.ready.Setup;
import foldtwice.run.Beside;
import foldtwice.run.Computer;
import foldtwice.standin.SimulatedComputer;
import java.nio.file.Path;
import java.time.Clock;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Supplier;

/**
 * The simulated computers of a library's stations: each stays as it is while another is looked at.
 * And what has been put into the programs of each. Used on the interface thread; what is handed out
 * for elsewhere is a copy.
 */
final class Computers {

  private final Map<String, SimulatedComputer> computers = new LinkedHashMap<>();
  private final Map<String, Left> setups = new LinkedHashMap<>();

  /** What is in the programs of a station, and the library that was followed so far. */
  private record Left(Setup setup, Library followed) {}

  private final Supplier<Path> file;

  /**
   * @param file where the library is; what lies beside it can be read by its macros
   */
  Computers(Library library, Supplier<Path> file) {
    this.file = file;
    library.stations().keySet().forEach(id -> put(id, Setup.of(library, id), library));
  }

  SimulatedComputer of(Library library, Station station) {
    return computers.computeIfAbsent(
        station.id(),
        id ->
            SimulatedComputer.of(library, station, Clock.system(ZoneId.systemDefault()))
                .withFiles(this::beside)
                .hurried());
  }

  /** A text file beside the library. */
  Computer.File beside(String name) {
    return new Beside(file.get().toAbsolutePath().getParent()).file(name);
  }

  /** Programs come and go with a library, and sketches follow what it says of them. */
  void follow(Library before, Library after) {
    computers.forEach(
        (id, computer) -> {
          Station station = after.stations().get(id);
          if (station != null) {
            computer.follow(before, after, station);
          }
        });
  }

  /** Other programs are on it from now on. */
  void replace(Station station) {
    computers.remove(station.id());
  }

  /** What is in the programs of a station, if the library is this one. */
  Setup setup(String station, Library library) {
    Left left = setups.get(station);
    return left == null
        ? Setup.of(library, station)
        : left.setup().following(left.followed(), library);
  }

  /** What is in the programs of a station from now on, with this library. */
  void put(String station, Setup setup, Library library) {
    setups.put(station, new Left(setup, library));
  }

  /** By station, as things are now. */
  Map<String, Setup> setups(Library library) {
    Map<String, Setup> all = new LinkedHashMap<>();
    library.stations().keySet().forEach(id -> all.put(id, setup(id, library)));
    return all;
  }

  /** As they were left, without following the library. */
  Map<String, Setup> left() {
    Map<String, Setup> all = new LinkedHashMap<>();
    setups.forEach((station, left) -> all.put(station, left.setup()));
    return all;
  }
}
