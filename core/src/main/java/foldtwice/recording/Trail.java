package foldtwice.recording;

import foldtwice.known.Effects;
import foldtwice.known.Facts;
import foldtwice.routine.Expr;
import foldtwice.routine.Kind;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.routine.Whom;
import foldtwice.run.Act;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Turns acts into steps.
 *
 * <p>Rules, each tested:
 *
 * <ol>
 *   <li>A command is named by its menu path, also when its key was pressed; one without a path by
 *       its keys.
 *   <li>Of several selections one after the other only what they came to is kept; a click that did
 *       more than select is kept as it is.
 *   <li>Of several values written into one field, or given to one adjustable value, only the last.
 *   <li>A dialog that was opened and left without doing anything is left out whole.
 *   <li>What was undone at once is left out, and the undoing with it.
 *   <li>Text typed piece by piece is one text, without what was erased.
 * </ol>
 */
final class Trail {

  private static final String UNDO = "undo";
  private static final String ERASE = "erase";

  private final List<Step> steps = new ArrayList<>();
  private int dialogFrom = -1;
  private boolean dialogDid;
  private int fillsFrom;

  /** Clicks before this did more than select: none of them is a detour. */
  private int pureFrom;

  List<Step> steps() {
    return List.copyOf(steps);
  }

  void take(Recording.Heard heard) {
    switch (heard.act()) {
      case Act.Choose(List<String> menu) -> command(byMenu(heard.facts(), menu), menu, heard);
      case Act.Fire(String id, var keys) -> fired(id, keys.orElse(null), heard);
      case Act.Fill(String field, String text) -> fill(field, text, heard);
      case Act.PressButton(String label) -> press(label, heard);
      case Act.Click(String name, boolean adding) -> {
        if (heard.onlySelects()) {
          click(name, adding, heard.selected());
        } else {
          steps.add(named(name, adding));
          pureFrom = steps.size();
        }
      }
      case Act.Type(String text) -> type(text);
      case Act.Adjust(String value, Value.Quantity to) -> {
        if (!steps.isEmpty()
            && steps.getLast() instanceof Step.Adjust a
            && a.value().equals(value)) {
          steps.removeLast();
        }
        steps.add(
            new Step.Adjust(value, Step.Adjusting.TO, new Expr.Literal(to), Step.Edge.REPORT));
      }
      case Act.Ran(String routine, Map<String, Value> arguments) -> {
        Map<String, Expr> given = new LinkedHashMap<>();
        arguments.forEach((name, value) -> given.put(name, new Expr.Literal(value)));
        steps.add(new Step.RunRoutine(routine, given));
      }
    }
  }

  private static Optional<Facts.Command> byMenu(Facts facts, List<String> menu) {
    return facts.commands().stream().filter(c -> c.menu().equals(menu)).findFirst();
  }

  private void command(Optional<Facts.Command> command, List<String> menu, Recording.Heard heard) {
    if (command.filter(c -> c.id().equals(UNDO)).isPresent()) {
      undone();
      return;
    }
    if (heard.dialog().isPresent() && dialogFrom < 0) {
      dialogFrom = steps.size();
      fillsFrom = dialogFrom + 1;
      dialogDid = false;
    }
    steps.add(new Step.Choose(Template.all(menu)));
  }

  private void fired(String id, foldtwice.trigger.Trigger.Keys keys, Recording.Heard heard) {
    Optional<Facts.Command> command = heard.facts().command(id);
    boolean typing = !steps.isEmpty() && steps.getLast() instanceof Step.TypeText;
    if (id.equals(ERASE) && typing) {
      erase();
    } else if (dialogFrom >= 0 && heard.dialog().isEmpty()) {
      left();
    } else if (command.isPresent() && !command.get().menu().isEmpty()) {
      command(command, command.get().menu(), heard);
    } else if (keys != null) {
      steps.add(new Step.PressKeys(keys));
    }
  }

  private void undone() {
    if (!steps.isEmpty()) {
      steps.removeLast();
    }
    dialogFrom = -1;
  }

