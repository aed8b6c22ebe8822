package foldtwice.live.survey;

import foldtwice.trigger.Key;
import foldtwice.trigger.Keysym;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Keys as programs write them on the accessibility bus: three parts with semicolons between them,
 * the mnemonic inside its menu, the mnemonics of the whole way, and the accelerator. Only the last
 * sets the command off from where the work is done. Each part has its modifiers in angle brackets
 * and then an XKB keysym name.
 */
public final class Accelerator {

  private static final Pattern HELD = Pattern.compile("<([A-Za-z0-9_]+)>");

  private static final Map<String, Modifier> MODIFIERS =
      Map.of(
          "primary", Modifier.CTRL,
          "control", Modifier.CTRL,
          "ctrl", Modifier.CTRL,
          "alt", Modifier.ALT,
          "mod1", Modifier.ALT,
          "shift", Modifier.SHIFT,
          "super", Modifier.LOGO,
          "meta", Modifier.LOGO,
          "mod4", Modifier.LOGO);

  private static final Map<String, String> OTHER_NAMES =
      Map.of("Page_Up", "Prior", "Page_Down", "Next", "KP_Page_Up", "KP_Prior");

  private Accelerator() {}

  /** The accelerator in what a program tells; empty where it tells none, or one nobody knows. */
  public static Optional<Trigger> of(String told) {
    String[] parts = told.split(";", -1);
    if (parts.length < 3 || parts[2].isBlank()) {
      return Optional.empty();
    }
    return stroke(parts[2].strip()).map(s -> new Trigger.Keys(List.of(s)));
  }

  /**
   * The strokes that choose an item, as a program tells: its accelerator, or else the way through
   * the menus by their marked letters. Empty where there is neither.
   */
  public static List<Stroke> strokes(String told) {
    String[] parts = told.split(";", -1);
    if (parts.length >= 3 && !parts[2].isBlank()) {
      return stroke(parts[2].strip()).map(List::of).orElse(List.of());
    }
    List<Stroke> way = new ArrayList<>();
    if (parts.length >= 2 && !parts[1].isBlank()) {
      for (String part : parts[1].strip().split(":")) {
        Optional<Stroke> s = stroke(part);
        if (s.isEmpty()) {
          return List.of();
        }
        way.add(s.get());
      }
    }
    return way.size() > 1 ? List.copyOf(way) : List.of();
  }

  private static Optional<Stroke> stroke(String text) {
    Modifiers held = Modifiers.NONE;
    Matcher m = HELD.matcher(text);
    int end = 0;
    while (m.find() && m.start() == end) {
      Modifier one = MODIFIERS.get(m.group(1).toLowerCase(Locale.ROOT));
      if (one == null) {
        return Optional.empty();
      }
      held = held.with(one);
      end = m.end();
    }
    String name = text.substring(end);
    Modifiers all = held;
    return Keysym.named(OTHER_NAMES.getOrDefault(name, name))
        .map(k -> new Stroke(all, new Key.Making(k)));
  }
}
