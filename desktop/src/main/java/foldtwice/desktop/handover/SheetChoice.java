package foldtwice.desktop.handover;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Question;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Library;
import foldtwice.sheet.About;
import foldtwice.sheet.SheetKind;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** What a sheet shall be about, and how it is laid out. */
final class SheetChoice extends VBox {

  private final Runnable onChosen;
  private final TextField filter = Skins.on(new TextField());
  private final ListView<About> about = new ListView<>();
  private final ListView<SheetKind> kinds = new ListView<>();
  private Library library;
  private Question.Same shown;
  private boolean filling;

  SheetChoice(Runnable onChosen) {
    super(6);
    this.onChosen = onChosen;
    getStyleClass().add("routine-list");
    filter.setId("sheet-filter");
    Parts.prompt(filter, Ui.text("sheets.filter"));
    filter.textProperty().addListener((o, a, b) -> fill());
    about.setId("sheet-about");
    about.setAccessibleText(Ui.text("sheets.about"));
    about.setFixedCellSize(28);
    about.setCellFactory(v -> Skins.on(new AboutCell()));
    VBox.setVgrow(about, Priority.ALWAYS);
    kinds.setId("sheet-kinds");
    kinds.setAccessibleText(Ui.text("sheets.as"));
    kinds.setFixedCellSize(42);
    kinds.getItems().setAll(SheetKind.values());
    kinds.setCellFactory(v -> Skins.on(new KindCell()));
    kinds.setMinHeight(SheetKind.values().length * 42 + 4);
    kinds.setPrefHeight(SheetKind.values().length * 42 + 4);
    kinds.getSelectionModel().selectFirst();
    List.of(about, kinds)
        .forEach(
            l ->
                l.getSelectionModel()
                    .selectedItemProperty()
                    .addListener(
                        (o, a, b) -> {
                          if (!filling && b != null) {
                            onChosen.run();
                          }
                        }));
    getChildren()
        .addAll(
            Parts.label(Ui.text("sheets.about"), "heading"),
            filter,
            about,
            Parts.label(Ui.text("sheets.as"), "heading"),
            kinds);
    setPrefWidth(230);
    setMinWidth(180);
  }

  void show(Snapshot now) {
    Question.Same next = new Question.Same(now.library());
    if (!next.equals(shown)) {
      shown = next;
      library = now.library();
      fill();
    }
  }

  private void fill() {
    String wanted = filter.getText().strip().toLowerCase(Locale.ROOT);
    List<About> all =
        About.all(library).stream()
            .filter(a -> a.name(library).toLowerCase(Locale.ROOT).contains(wanted))
            .toList();
    if (all.equals(about.getItems())) {
      about.refresh(); // something may have another name
      return;
    }
    About was = about.getSelectionModel().getSelectedItem();
    filling = true;
    about.getItems().setAll(all);
    if (was != null && all.contains(was)) {
      about.getSelectionModel().select(was);
    } else {
      about.getSelectionModel().selectFirst();
    }
    filling = false;
    if (!Objects.equals(was, about.getSelectionModel().getSelectedItem())) {
      onChosen.run();
    }
  }

  Optional<About> about() {
    return Optional.ofNullable(about.getSelectionModel().getSelectedItem());
  }

  SheetKind kind() {
    return kinds.getSelectionModel().getSelectedItem();
  }

  /** Chooses what a sheet is about, and how it is laid out. */
  void choose(About what, SheetKind kind) {
    filter.clear();
    about.getSelectionModel().select(what);
    about.scrollTo(what);
    kinds.getSelectionModel().select(kind);
  }

  void takeKeys() {
    about.requestFocus();
  }

  void takeFilter() {
    filter.requestFocus();
  }

  private final class AboutCell extends ListCell<About> {
    @Override
    protected void updateItem(About item, boolean empty) {
      super.updateItem(item, empty);
      setText(
          empty || item == null
              ? null
              : Ui.text("sheets.about." + item.getClass().getSimpleName(), item.name(library)));
    }
  }

  private static final class KindCell extends ListCell<SheetKind> {
    @Override
    protected void updateItem(SheetKind item, boolean empty) {
      super.updateItem(item, empty);
      setText(null);
      if (empty || item == null) {
        setGraphic(null);
        return;
      }
      Label says = Parts.label(Ui.text("sheets.kind." + item + ".says"), "soft");
      setGraphic(new VBox(Parts.label(Ui.text("sheets.kind." + item), "strong"), says));
      setAccessibleText(Ui.text("sheets.kind." + item));
    }
  }
}
