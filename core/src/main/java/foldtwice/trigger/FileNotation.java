package foldtwice.trigger;

import foldtwice.text.Refusals;
import java.util.Optional;

/**
 * Strokes as files hold them: the notation of the freedesktop.org <em>Shortcuts</em> specification,
 * {@code CTRL+SHIFT+m}, the key being an XKB keysym name; or, for a key by position, a W3C {@code
 * code} value in brackets, {@code CTRL+[KeyQ]}.
 *
 * <p>Law: {@code read(write(s)).equals(s)} for every stroke.
 */
public final class FileNotation {

  private FileNotation() {}

  public static String write(Stroke stroke) {
    StringBuilder out = new StringBuilder();
    for (Modifier m : stroke.modifiers().list()) {
      out.append(m.name()).append('+');
    }
    return switch (stroke.key()) {
      case Key.At(KeyCode code) -> out.append('[').append(code.code()).append(']').toString();
      case Key.Making(Keysym keysym) -> out.append(keysym.name()).toString();
    };
  }

  /**
   * Reads one stroke.
   *
   * @throws NotationException naming the part and what is allowed there
   */
  public static Stroke read(String text) {
    Modifiers held = Modifiers.NONE;
    String[] parts = text.split("\\+", -1);
    for (int i = 0; i < parts.length - 1; i++) {
      Modifier m = Modifier.named(parts[i]);
      if (m == null || !m.name().equals(parts[i])) {
        throw new NotationException(text, parts[i], Refusals.says("trigger.one-modifier-in-files"));
      }
      if (held.has(m)) {
        throw new NotationException(
            text, parts[i], Refusals.says("trigger.each-modifier-stands-only"));
      }
      held = held.with(m);
    }
    return new Stroke(held, key(text, parts[parts.length - 1]));
  }

  private static Key key(String whole, String part) {
    Optional<KeyCode> position = position(whole, part);
    if (position.isPresent()) {
      return new Key.At(position.get());
    }
    return Keysym.named(part)
        .<Key>map(Key.Making::new)
        .orElseThrow(
            () -> new NotationException(whole, part, Refusals.says("trigger.key-xkb-keysym-name")));
  }

  /** Reads {@code [KeyQ]}; empty when the text is not in brackets. */
  static Optional<KeyCode> position(String whole, String part) {
    if (!part.startsWith("[") || !part.endsWith("]") || part.length() < 3) {
      return Optional.empty();
    }
    String code = part.substring(1, part.length() - 1);
    return Optional.of(
        KeyCode.of(code)
            .orElseThrow(
                () ->
                    new NotationException(
                        whole, part, Refusals.says("trigger.position-w-c-code"))));
  }
}
