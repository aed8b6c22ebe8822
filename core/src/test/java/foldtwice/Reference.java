package foldtwice;

import foldtwice.binding.Binding;
import foldtwice.library.Library;
import foldtwice.place.Application;
import foldtwice.place.Context;
import foldtwice.place.NativeCommand;
import foldtwice.place.Place;
import foldtwice.place.Rule;
import foldtwice.place.Station;
import foldtwice.trigger.Key;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Keysym;
import foldtwice.trigger.Layout;
import foldtwice.trigger.Lift;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Motion;
import foldtwice.trigger.Press;
import foldtwice.trigger.Signal;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.function.Predicate;

/**
 * The policy of presses once more, slow and simple: at each press it goes through all claims there
 * are. It shares nothing with the compiled keymap but the layouts and the words of the policy, and
 * is what keymap, resolver and auditor are counted against.
 */
public final class Reference {

  /** Who wants what: {@code desktop}, {@code yours} or {@code native}. */
  public record Wish(String who, String name, Trigger trigger, Place place, boolean refused) {
    public boolean isYours() {
      return who.equals("yours");
    }
  }

  private final Application application;
  private final Layout layout;
  private final List<Wish> wishes = new ArrayList<>();

  // the same is asked at every press; worked out once, as slow and simple as before
  private final Map<Trigger, List<List<Signal>>> ways = new HashMap<>();
  private final Map<String, List<String>> outwards = new HashMap<>();

  /** All of the library, whose only application is {@code app}. */
  public Reference(Library library, Station station) {
    this.application = library.applications().get("app");
    this.layout = station.keys();
    for (Station.Reserved r : station.reserved()) {
      wishes.add(
          new Wish(
              "desktop",
              r.what(),
              station.platform().asLibraryWrites(r.trigger()),
              new Place.Everywhere(),
              false));
    }
    for (NativeCommand c : application.commands()) {
      c.triggers().forEach(t -> wishes.add(new Wish("native", c.id(), t, c.place(), false)));
    }
    for (Binding b : library.bindings().values()) {
      for (Trigger t : b.triggers()) {
        boolean refused =
            b.place().applicationId().isPresent()
                && application.rules().stream().anyMatch(r -> refuses(r, t, b.place()));
        wishes.add(new Wish("yours", b.id(), t, b.place(), refused));
      }
    }
  }

  /** Clause 12. */
  private boolean refuses(Rule rule, Trigger trigger, Place place) {
    if (rule instanceof Rule.In(List<String> contexts, Rule of)) {
      return place instanceof Place.Within(var app, String context)
          && outwards(context).stream().anyMatch(contexts::contains)
          && refuses(of, trigger, place);
    }
    int strokes = 0;
    for (Stroke s : trigger.keyStrokes()) {
      strokes++;
      boolean no =
          switch (rule) {
            case Rule.MostStrokes(int most) -> strokes > most;
            case Rule.HoldsOneOf(Modifiers m) -> none(s, m) && types(s.key());
            case Rule.AlwaysHolds(Modifiers m) -> none(s, m);
            case Rule.NeverHolds(Modifiers m) -> !none(s, m);
            case Rule.NeverKeys(List<String> keys) ->
                keys.stream()
                    .flatMap(k -> Keysym.named(k).stream())
                    .anyMatch(k -> made(s.key()).equals(Optional.of(k.small())));
            case Rule.In in -> false;
          };
      if (no) {
        return true;
      }
    }
    return false;
  }

  private static boolean none(Stroke stroke, Modifiers of) {
    return of.list().stream().noneMatch(stroke.modifiers()::has);
  }

  private static boolean types(Key key) {
    return switch (key) {
      case Key.Making(Keysym k) -> k.text().isPresent();
      case Key.At(KeyCode code) -> code.fixedKeysym().isEmpty();
    };
  }

  private Optional<Keysym> made(Key key) {
    return switch (key) {
      case Key.Making(Keysym k) -> Optional.of(k.small());
      case Key.At(KeyCode code) -> layout.makes(code, Modifiers.NONE).map(Keysym::small);
    };
  }

  private Reference(Reference of, List<Wish> some) {
    this.application = of.application;
    this.layout = of.layout;
    this.wishes.addAll(some);
  }

  /** As if nothing had been bound. */
  public Reference withoutYours() {
    return without(Wish::isYours);
  }

  /** As if some were not wanted. */
  public Reference without(Predicate<Wish> some) {
    return new Reference(this, wishes.stream().filter(some.negate()).toList());
  }

  public List<Wish> wishes() {
    return List.copyOf(wishes);
  }

