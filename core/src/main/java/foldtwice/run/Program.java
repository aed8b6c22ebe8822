package foldtwice.run;

import foldtwice.known.Facts;
import foldtwice.place.Place;
import foldtwice.routine.Step;
import foldtwice.routine.Value;
import foldtwice.routine.Whom;
import foldtwice.text.Refusals;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What an application offers to be worked. Every call answers at once, though the program may still
 * be at {@linkplain #work work} then; a refusal changes nothing.
 *
 * <p>Law: between {@link #beginRun} and {@link #endRun} any number of changes is one step of the
 * undo history; {@link #undo} after it brings back the document and the selection as they were
 * before. A command that empties the history says so in its {@linkplain #facts facts}; then nothing
 * before it can be undone.
 */
public interface Program {

  /** The application's id. */
  String application();

  /** What it offers, as it is here: this version, these add-ons. */
  Facts facts();

  /** The state it is in: what keys mean depends on it. */
  Place place();

  /** Brings it into one of its states, as a person would; nothing when it is there already. */
  Reply enter(Place state);

  /** Chooses a command by the labels of its menu path. */
  Reply choose(List<String> menuPath);

  /** True when the item of this menu path is ticked. */
  boolean ticked(List<String> menuPath);

  /** Does what a native command does, by its id. */
  Reply fire(String command);

  /** Does once more what it was told to do last. */
  Reply again();

  /** Types text where text is taken. */
  Reply type(String text);

  /** The open dialog, if one is. */
  Optional<Dialog> dialog();

  /** Writes into a field of the open dialog, as if typed. */
  Reply fill(String field, String text);

  /** Presses a button of the open dialog. */
  Reply press(String button);

  /**
   * Ends what is half done by taking it: a text being typed, an open dialog by its first button.
   */
  Reply finish();

  /** Ends what is half done as if it had not begun. */
  Reply cancel();

  /** The settings and their values, by name, in the program's order. */
  Map<String, Value> settings();

  /** Changes a setting. */
  Reply change(String setting, Value value);

  /** What it shows and nobody can set, such as how many exports still wait, by name. */
  Map<String, Value> indicators();

  /** The adjustable values of what is selected, by name; empty where there is nothing to adjust. */
  Map<String, Value.Quantity> values();

  /** Sets an adjustable value. Beyond its range it is clamped or refused, as {@code edge} says. */
  Reply adjust(String value, Step.Adjusting way, Value.Quantity to, Step.Edge edge);

  /** The names of what is selected, in the order of selecting. */
  List<String> selected();

  /** The text of the object selected last; empty when there is none. */
  String selectedText();

  default boolean somethingSelected() {
    return !selected().isEmpty();
  }

  /** Moves the selection. */
  Reply select(int rows, int columns, Step.Edge edge);

  /** Selects by a rule, in place of what is selected or besides it. */
  Reply select(Whom.Group whom, boolean adding);

  /** Selects an object by its name. */
  Reply selectNamed(String name, boolean adding);

  /** The mouse clicks an object, or with an empty name beside them all. */
  Reply click(String name, boolean adding);

  /** Puts the pointer over an object; an empty name is over nothing. */
  Reply point(String name);

  /**
   * Has an add-on do something.
   *
   * @param arguments by parameter name, checked against its parameters
   */
  default Reply invoke(String addOn, String action, Map<String, Value> arguments) {
    return new Reply.Refused(Refusals.says("run.application-with-add-on", addOn), application());
  }

  /**
   * Sends a statement to its database.
   *
   * @param text with a question mark for each value
   */
  default Reply send(String text, List<Value> values) {
    return new Reply.Refused(Refusals.says("run.application-with-database"), application());
  }

  /**
   * What it was told to do and is still doing, such as a statement that takes its time. Empty for
   * programs that are always done at once.
   */
  default Optional<Work> work() {
    return Optional.empty();
  }

  /** True for programs that may still be at work when a call has answered. */
  default boolean takesTime() {
    return false;
  }

  /** Something a program is still doing. */
  interface Work {

    /**
     * What came of it, once it is over; the program has taken it in then and is at work no more.
     *
     * @param nanos how long to wait for it at most
     */
    Optional<Reply> done(long nanos);

    /** Ends it; what comes of it then is a refusal, soon. */
    void giveUp();
  }

  /** What was half done, such as a text being typed, is finished first and is not the run's. */
  void beginRun();

  /** What the run left half done is finished, and is the run's. */
  void endRun();

  Reply undo();

  Reply redo();

  /** How many steps can be undone. */
  int undoDepth();

  /** What has been changed and takes effect only later, and what it waits for, in words. */
  List<String> pending();

  /** Ends it and starts it anew: what waited for that takes effect. */
  Reply restart();

  /**
   * Everything that makes up its state, in words, so that two states can be compared and shown. The
   * undo history is not part of it. Names beginning with {@code setting}, {@code selection}, {@code
   * field}, {@code file}, {@code window}, {@code view} and {@code clipboard} tell of those; all
   * others of the document.
   */
  Map<String, String> state();
}
