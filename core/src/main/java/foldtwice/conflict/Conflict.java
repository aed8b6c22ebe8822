package foldtwice.conflict;

import foldtwice.library.Acceptance;
import foldtwice.library.Library;
import foldtwice.place.Place;
import foldtwice.place.Rule;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Owner;
import foldtwice.text.Digest;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * Something wrong.
 *
 * @param loss how much is lost
 * @param places the states in which it happens; empty when it does not depend on them
 * @param everywhere true when it happens in every state the first claim can be heard in
 * @param claims the one it is about first, then those it has to do with
 */
public record Conflict(
    ConflictKind kind,
    Weight weight,
    Loss loss,
    List<Place> places,
    boolean everywhere,
    List<Claim> claims,
    Detail detail,
    Evidence evidence) {

  public Conflict {
    places = List.copyOf(places);
    claims = List.copyOf(claims);
  }

  /** True when somebody lives with it, and with no less than what is at stake now. */
  public boolean isAccepted(Library library) {
    Acceptance how = library.accepted().get(fingerprint());
    return how != null && how.holds(loss.stake());
  }

  /** The claim it is about. */
  public Claim about() {
    return claims.getFirst();
  }

  /** The same, its claims in another order. */
  public Conflict toldFrom(List<Claim> order) {
    return new Conflict(kind, weight, loss, places, everywhere, order, detail, evidence);
  }

  /** What refuses the trigger, for {@link ConflictKind#NOT_ACCEPTED}. */
  public Optional<Rule> rule() {
    return detail instanceof Detail.Refused(Rule rule) ? Optional.of(rule) : Optional.empty();
  }

  /** True when it has to do with this binding. */
  public boolean concerns(String binding) {
    return claims.stream().anyMatch(c -> isOf(c, binding));
  }

  /** True when it stands at this binding: it is about it, or about both of two equals. */
  public boolean isAbout(String binding) {
    return isOf(about(), binding)
        || ((isBetweenEquals() || isShared()) && claims.stream().anyMatch(c -> isOf(c, binding)));
  }

  /** True when it comes from a routine or a device: its claims are all the bindings of that. */
  public boolean isShared() {
    return detail instanceof Detail.Hindered
        || detail instanceof Detail.NoDevice
        || detail instanceof Detail.Settings
        || detail instanceof Detail.Undo;
  }

  /**
   * What stays the same while it is the same trouble, be it in more or fewer places or with another
   * weight.
   */
  public Object topic() {
    return isShared()
        ? List.of(kind, detail)
        : List.of(
            kind,
            claims.stream().map(c -> List.of(c.owner(), c.trigger())).collect(Collectors.toSet()),
            detail);
  }

  /** True when {@link #topic} is the same for both. */
  public boolean isTopicOf(Conflict other) {
    return kind == other.kind
        && detail.equals(other.detail)
        && (isShared() || claims.isEmpty() || hasCauseOf(other))
        && topic().equals(other.topic());
  }

  /** True when the same trigger of the same owner has to do with both. */
  public boolean hasCauseOf(Conflict other) {
    for (Claim c : claims) {
      for (Claim o : other.claims) {
        if (o.owner().equals(c.owner()) && o.trigger().equals(c.trigger())) {
          return true;
        }
      }
    }
    return false;
  }

  /** True when no claim of it comes before another. */
  public boolean isBetweenEquals() {
    return switch (kind) {
      case DOUBLE_CLAIM, TWINS -> true;
      case HOLD_CLASH -> detail instanceof Detail.Held(boolean equal) && equal;
      default -> false;
    };
  }

  private static boolean isOf(Claim claim, String binding) {
    return claim.owner() instanceof Owner.Yours(String id) && id.equals(binding);
  }

  /**
   * A few letters that change when anything about it does: its kind, its weight, who is involved
   * with which triggers where. How often things are used is no part of it, nor is the station.
   */
  public String fingerprint() {
    String substance =
        String.join(
            "\n",
            kind.id(),
            weight.id(),
            places.stream().map(Place::id).sorted().toList().toString(),
            claims.stream().map(Claim::toString).sorted().toList().toString(),
            detail.toString());
    return Digest.of(substance);
  }
}
