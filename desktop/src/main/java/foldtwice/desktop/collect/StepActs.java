package foldtwice.desktop.collect;

import foldtwice.desktop.session.Ui;
import foldtwice.fold.LoopFolder;
import foldtwice.fold.TooLongToFoldException;
import foldtwice.library.Edit;
import foldtwice.outline.Outline;
import foldtwice.outline.Several;
import foldtwice.place.Finding;
import foldtwice.place.NativeCommand;
import foldtwice.reading.Mark;
import foldtwice.routine.Condition;
import foldtwice.routine.Expr;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.words.StepWords;
import foldtwice.words.Words;
import foldtwice.writing.InScope;
import foldtwice.writing.Making;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;

/** What can be done to the steps of the chosen macro. */
final class StepActs implements OutlineView.Actions {

  private static final Expr TWO = new Expr.Literal(Value.Amount.of(2));

  /** Marks the chosen lines while they are followed; nobody writes that into a comment. */
  private static final String CHOSEN = "\u0000chosen";

  private final Chosen chosen;
  private final Consumer<String> onStep;
  private final Consumer<String> onRunTo;
  private final Runnable onLines;
  private final Consumer<String> onBegun;
  private final Copying copying;
  private final Consumer<List<String>> cutting;

  /** Asks where steps go that are copied to another routine. */
  interface Copying {
    void ask(List<Line> lines);
  }

  /**
   * @param onStep hears which step is chosen now
   * @param onRunTo runs to the step of this number
   * @param onLines gives the lines the keys
   * @param onBegun hears the first letters of a step
   * @param cutting cuts the steps of these numbers out
   */
  StepActs(
      Chosen chosen,
      Consumer<String> onStep,
      Consumer<String> onRunTo,
      Runnable onLines,
      Consumer<String> onBegun,
      Copying copying,
      Consumer<List<String>> cutting) {
    this.chosen = chosen;
    this.onStep = onStep;
    this.onRunTo = onRunTo;
    this.onLines = onLines;
    this.onBegun = onBegun;
    this.copying = copying;
    this.cutting = cutting;
  }

  @Override
  public void chooseStep(String number) {
    chosen.chooseStep(number);
    onStep.accept(number);
  }

  @Override
  public void chooseSteps(List<String> numbers) {
    chosen.chooseSteps(numbers);
    onStep.accept(chosen.step());
  }

  @Override
  public void toLines() {
    onLines.run();
  }

  @Override
  public void beginStep(String letters) {
    onBegun.accept(letters);
  }

  /** Adds a step after the chosen one, where nothing stands yet, or at the end. */
  void add(Step added) {
    String at = place();
    chosen.chooseStep(at);
    chosen.put(
        lines -> Outline.insert(lines, at, new Line(added)),
        Ui.text(
            "said.added", StepWords.verb(added) + " " + chosen.session.now().words().step(added)));
    onStep.accept(at);
  }

  /** Where a line that is added goes. */
  private String place() {
    List<Line> lines = lines();
    if (chosen.step().isEmpty()) {
      return Integer.toString(lines.size() + 1);
    }
    return Outline.at(lines, chosen.step()).isEmpty()
        ? chosen.step()
        : Outline.after(Several.outermost(lines, chosen.steps()).getLast());
  }

  private List<Line> lines() {
    return chosen.macro().map(Routine.Macro::steps).orElse(List.of());
  }

  @Override
  public void replace(String number, Line line) {
    chosen.put(lines -> Outline.change(lines, number, l -> line), Ui.text("said.step", number));
  }

  @Override
  public void mend(Mark mark) {
    mark.mended()
        .ifPresent(
            step ->
                chosen.put(
                    lines -> Outline.change(lines, mark.number(), l -> l.with(step)),
                    Ui.text("said.step", mark.number())));
  }

  @Override
  public void move(String from, String to) {
    List<String> moved = chosen.steps().contains(from) ? chosen.steps() : List.of(from);
    chosen.chooseStep("");
    chosen.put(lines -> Several.move(lines, moved, to), Ui.text("said.movedstep", from, to));
  }

  @Override
  public void parameter(Making.Constant constant) {
    chosen
        .macro()
        .ifPresent(
            m ->
                chosen.put(
                    Making.parameter(m, constant, constant.name()),
                    Ui.text("said.parameter", constant.name())));
  }

