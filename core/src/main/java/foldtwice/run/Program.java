package foldtwice.run;

import foldtwice.place.Place;
import foldtwice.routine.Step;
import foldtwice.routine.Value;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What an application offers to be worked. Every call answers at once; a refusal changes nothing.
 *
 * <p>Law: between {@link #beginRun} and {@link #endRun} any number of changes is one step of the
 * undo history; {@link #undo} after it brings back the document and the selection as they were
 * before.
 */
public interface Program {

  /** The application's id. */
  String application();

  /** The state it is in: what keys mean depends on it. */
  Place place();

  /** Brings it into one of its states, as a person would; nothing when it is there already. */
  Reply enter(Place state);

  /** Chooses a command by the labels of its menu path. */
  Reply choose(List<String> menuPath);

  /** Does what a native command does, by its id. */
  Reply fire(String command);

  /** Types text where text is taken. */
  Reply type(String text);

  /** The open dialog, if one is. */
  Optional<Dialog> dialog();

  /** Writes into a field of the open dialog, as if typed. */
  Reply fill(String field, String text);

  /** Presses a button of the open dialog. */
  Reply press(String button);

  /** Closes whatever dialog is open without doing what it offers. */
  Reply cancel();

  /** The settings and their values, by name, in the program's order. */
  Map<String, Value> settings();

  /** Changes a setting. */
  Reply change(String setting, Value value);

  boolean somethingSelected();

  /** Moves the selection. */
  Reply select(int rows, int columns, Step.Edge edge);

  /** What was half done, such as a text being typed, is finished first and is not the run's. */
  void beginRun();

  /** What the run left half done is finished, and is the run's. */
  void endRun();

  Reply undo();

  Reply redo();

  /** How many steps can be undone. */
  int undoDepth();

  /** The same program in the same state, independent from now on. */
  Program copy();

  /**
   * Everything that makes up its state, in words, so that two states can be compared and shown. The
   * undo history is not part of it.
   */
  Map<String, String> state();
}
