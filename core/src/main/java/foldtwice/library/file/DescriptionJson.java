package foldtwice.library.file;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.describe.Description;
import foldtwice.describe.Does;
import foldtwice.describe.DoesNotation;
import foldtwice.describe.Span;
import foldtwice.describe.While;
import foldtwice.place.AddOn;
import foldtwice.place.Labels;
import foldtwice.routine.Kind;
import foldtwice.text.Refusals;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** What is said of a program, as JSON and back. */
final class DescriptionJson {

  private static final Set<String> ALL =
      Set.of(
          "of",
          "language",
          "commands",
          "dialogs",
          "settings",
          "values",
          "things",
          "actions",
          "contexts",
          "labels");
  private static final Set<String> COMMAND =
      Set.of("id", "does", "opens", "onSelection", "addOn", "since", "until");
  private static final Set<String> DIALOG = Set.of("title", "fields", "buttons", "since", "until");
  private static final Set<String> FIELD =
      Set.of("label", "start", "kind", "least", "most", "step", "scale", "options", "unitOf");
  private static final Set<String> BUTTON = Set.of("label", "does", "stays");
  private static final Set<String> SETTING =
      Set.of("name", "options", "start", "fromRestart", "since", "until");
  private static final Set<String> VALUE =
      Set.of("name", "scale", "least", "most", "step", "start", "since", "until");
  private static final Set<String> STATE = Set.of("id", "while");
  private static final Set<String> THING = Set.of("kind", "count", "values");
  private static final Set<String> ACTION =
      Set.of("addOn", "version", "id", "name", "parameters", "contexts", "does");

  private DescriptionJson() {}

  /** One in a library, of an application that is there. */
  static Description of(In in, Set<String> applications) throws FormatException {
    Description read = read(in);
    if (!applications.contains(read.application())) {
      throw in.at("of")
          .fault(Refusals.says("library.there-no-application-describe", read.application()));
    }
    return read;
  }

  static Description read(In in) throws FormatException {
    return new Description(
        in.id("of"),
        in.text("language", ""),
        in.list("commands", DescriptionJson::command),
        in.list("dialogs", DescriptionJson::dialog),
        in.list("settings", DescriptionJson::setting),
        in.list("values", DescriptionJson::value),
        in.list("things", DescriptionJson::thing),
        in.list("actions", DescriptionJson::action),
        in.list("contexts", DescriptionJson::state),
        labels(in),
        in.rest(ALL));
  }

  private static Span span(In in) throws FormatException {
    return new Span(in.text("since", ""), in.text("until", ""));
  }

  private static List<Does> does(In in) throws FormatException {
    return in.list(
        "does",
        one -> {
          String text = one.text();
          return one.placing(() -> DoesNotation.read(text));
        });
  }

  private static Description.Command command(In in) throws FormatException {
    return in.part(
        COMMAND,
        new Description.Command(
            in.id("id"),
            does(in),
            in.text("opens", ""),
            in.flag("onSelection"),
            in.text("addOn", ""),
            span(in)),
        DescriptionJson::write);
  }

  private static Description.Dialog dialog(In in) throws FormatException {
    return in.part(
        DIALOG,
        new Description.Dialog(
            in.text("title"),
            in.list("fields", DescriptionJson::field),
            in.list("buttons", DescriptionJson::button),
            span(in)),
        DescriptionJson::write);
  }

  private static Description.Field field(In in) throws FormatException {
    return in.part(
        FIELD,
        new Description.Field(
            in.text("label"), RoutineJson.kind(in), in.text("start", ""), in.text("unitOf", "")),
        DescriptionJson::write);
  }

  private static Description.Button button(In in) throws FormatException {
    return in.part(
        BUTTON,
        new Description.Button(in.text("label"), does(in), in.flag("stays")),
        DescriptionJson::write);
  }

  private static Description.Setting setting(In in) throws FormatException {
    String name = in.text("name");
    List<String> options = in.list("options", In::text);
    String start = in.text("start", options.isEmpty() ? "" : options.getFirst());
    boolean fromRestart = in.flag("fromRestart");
    Span span = span(in);
    return in.part(
        SETTING,
        in.placing(() -> new Description.Setting(name, options, start, fromRestart, span)),
        DescriptionJson::write);
  }

  private static Description.Adjustable value(In in) throws FormatException {
    String name = in.text("name");
    Kind.Measure range = RoutineJson.measure(in);
    String start = in.text("start", range.least().shown());
    Span span = span(in);
    return in.part(
        VALUE,
        in.placing(
            () ->
                new Description.Adjustable(
                    name, range, Kind.quantity(start, range.least().scale()), span)),
        DescriptionJson::write);
  }

  private static Description.State state(In in) throws FormatException {
    String id = in.id("id");
    In text = in.at("while");
    String holds = in.text("while");
    return in.part(
        STATE,
        text.placing(
            () ->
                new Description.State(
                    id,
                    While.read(holds)
                        .orElseThrow(
                            () ->
                                new IllegalArgumentException(
                                    "expected what is so meanwhile, such as nothing selected")))),
        DescriptionJson::write);
  }

  private static Description.Thing thing(In in) throws FormatException {
    String kind = in.text("kind");
    int count = in.whole("count");
    List<String> values = in.list("values", In::text);
    return in.part(
        THING,
        in.placing(() -> new Description.Thing(kind, count, values)),
        DescriptionJson::write);
  }

  private static Description.Action action(In in) throws FormatException {
    return in.part(
        ACTION,
        new Description.Action(
            new AddOn(in.text("addOn"), in.text("version", "")),
            in.id("id"),
            in.text("name"),
            in.list("parameters", RoutineJson::parameter),
            in.list("contexts", In::text),
            does(in)),
        DescriptionJson::write);
  }

