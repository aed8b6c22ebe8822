package foldtwice.library.file;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.routine.Condition;
import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Line;
import foldtwice.routine.Readout;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Whom;
import foldtwice.trigger.FileNotation;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** The steps of macros. Expressions are written in their own notation. */
final class StepJson {

  private static final Set<String> STEP =
      Set.of(
          "do",
          "off",
          "comment",
          "menu",
          "field",
          "value",
          "button",
          "setting",
          "adjustable",
          "indicator",
          "selected",
          "clipboard",
          "variable",
          "lasting",
          "values",
          "way",
          "rows",
          "columns",
          "edge",
          "what",
          "name",
          "adding",
          "text",
          "keys",
          "leaving",
          "holding",
          "area",
          "file",
          "routine",
          "arguments",
          "application",
          "until",
          "limit",
          "questions",
          "if",
          "then",
          "else",
          "times",
          "steps",
          "in",
          "lines",
          "reason");

  private static final Set<String> CONDITION =
      Set.of(
          "not",
          "ticked",
          "versionAtLeast",
          "dialogOpen",
          "inFront",
          "somethingSelected",
          "left",
          "relation",
          "right",
          "setting",
          "adjustable",
          "indicator",
          "field",
          "selected",
          "clipboard",
          "value");

  private static final String KNOWN =
      "choose, fill, press, read, change, cycle, adjust, select, offset, type, keys, set, leave,"
          + " modifiers, again, capture, run, start, front, wait, ask, pause, if, repeat, each,"
          + " stop, note";

  private StepJson() {}

  static Line line(In in) throws FormatException {
    return new Line(step(in), !in.flag("off"), in.text("comment", ""), in.rest(STEP));
  }

  private static Step step(In in) throws FormatException {
    String what = in.text("do");
    return switch (what) {
      case "choose" -> new Step.Choose(templates(in.at("menu")));
      case "fill" -> new Step.Fill(in.text("field"), expr(in.at("value")));
      case "press" -> new Step.PressButton(in.text("button"));
      case "read" -> new Step.Read(readable(in), in.text("variable"));
      case "change" ->
          new Step.ChangeSetting(in.text("setting"), expr(in.at("value")), lasting(in));
      case "cycle" ->
          new Step.Cycle(in.text("setting"), in.at("values").list(StepJson::expr), lasting(in));
      case "adjust" ->
          new Step.Adjust(
              in.text("adjustable"),
              in.word(Step.Way.class, "way", Step.Way.TO),
              expr(in.at("value")),
              edge(in));
      case "select" -> new Step.Select(whom(in), in.flag("adding"));
      case "offset" -> new Step.SelectOffset(expr(in.at("rows")), expr(in.at("columns")), edge(in));
      case "type" -> new Step.TypeText(new Template(in.text("text")));
      case "keys" -> new Step.PressKeys(TriggerJson.readKeys(in));
      case "set" -> new Step.SetVariable(in.text("variable"), expr(in.at("value")));
      case "leave" -> new Step.Leave(in.word(Step.Leaving.class, "leaving", Step.Leaving.FINISH));
      case "modifiers" ->
          new Step.Modifiers(in.word(Step.Holding.class, "holding", Step.Holding.RELEASE));
      case "again" -> new Step.Again();
      case "capture" ->
          new Step.Capture(
              in.word(Step.Area.class, "area", Step.Area.WHOLE), new Template(in.text("file", "")));
      case "run" -> new Step.RunRoutine(in.text("routine"), arguments(in));
      case "start" ->
          new Step.StartProgram(
              in.text("application"),
              in.has("arguments") ? templates(in.at("arguments")) : List.of());
      case "front" -> new Step.BringToFront(in.text("application"));
      case "wait" -> new Step.WaitUntil(condition(in.at("until")), expr(in.at("limit")));
      case "ask" -> new Step.Ask(new Template(in.text("text")), questions(in));
      case "pause" -> new Step.Pause(new Template(in.text("text")), questions(in));
      case "if" ->
          new Step.If(
              condition(in.at("if")),
              in.list("then", StepJson::line),
              in.list("else", StepJson::line));
      case "repeat" -> new Step.Repeat(expr(in.at("times")), in.list("steps", StepJson::line));
      case "each" ->
          new Step.ForEach(in.text("variable"), items(in), in.list("steps", StepJson::line));
      case "stop" -> new Step.Stop(new Template(in.text("reason")));
      case "note" -> new Step.Note(new Template(in.text("text")));
      default -> throw in.at("do").fault("expected one of " + KNOWN + ", found \"" + what + "\"");
    };
  }

