package foldtwice.place;

import foldtwice.extras.Extras;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/**
 * A program the team works in.
 *
 * @param version the version the library was made for
 * @param contexts the outermost contexts; may be empty, then the application is one single place
 * @param rules what it demands of triggers; all must hold
 * @param ways how bindings reach it, the usual one first; none when they are simply there
 */
public record Application(
    String id,
    String name,
    String version,
    List<Context> contexts,
    List<NativeCommand> commands,
    List<Rule> rules,
    List<WayIn> ways,
    Extras extras) {

  public Application {
    contexts = List.copyOf(contexts);
    commands = List.copyOf(commands);
    rules = List.copyOf(rules);
    ways = List.copyOf(ways);
  }

  /** One of which nothing but its id is known. */
  public static Application unknown(String id) {
    return new Application(id, id, "", List.of(), List.of(), List.of(), List.of(), Extras.NONE);
  }

  /** The way in of this id, the usual one for none; empty when bindings are simply there. */
  public Optional<WayIn> way(String id) {
    for (WayIn w : ways) {
      if (id.isEmpty() || w.id().equals(id)) {
        return Optional.of(w);
      }
    }
    return Optional.empty();
  }

  /** What it demands of the triggers of bindings that come by this way into this place. */
  public List<Rule> rules(String way, Place place) {
    return rules.isEmpty() || way(way).filter(WayIn::freeOfRules).isPresent()
        ? List.of()
        : rules(place);
  }

  /** What it demands of triggers in a place. */
  public List<Rule> rules(Place place) {
    for (Rule rule : rules) {
      if (!holds(rule, place)) {
        return rules.stream().filter(r -> holds(r, place)).toList();
      }
    }
    return rules; // as most programs have it
  }

  private boolean holds(Rule rule, Place place) {
    return !(rule instanceof Rule.In(List<String> contexts, var of))
        || (place instanceof Place.Within(var application, String context)
            && path(context).stream().anyMatch(c -> contexts.contains(c.id())));
  }

  /** The same application under another name and version. */
  public Application named(String name, String version) {
    return new Application(id, name, version, contexts, commands, rules, ways, extras);
  }

  public Application withContexts(List<Context> others) {
    return new Application(id, name, version, others, commands, rules, ways, extras);
  }

  /**
   * The same application with a context changed, or taken away with all that lies in it when
   * nothing is given back.
   */
  public Application withContext(String id, Function<Context, Optional<Context>> change) {
    return withContexts(changed(contexts, id, change));
  }

  private static List<Context> changed(
      List<Context> among, String id, Function<Context, Optional<Context>> change) {
    List<Context> next = new ArrayList<>();
    for (Context c : among) {
      if (c.id().equals(id)) {
        change.apply(c).ifPresent(next::add);
      } else {
        next.add(c.with(changed(c.inner(), id, change)));
      }
    }
    return next;
  }

  public Application withCommands(List<NativeCommand> others) {
    return new Application(id, name, version, contexts, others, rules, ways, extras);
  }

  public Application withWays(List<WayIn> others) {
    return new Application(id, name, version, contexts, commands, rules, others, extras);
  }

  public Application withRules(List<Rule> others) {
    return new Application(id, name, version, contexts, commands, others, ways, extras);
  }

  /** The contexts from the outermost to the one of this id; empty when there is none. */
  public List<Context> path(String context) {
    List<Context> path = new ArrayList<>();
    return find(contexts, context, path) ? List.copyOf(path) : List.of();
  }

  private static boolean find(List<Context> among, String id, List<Context> path) {
    for (Context c : among) {
      path.add(c);
      if (c.id().equals(id) || find(c.inner(), id, path)) {
        return true;
      }
      path.removeLast();
    }
    return false;
  }

  public Optional<Context> context(String id) {
    List<Context> path = path(id);
    return path.isEmpty() ? Optional.empty() : Optional.of(path.getLast());
  }

  public Optional<NativeCommand> command(String id) {
    return commands.stream().filter(c -> c.id().equals(id)).findFirst();
  }

  /** The command with this menu path. */
  public Optional<NativeCommand> commandAt(List<String> menuPath) {
    return menuPath.isEmpty()
        ? Optional.empty()
        : commands.stream().filter(c -> c.menuPath().equals(menuPath)).findFirst();
  }

  /** All commands that have the name of this one, itself among them, in their order. */
  public List<NativeCommand> namesakes(NativeCommand command) {
    return commands.stream().filter(c -> c.name().equals(command.name())).toList();
  }

  /** The same application with a command instead of the one with its id. */
  public Application with(NativeCommand command) {
    List<NativeCommand> others =
        commands.stream().map(c -> c.id().equals(command.id()) ? command : c).toList();
    return new Application(id, name, version, contexts, others, rules, ways, extras);
  }

  /** All contexts, each before the ones inside it. */
  public List<Context> allContexts() {
    List<Context> all = new ArrayList<>();
    collect(contexts, all);
    return List.copyOf(all);
  }

  private static void collect(List<Context> from, List<Context> all) {
    for (Context c : from) {
      all.add(c);
      collect(c.inner(), all);
    }
  }

  /** Every place of the application: as a whole, then each of its contexts. */
  public List<Place> places() {
    List<Place> places = new ArrayList<>(List.of(new Place.Whole(id)));
    allContexts().forEach(c -> places.add(new Place.Within(id, c.id())));
    return List.copyOf(places);
  }

  /** How many strokes a trigger may have: what the rules allow, at most as many as there can be. */
  public int mostStrokes() {
    int most = Trigger.Keys.MOST_STROKES;
    for (Rule rule : rules) {
      if (rule instanceof Rule.MostStrokes(int count)) {
        most = Math.min(most, count);
      }
    }
    return most;
  }

  /**
   * The places the application can really be in: every context of the focus that is not only a
   * group, or the application as a whole when there are none, each alone and with the pointer over
   * every context that is the pointer's.
   */
  public List<Place> states() {
    List<String> focus = contextsOf(false);
    List<String> pointer = contextsOf(true);
    List<Place> states = new ArrayList<>();
    if (focus.isEmpty()) {
      states.add(new Place.Whole(id));
      pointer.forEach(p -> states.add(new Place.Within(id, p)));
    }
    for (String f : focus) {
      states.add(new Place.Within(id, f));
      pointer.forEach(p -> states.add(new Place.Over(id, f, p)));
    }
    return List.copyOf(states);
  }

  /**
   * The state of this application nearest to one that a program of it is in: that one itself, the
   * one with the same focus, or the first.
   */
  public Place nearest(Place state) {
    List<Place> states = states();
    if (states.contains(state)) {
      return state;
    }
    Optional<Place> focus =
        state instanceof Place.Over(var application, String f, var pointer)
            ? Optional.of(new Place.Within(id, f))
            : Optional.empty();
    return focus.filter(states::contains).orElseGet(states::getFirst);
  }

  /** Ids of the contexts one can be in, of the focus or of the pointer's. */
  private List<String> contextsOf(boolean pointer) {
    List<Context> some = new ArrayList<>();
    collect(contexts.stream().filter(c -> c.byPointer() == pointer).toList(), some);
    return some.stream().filter(c -> !c.groupOnly()).map(Context::id).toList();
  }

  /**
   * What is asked in a state: the pointer's contexts before those of the focus, each from the
   * innermost outwards.
   */
  public List<Context> heardIn(Place state) {
    return switch (state) {
      case Place.Everywhere e -> List.of();
      case Place.Whole w -> List.of();
      case Place.Within(var application, String context) -> path(context).reversed();
      case Place.Over(var application, String focus, String pointer) -> {
        List<Context> heard = new ArrayList<>(path(pointer).reversed());
        heard.addAll(path(focus).reversed());
        yield List.copyOf(heard);
      }
    };
  }

  /** True when one is in one of these contexts in a state, or in one inside it. */
  public boolean isWithin(Place state, Collection<String> contexts) {
    return heardIn(state).stream().anyMatch(c -> contexts.contains(c.id()));
  }

  /** The context that has the focus in a state; empty where the pointer alone decides. */
  public Optional<Context> focused(Place state) {
    return switch (state) {
      case Place.Everywhere e -> Optional.empty();
      case Place.Whole w -> Optional.empty();
      case Place.Within(var application, String context) ->
          isByPointer(context) ? Optional.empty() : context(context);
      case Place.Over(var application, String focus, var pointer) -> context(focus);
    };
  }

  /** Whether being in a context is a matter of where the pointer is. */
  public boolean isByPointer(String context) {
    List<Context> path = path(context);
    return !path.isEmpty() && path.getFirst().byPointer();
  }
}
