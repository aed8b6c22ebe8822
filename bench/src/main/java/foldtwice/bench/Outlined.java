package foldtwice.bench;

import foldtwice.desktop.collect.CollectView;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.file.LibraryJson;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Head;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import javafx.application.Platform;
import javafx.event.Event;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/**
 * How long a key takes in the outline of a macro of two thousand steps, some inside others: from
 * the key to what is shown, laid out. Prints medians and 95th percentiles in milliseconds.
 */
public final class Outlined {

  private static final int STEPS = 2_000;
  private static final int ROUNDS = 160;
  private static final int WARM = 100;

  private static final List<String> ONLY = new ArrayList<>();

  private Outlined() {}

  /** Takes the names of what is to be measured; none for all. */
  public static void main(String[] names) throws Exception {
    ONLY.addAll(List.of(names));
    Path file = Files.createTempDirectory("outlined").resolve("library.json");
    Path demo = Path.of(System.getProperty("foldtwice.home"), "demo", "fernhollow.json");
    Library library = LibraryJson.read(Files.readAllBytes(demo));
    Files.writeString(file, LibraryJson.write(new Edit.PutRoutine(macro()).on(library)));
    Opened opened = Opened.over(file);
    Scene scene = opened.scene();
    CollectView[] view = new CollectView[1];
    Opened.on(
        () -> {
          view[0] = opened.frame().show(CollectView.class);
          view[0].choose("long");
        });
    Thread.sleep(4_000); // the first audit, the looking for folds
    Node outline = scene.lookup("#outline");
    Opened.on(outline::requestFocus);
    measure("down", () -> key(scene, KeyCode.DOWN));
    measure("off and on", () -> key(scene, KeyCode.SPACE));
    measure("several with Shift", () -> shifted(scene));
    measure("all of these off and on", () -> key(scene, KeyCode.SPACE));
    Opened.on(() -> view[0].chooseStep("1000"));
    measure("down in the middle", () -> key(scene, KeyCode.DOWN));
    Opened.on(() -> view[0].chooseStep("1500"));
    Opened.on(() -> view[0].chooseStep("1502"));
    Thread.sleep(300);
    Opened.on(() -> scene.lookup("#step-field-1").requestFocus());
    measure("a letter in a field", () -> typed(scene, "1"));
    Opened.on(() -> scene.lookup("#add-step").requestFocus());
    measure("a letter of a new step", () -> typed(scene, "r"));
    ScrollPane pane = around(outline);
    double[] to = new double[1];
    measure(
        "scrolling",
        () -> {
          to[0] += 0.004;
          pane.setVvalue(to[0]);
        });
    measure("scrolling far", () -> pane.setVvalue((pane.getVvalue() + 0.37) % 1));
    System.exit(0);
  }

  private static ScrollPane around(Node node) {
    Node at = node;
    while (!(at instanceof ScrollPane)) {
      at = at.getParent();
    }
    return (ScrollPane) at;
  }

  private static Routine macro() {
    List<Line> lines = new ArrayList<>();
    for (int i = 0; i < STEPS; i += 5) {
      lines.add(new Line(new Step.Choose(Template.all(List.of("Edit", "Duplicate")))));
      lines.add(new Line(new Step.SetVariable("n", ExprNotation.read(i + " mm"))));
      lines.add(
          new Line(
              new Step.Repeat(
                  ExprNotation.read("3"),
                  List.of(
                      new Line(new Step.Note(new Template("turn " + i + " of \u2039n\u203a")))))));
      lines.add(new Line(new Step.Choose(Template.all(List.of("Box", "Lock")))));
    }
    return new Routine.Macro(Head.of("long", "A long one", "tagpress", List.of()), lines);
  }

  private static void measure(String name, Runnable what) throws Exception {
    if (!ONLY.isEmpty() && !ONLY.contains(name)) {
      return;
    }
    List<Double> took = new ArrayList<>();
    List<Double> itself = new ArrayList<>();
    for (int i = 0; i < ROUNDS; i++) {
      Thread.sleep(60);
      double[] own = new double[1];
      long[] began = new long[1];
      CountDownLatch drawn = new CountDownLatch(1);
      Opened.on(
          () -> {
            began[0] = System.nanoTime();
            what.run();
            own[0] = (System.nanoTime() - began[0]) / 1e6;
            Platform.runLater(
                () -> {
                  Scene scene = javafx.stage.Window.getWindows().getFirst().getScene();
                  scene.getRoot().applyCss();
                  scene.getRoot().layout();
                  drawn.countDown();
                });
          });
      drawn.await();
      if (i >= WARM) {
        took.add((System.nanoTime() - began[0]) / 1e6);
        itself.add(own[0]);
      }
    }
    took.sort(null);
    itself.sort(null);
    System.out.printf(
        "%-22s laid out: at best %.1f, median %.1f, 95th percentile %.1f; the key itself %.1f, %.1f and %.1f ms%n",
        name,
        Opened.at(took, 0),
        Opened.at(took, 0.5),
        Opened.at(took, 0.95),
        Opened.at(itself, 0),
        Opened.at(itself, 0.5),
        Opened.at(itself, 0.95));
  }

  private static void key(Scene scene, KeyCode code) {
    fire(scene, KeyEvent.KEY_PRESSED, "", code, false);
    fire(scene, KeyEvent.KEY_RELEASED, "", code, false);
  }

  private static void shifted(Scene scene) {
    fire(scene, KeyEvent.KEY_PRESSED, "", KeyCode.DOWN, true);
    fire(scene, KeyEvent.KEY_RELEASED, "", KeyCode.DOWN, true);
  }

  private static void typed(Scene scene, String letter) {
    fire(scene, KeyEvent.KEY_TYPED, letter, KeyCode.UNDEFINED, false);
  }

  private static void fire(
      Scene scene,
      javafx.event.EventType<KeyEvent> type,
      String text,
      KeyCode code,
      boolean shift) {
    Event.fireEvent(
        scene.getFocusOwner(), new KeyEvent(type, text, text, code, shift, false, false, false));
  }
}
