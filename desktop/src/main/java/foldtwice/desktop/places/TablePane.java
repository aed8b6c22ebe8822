package foldtwice.desktop.places;

import foldtwice.describe.Description;
import foldtwice.describe.Slip;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Edit;
import foldtwice.place.Application;
import foldtwice.table.Part;
import foldtwice.table.Part.Column;
import foldtwice.table.Read;
import foldtwice.table.Row;
import foldtwice.table.Rows;
import foldtwice.table.Tables;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javafx.beans.property.SimpleStringProperty;
import javafx.scene.control.Label;
import javafx.scene.control.SelectionMode;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TablePosition;
import javafx.scene.control.TableView;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * A part of what is said of a program as a table that is filled by typing or pasting. The last row
 * is always empty, for more. What can be read is made at once; a cell that cannot be stays as it
 * was typed, marked, and says what is expected, until it is mended.
 */
final class TablePane extends VBox {

  private static final int MOST_SAID = 6;

  private final Session session;
  private final TableView<Row> table = new TableView<>();
  private final VBox says = new VBox(3);
  private final Label hint = Parts.wrapped("", "soft");
  private Part part;
  private Application application;
  private Description description;
  private List<Read.Fault> faults = List.of();

  /** True while there are rows that were written and cannot be made yet. */
  private boolean held;

  /** What has come while a cell was being written. */
  private Optional<Behind> behind = Optional.empty();

  /** True while what was written in a cell is made: then the table follows at once. */
  private boolean committing;

  /** Where the cell that was written last is by now, where that is elsewhere; negative for not. */
  private int moved = -1;

  private record Behind(Application application, Description description) {}

  TablePane(Session session) {
    super(8);
    this.session = session;
    table.setId("described");
    table.setEditable(true);
    table.getSelectionModel().setCellSelectionEnabled(true);
    table.getSelectionModel().setSelectionMode(SelectionMode.MULTIPLE);
    table.setFixedCellSize(29);
    table
        .focusedProperty()
        .addListener(
            (o, a, has) -> {
              if (has) {
                begin();
              }
            });
    table.addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
    table.addEventFilter(KeyEvent.KEY_TYPED, this::typed);
    VBox.setVgrow(table, Priority.ALWAYS);
    says.setId("described-says");
    FlowPane buttons =
        new FlowPane(
            8,
            6,
            Parts.button("described-paste", Ui.text("described.paste"), this::paste),
            Parts.button("described-copy", Ui.text("described.copy"), this::copy),
            Parts.button("described-remove", Ui.text("described.remove"), this::remove));
    getChildren().addAll(hint, table, says, buttons);
  }

  /** Shows a part of an application; what is typed, or was and cannot be read yet, stays. */
  void show(Snapshot now, Application of, Part shown) {
    Description said = now.library().description(of.id());
    boolean same = shown == part && application != null && application.id().equals(of.id());
    if (same && isWriting()) {
      behind = Optional.of(new Behind(of, said));
      return;
    }
    behind = Optional.empty();
    if (same && of.equals(application) && said.equals(description)) {
      return;
    }
    if (shown != part) {
      hint.setText(Ui.text("described.hint." + shown));
      columns(shown);
    }
    if (same && held) {
      follow(of, said);
      return;
    }
    part = shown;
    application = of;
    description = said;
    faults = List.of();
    held = false;
    fill(Tables.rows(part, application, description));
    say();
  }

  private boolean isWriting() {
    return table.getEditingCell() != null && !committing && Parts.hasKeys(table);
  }

  /** Shows rows that are written on top of what there is by now. */
  private void follow(Application of, Description said) {
    List<Row> rows =
        Rows.rebased(
            table.getItems().stream().filter(r -> !r.isEmpty()).toList(),
            Tables.rows(part, application, description),
            Tables.rows(part, of, said));
    application = of;
    description = said;
    fill(rows);
    faults =
        Tables.read(part, rows, of, said) instanceof Read.Faulty(var found) ? found : List.of();
    say();
  }

