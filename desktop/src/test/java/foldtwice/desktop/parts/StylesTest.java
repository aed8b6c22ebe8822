package foldtwice.desktop.parts;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import javafx.collections.ListChangeListener;
import javafx.scene.layout.Region;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Style classes follow, and nothing is touched that stays. */
class StylesTest {

  private final Region node = new Region();
  private final AtomicInteger changes = new AtomicInteger();

  @BeforeEach
  void listen() {
    node.getStyleClass().addListener((ListChangeListener<String>) c -> changes.incrementAndGet());
  }

  @Test
  void aClassIsThereOnceOrNot() {
    Styles.set(node, "costs", true);
    Styles.set(node, "costs", true);
    assertThat(node.getStyleClass()).containsExactly("costs");
    assertThat(changes).as("what is there is left alone").hasValue(1);
    Styles.set(node, "costs", false);
    Styles.set(node, "costs", false);
    assertThat(node.getStyleClass()).isEmpty();
    assertThat(changes).hasValue(2);
  }

  @Test
  void theseAndNoOther() {
    node.getStyleClass().addAll("label", "good");
    changes.set(0);
    Styles.only(node, List.of("label", "good"));
    assertThat(changes).hasValue(0);
    Styles.only(node, List.of("label", "costs"));
    assertThat(node.getStyleClass()).containsExactly("label", "costs");
    assertThat(changes).hasValue(1);
  }

  @Test
  void oneOfSeveralHoweverOftenItChanges() {
    node.getStyleClass().add("label");
    for (String style : List.of("good", "costs", "costs", "good", "costs")) {
      Styles.one(node, style, List.of("good", "costs"));
      assertThat(node.getStyleClass()).containsExactly("label", style);
    }
    assertThat(changes).as("one leaves and one comes, three times").hasValue(1 + 1 + 2 * 3);
  }
}
