package foldtwice.desktop.bind;

import foldtwice.binding.Binding;
import foldtwice.desktop.parts.Capture;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.view.Acts;
import foldtwice.place.Application;
import foldtwice.routine.Routine;
import foldtwice.trigger.Layout;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Press;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.layout.Region;

/** Reads the keys that are to set a binding off, as they are pressed, with the button for it. */
final class KeysRead implements Capture.Listener {

  /** Who wants the keys. */
  interface Wanted {

    /** Shows how far it has come. */
    void consider(Node what);

    /** Advises on what has been pressed so far. */
    void advise(Trigger trigger);

    /** Nothing has been pressed yet. */
    void unadvise();

    /** What was pressed, and another binding that is to have the other half of it. */
    void offer(List<Trigger> triggers, Optional<Binding> other);

    /** Nothing shall be read any more. */
    void left();
  }

  private final Session session;
  private final TriggerEdits edits;
  private final Wanted wanted;
  private final Capture capture;
  private final Node part;
  private final Button press;

  /** True while the stroke that is read is one to be held. */
  private boolean holding;

  /** What shall run as that comes up; none for the same binding. */
  private Optional<Routine> release = Optional.empty();

  /**
   * Reads nothing yet.
   *
   * @param part where they are pressed; reading ends when somebody goes elsewhere
   * @param press begins and ends it
   */
  KeysRead(Session session, TriggerEdits edits, Node part, Button press, Wanted wanted) {
    this.session = session;
    this.edits = edits;
    this.part = part;
    this.wanted = wanted;
    this.press = press;
    this.capture = new Capture(() -> session.now().keymap().layout(), this::mostStrokes, this);
    press.setOnAction(
        e -> {
          if (isOn()) {
            wanted.left();
          } else {
            start(false);
          }
        });
  }

  /** The button that begins and ends it. */
  static Button button() {
    Button press = Skins.on(new Button(Ui.text("sets.press")));
    press.setId("press-keys");
    Acts.tip(press, "press-keys", "");
    press.setMinWidth(Region.USE_PREF_SIZE);
    return press;
  }

  /** Starts reading keys; they replace the chosen trigger, or are added to the others. */
  void start(boolean add) {
    if (edits.binding() == null || !session.mayWrite()) {
      return;
    }
    edits.adding(add);
    capture.start(part);
    press.setText(Ui.text("sets.stop"));
    show(List.of(), Modifiers.NONE, Ui.text("sets.pressing"));
    wanted.unadvise();
  }

  /** The same for one stroke that is held, and what runs as it comes up. */
  void startHeld(Optional<Routine> onRelease) {
    start(false);
    holding = true;
    release = onRelease;
  }

  boolean isOn() {
    return capture.isOn();
  }

  void stop() {
    holding = false;
    capture.stop();
    press.setText(Ui.text("sets.press"));
  }

  /** As many as the application takes: where single strokes are taken, nothing is waited for. */
  private int mostStrokes() {
    if (holding) {
      return 1;
    }
    return edits.application().map(Application::mostStrokes).orElse(Trigger.Keys.MOST_STROKES);
  }

  private void show(List<Press> strokes, Modifiers held, String hint) {
    wanted.consider(TriggerCards.capturing(strokesOf(strokes), held, hint));
  }

  private List<Stroke> strokesOf(List<Press> presses) {
    Layout layout = session.now().keymap().layout();
    return presses.stream().map(layout::stroke).toList();
  }

  @Override
  public void holding(List<Press> strokes, Modifiers held) {
    show(strokes, held, Ui.text(strokes.isEmpty() ? "sets.pressing" : "sets.further"));
  }

  @Override
  public void pressed(List<Press> strokes) {
    show(strokes, Modifiers.NONE, Ui.text("sets.further"));
    wanted.advise(new Trigger.Keys(strokesOf(strokes)));
  }

  @Override
  public void untold() {
    show(List.of(), Modifiers.NONE, Ui.text("sets.untold"));
  }

  @Override
  public void left() {
    wanted.left();
  }

  @Override
  public void ended(List<Press> strokes) {
    boolean held = holding;
    stop();
    if (!held) {
      wanted.offer(List.of(new Trigger.Keys(strokesOf(strokes))), Optional.empty());
      return;
    }
    Stroke stroke = strokesOf(strokes).getFirst();
    Trigger down = new Trigger.Held(stroke, Trigger.Edge.DOWN);
    Trigger up = new Trigger.Held(stroke, Trigger.Edge.UP);
    release.ifPresentOrElse(
        routine ->
            wanted.offer(List.of(down), Optional.of(edits.other(routine.id(), Map.of(), up))),
        () -> wanted.offer(List.of(down, up), Optional.empty()));
  }
}
