package foldtwice.library.file;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.trigger.FileNotation;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.List;

/** Triggers: {@code {"keys": ["ALT+g", "d"]}}, a stroke of the Shortcuts notation each. */
final class TriggerJson {

  private TriggerJson() {}

  static Trigger read(In in) throws FormatException {
    return readKeys(in);
  }

  static Trigger.Keys readKeys(In in) throws FormatException {
    In keys = in.at("keys");
    List<Stroke> strokes =
        keys.list(
            s -> {
              String text = s.text();
              return s.placing(() -> FileNotation.read(text));
            });
    return keys.placing(() -> new Trigger.Keys(strokes));
  }

  static ObjectNode write(Trigger trigger) {
    ObjectNode out = Json.object();
    switch (trigger) {
      case Trigger.Keys(List<Stroke> strokes) -> {
        ArrayNode keys = out.putArray("keys");
        strokes.forEach(s -> keys.add(FileNotation.write(s)));
      }
    }
    return out;
  }

  static JsonNode writeAll(List<Trigger> triggers) {
    ArrayNode out = Json.MAPPER.createArrayNode();
    triggers.forEach(t -> out.add(write(t)));
    return out;
  }
}
