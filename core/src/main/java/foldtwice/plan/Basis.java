package foldtwice.plan;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.binding.Binding;
import foldtwice.binding.Family;
import foldtwice.library.Difference;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.file.LibraryJson;
import foldtwice.place.Application;
import foldtwice.place.Station;
import foldtwice.routine.Routine;
import foldtwice.surface.Surface;
import foldtwice.text.Digest;
import foldtwice.trigger.Trigger;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * What a plan was made of: all that its promises hang on. What has been taken of it counts as not
 * taken; checks, facts, what is spent and what is said of programs do not count.
 *
 * @param application the id of the one that is planned for: what is bound in others does not count;
 *     nothing where it is planned for all
 */
record Basis(Library library, Optional<String> application) {

  private static final List<String> COUNTS =
      List.of(
          "applications",
          "stations",
          "devices",
          "toolbars",
          "menus",
          "offerings",
          "routines",
          "bindings",
          "families");

  /** Of a library in which nothing of a plan is taken. Costs the lines that move. */
  static Basis of(Library library, Optional<String> application, Plan plan) {
    Library now = library;
    for (Plan.Line l : plan.moved()) {
      Binding b = now.bindings().get(l.binding());
      if (b != null && !b.triggers().contains(l.today())) {
        List<Trigger> before =
            b.triggers().stream().map(t -> t.equals(l.proposed()) ? l.today() : t).toList();
        now = new Edit.PutBinding(b.withTriggers(before)).on(now);
      }
    }
    return new Basis(now, application);
  }

  /**
   * True when the same could be planned of another. Costs what was put since, when one library was
   * made from the other a few edits ago, else one pass over both.
   */
  boolean isSame(Basis other) {
    Library was = library;
    Library is = other.library;
    return application.equals(other.application)
        && same(was.bindings(), is.bindings(), Binding::id, this::counts)
        && same(was.applications(), is.applications(), Application::id, a -> isOf(a.id()))
        && same(was.stations(), is.stations(), Station::id, s -> true)
        && same(was.surfaces(), is.surfaces(), Surface::id, s -> true)
        && same(was.routines(), is.routines(), Routine::id, r -> true)
        && isSameFamilies(was.families(), is.families());
  }

  private boolean counts(Binding binding) {
    return binding.place().applicationId().map(this::isOf).orElse(true);
  }

  private boolean isOf(String id) {
    return application.isEmpty() || application.get().equals(id);
  }

  private static <T> boolean same(
      Map<String, T> was, Map<String, T> is, Function<T, String> id, Predicate<T> counts) {
    return Difference.between(was, is, id).stream()
        .flatMap(d -> Stream.concat(d.was().stream(), d.is().stream()))
        .noneMatch(counts);
  }

  /** How a family is laid out is changed by taking its lines. */
  private static boolean isSameFamilies(Map<String, Family> was, Map<String, Family> is) {
    return was.keySet().equals(is.keySet())
        && is.values().stream().allMatch(f -> f.members().equals(was.get(f.id()).members()));
  }

  /** What counts, in a few letters. Costs writing all of the library. */
  String print() {
    ObjectNode all = LibraryJson.tree(library).retain(COUNTS);
    all.path("families").forEach(f -> ((ObjectNode) f).remove("pattern"));
    ArrayNode bindings = (ArrayNode) all.path("bindings");
    bindings.removeIf(b -> !counts(library.bindings().get(b.path("id").asText())));
    ((ArrayNode) all.path("applications")).removeIf(a -> !isOf(a.path("id").asText()));
    return Digest.of(all.toString());
  }
}
