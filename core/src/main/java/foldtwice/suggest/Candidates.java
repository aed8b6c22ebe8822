package foldtwice.suggest;

import foldtwice.resolve.Keymap;
import foldtwice.surface.Device;
import foldtwice.surface.Page;
import foldtwice.trigger.Key;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Keysym;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;

/** What could set off a routine, kind by kind, whether free or not. */
final class Candidates {

  /** So many sequences with the same modifiers. */
  private static final int SEQUENCES = 12;

  private static final String KEYS = "abcdefghijklmnopqrstuvwxyz1234567890";

  private Candidates() {}

  /** One key that types a letter or a digit, with whatever is held. */
  static List<Trigger> chords() {
    return Modifiers.TO_HOLD.stream()
        .flatMap(held -> KEYS.chars().mapToObj(c -> keys(List.of(stroke(held, c)))))
        .toList();
  }

  /** F1 to F12, with whatever is held. */
  static List<Trigger> functionKeys() {
    return Modifiers.TO_HOLD.stream()
        .flatMap(
            held ->
                IntStream.rangeClosed(1, 12)
                    .<Trigger>mapToObj(
                        f ->
                            Trigger.Keys.of(
                                new Stroke(held, new Key.At(KeyCode.of("F" + f).orElseThrow())))))
        .toList();
  }

  /**
   * The initials of a name, then its first letter with one of its other letters; plain, with Ctrl
   * and with Alt.
   *
   * @param words in small letters
   */
  static List<Trigger> sequences(List<String> words) {
    List<Integer> letters =
        words.stream().flatMap(w -> w.chars().boxed()).filter(Candidates::isLatin).toList();
    if (letters.size() < 2 || !isLatin(words.getFirst().charAt(0))) {
      return List.of();
    }
    List<Integer> initials =
        words.stream().map(w -> (int) w.charAt(0)).filter(Candidates::isLatin).toList();
    Set<List<Integer>> spelt = new LinkedHashSet<>();
    if (initials.size() > 1) {
      spelt.add(initials.subList(0, 2));
    }
    if (initials.size() > 2) {
      spelt.add(initials.subList(0, 3));
    }
    letters.stream().skip(1).distinct().forEach(c -> spelt.add(List.of(initials.getFirst(), c)));
    List<Trigger> all = new ArrayList<>();
    for (Modifiers held : Modifiers.TO_HOLD.subList(0, 3)) {
      spelt.stream()
          .limit(SEQUENCES)
          .map(s -> keys(s.stream().map(c -> stroke(held, c)).toList()))
          .forEach(all::add);
    }
    return all;
  }

  private static boolean isLatin(int c) {
    return c >= 'a' && c <= 'z';
  }

  /** Keys of devices that are plugged in on every station and do nothing of themselves. */
  static List<Trigger> padKeys(List<Device> devices, List<Keymap> stations) {
    List<Trigger> all = new ArrayList<>();
    for (Device d : devices) {
      if (stations.stream().allMatch(s -> s.station().devices().contains(d.id()))) {
        for (Page p : d.pages()) {
          d.keys().stream()
              .filter(k -> p.sends(k.id()).isEmpty())
              .map(k -> new Trigger.PadKey(d.id(), p.id(), k.id(), Trigger.Duration.TAP))
              .forEach(all::add);
        }
      }
    }
    return all;
  }

  private static Trigger keys(List<Stroke> strokes) {
    return new Trigger.Keys(strokes);
  }

  private static Stroke stroke(Modifiers held, int character) {
    return new Stroke(held, new Key.Making(Keysym.of(character)));
  }
}
