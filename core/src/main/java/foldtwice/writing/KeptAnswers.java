package foldtwice.writing;

import foldtwice.routine.Expr;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Value;
import java.util.List;

/** Makes an answer the default of the question it was given to. */
public final class KeptAnswers {

  private KeptAnswers() {}

  /** The macro with the answer as the default wherever it asks this; itself where it does not. */
  public static Routine.Macro in(Routine.Macro macro, Step.Question question, Value answer) {
    Step.Question answered =
        new Step.Question(
            question.variable(),
            question.kind(),
            new Expr.Literal(answer),
            question.offered(),
            question.kept());
    return macro.withSteps(lines(macro.steps(), question, answered));
  }

  private static List<Line> lines(List<Line> lines, Step.Question was, Step.Question is) {
    return lines.stream()
        .map(
            l -> {
              Step asks = l.step();
              Step step = asks.withQuestions(put(asks.questions(), was, is));
              return l.with(
                  step.withBodies(step.bodies().stream().map(b -> lines(b, was, is)).toList()));
            })
        .toList();
  }

  private static List<Step.Question> put(
      List<Step.Question> all, Step.Question was, Step.Question is) {
    return all.stream().map(q -> q.equals(was) ? is : q).toList();
  }
}
