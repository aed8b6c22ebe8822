package foldtwice.run;

import foldtwice.known.Facts;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.text.Refusals;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Does what routines do that are one deed: an add-on's action, a stored command. */
final class Deeds {

  private Deeds() {}

  static Reply perform(Routine routine, Scope scope, Computer computer) throws StepFailure {
    return switch (routine) {
      case Routine.PluginAction p -> invoke(p, scope);
      case Routine.Stored s -> send(s, scope, computer);
      case Routine.Macro m -> throw new IllegalArgumentException("no single deed: " + m.name());
      case Routine.Script s -> throw new IllegalArgumentException("no single deed: " + s.name());
    };
  }

  private static Reply invoke(Routine.PluginAction routine, Scope scope) throws StepFailure {
    Optional<Facts.Action> known = scope.program.facts().action(routine.addOn(), routine.action());
    if (known.isEmpty()) { // of a program whose add-ons nobody described
      Map<String, Value> all = new LinkedHashMap<>();
      routine.parameters().forEach(p -> all.put(p.name(), scope.names.get(p.name())));
      return scope.program.invoke(routine.addOn(), routine.action(), all);
    }
    Facts.Action action = known.get();
    String state = scope.program.place().id();
    String context = state.substring(state.indexOf('/') + 1);
    if (!action.contexts().isEmpty() && !action.contexts().contains(context)) {
      throw new StepFailure(
          Refusals.says("run.to-be-in", action.name(), String.join(" or ", action.contexts())),
          Refusals.says("run.it-is-in", context));
    }
    Map<String, Value> arguments = new LinkedHashMap<>();
    for (Parameter p : action.parameters()) {
      arguments.put(p.name(), scope.names.getOrDefault(p.name(), p.otherwise()));
    }
    return scope.program.invoke(routine.addOn(), routine.action(), arguments);
  }

  private static Reply send(Routine.Stored stored, Scope scope, Computer computer)
      throws StepFailure {
    return switch (stored.language()) {
      case SQL -> {
        Statement statement = Statement.of(stored.text(), scope.evaluator);
        yield scope.program.send(statement.text(), statement.values());
      }
      case COMMAND_LINE -> {
        List<String> words = CommandLine.words(stored.text(), scope.evaluator);
        if (words.isEmpty()) {
          throw new StepFailure(
              Refusals.says("run.program-start"), Refusals.says("run.empty-command"));
        }
        yield computer.start(words.getFirst(), words.subList(1, words.size()));
      }
    };
  }
}
