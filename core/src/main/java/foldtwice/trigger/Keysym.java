package foldtwice.trigger;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/**
 * What a key makes, by its XKB keysym name: {@code m}, {@code period}, {@code F5}, {@code Left}.
 *
 * @param name the keysym name, or {@code U} and a hexadecimal code point where XKB has no name
 * @param codePoint the character typed, or -1 where none is
 */
public record Keysym(String name, int codePoint) {

  private static final Map<String, Keysym> BY_NAME = new HashMap<>();
  private static final Map<Integer, Keysym> BY_CHARACTER = new HashMap<>();

  static {
    try (var in =
        new BufferedReader(
            new InputStreamReader(
                Keysym.class.getResourceAsStream("keysyms.tsv"), StandardCharsets.UTF_8))) {
      in.lines()
          .filter(line -> !line.startsWith("#"))
          .map(line -> line.split("\t", -1))
          .map(
              f ->
                  new Keysym(f[0], f[1].equals("-") ? -1 : Integer.parseInt(f[1].substring(2), 16)))
          .forEach(
              k -> {
                BY_NAME.put(k.name, k);
                if (k.codePoint >= 0) {
                  BY_CHARACTER.putIfAbsent(k.codePoint, k);
                }
              });
    } catch (IOException e) {
      throw new UncheckedIOException("keysyms.tsv, shipped in the jar, cannot be read", e);
    }
  }

  /** True for a key that types nothing and puts a mark on the letter after it. */
  public boolean isDead() {
    return name.startsWith("dead_");
  }

  /** The keysym of this name; also {@code U2032}, as XKB writes characters without a name. */
  public static Optional<Keysym> named(String name) {
    Keysym known = BY_NAME.get(name);
    if (known != null) {
      return Optional.of(known);
    }
    if (name.matches("U[0-9A-F]{4,6}")) {
      int codePoint = Integer.parseInt(name.substring(1), 16);
      return Character.isValidCodePoint(codePoint) ? Optional.of(of(codePoint)) : Optional.empty();
    }
    return Optional.empty();
  }

  /** The keysym that types this character. */
  public static Keysym of(int codePoint) {
    Keysym known = BY_CHARACTER.get(codePoint);
    return known != null ? known : new Keysym(String.format("U%04X", codePoint), codePoint);
  }

  private static final String KEYPAD = "KP_";

  private static final Map<String, String> ON_KEYPAD =
      Map.of(
          "KP_Add",
          "+",
          "KP_Subtract",
          "-",
          "KP_Multiply",
          "*",
          "KP_Divide",
          "/",
          "KP_Equal",
          "=",
          "KP_Decimal",
          ".",
          "KP_Separator",
          ",",
          "KP_Space",
          " ");

  /** What it puts into a text: a character, or what a key of the keypad stands for. */
  public Optional<String> text() {
    if (types()) {
      return Optional.of(Character.toString(codePoint));
    }
    boolean digit =
        name.length() == KEYPAD.length() + 1
            && name.startsWith(KEYPAD)
            && Character.isDigit(name.charAt(KEYPAD.length()));
    return digit
        ? Optional.of(name.substring(KEYPAD.length()))
        : Optional.ofNullable(ON_KEYPAD.get(name));
  }

  /** True when it is named by a character: pressing it types that, or a blank. */
  public boolean types() {
    return codePoint >= 0x20 && codePoint != 0x7f;
  }

  /** The small letter for a capital one; itself for everything else. */
  public Keysym small() {
    return codePoint < 0 || Character.toLowerCase(codePoint) == codePoint
        ? this
        : of(Character.toLowerCase(codePoint));
  }

  /** True for a capital letter, which a stroke writes as Shift and the small letter. */
  public boolean isCapital() {
    return codePoint >= 0 && Character.isUpperCase(codePoint) && !small().equals(this);
  }
}
