package foldtwice.standin.base;

import java.util.List;
import java.util.Set;

/**
 * Which version of a program, with which add-ons.
 *
 * @param addOns by name
 */
public record Edition(String version, Set<String> addOns) {

  public Edition {
    addOns = Set.copyOf(addOns);
  }

  public static Edition of(String version, List<String> addOns) {
    return new Edition(version, Set.copyOf(addOns));
  }

  boolean has(String addOn) {
    return addOns.contains(addOn);
  }
}
