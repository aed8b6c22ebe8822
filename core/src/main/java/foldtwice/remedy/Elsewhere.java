package foldtwice.remedy;

import foldtwice.binding.Binding;
import foldtwice.library.Dangling;
import foldtwice.library.Library;
import foldtwice.place.Place;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Keymap;
import foldtwice.surface.Device;
import foldtwice.surface.Page;
import foldtwice.surface.RadialMenu;
import foldtwice.surface.Toolbar;
import foldtwice.trigger.Direction;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Other triggers of the same kind that nobody has where a binding is heard: the nearest first,
 * those of what it is on before those of anything else.
 */
final class Elsewhere {

  private final Library library;
  private final Keymap keymap;
  private final Binding binding;

  private Elsewhere(Library library, Keymap keymap, Binding binding) {
    this.library = library;
    this.keymap = keymap;
    this.binding = binding;
  }

  /** At most so many. Keys have suggestions of their own. */
  static List<Trigger> of(Trigger from, Binding binding, Library library, Keymap keymap, int most) {
    Elsewhere elsewhere = new Elsewhere(library, keymap, binding);
    return elsewhere
        .all(from)
        .<Trigger>map(t -> t)
        .filter(t -> !t.equals(from) && elsewhere.isFree(t))
        .limit(most)
        .toList();
  }

  private Stream<? extends Trigger> all(Trigger from) {
    return switch (from) {
      case Trigger.Button b -> buttons(b);
      case Trigger.PadKey k -> padKeys(k);
      case Trigger.Dial d -> dials(d);
      case Trigger.Radial r -> choices(r);
      case Trigger.Gesture(var button, List<Direction> strokes) -> gestures(button);
      case Trigger.Pointer(var button, var held) ->
          Arrays.stream(Trigger.PointerButton.values()).map(b -> new Trigger.Pointer(b, held));
      case Trigger.Held h -> Stream.empty();
      case Trigger.Keys k -> Stream.empty();
      case Trigger.AtStart s -> Stream.empty();
    };
  }

  private Stream<Trigger.Button> buttons(Trigger.Button from) {
    String application = binding.place().applicationId().orElse("");
    return first(
            library.toolbars().stream().filter(t -> t.application().equals(application)).toList(),
            t -> t.id().equals(from.toolbar()))
        .flatMap(
            (Toolbar t) ->
                IntStream.rangeClosed(1, t.slots())
                    .mapToObj(slot -> new Trigger.Button(t.id(), slot)));
  }

  private Stream<Device> devices(String first) {
    return first(
        library.devices().stream()
            .filter(d -> keymap.station().devices().contains(d.id()))
            .toList(),
        d -> d.id().equals(first));
  }

  private static Stream<Page> pages(Device device, String first) {
    return first(device.pages(), p -> p.id().equals(first));
  }

  /** Tapped or held as before, then the other way; a key that does something itself is passed. */
  private Stream<Trigger.PadKey> padKeys(Trigger.PadKey from) {
    List<Trigger.Duration> ways =
        from.way() == Trigger.Duration.TAP
            ? List.of(Trigger.Duration.TAP, Trigger.Duration.HOLD)
            : List.of(Trigger.Duration.HOLD, Trigger.Duration.TAP);
    return devices(from.device())
        .flatMap(
            d ->
                ways.stream()
                    .flatMap(
                        way ->
                            pages(d, from.page())
                                .flatMap(
                                    p ->
                                        d.keys().stream()
                                            .filter(k -> p.sends(k.id()).isEmpty())
                                            .map(
                                                k ->
                                                    new Trigger.PadKey(
                                                        d.id(), p.id(), k.id(), way)))));
  }

  private Stream<Trigger.Dial> dials(Trigger.Dial from) {
    return devices(from.device())
        .flatMap(
            d ->
                pages(d, from.page())
                    .flatMap(
                        p ->
                            d.dials().stream()
                                .filter(k -> from.turn() != Trigger.Turn.PUSH || k.push())
                                .map(k -> new Trigger.Dial(d.id(), p.id(), k.id(), from.turn()))));
  }

  private Stream<Trigger.Radial> choices(Trigger.Radial from) {
    return first(
            library.menus().stream().filter(m -> !m.opens().isEmpty()).toList(),
            m -> m.id().equals(from.menu()))
        .flatMap(
            (RadialMenu m) ->
                Arrays.stream(Direction.values()).map(c -> new Trigger.Radial(m.id(), c)));
  }

  /** One stroke, then two that go different ways. */
  private static Stream<Trigger.Gesture> gestures(Trigger.PointerButton button) {
    List<Direction> all = List.of(Direction.values());
    Stream<List<Direction>> one = all.stream().map(List::of);
    Stream<List<Direction>> two =
        all.stream().flatMap(a -> all.stream().filter(b -> b != a).map(b -> List.of(a, b)));
    return Stream.concat(one, two).map(strokes -> new Trigger.Gesture(button, strokes));
  }

  private interface Wanted<T> {
    boolean is(T thing);
  }

  private static <T> Stream<T> first(List<T> all, Wanted<T> wanted) {
    List<T> sorted = new ArrayList<>(all.stream().filter(wanted::is).toList());
    sorted.addAll(all.stream().filter(t -> !wanted.is(t)).toList());
    return sorted.stream();
  }

  /** Nobody has it where the binding is heard, and all it is on is there. */
  private boolean isFree(Trigger trigger) {
    if (Dangling.of(trigger, binding.place(), library).isPresent()) {
      return false;
    }
    Set<Place> states = new HashSet<>(keymap.statesOf(binding.place()));
    for (Claim c : keymap.claimsOn(trigger)) {
      if (keymap.statesOf(c.place()).stream().anyMatch(states::contains)) {
        return false;
      }
    }
    return true;
  }
}
