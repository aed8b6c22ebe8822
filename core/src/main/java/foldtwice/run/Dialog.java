package foldtwice.run;

import foldtwice.routine.LengthUnit;
import java.util.List;
import java.util.Optional;

/**
 * A dialog a program has open.
 *
 * @param buttons by label; the first is the one Enter presses, the last closes without doing
 *     anything
 */
public record Dialog(String title, List<Field> fields, List<String> buttons) {

  public Dialog {
    fields = List.copyOf(fields);
    buttons = List.copyOf(buttons);
  }

  /**
   * A field of a dialog.
   *
   * @param label as the program writes it
   * @param text what stands in it
   * @param unit the unit its number is read in; empty where it takes a text or a bare number
   * @param decimals the most decimal places it takes
   */
  public record Field(String label, String text, Optional<LengthUnit> unit, int decimals) {}

  public Optional<Field> field(String label) {
    return fields.stream().filter(f -> f.label().equals(label)).findFirst();
  }
}
