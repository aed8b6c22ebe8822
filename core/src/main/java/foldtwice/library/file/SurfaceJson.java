package foldtwice.library.file;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.place.Place;
import foldtwice.surface.Device;
import foldtwice.surface.Face;
import foldtwice.surface.Offering;
import foldtwice.surface.Page;
import foldtwice.surface.RadialMenu;
import foldtwice.surface.Surface;
import foldtwice.surface.Toolbar;
import foldtwice.text.Refusals;
import foldtwice.trigger.Direction;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/** Devices, toolbars and radial menus. */
final class SurfaceJson {

  private static final String MIDI = "(note|control) (\\d{1,2}|1[01]\\d|12[0-7])";
  private static final Set<String> DEVICE = Set.of("id", "name", "keys", "dials", "pages");
  private static final Set<String> TOOLBAR =
      Set.of("id", "name", "application", "slots", "group", "inDocument", "faces");
  private static final Set<String> OFFERING = Set.of("id", "name", "place", "opens");
  private static final Set<String> MENU = Set.of("id", "name", "place", "opens", "faces");

  private static final Set<String> CAP =
      Set.of("id", "label", "x", "y", "width", "height", "usage", "before");
  private static final Set<String> KNOB =
      Set.of("id", "label", "x", "y", "push", "usage", "pushUsage");
  private static final Set<String> PAGE = Set.of("id", "name", "colour", "faces", "sends");
  private static final Set<String> SENDS = Set.of("keys", "page");
  private static final Set<String> FACE = Set.of("label", "colour", "icon");

  private SurfaceJson() {}

  /** The four lists of a library, as one; an id stands once among them all. */
  static LinkedHashMap<String, Surface> all(In in, Map<String, Place> places)
      throws FormatException {
    LinkedHashMap<String, Surface> all = new LinkedHashMap<>();
    add(in, all, in.byId("devices", SurfaceJson::device, Device::id));
    add(in, all, in.byId("toolbars", SurfaceJson::toolbar, Toolbar::id));
    add(in, all, in.byId("menus", m -> menu(m, places), RadialMenu::id));
    add(in, all, in.byId("offerings", o -> offering(o, places), Offering::id));
    return all;
  }

  private static void add(In in, Map<String, Surface> all, Map<String, ? extends Surface> more)
      throws FormatException {
    for (Surface s : more.values()) {
      if (all.put(s.id(), s) != null) {
        throw in.fault(Refusals.says("library.id-stands-twice-among", s.id()));
      }
    }
  }

  /** Reads one that belongs into the list of this name. */
  static Surface read(In in, String list, Map<String, Place> places) throws FormatException {
    return switch (list) {
      case "toolbars" -> toolbar(in);
      case "menus" -> menu(in, places);
      case "offerings" -> offering(in, places);
      default -> device(in);
    };
  }

  /** The list of a library it belongs into. */
  static String list(Surface surface) {
    return switch (surface) {
      case Device d -> "devices";
      case Toolbar t -> "toolbars";
      case RadialMenu m -> "menus";
      case Offering o -> "offerings";
    };
  }

  /** Reads a device; keys that lie over one another are refused. */
  static Device device(In in) throws FormatException {
    List<Device.Cap> keys =
        new ArrayList<>(in.byId("keys", SurfaceJson::cap, Device.Cap::id).values());
    List<Device.Knob> dials =
        new ArrayList<>(in.byId("dials", SurfaceJson::knob, Device.Knob::id).values());
    List<Page> pages = new ArrayList<>(in.byId("pages", SurfaceJson::page, Page::id).values());
    if (pages.isEmpty()) {
      pages.add(new Page("", "", "", Map.of(), Map.of()));
    }
    Device device = new Device(in.id("id"), in.text("name"), keys, dials, pages, in.rest(DEVICE));
    Optional<List<Device.Cap>> over = device.overlap();
    if (over.isPresent()) {
      throw in.at("keys")
          .fault(
              Refusals.says(
                  "library.keys-and-lie-over",
                  over.get().getFirst().id(),
                  over.get().getLast().id()));
    }
    check(in, device);
    return device;
  }

