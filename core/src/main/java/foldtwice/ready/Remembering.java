package foldtwice.ready;

import foldtwice.binding.Binding;
import foldtwice.library.Difference;
import foldtwice.library.Given;
import foldtwice.library.Library;
import foldtwice.library.ProgramFile;
import foldtwice.place.Application;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a library is to remember of the files of programs: those that are not as it would have them.
 */
public final class Remembering {

  private Remembering() {}

  /**
   * Those that are not as the library remembers them, now that it has been changed or they have.
   *
   * @param setups by station
   */
  public static List<ProgramFile> of(Library library, Map<String, Setup> setups) {
    return of(
        library,
        library.applications().values().stream()
            .filter(a -> a.ways().stream().anyMatch(Puts::isCopied))
            .toList(),
        setups);
  }

  /**
   * The same after a change of the library alone, before which nothing was left to be remembered.
   * Costs what is different between the two, and a look at the bindings of a program the file of
   * which is no longer what the library would put there.
   */
  public static List<ProgramFile> after(Library was, Library is, Map<String, Setup> setups) {
    if (!Puts.isSameAround(was, is) || !was.files().equals(is.files())) {
      return of(is, setups);
    }
    var changes = Difference.between(was.bindings(), is.bindings(), Binding::id);
    boolean keeps = changes.stream().allMatch(Puts::keepsSlots);
    List<Application> other =
        Puts.touched(changes, is, Puts::isCopied).stream()
            .filter(
                a ->
                    keeps
                        ? isGiven(changes, setups, a)
                        : Puts.isNumbered(a) || isPutOtherwise(changes, was, is, a))
            .filter(a -> !setups.keySet().stream().allMatch(s -> isKnown(is, s, a)))
            .toList();
    return of(is, other, setups);
  }

  private static List<ProgramFile> of(
      Library library, List<Application> applications, Map<String, Setup> setups) {
    List<ProgramFile> fresh = new ArrayList<>();
    for (Application a : applications) {
      Map<String, Given> all = Puts.copiedOf(a, Puts.of(library, a));
      setups.forEach(
          (station, setup) -> {
            Map<String, Given> file = Puts.copiedOf(a, setup.program(a.id()).file());
            ProgramFile known = library.files().get(ProgramFile.id(station, a.id()));
            if (!file.equals(known == null ? all : known.entries())) {
              fresh.add(new ProgramFile(station, a.id(), file));
            }
          });
    }
    return List.copyOf(fresh);
  }

  /** True when the library remembers what stands in the file: then an edit does not change that. */
  private static boolean isKnown(Library library, String station, Application application) {
    return library.files().containsKey(ProgramFile.id(station, application.id()));
  }

  /** True when one of some bindings that have the slots they had stands in a file. */
  private static boolean isGiven(
      List<Difference<Binding>> changes, Map<String, Setup> setups, Application application) {
    return setups.values().stream()
        .map(setup -> setup.program(application.id()).file())
        .anyMatch(file -> changes.stream().anyMatch(d -> file.containsKey(d.is().get().id())));
  }

  /** True when other things would be copied into the file of an application than before. */
  private static boolean isPutOtherwise(
      List<Difference<Binding>> changes, Library was, Library is, Application application) {
    return changes.stream()
        .anyMatch(
            d ->
                !d.was()
                    .flatMap(b -> copied(was, application, b))
                    .equals(d.is().flatMap(b -> copied(is, application, b))));
  }

  /** What is copied of a binding into the file of an application, where slots are no matter. */
  private static Optional<Given> copied(Library library, Application application, Binding binding) {
    return Puts.put(library, application, binding)
        .filter(put -> Puts.keptWay(application, binding).filter(Puts::isCopied).isPresent());
  }
}
