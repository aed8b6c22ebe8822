package foldtwice.source;

import foldtwice.outline.Mentioned;
import foldtwice.outline.Outline;
import foldtwice.routine.Form;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.StepKind;
import foldtwice.routine.StepKinds;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** The names that the steps of a macro give values to and ask for. */
final class Variables {

  private Variables() {}

  /** The names a macro gives or asks for, in order: parameters first. */
  static Set<String> named(Routine.Macro macro) {
    Set<String> names = new LinkedHashSet<>();
    macro.parameters().forEach(p -> names.add(p.name()));
    for (Outline.Row row : Outline.rows(macro.steps())) {
      names.addAll(given(row.line().step()));
      names.addAll(Mentioned.names(row.line().step()));
    }
    names.removeAll(ToPhrase.BUILT_IN);
    names.remove(ToPhrase.TURN);
    return names;
  }

  /** The names a step gives values to. */
  static Set<String> given(Step step) {
    Set<String> names = new LinkedHashSet<>();
    StepKind<?> kind = StepKinds.of(step);
    List<Object> values = kind.parts(step).values();
    for (int i = 0; i < values.size(); i++) {
      if (kind.parts().get(i).form() instanceof Form.Variable) {
        names.add((String) values.get(i));
      }
    }
    step.questions().forEach(q -> names.add(q.variable()));
    return names;
  }

  /** True for the variable of a loop that nothing outside its body gives or asks for. */
  static boolean isOwn(Routine.Macro macro, String variable, List<Line> body) {
    int inside = (int) Outline.rows(body).stream().filter(r -> touches(r, variable)).count();
    long loopsOfIt =
        Outline.rows(macro.steps()).stream()
            .filter(r -> r.line().step() instanceof Step.ForEach e && e.variable().equals(variable))
            .count();
    boolean given =
        Outline.rows(body).stream().anyMatch(r -> given(r.line().step()).contains(variable));
    long all = Outline.rows(macro.steps()).stream().filter(r -> touches(r, variable)).count();
    return loopsOfIt == 1 && !given && all == inside + 1;
  }

  private static boolean touches(Outline.Row row, String name) {
    Step step = row.line().step();
    return given(step).contains(name) || Mentioned.names(step).contains(name);
  }

  /** True for a step that takes others again and again. */
  static boolean isLoop(Step step) {
    return step instanceof Step.Repeat || step instanceof Step.ForEach;
  }

  /** True when it asks for the turn of the loop it lies in. */
  static boolean asksForTurn(Line line) {
    return Mentioned.names(line.step()).contains(ToPhrase.TURN)
        || (!isLoop(line.step())
            && line.step().bodies().stream()
                .flatMap(List::stream)
                .anyMatch(Variables::asksForTurn));
  }
}
