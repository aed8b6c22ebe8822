package foldtwice.table;

import foldtwice.describe.Description;
import foldtwice.describe.DoesNotation;
import foldtwice.extras.Extras;
import foldtwice.library.FreeIds;
import foldtwice.library.Ids;
import foldtwice.place.AddOn;
import foldtwice.routine.Kind;
import foldtwice.routine.Parameter;
import foldtwice.routine.ValueException;
import foldtwice.table.Part.Column;
import foldtwice.table.Tables.Reading;
import foldtwice.text.Refusals;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * What add-ons can do as rows. Parameters are written {@code name: kind = default}, parted by
 * semicolons.
 */
final class ActionRows {

  private ActionRows() {}

  static List<Row> rows(Description d) {
    return d.actions().stream()
        .map(
            a ->
                new Row(
                    a.id(),
                    Map.of(
                        Column.ADD_ON, a.addOn().name(),
                        Column.VERSION, a.addOn().version(),
                        Column.NAME, a.name(),
                        Column.PARAMETERS,
                            a.parameters().stream()
                                .map(ActionRows::parameter)
                                .collect(Collectors.joining("; ")),
                        Column.CONTEXTS, Cells.list(a.contexts()),
                        Column.DOES, DoesNotation.write(a.does()))))
        .toList();
  }

  private static String parameter(Parameter p) {
    return p.name() + ": " + Cells.kind(p.kind()) + " = " + p.otherwise().shown();
  }

  static Description read(List<Row> rows, Description d, Reading reading) {
    Map<String, Description.Action> were = new HashMap<>();
    d.actions().forEach(a -> were.putIfAbsent(a.id(), a));
    FreeIds ids = new FreeIds();
    rows.stream().map(Row::id).filter(id -> !id.isEmpty()).forEach(ids::take);
    return d.withActions(
        reading.each(
            rows,
            r -> {
              String name = reading.needed(r, Column.NAME, "what the action is called");
              String id = r.id().isEmpty() ? ids.take(Ids.of(name, "action")) : r.id();
              return new Description.Action(
                  new AddOn(
                      reading.needed(r, Column.ADD_ON, "the add-on's name"),
                      r.cell(Column.VERSION).strip()),
                  id,
                  name,
                  parameters(r, were.get(r.id()), reading),
                  reading.cell(r, Column.CONTEXTS, Cells::list, List.of()),
                  reading.cell(r, Column.DOES, DoesNotation::readAll, List.of()));
            }));
  }

  /** As they were where their cell has not been changed. */
  private static List<Parameter> parameters(Row r, Description.Action was, Reading reading) {
    if (was != null
        && r.cell(Column.PARAMETERS)
            .equals(
                was.parameters().stream()
                    .map(ActionRows::parameter)
                    .collect(Collectors.joining("; ")))) {
      return was.parameters();
    }
    return reading.cell(r, Column.PARAMETERS, ActionRows::parameters, List.of());
  }

  private static List<Parameter> parameters(String text) {
    List<Parameter> all = new ArrayList<>();
    for (String one : text.split(";")) {
      if (one.isBlank()) {
        continue;
      }
      int colon = one.indexOf(':');
      int equal = one.lastIndexOf('=');
      if (colon <= 0 || equal < colon || one.substring(0, colon).isBlank()) {
        throw new ValueException(one, Refusals.says("table.parameter-such-as-by"));
      }
      Kind kind = Cells.kind(one.substring(colon + 1, equal));
      all.add(
          new Parameter(
              one.substring(0, colon).strip(),
              kind,
              kind.read(one.substring(equal + 1).strip()),
              Extras.NONE));
    }
    return all;
  }
}
