package foldtwice.ready;

import foldtwice.binding.Binding;
import foldtwice.library.Bound;
import foldtwice.library.Edit;
import foldtwice.library.Fingerprint;
import foldtwice.library.Given;
import foldtwice.library.Library;
import foldtwice.place.Application;
import foldtwice.place.Need;
import foldtwice.place.WayIn;
import foldtwice.resolve.Keymap;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The library as the programs of a computer know it: what is not in yet is not heard, and what was
 * changed is heard as it was until the change is in.
 */
public record Heard(Library library, Keymap keymap) {

  /**
   * What is heard on a computer. Costs a look at the bindings of programs with a way in that asks
   * for something.
   *
   * @param keymap of the library on the station
   */
  public static Heard of(Library library, Keymap keymap, Setup setup) {
    List<Edit> edits = new ArrayList<>();
    List<Binding> unheard = new ArrayList<>();
    List<Binding> heard = new ArrayList<>();
    List<Application> keeping =
        library.applications().values().stream()
            .filter(a -> a.ways().stream().anyMatch(Setup::isKept))
            .toList();
    for (Application a : keeping) {
      Map<String, Given> known = known(keymap, setup, a);
      for (Binding b : Bound.in(library, a.id())) {
        if (Setup.keptWay(a, b).isEmpty()) {
          continue;
        }
        Given put = known.remove(b.id());
        if (put == null) {
          unheard.add(b);
          edits.add(new Edit.RemoveBinding(b.id()));
        } else if (library.routineOf(b).filter(r -> put.is(b, r)).isEmpty()) {
          unheard.add(b);
          heard.add(put.binding());
          edits.add(new Edit.PutBinding(put.binding()));
        }
      }
      for (Given gone : known.values()) {
        if (!library.bindings().containsKey(gone.binding().id())) {
          heard.add(gone.binding()); // the program still has it
          edits.add(new Edit.PutBinding(gone.binding()));
        }
      }
    }
    return edits.isEmpty()
        ? new Heard(library, keymap)
        : new Heard(new Edit.Together(edits).on(library), keymap.with(unheard, heard));
  }

  /** What an application's program answers to, of what came in by a way to be kept. */
  private static Map<String, Given> known(Keymap keymap, Setup setup, Application application) {
    Setup.Program program = setup.program(application.id());
    Map<String, Given> all = new LinkedHashMap<>();
    for (WayIn way : application.ways()) {
      if (!Setup.isKept(way) || !isRunning(way, program)) {
        continue;
      }
      for (Given put : program.known(way).values()) {
        if (Setup.keptWay(application, put.binding()).equals(Optional.of(way))
            && (!Setup.asks(way) || mayDisplace(keymap, program, put))) {
          all.put(put.binding().id(), put);
        }
      }
    }
    return all;
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
