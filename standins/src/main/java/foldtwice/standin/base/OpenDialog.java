package foldtwice.standin.base;

import foldtwice.run.Dialog;
import foldtwice.run.Program;
import foldtwice.run.Reply;
import java.math.BigDecimal;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A dialog and what its buttons do with what stands in its fields.
 *
 * @param actions by button label, in order
 */
public record OpenDialog(Dialog view, Map<String, Action> actions) {

  /** What a button does: to the program it is given, so that a copy's dialog works the copy. */
  public interface Action {
    Reply on(Program program, Dialog dialog);
  }

  /** A dialog whose buttons are added one by one with {@link #button}. */
  public static OpenDialog of(String title, Dialog.Field... fields) {
    return new OpenDialog(new Dialog(title, List.of(fields), List.of()), Map.of());
  }

  public OpenDialog button(String label, Action action) {
    Map<String, Action> more = new LinkedHashMap<>(actions);
    more.put(label, action);
    return new OpenDialog(
        new Dialog(view.title(), view.fields(), List.copyOf(more.keySet())), more);
  }

  /** With another text in a field. */
  OpenDialog with(String field, String text) {
    List<Dialog.Field> fields =
        view.fields().stream()
            .map(
                f ->
                    f.label().equals(field)
                        ? new Dialog.Field(f.label(), text, f.unit(), f.decimals())
                        : f)
            .toList();
    return new OpenDialog(new Dialog(view.title(), fields, view.buttons()), actions);
  }

  /** Reads a number as a dialog does. */
  public static Optional<BigDecimal> number(String text) {
    String plain = text.strip().replace(',', '.').replace('\u2212', '-');
    return plain.matches("[-+]?\\d{1,9}(\\.\\d{1,9})?")
        ? Optional.of(new BigDecimal(plain))
        : Optional.empty();
  }
}
