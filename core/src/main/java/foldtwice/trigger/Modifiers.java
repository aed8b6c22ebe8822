package foldtwice.trigger;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/**
 * A set of held modifiers. {@code bits} has bit <i>n</i> set for the modifier of ordinal <i>n</i>.
 */
public record Modifiers(int bits) {

  /** Number of bits a set of modifiers takes. */
  public static final int WIDTH = Modifier.values().length;

  /** Nothing held. */
  public static final Modifiers NONE = new Modifiers(0);

  /**
   * What a hand holds with a key, nothing and single ones first: what is proposed is one of these.
   */
  public static final List<Modifiers> TO_HOLD =
      List.of(
          NONE,
          of(Modifier.CTRL),
          of(Modifier.ALT),
          of(Modifier.SHIFT),
          of(Modifier.CTRL, Modifier.SHIFT),
          of(Modifier.CTRL, Modifier.ALT),
          of(Modifier.ALT, Modifier.SHIFT),
          of(Modifier.CTRL, Modifier.ALT, Modifier.SHIFT));

  public Modifiers {
    if (bits < 0 || bits >= 1 << WIDTH) {
      throw new IllegalArgumentException(
          "modifier bits must lie in 0 to " + ((1 << WIDTH) - 1) + ": " + bits);
    }
  }

  public static Modifiers of(Modifier... held) {
    int bits = 0;
    for (Modifier m : held) {
      bits |= 1 << m.ordinal();
    }
    return new Modifiers(bits);
  }

  public boolean has(Modifier m) {
    return (bits & 1 << m.ordinal()) != 0;
  }

  public boolean isEmpty() {
    return bits == 0;
  }

  public Modifiers with(Modifier m) {
    return new Modifiers(bits | 1 << m.ordinal());
  }

  /** Their words, joined as in a trigger: {@code Ctrl+Shift}. */
  public String words() {
    return list().stream().map(Modifier::word).collect(Collectors.joining("+"));
  }

  /** Those of these that are not among others. */
  public Modifiers besides(Modifiers others) {
    return new Modifiers(bits & ~others.bits);
  }

  public Modifiers without(Modifier m) {
    return new Modifiers(bits & ~(1 << m.ordinal()));
  }

  public Modifiers and(Modifiers others) {
    return new Modifiers(bits | others.bits);
  }

  public int count() {
    return Integer.bitCount(bits);
  }

  /** The held modifiers in the order notations print them. */
  public List<Modifier> list() {
    List<Modifier> held = new ArrayList<>(WIDTH);
    for (Modifier m : Modifier.values()) {
      if (has(m)) {
        held.add(m);
      }
    }
    return List.copyOf(held);
  }

  /** True when holding these does not keep a key from typing its character. */
  public boolean leaveTyping() {
    return !has(Modifier.CTRL) && !has(Modifier.ALT) && !has(Modifier.LOGO);
  }
}
