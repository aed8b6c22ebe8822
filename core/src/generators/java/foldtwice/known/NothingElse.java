package foldtwice.known;

import foldtwice.routine.Routine;
import java.util.List;
import java.util.Optional;

/** A computer of which nothing is known but these programs, and a library without routines. */
public record NothingElse(List<Facts> programs) implements Known {

  /** No program, either. */
  public static final Known NOTHING = new NothingElse(List.of());

  public NothingElse {
    programs = List.copyOf(programs);
  }

  @Override
  public List<Facts> otherVersions() {
    return List.of();
  }

  @Override
  public Optional<Routine> routine(String id) {
    return Optional.empty();
  }

  @Override
  public List<String> routines() {
    return List.of();
  }
}
