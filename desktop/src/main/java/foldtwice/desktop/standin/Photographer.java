package foldtwice.desktop.standin;

import foldtwice.desktop.parts.Png;
import foldtwice.desktop.parts.Theme;
import foldtwice.run.Program;
import foldtwice.sheet.Demonstration;
import foldtwice.sheet.HowTo;
import foldtwice.standin.base.StandIn;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.SnapshotParameters;
import javafx.scene.image.WritableImage;
import javafx.scene.transform.Scale;

/**
 * Takes pictures of stand-ins as they are, what a step changed marked. By day, whatever the window
 * looks like: they are for paper.
 */
public final class Photographer implements Demonstration.Camera {

  private static final int WIDTH = 620;
  private static final int HEIGHT = 330;

  /** Dots to the pixel, so that letters are clear on paper. */
  private static final double DENSE = 1.6;

  /** Called from any thread but the interface's, which draws. */
  @Override
  public Optional<HowTo.Shot> take(Program now, Program before) {
    boolean same = now.state().equals(before.state()) && now.dialog().equals(before.dialog());
    if (same || !(now instanceof StandIn<?> program)) {
      return Optional.empty();
    }
    CompletableFuture<WritableImage> shot = new CompletableFuture<>();
    Platform.runLater(
        () -> {
          try {
            shot.complete(shot(program, before));
          } catch (RuntimeException e) {
            shot.completeExceptionally(e); // told where the sheet is asked for
          }
        });
    WritableImage image = shot.join();
    return Optional.of(
        new HowTo.Shot(Png.of(image), (int) image.getWidth(), (int) image.getHeight()));
  }

  private static WritableImage shot(StandIn<?> program, Program before) {
    StandInWindow window = Windows.of(program, Optional.of(before));
    window.setFocusTraversable(false);
    Scene scene = new Scene(window, WIDTH, HEIGHT);
    new Theme().on(scene);
    window.applyCss();
    window.layout();
    window.refresh(); // what is drawn goes by the size, which it has by now
    window.applyCss();
    window.layout();
    SnapshotParameters how = new SnapshotParameters();
    how.setTransform(new Scale(DENSE, DENSE));
    return window.snapshot(how, null);
  }
}
