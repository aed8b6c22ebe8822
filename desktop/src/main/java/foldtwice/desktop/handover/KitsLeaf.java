package foldtwice.desktop.handover;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Background.Lane;
import foldtwice.desktop.session.DiskWork;
import foldtwice.desktop.session.Question;
import foldtwice.desktop.session.Saving;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.handover.Kit;
import foldtwice.library.Ids;
import foldtwice.library.Library;
import foldtwice.library.file.FormatException;
import foldtwice.routine.Routine;
import foldtwice.sheet.About;
import foldtwice.words.MergeWords;
import foldtwice.words.Words;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** A kit is made: what goes in, what comes along and why, what is said of it. Or one is taken. */
final class KitsLeaf extends BorderPane {

  private static final int MOST = 80;

  private final Session session;
  private final Runnable onChosen;
  private final KitTaking taking;
  private final TextField filter = Skins.on(new TextField());
  private final ListView<About> list = new ListView<>();
  private final Set<About> chosen = new LinkedHashSet<>();
  private final VBox along = new VBox(5);
  private final TextField name = Skins.on(new TextField());
  private final TextField release = Skins.on(new TextField());
  private final TextField from = Skins.on(new TextField());
  private final TextField licence = Skins.on(new TextField());
  private final TextField notes = Skins.on(new TextField());
  private final Question<Kit.Choice> choosing;
  private final VBox left;
  private final ScrollPane middle;
  private final ScrollPane right;
  private Library library = Library.empty("");
  private Optional<Kit.Choice> choice = Optional.empty();

  KitsLeaf(Session session, Runnable onChosen) {
    this.session = session;
    this.onChosen = onChosen;
    taking = new KitTaking(session, onChosen, this::lay);
    choosing = session.background().question(Lane.WORK, this::chosen, this::cannot);
    filter.setId("kit-filter");
    Parts.prompt(filter, Ui.text("sheets.filter"));
    filter.textProperty().addListener((o, a, b) -> fill());
    list.setId("kit-about");
    list.setAccessibleText(Ui.text("kits.about"));
    list.setFixedCellSize(30);
    list.setCellFactory(v -> Skins.on(new Cell()));
    list.addEventHandler(
        KeyEvent.KEY_PRESSED,
        e -> {
          About at = list.getSelectionModel().getSelectedItem();
          if (e.getCode() == KeyCode.SPACE && at != null) {
            toggle(at);
            e.consume();
          }
        });
    VBox.setVgrow(list, Priority.ALWAYS);
    left =
        new VBox(
            6,
            Parts.label(Ui.text("kits.about"), "heading"),
            filter,
            list,
            Parts.wrapped(Ui.text("kits.hint"), "soft"));
    left.getStyleClass().add("routine-list");
    left.setPrefWidth(270);
    left.setMinWidth(200);
    along.setId("kit-along");
    along.getStyleClass().add("sheet-side");
    middle = Parts.leaf(along, true);
    VBox card = new VBox(8, Parts.label(Ui.text("kits.card"), "heading"));
    card.getStyleClass().add("sheet-side");
    card.setId("kit-card");
    field(card, "name", name);
    field(card, "release", release);
    field(card, "from", from);
    field(card, "licence", licence);
    field(card, "notes", notes);
    from.setText(session.store().who());
    name.textProperty().addListener((o, a, b) -> onChosen.run());
    right = Parts.leaf(card, true);
    right.setPrefWidth(300);
    lay();
  }

  private static void field(VBox card, String id, TextField field) {
    field.setId("kit-" + id);
    field.setAccessibleText(Ui.text("kits." + id));
    card.getChildren().addAll(Parts.label(Ui.text("kits." + id), "soft"), field);
  }

  /** The leaf as it is: a kit being made, or one looked at. */
  private void lay() {
    boolean takes = taking.isOpen();
    setLeft(takes ? null : left);
    setCenter(takes ? taking : middle);
    setRight(takes ? null : right);
  }

  KitTaking taking() {
    return taking;
  }

  void takeKeys() {
    if (taking.isOpen()) {
      taking.takeKeys();
    } else {
      list.requestFocus();
    }
  }

  void takeFilter() {
    filter.requestFocus();
  }

  void show(Snapshot now) {
    if (!new Question.Same(now.library()).equals(new Question.Same(library))) {
      library = now.library();
      chosen.retainAll(About.all(library));
      fill();
      ask();
    }
    taking.show(now);
  }

