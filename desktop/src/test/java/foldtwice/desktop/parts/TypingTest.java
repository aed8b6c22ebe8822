package foldtwice.desktop.parts;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.desktop.Toolkit;
import javafx.event.Event;
import javafx.scene.Scene;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Pane;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What is typed is its writer's until it is taken or given up, whatever is shown anew. */
class TypingTest {

  private Stage stage;
  private Pane pane;
  private TextField field;
  private Typing typing;

  /** What is kept: a number. */
  private String kept = "1";

  @BeforeAll
  static void start() throws Exception {
    Toolkit.start();
  }

  @BeforeEach
  void open() {
    Toolkit.ask(
        () -> {
          field = new TextField(kept);
          pane = new VBox(field);
          typing = new Typing(pane, () -> "one thing");
          Parts.onKept(
              field,
              () -> {
                if (field.getText().matches("\\d+") && !field.getText().equals(kept)) {
                  kept = field.getText();
                  typing.during(pane, () -> field.setText(kept + " mm"));
                }
              });
          stage = new Stage();
          stage.setScene(new Scene(pane, 300, 200));
          stage.show();
          stage.requestFocus();
          field.requestFocus();
          return true;
        });
  }

  @AfterEach
  void close() {
    Toolkit.ask(
        () -> {
          stage.close();
          return true;
        });
  }

  private void press(KeyCode code) {
    Toolkit.ask(
        () -> {
          Event.fireEvent(
              field, new KeyEvent(KeyEvent.KEY_PRESSED, "", "", code, false, false, false, false));
          return true;
        });
  }

  private void type(String text) {
    Toolkit.ask(
        () -> {
          field.setText(text);
          return true;
        });
  }

  /** What stands in the field after something else has changed. */
  private String afterAChange() {
    return Toolkit.ask(
        () -> {
          typing.during(pane, () -> field.setText(kept + " mm"));
          return field.getText();
        });
  }

  @Test
  void staysWhileItIsTyped() {
    type("2");
    assertThat(afterAChange()).isEqualTo("2");
  }

  @Test
  void isShownAsItIsKeptOnceItIsHandedIn() {
    type("2");
    press(KeyCode.ENTER);
    assertThat(kept).isEqualTo("2");
    assertThat(afterAChange()).isEqualTo("2 mm");
  }

  @Test
  void isGoneWhenItIsGivenUp() {
    type("2");
    press(KeyCode.ESCAPE);
    assertThat(afterAChange()).isEqualTo("1 mm");
  }

  /** Who is told what is wrong with it corrects it, and does not type all of it again. */
  @Test
  void staysWhenItIsRefused() {
    type("two");
    press(KeyCode.ENTER);
    assertThat(kept).isEqualTo("1");
    assertThat(afterAChange()).isEqualTo("two");
    type("22");
    assertThat(afterAChange()).isEqualTo("22");
    press(KeyCode.ENTER);
    assertThat(afterAChange()).isEqualTo("22 mm");
  }
}
