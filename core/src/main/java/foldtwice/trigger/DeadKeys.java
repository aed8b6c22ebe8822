package foldtwice.trigger;

import java.util.Map;

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

  static String sign(Keysym dead) {
    return SIGNS.getOrDefault(dead.name(), dead.name().substring("dead_".length()));
  }
}
