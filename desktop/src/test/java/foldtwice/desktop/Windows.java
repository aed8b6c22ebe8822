package foldtwice.desktop;

import foldtwice.desktop.frame.Frame;
import foldtwice.desktop.parts.Theme;
import java.util.ArrayDeque;
import java.util.Deque;
import javafx.scene.Scene;
import javafx.scene.layout.StackPane;
import javafx.stage.Stage;

/** Where the windows of the tests come from; on the interface thread. */
enum Windows {
  /** One of its own, as the application opens them. */
  OWN {
    @Override
    Stage open(Frame frame, Theme theme) {
      Stage stage = new Stage();
      stage.setScene(frame.scene(WIDTH, HEIGHT));
      show(stage);
      return stage;
    }

    @Override
    void close(Stage stage) {
      stage.hide();
    }
  },

  /**
   * One that another test has closed, where there is one. What the style sheets come to is kept
   * with the root of a window; to work it out takes longer than most tests.
   */
  AGAIN {
    @Override
    Stage open(Frame frame, Theme theme) {
      Stage stage = CLOSED.isEmpty() ? fresh() : CLOSED.pop();
      Scene scene = stage.getScene();
      ((StackPane) scene.getRoot()).getChildren().setAll(frame);
      theme.on(scene);
      stage.setWidth(WIDTH);
      stage.setHeight(HEIGHT);
      show(stage);
      return stage;
    }

    private Stage fresh() {
      Stage stage = new Stage();
      stage.setScene(new Scene(new StackPane(), WIDTH, HEIGHT));
      return stage;
    }

    @Override
    void close(Stage stage) {
      stage.hide();
      ((StackPane) stage.getScene().getRoot()).getChildren().clear();
      CLOSED.push(stage);
    }
  };

  private static final double WIDTH = 1280;
  private static final double HEIGHT = 800;
  private static final Deque<Stage> CLOSED = new ArrayDeque<>();

  /** Shows a frame in a window, and gives it the keys. */
  abstract Stage open(Frame frame, Theme theme);

  /** Closes it. */
  abstract void close(Stage stage);

  private static void show(Stage stage) {
    stage.setX(0);
    stage.setY(0);
    stage.show();
    stage.requestFocus();
  }
}
