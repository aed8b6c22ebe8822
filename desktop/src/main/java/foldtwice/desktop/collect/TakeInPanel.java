package foldtwice.desktop.collect;

import foldtwice.collecting.Collecting;
import foldtwice.collecting.Found;
import foldtwice.collecting.Licence;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Background.Lane;
import foldtwice.desktop.session.Question;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Library;
import foldtwice.place.Place;
import foldtwice.routine.Origin;
import foldtwice.routine.Routine;
import foldtwice.words.Words;
import java.io.File;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.input.Dragboard;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Takes routines up from files, folders and pasted texts, after showing what each is. */
final class TakeInPanel extends VBox {

  private final Session session;
  private final Consumer<String> onTaken;
  private final TextArea pasted = Skins.on(new TextArea());
  private final VBox rows = new VBox(4);
  private final Map<Found.Item, CheckBox> wanted = new LinkedHashMap<>();
  private final TakeInKeys itsKeys;
  private final Button take;
  private final Question<List<Found>> looking;

  /**
   * @param onTaken gets the id of the first routine that was taken up
   */
  TakeInPanel(Session session, Runnable close, Consumer<String> onTaken) {
    this.session = session;
    this.onTaken = onTaken;
    looking = session.background().question(Lane.READING, this::show, this::failed);
    itsKeys = new TakeInKeys(session);
    setId("take-in-panel");
    setSpacing(8);
    pasted.setId("take-in-text");
    Parts.prompt(pasted, Ui.text("takein.prompt"));
    pasted.setPrefRowCount(5);
    pasted.setStyle("-fx-font-family: 'CommitMono';");
    take = Parts.button("take-in-take", Ui.text("takein.take", 0), this::take, "main");
    take.setDisable(true);
    FlowPane buttons =
        new FlowPane(
            8,
            6,
            Parts.button("take-in-look", Ui.text("takein.look"), this::lookAtText),
            Parts.button("take-in-files", Ui.text("takein.files"), this::chooseFiles),
            Parts.button("take-in-folder", Ui.text("takein.folder"), this::chooseFolder),
            take,
            Parts.button("take-in-close", Ui.text("compare.close"), close));
    rows.setId("take-in-rows");
    getChildren()
        .addAll(
            Parts.label(Ui.text("takein.title"), "strong"),
            Parts.wrapped(Ui.text("takein.hint"), "soft"),
            pasted,
            buttons,
            rows);
    setOnDragOver(
        e -> {
          if (e.getDragboard().hasFiles() || e.getDragboard().hasString()) {
            e.acceptTransferModes(TransferMode.COPY);
          }
          e.consume();
        });
    setOnDragDropped(
        e -> {
          dropped(e.getDragboard());
          e.setDropCompleted(true);
          e.consume();
        });
  }

  /** Looks through what was dropped. */
  void dropped(Dragboard board) {
    if (board.hasFiles()) {
      look(board.getFiles().stream().map(File::toPath).toList());
    } else if (board.hasString()) {
      pasted.setText(board.getString());
      lookAtText();
    }
  }

  private void lookAtText() {
    String text = pasted.getText();
    work(c -> List.of(c.text(Ui.text("takein.pasted"), text)));
  }

  private void look(List<Path> paths) {
    work(c -> paths.stream().flatMap(p -> c.look(p).stream()).toList());
  }

  /** Looks in the background; what is looked through already is given up. */
  private void work(Function<Collecting, List<Found>> look) {
    Library library = session.now().library();
    rows.getChildren()
        .setAll(
            new HBox(
                10,
                Parts.label(Ui.text("takein.looking"), "soft"),
                Parts.button("take-in-give-up", Ui.text("takein.giveup"), this::giveUp, "link")));
    looking.anew(asked -> look.apply(new Collecting(library, () -> !asked.isWanted())));
  }

  private void failed(String why) {
    rows.getChildren().setAll(Parts.wrapped(why, "blocks"));
  }

  /** Gives up what is being looked through. */
  private void giveUp() {
    looking.drop();
    rows.getChildren().setAll(Parts.wrapped(Ui.text("takein.givenup"), "soft"));
  }

