package foldtwice.reading;

import foldtwice.known.Known;
import foldtwice.place.Application;
import foldtwice.place.Danger;
import foldtwice.place.NativeCommand;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.source.Named;
import foldtwice.sql.SqlText;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * What a routine may delete, overwrite or print, read off its steps: the greatest danger of the
 * commands it may choose, of its statement, of the files it writes and of the routines it runs.
 * What the keys it presses do is not known here.
 */
public final class Risk {

  private final Known known;
  private final Map<String, Application> applications;

  /** Routines that were read, with how deep they were run. */
  private final Map<List<Object>, Danger> called = new HashMap<>();

  private Risk(Known known, Map<String, Application> applications) {
    this.known = known;
    this.applications = applications;
  }

  /** Reads a routine. Costs one walk over its steps and those of the routines it runs. */
  public static Danger of(Routine routine, Known known, Map<String, Application> applications) {
    return new Risk(known, applications).of(routine, 0);
  }

  private Danger of(Routine routine, int depth) {
    return switch (routine) {
      case Routine.Macro m -> of(m.steps(), m.application(), depth);
      case Routine.Script s -> of(Named.lines(s), s.application(), depth);
      case Routine.Stored s ->
          s.language() == Routine.Stored.Language.SQL
                  && SqlText.of(s.text()) instanceof SqlText.One one
              ? one.danger()
              : Danger.NONE;
      case Routine.PluginAction p -> Danger.NONE;
    };
  }

  private Danger of(List<Line> lines, String application, int depth) {
    Danger danger = Danger.NONE;
    for (Line line : lines) {
      if (line.on()) {
        danger = danger.or(of(line.step(), application, depth));
        for (List<Line> body : line.step().bodies()) {
          danger = danger.or(of(body, application, depth));
        }
      }
    }
    return danger;
  }

  private Danger of(Step step, String application, int depth) {
    if (step instanceof Step.Choose(List<Template> menu)) {
      return chosen(menu, application);
    }
    if (step instanceof Step.Capture(var area, Template file) && !file.source().isEmpty()) {
      return Danger.SAVES;
    }
    if (step instanceof Step.RunRoutine(String id, var arguments) && depth < Reading.DEEPEST) {
      Danger before = called.get(List.of(id, depth));
      if (before != null) {
        return before;
      }
      Danger danger = known.routine(id).map(r -> of(r, depth + 1)).orElse(Danger.NONE);
      called.put(List.of(id, depth), danger);
      return danger;
    }
    return Danger.NONE;
  }

  private Danger chosen(List<Template> menu, String application) {
    Application a = applications.get(application);
    Danger danger = Danger.NONE;
    if (a != null) {
      for (NativeCommand c : a.commands()) {
        if (c.danger() != Danger.NONE && Reading.mayBe(menu, c.menuPath())) {
          danger = danger.or(c.danger());
        }
      }
    }
    return danger;
  }
}
