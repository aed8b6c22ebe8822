package foldtwice.desktop.session;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.desktop.Toolkit;
import java.nio.file.Path;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** What nobody expected is told once, with all that helps; what a person keeps is kept for them. */
class FaultsTest {

  @BeforeAll
  static void start() throws Exception {
    Toolkit.start();
  }

  private static Optional<Faults.Fault> last(Faults faults) {
    return Toolkit.ask(() -> faults.lastProperty().get());
  }

  @Test
  void aFaultOfAnyThreadIsToldOnTheInterfaceThread() throws Exception {
    Faults faults = new Faults();
    boolean[] there = new boolean[1];
    Toolkit.ask(
        () -> {
          faults
              .lastProperty()
              .addListener(
                  (o, a, b) -> there[0] = javafx.application.Platform.isFxApplicationThread());
          return true;
        });
    Thread thread =
        new Thread(
            () -> {
              throw new IllegalStateException("the drawer is stuck");
            });
    thread.setUncaughtExceptionHandler(faults);
    thread.start();
    thread.join();
    Faults.Fault told = last(faults).orElseThrow();
    assertThat(there[0]).isTrue();
    assertThat(told.line()).contains("the drawer is stuck");
    assertThat(told.details()).contains("IllegalStateException", "FaultsTest");
    Toolkit.ask(
        () -> {
          faults.read();
          return true;
        });
    assertThat(last(faults)).isEmpty();
  }

  /** One without words of its own is told by what it is. */
  @Test
  void aFaultWithoutWordsIsNamed() {
    Faults faults = new Faults();
    Toolkit.ask(
        () -> {
          faults.uncaughtException(Thread.currentThread(), new StackOverflowError());
          faults.uncaughtException(Thread.currentThread(), new NullPointerException());
          return true;
        });
    assertThat(last(faults).orElseThrow().line()).contains("NullPointerException");
  }

  @Test
  void whenOneWasHereIsKeptForEachLibrary() {
    Path one = Path.of("/tmp/" + UUID.randomUUID() + "/one.json");
    Path other = one.resolveSibling("a rather long name ".repeat(30) + ".json");
    assertThat(new LastHere(one).when()).isEmpty();
    new LastHere(one).now();
    assertThat(new LastHere(one).when()).isPresent();
    assertThat(new LastHere(other).when()).as("another library is another").isEmpty();
    new LastHere(other).now();
    assertThat(new LastHere(other).when()).isPresent();
  }

  /** It is worked out when it is asked for, once, whoever asks. */
  @Test
  void whatIsDearIsWorkedOutOnce() throws Exception {
    int[] asked = new int[1];
    Lazy<String> dear = new Lazy<>(() -> "answer " + ++asked[0]);
    assertThat(asked[0]).isZero();
    Thread[] all = new Thread[8];
    for (int i = 0; i < all.length; i++) {
      all[i] = new Thread(dear::get);
      all[i].start();
    }
    for (Thread t : all) {
      t.join();
    }
    assertThat(dear.get()).isEqualTo("answer 1");
    assertThat(asked[0]).isEqualTo(1);
  }
}
