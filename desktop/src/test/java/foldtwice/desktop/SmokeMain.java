package foldtwice.desktop;

import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.FutureTask;
import java.util.concurrent.TimeUnit;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import javafx.scene.robot.Robot;
import javafx.stage.Window;

/**
 * Works the application in a real window of the display it is started on, and prints what it sees.
 * Started by {@link WindowSmokeTest} in a process of its own: {@code SmokeMain LIBRARY}.
 */
final class SmokeMain {

  private SmokeMain() {}

  public static void main(String[] args) throws Exception {
    Thread application = new Thread(() -> Launch.main(args), "application");
    application.start();
    Scene scene = null;
    while (scene == null) {
      Thread.sleep(200);
      scene = shown();
    }
    Scene window = scene;
    ask(
        () -> {
          window.getWindow().requestFocus();
          Robot robot = new Robot();
          robot.mouseMove(
              window.getWindow().getX() + window.getWidth() / 2,
              window.getWindow().getY() + window.getHeight() - 10);
          return robot;
        });
    until("the window has the keys", () -> window.getWindow().isFocused());
    press(KeyCode.F4);
    until("keys are captured", () -> window.lookup("#capturing") != null);
    press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.M);
    until("the trigger is taken", () -> text(window, "#said").startsWith("Replaced"));
    print("advice", window, "#here .label");
    print("said", window, "#said");
    press(KeyCode.F5);
    until("it was fired", () -> window.lookup("#result .changed") != null);
    print("fired", window, "#result .changed");
    ask(
        () -> {
          Platform.exit();
          return true;
        });
    application.join();
    System.exit(0);
  }

  private static Scene shown() throws Exception {
    try {
      return ask(
          () ->
              Window.getWindows().stream()
                  .filter(Window::isShowing)
                  .map(Window::getScene)
                  .findFirst()
                  .orElse(null));
    } catch (IllegalStateException notStartedYet) {
      return null;
    }
  }

  private static void press(KeyCode... keys) throws Exception {
    ask(
        () -> {
          Robot robot = new Robot();
          List.of(keys).forEach(robot::keyPress);
          List.of(keys).reversed().forEach(robot::keyRelease);
          return true;
        });
  }

  /** Waits as long as a slow machine may need; says what it waited for in vain. */
  private static void until(String what, Callable<Boolean> holds) throws Exception {
    for (int i = 0; i < 300; i++) {
      if (ask(holds)) {
        return;
      }
      Thread.sleep(200);
    }
    System.out.println("waited in vain until " + what);
    System.exit(1);
  }

  private static void print(String name, Scene scene, String selector) throws Exception {
    System.out.println(name + " " + ask(() -> text(scene, selector)));
  }

  private static String text(Scene scene, String selector) {
    return scene.lookup(selector) instanceof Labeled l ? l.getText() : "nothing";
  }

  private static <T> T ask(Callable<T> what) throws Exception {
    FutureTask<T> task = new FutureTask<>(what);
    Platform.runLater(task);
    return task.get(30, TimeUnit.SECONDS);
  }
}
