package foldtwice.conflict;

import foldtwice.library.Library;
import foldtwice.resolve.Keymap;
import foldtwice.surface.Device;
import foldtwice.surface.Page;
import foldtwice.trigger.Key;
import foldtwice.trigger.Layout;
import foldtwice.trigger.Lift;
import foldtwice.trigger.Motion;
import foldtwice.trigger.Press;
import foldtwice.trigger.Signal;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Whether a trigger can be made with what a station has: by hand, or by a device that sends it. */
final class Makeable {

  private Makeable() {}

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
    for (List<Signal> path : paths) {
      if (isOnKeyboard(path, keymap)) {
        return Optional.empty();
      }
    }
    Set<Press> sent = sent(library, keymap);
    if (paths.stream()
        .anyMatch(p -> p.stream().allMatch(s -> isOnKeyboard(s, keymap) || isSent(s, sent)))) {
      return Optional.empty();
    }
    return trigger.keyStrokes().stream()
        .filter(
            s ->
                layout.presses(s).stream()
                    .noneMatch(p -> isOnKeyboard(p, keymap) || sent.contains(p)))
        .findFirst()
        .map(s -> new Detail.Untyped(s, Detail.Unmade.NOT_ON_SHAPE));
  }

  private static Detail.Unmade why(Stroke stroke, Layout layout) {
    return stroke.key() instanceof Key.Making(var keysym) && layout.deadFor(keysym).isPresent()
        ? Detail.Unmade.DEAD
        : Detail.Unmade.NO_KEY;
  }

  private static boolean isOnKeyboard(List<Signal> path, Keymap keymap) {
    for (Signal s : path) {
      if (!isOnKeyboard(s, keymap)) {
        return false;
      }
    }
    return true;
  }

  private static boolean isOnKeyboard(Signal signal, Keymap keymap) {
    return switch (signal) {
      case Press p -> keymap.station().shape().has(p.code());
      case Lift(Press p) -> keymap.station().shape().has(p.code());
      case Motion m -> true; // what is no key has kinds of its own
    };
  }

  private static boolean isSent(Signal signal, Set<Press> sent) {
    return switch (signal) {
      case Press p -> sent.contains(p);
      case Lift(Press p) -> sent.contains(p);
      case Motion m -> true;
    };
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
