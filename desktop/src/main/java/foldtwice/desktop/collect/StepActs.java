package foldtwice.desktop.collect;

import foldtwice.desktop.session.Ui;
import foldtwice.library.Edit;
import foldtwice.outline.Outline;
import foldtwice.place.Finding;
import foldtwice.place.NativeCommand;
import foldtwice.reading.Mark;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.words.StepWords;
import foldtwice.words.Words;
import foldtwice.writing.Making;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/** What can be done to the steps of the chosen macro. */
final class StepActs implements OutlineView.Actions {

  private final Chosen chosen;
  private final Consumer<String> onStep;
  private final Consumer<String> onRunTo;

  /**
   * @param onStep hears which step is chosen now
   * @param onRunTo runs to the step of this number
   */
  StepActs(Chosen chosen, Consumer<String> onStep, Consumer<String> onRunTo) {
    this.chosen = chosen;
    this.onStep = onStep;
    this.onRunTo = onRunTo;
  }

  @Override
  public void chooseStep(String number) {
    chosen.chooseStep(number);
    onStep.accept(number);
  }

  /** Adds a step after the chosen one, or at the end. */
  void add(Step added) {
    String at =
        chosen.step().isEmpty()
            ? Integer.toString(chosen.macro().map(m -> m.steps().size()).orElse(0) + 1)
            : Outline.after(chosen.step());
    chosen.chooseStep(at);
    chosen.put(
        lines -> Outline.insert(lines, at, new Line(added)),
        Ui.text(
            "said.added", StepWords.verb(added) + " " + chosen.session.now().words().step(added)));
    onStep.accept(at);
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
    chosen.put(lines -> Outline.move(lines, from, to), Ui.text("said.movedstep", from, to));
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
    String at = chosen.step();
    Optional<Line> line =
        chosen.macro().flatMap(m -> at.isEmpty() ? Optional.empty() : Outline.at(m.steps(), at));
    if (line.isEmpty()) {
      return;
    }
    String said = Ui.text("said.step", at);
    switch (action) {
      case UP ->
          Outline.before(at)
              .ifPresent(
                  to -> {
                    chosen.chooseStep(to);
                    chosen.put(l -> Outline.move(l, at, to), said);
                  });
      case DOWN -> {
        String next = Outline.after(at);
        if (chosen.macro().flatMap(m -> Outline.at(m.steps(), next)).isPresent()) {
          chosen.chooseStep(next);
          chosen.put(l -> Outline.move(l, next, at), said);
        }
      }
      case IN -> {
        chosen.chooseStep("");
        chosen.put(l -> Outline.indent(l, at), said);
      }
      case OUT -> {
        chosen.chooseStep(Outline.around(at).map(Outline::after).orElse(at));
        chosen.put(l -> Outline.outdent(l, at), said);
      }
      case SWITCH -> chosen.put(l -> Outline.change(l, at, x -> x.switchedOn(!x.on())), said);
      case COPY -> chosen.put(l -> Outline.insert(l, Outline.after(at), line.get()), said);
      case REMOVE -> chosen.put(l -> Outline.remove(l, at), Ui.text("said.gone", at));
      case RUN_TO_HERE -> onRunTo.accept(at);
      case STOP_HERE ->
          chosen.macro().ifPresent(m -> chosen.put(l -> DialogStop.turned(m, at), said));
    }
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
