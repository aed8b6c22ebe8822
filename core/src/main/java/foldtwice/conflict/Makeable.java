package foldtwice.conflict;

import foldtwice.library.Library;
import foldtwice.resolve.Keymap;
import foldtwice.surface.Device;
import foldtwice.surface.Page;
import foldtwice.trigger.Key;
import foldtwice.trigger.Layout;
import foldtwice.trigger.Press;
import foldtwice.trigger.Signal;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/** Whether a trigger can be made with what a station has: by hand, or by a device that sends it. */
public final class Makeable {

  private Makeable() {}

  /**
   * True when a trigger can be made on a station: by its keyboard, or a device plugged in there.
   */
  public static boolean isMade(Trigger trigger, Library library, Keymap keymap) {
    List<List<Signal>> paths = keymap.paths(trigger);
    return !paths.isEmpty() && not(trigger, paths, library, keymap).isEmpty();
  }

  /**
   * What keeps a trigger from being made; empty when nothing does.
   *
   * @param paths the ways to press it on the layout
   */
  static Optional<Detail.Untyped> not(
      Trigger trigger, List<List<Signal>> paths, Library library, Keymap keymap) {
    Layout layout = keymap.layout();
    if (paths.isEmpty()) {
      return trigger.keyStrokes().stream()
          .filter(s -> layout.presses(s).isEmpty())
          .findFirst()
          .map(s -> new Detail.Untyped(s, why(s, layout)));
    }
    Predicate<Press> onKeyboard = p -> keymap.station().shape().has(p.code());
    if (isAnyMade(paths, onKeyboard)) {
      return Optional.empty();
    }
    Predicate<Press> made = onKeyboard.or(sent(library, keymap)::contains);
    return isAnyMade(paths, made)
        ? Optional.empty()
        : trigger.keyStrokes().stream()
            .filter(s -> layout.presses(s).stream().noneMatch(made))
            .findFirst()
            .map(s -> new Detail.Untyped(s, Detail.Unmade.NOT_ON_SHAPE));
  }

  private static Detail.Unmade why(Stroke stroke, Layout layout) {
    return stroke.key() instanceof Key.Making(var keysym) && layout.deadFor(keysym).isPresent()
        ? Detail.Unmade.DEAD
        : Detail.Unmade.NO_KEY;
  }

  /** True for a way all of whose keys are made so; what is no key has kinds of its own. */
  private static boolean isAnyMade(List<List<Signal>> paths, Predicate<Press> made) {
    for (List<Signal> path : paths) {
      boolean all = true;
      for (Signal s : path) {
        all &= s.key().filter(made.negate()).isEmpty();
      }
      if (all) {
        return true;
      }
    }
    return false;
  }

  /** What the keys of the devices that are plugged in send. */
  private static Set<Press> sent(Library library, Keymap keymap) {
    Set<Press> sent = new HashSet<>();
    for (Device device : library.devices()) {
      if (keymap.station().devices().contains(device.id())) {
        for (Page page : device.pages()) {
          for (Page.Sends sends : page.sends().values()) {
            if (sends instanceof Page.Sends.Chord(Trigger.Keys keys)) {
              keys.strokes().forEach(s -> sent.addAll(keymap.layout().presses(s)));
            }
          }
        }
      }
    }
    return sent;
  }
}