  /** A cell was written: into its row, wherever that is by now. */
  private void committed(int row, Column c, String text) {
    Row next = table.getItems().get(row).with(c, text);
    table.getItems().set(row, next);
    committing = true;
    try {
      if (catchUp()) {
        moved = table.getItems().indexOf(next);
      }
      apply();
    } finally {
      committing = false;
    }
  }

  /** Shows what has come while a cell was being written; true when something has. */
  private boolean catchUp() {
    Optional<Behind> come = behind;
    behind = Optional.empty();
    come.ifPresent(b -> follow(b.application(), b.description()));
    return come.isPresent();
  }

  void takeKeys() {
    table.requestFocus();
  }

  /** Where nothing is chosen one begins in the empty row. */
  private void begin() {
    if (table.getSelectionModel().getSelectedCells().isEmpty()) {
      table.getSelectionModel().select(table.getItems().size() - 1, table.getColumns().getFirst());
    }
  }

  private void fill(List<Row> rows) {
    var cells = table.getSelectionModel().getSelectedCells();
    TablePosition<?, ?> at = cells.isEmpty() ? null : cells.getFirst();
    List<Row> all = new ArrayList<>(rows);
    all.add(Row.empty());
    table.getItems().setAll(all);
    if (at != null && at.getColumn() >= 0 && at.getColumn() < table.getColumns().size()) {
      table
          .getSelectionModel()
          .clearAndSelect(
              Math.min(at.getRow(), all.size() - 1), table.getColumns().get(at.getColumn()));
    }
  }

  private void columns(Part of) {
    table.getColumns().clear();
    for (Column c : of.columns()) {
      TableColumn<Row, String> column = new TableColumn<>(heading(of, c));
      column.setId("column-" + c.name().toLowerCase(Locale.ROOT).replace('_', '-'));
      column.setCellValueFactory(r -> new SimpleStringProperty(r.getValue().cell(c)));
      column.setSortable(false);
      column.setPrefWidth(width(c));
      column.setCellFactory(x -> Skins.on(new TextCell(row -> isFaulty(row, c), this::after)));
      column.setOnEditCommit(e -> committed(e.getTablePosition().getRow(), c, e.getNewValue()));
      table.getColumns().add(column);
    }
  }

  private static double width(Column c) {
    return switch (c) {
      case MENU, DOES, PARAMETERS, THERE -> 210;
      case NAME, KIND, OPTIONS, WHILE, RANGE, LABEL, DIALOG -> 150;
      case KEYS, WHERE, WITHIN, FROM, OPENS, VALUES, CONTEXTS, ADD_ON, NEEDS, VERSIONS -> 120;
      default -> 84;
    };
  }

  private static String heading(Part part, Column c) {
    String own = "column." + part + "." + c;
    return Ui.text(Ui.has(own) ? own : "column." + c);
  }

  private Map<Column, String> headings() {
    Map<Column, String> all = new EnumMap<>(Column.class);
    part.columns().forEach(c -> all.put(c, heading(part, c)));
    return all;
  }

  private boolean isFaulty(int row, Column c) {
    return faults.stream().anyMatch(f -> f.row() == row && f.column() == c);
  }

  /** The keys go back to the table after a cell, one cell further with Tab. */
  private void after(int row, TableColumn<Row, ?> column, boolean further) {
    int at = table.getColumns().indexOf(column) + (further ? 1 : 0);
    catchUp();
    int there = moved < 0 ? row : moved;
    moved = -1;
    table
        .getSelectionModel()
        .clearAndSelect(there, table.getColumns().get(Math.min(at, table.getColumns().size() - 1)));
    table.requestFocus();
  }

  private void pressed(KeyEvent e) {
    if (table.getEditingCell() != null) {
      return;
    }
    if (e.getCode() == KeyCode.DELETE || e.getCode() == KeyCode.BACK_SPACE) {
      empty();
      e.consume();
    } else if (e.isShortcutDown() && e.getCode() == KeyCode.V) {
      paste();
      e.consume();
    } else if (e.isShortcutDown() && e.getCode() == KeyCode.C) {
      copy();
      e.consume();
    } else if (e.getCode() == KeyCode.ENTER || e.getCode() == KeyCode.F2) {
      edit(null);
      e.consume();
    }
  }

