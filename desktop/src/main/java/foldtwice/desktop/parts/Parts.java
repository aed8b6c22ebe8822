package foldtwice.desktop.parts;

import foldtwice.trigger.Direction;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.application.Platform;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ComboBoxBase;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.util.StringConverter;

/** Labels, buttons and rows with the style classes of the sheet. */
public final class Parts {

  private Parts() {}

  public static Label label(String text, String... styles) {
    Label label = Skins.on(new Label(text));
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
    Button button = Skins.on(new Button(text));
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
    Tips.on(button, name);
    return button;
  }

  /** What is to be typed into it, in it while it is empty; also its name for screen readers. */
  public static void prompt(TextInputControl field, String says) {
    field.setPromptText(says);
    field.setAccessibleText(says);
  }

  /** What is to be chosen, in the box while nothing is; also its name for screen readers. */
  public static void prompt(ComboBoxBase<?> box, String says) {
    box.setPromptText(says);
    box.setAccessibleText(says);
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

  /** A field so many letters wide, with what is to be typed into it. */
  public static TextField input(String id, String says, int columns) {
    TextField field = Skins.on(new TextField());
    field.setId(id);
    field.setPrefColumnCount(columns);
    prompt(field, says);
    return field;
  }

  /**
   * Shows a text in a field. One that shows it already is left alone: writing it anew would take
   * away what is selected in it, and what is typed next would not replace it.
   */
  public static void write(TextInputControl field, String text) {
    if (!field.getText().equals(text)) {
      field.setText(text);
    }
  }

  /** Shows a text in a field, unless somebody is typing into it. */
  public static void renew(TextInputControl field, String text) {
    if (!field.isFocused()) {
      field.setText(text);
    }
  }

  /** Calls when what was typed into a field is to be kept: at Enter, and when the keys leave it. */
  public static void onKept(TextField field, Runnable keep) {
    field.setOnAction(e -> keep.run());
    field
        .focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (was && !Typing.isShownAnew()) {
                keep.run();
              }
            });
  }

  /** True when the node that has the keys is this one or inside it, as the scene knows it. */
  public static boolean hasKeys(Node node) {
    return node.getScene() != null && isIn(node.getScene().getFocusOwner(), node);
  }

  /** True when a node is this part of a window, or inside it. */
  static boolean isIn(Node node, Node part) {
    Node at = node;
    while (at != null && !at.equals(part)) {
      at = at.getParent();
    }
    return at != null;
  }

  /** True when a node is in a window and neither it nor what it is in is hidden. */
  public static boolean isSeen(Node node) {
    Node at = node;
    while (at != null && at.isVisible()) {
      at = at.getParent();
    }
    return at == null && node.getScene() != null;
  }

  /**
   * Makes a row lead somewhere, by mouse and by keyboard.
   *
   * @param says what it leads to, for screen readers
   */
  public static void leads(Node row, String says, Runnable action) {
    row.setFocusTraversable(true);
    row.setAccessibleRole(AccessibleRole.BUTTON);
    row.setAccessibleText(says);
    row.getStyleClass().add("leads");
    row.setOnMouseClicked(e -> action.run());
    row.setOnKeyPressed(
        e -> {
          if (e.getCode() == KeyCode.ENTER || e.getCode() == KeyCode.SPACE) {
            e.consume();
            action.run();
          }
        });
  }

  /** A name at the left and a field beside it that takes what room there is. */
  public static HBox field(String name, Node field) {
    HBox row = fact(name, field);
    HBox.setHgrow(field, Priority.ALWAYS);
    return row;
  }

  /**
   * A leaf that scrolls when there is more than fits, up and down only.
   *
   * @param high what is in it is at least as high as the leaf
   */
  public static ScrollPane leaf(Region content, boolean high) {
    ScrollPane scroll = Skins.on(new ScrollPane(content));
    scroll.setFitToWidth(true);
    scroll.setFitToHeight(high);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    scroll.setFocusTraversable(false);
    scroll.getStyleClass().add("leaf-scroll");
    return scroll;
  }

  /** The fold line between two leaves. */
  public static Region crease() {
    Region crease = new Region();
    crease.getStyleClass().add("crease");
    return crease;
  }

  /** Fills a grid with what lies in each direction around its middle. */
  public static void around(GridPane grid, Function<Direction, ? extends Node> of) {
    grid.getChildren().clear();
    for (Direction d : Direction.values()) {
      grid.add(of.apply(d), d.across() + 1, d.down() + 1);
    }
  }

  /** Gives a field the keys, to be typed anew, once it is where it is shown. */
  public static void retype(TextField field) {
    Platform.runLater(
        () -> {
          field.requestFocus();
          field.selectAll();
        });
  }

  /**
   * Chips of which one is chosen.
   *
   * @param id what the ids of the chips begin with; the name of the kind follows
   * @param says the text of a chip
   */
  public static <K extends Enum<K>> Map<K, ToggleButton> chips(
      Class<K> kinds, String id, Function<K, String> says, Consumer<K> onChosen) {
    Map<K, ToggleButton> chips = new EnumMap<>(kinds);
    ToggleGroup group = new ToggleGroup();
    for (K kind : kinds.getEnumConstants()) {
      ToggleButton chip = Skins.on(new ToggleButton(says.apply(kind)));
      chip.setId(id + kind.name().toLowerCase(Locale.ROOT));
      chip.getStyleClass().addAll("chip", "small-chip");
      chip.setToggleGroup(group);
      chip.setOnAction(
          e -> {
            chip.setSelected(true);
            onChosen.accept(kind);
          });
      chips.put(kind, chip);
    }
    return chips;
  }

  public static Region gap() {
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    return gap;
  }

  /** Shows something, or takes it out of sight and its room with it. */
  public static void there(Node node, boolean there) {
    node.setVisible(there);
    node.setManaged(there);
  }

  /** A name at the left and a fact beside it. */
  public static HBox fact(String name, Node... facts) {
    Label label = label(name, "fact-name");
    label.setMinWidth(92);
    HBox row = new HBox(8, label);
    row.getChildren().addAll(facts);
    for (Node fact : facts) {
      if (fact instanceof Control c && !(c instanceof Labeled) && c.getAccessibleText() == null) {
        c.setAccessibleText(name);
        label.setLabelFor(c);
      }
      if (fact instanceof Label l && l.isWrapText()) {
        HBox.setHgrow(l, Priority.ALWAYS);
        l.setMaxWidth(Double.MAX_VALUE);
      }
    }
    return row;
  }
}
