package foldtwice.desktop.places;

import foldtwice.conflict.Auditor;
import foldtwice.conflict.Conflict;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Background.Lane;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Library;
import foldtwice.library.Resetting;
import foldtwice.resolve.Keymap;
import foldtwice.trigger.Trigger;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What a reset of keys would change and cause, before it is made. */
final class ResetsPane extends VBox {

  private final Session session;
  private final Runnable onClosed;

  /**
   * @param onClosed takes the keys when it is gone
   */
  ResetsPane(Session session, Runnable onClosed) {
    super(4);
    this.session = session;
    this.onClosed = onClosed;
    setId("resets");
  }

  /** Nothing is to be reset any more. */
  void clear() {
    getChildren().clear();
  }

  /** Shows changes of what is called so. */
  void show(Snapshot now, String of, List<Resetting.Change> changes) {
    getChildren().setAll(Parts.label(Ui.text("resets.title", of), "strong"));
    for (Resetting.Change c : changes) {
      HBox row =
          Parts.fact(
              c.command().name(),
              Parts.wrapped(Ui.text("resets.change", words(now, c.now()), words(now, c.then()))));
      row.getStyleClass().add("why-row");
      getChildren().add(row);
    }
    List<Conflict> before = now.allConflicts();
    Library then = Resetting.edit(changes).on(now.library());
    Keymap keymap = Keymap.of(then, now.station());
    VBox caused = new VBox(4);
    getChildren().add(caused);
    session
        .background()
        .once(
            Lane.TRIAL,
            () ->
                Auditor.audit(now.subject().with(then, keymap)).stream()
                    .filter(c -> !before.contains(c))
                    .toList(),
            fresh ->
                fresh.forEach(
                    c ->
                        caused.getChildren().add(Parts.wrapped(now.words().sentence(c), "costs"))));
    Button leave = Parts.button("reset-leave", Ui.text("sets.leave"), this::close);
    getChildren()
        .add(
            new HBox(
                8,
                leave,
                Parts.button(
                    "reset-make",
                    Ui.text("resets.make", changes.size()),
                    () -> {
                      close();
                      session.make(Resetting.edit(changes), Ui.text("said.reset", of));
                    },
                    "main")));
    leave.requestFocus();
  }

  private void close() {
    onClosed.run();
    clear();
  }

  private static String words(Snapshot now, List<Trigger> triggers) {
    return OffersPane.listed(triggers.stream().map(now.words()::trigger).toList());
  }
}
