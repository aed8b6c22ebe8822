package foldtwice.standin.base;

import foldtwice.place.AddOn;
import java.util.List;
import java.util.Set;

/** Which version of a program, with which add-ons. */
public record Edition(String version, Set<AddOn> addOns) {

  public Edition {
    addOns = Set.copyOf(addOns);
  }

  public static Edition of(String version, List<AddOn> addOns) {
    return new Edition(version, Set.copyOf(addOns));
  }

  boolean has(AddOn needed) {
    return addOns.stream().anyMatch(a -> a.meets(needed));
  }
}
