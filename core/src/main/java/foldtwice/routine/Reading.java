package foldtwice.routine;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/**
 * What can be read off a macro without running it.
 *
 * @param putBack settings it changes and puts back
 * @param leaves settings it changes for good, its stated purpose
 * @param dialogs true when it works a dialog
 */
public record Reading(Set<String> putBack, Set<String> leaves, boolean dialogs) {

  public static Reading of(Routine routine) {
    return switch (routine) {
      case Routine.Macro macro -> {
        Set<String> putBack = new TreeSet<>();
        Set<String> leaves = new TreeSet<>();
        boolean[] dialogs = new boolean[1];
        read(macro.steps(), putBack, leaves, dialogs);
        putBack.removeAll(leaves);
        yield new Reading(Set.copyOf(putBack), Set.copyOf(leaves), dialogs[0]);
      }
    };
  }

  private static void read(
      List<Line> lines, Set<String> putBack, Set<String> leaves, boolean[] dialogs) {
    for (Line line : lines) {
      switch (line.step()) {
        case Step.ChangeSetting(String setting, Expr value, Step.Lasting lasting) ->
            (lasting == Step.Lasting.THIS_RUN ? putBack : leaves).add(setting);
        case Step.If(Condition condition, List<Line> then, List<Line> otherwise) -> {
          read(then, putBack, leaves, dialogs);
          read(otherwise, putBack, leaves, dialogs);
        }
        case Step.Repeat(Expr times, List<Line> body) -> read(body, putBack, leaves, dialogs);
        case Step.Fill f -> dialogs[0] = true;
        case Step.PressButton p -> dialogs[0] = true;
        case Step.Choose c -> {}
        case Step.ReadSetting r -> {}
        case Step.SelectOffset s -> {}
        case Step.SetVariable s -> {}
      }
    }
  }
}
