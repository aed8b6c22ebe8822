package foldtwice.library;

import foldtwice.extras.Extras;
import foldtwice.place.Place;
import foldtwice.surface.Offering;
import foldtwice.surface.RadialMenu;
import foldtwice.surface.Surface;
import foldtwice.surface.Toolbar;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** What bindings can be laid on, or what comes to the pointer, with nothing on it yet. */
public final class NewSurfaces {

  /** The slots of a new toolbar, and after how many a gap is left. */
  private static final int SLOTS = 8;

  private static final int GROUP = 4;

  private NewSurfaces() {}

  /** A toolbar of an application, under this name or one like it that is free. */
  public static Toolbar toolbar(Library library, String name, String application) {
    return new Toolbar(
        id(library, "toolbar-" + application),
        name(library, name),
        application,
        SLOTS,
        GROUP,
        false,
        Map.of(),
        Extras.NONE);
  }

  /** A radial menu that nothing opens. */
  public static RadialMenu radial(Library library, String name, Place place) {
    return new RadialMenu(
        id(library, "radial"), name(library, name), place, List.of(), Map.of(), Extras.NONE);
  }

  /** A list of what fits that nothing opens. */
  public static Offering offering(Library library, String name, Place place) {
    return new Offering(id(library, "fits"), name(library, name), place, List.of(), Extras.NONE);
  }

  private static String id(Library library, String wanted) {
    return Ids.free(wanted, library.surfaces()::containsKey);
  }

  private static String name(Library library, String wanted) {
    Set<String> taken =
        library.surfaces().values().stream().map(Surface::name).collect(Collectors.toSet());
    return Ids.freeName(wanted, taken::contains);
  }
}
