package foldtwice.desktop.collect;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Proposals.Proposal;
import foldtwice.desktop.session.Ui;
import foldtwice.fold.Siblings;
import foldtwice.outline.Outline;
import foldtwice.routine.Line;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.words.StepWords;
import foldtwice.words.Words;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** A fold that is proposed: what it would make, before it is taken. */
final class ProposalBox extends VBox {

  ProposalBox(
      Proposal proposal, Words words, Consumer<Proposal> onTake, Consumer<Proposal> onDismiss) {
    setId("proposal");
    getStyleClass().addAll("said", "proposal");
    setSpacing(6);
    VBox after = new VBox(2);
    after.setId("proposal-after");
    Parts.there(after, false);
    switch (proposal) {
      case Proposal.Loops loops -> {
        getChildren()
            .add(
                Parts.wrapped(
                    Ui.text(
                        "fold.loops",
                        Line.count(loops.macro().steps()),
                        Line.count(loops.folded())),
                    "strong"));
        lines(loops.folded(), words, after);
        after
            .getChildren()
            .add(Parts.wrapped(Ui.text("fold.measure", loops.before(), loops.after()), "soft"));
      }
      case Proposal.Family(Siblings.Group group, int tried) -> {
        getChildren()
            .add(
                Parts.wrapped(
                    Ui.text(
                        "fold.family",
                        group.members().size(),
                        group.members().stream()
                            .map(Routine::name)
                            .collect(Collectors.joining(", "))),
                    "strong"));
        family(group, words, after);
      }
    }
    Button see = Parts.button("fold-see", Ui.text("fold.see"), () -> {}, "link");
    see.setOnAction(
        e -> {
          Parts.there(after, !after.isVisible());
          see.setText(Ui.text(after.isVisible() ? "fold.hide" : "fold.see"));
        });
    getChildren().add(Parts.wrapped(Ui.text("fold.tried", proposal.tried()), "good"));
    getChildren()
        .addAll(
            after,
            new FlowPane(
                8,
                4,
                Parts.button(
                    "fold-take", Ui.text("fold.take"), () -> onTake.accept(proposal), "main"),
                see,
                Parts.button(
                    "fold-dismiss",
                    Ui.text("fold.dismiss"),
                    () -> onDismiss.accept(proposal),
                    "link")));
  }

  private static void lines(List<Line> lines, Words words, VBox into) {
    for (Outline.Row row : Outline.rows(lines)) {
      into.getChildren()
          .add(
              Parts.wrapped(
                  row.number()
                      + "  "
                      + StepWords.verb(row.line().step())
                      + " "
                      + words.step(row.line().step()),
                  "mono"));
    }
  }

  /** What stays, what becomes a parameter, and what each member gives it. */
  private static void family(Siblings.Group group, Words words, VBox into) {
    if (group.folded() instanceof Routine.Macro m) {
      lines(m.steps(), words, into);
    }
    for (Parameter p : group.added()) {
      into.getChildren()
          .add(Parts.wrapped(Ui.text("fold.parameter", p.name(), p.kind().allowed()), "soft"));
      for (Routine member : group.members()) {
        into.getChildren()
            .add(
                Parts.fact(
                    member.name(),
                    Parts.label(
                        group.arguments().get(member.id()).get(p.name()).shown(), "argument")));
      }
    }
  }
}
