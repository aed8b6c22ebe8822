package foldtwice.words;

import foldtwice.effort.Operator;
import foldtwice.effort.Span;
import foldtwice.effort.Timed;
import foldtwice.effort.Timing;
import foldtwice.routine.Yardstick.Meant;
import foldtwice.routine.Yardstick.Move;
import foldtwice.text.Texts;
import java.util.Locale;

/** Times, routes and what is saved, in words. */
public final class EffortWords {

  private static final Texts TEXTS = Words.TEXTS;
  private static final String MINUS = "\u2212";

  private EffortWords() {}

  /** A time as people say it: {@code 0.8 s}, {@code 47 min}, {@code 3 h 12 min}. */
  public static String time(double seconds) {
    if (Double.isInfinite(seconds)) {
      return TEXTS.get("effort.endless");
    }
    String sign = seconds < 0 ? MINUS : "";
    double s = Math.abs(seconds);
    if (s < 9.95) {
      String text = String.format(Locale.ROOT, "%.1f", s);
      return TEXTS.get("effort.seconds", text.equals("0.0") ? "0" : sign + text);
    }
    if (s < 99.5) {
      return TEXTS.get("effort.seconds", sign + Math.round(s));
    }
    long minutes = Math.round(s / 60);
    if (minutes < 100) {
      return TEXTS.get("effort.minutes", sign + minutes);
    }
    return minutes % 60 == 0
        ? TEXTS.get("effort.hours", sign + minutes / 60)
        : TEXTS.get("effort.hoursminutes", sign + minutes / 60, minutes % 60);
  }

  /** A time and between what it may lie: {@code 47 min, 41 min to 55 min}. */
  public static String span(Span span) {
    String low = time(span.low());
    String high = time(span.high());
    return low.equals(high)
        ? time(span.mid())
        : TEXTS.get("effort.span", time(span.mid()), low, high);
  }

  /** Between what a time may lie: {@code 41 min to 55 min}. */
  public static String range(Span span) {
    return TEXTS.get("effort.range", time(span.low()), time(span.high()));
  }

  /** What a time becomes more or less by, with its sign. */
  public static String change(double seconds) {
    String time = time(seconds);
    return seconds > 0 && !time.equals(time(0)) ? "+" + time : time;
  }

  /** Weeks as people say them. */
  public static String weeks(double weeks) {
    if (Double.isInfinite(weeks) || weeks > 520) {
      return TEXTS.get("effort.endless");
    }
    return weeks < 1 ? TEXTS.get("effort.aweek") : TEXTS.get("effort.weeks", Math.round(weeks));
  }

  /** What a letter of an operator stands for. */
  public static String operator(Operator operator) {
    return TEXTS.get("effort.operator." + operator);
  }

  /** Why an operator is there. */
  public static String why(Timed part) {
    return TEXTS.get("effort.why." + part.why());
  }

  /** Which rule took thinking away. */
  public static String left(Timing.Left left) {
    return TEXTS.get("effort.left." + left.rule());
  }

  /** A move of a route. */
  public static String move(Move move) {
    return switch (move) {
      case Move.Keys(int count, Meant meant) -> TEXTS.get("effort.move.keys." + meant, count);
      case Move.Point(int distance, int width, Meant meant) ->
          TEXTS.get("effort.move.point." + meant, distance, width);
      case Move.Clicks(int count) -> TEXTS.get("effort.move.clicks", count);
      case Move.Menu(int levels) -> TEXTS.get("effort.move.menu", levels);
      case Move.Hand() -> TEXTS.get("effort.move.hand");
      case Move.Choose(int among) -> TEXTS.get("effort.move.choose", among);
      case Move.Wait(int millis) -> TEXTS.get("effort.move.wait", time(millis / 1000.0));
      case Move.Slip(int oneIn, var moves) -> TEXTS.get("effort.move.slip", oneIn, moves.size());
    };
  }
}
