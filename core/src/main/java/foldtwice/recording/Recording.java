package foldtwice.recording;

import foldtwice.known.Facts;
import foldtwice.routine.LengthUnit;
import foldtwice.routine.Line;
import foldtwice.run.Act;
import foldtwice.run.Dialog;
import foldtwice.run.Program;
import foldtwice.run.Reply;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What a person did to one program while it was recorded. Every act is kept, so that nothing is
 * lost in a burst; the steps are worked out of them when asked for, detours left out.
 */
public final class Recording {

  /** An act that was not refused, and what the program was like after it. */
  record Heard(
      Act act,
      List<String> selected,
      Optional<String> dialog,
      Optional<LengthUnit> unit,
      boolean onlySelects,
      Facts facts) {}

  /** What a click that only selects changes. */
  private static final List<String> SELECTING = List.of("selection", "keys go to");

  private final String application;
  private final List<Heard> heard = new ArrayList<>();
  private boolean paused;

  /** A recording of what is done to this application. */
  public Recording(String application) {
    this.application = application;
  }

  public String application() {
    return application;
  }

  public boolean paused() {
    return paused;
  }

  /** Pauses it, or goes on. */
  public void pause(boolean yes) {
    paused = yes;
  }

  /** How many acts it holds. */
  public int size() {
    return heard.size();
  }

  /** Takes note of something that was done; what was refused or done while paused is left out. */
  public void hear(Act act, Reply reply, Program program) {
    if (paused || reply instanceof Reply.Refused || !program.application().equals(application)) {
      return;
    }
    heard.add(
        new Heard(
            act,
            program.selected(),
            program.dialog().map(Dialog::title),
            program.dialog().stream()
                .flatMap(d -> d.fields().stream())
                .flatMap(f -> f.unit().stream())
                .findFirst(),
            reply instanceof Reply.Done(var changes)
                && changes.stream().allMatch(c -> SELECTING.contains(c.what())),
            program.facts()));
  }

  /** The steps, ready to run. Costs one walk over the acts. */
  public List<Line> steps() {
    Trail trail = new Trail();
    heard.forEach(trail::take);
    return trail.steps().stream().map(Line::new).toList();
  }
}
