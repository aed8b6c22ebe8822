package foldtwice.surface;

/**
 * What a key, a button or a choice shows.
 *
 * @param label empty for what the binding on it does
 * @param colour one of a routine's card; empty for none
 * @param icon the name of an icon, or a shape of one's own as {@link IconShape} writes it; empty
 *     for none
 */
public record Face(String label, String colour, String icon) {

  /** Shows nothing of its own. */
  public static final Face PLAIN = new Face("", "", "");

  public Face labelled(String other) {
    return new Face(other, colour, icon);
  }

  public Face coloured(String other) {
    return new Face(label, other, icon);
  }

  public Face with(String otherIcon) {
    return new Face(label, colour, otherIcon);
  }
}
