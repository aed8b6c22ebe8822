package foldtwice.desktop.standin;

import foldtwice.desktop.parts.Theme;
import foldtwice.run.Program;
import foldtwice.sheet.Demonstration;
import foldtwice.sheet.HowTo;
import foldtwice.standin.base.StandIn;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.SnapshotParameters;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.transform.Scale;
import javax.imageio.ImageIO;

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
    return Optional.of(png(shot.join()));
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

  private static HowTo.Shot png(WritableImage image) {
    int w = (int) image.getWidth();
    int h = (int) image.getHeight();
    int[] pixels = new int[w * h];
    image.getPixelReader().getPixels(0, 0, w, h, PixelFormat.getIntArgbInstance(), pixels, 0, w);
    BufferedImage opaque = new BufferedImage(w, h, BufferedImage.TYPE_INT_RGB);
    opaque.setRGB(0, 0, w, h, pixels, 0, w);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try {
      ImageIO.write(opaque, "png", out);
    } catch (IOException e) {
      throw new UncheckedIOException("a picture into memory", e);
    }
    return new HowTo.Shot(out.toByteArray(), w, h);
  }
}
