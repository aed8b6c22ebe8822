package foldtwice.live.listen;

import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Press;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * What the two processes say to one another: lines of words. A press is written as its W3C code, a
 * colon, and the number of its modifiers.
 */
final class Wire {

  /** To the listener: the parent is alive. */
  static final String ALIVE = "alive";

  /** To the listener, with a press: the emergency stop. */
  static final String STOP_IS = "stop-is";

  /** To the listener, with presses: caught whatever is in front. */
  static final String EVERYWHERE = "everywhere";

  /** To the listener, with a process and presses: caught while its window is in front. */
  static final String WITHIN = "within";

  /** To the listener: what was told is what is to be caught; and back when it is. */
  static final String DONE = "done";

  /**
   * To the listener: what a key means. With its number, {@link #KEEP} or {@link #PASS}, how many
   * strokes are held back from now on, and the presses that go to the program.
   */
  static final String ANSWER = "answer";

  static final String KEEP = "keep";
  static final String PASS = "pass";

  /**
   * To the listener: what is held back is over. With the number of the last key that was answered,
   * and the presses that go to the program; and back, with the number, when it was so.
   */
  static final String OVER = "over";

  /** From the listener. */
  static final String UP = "up";

  /** A key went down: its number, its press, and the process in front. */
  static final String DOWN = "down";

  static final String LIFT = "lift";
  static final String STOP = "stop";
  static final String TAKEN = "taken";
  static final String FRONT = "front";

  /** With a number: the key is kept from all programs, what it means may be done now. */
  static final String KEPT = "kept";

  /** No answer came in time: the key, and all that was held back, went to its program. */
  static final String LATE = "late";

  static final String FAILED = "failed";

  /** The parent has to be heard of this often, in milliseconds. */
  static final long SILENT = 1_000;

  /** A key that went down is answered within this, in milliseconds, or it is passed on. */
  static final long ANSWERED = 250;

  private static final Pattern PRESS = Pattern.compile("(\\w+):(\\d{1,3})");

  private Wire() {}

  static String write(Press p) {
    return p.code().code() + ":" + p.held().bits();
  }

  static String write(List<Press> presses) {
    return presses.stream().map(Wire::write).collect(Collectors.joining(" "));
  }

  static String write(Set<Press> presses) {
    return presses.stream().map(Wire::write).sorted().collect(Collectors.joining(" "));
  }

  /** A press as it was written; empty for anything else, such as a line that was cut. */
  static Optional<Press> press(String word) {
    Matcher press = PRESS.matcher(word);
    if (!press.matches() || Integer.parseInt(press.group(2)) >= 1 << Modifiers.WIDTH) {
      return Optional.empty();
    }
    Modifiers held = new Modifiers(Integer.parseInt(press.group(2)));
    return KeyCode.of(press.group(1)).map(c -> new Press(c, held));
  }

  static List<Press> presses(List<String> words) {
    return words.stream().flatMap(w -> press(w).stream()).toList();
  }
}
