package foldtwice.cli;

import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.conflict.Subject;
import foldtwice.library.Library;
import foldtwice.library.file.Json;
import foldtwice.place.Application;
import foldtwice.place.Station;
import foldtwice.plan.Plan;
import foldtwice.plan.PlanJson;
import foldtwice.plan.Planning;
import foldtwice.plan.Watcher;
import foldtwice.resolve.Owner;
import foldtwice.text.Nearness;
import foldtwice.words.EffortWords;
import foldtwice.words.Words;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

@Command(
    mixinStandardHelpOptions = true,
    name = "plan",
    description = {
      "Proposes other triggers so that the week costs least, on all stations or the one given, and"
          + " says how far that can be from the best possible.",
      "Exit 0: there is something better; 1: nothing better was found; 2: input not usable."
    })
final class MakePlan implements Callable<Integer> {

  @Mixin private Input input;

  @Option(
      names = "--application",
      paramLabel = "A",
      description = "id or name of a program; all unless given")
  private String application;

  @Option(
      names = "--moves",
      paramLabel = "N",
      description = "at most so many bindings are moved",
      defaultValue = "8")
  private int moves;

  @Option(
      names = "--displace",
      description = "commands of programs that are in a menu may lose their keys")
  private boolean displace;

  @Option(
      names = "--seconds",
      paramLabel = "S",
      description = "how long to look",
      defaultValue = "10")
  private double seconds;

  @Option(names = "--format", description = "text or json", defaultValue = "text")
  private Format format;

  @Option(
      names = "--out",
      paramLabel = "NEW-LIBRARY",
      description = "writes the library with the whole plan taken")
  private Path out;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws Unusable {
    if (moves < 0 || !(seconds > 0 && seconds <= 3600)) {
      throw new Unusable("--moves: expected 0 or more; --seconds: expected more than 0, to 3600");
    }
    NewLibrary.mayGoTo(out);
    Library library = input.library();
    List<Station> stations = new ArrayList<>();
    if (input.isOneStation()) {
      stations.add(input.station(library));
    } else {
      stations.addAll(library.stations().values());
    }
    if (stations.isEmpty()) {
      throw new Unusable("the library has no station to plan for");
    }
    List<Subject> subjects = stations.stream().map(s -> Input.subject(library, s)).toList();
    Optional<String> of = application == null ? Optional.empty() : Optional.of(id(library));
    Plan plan =
        Planning.of(
            subjects,
            new Planning.Wanted(of, moves, seconds, displace, Set.of(), Map.of()),
            Watcher.PATIENT);
    Words words = new Words(library, subjects.getFirst().keymap().layout());
    PrintWriter to = spec.commandLine().getOut();
    switch (format) {
      case text -> text(plan, library, words, new Lines(to));
      case json -> to.print(Json.print(json(plan)));
    }
    to.flush();
    if (out != null && !plan.moved().isEmpty()) {
      NewLibrary.write(out, plan.take(library).on(library));
    }
    return plan.moved().isEmpty() ? Exit.NO : Exit.WELL;
  }

  private String id(Library library) throws Unusable {
    List<Application> found =
        library.applications().values().stream()
            .filter(a -> a.id().equals(application) || a.name().equalsIgnoreCase(application))
            .toList();
    if (found.size() == 1) {
      return found.getFirst().id();
    }
    List<String> names = library.applications().values().stream().map(Application::name).toList();
    throw new Unusable(
        "--application: no program \""
            + application
            + "\""
            + Nearness.nearest(application, names)
                .map(n -> "; did you mean " + n + "?")
                .orElse(""));
  }

  private static void text(Plan plan, Library library, Words words, Lines out) {
    for (Plan.Line l : plan.moved()) {
      out.line(
          "%-44s %-18s -> %-18s %s a week",
          words.binding(library.bindings().get(l.binding())),
          words.trigger(l.today()),
          words.trigger(l.proposed()),
          EffortWords.time(-l.gain()));
    }
    for (Owner.Native n : plan.displaced()) {
      out.line("%s loses its key and stays in its menu", words.owner(n));
    }
    out.line(
        "%s a week less, %s moved of %s looked at, %s triggers, %s",
        EffortWords.time(plan.today() - plan.planned()),
        String.valueOf(plan.moved().size()),
        String.valueOf(plan.looked()),
        String.valueOf(plan.options()),
        EffortWords.time(plan.seconds()));
    out.line(
        "%s",
        plan.gap().isPresent()
            ? "at most "
                + EffortWords.time(plan.gap().getAsDouble())
                + " a week from the best possible"
            : "how far it is from the best possible is not proven"
                + (Planning.proves() ? " in this time" : ": the solver does not load here"));
  }

  private static ObjectNode json(Plan plan) {
    ObjectNode out = Json.object();
    PlanJson.write(plan, out);
    return out;
  }
}
