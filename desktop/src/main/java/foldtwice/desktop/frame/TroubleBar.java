package foldtwice.desktop.frame;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Styles;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Ui;
import foldtwice.library.file.Keeping;
import java.nio.file.Path;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;

/**
 * Under the strip, while something is the matter with the library's file: what, and the ways out.
 */
final class TroubleBar extends HBox {

  private final Session session;
  private final Label what = Parts.wrapped("");
  private final Button again =
      Parts.button("trouble-again", Ui.text("disk.again"), this::again, "main");
  private final Button elsewhere =
      Parts.button("trouble-elsewhere", Ui.text("disk.elsewhere"), this::elsewhere);

  TroubleBar(Session session) {
    super(12);
    this.session = session;
    setId("trouble");
    getStyleClass().add("trouble");
    setAlignment(Pos.CENTER_LEFT);
    what.setId("trouble-what");
    what.setMinHeight(USE_PREF_SIZE);
    HBox.setHgrow(what, Priority.ALWAYS);
    again.setMinWidth(USE_PREF_SIZE);
    elsewhere.setMinWidth(USE_PREF_SIZE);
    getChildren().addAll(what, again, elsewhere);
    session.disk().keepingProperty().addListener((o, a, b) -> show());
    show();
  }

  private void show() {
    String trouble = session.disk().trouble();
    boolean failing = session.disk().keepingProperty().get() instanceof Keeping.NotKept;
    what.setText(trouble);
    Parts.there(again, failing);
    Parts.there(elsewhere, session.mayWrite());
    Styles.set(this, "trouble-blocks", failing);
    Parts.there(this, !trouble.isEmpty());
  }

  /** Tries again to bring to disk what is not there. */
  void again() {
    session.disk().again();
  }

  /** Asks for another file and goes on there. */
  void elsewhere() {
    if (!session.mayWrite()) {
      session.say(session.disk().trouble());
      return;
    }
    Path file = session.store().file();
    session
        .files()
        .fresh(getScene().getWindow(), Ui.text("disk.elsewhere"), file.getFileName().toString())
        .ifPresent(there -> session.disk().moveTo(there, store -> show()));
  }
}
