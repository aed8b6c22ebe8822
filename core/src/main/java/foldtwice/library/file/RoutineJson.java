package foldtwice.library.file;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.routine.Card;
import foldtwice.routine.Head;
import foldtwice.routine.Kind;
import foldtwice.routine.Manner;
import foldtwice.routine.Origin;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Scale;
import foldtwice.routine.Target;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.routine.Yardstick;
import foldtwice.text.Refusals;
import java.math.BigDecimal;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** Routines and their parameters. */
final class RoutineJson {

  private static final Set<String> FIELDS =
      Set.of(
          "kind",
          "id",
          "name",
          "category",
          "application",
          "actsOn",
          "asking",
          "fromVersion",
          "addOns",
          "startIn",
          "opened",
          "pinned",
          "setAside",
          "off",
          "tags",
          "colour",
          "note",
          "origin",
          "parameters",
          "steps",
          "source",
          "addOn",
          "action",
          "language",
          "text",
          "byHand");
  private static final Set<String> ORIGIN = Set.of("from", "author", "licence", "version", "seen");
  private static final Set<String> MOVE =
      Set.of(
          "move",
          "count",
          "distance",
          "width",
          "levels",
          "of",
          "among",
          "millis",
          "oneIn",
          "moves");
  static final Set<String> PARAMETER =
      Set.of("name", "kind", "least", "most", "step", "scale", "options", "default");

  static final Set<String> QUESTION = new HashSet<>(PARAMETER);

  static {
    QUESTION.addAll(List.of("offered", "kept"));
  }

  private RoutineJson() {}

  /** Reads a routine; one of which something had to be left out is off. */
  static Routine read(In in) throws FormatException {
    int before = in.leftOut();
    Routine whole = routine(in);
    return in.leftOut() == before ? whole : whole.withCard(whole.card().off(true));
  }

  private static Routine routine(In in) throws FormatException {
    String kind = in.text("kind");
    return switch (kind) {
      case "macro" -> new Routine.Macro(head(in), in.list("steps", StepJson::line));
      case "script" -> new Routine.Script(head(in), in.text("source"));
      case "plugin-action" ->
          new Routine.PluginAction(head(in), in.text("addOn"), in.text("action"));
      case "stored-command" ->
          new Routine.Stored(
              head(in),
              in.word(Routine.Stored.Language.class, "language", Routine.Stored.Language.SQL),
              new Template(in.text("text")));
      default ->
          throw in.at("kind").fault(Refusals.says("library.expected-one-macro-script", kind));
    };
  }

  private static Head head(In in) throws FormatException {
    return new Head(
        in.id("id"),
        in.text("name"),
        in.text("category", ""),
        in.id("application"),
        in.word(Target.class, "actsOn", Target.SELECTION),
        List.copyOf(in.byId("parameters", RoutineJson::parameter, Parameter::name).values()),
        new Manner(
            in.word(Manner.Asking.class, "asking", Manner.Asking.NEVER),
            in.text("fromVersion", ""),
            in.list("addOns", PlaceJson::addOn),
            in.list("startIn", In::text),
            in.text("opened", "")),
        new Card(
            in.flag("pinned"),
            in.flag("setAside"),
            in.flag("off"),
            in.list("tags", In::text),
            in.text("colour", ""),
            in.text("note", "")),
        in.has("origin") ? origin(in.at("origin")) : Origin.HERE,
        new Yardstick(in.list("byHand", RoutineJson::move)),
        in.rest(FIELDS));
  }

  private static Origin origin(In in) throws FormatException {
    return in.part(
        ORIGIN,
        new Origin(
            in.text("from", ""),
            in.text("author", ""),
            in.text("licence", ""),
            in.text("version", ""),
            in.flag("seen")),
        RoutineJson::write);
  }

  static Parameter parameter(In in) throws FormatException {
    Kind kind = kind(in);
    if (isEmpty(kind)) {
      throw kind instanceof Kind.Choice
          ? in.at("options").expected(Refusals.says("library.option-or-more"))
          : in.at("least").expected(Refusals.says("library.or-less", in.at("most").found()));
    }
    In otherwise = in.at("default");
    Value value = value(otherwise, kind);
    return new Parameter(in.id("name"), kind, value, in.rest(PARAMETER));
  }

  /** True when no value at all is of a kind. */
  private static boolean isEmpty(Kind kind) {
    return switch (kind) {
      case Kind.Distance(Value.Length least, Value.Length most, var step) ->
          least.compareTo(most) > 0;
      case Kind.Count(long least, long most, var step) -> least > most;
      case Kind.Decimal(BigDecimal least, BigDecimal most, var step) -> least.compareTo(most) > 0;
      case Kind.Measure(Value.Quantity least, Value.Quantity most, var step) ->
          least.compareTo(most) > 0;
      case Kind.Choice(List<String> options) -> options.isEmpty();
      case Kind.Words w -> false;
      case Kind.YesNo y -> false;
      case Kind.KeyPress k -> false;
      case Kind.Colour c -> false;
    };
  }

