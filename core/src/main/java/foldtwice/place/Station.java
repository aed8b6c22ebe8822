package foldtwice.place;

import foldtwice.extras.Extras;
import foldtwice.trigger.Layout;
import foldtwice.trigger.Layouts;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Platform;
import foldtwice.trigger.Shape;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.List;

/**
 * One computer: its keyboard and what its desktop keeps for itself.
 *
 * @param layout id of the keyboard layout in use
 * @param platform what its modifiers are there for
 * @param installed versions and add-ons of the applications
 * @param devices ids of the devices that are plugged in
 * @param reserved triggers the desktop takes before any program sees them, written with the
 *     modifiers of this computer itself
 */
public record Station(
    String id,
    String name,
    String layout,
    Shape shape,
    Platform platform,
    List<Reserved> reserved,
    List<Installed> installed,
    List<String> devices,
    Extras extras) {

  /** A trigger the desktop keeps, and what it does with it. */
  public record Reserved(Trigger.Keys trigger, String what) {}

  /**
   * An application as it is on this computer; what is not listed is there as the library has it.
   *
   * @param language of its labels, as an IETF BCP 47 tag; empty for the one it is described in
   */
  public record Installed(String application, String version, List<AddOn> addOns, String language) {
    public Installed {
      addOns = List.copyOf(addOns);
    }

    /** In the language in which it is described. */
    public Installed(String application, String version, List<AddOn> addOns) {
      this(application, version, addOns, "");
    }
  }

  public Station {
    reserved = List.copyOf(reserved);
    installed = List.copyOf(installed);
    devices = List.copyOf(devices);
  }

  /** What its keys make, with its modifiers as they are used here. */
  public Layout keys() {
    return Layouts.of(layout).orElseThrow().on(platform);
  }

  /** What has to be held here for a stroke's character beside what the stroke says. */
  public Modifiers besides(Stroke stroke) {
    return keys().presses(stroke).stream()
        .findFirst()
        .map(p -> p.held().besides(platform.pressed(stroke.modifiers())))
        .orElse(Modifiers.NONE);
  }

  /** The same station under another name. */
  public Station named(String other) {
    return new Station(id, other, layout, shape, platform, reserved, installed, devices, extras);
  }

  /** Another station that is set up alike. */
  public Station as(String otherId, String otherName) {
    return new Station(
        otherId, otherName, layout, shape, platform, reserved, installed, devices, extras);
  }

  /** The same station with another keyboard. */
  public Station withKeyboard(String layout, Shape shape, Platform platform) {
    return new Station(id, name, layout, shape, platform, reserved, installed, devices, extras);
  }

  /** The same station whose desktop keeps other triggers. */
  public Station withReserved(List<Reserved> others) {
    return new Station(id, name, layout, shape, platform, others, installed, devices, extras);
  }

  /** The same station with other devices plugged in. */
  public Station withDevices(List<String> others) {
    return new Station(id, name, layout, shape, platform, reserved, installed, others, extras);
  }

  /** The same station with an application as it is now, instead of how it was. */
  public Station with(Installed application) {
    List<Installed> next = new ArrayList<>(installed);
    int at = 0;
    while (at < next.size() && !next.get(at).application().equals(application.application())) {
      at++;
    }
    if (at < next.size()) {
      next.set(at, application);
    } else {
      next.add(application);
    }
    return withInstalled(next);
  }

  /** The same station with applications as they are now. */
  public Station withInstalled(List<Installed> others) {
    return new Station(id, name, layout, shape, platform, reserved, others, devices, extras);
  }
}
