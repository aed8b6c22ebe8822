package foldtwice.writing;

import foldtwice.routine.Kind;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import java.math.BigDecimal;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The other half of a pair: the same routine with every signed number turned round, or with the
 * choice that clears what another sets.
 *
 * <p>Law: where numbers make the pair, the opposite of the opposite is what it began with.
 */
public final class Opposites {

  /** Choices that go back and forth. */
  private static final List<List<String>> PAIRS =
      List.of(
          List.of("left", "right"),
          List.of("up", "down"),
          List.of("on", "off"),
          List.of("set", "clear"),
          List.of("yes", "no"),
          List.of("next", "previous"));

  private static final List<String> CLEARING = List.of("clear", "none", "off", "nothing");

  private Opposites() {}

  /** The arguments of the other half; empty where there is none, or it is out of range. */
  public static Optional<Map<String, Value>> of(Routine routine, Map<String, Value> arguments) {
    Map<String, Value> turned = new LinkedHashMap<>();
    boolean changed = false;
    for (Parameter p : routine.parameters()) {
      Value now = arguments.getOrDefault(p.name(), p.otherwise());
      Optional<Value> other = turned(p.kind(), now).filter(v -> fits(p.kind(), v));
      changed |= other.isPresent();
      Value value = other.orElse(now);
      if (!value.equals(p.otherwise())) {
        turned.put(p.name(), value);
      }
    }
    return changed ? Optional.of(turned) : Optional.empty();
  }

  private static Optional<Value> turned(Kind kind, Value value) {
    Optional<Value> other =
        switch (value) {
          case Value.Length l -> Optional.of(l.negated());
          case Value.Amount(BigDecimal n) -> Optional.of(new Value.Amount(n.negate()));
          case Value.Quantity q -> Optional.of(q.negated());
          case Value.Flag(boolean yes) -> Optional.of(new Value.Flag(!yes));
          case Value.Text(String text) ->
              kind instanceof Kind.Choice(List<String> options)
                  ? choice(text, options).map(Value.Text::new)
                  : Optional.empty();
        };
    return other.filter(v -> !v.equals(value));
  }

  /** Left for right; else the choice that clears. */
  private static Optional<String> choice(String now, List<String> options) {
    for (List<String> pair : PAIRS) {
      for (int i = 0; i < 2; i++) {
        if (now.equalsIgnoreCase(pair.get(i))) {
          Optional<String> other = option(pair.get(1 - i), options);
          if (other.isPresent()) {
            return other;
          }
        }
      }
    }
    return CLEARING.stream().flatMap(c -> option(c, options).stream()).findFirst();
  }

  private static Optional<String> option(String word, List<String> options) {
    return options.stream().filter(o -> o.equalsIgnoreCase(word)).findFirst();
  }

  private static boolean fits(Kind kind, Value value) {
    return switch (kind) {
      case Kind.Distance(var least, var most, var step) ->
          value instanceof Value.Length l && l.compareTo(least) >= 0 && l.compareTo(most) <= 0;
      case Kind.Measure(var least, var most, var step) ->
          value instanceof Value.Quantity q && q.compareTo(least) >= 0 && q.compareTo(most) <= 0;
      case Kind.Count(long least, long most, long step) ->
          value instanceof Value.Amount(BigDecimal n)
              && n.compareTo(BigDecimal.valueOf(least)) >= 0
              && n.compareTo(BigDecimal.valueOf(most)) <= 0;
      case Kind.Decimal(BigDecimal least, BigDecimal most, BigDecimal step) ->
          value instanceof Value.Amount(BigDecimal n)
              && n.compareTo(least) >= 0
              && n.compareTo(most) <= 0;
      default -> true;
    };
  }
}