  private static Step.Lasting lasting(In in) throws FormatException {
    return in.word(Step.Lasting.class, "lasting", Step.Lasting.THIS_RUN);
  }

  private static Step.Edge edge(In in) throws FormatException {
    return in.word(Step.Edge.class, "edge", Step.Edge.REPORT);
  }

  private static List<Template> templates(In in) throws FormatException {
    return in.list(m -> new Template(m.text()));
  }

  private static Expr expr(In in) throws FormatException {
    String text = in.text();
    return in.placing(() -> ExprNotation.read(text));
  }

  private static Map<String, Expr> arguments(In in) throws FormatException {
    Map<String, Expr> arguments = new LinkedHashMap<>();
    for (var e : in.fields("arguments").entrySet()) {
      arguments.put(e.getKey(), expr(e.getValue()));
    }
    return arguments;
  }

  private static List<Step.Question> questions(In in) throws FormatException {
    return in.list(
        "questions",
        q ->
            q.part(
                RoutineJson.PARAMETER,
                new Step.Question(q.text("name"), RoutineJson.kind(q), expr(q.at("default"))),
                StepJson::write));
  }

  private static Step.Items items(In in) throws FormatException {
    if (in.has("in")) {
      return new Step.Items.Given(in.at("in").list(StepJson::expr));
    }
    return in.has("lines")
        ? new Step.Items.LinesOf(expr(in.at("lines")))
        : new Step.Items.Selected();
  }

  private static Whom whom(In in) throws FormatException {
    return in.has("name")
        ? new Whom.Named(new Template(in.text("name")))
        : in.word(Whom.Group.class, "what", Whom.Group.ALL);
  }

  private static Readout readable(In in) throws FormatException {
    if (in.has("setting")) {
      return new Readout.Setting(in.text("setting"));
    }
    if (in.has("adjustable")) {
      return new Readout.Adjustable(in.text("adjustable"));
    }
    if (in.has("indicator")) {
      return new Readout.Indicator(in.text("indicator"));
    }
    if (in.has("field")) {
      return new Readout.Field(in.text("field"));
    }
    if (in.flag("clipboard")) {
      return Readout.Of.CLIPBOARD;
    }
    String selected = in.text("selected");
    return switch (selected) {
      case "count" -> Readout.Of.SELECTED_COUNT;
      case "text" -> Readout.Of.SELECTED_TEXT;
      default ->
          throw in.at("selected").fault("expected count or text, found \"" + selected + "\"");
    };
  }

  private static Condition condition(In in) throws FormatException {
    return in.part(CONDITION, conditionOf(in), StepJson::write);
  }

  private static Condition conditionOf(In in) throws FormatException {
    if (in.has("not")) {
      return new Condition.Not(condition(in.at("not")));
    }
    if (in.has("ticked")) {
      return new Condition.Ticked(templates(in.at("ticked")));
    }
    if (in.has("versionAtLeast")) {
      return new Condition.VersionAtLeast(in.text("versionAtLeast"));
    }
    if (in.has("dialogOpen")) {
      return new Condition.DialogOpen(in.text("dialogOpen"));
    }
    if (in.has("inFront")) {
      return new Condition.InFront(in.text("inFront"));
    }
    if (in.flag("somethingSelected")) {
      return new Condition.SomethingSelected();
    }
    Condition.Relation relation =
        in.word(Condition.Relation.class, "relation", Condition.Relation.IS);
    return in.has("left")
        ? new Condition.Compare(expr(in.at("left")), relation, expr(in.at("right")))
        : new Condition.Reads(readable(in), relation, expr(in.at("value")));
  }

