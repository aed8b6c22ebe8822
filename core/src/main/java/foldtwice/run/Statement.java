package foldtwice.run;

import foldtwice.routine.Expr;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.text.Refusals;
import java.util.ArrayList;
import java.util.List;

/**
 * An SQL statement ready to be sent.
 *
 * @param text with a question mark where a value goes
 * @param values in the order of the question marks
 */
record Statement(String text, List<Value> values) {

  /**
   * The values of the insertions are handed over beside the text: whatever they hold, they cannot
   * become part of the statement.
   */
  static Statement of(Template template, Evaluator evaluator) throws StepFailure {
    String source = template.source();
    StringBuilder text = new StringBuilder();
    List<Value> values = new ArrayList<>();
    char quote = 0;
    for (int i = 0; i < source.length(); i++) {
      char c = source.charAt(i);
      if (c == '\u2039') {
        int close = source.indexOf('\u203a', i);
        if (close > i) {
          String name = source.substring(i + 1, close);
          if (quote != 0) {
            throw new StepFailure(
                Refusals.says("run.outside-quotes-handed-over", name),
                Refusals.says("run.stands-inside", quote));
          }
          text.append('?');
          values.add(evaluator.value(new Expr.Name(name)));
          i = close;
          continue;
        }
      }
      if (quote == 0 && (c == '\'' || c == '"')) {
        quote = c;
      } else if (c == quote) {
        quote = 0;
      }
      text.append(c);
    }
    return new Statement(text.toString(), List.copyOf(values));
  }
}