  private void fill(String field, String text, Recording.Heard heard) {
    for (int i = steps.size() - 1; i >= Math.max(0, fillsFrom); i--) {
      if (steps.get(i) instanceof Step.Fill f && f.field().equals(field)) {
        steps.remove(i);
      }
    }
    steps.add(new Step.Fill(field, value(field, text, heard)));
  }

  /** What was typed, with the unit the field reads it in. */
  private static Expr value(String label, String text, Recording.Heard heard) {
    Optional<Facts.Field> field =
        heard.dialog().flatMap(heard.facts()::dialog).flatMap(d -> d.field(label));
    Optional<BigDecimal> number = number(text);
    if (field.isEmpty() || number.isEmpty()) {
      return new Expr.Literal(new Value.Text(text));
    }
    Value value =
        switch (field.get().takes()) {
          case LENGTH -> length(number.get(), heard);
          case AMOUNT -> new Value.Quantity(number.get(), field.get().scale().orElseThrow());
          case NUMBER -> new Value.Amount(number.get());
          case TEXT, CHOICE -> new Value.Text(text);
        };
    return new Expr.Literal(value);
  }

  private static Value length(BigDecimal number, Recording.Heard heard) {
    return heard
        .unit()
        .<Value>map(unit -> new Value.Length(number, unit))
        .orElseGet(() -> new Value.Amount(number));
  }

  private static Optional<BigDecimal> number(String text) {
    var m = Kind.AMOUNT.matcher(text);
    if (!m.matches() || !m.group(3).isEmpty()) {
      return Optional.empty();
    }
    BigDecimal size = new BigDecimal(m.group(2).replace(',', '.'));
    boolean minus = m.group(1).equals("-") || m.group(1).equals("\u2212");
    return Optional.of(minus ? size.negate() : size);
  }

  private void press(String label, Recording.Heard heard) {
    Effects effects =
        heard.facts().dialogs().stream()
            .flatMap(d -> d.button(label).stream())
            .map(Facts.Button::effects)
            .filter(e -> !e.equals(Effects.NONE))
            .findFirst()
            .orElse(Effects.NONE);
    if (effects.equals(Effects.NONE) && !dialogDid && heard.dialog().isEmpty()) {
      left();
      return;
    }
    dialogDid |= !effects.equals(Effects.NONE);
    steps.add(new Step.PressButton(label));
    fillsFrom = steps.size();
    if (heard.dialog().isEmpty()) {
      dialogFrom = -1;
    }
  }

  /** A dialog was left: if nothing came of it, it was a detour. */
  private void left() {
    if (dialogFrom >= 0 && !dialogDid) {
      while (steps.size() > dialogFrom) {
        steps.removeLast();
      }
    } else if (dialogFrom >= 0) {
      steps.add(new Step.Leave(Step.Leaving.GIVE_UP));
    }
    dialogFrom = -1;
  }

  private void click(String name, boolean adding, List<String> now) {
    List<Step> before = new ArrayList<>();
    while (steps.size() > pureFrom && steps.getLast() instanceof Step.Select) {
      before.addFirst(steps.removeLast());
    }
    if (name.isEmpty() || now.isEmpty()) {
      steps.add(new Step.Select(Whom.Group.NOTHING, false));
    } else if (!adding) {
      steps.add(named(name, false));
    } else if (now.contains(name)) {
      steps.addAll(before);
      steps.add(named(name, true));
    } else {
      boolean more = false;
      for (String selected : now) {
        steps.add(named(selected, more));
        more = true;
      }
    }
  }

  private static Step named(String name, boolean adding) {
    return new Step.Select(new Whom.Named(new Template(name)), adding);
  }

  private void type(String text) {
    if (!steps.isEmpty() && steps.getLast() instanceof Step.TypeText(Template before)) {
      steps.removeLast();
      steps.add(new Step.TypeText(new Template(before.source() + text)));
    } else {
      steps.add(new Step.TypeText(new Template(text)));
    }
  }

  private void erase() {
    String text = ((Step.TypeText) steps.removeLast()).text().source();
    int end = text.offsetByCodePoints(text.length(), -1);
    if (end > 0) {
      steps.add(new Step.TypeText(new Template(text.substring(0, end))));
    }
  }
}
