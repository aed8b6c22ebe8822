package foldtwice.plan;

import foldtwice.binding.Binding;
import foldtwice.binding.Family;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.resolve.Keymap;
import foldtwice.suggest.Suggestion;
import foldtwice.suggest.Suggestions;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;

/** What is to be decided: who could have which triggers, when all that may move is taken away. */
final class Choices {

  /** So many triggers are looked at for a binding, today's among them. */
  private static final int OPTIONS = 40;

  /** So many besides that are taken by commands of programs, where these may lose them. */
  private static final int DISPLACING = 20;

  /** So many bindings are looked at, those that can gain most; the others stay. */
  private static final int MOST = 300;

  /** So many are looked at however long it takes. */
  private static final int LEAST = 40;

  private final Library library;
  private final List<Keymap> stations;
  private final Planning.Wanted wanted;
  private final Natives natives;
  private Library without;
  private List<Keymap> cleared;
  private final List<Double> missed = new ArrayList<>();

  Choices(Library library, List<Keymap> stations, Planning.Wanted wanted) {
    this.library = library;
    this.stations = stations;
    this.wanted = wanted;
    this.natives = new Natives(library);
  }

  /**
   * The choices there are.
   *
   * @param alone bindings that are decided on each by itself
   * @param families and their members, that are decided on as one
   */
  List<Choice> of(List<Binding> alone, List<Whole> families, Watcher watcher) {
    long until = System.nanoTime() + (long) (wanted.seconds() * 0.5e9);
    clear(alone, families);
    List<Binding> looked = alone;
    double least = Suggestions.least(stations.getFirst());
    if (alone.size() > MOST) {
      Map<String, Double> gains = new HashMap<>();
      alone.forEach(b -> gains.put(b.id(), mostToGain(b, least)));
      List<Binding> ranked =
          alone.stream()
              .sorted(Comparator.comparingDouble((Binding b) -> -gains.get(b.id())))
              .toList();
      looked = ranked.subList(0, MOST);
      ranked.subList(MOST, ranked.size()).forEach(b -> missed.add(gains.get(b.id())));
      clear(looked, families);
    }
    List<Choice> all = new ArrayList<>();
    for (Binding b : looked) {
      if (!watcher.isWanted()) {
        return all;
      }
      boolean late = System.nanoTime() > until && all.size() >= LEAST;
      if (late) {
        missed.add(mostToGain(b, least));
      }
      all.add(
          new Choice(
              Optional.empty(),
              List.of(b),
              late ? List.of(new Choice.Option(List.of(today(b)))) : alone(b)));
    }
    for (Whole w : families) {
      if (!watcher.isWanted()) {
        return all;
      }
      all.add(new Choice(Optional.of(w.family().id()), w.members(), whole(w)));
    }
    return all;
  }

  private void clear(List<Binding> alone, List<Whole> families) {
    List<Binding> movable = new ArrayList<>(alone);
    families.forEach(w -> movable.addAll(w.members()));
    without = without(movable);
    cleared = stations.stream().map(s -> s.following(library, without)).toList();
  }

  /** Seconds a week that a binding can gain at most, whatever is free for it. */
  private double mostToGain(Binding b, double least) {
    Suggestion today = today(b);
    return Math.max(
        0, cost(b, today, false) - b.usesPerWeek() * least * Planning.UNIT - Planning.LEARNING);
  }

  /** Seconds a week that what was not looked at could gain at most, beside all that was. */
  double missed() {
    return missed.stream()
        .sorted(Comparator.reverseOrder())
        .limit(wanted.moves())
        .mapToDouble(g -> g)
        .sum();
  }

  /** A family and its members that are there. */
  record Whole(Family family, List<Binding> members) {}

  /** The library in which what may move has nothing of what it would give up. */
  private Library without(List<Binding> movable) {
    List<Edit> edits = new ArrayList<>();
    for (Binding b : movable) {
      edits.add(new Edit.PutBinding(b.withTriggers(b.triggers().subList(1, b.triggers().size()))));
    }
    return new Edit.Together(edits).on(library);
  }

  private boolean isLocked(Binding b) {
    return wanted.locked().contains(b.id());
  }

  private Suggestion today(Binding b) {
    return Suggestions.scored(without, cleared, b, (Trigger.Keys) b.triggers().getFirst());
  }

  /** Today's trigger first, then what is free for it, the best first. */
  private List<Choice.Option> alone(Binding b) {
    Suggestion today = today(b);
    List<Suggestion> others = new ArrayList<>();
    if (!isLocked(b)) {
      others.addAll(Suggestions.onKeys(without, cleared, b, OPTIONS));
      if (wanted.displacing()) {
        others.addAll(Suggestions.displacing(without, cleared, b, DISPLACING, natives::mayLose));
      }
    }
    return Stream.concat(
            Stream.of(today), others.stream().filter(s -> !s.trigger().equals(today.trigger())))
        .map(s -> new Choice.Option(List.of(s)))
        .toList();
  }

  /** As the family is today first, then the best patterns of its kind whose keys are all free. */
  private List<Choice.Option> whole(Whole w) {
    List<Choice.Option> all = new ArrayList<>();
    Choice.Option now = new Choice.Option(w.members().stream().map(this::today).toList());
    all.add(now);
    if (w.members().stream().anyMatch(this::isLocked)) {
      return all;
    }
    List<Function<Trigger.Keys, Optional<Suggestion>>> free =
        w.members().stream().map(b -> Suggestions.free(without, cleared, b)).toList();
    List<Trigger> today = now.each().stream().map(Suggestion::trigger).toList();
    for (List<Trigger.Keys> laid :
        new Laying(library, stations.getFirst()).of(w.family().pattern(), today)) {
      if (!laid.equals(today)) {
        each(laid, free).ifPresent(all::add);
      }
    }
    all.subList(1, all.size()).sort(Comparator.comparingDouble(o -> cost(w.members(), o, true)));
    return List.copyOf(all.subList(0, Math.min(OPTIONS, all.size())));
  }

  private static Optional<Choice.Option> each(
      List<Trigger.Keys> laid, List<Function<Trigger.Keys, Optional<Suggestion>>> free) {
    List<Suggestion> each = new ArrayList<>();
    for (int m = 0; m < laid.size(); m++) {
      Optional<Suggestion> s = free.get(m).apply(laid.get(m));
      if (s.isEmpty()) {
        return Optional.empty();
      }
      each.add(s.get());
    }
    return Optional.of(new Choice.Option(each));
  }

  /** Seconds a week of an option. */
  double cost(List<Binding> members, Choice.Option option, boolean moved) {
    double cost = 0;
    for (int m = 0; m < members.size(); m++) {
      cost += cost(members.get(m), option.each().get(m), moved);
    }
    return cost;
  }

  /** Seconds a week of a trigger for a binding. */
  double cost(Binding b, Suggestion s, boolean moved) {
    double units = Double.isFinite(s.cost()) ? s.cost() : 60;
    return b.usesPerWeek() * units * Planning.UNIT
        + natives.lost(s)
        + (moved ? Planning.LEARNING : 0);
  }
}
