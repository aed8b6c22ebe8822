package foldtwice.library;

import foldtwice.known.Facts;
import foldtwice.known.Known;
import foldtwice.place.Application;
import foldtwice.place.Finding;
import foldtwice.place.NativeCommand;
import foldtwice.routine.Routine;
import java.util.List;
import java.util.Optional;

/**
 * A library in front of the programs of one computer.
 *
 * @param programs as they are there
 * @param otherVersions what is known of them in every version
 */
public record Surroundings(List<Facts> programs, List<Facts> otherVersions, Library library)
    implements Known {

  public Surroundings {
    programs = List.copyOf(programs);
    otherVersions = List.copyOf(otherVersions);
  }

  @Override
  public Optional<Routine> routine(String id) {
    return Optional.ofNullable(library.routines().get(id));
  }

  @Override
  public List<String> routines() {
    return List.copyOf(library.routines().keySet());
  }

  @Override
  public String nameOf(String application) {
    return Optional.ofNullable(library.applications().get(application))
        .map(Application::name)
        .orElse(application);
  }

  @Override
  public Optional<Finding> finding(String application, List<String> menuPath) {
    return Optional.ofNullable(library.applications().get(application))
        .flatMap(a -> a.commandAt(menuPath))
        .flatMap(NativeCommand::finding);
  }
}
