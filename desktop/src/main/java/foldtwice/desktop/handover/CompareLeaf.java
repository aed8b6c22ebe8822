package foldtwice.desktop.handover;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.parts.Tips;
import foldtwice.desktop.session.Background.Lane;
import foldtwice.desktop.session.DiskWork;
import foldtwice.desktop.session.Question;
import foldtwice.desktop.session.Saving;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.view.Going;
import foldtwice.desktop.view.Target;
import foldtwice.handover.Kit;
import foldtwice.library.Library;
import foldtwice.library.file.FormatException;
import foldtwice.library.file.LibraryFile;
import foldtwice.merge.Differing;
import foldtwice.table.BindingTable;
import foldtwice.words.MergeWords;
import foldtwice.words.Words;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Another library, a kit, or this library at another time, beside it as it is now, by meaning. */
final class CompareLeaf extends BorderPane {

  /**
   * What the library is held against.
   *
   * @param onlyIts true for a kit: what is only in the library is no difference
   */
  private record Other(String name, Library library, boolean onlyIts) {}

  /** A table of bindings that was read, what of it can be taken, and what cannot. */
  private record Table(Path file, List<BindingTable.Row> rows, Library of) {
    boolean isOf(Library library) {
      return new Question.Same(of).equals(new Question.Same(library));
    }

    long wrong() {
      return rows.stream().filter(r -> r.outcome() instanceof BindingTable.Outcome.Wrong).count();
    }
  }

  /**
   * A difference in words, and where to find it in the library; nowhere for a row that is wrong.
   */
  private record Line(Optional<Differing.Row> row, String how, String says, String text) {
    static Line of(Optional<Differing.Row> row, String how, String says) {
      return new Line(row, how, says, (how + " " + says).toLowerCase(Locale.ROOT));
    }
  }

  private final Session session;
  private final Going going;
  private final Label heading = Parts.label("", "title");
  private final Label says = Parts.wrapped(Ui.text("against.nothing"), "soft");
  private final TextField filter = Skins.on(new TextField());
  private final ListView<Line> list = new ListView<>();
  private final Question<Other> reading;
  private final Question<List<Line>> comparing;
  private final Question<Table> readingTable;
  private final Runnable onChange;
  private Optional<Other> other = Optional.empty();
  private Optional<Table> table = Optional.empty();
  private List<Line> lines = List.of();

  /**
   * Of the session's library.
   *
   * @param onChange called when what can be done is another
   */
  CompareLeaf(Session session, Going going, Runnable onChange) {
    this.session = session;
    this.onChange = onChange;
    this.going = going;
    reading = session.background().question(Lane.READING, this::read, this::cannot);
    comparing = session.background().question(Lane.WORK, this::compared, this::cannot);
    readingTable = session.background().question(Lane.READING, this::read, this::cannot);
    heading.setId("compare-heading");
    says.setId("compare-says");
    filter.setId("compare-filter");
    Parts.prompt(filter, Ui.text("sheets.filter"));
    filter.setMaxWidth(320);
    filter.textProperty().addListener((o, a, b) -> fill());
    list.setId("compare-rows");
    list.setAccessibleText(Ui.text("handover.compare"));
    list.setFixedCellSize(30);
    list.setCellFactory(v -> Skins.on(new Cell()));
    list.setOnKeyPressed(
        e -> {
          if (e.getCode() == KeyCode.ENTER) {
            go();
          }
        });
    list.setOnMouseClicked(
        e -> {
          if (e.getClickCount() == 2) {
            go();
          }
        });
    VBox.setVgrow(list, Priority.ALWAYS);
    VBox all = new VBox(8, heading, says, filter, list);
    all.getStyleClass().add("sheet-side");
    setCenter(all);
    shown(false);
  }

  private void shown(boolean rows) {
    List.of(filter, list)
        .forEach(
            n -> {
              Parts.there(n, rows);
            });
  }

  void takeKeys() {
    (list.isVisible() ? list : this).requestFocus();
  }

  /** Asks for a library or a kit to hold this one against. */
  void choose() {
    session.files().files(getScene().getWindow(), Ui.text("act.compare-with")).stream()
        .findFirst()
        .ifPresent(file -> reading.anew(asked -> DiskWork.done(() -> read(file))));
  }

  private static Other read(Path file) throws IOException, FormatException {
    byte[] document = Files.size(file) <= Kit.MOST_BYTES ? Files.readAllBytes(file) : new byte[0];
    if (Kit.is(document)) {
      Kit kit = Kit.read(document);
      return new Other(
          (kit.card().name() + " " + kit.card().release()).strip(), kit.library(), true);
    }
    Library library = LibraryFile.look(file);
    return new Other(library.name() + " (" + file.getFileName() + ")", library, false);
  }

  /** Holds it against what it was at another time. */
  void against(String when, Library then) {
    read(new Other(Ui.text("against.then", when), then, false));
  }

  private void read(Other next) {
    other = Optional.of(next);
    table = Optional.empty();
    show(session.now());
    onChange.run();
  }

  /** Asks for a table of bindings, such as one edited in a spreadsheet. */
  void chooseTable() {
    Library library = session.now().library();
    session.files().files(getScene().getWindow(), Ui.text("act.bindings-read")).stream()
        .findFirst()
        .ifPresent(
            file ->
                readingTable.anew(
                    asked ->
                        DiskWork.done(
                            () ->
                                new Table(
                                    file,
                                    BindingTable.read(Files.readAllBytes(file), library),
                                    library))));
  }

