package foldtwice.trigger;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/**
 * The layouts that ship with the product, derived from {@code xkb-data} by tools/derive-layouts.py.
 */
public final class Layouts {

  /** The ids of all shipped layouts, in the order choosers list them. */
  public static final List<String> IDS =
      List.of(
          "us",
          "gb",
          "de",
          "fr",
          "es",
          "se",
          "pl",
          "ch",
          "jp",
          "us-intl",
          "us-dvorak",
          "us-colemak");

  private static final Map<String, Layout> LOADED = new ConcurrentHashMap<>();

  private Layouts() {}

  /** The layout of this XKB name, with its variant behind a hyphen, if it ships. */
  public static Optional<Layout> of(String id) {
    return IDS.contains(id)
        ? Optional.of(LOADED.computeIfAbsent(id, Layouts::load))
        : Optional.empty();
  }

  private static Layout load(String id) {
    Map<KeyCode, List<Keysym>> levels = new EnumMap<>(KeyCode.class);
    try (var in =
        new BufferedReader(
            new InputStreamReader(
                Layouts.class.getResourceAsStream("layouts/" + id + ".tsv"),
                StandardCharsets.UTF_8))) {
      for (String line = in.readLine(); line != null; line = in.readLine()) {
        if (!line.startsWith("#")) {
          String[] fields = line.split("\t", -1);
          levels.put(KeyCode.of(fields[0]).orElseThrow(), row(fields));
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException(
          "the layout " + id + ", shipped in the jar, cannot be read", e);
    }
    return new Layout(id, levels);
  }

  private static List<Keysym> row(String[] fields) {
    List<Keysym> row = new ArrayList<>();
    for (int i = 1; i < fields.length; i++) {
      Optional<Keysym> keysym = Keysym.named(fields[i]);
      if (keysym.isEmpty()) {
        break; // NoSymbol, or a keysym without a published character: nothing from this level on
      }
      row.add(keysym.get());
    }
    return row;
  }
}