  /** Gives the keys to where a text is pasted. */
  void focusText() {
    pasted.requestFocus();
  }

  private void chooseFiles() {
    List<Path> files = session.files().files(getScene().getWindow(), Ui.text("takein.files"));
    if (!files.isEmpty()) {
      look(files);
    }
  }

  private void chooseFolder() {
    session
        .files()
        .folder(getScene().getWindow(), Ui.text("takein.folder"))
        .ifPresent(folder -> look(List.of(folder)));
  }

  private void show(List<Found> found) {
    rows.getChildren().clear();
    wanted.clear();
    itsKeys.clear();
    for (Found f : found) {
      switch (f) {
        case Found.Refused(String from, String why) -> rows.getChildren().add(refused(from, why));
        case Found.Routines r -> r.items().forEach(i -> rows.getChildren().add(row(r, i)));
      }
    }
    if (found.isEmpty()) {
      rows.getChildren().add(Parts.wrapped(Ui.text("takein.none"), "soft"));
    }
    count();
    itsKeys.advise();
  }

  private static Node refused(String from, String why) {
    Label name = Parts.label(from, "strong");
    name.setMinWidth(USE_PREF_SIZE);
    HBox box = new HBox(8, name, Parts.wrapped(why, "blocks"));
    box.getStyleClass().addAll("said", "blocks");
    return box;
  }

  private Node row(Found.Routines file, Found.Item item) {
    Routine routine = item.routine();
    CheckBox box = Skins.on(new CheckBox(routine.name()));
    box.setId("take-" + routine.id());
    box.setSelected(item.equal().isEmpty());
    box.selectedProperty().addListener((o, a, b) -> count());
    wanted.put(item, box);
    HBox head =
        new HBox(
            8,
            KindMarks.of(routine),
            box,
            Parts.label(Ui.text("takein.kind." + file.kind(), file.from()), "soft"));
    head.setAlignment(Pos.CENTER_LEFT);
    VBox row = new VBox(2, head, Parts.wrapped(about(routine), "soft"));
    Licence licence = Licence.of(routine.origin().licence());
    if (licence.hasConditions()) {
      row.getChildren()
          .add(Parts.wrapped(Ui.text("licence." + licence, routine.origin().licence()), "costs"));
    }
    item.equal()
        .ifPresent(
            r -> row.getChildren().add(Parts.wrapped(Ui.text("takein.equal", r.name()), "costs")));
    item.similar()
        .ifPresent(
            r -> row.getChildren().add(Parts.wrapped(Ui.text("takein.similar", r.name()), "soft")));
    if (!item.triggers().isEmpty()) {
      row.getChildren().add(itsKeys.row(item));
    }
    row.getStyleClass().add("why-row");
    return row;
  }

  private String about(Routine routine) {
    Origin origin = routine.origin();
    List<String> parts = new ArrayList<>();
    parts.add(
        Ui.text("takein.for", session.now().words().place(new Place.Whole(routine.application()))));
    if (!origin.author().isEmpty()) {
      parts.add(Ui.text("takein.by", origin.author()));
    }
    if (!origin.version().isEmpty()) {
      parts.add(Ui.text("takein.version", origin.version()));
    }
    if (!origin.licence().isEmpty()) {
      parts.add(origin.licence());
    }
    if (!routine.manner().addOns().isEmpty()) {
      parts.add(Ui.text("takein.needs", Words.addOns(routine.manner().addOns())));
    }
    return String.join(", ", parts);
  }

  private List<Found.Item> chosen() {
    return wanted.entrySet().stream()
        .filter(e -> e.getValue().isSelected())
        .map(e -> itsKeys.wanted(e.getKey()))
        .toList();
  }

  private void count() {
    int many = chosen().size();
    take.setText(Ui.text("takein.take", many));
    take.setDisable(many == 0);
  }

  private void take() {
    List<Found.Item> items = chosen();
    List<String> before = List.copyOf(session.now().library().routines().keySet());
    session.make(
        new Collecting(session.now().library()).take(items), Ui.text("said.taken", items.size()));
    session.now().library().routines().keySet().stream()
        .filter(id -> !before.contains(id))
        .findFirst()
        .ifPresent(onTaken);
  }
}
