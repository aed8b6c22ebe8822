package foldtwice.remedy;

import foldtwice.conflict.Subject;
import foldtwice.library.Library;
import foldtwice.place.Station;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.List;

/** Whose hands have to learn anew: triggers are the library's, not one station's. */
final class Whose {

  private Whose() {}

  /** The other stations on which what a way changes could be pressed until now. */
  static List<Station> alsoOn(Way way, Subject now) {
    List<? extends Trigger> until = until(way, now.library());
    String here = now.keymap().station().id();
    return now.library().stations().values().stream()
        .filter(s -> !s.id().equals(here) && until.stream().anyMatch(t -> canPress(s, t)))
        .toList();
  }

  private static List<? extends Trigger> until(Way way, Library library) {
    return switch (way) {
      case Way.Move(var who, Trigger from, var to) -> List.of(from);
      case Way.TakeAway(var who, Trigger trigger) -> List.of(trigger);
      case Way.FirstStroke(var bindings, Stroke from, var to) -> List.of(Trigger.Keys.of(from));
      case Way.SwitchOff(String binding) -> library.bindings().get(binding).triggers();
      case Way.Narrow(String binding, var to) -> library.bindings().get(binding).triggers();
      default -> List.of();
    };
  }

  private static boolean canPress(Station station, Trigger trigger) {
    return trigger.deviceId().map(d -> station.devices().contains(d)).orElse(true)
        && trigger.keyStrokes().stream().noneMatch(s -> station.keys().presses(s).isEmpty());
  }
}