  /** What a page says is about keys there are, and pages there are. */
  private static void check(In in, Device device) throws FormatException {
    for (Page page : device.pages()) {
      List<String> named = new ArrayList<>(page.faces().keySet());
      named.addAll(page.sends().keySet());
      for (String key : named) {
        if (device.key(key).isEmpty() && device.dial(key).isEmpty()) {
          throw in.at("pages").fault(Refusals.says("library.page-speaks-key-not", page.id(), key));
        }
      }
      for (Page.Sends sends : page.sends().values()) {
        if (sends instanceof Page.Sends.Turn(String to) && device.page(to).isEmpty()) {
          throw in.at("pages").fault(Refusals.says("library.page-turns-which-not", page.id(), to));
        }
      }
    }
  }

  private static Device.Knob knob(In in) throws FormatException {
    return in.part(
        KNOB,
        new Device.Knob(
            in.id("id"),
            in.text("label", ""),
            in.number("x", 0),
            in.number("y", 0),
            in.flag("push"),
            midi(in, "usage"),
            midi(in, "pushUsage")),
        SurfaceJson::write);
  }

  private static Device.Cap cap(In in) throws FormatException {
    return in.part(CAP, capOf(in), SurfaceJson::write);
  }

  private static Device.Cap capOf(In in) throws FormatException {
    String usage = in.text("usage", "");
    if (!usage.isEmpty() && !usage.matches("[0-9A-F]{2,4}/[0-9A-F]{2,4}|" + MIDI)) {
      throw in.at("usage").fault(Refusals.says("library.expected-usb-hid-usage", usage));
    }
    double width = in.number("width", 1);
    double height = in.number("height", 1);
    if (width <= 0 || height <= 0) {
      throw in.fault(Refusals.says("library.expected-key-wider-and"));
    }
    return new Device.Cap(
        in.id("id"),
        in.text("label", ""),
        in.number("x", 0),
        in.number("y", 0),
        width,
        height,
        usage,
        in.text("before", ""));
  }

  /** What a dial is over MIDI, if anything. */
  private static String midi(In in, String field) throws FormatException {
    String usage = in.text(field, "");
    if (!usage.isEmpty() && !usage.matches(MIDI)) {
      throw in.at(field).fault(Refusals.says("library.expected-note-or-control", usage));
    }
    return usage;
  }

  private static Page page(In in) throws FormatException {
    Map<String, Face> faces = new LinkedHashMap<>();
    for (var f : in.fields("faces").entrySet()) {
      faces.put(f.getKey(), face(f.getValue()));
    }
    Map<String, Page.Sends> sends = new LinkedHashMap<>();
    for (var s : in.fields("sends").entrySet()) {
      sends.put(s.getKey(), sends(s.getValue()));
    }
    return in.part(
        PAGE,
        new Page(in.text("id", ""), in.text("name", ""), in.text("colour", ""), faces, sends),
        SurfaceJson::write);
  }

  private static Page.Sends sends(In in) throws FormatException {
    return in.part(
        SENDS,
        in.has("page")
            ? new Page.Sends.Turn(in.text("page"))
            : new Page.Sends.Chord(TriggerJson.readKeys(in)),
        SurfaceJson::write);
  }

  private static ObjectNode write(Page.Sends sends) {
    return switch (sends) {
      case Page.Sends.Chord(var keys) -> TriggerJson.write(keys);
      case Page.Sends.Turn(String to) -> Json.object().put("page", to);
    };
  }

  private static Face face(In in) throws FormatException {
    return in.part(
        FACE,
        new Face(in.text("label", ""), in.text("colour", ""), in.text("icon", "")),
        SurfaceJson::write);
  }

  static Toolbar toolbar(In in) throws FormatException {
    int slots = in.whole("slots");
    Map<Integer, Face> faces = new TreeMap<>();
    for (var f : in.fields("faces").entrySet()) {
      if (!f.getKey().matches("[1-9]\\d?") || Integer.parseInt(f.getKey()) > slots) {
        throw f.getValue().fault(Refusals.says("library.expected-slot", slots));
      }
      faces.put(Integer.valueOf(f.getKey()), face(f.getValue()));
    }
    String id = in.id("id");
    String name = in.text("name");
    String application = in.id("application");
    int group = in.has("group") ? in.whole("group") : 0;
    boolean inDocument = in.flag("inDocument");
    var extras = in.rest(TOOLBAR);
    return in.at("slots")
        .placing(() -> new Toolbar(id, name, application, slots, group, inDocument, faces, extras));
  }

