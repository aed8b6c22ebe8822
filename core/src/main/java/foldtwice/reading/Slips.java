package foldtwice.reading;

import foldtwice.outline.Outline;
import foldtwice.outline.Renaming;
import foldtwice.place.Labels;
import foldtwice.reading.Types.ValueType;
import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.text.Nearness;
import foldtwice.text.Refusals;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** Gathers the marks of one macro, and finds what is wrong with names, texts and expressions. */
final class Slips {

  private final Routine.Macro macro;
  private final Types types;
  private final List<Mark> marks = new ArrayList<>();
  private final Labels labels;
  private String number = "";

  /**
   * @param labels of the program here: what stands in another language is near to its own
   */
  Slips(Routine.Macro macro, Types types, Labels labels) {
    this.labels = labels;
    this.macro = macro;
    this.types = types;
  }

  /** The step that is looked at from here on. */
  void at(String step) {
    number = step;
  }

  String number() {
    return number;
  }

  List<Mark> marks() {
    return List.copyOf(marks);
  }

  void add(Mark mark) {
    marks.add(mark);
  }

  void mark(Mark.Fault fault, String found, String expected) {
    marks.add(new Mark(number, fault, found, expected, Optional.empty(), Optional.empty()));
  }

  void mark(
      Mark.Fault fault,
      String found,
      String expected,
      Collection<String> right,
      Function<String, Step> mend) {
    Optional<String> near =
        Optional.ofNullable(labels.words().get(found))
            .filter(right::contains)
            .or(() -> Nearness.nearest(found, right));
    marks.add(new Mark(number, fault, found, expected, near.map(mend), near));
  }

  void wants(Expr e, ValueType wanted) {
    if (!expr(e).fits(wanted)) {
      mark(Mark.Fault.WRONG_KIND, ExprNotation.write(e), wanted.words());
    }
  }

  /** Marks what is wrong inside an expression and says its kind. */
  ValueType expr(Expr e) {
    switch (e) {
      case Expr.Literal l -> {}
      case Expr.Name(String name) -> known(name);
      case Expr.Written(Template text) -> names(text);
      case Expr.Opposite(Expr of) -> expr(of);
      case Expr.UnitOf(Expr length) -> wants(length, ValueType.LENGTH);
      case Expr.Joined(Expr left, Expr.Operator operator, Expr right) -> {
        ValueType a = expr(left);
        ValueType b = expr(right);
        boolean fine =
            operator == Expr.Operator.TIMES
                ? a.fits(ValueType.NUMBER) || b.fits(ValueType.NUMBER)
                : a.fits(b);
        if (!fine) {
          mark(
              Mark.Fault.WRONG_KIND,
              ExprNotation.write(e),
              "two of one kind, or one of them a number");
        }
      }
    }
    return types.of(e);
  }

  void names(Template text) {
    text.names().forEach(this::known);
  }

  /** A name that nobody gives is told, with the step in which the nearest one stands for it. */
  void known(String name) {
    if (types.knows(name)) {
      return;
    }
    Optional<String> near = Nearness.nearest(name, types.names());
    marks.add(
        new Mark(
            number,
            Mark.Fault.UNKNOWN_NAME,
            "\u2039" + name + "\u203a",
            Refusals.says("reading.parameter-or-variable-set"),
            near.flatMap(n -> mended(name, n)),
            near));
  }

  /** None outside of the steps of a macro. */
  private Optional<Step> mended(String name, String near) {
    return number.isEmpty()
        ? Optional.empty()
        : Outline.at(macro.steps(), number).map(line -> Renaming.in(line.step(), name, near));
  }
}
