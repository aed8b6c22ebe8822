package foldtwice.library.file;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.library.Rules;
import foldtwice.place.AddOn;
import foldtwice.place.Application;
import foldtwice.place.Context;
import foldtwice.place.Danger;
import foldtwice.place.Finding;
import foldtwice.place.NativeCommand;
import foldtwice.place.Need;
import foldtwice.place.Place;
import foldtwice.place.Rule;
import foldtwice.place.Station;
import foldtwice.place.WayIn;
import foldtwice.text.Refusals;
import foldtwice.trigger.Layouts;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Platform;
import foldtwice.trigger.Shape;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Applications and stations. */
final class PlaceJson {

  private static final Set<String> APPLICATION =
      Set.of("id", "name", "version", "contexts", "rules", "ways", "commands");
  private static final Set<String> CONTEXT =
      Set.of("id", "name", "groupOnly", "takesText", "byPointer", "inner");
  private static final Set<String> COMMAND =
      Set.of(
          "id",
          "name",
          "group",
          "menu",
          "triggers",
          "defaults",
          "place",
          "usesPerWeek",
          "danger",
          "finding");
  private static final Set<String> WAY =
      Set.of("id", "name", "needs", "passesArguments", "slots", "freeOfRules");
  private static final Set<String> STATION =
      Set.of("id", "name", "layout", "shape", "platform", "reserved", "installed", "devices");

  private static final Set<String> FINDING = Set.of("works", "note");
  private static final Set<String> RULE =
      Set.of("rule", "count", "modifiers", "keysyms", "contexts");
  private static final Set<String> RESERVED = TriggerJson.with("what");
  private static final Set<String> INSTALLED =
      Set.of("application", "version", "addOns", "language");
  private static final Set<String> ADD_ON = Set.of("name", "version");

  private PlaceJson() {}

  static Application application(In in) throws FormatException {
    Application bare =
        new Application(
            in.id("id", Rules::isApplicationId, "an id without a slash, other than everywhere"),
            in.text("name"),
            in.text("version", ""),
            in.list("contexts", PlaceJson::context),
            List.of(),
            in.list("rules", PlaceJson::rule),
            List.copyOf(in.byId("ways", PlaceJson::way, WayIn::id).values()),
            in.rest(APPLICATION));
    Map<String, Place> places = byId(bare.places());
    if (places.size() < bare.places().size()) {
      throw in.at("contexts").fault(Refusals.says("library.two-contexts-one-application"));
    }
    return new Application(
        bare.id(),
        bare.name(),
        bare.version(),
        bare.contexts(),
        List.copyOf(in.byId("commands", c -> command(c, places), NativeCommand::id).values()),
        bare.rules(),
        bare.ways(),
        bare.extras());
  }

  /** Places by their ids, for looking up what fields name. */
  static Map<String, Place> byId(Collection<Place> places) {
    Map<String, Place> byId = new HashMap<>();
    places.forEach(p -> byId.put(p.id(), p));
    return byId;
  }

  /** The place a field names. */
  static Place place(In in, Map<String, Place> known) throws FormatException {
    String id = in.text();
    Place place = known.get(id);
    if (place == null) {
      throw in.fault(Refusals.says("library.expected-everywhere-application-s", id));
    }
    return place;
  }

  private static Context context(In in) throws FormatException {
    return new Context(
        in.id("id", Rules::isContextId, "an id without blanks around it and without a plus"),
        in.text("name"),
        in.list("inner", PlaceJson::context),
        in.flag("groupOnly"),
        in.flag("takesText"),
        in.flag("byPointer"),
        in.rest(CONTEXT));
  }

  private static NativeCommand command(In in, Map<String, Place> places) throws FormatException {
    return new NativeCommand(
        in.id("id"),
        in.text("name"),
        in.text("group", ""),
        in.list("menu", In::text),
        in.list("triggers", TriggerJson::read),
        in.has("defaults") ? Optional.of(in.list("defaults", TriggerJson::read)) : Optional.empty(),
        place(in.at("place"), places),
        in.number("usesPerWeek", 0),
        in.word(Danger.class, "danger", Danger.NONE),
        finding(in),
        in.rest(COMMAND));
  }

  /** The finding an object has, if any. */
  static Optional<Finding> finding(In in) throws FormatException {
    if (!in.has("finding")) {
      return Optional.empty();
    }
    In found = in.at("finding");
    return Optional.of(
        found.part(
            FINDING, new Finding(found.flag("works"), found.text("note", "")), PlaceJson::write));
  }

