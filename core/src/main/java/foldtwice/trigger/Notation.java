package foldtwice.trigger;

import foldtwice.text.Blanks;
import foldtwice.text.Refusals;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Triggers as people read and type them: {@code Ctrl+Shift+M}, {@code L then B}, {@code Alt+.},
 * {@code Ctrl+[KeyQ]} for a key by position.
 *
 * <p>Law: {@code read(write(t)).equals(t)} for every trigger. Reading does not mind letter case.
 */
public final class Notation {

  /** Joins the strokes of a sequence. */
  public static final String THEN = " then ";

  private static final Pattern BETWEEN = Pattern.compile(THEN, Pattern.CASE_INSENSITIVE);

  private static final Map<String, String> WORDS = new HashMap<>();
  private static final Map<String, String> KEYSYMS = new HashMap<>();

  static {
    String[][] names = {
      {"Return", "Enter"},
      {"Escape", "Escape"},
      {"Tab", "Tab"},
      {"BackSpace", "Backspace"},
      {"Delete", "Delete"},
      {"Insert", "Insert"},
      {"Home", "Home"},
      {"End", "End"},
      {"Prior", "PageUp"},
      {"XF86AudioPlay", "Play"},
      {"XF86AudioNext", "NextTrack"},
      {"XF86AudioPrev", "PreviousTrack"},
      {"XF86AudioStop", "StopPlaying"},
      {"XF86AudioMute", "Mute"},
      {"XF86AudioRaiseVolume", "Louder"},
      {"XF86AudioLowerVolume", "Softer"},
      {"XF86Mail", "Mail"},
      {"XF86Calculator", "Calculator"},
      {"XF86MyComputer", "Computer"},
      {"XF86Search", "SearchWeb"},
      {"XF86HomePage", "HomePage"},
      {"XF86Back", "WebBack"},
      {"XF86Forward", "WebForward"},
      {"XF86Reload", "Reload"},
      {"XF86Favorites", "Bookmarks"},
      {"XF86Eject", "Eject"},
      {"XF86PowerOff", "Power"},
      {"XF86Sleep", "Sleep"},
      {"XF86WakeUp", "WakeUp"},
      {"Next", "PageDown"},
      {"Left", "Left"},
      {"Right", "Right"},
      {"Up", "Up"},
      {"Down", "Down"},
      {"space", "Space"},
      {"plus", "Plus"},
      {"Menu", "Menu"},
      {"Print", "Print"},
      {"Pause", "Pause"},
    };
    for (String[] pair : names) {
      WORDS.put(pair[0], pair[1]);
      KEYSYMS.put(pair[1].toLowerCase(Locale.ROOT), pair[0]);
    }
    KEYSYMS.put("esc", "Escape");
    KEYSYMS.put("page up", "Prior");
    KEYSYMS.put("page down", "Next");
    KEYSYMS.put("blank", "space");
  }

  /** A longer text is no trigger. */
  private static final int LONGEST = 500;

  private Notation() {}

  /** A trigger in running text; of what is no key, with ids for names. */
  public static String write(Trigger trigger) {
    return switch (trigger) {
      case Trigger.Keys(List<Stroke> strokes) ->
          strokes.stream().map(Notation::write).collect(Collectors.joining(THEN));
      case Trigger.Held(Stroke stroke, Trigger.Edge edge) ->
          write(stroke) + (edge == Trigger.Edge.DOWN ? " held" : " let go");
      case Trigger.PadKey(String device, String page, String key, Trigger.Duration way) ->
          words(device, page, key, way == Trigger.Duration.HOLD ? "held" : "");
      case Trigger.Dial(String device, String page, String dial, Trigger.Turn turn) ->
          words(device, page, dial, turn.name().toLowerCase(Locale.ROOT));
      case Trigger.Gesture(Trigger.PointerButton button, List<Direction> strokes) ->
          words(
              button.name().toLowerCase(Locale.ROOT),
              "drag",
              strokes.stream().map(Direction::id).collect(Collectors.joining(THEN)));
      case Trigger.Pointer(Trigger.PointerButton button, Modifiers held) ->
          Stream.concat(
                  held.list().stream().map(Modifier::word),
                  Stream.of(words(button.name().toLowerCase(Locale.ROOT), "button")))
              .collect(Collectors.joining("+"));
      case Trigger.Radial(String menu, Direction choice) -> words(menu, choice.id());
      case Trigger.Button(String toolbar, int slot) -> words(toolbar, Integer.toString(slot));
      case Trigger.AtStart() -> "at start";
    };
  }

