package foldtwice.desktop.places;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Ui;
import foldtwice.known.Facts;
import foldtwice.place.Application;
import java.util.Collection;
import java.util.Optional;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/**
 * What a program offers; of one that nobody simulates, how much of it is described, and what more
 * would make possible.
 */
final class OffersPane extends VBox {

  private final Session session;

  OffersPane(Session session) {
    super(2);
    this.session = session;
    setId("offers");
  }

  void show(Application application) {
    getChildren().clear();
    Optional<Facts> offered = session.known().program(application.id());
    if (offered.isEmpty()) {
      return;
    }
    Facts f = offered.get();
    if (!f.whole()) {
      getChildren().add(Parts.wrapped(Ui.text("offers.sketched"), "soft"));
    }
    fact("commands", f.menu().size(), Ui.text("places.commands", f.menu().size()), f);
    fact(
        "dialogs",
        f.dialogs().size(),
        listed(f.dialogs().stream().map(Facts.Dialog::title).toList()),
        f);
    fact("settings", f.settings().size(), listed(f.settings().keySet()), f);
    fact("values", f.values().size(), listed(f.values().keySet()), f);
    fact(
        "addons",
        f.actions().size(),
        listed(f.actions().stream().map(Facts.Action::name).toList()),
        f);
  }

  private void fact(String what, int count, String says, Facts f) {
    boolean missing = count == 0 && !f.whole();
    HBox row =
        Parts.fact(
            Ui.text("offers." + what),
            Parts.wrapped(
                missing ? Ui.text("offers." + what + ".missing") : says,
                missing ? "soft" : "plain"));
    row.getStyleClass().add("why-row");
    getChildren().add(row);
  }

  /** Names in a row, or that there are none. */
  static String listed(Collection<String> names) {
    return names.isEmpty() ? Ui.text("places.none") : String.join(", ", names);
  }
}
