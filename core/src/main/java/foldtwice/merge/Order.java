package foldtwice.merge;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The order of what comes from two sides: as it was, or as the side has it that changed it; what is
 * new comes after what it came after on its side. It is the same whichever side is called ours.
 */
final class Order {

  /** What stands before everything. */
  private static final Object START = new Object();

  private Order() {}

  /** All of both sides, each once; no list has anything twice. */
  static <T> List<T> of(List<T> base, List<T> ours, List<T> theirs) {
    Set<T> mine = new LinkedHashSet<>(ours);
    Set<T> yours = new LinkedHashSet<>(theirs);
    List<T> first = both(ours, yours);
    List<T> second = both(theirs, mine);
    List<T> was = both(both(base, mine), yours);
    List<T> kept = both(first, new LinkedHashSet<>(was));
    List<T> skeleton =
        first.equals(second) || kept.equals(was)
            ? second
            : both(second, new LinkedHashSet<>(was)).equals(was)
                ? first
                : Stream.of(first, second)
                    .min(Comparator.comparing(Object::toString))
                    .orElseThrow();
    Map<Object, List<List<T>>> runs = new LinkedHashMap<>();
    run(ours, skeleton, runs);
    run(theirs, skeleton, runs);
    List<T> all = new ArrayList<>();
    add(runs.get(START), all);
    for (T one : skeleton) {
      all.add(one);
      add(runs.get(one), all);
    }
    return all;
  }

  private static <T> List<T> both(List<T> some, Set<T> others) {
    return some.stream().filter(others::contains).collect(Collectors.toList());
  }

  /** By what they come after, what only this side has. */
  private static <T> void run(List<T> side, List<T> skeleton, Map<Object, List<List<T>>> runs) {
    Set<T> there = new LinkedHashSet<>(skeleton);
    Object after = START;
    List<T> run = new ArrayList<>();
    for (T one : side) {
      if (!there.contains(one)) {
        run.add(one);
        continue;
      }
      end(after, run, runs);
      after = one;
      run = new ArrayList<>();
    }
    end(after, run, runs);
  }

  private static <T> void end(Object after, List<T> run, Map<Object, List<List<T>>> runs) {
    if (!run.isEmpty()) {
      runs.computeIfAbsent(after, a -> new ArrayList<>()).add(run);
    }
  }

  private static <T> void add(List<List<T>> runs, List<T> all) {
    if (runs != null) {
      runs.stream().sorted(Comparator.comparing(Object::toString)).forEach(all::addAll);
    }
  }
}
