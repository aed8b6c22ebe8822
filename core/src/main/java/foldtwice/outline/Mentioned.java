package foldtwice.outline;

import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Form;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import java.util.LinkedHashSet;
import java.util.Set;

/** The names a step mentions, but for those in the lines inside it. */
public final class Mentioned {

  private Mentioned() {}

  /** The names, in the order of the step's parts. */
  public static Set<String> names(Step step) {
    Set<String> names = new LinkedHashSet<>();
    for (StepParts.Part part : StepParts.of(step)) {
      if (!(part.form() instanceof Form.Name) && !(part.form() instanceof Form.Variable)) {
        names.addAll(new Template(part.text()).names());
      }
    }
    step.questions().forEach(q -> names(q.otherwise(), names));
    return names;
  }

  private static void names(Expr e, Set<String> names) {
    names.addAll(new Template(ExprNotation.write(e)).names());
  }
}
