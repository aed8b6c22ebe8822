package foldtwice.desktop.parts;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.desktop.Toolkit;
import java.util.concurrent.atomic.AtomicInteger;
import javafx.event.Event;
import javafx.scene.control.Label;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** What is said of something is there when the pointer comes, and costs nothing before. */
class TipsTest {

  @BeforeAll
  static void start() throws Exception {
    Toolkit.start();
  }

  private static void enter(Label label) {
    Event.fireEvent(
        label,
        new MouseEvent(
            MouseEvent.MOUSE_ENTERED,
            1,
            1,
            1,
            1,
            MouseButton.NONE,
            0,
            false,
            false,
            false,
            false,
            false,
            false,
            false,
            false,
            false,
            false,
            null));
  }

  /** A tooltip puts itself into the properties of what it is installed on. */
  private static boolean isThere(Label label) {
    return label.getProperties().values().stream()
        .anyMatch(javafx.scene.control.Tooltip.class::isInstance);
  }

  @Test
  void itIsMadeWhenThePointerComes() {
    Toolkit.ask(
        () -> {
          Label label = new Label("cut");
          Tips.on(label, "cut off where it ends");
          assertThat(isThere(label)).isFalse();
          assertThat(label.getAccessibleHelp()).isEqualTo("cut off where it ends");
          enter(label);
          assertThat(isThere(label)).isTrue();
          return true;
        });
  }

  @Test
  void theLastThatWasSaidCountsAndNothingIsNoWindow() {
    Toolkit.ask(
        () -> {
          Label label = new Label("row");
          Tips.on(label, "first");
          Tips.on(label, "second");
          assertThat(Tips.of(label)).isEqualTo("second");
          enter(label);
          Tips.on(label, "");
          assertThat(label.getAccessibleHelp()).isNull();
          enter(label);
          assertThat(isThere(label)).isFalse();
          Tips.on(label, "third");
          enter(label);
          assertThat(isThere(label)).isTrue();
          return true;
        });
  }

  @Test
  void whatIsSaidIsAskedForOnlyThen() {
    Toolkit.ask(
        () -> {
          AtomicInteger asked = new AtomicInteger();
          Label label = new Label("dear");
          Tips.on(label, () -> "asked " + asked.incrementAndGet());
          assertThat(asked).hasValue(0);
          enter(label);
          assertThat(asked.get()).isPositive();
          assertThat(Tips.of(new Label("none"))).isEmpty();
          return true;
        });
  }
}
