package foldtwice.effort;

import foldtwice.library.Procedure;
import foldtwice.place.NativeCommand;
import foldtwice.resolve.Keymap;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What procedures take: their parts one after the other, thought of as one. */
final class Chains {

  private final Payback payback;
  private final Keymap keymap;

  Chains(Payback payback, Keymap keymap) {
    this.payback = payback;
    this.keymap = keymap;
  }

  Payback.Chain of(Procedure p) {
    List<Timing> bound = new ArrayList<>();
    List<Optional<Timing>> byHand = new ArrayList<>();
    int missing = 0;
    for (Procedure.Part part : p.parts()) {
      Optional<Timing> one = bound(part);
      missing += one.isEmpty() ? 1 : 0;
      one.ifPresent(bound::add);
      byHand.add(byHand(part));
    }
    Optional<Span> hand =
        !p.yardstick().moves().isEmpty()
            ? Optional.of(Timing.of(p.yardstick().moves(), payback.values()).plain())
            : byHand.stream().allMatch(Optional::isPresent)
                ? Optional.of(
                    Payback.sum(byHand.stream().map(t -> t.orElseThrow().plain()).toList()))
                : Optional.empty();
    Optional<Span> all =
        missing > 0 || bound.isEmpty() ? Optional.empty() : Optional.of(asOne(bound, p.atATime()));
    return new Payback.Chain(p, hand, all, missing);
  }

  /** Thought of once for as many as are done in one go; hand and keys each time. */
  private static Span asOne(List<Timing> parts, int atATime) {
    Span all = Span.NONE;
    Span first = Span.NONE;
    for (Timing t : parts) {
      for (Timed op : t.parts()) {
        if (op.operator() != Operator.M) {
          all = all.plus(op.seconds().times(op.share()));
        } else if (first.equals(Span.NONE)) {
          first = op.seconds();
        }
      }
    }
    return all.plus(first.times(1.0 / atATime));
  }

  private Optional<Timing> bound(Procedure.Part part) {
    return switch (part) {
      case Procedure.Part.Bound(String id) -> payback.row(id).flatMap(Payback.Row::bound);
      case Procedure.Part.Native(String application, String command) ->
          command(application, command)
              .flatMap(c -> c.triggers().stream().findFirst())
              .map(t -> new BoundRoute(payback.library(), keymap).of(t, Outset.KEYS))
              .filter(m -> !m.isEmpty())
              .map(m -> Timing.of(m, payback.values()));
    };
  }

  private Optional<Timing> byHand(Procedure.Part part) {
    return switch (part) {
      case Procedure.Part.Bound(String id) -> payback.row(id).flatMap(Payback.Row::byHand);
      case Procedure.Part.Native(String application, String command) ->
          command(application, command)
              .filter(c -> !c.menuPath().isEmpty())
              .map(c -> Timing.of(WorkedOut.menuRoute(c.menuPath().size()), payback.values()));
    };
  }

  private Optional<NativeCommand> command(String application, String command) {
    return Optional.ofNullable(payback.library().applications().get(application))
        .flatMap(a -> a.command(command));
  }
}
