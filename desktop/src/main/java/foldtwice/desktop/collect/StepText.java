package foldtwice.desktop.collect;

import foldtwice.desktop.parts.Parts;
import foldtwice.outline.StepParts;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.text.Text;
import javafx.scene.text.TextFlow;

/** A step as it reads, its insertions set off, and what it comes to with the defaults. */
final class StepText {

  private StepText() {}

  /** Where what a step says stands; nothing yet. */
  static TextFlow flow() {
    TextFlow flow = new TextFlow();
    flow.getStyleClass().add("step-text");
    flow.setMinWidth(0);
    return flow;
  }

  /** What a step says after its verb, insertions as chips. */
  static List<Node> parts(String text) {
    List<Node> parts = new ArrayList<>();
    int from = 0;
    for (int open = text.indexOf('\u2039'); open >= 0; open = text.indexOf('\u2039', from)) {
      int close = text.indexOf('\u203a', open);
      if (close < 0) {
        break;
      }
      plain(text.substring(from, open), parts);
      parts.add(Parts.label(text.substring(open + 1, close), "argument"));
      from = close + 1;
    }
    plain(text.substring(from), parts);
    return parts;
  }

  private static void plain(String text, List<Node> parts) {
    if (!text.isBlank()) {
      parts.add(new Text(text));
    }
  }

  /**
   * What the insertions of a step's texts come to with the parameters' defaults; empty where there
   * are none, or one is only known while it runs.
   */
  static Optional<String> preview(Routine.Macro macro, Step step) {
    return StepParts.of(step).stream().flatMap(p -> preview(macro, p.text()).stream()).findFirst();
  }

  /** What the insertions of a text come to. */
  static Optional<String> preview(Routine.Macro macro, String text) {
    Template template = new Template(text);
    List<String> names = template.names();
    if (names.isEmpty() || !names.stream().allMatch(n -> macro.parameter(n).isPresent())) {
      return Optional.empty();
    }
    String shown =
        template.with(
            n -> macro.parameter(n).map(Parameter::otherwise).map(Value::shown).orElse(n));
    return Optional.of(shown.replace("'", ""));
  }
}
