package foldtwice.standin.sketch;

import foldtwice.describe.Description;
import foldtwice.routine.Kind;
import foldtwice.routine.LengthUnit;
import foldtwice.routine.Value;
import foldtwice.run.Dialog;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Fields of a dialog as they are described, as a dialog has them. */
final class Fields {

  /** A field takes as many decimals as its step has, and at least these. */
  private static final int DECIMALS = 2;

  /** As many where a setting says the unit: an inch is worth more of them than a millimetre. */
  private static final int FINE = 6;

  private Fields() {}

  /**
   * A field as it opens.
   *
   * @param settings what the settings are now
   */
  static Dialog.Field of(Description.Field f, Map<String, Value> settings) {
    return switch (f.kind()) {
      case Kind.Distance(var least, var most, var step) -> {
        Optional<LengthUnit> set =
            Optional.ofNullable(settings.get(f.unitOf())).flatMap(v -> LengthUnit.of(v.shown()));
        String begins = begins(f, least.amount().toPlainString());
        yield Dialog.Field.length(
                f.label(),
                set.filter(u -> u != least.unit()).isPresent() ? "0" : begins,
                set.orElse(least.unit()),
                set.isPresent() ? FINE : Math.max(DECIMALS, step.amount().scale()))
            .within(f.kind());
      }
      case Kind.Measure(var least, var most, var step) ->
          Dialog.Field.amount(
                  f.label(),
                  begins(f, least.amount().toPlainString()),
                  least.scale(),
                  Math.max(DECIMALS, step.amount().scale()))
              .within(f.kind());
      case Kind.Decimal(var least, var most, var step) ->
          Dialog.Field.number(
                  f.label(), begins(f, least.toPlainString()), Math.max(DECIMALS, step.scale()))
              .within(f.kind());
      case Kind.Count(long least, long most, long step) ->
          Dialog.Field.number(f.label(), begins(f, Long.toString(least)), 0).within(f.kind());
      case Kind.Choice(List<String> options) ->
          Dialog.Field.choice(
              f.label(),
              options.contains(f.start()) || options.isEmpty() ? f.start() : options.getFirst(),
              options.toArray(String[]::new));
      case Kind.YesNo y ->
          Dialog.Field.choice(f.label(), f.start().equals("yes") ? "yes" : "no", "yes", "no");
      case Kind.Words w -> Dialog.Field.text(f.label(), f.start());
      case Kind.KeyPress k -> Dialog.Field.text(f.label(), f.start());
      case Kind.Colour c -> Dialog.Field.text(f.label(), f.start());
    };
  }

  /** What stands in it at first: a bare number in its unit, or the least where nothing fits. */
  private static String begins(Description.Field f, String least) {
    Value start = f.kind().lenient(f.start());
    return switch (start) {
      case Value.Length l -> l.amount().toPlainString();
      case Value.Quantity q -> q.amount().toPlainString();
      case Value.Amount a -> a.shown();
      case Value.Flag x -> least;
      case Value.Text t -> f.start().matches("-?\\d{1,9}([.]\\d{1,9})?") ? f.start() : least;
    };
  }
}