  /** Clause 1: how early a wish is asked in a state, 0 first; -1 for not at all. */
  private int rank(Wish wish, Place state) {
    List<String> order = new ArrayList<>();
    switch (state) {
      case Place.Over(var app, String focus, String pointer) -> {
        order.addAll(outwards(pointer));
        order.addAll(outwards(focus));
      }
      case Place.Within(var app, String context) -> order.addAll(outwards(context));
      case Place.Whole w -> {}
      case Place.Everywhere e -> throw new IllegalArgumentException("no state");
    }
    return switch (wish.place) {
      case Place.Everywhere() -> wish.who.equals("desktop") ? 0 : 1;
      case Place.Within(var app, String context) ->
          order.contains(context) ? 2 + order.indexOf(context) : -1;
      case Place.Whole w -> 2 + order.size();
      case Place.Over o -> -1;
    };
  }

  /** A context and those around it. */
  private List<String> outwards(String context) {
    return outwards.computeIfAbsent(context, this::around);
  }

  private List<String> around(String context) {
    List<String> found = new ArrayList<>();
    String now = context;
    while (now != null) {
      found.add(now);
      String inner = now;
      now =
          application.allContexts().stream()
              .filter(c -> c.inner().stream().anyMatch(i -> i.id().equals(inner)))
              .map(Context::id)
              .findFirst()
              .orElse(null);
    }
    return found;
  }

  /** The ways to make a trigger. */
  public List<List<Signal>> ways(Trigger trigger) {
    return ways.computeIfAbsent(trigger, this::worked);
  }

  private List<List<Signal>> worked(Trigger trigger) {
    List<List<Signal>> ways = new ArrayList<>();
    ways.add(List.of());
    switch (trigger) {
      case Trigger.Keys(List<Stroke> strokes) -> {
        for (Stroke s : strokes) {
          List<List<Signal>> longer = new ArrayList<>();
          for (List<Signal> way : ways) {
            for (Press p : layout.presses(s)) {
              List<Signal> more = new ArrayList<>(way);
              more.add(p);
              longer.add(more);
            }
          }
          ways = longer;
        }
      }
      case Trigger.Held(Stroke s, Trigger.Edge edge) ->
          ways =
              layout.presses(s).stream()
                  .map(p -> List.<Signal>of(edge == Trigger.Edge.DOWN ? p : new Lift(p)))
                  .toList();
      default -> ways = List.of(List.of(new Motion(trigger)));
    }
    return ways;
  }

  /** Whether a wish is listened to in a state when it is made this way: clauses 8 and 12. */
  public boolean isHeard(Wish wish, List<Signal> way, Place state) {
    return rank(wish, state) >= 0
        && !wish.refused
        && !(isTyping(state)
            && begins(way.getFirst())
            && !wish.who.equals("desktop")
            && !wish.place.equals(focus(state)));
  }

  private Place focus(Place state) {
    return state instanceof Place.Over(String app, String focus, var pointer)
        ? new Place.Within(app, focus)
        : state;
  }

  private boolean isTyping(Place state) {
    return focus(state) instanceof Place.Within(var app, String context)
        && application.context(context).orElseThrow().takesText()
        && !application.isByPointer(context);
  }

  private boolean begins(Signal signal) {
    return switch (signal) {
      case Press p -> layout.beginsTyping(p);
      case Lift(Press p) -> layout.beginsTyping(p);
      case Motion m -> false;
    };
  }

  /** Those wishes made by exactly these presses that nothing shorter cuts off, by their ranks. */
  private List<Wish> whole(List<Signal> presses, Place state) {
    return wishes.stream()
        .filter(w -> isMade(w, presses, state) && !isCut(w, presses, state))
        .toList();
  }

  private boolean isMade(Wish w, List<Signal> presses, Place state) {
    return rank(w, state) >= 0
        && ways(w.trigger).stream().anyMatch(y -> y.equals(presses) && isHeard(w, y, state));
  }

  /** Clauses 5 and 10. */
  private boolean isCut(Wish wish, List<Signal> way, Place state) {
    for (int n = 1; n < way.size(); n++) {
      List<Wish> before = first(way.subList(0, n), state);
      if (!before.isEmpty()
          && (rank(before.getFirst(), state) <= rank(wish, state)
              || before.stream().anyMatch(b -> b.trigger instanceof Trigger.Held))) {
        return true;
      }
    }
    return false;
  }

  /** Clauses 1 and 2: of the whole ones those of the first layer, yours before the others. */
  private List<Wish> first(List<Signal> presses, Place state) {
    List<Wish> whole = whole(presses, state);
    int least = whole.stream().mapToInt(w -> rank(w, state)).min().orElse(-1);
    List<Wish> there = whole.stream().filter(w -> rank(w, state) == least).toList();
    List<Wish> yours = there.stream().filter(Wish::isYours).toList();
    return yours.isEmpty() ? there : yours;
  }

