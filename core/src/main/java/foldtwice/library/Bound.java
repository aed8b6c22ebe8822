package foldtwice.library;

import foldtwice.binding.Binding;
import foldtwice.library.Chunked.Gathering;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;

/**
 * The bindings of a library that have something in common, in its order. What an edit leaves alone
 * is gathered once: of ten thousand bindings the next library looks at sixty-four, and at what was
 * gathered of the others.
 */
public final class Bound {

  private static final Gathering<Binding, Map<String, List<Binding>>> BY_APPLICATION =
      by(b -> b.place().applicationId().stream().toList());

  private static final Gathering<Binding, Map<String, List<Binding>>> BY_ROUTINE =
      by(b -> List.of(b.routine()));

  private static final Gathering<Binding, Map<Trigger, List<Binding>>> BY_TRIGGER =
      by(b -> b.triggers().stream().distinct().toList());

  private static final Gathering<Binding, List<Binding>> DRAFTS =
      new Gathering<>(some -> some.stream().filter(Binding::isDraft).toList());

  private Bound() {}

  private static <K> Gathering<Binding, Map<K, List<Binding>>> by(Function<Binding, List<K>> keys) {
    return new Gathering<>(
        some -> {
          Map<K, List<Binding>> all = new LinkedHashMap<>();
          for (Binding b : some) {
            keys.apply(b).forEach(k -> all.computeIfAbsent(k, n -> new ArrayList<>()).add(b));
          }
          return all;
        });
  }

  /** Those in places of an application. */
  public static List<Binding> in(Library library, String application) {
    return of(library, BY_APPLICATION, application);
  }

  /** Those of a routine. */
  public static List<Binding> to(Library library, String routine) {
    return of(library, BY_ROUTINE, routine);
  }

  /** Those that this sets off, among other things or alone. */
  public static List<Binding> on(Library library, Trigger trigger) {
    return of(library, BY_TRIGGER, trigger);
  }

  /** How many are in places of each application; none for one that is not told of. */
  public static Map<String, Integer> inEach(Library library) {
    Map<String, Integer> counts = new HashMap<>();
    for (Map<String, List<Binding>> some : gathered(library, BY_APPLICATION)) {
      some.forEach((application, its) -> counts.merge(application, its.size(), Integer::sum));
    }
    return counts;
  }

  /** All that set something off, in the order in which they come first. */
  public static Set<Trigger> triggers(Library library) {
    Set<Trigger> all = new LinkedHashSet<>();
    gathered(library, BY_TRIGGER).forEach(some -> all.addAll(some.keySet()));
    return all;
  }

  /** Those that wait for a trigger. */
  public static List<Binding> drafts(Library library) {
    return gathered(library, DRAFTS).stream().flatMap(List::stream).toList();
  }

  private static <K> List<Binding> of(
      Library library, Gathering<Binding, Map<K, List<Binding>>> gathering, K key) {
    List<Binding> all = new ArrayList<>();
    for (Map<K, List<Binding>> some : gathered(library, gathering)) {
      List<Binding> its = some.get(key);
      if (its != null) {
        all.addAll(its);
      }
    }
    return all;
  }

  private static <R> List<R> gathered(Library library, Gathering<Binding, R> gathering) {
    return Chunked.of(library.bindings()).gathered(gathering);
  }
}
