package foldtwice.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.ConflictKind;
import foldtwice.conflict.Weight;
import foldtwice.library.Library;
import foldtwice.library.file.Json;
import foldtwice.place.Place;
import foldtwice.place.Station;
import foldtwice.resolve.Claim;
import foldtwice.words.Words;
import java.util.List;

/**
 * Conflicts as OASIS SARIF 2.1.0: a rule for each kind, a result for each conflict, where it
 * happens as logical locations, its fingerprint so that two reports can be compared, an acceptance
 * as a suppression.
 */
public final class Sarif {

  private static final String SCHEMA =
      "https://docs.oasis-open.org/sarif/sarif/v2.1.0/os/schemas/sarif-schema-2.1.0.json";

  private Sarif() {}

  /** The report of one station. */
  public static ObjectNode of(Library library, Station station, List<Conflict> conflicts) {
    Words words = new Words(library);
    ObjectNode out = Json.object().put("$schema", SCHEMA).put("version", "2.1.0");
    ObjectNode run = out.putArray("runs").addObject();
    ObjectNode driver = run.putObject("tool").putObject("driver").put("name", "Fold Twice");
    ArrayNode rules = driver.putArray("rules");
    for (ConflictKind kind : ConflictKind.values()) {
      rules
          .addObject()
          .put("id", kind.id())
          .putObject("shortDescription")
          .put("text", Words.kind(kind));
    }
    run.putObject("automationDetails").put("id", "conflicts/" + station.id());
    ArrayNode results = run.putArray("results");
    for (Conflict c : conflicts) {
      ObjectNode result = results.addObject();
      result.put("ruleId", c.kind().id()).put("ruleIndex", c.kind().ordinal());
      result.put("level", level(c.weight()));
      result.putObject("message").put("text", words.sentence(c));
      locations(result, c, words);
      result.putObject("partialFingerprints").put("conflict/v1", c.fingerprint());
      result.put("rank", rank(c));
      if (c.isAccepted(library)) {
        result
            .putArray("suppressions")
            .addObject()
            .put("kind", "external")
            .put("justification", library.accepted().get(c.fingerprint()).reason());
      }
      ObjectNode more = result.putObject("properties");
      ArrayNode claims = more.putArray("claims");
      c.claims().forEach(claim -> claims.add(Shown.claim(words, claim)));
    }
    return out;
  }

  private static String level(Weight weight) {
    return switch (weight) {
      case BLOCKS -> "error";
      case COSTS -> "warning";
      case NOTE -> "note";
    };
  }

  /** From 0 to 100, more being worse: 50 where a loss of 100 would stand. */
  private static double rank(Conflict c) {
    return Math.round(1000 * c.loss().value() / (c.loss().value() + 100)) / 10.0;
  }

  /** The places, each with the trigger it is about. */
  private static void locations(ObjectNode result, Conflict c, Words words) {
    ArrayNode locations = result.putArray("locations");
    Claim about = c.about();
    List<Place> places = c.places().isEmpty() ? List.of(about.place()) : c.places();
    for (Place p : places) {
      locations
          .addObject()
          .putArray("logicalLocations")
          .addObject()
          .put("name", words.trigger(about.trigger()))
          .put("fullyQualifiedName", p.id())
          .put("kind", "resource");
    }
  }
}
