package foldtwice.desktop.standin;

import foldtwice.standin.copystand.Shot;
import foldtwice.standin.copystand.Values;
import java.util.Random;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;

/**
 * A photograph of a pressed plant on its sheet, drawn by code: brighter and darker with the
 * exposure, warmer and cooler with the white balance, turned by the tilt, cut by the crop.
 */
final class Photograph {

  private static final Color TABLE = Color.web("#6E675C");
  private static final Color SHEET = Color.web("#EFE7D2");
  private static final Color GREEN = Color.web("#5E7044");
  private static final Color STEM = Color.web("#6B5A3C");
  private static final Color PRINT = Color.web("#4A4438");

  /** How much brighter one EV is drawn: a stop doubles the light, a screen shows less. */
  private static final double STOP = 1.35;

  private final Shot shot;
  private final boolean asTaken;

  private Photograph(Shot shot, boolean asTaken) {
    this.shot = shot;
    this.asTaken = asTaken;
  }

  /** A canvas of this size with the photograph on it. */
  static Canvas of(Shot shot, double width, double height, boolean asTaken) {
    Canvas canvas = new Canvas(width, height);
    new Photograph(shot, asTaken).draw(canvas.getGraphicsContext2D(), width, height);
    return canvas;
  }

  private double amount(String value) {
    return shot.amount(value);
  }

  private void draw(GraphicsContext g, double width, double height) {
    g.setFill(seen(TABLE));
    g.fillRect(0, 0, width, height);
    g.save();
    double zoom = asTaken ? 1 : 1 / (1 - shot.cropped() / 100.0);
    g.translate(width / 2, height / 2);
    g.scale(zoom, zoom);
    g.rotate(amount(Values.TILT));
    double high = height * 0.9;
    double wide = Math.min(width * 0.9, high * 0.68);
    g.translate(-wide / 2, -high / 2);
    g.setFill(seen(SHEET));
    g.fillRect(0, 0, wide, high);
    plant(g, wide, high);
    label(g, wide, high);
    g.restore();
  }

  private void plant(GraphicsContext g, double w, double h) {
    Random random = new Random(shot.name().hashCode());
    int stems = 1 + random.nextInt(3);
    for (int s = 0; s < stems; s++) {
      double foot = w * (0.4 + 0.2 * random.nextDouble());
      double lean = (random.nextDouble() - 0.5) * w * 0.5;
      g.setStroke(seen(STEM));
      g.setLineWidth(Math.max(1, w / 90));
      g.beginPath();
      g.moveTo(foot, h * 0.82);
      g.quadraticCurveTo(foot, h * 0.5, foot + lean, h * 0.12);
      g.stroke();
      int leaves = 5 + random.nextInt(5);
      for (int i = 0; i < leaves; i++) {
        double t = (i + 1.0) / (leaves + 1);
        double x = (1 - t) * (1 - t) * foot + 2 * t * (1 - t) * foot + t * t * (foot + lean);
        double y = (1 - t) * (1 - t) * h * 0.82 + 2 * t * (1 - t) * h * 0.5 + t * t * h * 0.12;
        leaf(g, x, y, w * (0.16 - 0.09 * t), i % 2 == 0 ? 1 : -1, random);
      }
    }
  }

  private void leaf(GraphicsContext g, double x, double y, double size, int side, Random random) {
    g.save();
    g.translate(x, y);
    g.rotate(side * (35.0 + random.nextInt(30)) - 20 * side);
    g.setFill(seen(GREEN.interpolate(Color.web("#8C8A4A"), random.nextDouble() * 0.5)));
    g.fillOval(side < 0 ? -size : 0, -size * 0.28, size, size * 0.56);
    g.restore();
  }

  private void label(GraphicsContext g, double w, double h) {
    g.setFill(seen(Color.web("#FBF8EE")));
    g.fillRect(w * 0.55, h * 0.84, w * 0.4, h * 0.12);
    g.setStroke(seen(PRINT));
    g.setLineWidth(Math.max(0.6, w / 220));
    for (int i = 0; i < 4; i++) {
      double y = h * (0.865 + 0.023 * i);
      g.strokeLine(w * 0.58, y, w * (0.9 - 0.05 * i), y);
    }
  }

  /** How a colour comes out with the shot's values. */
  private Color seen(Color c) {
    if (asTaken) {
      return c;
    }
    double light = Math.pow(STOP, amount(Values.EXPOSURE));
    double contrast = 1 + amount(Values.CONTRAST) / 100;
    double warm = (amount(Values.WHITE) - 5200) / 5200 * 0.45;
    return new Color(
        channel(c.getRed(), light * (1 + warm), contrast),
        channel(c.getGreen(), light, contrast),
        channel(c.getBlue(), light * (1 - warm), contrast),
        1);
  }

  private static double channel(double value, double light, double contrast) {
    return Math.clamp((value * light - 0.5) * contrast + 0.5, 0, 1);
  }
}
