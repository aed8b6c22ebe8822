package foldtwice.desktop.places;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Refill;
import foldtwice.desktop.session.Question;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Ui;
import foldtwice.known.Facts;
import foldtwice.library.Edit;
import foldtwice.place.Application;
import foldtwice.routine.Head;
import foldtwice.routine.Manner;
import foldtwice.routine.Routine;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
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
    Optional<Facts> offered = session.known().program(application.id());
    List<Object> from =
        List.of(
            application,
            new Question.Same(offered.orElse(null)),
            new Question.Same(session.now().library().routines()));
    Refill.by(this, from, () -> fill(application, offered));
  }

  private void fill(Application application, Optional<Facts> offered) {
    getChildren().clear();
    offered.ifPresent(f -> fill(application, f));
  }

  private void fill(Application application, Facts f) {
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
    f.actions().forEach(a -> action(application, a));
  }

  /** What an add-on can do, and whether there is a routine for it. */
  private void action(Application application, Facts.Action action) {
    Optional<Routine> taken =
        session.now().library().routines().values().stream()
            .filter(r -> isOf(r, application, action))
            .findFirst();
    Label from =
        Parts.label((action.from().name() + " " + action.from().version()).strip(), "soft");
    HBox row = new HBox(8, Parts.label(action.name()), from, Parts.gap());
    row.setAlignment(Pos.CENTER_LEFT);
    row.getStyleClass().add("why-row");
    if (taken.isPresent()) {
      row.getChildren().add(Parts.label(Ui.text("offers.taken", taken.get().name()), "soft"));
    } else {
      row.getChildren()
          .add(
              Parts.button(
                  "take-up-" + action.id(),
                  Ui.text("offers.take"),
                  () -> take(application, action),
                  "link"));
    }
    getChildren().add(row);
  }

  private static boolean isOf(Routine routine, Application application, Facts.Action action) {
    return routine instanceof Routine.PluginAction p
        && p.application().equals(application.id())
        && p.addOn().equals(action.from().name())
        && p.action().equals(action.id());
  }

  private void take(Application application, Facts.Action action) {
    Head head =
        Head.of(
                session.freeRoutineId(action.name()),
                action.name(),
                application.id(),
                action.parameters())
            .with(Manner.PLAIN.withAddOns(List.of(action.from())).startingIn(action.contexts()));
    session.make(
        new Edit.PutRoutine(new Routine.PluginAction(head, action.from().name(), action.id())),
        Ui.text("said.newroutine", action.name()));
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
