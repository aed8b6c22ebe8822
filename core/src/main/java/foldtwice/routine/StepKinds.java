package foldtwice.routine;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** Every kind of step there is, in the order in which they are told. */
public final class StepKinds {

  private static final Form<Expr> VALUE = new Form.Value();
  private static final Form<Template> TEXT = new Form.Text(false);
  private static final Form<String> NAME = new Form.Name();
  private static final Form<String> VARIABLE = new Form.Variable();
  private static final Form<Condition> HOLDS = new Form.Holds();
  private static final Form<List<Line>> LINES = new Form.Lines(false);
  private static final Form<Step.Lasting> LASTING =
      new Form.Word<>(Step.Lasting.class, Step.Lasting.THIS_RUN);
  private static final Form<Step.Edge> EDGE = new Form.Word<>(Step.Edge.class, Step.Edge.REPORT);

  /** All of them. */
  public static final List<StepKind<?>> ALL =
      List.of(
          StepKind.of("choose", Step.Choose.class)
              .part("menu", "", new Form.Menu(), Step.Choose::menuPath)
              .call("choose")
              .made(p -> new Step.Choose(p.at(0))),
          StepKind.of("fill", Step.Fill.class)
              .part("field", "field", NAME, Step.Fill::field)
              .part("value", "with", VALUE, Step.Fill::value)
              .call("fill")
              .made(p -> new Step.Fill(p.at(0), p.at(1))),
          StepKind.of("press", Step.PressButton.class)
              .part("button", "button", NAME, Step.PressButton::label)
              .call("press")
              .made(p -> new Step.PressButton(p.at(0))),
          StepKind.of("read", Step.Read.class)
              .part("what", "", new Form.ToRead(), Step.Read::what)
              .part("variable", "as", VARIABLE, Step.Read::variable)
              .made(p -> new Step.Read(p.at(0), p.at(1))),
          StepKind.of("change", Step.ChangeSetting.class)
              .part("setting", "setting", NAME, Step.ChangeSetting::setting)
              .part("value", "to", VALUE, Step.ChangeSetting::value)
              .part("lasting", "lasting", LASTING, Step.ChangeSetting::lasting)
              .call("change", Map.of("lasting", Step.Lasting.THIS_RUN))
              .call("keep", Map.of("lasting", Step.Lasting.FOR_GOOD))
              .made(p -> new Step.ChangeSetting(p.at(0), p.at(1), p.at(2))),
          StepKind.of("cycle", Step.Cycle.class)
              .part("setting", "setting", NAME, Step.Cycle::setting)
              .part("values", "values", new Form.Values(), Step.Cycle::values)
              .part("lasting", "lasting", LASTING, Step.Cycle::lasting)
              .call("cycle", Map.of("lasting", Step.Lasting.THIS_RUN))
              .call("cycleKeep", Map.of("lasting", Step.Lasting.FOR_GOOD))
              .made(p -> new Step.Cycle(p.at(0), p.at(1), p.at(2))),
          StepKind.of("adjust", Step.Adjust.class)
              .part("adjustable", "value", NAME, Step.Adjust::value)
              .part(
                  "way",
                  "way",
                  new Form.Word<>(Step.Adjusting.class, Step.Adjusting.TO),
                  Step.Adjust::way)
              .part("value", "amount", VALUE, Step.Adjust::to)
              .part("edge", "edge", EDGE, Step.Adjust::edge)
              .call("to", Map.of("way", Step.Adjusting.TO), Map.of("edge", Step.Edge.CLAMP))
              .call("by", Map.of("way", Step.Adjusting.BY), Map.of("edge", Step.Edge.CLAMP))
              .made(p -> new Step.Adjust(p.at(0), p.at(1), p.at(2), p.at(3))),
          StepKind.of("select", Step.Select.class)
              .part("what", "what", new Form.Selected(), Step.Select::whom)
              .part("adding", "besides", new Form.Flag(), Step.Select::adding)
              .part(
                  "edge",
                  "edge",
                  new Form.Word<>(Step.Edge.class, Step.Edge.REPORT, false),
                  Step.Select::edge)
              .call("select", Map.of("adding", false))
              .call("selectToo", Map.of("adding", true))
              .made(p -> new Step.Select(p.at(0), p.at(1), p.at(2))),
          StepKind.of("offset", Step.SelectOffset.class)
              .part("rows", "rows", VALUE, Step.SelectOffset::rows)
              .part("columns", "columns", VALUE, Step.SelectOffset::columns)
              .part("edge", "edge", EDGE, Step.SelectOffset::edge)
              .call("move", Map.of(), Map.of("columns", new Expr.Literal(Value.Amount.of(0))))
              .made(p -> new Step.SelectOffset(p.at(0), p.at(1), p.at(2))),
          StepKind.of("type", Step.TypeText.class)
              .part("text", "text", TEXT, Step.TypeText::text)
              .call("type")
              .made(p -> new Step.TypeText(p.at(0))),
          StepKind.of("keys", Step.PressKeys.class)
              .part("keys", "keys", new Form.Keys(), Step.PressKeys::keys)
              .call("keys")
              .made(p -> new Step.PressKeys(p.at(0))),
          StepKind.of("set", Step.SetVariable.class)
              .part("variable", "name", VARIABLE, Step.SetVariable::name)
              .part("value", "to", VALUE, Step.SetVariable::value)
              .made(p -> new Step.SetVariable(p.at(0), p.at(1))),
          StepKind.of("leave", Step.Leave.class)
              .part(
                  "leaving",
                  "leaving",
                  new Form.Word<>(Step.Leaving.class, Step.Leaving.FINISH),
                  Step.Leave::leaving)
              .call("finish", Map.of("leaving", Step.Leaving.FINISH))
              .call("giveUp", Map.of("leaving", Step.Leaving.GIVE_UP))
              .made(p -> new Step.Leave(p.at(0))),
          StepKind.of("modifiers", Step.Modifiers.class)
              .part(
                  "holding",
                  "holding",
                  new Form.Word<>(Step.Holding.class, Step.Holding.RELEASE),
                  Step.Modifiers::holding)
              .call("release", Map.of("holding", Step.Holding.RELEASE))
              .call("ignore", Map.of("holding", Step.Holding.IGNORE))
              .made(p -> new Step.Modifiers(p.at(0))),
          StepKind.of("again", Step.Again.class).call("again").made(p -> new Step.Again()),
          StepKind.of("capture", Step.Capture.class)
              .part(
                  "area",
                  "area",
                  new Form.Word<>(Step.Area.class, Step.Area.WHOLE),
                  Step.Capture::area)
              .part("file", "file", new Form.Text(true), Step.Capture::file)
              .call("capture")
              .made(p -> new Step.Capture(p.at(0), p.at(1))),
          StepKind.of("run", Step.RunRoutine.class)
              .part("routine", "routine", NAME, Step.RunRoutine::routine)
              .part("arguments", "", new Form.Arguments(), Step.RunRoutine::arguments)
              .call("run")
              .made(p -> new Step.RunRoutine(p.at(0), p.at(1))),
          StepKind.of("start", Step.StartProgram.class)
              .part("application", "program", NAME, Step.StartProgram::application)
              .part("arguments", "", new Form.Texts(), Step.StartProgram::arguments)
              .call("start")
              .made(p -> new Step.StartProgram(p.at(0), p.at(1))),
          StepKind.of("front", Step.BringToFront.class)
              .part("application", "program", NAME, Step.BringToFront::application)
              .call("front")
              .made(p -> new Step.BringToFront(p.at(0))),
          StepKind.of("wait", Step.WaitUntil.class)
              .part("until", "", HOLDS, Step.WaitUntil::condition)
              .part("limit", "at most", VALUE, Step.WaitUntil::limit)
              .made(p -> new Step.WaitUntil(p.at(0), p.at(1))),
          StepKind.of("ask", Step.Ask.class)
              .part("text", "text", TEXT, Step.Ask::text)
              .part("questions", "", new Form.Questions(), Step.Ask::questions)
              .made(p -> new Step.Ask(p.at(0), p.at(1))),
          StepKind.of("pause", Step.Pause.class)
              .part("text", "note", TEXT, Step.Pause::note)
              .part("questions", "", new Form.Questions(), Step.Pause::offers)
              .call("pause", Map.of("questions", List.of()))
              .made(p -> new Step.Pause(p.at(0), p.at(1))),
          StepKind.of("if", Step.If.class)
              .part("if", "", HOLDS, Step.If::condition)
              .part("then", "", LINES, Step.If::then)
              .part("else", "", new Form.Lines(true), Step.If::otherwise)
              .made(p -> new Step.If(p.at(0), p.at(1), p.at(2))),
          StepKind.of("repeat", Step.Repeat.class)
              .part("times", "times", VALUE, Step.Repeat::times)
              .part("steps", "", LINES, Step.Repeat::body)
              .made(p -> new Step.Repeat(p.at(0), p.at(1))),
          StepKind.of("each", Step.ForEach.class)
              .part("variable", "name", VARIABLE, Step.ForEach::variable)
              .part("in", "in", new Form.Through(), Step.ForEach::items)
              .part("steps", "", LINES, Step.ForEach::body)
              .made(p -> new Step.ForEach(p.at(0), p.at(1), p.at(2))),
          StepKind.of("stop", Step.Stop.class)
              .part("reason", "reason", TEXT, Step.Stop::reason)
              .call("stop")
              .made(p -> new Step.Stop(p.at(0))),
          StepKind.of("note", Step.Note.class)
              .part("text", "text", TEXT, Step.Note::text)
              .call("log")
              .made(p -> new Step.Note(p.at(0))));

  private static final Map<Class<?>, StepKind<?>> BY_TYPE = new LinkedHashMap<>();
  private static final Map<String, StepKind<?>> BY_ID = new LinkedHashMap<>();

  static {
    for (StepKind<?> kind : ALL) {
      BY_TYPE.put(kind.type(), kind);
      BY_ID.put(kind.id(), kind);
    }
  }

  private StepKinds() {}

  /** The kind of a step. */
  public static StepKind<?> of(Step step) {
    return BY_TYPE.get(step.getClass());
  }

  /** The kind a file calls so. */
  public static Optional<StepKind<?>> of(String id) {
    return Optional.ofNullable(BY_ID.get(id));
  }

  /** What there is, for a message. */
  public static String ids() {
    return ALL.stream().map(StepKind::id).collect(Collectors.joining(", "));
  }
}
