package foldtwice.desktop.handover;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Background.Lane;
import foldtwice.desktop.session.DiskWork;
import foldtwice.desktop.session.Question;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.view.Going;
import foldtwice.desktop.view.Target;
import foldtwice.handover.Kit;
import foldtwice.library.Library;
import foldtwice.library.file.FormatException;
import foldtwice.library.file.LibraryStore;
import foldtwice.merge.Differing;
import foldtwice.words.MergeWords;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
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

  /** A difference in words, and where to find it in the library. */
  private record Line(Differing.Row row, String how, String says, String text) {}

  private final Session session;
  private final Going going;
  private final Label heading = Parts.label("", "title");
  private final Label says = Parts.wrapped(Ui.text("against.nothing"), "soft");
  private final TextField filter = new TextField();
  private final ListView<Line> list = new ListView<>();
  private final Question<Other> reading;
  private final Question<List<Line>> comparing;
  private Optional<Other> other = Optional.empty();
  private List<Line> lines = List.of();

  CompareLeaf(Session session, Going going) {
    this.session = session;
    this.going = going;
    reading = session.background().question(Lane.READING, this::read, this::cannot);
    comparing = session.background().question(Lane.WORK, this::compared, this::cannot);
    heading.setId("compare-heading");
    says.setId("compare-says");
    filter.setId("compare-filter");
    Parts.prompt(filter, Ui.text("sheets.filter"));
    filter.setMaxWidth(320);
    filter.textProperty().addListener((o, a, b) -> fill());
    list.setId("compare-rows");
    list.setAccessibleText(Ui.text("handover.compare"));
    list.setFixedCellSize(30);
    list.setCellFactory(v -> new Cell());
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
              n.setVisible(rows);
              n.setManaged(rows);
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
    Library library = LibraryStore.look(file);
    return new Other(library.name() + " (" + file.getFileName() + ")", library, false);
  }

  /** Holds it against what it was at another time. */
  void against(String when, Library then) {
    read(new Other(Ui.text("against.then", when), then, false));
  }

  private void read(Other next) {
    other = Optional.of(next);
    show(session.now());
  }

  private void cannot(String why) {
    heading.setText("");
    says.setText(why);
    shown(false);
  }

  void show(Snapshot now) {
    if (other.isEmpty()) {
      return;
    }
    Other was = other.get();
    Library is = now.library();
    heading.setText(Ui.text("against.heading", was.name(), is.name()));
    comparing.ask(List.of(new Question.Same(was), new Question.Same(is)), () -> lines(was, is));
  }

  private static List<Line> lines(Other was, Library is) {
    MergeWords words = new MergeWords(was.library(), is);
    return Differing.between(was.library(), is).rows().stream()
        .filter(r -> !was.onlyIts() || r.how() != Differing.How.ADDED)
        .map(
            r -> {
              String how = MergeWords.how(r.how());
              String says = words.of(r);
              return new Line(r, how, says, (how + " " + says).toLowerCase(Locale.ROOT));
            })
        .toList();
  }

  private void compared(List<Line> found) {
    lines = found;
    says.setText(found.isEmpty() ? Ui.text("against.same") : Ui.text("against.rows", found.size()));
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
    if (line == null) {
      return;
    }
    String id = line.row().now();
    Library now = session.now().library();
    switch (line.row().list()) {
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
      what.setTooltip(new javafx.scene.control.Tooltip(line.says()));
      HBox row = new HBox(8, how, what);
      row.setAlignment(Pos.CENTER_LEFT);
      row.setPrefWidth(100);
      setGraphic(row);
      setAccessibleText(line.how() + " " + line.says());
    }
  }
}
