package foldtwice.standin;

import foldtwice.check.Checked;
import foldtwice.check.Checking;
import foldtwice.library.Library;
import foldtwice.library.PressCheck;
import foldtwice.place.Station;
import foldtwice.ready.Heard;
import foldtwice.ready.Setup;
import foldtwice.resolve.Keymap;
import foldtwice.run.Computer;
import foldtwice.script.Ecmascript;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.function.Function;

/** Makes checks of presses on the simulated computers of stations. */
public final class Checks {

  private Checks() {}

  /**
   * Makes those checks that are for a station, each on a computer of its own.
   *
   * @param setup what has been put into the programs there
   * @param files what lies beside the library
   */
  public static List<Checked> on(
      Library library,
      Station station,
      Setup setup,
      Function<String, Computer.File> files,
      Collection<PressCheck> checks) {
    Checking checking =
        new Checking(Heard.of(library, Keymap.of(library, station), setup), Ecmascript.ENGINE);
    SimulatedComputer fresh =
        SimulatedComputer.of(library, station, SimulatedComputer.standingClock()).withFiles(files);
    return checks.stream()
        .filter(c -> c.station().isEmpty() || c.station().equals(station.id()))
        .map(c -> checking.check(c, fresh.copiedAsUsed()))
        .toList();
  }

  /**
   * Makes all checks on all stations they are for, station by station; those that can be made on
   * none come first.
   *
   * @param files what lies beside the library
   * @param setups what has been put into the programs of a station, by its id
   */
  public static List<Checked> everywhere(
      Library library,
      Function<String, Setup> setups,
      Function<String, Computer.File> files,
      Collection<PressCheck> checks) {
    List<Checked> all = new ArrayList<>();
    for (PressCheck c : checks) {
      if (!c.station().isEmpty() && !library.stations().containsKey(c.station())) {
        all.add(
            new Checked(
                c, c.station(), new Checked.Verdict.Cannot(Checked.Lack.NO_STATION, c.station())));
      }
    }
    for (Station s : library.stations().values()) {
      all.addAll(on(library, s, setups.apply(s.id()), files, checks));
    }
    return List.copyOf(all);
  }
}
