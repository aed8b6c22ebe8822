package foldtwice.resolve;

import foldtwice.binding.Binding;
import foldtwice.library.Difference;
import foldtwice.library.Library;
import foldtwice.place.Application;
import foldtwice.place.NativeCommand;
import foldtwice.place.Place;
import foldtwice.place.Rule;
import foldtwice.place.Station;
import foldtwice.surface.Summoned;
import foldtwice.trigger.Layout;
import foldtwice.trigger.Signal;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Every claim of a library on one station, compiled for looking up. Immutable to its users; the
 * table of a state is built, press by press, when it is asked for.
 *
 * <p>Compiling costs one pass over the claims, {@link #with} and {@link #without} what is claimed
 * in the binding's place and the tables built so far.
 */
public final class Keymap {

  private final Station station;
  private final Layout layout;
  private final Map<String, Application> applications;
  private final Map<Place, Bundle> claims;
  private final Map<Place, List<Place>> statesOf;
  private final Map<Place, StateMap> states = new ConcurrentHashMap<>();

  private Keymap(
      Station station,
      Layout layout,
      Map<String, Application> applications,
      Map<Place, Bundle> claims,
      Map<Place, List<Place>> statesOf) {
    this.station = station;
    this.layout = layout;
    this.applications = applications;
    this.claims = claims;
    this.statesOf = statesOf;
  }

  /** Compiles a library for a station. */
  public static Keymap of(Library library, Station station) {
    Layout layout = station.keys();
    Map<Place, Bundle> claims = new HashMap<>();
    for (Station.Reserved r : station.reserved()) {
      add(
          claims,
          new Claim(
              new Owner.Desktop(r.what()),
              station.platform().asLibraryWrites(r.trigger()),
              new Place.Everywhere()),
          layout,
          false);
    }
    for (Application a : library.applications().values()) {
      for (NativeCommand c : a.commands()) {
        claims(a, c).forEach(claim -> add(claims, claim, layout, false));
      }
    }
    for (Summoned m : library.summoned()) {
      claims(m).forEach(claim -> add(claims, claim, layout, false));
    }
    for (Binding b : library.bindings().values()) {
      for (Claim claim : claims(b)) {
        add(claims, claim, layout, refused(library.applications(), b, claim, layout));
      }
    }
    return new Keymap(station, layout, library.applications(), claims, new ConcurrentHashMap<>());
  }

  private static void add(Map<Place, Bundle> claims, Claim claim, Layout layout, boolean refused) {
    claims
        .computeIfAbsent(claim.place(), p -> Bundle.open())
        .add(Compiled.of(claim, layout, refused));
  }

  /** True when the application, by its rules, never takes a trigger of a binding. */
  private static boolean refused(
      Map<String, Application> applications, Binding binding, Claim claim, Layout layout) {
    Optional<Application> application = binding.place().applicationId().map(applications::get);
    if (application.isPresent()) {
      for (Rule rule : application.get().rules(binding.fitting().way(), binding.place())) {
        if (!rule.accepts(claim.trigger(), layout)) {
          return true;
        }
      }
    }
    return false;
  }

  /** What a binding claims. */
  public static List<Claim> claims(Binding binding) {
    Owner owner = new Owner.Yours(binding.id());
    if (binding.triggers().size() == 1) { // as most have it
      return List.of(new Claim(owner, binding.triggers().getFirst(), binding.place()));
    }
    return binding.triggers().stream().map(t -> new Claim(owner, t, binding.place())).toList();
  }

  /** What a native command claims. */
  public static List<Claim> claims(Application application, NativeCommand command) {
    Owner owner = new Owner.Native(application.id(), command.id());
    return command.triggers().stream().map(t -> new Claim(owner, t, command.place())).toList();
  }

  /** What a radial menu or an offering claims. */
  public static List<Claim> claims(Summoned menu) {
    Owner owner = new Owner.Menu(menu.id());
    return menu.opens().stream().map(t -> new Claim(owner, t, menu.place())).toList();
  }

  /** The same keymap with one more binding. */
  public Keymap with(Binding binding) {
    return with(List.of(), List.of(binding));
  }

  /** The same keymap without a binding it was compiled with. */
  public Keymap without(Binding binding) {
    return with(List.of(binding), List.of());
  }

  /**
   * The same keymap without some bindings it was compiled with, and then with others. What is not
   * touched is shared: the other places, and the branches of other first presses.
   */
  public Keymap with(List<Binding> gone, List<Binding> more) {
    Map<Place, Change> changes = new HashMap<>();
    gone.forEach(b -> compiled(b).forEach(c -> at(changes, b.place()).gone.add(c)));
    more.forEach(b -> compiled(b).forEach(c -> at(changes, b.place()).more.add(c)));
    return changed(changes);
  }

  /** What comes and goes in one place. */
  private record Change(List<Compiled> gone, List<Compiled> more) {}

  private static Change at(Map<Place, Change> changes, Place place) {
    return changes.computeIfAbsent(place, p -> new Change(new ArrayList<>(), new ArrayList<>()));
  }

  /**
   * The keymap of a library that has been changed, given the library this one was compiled from:
   * only the bindings and the native commands that changed are compiled anew, or, when places,
   * menus or the station changed, all.
   */
  public Keymap following(Library was, Library is) {
    Station now = is.stations().getOrDefault(station.id(), station);
    if (!is.summoned().equals(was.summoned())
        || !now.equals(station)
        || !samePlaces(was.applications(), is.applications())) {
      return of(is, now);
    }
    Keymap keymap = this;
    if (is.applications() != was.applications()) {
      keymap = new Keymap(station, layout, is.applications(), claims, statesOf);
      keymap.states.putAll(states);
      for (Application a : is.applications().values()) {
        keymap = keymap.remapped(was.applications().get(a.id()), a);
      }
    }
    return is.bindings() == was.bindings() ? keymap : keymap.rebound(was, is);
  }

  private static boolean samePlaces(Map<String, Application> was, Map<String, Application> is) {
    return is == was
        || (is.keySet().equals(was.keySet())
            && is.values().stream().allMatch(a -> samePlaces(a, was.get(a.id()))));
  }

  /** True when the same claims are heard in both: their contexts, and what they refuse. */
  private static boolean samePlaces(Application a, Application b) {
    return a.contexts().equals(b.contexts())
        && a.rules().equals(b.rules())
        && a.ways().equals(b.ways());
  }

  private Keymap remapped(Application was, Application is) {
    if (is.equals(was)) {
      return this;
    }
    Map<Place, Change> changes = new HashMap<>();
    Map<String, NativeCommand> old = new HashMap<>();
    was.commands().forEach(c -> old.put(c.id(), c));
    for (NativeCommand c : is.commands()) {
      NativeCommand before = old.get(c.id());
      if (before != null
          && before.triggers().equals(c.triggers())
          && before.place().equals(c.place())) {
        old.remove(c.id());
      } else {
        at(changes, c.place()).more.addAll(compiled(claims(is, c)));
      }
    }
    old.values().forEach(c -> at(changes, c.place()).gone.addAll(compiled(claims(was, c))));
    return changed(changes);
  }

  private Keymap rebound(Library was, Library is) {
    List<Binding> gone = new ArrayList<>();
    List<Binding> more = new ArrayList<>();
    for (Difference<Binding> d : Difference.between(was.bindings(), is.bindings(), Binding::id)) {
      d.was().ifPresent(gone::add);
      d.is().ifPresent(more::add);
    }
    return with(gone, more);
  }

  private List<Compiled> compiled(Binding binding) {
    List<Compiled> all = new ArrayList<>(binding.triggers().size());
    for (Claim c : claims(binding)) {
      all.add(Compiled.of(c, layout, refused(applications, binding, c, layout)));
    }
    return all;
  }

  private List<Compiled> compiled(List<Claim> natives) {
    return natives.stream().map(c -> Compiled.of(c, layout, false)).toList();
  }

  private Keymap changed(Map<Place, Change> changes) {
    Map<Place, Bundle> next = new HashMap<>(claims);
    Keymap keymap = new Keymap(station, layout, applications, next, statesOf);
    keymap.states.putAll(states);
    changes.forEach(
        (place, change) -> {
          Bundle now = claims.getOrDefault(place, Bundle.EMPTY).changed(change.more, change.gone);
          next.put(place, now);
          Set<Integer> firsts = new HashSet<>();
          change.more.forEach(c -> firsts.addAll(Bundle.firsts(c)));
          change.gone.forEach(c -> firsts.addAll(Bundle.firsts(c)));
          keymap.states.replaceAll(
              (state, map) -> map.hears(place) ? map.with(place, now, firsts) : map);
        });
    return changes.isEmpty() ? this : keymap;
  }

  public Station station() {
    return station;
  }

  public Layout layout() {
    return layout;
  }

  /** Every state of every application. */
  public List<Place> states() {
    return applications.values().stream().flatMap(a -> a.states().stream()).toList();
  }

  /** The states in which a claim made in this place can be heard. */
  public List<Place> statesOf(Place place) {
    return statesOf.computeIfAbsent(place, this::findStates);
  }

  private List<Place> findStates(Place place) {
    return switch (place) {
      case Place.Everywhere() -> states();
      case Place.Whole(String id) -> application(id).map(Application::states).orElse(List.of());
      case Place.Within(String id, String context) ->
          application(id).stream()
              .flatMap(
                  a ->
                      a.states().stream()
                          .filter(s -> a.heardIn(s).stream().anyMatch(c -> c.id().equals(context))))
              .toList();
      case Place.Over o -> List.of(); // nothing is claimed there
    };
  }

  public Optional<Application> application(String id) {
    return Optional.ofNullable(applications.get(id));
  }

  /** The ways to press a trigger here; empty when the layout cannot type it. */
  public List<List<Signal>> paths(Trigger trigger) {
    return Compiled.paths(trigger, layout);
  }

  /** Every claim on the same presses, in any place. */
  public List<Claim> claimsOn(Trigger trigger) {
    return claimsOn(List.of(trigger)).get(trigger);
  }

  /** The same for several triggers at once, by trigger. */
  public Map<Trigger, List<Claim>> claimsOn(Collection<? extends Trigger> triggers) {
    Map<List<Signal>, List<Trigger>> wanted = new HashMap<>();
    Map<Trigger, List<Claim>> found = new HashMap<>();
    for (Trigger t : triggers) {
      found.put(t, new ArrayList<>());
      paths(t).forEach(p -> wanted.computeIfAbsent(p, x -> new ArrayList<>(1)).add(t));
    }
    Map<Integer, Set<List<Signal>>> byFirst = new HashMap<>();
    for (List<Signal> path : wanted.keySet()) {
      byFirst.computeIfAbsent(path.getFirst().id(), f -> new HashSet<>()).add(path);
    }
    for (Bundle bundle : claims.values()) {
      byFirst.forEach(
          (first, paths) -> {
            for (Compiled c : bundle.beginningWith(first)) {
              for (List<Signal> path : c.paths()) {
                if (paths.contains(path)) {
                  wanted.get(path).forEach(t -> found.get(t).add(c.claim()));
                }
              }
            }
          });
    }
    found.replaceAll((t, list) -> list.stream().distinct().toList());
    return found;
  }

  /** The claims of one layer on exactly these presses, heard or not. */
  List<Claim> claimsAt(Layer layer, List<Signal> presses) {
    Place place = layer instanceof Layer.At(Place p) ? p : new Place.Everywhere();
    return claims.getOrDefault(place, Bundle.EMPTY).beginningWith(presses.getFirst().id()).stream()
        .filter(c -> !c.refused() && !(c.claim().owner() instanceof Owner.Desktop))
        .filter(c -> c.paths().contains(presses))
        .map(Compiled::claim)
        .toList();
  }

  /**
   * The claims that may begin with one of these presses, in places that one of the others lies in
   * or lies in one of them: those that can meet what begins with them there.
   *
   * @param firsts ids of presses
   */
  public Set<Claim> meeting(Collection<Place> places, Set<Integer> firsts) {
    Set<Place> states = new HashSet<>();
    places.forEach(p -> states.addAll(statesOf(p)));
    Set<Claim> found = new HashSet<>();
    claims.forEach(
        (place, bundle) -> {
          if (statesOf(place).stream().anyMatch(states::contains)) {
            for (int first : firsts) {
              bundle.beginningWith(first).forEach(c -> found.add(c.claim()));
            }
          }
        });
    return found;
  }

  /** The claims that are heard in a state and are made by these presses, or begin with them. */
  public List<Claim> heard(Place state, List<Signal> presses) {
    Node node = at(state).walk(presses);
    return node == null ? List.of() : node.claims();
  }

  /** The ids of the presses a trigger may begin with here. */
  public Set<Integer> firsts(Trigger trigger) {
    Set<Integer> firsts = new HashSet<>();
    paths(trigger).forEach(p -> firsts.add(p.getFirst().id()));
    return firsts;
  }

  /**
   * What is heard in a state. In one that the library does not know of, as when a program is in a
   * context nobody described, what is heard in the nearest it knows; in a program it does not know,
   * what is heard everywhere.
   */
  StateMap at(Place state) {
    StateMap map = states.get(state);
    if (map == null) {
      Optional<Application> known = state.applicationId().flatMap(this::application);
      Application application =
          known.orElseGet(() -> Application.unknown(state.applicationId().orElse("")));
      map = StateMap.build(application.nearest(state), application, layout, claims);
      states.put(state, map);
    }
    return map;
  }
}
