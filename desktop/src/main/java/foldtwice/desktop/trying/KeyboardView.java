package foldtwice.desktop.trying;

import foldtwice.desktop.parts.Corners;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.parts.Styles;
import foldtwice.place.Place;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Outcome;
import foldtwice.resolve.Owner;
import foldtwice.resolve.Resolver;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Press;
import foldtwice.trigger.Shape;
import foldtwice.words.Legends;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.OverrunStyle;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Polygon;

/**
 * A keyboard to click. A modifier stays down until the next key; keys that are claimed with the
 * held modifiers have a dog-ear in their owner's colour.
 */
final class KeyboardView extends Pane {

  private static final double KEY = 39;
  private static final double ROW = 33;
  private static final double GAP = 3;

  /** Key widths across, to the end of the arrows, and rows down. */
  private static final double ACROSS = 18.25;

  private static final int DOWN = 5;

  private final Map<KeyCode, Button> keys = new EnumMap<>(KeyCode.class);
  private final Map<KeyCode, Polygon> ears = new EnumMap<>(KeyCode.class);
  private final Consumer<Press> onPress;
  private Modifiers held = Modifiers.NONE;
  private Press pressed;
  private Keymap keymap;
  private Place place;

  KeyboardView(Consumer<Press> onPress) {
    this.onPress = onPress;
    getStyleClass().add("keyboard");
  }

  /** Shows the keyboard of the keymap's station, with what is claimed in a place. */
  void show(Keymap keymap, Place place) {
    boolean sameKeys = this.keymap != null && this.keymap.station().equals(keymap.station());
    this.keymap = keymap;
    this.place = place;
    if (!sameKeys) {
      build();
    }
    mark();
  }

  private void build() {
    getChildren().clear();
    keys.clear();
    ears.clear();
    for (Shape.Cap cap : keymap.station().shape().caps()) {
      Button key =
          Skins.on(
              new Button(
                  cap.code() == KeyCode.SPACE ? "" : Legends.of(keymap.layout(), cap.code())));
      key.getStyleClass().setAll("key");
      Styles.set(key, "word", key.getText().length() > 1);
      key.setId("key-" + cap.code().code());
      key.setFocusTraversable(false);
      key.setTextOverrun(OverrunStyle.CLIP);
      key.setAccessibleText(cap.code().code());
      key.setOnAction(e -> press(cap.code()));
      Polygon ear = Corners.ear(9, "yours");
      keys.put(cap.code(), key);
      ears.put(cap.code(), ear);
      getChildren().addAll(key, ear);
    }
    requestLayout();
  }

  @Override
  protected double computePrefWidth(double height) {
    return ACROSS * (KEY + GAP);
  }

  @Override
  protected double computeMinWidth(double height) {
    return 0;
  }

  @Override
  protected double computePrefHeight(double width) {
    return DOWN * ROW;
  }

  /** Keys become narrower where there is little room; rows keep their height. */
  @Override
  protected void layoutChildren() {
    if (keymap == null) {
      return;
    }
    double step = Math.min(KEY + GAP, getWidth() / ACROSS);
    boolean narrow = step < KEY;
    for (Shape.Cap cap : keymap.station().shape().caps()) {
      Button key = keys.get(cap.code());
      Styles.set(key, "narrow", narrow);
      double width = Math.floor(cap.width() * step - GAP);
      key.resizeRelocate(Math.floor(cap.x() * step), cap.y() * ROW, width, ROW - 3);
      ears.get(cap.code()).relocate(Math.floor(cap.x() * step) + width - 10, cap.y() * ROW + 1);
    }
  }

  private void press(KeyCode code) {
    Optional<Modifier> modifier = code.modifier();
    if (modifier.isPresent()) {
      hold(held.has(modifier.get()) ? held.without(modifier.get()) : held.with(modifier.get()));
      return;
    }
    Press press = new Press(code, held);
    hold(Modifiers.NONE);
    onPress.accept(press);
  }

  /** Shows these modifiers as held. */
  void hold(Modifiers now) {
    if (!held.equals(now)) {
      held = now;
      pressed = null;
      mark();
    }
  }

  /** Shows a key as just pressed. */
  void flash(Press press) {
    pressed = press;
    mark();
  }

  private boolean isPressed(KeyCode code) {
    return pressed != null
        && held.isEmpty()
        && (pressed.code() == code || isHeld(code, pressed.held()));
  }

  private static boolean isHeld(KeyCode code, Modifiers held) {
    return code.modifier().filter(held::has).isPresent()
        && code != KeyCode.SHIFT_RIGHT
        && code != KeyCode.CONTROL_RIGHT;
  }

  private void mark() {
    Resolver resolver = new Resolver(keymap);
    keys.forEach(
        (code, key) -> {
          Styles.set(key, "held", isHeld(code, held) || isPressed(code));
          Optional<Owner> owner =
              code.isModifier() ? Optional.empty() : owner(resolver, new Press(code, held));
          Polygon ear = ears.get(code);
          ear.setVisible(owner.isPresent());
          String shape =
              owner
                  .map(
                      o ->
                          switch (o) {
                            case Owner.Yours y -> "ear-yours-shape";
                            case Owner.Menu m -> "ear-yours-shape";
                            case Owner.Key k -> "ear-yours-shape";
                            case Owner.Native n -> "ear-native-shape";
                            case Owner.Desktop d -> "ear-desktop-shape";
                          })
                  .orElse("ear-none");
          Styles.only(ear, List.of(shape));
        });
  }

  private Optional<Owner> owner(Resolver resolver, Press press) {
    List<Outcome> outcomes = resolver.press(Resolver.start(place), press, 0).outcomes();
    return switch (outcomes.getFirst()) {
      case Outcome.Fired(Claim claim) -> Optional.of(claim.owner());
      case Outcome.Waiting(Optional<Claim> otherwise) ->
          Optional.of(otherwise.map(Claim::owner).orElse(new Owner.Yours("")));
      case Outcome.Undecided(List<Claim> claims) -> Optional.of(claims.getFirst().owner());
      case Outcome.Typed t -> Optional.empty();
      case Outcome.Unclaimed u -> Optional.empty();
    };
  }
}
