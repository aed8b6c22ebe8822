package foldtwice.standin.copystand;

import foldtwice.routine.Scale;
import foldtwice.routine.Value.Quantity;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * One photograph of a sheet.
 *
 * @param values by name, as {@link Values} lists them
 * @param cropped what is cut off at each side, in percent
 * @param look the stored look applied last; empty for none
 * @param longSide the long side it will be sent out with, in pixels
 */
public record Shot(
    String name, Map<String, Quantity> values, int cropped, String look, int longSide) {

  public Shot {
    values = Collections.unmodifiableMap(new LinkedHashMap<>(values));
  }

  /** As it comes from the camera. */
  static Shot fresh(String name) {
    return new Shot(name, Values.neutral(), 0, "", 6000);
  }

  Shot with(String value, Quantity amount) {
    Map<String, Quantity> next = new LinkedHashMap<>(values);
    next.put(value, amount);
    return new Shot(name, next, cropped, look, longSide);
  }

  Shot with(Map<String, Quantity> others) {
    Map<String, Quantity> next = new LinkedHashMap<>(values);
    next.putAll(others);
    return new Shot(name, next, cropped, look, longSide);
  }

  Shot looking(String other) {
    return new Shot(name, values, cropped, other, longSide);
  }

  Shot cropped(int percent) {
    return new Shot(name, values, percent, look, longSide);
  }

  Shot sized(int pixels) {
    return new Shot(name, values, cropped, look, pixels);
  }

  /** An amount as a plain number. */
  public double amount(String value) {
    return values.get(value).amount().doubleValue();
  }

  static Quantity of(String amount, Scale scale) {
    return Quantity.of(amount, scale);
  }
}
