package foldtwice.ready;

import foldtwice.binding.Binding;
import foldtwice.library.Given;
import foldtwice.library.Library;
import foldtwice.place.Application;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * The entries in the files of an application: one for each routine, and where a way in passes no
 * arguments a thin one for each binding that gives some, which does nothing but call the routine
 * with them.
 */
public final class Entries {

  /** How an entry stands to the library. */
  public enum State {
    /** It is in the file as the library has it. */
    CURRENT,
    /** It has to be written. */
    MISSING,
    /** It is in the file, but the library has it otherwise by now. */
    CHANGED,
    /** It is in the file, but nothing in the library asks for it any more. */
    STALE
  }

  /**
   * One entry.
   *
   * @param name what the program lists
   * @param thin true when it is there only to pass arguments
   */
  public record Entry(String name, boolean thin, Binding binding, State state) {}

  private Entries() {}

  /** True when a binding is kept in the file of an application, or would be. */
  public static boolean isOf(Setup setup, Application application, Binding binding) {
    return Puts.keptWay(application, binding).isPresent()
        || setup.program(application.id()).file().containsKey(binding.id());
  }

  /** All of an application, those asked for first. Costs one pass over the library's bindings. */
  public static List<Entry> of(Library library, Setup setup, Application application) {
    Map<String, Given> wanted = Puts.of(library, application);
    Map<String, Given> file = new LinkedHashMap<>(setup.program(application.id()).file());
    List<Entry> all = new ArrayList<>();
    wanted.forEach(
        (id, put) -> {
          Given there = file.remove(id);
          State state =
              there == null
                  ? State.MISSING
                  : Puts.isStill(application, there, put.binding(), put.routine())
                      ? State.CURRENT
                      : State.CHANGED;
          all.add(entry(application, put, state));
        });
    file.values().forEach(put -> all.add(entry(application, put, State.STALE)));
    return List.copyOf(all);
  }

  private static Entry entry(Application application, Given put, State state) {
    boolean thin =
        !put.binding().arguments().isEmpty()
            && application
                .way(put.binding().fitting().way())
                .filter(w -> !w.passesArguments())
                .isPresent();
    return new Entry(name(put.routine(), put.binding(), thin), thin, put.binding(), state);
  }

  private static String name(Routine routine, Binding binding, boolean thin) {
    return thin
        ? routine.name()
            + ": "
            + binding.arguments().values().stream()
                .map(Value::shown)
                .collect(Collectors.joining(", "))
        : routine.name();
  }
}
