package foldtwice.resolve;

import foldtwice.binding.Binding;
import foldtwice.library.Library;
import foldtwice.place.Application;
import foldtwice.place.NativeCommand;
import foldtwice.place.Place;
import foldtwice.place.Station;
import foldtwice.surface.Summoned;
import foldtwice.trigger.Layout;
import foldtwice.trigger.Layouts;
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
 * table of a state is built when first asked for.
 *
 * <p>Compiling costs one pass over the claims, {@link #with} and {@link #without} one pass over the
 * places.
 */
public final class Keymap {

  private final Station station;
  private final Layout layout;
  private final Map<String, Application> applications;
  private final Map<Place, List<Compiled>> claims;
  private final Map<Place, List<Place>> statesOf;
  private final Map<Place, StateMap> states = new ConcurrentHashMap<>();

  private Keymap(
      Station station,
      Layout layout,
      Map<String, Application> applications,
      Map<Place, List<Compiled>> claims,
      Map<Place, List<Place>> statesOf) {
    this.station = station;
    this.layout = layout;
    this.applications = applications;
    this.claims = claims;
    this.statesOf = statesOf;
  }

  /** Compiles a library for a station. */
  public static Keymap of(Library library, Station station) {
    Layout layout = Layouts.of(station.layout()).orElseThrow();
    Map<Place, List<Compiled>> claims = new HashMap<>();
    for (Station.Reserved r : station.reserved()) {
      add(
          claims,
          new Claim(new Owner.Desktop(r.what()), r.trigger(), new Place.Everywhere()),
          layout);
    }
    for (Application a : library.applications().values()) {
      for (NativeCommand c : a.commands()) {
        claims(a, c).forEach(claim -> add(claims, claim, layout));
      }
    }
    for (Summoned m : library.summoned()) {
      claims(m).forEach(claim -> add(claims, claim, layout));
    }
    for (Binding b : library.bindings().values()) {
      claims(b).forEach(claim -> add(claims, claim, layout));
    }
    return new Keymap(station, layout, library.applications(), claims, new ConcurrentHashMap<>());
  }

  private static void add(Map<Place, List<Compiled>> claims, Claim claim, Layout layout) {
    claims.computeIfAbsent(claim.place(), p -> new ArrayList<>()).add(Compiled.of(claim, layout));
  }

  /** What a binding claims. */
  public static List<Claim> claims(Binding binding) {
    Owner owner = new Owner.Yours(binding.id());
    return binding.triggers().stream().map(t -> new Claim(owner, t, binding.place())).toList();
  }

  private static List<Claim> claims(Application application, NativeCommand command) {
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
    List<Compiled> more = new ArrayList<>(claims.getOrDefault(binding.place(), List.of()));
    claims(binding).forEach(c -> more.add(Compiled.of(c, layout)));
    return changed(binding.place(), more);
  }

  /** The same keymap without a binding it was compiled with. */
  public Keymap without(Binding binding) {
    Owner owner = new Owner.Yours(binding.id());
    List<Compiled> rest = new ArrayList<>(claims.getOrDefault(binding.place(), List.of()));
    rest.removeIf(c -> c.claim().owner().equals(owner));
    return changed(binding.place(), rest);
  }

  private Keymap changed(Place place, List<Compiled> now) {
    Map<Place, List<Compiled>> next = new HashMap<>(claims);
    next.put(place, now);
    Keymap keymap = new Keymap(station, layout, applications, next, statesOf);
    states.forEach(
        (state, map) -> {
          if (place.applicationId().isPresent()
              && !place.applicationId().equals(state.applicationId())) {
            keymap.states.put(state, map);
          }
        });
    return keymap;
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
              .flatMap(a -> a.states().stream())
              .filter(s -> s instanceof Place.Within w && inside(w, context))
              .toList();
    };
  }

  private boolean inside(Place.Within state, String context) {
    return applications.get(state.application()).path(state.context()).stream()
        .anyMatch(c -> c.id().equals(context));
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

  /** The same for several triggers at once, by trigger: one pass over all claims. */
  public Map<Trigger, List<Claim>> claimsOn(Collection<? extends Trigger> triggers) {
    Map<List<Signal>, List<Trigger>> wanted = new HashMap<>();
    Map<Trigger, List<Claim>> found = new HashMap<>();
    for (Trigger t : triggers) {
      found.put(t, new ArrayList<>());
      paths(t).forEach(p -> wanted.computeIfAbsent(p, x -> new ArrayList<>(1)).add(t));
    }
    for (List<Compiled> some : claims.values()) {
      for (Compiled c : some) {
        Set<Trigger> once = new HashSet<>();
        for (List<Signal> path : c.paths()) {
          once.addAll(wanted.getOrDefault(path, List.of()));
        }
        once.forEach(t -> found.get(t).add(c.claim()));
      }
    }
    return found;
  }

  /** The claims of one layer on exactly these presses, heard or not. */
  List<Claim> claimsAt(Layer layer, List<Signal> presses) {
    Place place = layer instanceof Layer.At(Place p) ? p : new Place.Everywhere();
    return claims.getOrDefault(place, List.of()).stream()
        .filter(c -> !(c.claim().owner() instanceof Owner.Desktop))
        .filter(c -> c.paths().contains(presses))
        .map(Compiled::claim)
        .toList();
  }

  /** All claims of bindings. */
  List<Compiled> yours() {
    return claims.values().stream().flatMap(List::stream).filter(c -> c.claim().isYours()).toList();
  }

  Compiled compile(Claim claim) {
    return Compiled.of(claim, layout);
  }

  StateMap at(Place state) {
    StateMap map = states.get(state);
    if (map == null) {
      Application application =
          state
              .applicationId()
              .flatMap(this::application)
              .filter(a -> a.states().contains(state))
              .orElseThrow(
                  () ->
                      new IllegalArgumentException(
                          state.id() + " is no state of an application here"));
      map = StateMap.build(state, application, layout, claims);
      states.put(state, map);
    }
    return map;
  }
}
