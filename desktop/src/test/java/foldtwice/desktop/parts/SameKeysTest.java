package foldtwice.desktop.parts;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.desktop.Toolkit;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.layout.Pane;
import javafx.scene.layout.VBox;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The keys are where they were, however often what is shown is made anew. */
class SameKeysTest {

  private Pane within;
  private Pane root;
  private Scene scene;

  @BeforeAll
  static void start() throws Exception {
    Toolkit.start();
  }

  @BeforeEach
  void open() {
    Toolkit.ask(
        () -> {
          within = new VBox(button("a"), button("b"), button("c"));
          root = new VBox(within, button("outside"));
          scene = new Scene(root, 300, 200);
          return true;
        });
  }

  private static Button button(String id) {
    Button button = new Button(id);
    button.setId(id);
    return button;
  }

  private String after(String focused, Runnable change) {
    return Toolkit.ask(
        () -> {
          scene.lookup("#" + focused).requestFocus();
          SameKeys.during(within, change);
          Node owner = scene.getFocusOwner(); // one that is gone is given up with the next frame
          return owner == null || owner.getScene() != scene ? "" : owner.getId();
        });
  }

  @Test
  void theOneOfTheSameNameGetsThem() {
    assertThat(after("b", () -> within.getChildren().setAll(button("a"), button("b"), button("c"))))
        .isEqualTo("b");
  }

  @Test
  void whoIsTakenOutAndPutBackKeepsThem() {
    assertThat(
            after(
                "b",
                () -> {
                  var b = scene.lookup("#b");
                  within.getChildren().remove(b);
                  within.getChildren().add(b);
                }))
        .isEqualTo("b");
  }

  @Test
  void anotherKindOfTheSameNameIsAnother() {
    assertThat(
            after(
                "b",
                () -> {
                  TextField field = new TextField();
                  field.setId("b");
                  within.getChildren().setAll(button("a"), field);
                }))
        .isNotEqualTo("b");
  }

  @Test
  void whatTheChangeGaveThemToKeepsThem() {
    assertThat(after("b", () -> scene.lookup("#c").requestFocus())).isEqualTo("c");
  }

  @Test
  void keysElsewhereStayElsewhere() {
    assertThat(after("outside", () -> within.getChildren().setAll(button("a"), button("outside"))))
        .isEqualTo("outside");
    assertThat(Toolkit.ask(() -> scene.getFocusOwner().getParent())).isEqualTo(root);
  }

  /** A disabled or hidden one cannot have them. */
  @Test
  void theyDoNotGoToWhatCannotHaveThem() {
    assertThat(
            after(
                "b",
                () -> {
                  Button gone = button("b");
                  gone.setVisible(false);
                  Button shut = button("b");
                  shut.setDisable(true);
                  within.getChildren().setAll(gone, shut);
                }))
        .isNotEqualTo("b");
  }
}
