package foldtwice.desktop.session;

import foldtwice.library.Edit;
import foldtwice.routine.Routine;
import foldtwice.run.KeptAnswer;
import foldtwice.run.Run;
import foldtwice.writing.KeptAnswers;

/** Keeps the answers of a run that are to be offered first the next time. */
final class Answers {

  private Answers() {}

  /** One edit for each answer that is another than before. */
  static void keep(Session session, Run run) {
    for (KeptAnswer kept : run.kept()) {
      if (session.mayWrite()
          && session.now().library().routines().get(kept.routine())
              instanceof Routine.Macro macro) {
        Routine.Macro next = KeptAnswers.in(macro, kept.question(), kept.answer());
        if (!next.equals(macro)) {
          session.make(
              new Edit.PutRoutine(next),
              Ui.text("said.keptanswer", kept.question().variable(), kept.answer().shown()));
        }
      }
    }
  }
}
