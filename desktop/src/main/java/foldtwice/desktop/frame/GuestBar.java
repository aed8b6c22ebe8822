package foldtwice.desktop.frame;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Ui;
import foldtwice.handover.Guest;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;

/** Under the strip, while a kit is put on for a while: which, and the way to take it off. */
final class GuestBar extends HBox {

  private static final DateTimeFormatter WHEN =
      DateTimeFormatter.ofPattern("d MMMM uuuu, HH:mm", Locale.ENGLISH)
          .withZone(ZoneId.systemDefault());

  private final Label what = Parts.wrapped("", "strong");

  GuestBar(Session session) {
    super(12);
    setId("guest");
    getStyleClass().add("trouble");
    setAlignment(Pos.CENTER_LEFT);
    what.setId("guest-what");
    HBox.setHgrow(what, Priority.ALWAYS);
    var off =
        Parts.button(
            "guest-off", Ui.text("act.guest-off.button"), session.guests()::takeOff, "main");
    off.setMinWidth(USE_PREF_SIZE);
    getChildren().addAll(what, off);
    session.guests().guestProperty().addListener((o, a, guest) -> show(guest));
    show(session.guests().guestProperty().get());
  }

  private void show(Optional<Guest> guest) {
    what.setText(guest.map(g -> Ui.text("guest.on", g.kit(), WHEN.format(g.since()))).orElse(""));
    Parts.there(this, guest.isPresent());
  }
}