  static Yardstick.Move move(In in) throws FormatException {
    return in.part(MOVE, moveOf(in), RoutineJson::write);
  }

  private static Yardstick.Move moveOf(In in) throws FormatException {
    String move = in.text("move");
    return switch (move) {
      case "keys" -> new Yardstick.Move.Keys(in.whole("count"), meant(in));
      case "point" ->
          new Yardstick.Move.Point(in.whole("distance"), in.whole("width"), pointed(in));
      case "clicks" -> new Yardstick.Move.Clicks(in.whole("count"));
      case "menu" -> new Yardstick.Move.Menu(in.whole("levels"));
      case "hand" -> new Yardstick.Move.Hand();
      case "wait" -> new Yardstick.Move.Wait(positive(in, "millis"));
      case "choose" -> new Yardstick.Move.Choose(positive(in, "among"));
      case "slip" -> slip(in);
      default -> throw in.at("move").fault(Refusals.says("library.expected-one-keys-point", move));
    };
  }

  private static int positive(In in, String name) throws FormatException {
    int number = in.whole(name);
    if (number < 1) {
      throw in.at(name).expected(Refusals.says("library.whole-number-from"));
    }
    return number;
  }

  private static Yardstick.Meant meant(In in) throws FormatException {
    return in.word(Yardstick.Meant.class, "of", Yardstick.Meant.COMMAND);
  }

  private static Yardstick.Meant pointed(In in) throws FormatException {
    Yardstick.Meant meant = meant(in);
    if (meant == Yardstick.Meant.END) {
      throw in.at("of").expected(Refusals.says("library.command-or-argument"));
    }
    return meant;
  }

  private static Yardstick.Move slip(In in) throws FormatException {
    List<Yardstick.Move> moves = in.list("moves", RoutineJson::move);
    if (moves.stream().anyMatch(m -> m instanceof Yardstick.Move.Slip)) {
      throw in.at("moves").fault(Refusals.says("library.expected-moves-without-slips"));
    }
    return new Yardstick.Move.Slip(positive(in, "oneIn"), moves);
  }

  static Kind kind(In in) throws FormatException {
    String kind = in.text("kind");
    return switch (kind) {
      case "distance" ->
          new Kind.Distance(length(in.at("least")), length(in.at("most")), length(in.at("step")));
      case "count" ->
          new Kind.Count(
              in.whole("least"), in.whole("most"), in.has("step") ? in.whole("step") : 1);
      case "decimal" ->
          new Kind.Decimal(decimal(in.at("least")), decimal(in.at("most")), decimal(in.at("step")));
      case "measure" -> measure(in);
      case "key" -> new Kind.KeyPress();
      case "colour" -> new Kind.Colour();
      case "text" -> new Kind.Words();
      case "choice" -> new Kind.Choice(in.at("options").list(In::text));
      case "yes-no" -> new Kind.YesNo();
      default ->
          throw in.at("kind").fault(Refusals.says("library.expected-one-distance-count", kind));
    };
  }

  /** A range on a scale. */
  static Kind.Measure measure(In in) throws FormatException {
    String scale = in.text("scale");
    Scale known = Scale.of(scale).orElse(null);
    if (known == null) {
      throw in.at("scale")
          .fault(Refusals.says("library.expected-one-found", Scale.symbols(), scale));
    }
    return new Kind.Measure(
        quantity(in.at("least"), known),
        quantity(in.at("most"), known),
        quantity(in.at("step"), known));
  }

  private static BigDecimal decimal(In in) throws FormatException {
    String text = in.text();
    return in.placing(() -> ((Value.Amount) Kind.Decimal.WIDEST.read(text)).amount());
  }

  private static Value.Quantity quantity(In in, Scale scale) throws FormatException {
    String text = in.text();
    return in.placing(() -> Kind.quantity(text, scale));
  }

  private static Value.Length length(In in) throws FormatException {
    String text = in.text();
    return in.placing(() -> Kind.length(text));
  }

  /** An argument as a person would type it. */
  static Value value(In in, Kind kind) throws FormatException {
    String text = in.text();
    return in.placing(() -> kind.read(text));
  }

  static ObjectNode write(Routine routine) {
    Head head = routine.head();
    ObjectNode out = Json.object().put("kind", kind(routine)).put("id", head.id());
    out.put("name", head.name()).put("category", head.category());
    out.put("application", head.application()).put("actsOn", In.word(head.target()));
    write(head.manner(), out);
    write(head.card(), out);
    if (!head.origin().equals(Origin.HERE)) {
      out.set("origin", write(head.origin()));
    }
    ArrayNode parameters = out.putArray("parameters");
    head.parameters().forEach(p -> parameters.add(write(p)));
    switch (routine) {
      case Routine.Macro m -> out.set("steps", StepJson.lines(m.steps()));
      case Routine.Script s -> out.put("source", s.source());
      case Routine.PluginAction p -> out.put("addOn", p.addOn()).put("action", p.action());
      case Routine.Stored c ->
          out.put("language", In.word(c.language())).put("text", c.text().source());
    }
    if (!head.yardstick().moves().isEmpty()) {
      ArrayNode moves = out.putArray("byHand");
      head.yardstick().moves().forEach(move -> moves.add(write(move)));
    }
    return Json.with(head.extras(), out);
  }