  private void read(Table read) {
    table = Optional.of(read);
    other = Optional.empty();
    show(session.now());
    onChange.run();
  }

  /** True when a table was read of which something can be taken. */
  boolean canTake() {
    return session.mayWrite()
        && table
            .filter(t -> t.isOf(session.now().library()))
            .filter(t -> t.rows().stream().anyMatch(CompareLeaf::changes))
            .isPresent();
  }

  private static boolean changes(BindingTable.Row r) {
    return r.outcome() instanceof BindingTable.Outcome.Changed
        || r.outcome() instanceof BindingTable.Outcome.New;
  }

  /** Takes what can be taken of the table, as one edit. */
  void take() {
    Table t = table.orElseThrow();
    table = Optional.empty();
    session.make(
        BindingTable.taken(t.rows()),
        Ui.text(
            "said.bindings",
            t.rows().stream().filter(CompareLeaf::changes).count(),
            t.file().getFileName()));
    heading.setText("");
    says.setText(Ui.text("against.nothing"));
    shown(false);
    onChange.run();
  }

  /** Writes the bindings as a table. */
  void saveTable() {
    Library library = session.now().library();
    Saving.text(
        session,
        getScene().getWindow(),
        Ui.text("act.bindings-save"),
        "bindings.csv",
        () -> BindingTable.write(library));
  }

  private void cannot(String why) {
    heading.setText("");
    says.setText(why);
    shown(false);
  }

  void show(Snapshot now) {
    Library is = now.library();
    if (table.isPresent()) {
      Table t = table.get();
      if (!t.isOf(is)) {
        table = Optional.empty();
        cannot(Ui.text("against.tableold"));
        return;
      }
      heading.setText(Ui.text("against.table", String.valueOf(t.file().getFileName())));
      comparing.ask(new Question.Same(t), () -> lines(t, now.words()));
      return;
    }
    if (other.isEmpty()) {
      return;
    }
    Other was = other.get();
    heading.setText(Ui.text("against.heading", was.name(), is.name()));
    comparing.ask(
        List.of(new Question.Same(was), new Question.Same(is)), () -> lines(was, now.words(), is));
  }

  private static List<Line> lines(Other was, Words around, Library is) {
    MergeWords words = new MergeWords(around.of(was.library()), around);
    return Differing.between(was.library(), is).rows().stream()
        .filter(r -> !was.onlyIts() || r.how() != Differing.How.ADDED)
        .map(r -> Line.of(Optional.of(r), MergeWords.how(r.how()), words.of(r)))
        .toList();
  }

  /** What is wrong first, then what would be another. */
  private static List<Line> lines(Table t, Words around) {
    List<Line> all = new ArrayList<>();
    for (BindingTable.Row r : t.rows()) {
      if (r.outcome() instanceof BindingTable.Outcome.Wrong(String why)) {
        all.add(
            Line.of(
                Optional.empty(),
                Ui.text("against.wrong"),
                Ui.text("against.row", r.number(), why)));
      }
    }
    Library next = BindingTable.taken(t.rows()).on(t.of());
    MergeWords words = new MergeWords(around, around.of(next));
    Differing.between(t.of(), next)
        .rows()
        .forEach(r -> all.add(Line.of(Optional.of(r), MergeWords.how(r.how()), words.of(r))));
    return all;
  }

  private void compared(List<Line> found) {
    lines = found;
    says.setText(
        found.isEmpty()
            ? Ui.text("against.same")
            : table
                .map(t -> Ui.text("against.tablerows", found.size() - t.wrong(), t.wrong()))
                .orElseGet(() -> Ui.text("against.rows", found.size())));
    shown(!found.isEmpty());
    fill();
  }

  private void fill() {
    String wanted = filter.getText().strip().toLowerCase(Locale.ROOT);
    list.getItems().setAll(lines.stream().filter(l -> l.text().contains(wanted)).toList());
    list.getSelectionModel().selectFirst();
  }

  /** Goes to what the chosen row is about, where it is still there. */
  private void go() {
    Line line = list.getSelectionModel().getSelectedItem();
    if (line == null || line.row().isEmpty()) {
      return;
    }
    String id = line.row().get().now();
    Library now = session.now().library();
    switch (line.row().get().list()) {
      case "bindings" -> there(now.bindings().containsKey(id), new Target.Binding(id));
      case "routines" -> there(now.routines().containsKey(id), new Target.Routine(id));
      case "applications" -> there(now.applications().containsKey(id), new Target.Application(id));
      case "stations" -> there(now.stations().containsKey(id), new Target.Station(id));
      case "devices", "toolbars", "menus", "offerings" ->
          there(now.surfaces().containsKey(id), new Target.Surface(id));
      default -> session.say(Ui.text("against.nowhere"));
    }
  }

  private void there(boolean there, Target target) {
    if (there) {
      going.to(target);
    } else {
      session.say(Ui.text("against.nowhere"));
    }
  }

  private static final class Cell extends ListCell<Line> {
    @Override
    protected void updateItem(Line line, boolean empty) {
      super.updateItem(line, empty);
      setText(null);
      if (empty || line == null) {
        setGraphic(null);
        return;
      }
      Label how = Parts.label(line.how(), "soft");
      how.setMinWidth(70);
      Label what = Parts.label(line.says());
      what.setMinWidth(0);
      Tips.on(what, line.says());
      HBox row = new HBox(8, how, what);
      row.setAlignment(Pos.CENTER_LEFT);
      row.setPrefWidth(100);
      setGraphic(row);
      setAccessibleText(line.how() + " " + line.says());
    }
  }
}
