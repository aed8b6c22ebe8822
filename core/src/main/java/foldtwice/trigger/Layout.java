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
  private final Platform platform;
  private final Map<KeyCode, List<Keysym>> levels;
  private final Map<Keysym, List<Press>> making;

  /**
   * @param id the XKB layout name, such as {@code de}
   * @param levels for each printing position its keysyms, at most four; shorter lists are allowed
   */
  Layout(String id, Map<KeyCode, List<Keysym>> levels) {
    this.id = id;
    this.platform = Platform.CONTROL;
    this.levels = new EnumMap<>(levels);
    this.making = new HashMap<>();
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

  private Layout(Layout of, Platform platform) {
    this.id = of.id;
    this.platform = platform;
    this.levels = of.levels;
    this.making = of.making;
  }

  /** The same layout on a computer whose modifiers have other parts. */
  public Layout on(Platform other) {
    return other == platform ? this : new Layout(this, other);
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
      case Key.At(KeyCode code) -> List.of(new Press(code, platform.pressed(stroke.modifiers())));
      case Key.Making(Keysym keysym) -> {
        Modifiers pressed = platform.pressed(stroke.modifiers());
        List<Press> made = making.getOrDefault(keysym, List.of());
        yield made.size() == 1 // as most have it
            ? List.of(held(made.getFirst(), pressed))
            : made.stream().map(p -> held(p, pressed)).toList();
      }
    };
  }

  /** A press while others are held as well. */
  private Press held(Press press, Modifiers pressed) {
    return new Press(press.code(), platform.heard(press.held().and(pressed)));
  }

  /** A press as programs see it: on some computers modifiers held together are another one. */
  public Press heard(Press press) {
    Modifiers heard = platform.heard(press.held());
    return heard.equals(press.held()) ? press : new Press(press.code(), heard);
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
    return character(press).flatMap(Keysym::text);
  }

  /**
   * Whether a press begins a character in a text: it types one, or is a dead key, which waits for
   * the letter it goes with.
   */
  public boolean beginsTyping(Press press) {
    return character(press).filter(k -> k.text().isPresent() || k.isDead()).isPresent();
  }

  private Optional<Keysym> character(Press press) {
    Modifiers held = platform.heard(press.held());
    return held.leaveTyping() ? makes(press.code(), held) : Optional.empty();
  }

  /** The press on which a sign is dead here: it types nothing until a letter follows. */
  public Optional<Press> deadFor(Keysym keysym) {
    return DeadKeys.dead(keysym).flatMap(d -> making(d).stream().findFirst());
  }

  /** The press as a stroke by character: what a person would say they pressed. */
  public Stroke stroke(Press press) {
    Modifiers heard = platform.heard(press.held());
    Modifiers written =
        types(press).isPresent() && platform == Platform.CONTROL_ALTGR
            ? heard // said as what it types
            : platform.written(heard);
    return makes(press.code(), Modifiers.NONE)
        .map(k -> new Stroke(written, new Key.Making(k)))
        .orElseGet(() -> new Stroke(written, new Key.At(press.code())));
  }

  /** What is printed on the key cap, for a picture of the keyboard. */
  public String legend(KeyCode code) {
    return makes(code, Modifiers.NONE)
        .map(k -> k.isDead() ? DeadKeys.sign(k) : Notation.word(new Key.Making(k)))
        .orElse(code.code());
  }
}
