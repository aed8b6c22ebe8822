package foldtwice.standin.base;

/** What all programs of one computer cut and paste through. */
public final class Clipboard {

  private String text = "";

  public String text() {
    return text;
  }

  public void put(String other) {
    text = other;
  }
}
