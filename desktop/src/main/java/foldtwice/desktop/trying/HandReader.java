package foldtwice.desktop.trying;

import foldtwice.desktop.session.Session;
import foldtwice.desktop.standin.StandInWindow;
import foldtwice.recording.Route;
import foldtwice.routine.Yardstick.Meant;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.collections.ListChangeListener;
import javafx.event.EventHandler;
import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ComboBoxBase;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.stage.PopupWindow;
import javafx.stage.Window;

/**
 * Reads what hand and pointer really do while a routine is recorded: in the window of a stand-in,
 * in its dialogs, and in the menus and lists that open over it, which are windows of their own.
 */
final class HandReader {

  private static final Set<KeyCode> MODIFIERS =
      Set.of(
          KeyCode.SHIFT,
          KeyCode.CONTROL,
          KeyCode.ALT,
          KeyCode.ALT_GRAPH,
          KeyCode.META,
          KeyCode.WINDOWS,
          KeyCode.COMMAND);

  /** What ends a text. */
  private static final Set<KeyCode> ENDS = Set.of(KeyCode.ENTER, KeyCode.TAB, KeyCode.ESCAPE);

  private final Session session;
  private final Set<KeyCode> down = new HashSet<>();
  private final EventHandler<MouseEvent> onPress = this::clicked;
  private final EventHandler<KeyEvent> onKey = this::key;
  private final EventHandler<KeyEvent> onUp = e -> down.remove(e.getCode());
  private final ListChangeListener<Window> onWindows = this::windows;

  HandReader(Session session) {
    this.session = session;
    ReadOnlyIntegerProperty heard = session.recorder().heardProperty();
    heard.addListener(
        (o, was, is) -> {
          boolean on = is.intValue() >= 0;
          if (on != was.intValue() >= 0) {
            down.clear();
            if (on) {
              Window.getWindows().addListener(onWindows);
            } else {
              Window.getWindows().removeListener(onWindows);
            }
          }
        });
  }

  /** Follows what is done in a window from now on. */
  void listen(StandInWindow window) {
    window.addEventFilter(MouseEvent.MOUSE_PRESSED, onPress);
    window.addEventFilter(KeyEvent.KEY_PRESSED, onKey);
    window.addEventFilter(KeyEvent.KEY_RELEASED, onUp);
    window.setOnWaited(millis -> session.recorder().route().ifPresent(r -> r.waited(millis)));
  }

  /** Menus and lists are followed as long as they are open. */
  private void windows(ListChangeListener.Change<? extends Window> change) {
    while (change.next()) {
      for (Window w : change.getAddedSubList()) {
        if (w instanceof PopupWindow popup && isOverProgram(popup)) {
          popup.addEventFilter(MouseEvent.MOUSE_PRESSED, onPress);
          popup.addEventFilter(KeyEvent.KEY_PRESSED, onKey);
          popup.addEventFilter(KeyEvent.KEY_RELEASED, onUp);
        }
      }
    }
  }

  /** True for what a stand-in has opened, itself or through another that it has opened. */
  private static boolean isOverProgram(PopupWindow popup) {
    for (PopupWindow p = popup; ; ) {
      for (Node n = p.getOwnerNode(); n != null; n = n.getParent()) {
        if (n instanceof StandInWindow) {
          return true;
        }
      }
      if (!(p.getOwnerWindow() instanceof PopupWindow over)) {
        return false;
      }
      p = over;
    }
  }

  private void clicked(MouseEvent e) {
    Optional<Route> route = session.recorder().route();
    if (route.isPresent() && e.getTarget() instanceof Node n) {
      Node what = worked(n);
      double width = what.getBoundsInLocal().getWidth();
      route.get().click(e.getScreenX(), e.getScreenY(), width, meant(what));
    }
  }

  /** The control a part belongs to; else the part itself. */
  private static Node worked(Node part) {
    for (Node n = part; n != null && !(n instanceof StandInWindow); n = n.getParent()) {
      if (isCommand(n) || n instanceof TextInputControl || n instanceof ComboBoxBase<?>) {
        return n;
      }
    }
    return part;
  }

  private static boolean isCommand(Node n) {
    return n instanceof ButtonBase
        || n.getStyleClass().contains("menu-item")
        || n.getStyleClass().contains("menu-button")
        || n.getStyleClass().contains("menu");
  }

  /** Menus and buttons say what to do; fields, choices and things what to do it with. */
  private static Meant meant(Node what) {
    return isCommand(what) ? Meant.COMMAND : Meant.ARGUMENT;
  }

  private void key(KeyEvent e) {
    Optional<Route> found = session.recorder().route();
    if (found.isEmpty() || !down.add(e.getCode())) {
      return; // nobody counts, or the key repeats by itself
    }
    Route route = found.get();
    if (MODIFIERS.contains(e.getCode())) {
      route.modifier();
      return;
    }
    boolean chord = e.isControlDown() || e.isAltDown() || e.isMetaDown();
    boolean typing =
        e.getTarget() instanceof TextInputControl
            || session.now().library().takesText(session.computer().front().place());
    Meant meant =
        chord || !typing
            ? ENDS.contains(e.getCode()) && route.isTyping() ? Meant.END : Meant.COMMAND
            : ENDS.contains(e.getCode()) ? Meant.END : Meant.ARGUMENT;
    route.key(e.getCode().name(), meant);
  }
}
