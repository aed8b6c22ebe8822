package foldtwice.library.file;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.binding.Family;
import foldtwice.binding.Pattern;
import foldtwice.text.Refusals;
import foldtwice.trigger.FileNotation;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Stroke;
import java.util.List;
import java.util.Set;

/** Families; what a pattern is, its first field tells. */
final class FamilyJson {

  private static final Set<String> FAMILY = Set.of("id", "name", "members", "pattern");
  private static final Set<String> PATTERN =
      Set.of(
          "neighbours",
          "pairs",
          "recall",
          "initials",
          "held",
          "steps",
          "down",
          "coarse",
          "padKeys",
          "page",
          "first");

  private FamilyJson() {}

  static Family read(In in) throws FormatException {
    return new Family(
        in.id("id"),
        in.text("name"),
        in.list("members", In::text),
        in.at("pattern").part(PATTERN, pattern(in.at("pattern")), FamilyJson::write),
        in.rest(FAMILY));
  }

  private static Pattern pattern(In in) throws FormatException {
    if (in.has("neighbours")) {
      return new Pattern.Neighbours(stroke(in.at("neighbours")));
    }
    if (in.has("pairs")) {
      return new Pattern.Pairs(stroke(in.at("pairs")), PlaceJson.modifiers(in.at("recall")));
    }
    if (in.has("initials")) {
      return new Pattern.Initials(
          in.list("initials", FamilyJson::stroke),
          in.has("held") ? PlaceJson.modifiers(in.at("held")) : Modifiers.NONE);
    }
    if (in.has("steps")) {
      return new Pattern.Steps(
          stroke(in.at("steps")), stroke(in.at("down")), PlaceJson.modifiers(in.at("coarse")));
    }
    if (in.has("padKeys")) {
      return new Pattern.PadKeys(in.id("padKeys"), in.text("page", ""), in.id("first"));
    }
    throw in.fault(Refusals.says("library.expected-one-neighbours-pairs"));
  }

  private static Stroke stroke(In in) throws FormatException {
    return in.stroke();
  }

  static ObjectNode write(Family family) {
    ObjectNode out = Json.object().put("id", family.id()).put("name", family.name());
    ArrayNode members = out.putArray("members");
    family.members().forEach(members::add);
    out.set("pattern", write(family.pattern()));
    return Json.with(family.extras(), out);
  }

  private static ObjectNode write(Pattern pattern) {
    ObjectNode out = Json.object();
    switch (pattern) {
      case Pattern.Neighbours(Stroke first) -> out.put("neighbours", FileNotation.write(first));
      case Pattern.Pairs(Stroke first, Modifiers recall) ->
          PlaceJson.write(recall, "recall", out.put("pairs", FileNotation.write(first)));
      case Pattern.Initials(List<Stroke> before, Modifiers held) -> {
        ArrayNode strokes = out.putArray("initials");
        before.forEach(s -> strokes.add(FileNotation.write(s)));
        if (!held.isEmpty()) {
          PlaceJson.write(held, "held", out);
        }
      }
      case Pattern.Steps(Stroke up, Stroke down, Modifiers coarse) ->
          PlaceJson.write(
              coarse,
              "coarse",
              out.put("steps", FileNotation.write(up)).put("down", FileNotation.write(down)));
      case Pattern.PadKeys(String device, String page, String first) -> {
        out.put("padKeys", device);
        if (!page.isEmpty()) {
          out.put("page", page);
        }
        out.put("first", first);
      }
    }
    return out;
  }
}
