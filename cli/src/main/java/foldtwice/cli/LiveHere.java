package foldtwice.cli;

import foldtwice.library.Library;
import foldtwice.live.Live;
import foldtwice.live.bus.BusException;
import foldtwice.live.program.LiveComputer;
import foldtwice.place.Station;
import foldtwice.run.Beside;
import foldtwice.standin.StandIns;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** A library in front of the real programs of this computer. */
final class LiveHere {

  @Mixin private Input input;

  @Option(
      names = "--allow",
      paramLabel = "COMMAND",
      description = "a command line routines may start; may be given again")
  private List<String> allow = new ArrayList<>();

  Library library() throws Unusable {
    return input.library();
  }

  Station station(Library library) throws Unusable {
    return input.station(library);
  }

  /** The running programs as a library knows them. */
  LiveComputer computer(Live live, Library library) throws Unusable, BusException {
    if (!library.live()) {
      throw new Unusable(
          "nothing of this library may run in real programs: it says \"live\": false");
    }
    Beside beside = input.beside();
    return live.computer(
        library,
        StandIns.facts(station(library), library),
        new LiveComputer.Outside(
            beside::file,
            () -> "",
            Optional.of(input.file().getParent()),
            command -> allow.contains(String.join(" ", command))));
  }

  /** Connects to the programs of this computer. */
  static Live open() throws Unusable {
    try {
      return Live.open(Live.Where.HERE);
    } catch (Live.Unavailable e) {
      throw new Unusable(e.getMessage(), e);
    }
  }

  static Unusable silent(BusException e) {
    return new Unusable("a program does not answer: " + e.getMessage(), e);
  }
}
