package foldtwice.library;

import foldtwice.place.Place;
import foldtwice.surface.Device;
import foldtwice.surface.RadialMenu;
import foldtwice.surface.Surface;
import foldtwice.surface.Toolbar;
import foldtwice.trigger.Trigger;
import java.util.Optional;

/**
 * A trigger that points at something the library does not have, so that nobody can make it.
 *
 * @param of what it is on, by name where there is one: a device, a toolbar, a menu
 * @param named what is not there: a page, a key, a slot; empty where it is the whole
 */
public record Dangling(What what, String of, String named) {

  /** What is not there. */
  public enum What {
    DEVICE,
    PAGE,
    KEY,
    DIAL,
    /** The dial cannot be pushed. */
    PUSH,
    TOOLBAR,
    /** The toolbar is another application's. */
    FOREIGN_TOOLBAR,
    SLOT,
    MENU,
    /** Nothing opens the menu. */
    UNOPENED
  }

  /**
   * What is not there of a trigger; empty when all of it is, and for keys.
   *
   * @param place where it is claimed
   */
  public static Optional<Dangling> of(Trigger trigger, Place place, Library library) {
    return switch (trigger) {
      case Trigger.PadKey(String device, String page, String key, var way) ->
          onDevice(library, device, page, d -> d.key(key).isPresent() ? null : What.KEY, key);
      case Trigger.Dial(String device, String page, String dial, Trigger.Turn turn) ->
          onDevice(library, device, page, d -> dial(d, dial, turn), dial);
      case Trigger.Button(String toolbar, int slot) -> button(library, toolbar, slot, place);
      case Trigger.Radial(String menu, var choice) -> menu(library, menu);
      default -> Optional.empty();
    };
  }

  private interface Lacking {
    /** What a device lacks; null for nothing. */
    What of(Device device);
  }

  private static What dial(Device device, String id, Trigger.Turn turn) {
    Optional<Device.Knob> dial = device.dial(id);
    if (dial.isEmpty()) {
      return What.DIAL;
    }
    return turn == Trigger.Turn.PUSH && !dial.get().push() ? What.PUSH : null;
  }

  private static Optional<Dangling> onDevice(
      Library library, String device, String page, Lacking lacking, String part) {
    Optional<Device> there = library.device(device);
    if (there.isEmpty()) {
      return Optional.of(new Dangling(What.DEVICE, device, ""));
    }
    if (there.get().page(page).isEmpty()) {
      return Optional.of(new Dangling(What.PAGE, there.get().name(), page));
    }
    return Optional.ofNullable(lacking.of(there.get()))
        .map(what -> new Dangling(what, there.get().name(), part));
  }

  private static Optional<Dangling> button(Library library, String id, int slot, Place place) {
    Surface surface = library.surfaces().get(id);
    if (!(surface instanceof Toolbar toolbar)) {
      return Optional.of(new Dangling(What.TOOLBAR, id, ""));
    }
    boolean foreign =
        place.applicationId().filter(a -> !a.equals(toolbar.application())).isPresent();
    if (foreign) {
      return Optional.of(new Dangling(What.FOREIGN_TOOLBAR, toolbar.name(), toolbar.application()));
    }
    return slot > toolbar.slots()
        ? Optional.of(new Dangling(What.SLOT, toolbar.name(), Integer.toString(slot)))
        : Optional.empty();
  }

  private static Optional<Dangling> menu(Library library, String id) {
    if (!(library.surfaces().get(id) instanceof RadialMenu menu)) {
      return Optional.of(new Dangling(What.MENU, id, ""));
    }
    return menu.opens().isEmpty()
        ? Optional.of(new Dangling(What.UNOPENED, menu.name(), ""))
        : Optional.empty();
  }
}
