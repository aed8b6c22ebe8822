package foldtwice.desktop.session;

import foldtwice.routine.Routine;
import java.nio.charset.StandardCharsets;
import java.util.HexFormat;
import java.util.List;
import java.util.prefs.Preferences;

/**
 * What a person allowed on this computer: dangerous routines to run, command lines to be started.
 * Kept with the person's preferences, each by what it is: one that is changed has to be allowed
 * again.
 */
final class Allowed {

  private static final String STOP = "Ctrl+Alt+Escape";
  private static final int ROOM = Preferences.MAX_KEY_LENGTH / 2 - 4;

  private final Preferences kept = Preferences.userNodeForPackage(Allowed.class).node("allowed");

  boolean has(Routine routine) {
    return kept.getBoolean(key("r", routine.toString()), false);
  }

  void add(Routine routine) {
    kept.putBoolean(key("r", routine.toString()), true);
  }

  boolean hasCommand(List<String> command) {
    return kept.getBoolean(key("c", String.join("\n", command)), false);
  }

  void add(List<String> command) {
    kept.putBoolean(key("c", String.join("\n", command)), true);
  }

  String stopKeys() {
    return kept.get("stop", STOP);
  }

  void stopKeys(String keys) {
    kept.put("stop", keys);
  }

  /** What a thing is, in as many letters as a key may have. */
  private static String key(String kind, String what) {
    try {
      byte[] sum =
          java.security.MessageDigest.getInstance("SHA-256")
              .digest(what.getBytes(StandardCharsets.UTF_8));
      String hex = HexFormat.of().formatHex(sum);
      return kind + hex.substring(0, Math.min(hex.length(), ROOM));
    } catch (java.security.NoSuchAlgorithmException e) {
      throw new IllegalStateException("every Java has SHA-256", e);
    }
  }
}