  static ArrayNode lines(List<Line> lines) {
    ArrayNode out = Json.MAPPER.createArrayNode();
    lines.forEach(l -> out.add(write(l)));
    return out;
  }

  private static ObjectNode write(Line line) {
    ObjectNode out = write(line.step());
    if (!line.on()) {
      out.put("off", true);
    }
    if (!line.comment().isEmpty()) {
      out.put("comment", line.comment());
    }
    return Json.with(line.extras(), out);
  }

  private static ObjectNode write(Step step) {
    ObjectNode out = Json.object();
    Doing to = new Doing(out);
    switch (step) {
      case Step.Choose(List<Template> menu) -> to.step("choose").put("menu", menu);
      case Step.Fill(String field, Expr value) ->
          to.step("fill").put("field", field).put("value", value);
      case Step.PressButton(String label) -> to.step("press").put("button", label);
      case Step.Read(Readout what, String variable) -> {
        write(what, to.step("read"));
        to.put("variable", variable);
      }
      case Step.ChangeSetting(String setting, Expr value, Step.Lasting lasting) ->
          to.step("change").put("setting", setting).put("value", value).put("lasting", lasting);
      case Step.Cycle(String setting, List<Expr> values, Step.Lasting lasting) ->
          to.step("cycle").put("setting", setting).exprs("values", values).put("lasting", lasting);
      case Step.Adjust(String value, Step.Way way, Expr by, Step.Edge edge) ->
          to.step("adjust")
              .put("adjustable", value)
              .put("way", way)
              .put("value", by)
              .put("edge", edge);
      case Step.Select(Whom whom, boolean adding) -> {
        to.step("select");
        switch (whom) {
          case Whom.Group group -> to.put("what", group);
          case Whom.Named(Template name) -> to.put("name", name.source());
        }
        to.flag("adding", adding);
      }
      case Step.SelectOffset(Expr rows, Expr columns, Step.Edge edge) ->
          to.step("offset").put("rows", rows).put("columns", columns).put("edge", edge);
      case Step.TypeText(Template text) -> to.step("type").put("text", text.source());
      case Step.PressKeys(var keys) -> {
        ArrayNode strokes = to.step("keys").out().putArray("keys");
        keys.strokes().forEach(s -> strokes.add(FileNotation.write(s)));
      }
      case Step.SetVariable(String name, Expr value) ->
          to.step("set").put("variable", name).put("value", value);
      case Step.Leave(Step.Leaving leaving) -> to.step("leave").put("leaving", leaving);
      case Step.Modifiers(Step.Holding holding) -> to.step("modifiers").put("holding", holding);
      case Step.Again() -> to.step("again");
      case Step.Capture(Step.Area area, Template file) -> {
        to.step("capture").put("area", area);
        if (!file.source().isEmpty()) {
          to.put("file", file.source());
        }
      }
      case Step.RunRoutine(String routine, Map<String, Expr> arguments) -> {
        to.step("run").put("routine", routine);
        if (!arguments.isEmpty()) {
          ObjectNode given = out.putObject("arguments");
          arguments.forEach((name, value) -> given.put(name, ExprNotation.write(value)));
        }
      }
      case Step.StartProgram(String application, List<Template> arguments) -> {
        to.step("start").put("application", application);
        if (!arguments.isEmpty()) {
          to.put("arguments", arguments);
        }
      }
      case Step.BringToFront(String application) ->
          to.step("front").put("application", application);
      case Step.WaitUntil(Condition condition, Expr limit) -> {
        to.step("wait").out().set("until", write(condition));
        to.put("limit", limit);
      }
      case Step.Ask(Template text, List<Step.Question> questions) ->
          to.step("ask").put("text", text.source()).questions(questions);
      case Step.Pause(Template text, List<Step.Question> offers) ->
          to.step("pause").put("text", text.source()).questions(offers);
      case Step.If(Condition condition, List<Line> then, List<Line> otherwise) -> {
        to.step("if").out().set("if", write(condition));
        out.set("then", lines(then));
        if (!otherwise.isEmpty()) {
          out.set("else", lines(otherwise));
        }
      }
      case Step.Repeat(Expr times, List<Line> body) ->
          to.step("repeat").put("times", times).out().set("steps", lines(body));
      case Step.ForEach(String variable, Step.Items items, List<Line> body) -> {
        to.step("each").put("variable", variable);
        switch (items) {
          case Step.Items.Given(List<Expr> values) -> to.exprs("in", values);
          case Step.Items.LinesOf(Expr text) -> to.put("lines", text);
          case Step.Items.Selected() -> {}
        }
        out.set("steps", lines(body));
      }
      case Step.Stop(Template reason) -> to.step("stop").put("reason", reason.source());
      case Step.Note(Template text) -> to.step("note").put("text", text.source());
    }
    return out;
  }

