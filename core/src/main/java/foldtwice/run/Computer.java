package foldtwice.run;

import foldtwice.routine.Step;
import foldtwice.trigger.Modifiers;
import java.time.Clock;
import java.util.List;
import java.util.Optional;

/** What a computer offers besides the programs on it: windows, a clock, a screen, a keyboard. */
public interface Computer {

  /** A program that is running. */
  Optional<Program> program(String application);

  /** The program whose window is in front. */
  Program front();

  /** The id of the window in front: an application's, or that of a small program of the desk. */
  default String frontWindow() {
    return front().application();
  }

  /** Brings a running program's window to the front. */
  Reply bringToFront(String application);

  /** Starts a program; its window comes to the front after a while. */
  Reply start(String application, List<String> arguments);

  /**
   * Takes a picture of the screen.
   *
   * @param file its name; empty for the clipboard
   */
  Reply capture(Step.Area area, String file);

  /** What a file a macro asks for comes to. */
  sealed interface File {

    /** What is in it. */
    record Text(String text) implements File {}

    /** It cannot be had. */
    record Refused(String expected, String found) implements File {}
  }

  /**
   * The text of a file that lies beside the library.
   *
   * @param name of the file, without a folder
   */
  File file(String name);

  /** The text on the clipboard; what is no text is in brackets. */
  String clipboard();

  Clock clock();

  /** True where programs are real and take their own time; no run is held to a limit of it. */
  default boolean isReal() {
    return false;
  }

  /**
   * Lets time pass where it is only simulated. Where it is real this does nothing: it passes by
   * itself.
   */
  void pass(long millis);

  /** The modifiers that are still down from the trigger. */
  Modifiers held();

  /** Modifiers go down, or, with none, up. */
  void hold(Modifiers modifiers);
}
