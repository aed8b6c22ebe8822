package foldtwice.desktop.begin;

import foldtwice.desktop.parts.KeepsKeys;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Ui;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.KeyboardSearch;
import foldtwice.trigger.KeyboardSearch.Keyboard;
import foldtwice.trigger.KeyboardSearch.Question;
import foldtwice.trigger.KeyboardSearch.Spot;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Shape;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.scene.control.Label;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Pane;
import javafx.scene.layout.VBox;

/**
 * Finds out which keyboard is here by having keys pressed: the one that is dark in the picture, two
 * to five times. Keys are named where all keyboards that still fit agree on them.
 */
final class WhichKeyboard extends VBox implements KeepsKeys {

  private static final double UNIT = 31;
  private static final double GAP = 3;

  private final Label asks = Parts.wrapped("", "strong");
  private final Label left = Parts.wrapped("", "soft");
  private final Pane picture = new Pane();
  private final Consumer<Keyboard> found;
  private KeyboardSearch search = KeyboardSearch.all();
  private int presses;

  /**
   * @param found gets the keyboard when one is left
   */
  WhichKeyboard(Consumer<Keyboard> found) {
    super(8);
    this.found = found;
    setId("which-keyboard");
    getStyleClass().add("which-keyboard");
    setFocusTraversable(true);
    setAccessibleText(Ui.text("begin.keyboard"));
    asks.setId("keyboard-asks");
    left.setId("keyboard-left");
    picture.setMinHeight(4 * UNIT + 4);
    getChildren().addAll(asks, picture, left);
    addEventHandler(KeyEvent.KEY_TYPED, this::typed);
    addEventHandler(KeyEvent.KEY_PRESSED, this::pressed);
    setOnMousePressed(e -> requestFocus());
    show();
  }

  /** From the first question on again. */
  void anew() {
    search = KeyboardSearch.all();
    presses = 0;
    show();
    requestFocus();
  }

  /** A dead key types nothing; all others are told by what they type. */
  private void pressed(KeyEvent e) {
    if (e.getCode().name().startsWith("DEAD_")) {
      answer("");
      e.consume();
    }
  }

  private void typed(KeyEvent e) {
    String typed = e.getCharacter().toLowerCase(Locale.ROOT);
    if (typed.isBlank() || typed.codePoints().anyMatch(Character::isISOControl)) {
      return; // Tab and Enter lead on
    }
    answer(typed);
    e.consume();
  }

  private void answer(String typed) {
    Optional<Question> asked = search.next();
    if (asked.isEmpty()) {
      return;
    }
    presses++;
    search = search.after(asked.get(), typed);
    show();
    if (!search.left().isEmpty() && search.next().isEmpty()) {
      found.accept(search.left().getFirst());
    }
  }

  private void show() {
    Optional<Question> next = search.next();
    if (search.left().isEmpty()) {
      asks.setText(Ui.text("begin.keyboard.none"));
      left.setText(Ui.text("begin.keyboard.choose"));
    } else if (next.isEmpty()) {
      Keyboard is = search.left().getFirst();
      asks.setText(
          Ui.text("begin.keyboard.found", is.layout().toUpperCase(Locale.ROOT), is.shape()));
      left.setText(Ui.text("begin.keyboard.presses", presses));
    } else {
      asks.setText(words(next.get()));
      Set<String> layouts =
          search.left().stream().map(Keyboard::layout).collect(Collectors.toSet());
      left.setText(
          presses == 0
              ? Ui.text("begin.keyboard.first")
              : Ui.text(
                  "begin.keyboard.left",
                  search.left().stream()
                      .map(k -> k.layout().toUpperCase(Locale.ROOT))
                      .distinct()
                      .collect(Collectors.joining(", ")),
                  layouts.size()));
    }
    draw(next);
  }

  private static String words(Question question) {
    String which =
        switch (question.spot()) {
          case Spot.Beside.LEFT_SHIFT -> Ui.text("begin.press.left-shift");
          case Spot.Beside.RIGHT_SHIFT -> Ui.text("begin.press.right-shift");
          case Spot.Beside.BACKSPACE -> Ui.text("begin.press.backspace");
          case Spot.At a -> Ui.text("begin.press.dark");
        };
    return question.held().equals(Modifiers.NONE)
        ? which
        : Ui.text("begin.press.altgr") + " " + which;
  }

  private void draw(Optional<Question> next) {
    picture.getChildren().clear();
    if (search.left().isEmpty()) {
      return;
    }
    Shape shape = search.left().getFirst().shape();
    Optional<KeyCode> dark = next.map(q -> q.spot().on(shape));
    for (Shape.Cap cap : shape.caps()) {
      if (cap.y() > 3 || cap.x() + cap.width() > 15.1) {
        continue; // the bottom row and the arrows are the same everywhere
      }
      Label key =
          Skins.on(
              new Label(dark.filter(cap.code()::equals).isPresent() ? "?" : legend(cap.code())));
      key.getStyleClass().add("begin-key");
      if (key.getText().isEmpty()) {
        key.getStyleClass().add("begin-key-open");
      }
      if (dark.filter(cap.code()::equals).isPresent()) {
        key.getStyleClass().add("begin-key-asked");
      }
      key.setMinSize(cap.width() * UNIT - GAP, UNIT - GAP);
      key.setMaxSize(cap.width() * UNIT - GAP, UNIT - GAP);
      key.resizeRelocate(cap.x() * UNIT, cap.y() * UNIT + 2, cap.width() * UNIT - GAP, UNIT - GAP);
      picture.getChildren().add(key);
    }
  }

  /** What is printed on a key, where all keyboards that fit agree. */
  private String legend(KeyCode code) {
    Set<String> all =
        search.left().stream()
            .map(k -> k.types(new Question(new Spot.At(code), Modifiers.NONE)))
            .collect(Collectors.toSet());
    String one = all.size() == 1 ? all.iterator().next() : "";
    return one.isBlank() ? "" : one.toUpperCase(Locale.ROOT);
  }
}
