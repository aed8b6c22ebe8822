package foldtwice.trigger;

import java.util.Map;
import java.util.Optional;

/** The signs printed on dead keys, which type nothing by themselves. */
final class DeadKeys {

  private static final Map<String, String> SIGNS =
      Map.of(
          "dead_grave", "`",
          "dead_acute", "´",
          "dead_circumflex", "^",
          "dead_tilde", "~",
          "dead_diaeresis", "¨",
          "dead_cedilla", "¸",
          "dead_macron", "¯",
          "dead_caron", "ˇ");

  private DeadKeys() {}

  /** The dead key of a sign that stands alone; empty when there is none. */
  static Optional<Keysym> dead(Keysym sign) {
    if (!sign.types()) {
      return Optional.empty();
    }
    String text = Character.toString(sign.codePoint());
    return SIGNS.entrySet().stream()
        .filter(e -> e.getValue().equals(text))
        .findFirst()
        .flatMap(e -> Keysym.named(e.getKey()));
  }

  static String sign(Keysym dead) {
    return SIGNS.getOrDefault(dead.name(), dead.name().substring("dead_".length()));
  }
}
