package foldtwice.cli;

import foldtwice.library.Library;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.routine.ValueException;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.Collectors;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** A routine of a library, and what it is given. */
final class Arguments {

  @Parameters(index = "0+", paramLabel = "ROUTINE", description = "id or name of the routine")
  private String routine;

  @Option(names = "--arg", paramLabel = "NAME=VALUE", description = "an argument, such as dx=0.5mm")
  private Map<String, String> arguments = new LinkedHashMap<>();

  /** The routine. */
  Routine routine(Library library) throws Unusable {
    return library.routines().values().stream()
        .filter(r -> r.id().equalsIgnoreCase(routine) || r.name().equalsIgnoreCase(routine))
        .findFirst()
        .orElseThrow(
            () ->
                new Unusable(
                    "no routine \""
                        + routine
                        + "\"; there are "
                        + String.join(", ", library.routines().keySet())));
  }

  /** Arguments as they were typed. */
  Map<String, Value> values(Routine found) throws Unusable {
    Map<String, Value> values = new LinkedHashMap<>();
    for (var argument : arguments.entrySet()) {
      Parameter parameter =
          found
              .parameter(argument.getKey())
              .orElseThrow(
                  () ->
                      new Unusable(
                          found.name()
                              + " has no parameter \""
                              + argument.getKey()
                              + "\"; it has "
                              + found.parameters().stream()
                                  .map(Parameter::name)
                                  .collect(Collectors.joining(", "))));
      try {
        values.put(parameter.name(), parameter.kind().read(argument.getValue()));
      } catch (ValueException e) {
        throw new Unusable("--arg " + argument.getKey() + ": " + e.getMessage(), e);
      }
    }
    return values;
  }
}
