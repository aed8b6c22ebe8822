package foldtwice.desktop.parts;

import foldtwice.desktop.session.HeldKeys;
import foldtwice.resolve.Resolver;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Layout;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Press;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.IntSupplier;
import java.util.function.Supplier;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.beans.value.ChangeListener;
import javafx.event.EventHandler;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.input.InputMethodEvent;
import javafx.scene.input.KeyEvent;
import javafx.util.Duration;

/**
 * Reads a trigger as it is pressed. Every key is caught, Escape and Tab too; Escape twice leaves.
 * It ends by itself when no further stroke comes within the time limit of sequences.
 */
public final class Capture {

  /** What capturing tells. */
  public interface Listener {
    /** Modifiers are held; no key yet. */
    void holding(List<Press> strokes, Modifiers held);

    /** A stroke was made. */
    void pressed(List<Press> strokes);

    /** A key came that cannot be told. */
    void untold();

    /** No more strokes came; these are the trigger. */
    void ended(List<Press> strokes);

    /** It was left without a trigger. */
    void left();
  }

  private final Supplier<Layout> layout;
  private final IntSupplier mostStrokes;
  private final Listener listener;
  private final List<Press> strokes = new ArrayList<>();
  private final HeldKeys held = new HeldKeys();
  private final EventHandler<KeyEvent> filter = this::key;
  private final EventHandler<InputMethodEvent> composing = this::compose;
  private final Timeline limit =
      new Timeline(new KeyFrame(Duration.millis(Resolver.TIME_LIMIT_MILLIS), e -> end()));
  private final ChangeListener<Scene> gone = (o, was, is) -> leave();
  private Scene scene;
  private Node part;

  /**
   * Off until it is started.
   *
   * @param mostStrokes how many strokes make sense; it ends at once after so many
   */
  public Capture(Supplier<Layout> layout, IntSupplier mostStrokes, Listener listener) {
    this.layout = layout;
    this.mostStrokes = mostStrokes;
    this.listener = listener;
  }

  /** True while a part of this window reads every key as the person's answer. */
  public static boolean isReading(Scene scene) {
    return scene.getProperties().containsKey(Capture.class);
  }

  /** True while keys are read. */
  public boolean isOn() {
    return scene != null;
  }

  /** Reads the keys of the window from now on, until it ends or this part of it is gone. */
  public void start(Node in) {
    stop();
    if (in.getScene() == null) {
      return; // drawn anew between the click and here: nobody sees this part any more
    }
    strokes.clear();
    held.reset();
    part = in;
    part.sceneProperty().addListener(gone);
    scene = in.getScene();
    scene.getProperties().put(Capture.class, this);
    scene.addEventFilter(KeyEvent.ANY, filter);
    scene.addEventFilter(InputMethodEvent.ANY, composing);
  }

  /** Leaves without telling anybody. */
  public void stop() {
    limit.stop();
    if (scene != null) {
      scene.getProperties().remove(Capture.class, this);
      scene.removeEventFilter(KeyEvent.ANY, filter);
      scene.removeEventFilter(InputMethodEvent.ANY, composing);
      part.sceneProperty().removeListener(gone);
      scene = null;
      part = null;
    }
  }

  /** What reads keys in this part of a window is left: another view has come in its place. */
  public static void leave(Node hidden) {
    if (hidden.getScene() != null
        && hidden.getScene().getProperties().get(Capture.class) instanceof Capture on
        && Parts.isIn(on.part, hidden)) {
      on.leave();
    }
  }

  /** Another view has come: its keys are its own. */
  private void leave() {
    stop();
    listener.left();
  }

  private void key(KeyEvent e) {
    if (e.isConsumed()) {
      return; // the very press that started it
    }
    e.consume();
    if (e.getEventType() == KeyEvent.KEY_TYPED) {
      return;
    }
    held.follow(e);
    if (e.getEventType() == KeyEvent.KEY_RELEASED || e.getCode().isModifierKey()) {
      listener.holding(List.copyOf(strokes), held.during(e));
      return;
    }
    Optional<Press> press = held.press(e, layout.get());
    if (press.isEmpty()) {
      listener.untold();
      return;
    }
    if (isEscape(press.get()) && !strokes.isEmpty() && isEscape(strokes.getLast())) {
      leave();
      return;
    }
    strokes.add(press.get());
    limit.playFromStart();
    listener.pressed(List.copyOf(strokes));
    boolean full = strokes.size() == Trigger.Keys.MOST_STROKES;
    if (full || (strokes.size() >= mostStrokes.getAsInt() && !isEscape(press.get()))) {
      end();
    }
  }

  /** A dead key comes as text being composed, without a press that could be told. */
  private void compose(InputMethodEvent e) {
    e.consume();
    listener.untold();
  }

  private static boolean isEscape(Press press) {
    return press.code() == KeyCode.ESCAPE && press.held().isEmpty();
  }

  private void end() {
    boolean shown = scene.getWindow() != null && scene.getWindow().isShowing();
    stop();
    if (shown) {
      listener.ended(List.copyOf(strokes));
    }
  }
}
