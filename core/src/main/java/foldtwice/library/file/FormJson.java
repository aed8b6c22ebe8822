package foldtwice.library.file;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.routine.Condition;
import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Form;
import foldtwice.routine.Kind;
import foldtwice.routine.Line;
import foldtwice.routine.Readout;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Whom;
import foldtwice.text.Refusals;
import foldtwice.trigger.FileNotation;
import foldtwice.trigger.Trigger;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** The parts of steps in files, by their form. Expressions are written in their own notation. */
final class FormJson {

  private static final Set<String> CONDITION =
      Set.of(
          "not",
          "all",
          "any",
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

  private FormJson() {}

  /** The fields a part of this form is written to, where its own is called so. */
  static Set<String> fields(Form<?> form, String name) {
    return switch (form) {
      case Form.ToRead r ->
          Set.of("setting", "adjustable", "indicator", "field", "selected", "clipboard");
      case Form.Selected w -> Set.of("what", "name");
      case Form.Through t -> Set.of("in", "lines", "file");
      default -> Set.of(name);
    };
  }

  /** Reads a part. */
  static Object read(Form<?> form, In in, String name) throws FormatException {
    return switch (form) {
      case Form.Value v -> expr(in.at(name));
      case Form.Values v -> in.at(name).list(FormJson::expr);
      case Form.Text(boolean mayBeEmpty) ->
          new Template(mayBeEmpty ? in.text(name, "") : in.text(name));
      case Form.Texts t -> in.has(name) ? templates(in.at(name)) : List.of();
      case Form.Menu m -> templates(in.at(name));
      case Form.Name n -> in.text(name);
      case Form.Variable v -> in.text(name);
      case Form.Word<?> word -> word(word, in, name);
      case Form.Flag f -> in.flag(name);
      case Form.Keys k -> TriggerJson.readKeys(in);
      case Form.ToRead r -> readable(in);
      case Form.Selected w -> whom(in);
      case Form.Holds h -> condition(in.at(name));
      case Form.Questions q -> questions(in, name);
      case Form.Arguments a -> arguments(in, name);
      case Form.Through t -> items(in);
      case Form.Lines l -> in.list(name, StepJson::line);
    };
  }

  private static <E extends Enum<E>> E word(Form.Word<E> word, In in, String name)
      throws FormatException {
    return in.word(word.type(), name, word.otherwise());
  }

  /** Writes a part. */
  static void write(Form<?> form, Object value, String name, ObjectNode out) {
    switch (form) {
      case Form.Value v -> out.put(name, ExprNotation.write((Expr) value));
      case Form.Values v -> exprs(list(value, Expr.class), out.putArray(name));
      case Form.Text(boolean mayBeEmpty) -> {
        String text = ((Template) value).source();
        if (!mayBeEmpty || !text.isEmpty()) {
          out.put(name, text);
        }
      }
      case Form.Texts t -> {
        List<Template> texts = list(value, Template.class);
        if (!texts.isEmpty()) {
          templates(texts, out.putArray(name));
        }
      }
      case Form.Menu m -> templates(list(value, Template.class), out.putArray(name));
      case Form.Name n -> out.put(name, (String) value);
      case Form.Variable v -> out.put(name, (String) value);
      case Form.Word<?> word -> {
        if (word.always() || value != word.otherwise()) {
          out.put(name, In.word(word.type().cast(value)));
        }
      }
      case Form.Flag f -> {
        if ((Boolean) value) {
          out.put(name, true);
        }
      }
      case Form.Keys k -> {
        ArrayNode strokes = out.putArray(name);
        ((Trigger.Keys) value).strokes().forEach(s -> strokes.add(FileNotation.write(s)));
      }
      case Form.ToRead r -> write((Readout) value, out);
      case Form.Selected s -> {
        switch ((Whom) value) {
          case Whom.Group group -> out.put("what", In.word(group));
          case Whom.Named(Template named) -> out.put("name", named.source());
        }
      }
      case Form.Holds h -> out.set(name, write((Condition) value));
      case Form.Questions q -> {
        List<Step.Question> questions = list(value, Step.Question.class);
        if (!questions.isEmpty()) {
          ArrayNode all = out.putArray(name);
          questions.forEach(one -> all.add(write(one)));
        }
      }
      case Form.Arguments a -> {
        Map<?, ?> arguments = (Map<?, ?>) value;
        if (!arguments.isEmpty()) {
          ObjectNode given = out.putObject(name);
          arguments.forEach((n, e) -> given.put((String) n, ExprNotation.write((Expr) e)));
        }
      }
      case Form.Through t -> {
        switch ((Step.Items) value) {
          case Step.Items.Given(List<Expr> values) -> exprs(values, out.putArray("in"));
          case Step.Items.LinesOf(Expr text) -> out.put("lines", ExprNotation.write(text));
          case Step.Items.LinesOfFile(Template file) -> out.put("file", file.source());
          case Step.Items.Selected() -> {}
        }
      }
      case Form.Lines(boolean mayBeMissing) -> {
        List<Line> lines = list(value, Line.class);
        if (!mayBeMissing || !lines.isEmpty()) {
          out.set(name, StepJson.lines(lines));
        }
      }
    }
  }

  private static <T> List<T> list(Object value, Class<T> of) {
    return ((List<?>) value).stream().map(of::cast).toList();
  }

  private static void templates(List<Template> templates, ArrayNode list) {
    templates.forEach(t -> list.add(t.source()));
  }

  private static void exprs(List<Expr> values, ArrayNode list) {
    values.forEach(v -> list.add(ExprNotation.write(v)));
  }

  private static ObjectNode write(Step.Question q) {
    ObjectNode question = Json.object().put("name", q.variable());
    RoutineJson.write(q.kind(), question);
    question.put("default", ExprNotation.write(q.otherwise()));
    if (!q.offered().isEmpty()) {
      ArrayNode offered = question.putArray("offered");
      q.offered().forEach(v -> offered.add(v.shown()));
    }
    if (q.kept()) {
      question.put("kept", true);
    }
    return question;
  }

  private static List<Template> templates(In in) throws FormatException {
    return in.list(m -> new Template(m.text()));
  }

  private static Expr expr(In in) throws FormatException {
    String text = in.text();
    return in.placing(() -> ExprNotation.read(text));
  }

  private static Map<String, Expr> arguments(In in, String name) throws FormatException {
    Map<String, Expr> arguments = new LinkedHashMap<>();
    for (var e : in.fields(name).entrySet()) {
      arguments.put(e.getKey(), expr(e.getValue()));
    }
    return arguments;
  }

  private static List<Step.Question> questions(In in, String name) throws FormatException {
    return in.list(name, q -> q.part(RoutineJson.QUESTION, question(q), FormJson::write));
  }

  private static Step.Question question(In q) throws FormatException {
    Kind kind = RoutineJson.kind(q);
    return new Step.Question(
        q.text("name"),
        kind,
        expr(q.at("default")),
        q.list("offered", v -> RoutineJson.value(v, kind)),
        q.flag("kept"));
  }

  private static Step.Items items(In in) throws FormatException {
    if (in.has("in")) {
      return new Step.Items.Given(in.at("in").list(FormJson::expr));
    }
    if (in.has("file")) {
      return new Step.Items.LinesOfFile(new Template(in.text("file")));
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
          throw in.at("selected").fault(Refusals.says("library.expected-count-or-text", selected));
    };
  }

  private static Condition condition(In in) throws FormatException {
    return in.part(CONDITION, conditionOf(in), FormJson::write);
  }

  private static Condition conditionOf(In in) throws FormatException {
    if (in.has("not")) {
      return new Condition.Not(condition(in.at("not")));
    }
    if (in.has("all")) {
      return several(in.at("all"), Condition.All::new);
    }
    if (in.has("any")) {
      return several(in.at("any"), Condition.Any::new);
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

  private static Condition several(
      In in, java.util.function.Function<List<Condition>, Condition> together)
      throws FormatException {
    List<Condition> of = in.list(FormJson::condition);
    return in.placing(() -> together.apply(of));
  }

  private static ArrayNode write(List<Condition> conditions) {
    ArrayNode all = Json.MAPPER.createArrayNode();
    conditions.forEach(c -> all.add(write(c)));
    return all;
  }

  private static void write(Readout what, ObjectNode to) {
    switch (what) {
      case Readout.Setting(String name) -> to.put("setting", name);
      case Readout.Adjustable(String name) -> to.put("adjustable", name);
      case Readout.Indicator(String name) -> to.put("indicator", name);
      case Readout.Field(String label) -> to.put("field", label);
      case Readout.Of.SELECTED_COUNT -> to.put("selected", "count");
      case Readout.Of.SELECTED_TEXT -> to.put("selected", "text");
      case Readout.Of.CLIPBOARD -> to.put("clipboard", true);
    }
  }

  private static ObjectNode write(Condition condition) {
    ObjectNode to = Json.object();
    switch (condition) {
      case Condition.Compare(Expr left, Condition.Relation relation, Expr right) ->
          to.put("left", ExprNotation.write(left))
              .put("relation", In.word(relation))
              .put("right", ExprNotation.write(right));
      case Condition.Reads(Readout what, Condition.Relation relation, Expr value) -> {
        write(what, to);
        to.put("relation", In.word(relation)).put("value", ExprNotation.write(value));
      }
      case Condition.SomethingSelected() -> to.put("somethingSelected", true);
      case Condition.Ticked(List<Template> menu) -> templates(menu, to.putArray("ticked"));
      case Condition.VersionAtLeast(String version) -> to.put("versionAtLeast", version);
      case Condition.DialogOpen(String title) -> to.put("dialogOpen", title);
      case Condition.InFront(String application) -> to.put("inFront", application);
      case Condition.Not(Condition of) -> to.set("not", write(of));
      case Condition.All(List<Condition> of) -> to.set("all", write(of));
      case Condition.Any(List<Condition> of) -> to.set("any", write(of));
    }
    return to;
  }
}
