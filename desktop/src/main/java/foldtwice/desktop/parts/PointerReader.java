package foldtwice.desktop.parts;

import foldtwice.desktop.session.Ui;
import foldtwice.trigger.Drawing;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Trigger;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;

/** Reads gestures and extra buttons off what the pointer does over a part of the window. */
public final class PointerReader {

  private static final Map<MouseButton, Trigger.PointerButton> BUTTONS =
      new EnumMap<>(
          Map.of(
              MouseButton.MIDDLE, Trigger.PointerButton.MIDDLE,
              MouseButton.SECONDARY, Trigger.PointerButton.RIGHT,
              MouseButton.BACK, Trigger.PointerButton.BACK,
              MouseButton.FORWARD, Trigger.PointerButton.FORWARD));

  /** Where it was while the button is down. */
  private final List<Drawing.Point> points = new ArrayList<>();

  private final Consumer<Trigger> onRead;
  private final Consumer<Drawing.Result> onUnread;

  /**
   * Reads nothing until it listens.
   *
   * @param onUnread told when something was drawn that is no gesture
   */
  public PointerReader(Consumer<Trigger> onRead, Consumer<Drawing.Result> onUnread) {
    this.onRead = onRead;
    this.onUnread = onUnread;
  }

  /** Listens to what happens over this node. */
  public void listen(Node node) {
    node.addEventFilter(MouseEvent.MOUSE_PRESSED, this::pressed);
    node.addEventFilter(MouseEvent.MOUSE_DRAGGED, this::dragged);
    node.addEventFilter(MouseEvent.MOUSE_RELEASED, this::released);
  }

  private static Optional<Trigger.PointerButton> button(MouseEvent e) {
    return Optional.ofNullable(BUTTONS.get(e.getButton()));
  }

  private void pressed(MouseEvent e) {
    points.clear();
    if (button(e).isPresent()) {
      points.add(new Drawing.Point(e.getScreenX(), e.getScreenY()));
      e.consume(); // what is under it would be redrawn, and the rest of the drag lost
    }
  }

  private void dragged(MouseEvent e) {
    if (!points.isEmpty()) {
      points.add(new Drawing.Point(e.getScreenX(), e.getScreenY()));
    }
  }

  private void released(MouseEvent e) {
    Optional<Trigger.PointerButton> button = button(e);
    if (button.isEmpty() || points.isEmpty()) {
      return;
    }
    Drawing.Result result = Drawing.read(List.copyOf(points));
    points.clear();
    switch (result) {
      case Drawing.Result.Drawn(var strokes) ->
          onRead.accept(new Trigger.Gesture(button.get(), strokes));
      case Drawing.Result.TooShort s ->
          onRead.accept(new Trigger.Pointer(button.get(), modifiers(e)));
      case Drawing.Result.Unclear u -> onUnread.accept(u);
      case Drawing.Result.TooMany m -> onUnread.accept(m);
    }
  }

  /** Why what was drawn is no gesture; empty when it is one. */
  public static String why(Drawing.Result unread) {
    return switch (unread) {
      case Drawing.Result.Unclear(var nearest, double off) ->
          Ui.text("gesture.unclear", Words.direction(nearest), Math.round(off));
      case Drawing.Result.TooMany(int strokes) ->
          Ui.text("gesture.toomany", Trigger.Gesture.MOST_STROKES, strokes);
      case Drawing.Result.TooShort s -> Ui.text("gesture.tooshort");
      case Drawing.Result.Drawn d -> "";
    };
  }

  private static Modifiers modifiers(MouseEvent e) {
    Modifiers held = Modifiers.NONE;
    held = e.isControlDown() ? held.with(Modifier.CTRL) : held;
    held = e.isAltDown() ? held.with(Modifier.ALT) : held;
    held = e.isShiftDown() ? held.with(Modifier.SHIFT) : held;
    return e.isMetaDown() ? held.with(Modifier.LOGO) : held;
  }
}
