package foldtwice.standin.sketch;

import foldtwice.describe.Description;
import foldtwice.describe.While;
import foldtwice.place.Application;
import foldtwice.place.Context;
import foldtwice.place.Place;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * In which context a sketch stands: the one that has the focus, or, where it is said while it is in
 * which, the one of those that holds.
 *
 * <p>A dialog that is open decides first. The context with the focus is left only while it does not
 * hold itself, for one beside it that does; where nothing is said of it, for one inside it that
 * does, the innermost first. What is said of something that is not described is passed over.
 */
final class Standing {

  /** What is so now. */
  interface Now {
    boolean isSelected(String kind);

    boolean nothingSelected();

    String dialog();
  }

  private final Application of;
  private final Map<String, While> said = new HashMap<>();

  Standing(Application of, Description described) {
    this.of = of;
    for (Description.State s : described.states()) {
      boolean state =
          of.context(s.context()).filter(c -> !c.groupOnly()).isPresent()
              && !of.isByPointer(s.context());
      boolean known =
          switch (s.holds()) {
            case While.Selected chosen ->
                chosen.kind().isEmpty()
                    || described.things().stream().anyMatch(t -> chosen.fits(t.kind()));
            case While.DialogOpen open ->
                described.dialogs().stream().anyMatch(d -> open.fits(d.title()));
            case While.NothingSelected n -> true;
            case While.Document d -> false; // such a context is gone to like any other
          };
      if (state && known) {
        said.putIfAbsent(s.context(), s.holds());
      }
    }
  }

  /** Where keys go at first: to the first context that is no dialog's, if there is one. */
  String first() {
    List<String> all = of.states().stream().map(this::focusIn).filter(c -> !c.isEmpty()).toList();
    return all.stream()
        .filter(c -> !(said.get(c) instanceof While.DialogOpen))
        .findFirst()
        .or(() -> all.stream().findFirst())
        .orElse("");
  }

  private String focusIn(Place state) {
    return switch (state) {
      case Place.Within(var id, String c) when !of.isByPointer(c) -> c;
      case Place.Over(var id, String c, var pointer) -> c;
      default -> "";
    };
  }

  /** While this context holds, where that is known. */
  Optional<While> of(String context) {
    return Optional.ofNullable(said.get(context));
  }

  /** The context it is in, with the focus there. */
  String at(String focus, Now now) {
    if (said.isEmpty() || focus.isEmpty()) {
      return focus;
    }
    if (!now.dialog().isEmpty()) {
      List<String> all = new ArrayList<>(List.of(focus));
      of.allContexts().forEach(c -> all.add(c.id()));
      for (String title : List.of(now.dialog(), "")) {
        While open = new While.DialogOpen(title);
        Optional<String> there = all.stream().filter(c -> open.equals(said.get(c))).findFirst();
        if (there.isPresent()) {
          return there.get();
        }
      }
    }
    if (!said.containsKey(focus)) {
      return first(of.context(focus).orElseThrow().inner(), now).orElse(focus);
    }
    if (holds(focus, now)) {
      return focus;
    }
    List<Context> path = of.path(focus);
    Optional<String> outer =
        path.size() > 1 ? Optional.of(path.get(path.size() - 2).id()) : Optional.empty();
    List<Context> beside =
        outer.isPresent() ? of.context(outer.get()).orElseThrow().inner() : of.contexts();
    return first(beside, now)
        .or(() -> outer.filter(o -> !of.context(o).orElseThrow().groupOnly()))
        .orElse(focus);
  }

  /** The first of them that holds, or the first in one of them. */
  private Optional<String> first(List<Context> some, Now now) {
    for (Context c : some) {
      Optional<String> inner =
          said.containsKey(c.id()) && !holds(c.id(), now)
              ? Optional.empty()
              : first(c.inner(), now);
      if (inner.isPresent()) {
        return inner;
      }
      if (said.containsKey(c.id()) && holds(c.id(), now)) {
        return Optional.of(c.id());
      }
    }
    return Optional.empty();
  }

  /** Whether a context of which it is said while it holds does so now. */
  boolean holds(String context, Now now) {
    return switch (said.get(context)) {
      case While.Selected(String kind) -> now.isSelected(kind);
      case While.NothingSelected n -> now.nothingSelected();
      case While.DialogOpen open -> open.fits(now.dialog());
      case While.Document d -> false;
    };
  }
}
