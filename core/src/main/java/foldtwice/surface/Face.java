package foldtwice.surface;

/**
 * What a key, a button or a choice shows.
 *
 * @param label empty for what the binding on it does
 * @param colour one of a routine's card; empty for none
 * @param icon the name of an icon; empty for none
 */
public record Face(String label, String colour, String icon) {

  /** Shows nothing of its own. */
  public static final Face PLAIN = new Face("", "", "");

  public Face labelled(String other) {
    return new Face(other, colour, icon);
  }
}
