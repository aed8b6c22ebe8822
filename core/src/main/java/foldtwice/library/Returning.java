package foldtwice.library;

import foldtwice.binding.Binding;
import foldtwice.binding.Family;
import foldtwice.describe.Description;
import foldtwice.place.Application;
import foldtwice.place.Station;
import foldtwice.routine.Routine;
import foldtwice.surface.Surface;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;

/**
 * The way from a library to what it was at another time, as one edit that can be undone.
 *
 * <p>Law: all but name and facts of {@code to(now, then).on(now)} are those of {@code then}.
 */
public final class Returning {

  private final List<Edit> first = new ArrayList<>();
  private final List<Edit> puts = new ArrayList<>();
  private final List<Edit> last = new ArrayList<>();

  private Returning() {}

  /** What is bound goes before the places it is in, and comes after them. */
  public static Edit to(Library now, Library then) {
    Returning way = new Returning();
    way.parts(
        now.applications(),
        then.applications(),
        Application::id,
        Edit.PutApplication::new,
        Edit.RemoveApplication::new,
        way.last);
    way.parts(
        now.stations(),
        then.stations(),
        Station::id,
        Edit.PutStation::new,
        Edit.RemoveStation::new,
        way.last);
    way.parts(
        now.routines(),
        then.routines(),
        Routine::id,
        Edit.PutRoutine::new,
        Edit.RemoveRoutine::new,
        way.last);
    way.parts(
        now.surfaces(),
        then.surfaces(),
        Surface::id,
        Edit.PutSurface::new,
        Edit.RemoveSurface::new,
        way.first);
    way.parts(
        now.bindings(),
        then.bindings(),
        Binding::id,
        Edit.PutBinding::new,
        Edit.RemoveBinding::new,
        way.first);
    way.parts(
        now.families(),
        then.families(),
        Family::id,
        Edit.PutFamily::new,
        Edit.RemoveFamily::new,
        way.first);
    way.parts(
        now.checks(),
        then.checks(),
        PressCheck::id,
        Edit.PutCheck::new,
        Edit.RemoveCheck::new,
        way.first);
    way.parts(
        now.procedures(),
        then.procedures(),
        Procedure::id,
        Edit.PutProcedure::new,
        Edit.RemoveProcedure::new,
        way.first);
    way.parts(
        now.outlays(),
        then.outlays(),
        Outlay::id,
        (o, at) -> new Edit.Spend(o.id(), Optional.of(o)),
        id -> new Edit.Spend(id, Optional.empty()),
        way.first);
    if (now.live() != then.live()) {
      way.first.add(new Edit.AllowLive(then.live()));
    }
    way.parts(
        now.accepted(),
        then.accepted(),
        Acceptance::conflict,
        (a, at) -> new Edit.Accept(a.conflict(), Optional.of(a)),
        c -> new Edit.Accept(c, Optional.empty()),
        way.first);
    way.parts(
        now.descriptions(),
        then.descriptions(),
        Description::application,
        (d, at) -> new Edit.Describe(d),
        id -> new Edit.Describe(id, Optional.empty()),
        way.first);
    List<Edit> all = new ArrayList<>(way.first);
    all.addAll(way.puts);
    all.addAll(way.last);
    return new Edit.Together(all);
  }

  private <T> void parts(
      Map<String, T> now,
      Map<String, T> then,
      Function<T, String> id,
      BiFunction<T, Integer, Edit> put,
      Function<String, Edit> remove,
      List<Edit> removals) {
    List<String> order = List.copyOf(then.keySet());
    for (Difference<T> d : Difference.between(now, then, id)) {
      if (d.is().isPresent()) {
        T is = d.is().get();
        puts.add(put.apply(is, d.was().isPresent() ? 0 : order.indexOf(id.apply(is))));
      } else {
        removals.add(remove.apply(id.apply(d.was().orElseThrow())));
      }
    }
  }
}
