package foldtwice.library;

import java.util.List;

/** What is expected of a press, or came of it. */
public sealed interface Expected {

  /**
   * A binding fires.
   *
   * @param well true when its routine runs through
   */
  record Fires(String binding, boolean well) implements Expected {}

  /** The routine of a binding that fires, or what it acts on, is not there. */
  record Lacks(String binding) implements Expected {}

  /** An application does a command of its own. */
  record Does(String application, String command) implements Expected {}

  /** The desktop keeps the press for this. */
  record Keeps(String what) implements Expected {}

  /** A radial menu or an offering opens. */
  record Opens(String menu) implements Expected {}

  /** A device turns to a page. */
  record Turns(String device, String page) implements Expected {}

  /** Characters are typed. */
  record Types(String text) implements Expected {}

  /** Several have the same right to it, so that nothing happens; in the order of their ids. */
  record Undecided(List<String> among) implements Expected {
    public Undecided {
      among = among.stream().sorted().toList();
    }
  }

  /** Nothing happens. */
  record Nothing() implements Expected {}
}
