package foldtwice.library.file;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.describe.Description;
import foldtwice.place.Application;
import foldtwice.text.Refusals;

/**
 * One program by itself, in a file that can be shared without a library (docs/program.schema.json).
 *
 * <p>Law: {@code read(write(p)).equals(p)}, but for unknown fields beside the two.
 */
public record ProgramDescription(Application application, Description description) {

  /** What the field {@code format} says. */
  public static final String FORMAT = "fold-twice-program";

  private static final int VERSION = 1;

  /** True for a document that says it is one. */
  public static boolean is(byte[] document) {
    try {
      return Json.parse(document).path("format").asText().equals(FORMAT);
    } catch (FormatException e) {
      return false; // no JSON, so none of these
    }
  }

  /**
   * Reads one.
   *
   * @throws FormatException when it is broken, of another kind, or of a newer version
   */
  public static ProgramDescription read(byte[] document) throws FormatException {
    JsonNode tree = Json.parse(document);
    In in = In.root(tree);
    if (!tree.path("format").asText().equals(FORMAT)) {
      throw in.fault(Refusals.says("library.this-json-but-describes", FORMAT));
    }
    if (in.whole("version") != VERSION) {
      throw in.at("version")
          .fault(Refusals.says("library.this-program-reads-descriptions", VERSION));
    }
    Application application = PlaceJson.application(in.at("application"));
    Description description =
        in.has("description")
            ? DescriptionJson.read(in.at("description"))
            : Description.none(application.id());
    if (!description.application().equals(application.id())) {
      throw in.at("description")
          .at("of")
          .fault(
              Refusals.says(
                  "library.expected-application-s-id",
                  application.id(),
                  description.application()));
    }
    return new ProgramDescription(application, description);
  }

  /** The document, in stable order, ending in a line feed. */
  public String write() {
    ObjectNode out = Json.object().put("format", FORMAT).put("version", VERSION);
    out.set("application", PlaceJson.write(application));
    if (!description.isEmpty()) {
      out.set("description", DescriptionJson.write(description));
    }
    return Json.print(out);
  }
}
