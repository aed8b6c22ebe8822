package foldtwice.writing;

import foldtwice.outline.Outline;
import foldtwice.reading.Builtin;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * The names a step can use: parameters, and variables that a step before it, or around it, sets. A
 * step that is switched off sets none.
 */
public final class InScope {

  private InScope() {}

  /**
   * The names, in the order in which they come up.
   *
   * @param number of the step; one that is not there yet stands at the end
   */
  public static List<String> of(Routine.Macro macro, String number) {
    Set<String> names = new LinkedHashSet<>();
    macro.parameters().stream().map(Parameter::name).forEach(names::add);
    String off = "";
    for (Outline.Row row : Outline.rows(macro.steps())) {
      if (row.number().equals(number)) {
        break;
      }
      if (!off.isEmpty() && row.number().startsWith(off)) {
        continue;
      }
      boolean inside = number.startsWith(row.number() + ".");
      if (!row.line().on() && !inside) {
        off = row.number() + ".";
        continue;
      }
      names.addAll(set(row.line().step(), inside));
    }
    names.addAll(Builtin.ALWAYS);
    return new ArrayList<>(names);
  }

  /**
   * The names a step sets for those after it.
   *
   * @param around true for those inside it
   */
  static List<String> set(Step step, boolean around) {
    return switch (step) {
      case Step.SetVariable(String name, var value) -> List.of(name);
      case Step.Read(var what, String variable) -> List.of(variable);
      case Step.ForEach(String variable, var items, var body) ->
          around ? List.of(variable, Builtin.TURN) : List.of(variable);
      case Step.Repeat r -> around ? List.of(Builtin.TURN) : List.of();
      default -> step.questions().stream().map(Step.Question::variable).toList();
    };
  }
}
