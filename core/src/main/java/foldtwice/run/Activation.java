package foldtwice.run;

import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Value;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** What a run is in the middle of: lines being gone through, a script, or one deed. */
final class Activation {

  final Scope scope;
  final List<Line> lines;
  final String prefix;
  final Turns turns;
  final Optional<Routine> deed;
  final Optional<Scripts.Going> script;
  int next;

  /** What the script wants done and has not been answered yet; null for nothing. */
  Scripts.Wish.Take wish;

  /** The values of the script's variables where it is, if it is watched. */
  Map<String, Value> seen = Map.of();

  private final Map<String, Value> hidden = new LinkedHashMap<>();
  private Set<String> lent = Set.of();
  private int line = 1;
  private int turn = 1;

  private Activation(
      Scope scope,
      List<Line> lines,
      String prefix,
      Turns turns,
      Optional<Routine> deed,
      Optional<Scripts.Going> script) {
    this.scope = scope;
    this.lines = lines;
    this.prefix = prefix;
    this.turns = turns;
    this.deed = deed;
    this.script = script;
  }

  /** A macro's own lines, or those inside a step. */
  static Activation of(Scope scope, List<Line> lines, String prefix, Turns turns) {
    return new Activation(scope, lines, prefix, turns, Optional.empty(), Optional.empty());
  }

  /** A script that is going on. */
  static Activation script(Scope scope, Scripts.Going script, String prefix, Turns turns) {
    return new Activation(scope, List.of(), prefix, turns, Optional.empty(), Optional.of(script));
  }

  /** What a routine does that is one deed; the line says which, for the trace. */
  static Activation deed(Scope scope, Line line, String prefix, Turns turns) {
    return new Activation(
        scope, List.of(line), prefix, turns, Optional.of(scope.routine), Optional.empty());
  }

  /** The number of the line that comes next; of a script, of the line it is at. */
  String number() {
    return prefix + (script.isPresent() ? line : next + 1);
  }

  /** The step that comes next, or that the script waits for. */
  Step step() {
    return wish == null ? lines.get(next).step() : wish.step();
  }

  /** The script is at this place: what it gives by name is known until {@link #takeBack}. */
  void at(Scripts.Place place) {
    line = place.line();
    seen = place.seen();
    lent = place.names().keySet();
    for (String name : lent) {
      Value before = scope.names.get(name);
      if (before != null) {
        hidden.put(name, before);
      }
    }
    scope.names.putAll(place.names());
  }

  /** What was given by name for one wish is known no more. */
  void takeBack() {
    if (!lent.isEmpty()) {
      scope.names.keySet().removeAll(lent);
      scope.names.putAll(hidden);
      hidden.clear();
      lent = Set.of();
    }
  }

  /** Tells its script, if that waits for something, that it has been done. */
  void answerDone() {
    if (wish != null) {
      Map<String, Value> values = values(wish.gives());
      answer(new Scripts.Answer.Done(values));
    }
  }

  /** Tells its script that what it wanted could not be done. */
  void answerRefused(StepFailure failure) {
    answer(new Scripts.Answer.Refused(failure.expected(), failure.found()));
  }

  private void answer(Scripts.Answer answer) {
    wish = null;
    takeBack();
    script.orElseThrow().answer(answer);
  }

  /** What these names are worth now. */
  Map<String, Value> values(List<String> names) {
    Map<String, Value> values = new LinkedHashMap<>();
    names.forEach(name -> values.put(name, scope.names.get(name)));
    return values;
  }

  /** What goes on when the last line is done. */
  interface Turns {

    /** Begins the next turn; false when there is none. */
    boolean again(int turn) throws StepFailure;

    /** After the last turn. */
    default void end() throws StepFailure {}
  }

  /** Once through, then out. */
  static final Turns ONCE = turn -> false;

  /** Back to the first line for another turn, if there is one. */
  boolean goRound() throws StepFailure {
    if (turns.again(++turn)) {
      next = 0;
      return true;
    }
    turns.end();
    return false;
  }
}
