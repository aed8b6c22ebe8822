package foldtwice.run;

import foldtwice.known.Facts;
import foldtwice.routine.Expr;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.text.Refusals;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** One routine being run: its names, its program, and what it has to put back. */
final class Scope {

  final Routine routine;
  final Program program;
  final Map<String, Value> names;
  final Evaluator evaluator;
  private final Aim aim;
  private final Map<String, Value> toPutBack = new LinkedHashMap<>();

  Scope(
      Routine routine,
      Program program,
      Aim aim,
      Map<String, Value> names,
      Computer computer,
      Budget budget) {
    this.aim = aim;
    this.routine = routine;
    this.program = program;
    this.names = names;
    this.evaluator = new Evaluator(names, computer.clock(), budget);
  }

  Value value(Expr e) throws StepFailure {
    return evaluator.value(e);
  }

  /** What a setting was that nobody described. */
  private static final Value AS_IT_WAS = new Value.Text("as it was");

  Value setting(String name) throws StepFailure {
    Value value = program.settings().get(name);
    if (value == null && !program.facts().tells(Facts.Aspect.SETTINGS)) {
      return AS_IT_WAS;
    }
    if (value == null) {
      throw new StepFailure(
          Refusals.says("run.setting-one", String.join(", ", program.settings().keySet())),
          Refusals.says("run.no-such", name));
    }
    return value;
  }

  void putBackLater(String setting, Value before) {
    toPutBack.putIfAbsent(setting, before);
  }

  /** A step selects by itself: that stays when the routine is over. */
  void selects() {
    aim.selects();
  }

  void keep(String setting) {
    toPutBack.remove(setting);
  }

  /**
   * Puts back what was changed for the run, and what was selected before it; tells each setting.
   */
  List<Trace.Entry> putBack() {
    List<Trace.Entry> entries = new ArrayList<>();
    aim.back();
    toPutBack.forEach(
        (setting, value) -> {
          long began = System.nanoTime();
          Reply reply = program.change(setting, value);
          long took = System.nanoTime() - began;
          entries.add(
              switch (reply) {
                case Reply.Done(List<Change> changes) -> new Trace.PutBack(setting, changes, took);
                case Reply.Refused(String expected, String found) ->
                    new Trace.NotPutBack(setting, expected, found, took);
              });
        });
    toPutBack.clear();
    return entries;
  }
}
