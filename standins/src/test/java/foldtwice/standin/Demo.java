package foldtwice.standin;

import foldtwice.known.Facts;
import foldtwice.known.Known;
import foldtwice.library.Library;
import foldtwice.library.file.FormatException;
import foldtwice.library.file.LibraryJson;
import foldtwice.place.Finding;
import foldtwice.place.NativeCommand;
import foldtwice.place.Station;
import foldtwice.resolve.Keymap;
import foldtwice.routine.Kind;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.run.Program;
import foldtwice.run.Run;
import foldtwice.run.Trace;
import foldtwice.standin.base.StandIn;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The demo library as it ships, and its routines run. */
final class Demo {

  static final Library LIBRARY = read();

  private Demo() {}

  private static Library read() {
    Path file = Path.of(System.getProperty("project.root"), "demo", "fernhollow.json");
    try {
      return LibraryJson.read(Files.readAllBytes(file));
    } catch (IOException | FormatException e) {
      throw new IllegalStateException(e);
    }
  }

  static Keymap keymap(String station) {
    Station s = LIBRARY.stations().get(station);
    return Keymap.of(LIBRARY, s);
  }

  /** Runs a routine with arguments as a person would type them: {@code "dx=0.5 mm"}. */
  static Trace run(Program program, String routine, String... arguments) {
    Routine r = LIBRARY.routines().get(routine);
    Map<String, Value> values = new LinkedHashMap<>();
    for (String a : arguments) {
      String[] f = a.split("=", 2);
      Kind kind = r.parameter(f[0]).map(Parameter::kind).orElseThrow();
      values.put(f[0], kind.read(f[1]));
    }
    return Run.whole(r, values, program);
  }

  /** The programs of a station, and the routines of the library. */
  static Known known(String station) {
    List<Facts> programs =
        StandIns.on(LIBRARY.stations().get(station), LIBRARY).values().stream()
            .map(StandIn::facts)
            .toList();
    List<Facts> others = StandIns.everyVersion();
    return new Known() {
      @Override
      public List<Facts> programs() {
        return programs;
      }

      @Override
      public List<Facts> otherVersions() {
        return others;
      }

      @Override
      public Optional<Routine> routine(String routine) {
        return Optional.ofNullable(LIBRARY.routines().get(routine));
      }

      @Override
      public List<String> routines() {
        return List.copyOf(LIBRARY.routines().keySet());
      }

      @Override
      public Optional<Finding> finding(String application, List<String> menuPath) {
        return LIBRARY
            .applications()
            .get(application)
            .commandAt(menuPath)
            .flatMap(NativeCommand::finding);
      }
    };
  }
}
