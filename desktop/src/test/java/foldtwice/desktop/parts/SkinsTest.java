package foldtwice.desktop.parts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import foldtwice.desktop.Toolkit;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.MenuButton;
import javafx.scene.control.Skin;
import javafx.scene.control.Slider;
import javafx.scene.control.TableCell;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.VBox;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Skins that are given early are the ones that would have come. */
class SkinsTest {

  private static final Map<String, Supplier<Control>> KINDS =
      new TreeMap<>(
          Map.of(
              "label", () -> new Label("a"),
              "button", () -> new Button("a"),
              "toggle", () -> new ToggleButton("a"),
              "check", () -> new CheckBox("a"),
              "menu", () -> new MenuButton("a"),
              "field", () -> new TextField("a"),
              "area", () -> new TextArea("a"),
              "row", () -> new ListCell<String>(),
              "cell", () -> new TableCell<String, String>()));

  @BeforeAll
  static void start() throws InterruptedException {
    Toolkit.start();
    Toolkit.ask(
        () -> {
          Theme.install();
          return true;
        });
  }

  static Stream<String> kinds() {
    return KINDS.keySet().stream();
  }

  private static Skin<?> shown(Control control) {
    VBox box = new VBox(control);
    new Theme().on(new Scene(box, 400, 300));
    box.applyCss();
    box.layout();
    return control.getSkin();
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void theSkinIsTheOneThatWouldHaveCome(String kind) {
    Toolkit.ask(
        () -> {
          Control late = KINDS.get(kind).get();
          Control early = Skins.on(KINDS.get(kind).get());
          Skin<?> given = early.getSkin();
          assertThat(given).isNotNull();
          assertThat(shown(early)).as("it keeps it").isSameAs(given);
          assertThat(shown(late)).hasSameClassAs(given);
          assertThat(early.prefWidth(-1)).isEqualTo(late.prefWidth(-1));
          assertThat(early.prefHeight(-1)).isEqualTo(late.prefHeight(-1));
          return true;
        });
  }

  /** What it is for: a control that comes with its skin is matched with the styles once. */
  @Test
  void aSkinIsGivenOnce() {
    Toolkit.ask(
        () -> {
          AtomicInteger given = new AtomicInteger();
          Label label = Skins.on(new Label("a"));
          label.skinProperty().addListener((o, was, is) -> given.incrementAndGet());
          assertThat(Skins.on(label)).isSameAs(label);
          shown(label);
          assertThat(given).hasValue(0);
          return true;
        });
  }

  @Test
  void whatHasNoSkinHereIsRefused() {
    Toolkit.ask(
        () -> {
          assertThatThrownBy(() -> Skins.on(new Slider()))
              .isInstanceOf(IllegalArgumentException.class)
              .hasMessageContaining("Slider");
          return true;
        });
  }
}
