package foldtwice.resolve;

import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Modifiers;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicReferenceArray;

/**
 * Nodes by the id of a first press. Key presses are found by two steps through arrays, a key and
 * then what is held; anything else in a table. What is added is seen by all that share it.
 */
final class Branches {

  private static final int KEYS = KeyCode.values().length;
  private static final int HELD = 1 << Modifiers.WIDTH;

  private final AtomicReferenceArray<AtomicReferenceArray<Node>> keys;
  private final Map<Integer, Node> others;

  Branches() {
    this(new AtomicReferenceArray<>(KEYS), new ConcurrentHashMap<>());
  }

  private Branches(
      AtomicReferenceArray<AtomicReferenceArray<Node>> keys, Map<Integer, Node> others) {
    this.keys = keys;
    this.others = others;
  }

  private static boolean isKey(int press) {
    return press >= 0 && press < KEYS * HELD;
  }

  /** What was put there; null for nothing yet. */
  Node get(int press) {
    if (!isKey(press)) {
      return others.get(press);
    }
    AtomicReferenceArray<Node> held = keys.get(press / HELD);
    return held == null ? null : held.get(press % HELD);
  }

  void put(int press, Node node) {
    if (!isKey(press)) {
      others.put(press, node);
      return;
    }
    AtomicReferenceArray<Node> held = keys.get(press / HELD);
    if (held == null) {
      keys.compareAndSet(press / HELD, null, new AtomicReferenceArray<>(HELD));
      held = keys.get(press / HELD);
    }
    held.set(press % HELD, node);
  }

  /** The same without what begins with some presses; the rest is shared. */
  Branches without(Set<Integer> presses) {
    AtomicReferenceArray<AtomicReferenceArray<Node>> kept = new AtomicReferenceArray<>(KEYS);
    for (int i = 0; i < KEYS; i++) {
      kept.setPlain(i, keys.get(i));
    }
    Map<Integer, Node> rest = new ConcurrentHashMap<>(others);
    for (int press : presses) {
      if (isKey(press)) {
        kept.setPlain(press / HELD, without(kept.getPlain(press / HELD), press % HELD));
      } else {
        rest.remove(press);
      }
    }
    return new Branches(kept, rest);
  }

  private static AtomicReferenceArray<Node> without(AtomicReferenceArray<Node> held, int gone) {
    if (held == null) {
      return null;
    }
    AtomicReferenceArray<Node> rest = new AtomicReferenceArray<>(HELD);
    for (int i = 0; i < HELD; i++) {
      rest.setPlain(i, i == gone ? null : held.get(i));
    }
    return rest;
  }
}
