package foldtwice.routine;

/** What can be read off a program while it runs. */
public sealed interface Readout {

  /** The value of a setting. */
  record Setting(String name) implements Readout {}

  /** The present amount of an adjustable value. */
  record Adjustable(String name) implements Readout {}

  /** Something the program shows and nobody can set, such as how long a queue is. */
  record Indicator(String name) implements Readout {}

  /** What stands in a field of the open dialog, as a text. */
  record Field(String label) implements Readout {}

  /** What needs no name to read. */
  enum Of implements Readout {
    /** How many objects are selected. */
    SELECTED_COUNT,
    /** The text of the selected object, of the last of several. */
    SELECTED_TEXT,
    /** What is on the clipboard. */
    CLIPBOARD
  }
}
