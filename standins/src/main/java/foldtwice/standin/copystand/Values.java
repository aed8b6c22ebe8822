package foldtwice.standin.copystand;

import foldtwice.routine.Kind;
import foldtwice.routine.Scale;
import foldtwice.routine.Value.Quantity;
import java.util.LinkedHashMap;
import java.util.Map;

/** The adjustable values of a photograph and their ranges. */
public final class Values {

  public static final String EXPOSURE = "exposure";
  public static final String WHITE = "white balance";
  public static final String CONTRAST = "contrast";
  public static final String SHARPNESS = "sharpness";
  public static final String TILT = "tilt";

  private Values() {}

  /** The ranges; the later version turns further. */
  static Map<String, Kind.Measure> ranges(boolean later) {
    Map<String, Kind.Measure> ranges = new LinkedHashMap<>();
    ranges.put(EXPOSURE, range("-4", "4", "0.1", Scale.EV));
    ranges.put(WHITE, range("2500", "9000", "50", Scale.KELVIN));
    ranges.put(CONTRAST, range("-50", "50", "5", Scale.PERCENT));
    ranges.put(SHARPNESS, range("0", "150", "10", Scale.PERCENT));
    ranges.put(
        TILT,
        later ? range("-10", "10", "0.1", Scale.DEGREE) : range("-5", "5", "0.1", Scale.DEGREE));
    return ranges;
  }

  private static Kind.Measure range(String least, String most, String step, Scale scale) {
    return new Kind.Measure(
        Quantity.of(least, scale), Quantity.of(most, scale), Quantity.of(step, scale));
  }

  static Map<String, Quantity> neutral() {
    Map<String, Quantity> neutral = new LinkedHashMap<>();
    neutral.put(EXPOSURE, Quantity.of("0", Scale.EV));
    neutral.put(WHITE, Quantity.of("5200", Scale.KELVIN));
    neutral.put(CONTRAST, Quantity.of("0", Scale.PERCENT));
    neutral.put(SHARPNESS, Quantity.of("40", Scale.PERCENT));
    neutral.put(TILT, Quantity.of("0", Scale.DEGREE));
    return neutral;
  }

  /** The looks that come with the program. */
  static Map<String, Map<String, Quantity>> looks() {
    Map<String, Map<String, Quantity>> looks = new LinkedHashMap<>();
    looks.put("Reading", look("0.3", "5200", "15", "80"));
    looks.put("Archive", look("0", "5000", "0", "30"));
    looks.put("Pale paper", look("-0.4", "4800", "20", "50"));
    looks.put("Dark leaf", look("0.9", "5400", "25", "60"));
    return looks;
  }

  private static Map<String, Quantity> look(
      String exposure, String white, String contrast, String sharpness) {
    Map<String, Quantity> look = new LinkedHashMap<>();
    look.put(EXPOSURE, Quantity.of(exposure, Scale.EV));
    look.put(WHITE, Quantity.of(white, Scale.KELVIN));
    look.put(CONTRAST, Quantity.of(contrast, Scale.PERCENT));
    look.put(SHARPNESS, Quantity.of(sharpness, Scale.PERCENT));
    return look;
  }
}
