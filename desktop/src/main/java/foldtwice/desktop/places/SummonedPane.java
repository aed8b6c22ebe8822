package foldtwice.desktop.places;

import foldtwice.desktop.parts.Choices;
import foldtwice.desktop.parts.Faces;
import foldtwice.desktop.parts.GiveForm;
import foldtwice.desktop.parts.OpensForm;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.parts.Tips;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Edit;
import foldtwice.place.Place;
import foldtwice.routine.Routine;
import foldtwice.surface.Face;
import foldtwice.surface.Offering;
import foldtwice.surface.RadialMenu;
import foldtwice.surface.Summoned;
import foldtwice.trigger.Direction;
import foldtwice.trigger.Trigger;
import foldtwice.words.Words;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What comes to the pointer: where, by what, and the choices of a radial menu. */
final class SummonedPane extends VBox {

  private final Session session;
  private final TextField name = Skins.on(new TextField());
  private final ComboBox<Place> place = new ComboBox<>();
  private final OpensForm opens;
  private final GridPane choices = new GridPane(4, 4);
  private final Label of = Parts.label("", "heading");
  private final GiveForm give;
  private final FaceForm face;
  private final VBox choice;
  private final Label lists = Parts.wrapped("", "soft");
  private Summoned shown;
  private Direction chosen = Direction.UP;
  private boolean filling;

  SummonedPane(Session session) {
    super(10);
    this.session = session;
    setId("summoned-pane");
    getStyleClass().add("collect-middle");
    name.setId("summoned-name");
    name.setAccessibleText(Ui.text("names.summoned"));
    name.getStyleClass().add("title-field");
    Parts.onKept(name, this::rename);
    place.setId("summoned-place");
    place.setAccessibleText(Ui.text("summoned.place"));
    Parts.shows(place, p -> session.now().library().nameOf(p));
    Parts.onChosen(place, this::choosePlace);
    HBox where = Parts.fact(Ui.text("summoned.place"), place);
    where.setAlignment(Pos.CENTER_LEFT);
    opens = new OpensForm(session);
    choices.setId("summoned-choices");
    give = new GiveForm(session);
    face = new FaceForm(session, this::face);
    choice = new VBox(10, choices, of, give, face);
    choice.managedProperty().bind(choice.visibleProperty());
    lists.setId("summoned-lists");
    lists.managedProperty().bind(lists.visibleProperty());
    getChildren()
        .addAll(
            name,
            where,
            Parts.label(Ui.text("summoned.opens"), "heading"),
            opens,
            lists,
            choice,
            Parts.button("surface-remove", Ui.text("surface.remove"), this::remove, "link"));
  }

  void show(Snapshot now, Summoned what) {
    if (shown == null || !shown.id().equals(what.id())) {
      chosen = Direction.UP;
    }
    shown = what;
    filling = true;
    Parts.renew(name, what.name());
    place.getItems().setAll(now.library().places());
    Choices.renew(place);
    place.setValue(what.place());
    filling = false;
    opens.show(now, what);
    choice.setVisible(what instanceof RadialMenu);
    lists.setVisible(what instanceof Offering);
    switch (what) {
      case RadialMenu menu -> choices(now, menu);
      case Offering o -> lists(now, o);
    }
  }

  /** How much such a list has to choose from. */
  private void lists(Snapshot now, Offering offering) {
    List<Routine> routines =
        now.library().routines().values().stream()
            .filter(
                r -> offering.place().applicationId().stream().allMatch(r.application()::equals))
            .toList();
    long aside = routines.stream().filter(r -> r.card().setAside()).count();
    long pinned = routines.stream().filter(r -> r.card().pinned()).count();
    lists.setText(Ui.text("summoned.lists", routines.size() - aside, pinned, aside));
  }

  private void choices(Snapshot now, RadialMenu menu) {
    boolean had = Parts.hasKeys(choices);
    Parts.around(choices, d -> choice(now, menu, d));
    if (had) {
      choices.lookup("#choice-" + chosen.id()).requestFocus();
    }
    of.setText(Ui.text("summoned.choice", Words.direction(chosen)));
    give.show(now, new Trigger.Radial(menu.id(), chosen), menu.place().applicationId().orElse(""));
    face.show(menu.face(chosen));
  }

  private Button choice(Snapshot now, RadialMenu menu, Direction d) {
    Face shows = menu.face(d);
    String does = Faces.anywhere(now, new Trigger.Radial(menu.id(), d));
    String otherwise = does.isEmpty() ? Words.direction(d) : does;
    Button button =
        Parts.button(
            "choice-" + d.id(),
            shows.label().isEmpty() ? otherwise : shows.label(),
            () -> {
              chosen = d;
              show(session.now(), shown);
            });
    button.setMinWidth(132);
    button.setMaxWidth(132);
    Tips.on(button, Words.direction(d) + ": " + (does.isEmpty() ? Ui.text("device.free") : does));
    if (d == chosen) {
      button.getStyleClass().add("taken");
    }
    return button;
  }

  private void face(Face shows) {
    if (shown instanceof RadialMenu menu) {
      put(menu.showing(chosen, shows));
    }
  }

  private void rename() {
    String typed = name.getText().strip();
    if (!filling && shown != null && !typed.isEmpty()) {
      put(shown.named(typed));
    }
  }

  private void choosePlace() {
    if (!filling && place.getValue() != null) {
      put(shown.in(place.getValue()));
    }
  }

  private void put(Summoned next) {
    if (!next.equals(shown)) {
      session.make(new Edit.PutSurface(next), Ui.text("said.changed", next.name()));
    }
  }

  private void remove() {
    session.make(new Edit.RemoveSurface(shown.id()), Ui.text("said.removed", shown.name()));
  }

  /** Gives the name the keys, to be typed anew. */
  void takeName() {
    Parts.retype(name);
  }
}
