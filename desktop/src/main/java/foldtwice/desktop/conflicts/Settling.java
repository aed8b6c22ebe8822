package foldtwice.desktop.conflicts;

import foldtwice.conflict.Audit;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.Weight;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Background.Lane;
import foldtwice.desktop.session.Question;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Edit;
import foldtwice.remedy.Remedies;
import foldtwice.remedy.Remedy;
import foldtwice.standin.StandIns;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/**
 * Many conflicts at once: the remedies of theirs that cause nothing and give nothing up, the one
 * that settles most first, to be looked through and made together.
 */
final class Settling extends VBox {

  private final Session session;
  private final Runnable onClose;
  private final VBox rows = new VBox(8);
  private final Label head = Parts.label("", "title");
  private final Button make;
  private final List<CheckBox> boxes = new ArrayList<>();
  private List<Remedy> found = List.of();
  private final Question<Clean> looking;

  Settling(Session session, Runnable onClose) {
    super(12);
    this.session = session;
    looking = session.background().question(Lane.TRIAL, this::show, head::setText);
    this.onClose = onClose;
    setId("settling");
    getStyleClass().add("collect-middle");
    make = Parts.button("settle-make", "", this::make, "main");
    HBox buttons =
        new HBox(8, Parts.button("settle-leave", Ui.text("sets.leave"), this::leave), make);
    getChildren().addAll(head, Parts.wrapped(Ui.text("settling.hint"), "soft"), rows, buttons);
  }

  /** Looks for those of these conflicts, off the interface thread. */
  void look(List<Conflict> some) {
    found = List.of();
    boxes.clear();
    rows.getChildren().clear();
    make.setDisable(true);
    make.setText(Ui.text("settling.make", 0));
    head.setText(Ui.text("settling.looking", 0, some.size()));
    Supplier<Audit> audit = session.audit(session.now().subject());
    looking.anew(
        asked ->
            new Clean(
                new Remedies(audit.get(), StandIns::around)
                    .clean(
                        some,
                        done -> {
                          asked.tell(
                              () -> head.setText(Ui.text("settling.looking", done, some.size())));
                          return asked.isWanted();
                        }),
                some.size()));
  }

  private void leave() {
    looking.drop();
    onClose.run();
  }

  /** Remedies that cause nothing, and among how many conflicts they were looked for. */
  private record Clean(List<Remedy> remedies, int of) {}

  private void show(Clean clean) {
    List<Remedy> all = clean.remedies();
    found = all;
    head.setText(Ui.text("settling.title", all.size(), clean.of()));
    Snapshot now = session.now();
    for (Remedy r : all) {
      CheckBox box = Skins.on(new CheckBox(now.words().way(r.way())));
      box.setId("settle-" + boxes.size());
      box.setSelected(!movesAnotherPlatform(r, now));
      box.setOnAction(e -> count());
      boxes.add(box);
      VBox row = new VBox(1, box);
      r.solves().forEach(c -> row.getChildren().add(under(now.words().sentence(c), "soft")));
      if (!r.alsoOn().isEmpty()) {
        row.getChildren()
            .add(
                under(
                    RemedyRows.also(r, now.library().stations().size()),
                    box.isSelected() ? "soft" : Weight.COSTS.id()));
      }
      rows.getChildren().add(row);
    }
    count();
    make.requestFocus();
  }

  private static Label under(String text, String style) {
    Label says = Parts.wrapped(text, style);
    says.setPadding(new javafx.geometry.Insets(0, 0, 0, 26));
    return says;
  }

  /** Somebody with other modifiers has it too; it is not for this station to move their keys. */
  private static boolean movesAnotherPlatform(Remedy remedy, Snapshot now) {
    return remedy.alsoOn().stream().anyMatch(s -> s.platform() != now.station().platform());
  }

  private void count() {
    long many = boxes.stream().filter(CheckBox::isSelected).count();
    make.setText(Ui.text("settling.make", many));
    make.setDisable(many == 0 || !session.mayWrite());
  }

  private void make() {
    List<Edit> edits = new ArrayList<>();
    for (int i = 0; i < found.size(); i++) {
      if (boxes.get(i).isSelected()) {
        edits.add(found.get(i).edit());
      }
    }
    onClose.run();
    session.make(new Edit.Together(edits), Ui.text("said.settled", edits.size()));
  }
}
