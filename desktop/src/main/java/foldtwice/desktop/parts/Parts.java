package foldtwice.desktop.parts;

import java.util.function.Function;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.util.StringConverter;

/** Labels, buttons and rows with the style classes of the sheet. */
public final class Parts {

  private Parts() {}

  public static Label label(String text, String... styles) {
    Label label = new Label(text);
    label.getStyleClass().addAll(styles);
    return label;
  }

  /** A label that breaks its lines instead of cutting them. */
  public static Label wrapped(String text, String... styles) {
    Label label = label(text, styles);
    label.setWrapText(true);
    label.setMinHeight(Region.USE_PREF_SIZE);
    return label;
  }

  public static Button button(String id, String text, Runnable action, String... styles) {
    Button button = new Button(text);
    button.setId(id);
    button.getStyleClass().addAll(styles);
    button.setMinWidth(Region.USE_PREF_SIZE);
    button.setOnAction(e -> action.run());
    return button;
  }

  /** A button with a picture only; its name is its tooltip and what a screen reader says. */
  public static Button icon(String id, Node picture, String name, Runnable action) {
    Button button = button(id, "", action, "quiet");
    button.setGraphic(picture);
    button.setAccessibleText(name);
    button.setTooltip(new Tooltip(name));
    return button;
  }

  /** What a box shows for its values; nothing for none. Nothing is typed into it. */
  public static <T> void shows(ComboBox<T> box, Function<T, String> says) {
    box.setConverter(
        new StringConverter<>() {
          @Override
          public String toString(T value) {
            return value == null ? "" : says.apply(value);
          }

          @Override
          public T fromString(String text) {
            return box.getValue();
          }
        });
  }

  /** Calls when a value is chosen: once, however many the keys went over in the open list. */
  public static void onChosen(ComboBox<?> box, Runnable action) {
    box.setOnAction(
        e -> {
          if (!box.isShowing()) {
            action.run();
          }
        });
    box.setOnHidden(e -> action.run());
  }

  /** Calls when what was typed into a field is to be kept: at Enter, and when the keys leave it. */
  public static void onKept(TextField field, Runnable keep) {
    field.setOnAction(e -> keep.run());
    field
        .focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (was) {
                keep.run();
              }
            });
  }

  /** True when the node that has the keys is this one or inside it, as the scene knows it. */
  public static boolean hasKeys(Node node) {
    Node owner = node.getScene() == null ? null : node.getScene().getFocusOwner();
    while (owner != null && !owner.equals(node)) {
      owner = owner.getParent();
    }
    return owner != null;
  }

  public static Region gap() {
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    return gap;
  }

  /** A name at the left and a fact beside it. */
  public static HBox fact(String name, Node... facts) {
    Label label = label(name, "fact-name");
    label.setMinWidth(92);
    HBox row = new HBox(8, label);
    row.getChildren().addAll(facts);
    for (Node fact : facts) {
      if (fact instanceof Label l && l.isWrapText()) {
        HBox.setHgrow(l, Priority.ALWAYS);
        l.setMaxWidth(Double.MAX_VALUE);
      }
    }
    return row;
  }
}