  @Override
  public void act(StepEditor.Action action) {
    if (chosen.steps().size() > 1) {
      deed(action).ifPresent(this::several);
      return;
    }
    String at = chosen.step();
    Optional<Line> line = at.isEmpty() ? Optional.empty() : Outline.at(lines(), at);
    if (line.isEmpty()) {
      return;
    }
    String said = Ui.text("said.step", at);
    switch (action) {
      case UP -> changed(l -> Several.up(l, List.of(at)), said);
      case DOWN -> changed(l -> Several.down(l, List.of(at)), said);
      case IN -> changed(l -> Outline.indent(l, at), said);
      case OUT -> changed(l -> Outline.outdent(l, at), said);
      case SWITCH -> chosen.put(l -> Outline.change(l, at, x -> x.switchedOn(!x.on())), said);
      case COPY -> chosen.put(l -> Outline.insert(l, Outline.after(at), line.get()), said);
      case REMOVE -> {
        chosen.put(l -> Outline.remove(l, at), Ui.text("said.gone", at));
        near(at);
      }
      case RUN_TO_HERE -> onRunTo.accept(at);
      case STOP_HERE ->
          chosen.macro().ifPresent(m -> chosen.put(l -> DialogStop.turned(m, at), said));
    }
  }

  /** What a key that is made for one step does to several. */
  private Optional<SeveralBar.Deed> deed(StepEditor.Action action) {
    return switch (action) {
      case UP -> Optional.of(SeveralBar.Deed.UP);
      case DOWN -> Optional.of(SeveralBar.Deed.DOWN);
      case IN -> Optional.of(SeveralBar.Deed.IN);
      case OUT -> Optional.of(SeveralBar.Deed.OUT);
      case SWITCH ->
          Optional.of(
              Several.at(lines(), chosen.steps()).stream().anyMatch(Line::on)
                  ? SeveralBar.Deed.OFF
                  : SeveralBar.Deed.ON);
      case COPY -> Optional.of(SeveralBar.Deed.COPY);
      case REMOVE -> Optional.of(SeveralBar.Deed.REMOVE);
      case RUN_TO_HERE, STOP_HERE -> Optional.empty();
    };
  }

  @Override
  public void several(SeveralBar.Deed deed) {
    List<String> all = Several.outermost(lines(), chosen.steps());
    if (all.isEmpty()) {
      return;
    }
    String said = Ui.text("said.steps", all.size());
    switch (deed) {
      case UP -> changed(l -> Several.up(l, all), said);
      case DOWN -> changed(l -> Several.down(l, all), said);
      case IN -> changed(l -> Several.indent(l, all), said);
      case OUT -> changed(l -> Several.outdent(l, all), said);
      case OFF -> chosen.put(l -> Several.change(l, all, x -> x.switchedOn(false)), said);
      case ON -> chosen.put(l -> Several.change(l, all, x -> x.switchedOn(true)), said);
      case COPY ->
          chosen.put(
              l -> Several.insert(l, Outline.after(all.getLast()), Several.at(l, all)), said);
      case REMOVE -> {
        chosen.put(l -> Several.remove(l, all), Ui.text("said.gonemany", all.size()));
        near(all.getFirst());
      }
      case COPY_TO -> copying.ask(Several.at(lines(), all));
      case REPEAT -> around(all, body -> new Step.Repeat(TWO, body));
      case EACH -> around(all, body -> new Step.ForEach(free(), new Step.Items.Selected(), body));
      case IF ->
          around(all, body -> new Step.If(new Condition.SomethingSelected(), body, List.of()));
      case FOLD -> fold(all);
      case CUT_OUT -> cutting.accept(all);
    }
  }

  /** A name no variable has yet. */
  private String free() {
    List<String> taken = chosen.macro().map(m -> InScope.of(m, "")).orElse(List.of());
    String name = Ui.text("several.one");
    for (int i = 2; taken.contains(name); i++) {
      name = Ui.text("several.one") + " " + i;
    }
    return name;
  }

  private void around(List<String> all, Function<List<Line>, Step> step) {
    chosen.chooseStep(all.getFirst());
    chosen.put(l -> Several.around(l, all, step), Ui.text("said.steps", all.size()));
    onStep.accept(chosen.step());
  }