  /** Whether these presses, made one after the other, leave something longer to be waited for. */
  public boolean isBegun(List<Signal> presses, Place state) {
    List<Signal> heard = presses.stream().map(this::heard).toList();
    return waits(heard, state, first(heard, state));
  }

  /** Those that are heard in a state and are made by these presses, or begin with them. */
  public List<Wish> beginningWith(List<Signal> presses, Place state) {
    List<Signal> heard = presses.stream().map(this::heard).toList();
    return wishes.stream()
        .filter(
            w ->
                ways(w.trigger).stream()
                    .anyMatch(
                        y ->
                            y.size() >= heard.size()
                                && y.subList(0, heard.size()).equals(heard)
                                && isHeard(w, y, state)))
        .toList();
  }

  /** Clause 4: whether something longer is still to be waited for. */
  private boolean waits(List<Signal> presses, Place state, List<Wish> first) {
    if (first.stream().anyMatch(w -> w.trigger instanceof Trigger.Held)) {
      return false;
    }
    for (Wish w : wishes) {
      for (List<Signal> way : rank(w, state) < 0 ? List.<List<Signal>>of() : ways(w.trigger)) {
        if (way.size() > presses.size()
            && way.subList(0, presses.size()).equals(presses)
            && isHeard(w, way, state)
            && !isCut(w, way.subList(0, presses.size()), state)
            && (first.isEmpty() || rank(w, state) < rank(first.getFirst(), state))) {
          return true;
        }
      }
    }
    return false;
  }

  /**
   * What some presses in quick succession come to, then waiting: names that fire, {@code ?} with
   * names for several with an equal right, {@code "x"} for what is typed and {@code -} for nothing.
   */
  public List<String> press(Place state, List<Signal> presses) {
    List<String> said = new ArrayList<>();
    List<Signal> pending = new ArrayList<>();
    for (Signal s : presses) {
      Signal heard = heard(s);
      if (heard instanceof Motion(Trigger.AtStart a)) { // clause 16
        List<String> all = started(heard, state);
        said.addAll(all.isEmpty() ? List.of("-") : all);
        continue;
      }
      if (!(heard instanceof Press)) {
        said.add(decided(first(List.of(heard), state)));
        continue;
      }
      if (!pending.isEmpty() && isKept(heard)) { // clause 15
        said.add(decided(first(List.of(heard), state)));
        continue;
      }
      pending.add(heard);
      pending = settle(pending, state, false, said);
    }
    settle(pending, state, true, said);
    return said;
  }

  private List<String> started(Signal start, Place state) {
    return wishes.stream()
        .filter(w -> isMade(w, List.of(start), state))
        .sorted(
            Comparator.<Wish>comparingInt(w -> w.place instanceof Place.Everywhere ? 0 : 1)
                .thenComparing(w -> -rank(w, state))
                .thenComparing(Wish::name))
        .map(Wish::name)
        .toList();
  }

  private boolean isKept(Signal press) {
    return wishes.stream()
        .anyMatch(w -> w.who.equals("desktop") && ways(w.trigger).contains(List.of(press)));
  }

  private Signal heard(Signal signal) {
    return signal instanceof Press p ? layout.heard(p) : signal;
  }

  /** What is left waiting. */
  private List<Signal> settle(
      List<Signal> pending, Place state, boolean timeIsUp, List<String> said) {
    List<Signal> rest = pending;
    while (!rest.isEmpty()) {
      List<Wish> first = first(rest, state);
      boolean waits = waits(rest, state, first);
      if (waits && !timeIsUp) {
        return rest;
      }
      if (!first.isEmpty() && !(waits && first.size() > 1)) {
        said.add(decided(first));
        return new ArrayList<>();
      }
      rest = breakOff(rest, state, said);
    }
    return new ArrayList<>();
  }

  /** Clause 7. */
  private List<Signal> breakOff(List<Signal> strokes, Place state, List<String> said) {
    for (int n = strokes.size() - 1; n > 0; n--) {
      List<Signal> some = strokes.subList(0, n);
      List<Wish> whole = first(some, state);
      if (whole.size() == 1 && waits(some, state, whole)) {
        said.add(decided(whole));
        return strokes.subList(n, strokes.size());
      }
    }
    Press first = (Press) strokes.getFirst();
    said.add(isTyping(state) ? layout.types(first).map(t -> '"' + t + '"').orElse("-") : "-");
    return strokes.subList(1, strokes.size());
  }

  private static String decided(List<Wish> first) {
    if (first.isEmpty()) {
      return "-";
    }
    return first.size() == 1
        ? first.getFirst().name
        : "? " + String.join(", ", new TreeSet<>(first.stream().map(Wish::name).toList()));
  }
}
