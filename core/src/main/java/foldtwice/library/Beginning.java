package foldtwice.library;

import foldtwice.extras.Extras;
import foldtwice.place.Desktops;
import foldtwice.place.Station;
import foldtwice.trigger.Shape;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * What is said of a library before there is anything in it: its name, and the computer it is begun
 * on.
 *
 * @param layout id of the keyboard layout
 */
public record Beginning(
    String name, String station, String layout, Shape shape, Desktops.Kind desktop) {

  /**
   * The layout people of a country are most likely to have, by its ISO 3166 code; common practice.
   */
  private static final Map<String, String> USUAL =
      Map.ofEntries(
          Map.entry("GB", "gb"),
          Map.entry("IE", "gb"),
          Map.entry("DE", "de"),
          Map.entry("AT", "de"),
          Map.entry("FR", "fr"),
          Map.entry("ES", "es"),
          Map.entry("SE", "se"),
          Map.entry("FI", "se"),
          Map.entry("PL", "pl"),
          Map.entry("CH", "ch"),
          Map.entry("LI", "ch"),
          Map.entry("JP", "jp"));

  /** The library, with this computer as its one station. */
  public Library library() {
    Station here =
        desktop.on(
            new Station(
                "computer",
                station,
                layout,
                shape,
                desktop.platform(),
                List.of(),
                List.of(),
                List.of(),
                Extras.NONE));
    return new Edit.PutStation(here).on(Library.empty(name.strip()));
  }

  /** The layout to propose to somebody from here; a guess, which pressing keys makes sure of. */
  public static String likelyLayout(Locale here) {
    return USUAL.getOrDefault(here.getCountry(), "us");
  }

  /** The shape keyboards of a layout mostly have. */
  public static Shape likelyShape(String layout) {
    if (layout.equals("jp")) {
      return Shape.JIS;
    }
    return layout.startsWith("us") || layout.equals("pl") ? Shape.ANSI : Shape.ISO;
  }

  /**
   * The kind of desktop to propose.
   *
   * @param system the name of the operating system, as the property {@code os.name} has it
   */
  public static Desktops.Kind likelyDesktop(String system) {
    String name = system.toLowerCase(Locale.ROOT);
    String id = name.contains("mac") ? "command" : name.contains("windows") ? "logo-altgr" : "logo";
    return desktop(id);
  }

  /** The kind of desktop of this id; one that ships. */
  public static Desktops.Kind desktop(String id) {
    return Desktops.ALL.stream().filter(k -> k.id().equals(id)).findFirst().orElseThrow();
  }
}
