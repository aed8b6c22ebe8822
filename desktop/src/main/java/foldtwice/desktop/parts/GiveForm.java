package foldtwice.desktop.parts;

import foldtwice.binding.Binding;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Edit;
import foldtwice.place.Application;
import foldtwice.place.Place;
import foldtwice.routine.Routine;
import foldtwice.trigger.Trigger;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** From a key or a button to what it shall do: what it does already, and a routine to give it. */
public final class GiveForm extends VBox {

  private final Session session;
  private final VBox does = new VBox(3);
  private final RoutineField routines =
      new RoutineField("give-routine", Ui.text("give.routine"), this::named, this::offerPlaces);
  private final ComboBox<Place> places = new ComboBox<>();
  private final Button give;
  private Trigger trigger;

  public GiveForm(Session session) {
    super(6);
    this.session = session;
    does.setId("give-does");
    routines.setPrefWidth(262);
    places.setId("give-place");
    places.setAccessibleText(Ui.text("names.giveplace"));
    places.setPrefWidth(190);
    Parts.shows(places, p -> session.now().library().nameOf(p));
    give = Parts.button("give", Ui.text("give.make"), this::make);
    FlowPane row = new FlowPane(8, 6, routines, places, give);
    row.setAlignment(Pos.CENTER_LEFT);
    getChildren().addAll(does, row);
  }

  /**
   * Shows what a trigger does, wherever it is bound.
   *
   * @param application the only one it can be bound in; empty for any
   */
  public void show(Snapshot now, Trigger of, String application) {
    boolean other = !of.equals(trigger);
    trigger = of;
    if (Parts.hasKeys(does)) {
      routines.focus(); // what had the keys is gone now
    }
    does.getChildren().clear();
    for (Binding b : now.library().bindings().values()) {
      if (b.triggers().contains(of)) {
        HBox row =
            new HBox(
                8,
                Parts.label(now.words().binding(b), "strong"),
                Parts.label(now.words().place(b.place()), "soft"),
                Parts.button(
                    "give-away-" + b.id(), Ui.text("sets.away"), () -> takeAway(b), "link"));
        row.setAlignment(Pos.CENTER_LEFT);
        does.getChildren().add(row);
      }
    }
    if (does.getChildren().isEmpty()) {
      does.getChildren().add(Parts.label(Ui.text("give.nothing"), "soft"));
    }
    if (other) {
      List<Routine> fitting =
          now.library().routines().values().stream()
              .filter(r -> application.isEmpty() || r.application().equals(application))
              .toList();
      routines.offer(fitting);
      places.getItems().clear();
      give.setDisable(true);
    }
  }

  private String named(Routine routine) {
    return Ui.text(
        "give.of",
        routine.name(),
        session.now().library().nameOf(new Place.Whole(routine.application())));
  }

  private void offerPlaces() {
    Optional<Application> of =
        routines.chosen().map(r -> session.now().library().applications().get(r.application()));
    places.getItems().setAll(of.map(Application::places).orElse(List.of()));
    places.getSelectionModel().selectFirst();
    give.setDisable(of.isEmpty());
    give.requestFocus();
  }

  private void make() {
    Place place = places.getValue();
    if (place == null) {
      return;
    }
    Routine routine = routines.chosen().orElseThrow();
    Binding fresh =
        Binding.fresh(session.freeBindingId(), routine.id(), place, List.of(trigger), Map.of());
    session.make(
        new Edit.PutBinding(fresh),
        Ui.text("said.bound", routine.name(), session.now().words().trigger(trigger)));
  }

  private void takeAway(Binding b) {
    List<Trigger> rest = b.triggers().stream().filter(t -> !t.equals(trigger)).toList();
    session.make(
        new Edit.PutBinding(b.withTriggers(rest)),
        Ui.text("said.tookaway", session.now().words().trigger(trigger)));
  }
}
