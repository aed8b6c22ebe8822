package foldtwice.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.library.file.Json;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Owner;
import foldtwice.trigger.FileNotation;
import foldtwice.trigger.Key;
import foldtwice.trigger.Lift;
import foldtwice.trigger.Motion;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Press;
import foldtwice.trigger.Signal;
import foldtwice.trigger.Stroke;
import foldtwice.words.Words;
import java.util.List;

/** Values of the engine as JSON output. */
final class Shown {

  private Shown() {}

  static ObjectNode claim(Words words, Claim claim) {
    ObjectNode out = Json.object();
    switch (claim.owner()) {
      case Owner.Yours(String id) -> out.put("binding", id);
      case Owner.Native(String application, String command) ->
          out.put("native", application + "/" + command);
      case Owner.Menu(String menu) -> out.put("menu", menu);
      case Owner.Key(String device, String page, String key) ->
          out.put("device", device).put("page", page).put("key", key);
      case Owner.Desktop(String what) -> out.put("desktop", what);
    }
    return out.put("name", words.owner(claim.owner()))
        .put("trigger", Notation.write(claim.trigger()))
        .put("place", claim.place().id());
  }

  /** Presses by position, in the notation of files; what is no press in words. */
  static ArrayNode presses(List<Signal> signals) {
    ArrayNode out = Json.object().arrayNode();
    for (Signal s : signals) {
      out.add(
          switch (s) {
            case Press p -> stroke(p);
            case Lift(Press p) -> stroke(p) + " up";
            case Motion(var trigger) -> Notation.write(trigger);
          });
    }
    return out;
  }

  private static String stroke(Press p) {
    return FileNotation.write(new Stroke(p.held(), new Key.At(p.code())));
  }
}
