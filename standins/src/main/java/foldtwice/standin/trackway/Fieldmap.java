package foldtwice.standin.trackway;

import foldtwice.run.Change;
import foldtwice.standin.base.StandIn;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * Stops and the legs between them.
 *
 * @param selected names of stops and legs, in the order of selecting
 */
public record Fieldmap(List<Stop> stops, List<Leg> legs, List<String> selected) {

  public Fieldmap {
    stops = List.copyOf(stops);
    legs = List.copyOf(legs);
    selected = List.copyOf(selected);
  }

  static Fieldmap first() {
    return new Fieldmap(
        List.of(
            new Stop("Gate", Stop.Kind.STOP, 60, 420, ""),
            new Stop("Lower weir", Stop.Kind.SITE, 210, 340, ""),
            new Stop("W1", Stop.Kind.PLOT, 190, 310, "Lower weir"),
            new Stop("W2", Stop.Kind.PLOT, 235, 322, "Lower weir"),
            new Stop("W3", Stop.Kind.PLOT, 228, 366, "Lower weir"),
            new Stop("Footbridge", Stop.Kind.STOP, 360, 300, ""),
            new Stop("Blackmere bog", Stop.Kind.SITE, 520, 180, ""),
            new Stop("B1", Stop.Kind.PLOT, 492, 150, "Blackmere bog"),
            new Stop("B2", Stop.Kind.PLOT, 545, 158, "Blackmere bog"),
            new Stop("B3", Stop.Kind.PLOT, 556, 204, "Blackmere bog"),
            new Stop("B4", Stop.Kind.PLOT, 500, 210, "Blackmere bog"),
            new Stop("Cairn", Stop.Kind.STOP, 690, 90, ""),
            new Stop("Garden wall", Stop.Kind.STOP, 640, 380, "")),
        List.of(
            new Leg("Gate", "Lower weir"),
            new Leg("Lower weir", "Footbridge"),
            new Leg("Footbridge", "Blackmere bog"),
            new Leg("Blackmere bog", "Cairn")),
        List.of());
  }

  public Optional<Stop> stop(String name) {
    return stops.stream().filter(s -> s.name().equals(name)).findFirst();
  }

  Optional<Leg> leg(String name) {
    return legs.stream().filter(l -> l.name().equals(name)).findFirst();
  }

  /** The selected stops, in the order of selecting. */
  List<Stop> selectedStops() {
    return selected.stream().flatMap(n -> stop(n).stream()).toList();
  }

  Fieldmap selecting(List<String> names) {
    return new Fieldmap(stops, legs, names);
  }

  Fieldmap changing(UnaryOperator<Stop> change) {
    return new Fieldmap(
        stops.stream().map(s -> selected.contains(s.name()) ? change.apply(s) : s).toList(),
        legs,
        selected);
  }

  Fieldmap with(Stop stop) {
    List<Stop> more = new ArrayList<>(stops);
    more.add(stop);
    return new Fieldmap(more, legs, List.of(stop.name()));
  }

  /** With legs added that are not there yet, in either direction. */
  Fieldmap with(List<Leg> more) {
    List<Leg> all = new ArrayList<>(legs);
    for (Leg leg : more) {
      boolean there = all.contains(leg) || all.contains(new Leg(leg.to(), leg.from()));
      if (!there && !leg.from().equals(leg.to())) {
        all.add(leg);
      }
    }
    return new Fieldmap(stops, all, selected);
  }

  /** Without what is selected, and without legs and plots that hang on it. */
  Fieldmap withoutSelected() {
    List<Stop> rest =
        stops.stream()
            .filter(s -> !selected.contains(s.name()) && !selected.contains(s.in()))
            .toList();
    List<String> names = rest.stream().map(Stop::name).toList();
    return new Fieldmap(
        rest,
        legs.stream()
            .filter(
                l ->
                    !selected.contains(l.name())
                        && names.contains(l.from())
                        && names.contains(l.to()))
            .toList(),
        List.of());
  }

  /** How long a leg is, in metres. */
  public long metres(Leg leg) {
    Stop from = stop(leg.from()).orElseThrow();
    Stop to = stop(leg.to()).orElseThrow();
    return Math.round(Math.hypot(from.x() - to.x(), from.y() - to.y()));
  }

  static List<Change> differences(Fieldmap before, Fieldmap after) {
    List<Change> changes = new ArrayList<>();
    for (Stop now : after.stops) {
      Optional<Stop> old = before.stop(now.name());
      StandIn.compare(changes, "stop " + now.name(), old.map(Fieldmap::at).orElse("none"), at(now));
    }
    for (Stop old : before.stops) {
      if (after.stop(old.name()).isEmpty()) {
        changes.add(new Change("stop " + old.name(), at(old), "none"));
      }
    }
    for (Leg leg : after.legs) {
      if (!before.legs.contains(leg)) {
        changes.add(new Change(leg.name(), "none", after.metres(leg) + " m"));
      }
    }
    for (Leg leg : before.legs) {
      if (!after.legs.contains(leg)) {
        changes.add(new Change(leg.name(), before.metres(leg) + " m", "none"));
      }
    }
    StandIn.compare(changes, "selection", say(before.selected), say(after.selected));
    return changes;
  }

  private static String at(Stop stop) {
    return stop.x() + ", " + stop.y();
  }

  static String say(List<String> names) {
    return names.isEmpty() ? "nothing" : String.join(", ", names);
  }
}