  /** A label in one language. */
  private record Word(String language, String label, String there) {}

  private static final Set<String> WORD = Set.of("language", "label", "there");

  private static List<Labels> labels(In in) throws FormatException {
    Map<String, Map<String, String>> all = new LinkedHashMap<>();
    for (Word w : in.list("labels", DescriptionJson::word)) {
      all.computeIfAbsent(w.language(), l -> new LinkedHashMap<>())
          .putIfAbsent(w.label(), w.there());
    }
    return all.entrySet().stream()
        .map(e -> new Labels(e.getKey(), e.getValue()))
        .filter(l -> !l.words().isEmpty())
        .toList();
  }

  private static Word word(In in) throws FormatException {
    return in.part(
        WORD,
        new Word(in.text("language"), in.text("label"), in.text("there")),
        DescriptionJson::write);
  }

  private static List<Word> words(List<Labels> labels) {
    List<Word> all = new ArrayList<>();
    labels.forEach(
        l -> l.words().forEach((own, there) -> all.add(new Word(l.language(), own, there))));
    return all;
  }

  private static ObjectNode write(Word w) {
    return Json.object()
        .put("language", w.language())
        .put("label", w.label())
        .put("there", w.there());
  }

  static ObjectNode write(Description d) {
    ObjectNode out = Json.object().put("of", d.application());
    text("language", d.language(), out);
    list("commands", d.commands().stream().map(DescriptionJson::write).toList(), out);
    list("dialogs", d.dialogs().stream().map(DescriptionJson::write).toList(), out);
    list("settings", d.settings().stream().map(DescriptionJson::write).toList(), out);
    list("values", d.values().stream().map(DescriptionJson::write).toList(), out);
    list("things", d.things().stream().map(DescriptionJson::write).toList(), out);
    list("actions", d.actions().stream().map(DescriptionJson::write).toList(), out);
    list("contexts", d.states().stream().map(DescriptionJson::write).toList(), out);
    list("labels", words(d.labels()).stream().map(DescriptionJson::write).toList(), out);
    return Json.with(d.extras(), out);
  }

  private static ObjectNode write(Description.Command c) {
    ObjectNode out = Json.object().put("id", c.id());
    does(c.does(), out);
    text("opens", c.opens(), out);
    flag("onSelection", c.onSelection(), out);
    text("addOn", c.addOn(), out);
    return span(c.span(), out);
  }

  private static ObjectNode write(Description.Dialog d) {
    ObjectNode out = Json.object().put("title", d.title());
    list("fields", d.fields().stream().map(DescriptionJson::write).toList(), out);
    list("buttons", d.buttons().stream().map(DescriptionJson::write).toList(), out);
    return span(d.span(), out);
  }

  private static ObjectNode write(Description.Field f) {
    ObjectNode out = Json.object().put("label", f.label());
    RoutineJson.write(f.kind(), out);
    text("start", f.start(), out);
    text("unitOf", f.unitOf(), out);
    return out;
  }

  private static ObjectNode write(Description.Button b) {
    ObjectNode out = Json.object().put("label", b.label());
    does(b.does(), out);
    flag("stays", b.stays(), out);
    return out;
  }

  private static ObjectNode write(Description.Setting s) {
    ObjectNode out = Json.object().put("name", s.name());
    ArrayNode options = out.putArray("options");
    s.options().forEach(options::add);
    out.put("start", s.start());
    flag("fromRestart", s.fromRestart(), out);
    return span(s.span(), out);
  }

  private static ObjectNode write(Description.Adjustable v) {
    ObjectNode out = Json.object().put("name", v.name());
    RoutineJson.write(v.range(), out);
    out.remove("kind"); // they are all amounts on a scale
    out.put("start", v.start().shown());
    return span(v.span(), out);
  }

  private static ObjectNode write(Description.State s) {
    return Json.object().put("id", s.context()).put("while", While.write(s.holds()));
  }

  private static ObjectNode write(Description.Thing t) {
    ObjectNode out = Json.object().put("kind", t.kind()).put("count", t.count());
    if (!t.values().isEmpty()) {
      ArrayNode values = out.putArray("values");
      t.values().forEach(values::add);
    }
    return out;
  }

  private static ObjectNode write(Description.Action a) {
    ObjectNode out = Json.object().put("addOn", a.addOn().name());
    text("version", a.addOn().version(), out);
    out.put("id", a.id()).put("name", a.name());
    list("parameters", a.parameters().stream().map(RoutineJson::write).toList(), out);
    if (!a.contexts().isEmpty()) {
      ArrayNode contexts = out.putArray("contexts");
      a.contexts().forEach(contexts::add);
    }
    does(a.does(), out);
    return out;
  }

  private static void does(List<Does> all, ObjectNode out) {
    if (!all.isEmpty()) {
      ArrayNode does = out.putArray("does");
      all.forEach(d -> does.add(DoesNotation.write(d)));
    }
  }

  private static void list(String name, List<ObjectNode> all, ObjectNode out) {
    if (!all.isEmpty()) {
      out.putArray(name).addAll(new ArrayList<>(all));
    }
  }

  private static void text(String name, String text, ObjectNode out) {
    if (!text.isEmpty()) {
      out.put(name, text);
    }
  }

  private static void flag(String name, boolean yes, ObjectNode out) {
    if (yes) {
      out.put(name, true);
    }
  }

  private static ObjectNode span(Span span, ObjectNode out) {
    text("since", span.since(), out);
    text("until", span.until(), out);
    return out;
  }
}
