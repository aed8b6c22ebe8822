package foldtwice.desktop.bind;

import foldtwice.binding.Binding;
import foldtwice.desktop.parts.Faces;
import foldtwice.desktop.parts.OpensForm;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Tips;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Edit;
import foldtwice.library.NewSurfaces;
import foldtwice.surface.RadialMenu;
import foldtwice.trigger.Direction;
import foldtwice.trigger.Trigger;
import foldtwice.words.Words;
import java.util.HashMap;
import java.util.Map;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

/** A choice of a radial menu; a menu that is not there yet is made, with what opens it. */
final class PickMenu extends VBox {

  private final Session session;
  private final Binding binding;
  private final Consumer<Trigger> onPicked;
  private final Faces faces;

  /** What opens a menu: the line that says it, and the form behind that. */
  private record Openers(Button how, OpensForm form) {}

  private final Map<String, Openers> openers = new HashMap<>();

  PickMenu(Session session, Binding binding, Faces faces, Consumer<Trigger> onPicked) {
    super(8);
    this.session = session;
    this.binding = binding;
    this.faces = faces;
    this.onPicked = onPicked;
    show("");
  }

  private void show(String opening) {
    getChildren().clear();
    openers.clear();
    for (RadialMenu m : session.now().library().menus()) {
      if (m.place().applicationId().equals(binding.place().applicationId())) {
        menu(m, m.id().equals(opening));
      }
    }
    String name = Ui.text("summoned.radial.name", session.now().library().nameOf(binding.place()));
    getChildren()
        .add(
            Parts.button(
                "picker-new-radial", Ui.text("picker.radial.new"), () -> make(name), "link"));
  }

  private void menu(RadialMenu m, boolean opening) {
    getChildren().add(Parts.label(m.name(), "heading"));
    getChildren().add(choices(m));
    OpensForm opens = new OpensForm(session);
    Button how = Parts.button("picker-opens-" + m.id(), "", () -> toggle(m.id()), "link");
    openers.put(m.id(), new Openers(how, opens));
    getChildren().add(how);
    follow(session.now());
    if (opening) {
      toggle(m.id());
      how.requestFocus();
    }
  }

  private void toggle(String menu) {
    Openers of = openers.get(menu);
    if (!getChildren().remove(of.form())) {
      getChildren().add(getChildren().indexOf(of.how()) + 1, of.form());
    }
  }

  /** Shows what opens the menus now. */
  void follow(Snapshot now) {
    openers.forEach(
        (id, of) -> {
          if (now.library().surfaces().get(id) instanceof RadialMenu m) {
            of.form().show(now, m);
            of.how()
                .setText(
                    m.opens().isEmpty()
                        ? Ui.text("picker.radial.unopened")
                        : Ui.text(
                            "picker.radial.opens", now.words().trigger(m.opens().getFirst())));
          }
        });
  }

  private Node choices(RadialMenu m) {
    GridPane choices = new GridPane(4, 4);
    Parts.around(choices, d -> choice(m, d));
    return choices;
  }

  private Button choice(RadialMenu m, Direction d) {
    Trigger trigger = new Trigger.Radial(m.id(), d);
    String label = faces.brief(trigger);
    Button button =
        Parts.button(
            "picker-choice-" + m.id() + "-" + d.id(),
            label.isEmpty() ? Words.direction(d) : label.replace("\n", " "),
            () -> onPicked.accept(trigger));
    button.setMaxWidth(104);
    button.setMinWidth(104);
    button.setStyle("-fx-font-size: 11px; -fx-padding: 2 4 2 4;");
    Tips.on(button, Words.direction(d));
    return button;
  }

  /** Nothing opens it yet: that is asked for at once. */
  private void make(String name) {
    RadialMenu made = NewSurfaces.radial(session.now().library(), name, binding.place());
    session.make(new Edit.PutSurface(made), Ui.text("said.newsurface", made.name()));
    show(made.id());
  }
}
