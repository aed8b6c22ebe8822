package foldtwice.library.file;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.binding.Binding;
import foldtwice.library.Given;
import foldtwice.library.Library;
import foldtwice.library.ProgramFile;
import foldtwice.place.Place;
import foldtwice.routine.Routine;
import foldtwice.text.Refusals;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The files of programs. An entry that is as the library has it is named only; another is written
 * out, with its routine where that has changed as well.
 */
final class ProgramFileJson {

  private static final Set<String> FILE = Set.of("station", "application", "entries");
  private static final Set<String> ENTRY = Set.of("current", "was", "routine");

  private ProgramFileJson() {}

  static ProgramFile read(In in, Map<String, Routine> routines, Map<String, Binding> bindings)
      throws FormatException {
    Map<String, Given> entries = new LinkedHashMap<>();
    for (Given g : in.list("entries", e -> entry(e, routines, bindings))) {
      entries.put(g.binding().id(), g);
    }
    return in.part(
        FILE,
        new ProgramFile(in.id("station"), in.id("application"), entries),
        f -> write(f, Optional.empty()));
  }

  private static Given entry(In in, Map<String, Routine> routines, Map<String, Binding> bindings)
      throws FormatException {
    return in.part(
        ENTRY,
        given(in, routines, bindings),
        g ->
            in.has("current")
                ? Json.object().put("current", g.binding().id())
                : was(g, in.has("routine")));
  }

  private static Given given(In in, Map<String, Routine> routines, Map<String, Binding> bindings)
      throws FormatException {
    if (in.has("current")) {
      Binding b = bindings.get(in.id("current"));
      if (b == null || !routines.containsKey(b.routine())) {
        throw in.at("current").fault(Refusals.says("library.expected-binding-listed-this"));
      }
      return new Given(b, routines.get(b.routine()));
    }
    In was = in.at("was");
    Map<String, Routine> known = new HashMap<>(routines);
    if (in.has("routine")) {
      Routine then = RoutineJson.read(in.at("routine"));
      known.put(then.id(), then);
    }
    String place = was.text("place"); // it may be gone since
    Binding b = BindingJson.read(was, known, Map.of(place, Place.of(place)));
    Routine routine = known.get(b.routine());
    if (routine == null) {
      throw was.at("routine").fault(Refusals.says("library.expected-routine-this-file"));
    }
    return new Given(b, routine);
  }

  /**
   * @param library what entries are compared with; none to write every entry out
   */
  static ObjectNode write(ProgramFile file, Optional<Library> library) {
    ObjectNode out = Json.object().put("station", file.station());
    ArrayNode entries = out.put("application", file.application()).putArray("entries");
    file.entries().values().forEach(g -> entries.add(write(g, library)));
    return out;
  }

  private static ObjectNode write(Given given, Optional<Library> library) {
    Binding b = given.binding();
    boolean sameRoutine =
        library.filter(l -> given.routine().equals(l.routines().get(b.routine()))).isPresent();
    if (sameRoutine && b.equals(library.get().bindings().get(b.id()))) {
      return Json.object().put("current", b.id());
    }
    return was(given, !sameRoutine);
  }

  private static ObjectNode was(Given given, boolean withRoutine) {
    ObjectNode out = Json.object();
    out.set("was", BindingJson.write(given.binding()));
    if (withRoutine) {
      out.set("routine", RoutineJson.write(given.routine()));
    }
    return out;
  }
}
