package foldtwice.run;

import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Value;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * An answer that shall be offered first the next time.
 *
 * @param routine the id of the routine that asked
 * @param question as it was asked
 */
public record KeptAnswer(String routine, Step.Question question, Value answer) {

  /** Those of a step that are kept and other than what was offered. */
  static List<KeptAnswer> of(
      Routine routine, Step step, List<Status.Asked> asked, Map<String, Value> answers) {
    List<KeptAnswer> kept = new ArrayList<>();
    for (Status.Asked one : asked) {
      Value answer = answers.get(one.name());
      step.questions().stream()
          .filter(q -> q.kept() && q.variable().equals(one.name()))
          .filter(q -> !answer.equals(one.otherwise()))
          .forEach(q -> kept.add(new KeptAnswer(routine.id(), q, answer)));
    }
    return kept;
  }
}
