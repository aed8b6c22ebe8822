package foldtwice.desktop.frame;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Faults;
import foldtwice.desktop.session.Ui;
import java.util.Optional;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.WeakChangeListener;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;

/** Under the strip, when something went wrong that nobody expected: one line, and its details. */
final class FaultBar extends HBox {

  private final Label what = Parts.wrapped("");
  private final ChangeListener<Optional<Faults.Fault>> listener = (o, a, fault) -> show(fault);

  FaultBar(Faults faults) {
    super(12);
    setId("fault");
    getStyleClass().addAll("trouble", "trouble-blocks");
    setAlignment(Pos.CENTER_LEFT);
    what.setId("fault-what");
    HBox.setHgrow(what, Priority.ALWAYS);
    getChildren()
        .addAll(
            what,
            Parts.button(
                "fault-copy",
                Ui.text("fault.copy"),
                () -> faults.lastProperty().get().ifPresent(f -> copy(f.details()))),
            Parts.button("fault-read", Ui.text("fault.read"), faults::read));
    // all windows listen to the same faults: one that is closed must not stay because of it
    faults.lastProperty().addListener(new WeakChangeListener<>(listener));
    show(faults.lastProperty().get());
  }

  private static void copy(String details) {
    ClipboardContent content = new ClipboardContent();
    content.putString(details);
    Clipboard.getSystemClipboard().setContent(content);
  }

  private void show(Optional<Faults.Fault> fault) {
    what.setText(fault.map(Faults.Fault::line).orElse(""));
    Parts.there(this, fault.isPresent());
  }
}
