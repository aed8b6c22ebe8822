package foldtwice.ready;

import foldtwice.binding.Binding;
import foldtwice.library.Bound;
import foldtwice.library.Difference;
import foldtwice.library.Edit;
import foldtwice.library.Fingerprint;
import foldtwice.library.Given;
import foldtwice.library.Library;
import foldtwice.place.Application;
import foldtwice.place.Need;
import foldtwice.place.WayIn;
import foldtwice.resolve.Keymap;
import foldtwice.routine.Routine;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * The library as the programs of a computer know it: what is not in yet is not heard, and what was
 * changed is heard as it was until the change is in.
 *
 * @param library with what is heard in the place of what is bound
 * @param keymap of that
 * @param of the library it is told of
 * @param setup what has been put into the programs
 * @param otherwise by binding, what is heard in its stead; empty where nothing is
 */
public record Heard(
    Library library,
    Keymap keymap,
    Library of,
    Setup setup,
    Map<String, Optional<Binding>> otherwise) {

  /**
   * What is heard on a computer. Costs a look at the bindings of programs with a way in that asks
   * for something.
   *
   * @param keymap of the library on the station
   */
  public static Heard of(Library library, Keymap keymap, Setup setup) {
    Map<String, Optional<Binding>> otherwise =
        otherwise(library, keymap, setup, kept(library, setup), Map.of());
    return new Heard(
        changed(library, otherwise),
        otherwise.isEmpty() ? keymap : keymap.with(unheard(library, otherwise), heard(otherwise)),
        library,
        setup,
        otherwise);
  }

  /**
   * The same from what was heard before, of another moment of the library on the same computer.
   * Costs what is different between the two, and what is heard otherwise.
   */
  public static Heard following(Heard before, Library library, Keymap keymap, Setup setup) {
    if (!isSameAround(before, library, keymap)) {
      return of(library, keymap, setup);
    }
    Set<String> touched = setup.apart(library, before.setup);
    Difference.between(before.of.bindings(), library.bindings(), Binding::id)
        .forEach(d -> touched.add(d.is().or(d::was).orElseThrow().id()));
    Map<String, Optional<Binding>> otherwise =
        otherwise(library, keymap, setup, touched, before.otherwise);
    if (otherwise.isEmpty()) {
      return new Heard(library, keymap, library, setup, otherwise);
    }
    Library next = changed(library, otherwise);
    return new Heard(
        next, before.keymap.following(before.library, next), library, setup, otherwise);
  }

  /** True when each binding is heard by what it is and what was put in alone. */
  private static boolean isSameAround(Heard before, Library library, Keymap keymap) {
    return Puts.isSameAround(before.of, library)
        && before.keymap.station().equals(keymap.station())
        && before.keymap.layout().equals(keymap.layout());
  }

  private static List<Application> keeping(Library library) {
    return library.applications().values().stream()
        .filter(a -> a.ways().stream().anyMatch(Puts::isKept))
        .toList();
  }

  /** The ids of all that comes, or came, by a way to be kept. */
  private static Set<String> kept(Library library, Setup setup) {
    Set<String> ids = new LinkedHashSet<>();
    for (Application a : keeping(library)) {
      Bound.in(library, a.id()).forEach(b -> ids.add(b.id()));
      ids.addAll(setup.program(a.id()).all());
    }
    return ids;
  }

  /**
   * What is heard otherwise than the library has it.
   *
   * @param ids those that are looked at; the others are as they were
   */
  private static Map<String, Optional<Binding>> otherwise(
      Library library,
      Keymap keymap,
      Setup setup,
      Set<String> ids,
      Map<String, Optional<Binding>> before) {
    List<Application> keeping = keeping(library);
    Map<String, Optional<Binding>> next = new TreeMap<>(before);
    for (String id : ids) {
      Optional<Binding> bound = Optional.ofNullable(library.bindings().get(id));
      Optional<Binding> heard =
          bound.isPresent()
              ? heard(library, keymap, setup, bound.get())
              : gone(keeping, keymap, setup, id);
      if (heard.equals(bound)) {
        next.remove(id);
      } else {
        next.put(id, heard);
      }
    }
    return Collections.unmodifiableMap(next);
  }

  /** What is heard of a binding: as it is, as it was, or not at all. */
  private static Optional<Binding> heard(
      Library library, Keymap keymap, Setup setup, Binding binding) {
    Optional<Application> application =
        binding.place().applicationId().map(library.applications()::get);
    if (application.flatMap(a -> Puts.keptWay(a, binding)).isEmpty()) {
      return Optional.of(binding);
    }
    List<Given> known = known(keymap, setup, application.get(), binding.id());
    Optional<Routine> routine = library.routineOf(binding);
    return routine.isPresent()
            && known.stream()
                .anyMatch(g -> Puts.isStill(application.get(), g, binding, routine.get()))
        ? Optional.of(binding)
        : last(known);
  }

  /** What a program still has of a binding that is no more. */
  private static Optional<Binding> gone(
      List<Application> keeping, Keymap keymap, Setup setup, String id) {
    return keeping.reversed().stream()
        .flatMap(a -> last(known(keymap, setup, a, id)).stream())
        .findFirst();
  }

  private static Optional<Binding> last(List<Given> known) {
    return known.isEmpty() ? Optional.empty() : Optional.of(known.getLast().binding());
  }

  private static Library changed(Library library, Map<String, Optional<Binding>> otherwise) {
    List<Edit> edits = new ArrayList<>();
    otherwise.forEach(
        (id, heard) ->
            edits.add(
                heard.<Edit>map(Edit.PutBinding::new).orElseGet(() -> new Edit.RemoveBinding(id))));
    return edits.isEmpty() ? library : new Edit.Together(edits).on(library);
  }

  private static List<Binding> unheard(Library library, Map<String, Optional<Binding>> otherwise) {
    return otherwise.keySet().stream()
        .map(library.bindings()::get)
        .filter(Objects::nonNull)
        .toList();
  }

  private static List<Binding> heard(Map<String, Optional<Binding>> otherwise) {
    return otherwise.values().stream().flatMap(Optional::stream).toList();
  }

  /** What an application's program answers to of a binding, by each of its ways to be kept. */
  private static List<Given> known(Keymap keymap, Setup setup, Application application, String id) {
    Setup.Program program = setup.program(application.id());
    List<Given> known = new ArrayList<>(1);
    for (WayIn way : application.ways()) {
      if (Puts.isKept(way) && isRunning(way, program)) {
        Given put = program.known(way).get(id);
        if (put != null
            && Puts.keptWay(application, put.binding()).equals(Optional.of(way))
            && (!Puts.asks(way) || mayDisplace(keymap, program, put))) {
          known.add(put);
        }
      }
    }
    return known;
  }

  private static boolean mayDisplace(Keymap keymap, Setup.Program program, Given put) {
    return program.confirmed().contains(Fingerprint.of(put.binding(), put.routine()))
        || !Outlook.displaces(keymap, put.binding());
  }

  private static boolean isRunning(WayIn way, Setup.Program program) {
    return way.needs().stream()
        .filter(n -> n == Need.HELPER_RUNNING || n == Need.DOCUMENT_OPEN || n == Need.TOOLBAR_SHOWN)
        .allMatch(program.running()::contains);
  }
}