  private static ObjectNode write(Step.Question q) {
    ObjectNode question = Json.object().put("name", q.variable());
    RoutineJson.write(q.kind(), question);
    return question.put("default", ExprNotation.write(q.otherwise()));
  }

  /** A step being written. */
  private record Doing(ObjectNode out) {

    Doing step(String what) {
      out.put("do", what);
      return this;
    }

    Doing put(String name, String text) {
      out.put(name, text);
      return this;
    }

    Doing put(String name, Expr value) {
      out.put(name, ExprNotation.write(value));
      return this;
    }

    Doing put(String name, Enum<?> word) {
      out.put(name, In.word(word));
      return this;
    }

    Doing put(String name, List<Template> templates) {
      ArrayNode list = out.putArray(name);
      templates.forEach(t -> list.add(t.source()));
      return this;
    }

    Doing exprs(String name, List<Expr> values) {
      ArrayNode list = out.putArray(name);
      values.forEach(v -> list.add(ExprNotation.write(v)));
      return this;
    }

    Doing flag(String name, boolean yes) {
      if (yes) {
        out.put(name, true);
      }
      return this;
    }

    void questions(List<Step.Question> questions) {
      if (questions.isEmpty()) {
        return;
      }
      ArrayNode list = out.putArray("questions");
      questions.forEach(q -> list.add(StepJson.write(q)));
    }
  }

  private static void write(Readout what, Doing to) {
    switch (what) {
      case Readout.Setting(String name) -> to.put("setting", name);
      case Readout.Adjustable(String name) -> to.put("adjustable", name);
      case Readout.Indicator(String name) -> to.put("indicator", name);
      case Readout.Field(String label) -> to.put("field", label);
      case Readout.Of.SELECTED_COUNT -> to.put("selected", "count");
      case Readout.Of.SELECTED_TEXT -> to.put("selected", "text");
      case Readout.Of.CLIPBOARD -> to.flag("clipboard", true);
    }
  }

  private static ObjectNode write(Condition condition) {
    Doing to = new Doing(Json.object());
    switch (condition) {
      case Condition.Compare(Expr left, Condition.Relation relation, Expr right) ->
          to.put("left", left).put("relation", relation).put("right", right);
      case Condition.Reads(Readout what, Condition.Relation relation, Expr value) -> {
        write(what, to);
        to.put("relation", relation).put("value", value);
      }
      case Condition.SomethingSelected() -> to.flag("somethingSelected", true);
      case Condition.Ticked(List<Template> menu) -> to.put("ticked", menu);
      case Condition.VersionAtLeast(String version) -> to.put("versionAtLeast", version);
      case Condition.DialogOpen(String title) -> to.put("dialogOpen", title);
      case Condition.InFront(String application) -> to.put("inFront", application);
      case Condition.Not(Condition of) -> to.out().set("not", write(of));
    }
    return to.out();
  }
}
