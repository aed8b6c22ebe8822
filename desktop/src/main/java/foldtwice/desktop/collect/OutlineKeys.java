package foldtwice.desktop.collect;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;

/** What keys and clicks do to the lines of the outline. */
final class OutlineKeys {

  private final OutlineView.Actions actions;
  private final Supplier<List<OutlineRow>> rows;
  private final Supplier<List<String>> chosen;
  private final Runnable edit;

  /**
   * @param chosen the numbers of the chosen lines; the last is the one that was added
   * @param edit puts the keys into the first part of the chosen step
   */
  OutlineKeys(
      OutlineView.Actions actions,
      Supplier<List<OutlineRow>> rows,
      Supplier<List<String>> chosen,
      Runnable edit) {
    this.actions = actions;
    this.rows = rows;
    this.chosen = chosen;
    this.edit = edit;
  }

  /** Arrow keys go through the lines, with Shift they choose more, with Alt they move them. */
  void pressed(KeyEvent e) {
    boolean taken = true;
    switch (e.getCode()) {
      case UP -> step(e, StepEditor.Action.UP, -1);
      case DOWN -> step(e, StepEditor.Action.DOWN, 1);
      case HOME -> taken = end(0);
      case END -> taken = end(numbers().size() - 1);
      case RIGHT -> taken = act(e.isAltDown(), StepEditor.Action.IN);
      case LEFT -> taken = act(e.isAltDown(), StepEditor.Action.OUT);
      case DELETE -> actions.act(StepEditor.Action.REMOVE);
      case SPACE -> actions.act(StepEditor.Action.SWITCH);
      case ENTER -> edit.run();
      case ESCAPE -> taken = alone();
      case A -> taken = shortcut(e, this::chooseAll);
      case C -> taken = shortcut(e, () -> actions.toClipboard(false));
      case X -> taken = shortcut(e, () -> actions.toClipboard(true));
      case V -> taken = shortcut(e, actions::fromClipboard);
      default -> taken = false;
    }
    if (taken) {
      e.consume();
    }
  }

  /** A letter typed on the lines begins a step after the chosen one. */
  void typed(KeyEvent e) {
    String letter = e.getCharacter();
    boolean plain = !e.isControlDown() && !e.isAltDown() && !e.isMetaDown();
    boolean begins = letter.length() == 1 && Character.isLetterOrDigit(letter.charAt(0));
    if (plain && begins) {
      e.consume();
      actions.beginStep(letter);
    }
  }

  private static boolean shortcut(KeyEvent e, Runnable action) {
    boolean it = e.isShortcutDown() && !e.isShiftDown() && !e.isAltDown();
    if (it) {
      action.run();
    }
    return it;
  }

  private boolean act(boolean it, StepEditor.Action action) {
    if (it) {
      actions.act(action);
    }
    return it;
  }

  private boolean end(int at) {
    List<String> numbers = numbers();
    if (!numbers.isEmpty()) {
      actions.chooseStep(numbers.get(at));
    }
    return true;
  }

  private boolean alone() {
    boolean several = chosen.get().size() > 1;
    if (several) {
      actions.chooseStep(chosen.get().getLast());
    }
    return several;
  }

  private List<String> numbers() {
    return rows.get().stream().filter(OutlineRow::canBeChosen).map(OutlineRow::number).toList();
  }

  private void chooseAll() {
    actions.chooseSteps(
        rows.get().stream()
            .filter(r -> r instanceof OutlineRow.Step)
            .map(OutlineRow::number)
            .toList());
  }

  private void step(KeyEvent e, StepEditor.Action action, int by) {
    if (e.isAltDown()) {
      actions.act(action);
      return;
    }
    List<String> numbers = numbers();
    if (numbers.isEmpty()) {
      return;
    }
    int at = chosen.get().isEmpty() ? -1 : numbers.indexOf(chosen.get().getLast());
    String next = numbers.get(Math.clamp(at + by, 0, numbers.size() - 1));
    if (e.isShiftDown()) {
      extendTo(next);
    } else {
      actions.chooseStep(next);
    }
  }

  /** All from the one that was chosen first to this one. */
  private void extendTo(String number) {
    List<String> numbers = numbers();
    int first = chosen.get().isEmpty() ? -1 : numbers.indexOf(chosen.get().getFirst());
    int last = numbers.indexOf(number);
    if (first < 0 || last < 0) {
      actions.chooseStep(number);
      return;
    }
    List<String> all =
        new ArrayList<>(numbers.subList(Math.min(first, last), Math.max(first, last) + 1));
    actions.chooseSteps(first <= last ? all : all.reversed());
  }

  /** A click on a line that can be chosen. */
  void clicked(MouseEvent e, String number) {
    if (e.isShiftDown()) {
      extendTo(number);
    } else if (e.isShortcutDown()) {
      toggle(number);
    } else {
      actions.chooseStep(number);
    }
  }

  private void toggle(String number) {
    List<String> all = new ArrayList<>(chosen.get());
    if (!all.remove(number)) {
      all.add(number);
    }
    actions.chooseSteps(all);
  }
}
