package foldtwice.desktop.trying;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Ui;
import foldtwice.routine.Value;
import foldtwice.run.Program;
import java.util.Map;
import java.util.stream.Collectors;
import javafx.animation.PauseTransition;
import javafx.geometry.Point2D;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.StackPane;
import javafx.util.Duration;

/** The new value of what was adjusted, said for a moment beside the pointer. */
final class Echo {

  private static final Duration STAYS = Duration.millis(1600);

  /** How far from the pointer, in pixels. */
  private static final double ACROSS = 16;

  private static final double DOWN = 20;

  /** Kept free for it at the right and below. */
  private static final double WIDTH = 220;

  private static final double HEIGHT = 40;

  private final Programs programs;
  private final Label says = Parts.label("", "echo");
  private final PauseTransition stays = new PauseTransition(STAYS);
  private String application = "";
  private Map<String, Value.Quantity> values = Map.of();

  Echo(Programs programs) {
    this.programs = programs;
    says.setId("echo");
    says.setMouseTransparent(true);
    StackPane.setAlignment(says, Pos.TOP_LEFT);
    stays.setOnFinished(e -> programs.front().getChildren().remove(says));
  }

  /** Remembers what the values of the program in front are. */
  void look() {
    Program program = programs.program();
    application = program == null ? "" : program.application();
    values = program == null ? Map.of() : Map.copyOf(program.values());
  }

  /** Says what of them has changed since. */
  void tell() {
    Program program = programs.program();
    if (program == null || !program.application().equals(application)) {
      look();
      return;
    }
    String changed =
        program.values().entrySet().stream()
            .filter(e -> values.containsKey(e.getKey()))
            .filter(e -> !e.getValue().equals(values.get(e.getKey())))
            .map(e -> Ui.text("try.echo", e.getKey(), e.getValue().shown()))
            .collect(Collectors.joining("   "));
    look();
    if (!changed.isEmpty()) {
      show(changed);
    }
  }

  private void show(String changed) {
    StackPane front = programs.front();
    Point2D at =
        programs
            .pointer()
            .map(front::sceneToLocal)
            .orElseGet(() -> new Point2D(front.getWidth() / 2, front.getHeight() / 2));
    says.setText(changed);
    says.setTranslateX(Math.clamp(at.getX() + ACROSS, 0, Math.max(0, front.getWidth() - WIDTH)));
    says.setTranslateY(Math.clamp(at.getY() + DOWN, 0, Math.max(0, front.getHeight() - HEIGHT)));
    if (!front.getChildren().contains(says)) {
      front.getChildren().add(says);
    }
    stays.playFromStart();
  }
}
