package foldtwice.binding;

import foldtwice.surface.Device;
import foldtwice.trigger.Key;
import foldtwice.trigger.Keysym;
import foldtwice.trigger.Layout;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Press;
import foldtwice.trigger.Shape;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/** How the triggers of a family follow from one another. */
public sealed interface Pattern {

  /**
   * Keys beside one another, from this one to the right along its row, with the same modifiers;
   * from a function key on, the function keys.
   */
  record Neighbours(Stroke first) implements Pattern {}

  /**
   * A letter of each member's name: its first, or where that is taken the next of its words'
   * firsts, then any of its letters; after these strokes, or alone with these held.
   */
  record Initials(List<Stroke> before, Modifiers held) implements Pattern {
    public Initials {
      before = List.copyOf(before);
    }
  }

  /**
   * Members in pairs, the first half to set, the second half to recall: the same keys beside one
   * another, told apart by what is held.
   *
   * @param first of the first half
   * @param recall held with the second half
   */
  record Pairs(Stroke first, Modifiers recall) implements Pattern {}

  /**
   * An adjustable value in steps: one key up, one down, and the same two with more held for coarse
   * steps. The members are up, down, coarse up, coarse down.
   */
  record Steps(Stroke up, Stroke down, Modifiers coarse) implements Pattern {}

  /** Keys of a device in their order, from this one on. */
  record PadKeys(String device, String page, String first) implements Pattern {}

  /**
   * The triggers for members of these names, in their order; nothing for one the pattern has no key
   * for, or only one that a member before it has. Costs one pass over the keys of a row.
   *
   * <p>Law: no two are equal.
   */
  default List<Optional<Trigger>> triggers(
      List<String> names, Layout layout, Shape shape, Function<String, Optional<Device>> devices) {
    Set<Trigger> taken = new HashSet<>();
    return laid(names, layout, shape, devices).stream().map(t -> t.filter(taken::add)).toList();
  }

  private List<Optional<Trigger>> laid(
      List<String> names, Layout layout, Shape shape, Function<String, Optional<Device>> devices) {
    int count = names.size();
    return switch (this) {
      case Neighbours(Stroke first) -> keys(row(first, first.modifiers(), layout, shape), count);
      case Pairs(Stroke first, Modifiers recall) -> {
        int half = (count + 1) / 2;
        List<Optional<Trigger>> all =
            new ArrayList<>(keys(row(first, first.modifiers(), layout, shape), half));
        all.addAll(keys(row(first, recall, layout, shape), count - half));
        yield List.copyOf(all);
      }
      case Steps(Stroke up, Stroke down, Modifiers coarse) ->
          keys(List.of(up, down, with(up, coarse), with(down, coarse)), count);
      case Initials(List<Stroke> before, Modifiers held) -> initials(names, before, held);
      case PadKeys(String device, String page, String first) ->
          devices
              .apply(device)
              .map(d -> keysOf(d, page, first, count))
              .orElse(keys(List.of(), count));
    };
  }

  private static Stroke with(Stroke stroke, Modifiers more) {
    return new Stroke(stroke.modifiers().and(more), stroke.key());
  }

  private static List<Optional<Trigger>> keys(List<Stroke> row, int count) {
    List<Optional<Trigger>> all = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      all.add(i < row.size() ? Optional.of(Trigger.Keys.of(row.get(i))) : Optional.empty());
    }
    return List.copyOf(all);
  }

  /** The strokes along a row of the keyboard, as the layout writes them. */
  private static List<Stroke> row(Stroke first, Modifiers held, Layout layout, Shape shape) {
    Optional<Press> press = layout.presses(first).stream().findFirst();
    if (press.isEmpty()) {
      return List.of();
    }
    if (first.key() instanceof Key.Making(Keysym k) && k.name().matches("F\\d+")) {
      return functionKeys(Integer.parseInt(k.name().substring(1)), held);
    }
    Optional<Shape.Cap> from =
        shape.caps().stream().filter(c -> c.code() == press.get().code()).findFirst();
    if (from.isEmpty()) {
      return List.of(first);
    }
    boolean byPosition = first.key() instanceof Key.At;
    return shape.caps().stream()
        .filter(c -> c.y() == from.get().y() && c.x() >= from.get().x())
        .filter(c -> layout.makes(c.code(), Modifiers.NONE).filter(Keysym::types).isPresent())
        .map(
            c ->
                byPosition
                    ? new Stroke(held, new Key.At(c.code()))
                    : layout.stroke(new Press(c.code(), held)))
        .toList();
  }

  private static List<Stroke> functionKeys(int from, Modifiers held) {
    List<Stroke> row = new ArrayList<>();
    for (int f = from; f <= (from <= 12 ? 12 : 24); f++) {
      row.add(new Stroke(held, new Key.Making(Keysym.named("F" + f).orElseThrow())));
    }
    return row;
  }

  private static List<Optional<Trigger>> initials(
      List<String> names, List<Stroke> before, Modifiers held) {
    Set<Character> taken = new HashSet<>();
    List<Optional<Trigger>> all = new ArrayList<>();
    for (String name : names) {
      Optional<Character> letter = candidates(name).filter(taken::add).findFirst();
      all.add(
          letter.map(
              l -> {
                List<Stroke> strokes = new ArrayList<>(before);
                strokes.add(new Stroke(held, new Key.Making(Keysym.of(l))));
                return new Trigger.Keys(strokes);
              }));
    }
    return List.copyOf(all);
  }

  private static java.util.stream.Stream<Character> candidates(String name) {
    String plain = name.toLowerCase(Locale.ROOT);
    StringBuilder order = new StringBuilder();
    for (String word : plain.split("[^a-z0-9]+")) {
      if (!word.isEmpty()) {
        order.append(word.charAt(0));
      }
    }
    order.append(plain.replaceAll("[^a-z0-9]", ""));
    return order.chars().distinct().mapToObj(c -> (char) c);
  }

  private static List<Optional<Trigger>> keysOf(
      Device device, String page, String first, int count) {
    List<Device.Cap> caps = device.keys();
    int from = device.key(first).map(caps::indexOf).orElse(caps.size());
    List<Optional<Trigger>> all = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      all.add(
          from + i < caps.size()
              ? Optional.of(
                  new Trigger.PadKey(
                      device.id(), page, caps.get(from + i).id(), Trigger.Duration.TAP))
              : Optional.empty());
    }
    return List.copyOf(all);
  }
}
