package foldtwice.atlas;

import foldtwice.conflict.Weight;
import foldtwice.resolve.Claim;
import java.util.List;
import java.util.Optional;

/**
 * What one key, or something else that can be pressed, comes to on a page of the atlas.
 *
 * @param part what it is for
 * @param claims whoever it sets off, or who have an equal right to it; in all places at once
 *     whoever has it anywhere
 * @param trouble the heaviest conflict any of the claims on it has here
 * @param programs how many applications claim it; 1 at most in one place
 * @param alike true when they all claim it for the same thing
 * @param uses how often a week it is pressed for what it does
 * @param types the character it types where text is taken, or would on this layout; empty for none
 */
public record Key(
    Part part,
    List<Claim> claims,
    Optional<Weight> trouble,
    int programs,
    boolean alike,
    double uses,
    String types) {

  /** What a key is for. */
  public enum Part {
    /** Nobody claims it. */
    FREE,
    /** A binding or a menu of the library. */
    YOURS,
    /** A command of the program. */
    NATIVE,
    /** The desktop keeps it. */
    DESKTOP,
    /** It begins something longer. */
    BEGINS,
    /** Several have an equal right to it, so it does nothing. */
    SHARED,
    /** It types. */
    TYPES,
    /** It is held with others. */
    MODIFIER
  }

  /** A key that is held with others. */
  static final Key MODIFIER = new Key(Part.MODIFIER, List.of(), Optional.empty(), 0, true, 0, "");

  public Key {
    claims = List.copyOf(claims);
  }
}
