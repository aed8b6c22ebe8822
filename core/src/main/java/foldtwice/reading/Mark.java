package foldtwice.reading;

import foldtwice.routine.Step;
import java.util.Optional;

/**
 * Something wrong with a step, found without running it.
 *
 * @param number the step's number
 * @param found what stands there
 * @param expected what could stand there, in words
 * @param mended the step with the nearest right name in it; empty where none is near
 * @param nearest that name
 */
public record Mark(
    String number,
    Fault fault,
    String found,
    String expected,
    Optional<Step> mended,
    Optional<String> nearest) {

  /** Kinds of what can be wrong. */
  public enum Fault {
    UNKNOWN_NAME,
    WRONG_KIND,
    NO_SUCH_MENU,
    NO_SUCH_DIALOG,
    NO_SUCH_FIELD,
    NO_SUCH_BUTTON,
    NO_SUCH_SETTING,
    NO_SUCH_VALUE,
    NO_SUCH_ROUTINE,
    NO_SUCH_PARAMETER,
    NO_SUCH_PROGRAM,
    OUT_OF_RANGE,
    CIRCLE,
    NEEDS_ADD_ON,
    KNOWN_NOT_TO_WORK,
    OTHER_VERSION,
    OTHER_LANGUAGE,
    NOTHING_INSIDE,
    ASKED_TWICE
  }
}
