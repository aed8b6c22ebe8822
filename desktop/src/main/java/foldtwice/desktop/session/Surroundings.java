package foldtwice.desktop.session;

import foldtwice.library.Library;
import foldtwice.place.Finding;
import foldtwice.place.NativeCommand;
import foldtwice.routine.Routine;
import foldtwice.shape.Facts;
import foldtwice.shape.Known;
import foldtwice.standin.SimulatedComputer;
import foldtwice.standin.StandIns;
import foldtwice.standin.base.StandIn;
import java.util.List;
import java.util.Optional;

/** A library in front of the programs of one computer. */
record Surroundings(SimulatedComputer computer, Library library) implements Known {

  /** Asked for once: the programs that ship do not change. */
  private static final List<Facts> EVERY = StandIns.everyVersion();

  @Override
  public List<Facts> programs() {
    return computer.programs().values().stream().map(StandIn::facts).toList();
  }

  @Override
  public List<Facts> otherVersions() {
    return EVERY;
  }

  @Override
  public Optional<Routine> routine(String id) {
    return Optional.ofNullable(library.routines().get(id));
  }

  @Override
  public Optional<Finding> finding(String application, List<String> menuPath) {
    return Optional.ofNullable(library.applications().get(application))
        .flatMap(a -> a.commandAt(menuPath))
        .flatMap(NativeCommand::finding);
  }

  @Override
  public List<String> routines() {
    return List.copyOf(library.routines().keySet());
  }
}
