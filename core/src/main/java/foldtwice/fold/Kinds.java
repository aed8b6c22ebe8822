package foldtwice.fold;

import foldtwice.routine.Kind;
import foldtwice.routine.Value;
import java.math.BigDecimal;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;

/** Infers what a parameter may be from the values it had. */
final class Kinds {

  private Kinds() {}

  /**
   * The kind that all of them are: numbers with room as wide again on both sides of them (but below
   * zero only where one of them is), and their smallest difference as the step; texts of a menu or
   * a choice as a choice, others as text.
   *
   * @return empty where they are of several kinds, or of one that no parameter has
   */
  static Optional<Kind> of(Constant.Place place, List<Value> values) {
    Value first = values.getFirst();
    if (values.stream().anyMatch(v -> v.getClass() != first.getClass())) {
      return Optional.empty();
    }
    return switch (first) {
      case Value.Text t ->
          Optional.of(
              place == Constant.Place.TEXT
                  ? new Kind.Words()
                  : new Kind.Choice(values.stream().map(Value::shown).distinct().toList()));
      case Value.Flag f -> Optional.of(new Kind.YesNo());
      case Value.Amount a -> count(values);
      case Value.Length l -> Optional.of(distance(values));
      case Value.Quantity q ->
          values.stream().allMatch(v -> ((Value.Quantity) v).scale() == q.scale())
              ? Optional.of(measure(values))
              : Optional.empty();
    };
  }

  private static Optional<Kind> count(List<Value> values) {
    TreeSet<BigDecimal> all = new TreeSet<>();
    values.forEach(v -> all.add(((Value.Amount) v).amount()));
    if (all.stream()
        .anyMatch(n -> n.scale() > 0 || n.abs().compareTo(BigDecimal.valueOf(1_000_000)) > 0)) {
      return Optional.empty();
    }
    BigDecimal room = all.last().subtract(all.first());
    long least = all.first().subtract(room).longValueExact();
    boolean never = all.first().signum() >= 0;
    return Optional.of(
        new Kind.Count(never ? Math.max(0, least) : least, all.last().add(room).longValueExact()));
  }

  private static Kind distance(List<Value> values) {
    List<Value.Length> all =
        values.stream().map(v -> (Value.Length) v).sorted(Comparator.naturalOrder()).toList();
    Value.Length least = all.getFirst();
    Value.Length most = all.getLast();
    Value.Length room = most.in(least.unit()).plus(least.negated());
    Value.Length step = room;
    for (int i = 1; i < all.size(); i++) {
      Value.Length apart =
          all.get(i).in(least.unit()).plus(all.get(i - 1).in(least.unit()).negated());
      if (apart.amount().signum() > 0 && apart.compareTo(step) < 0) {
        step = apart;
      }
    }
    Value.Length lower = least.plus(room.negated());
    boolean never = least.amount().signum() >= 0 && lower.amount().signum() < 0;
    return new Kind.Distance(
        never ? lower.times(BigDecimal.ZERO) : lower, most.in(least.unit()).plus(room), step);
  }

  private static Kind measure(List<Value> values) {
    List<Value.Quantity> all =
        values.stream().map(v -> (Value.Quantity) v).sorted(Comparator.naturalOrder()).toList();
    Value.Quantity least = all.getFirst();
    Value.Quantity most = all.getLast();
    BigDecimal room = most.amount().subtract(least.amount());
    BigDecimal step = room;
    for (int i = 1; i < all.size(); i++) {
      BigDecimal apart = all.get(i).amount().subtract(all.get(i - 1).amount());
      if (apart.signum() > 0 && apart.compareTo(step) < 0) {
        step = apart;
      }
    }
    return new Kind.Measure(
        new Value.Quantity(
            least.amount().signum() >= 0
                ? least.amount().subtract(room).max(BigDecimal.ZERO)
                : least.amount().subtract(room),
            least.scale()),
        new Value.Quantity(most.amount().add(room), least.scale()),
        new Value.Quantity(step, least.scale()));
  }
}
