package foldtwice.library.file;

import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.binding.Binding;
import foldtwice.binding.Fitting;
import foldtwice.binding.Proof;
import foldtwice.library.Rules;
import foldtwice.place.Place;
import foldtwice.routine.Kind;
import foldtwice.routine.Manner;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.text.Refusals;
import foldtwice.trigger.Trigger;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Bindings and their proofs. */
final class BindingJson {

  private static final Set<String> BINDING =
      Set.of(
          "id",
          "routine",
          "place",
          "triggers",
          "arguments",
          "usesPerWeek",
          "way",
          "repeats",
          "replaces",
          "parked",
          "asks");
  private static final Set<String> REPLACED = Set.of("application", "command");
  private static final Set<String> PROOF = Set.of("binding", "at", "fingerprint");

  private BindingJson() {}

  /**
   * Reads one binding; its arguments are read by the kinds of the routine's parameters. What does
   * not fit is read as it stands, and told by the audit.
   */
  static Binding read(In in, Map<String, Routine> routines, Map<String, Place> places)
      throws FormatException {
    String routine = in.id("routine");
    return new Binding(
        in.id("id"),
        routine,
        PlaceJson.place(in.at("place"), places),
        in.list("triggers", TriggerJson::read),
        arguments(in.fields("arguments"), routines.get(routine)),
        in.number("usesPerWeek", 0),
        fitting(in),
        in.rest(BINDING));
  }

  private static Map<String, Value> arguments(Map<String, In> fields, Routine routine)
      throws FormatException {
    Map<String, Value> arguments = new LinkedHashMap<>();
    for (var argument : fields.entrySet()) {
      Kind kind = Rules.kind(argument.getKey(), routine);
      arguments.put(argument.getKey(), argument.getValue().meant(kind));
    }
    return arguments;
  }

  private static Fitting fitting(In in) throws FormatException {
    Optional<Fitting.Replaced> replaces = Optional.empty();
    if (in.has("replaces")) {
      In of = in.at("replaces");
      replaces =
          Optional.of(
              of.part(
                  REPLACED,
                  new Fitting.Replaced(of.id("application"), of.id("command")),
                  BindingJson::write));
    }
    Optional<Fitting.Replaced> found = replaces;
    int repeats = in.has("repeats") ? in.whole("repeats") : 0;
    String way = in.text("way", "");
    List<Trigger> parked = in.list("parked", TriggerJson::read);
    Optional<Manner.Asking> asks =
        in.has("asks")
            ? Optional.of(in.word(Manner.Asking.class, "asks", Manner.Asking.NEVER))
            : Optional.empty();
    if (replaces.isEmpty() && repeats == 0 && way.isEmpty() && parked.isEmpty() && asks.isEmpty()) {
      return Fitting.PLAIN;
    }
    return in.placing(() -> new Fitting(way, repeats, found, parked, asks));
  }

  static ObjectNode write(Binding b) {
    ObjectNode out = Json.object().put("id", b.id()).put("routine", b.routine());
    out.put("place", b.place().id());
    out.set("triggers", TriggerJson.writeAll(b.triggers()));
    if (!b.arguments().isEmpty()) {
      ObjectNode arguments = out.putObject("arguments");
      b.arguments().forEach((name, value) -> arguments.put(name, value.shown()));
    }
    LibraryJson.putNumber(out, "usesPerWeek", b.usesPerWeek());
    if (!b.fitting().way().isEmpty()) {
      out.put("way", b.fitting().way());
    }
    if (b.fitting().repeats() > 0) {
      out.put("repeats", b.fitting().repeats());
    }
    b.fitting().replaces().ifPresent(r -> out.set("replaces", write(r)));
    if (!b.fitting().parked().isEmpty()) {
      out.set("parked", TriggerJson.writeAll(b.fitting().parked()));
    }
    b.fitting().asks().ifPresent(a -> out.put("asks", In.word(a)));
    return Json.with(b.extras(), out);
  }

  private static ObjectNode write(Fitting.Replaced replaced) {
    return Json.object()
        .put("application", replaced.application())
        .put("command", replaced.command());
  }

  /** A proof with the binding it is for. */
  record ProofOf(String binding, Proof proof) {}

  static ProofOf proof(In in) throws FormatException {
    return in.part(
        PROOF,
        new ProofOf(in.id("binding"), new Proof(instant(in.at("at")), in.text("fingerprint"))),
        p -> write(p.binding(), p.proof()));
  }

  static Instant instant(In at) throws FormatException {
    String when = at.text();
    try {
      return Instant.parse(when);
    } catch (java.time.format.DateTimeParseException e) {
      FormatException placed = at.fault(Refusals.says("library.expected-iso-instant-such", when));
      placed.initCause(e);
      throw placed;
    }
  }

  static ObjectNode write(String binding, Proof proof) {
    return Json.object()
        .put("binding", binding)
        .put("at", proof.at().toString())
        .put("fingerprint", proof.fingerprint());
  }
}
