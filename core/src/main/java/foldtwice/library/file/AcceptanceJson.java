package foldtwice.library.file;

import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.library.Acceptance;
import foldtwice.library.Stake;
import foldtwice.place.Danger;
import foldtwice.text.Refusals;
import java.util.Optional;
import java.util.Set;

/** Accepted conflicts in files. */
final class AcceptanceJson {

  private static final Set<String> FIELDS =
      Set.of("conflict", "about", "reason", "who", "at", "usesPerWeek", "danger");

  private AcceptanceJson() {}

  static Acceptance read(In in) throws FormatException {
    String reason = in.text("reason");
    if (reason.isBlank()) {
      throw in.at("reason").fault(Refusals.says("library.expected-why-conflict-accepted"));
    }
    return in.part(
        FIELDS,
        new Acceptance(
            in.text("conflict"),
            in.text("about", ""),
            reason,
            in.text("who", ""),
            BindingJson.instant(in.at("at")),
            stake(in)),
        AcceptanceJson::write);
  }

  private static Optional<Stake> stake(In in) throws FormatException {
    return in.has("usesPerWeek") || in.has("danger")
        ? Optional.of(
            new Stake(in.number("usesPerWeek", 0), in.word(Danger.class, "danger", Danger.NONE)))
        : Optional.empty();
  }

  static ObjectNode write(Acceptance accepted) {
    ObjectNode out =
        Json.object().put("conflict", accepted.conflict()).put("reason", accepted.reason());
    if (!accepted.about().isEmpty()) {
      out.put("about", accepted.about());
    }
    if (!accepted.who().isEmpty()) {
      out.put("who", accepted.who());
    }
    out.put("at", accepted.at().toString());
    accepted
        .stake()
        .ifPresent(
            s -> {
              LibraryJson.putNumber(out, "usesPerWeek", s.uses());
              out.put("danger", In.word(s.danger()));
            });
    return out;
  }
}
