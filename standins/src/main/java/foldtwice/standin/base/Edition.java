package foldtwice.standin.base;

import foldtwice.place.AddOn;
import foldtwice.place.Labels;
import java.util.List;
import java.util.Set;

/**
 * Which version of a program, with which add-ons.
 *
 * @param labels in the language it is shown in
 */
public record Edition(String version, Set<AddOn> addOns, Labels labels) {

  public Edition {
    addOns = Set.copyOf(addOns);
  }

  /** In the language it is described in. */
  public Edition(String version, Set<AddOn> addOns) {
    this(version, addOns, Labels.AS_DESCRIBED);
  }

  /** The same in another language. */
  public Edition in(Labels others) {
    return new Edition(version, addOns, others);
  }

  public static Edition of(String version, List<AddOn> addOns) {
    return new Edition(version, Set.copyOf(addOns));
  }

  boolean has(AddOn needed) {
    return addOns.stream().anyMatch(a -> a.meets(needed));
  }
}
