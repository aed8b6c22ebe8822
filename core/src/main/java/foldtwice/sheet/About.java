package foldtwice.sheet;

import foldtwice.binding.Binding;
import foldtwice.binding.Family;
import foldtwice.library.Library;
import foldtwice.place.Place;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;

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

  /** What works in one state of a program, by the id of the place. */
  record AtPlace(String place) implements About {}

  /** The bindings that are used most, {@value #MOST} at most. */
  record MostUsed() implements About {}

  /** What is done in a procedure, in its order. */
  record OfProcedure(String procedure) implements About {}

  /** As many as one may learn by a sheet. */
  int MOST = 24;

  /** What a sheet of a library can be about, whatever is bound first. */
  static List<About> all(Library library) {
    List<About> all = new ArrayList<>();
    library.applications().keySet().forEach(id -> all.add(new Program(id)));
    all.add(new Everything());
    if (library.bindings().values().stream().anyMatch(b -> b.usesPerWeek() > 0)) {
      all.add(new MostUsed());
    }
    library
        .applications()
        .values()
        .forEach(a -> a.allContexts().forEach(c -> all.add(new AtPlace(a.id() + "/" + c.id()))));
    library.devices().forEach(d -> all.add(new OnDevice(d.id())));
    library.families().keySet().forEach(id -> all.add(new OfFamily(id)));
    library.procedures().keySet().forEach(id -> all.add(new OfProcedure(id)));
    library.routines().keySet().forEach(id -> all.add(new OfRoutine(id)));
    return all;
  }

  /** What it is called. */
  default String name(Library library) {
    return switch (this) {
      case Everything() -> Sheet.TEXTS.get("sheet.about.everything");
      case Program(String id) -> library.applications().get(id).name();
      case MostUsed() -> Sheet.TEXTS.get("sheet.about.used");
      case AtPlace(String id) -> new Words(library).place(place(library, id));
      case OnDevice(String id) -> library.surfaces().get(id).name();
      case OfFamily(String id) -> library.families().get(id).name();
      case OfProcedure(String id) -> library.procedures().get(id).name();
      case OfRoutine(String id) -> library.routines().get(id).name();
    };
  }

  /** A place by its id. */
  private static Place place(Library library, String id) {
    return library.applications().values().stream()
        .flatMap(a -> a.places().stream())
        .filter(p -> p.id().equals(id))
        .findFirst()
        .orElseGet(Place.Everywhere::new);
  }

  /** The ids of the bindings of a procedure. */
  private static Set<String> parts(Library library, String procedure) {
    return Optional.ofNullable(library.procedures().get(procedure)).stream()
        .flatMap(p -> p.bindings().stream())
        .collect(Collectors.toUnmodifiableSet());
  }

  /** The ids of the bindings that are used most. */
  private static Set<String> mostUsed(Library library) {
    return library.bindings().values().stream()
        .filter(b -> b.usesPerWeek() > 0 && !b.isOff() && !b.isDraft())
        .sorted(Comparator.comparingDouble(Binding::usesPerWeek).reversed())
        .limit(MOST)
        .map(Binding::id)
        .collect(Collectors.toUnmodifiableSet());
  }

  /** Says of bindings of a library whether they belong to it. Ask for it once for all of them. */
  default Predicate<Binding> within(Library library) {
    return switch (this) {
      case Everything() -> b -> true;
      case MostUsed() -> {
        Set<String> most = mostUsed(library);
        yield b -> most.contains(b.id());
      }
      case AtPlace(String place) -> b -> b.place().id().equals(place);
      case Program(String application) ->
          b -> library.applicationOf(b).filter(application::equals).isPresent();
      case OnDevice(String device) ->
          b -> b.triggers().stream().anyMatch(t -> t.deviceId().equals(Optional.of(device)));
      case OfProcedure(String id) -> {
        Set<String> parts = parts(library, id);
        yield b -> parts.contains(b.id());
      }
      case OfRoutine(String routine) -> b -> b.routine().equals(routine);
      case OfFamily(String family) ->
          b -> library.familyOf(b.id()).map(Family::id).filter(family::equals).isPresent();
    };
  }

  /** The ids of the bindings that belong to it. */
  default List<String> bindings(Library library) {
    return library.bindings().values().stream().filter(within(library)).map(Binding::id).toList();
  }

  /** Its id. */
  default String id() {
    return switch (this) {
      case Everything() -> "everything";
      case MostUsed() -> "most-used";
      case AtPlace(String id) -> id;
      case Program(String id) -> id;
      case OnDevice(String id) -> id;
      case OfFamily(String id) -> id;
      case OfProcedure(String id) -> id;
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

  /** What it is and its id, such as {@code Program:tagpress}; unlike ids, never of two things. */
  default String key() {
    return getClass().getSimpleName() + ":" + id();
  }

  /** What a key names, whether or not a library has it. */
  static Optional<About> keyed(String key) {
    int colon = key.indexOf(':');
    String id = key.substring(colon + 1);
    return Optional.ofNullable(
        switch (colon < 0 ? "" : key.substring(0, colon)) {
          case "Everything" -> new Everything();
          case "MostUsed" -> new MostUsed();
          case "AtPlace" -> new AtPlace(id);
          case "Program" -> new Program(id);
          case "OnDevice" -> new OnDevice(id);
          case "OfRoutine" -> new OfRoutine(id);
          case "OfFamily" -> new OfFamily(id);
          case "OfProcedure" -> new OfProcedure(id);
          default -> null;
        });
  }
}
