package foldtwice.routine;

import foldtwice.extras.Extras;
import java.util.List;
import java.util.Optional;

/** Anything that can be fired. */
public sealed interface Routine {

  /** Unique within the library. */
  String id();

  String name();

  /** The heading it is listed under. */
  String category();

  /** The application it acts on. */
  String application();

  List<Parameter> parameters();

  Extras extras();

  default Optional<Parameter> parameter(String name) {
    return parameters().stream().filter(p -> p.name().equals(name)).findFirst();
  }

  /** Named steps, recorded or built. */
  record Macro(
      String id,
      String name,
      String category,
      String application,
      String actsOn,
      List<Parameter> parameters,
      List<Line> steps,
      Extras extras)
      implements Routine {
    public Macro {
      parameters = List.copyOf(parameters);
      steps = List.copyOf(steps);
    }
  }
}
