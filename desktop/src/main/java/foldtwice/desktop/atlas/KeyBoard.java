package foldtwice.desktop.atlas;

import foldtwice.atlas.Atlas;
import foldtwice.atlas.Key;
import foldtwice.desktop.parts.KeepsKeys;
import foldtwice.desktop.session.HeldKeys;
import foldtwice.desktop.session.Ui;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Owner;
import foldtwice.suggest.Reach;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Layout;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Press;
import foldtwice.trigger.Shape;
import foldtwice.words.Legends;
import foldtwice.words.Words;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.geometry.Orientation;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.Dragboard;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.Pane;

/** The keys, as they lie. Real presses choose; one key is dragged onto another. */
final class KeyBoard extends Pane implements KeepsKeys {

  /** What happens to keys. */
  interface Listener {
    /** A key is chosen, by a click or by pressing it. */
    void chosen(KeyCode code);

    /** Real keys are held down, or let go. */
    void held(Modifiers modifiers);

    /** Something is dragged over a key: a claim's binding, or a routine, by their ids. */
    void over(String dragged, KeyCode target);

    /** It is let go there. */
    void dropped(String dragged, KeyCode target);

    /** It went elsewhere. */
    void left();
  }

  private static final double ACROSS = 18.25;
  private static final double ROWS = 6.3;
  private static final double GAP = 4;
  private static final double TOP = 1.3;

  private final Map<KeyCode, KeyNode> keys = new EnumMap<>(KeyCode.class);
  private final Listener listener;
  private final HeldKeys held = new HeldKeys();
  private Shape shape;
  private Layout layout;

  KeyBoard(Listener listener) {
    this.listener = listener;
    setId("atlas-keys");
    getStyleClass().add("atlas-keyboard");
    setFocusTraversable(true);
    addEventHandler(KeyEvent.KEY_PRESSED, this::pressed);
    addEventHandler(
        KeyEvent.KEY_RELEASED,
        e -> {
          held.follow(e);
          listener.held(held.during(e));
        });
  }

  /** Keys pressed here are looked up, not done; Tab, F6 and the look-up lead away. */
  private void pressed(KeyEvent e) {
    held.follow(e);
    Optional<Press> press = held.press(e, layout);
    if (press.isEmpty() || press.get().code().isModifier()) {
      listener.held(held.during(e));
      return;
    }
    if (press.get().code() == KeyCode.TAB
        && press.get().held().without(foldtwice.trigger.Modifier.SHIFT).isEmpty()) {
      return;
    }
    listener.held(press.get().held());
    listener.chosen(press.get().code());
    e.consume();
  }

  /** Shows the keys of a shape with what is on a page. */
  void show(Shape of, Layout printed, Atlas page, Modifiers down, Words words, Tint tint) {
    if (of != shape) {
      shape = of;
      build();
    }
    layout = printed;
    keys.forEach(
        (code, node) -> {
          Key key = page.keys().get(code);
          node.show(
              key,
              Legends.of(printed, code),
              label(key, words),
              says(key, Legends.of(printed, code), words),
              code.modifier().filter(down::has).isPresent(),
              tint.of(key, code, of));
        });
  }

  /** How keys are tinted. */
  enum Tint {
    OWNER,
    USE,
    EFFORT;

    private String of(Key key, KeyCode code, Shape shape) {
      return switch (this) {
        case OWNER -> "";
        case USE ->
            key.uses() <= 0
                ? ""
                : "tint-" + (key.uses() < 10 ? 1 : key.uses() < 50 ? 2 : key.uses() < 200 ? 3 : 4);
        case EFFORT -> {
          double far = Reach.millimetres(shape, code);
          yield far < 0 ? "" : "reach-" + (far < 10 ? 1 : far < 25 ? 2 : far < 45 ? 3 : 4);
        }
      };
    }
  }

