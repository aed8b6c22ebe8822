package foldtwice.desktop.places;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Ui;
import foldtwice.extras.Extras;
import foldtwice.place.Application;
import foldtwice.place.Need;
import foldtwice.place.WayIn;
import foldtwice.words.Words;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import javafx.scene.control.CheckBox;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;

/** A further way into an application; folded up until it is wanted. */
final class WayForm extends VBox {

  private final Consumer<WayIn> onMade;
  private final TextField name = Skins.on(new TextField());
  private final Map<Need, CheckBox> needs = new EnumMap<>(Need.class);
  private final CheckBox arguments = Skins.on(new CheckBox(Ui.text("ways.passes")));
  private final CheckBox free = Skins.on(new CheckBox(Ui.text("ways.isfree")));
  private final TextField slots = Skins.on(new TextField());

  WayForm(Application application, Consumer<WayIn> onMade) {
    super(4);
    this.onMade = onMade;
    setId("way-form-" + application.id());
    name.setId("way-name");
    Parts.prompt(name, Ui.text("ways.name"));
    arguments.setId("way-arguments");
    arguments.setSelected(true);
    free.setId("way-free");
    slots.setId("way-slots");
    Parts.prompt(slots, Ui.text("ways.slots.hint"));
    for (Need need : Need.values()) {
      CheckBox box = Skins.on(new CheckBox(Words.need(need)));
      box.setId("way-" + need.name().toLowerCase(Locale.ROOT));
      box.setWrapText(true);
      needs.put(need, box);
    }
    getChildren().setAll(Parts.button("way-new", Ui.text("ways.new"), this::open, "link"));
  }

  private void open() {
    getChildren().setAll(name, Parts.label(Ui.text("ways.needs"), "soft"));
    getChildren().addAll(needs.values());
    getChildren()
        .addAll(arguments, free, slots, Parts.button("way-make", Ui.text("ways.make"), this::make));
    name.requestFocus();
  }

  private void make() {
    String named = name.getText().strip();
    String many = slots.getText().strip();
    if (named.isEmpty()) {
      name.requestFocus();
      return;
    }
    if (!many.matches("\\d{0,4}")) {
      slots.requestFocus();
      return;
    }
    List<Need> asked =
        needs.entrySet().stream()
            .filter(e -> e.getValue().isSelected())
            .map(Map.Entry::getKey)
            .toList();
    onMade.accept(
        new WayIn(
            "",
            named,
            asked,
            arguments.isSelected(),
            many.isEmpty() ? 0 : Integer.parseInt(many),
            free.isSelected(),
            Extras.NONE));
  }
}
