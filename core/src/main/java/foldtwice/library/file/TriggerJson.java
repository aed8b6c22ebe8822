package foldtwice.library.file;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.text.Refusals;
import foldtwice.trigger.Direction;
import foldtwice.trigger.FileNotation;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Triggers. Keys are {@code {"keys": ["ALT+g", "d"]}}, a stroke of the Shortcuts notation each; the
 * others are named by their first field.
 */
final class TriggerJson {

  private static final Set<String> FIELDS =
      Set.of(
          "keys",
          "held",
          "edge",
          "padKey",
          "device",
          "page",
          "way",
          "dial",
          "turn",
          "gesture",
          "button",
          "pointer",
          "modifiers",
          "radial",
          "choice",
          "toolbar",
          "slot",
          "atStart");

  /** The first fields by which the kinds are told. */
  private static final List<String> KINDS =
      List.of(
          "keys", "held", "padKey", "dial", "gesture", "pointer", "radial", "toolbar", "atStart");

  private TriggerJson() {}

  /** The fields of a trigger, and one more. */
  static Set<String> with(String field) {
    Set<String> more = new HashSet<>(FIELDS);
    more.add(field);
    return Set.copyOf(more);
  }

  static Trigger read(In in) throws FormatException {
    return in.part(FIELDS, of(in), TriggerJson::write);
  }

  private static Trigger of(In in) throws FormatException {
    List<String> kinds = KINDS.stream().filter(in::has).toList();
    if (kinds.size() > 1) {
      throw in.fault(
          Refusals.says("library.expected-trigger-one-kind", String.join(" and ", kinds)));
    }
    if (in.has("keys")) {
      return readKeys(in); // most are
    }
    if (in.has("held")) {
      In held = in.at("held");
      Stroke stroke = held.stroke();
      return new Trigger.Held(stroke, in.word(Trigger.Edge.class, "edge", Trigger.Edge.DOWN));
    }
    if (in.has("padKey")) {
      return new Trigger.PadKey(
          in.id("device"),
          in.text("page", ""),
          in.id("padKey"),
          in.word(Trigger.Duration.class, "way", Trigger.Duration.TAP));
    }
    if (in.has("dial")) {
      return new Trigger.Dial(
          in.id("device"),
          in.text("page", ""),
          in.id("dial"),
          in.word(Trigger.Turn.class, "turn", Trigger.Turn.RIGHT));
    }
    if (in.has("gesture")) {
      In gesture = in.at("gesture");
      List<Direction> strokes = new ArrayList<>(gesture.list(TriggerJson::direction));
      Trigger.PointerButton button = button(in, "button");
      return gesture.placing(() -> new Trigger.Gesture(button, strokes));
    }
    if (in.has("pointer")) {
      return new Trigger.Pointer(
          button(in, "pointer"),
          in.has("modifiers") ? PlaceJson.modifiers(in.at("modifiers")) : Modifiers.NONE);
    }
    if (in.has("radial")) {
      return new Trigger.Radial(in.id("radial"), direction(in.at("choice")));
    }
    if (in.has("toolbar")) {
      String toolbar = in.id("toolbar");
      int slot = in.whole("slot");
      return in.at("slot").placing(() -> new Trigger.Button(toolbar, slot));
    }
    if (in.has("atStart")) {
      return new Trigger.AtStart();
    }
    throw in.expected(Refusals.says("library.one", String.join(", ", KINDS)));
  }

  static Trigger.Keys readKeys(In in) throws FormatException {
    In keys = in.at("keys");
    List<Stroke> strokes = keys.list(In::stroke);
    return keys.placing(() -> new Trigger.Keys(strokes));
  }

  private static Trigger.PointerButton button(In in, String field) throws FormatException {
    return in.word(Trigger.PointerButton.class, field, Trigger.PointerButton.RIGHT);
  }

  static Direction direction(In in) throws FormatException {
    String id = in.text();
    return Direction.of(id)
        .orElseThrow(
            () ->
                in.fault(
                    Refusals.says(
                        "library.expected-one-found",
                        Arrays.stream(Direction.values())
                            .map(Direction::id)
                            .collect(Collectors.joining(", ")),
                        id)));
  }

  static ObjectNode write(Trigger trigger) {
    ObjectNode out = Json.object();
    switch (trigger) {
      case Trigger.Keys(List<Stroke> strokes) -> {
        ArrayNode keys = out.putArray("keys");
        strokes.forEach(s -> keys.add(FileNotation.write(s)));
      }
      case Trigger.Held(Stroke stroke, Trigger.Edge edge) ->
          out.put("held", FileNotation.write(stroke)).put("edge", In.word(edge));
      case Trigger.PadKey(String device, String page, String key, Trigger.Duration way) -> {
        out.put("padKey", key).put("device", device);
        page(page, out);
        out.put("way", In.word(way));
      }
      case Trigger.Dial(String device, String page, String dial, Trigger.Turn turn) -> {
        out.put("dial", dial).put("device", device);
        page(page, out);
        out.put("turn", In.word(turn));
      }
      case Trigger.Gesture(Trigger.PointerButton button, List<Direction> strokes) -> {
        ArrayNode way = out.putArray("gesture");
        strokes.forEach(d -> way.add(d.id()));
        out.put("button", In.word(button));
      }
      case Trigger.Pointer(Trigger.PointerButton button, Modifiers held) -> {
        out.put("pointer", In.word(button));
        if (!held.list().isEmpty()) {
          PlaceJson.write(held, "modifiers", out);
        }
      }
      case Trigger.Radial(String menu, Direction choice) ->
          out.put("radial", menu).put("choice", choice.id());
      case Trigger.Button(String toolbar, int slot) ->
          out.put("toolbar", toolbar).put("slot", slot);
      case Trigger.AtStart() -> out.put("atStart", true);
    }
    return out;
  }

  private static void page(String page, ObjectNode out) {
    if (!page.isEmpty()) {
      out.put("page", page);
    }
  }

  static JsonNode writeAll(List<Trigger> triggers) {
    ArrayNode out = Json.MAPPER.createArrayNode();
    triggers.forEach(t -> out.add(write(t)));
    return out;
  }
}
