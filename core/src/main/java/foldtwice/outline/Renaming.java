package foldtwice.outline;

import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Line;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import java.util.List;

/** Gives a name another one wherever a step mentions it. */
public final class Renaming {

  private final String from;
  private final String to;

  private Renaming(String from, String to) {
    this.from = from;
    this.to = to;
  }

  /** The step with {@code ‹from›} as {@code ‹to›} in all its parts, but for the lines inside. */
  public static Step in(Step step, String from, String to) {
    return new Renaming(from, to).step(step);
  }

  /** All lines with a name changed, those inside others included. */
  public static List<Line> in(List<Line> lines, String from, String to) {
    return new Renaming(from, to).lines(lines);
  }

  private List<Line> lines(List<Line> lines) {
    return lines.stream()
        .map(
            line -> {
              Step step = step(line.step());
              return line.with(step.withBodies(step.bodies().stream().map(this::lines).toList()));
            })
        .toList();
  }

  private Step step(Step step) {
    Step next = step;
    for (StepParts.Part part : StepParts.of(step)) {
      String other = text(part.text());
      if (!other.equals(part.text())) {
        next = StepParts.with(next, part.index(), other);
      }
    }
    return next.withQuestions(questions(next.questions()));
  }

  private List<Step.Question> questions(List<Step.Question> questions) {
    return questions.stream()
        .map(
            q ->
                new Step.Question(
                    q.variable(), q.kind(), expr(q.otherwise()), q.offered(), q.kept()))
        .toList();
  }

  private Expr expr(Expr e) {
    String text = ExprNotation.write(e);
    String other = text(text);
    return other.equals(text) ? e : ExprNotation.read(other);
  }

  private String text(String text) {
    return new Template(text).renamed(from, to).source();
  }
}
