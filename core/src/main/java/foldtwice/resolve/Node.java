package foldtwice.resolve;

import foldtwice.place.Place;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What is claimed after some strokes in one state of an application. Built once, then only read.
 *
 * <p>{@code hits} are the claims whose trigger ends here, with the number of their layer; {@code
 * below} has a bit for every layer that claims something longer.
 */
final class Node {

  /** A claim that ends here. */
  record Hit(int layer, Claim claim) {}

  /** No layer has this number or a higher one. */
  static final int NO_LAYER = 63;

  private static final Node[] NO_CHILDREN = new Node[0];

  /** Where nothing is claimed. */
  static final Node EMPTY = new Node();

  final List<Hit> hits = new ArrayList<>(1);
  long below;

  /** The claim of the smallest layer on the strokes before this node, or {@link #NO_LAYER}. */
  int cut = NO_LAYER;

  Outcome decision;

  /** {@link #firstLayer} once all claims are in; -1 while they come. */
  private int first = -1;

  private List<Claim> firstOwners;

  private int[] keys;
  private Node[] children = NO_CHILDREN;
  private int size;

  Node child(int press) {
    if (size == 0) {
      return null;
    }
    int mask = keys.length - 1;
    for (int i = spread(press) & mask; ; i = (i + 1) & mask) {
      Node child = children[i];
      if (child == null || keys[i] == press) {
        return child;
      }
    }
  }

  Node childOrNew(int press) {
    Node child = child(press);
    if (child == null) {
      child = new Node();
      if (2 * (size + 1) > children.length) {
        grow();
      }
      place(press, child);
      size++;
    }
    return child;
  }

  private void grow() {
    int[] oldKeys = keys;
    Node[] old = children;
    keys = new int[Math.max(4, old.length * 2)];
    children = new Node[keys.length];
    for (int i = 0; i < old.length; i++) {
      if (old[i] != null) {
        place(oldKeys[i], old[i]);
      }
    }
  }

  private void place(int press, Node child) {
    int mask = keys.length - 1;
    int i = spread(press) & mask;
    while (children[i] != null) {
      i = (i + 1) & mask;
    }
    keys[i] = press;
    children[i] = child;
  }

  private static int spread(int press) {
    int h = press * 0x9E3779B9;
    return h ^ h >>> 16;
  }

  /** The children, in no particular order. */
  List<Node> children() {
    List<Node> all = new ArrayList<>(size);
    for (Node child : children) {
      if (child != null) {
        all.add(child);
      }
    }
    return all;
  }

  /**
   * The layer of the first claim that ends here and is not cut short; {@link #NO_LAYER} for none.
   */
  int firstLayer() {
    return first >= 0 ? first : findFirstLayer();
  }

  private int findFirstLayer() {
    int least = NO_LAYER;
    for (Hit hit : hits) {
      least = Math.min(least, hit.layer);
    }
    return least < cut ? least : NO_LAYER;
  }

  /** No more claims come, and what cuts it short is known. */
  void close() {
    first = findFirstLayer();
    if (first == NO_LAYER) {
      firstOwners = List.of();
    } else {
      List<Claim> owners = findOwners(first);
      owners.sort(Claim.BY_NAME);
      firstOwners = List.copyOf(owners);
    }
  }

  /**
   * Those that have a right to the press in one layer: yours, or the native ones if none is yours.
   */
  List<Claim> owners(int layer) {
    return layer == first ? firstOwners : findOwners(layer);
  }

  private List<Claim> findOwners(int layer) {
    List<Claim> yours = new ArrayList<>(1);
    List<Claim> others = new ArrayList<>(1);
    for (Hit hit : hits) {
      if (hit.layer == layer) {
        (hit.claim.isYours() ? yours : others).add(hit.claim);
      }
    }
    return yours.isEmpty() ? others : yours;
  }

  /** Clause 10: a held key fires as it goes down, whatever longer might have come of it. */
  boolean firesAtOnce() {
    int first = firstLayer();
    return first != NO_LAYER
        && owners(first).stream().anyMatch(c -> c.trigger() instanceof Trigger.Held);
  }

  /** The one that would fire here if nothing were yours; empty for none, or for several. */
  Optional<Hit> soleOther(int cut) {
    Hit sole = null;
    boolean several = false;
    for (Hit hit : hits) {
      if (!hit.claim.isYours() && hit.layer < cut && (sole == null || hit.layer <= sole.layer)) {
        several = sole != null && hit.layer == sole.layer;
        sole = hit;
      }
    }
    return several ? Optional.empty() : Optional.ofNullable(sole);
  }

  /** What {@link #cut} would be below this node if nothing were yours. */
  int cutByOthers(int cut) {
    int least = cut;
    boolean held = false;
    for (Hit hit : hits) {
      if (!hit.claim.isYours() && hit.layer <= least && hit.layer < cut) {
        boolean holds = hit.claim.trigger() instanceof Trigger.Held;
        held = hit.layer < least ? holds : held || holds;
        least = hit.layer;
      }
    }
    return held ? 0 : least;
  }

  /**
   * True when what would fire here if nothing were yours would wait for something longer too.
   *
   * @param cut what others than you cut short on the way here
   */
  boolean waitsForOthers(int cut) {
    Optional<Hit> here = soleOther(cut);
    return here.isPresent() && longerOther(here.get().layer, cutByOthers(cut));
  }

  private boolean longerOther(int layer, int cut) {
    for (Node child : children()) {
      for (Hit hit : child.hits) {
        if (!hit.claim.isYours() && hit.layer < layer && hit.layer < cut) {
          return true;
        }
      }
      if (child.longerOther(layer, child.cutByOthers(cut))) {
        return true;
      }
    }
    return false;
  }

  /** All that end here or below, each once. */
  List<Claim> claims() {
    Set<Claim> all = new LinkedHashSet<>();
    collect(all);
    return List.copyOf(all);
  }

  private void collect(Set<Claim> into) {
    hits.forEach(h -> into.add(h.claim));
    children().forEach(c -> c.collect(into));
  }

  /**
   * All that end here: system-wide ones, then those of the application as a whole and of its
   * contexts inwards, those of one place by name.
   */
  List<Claim> outermostFirst() {
    return hits.stream()
        .sorted(
            Comparator.<Hit>comparingInt(h -> h.claim.place() instanceof Place.Everywhere ? 0 : 1)
                .thenComparing(h -> -h.layer)
                .thenComparing(Hit::claim, Claim.BY_NAME))
        .map(Hit::claim)
        .toList();
  }

  /** The native ones of a layer that yours go before. */
  List<Claim> behind(int layer) {
    List<Claim> owners = owners(layer);
    return hits.stream()
        .filter(h -> h.layer == layer && !owners.contains(h.claim))
        .map(Hit::claim)
        .toList();
  }
}
