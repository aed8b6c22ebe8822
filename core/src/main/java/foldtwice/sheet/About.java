package foldtwice.sheet;

import foldtwice.binding.Binding;
import foldtwice.binding.Family;
import foldtwice.library.Library;
import foldtwice.routine.Routine;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What a sheet tells of. Everything is named by its id. */
public sealed interface About {

  /** Whatever is bound. */
  record Everything() implements About {}

  /** What works in a program. */
  record Program(String application) implements About {}

  /** What is on a device. */
  record OnDevice(String device) implements About {}

  /** What sets a routine off. */
  record OfRoutine(String routine) implements About {}

  /** The bindings of a family. */
  record OfFamily(String family) implements About {}

  /** What a sheet of a library can be about, whatever is bound first. */
  static List<About> all(Library library) {
    List<About> all = new ArrayList<>();
    library.applications().keySet().forEach(id -> all.add(new Program(id)));
    all.add(new Everything());
    library.devices().forEach(d -> all.add(new OnDevice(d.id())));
    library.families().keySet().forEach(id -> all.add(new OfFamily(id)));
    library.routines().keySet().forEach(id -> all.add(new OfRoutine(id)));
    return all;
  }

  /** What it is called. */
  default String name(Library library) {
    return switch (this) {
      case Everything() -> Sheet.TEXTS.get("sheet.about.everything");
      case Program(String id) -> library.applications().get(id).name();
      case OnDevice(String id) -> library.surfaces().get(id).name();
      case OfFamily(String id) -> library.families().get(id).name();
      case OfRoutine(String id) -> library.routines().get(id).name();
    };
  }

  /** Whether a binding belongs to it. */
  default boolean holds(Library library, Binding b) {
    return switch (this) {
      case Everything() -> true;
      case Program(String application) ->
          b.place()
              .applicationId()
              .map(application::equals)
              .orElseGet(
                  () ->
                      library
                          .routineOf(b)
                          .map(Routine::application)
                          .filter(application::equals)
                          .isPresent());
      case OnDevice(String device) ->
          b.triggers().stream().anyMatch(t -> t.deviceId().equals(Optional.of(device)));
      case OfRoutine(String routine) -> b.routine().equals(routine);
      case OfFamily(String family) ->
          library.familyOf(b.id()).map(Family::id).filter(family::equals).isPresent();
    };
  }

  /** The ids of the bindings that belong to it. */
  default List<String> bindings(Library library) {
    return library.bindings().values().stream()
        .filter(b -> holds(library, b))
        .map(Binding::id)
        .toList();
  }

  /** Its id. */
  default String id() {
    return switch (this) {
      case Everything() -> "everything";
      case Program(String id) -> id;
      case OnDevice(String id) -> id;
      case OfFamily(String id) -> id;
      case OfRoutine(String id) -> id;
    };
  }

  /** Those a person may mean by a name or an id, whatever the letter case: none, one or several. */
  static List<About> named(Library library, String text) {
    String wanted = text.strip().toLowerCase(Locale.ROOT);
    List<About> all = all(library);
    List<About> byId = all.stream().filter(a -> a.id().equals(text.strip())).toList();
    return byId.size() == 1
        ? byId
        : all.stream()
            .filter(
                a ->
                    a.id().equals(text.strip())
                        || a.name(library).toLowerCase(Locale.ROOT).equals(wanted))
            .toList();
  }
}