  /** The chosen steps as the loops they come to, if they come to any. */
  private void fold(List<String> all) {
    chosen
        .macro()
        .ifPresent(
            m -> {
              List<Line> lines = Several.at(m.steps(), all);
              try {
                List<Line> folded = LoopFolder.fold(lines, new HashSet<>(InScope.of(m, "")));
                if (folded.equals(lines)) {
                  chosen.session.say(Ui.text("several.nofold"));
                  return;
                }
                chosen.chooseStep(all.getFirst());
                chosen.put(
                    l -> Several.insert(Several.remove(l, all), all.getFirst(), folded),
                    Ui.text("said.folded", m.name()));
                onStep.accept(chosen.step());
              } catch (TooLongToFoldException e) {
                chosen.session.say(Ui.text("several.toolong"));
              }
            });
  }

  /** Changes the lines, with the same ones chosen wherever they are then. */
  private void changed(UnaryOperator<List<Line>> change, String said) {
    List<Line> marked =
        Several.change(lines(), chosen.steps(), l -> l.saying(l.comment() + CHOSEN));
    List<String> numbers =
        Outline.rows(change.apply(marked)).stream()
            .filter(r -> r.line().comment().endsWith(CHOSEN))
            .map(Outline.Row::number)
            .toList();
    chosen.chooseSteps(numbers);
    chosen.put(change, said);
    onStep.accept(chosen.step());
  }

  /** After a step is gone, the one in its place is chosen, or the one before it. */
  private void near(String gone) {
    List<Line> lines = lines();
    String next =
        Outline.at(lines, gone).isPresent()
            ? gone
            : Outline.before(gone).or(() -> Outline.around(gone)).orElse("");
    chosen.chooseStep(next);
    onStep.accept(next);
  }

  // by the clipboard

  private List<Line> clipped = List.of();

  @Override
  public void toClipboard(boolean away) {
    List<Line> lines = Several.at(lines(), chosen.steps());
    if (lines.isEmpty()) {
      return;
    }
    clipped = lines;
    ClipboardContent content = new ClipboardContent();
    content.putString(clippedText());
    Clipboard.getSystemClipboard().setContent(content);
    if (away) {
      several(SeveralBar.Deed.REMOVE);
    } else {
      chosen.session.say(Ui.text("said.stepscopied", lines.size()));
    }
  }

  /** The lines as they read, for other programs. */
  private String clippedText() {
    return Outline.rows(clipped).stream()
        .map(
            r ->
                r.number()
                    + " "
                    + StepWords.verb(r.line().step())
                    + " "
                    + chosen.session.now().words().step(r.line().step()))
        .collect(Collectors.joining("\n"));
  }

  @Override
  public void fromClipboard() {
    boolean ours = clippedText().equals(Clipboard.getSystemClipboard().getString());
    if (clipped.isEmpty() || !ours) {
      chosen.session.say(Ui.text("said.nosteps"));
      return;
    }
    String at = place();
    chosen.chooseStep(at);
    chosen.put(l -> Several.insert(l, at, clipped), Ui.text("said.stepspasted", clipped.size()));
    onStep.accept(at);
  }

  // of commands that are called alike

  /** The command a step chooses, where its menu path is plain. */
  private Optional<NativeCommand> command(Step step) {
    return step instanceof Step.Choose(List<Template> menu)
        ? chosen
            .application()
            .flatMap(a -> a.commandAt(menu.stream().map(Template::source).toList()))
        : Optional.empty();
  }

  /** What a person found out about the command a step chooses. */
  Optional<String> finding(Step step) {
    return command(step).flatMap(Words::finding);
  }

  /** The commands that have the label of the one a step chooses, if there are several. */
  List<NativeCommand> namesakes(Step step) {
    return command(step)
        .flatMap(c -> chosen.application().map(a -> a.namesakes(c)))
        .filter(all -> all.size() > 1)
        .orElse(List.of());
  }

  @Override
  public void found(NativeCommand command, Optional<Finding> finding) {
    chosen
        .macro()
        .map(Routine.Macro::application)
        .ifPresent(
            in ->
                chosen.session.make(
                    new Edit.Find(in, command.id(), finding),
                    Ui.text("said.changed", command.name())));
  }
}
