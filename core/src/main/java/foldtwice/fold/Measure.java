package foldtwice.fold;

import foldtwice.outline.StepFields;
import foldtwice.reading.Builtin;
import foldtwice.routine.Line;
import foldtwice.routine.Step;
import java.util.List;

/**
 * How long a macro is: {@value #LINE} for a line, one for each value of a list that is gone
 * through, one for each place where a turn is counted. By it two macros that do the same are
 * compared.
 */
public final class Measure {

  /** What a line adds. */
  public static final int LINE = 4;

  private static final String TURN = Constant.named(Builtin.TURN);

  private Measure() {}

  public static int of(List<Line> lines) {
    int length = 0;
    for (Line line : lines) {
      length += LINE;
      for (StepFields.Field field : StepFields.of(line.step())) {
        length += field.text().contains(TURN) ? 1 : 0;
      }
      if (line.step()
          instanceof Step.ForEach(String name, Step.Items.Given(var values), var body)) {
        length += values.size();
      }
      for (List<Line> body : line.step().bodies()) {
        length += of(body);
      }
    }
    return length;
  }
}
