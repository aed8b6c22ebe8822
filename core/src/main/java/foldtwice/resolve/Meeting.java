package foldtwice.resolve;

import foldtwice.place.Place;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Press;
import foldtwice.trigger.Signal;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What becomes of one claim, in one state, along one way of pressing it.
 *
 * @param fate whether it fires
 * @param by those it loses to, or all that share it, itself among them, in the order of {@link
 *     Claim#BY_NAME}; empty when it wins
 * @param silences claims of others than you that would answer here if nothing were yours, and do
 *     not because of it
 * @param delays native commands that answer here only when the time for the rest is up, and would
 *     at once if nothing were yours
 * @param takesTyping true when its first stroke would otherwise type a character here
 * @param evidence the presses that show it
 */
public record Meeting(
    Fate fate,
    List<Claim> by,
    List<Claim> silences,
    List<Claim> delays,
    boolean takesTyping,
    List<Signal> evidence) {

  private Meeting(Fate fate, List<Claim> by, boolean takesTyping, List<Signal> evidence) {
    this(fate, by, List.of(), List.of(), takesTyping, evidence);
  }

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
    if (layer >= 0 && claim.trigger() instanceof Trigger.AtStart) {
      return List.of(new Meeting(Fate.WINS, List.of(), false, paths.getFirst())); // clause 16
    }
    if (layer >= 0) {
      for (List<Signal> path : paths) {
        if (!map.passesText(layer, path)) {
          meetings.add(of(keymap, map, layer, claim, path));
        } else if (isShortcut(path.getFirst())) {
          meetings.add(new Meeting(Fate.TYPED, List.of(), true, path));
        }
      }
    }
    return meetings;
  }

  /** Of plain keys everybody knows that they type. */
  private static boolean isShortcut(Signal first) {
    return first instanceof Press p && !p.held().without(Modifier.SHIFT).isEmpty();
  }

  private static Meeting of(
      Keymap keymap, StateMap map, int layer, Claim claim, List<Signal> path) {
    int others = Node.NO_LAYER;
    for (int n = 1; n < path.size(); n++) {
      Node before = map.walk(path.subList(0, n));
      others = before.cutByOthers(others);
      if (before.firstLayer() <= layer || before.firesAtOnce()) {
        return new Meeting(Fate.CUT_SHORT, before.owners(before.firstLayer()), false, path);
      }
      List<Claim> kept = map.kept(path.get(n));
      if (!kept.isEmpty()) {
        return new Meeting(Fate.COVERED, kept, false, path);
      }
    }
    Node node = map.walk(path);
    int first = node.firstLayer();
    if (first < layer) {
      return new Meeting(Fate.COVERED, node.owners(first), false, path);
    }
    List<Claim> owners = node.owners(layer);
    if (owners.size() > 1 && !areAll(owners, claim.owner())) {
      return new Meeting(Fate.SHARED, owners, false, path);
    }
    boolean typing =
        map.takesText() && path.getFirst().asPress().filter(map.layout()::beginsTyping).isPresent();
    List<Claim> silenced =
        silenced(node, layer, others).stream().filter(c -> completes(keymap, map, c)).toList();
    return new Meeting(Fate.WINS, List.of(), silenced, delayed(map, path), typing, path);
  }

  /** A native command of a later layer that ends on the way waits for the rest of this one. */
  private static List<Claim> delayed(StateMap map, List<Signal> path) {
    List<Claim> delayed = new ArrayList<>(1);
    int cut = Node.NO_LAYER;
    for (int n = 1; n < path.size(); n++) {
      Node on = map.walk(path.subList(0, n));
      if (on.decision instanceof Outcome.Waiting(Optional<Claim> otherwise)
          && otherwise.filter(c -> c.owner() instanceof Owner.Native).isPresent()
          && !on.waitsForOthers(cut)) {
        delayed.add(otherwise.get());
      }
      cut = on.cutByOthers(cut);
    }
    return delayed;
  }

  /** False when the desktop keeps one of its later strokes, however it is pressed. */
  private static boolean completes(Keymap keymap, StateMap map, Claim claim) {
    return claim.trigger().keyStrokes().size() < 2
        || keymap.paths(claim.trigger()).stream()
            .anyMatch(p -> p.subList(1, p.size()).stream().allMatch(s -> map.kept(s).isEmpty()));
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
    return silenced;
  }

  private static void longer(Node node, int cut, int layer, List<Claim> into) {
    int next = node.cutByOthers(cut);
    for (Node child : node.children()) {
      child.soleOther(next).filter(h -> h.layer() >= layer).ifPresent(h -> into.add(h.claim()));
      longer(child, next, layer, into);
    }
  }
}
