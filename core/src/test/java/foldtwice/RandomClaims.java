package foldtwice;

import foldtwice.binding.Binding;
import foldtwice.extras.Extras;
import foldtwice.library.Library;
import foldtwice.place.Place;
import foldtwice.place.Rule;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Resolver;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Signal;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.Function;

/** Few keys, few places, many claims: libraries in which things really meet. */
public final class RandomClaims {

  private static final List<String> STROKES = List.of("A", "B", "Alt+A", "Alt+[KeyA]", "F2");
  private static final List<String> PLACES =
      List.of("box", "bare", "sheet", "app", "grid", "cell", "text", "word", "everywhere");

  private static final List<String> ANY_STROKES =
      List.of(
          "A",
          "B",
          "Alt+A",
          "Alt+[KeyA]",
          "F2",
          "Ctrl+Alt+Q",
          "AltGr+Q",
          "Ctrl+1",
          "1",
          "Logo+L",
          "Logo+L",
          "Logo+L",
          "Ctrl+L",
          "@",
          "^",
          "\u00df",
          "[IntlBackslash]",
          "[Numpad1]",
          "KP_1",
          "Ctrl+KP_1",
          "F18",
          "Alt+Q");
  private static final List<String> ANY_PLACES =
      List.of(
          "box",
          "bare",
          "sheet",
          "app",
          "grid",
          "cell",
          "text",
          "word",
          "pane",
          "rim",
          "everywhere");

  private RandomClaims() {}

  /** A library of this many claims, native ones among them. */
  public static Library library(Random random, int claims) {
    return library(random, List.of(), claims, PLACES, RandomClaims::keys);
  }

  private static Library library(
      Random random,
      List<Rule> rules,
      int claims,
      List<String> places,
      Function<Random, String> keys) {
    List<String> rows = new ArrayList<>();
    for (int i = 0; i < claims; i++) {
      boolean mine = random.nextInt(3) > 0;
      String place = one(random, places);
      rows.add(
          (mine ? "mine " : "native ")
              + (!mine && place.equals("everywhere") ? "app" : place)
              + " "
              + keys.apply(random));
    }
    return Fixture.library(rules, rows.stream().distinct().toArray(String[]::new));
  }

  /** A library with claims in all places, on keys that layouts, shapes and platforms differ in. */
  public static Library anywhere(Random random, List<Rule> rules, int claims) {
    return library(random, rules, claims, ANY_PLACES, RandomClaims::anyKeys);
  }

  public static Trigger anyTrigger(Random random) {
    return Fixture.trigger(anyKeys(random));
  }

  private static String anyKeys(Random random) {
    return keys(random, random.nextInt(3) > 0 ? STROKES : ANY_STROKES);
  }

  public static Binding binding(Random random, String id) {
    Place place = Fixture.place(one(random, PLACES));
    return new Binding(id, "r", place, List.of(trigger(random)), Map.of(), 1, Extras.NONE);
  }

  public static Trigger trigger(Random random) {
    return Fixture.trigger(keys(random));
  }

  private static String keys(Random random) {
    return keys(random, STROKES);
  }

  /** Keys mostly; one in eight is held, comes up, or is no key at all. */
  private static String keys(Random random, List<String> of) {
    if (random.nextInt(8) == 0) {
      return one(
          random,
          List.of(
              "held A",
              "held Alt+A",
              "up A",
              "up Alt+A",
              "pad k1",
              "drag up",
              "slot 1",
              "ring up",
              "dial left",
              "start"));
    }
    List<String> strokes = new ArrayList<>();
    for (int i = random.nextInt(3); i >= 0; i--) {
      strokes.add(one(random, of));
    }
    return String.join(Notation.THEN, strokes);
  }

  public static Place state(Random random, Keymap keymap) {
    return one(random, keymap.states());
  }

  public static List<Signal> presses(Random random, Keymap keymap) {
    return keymap.paths(trigger(random)).getFirst();
  }

  /** Presses something somewhere. */
  public static void press(Random random, Keymap keymap) {
    Resolver.outcomes(keymap, state(random, keymap), presses(random, keymap));
  }

  private static <T> T one(Random random, List<T> of) {
    return of.get(random.nextInt(of.size()));
  }
}
