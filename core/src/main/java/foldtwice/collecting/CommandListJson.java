package foldtwice.collecting;

import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import foldtwice.collecting.CommandList.Row;
import foldtwice.collecting.CommandList.Table;
import foldtwice.collecting.CommandList.UnreadableException;
import foldtwice.text.DiskWords;
import foldtwice.text.JsonComplaint;
import foldtwice.text.Refusals;
import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BooleanSupplier;
import java.util.function.LongConsumer;

/**
 * A list of commands as JSON: a list of objects, or an object with such a list in {@code commands}.
 * The fields of the objects are the columns; a list in a field, such as the labels of a menu path,
 * is joined.
 */
final class CommandListJson {

  private static final ObjectMapper JSON = new ObjectMapper();

  private CommandListJson() {}

  static Table read(String text, LongConsumer progress, BooleanSupplier cancelled)
      throws UnreadableException {
    Map<String, Integer> columns = new LinkedHashMap<>();
    List<Row> rows = new ArrayList<>();
    try (JsonParser in = JSON.createParser(text)) {
      enter(in);
      while (in.nextToken() == JsonToken.START_OBJECT) {
        long line = in.currentTokenLocation().getLineNr();
        rows.add(new Row(line, cells(in.readValueAsTree(), columns)));
        if (columns.size() > CommandList.MOST_COLUMNS) {
          throw new UnreadableException(
              Refusals.says("collecting.many-fields", line, CommandList.MOST_COLUMNS));
        }
        if (rows.size() > CommandList.MOST_ROWS) {
          throw new UnreadableException(
              Refusals.says("collecting.many-commands", CommandList.MOST_ROWS));
        }
        if (rows.size() % 5000 == 0) {
          progress.accept(rows.size());
          if (cancelled.getAsBoolean()) {
            throw new UnreadableException(Refusals.says("collecting.given-up", rows.size()));
          }
        }
      }
      if (in.currentToken() != JsonToken.END_ARRAY) {
        throw new UnreadableException(
            Refusals.says(
                "collecting.no-object", in.currentTokenLocation().getLineNr(), in.getText()));
      }
    } catch (JsonProcessingException e) {
      throw new UnreadableException(
          Refusals.says(
              "collecting.no-json",
              CommandList.where(e),
              JsonComplaint.plainly(e.getOriginalMessage())));
    } catch (IOException e) {
      throw new UnreadableException(
          Refusals.says("collecting.it-cannot-be-read", DiskWords.reason(e)));
    }
    if (rows.isEmpty()) {
      throw new UnreadableException(Refusals.says("collecting.no-commands"));
    }
    return new Table(' ', List.copyOf(columns.keySet()), rows);
  }

  /** Goes to the beginning of the list. */
  private static void enter(JsonParser in) throws IOException, UnreadableException {
    JsonToken first = in.nextToken();
    if (first == JsonToken.START_ARRAY) {
      return;
    }
    while (first == JsonToken.START_OBJECT && in.nextToken() == JsonToken.FIELD_NAME) {
      boolean found = in.currentName().equals("commands");
      if (in.nextToken() == JsonToken.START_ARRAY && found) {
        return;
      }
      in.skipChildren();
    }
    throw new UnreadableException(Refusals.says("collecting.no-list"));
  }

  private static List<String> cells(JsonNode command, Map<String, Integer> columns) {
    List<String> cells = new ArrayList<>();
    command
        .properties()
        .forEach(
            field -> {
              int at = columns.computeIfAbsent(field.getKey(), k -> columns.size());
              while (cells.size() <= at) {
                cells.add("");
              }
              cells.set(at, text(field.getValue()));
            });
    return cells;
  }

  private static String text(JsonNode value) {
    if (value.isArray()) {
      List<String> parts = new ArrayList<>();
      value.forEach(v -> parts.add(v.asText()));
      return String.join(" > ", parts);
    }
    return value.isNull() ? "" : value.asText();
  }
}
