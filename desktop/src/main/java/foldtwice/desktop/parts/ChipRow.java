package foldtwice.desktop.parts;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.Pane;

/** Small chips of which one is chosen. They stay as long as they say the same. */
public final class ChipRow {

  private ChipRow() {}

  /**
   * Fills a pane with chips, and chooses one.
   *
   * @param says what each says, by its id
   * @param chosen the id of the one
   * @param onChosen gets the id of the one a person chooses
   * @param behind what comes after them
   */
  public static void show(
      Pane pane,
      Map<String, String> says,
      String chosen,
      Consumer<String> onChosen,
      Node... behind) {
    Refill.with(
        pane,
        says,
        () -> {
          ToggleGroup group = new ToggleGroup();
          List<Node> all = new ArrayList<>();
          says.forEach((id, text) -> all.add(chip(group, id, text, onChosen)));
          all.addAll(List.of(behind));
          return all;
        });
    for (Node n : pane.getChildren()) {
      if (n instanceof ToggleButton chip) {
        chip.setSelected(chip.getId().equals(chosen));
      }
    }
  }

  private static ToggleButton chip(
      ToggleGroup group, String id, String text, Consumer<String> onChosen) {
    ToggleButton chip = Skins.on(new ToggleButton(text));
    chip.setId(id);
    chip.getStyleClass().addAll("chip", "small-chip");
    chip.setToggleGroup(group);
    chip.setOnAction(
        e -> {
          chip.setSelected(true);
          onChosen.accept(id);
        });
    return chip;
  }
}
