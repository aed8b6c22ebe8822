package foldtwice.desktop.bind;

import foldtwice.binding.Binding;
import foldtwice.binding.Family;
import foldtwice.conflict.Conflict;
import foldtwice.desktop.parts.Batched;
import foldtwice.desktop.parts.Lists;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Difference;
import foldtwice.ready.Puts;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.BiPredicate;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import javafx.collections.ObservableList;

/**
 * The bindings of a library as rows, in its order. An edit makes anew only the rows it touches, so
 * that a library of ten thousand bindings follows at once.
 */
final class Rows {

  private final Batched<Seat> all = new Batched<>();
  private final Map<String, Integer> at = new HashMap<>();

  /** True when one row stands elsewhere than another would, or is not shown as that would be. */
  private final BiPredicate<Row, Row> moves;

  private Snapshot shown;

  /** Those that have a numbered slot: it depends on the bindings before them. */
  private Set<String> inSlots = Set.of();

  /** By binding, what is wrong as it was said last; only of those that were asked for. */
  private final Map<String, Row.Trouble> troubles = new HashMap<>();

  /** By binding, its part in a family. */
  private Map<String, String> families = Map.of();

  Rows(BiPredicate<Row, Row> moves) {
    this.moves = moves;
  }

  /** To be shown, and changed here only. */
  ObservableList<Seat> all() {
    return all;
  }

  boolean has(String binding) {
    return at.containsKey(binding);
  }

  /** Where one of the rows stands among all, from 0. */
  int place(Row row) {
    return at.getOrDefault(row.binding().id(), 0);
  }

  /** The row of a binding that is there. */
  Optional<Row> of(String binding) {
    return Optional.ofNullable(at.get(binding)).map(i -> all.get(i).row());
  }

  /**
   * The worst that is wrong with one now. It is no part of the row: what an audit tells touches
   * many, and few of them are seen.
   */
  Optional<Row.Trouble> trouble(Row row) {
    String id = row.binding().id();
    Optional<Conflict> worst = worst(row);
    if (worst.isEmpty()) {
      return Optional.empty();
    }
    Row.Trouble said = troubles.get(id);
    if (said == null || !said.worst().equals(worst.get())) {
      said = Row.Trouble.of(worst.get(), row.binding(), shown.words());
      troubles.put(id, said);
    }
    return Optional.of(said);
  }

  Optional<Conflict> worst(Row row) {
    return shown.conflictsOf(row.binding().id()).stream().findFirst();
  }

  /** Shows another moment; true when others are there now, or they stand otherwise. */
  boolean show(Snapshot now) {
    boolean others = (shown == null || !now.isOnlyLookedThrough(shown)) && follow(now);
    shown = now;
    return others;
  }

  /**
   * Puts anew the rows of some bindings that are there, where they are other than they were. The
   * list tells of those only that move by it.
   */
  private void put(Set<String> bindings, UnaryOperator<Row> anew) {
    Map<Integer, Seat> moved = new TreeMap<>();
    for (String id : bindings) {
      Integer i = at.get(id);
      if (i != null) {
        Row was = all.get(i).row();
        Row row = anew.apply(was);
        if (moves.test(was, row)) {
          moved.put(i, new Seat(row));
        } else if (!row.equals(was)) {
          all.get(i).take(row);
        }
      }
    }
    if (!moved.isEmpty()) {
      all.put(moved);
    }
  }

  private boolean follow(Snapshot now) {
    List<Difference<Binding>> bindings =
        shown == null
            ? List.of()
            : Difference.between(shown.library().bindings(), now.library().bindings(), Binding::id);
    if (shown == null || !bindings.isEmpty() || !isSameAround(now)) {
      troubles.clear(); // they name other bindings, too
    }
    Set<String> before = inSlots;
    if (shown == null || !isSameAround(now) || bindings.stream().anyMatch(this::isNumbered)) {
      inSlots = Puts.inSlots(now.library());
    }
    if (shown != null && isSameAround(now) && isSameOrder(now)) {
      Words words = now.words();
      put(
          touched(now, bindings, before),
          row -> {
            String id = row.binding().id();
            return Row.of(now.library().bindings().get(id), family(id), now, words);
          });
      return false;
    }
    fill(now);
    return true;
  }

  private void fill(Snapshot now) {
    families = families(now);
    Words words = now.words();
    List<Seat> next = new ArrayList<>(now.library().bindings().size());
    Map<String, Integer> before = new HashMap<>(at);
    at.clear();
    for (Binding b : now.library().bindings().values()) {
      at.put(b.id(), next.size());
      Row row = Row.of(b, family(b.id()), now, words);
      Integer was = before.get(b.id());
      next.add(was != null && all.get(was).row().equals(row) ? all.get(was) : new Seat(row));
    }
    Lists.follow(all, next);
  }

  private String family(String binding) {
    return families.getOrDefault(binding, "");
  }

  private static Map<String, String> families(Snapshot now) {
    Map<String, String> families = new HashMap<>();
    for (Family f : now.library().families().values()) {
      for (int i = 0; i < f.members().size(); i++) {
        families.put(
            f.members().get(i), Ui.text("register.family", i + 1, f.members().size(), f.name()));
      }
    }
    return families;
  }

  /** True when what every row is read against is as it was. */
  private boolean isSameAround(Snapshot now) {
    return shown.station().equals(now.station())
        && shown.library().families().equals(now.library().families())
        && shown.library().routines().equals(now.library().routines())
        && shown.library().applications().equals(now.library().applications());
  }

  /** True when the same bindings stand in the same order. */
  private boolean isSameOrder(Snapshot now) {
    return Difference.isSameOrder(shown.library().bindings(), now.library().bindings());
  }

  /** True when a numbered slot may have come free or been taken. */
  private boolean isNumbered(Difference<Binding> change) {
    if (Puts.keepsSlots(change)) {
      return false;
    }
    return Stream.concat(change.was().stream(), change.is().stream())
        .flatMap(b -> b.place().applicationId().stream())
        .map(shown.library().applications()::get)
        .filter(Objects::nonNull)
        .flatMap(a -> a.ways().stream())
        .anyMatch(w -> w.slots() > 0);
  }

  /** The ids of the bindings whose rows are not as they were. */
  private Set<String> touched(
      Snapshot now, List<Difference<Binding>> bindings, Set<String> slotsBefore) {
    Set<String> touched = new HashSet<>();
    bindings.forEach(d -> d.is().ifPresent(b -> touched.add(b.id())));
    differing(slotsBefore, inSlots, touched);
    unlike(shown.library().proofs(), now.library().proofs(), touched);
    if (!Lists.isSame(shown.setup(), now.setup())) {
      touched.addAll(now.setup().apart(now.library(), shown.setup()));
    }
    return touched;
  }

  private static void differing(Set<String> a, Set<String> b, Set<String> into) {
    if (!a.equals(b)) {
      a.stream().filter(id -> !b.contains(id)).forEach(into::add);
      b.stream().filter(id -> !a.contains(id)).forEach(into::add);
    }
  }

  private static <T> void unlike(Map<String, T> was, Map<String, T> is, Set<String> into) {
    if (was == is) {
      return;
    }
    is.forEach(
        (id, value) -> {
          T before = was.get(id);
          if (before == null || !Lists.isSame(before, value)) {
            into.add(id);
          }
        });
    was.keySet().stream().filter(id -> !is.containsKey(id)).forEach(into::add);
  }
}
