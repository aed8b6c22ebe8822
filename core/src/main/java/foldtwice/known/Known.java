package foldtwice.known;

import foldtwice.place.Finding;
import foldtwice.routine.Routine;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What a macro can be checked against. */
public interface Known {

  /** The programs there are, as they are on the computer in view. */
  List<Facts> programs();

  /** The same programs in other versions. */
  List<Facts> otherVersions();

  /** A routine of the library. */
  Optional<Routine> routine(String id);

  /** The ids of all routines of the library. */
  List<String> routines();

  /** What can be started and brought to the front: the programs and their further windows. */
  default List<String> windows() {
    List<String> all = new ArrayList<>();
    for (Facts f : programs()) {
      all.add(f.application());
      f.windows().stream().sorted().forEach(all::add);
    }
    return all;
  }

  /** What a person found out about the command with this menu path. */
  default Optional<Finding> finding(String application, List<String> menuPath) {
    return Optional.empty();
  }

  /** What a program is called. */
  default String nameOf(String application) {
    return application;
  }

  default Optional<Facts> program(String application) {
    return programs().stream().filter(f -> f.application().equals(application)).findFirst();
  }
}
