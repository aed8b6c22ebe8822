package foldtwice.desktop.trying;

import foldtwice.desktop.parts.Faces;
import foldtwice.desktop.session.Session;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.routine.Whom;
import foldtwice.run.Trial;
import foldtwice.run.Trial.Effect;
import foldtwice.surface.Offering;
import foldtwice.surface.RadialMenu;
import foldtwice.surface.Summoned;
import java.util.Map;
import javafx.application.Platform;
import javafx.geometry.Point2D;
import javafx.geometry.Pos;
import javafx.scene.layout.Pane;
import javafx.scene.layout.StackPane;

/** Opens what a press summons over the window in front: where the pointer is, or in the middle. */
final class Summons {

  private static final double RADIAL_WIDE = 232;
  private static final double RADIAL_HIGH = 130;

  private final Session session;
  private final Programs programs;
  private final Pressing pressing;

  Summons(Session session, Programs programs, Pressing pressing) {
    this.session = session;
    this.programs = programs;
    this.pressing = pressing;
  }

  void of(Trial.Result result) {
    for (Effect e : result.effects()) {
      if (e instanceof Effect.Opened(Summoned what)) {
        open(what);
      }
    }
  }

  private void open(Summoned what) {
    StackPane front = programs.front();
    double width = front.getWidth();
    double height = front.getHeight();
    Point2D at =
        programs
            .pointer()
            .map(front::sceneToLocal)
            .orElseGet(() -> new Point2D(width / 2, height / 2));
    Pane[] pane = new Pane[1];
    Runnable close =
        () -> {
          programs.takeKeys(); // before what has the keys is gone
          front.getChildren().remove(pane[0]);
        };
    switch (what) {
      case RadialMenu menu -> {
        pane[0] =
            new RadialPane(
                menu,
                Math.clamp(at.getX(), RADIAL_WIDE, Math.max(RADIAL_WIDE, width - RADIAL_WIDE)),
                Math.clamp(at.getY(), RADIAL_HIGH, Math.max(RADIAL_HIGH, height - RADIAL_HIGH)),
                new Faces(session.now(), programs.program().place()),
                choice -> {
                  close.run();
                  pressing.motion(choice);
                },
                close);
        Platform.runLater(pane[0]::requestFocus);
      }
      case Offering offering -> {
        OfferingPane list =
            new OfferingPane(session, offering.name(), programs.program(), offered(close));
        pane[0] = list;
        StackPane.setAlignment(list, Pos.TOP_LEFT);
        list.setTranslateX(Math.clamp(at.getX(), 8, Math.max(8, width - OfferingPane.WIDTH - 8)));
        list.setTranslateY(Math.clamp(at.getY(), 8, Math.max(8, height - OfferingPane.HEIGHT - 8)));
        Platform.runLater(list::focusFilter);
      }
    }
    front.getChildren().add(pane[0]);
  }

  /** What the list of what fits can do to the program in front. */
  private OfferingPane.Listener offered(Runnable close) {
    return new OfferingPane.Listener() {
      @Override
      public void run(Routine routine, Map<String, Value> arguments) {
        close.run();
        pressing.choose(routine, arguments);
      }

      @Override
      public void set(Routine routine) {
        pressing.choose(routine, Map.of());
      }

      @Override
      public void select(Whom.Group group) {
        programs.program().select(group, false);
        programs.refresh();
      }

      @Override
      public void leave() {
        close.run();
      }
    };
  }
}
