package foldtwice.describe;

import java.util.Optional;

/** What a program is like for as long as it is in a context. */
public sealed interface While {

  /** Something of a kind is selected; anything, where the kind is empty. */
  record Selected(String kind) implements While {
    public boolean fits(String other) {
      return kind.isEmpty() || kind.equals(other);
    }
  }

  /** Nothing is selected. */
  record NothingSelected() implements While {}

  /** A dialog of this title is open; any, where the title is empty. */
  record DialogOpen(String title) implements While {
    public boolean fits(String other) {
      return !other.isEmpty() && (title.isEmpty() || title.equals(other));
    }
  }

  /** A document of a kind of its own is in front: what holds here holds in such documents only. */
  record Document() implements While {}

  String SELECTED = "selected";
  String NOTHING = "nothing selected";
  String DIALOG = "dialog";
  String DOCUMENT = "document";

  /** How it is written, such as {@code selected Box} or {@code dialog Export}. */
  static String write(While one) {
    return switch (one) {
      case Selected(String kind) -> kind.isEmpty() ? SELECTED : SELECTED + " " + kind;
      case NothingSelected n -> NOTHING;
      case DialogOpen(String title) -> title.isEmpty() ? DIALOG : DIALOG + " " + title;
      case Document d -> DOCUMENT;
    };
  }

  /**
   * Reads what {@link #write} wrote; none for a blank text.
   *
   * @throws IllegalArgumentException saying what was expected
   */
  static Optional<While> read(String text) {
    String plain = text.strip();
    if (plain.isEmpty()) {
      return Optional.empty();
    }
    if (plain.equals(NOTHING)) {
      return Optional.of(new NothingSelected());
    }
    if (plain.equals(DOCUMENT)) {
      return Optional.of(new Document());
    }
    if (plain.equals(SELECTED)) {
      return Optional.of(new Selected(""));
    }
    if (plain.startsWith(SELECTED + " ")) {
      return Optional.of(new Selected(plain.substring(SELECTED.length()).strip()));
    }
    if (plain.equals(DIALOG)) {
      return Optional.of(new DialogOpen(""));
    }
    if (plain.startsWith(DIALOG + " ")) {
      return Optional.of(new DialogOpen(plain.substring(DIALOG.length()).strip()));
    }
    throw new IllegalArgumentException(
        "expected selected and a kind of thing, nothing selected, dialog and its title or none, document,"
            + " or nothing; found \""
            + plain
            + "\"");
  }
}
