package foldtwice.trigger;

/**
 * What a hand really does on a keyboard: a key at a position goes down while modifiers are held.
 */
public record Press(KeyCode code, Modifiers held) implements Signal {

  @Override
  public int id() {
    return code.ordinal() << Modifiers.WIDTH | held.bits();
  }

  public static Press of(KeyCode code, Modifier... held) {
    return new Press(code, Modifiers.of(held));
  }
}
