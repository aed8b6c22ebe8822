package foldtwice.plan;

import foldtwice.binding.Pattern;
import foldtwice.library.Library;
import foldtwice.resolve.Keymap;
import foldtwice.trigger.Key;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Keysym;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** The ways a family could be laid out by a pattern of the same kind. */
final class Laying {

  /** Rows of keys that a family can begin on as well as where it is. */
  private static final List<Key> STARTS =
      List.of(
          new Key.At(KeyCode.DIGIT_1),
          new Key.Making(Keysym.named("F1").orElseThrow()),
          new Key.Making(Keysym.named("F5").orElseThrow()));

  private final Library library;
  private final Keymap on;

  Laying(Library library, Keymap on) {
    this.library = library;
    this.on = on;
  }

  /** Whether a pattern says that its members have these, in their order. */
  boolean isLaidBy(Pattern pattern, List<Trigger> today) {
    return laid(pattern, today).equals(Optional.of(today));
  }

  /**
   * What the members of a family would have by patterns of the kind of its own.
   *
   * @param today what they have, by its own
   */
  List<List<Trigger.Keys>> of(Pattern pattern, List<Trigger> today) {
    return others(pattern)
        .flatMap(p -> laid(p, today).stream())
        .map(all -> all.stream().map(Trigger.Keys.class::cast).toList())
        .distinct()
        .toList();
  }

  private static Stream<Pattern> others(Pattern pattern) {
    return switch (pattern) {
      case Pattern.Neighbours(Stroke first) -> starts(first).map(Pattern.Neighbours::new);
      case Pattern.Pairs(Stroke first, Modifiers recall) ->
          starts(first)
              .flatMap(
                  s ->
                      Modifiers.TO_HOLD.stream()
                          .filter(r -> !r.equals(s.modifiers()))
                          .map(r -> new Pattern.Pairs(s, r)));
      case Pattern.Steps(Stroke up, Stroke down, Modifiers coarse) ->
          Modifiers.TO_HOLD.stream()
              .flatMap(
                  held ->
                      Modifiers.TO_HOLD.stream()
                          .filter(c -> !c.isEmpty() && held.besides(c).equals(held))
                          .map(c -> new Pattern.Steps(with(up, held), with(down, held), c)));
      case Pattern.Initials(List<Stroke> before, Modifiers held) ->
          before.isEmpty()
              ? Modifiers.TO_HOLD.stream().map(h -> new Pattern.Initials(before, h))
              : Modifiers.TO_HOLD.stream().map(h -> new Pattern.Initials(begun(before, h), held));
      case Pattern.PadKeys p -> Stream.of();
    };
  }

  private static Stream<Stroke> starts(Stroke first) {
    return Stream.concat(Stream.of(first.key()), STARTS.stream())
        .distinct()
        .flatMap(k -> Modifiers.TO_HOLD.stream().map(h -> new Stroke(h, k)));
  }

  private static Stroke with(Stroke s, Modifiers held) {
    return new Stroke(held, s.key());
  }

  private static List<Stroke> begun(List<Stroke> before, Modifiers held) {
    List<Stroke> all = new ArrayList<>(before);
    all.set(0, with(all.getFirst(), held));
    return all;
  }

  /** What a pattern comes to for so many; nothing where it has no keys for all. */
  private Optional<List<Trigger>> laid(Pattern pattern, List<Trigger> today) {
    if (pattern instanceof Pattern.Initials(List<Stroke> before, Modifiers held)) {
      return initials(before, held, today);
    }
    List<Optional<Trigger>> all =
        pattern.triggers(
            Collections.nCopies(today.size(), ""),
            on.layout(),
            on.station().shape(),
            library::device);
    return all.stream().allMatch(t -> t.filter(Trigger.Keys.class::isInstance).isPresent())
        ? Optional.of(all.stream().map(Optional::orElseThrow).toList())
        : Optional.empty();
  }

  /** The letters stay: what is held with them, or with what they come after, is another. */
  private static Optional<List<Trigger>> initials(
      List<Stroke> before, Modifiers held, List<Trigger> today) {
    List<Trigger> all = new ArrayList<>();
    for (Trigger t : today) {
      if (!(t instanceof Trigger.Keys(List<Stroke> strokes))
          || strokes.size() != before.size() + 1) {
        return Optional.empty();
      }
      List<Stroke> next = new ArrayList<>(before);
      next.add(with(strokes.getLast(), held));
      all.add(new Trigger.Keys(next));
    }
    return Optional.of(all);
  }

  /**
   * The pattern by which members have these, of the kind of another; the inverse of laying out.
   *
   * @param laid what they have, in their order
   */
  static Pattern by(Pattern kind, List<Trigger> laid) {
    List<Stroke> last = laid.stream().map(t -> t.keyStrokes().getLast()).toList();
    Stroke first = last.getFirst();
    return switch (kind) {
      case Pattern.Neighbours n -> new Pattern.Neighbours(first);
      case Pattern.Pairs p ->
          new Pattern.Pairs(
              first, last.size() < 2 ? p.recall() : last.get((last.size() + 1) / 2).modifiers());
      case Pattern.Steps s ->
          new Pattern.Steps(
              first,
              last.size() < 2 ? with(s.down(), first.modifiers()) : last.get(1),
              last.size() < 3 ? s.coarse() : last.get(2).modifiers().besides(first.modifiers()));
      case Pattern.Initials i -> {
        List<Stroke> strokes = laid.getFirst().keyStrokes();
        yield new Pattern.Initials(strokes.subList(0, strokes.size() - 1), first.modifiers());
      }
      case Pattern.PadKeys p -> p;
    };
  }
}
