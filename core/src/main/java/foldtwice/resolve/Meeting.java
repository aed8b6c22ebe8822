package foldtwice.resolve;

import foldtwice.place.Place;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Press;
import foldtwice.trigger.Signal;
import java.util.ArrayList;
import java.util.List;

/**
 * What becomes of one claim, in one state, along one way of pressing it.
 *
 * @param fate whether it fires
 * @param by those it loses to, or all that share it, itself among them, in the order of {@link
 *     Claim#BY_NAME}; empty when it wins
 * @param silences claims of others than you that would answer here if nothing were yours, and do
 *     not because of it
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
    CUT_SHORT,
    /** It holds a modifier as shortcuts do, and yet types a character into the text here. */
    TYPED
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
        } else if (isShortcut(path.getFirst())) {
          meetings.add(new Meeting(Fate.TYPED, List.of(), List.of(), true, path));
        }
      }
    }
    return meetings;
  }

  /** Of plain keys everybody knows that they type. */
  private static boolean isShortcut(Signal first) {
    return first instanceof Press p && !p.held().without(Modifier.SHIFT).isEmpty();
  }

  private static Meeting of(StateMap map, int layer, Claim claim, List<Signal> path) {
    int others = Node.NO_LAYER;
    for (int n = 1; n < path.size(); n++) {
      Node before = map.walk(path.subList(0, n));
      others = before.cutByOthers(others);
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
        map.takesText() && path.getFirst().asPress().filter(map.layout()::beginsTyping).isPresent();
    return new Meeting(Fate.WINS, List.of(), silenced(node, layer, others), typing, path);
  }

  private static boolean areAll(List<Claim> claims, Owner owner) {
    for (Claim c : claims) {
      if (!c.owner().equals(owner)) {
        return false;
      }
    }
    return true;
  }

  /**
   * Those not yours on the same strokes, and longer ones it cuts short.
   *
   * @param cut what others than you cut short on the way
   */
  private static List<Claim> silenced(Node node, int layer, int cut) {
    List<Claim> silenced = new ArrayList<>(1);
    node.soleOther(cut).filter(h -> h.layer() >= layer).ifPresent(h -> silenced.add(h.claim()));
    if (node.below != 0) {
      longer(node, cut, node.firesAtOnce() ? 0 : layer, silenced);
    }
    return List.copyOf(silenced);
  }

  private static void longer(Node node, int cut, int layer, List<Claim> into) {
    int next = node.cutByOthers(cut);
    for (Node child : node.children()) {
      child.soleOther(next).filter(h -> h.layer() >= layer).ifPresent(h -> into.add(h.claim()));
      longer(child, next, layer, into);
    }
  }
}
