package foldtwice.live.bus;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;

/**
 * Looks at everything that lies in something. A level is asked for at once, so that it takes as
 * many waits as there are levels and not as there are things.
 */
final class Trees {

  /** What is deeper is not looked at. */
  private static final int DEEPEST = 40;

  private final Bus bus;
  private final Predicate<Seen> deeper;
  private final int most;

  Trees(Bus bus, Predicate<Seen> deeper, int most) {
    this.bus = bus;
    this.deeper = deeper;
    this.most = most;
  }

  Seen.Tree of(Seen top) throws BusException {
    Map<Ref, List<Seen>> inside = new HashMap<>();
    Set<Ref> known = new HashSet<>(Set.of(top.ref()));
    Set<Ref> cut = new HashSet<>();
    List<Seen> level = List.of(top);
    for (int depth = 0; !level.isEmpty(); depth++) {
      List<Seen> into = level.stream().filter(deeper).toList();
      if (depth == DEEPEST) {
        into.forEach(s -> cut.add(s.ref()));
        break;
      }
      List<List<Ref>> children = bus.children(into.stream().map(Seen::ref).toList());
      List<Ref> next = new ArrayList<>();
      for (int i = 0; i < into.size(); i++) {
        for (Ref child : children.get(i)) {
          if (known.size() >= most) {
            cut.add(into.get(i).ref());
          } else if (known.add(child)) {
            next.add(child);
          }
        }
      }
      Map<Ref, Seen> seen = new HashMap<>();
      bus.look(next).forEach(s -> seen.put(s.ref(), s));
      for (int i = 0; i < into.size(); i++) {
        inside.put(
            into.get(i).ref(),
            children.get(i).stream().filter(seen::containsKey).map(seen::get).toList());
      }
      level = next.stream().filter(seen::containsKey).map(seen::get).toList();
    }
    return tree(top, inside, cut, new HashSet<>());
  }

  /** Built from the top; what says that it lies in itself is left out. */
  private static Seen.Tree tree(
      Seen top, Map<Ref, List<Seen>> inside, Set<Ref> cut, Set<Ref> above) {
    List<Seen.Tree> trees = new ArrayList<>();
    above.add(top.ref());
    for (Seen s : inside.getOrDefault(top.ref(), List.of())) {
      if (!above.contains(s.ref())) {
        trees.add(tree(s, inside, cut, above));
      }
    }
    above.remove(top.ref());
    return new Seen.Tree(top, trees, cut.contains(top.ref()));
  }
}
