package foldtwice.library.file;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.library.PressCheck;
import foldtwice.text.Refusals;
import java.util.Collection;
import java.util.List;

/**
 * Checks of presses by themselves, to be written by hand or handed on.
 *
 * <p>Law: {@code read(write(c)).equals(c)}.
 */
public final class CheckFile {

  /** What the field {@code format} says. */
  public static final String FORMAT = "fold-twice-checks";

  private CheckFile() {}

  /**
   * Reads a list of checks.
   *
   * @throws FormatException when the document is broken or something else; it says where
   */
  public static List<PressCheck> read(byte[] document) throws FormatException {
    In in = In.root(Json.parse(document));
    if (!in.has("format") || !in.text("format").equals(FORMAT)) {
      throw in.fault(Refusals.says("library.no-checks-file", FORMAT));
    }
    return List.copyOf(in.byId("checks", CheckJson::read, PressCheck::id).values());
  }

  /** The document, ending in a line feed. */
  public static String write(Collection<PressCheck> checks) {
    ObjectNode out = Json.object().put("format", FORMAT);
    ArrayNode list = out.putArray("checks");
    checks.forEach(c -> list.add(CheckJson.write(c)));
    return Json.print(out);
  }
}
