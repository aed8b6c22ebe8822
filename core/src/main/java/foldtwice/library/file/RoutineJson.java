package foldtwice.library.file;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.routine.Condition;
import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Kind;
import foldtwice.routine.Line;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import java.util.List;
import java.util.Set;

/** Routines, their parameters and their steps. Expressions are written in their own notation. */
final class RoutineJson {

  private static final Set<String> MACRO =
      Set.of("kind", "id", "name", "category", "application", "actsOn", "parameters", "steps");
  private static final Set<String> PARAMETER =
      Set.of("name", "kind", "least", "most", "step", "options", "default");
  private static final Set<String> STEP =
      Set.of(
          "do",
          "menu",
          "field",
          "value",
          "button",
          "setting",
          "variable",
          "lasting",
          "rows",
          "columns",
          "edge",
          "if",
          "then",
          "else",
          "times",
          "steps");

  private RoutineJson() {}

  static Routine read(In in) throws FormatException {
    String kind = in.text("kind");
    if (!kind.equals("macro")) {
      throw in.at("kind").fault("expected macro, found \"" + kind + "\"");
    }
    return new Routine.Macro(
        in.id("id"),
        in.text("name"),
        in.text("category", ""),
        in.id("application"),
        in.text("actsOn", ""),
        List.copyOf(in.byId("parameters", RoutineJson::parameter, Parameter::name).values()),
        in.list("steps", RoutineJson::line),
        in.rest(MACRO));
  }

  private static Parameter parameter(In in) throws FormatException {
    Kind kind = kind(in);
    In otherwise = in.at("default");
    Value value = value(otherwise, kind);
    return new Parameter(in.id("name"), kind, value, in.rest(PARAMETER));
  }

