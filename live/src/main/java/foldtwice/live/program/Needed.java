package foldtwice.live.program;

import foldtwice.live.say.Say;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Whom;
import foldtwice.run.Reply;
import foldtwice.source.Named;
import foldtwice.source.Source;
import java.util.ArrayList;
import java.util.List;

/**
 * What a routine needs and a running program has not, told before anything is done: menu items that
 * are not there, steps the accessibility interface does not offer. What depends on values of the
 * run is found out when it comes to it.
 */
public final class Needed {

  /**
   * A step that could not be taken.
   *
   * @param number of the step; of a script the line
   */
  public record Lack(String number, Step step, String expected, String found) {}

  private final LiveProgram program;
  private final List<Lack> lacks = new ArrayList<>();

  private Needed(LiveProgram program) {
    this.program = program;
  }

  /** All that is lacking. Looks for each menu item once. */
  public static List<Lack> of(Routine routine, LiveProgram program) {
    Needed needed = new Needed(program);
    switch (routine) {
      case Routine.Macro macro -> needed.lines(macro.steps(), "");
      case Routine.Script script -> needed.calls(script);
      case Routine.PluginAction p -> {}
      case Routine.Stored c -> {}
    }
    return List.copyOf(needed.lacks);
  }

  /** What a script names in its text; what it computes is found out when it comes to it. */
  private void calls(Routine.Script script) {
    for (Named.Call call : Named.calls(Source.of(script.source()))) {
      call.step().ifPresent(step -> step(Integer.toString(call.at().line()), step));
    }
  }

  private void lines(List<Line> lines, String prefix) {
    int n = 0;
    for (Line line : lines) {
      n++;
      if (!line.on()) {
        continue;
      }
      String number = prefix + n;
      step(number, line.step());
      List<List<Line>> bodies = line.step().bodies();
      for (int i = 0; i < bodies.size(); i++) {
        lines(bodies.get(i), number + (i == 0 ? "." : ".e"));
      }
    }
  }

  private void step(String number, Step step) {
    switch (step) {
      case Step.Choose(List<Template> path) -> {
        boolean fixed = path.stream().allMatch(t -> t.names().isEmpty());
        if (fixed
            && program.has(path.stream().map(Template::source).toList())
                instanceof Reply.Refused(String expected, String found)) {
          lacks.add(new Lack(number, step, expected, found));
        }
      }
      case Step.SelectOffset s -> lack(number, step, "moving");
      case Step.Select(Whom.Group group, var adding, var edge)
          when group != Whom.Group.ALL && group != Whom.Group.NOTHING ->
          lack(number, step, "selecting");
      case Step.Again a -> lack(number, step, "again");
      case Step.ChangeSetting(String setting, var value, var lasting) ->
          setting(number, step, setting);
      case Step.Cycle(String setting, var values, var lasting) -> setting(number, step, setting);
      default -> {} // offered, or known only when it comes to it
    }
  }

  private void setting(String number, Step step, String setting) {
    if (!program.isSetting(setting)) {
      lacks.add(new Lack(number, step, Say.text("setting"), setting));
    }
  }

  private void lack(String number, Step step, String what) {
    lacks.add(new Lack(number, step, Say.text("offers", program.name()), Say.text(what)));
  }
}
