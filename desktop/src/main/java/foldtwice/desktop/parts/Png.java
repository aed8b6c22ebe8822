package foldtwice.desktop.parts;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javax.imageio.ImageIO;

/** Pictures of what is shown, as files. */
public final class Png {

  private Png() {}

  /** An image as a PNG file, nothing in it transparent. */
  public static byte[] of(WritableImage image) {
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
    return out.toByteArray();
  }
}
