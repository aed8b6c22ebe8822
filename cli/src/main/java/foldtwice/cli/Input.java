package foldtwice.cli;

import foldtwice.conflict.Subject;
import foldtwice.library.Library;
import foldtwice.library.file.FormatException;
import foldtwice.library.file.LibraryFile;
import foldtwice.library.file.LibraryJson;
import foldtwice.library.file.UnknownField;
import foldtwice.place.Station;
import foldtwice.ready.Setup;
import foldtwice.resolve.Keymap;
import foldtwice.run.Beside;
import foldtwice.standin.StandIns;
import foldtwice.text.DiskWords;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** What every command reads: a library, and the station it is looked at on. */
final class Input {

  @Parameters(index = "0", paramLabel = "LIBRARY", description = "the library file")
  private Path file;

  @Option(
      names = "--station",
      paramLabel = "STATION",
      description = "id or name of the station; the first of the library when not given")
  private String station;

  /** True when a station was named. */
  boolean isOneStation() {
    return station != null;
  }

  Library library() throws Unusable {
    return library(file);
  }

  /** The library in a file, with what is not yet folded into it. */
  static Library library(Path file) throws Unusable {
    try {
      return LibraryFile.look(there(file));
    } catch (FormatException e) {
      throw new Unusable(e.getMessage(), e);
    } catch (IOException e) {
      throw new Unusable(file + " cannot be read: " + DiskWords.reason(e), e);
    }
  }

  /** The fields of the file that this version does not know. */
  List<UnknownField> unknown() throws Unusable {
    try {
      return LibraryJson.unknown(Files.readAllBytes(there(file)));
    } catch (FormatException e) {
      throw new Unusable(e.getMessage(), e);
    } catch (IOException e) {
      throw new Unusable(file + " cannot be read: " + DiskWords.reason(e), e);
    }
  }

  /** A library on one of its stations, in front of the programs there. */
  static Subject subject(Library library, Station station) {
    return new Subject(
        library,
        Keymap.of(library, station),
        StandIns.around(station, library),
        Setup.of(library, station.id()));
  }

  /** The library's own file. */
  Path file() throws Unusable {
    try {
      return there(file).toRealPath();
    } catch (IOException e) {
      throw new Unusable(file + " cannot be read: " + DiskWords.reason(e), e);
    }
  }

  /** The text files beside the library. */
  Beside beside() {
    return new Beside(file.toAbsolutePath().getParent());
  }

  /** The file itself, if it is there. */
  static Path there(Path file) throws Unusable {
    if (!Files.isRegularFile(file)) {
      throw new Unusable(file + ": no such file; give the path of a library");
    }
    return file;
  }

  Station station(Library library) throws Unusable {
    return library.stations().values().stream()
        .filter(
            s ->
                station == null
                    || s.id().equalsIgnoreCase(station)
                    || s.name().equalsIgnoreCase(station))
        .findFirst()
        .orElseThrow(
            () ->
                new Unusable(
                    station == null
                        ? file + ": the library has no station; add one to look at it on"
                        : "no station \""
                            + station
                            + "\"; there are "
                            + String.join(", ", library.stations().keySet())));
  }
}
