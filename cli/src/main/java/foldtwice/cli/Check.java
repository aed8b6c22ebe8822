package foldtwice.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.conflict.Auditor;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.Weight;
import foldtwice.library.Library;
import foldtwice.library.file.Json;
import foldtwice.library.file.UnknownField;
import foldtwice.place.Place;
import foldtwice.place.Station;
import foldtwice.words.Words;
import java.io.PrintWriter;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

@Command(
    mixinStandardHelpOptions = true,
    name = "check",
    description =
        "Lists the conflicts of a library, without the accepted ones. Exit 0: none blocks; 1: some do;"
            + " 2: input not usable.")
final class Check implements Callable<Integer> {

  @Mixin private Input input;

  /** How the list is written. */
  enum Report {
    text,
    json,
    sarif
  }

  @Option(
      names = "--format",
      description = "text, json, or sarif (OASIS SARIF 2.1.0)",
      defaultValue = "text")
  private Report format;

  @Option(
      names = "--strict",
      description = "refuses fields that this version does not know, each with the nearest it does")
  private boolean strict;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws Unusable {
    Library library = input.library();
    List<UnknownField> unknown = strict ? input.unknown() : List.of();
    if (!unknown.isEmpty()) {
      Lines err = new Lines(spec.commandLine().getErr());
      unknown.forEach(
          u ->
              err.line(
                  "%s: no such field is known%s",
                  u.where(), u.nearest().map(n -> "; " + n + " is").orElse("")));
      return Exit.UNUSABLE;
    }
    Station station = input.station(library);
    List<Conflict> conflicts = Auditor.audit(Input.subject(library, station));
    List<Conflict> open = conflicts.stream().filter(c -> !c.isAccepted(library)).toList();
    PrintWriter out = spec.commandLine().getOut();
    switch (format) {
      case sarif -> out.print(Json.print(Sarif.of(library, station, conflicts)));
      case json -> out.print(Json.print(json(library, station, open)));
      case text -> text(library, station, open, conflicts.size() - open.size(), new Lines(out));
    }
    out.flush();
    return open.stream().anyMatch(c -> c.weight() == Weight.BLOCKS) ? Exit.NO : Exit.WELL;
  }

  private static void text(
      Library library, Station station, List<Conflict> conflicts, int accepted, Lines out) {
    Words words = new Words(library);
    for (Conflict c : conflicts) {
      out.line("%-7s %-13s %s", Words.weight(c.weight()), c.kind().id(), words.sentence(c));
    }
    library.bindings().values().stream()
        .flatMap(b -> b.triggers().stream())
        .flatMap(t -> words.besides(t, station).stream())
        .distinct()
        .forEach(says -> out.line("%-7s %-13s %s", "", "", says));
    out.line(
        "%s",
        Words.tally(
            library.bindings().size(),
            station.name(),
            count(conflicts, Weight.BLOCKS),
            count(conflicts, Weight.COSTS),
            count(conflicts, Weight.NOTE),
            accepted));
  }

  private static long count(List<Conflict> conflicts, Weight weight) {
    return conflicts.stream().filter(c -> c.weight() == weight).count();
  }

  private static ObjectNode json(Library library, Station station, List<Conflict> conflicts) {
    Words words = new Words(library);
    ObjectNode out = Json.object().put("library", library.name()).put("station", station.id());
    ArrayNode list = out.putArray("conflicts");
    for (Conflict c : conflicts) {
      ObjectNode one = list.addObject();
      one.put("kind", c.kind().id()).put("weight", c.weight().id());
      one.put("says", words.sentence(c));
      ArrayNode places = one.putArray("places");
      c.places().stream().map(Place::id).forEach(places::add);
      ArrayNode claims = one.putArray("claims");
      c.claims().forEach(claim -> claims.add(Shown.claim(words, claim)));
      ObjectNode evidence = one.putObject("evidence");
      evidence.put("place", c.evidence().state().id());
      evidence.set("presses", Shown.presses(c.evidence().presses()));
    }
    return out;
  }
}
