package foldtwice.desktop.collect;

import foldtwice.collecting.Licence;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Proposals.Proposal;
import foldtwice.desktop.session.Ui;
import foldtwice.fold.Siblings;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.layout.VBox;

/** Above the steps: what could be folded, and that a collected routine was not looked through. */
final class Hints extends VBox {

  private final Chosen chosen;
  private final Consumer<String> toRoutine;
  private List<Proposal> shown = List.of();
  private boolean asksToLook;

  Hints(Chosen chosen, Consumer<String> toRoutine) {
    super(6);
    this.chosen = chosen;
    this.toRoutine = toRoutine;
  }

  /** Shows what there is to say about a routine; true when what had the keys is gone by that. */
  boolean show(Routine of) {
    List<Proposal> about = chosen.session.proposals().about(of.id());
    boolean unseen = !of.origin().seen();
    if (about.equals(shown) && !unseen && !asksToLook) {
      return false;
    }
    boolean keysHere = Parts.hasKeys(this);
    asksToLook = unseen;
    shown = about;
    getChildren()
        .setAll(
            about.stream()
                .map(
                    p ->
                        new ProposalBox(
                            p,
                            chosen.session.now().words(),
                            this::take,
                            chosen.session.proposals()::dismiss))
                .toList());
    if (unseen) {
      getChildren().addFirst(unseen(of));
    }
    return keysHere;
  }

  /** A collected routine does not run before a person has looked through it. */
  private Node unseen(Routine of) {
    VBox box = new VBox(6, Parts.wrapped(Ui.text("unseen.says", of.origin().from()), "costs"));
    Licence licence = Licence.of(of.origin().licence());
    if (licence.hasConditions()) {
      box.getChildren()
          .add(Parts.wrapped(Ui.text("licence." + licence, of.origin().licence()), "soft"));
    }
    box.getChildren()
        .add(
            Parts.button(
                "seen",
                Ui.text("unseen.seen"),
                () ->
                    chosen.put(
                        of.with(of.head().with(of.origin().asSeen())),
                        Ui.text("said.seen", of.name()))));
    box.setId("unseen");
    box.getStyleClass().addAll("said", "costs");
    return box;
  }

  private void take(Proposal proposal) {
    switch (proposal) {
      case Proposal.Loops(Routine.Macro macro, List<Line> folded, int tried) ->
          chosen.put(macro.withSteps(folded), Ui.text("said.folded", macro.name()));
      case Proposal.Family(Siblings.Group group, int tried) -> {
        chosen.session.make(
            Siblings.fold(chosen.session.now().library(), group),
            Ui.text("said.foldedinto", group.members().size(), group.folded().name()));
        toRoutine.accept(group.folded().id());
      }
    }
  }
}