  private static WayIn way(In in) throws FormatException {
    int slots = in.has("slots") ? in.whole("slots") : 0;
    if (slots < 0) {
      throw in.at("slots").fault(Refusals.says("library.expected-or-more-found", slots));
    }
    return new WayIn(
        in.id("id"),
        in.text("name"),
        in.list("needs", n -> n.word(Need.class)),
        !in.has("passesArguments") || in.flag("passesArguments"),
        slots,
        in.flag("freeOfRules"),
        in.rest(WAY));
  }

  private static ObjectNode write(WayIn way) {
    ObjectNode out = Json.object().put("id", way.id()).put("name", way.name());
    ArrayNode needs = out.putArray("needs");
    way.needs().forEach(n -> needs.add(In.word(n)));
    if (!way.passesArguments()) {
      out.put("passesArguments", false);
    }
    if (way.slots() > 0) {
      out.put("slots", way.slots());
    }
    if (way.freeOfRules()) {
      out.put("freeOfRules", true);
    }
    return Json.with(way.extras(), out);
  }

  private static Rule rule(In in) throws FormatException {
    List<String> contexts = in.has("contexts") ? in.at("contexts").list(In::text) : List.of();
    Rule rule = ruleOf(in);
    return in.part(RULE, contexts.isEmpty() ? rule : new Rule.In(contexts, rule), PlaceJson::write);
  }

  private static Rule ruleOf(In in) throws FormatException {
    String kind = in.text("rule");
    return switch (kind) {
      case "most-strokes" -> new Rule.MostStrokes(in.whole("count"));
      case "holds-one-of" -> new Rule.HoldsOneOf(modifiers(in.at("modifiers")));
      case "always-holds" -> new Rule.AlwaysHolds(modifiers(in.at("modifiers")));
      case "never-holds" -> new Rule.NeverHolds(modifiers(in.at("modifiers")));
      case "never-keys" -> new Rule.NeverKeys(in.at("keysyms").list(In::text));
      default ->
          throw in.at("rule").fault(Refusals.says("library.expected-one-most-strokes", kind));
    };
  }

  static Modifiers modifiers(In in) throws FormatException {
    Modifiers all = Modifiers.NONE;
    for (Modifier m :
        in.list(
            item -> {
              String word = item.text();
              return item.placing(() -> Modifier.valueOf(word));
            })) {
      all = all.with(m);
    }
    return all;
  }

  static Station station(In in) throws FormatException {
    String layout = in.id("layout");
    if (Layouts.of(layout).isEmpty()) {
      throw in.at("layout")
          .fault(
              Refusals.says(
                  "library.expected-one-layouts-found", String.join(", ", Layouts.IDS), layout));
    }
    return new Station(
        in.id("id"),
        in.text("name"),
        layout,
        in.word(Shape.class, "shape", Shape.ISO),
        in.word(Platform.class, "platform", Platform.CONTROL),
        in.list("reserved", PlaceJson::reserved),
        in.list("installed", PlaceJson::installed),
        in.list("devices", In::text),
        in.rest(STATION));
  }

  private static Station.Reserved reserved(In in) throws FormatException {
    return in.part(
        RESERVED,
        new Station.Reserved(TriggerJson.readKeys(in), in.text("what")),
        PlaceJson::write);
  }

  private static ObjectNode write(Station.Reserved reserved) {
    return TriggerJson.write(reserved.trigger()).put("what", reserved.what());
  }

  private static Station.Installed installed(In in) throws FormatException {
    return in.part(
        INSTALLED,
        new Station.Installed(
            in.id("application"),
            in.text("version"),
            in.list("addOns", PlaceJson::addOn),
            in.text("language", "")),
        PlaceJson::write);
  }

  private static ObjectNode write(Station.Installed installed) {
    ObjectNode out = Json.object().put("application", installed.application());
    out.put("version", installed.version());
    if (!installed.addOns().isEmpty()) {
      ArrayNode addOns = out.putArray("addOns");
      installed.addOns().forEach(a -> addOns.add(write(a)));
    }
    if (!installed.language().isEmpty()) {
      out.put("language", installed.language());
    }
    return out;
  }

  static AddOn addOn(In in) throws FormatException {
    return in.part(ADD_ON, new AddOn(in.text("name"), in.text("version", "")), PlaceJson::write);
  }

