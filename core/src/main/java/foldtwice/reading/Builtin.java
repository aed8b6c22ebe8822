package foldtwice.reading;

import java.util.List;

/** Names every macro knows without a parameter or variable of that name. */
public final class Builtin {

  /** The date as ISO 8601 writes it, and date and time without a colon, fit for a file name. */
  public static final List<String> ALWAYS = List.of("today", "stamp");

  /** The turn of a loop, counted from 1; known inside one. */
  public static final String TURN = "turn";

  private Builtin() {}
}
