package foldtwice.run;

import foldtwice.routine.Kind;
import foldtwice.routine.LengthUnit;
import foldtwice.routine.Scale;
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
   * @param unit the unit its number is read in; empty where it takes no length
   * @param scale the scale its number is read on; empty where it takes no amount
   * @param decimals the most decimal places it takes; negative where it takes a text
   * @param options what it can be, where it is a choice; empty where it is free
   * @param range what its number must lie in, where that is known
   */
  public record Field(
      String label,
      String text,
      Optional<LengthUnit> unit,
      Optional<Scale> scale,
      int decimals,
      List<String> options,
      Optional<Kind> range) {

    public Field {
      options = List.copyOf(options);
    }

    /** A field for any text. */
    public static Field text(String label, String text) {
      return new Field(
          label, text, Optional.empty(), Optional.empty(), -1, List.of(), Optional.empty());
    }

    /** A field for a bare number. */
    public static Field number(String label, String text, int decimals) {
      return new Field(
          label, text, Optional.empty(), Optional.empty(), decimals, List.of(), Optional.empty());
    }

    /** A field for a length in a unit. */
    public static Field length(String label, String text, LengthUnit unit, int decimals) {
      return new Field(
          label, text, Optional.of(unit), Optional.empty(), decimals, List.of(), Optional.empty());
    }

    /** A field for an amount on a scale. */
    public static Field amount(String label, String text, Scale scale, int decimals) {
      return new Field(
          label, text, Optional.empty(), Optional.of(scale), decimals, List.of(), Optional.empty());
    }

    /** A field that is one of several. */
    public static Field choice(String label, String text, String... options) {
      return new Field(
          label, text, Optional.empty(), Optional.empty(), -1, List.of(options), Optional.empty());
    }

    /** The same field, for numbers in a range only. */
    public Field within(Kind kind) {
      return new Field(label, text, unit, scale, decimals, options, Optional.of(kind));
    }

    /** The same field under another label. */
    public Field called(String other) {
      return new Field(other, text, unit, scale, decimals, options, range);
    }

    public Field with(String other) {
      return new Field(label, other, unit, scale, decimals, options, range);
    }

    /** The symbol of its unit or scale; empty where it has none. */
    public String symbol() {
      return unit.map(LengthUnit::symbol).or(() -> scale.map(Scale::symbol)).orElse("");
    }
  }

  public Optional<Field> field(String label) {
    return fields.stream().filter(f -> f.label().equals(label)).findFirst();
  }
}
