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
import foldtwice.trigger.Signal;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;

/**
 * Free triggers for a binding in its place, the ones that suit best first. A trigger counts as free
 * when on every station nobody answers to it, nothing begins with it and no rule refuses it.
 *
 * <p>Costs a few hundred candidates times the states of the place times the stations, one probe of
 * a table each; who has a trigger elsewhere is looked up for the best {@value #LOOKED_AT} only.
 */
public final class Suggestions {

  private static final int LOOKED_AT = 40;

  private static final List<Modifiers> HELD =
      List.of(
          Modifiers.NONE,
          Modifiers.of(Modifier.CTRL),
          Modifiers.of(Modifier.ALT),
          Modifiers.of(Modifier.SHIFT),
          Modifiers.of(Modifier.CTRL, Modifier.SHIFT),
          Modifiers.of(Modifier.CTRL, Modifier.ALT),
          Modifiers.of(Modifier.ALT, Modifier.SHIFT),
          Modifiers.of(Modifier.CTRL, Modifier.ALT, Modifier.SHIFT));

  private static final String KEYS = "abcdefghijklmnopqrstuvwxyz1234567890";

  private final Library library;
  private final List<Keymap> stations;
  private final Binding binding;
  private final Effort effort;
  private final List<String> words;
  private final List<Rule> rules;

  private Suggestions(Library library, List<Keymap> stations, Binding binding) {
    this.library = library;
    this.stations = stations;
    this.binding = binding;
    Keymap here = stations.getFirst();
    this.effort = new Effort(here.layout(), here.station().shape());
    this.words =
        Arrays.stream(
                library.routineOf(binding).map(Routine::name).orElse("").split("[^\\p{L}\\d]+"))
            .filter(w -> !w.isEmpty())
            .map(w -> w.toLowerCase(Locale.ROOT))
            .toList();
    this.rules =
        binding
            .place()
            .applicationId()
            .flatMap(here::application)
            .map(a -> a.rules(binding.fitting().way(), binding.place()))
            .orElse(List.of());
  }

  /**
   * The best free triggers.
   *
   * @param stations the keymaps of all stations, the one in view first
   * @param most how many
   */
  public static List<Suggestion> of(
      Library library, List<Keymap> stations, Binding binding, int most) {
    return new Suggestions(library, stations, binding).best(most);
  }

  /**
   * Free triggers from the pool that only devices send: F13 to F24 with modifiers, that nobody has
   * to remember or to reach. In their order.
   */
  public static List<Suggestion> forDevices(
      Library library, List<Keymap> stations, Binding binding, int most) {
    Suggestions all = new Suggestions(library, stations, binding);
    List<Suggestion> found = new ArrayList<>();
    for (Modifiers held : List.of(Modifiers.of(Modifier.CTRL, Modifier.ALT), Modifiers.NONE)) {
      for (int f = 13; f <= 24 && found.size() < most; f++) {
        Key key = new Key.At(KeyCode.of("F" + f).orElseThrow());
        Trigger.Keys trigger = Trigger.Keys.of(new Stroke(held, key));
        if (all.isFree(trigger)) {
          found.add(new Suggestion(trigger, 0, List.of(new Reason.OnlyDevices())));
        }
      }
    }
    return List.copyOf(found);
  }

  private List<Suggestion> best(int most) {
    List<Suggestion> free =
        candidates().stream()
            .map(this::scored)
            .filter(s -> Double.isFinite(s.cost()))
            .sorted(Comparator.comparingDouble(Suggestion::cost))
            .filter(s -> isFree(s.trigger()))
            .limit(LOOKED_AT)
            .toList();
    Map<Trigger, List<Claim>> elsewhere =
        stations.getFirst().claimsOn(free.stream().map(Suggestion::trigger).toList());
    return free.stream()
        .map(s -> weighed(s, elsewhere.get(s.trigger())))
        .sorted(Comparator.comparingDouble(Suggestion::cost))
        .limit(most)
        .toList();
  }

  private List<Trigger.Keys> candidates() {
    List<Trigger.Keys> all = new ArrayList<>();
    for (Modifiers held : HELD) {
      for (int i = 0; i < KEYS.length(); i++) {
        all.add(Trigger.Keys.of(new Stroke(held, new Key.Making(Keysym.of(KEYS.charAt(i))))));
      }
    }
    initials().ifPresent(all::add);
    return all;
  }

  /** The initials of the routine's name as a sequence of plain letters. */
  private Optional<Trigger.Keys> initials() {
    if (words.size() < 2 || !words.stream().allMatch(w -> isLatin(w.charAt(0)))) {
      return Optional.empty();
    }
    return Optional.of(
        new Trigger.Keys(
            words.stream()
                .limit(2)
                .map(w -> new Stroke(Modifiers.NONE, new Key.Making(Keysym.of(w.charAt(0)))))
                .toList()));
  }

  private static boolean isLatin(char c) {
    return c >= 'a' && c <= 'z';
  }

  /** What can be said without looking at others. */
  private Suggestion scored(Trigger.Keys trigger) {
    List<Stroke> strokes = trigger.strokes();
    double cost = effort.of(strokes);
    List<Reason> reasons = new ArrayList<>();
    if (trigger.isSequence()) {
      cost -= 4;
      reasons.add(new Reason.Initials(letters(strokes)));
    } else {
      int word = firstLetterOf(strokes.getFirst());
      if (word >= 0) {
        cost -= word == 0 ? 2.5 : 1;
        reasons.add(new Reason.FirstLetter(words.get(word)));
      }
    }
    return new Suggestion(trigger, cost, reasons);
  }

  private static String letters(List<Stroke> strokes) {
    StringBuilder letters = new StringBuilder();
    for (Stroke s : strokes) {
      if (s.key() instanceof Key.Making(Keysym k)) {
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

  /** True when on every station nobody answers to it here and no rule refuses it. */
  private boolean isFree(Trigger.Keys trigger) {
    return stations.stream()
        .allMatch(
            s ->
                rules.stream().allMatch(r -> r.accepts(trigger, s.layout())) && isFree(s, trigger));
  }

  private boolean isFree(Keymap keymap, Trigger.Keys trigger) {
    List<List<Signal>> paths = keymap.paths(trigger);
    if (paths.isEmpty()) {
      return false;
    }
    for (Place state : keymap.statesOf(binding.place())) {
      for (List<Signal> path : paths) {
        Resolver resolver = new Resolver(keymap);
        Resolver.State at = Resolver.start(state);
        for (int i = 0; i < path.size(); i++) {
          Resolver.Answer answer = resolver.press(at, path.get(i), 0);
          at = answer.next();
          boolean last = i == path.size() - 1;
          if (!answer.outcomes().stream().allMatch(o -> isNobodys(o, last))) {
            return false;
          }
        }
      }
    }
    return true;
  }

  /** On the way a longer claim of others may wait, but nothing may be ready to fire. */
  private static boolean isNobodys(Outcome outcome, boolean last) {
    return switch (outcome) {
      case Outcome.Unclaimed u -> true;
      case Outcome.Waiting(Optional<Claim> otherwise) -> !last && otherwise.isEmpty();
      case Outcome.Fired f -> false;
      case Outcome.Undecided u -> false;
      case Outcome.Typed t -> false;
    };
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
    Optional<Reason.DangerBeside> danger = danger(s.trigger());
    if (danger.isPresent()) {
      cost += 2;
      reasons.add(danger.get());
    }
    plain(s.trigger()).ifPresent(reasons::add);
    return new Suggestion(s.trigger(), cost, reasons);
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
