package foldtwice.outline;

import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Line;
import foldtwice.routine.Step;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Gives a name another one wherever a step mentions it. */
public final class Renaming {

  private final Pattern from;
  private final String to;

  private Renaming(String from, String to) {
    this.from = Pattern.compile("\u2039\\s*+" + Pattern.quote(from) + "\\s*+\u203a");
    this.to = Matcher.quoteReplacement("\u2039" + to + "\u203a");
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
    return from.matcher(text).replaceAll(to);
  }
}
