package foldtwice.plan;

import foldtwice.effort.Skill;
import foldtwice.effort.Values;
import foldtwice.effort.WorkedOut;
import foldtwice.library.Library;
import foldtwice.place.NativeCommand;
import foldtwice.resolve.Owner;
import foldtwice.suggest.Suggestion;
import java.util.Optional;

/** What it costs when commands of programs lose their keys. */
record Natives(Library library) {

  private static final Values VALUES = Values.of(Skill.AVERAGE_SKILLED);

  /** One that can still be chosen from a menu. */
  boolean mayLose(Owner.Native of) {
    return command(of).filter(c -> !c.menuPath().isEmpty()).isPresent();
  }

  private Optional<NativeCommand> command(Owner.Native of) {
    return Optional.ofNullable(library.applications().get(of.application()))
        .flatMap(a -> a.command(of.command()));
  }

  /** Seconds a week by which what is displaced is chosen from menus instead. */
  double lost(Suggestion s) {
    double lost = 0;
    for (Suggestion.Reason r : s.reasons()) {
      if (r instanceof Suggestion.Reason.Displaces(var commands)) {
        lost += commands.stream().mapToDouble(this::lost).sum();
      }
    }
    return lost;
  }

  private double lost(Owner.Native of) {
    return command(of)
        .filter(c -> c.triggers().size() == 1) // else it has another
        .map(c -> WorkedOut.byMenu(c.menuPath().size(), VALUES).mid() * c.usesPerWeek())
        .orElse(0.0);
  }
}
