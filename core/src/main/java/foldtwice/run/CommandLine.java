package foldtwice.run;

import foldtwice.routine.Template;
import foldtwice.text.Refusals;
import java.util.ArrayList;
import java.util.List;

/** A command line cut into words as it is written; a value put in is never cut. */
final class CommandLine {

  private CommandLine() {}

  /** The words; double quotes keep blanks together and are left out. */
  static List<String> words(Template template, Evaluator evaluator) throws StepFailure {
    List<String> words = new ArrayList<>();
    for (String word : cut(template.source())) {
      words.add(evaluator.text(new Template(word)));
    }
    return words;
  }

  private static List<String> cut(String source) throws StepFailure {
    List<String> words = new ArrayList<>();
    StringBuilder word = new StringBuilder();
    boolean quoted = false;
    boolean begun = false;
    int inside = 0;
    for (int i = 0; i < source.length(); i++) {
      char c = source.charAt(i);
      inside += c == '\u2039' ? 1 : c == '\u203a' ? -1 : 0;
      if (c == '"') {
        quoted = !quoted;
        begun = true;
      } else if (Character.isWhitespace(c) && !quoted && inside <= 0) {
        if (begun) {
          words.add(word.toString());
        }
        word.setLength(0);
        begun = false;
      } else {
        word.append(c);
        begun = true;
      }
    }
    if (quoted) {
      throw new StepFailure(
          Refusals.says("run.closing-quote"), Refusals.says("run.command-ends-inside-quotes"));
    }
    if (begun) {
      words.add(word.toString());
    }
    return words;
  }
}