  static ObjectNode write(AddOn addOn) {
    ObjectNode out = Json.object().put("name", addOn.name());
    if (!addOn.version().isEmpty()) {
      out.put("version", addOn.version());
    }
    return out;
  }

  static ObjectNode write(Application a) {
    ObjectNode out = Json.object().put("id", a.id()).put("name", a.name());
    out.put("version", a.version());
    ArrayNode contexts = out.putArray("contexts");
    a.contexts().forEach(c -> contexts.add(write(c)));
    ArrayNode rules = out.putArray("rules");
    a.rules().forEach(r -> rules.add(write(r)));
    if (!a.ways().isEmpty()) {
      ArrayNode ways = out.putArray("ways");
      a.ways().forEach(w -> ways.add(write(w)));
    }
    ArrayNode commands = out.putArray("commands");
    a.commands().forEach(c -> commands.add(write(c)));
    return Json.with(a.extras(), out);
  }

  private static ObjectNode write(Context c) {
    ObjectNode out = Json.object().put("id", c.id()).put("name", c.name());
    if (c.groupOnly()) {
      out.put("groupOnly", true);
    }
    if (c.takesText()) {
      out.put("takesText", true);
    }
    if (c.byPointer()) {
      out.put("byPointer", true);
    }
    if (!c.inner().isEmpty()) {
      ArrayNode inner = out.putArray("inner");
      c.inner().forEach(i -> inner.add(write(i)));
    }
    return Json.with(c.extras(), out);
  }

  private static ObjectNode write(NativeCommand c) {
    ObjectNode out = Json.object().put("id", c.id()).put("name", c.name()).put("group", c.group());
    ArrayNode menu = out.putArray("menu");
    c.menuPath().forEach(menu::add);
    out.set("triggers", TriggerJson.writeAll(c.triggers()));
    c.defaults().ifPresent(d -> out.set("defaults", TriggerJson.writeAll(d)));
    out.put("place", c.place().id());
    LibraryJson.putNumber(out, "usesPerWeek", c.usesPerWeek());
    if (c.danger() != Danger.NONE) {
      out.put("danger", In.word(c.danger()));
    }
    c.finding().ifPresent(f -> out.set("finding", write(f)));
    return Json.with(c.extras(), out);
  }

  static ObjectNode write(Finding finding) {
    ObjectNode out = Json.object().put("works", finding.works());
    if (!finding.note().isEmpty()) {
      out.put("note", finding.note());
    }
    return out;
  }

  private static ObjectNode write(Rule rule) {
    ObjectNode out = Json.object();
    switch (rule) {
      case Rule.MostStrokes(int count) -> out.put("rule", "most-strokes").put("count", count);
      case Rule.HoldsOneOf(Modifiers m) -> write(m, "modifiers", out.put("rule", "holds-one-of"));
      case Rule.AlwaysHolds(Modifiers m) -> write(m, "modifiers", out.put("rule", "always-holds"));
      case Rule.In(List<String> contexts, Rule of) -> {
        out = write(of);
        contexts.forEach(out.putArray("contexts")::add);
      }
      case Rule.NeverHolds(Modifiers m) -> write(m, "modifiers", out.put("rule", "never-holds"));
      case Rule.NeverKeys(List<String> keysyms) -> {
        ArrayNode list = out.put("rule", "never-keys").putArray("keysyms");
        keysyms.forEach(list::add);
      }
    }
    return out;
  }

  static void write(Modifiers modifiers, String field, ObjectNode out) {
    ArrayNode list = out.putArray(field);
    modifiers.list().forEach(m -> list.add(m.name()));
  }

  static ObjectNode write(Station s) {
    ObjectNode out =
        Json.object().put("id", s.id()).put("name", s.name()).put("layout", s.layout());
    out.put("shape", In.word(s.shape()));
    if (s.platform() != Platform.CONTROL) {
      out.put("platform", In.word(s.platform()));
    }
    ArrayNode reserved = out.putArray("reserved");
    s.reserved().forEach(r -> reserved.add(write(r)));
    if (!s.installed().isEmpty()) {
      ArrayNode installed = out.putArray("installed");
      s.installed().forEach(i -> installed.add(write(i)));
    }
    if (!s.devices().isEmpty()) {
      ArrayNode devices = out.putArray("devices");
      s.devices().forEach(devices::add);
    }
    return Json.with(s.extras(), out);
  }
}
