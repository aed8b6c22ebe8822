package foldtwice.routine;

import java.util.List;

/**
 * What a person keeps about a routine; nothing of it changes what the routine does, but for {@code
 * off}.
 *
 * @param pinned shown first
 * @param setAside shown last, and only when asked for
 * @param off switched off: kept, but fires nothing
 * @param colour a mark to find it by, one of the library's colour names; empty for none
 */
public record Card(
    boolean pinned, boolean setAside, boolean off, List<String> tags, String colour, String note) {

  public static final Card BLANK = new Card(false, false, false, List.of(), "", "");

  /** The colours a card can be marked with. */
  public static final List<String> COLOURS = List.of("fern", "clay", "heather", "stone");

  public Card {
    tags = List.copyOf(tags);
  }

  public Card pinned(boolean yes) {
    return new Card(yes, yes ? false : setAside, off, tags, colour, note);
  }

  public Card setAside(boolean yes) {
    return new Card(yes ? false : pinned, yes, off, tags, colour, note);
  }

  public Card off(boolean yes) {
    return new Card(pinned, setAside, yes, tags, colour, note);
  }

  public Card saying(String other) {
    return new Card(pinned, setAside, off, tags, colour, other);
  }

  public Card marked(String other) {
    return new Card(pinned, setAside, off, tags, other, note);
  }

  public Card tagged(List<String> others) {
    return new Card(pinned, setAside, off, others, colour, note);
  }
}
