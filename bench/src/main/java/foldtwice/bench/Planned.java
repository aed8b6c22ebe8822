package foldtwice.bench;

import foldtwice.desktop.bind.BindView;
import foldtwice.desktop.frame.Frame;
import foldtwice.desktop.plan.PlanView;
import foldtwice.desktop.session.WorkingCopy;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.Scene;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Spinner;
import javafx.scene.input.KeyCode;
import javafx.scene.robot.Robot;

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
    Path file = Files.createTempDirectory("planned").resolve("demo.json");
    Files.copy(WorkingCopy.demo(), file);
    Opened demo = Opened.over(file);
    Frame frame = demo.frame();
    scene = demo.scene();
    Opened.on(() -> robot = new Robot());
    series(demo, "no plan");
    Opened.on(
        () -> {
          PlanView plan = frame.show(PlanView.class);
          everyProgram();
          plan.look();
        });
    series(demo, "a plan is looked for");
    boolean[] still = new boolean[1];
    Opened.on(
        () -> {
          frame.show(PlanView.class);
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

  private static void series(Opened demo, String name) throws Exception {
    List<Double> millis = new ArrayList<>();
    Opened.on(() -> demo.frame().show(BindView.class).takeKeys());
    for (int i = 0; i < PRESSES; i++) {
      Thread.sleep(120);
      double took =
          demo.untilLaidOut(
              () -> {
                robot.keyPress(KeyCode.DOWN);
                robot.keyRelease(KeyCode.DOWN);
              });
      if (i >= WARM) {
        millis.add(took);
      }
    }
    millis.sort(null);
    System.out.printf(
        "%s: median %.1f ms, 95th percentile %.1f ms%n",
        name, millis.get(millis.size() / 2), millis.get((int) (0.95 * (millis.size() - 1))));
  }
}
