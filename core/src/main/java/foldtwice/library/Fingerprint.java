package foldtwice.library;

import foldtwice.binding.Binding;
import foldtwice.routine.Routine;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/**
 * What a binding does, in a few letters: changes whenever its triggers, place, arguments or routine
 * do, and with nothing else (not with its use count).
 */
public final class Fingerprint {

  private Fingerprint() {}

  /** The first 16 hexadecimal digits of a SHA-256. Costs one pass over the routine's steps. */
  public static String of(Binding binding, Routine routine) {
    String substance =
        String.join(
            "\n",
            binding.place().id(),
            binding.triggers().toString(),
            binding.arguments().toString(),
            routine.toString());
    try {
      byte[] hash =
          MessageDigest.getInstance("SHA-256").digest(substance.getBytes(StandardCharsets.UTF_8));
      return HexFormat.of().formatHex(hash, 0, 8);
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("every Java platform has SHA-256", e);
    }
  }
}
