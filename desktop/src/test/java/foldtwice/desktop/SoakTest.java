package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.AppenderBase;
import foldtwice.Seeds;
import foldtwice.library.Library;
import foldtwice.library.file.LibraryFile;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ComboBoxBase;
import javafx.scene.control.IndexedCell;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.slf4j.LoggerFactory;

/**
 * Somebody who presses and clicks at random: nothing is thrown, nothing is logged as wrong, what
 * was kept is there afterwards, and memory does not grow. Twelve seconds; an hour with {@code
 * -Dsoak.minutes=60}.
 */
class SoakTest {

  private static final List<KeyCode> KEYS =
      List.of(
          KeyCode.DOWN,
          KeyCode.UP,
          KeyCode.LEFT,
          KeyCode.RIGHT,
          KeyCode.TAB,
          KeyCode.ENTER,
          KeyCode.SPACE,
          KeyCode.ESCAPE,
          KeyCode.DELETE,
          KeyCode.HOME,
          KeyCode.END,
          KeyCode.A,
          KeyCode.B,
          KeyCode.L,
          KeyCode.M,
          KeyCode.DIGIT1,
          KeyCode.PERIOD,
          KeyCode.F2,
          KeyCode.F3,
          KeyCode.F4,
          KeyCode.F5,
          KeyCode.F7,
          KeyCode.F8,
          KeyCode.F9,
          KeyCode.F11,
          KeyCode.F12);

  private static final List<String> WORDS =
      List.of("shift", "flag", "then", "0.5 mm", "ctrl m", "x", "", "save", "2031", "-1");

  @TempDir Path folder;

  /** What was thrown on any thread, and what was logged as an error. */
  private static final class Faults extends AppenderBase<ILoggingEvent> {
    private final List<String> all = Collections.synchronizedList(new ArrayList<>());

    @Override
    protected void append(ILoggingEvent event) {
      if (event.getLevel().isGreaterOrEqual(Level.ERROR)) {
        all.add(event.getFormattedMessage() + " " + event.getThrowableProxy());
      }
    }

    private void thrown(Thread thread, Throwable e) {
      StringWriter text = new StringWriter();
      e.printStackTrace(new PrintWriter(text));
      all.add(thread.getName() + ": " + text);
    }
  }

  private static long usedMegabytes() {
    System.gc();
    System.gc();
    Runtime machine = Runtime.getRuntime();
    return (machine.totalMemory() - machine.freeMemory()) >> 20;
  }

  @Test
  void nothingIsThrownLostOrHeldOnTo() throws Exception {
    long seed = Seeds.drawn();
    double minutes = Double.parseDouble(System.getProperty("soak.minutes", "0.2"));
    Random random = new Random(seed);
    Faults faults = new Faults();
    faults.start();
    ((Logger) LoggerFactory.getLogger(Logger.ROOT_LOGGER_NAME)).addAppender(faults);
    Library last;
    int acts = 0;
    List<Long> memory = new ArrayList<>();
    try (Hands hands = Hands.open(folder)) {
      Hands.ask(
          () -> {
            Thread.currentThread().setUncaughtExceptionHandler(faults::thrown);
            return true;
          });
      Thread.setDefaultUncaughtExceptionHandler(faults::thrown);
      hands.hurry();
      long began = System.nanoTime();
      long end = began + (long) (minutes * TimeUnit.MINUTES.toNanos(1));
      long next = began;
      while (System.nanoTime() < end && faults.all.isEmpty()) {
        try {
          act(hands, random);
        } catch (AssertionError e) {
          faults.thrown(Thread.currentThread(), e);
        }
        acts++;
        if (System.nanoTime() > next && minutes > 1) {
          memory.add(usedMegabytes());
          next += TimeUnit.MINUTES.toNanos(2);
          System.out.println(acts + " acts, " + memory.getLast() + " MB");
        }
      }
      last = hands.session.now().library();
    }
    System.out.println(acts + " acts in " + minutes + " minutes, MB " + memory);
    assertThat(faults.all).as("seed %d", seed).isEmpty();
    assertThat(LibraryFile.look(folder.resolve("fernhollow.json"))).isEqualTo(last);
    assertThat(LibraryFile.broken(folder.resolve("fernhollow.json"))).isEmpty();
    if (memory.size() > 10) {
      long early = Collections.max(memory.subList(2, memory.size() / 2));
      long late = Collections.min(memory.subList(memory.size() - 4, memory.size()));
      assertThat(late).as("flat").isLessThanOrEqualTo(early + early / 4);
    }
  }

  private static void act(Hands hands, Random random) {
    switch (random.nextInt(12)) {
      case 0 -> hands.type(WORDS.get(random.nextInt(WORDS.size())));
      case 1 -> hands.press(KeyCode.CONTROL, random.nextBoolean() ? KeyCode.Z : KeyCode.Y);
      case 2 ->
          hands.press(
              KeyCode.CONTROL,
              List.of(
                      KeyCode.M,
                      KeyCode.N,
                      KeyCode.F,
                      KeyCode.PAGE_UP,
                      KeyCode.PAGE_DOWN,
                      KeyCode.C)
                  .get(random.nextInt(6)));
      case 3, 4, 5 -> hands.press(KEYS.get(random.nextInt(KEYS.size())));
      case 6 -> hands.clickAt(random.nextInt(1280), random.nextInt(800));
      default -> click(hands, random);
    }
  }

  /** Clicks something that can be clicked. */
  private static void click(Hands hands, Random random) {
    List<double[]> spots =
        Hands.ask(
            () -> {
              List<double[]> all = new ArrayList<>();
              collect(hands.scene().getRoot(), all);
              return all;
            });
    if (!spots.isEmpty()) {
      double[] at = spots.get(random.nextInt(spots.size()));
      hands.clickAt(at[0], at[1]);
    }
  }

  private static void collect(Node node, List<double[]> all) {
    if (!node.isVisible()) {
      return;
    }
    boolean works =
        node instanceof ButtonBase
            || node instanceof TextInputControl
            || node instanceof ComboBoxBase<?>
            || node instanceof IndexedCell<?>
            || node.getOnMouseClicked() != null
            || node.getOnMousePressed() != null;
    if (works && !node.isDisabled()) {
      Bounds b = node.localToScene(node.getBoundsInLocal());
      if (b.getCenterX() > 0
          && b.getCenterX() < 1280
          && b.getCenterY() > 0
          && b.getCenterY() < 800) {
        all.add(new double[] {b.getCenterX(), b.getCenterY()});
      }
    }
    if (node instanceof Parent parent) {
      parent.getChildrenUnmodifiable().forEach(c -> collect(c, all));
    }
  }
}
