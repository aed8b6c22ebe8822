package foldtwice.desktop.parts;

import foldtwice.desktop.parts.DeviceView.Part;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Bound;
import foldtwice.place.Place;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Outcome;
import foldtwice.resolve.Owner;
import foldtwice.resolve.Resolver;
import foldtwice.surface.Device;
import foldtwice.surface.Face;
import foldtwice.surface.Page;
import foldtwice.trigger.Motion;
import foldtwice.trigger.Trigger;
import java.util.Optional;

/** What the keys of devices, buttons and choices show, in a place. */
public record Faces(Snapshot now, Place place) {

  /** The claim a trigger fires here. */
  public Optional<Claim> claim(Trigger trigger) {
    return new Resolver(now.keymap())
        .press(Resolver.start(place), new Motion(trigger), 0).outcomes().stream()
            .filter(o -> o instanceof Outcome.Fired)
            .map(o -> ((Outcome.Fired) o).claim())
            .findFirst();
  }

  /** What a trigger does here, in words; empty when it does nothing. */
  public Optional<String> does(Trigger trigger) {
    return claim(trigger).map(c -> now.words().owner(c.owner()));
  }

  /** What is bound to a trigger in whatever place, the first of it; empty for nothing. */
  public static String anywhere(Snapshot now, Trigger trigger) {
    return Bound.on(now.library(), trigger).stream()
        .map(now.words()::binding)
        .findFirst()
        .orElse("");
  }

  /** The same in two short lines: the routine, and what it is given. */
  public String brief(Trigger trigger) {
    return claim(trigger)
        .map(
            c ->
                c.owner() instanceof Owner.Yours(String id)
                    ? now.words().brief(now.library().bindings().get(id))
                    : now.words().owner(c.owner()))
        .orElse("");
  }

  /** What a key or a dial of a device shows on a page. */
  public DeviceView.Shown of(Device device, Page page, String id) {
    if (device.dial(id).isPresent()) {
      return new DeviceView.Shown("", dial(device, page, id), Part.FREE, Face.PLAIN);
    }
    Face face = page.face(id);
    String label = face.label();
    String printed = device.key(id).map(Device.Cap::label).orElse("");
    Optional<Page.Sends> sends = page.sends(id);
    if (sends.isPresent()) {
      return switch (sends.get()) {
        case Page.Sends.Chord(Trigger.Keys keys) -> {
          String says = Ui.text("device.sends", now.words().trigger(keys));
          yield new DeviceView.Shown(label.isEmpty() ? says : label, says, Part.SENDS, face);
        }
        case Page.Sends.Turn(String to) -> {
          String says = Ui.text("device.turns", device.page(to).map(Page::name).orElse(to));
          yield new DeviceView.Shown(label.isEmpty() ? says : label, says, Part.TURNS, face);
        }
      };
    }
    Optional<String> tap = does(key(device, page, id, Trigger.Duration.TAP));
    Optional<String> hold = does(key(device, page, id, Trigger.Duration.HOLD));
    String before = device.key(id).map(Device.Cap::before).orElse("");
    String otherwise = before.isEmpty() ? Ui.text("device.free") : before;
    String says =
        hold.isPresent()
            ? Ui.text("device.both", tap.orElse(otherwise), hold.get())
            : tap.orElse(otherwise);
    String text = !label.isEmpty() ? label : printed.isEmpty() ? tap.orElse("") : printed;
    boolean yours = tap.isPresent() || hold.isPresent();
    return new DeviceView.Shown(text, says, yours ? Part.YOURS : Part.FREE, face);
  }

  /** What a dial does here. */
  public String dial(Device device, Page page, String id) {
    String left = does(turn(device, page, id, Trigger.Turn.LEFT)).orElse("");
    String right = does(turn(device, page, id, Trigger.Turn.RIGHT)).orElse("");
    String push = does(turn(device, page, id, Trigger.Turn.PUSH)).orElse("");
    if (left.isEmpty() && right.isEmpty() && push.isEmpty()) {
      return Ui.text("device.free");
    }
    String turned =
        Ui.text(
            "device.dial",
            left.isEmpty() ? Ui.text("device.free") : left,
            right.isEmpty() ? Ui.text("device.free") : right);
    return push.isEmpty() ? turned : Ui.text("device.pushed", turned, push);
  }

  /** What a key does here when it is held. */
  public Optional<String> held(Device device, Page page, String id) {
    return does(key(device, page, id, Trigger.Duration.HOLD));
  }

  private static Trigger key(Device device, Page page, String key, Trigger.Duration way) {
    return new Trigger.PadKey(device.id(), page.id(), key, way);
  }

  private static Trigger turn(Device device, Page page, String dial, Trigger.Turn turn) {
    return new Trigger.Dial(device.id(), page.id(), dial, turn);
  }
}
