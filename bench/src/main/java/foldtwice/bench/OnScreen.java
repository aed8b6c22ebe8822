package foldtwice.bench;

import foldtwice.binding.Binding;
import foldtwice.desktop.atlas.AtlasView;
import foldtwice.desktop.bind.BindView;
import foldtwice.desktop.frame.Frame;
import foldtwice.desktop.session.WorkingCopy;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.file.LibraryJson;
import foldtwice.place.Place;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Trigger;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.CountDownLatch;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Pane;
import javafx.scene.robot.Robot;
import javafx.scene.text.Text;

/**
 * From a key of a capture to its advice on the screen, and from a modifier to the atlas, in the
 * real window on the headless platform, over the demo library with bindings up to ten thousand.
 * Prints the medians and the 95th percentiles in milliseconds.
 */
public final class OnScreen {

  private static final int ROUNDS = 120;
  private static final int WARM = 40;

  private OnScreen() {}

  /** Takes no arguments. */
  public static void main(String[] none) throws Exception {
    Opened big = Opened.tenThousand();
    CountDownLatch done = new CountDownLatch(1);
    Platform.runLater(() -> measure(big, done));
    done.await();
    Platform.exit();
    System.exit(0);
  }

  static Path library(Path folder) throws IOException {
    Library demo;
    try {
      demo = LibraryJson.read(Files.readAllBytes(WorkingCopy.demo()));
    } catch (foldtwice.library.file.FormatException e) {
      throw new IOException(e);
    }
    List<Place> places = demo.places();
    List<Binding> like = List.copyOf(demo.bindings().values());
    Random random = new Random(3);
    String keys = "abcdefghijklmnopqrstuvwxyz0123456789";
    List<Edit> edits = new ArrayList<>();
    for (int i = like.size(); i < 10_000; i++) {
      Binding b = like.get(random.nextInt(like.size()));
      Trigger trigger =
          Notation.read(
              "Ctrl+Alt+Shift+"
                  + keys.charAt(random.nextInt(36))
                  + " then "
                  + keys.charAt(random.nextInt(36)));
      edits.add(
          new Edit.PutBinding(
              Binding.fresh(
                  "x" + i,
                  b.routine(),
                  places.get(random.nextInt(places.size())),
                  List.of(trigger),
                  Map.of())));
    }
    Path file = folder.resolve("big.json");
    Files.writeString(file, LibraryJson.write(new Edit.Together(edits).on(demo)));
    return file;
  }

  private static void measure(Opened big, CountDownLatch done) {
    Frame frame = big.frame();
    Scene scene = big.scene();
    Robot robot = new Robot();
    frame.show(BindView.class).choose("b01");
    Series atlas =
        new Series("from a modifier to the atlas laid out", scene, robot, done::countDown) {
          private final List<KeyCode> held = List.of(KeyCode.CONTROL, KeyCode.ALT, KeyCode.SHIFT);
          private String before;

          @Override
          void ready() {
            Node focused = scene.getFocusOwner();
            if (focused == null || !"atlas-keys".equals(focused.getId())) {
              frame.show(AtlasView.class);
            }
            before = text("#atlas-keys");
          }

          @Override
          List<KeyCode> keys(int n) {
            return List.of(held.get(n % held.size()));
          }

          @Override
          boolean isShown() {
            return !text("#atlas-keys").equals(before);
          }

          private String text(String selector) {
            StringBuilder all = new StringBuilder();
            scene
                .lookup(selector)
                .lookupAll(".atlas-does")
                .forEach(l -> all.append(((Text) l).getText()).append('|'));
            return all.toString();
          }
        };
    List<KeyCode> letters = Arrays.stream(KeyCode.values()).filter(KeyCode::isLetterKey).toList();
    new Series("from a key to its advice laid out", scene, robot, () -> atlas.round(0)) {
      @Override
      void ready() {
        frame.show(BindView.class).pressKeys();
      }

      @Override
      List<KeyCode> keys(int n) {
        return List.of(KeyCode.CONTROL, letters.get(n % letters.size()));
      }

      @Override
      boolean isShown() {
        return scene.lookup("#here") instanceof Pane said && !said.getChildren().isEmpty();
      }
    }.round(0);
  }

  /** Presses one after the other, each timed until the layout after it is done. */
  private abstract static class Series {
    private final String says;
    private final Scene scene;
    private final Robot robot;
    private final Runnable onDone;
    private final List<Double> millis = new ArrayList<>();

    Series(String says, Scene scene, Robot robot, Runnable onDone) {
      this.says = says;
      this.scene = scene;
      this.robot = robot;
      this.onDone = onDone;
    }

    abstract void ready();

    /** The keys that go down; the time begins with the last. */
    abstract List<KeyCode> keys(int n);

    abstract boolean isShown();

    void round(int n) {
      if (n == ROUNDS) {
        tell();
        onDone.run();
        return;
      }
      ready();
      Thread.ofVirtual().start(() -> later(() -> press(n)));
    }

    private void press(int n) {
      List<KeyCode> keys = keys(n);
      keys.subList(0, keys.size() - 1).forEach(robot::keyPress);
      long began = System.nanoTime();
      Runnable[] listener = new Runnable[1];
      listener[0] =
          () -> {
            if (!isShown()) {
              if (System.nanoTime() - began > 1_000_000_000) {
                throw new IllegalStateException("nothing was shown after " + keys);
              }
              Platform.requestNextPulse();
              return;
            }
            scene.removePostLayoutPulseListener(listener[0]);
            millis.add((System.nanoTime() - began) / 1e6);
            keys.reversed().forEach(robot::keyRelease);
            Thread.ofVirtual().start(() -> later(() -> round(n + 1)));
          };
      robot.keyPress(keys.getLast());
      scene.addPostLayoutPulseListener(listener[0]);
      Platform.requestNextPulse();
    }

    /** What comes next, when all has settled. */
    private static void later(Runnable next) {
      try {
        Thread.sleep(120);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
      }
      Platform.runLater(next);
    }

    private void tell() {
      double[] sorted =
          millis.stream().skip(WARM).mapToDouble(Double::doubleValue).sorted().toArray();
      System.out.printf(
          "%s: median %.1f ms, 95th percentile %.1f ms%n",
          says, sorted[sorted.length / 2], sorted[(int) Math.ceil(sorted.length * 0.95) - 1]);
    }
  }
}
