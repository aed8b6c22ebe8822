package foldtwice.table;

import foldtwice.describe.Description;
import foldtwice.describe.Span;
import foldtwice.place.Labels;
import foldtwice.routine.Kind;
import foldtwice.routine.Value;
import foldtwice.routine.ValueException;
import foldtwice.table.Part.Column;
import foldtwice.table.Tables.Reading;
import foldtwice.text.Refusals;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Settings, adjustable values and things to select as rows. */
final class PartRows {

  private static final String RESTART = "restart";

  private PartRows() {}

  static List<Row> settings(Description d) {
    return d.settings().stream()
        .map(
            s ->
                new Row(
                    "",
                    Map.of(
                        Column.NAME, s.name(),
                        Column.OPTIONS, Cells.list(s.options()),
                        Column.START, s.start(),
                        Column.WHEN, s.fromRestart() ? RESTART : "",
                        Column.VERSIONS, Cells.span(s.span()))))
        .toList();
  }

  static Description settings(List<Row> rows, Description d, Reading reading) {
    return d.withSettings(reading.each(rows, r -> setting(r, reading)));
  }

  private static Description.Setting setting(Row r, Reading reading) {
    String name = reading.needed(r, Column.NAME, "the setting's name");
    List<String> options = reading.cell(r, Column.OPTIONS, Cells::list, List.of());
    if (options.isEmpty()) {
      reading.fault(Column.OPTIONS, Refusals.says("table.what-can-parted-by"), "");
      return null;
    }
    String start = r.cell(Column.START).isEmpty() ? options.getFirst() : r.cell(Column.START);
    if (!options.contains(start)) {
      reading.fault(Column.START, Refusals.says("table.one", String.join(", ", options)), start);
      return null;
    }
    String when = r.cell(Column.WHEN).strip();
    if (!when.isEmpty() && !when.equals(RESTART)) {
      reading.fault(Column.WHEN, Refusals.says("table.restart-or-nothing-for"), when);
    }
    return new Description.Setting(name, options, start, when.equals(RESTART), span(r, reading));
  }

  static Span span(Row r, Reading reading) {
    return reading.cell(r, Column.VERSIONS, Cells::span, Span.ALWAYS);
  }

  static List<Row> values(Description d) {
    return d.values().stream()
        .map(
            v ->
                new Row(
                    "",
                    Map.of(
                        Column.NAME, v.name(),
                        Column.RANGE, Cells.measure(v.range()),
                        Column.START, v.start().shown(),
                        Column.VERSIONS, Cells.span(v.span()))))
        .toList();
  }

  static Description values(List<Row> rows, Description d, Reading reading) {
    return d.withValues(reading.each(rows, r -> value(r, reading)));
  }

  private static Description.Adjustable value(Row r, Reading reading) {
    String name = reading.needed(r, Column.NAME, "the value's name");
    Kind.Measure range = reading.cell(r, Column.RANGE, Cells::measure, null);
    if (range == null) {
      return null;
    }
    Value.Quantity start =
        r.cell(Column.START).isBlank()
            ? range.least()
            : reading.cell(
                r,
                Column.START,
                text -> {
                  Value.Quantity q = Kind.quantity(text, range.least().scale());
                  range.check(q);
                  return q;
                },
                range.least());
    return new Description.Adjustable(name, range, start, span(r, reading));
  }

  static List<Row> things(Description d) {
    return d.things().stream()
        .map(
            t ->
                new Row(
                    "",
                    Map.of(
                        Column.NAME, t.kind(),
                        Column.COUNT, Integer.toString(t.count()),
                        Column.VALUES, Cells.list(t.values()))))
        .toList();
  }

  static Description things(List<Row> rows, Description d, Reading reading) {
    return d.withThings(
        reading.each(
            rows,
            r ->
                new Description.Thing(
                    reading.needed(r, Column.NAME, "what it is called, such as Piece"),
                    reading.cell(r, Column.COUNT, PartRows::count, 0),
                    reading.cell(r, Column.VALUES, Cells::list, List.of()))));
  }

  private static int count(String text) {
    if (text.isBlank()) {
      return 3;
    }
    if (!text.strip().matches("\\d{1,4}")
        || Integer.parseInt(text.strip()) > Description.Thing.MOST) {
      throw new ValueException(text, Refusals.says("table.how-many", Description.Thing.MOST));
    }
    return Integer.parseInt(text.strip());
  }

  static List<Row> labels(Description d) {
    List<Row> rows = new ArrayList<>();
    for (Labels l : d.labels()) {
      l.words()
          .forEach(
              (label, there) ->
                  rows.add(
                      new Row(
                          "",
                          Map.of(
                              Column.LANGUAGE, l.language(),
                              Column.NAME, label,
                              Column.THERE, there))));
    }
    return rows;
  }

  static Description labels(List<Row> rows, Description d, Reading reading) {
    Map<String, Map<String, String>> all = new LinkedHashMap<>();
    reading.each(
        rows,
        r -> {
          String language = reading.needed(r, Column.LANGUAGE, "the language, such as de").strip();
          reading.needed(r, Column.NAME, "the label as it is described");
          reading.needed(r, Column.THERE, "what it is in that language");
          if (!language.isEmpty() && !Labels.isTag(language)) {
            reading.fault(Column.LANGUAGE, Refusals.says("table.language-tag-such-as"), language);
          }
          String label = r.cell(Column.NAME); // blanks at its ends are the program's
          String there = r.cell(Column.THERE);
          Map<String, String> words = all.computeIfAbsent(language, l -> new LinkedHashMap<>());
          if (words.putIfAbsent(label, there) != null) {
            reading.fault(Column.NAME, Refusals.says("table.each-label-once-language"), label);
          }
          return r;
        });
    return d.withLabels(
        all.entrySet().stream().map(e -> new Labels(e.getKey(), e.getValue())).toList());
  }
}
