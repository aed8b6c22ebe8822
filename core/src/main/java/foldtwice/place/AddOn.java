package foldtwice.place;

/**
 * An add-on of a program.
 *
 * @param version the one that is there; where an add-on is needed, the least that will do, empty
 *     for any
 */
public record AddOn(String name, String version) {

  /** Whether this one, being there, is what is needed. */
  public boolean meets(AddOn needed) {
    return name.equals(needed.name)
        && (needed.version.isEmpty() || Versions.atLeast(version, needed.version));
  }
}
