package foldtwice.library;

import foldtwice.extras.Extras;
import java.math.BigDecimal;
import java.util.Currency;

/**
 * What something has cost: time and money that has to be earned back.
 *
 * @param id of what, as {@link #ofRoutine} and its like make it
 * @param minutes spent on making it, 0 or more
 * @param price 0 or more
 * @param currency of the price, by ISO 4217; empty where there is no price
 */
public record Outlay(String id, double minutes, BigDecimal price, String currency, Extras extras) {

  /** Its price is that of an hour of somebody's time. */
  public static final String HOUR = "hour";

  private static final String ROUTINE = "routine:";
  private static final String DEVICE = "device:";
  private static final String ADD_ON = "add-on:";

  public Outlay {
    if (!(minutes >= 0 && minutes < Double.MAX_VALUE)) {
      throw new IllegalArgumentException("minutes of 0 or more: " + minutes);
    }
    if (price.signum() < 0) {
      throw new IllegalArgumentException("a price of 0 or more: " + price);
    }
    price = price.signum() == 0 ? BigDecimal.ZERO : price;
  }

  /** Nothing spent on it yet. */
  public static Outlay none(String id) {
    return new Outlay(id, 0, BigDecimal.ZERO, "", Extras.NONE);
  }

  /** Whether there is a currency of this code by ISO 4217. */
  public static boolean isCurrency(String code) {
    return Currency.getAvailableCurrencies().stream()
        .anyMatch(c -> c.getCurrencyCode().equals(code));
  }

  public static String ofRoutine(String routine) {
    return ROUTINE + routine;
  }

  public static String ofDevice(String device) {
    return DEVICE + device;
  }

  public static String ofAddOn(String name) {
    return ADD_ON + name;
  }

  public Outlay took(double others) {
    return new Outlay(id, others, price, currency, extras);
  }

  public Outlay costs(BigDecimal other, String in) {
    return new Outlay(id, minutes, other, in, extras);
  }
}
