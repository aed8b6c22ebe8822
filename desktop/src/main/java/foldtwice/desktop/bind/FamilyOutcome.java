package foldtwice.desktop.bind;

import foldtwice.conflict.Advice;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.Weight;
import foldtwice.desktop.parts.KeyCaps;
import foldtwice.desktop.parts.Marks;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Tips;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.family.Series;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** What comes of a family: each member with its trigger, and what speaks against it. */
final class FamilyOutcome extends Leaf {

  private final Button make;
  private final Button apart;
  private final Label says = Parts.wrapped("", "soft");
  private final VBox rows = new VBox();

  FamilyOutcome(Runnable onMake, Runnable onLeave, Runnable onApart) {
    this(
        Parts.button("family-make", Ui.text("family.make", 0), onMake, "main"),
        Parts.button("family-leave", Ui.text("sets.leave"), onLeave),
        Parts.button("family-apart", Ui.text("family.apart"), onApart));
  }

  private FamilyOutcome(Button make, Button leave, Button apart) {
    super("leaf-family", Ui.text("family.comes"), leave, make);
    this.make = make;
    this.apart = apart;
    apart.managedProperty().bind(apart.visibleProperty());
    Tips.on(apart, Ui.text("family.apart.hint"));
    says.setId("family-says");
    rows.setId("family-rows");
    apart.getStyleClass().add("link");
    body(says, rows, apart);
  }

  void open(boolean kept) {
    apart.setVisible(kept);
    wait("");
  }

  void wait(String why) {
    make.setDisable(true);
    rows.getChildren().clear();
    says.setText(why);
  }

  void show(Snapshot now, List<Series.Member> planned) {
    rows.getChildren().clear();
    long bound = planned.stream().filter(m -> !m.binding().triggers().isEmpty()).count();
    long wrong =
        planned.stream()
            .flatMap(m -> m.advice().stream())
            .filter(a -> a.weight().filter(w -> w != Weight.NOTE).isPresent())
            .count();
    make.setDisable(planned.isEmpty());
    make.setText(Ui.text("family.make", planned.size()));
    says.setText(
        planned.isEmpty()
            ? Ui.text("family.nobody")
            : Ui.text("family.summary", bound, planned.size() - bound, wrong));
    planned.forEach(m -> rows.getChildren().add(row(now, m)));
  }

  private static HBox row(Snapshot now, Series.Member m) {
    Node caps =
        m.binding().triggers().isEmpty()
            ? Parts.label(Ui.text("notrigger"), "costs")
            : KeyCaps.of(m.binding().triggers().getFirst(), now.words());
    HBox left = new HBox(caps);
    left.setMinWidth(USE_PREF_SIZE);
    Label name = Parts.wrapped(m.wish().name(), "mono");
    HBox.setHgrow(name, Priority.ALWAYS);
    name.setMaxWidth(Double.MAX_VALUE);
    name.setMinWidth(44);
    Optional<Conflict> worst =
        m.advice().map(Advice::conflicts).flatMap(c -> c.stream().findFirst());
    HBox row = new HBox(8, left, name);
    if (worst.isPresent()) {
      Label brief =
          Parts.wrapped(now.words().brief(worst.get()), Marks.style(worst.get().weight()));
      brief.setPrefWidth(150);
      Tips.on(brief, now.words().sentence(worst.get()));
      row.getChildren().addAll(Marks.of(worst.get().weight()), brief);
    } else if (m.advice().isPresent()) {
      row.getChildren().add(Parts.label(Ui.text("clear"), "soft"));
    }
    row.setAlignment(Pos.CENTER_LEFT);
    row.getStyleClass().add("why-row");
    return row;
  }
}
