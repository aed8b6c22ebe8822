package foldtwice.library.file;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.io.JsonStringEncoder;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.cfg.JsonNodeFeature;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.extras.Extras;
import foldtwice.text.JsonComplaint;
import foldtwice.text.Refusals;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;

/** JSON as this product writes it: stable order, short things on one line, readable differences. */
public final class Json {

  static final JsonMapper MAPPER =
      JsonMapper.builder()
          .enable(DeserializationFeature.FAIL_ON_READING_DUP_TREE_KEY)
          .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
          .enable(DeserializationFeature.USE_BIG_DECIMAL_FOR_FLOATS)
          .disable(JsonNodeFeature.STRIP_TRAILING_BIGDECIMAL_ZEROES)
          .build();

  private static final int WIDTH = 150;

  private Json() {}

  /** An empty object to write into. */
  public static ObjectNode object() {
    return MAPPER.createObjectNode();
  }

  /**
   * Parses a document.
   *
   * @throws FormatException with line and column
   */
  public static JsonNode parse(byte[] document) throws FormatException {
    try {
      JsonNode tree = MAPPER.readTree(document);
      if (tree == null || tree.isMissingNode()) {
        throw new FormatException(
            Refusals.says("library.first-line"), Refusals.says("library.file-empty-expected-json"));
      }
      return tree;
    } catch (JsonProcessingException e) {
      var at = e.getLocation();
      String where =
          at == null ? "the document" : "line " + at.getLineNr() + ", column " + at.getColumnNr();
      FormatException placed =
          new FormatException(
              where,
              Refusals.says(
                  "library.this-no-json-can", JsonComplaint.plainly(e.getOriginalMessage())));
      placed.initCause(e);
      throw placed;
    } catch (java.io.IOException e) {
      FormatException placed =
          new FormatException(
              Refusals.says("library.document"),
              Refusals.says("library.not-readable-as-text", e.getMessage()));
      placed.initCause(e);
      throw placed;
    }
  }

  /** Reads a document token by token. */
  static com.fasterxml.jackson.core.JsonParser parser(byte[] document) throws IOException {
    return MAPPER.createParser(document);
  }

  /** The bytes of a line, as they go to disk. */
  static byte[] bytes(JsonNode node) {
    return node.toString().getBytes(StandardCharsets.UTF_8);
  }

  /** The document with a line feed at its end. */
  public static String print(JsonNode node) {
    StringBuilder out = new StringBuilder();
    print(node, 0, 0, out);
    return out.append('\n').toString();
  }

  private static void print(JsonNode node, int depth, int taken, StringBuilder out) {
    int from = out.length();
    int most = from + WIDTH - 2 * depth - taken;
    if (node.isValueNode() || node.isEmpty() || (depth > 0 && flat(node, most, out))) {
      if (out.length() == from) {
        value(node, out);
      }
      return;
    }
    out.setLength(from);
    boolean object = node.isObject();
    out.append(object ? '{' : '[');
    String between = "\n";
    if (object) {
      for (var e : node.properties()) {
        out.append(between).repeat(' ', 2 * depth + 2);
        int name = out.length();
        name(e.getKey(), out);
        print(e.getValue(), depth + 1, out.length() - name, out);
        between = ",\n";
      }
    } else {
      for (JsonNode item : node) {
        out.append(between).repeat(' ', 2 * depth + 2);
        print(item, depth + 1, 0, out);
        between = ",\n";
      }
    }
    out.append('\n').repeat(' ', 2 * depth).append(object ? '}' : ']');
  }

  /** Writes on one line; false, and not all of it, when that is longer than so many letters. */
  private static boolean flat(JsonNode node, int most, StringBuilder out) {
    if (node.isValueNode() || node.isEmpty()) {
      value(node, out);
      return out.length() <= most;
    }
    out.append(node.isObject() ? "{" : "[");
    boolean fits = true;
    String between = "";
    if (node.isObject()) {
      for (var fields = node.properties().iterator(); fits && fields.hasNext(); ) {
        var e = fields.next();
        name(e.getKey(), out.append(between));
        fits = flat(e.getValue(), most, out);
        between = ", ";
      }
    } else {
      for (var items = node.iterator(); fits && items.hasNext(); ) {
        out.append(between);
        fits = flat(items.next(), most, out);
        between = ", ";
      }
    }
    out.append(node.isObject() ? '}' : ']');
    return fits && out.length() <= most;
  }

  /** What holds nothing else. Most of it is texts: a writer for each would take longer than all. */
  private static void value(JsonNode node, StringBuilder out) {
    if (node.isTextual()) {
      quoted(node.textValue(), out);
    } else {
      out.append(node);
    }
  }

  private static void name(String name, StringBuilder out) {
    quoted(name, out);
    out.append(": ");
  }

  private static void quoted(String text, StringBuilder out) {
    out.append('"');
    JsonStringEncoder.getInstance().quoteAsString(text, out);
    out.append('"');
  }

  /** Writes back what was not understood. */
  static ObjectNode with(Extras extras, ObjectNode to) {
    if (!extras.parts().isEmpty()) {
      Spots.in(to).fill(extras.parts());
    }
    put(extras.json(), to);
    return to;
  }

  /** Sets fields to what their JSON texts say. */
  static void put(Map<String, String> fields, ObjectNode to) {
    fields.forEach(
        (name, json) -> {
          try {
            to.set(name, MAPPER.readTree(json));
          } catch (JsonProcessingException e) {
            throw new IllegalStateException("kept from a parsed document: " + json, e);
          }
        });
  }
}
