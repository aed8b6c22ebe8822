package foldtwice.outline;

import foldtwice.routine.Line;
import foldtwice.routine.Step;
import java.util.List;

/** Gives a name another one wherever a step mentions it. */
public final class Renaming {

  private Renaming() {}

  /** The step with {@code ‹from›} as {@code ‹to›} in all its fields. */
  public static Step in(Step step, String from, String to) {
    Step next = step;
    List<StepFields.Field> fields = StepFields.of(step);
    for (int i = 0; i < fields.size(); i++) {
      String text = fields.get(i).text();
      String other = text.replace("\u2039" + from + "\u203a", "\u2039" + to + "\u203a");
      if (!other.equals(text)) {
        next = StepFields.with(next, i, other);
      }
    }
    return next;
  }

  /** All lines with a name changed, those inside others included. */
  public static List<Line> in(List<Line> lines, String from, String to) {
    return lines.stream()
        .map(
            line -> {
              Step step = in(line.step(), from, to);
              return line.with(
                  step.withBodies(step.bodies().stream().map(b -> in(b, from, to)).toList()));
            })
        .toList();
  }
}