  private static String words(String... words) {
    return Stream.of(words).filter(w -> !w.isEmpty()).collect(Collectors.joining(" "));
  }

  public static String write(Stroke stroke) {
    return String.join("+", caps(stroke));
  }

  /** The words on the key caps of a stroke, modifiers first. */
  public static List<String> caps(Stroke stroke) {
    List<String> caps = new ArrayList<>();
    stroke.modifiers().list().forEach(m -> caps.add(m.word()));
    caps.add(word(stroke.key()));
    return List.copyOf(caps);
  }

  /** The word on one key cap. */
  public static String word(Key key) {
    return switch (key) {
      case Key.At(KeyCode code) -> "[" + code.code() + "]";
      case Key.Making(Keysym keysym) -> word(keysym);
    };
  }

  private static String word(Keysym keysym) {
    String word = WORDS.get(keysym.name());
    if (word != null) {
      return word;
    }
    if (!keysym.types()) {
      return keysym.name();
    }
    int upper = Character.toUpperCase(keysym.codePoint());
    boolean there = Character.toLowerCase(upper) == keysym.codePoint();
    return Character.toString(there ? upper : keysym.codePoint());
  }

  /**
   * Reads a trigger of one or several strokes.
   *
   * @throws NotationException naming the part and what is allowed there
   */
  public static Trigger.Keys read(String text) {
    if (text.length() > LONGEST) {
      throw new NotationException(
          text.substring(0, 20) + "\u2026",
          Refusals.says("trigger.it"),
          Refusals.says("trigger.keys-are-written-at", LONGEST));
    }
    String[] parts = BETWEEN.split(Blanks.single(text), -1);
    if (parts.length > Trigger.Keys.MOST_STROKES) {
      throw new NotationException(
          text,
          parts[Trigger.Keys.MOST_STROKES],
          Refusals.says("trigger.sequence-has-at-most", Trigger.Keys.MOST_STROKES));
    }
    List<Stroke> strokes = new ArrayList<>();
    for (String part : parts) {
      strokes.add(stroke(text, part.strip()));
    }
    return new Trigger.Keys(strokes);
  }

  private static Stroke stroke(String whole, String text) {
    Modifiers held = Modifiers.NONE;
    String rest = text;
    for (int plus = rest.indexOf('+', 1); plus > 0; plus = rest.indexOf('+', 1)) {
      String word = rest.substring(0, plus).strip();
      Modifier m = Modifier.named(word);
      if (m == null) {
        throw new NotationException(whole, word, Refusals.says("trigger.one-modifier"));
      }
      if (held.has(m)) {
        throw new NotationException(
            whole, word, Refusals.says("trigger.each-modifier-stands-only"));
      }
      held = held.with(m);
      rest = rest.substring(plus + 1).strip();
    }
    return new Stroke(held, key(whole, rest));
  }

  private static Key key(String whole, String word) {
    Optional<KeyCode> position = FileNotation.position(whole, word);
    if (position.isPresent()) {
      return new Key.At(position.get());
    }
    if (!word.isEmpty() && word.codePointCount(0, word.length()) == 1) {
      return new Key.Making(Keysym.of(Character.toLowerCase(word.codePointAt(0))));
    }
    String known = KEYSYMS.getOrDefault(word.toLowerCase(Locale.ROOT), word);
    if (Modifier.named(word) == null) {
      Optional<Keysym> keysym =
          Keysym.named(known).or(() -> Keysym.named(word.toUpperCase(Locale.ROOT)));
      if (keysym.isPresent()) {
        return new Key.Making(keysym.get());
      }
    }
    throw new NotationException(
        whole, word.isEmpty() ? whole : word, Refusals.says("trigger.key-character-name-such"));
  }
}
