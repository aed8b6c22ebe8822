package foldtwice.trigger;

/**
 * One key with the modifiers held: a chord when any are held.
 *
 * <p>A capital letter is kept as Shift and the small letter, so that {@code M} and {@code Shift+m}
 * are one stroke.
 */
public record Stroke(Modifiers modifiers, Key key) {

  public Stroke {
    if (key instanceof Key.Making(Keysym keysym) && keysym.isCapital()) {
      key = new Key.Making(keysym.small());
      modifiers = modifiers.with(Modifier.SHIFT);
    }
  }

  public static Stroke at(KeyCode code, Modifier... held) {
    return new Stroke(Modifiers.of(held), new Key.At(code));
  }

  public static Stroke making(int character, Modifier... held) {
    return new Stroke(Modifiers.of(held), new Key.Making(Keysym.of(character)));
  }
}
