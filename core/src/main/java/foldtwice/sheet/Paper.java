package foldtwice.sheet;

/** The size of a page, upright, in millimetres. */
public enum Paper {
  /** ISO 216. */
  A4(210, 297),
  /** US Letter, 8.5 × 11 inches. */
  LETTER(215.9, 279.4);

  private final double width;
  private final double height;

  Paper(double width, double height) {
    this.width = width;
    this.height = height;
  }

  public double width() {
    return width;
  }

  public double height() {
    return height;
  }
}
