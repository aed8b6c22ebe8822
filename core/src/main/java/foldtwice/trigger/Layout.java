package foldtwice.trigger;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A keyboard layout: what each position makes plain, with Shift, with AltGr and with both.
 *
 * <p>Immutable. A stroke by position is the same press on every layout; a stroke by character is
 * the press that makes the character here, so that on a French keyboard {@code Alt+.} is pressed
 * with Shift.
 */
public final class Layout {

  private static final Modifiers[] LEVELS = {
    Modifiers.NONE,
    Modifiers.of(Modifier.SHIFT),
    Modifiers.of(Modifier.ALTGR),
    Modifiers.of(Modifier.ALTGR, Modifier.SHIFT)
  };

  private final String id;
  private final Map<KeyCode, List<Keysym>> levels;
  private final Map<Keysym, List<Press>> making = new HashMap<>();

  /**
   * @param id the XKB layout name, such as {@code de}
   * @param levels for each printing position its keysyms, at most four; shorter lists are allowed
   */
  Layout(String id, Map<KeyCode, List<Keysym>> levels) {
    this.id = id;
    this.levels = new EnumMap<>(levels);
    for (int level = 0; level < LEVELS.length; level++) {
      for (var row : this.levels.entrySet()) {
        if (level < row.getValue().size()) {
          add(row.getValue().get(level), new Press(row.getKey(), LEVELS[level]), level);
        }
      }
    }
    for (KeyCode code : KeyCode.values()) {
      code.fixedKeysym().ifPresent(k -> add(k, new Press(code, Modifiers.NONE), 0));
    }
  }

  /** A character reachable on a lower level is not listed again on a higher one. */
  private void add(Keysym keysym, Press press, int level) {
    List<Press> presses = making.computeIfAbsent(keysym, k -> new ArrayList<>(1));
    if (presses.isEmpty() || presses.getFirst().held().equals(LEVELS[level])) {
      presses.add(press);
    }
  }

  public String id() {
    return id;
  }

  /** The presses that make this character or function; empty when the layout cannot. */
  public List<Press> making(Keysym keysym) {
    return List.copyOf(making.getOrDefault(keysym, List.of()));
  }

  /**
   * The presses that are this stroke on this layout; empty when no key makes its character. Where
   * the character itself needs Shift or AltGr, those are held as well.
   */
  public List<Press> presses(Stroke stroke) {
    return switch (stroke.key()) {
      case Key.At(KeyCode code) -> List.of(new Press(code, stroke.modifiers()));
      case Key.Making(Keysym keysym) ->
          making.getOrDefault(keysym, List.of()).stream()
              .map(p -> new Press(p.code(), p.held().and(stroke.modifiers())))
              .toList();
    };
  }

  /** What this position makes with these held; Ctrl, Alt and Logo do not change it. */
  public Optional<Keysym> makes(KeyCode code, Modifiers held) {
    List<Keysym> row = levels.get(code);
    if (row == null) {
      return code.fixedKeysym();
    }
    int level = (held.has(Modifier.SHIFT) ? 1 : 0) + (held.has(Modifier.ALTGR) ? 2 : 0);
    return level < row.size() ? Optional.of(row.get(level)) : Optional.empty();
  }

  /** The character a press types into a text; empty for shortcuts, function keys and dead keys. */
  public Optional<String> types(Press press) {
    if (!press.held().leaveTyping()) {
      return Optional.empty();
    }
    return makes(press.code(), press.held())
        .filter(Keysym::types)
        .map(k -> Character.toString(k.codePoint()));
  }

  /** The press as a stroke by character: what a person would say they pressed. */
  public Stroke stroke(Press press) {
    return makes(press.code(), Modifiers.NONE)
        .map(k -> new Stroke(press.held(), new Key.Making(k)))
        .orElseGet(() -> new Stroke(press.held(), new Key.At(press.code())));
  }

  /** What is printed on the key cap, for a picture of the keyboard. */
  public String legend(KeyCode code) {
    return makes(code, Modifiers.NONE)
        .map(
            k -> k.name().startsWith("dead_") ? DeadKeys.sign(k) : Notation.word(new Key.Making(k)))
        .orElse(code.code());
  }
}
