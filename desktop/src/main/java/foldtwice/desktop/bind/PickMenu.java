package foldtwice.desktop.bind;

import foldtwice.binding.Binding;
import foldtwice.desktop.parts.Faces;
import foldtwice.desktop.parts.OpensForm;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Refill;
import foldtwice.desktop.parts.Tips;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.NewSurfaces;
import foldtwice.place.Place;
import foldtwice.surface.RadialMenu;
import foldtwice.trigger.Direction;
import foldtwice.trigger.Trigger;
import foldtwice.words.Words;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

/** A choice of a radial menu; a menu that is not there yet is made, with what opens it. */
final class PickMenu extends VBox {

  private final Session session;
  private final Supplier<Binding> binding;
  private final Consumer<Trigger> onPicked;
  private final Supplier<Faces> faces;

  /** A menu: its name, its choices, the line that says what opens it, and the form behind that. */
  private record Shown(Label name, GridPane choices, Button how, OpensForm form) {}

  private final Map<String, Shown> menus = new LinkedHashMap<>();

  PickMenu(
      Session session,
      Supplier<Binding> binding,
      Supplier<Faces> faces,
      Consumer<Trigger> onPicked) {
    super(8);
    this.session = session;
    this.binding = binding;
    this.faces = faces;
    this.onPicked = onPicked;
    show();
  }

  private List<RadialMenu> here(Snapshot now) {
    return now.library().menus().stream()
        .filter(m -> m.place().applicationId().equals(binding.get().place().applicationId()))
        .toList();
  }

  private void show() {
    getChildren().clear();
    menus.clear();
    here(session.now()).forEach(this::menu);
    getChildren()
        .add(Parts.button("picker-new-radial", Ui.text("picker.radial.new"), this::make, "link"));
    follow(session.now());
  }

  private void menu(RadialMenu m) {
    Label name = Parts.label("", "heading");
    GridPane choices = new GridPane(4, 4);
    Button how = Parts.button("picker-opens-" + m.id(), "", () -> toggle(m.id()), "link");
    menus.put(m.id(), new Shown(name, choices, how, new OpensForm(session)));
    getChildren().addAll(name, choices, how);
  }

  private void toggle(String menu) {
    Shown of = menus.get(menu);
    if (!getChildren().remove(of.form())) {
      getChildren().add(getChildren().indexOf(of.how()) + 1, of.form());
    }
  }

  /** Shows the menus as they are now. */
  void follow(Snapshot now) {
    List<RadialMenu> here = here(now);
    if (!here.stream().map(RadialMenu::id).toList().equals(List.copyOf(menus.keySet()))) {
      show();
      return;
    }
    Faces does = faces.get();
    for (RadialMenu m : here) {
      Shown of = menus.get(m.id());
      of.name().setText(m.name());
      Map<Direction, String> labels = new EnumMap<>(Direction.class);
      for (Direction d : Direction.values()) {
        labels.put(d, does.brief(new Trigger.Radial(m.id(), d)));
      }
      Refill.by(
          of.choices(),
          labels,
          () -> Parts.around(of.choices(), d -> choice(m.id(), d, labels.get(d))));
      of.form().show(now, m);
      of.how()
          .setText(
              m.opens().isEmpty()
                  ? Ui.text("picker.radial.unopened")
                  : Ui.text("picker.radial.opens", now.words().trigger(m.opens().getFirst())));
    }
  }

  private Button choice(String menu, Direction d, String label) {
    Trigger trigger = new Trigger.Radial(menu, d);
    Button button =
        Parts.button(
            "picker-choice-" + menu + "-" + d.id(),
            label.isEmpty() ? Words.direction(d) : label.replace("\n", " "),
            () -> onPicked.accept(trigger));
    button.setMaxWidth(104);
    button.setMinWidth(104);
    button.setStyle("-fx-font-size: 11px; -fx-padding: 2 4 2 4;");
    Tips.on(button, Words.direction(d));
    return button;
  }

  /** Nothing opens it yet: that is asked for at once. */
  private void make() {
    Library library = session.now().library();
    Place place = binding.get().place();
    String name = Ui.text("summoned.radial.name", library.nameOf(place));
    RadialMenu made = NewSurfaces.radial(library, name, place);
    session.make(new Edit.PutSurface(made), Ui.text("said.newsurface", made.name()));
    follow(session.now()); // where it was not followed already
    if (menus.containsKey(made.id())) {
      toggle(made.id());
      menus.get(made.id()).how().requestFocus();
    }
  }
}
