package foldtwice.resolve;

import foldtwice.place.Place;
import foldtwice.trigger.Signal;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * What becomes of one claim, in one state, along one way of pressing it.
 *
 * @param fate whether it fires
 * @param by those it loses to, or all that share it, itself among them, in the order of {@link
 *     Claim#BY_NAME}; empty when it wins
 * @param silences claims that no longer answer here because of it
 * @param takesTyping true when its first stroke would otherwise type a character here
 * @param evidence the presses that show it
 */
public record Meeting(
    Fate fate, List<Claim> by, List<Claim> silences, boolean takesTyping, List<Signal> evidence) {

  /** How a claim comes off. */
  public enum Fate {
    /** It fires. */
    WINS,
    /** Others of its layer have the same right. */
    SHARED,
    /** A claim of a layer before it takes the same trigger. */
    COVERED,
    /** A shorter claim fires before it is complete. */
    CUT_SHORT
  }

  /**
   * The meetings of a claim that the keymap holds; none when it is not heard in this state or the
   * layout cannot press it.
   *
   * @param paths the ways to press the claim's trigger
   */
  public static List<Meeting> of(
      Keymap keymap, Place state, Claim claim, List<List<Signal>> paths) {
    StateMap map = keymap.at(state);
    int layer = map.layerOf(claim);
    List<Meeting> meetings = new ArrayList<>(1);
    if (layer >= 0) {
      for (List<Signal> path : paths) {
        if (!map.passesText(layer, path)) {
          meetings.add(of(map, layer, claim, path));
        }
      }
    }
    return meetings;
  }

  private static Meeting of(StateMap map, int layer, Claim claim, List<Signal> path) {
    for (int n = 1; n < path.size(); n++) {
      Node before = map.walk(path.subList(0, n));
      if (before.firstLayer() <= layer || before.firesAtOnce()) {
        return new Meeting(
            Fate.CUT_SHORT, before.owners(before.firstLayer()), List.of(), false, path);
      }
    }
    Node node = map.walk(path);
    int first = node.firstLayer();
    if (first < layer) {
      return new Meeting(Fate.COVERED, node.owners(first), List.of(), false, path);
    }
    List<Claim> owners = node.owners(layer);
    if (owners.size() > 1 && !areAll(owners, claim.owner())) {
      return new Meeting(Fate.SHARED, owners, List.of(), false, path);
    }
    boolean typing =
        map.takesText() && path.getFirst().asPress().flatMap(map.layout()::types).isPresent();
    return new Meeting(Fate.WINS, List.of(), silenced(node, layer, claim), typing, path);
  }

  private static boolean areAll(List<Claim> claims, Owner owner) {
    for (Claim c : claims) {
      if (!c.owner().equals(owner)) {
        return false;
      }
    }
    return true;
  }

  /** Later layers on the same strokes, native ones beside it, and longer ones it cuts short. */
  private static List<Claim> silenced(Node node, int layer, Claim claim) {
    Set<Claim> silenced = new LinkedHashSet<>();
    for (Node.Hit hit : node.hits) {
      if (hit.layer() >= layer && !hit.claim().owner().equals(claim.owner())) {
        silenced.add(hit.claim());
      }
    }
    if (node.below != 0) {
      longer(node, node.firesAtOnce() ? 0 : layer, silenced);
    }
    silenced.removeIf(c -> c.owner().equals(claim.owner()));
    return List.copyOf(silenced);
  }

  private static void longer(Node node, int layer, Set<Claim> into) {
    for (Node child : node.children()) {
      child.hits.stream().filter(h -> h.layer() >= layer).forEach(h -> into.add(h.claim()));
      longer(child, layer, into);
    }
  }
}
