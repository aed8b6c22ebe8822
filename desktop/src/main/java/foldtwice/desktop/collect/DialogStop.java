package foldtwice.desktop.collect;

import foldtwice.desktop.session.Ui;
import foldtwice.outline.Outline;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import java.util.List;
import java.util.Optional;

/** The switch of a recorded dialog: stop in it before its button is pressed, or go through. */
final class DialogStop {

  private DialogStop() {}

  /** True when the run stops before this button is pressed. */
  static boolean stops(Routine.Macro macro, String number) {
    return Outline.before(number)
        .flatMap(before -> Outline.at(macro.steps(), before))
        .filter(line -> line.on() && line.step() instanceof Step.Pause)
        .isPresent();
  }

  /** The lines with the switch turned over. */
  static List<Line> turned(Routine.Macro macro, String number) {
    Optional<String> before = Outline.before(number);
    if (before.isPresent() && stops(macro, number)) {
      return Outline.remove(macro.steps(), before.get());
    }
    Step pause = new Step.Pause(new Template(Ui.text("step.lookdialog")), List.of());
    return Outline.insert(macro.steps(), number, new Line(pause));
  }
}
