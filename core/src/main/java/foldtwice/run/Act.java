package foldtwice.run;

import foldtwice.routine.Step;
import foldtwice.routine.Value;
import foldtwice.trigger.Trigger;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** One thing a person does to a program by hand. */
public sealed interface Act {

  /** Choose a command from the menus. */
  record Choose(List<String> menuPath) implements Act {
    public Choose {
      menuPath = List.copyOf(menuPath);
    }
  }

  /**
   * Set off a command by its own keys.
   *
   * @param keys those that were pressed; empty when it was the mouse, as by a double click
   */
  record Fire(String command, Optional<Trigger.Keys> keys) implements Act {}

  /** Write into a field of the open dialog. */
  record Fill(String field, String text) implements Act {}

  /** Press a button of the open dialog. */
  record PressButton(String label) implements Act {}

  /** Click an object, or with an empty name beside them all. */
  record Click(String name, boolean adding) implements Act {}

  /** Type text. */
  record Type(String text) implements Act {}

  /** Move an adjustable value to an amount. */
  record Adjust(String value, Value.Quantity to) implements Act {}

  /** Set off a routine; it has been run already. */
  record Ran(String routine, Map<String, Value> arguments) implements Act {
    public Ran {
      arguments = Map.copyOf(arguments);
    }
  }

  /** Does it to a program. */
  default Reply on(Program program) {
    return switch (this) {
      case Choose(List<String> menuPath) -> program.choose(menuPath);
      case Fire(String command, var keys) -> program.fire(command);
      case Fill(String field, String text) -> program.fill(field, text);
      case PressButton(String label) -> program.press(label);
      case Click(String name, boolean adding) -> program.click(name, adding);
      case Type(String text) -> program.type(text);
      case Adjust(String value, Value.Quantity to) ->
          program.adjust(value, Step.Adjusting.TO, to, Step.Edge.CLAMP);
      case Ran r -> Reply.QUIET;
    };
  }
}
