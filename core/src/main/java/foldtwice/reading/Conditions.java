package foldtwice.reading;

import foldtwice.known.Facts;
import foldtwice.known.Known;
import foldtwice.reading.Types.ValueType;
import foldtwice.routine.Condition;
import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Readout;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * Finds what is wrong with the conditions of a macro and with what it reads. What mends a part of
 * them mends the step they stand in, and leaves all else of it as it is.
 */
final class Conditions {

  private final Routine.Macro macro;
  private final Known known;
  private final Slips slips;
  private final WorkedDialogs dialogs;
  private final Optional<Facts> facts;

  Conditions(Routine.Macro macro, Known known, Slips slips, WorkedDialogs dialogs) {
    this.macro = macro;
    this.known = known;
    this.slips = slips;
    this.dialogs = dialogs;
    this.facts = known.program(macro.application());
  }

  /**
   * What is wrong with a condition.
   *
   * @param in the step with another condition in its place
   */
  void check(Condition condition, Function<Condition, Step> in) {
    switch (condition) {
      case Condition.Compare(Expr left, var relation, Expr right) -> {
        ValueType a = slips.expr(left);
        ValueType b = slips.expr(right);
        if (!a.fits(b)) {
          slips.mark(
              Mark.Fault.WRONG_KIND, ExprNotation.write(right), a.words() + ", to compare with");
        }
      }
      case Condition.Reads(Readout what, var relation, Expr value) -> {
        readout(what, w -> in.apply(new Condition.Reads(w, relation, value)));
        if (!slips.expr(value).fits(typeOf(what))) {
          slips.mark(Mark.Fault.WRONG_KIND, ExprNotation.write(value), typeOf(what).words());
        }
      }
      case Condition.Ticked(List<Template> path) -> {
        path.forEach(slips::names);
        if (tells(Facts.Aspect.COMMANDS)
            && facts.get().commands().stream().noneMatch(c -> Reading.mayBe(path, c.menu()))) {
          dialogs.noMenu(path, near -> in.apply(new Condition.Ticked(near)));
        }
      }
      case Condition.DialogOpen(String title) -> {
        if (tells(Facts.Aspect.DIALOGS) && facts.get().dialog(title).isEmpty()) {
          slips.mark(
              Mark.Fault.NO_SUCH_DIALOG,
              title,
              "a dialog of " + known.nameOf(macro.application()),
              facts.get().dialogs().stream().map(Facts.Dialog::title).toList(),
              near -> in.apply(new Condition.DialogOpen(near)));
        }
      }
      case Condition.InFront(String application) ->
          program(application, near -> in.apply(new Condition.InFront(near)));
      case Condition.Not(Condition of) -> check(of, c -> in.apply(new Condition.Not(c)));
      case Condition.All(List<Condition> of) -> each(of, all -> in.apply(new Condition.All(all)));
      case Condition.Any(List<Condition> of) -> each(of, any -> in.apply(new Condition.Any(any)));
      case Condition.VersionAtLeast v -> {}
      case Condition.SomethingSelected s -> {}
    }
  }

  private void each(List<Condition> of, Function<List<Condition>, Step> in) {
    for (int i = 0; i < of.size(); i++) {
      int at = i;
      check(
          of.get(i),
          c -> {
            List<Condition> other = new ArrayList<>(of);
            other.set(at, c);
            return in.apply(other);
          });
    }
  }

  /**
   * What is wrong with something that is read.
   *
   * @param in the step with something else in its place
   */
  void readout(Readout what, Function<Readout, Step> in) {
    switch (what) {
      case Readout.Setting(String name) ->
          there(
              Facts.Aspect.SETTINGS,
              Mark.Fault.NO_SUCH_SETTING,
              name,
              f -> f.settings().keySet(),
              near -> in.apply(new Readout.Setting(near)));
      case Readout.Adjustable(String name) ->
          there(
              Facts.Aspect.VALUES,
              Mark.Fault.NO_SUCH_VALUE,
              name,
              f -> f.values().keySet(),
              near -> in.apply(new Readout.Adjustable(near)));
      case Readout.Indicator(String name) ->
          there(
              Facts.Aspect.INDICATORS,
              Mark.Fault.NO_SUCH_VALUE,
              name,
              Facts::indicators,
              near -> in.apply(new Readout.Indicator(near)));
      case Readout.Field(String label) ->
          dialogs.readField(label, near -> in.apply(new Readout.Field(near)));
      case Readout.Of of -> {}
    }
  }

  /** A program that is not there is told, with the nearest one that is. */
  void program(String application, Function<String, Step> mend) {
    List<String> all = known.windows();
    if (!all.contains(application)) {
      slips.mark(Mark.Fault.NO_SUCH_PROGRAM, application, "a program there is", all, mend);
    }
  }

  /** What is not known of a program is not held against anybody. */
  boolean tells(Facts.Aspect aspect) {
    return facts.filter(f -> f.tells(aspect)).isPresent();
  }

  private void there(
      Facts.Aspect aspect,
      Mark.Fault fault,
      String name,
      Function<Facts, Set<String>> all,
      Function<String, Step> mend) {
    Set<String> right = facts.map(all).orElse(Set.of());
    if (tells(aspect) && !right.contains(name)) {
      slips.mark(
          fault,
          name,
          right.isEmpty() ? "nothing: it has none" : "one of " + String.join(", ", right),
          right,
          mend);
    }
  }

  /** What kind of value is read. */
  ValueType typeOf(Readout what) {
    return switch (what) {
      case Readout.Setting(String name) ->
          facts.map(f -> f.settings().get(name)).map(Types::of).orElse(ValueType.ANY);
      case Readout.Adjustable(String name) ->
          facts.map(f -> f.values().get(name)).map(k -> Types.of(k)).orElse(ValueType.ANY);
      case Readout.Indicator i -> ValueType.NUMBER;
      case Readout.Field f -> ValueType.TEXT;
      case Readout.Of.SELECTED_COUNT -> ValueType.NUMBER;
      case Readout.Of.SELECTED_TEXT, Readout.Of.CLIPBOARD -> ValueType.TEXT;
    };
  }
}
