package foldtwice.desktop.frame;

import foldtwice.conflict.Weight;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;

/** Counts, what is going on, and what was done last. */
final class Foot extends HBox {

  private final Session session;
  private final Label bindings = Parts.label("", "number");
  private final Label bindingsWord = Parts.label("");
  private final Label blocks = Parts.label("", "number", "blocks");
  private final Label blocksWord = Parts.label("");
  private final Label costs = Parts.label("", "number", "costs");
  private final Label costsWord = Parts.label("");
  private final Label folds = Parts.label("", "strong");
  private final Label foldsWord = Parts.label("");
  private final HBox foldsBox = new HBox(4, folds, foldsWord);
  private final Label checking = Parts.label(Ui.text("foot.auditing"));
  private final Label recording = Parts.label("", "costs");

  Foot(Session session) {
    this.session = session;
    getStyleClass().add("foot");
    setAlignment(Pos.CENTER_LEFT);
    bindings.setId("foot-bindings");
    folds.setId("foot-folds");
    recording.setId("foot-recording");
    Label said = Parts.label("");
    said.setId("said");
    said.textProperty().bind(session.saidProperty());
    getChildren()
        .addAll(
            new HBox(4, bindings, bindingsWord),
            new HBox(4, blocks, blocksWord),
            new HBox(4, costs, costsWord),
            foldsBox,
            checking,
            recording,
            said);
    session.recorder().heardProperty().addListener((o, a, b) -> showRecording());
    session.proposals().allProperty().addListener((o, a, b) -> showFolds());
    showRecording();
    showFolds();
  }

  void show(Snapshot now) {
    count(bindings, bindingsWord, "foot.bindings", now.library().bindings().size());
    count(blocks, blocksWord, "foot.block", now.count(Weight.BLOCKS));
    count(costs, costsWord, "foot.cost", now.count(Weight.COSTS));
    checking.setVisible(!now.audited()); // its room stays: what is beside it would come and go
  }

  private static void count(Label number, Label word, String key, long many) {
    number.setText(Long.toString(many));
    word.setText(Ui.text(key, many));
  }

  private void showFolds() {
    int many = session.proposals().allProperty().get().size();
    count(folds, foldsWord, "foot.folds", many);
    Parts.there(foldsBox, many > 0);
  }

  /** That a recording is on is seen from every view. */
  private void showRecording() {
    boolean on = session.recorder().isOn();
    recording.setText(on ? Ui.text("record.on", session.recorder().program()) : "");
    Parts.there(recording, on);
  }
}
