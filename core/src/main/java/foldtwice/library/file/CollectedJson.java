package foldtwice.library.file;

import com.fasterxml.jackson.databind.JsonNode;
import foldtwice.place.AddOn;
import foldtwice.routine.Head;
import foldtwice.routine.Manner;
import foldtwice.routine.Origin;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.text.Refusals;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Files that hold routines to be taken up: {@code fold-twice-routines}, some routines as a library
 * writes them, each with triggers if it likes; {@code fold-twice-add-on}, what an add-on can do.
 */
public final class CollectedJson {

  /** Routines. */
  public static final String ROUTINES = "fold-twice-routines";

  /** The description of an add-on. */
  public static final String ADD_ON = "fold-twice-add-on";

  /** More routines are not taken from one file. */
  public static final int MOST = 2_000;

  /** What a file held: each routine with the triggers it came with. */
  public record Collected(String format, Map<Routine, List<Trigger>> routines) {}

  private CollectedJson() {}

  /**
   * Reads a file.
   *
   * @param from what its routines say of where they come from
   * @throws FormatException when it is of another format, or broken; nothing is half-read
   */
  public static Collected read(byte[] document, String from) throws FormatException {
    JsonNode tree = Json.parse(document);
    In in = In.root(tree);
    String format = tree.isObject() && in.has("format") ? in.text("format") : "";
    return switch (format) {
      case ROUTINES -> new Collected(format, routines(in, from));
      case ADD_ON -> new Collected(format, addOn(in, from));
      default ->
          throw in.fault(
              Refusals.says("library.expected-format-or-found", ROUTINES, ADD_ON, format));
    };
  }

  private static Map<Routine, List<Trigger>> routines(In in, String from) throws FormatException {
    Map<Routine, List<Trigger>> all = new LinkedHashMap<>();
    List<Map.Entry<Routine, List<Trigger>>> read =
        in.list(
            "routines",
            r -> {
              Routine whole = RoutineJson.read(r);
              Routine routine = whole.with(whole.head().with(whole.extras().without("triggers")));
              Origin origin = routine.origin();
              return Map.entry(
                  routine.with(
                      routine
                          .head()
                          .with(
                              new Origin(
                                  from,
                                  origin.author(),
                                  origin.licence(),
                                  origin.version(),
                                  false))),
                  r.list("triggers", TriggerJson::read));
            });
    limit(in, read.size());
    read.forEach(e -> all.put(e.getKey(), e.getValue()));
    return all;
  }

  private static void limit(In in, int count) throws FormatException {
    if (count > MOST) {
      throw in.fault(Refusals.says("library.expected-at-most-routines", MOST, count));
    }
  }

  private static Map<Routine, List<Trigger>> addOn(In in, String from) throws FormatException {
    String name = in.text("name");
    if (name.isBlank()) {
      throw in.at("name").fault(Refusals.says("library.expected-add-on-s"));
    }
    String application = in.id("application");
    String release = in.text("version", "");
    Origin origin = new Origin(from, in.text("author", ""), in.text("licence", ""), release, false);
    String needs = in.text("needsVersion", "");
    List<Routine> actions = new ArrayList<>();
    actions.addAll(
        in.list(
            "actions",
            a -> {
              List<Parameter> parameters =
                  List.copyOf(
                      a.byId("parameters", RoutineJson::parameter, Parameter::name).values());
              Head head =
                  Head.of(a.id("id"), a.text("name"), application, parameters)
                      .inCategory(name)
                      .with(
                          new Manner(
                              Manner.Asking.NEVER,
                              needs,
                              List.of(new AddOn(name, release)),
                              a.list("contexts", In::text),
                              ""))
                      .with(origin);
              return new Routine.PluginAction(head, name, a.id("id"));
            }));
    limit(in, actions.size());
    Map<Routine, List<Trigger>> all = new LinkedHashMap<>();
    actions.forEach(a -> all.put(a, List.of()));
    return all;
  }
}
