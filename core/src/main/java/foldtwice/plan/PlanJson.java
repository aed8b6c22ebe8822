package foldtwice.plan;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.binding.Binding;
import foldtwice.library.Library;
import foldtwice.suggest.Suggestion.Reason;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** A plan as JSON: what the command line tells and what is kept. Times are in seconds a week. */
public final class PlanJson {

  /** Reasons by name; no others are made of what is read. */
  @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
  @JsonSubTypes({
    @JsonSubTypes.Type(value = Reason.Initials.class, name = "initials"),
    @JsonSubTypes.Type(value = Reason.FirstLetter.class, name = "first-letter"),
    @JsonSubTypes.Type(value = Reason.SameElsewhere.class, name = "same-elsewhere"),
    @JsonSubTypes.Type(value = Reason.OtherElsewhere.class, name = "other-elsewhere"),
    @JsonSubTypes.Type(value = Reason.NoModifier.class, name = "no-modifier"),
    @JsonSubTypes.Type(value = Reason.DangerBeside.class, name = "danger-beside"),
    @JsonSubTypes.Type(value = Reason.Displaces.class, name = "displaces"),
    @JsonSubTypes.Type(value = Reason.GivesBack.class, name = "gives-back"),
    @JsonSubTypes.Type(value = Reason.OnDevice.class, name = "on-device"),
    @JsonSubTypes.Type(value = Reason.OfItsName.class, name = "of-its-name"),
    @JsonSubTypes.Type(value = Reason.Within.class, name = "within")
  })
  private interface Named {}

  private static final JsonMapper REASONS =
      JsonMapper.builder().addMixIn(Reason.class, Named.class).build();

  private PlanJson() {}

  /** Writes a plan into an object. */
  public static void write(Plan plan, ObjectNode out) {
    out.put("todaySecondsAWeek", plan.today()).put("plannedSecondsAWeek", plan.planned());
    plan.bound().ifPresent(b -> out.put("bound", b));
    out.put("options", plan.options()).put("seconds", plan.seconds());
    ArrayNode lines = out.putArray("lines");
    for (Plan.Line l : plan.lines()) {
      ObjectNode one = lines.addObject();
      one.put("binding", l.binding())
          .put("fate", l.fate().name())
          .put("today", Notation.write(l.today()))
          .put("proposed", Notation.write(l.proposed()))
          .put("gainSecondsAWeek", l.gain());
      l.family().ifPresent(f -> one.put("family", f));
      ArrayNode reasons = one.putArray("reasons");
      l.reasons().forEach(r -> reasons.add(REASONS.<JsonNode>valueToTree(r)));
    }
  }

  /**
   * Reads one; lines of bindings that are gone, or that nothing sets off any more, are left out.
   *
   * @throws IllegalArgumentException for what is no plan, in words
   */
  static Plan read(JsonNode in, Library library) {
    List<Plan.Line> lines = new ArrayList<>();
    for (JsonNode l : in.path("lines")) {
      Binding b = library.bindings().get(l.path("binding").asText());
      if (b != null && !b.triggers().isEmpty()) {
        lines.add(line(l, b));
      }
    }
    return new Plan(
        lines,
        time(in, "todaySecondsAWeek"),
        time(in, "plannedSecondsAWeek"),
        in.has("bound") ? OptionalDouble.of(time(in, "bound")) : OptionalDouble.empty(),
        in.path("options").asInt(),
        time(in, "seconds"));
  }

  private static Plan.Line line(JsonNode in, Binding b) {
    Plan.Fate fate = Plan.Fate.valueOf(in.path("fate").asText());
    boolean keys = fate != Plan.Fate.OTHER_KIND;
    Trigger now = b.triggers().getFirst();
    List<Reason> reasons = new ArrayList<>();
    try {
      for (JsonNode r : in.path("reasons")) {
        reasons.add(REASONS.treeToValue(r, Reason.class));
      }
    } catch (JsonProcessingException e) {
      throw new IllegalArgumentException("no reason: " + e.getOriginalMessage(), e);
    }
    return new Plan.Line(
        b.id(),
        keys ? Notation.read(in.path("today").asText()) : now,
        keys ? Notation.read(in.path("proposed").asText()) : now,
        time(in, "gainSecondsAWeek"),
        fate,
        Optional.ofNullable(in.get("family")).map(JsonNode::asText),
        reasons);
  }

  private static double time(JsonNode in, String field) {
    double time = in.path(field).asDouble(Double.NaN);
    if (!Double.isFinite(time)) {
      throw new IllegalArgumentException(
          "expected seconds in \"" + field + "\", found " + in.path(field));
    }
    return time;
  }
}