  private void fill() {
    String wanted = filter.getText().strip().toLowerCase(Locale.ROOT);
    int at = list.getSelectionModel().getSelectedIndex();
    list.getItems()
        .setAll(
            About.all(library).stream()
                .filter(a -> a.name(library).toLowerCase(Locale.ROOT).contains(wanted))
                .toList());
    list.getSelectionModel().select(Math.max(0, Math.min(at, list.getItems().size() - 1)));
  }

  /** Puts something in, or takes it out again. */
  void toggle(About about) {
    if (!chosen.remove(about)) {
      chosen.add(about);
    }
    if (name.getText().isBlank() && !chosen.isEmpty()) {
      name.setText(chosen.iterator().next().name(library));
    }
    list.refresh();
    ask();
  }

  /** Works out what comes along. */
  private void ask() {
    Library of = library;
    List<About> some = List.copyOf(chosen);
    if (some.isEmpty()) {
      choosing.drop();
      choice = Optional.empty();
      along.getChildren().setAll(Parts.wrapped(Ui.text("kits.nothing"), "soft"));
      onChosen.run();
      return;
    }
    if (choosing.ask(
        List.of(some, new Question.Same(of)), () -> DiskWork.done(() -> Kit.choose(of, some)))) {
      choice = Optional.empty();
      onChosen.run();
    }
  }

  private void cannot(String why) {
    choice = Optional.empty();
    along.getChildren().setAll(Parts.wrapped(why, "blocks"));
    onChosen.run();
  }

  private void chosen(Kit.Choice found) {
    choice = Optional.of(found);
    Library in = found.library();
    Words its = session.now().words().of(in);
    MergeWords words = new MergeWords(its, its);
    along
        .getChildren()
        .setAll(
            Parts.label(
                Ui.text("kits.count", in.bindings().size(), in.routines().size()), "title"));
    for (Routine r : found.conditions()) {
      along
          .getChildren()
          .add(
              Parts.wrapped(
                  Ui.text(
                      "kits.condition",
                      r.name(),
                      r.origin().from(),
                      r.origin().licence().isEmpty()
                          ? Ui.text("kits.nolicence")
                          : r.origin().licence()),
                  "costs"));
    }
    along.getChildren().add(Parts.label(Ui.text("kits.along"), "heading"));
    found.along().stream()
        .limit(MOST)
        .forEach(
            a ->
                along
                    .getChildren()
                    .add(
                        Parts.wrapped(
                            Ui.text(
                                "kits.because",
                                words.named(a.list(), a.id()),
                                words.named(a.becauseList(), a.becauseId())))));
    if (found.along().size() > MOST) {
      along
          .getChildren()
          .add(Parts.label(Ui.text("sheets.more", found.along().size() - MOST), "soft"));
    }
    onChosen.run();
  }

  boolean canSave() {
    return !taking.isOpen()
        && choice
            .filter(c -> !c.library().routines().isEmpty() || !c.library().surfaces().isEmpty())
            .isPresent()
        && !name.getText().isBlank();
  }

  /** Writes the kit to a file. */
  void save() {
    Kit kit =
        new Kit(
            new Kit.Card(
                name.getText().strip(),
                release.getText().strip(),
                from.getText().strip(),
                licence.getText().strip(),
                notes.getText().strip()),
            Ids.of(name.getText().strip(), "kit"),
            choice.orElseThrow().library());
    Saving.text(
        session,
        getScene().getWindow(),
        Ui.text("act.kit-save"),
        kit.id() + "-kit.json",
        () -> written(kit));
  }

  private static String written(Kit kit) {
    String document = kit.write();
    try {
      var unused = Kit.read(document.getBytes(StandardCharsets.UTF_8)); // what is written now opens
      return document;
    } catch (FormatException e) {
      throw new IllegalStateException(e.getMessage(), e);
    }
  }

  /** What can go in, with a box that says whether it does. */
  private final class Cell extends ListCell<About> {
    @Override
    protected void updateItem(About about, boolean empty) {
      super.updateItem(about, empty);
      setText(null);
      if (empty || about == null) {
        setGraphic(null);
        return;
      }
      String says =
          Ui.text("sheets.about." + about.getClass().getSimpleName(), about.name(library));
      CheckBox box = Skins.on(new CheckBox(says));
      box.setSelected(chosen.contains(about));
      box.setFocusTraversable(false);
      box.setOnAction(e -> toggle(about));
      setGraphic(box);
      setAccessibleText(
          chosen.contains(about) ? Ui.text("kits.isin", says) : Ui.text("kits.isout", says));
    }
  }
}
