package foldtwice.library.file;

import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.library.Acceptance;
import java.util.Set;

/** Accepted conflicts in files. */
final class AcceptanceJson {

  private static final Set<String> FIELDS = Set.of("conflict", "about", "reason", "who", "at");

  private AcceptanceJson() {}

  static Acceptance read(In in) throws FormatException {
    String reason = in.text("reason");
    if (reason.isBlank()) {
      throw in.at("reason").fault("expected why the conflict is accepted, found nothing");
    }
    return in.part(
        FIELDS,
        new Acceptance(
            in.text("conflict"),
            in.text("about", ""),
            reason,
            in.text("who", ""),
            BindingJson.instant(in.at("at"))),
        AcceptanceJson::write);
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
    return out.put("at", accepted.at().toString());
  }
}
