package foldtwice.library.file;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.library.Expected;
import foldtwice.library.PressCheck;
import foldtwice.place.Place;
import foldtwice.text.Refusals;
import foldtwice.trigger.Trigger;
import java.util.List;
import java.util.Set;

/** Checks of presses. What they speak of need not be there any more: the check then fails. */
final class CheckJson {

  private static final Set<String> CHECK =
      Set.of("id", "name", "station", "place", "presses", "expect");
  private static final Set<String> EXPECT =
      Set.of(
          "fires",
          "fails",
          "lacks",
          "does",
          "application",
          "keeps",
          "opens",
          "turns",
          "page",
          "types",
          "undecided",
          "nothing");

  private CheckJson() {}

  static PressCheck read(In in) throws FormatException {
    List<Trigger> presses = in.list("presses", TriggerJson::read);
    if (presses.isEmpty()) {
      throw in.at("presses").fault(Refusals.says("library.expected-at-least-one"));
    }
    return new PressCheck(
        in.id("id"),
        in.text("name", ""),
        in.text("station", ""),
        Place.of(in.text("place")),
        presses,
        in.at("expect").part(EXPECT, expected(in.at("expect")), CheckJson::write),
        in.rest(CHECK));
  }

  private static Expected expected(In in) throws FormatException {
    if (in.has("fires")) {
      return new Expected.Fires(in.text("fires"), !in.flag("fails"));
    }
    if (in.has("lacks")) {
      return new Expected.Lacks(in.text("lacks"));
    }
    if (in.has("does")) {
      return new Expected.Does(in.text("application"), in.text("does"));
    }
    if (in.has("keeps")) {
      return new Expected.Keeps(in.text("keeps"));
    }
    if (in.has("opens")) {
      return new Expected.Opens(in.text("opens"));
    }
    if (in.has("turns")) {
      return new Expected.Turns(in.text("turns"), in.text("page"));
    }
    if (in.has("types")) {
      return new Expected.Types(in.text("types"));
    }
    if (in.has("undecided")) {
      return new Expected.Undecided(in.list("undecided", In::text));
    }
    if (in.flag("nothing")) {
      return new Expected.Nothing();
    }
    throw in.fault(Refusals.says("library.expected-one-fires-lacks"));
  }

  static ObjectNode write(PressCheck check) {
    ObjectNode out = Json.object().put("id", check.id());
    if (!check.name().isEmpty()) {
      out.put("name", check.name());
    }
    if (!check.station().isEmpty()) {
      out.put("station", check.station());
    }
    out.put("place", check.place().id());
    out.set("presses", TriggerJson.writeAll(check.presses()));
    out.set("expect", write(check.expected()));
    return Json.with(check.extras(), out);
  }

  private static ObjectNode write(Expected expected) {
    ObjectNode out = Json.object();
    return switch (expected) {
      case Expected.Fires(String binding, boolean well) -> {
        out.put("fires", binding);
        yield well ? out : out.put("fails", true);
      }
      case Expected.Lacks(String binding) -> out.put("lacks", binding);
      case Expected.Does(String application, String command) ->
          out.put("does", command).put("application", application);
      case Expected.Keeps(String what) -> out.put("keeps", what);
      case Expected.Opens(String menu) -> out.put("opens", menu);
      case Expected.Turns(String device, String page) -> out.put("turns", device).put("page", page);
      case Expected.Types(String text) -> out.put("types", text);
      case Expected.Undecided(List<String> among) -> {
        ArrayNode list = out.putArray("undecided");
        among.forEach(list::add);
        yield out;
      }
      case Expected.Nothing() -> out.put("nothing", true);
    };
  }
}
