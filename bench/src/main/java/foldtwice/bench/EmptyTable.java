package foldtwice.bench;

import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import javafx.stage.Stage;

/** The rival of starting: a window with one empty table. */
public final class EmptyTable {

  /** What both windows say when they can be used. */
  static final String OPEN = "the window is open";

  private EmptyTable() {}

  public static void main(String[] args) {
    Application.launch(Window.class, args);
  }

  /** The window. */
  public static final class Window extends Application {
    @Override
    public void start(Stage stage) {
      TableView<String> table = new TableView<>();
      for (int i = 0; i < 6; i++) {
        table.getColumns().add(new TableColumn<>("Column " + i));
      }
      stage.setScene(new Scene(table, 1280, 800));
      stage.setOnShown(e -> Platform.runLater(() -> System.out.println(OPEN)));
      stage.show();
    }
  }
}
