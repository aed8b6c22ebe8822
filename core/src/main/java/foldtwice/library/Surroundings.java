package foldtwice.library;

import foldtwice.describe.Description;
import foldtwice.known.Facts;
import foldtwice.known.Known;
import foldtwice.place.Application;
import foldtwice.place.Finding;
import foldtwice.place.NativeCommand;
import foldtwice.routine.Routine;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A library in front of the programs of one computer.
 *
 * @param programs as they are there
 * @param otherVersions what is known of them in every version
 */
public record Surroundings(
    List<Facts> programs,
    List<Facts> otherVersions,
    Map<String, Application> applications,
    Map<String, Description> descriptions,
    Map<String, Routine> routinesById)
    implements Known {

  public Surroundings {
    programs = List.copyOf(programs);
    otherVersions = List.copyOf(otherVersions);
  }

  /** Of what a library says of programs and routines, as it is. */
  public Surroundings(List<Facts> programs, List<Facts> otherVersions, Library library) {
    this(
        programs,
        otherVersions,
        library.applications(),
        library.descriptions(),
        library.routines());
  }

  /** True when a library says the same of programs. */
  public boolean saysTheSame(Library library) {
    return descriptions.equals(library.descriptions())
        && applications.equals(library.applications());
  }

  /**
   * Programs before another library that says the same of them; this very one where the programs
   * and the routines are the same, too.
   */
  public Surroundings with(List<Facts> programs, Library library) {
    boolean same = this.programs.equals(programs) && routinesById.equals(library.routines());
    return same ? this : new Surroundings(programs, otherVersions, library);
  }

  @Override
  public Optional<Routine> routine(String id) {
    return Optional.ofNullable(routinesById.get(id));
  }

  @Override
  public List<String> routines() {
    return List.copyOf(routinesById.keySet());
  }

  @Override
  public String nameOf(String application) {
    return Optional.ofNullable(applications.get(application))
        .map(Application::name)
        .orElse(application);
  }

  @Override
  public Optional<Finding> finding(String application, List<String> menuPath) {
    return Optional.ofNullable(applications.get(application))
        .flatMap(a -> a.commandAt(menuPath))
        .flatMap(NativeCommand::finding);
  }
}
