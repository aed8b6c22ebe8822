package foldtwice.outline;

import foldtwice.routine.Readout;
import foldtwice.routine.ValueException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/**
 * What can be read off a program, as a person writes it: {@code setting unit}, {@code value
 * exposure}, {@code indicator queue}, {@code field Width}, {@code how many are selected}, {@code
 * the selected text}, {@code the clipboard}.
 *
 * <p>Law: {@code read(write(what)).equals(what)}.
 */
public final class ReadoutText {

  /** What has a name, by the word before it. */
  static final Map<String, Function<String, Readout>> NAMED = new LinkedHashMap<>();

  private static final Map<String, Readout> PLAIN = new LinkedHashMap<>();

  static {
    NAMED.put("setting", Readout.Setting::new);
    NAMED.put("value", Readout.Adjustable::new);
    NAMED.put("indicator", Readout.Indicator::new);
    NAMED.put("field", Readout.Field::new);
    PLAIN.put("how many are selected", Readout.Of.SELECTED_COUNT);
    PLAIN.put("the selected text", Readout.Of.SELECTED_TEXT);
    PLAIN.put("the clipboard", Readout.Of.CLIPBOARD);
  }

  static final String ALLOWED =
      "something to read: setting, value, indicator or field and its name, how many are selected,"
          + " the selected text, the clipboard";

  private ReadoutText() {}

  public static String write(Readout what) {
    return write(what, List.of());
  }

  static String write(Readout what, List<String> followers) {
    return switch (what) {
      case Readout.Setting(String name) -> "setting " + Written.name(name, followers);
      case Readout.Adjustable(String name) -> "value " + Written.name(name, followers);
      case Readout.Indicator(String name) -> "indicator " + Written.name(name, followers);
      case Readout.Field(String label) -> "field " + Written.name(label, followers);
      case Readout.Of of ->
          PLAIN.entrySet().stream()
              .filter(e -> e.getValue() == of)
              .map(Map.Entry::getKey)
              .findFirst()
              .orElseThrow();
    };
  }

  /**
   * Reads what can be read off a program.
   *
   * @throws ValueException saying what there is
   */
  public static Readout read(String text) {
    Written in = new Written(text);
    if (!begins(in)) {
      throw in.fault(ALLOWED);
    }
    Readout what = read(in, List.of(), false);
    in.end("the end");
    return what;
  }

  /** True when something that can be read comes next. */
  static boolean begins(Written in) {
    return NAMED.keySet().stream().anyMatch(in::stands)
        || PLAIN.keySet().stream().anyMatch(in::stands);
  }

  static Readout read(Written in, List<String> followers, boolean needed) {
    for (var e : PLAIN.entrySet()) {
      if (in.passes(e.getKey())) {
        return e.getValue();
      }
    }
    for (var e : NAMED.entrySet()) {
      if (in.passes(e.getKey())) {
        return e.getValue().apply(in.name(followers, needed));
      }
    }
    throw in.fault(ALLOWED);
  }

  /** The words it may begin with. */
  public static List<String> beginnings() {
    return java.util.stream.Stream.concat(NAMED.keySet().stream(), PLAIN.keySet().stream())
        .toList();
  }
}
