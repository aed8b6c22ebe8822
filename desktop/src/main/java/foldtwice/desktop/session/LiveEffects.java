package foldtwice.desktop.session;

import foldtwice.conflict.Audit;
import foldtwice.conflict.Subject;
import foldtwice.library.Library;
import foldtwice.live.survey.Proposal;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** What taking in what was read off a program would come to. */
final class LiveEffects {

  private LiveEffects() {}

  /** The names of the routines that choose something that is gone. */
  static List<String> touched(Library library, Proposal proposal) {
    Set<List<String>> gone = new HashSet<>();
    for (Proposal.Difference d : proposal.differences()) {
      if (d.fate() == Proposal.Fate.GONE && d.what() == Proposal.What.COMMAND) {
        proposal.application().command(d.id()).ifPresent(c -> gone.add(c.menuPath()));
      }
    }
    return library.routines().values().stream()
        .filter(r -> r.application().equals(proposal.application().id()))
        .filter(r -> r instanceof Routine.Macro m && chooses(m.steps(), gone))
        .map(Routine::name)
        .toList();
  }

  private static boolean chooses(List<Line> lines, Set<List<String>> paths) {
    return lines.stream()
        .map(Line::step)
        .anyMatch(
            s ->
                (s instanceof Step.Choose(List<Template> path)
                        && paths.contains(path.stream().map(Template::source).toList()))
                    || s.bodies().stream().anyMatch(b -> chooses(b, paths)));
  }

  /** How many conflicts there would be that are not there now. Costs two audits. */
  static int conflicts(Snapshot now, Proposal proposal) {
    if (proposal.differences().isEmpty()) {
      return 0;
    }
    Library then = proposal.edit(true).on(now.library());
    Audit before = Audit.of(now.subject());
    Subject after =
        Session.subject(then, now.station(), now.setup().following(now.library(), then));
    return before.after(after).unlike(before).size();
  }
}