  /** What it does, in as few words as a key has room for. */
  static String label(Key key, Words words) {
    return switch (key.part()) {
      case FREE, TYPES, MODIFIER -> "";
      case BEGINS -> Ui.text("atlas.begins");
      case SHARED -> Ui.text("atlas.twice");
      case YOURS, NATIVE, DESKTOP ->
          key.programs() > 1
              ? Ui.text(key.alike() ? "atlas.alike" : "atlas.inprograms", key.programs())
              : key.claims().isEmpty() ? "" : words.shortly(key.claims().getFirst().owner());
    };
  }

  /** What it does, in a sentence. */
  static String says(Key key, String named, Words words) {
    String does =
        key.claims().stream()
            .map(Claim::owner)
            .map(words::owner)
            .distinct()
            .limit(8)
            .collect(Collectors.joining(", "));
    return switch (key.part()) {
      case FREE -> Ui.text("atlas.key.free", named);
      case TYPES -> Ui.text("atlas.key.types", named, key.types());
      case MODIFIER -> named;
      case BEGINS -> Ui.text("atlas.key.begins", named, does);
      case SHARED -> Ui.text("atlas.key.twice", named, does);
      case YOURS, NATIVE, DESKTOP -> Ui.text("atlas.key.does", named, does);
    };
  }

  private void build() {
    getChildren().clear();
    keys.clear();
    for (Shape.Cap cap : shape.allCaps()) {
      KeyNode node = new KeyNode(cap);
      node.setOnMousePressed(
          e -> {
            requestFocus();
            if (e.getButton() == MouseButton.PRIMARY) {
              listener.chosen(cap.code());
            }
          });
      node.setOnDragDetected(e -> drag(node));
      node.setOnDragOver(
          e -> {
            if (e.getDragboard().hasString() && !cap.code().isModifier()) {
              e.acceptTransferModes(TransferMode.MOVE);
              listener.over(e.getDragboard().getString(), cap.code());
            }
            e.consume();
          });
      node.setOnDragExited(e -> listener.left());
      node.setOnDragDropped(
          e -> {
            listener.dropped(e.getDragboard().getString(), cap.code());
            e.setDropCompleted(true);
            e.consume();
          });
      keys.put(cap.code(), node);
      getChildren().add(node);
    }
    requestLayout();
  }

  /** A binding is taken by its key. */
  private static void drag(KeyNode node) {
    Optional<String> binding =
        node.key().claims().stream()
            .flatMap(
                c ->
                    c.owner() instanceof Owner.Yours(String id)
                        ? java.util.stream.Stream.of(id)
                        : java.util.stream.Stream.empty())
            .findFirst();
    if (binding.isPresent() && node.key().part() != Key.Part.SHARED) {
      Dragboard board = node.startDragAndDrop(TransferMode.MOVE);
      ClipboardContent content = new ClipboardContent();
      content.putString(AtlasView.BINDING + binding.get());
      board.setContent(content);
    }
  }

  /** Marks a key as the chosen one. */
  void choose(KeyCode code) {
    keys.forEach((c, node) -> node.choose(c == code));
  }

  @Override
  public Orientation getContentBias() {
    return Orientation.HORIZONTAL;
  }

  @Override
  protected double computePrefWidth(double height) {
    return ACROSS * 47;
  }

  @Override
  protected double computePrefHeight(double width) {
    double step = Math.min(64, Math.max(30, (width > 0 ? width : ACROSS * 47) / ACROSS));
    return ROWS * Math.min(76, step * 1.35);
  }

  @Override
  protected void layoutChildren() {
    double step = Math.min(64, getWidth() / ACROSS);
    double row = Math.min(76, step * 1.35);
    for (KeyNode node : keys.values()) {
      Shape.Cap cap = node.cap;
      node.resizeRelocate(
          Math.floor(cap.x() * step),
          Math.floor((cap.y() + TOP) * row),
          Math.floor(cap.width() * step - GAP),
          Math.floor(row - GAP));
    }
  }
}