  /** The word a file has for the kind of a routine. */
  private static String kind(Routine routine) {
    return switch (routine) {
      case Routine.Macro m -> "macro";
      case Routine.Script s -> "script";
      case Routine.PluginAction p -> "plugin-action";
      case Routine.Stored c -> "stored-command";
    };
  }

  private static ObjectNode write(Origin origin) {
    ObjectNode out = Json.object();
    text("from", origin.from(), out);
    text("author", origin.author(), out);
    text("licence", origin.licence(), out);
    text("version", origin.version(), out);
    flag("seen", origin.seen(), out);
    return out;
  }

  private static void write(Manner manner, ObjectNode out) {
    if (manner.asking() != Manner.Asking.NEVER) {
      out.put("asking", In.word(manner.asking()));
    }
    text("fromVersion", manner.fromVersion(), out);
    if (!manner.addOns().isEmpty()) {
      ArrayNode addOns = out.putArray("addOns");
      manner.addOns().forEach(a -> addOns.add(PlaceJson.write(a)));
    }
    texts("startIn", manner.startIn(), out);
    text("opened", manner.opened(), out);
  }

  private static void write(Card card, ObjectNode out) {
    flag("pinned", card.pinned(), out);
    flag("setAside", card.setAside(), out);
    flag("off", card.off(), out);
    texts("tags", card.tags(), out);
    text("colour", card.colour(), out);
    text("note", card.note(), out);
  }

  private static void flag(String name, boolean yes, ObjectNode out) {
    if (yes) {
      out.put(name, true);
    }
  }

  private static void text(String name, String text, ObjectNode out) {
    if (!text.isEmpty()) {
      out.put(name, text);
    }
  }

  private static void texts(String name, List<String> texts, ObjectNode out) {
    if (!texts.isEmpty()) {
      ArrayNode list = out.putArray(name);
      texts.forEach(list::add);
    }
  }

  static ObjectNode write(Yardstick.Move move) {
    ObjectNode out = Json.object();
    return switch (move) {
      case Yardstick.Move.Keys(int count, var meant) ->
          of(meant, out.put("move", "keys").put("count", count));
      case Yardstick.Move.Point(int distance, int width, var meant) ->
          of(meant, out.put("move", "point").put("distance", distance).put("width", width));
      case Yardstick.Move.Clicks(int count) -> out.put("move", "clicks").put("count", count);
      case Yardstick.Move.Menu(int levels) -> out.put("move", "menu").put("levels", levels);
      case Yardstick.Move.Hand() -> out.put("move", "hand");
      case Yardstick.Move.Choose(int among) -> out.put("move", "choose").put("among", among);
      case Yardstick.Move.Wait(int millis) -> out.put("move", "wait").put("millis", millis);
      case Yardstick.Move.Slip(int oneIn, var moves) -> {
        ArrayNode inside = out.put("move", "slip").put("oneIn", oneIn).putArray("moves");
        moves.forEach(m -> inside.add(write(m)));
        yield out;
      }
    };
  }

  private static ObjectNode of(Yardstick.Meant meant, ObjectNode out) {
    return meant == Yardstick.Meant.COMMAND ? out : out.put("of", In.word(meant));
  }

  static ObjectNode write(Parameter p) {
    ObjectNode out = Json.object().put("name", p.name());
    write(p.kind(), out);
    out.put("default", p.otherwise().shown());
    return Json.with(p.extras(), out);
  }

  static void write(Kind kind, ObjectNode out) {
    switch (kind) {
      case Kind.Distance(Value.Length least, Value.Length most, Value.Length step) ->
          out.put("kind", "distance")
              .put("least", least.shown())
              .put("most", most.shown())
              .put("step", step.shown());
      case Kind.Count(long least, long most, long step) -> {
        out.put("kind", "count").put("least", (int) least).put("most", (int) most);
        if (step != 1) {
          out.put("step", (int) step);
        }
      }
      case Kind.Decimal(var least, var most, var step) ->
          out.put("kind", "decimal")
              .put("least", least.toPlainString())
              .put("most", most.toPlainString())
              .put("step", step.toPlainString());
      case Kind.Measure(var least, var most, var step) ->
          out.put("kind", "measure")
              .put("scale", least.scale().symbol())
              .put("least", least.amount().toPlainString())
              .put("most", most.amount().toPlainString())
              .put("step", step.amount().toPlainString());
      case Kind.Words w -> out.put("kind", "text");
      case Kind.KeyPress k -> out.put("kind", "key");
      case Kind.Colour c -> out.put("kind", "colour");
      case Kind.Choice(List<String> options) -> {
        ArrayNode list = out.put("kind", "choice").putArray("options");
        options.forEach(list::add);
      }
      case Kind.YesNo y -> out.put("kind", "yes-no");
    }
  }
}
