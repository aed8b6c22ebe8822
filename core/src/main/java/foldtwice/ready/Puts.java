package foldtwice.ready;

import foldtwice.binding.Binding;
import foldtwice.library.Bound;
import foldtwice.library.Chunked;
import foldtwice.library.Difference;
import foldtwice.library.Given;
import foldtwice.library.Library;
import foldtwice.place.Application;
import foldtwice.place.Need;
import foldtwice.place.WayIn;
import foldtwice.routine.Routine;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;

/** What a library would put into the files of programs. */
public final class Puts {

  private Puts() {}

  /** True when bindings that come by this way are not simply there. */
  static boolean isKept(WayIn way) {
    return !way.needs().isEmpty() || way.slots() > 0;
  }

  /** True when what a binding is given depends on the bindings before it. */
  static boolean isNumbered(Application application) {
    return application.ways().stream().anyMatch(w -> w.slots() > 0);
  }

  /** The applications with bindings that come by such a way and are not as they were. */
  static List<Application> touched(
      List<Difference<Binding>> changes, Library is, Predicate<WayIn> way) {
    Set<String> touched = new HashSet<>();
    for (Difference<Binding> d : changes) {
      Stream.concat(d.was().stream(), d.is().stream())
          .filter(b -> keptWay(is, b).filter(way).isPresent())
          .flatMap(b -> b.place().applicationId().stream())
          .forEach(touched::add);
    }
    return is.applications().values().stream().filter(a -> touched.contains(a.id())).toList();
  }

  /** True when what bindings are read against is as it was. */
  static boolean isSameAround(Library was, Library is) {
    return was.applications().equals(is.applications()) && was.routines().equals(is.routines());
  }

  /** Of what is given what has to be copied. */
  static Map<String, Given> copiedOf(Application a, Map<String, Given> all) {
    Map<String, Given> copied = new LinkedHashMap<>();
    all.forEach(
        (id, given) -> {
          if (keptWay(a, given.binding()).filter(Puts::isCopied).isPresent()) {
            copied.put(id, given);
          }
        });
    return copied;
  }

  /** What there is of an application that comes by ways to be kept, as far as there are slots. */
  static Map<String, Given> of(Library library, Application application) {
    Map<String, Given> all = new LinkedHashMap<>();
    Map<WayIn, Integer> taken = new HashMap<>();
    for (Binding b : Bound.in(library, application.id())) {
      put(library, application, b)
          .filter(put -> isFree(keptWay(application, b).orElseThrow(), taken))
          .ifPresent(put -> all.put(b.id(), put));
    }
    return all;
  }

  /**
   * The ids of the bindings that have one of the numbered slots of their way in, where those are
   * few; the first ones in the library have them. Costs a look at the bindings of programs with
   * such ways.
   */
  public static Set<String> inSlots(Library library) {
    Set<String> in = new HashSet<>();
    for (Application a : library.applications().values()) {
      if (isNumbered(a)) {
        of(library, a)
            .forEach(
                (id, given) -> {
                  if (keptWay(a, given.binding()).orElseThrow().slots() > 0) {
                    in.add(id);
                  }
                });
      }
    }
    return in;
  }

  /** True when a change of a binding leaves all numbered slots as they are given. */
  public static boolean keepsSlots(Difference<Binding> change) {
    if (change.was().isEmpty() || change.is().isEmpty()) {
      return false;
    }
    Binding was = change.was().get();
    Binding is = change.is().get();
    return was.place().equals(is.place())
        && was.fitting().way().equals(is.fitting().way())
        && was.routine().equals(is.routine())
        && was.triggers().isEmpty() == is.triggers().isEmpty();
  }

  /** Takes the next slot of a way; false when there is none left. */
  private static boolean isFree(WayIn way, Map<WayIn, Integer> taken) {
    int slot = taken.merge(way, 1, Integer::sum);
    return way.slots() == 0 || slot <= way.slots();
  }

  /** What is put in of a binding that comes by a way to be kept, when there is a slot. */
  static Optional<Given> put(Library library, Application application, Binding binding) {
    return keptWay(application, binding)
        .filter(way -> !binding.triggers().isEmpty())
        .flatMap(way -> library.routineOf(binding))
        .map(routine -> new Given(binding, routine));
  }

  /** True when what was given is what there is by now, and came by the way it comes by now. */
  static boolean isStill(Application application, Given given, Binding binding, Routine routine) {
    return given.is(binding, routine)
        && keptWay(application, given.binding()).equals(keptWay(application, binding));
  }

  /** The way in that has to be kept, by which a binding comes to an application. */
  static Optional<WayIn> keptWay(Application application, Binding binding) {
    return binding.place().isOf(application.id())
        ? application.way(binding.fitting().way()).filter(Puts::isKept)
        : Optional.empty();
  }

  private static Optional<WayIn> keptWay(Library library, Binding binding) {
    return binding
        .place()
        .applicationId()
        .map(library.applications()::get)
        .flatMap(a -> keptWay(a, binding));
  }

  /** True when what is kept by this way needs no copying. */
  static boolean isThereAtOnce(WayIn way) {
    return isKept(way) && !isCopied(way);
  }

  /**
   * What stands in a file after some bindings of the library have changed that have the slots they
   * had; what was copied into it stays, whatever way its binding comes by now. Costs those
   * bindings.
   *
   * @param file as it was before that
   */
  static Map<String, Given> after(
      List<Difference<Binding>> changes, Library library, Application a, Map<String, Given> file) {
    Chunked<Given> next = Chunked.of(file);
    for (Difference<Binding> change : changes) {
      Binding b = change.is().orElseThrow();
      Given was = file.get(b.id());
      if (was != null && keptWay(a, was.binding()).filter(Puts::isThereAtOnce).isPresent()) {
        next = next.with(b.id(), put(library, a, b).orElseThrow());
      }
    }
    return next;
  }

  /**
   * Of what is put in what is there at once, and of what has to be copied what has been. A binding
   * that was copied and is there at once by now counts as that alone.
   */
  static Map<String, Given> withCopied(
      Map<String, Given> put, Application application, Map<String, Given> copied) {
    Map<String, Given> file = new LinkedHashMap<>(put);
    file.keySet().removeAll(copiedOf(application, file).keySet());
    copiedOf(application, copied).forEach(file::putIfAbsent);
    return file;
  }

  static boolean isCopied(WayIn way) {
    return way.needs().contains(Need.FILE_COPIED);
  }

  static boolean asks(WayIn way) {
    return way.needs().contains(Need.FIRST_CONFIRMED);
  }
}
