package foldtwice.desktop.bind;

import foldtwice.desktop.parts.Choices;
import foldtwice.desktop.parts.Lists;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.parts.Styles;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Bound;
import foldtwice.library.Library;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.DoubleSupplier;
import javafx.geometry.Pos;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;

/** Which application's bindings are seen: chips while they are few, else a list to choose from. */
final class PlaceChips extends HBox {

  /** More than these would leave no room for the filter. */
  private static final int MOST_CHIPS = 6;

  private final Runnable onChosen;
  private final Map<String, ToggleButton> chips = new LinkedHashMap<>();
  private final ComboBox<String> list = new ComboBox<>();
  private Map<String, String> names = Map.of();
  private String chosen = "";
  private boolean small;

  /** True where there is no room for chips at all. */
  private boolean listed;

  /** The texts for which it is known what room is needed, with large and with small chips. */
  private String measured = "";

  private double large;
  private double least;
  private boolean filling;
  private Library shown = Library.empty("");

  PlaceChips(Runnable onChosen) {
    super(8);
    this.onChosen = onChosen;
    setAlignment(Pos.CENTER_LEFT);
    list.setId("places-seen");
    list.setAccessibleText(Ui.text("bind.places"));
    Parts.shows(list, id -> names.get(id));
    Parts.onChosen(
        list,
        () -> {
          if (!filling && list.getValue() != null && !list.getValue().equals(chosen)) {
            choose(list.getValue());
          }
        });
  }

  /** The id of the application; empty for all of them. */
  String chosen() {
    return chosen;
  }

  /** Those of all applications are seen from now on; nobody is told. */
  void showAll() {
    chosen = "";
    filling = true;
    chips.forEach((id, chip) -> chip.setSelected(id.isEmpty()));
    list.setValue("");
    filling = false;
  }

  private void choose(String id) {
    chosen = id;
    onChosen.run();
  }

  /** Shows the applications there are, each with how many bindings it has. */
  void show(Library library) {
    if (shown.bindings() == library.bindings() && shown.applications() == library.applications()) {
      return;
    }
    shown = library;
    Map<String, Integer> counts = Bound.inEach(library);
    Map<String, String> next = new LinkedHashMap<>();
    next.put("", Ui.text("bind.all"));
    library
        .applications()
        .values()
        .forEach(a -> next.put(a.id(), a.name() + " " + counts.getOrDefault(a.id(), 0)));
    if (next.equals(names)) {
      return;
    }
    boolean others = !next.keySet().equals(names.keySet());
    names = next;
    if (!next.containsKey(chosen)) {
      choose("");
    }
    if (others) {
      build();
    }
    chips.forEach((id, chip) -> chip.setText(names.get(id)));
    filling = true;
    Lists.follow(list.getItems(), List.copyOf(names.keySet()));
    Choices.renew(list);
    list.setValue(chosen);
    filling = false;
  }

  private void build() {
    chips.clear();
    getChildren().clear();
    if (listed || names.size() > MOST_CHIPS + 1) {
      getChildren().add(list);
      return;
    }
    ToggleGroup group = new ToggleGroup();
    List<ToggleButton> all = new ArrayList<>();
    names.forEach(
        (id, name) -> {
          ToggleButton chip = Skins.on(new ToggleButton(name));
          chip.setId("place-" + id);
          chip.getStyleClass().add("chip");
          chip.setToggleGroup(group);
          chip.setMinWidth(USE_PREF_SIZE);
          chip.setSelected(id.equals(chosen));
          chip.setOnAction(
              e -> {
                chip.setSelected(true);
                choose(id);
              });
          chips.put(id, chip);
          all.add(chip);
        });
    getChildren().setAll(all);
    narrow(small);
  }

  /**
   * Chips as large as there is room for, or a list where there is none.
   *
   * @param room what they and all that is beside them have
   * @param beside what is said beside them
   * @param needed what all of it needs as it is now
   */
  void fit(double room, String beside, DoubleSupplier needed) {
    String texts = (String.join("", names.values()) + beside).replaceAll("\\d", "0");
    if (!texts.equals(measured)) {
      measured = texts;
      listed(false);
      narrow(false);
      large = needed.getAsDouble();
      narrow(true);
      least = needed.getAsDouble();
    }
    narrow(room < large);
    listed(room < least);
  }

  /** Where there is no room for chips there is a list. */
  private void listed(boolean yes) {
    if (yes != listed) {
      listed = yes;
      build();
    }
  }

  /** Where there is little room the chips are smaller. */
  private void narrow(boolean yes) {
    small = yes;
    setSpacing(yes ? 3 : 8);
    for (ToggleButton chip : chips.values()) {
      Styles.set(chip, "small-chip", yes);
    }
  }
}
