package foldtwice.bench;

import foldtwice.desktop.bind.BindView;
import foldtwice.desktop.frame.Frame;
import foldtwice.desktop.parts.Theme;
import foldtwice.desktop.plan.PlanView;
import foldtwice.desktop.session.Faults;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.WorkingCopy;
import foldtwice.library.file.LibraryStore;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.FutureTask;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Spinner;
import javafx.scene.input.KeyCode;
import javafx.scene.robot.Robot;
import javafx.stage.Stage;

/**
 * How long a key press takes until it is laid out, while a plan of all programs of the demo library
 * is looked for, and while none is: an arrow in the register of Bind, again and again. Prints
 * medians and 95th percentiles in milliseconds.
 */
public final class Planned {

  private static final int PRESSES = 100;
  private static final int WARM = 30;
  private static Scene scene;
  private static Robot robot;

  private Planned() {}

  /** Takes no arguments. */
  public static void main(String[] none) throws Exception {
    System.setProperty("glass.platform", "Headless");
    System.setProperty("prism.order", "sw");
    Path file = Files.createTempDirectory("planned").resolve("demo.json");
    Files.copy(WorkingCopy.demo(), file);
    CountDownLatch up = new CountDownLatch(1);
    Platform.startup(up::countDown);
    up.await();
    LibraryStore store = LibraryStore.open(file, "bench", Clock.systemUTC());
    Frame[] frame = new Frame[1];
    on(
        () -> {
          Theme.install();
          frame[0] = new Frame(new Session(store), new Theme(), new Faults());
          scene = frame[0].scene(1280, 800);
          Stage stage = new Stage();
          stage.setScene(scene);
          stage.show();
          stage.requestFocus();
          robot = new Robot();
        });
    series(frame[0], "no plan");
    on(
        () -> {
          PlanView plan = frame[0].show(PlanView.class);
          everyProgram();
          plan.look();
        });
    series(frame[0], "a plan is looked for");
    boolean[] still = new boolean[1];
    on(
        () -> {
          frame[0].show(PlanView.class);
          still[0] = scene.lookup("#plan-stop").isVisible();
        });
    System.out.println(still[0] ? "it was looked for all the while" : "it was found before");
    System.exit(0);
  }

  @SuppressWarnings("unchecked")
  private static void everyProgram() {
    ((ComboBox<String>) scene.lookup("#plan-application")).setValue("");
    ((Spinner<Integer>) scene.lookup("#plan-moves")).getValueFactory().setValue(40);
  }

  private static void on(Runnable what) throws Exception {
    FutureTask<Object> task = new FutureTask<>(what, null);
    Platform.runLater(task);
    task.get();
  }

  private static void series(Frame frame, String name) throws Exception {
    List<Double> millis = new ArrayList<>();
    on(() -> frame.show(BindView.class).takeKeys());
    for (int i = 0; i < PRESSES; i++) {
      Thread.sleep(120);
      CountDownLatch shown = new CountDownLatch(1);
      long began = System.nanoTime();
      on(
          () -> {
            Runnable[] listener = new Runnable[1];
            listener[0] =
                () -> {
                  scene.removePostLayoutPulseListener(listener[0]);
                  shown.countDown();
                };
            robot.keyPress(KeyCode.DOWN);
            robot.keyRelease(KeyCode.DOWN);
            scene.addPostLayoutPulseListener(listener[0]);
            Platform.requestNextPulse();
          });
      shown.await();
      if (i >= WARM) {
        millis.add((System.nanoTime() - began) / 1e6);
      }
    }
    millis.sort(null);
    System.out.printf(
        "%s: median %.1f ms, 95th percentile %.1f ms%n",
        name, millis.get(millis.size() / 2), millis.get((int) (0.95 * (millis.size() - 1))));
  }
}
