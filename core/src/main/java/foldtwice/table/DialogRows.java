package foldtwice.table;

import foldtwice.describe.Description;
import foldtwice.describe.DoesNotation;
import foldtwice.describe.Span;
import foldtwice.routine.Kind;
import foldtwice.table.Part.Column;
import foldtwice.table.Tables.Reading;
import foldtwice.text.Refusals;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * Dialogs as rows: one for each field and each button; a row without a title goes on with the one
 * above.
 */
final class DialogRows {

  private static final String BUTTON = "button";
  private static final String STAYS = "button that stays";

  private DialogRows() {}

  static List<Row> rows(Description d) {
    List<Row> rows = new ArrayList<>();
    for (Description.Dialog dialog : d.dialogs()) {
      int first = rows.size();
      for (Description.Field f : dialog.fields()) {
        rows.add(
            new Row(
                "",
                Map.of(
                    Column.LABEL, f.label(),
                    Column.KIND, Cells.kind(f.kind()),
                    Column.START, f.start(),
                    Column.UNIT, f.unitOf())));
      }
      for (Description.Button b : dialog.buttons()) {
        rows.add(
            new Row(
                "",
                Map.of(
                    Column.LABEL, b.label(),
                    Column.KIND, b.stays() ? STAYS : BUTTON,
                    Column.DOES, DoesNotation.write(b.does()))));
      }
      if (rows.size() == first) {
        rows.add(Row.empty());
      }
      rows.set(
          first,
          rows.get(first)
              .with(Column.DIALOG, dialog.title())
              .with(Column.VERSIONS, Cells.span(dialog.span())));
    }
    return rows;
  }

  /** A row that has been read: a field, a button, or neither, and what begins with it. */
  private record Piece(
      String title, Span span, Description.Field field, Description.Button button) {}

  static Description read(List<Row> rows, Description d, Reading reading) {
    List<Description.Dialog> dialogs = new ArrayList<>();
    for (Piece p : reading.each(rows, r -> piece(r, reading))) {
      Description.Dialog last = dialogs.isEmpty() ? null : dialogs.getLast();
      if (!p.title.isEmpty() || last == null) {
        dialogs.add(new Description.Dialog(p.title, List.of(), List.of(), p.span));
        last = dialogs.getLast();
      }
      List<Description.Field> fields = new ArrayList<>(last.fields());
      List<Description.Button> buttons = new ArrayList<>(last.buttons());
      if (p.field != null) {
        fields.add(p.field);
      }
      if (p.button != null) {
        buttons.add(p.button);
      }
      dialogs.set(
          dialogs.size() - 1, new Description.Dialog(last.title(), fields, buttons, last.span()));
    }
    if (!dialogs.isEmpty() && dialogs.getFirst().title().isEmpty()) {
      reading.fault(Column.DIALOG, Refusals.says("table.dialog-s-title-its"), "");
    }
    return d.withDialogs(dialogs);
  }

  private static Piece piece(Row r, Reading reading) {
    String title = r.cell(Column.DIALOG);
    Span span = PartRows.span(r, reading);
    String kind = r.cell(Column.KIND).strip();
    String label = r.cell(Column.LABEL);
    if (label.isEmpty() && kind.isEmpty()) {
      return new Piece(title, span, null, null);
    }
    if (kind.equals(BUTTON) || kind.equals(STAYS)) {
      return new Piece(
          title,
          span,
          null,
          new Description.Button(
              label,
              reading.cell(r, Column.DOES, DoesNotation::readAll, List.of()),
              kind.equals(STAYS)));
    }
    Kind of =
        kind.isEmpty()
            ? new Kind.Words()
            : reading.cell(r, Column.KIND, DialogRows::kind, new Kind.Words());
    return new Piece(
        title,
        span,
        new Description.Field(label, of, r.cell(Column.START), r.cell(Column.UNIT)),
        null);
  }

  private static Kind kind(String text) {
    try {
      return Cells.kind(text);
    } catch (foldtwice.routine.ValueException e) {
      throw new foldtwice.routine.ValueException(
          e.found(), BUTTON + ", " + STAYS + ", " + e.allowed());
    }
  }
}
