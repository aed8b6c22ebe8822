package foldtwice.standin.base;

import foldtwice.routine.Whom;
import java.util.List;
import java.util.Optional;

/** Which objects of a program a way of selecting means. */
final class Groups {

  private Groups() {}

  /** The objects in their order; empty where there are none to be meant. */
  static Optional<List<String>> of(Documented<?> program, Whom.Group whom) {
    List<String> selected = program.selected();
    return switch (whom) {
      case ALL -> Optional.of(program.names());
      case NOTHING -> Optional.of(List.of());
      case NEXT -> beside(program, 1);
      case PREVIOUS -> beside(program, -1);
      case CHILDREN ->
          some(selected.stream().flatMap(n -> program.inside(n).stream()).distinct().toList());
      case PARENT ->
          some(selected.stream().flatMap(n -> program.around(n).stream()).distinct().toList());
      case AT_POINTER -> some(program.pointer().isEmpty() ? List.of() : List.of(program.pointer()));
    };
  }

  /** What a way of selecting wants there to be. */
  static String wanted(Whom.Group whom) {
    return switch (whom) {
      case NEXT -> "one more after it";
      case PREVIOUS -> "one more before it";
      case CHILDREN -> "something selected with an inside";
      case PARENT -> "something selected that lies in another";
      case AT_POINTER -> "something the pointer is over";
      default -> "something to select";
    };
  }

  private static Optional<List<String>> some(List<String> names) {
    return names.isEmpty() ? Optional.empty() : Optional.of(names);
  }

  private static Optional<List<String>> beside(Documented<?> program, int by) {
    List<String> all = program.names();
    int from =
        program.somethingSelected()
            ? all.indexOf(program.selected().getLast())
            : by > 0 ? -1 : all.size();
    int to = from + by;
    return to < 0 || to >= all.size() ? Optional.empty() : Optional.of(List.of(all.get(to)));
  }
}
