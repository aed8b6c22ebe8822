package foldtwice.standin.base;

import foldtwice.place.AddOn;
import foldtwice.place.Labels;
import java.util.List;
import java.util.Set;

/**
 * Which version of a program, with which add-ons.
 *
 * @param labels in the language it is shown in
 * @param installed the version that is there; where nobody simulates it, {@code version} is the
 *     nearest before it that is, and what it offers is not known
 */
public record Edition(String version, Set<AddOn> addOns, Labels labels, String installed) {

  public Edition {
    addOns = Set.copyOf(addOns);
  }

  /** In the language it is described in. */
  public Edition(String version, Set<AddOn> addOns) {
    this(version, addOns, Labels.AS_DESCRIBED, version);
  }

  /** The same in another language. */
  public Edition in(Labels others) {
    return new Edition(version, addOns, others, installed);
  }

  /** This one, in place of another that is there. */
  public Edition standingFor(String other) {
    return new Edition(version, addOns, labels, other);
  }

  /** True when it is the version that is there. */
  boolean isThere() {
    return installed.equals(version);
  }

  public static Edition of(String version, List<AddOn> addOns) {
    return new Edition(version, Set.copyOf(addOns));
  }

  boolean has(AddOn needed) {
    return addOns.stream().anyMatch(a -> a.meets(needed));
  }
}