  private static Kind kind(In in) throws FormatException {
    String kind = in.text("kind");
    return switch (kind) {
      case "distance" ->
          new Kind.Distance(length(in.at("least")), length(in.at("most")), length(in.at("step")));
      case "count" -> new Kind.Count(in.whole("least"), in.whole("most"));
      case "text" -> new Kind.Words();
      case "choice" -> new Kind.Choice(in.at("options").list(In::text));
      case "yes-no" -> new Kind.YesNo();
      default ->
          throw in.at("kind")
              .fault(
                  "expected one of distance, count, text, choice, yes-no, found \"" + kind + "\"");
    };
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

  private static Line line(In in) throws FormatException {
    return new Line(step(in), in.rest(STEP));
  }

  private static Step step(In in) throws FormatException {
    String what = in.text("do");
    return switch (what) {
      case "choose" -> new Step.Choose(in.at("menu").list(m -> new Template(m.text())));
      case "fill" -> new Step.Fill(in.text("field"), expr(in.at("value")));
      case "press" -> new Step.PressButton(in.text("button"));
      case "read" -> new Step.ReadSetting(in.text("setting"), in.id("variable"));
      case "change" ->
          new Step.ChangeSetting(
              in.text("setting"),
              expr(in.at("value")),
              in.word(Step.Lasting.class, "lasting", Step.Lasting.THIS_RUN));
      case "select" ->
          new Step.SelectOffset(
              expr(in.at("rows")),
              expr(in.at("columns")),
              in.word(Step.Edge.class, "edge", Step.Edge.REPORT));
      case "set" -> new Step.SetVariable(in.id("variable"), expr(in.at("value")));
      case "if" ->
          new Step.If(
              condition(in.at("if")),
              in.list("then", RoutineJson::line),
              in.list("else", RoutineJson::line));
      case "repeat" -> new Step.Repeat(expr(in.at("times")), in.list("steps", RoutineJson::line));
      default ->
          throw in.at("do")
              .fault(
                  "expected one of choose, fill, press, read, change, select, set, if, repeat, found \""
                      + what
                      + "\"");
    };
  }

  private static Expr expr(In in) throws FormatException {
    String text = in.text();
    return in.placing(() -> ExprNotation.read(text));
  }

  private static Condition condition(In in) throws FormatException {
    if (in.has("setting")) {
      return new Condition.SettingIs(in.text("setting"), expr(in.at("is")));
    }
    if (in.flag("selected")) {
      return new Condition.SomethingSelected();
    }
    return new Condition.Compare(
        expr(in.at("left")),
        in.word(Condition.Relation.class, "relation", Condition.Relation.IS),
        expr(in.at("right")));
  }

  static ObjectNode write(Routine routine) {
    return switch (routine) {
      case Routine.Macro m -> {
        ObjectNode out = Json.object().put("kind", "macro").put("id", m.id()).put("name", m.name());
        out.put("category", m.category()).put("application", m.application());
        out.put("actsOn", m.actsOn());
        ArrayNode parameters = out.putArray("parameters");
        m.parameters().forEach(p -> parameters.add(write(p)));
        out.set("steps", lines(m.steps()));
        yield Json.with(m.extras(), out);
      }
    };
  }

  private static ObjectNode write(Parameter p) {
    ObjectNode out = Json.object().put("name", p.name());
    switch (p.kind()) {
      case Kind.Distance(Value.Length least, Value.Length most, Value.Length step) ->
          out.put("kind", "distance")
              .put("least", least.shown())
              .put("most", most.shown())
              .put("step", step.shown());
      case Kind.Count(long least, long most) ->
          out.put("kind", "count").put("least", (int) least).put("most", (int) most);
      case Kind.Words w -> out.put("kind", "text");
      case Kind.Choice(List<String> options) -> {
        ArrayNode list = out.put("kind", "choice").putArray("options");
        options.forEach(list::add);
      }
      case Kind.YesNo y -> out.put("kind", "yes-no");
    }
    out.put("default", p.otherwise().shown());
    return Json.with(p.extras(), out);
  }

  private static ArrayNode lines(List<Line> lines) {
    ArrayNode out = Json.MAPPER.createArrayNode();
    lines.forEach(l -> out.add(Json.with(l.extras(), write(l.step()))));
    return out;
  }

  private static ObjectNode write(Step step) {
    ObjectNode out = Json.object();
    switch (step) {
      case Step.Choose(List<Template> menu) -> {
        ArrayNode path = out.put("do", "choose").putArray("menu");
        menu.forEach(m -> path.add(m.source()));
      }
      case Step.Fill(String field, Expr value) ->
          out.put("do", "fill").put("field", field).put("value", ExprNotation.write(value));
      case Step.PressButton(String label) -> out.put("do", "press").put("button", label);
      case Step.ReadSetting(String setting, String variable) ->
          out.put("do", "read").put("setting", setting).put("variable", variable);
      case Step.ChangeSetting(String setting, Expr value, Step.Lasting lasting) ->
          out.put("do", "change")
              .put("setting", setting)
              .put("value", ExprNotation.write(value))
              .put("lasting", In.word(lasting));
      case Step.SelectOffset(Expr rows, Expr columns, Step.Edge edge) ->
          out.put("do", "select")
              .put("rows", ExprNotation.write(rows))
              .put("columns", ExprNotation.write(columns))
              .put("edge", In.word(edge));
      case Step.SetVariable(String name, Expr value) ->
          out.put("do", "set").put("variable", name).put("value", ExprNotation.write(value));
      case Step.If(Condition condition, List<Line> then, List<Line> otherwise) -> {
        out.put("do", "if").set("if", write(condition));
        out.set("then", lines(then));
        if (!otherwise.isEmpty()) {
          out.set("else", lines(otherwise));
        }
      }
      case Step.Repeat(Expr times, List<Line> body) ->
          out.put("do", "repeat").put("times", ExprNotation.write(times)).set("steps", lines(body));
    }
    return out;
  }

  private static ObjectNode write(Condition condition) {
    ObjectNode out = Json.object();
    return switch (condition) {
      case Condition.Compare(Expr left, Condition.Relation relation, Expr right) ->
          out.put("left", ExprNotation.write(left))
              .put("relation", In.word(relation))
              .put("right", ExprNotation.write(right));
      case Condition.SettingIs(String setting, Expr value) ->
          out.put("setting", setting).put("is", ExprNotation.write(value));
      case Condition.SomethingSelected() -> out.put("selected", true);
    };
  }
}