  static RadialMenu menu(In in, Map<String, Place> places) throws FormatException {
    Map<Direction, Face> faces = new EnumMap<>(Direction.class);
    for (var f : in.fields("faces").entrySet()) {
      Direction choice =
          Direction.of(f.getKey())
              .orElseThrow(
                  () -> f.getValue().fault(Refusals.says("library.expected-direction-such-as")));
      faces.put(choice, face(f.getValue()));
    }
    return new RadialMenu(
        in.id("id"),
        in.text("name"),
        PlaceJson.place(in.at("place"), places),
        in.list("opens", TriggerJson::read),
        faces,
        in.rest(MENU));
  }

  private static Offering offering(In in, Map<String, Place> places) throws FormatException {
    return new Offering(
        in.id("id"),
        in.text("name"),
        PlaceJson.place(in.at("place"), places),
        in.list("opens", TriggerJson::read),
        in.rest(OFFERING));
  }

  /** Writes the four lists of a library; those that are empty are left out. */
  static void write(Iterable<Surface> all, ObjectNode out) {
    for (Surface s : all) {
      out.withArray("/" + list(s)).add(write(s));
    }
  }

  static ObjectNode write(Surface surface) {
    ObjectNode out = Json.object().put("id", surface.id()).put("name", surface.name());
    return switch (surface) {
      case Device d -> {
        ArrayNode keys = out.putArray("keys");
        d.keys().forEach(k -> keys.add(write(k)));
        if (!d.dials().isEmpty()) {
          ArrayNode dials = out.putArray("dials");
          d.dials().forEach(k -> dials.add(write(k)));
        }
        ArrayNode pages = out.putArray("pages");
        d.pages().forEach(p -> pages.add(write(p)));
        yield Json.with(d.extras(), out);
      }
      case Toolbar t -> {
        out.put("application", t.application()).put("slots", t.slots());
        if (t.group() > 0) {
          out.put("group", t.group());
        }
        if (t.inDocument()) {
          out.put("inDocument", true);
        }
        if (!t.faces().isEmpty()) {
          ObjectNode faces = out.putObject("faces");
          t.faces().forEach((slot, face) -> faces.set(Integer.toString(slot), write(face)));
        }
        yield Json.with(t.extras(), out);
      }
      case RadialMenu m -> {
        out.put("place", m.place().id());
        out.set("opens", TriggerJson.writeAll(m.opens()));
        if (!m.faces().isEmpty()) {
          ObjectNode faces = out.putObject("faces");
          m.faces().forEach((choice, face) -> faces.set(choice.id(), write(face)));
        }
        yield Json.with(m.extras(), out);
      }
      case Offering o -> {
        out.put("place", o.place().id());
        out.set("opens", TriggerJson.writeAll(o.opens()));
        yield Json.with(o.extras(), out);
      }
    };
  }

  private static ObjectNode write(Device.Cap k) {
    ObjectNode out = Json.object().put("id", k.id());
    text("label", k.label(), out);
    LibraryJson.putNumber(out, "x", k.x());
    LibraryJson.putNumber(out, "y", k.y());
    if (k.width() != 1) {
      LibraryJson.putNumber(out, "width", k.width());
    }
    if (k.height() != 1) {
      LibraryJson.putNumber(out, "height", k.height());
    }
    text("usage", k.usage(), out);
    text("before", k.before(), out);
    return out;
  }

  private static ObjectNode write(Device.Knob d) {
    ObjectNode out = Json.object().put("id", d.id());
    text("label", d.label(), out);
    LibraryJson.putNumber(out, "x", d.x());
    LibraryJson.putNumber(out, "y", d.y());
    if (d.push()) {
      out.put("push", true);
    }
    text("usage", d.usage(), out);
    text("pushUsage", d.pushUsage(), out);
    return out;
  }

  private static ObjectNode write(Page page) {
    ObjectNode out = Json.object();
    text("id", page.id(), out);
    text("name", page.name(), out);
    text("colour", page.colour(), out);
    if (!page.faces().isEmpty()) {
      ObjectNode faces = out.putObject("faces");
      page.faces().forEach((key, face) -> faces.set(key, write(face)));
    }
    if (!page.sends().isEmpty()) {
      ObjectNode sends = out.putObject("sends");
      page.sends().forEach((key, what) -> sends.set(key, write(what)));
    }
    return out;
  }

  private static ObjectNode write(Face face) {
    ObjectNode out = Json.object();
    text("label", face.label(), out);
    text("colour", face.colour(), out);
    text("icon", face.icon(), out);
    return out;
  }

  private static void text(String name, String text, ObjectNode out) {
    if (!text.isEmpty()) {
      out.put(name, text);
    }
  }
}