  /** What is typed on a cell goes into it, over what stood there. */
  private void typed(KeyEvent e) {
    String typed = e.getCharacter();
    if (table.getEditingCell() == null
        && !e.isShortcutDown()
        && !e.isAltDown()
        && !typed.isEmpty()
        && !Character.isISOControl(typed.charAt(0))) {
      edit(typed);
      e.consume();
    }
  }

  private void edit(String begins) {
    var cells = table.getSelectionModel().getSelectedCells();
    if (cells.isEmpty() || !session.mayWrite()) {
      return;
    }
    TablePosition<?, ?> at = cells.getFirst();
    TextCell.begin(table, at.getRow(), table.getColumns().get(at.getColumn()), begins);
  }

  private void empty() {
    for (TablePosition<?, ?> at : table.getSelectionModel().getSelectedCells()) {
      Column c = part.columns().get(at.getColumn());
      table.getItems().set(at.getRow(), table.getItems().get(at.getRow()).with(c, ""));
    }
    apply();
  }

  /** Rows that were copied elsewhere go below the others. */
  private void paste() {
    String text = Clipboard.getSystemClipboard().getString();
    List<Row> pasted = text == null ? List.of() : Row.pasted(text, part, headings());
    if (pasted.isEmpty()) {
      session.say(Ui.text("described.nothing"));
      return;
    }
    int at = table.getItems().size() - 1;
    table.getItems().addAll(at, pasted);
    table.scrollTo(at);
    apply();
  }

  private void copy() {
    ClipboardContent content = new ClipboardContent();
    List<Row> rows = table.getItems().filtered(r -> !r.isEmpty());
    content.putString(Row.copied(rows, part, headings()));
    Clipboard.getSystemClipboard().setContent(content);
    session.say(Ui.text("described.copied", rows.size()));
  }

  private void remove() {
    Set<Integer> gone = new HashSet<>();
    table.getSelectionModel().getSelectedCells().forEach(p -> gone.add(p.getRow()));
    List<Row> rest = new ArrayList<>();
    for (int i = 0; i < table.getItems().size() - 1; i++) {
      if (!gone.contains(i)) {
        rest.add(table.getItems().get(i));
      }
    }
    fill(rest);
    apply();
  }

  /** Makes what the rows say, or says what in them cannot be read. */
  private void apply() {
    switch (Tables.read(part, List.copyOf(table.getItems()), application, description)) {
      case Read.Faulty(List<Read.Fault> found) -> {
        faults = found;
        held = true;
        table.refresh();
      }
      case Read.Made(Application made, Description said) -> {
        faults = List.of();
        held = false;
        List<Edit> edits = new ArrayList<>();
        if (!made.equals(application)) {
          edits.add(new Edit.PutApplication(made));
        }
        if (!said.equals(description)) {
          edits.add(new Edit.Describe(said.application(), Optional.of(said)));
        }
        if (!edits.isEmpty()) {
          session.make(
              new Edit.Together(edits),
              Ui.text("said.described", Ui.text("part." + part), application.name()));
        }
      }
    }
    if (!table.getItems().isEmpty() && !table.getItems().getLast().isEmpty()) {
      table.getItems().add(Row.empty());
    }
    say();
  }

  private void say() {
    says.getChildren().clear();
    for (Read.Fault f : faults.subList(0, Math.min(MOST_SAID, faults.size()))) {
      says.getChildren()
          .add(
              Parts.wrapped(
                  Ui.text(
                      "described.fault",
                      f.row() + 1,
                      heading(part, f.column()),
                      f.expected(),
                      f.found()),
                  "costs"));
    }
    List<Slip> slips = Slip.of(application, description);
    for (Slip s : slips.subList(0, Math.min(MOST_SAID, slips.size()))) {
      says.getChildren()
          .add(Parts.wrapped(Ui.text("slip." + s.kind(), s.where(), s.what()), "soft"));
    }
    int more = faults.size() + slips.size() - says.getChildren().size();
    if (more > 0) {
      says.getChildren().add(Parts.label(Ui.text("described.more", more), "soft"));
    }
  }
}
