package foldtwice.bench;

import foldtwice.binding.Binding;
import foldtwice.desktop.frame.Frame;
import foldtwice.desktop.parts.Theme;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.WorkingCopy;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.file.LibraryJson;
import foldtwice.library.file.LibraryStore;
import foldtwice.place.Place;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Trigger;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.CountDownLatch;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Pane;
import javafx.scene.robot.Robot;
import javafx.stage.Stage;

/**
 * From a key of a capture to its advice on the screen, in the real window on the headless platform,
 * over the demo library with bindings up to ten thousand. Prints the median and the 95th percentile
 * in milliseconds.
 */
public final class OnScreen {

  private static final int ROUNDS = 120;
  private static final int WARM = 40;

  private OnScreen() {}

  /** Takes no arguments. */
  public static void main(String[] none) throws Exception {
    System.setProperty("glass.platform", "Headless");
    System.setProperty("prism.order", "sw");
    Path file = library(Files.createTempDirectory("onscreen"));
    CountDownLatch up = new CountDownLatch(1);
    Platform.startup(up::countDown);
    up.await();
    LibraryStore store = LibraryStore.open(file, "bench", Clock.systemUTC());
    List<Double> millis = new ArrayList<>();
    CountDownLatch done = new CountDownLatch(1);
    Platform.runLater(() -> open(store, millis, done));
    done.await();
    double[] sorted =
        millis.stream().skip(WARM).mapToDouble(Double::doubleValue).sorted().toArray();
    System.out.printf(
        "%d bindings: from a key to its advice laid out: median %.1f ms, 95th percentile %.1f ms%n",
        store.library().bindings().size(),
        sorted[sorted.length / 2],
        sorted[(int) Math.ceil(sorted.length * 0.95) - 1]);
    Platform.exit();
    System.exit(0);
  }

  private static Path library(Path folder) throws IOException {
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

  private static void open(LibraryStore store, List<Double> millis, CountDownLatch done) {
    Theme.install();
    Session session = new Session(store);
    Frame frame = new Frame(session, new Theme());
    Scene scene = frame.scene(1280, 800);
    Stage stage = new Stage();
    stage.setScene(scene);
    stage.show();
    stage.requestFocus();
    frame.showBind().choose("b01");
    frame.showBind().pressKeys();
    Robot robot = new Robot();
    List<KeyCode> letters = Arrays.stream(KeyCode.values()).filter(KeyCode::isLetterKey).toList();
    round(frame, scene, robot, letters, 0, millis, done);
  }

  /** One press: the time until the layout after it is done, the next one when all has settled. */
  private static void round(
      Frame frame,
      Scene scene,
      Robot robot,
      List<KeyCode> letters,
      int n,
      List<Double> millis,
      CountDownLatch done) {
    if (n == ROUNDS) {
      done.countDown();
      return;
    }
    frame.showBind().pressKeys();
    KeyCode letter = letters.get(n % letters.size());
    robot.keyPress(KeyCode.CONTROL);
    long began = System.nanoTime();
    Runnable[] listener = new Runnable[1];
    listener[0] =
        () -> {
          scene.removePostLayoutPulseListener(listener[0]);
          if (!(scene.lookup("#here") instanceof Pane said) || said.getChildren().isEmpty()) {
            throw new IllegalStateException("no advice was shown after " + letter);
          }
          millis.add((System.nanoTime() - began) / 1e6);
          robot.keyRelease(letter);
          robot.keyRelease(KeyCode.CONTROL);
          Thread.ofVirtual()
              .start(
                  () -> {
                    try {
                      Thread.sleep(120);
                    } catch (InterruptedException e) {
                      Thread.currentThread().interrupt();
                    }
                    Platform.runLater(
                        () -> round(frame, scene, robot, letters, n + 1, millis, done));
                  });
        };
    robot.keyPress(letter);
    scene.addPostLayoutPulseListener(listener[0]);
    Platform.requestNextPulse();
  }
}
