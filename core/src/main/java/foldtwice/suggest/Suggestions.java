package foldtwice.suggest;

import foldtwice.binding.Binding;
import foldtwice.library.Library;
import foldtwice.place.Danger;
import foldtwice.place.Place;
import foldtwice.place.Rule;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Outcome;
import foldtwice.resolve.Owner;
import foldtwice.resolve.Resolver;
import foldtwice.routine.Routine;
import foldtwice.suggest.Suggestion.Reason;
import foldtwice.trigger.Key;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Keysym;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Press;
import foldtwice.trigger.Shape;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Free triggers for a binding in its place, the ones that suit best first. A trigger counts as free
 * when on every station nobody answers to it, nothing begins with it and no rule refuses it.
 *
 * <p>Costs a few hundred candidates times the states of the place times the stations, one probe of
 * a table each; who has a trigger elsewhere is looked up for the best {@value #LOOKED_AT} only.
 */
public final class Suggestions {

  /** So many of each kind are looked at more closely. */
  private static final int LOOKED_AT = 24;

  private static final Pattern NO_WORD = Pattern.compile("[^\\p{L}\\d]+");

  /** What speaks for a trigger takes off so much at most: initials, and the same elsewhere. */
  private static final double MOST_IN_FAVOUR = 6;

  private final Library library;
  private final List<Keymap> stations;
  private final Binding binding;
  private final Effort effort;
  private final List<String> words;
  private final Freedom freedom;

  private Suggestions(Library library, List<Keymap> stations, Binding binding) {
    this.library = library;
    this.stations = stations;
    this.binding = binding;
    Keymap here = stations.getFirst();
    this.effort = new Effort(here.layout(), here.station().shape());
    this.words =
        NO_WORD
            .splitAsStream(library.routineOf(binding).map(Routine::name).orElse(""))
            .filter(w -> !w.isEmpty())
            .map(w -> w.toLowerCase(Locale.ROOT))
            .toList();
    List<Rule> rules =
        binding
            .place()
            .applicationId()
            .flatMap(here::application)
            .map(a -> a.rules(binding.fitting().way(), binding.place()))
            .orElse(List.of());
    this.freedom = new Freedom(stations, binding, rules);
  }

  /**
   * The best free triggers, with the best of each kind among them where there is room for all.
   *
   * @param stations the keymaps of all stations, the one in view first
   * @param most how many
   */
  public static List<Suggestion> of(
      Library library, List<Keymap> stations, Binding binding, int most) {
    return new Suggestions(library, stations, binding).ofAllKinds(most);
  }

  /** The best free keys alone, whatever else might do. */
  public static List<Trigger.Keys> keys(
      Library library, List<Keymap> stations, Binding binding, int most) {
    Suggestions all = new Suggestions(library, stations, binding);
    return all.ranked(all.onKeys(), most).stream()
        .map(s -> (Trigger.Keys) s.trigger())
        .limit(most)
        .toList();
  }

  /** The best free keys with their scores and reasons. */
  public static List<Suggestion> onKeys(
      Library library, List<Keymap> stations, Binding binding, int most) {
    Suggestions all = new Suggestions(library, stations, binding);
    return all.ranked(all.onKeys(), most).stream().limit(most).toList();
  }

  /** No keys score less than this for any binding on a station. */
  public static double least(Keymap here) {
    Effort effort = new Effort(here.layout(), here.station().shape());
    return Stream.concat(Candidates.chords().stream(), Candidates.functionKeys().stream())
            .mapToDouble(t -> effort.of(t.keyStrokes()))
            .min()
            .orElse(0)
        - MOST_IN_FAVOUR;
  }

  /** The score of keys for a binding, where they are free for it. */
  public static Function<Trigger.Keys, Optional<Suggestion>> free(
      Library library, List<Keymap> stations, Binding binding) {
    Suggestions all = new Suggestions(library, stations, binding);
    return keys ->
        Optional.of(all.scored(keys))
            .filter(s -> Double.isFinite(s.cost()) && all.freedom.isFree(keys))
            .map(s -> all.weighed(s, stations.getFirst().claimsOn(keys)));
  }

  /**
   * The best keys that are taken by commands of programs and by nobody else, with their scores and
   * reasons, {@link Reason.Displaces} among them.
   *
   * @param may which of these commands may lose their keys
   */
  public static List<Suggestion> displacing(
      Library library,
      List<Keymap> stations,
      Binding binding,
      int most,
      Predicate<Owner.Native> may) {
    Suggestions all = new Suggestions(library, stations, binding);
    Predicate<Trigger> theirs =
        t ->
            all.freedom
                .natives(t)
                .filter(n -> !n.isEmpty() && n.stream().allMatch(may))
                .isPresent();
    return all.ranked(all.onKeys(), most, theirs).stream()
        .limit(most)
        .map(all::withDisplaced)
        .toList();
  }

  /**
   * The score of keys for a binding, free or not, with what they displace; endless where the
   * station cannot make them.
   */
  public static Suggestion scored(
      Library library, List<Keymap> stations, Binding binding, Trigger.Keys keys) {
    Suggestions all = new Suggestions(library, stations, binding);
    return all.withDisplaced(all.weighed(all.scored(keys), stations.getFirst().claimsOn(keys)));
  }

  private Suggestion withDisplaced(Suggestion s) {
    List<Owner.Native> natives =
        freedom.natives(s.trigger()).stream()
            .flatMap(Set::stream)
            .sorted(
                Comparator.comparing(Owner.Native::application)
                    .thenComparing(Owner.Native::command))
            .toList();
    return natives.isEmpty()
        ? s
        : new Suggestion(
            s.trigger(),
            s.cost(),
            Stream.concat(Stream.of(new Reason.Displaces(natives)), s.reasons().stream()).toList());
  }

  /**
   * Free keys of devices that are plugged in on all these stations; rules hold for none of them.
   */
  public static List<Trigger> padKeys(
      Library library, List<Keymap> stations, Binding binding, int most) {
    Suggestions all = new Suggestions(library, stations, binding);
    return all.ranked(List.of(all.onPads()), most).stream()
        .map(Suggestion::trigger)
        .limit(most)
        .toList();
  }

  /**
   * Free triggers from the pool that only devices send: F13 to F24 with modifiers, that nobody has
   * to remember or to reach. In their order.
   */
  public static List<Trigger.Keys> forDevices(
      Library library, List<Keymap> stations, Binding binding, int most) {
    Suggestions all = new Suggestions(library, stations, binding);
    return Stream.of(Modifiers.of(Modifier.CTRL, Modifier.ALT), Modifiers.NONE)
        .flatMap(
            held ->
                IntStream.rangeClosed(13, 24)
                    .mapToObj(f -> new Key.At(KeyCode.of("F" + f).orElseThrow()))
                    .map(key -> Trigger.Keys.of(new Stroke(held, key))))
        .filter(all.freedom::isFree)
        .limit(most)
        .toList();
  }

  /**
   * What sequences could begin with instead, so that each of them is free, the easiest first.
   *
   * @param sequences of whom; all begin with the same stroke
   * @param from what they begin with
   */
  public static List<Stroke> firstStrokes(
      Library library,
      List<Keymap> stations,
      Map<Binding, List<Trigger.Keys>> sequences,
      Stroke from,
      int most) {
    Map<Suggestions, List<Trigger.Keys>> each = new LinkedHashMap<>();
    sequences.forEach((b, keys) -> each.put(new Suggestions(library, stations, b), keys));
    return each.isEmpty()
        ? List.of()
        : Candidates.chords().stream()
            .map(each.keySet().iterator().next()::scored)
            .filter(s -> Double.isFinite(s.cost()))
            .sorted(Comparator.comparingDouble(Suggestion::cost))
            .map(s -> s.trigger().keyStrokes().getFirst())
            .filter(s -> !s.equals(from))
            .filter(
                s ->
                    each.entrySet().stream()
                        .allMatch(
                            e ->
                                e.getValue().stream()
                                    .allMatch(k -> e.getKey().freedom.isFree(k.beginning(s)))))
            .limit(most)
            .toList();
  }

  private List<List<Trigger>> onKeys() {
    return List.of(Candidates.chords(), Candidates.sequences(words), Candidates.functionKeys());
  }

  private List<Trigger> onPads() {
    return Candidates.padKeys(library.devices(), stations);
  }

  private List<Suggestion> ofAllKinds(int most) {
    List<List<Trigger>> kinds = new ArrayList<>(onKeys());
    kinds.add(onPads());
    List<Suggestion> ranked = ranked(kinds, most);
    Set<Suggestion> chosen = new LinkedHashSet<>();
    if (most >= kinds.size()) {
      for (List<Trigger> kind : kinds) {
        Set<Trigger> these = Set.copyOf(kind);
        ranked.stream().filter(s -> these.contains(s.trigger())).findFirst().ifPresent(chosen::add);
      }
    }
    ranked.stream().takeWhile(s -> chosen.size() < most).forEach(chosen::add);
    return chosen.stream().sorted(Comparator.comparingDouble(Suggestion::cost)).toList();
  }

  /** The free ones of each kind, the best of all first. */
  private List<Suggestion> ranked(List<List<Trigger>> kinds, int most) {
    return ranked(kinds, most, freedom::isFree);
  }

  private List<Suggestion> ranked(List<List<Trigger>> kinds, int most, Predicate<Trigger> some) {
    List<Suggestion> free =
        kinds.stream()
            .flatMap(
                kind ->
                    kind.stream()
                        .map(this::scored)
                        .filter(s -> Double.isFinite(s.cost()))
                        .sorted(Comparator.comparingDouble(Suggestion::cost))
                        .filter(s -> some.test(s.trigger()))
                        .limit(Math.max(most, LOOKED_AT)))
            .toList();
    Map<Trigger, List<Claim>> elsewhere =
        stations.getFirst().claimsOn(free.stream().map(Suggestion::trigger).toList());
    return free.stream()
        .map(s -> weighed(s, elsewhere.get(s.trigger())))
        .sorted(Comparator.comparingDouble(Suggestion::cost))
        .toList();
  }

  /** What can be said without looking at others. */
  private Suggestion scored(Trigger trigger) {
    return switch (trigger) {
      case Trigger.Keys keys when keys.isSequence() -> sequence(keys);
      case Trigger.Keys keys -> chord(keys);
      case Trigger.PadKey pad ->
          new Suggestion(
              pad,
              library.device(pad.device()).map(d -> Effort.of(pad, d)).orElseThrow(),
              List.of(new Reason.OnDevice(pad.device())));
      default -> throw new IllegalArgumentException("nobody suggests " + trigger);
    };
  }

  private Suggestion sequence(Trigger.Keys keys) {
    String letters = letters(keys.strokes());
    double cost = effort.of(keys.strokes());
    if (!ofItsName(letters, keys.strokes().size())) {
      return new Suggestion(keys, cost, List.of());
    }
    int[] first =
        words.stream().mapToInt(w -> w.codePointAt(0)).map(Character::toUpperCase).toArray();
    boolean initials =
        letters.equals(new String(first, 0, Math.min(first.length, keys.strokes().size())));
    return initials
        ? new Suggestion(keys, cost - 4, List.of(new Reason.Initials(letters)))
        : new Suggestion(keys, cost - 2.5, List.of(new Reason.OfItsName(letters)));
  }

  /**
   * Whether each stroke makes a letter, the name's first one first and the others as it goes on.
   */
  private boolean ofItsName(String letters, int strokes) {
    int[] each = letters.codePoints().toArray();
    int[] name = String.join("", words).codePoints().map(Character::toUpperCase).toArray();
    if (each.length != strokes || name.length == 0 || each[0] != name[0]) {
      return false;
    }
    int found = 0;
    for (int c : name) {
      if (found < each.length && each[found] == c) {
        found++;
      }
    }
    return found == each.length;
  }

  private Suggestion chord(Trigger.Keys keys) {
    Stroke stroke = keys.strokes().getFirst();
    double cost = effort.of(keys.strokes());
    int word = firstLetterOf(stroke);
    return word < 0
        ? new Suggestion(keys, cost, List.of())
        : new Suggestion(
            keys, cost - (word == 0 ? 2.5 : 1), List.of(new Reason.FirstLetter(words.get(word))));
  }

  private static String letters(List<Stroke> strokes) {
    StringBuilder letters = new StringBuilder();
    for (Stroke s : strokes) {
      if (s.key() instanceof Key.Making(Keysym k) && k.types()) {
        letters.appendCodePoint(Character.toUpperCase(k.codePoint()));
      }
    }
    return letters.toString();
  }

  private int firstLetterOf(Stroke stroke) {
    for (int i = 0; i < words.size(); i++) {
      if (stroke.key() instanceof Key.Making(Keysym k) && k.codePoint() == words.get(i).charAt(0)) {
        return i;
      }
    }
    return -1;
  }

  /** With what is on the same keys elsewhere, and beside it. */
  private Suggestion weighed(Suggestion s, List<Claim> claims) {
    double cost = s.cost();
    List<Reason> reasons = new ArrayList<>(s.reasons());
    TreeSet<String> same = new TreeSet<>();
    TreeSet<String> other = new TreeSet<>();
    for (Claim c : claims) {
      if (c.owner() instanceof Owner.Yours(String id)
          && c.place().applicationId().isPresent()
          && !c.place().applicationId().equals(binding.place().applicationId())) {
        Binding there = library.bindings().get(id);
        (there.routine().equals(binding.routine()) ? same : other)
            .add(c.place().applicationId().get());
      }
    }
    if (!same.isEmpty()) {
      cost -= 2;
      reasons.add(new Reason.SameElsewhere(List.copyOf(same)));
    } else if (!other.isEmpty()) {
      cost += 1;
      reasons.add(new Reason.OtherElsewhere(other.first()));
    }
    if (s.trigger() instanceof Trigger.Keys keys) {
      Optional<Reason.DangerBeside> danger = danger(keys);
      if (danger.isPresent()) {
        cost += 2;
        reasons.add(danger.get());
      }
      reach(keys).ifPresent(reasons::add);
      plain(keys).ifPresent(reasons::add);
    }
    return new Suggestion(s.trigger(), cost, reasons);
  }

  /** How far a finger has to go, and whether one hand does it. */
  private Optional<Reason> reach(Trigger.Keys trigger) {
    Keymap here = stations.getFirst();
    if (trigger.isSequence()) {
      return Optional.empty();
    }
    return here.layout().presses(trigger.strokes().getFirst()).stream()
        .findFirst()
        .map(
            p ->
                new Reason.Within(
                    (int) Math.round(Reach.millimetres(here.station().shape(), p.code())),
                    p.held().isEmpty() || !Reach.isRight(here.station().shape(), p.code())));
  }

  private static Optional<Reason> plain(Trigger.Keys trigger) {
    boolean plain = trigger.strokes().stream().allMatch(s -> s.modifiers().isEmpty());
    return plain ? Optional.of(new Reason.NoModifier()) : Optional.empty();
  }

  /** A dangerous native command on a key beside the last one, with the same modifiers. */
  private Optional<Reason.DangerBeside> danger(Trigger.Keys trigger) {
    Keymap here = stations.getFirst();
    Press last =
        here.layout().presses(trigger.strokes().getLast()).stream().findFirst().orElse(null);
    Shape.Cap at = last == null ? null : cap(here, last.code()).orElse(null);
    if (at == null || trigger.isSequence()) {
      return Optional.empty();
    }
    for (Shape.Cap beside : here.station().shape().caps()) {
      double away = Math.hypot(beside.x() - at.x(), beside.y() - at.y());
      if (away > 0 && away < 1.3) {
        Press press = new Press(beside.code(), last.held());
        for (Place state : here.statesOf(binding.place())) {
          Optional<Reason.DangerBeside> found = danger(here, state, press);
          if (found.isPresent()) {
            return found;
          }
        }
      }
    }
    return Optional.empty();
  }

  private Optional<Reason.DangerBeside> danger(Keymap here, Place state, Press press) {
    return new Resolver(here)
        .press(Resolver.start(state), press, 0).outcomes().stream()
            .filter(o -> o instanceof Outcome.Fired)
            .map(o -> ((Outcome.Fired) o).claim().owner())
            .filter(o -> o instanceof Owner.Native)
            .map(o -> (Owner.Native) o)
            .flatMap(
                n ->
                    here.application(n.application()).flatMap(a -> a.command(n.command())).stream())
            .filter(c -> c.danger() != Danger.NONE)
            .map(c -> new Reason.DangerBeside(here.layout().legend(press.code()), c.name()))
            .findFirst();
  }

  private static Optional<Shape.Cap> cap(Keymap keymap, KeyCode code) {
    return keymap.station().shape().caps().stream().filter(c -> c.code() == code).findFirst();
  }
}
