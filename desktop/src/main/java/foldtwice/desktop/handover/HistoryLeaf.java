package foldtwice.desktop.handover;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Background.Lane;
import foldtwice.desktop.session.DiskWork;
import foldtwice.desktop.session.Question;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Library;
import foldtwice.library.Returning;
import foldtwice.library.file.Chronicle;
import foldtwice.library.file.LibraryFile;
import foldtwice.library.file.LibraryStore;
import foldtwice.merge.Differing;
import foldtwice.merge.TakingBack;
import foldtwice.text.DiskWords;
import foldtwice.words.MergeWords;
import foldtwice.words.Words;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** What was done to the library, day by day; what one change did, and the way back from it. */
final class HistoryLeaf extends BorderPane {

  private static final ZoneId HERE = ZoneId.systemDefault();
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("EEEE, d MMMM uuuu", Locale.ENGLISH).withZone(HERE);
  private static final DateTimeFormatter MARGIN =
      DateTimeFormatter.ofPattern("d MMM uu", Locale.ENGLISH).withZone(HERE);
  private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm").withZone(HERE);

  /** All there was, and of each what it is found by. */
  private record Listed(Chronicle chronicle, List<String> texts) {
    static Listed of(Chronicle all) {
      return new Listed(
          all,
          all.events().stream()
              .map(
                  e ->
                      (DAY.format(e.at()) + " " + e.who() + " " + says(e)).toLowerCase(Locale.ROOT))
              .toList());
    }
  }

  /** A change, looked at: the states around it, and whether it can be taken back by itself. */
  private record Looked(
      Chronicle.Event event,
      Chronicle.Around around,
      Differing differing,
      TakingBack back,
      Library now) {}

  private final Session session;
  private final Runnable onChosen;
  private final TextField filter = Skins.on(new TextField());
  private final ListView<Chronicle.Event> list = new ListView<>();
  private final Label count = Parts.label("", "soft");
  private final CheckBox since = Skins.on(new CheckBox());
  private final TextField name = Skins.on(new TextField());
  private final VBox told = new VBox(8);
  private final Question<Listed> reading;
  private final Question<Looked> looking;
  private Optional<Listed> listed = Optional.empty();
  private Optional<Looked> looked = Optional.empty();

  /**
   * Of the session's library.
   *
   * @param keep keeps the state of today under the name that is typed beside it
   * @param onChosen called when what can be done is another
   */
  HistoryLeaf(Session session, Button keep, Runnable onChosen) {
    this.session = session;
    this.onChosen = onChosen;
    reading = session.background().question(Lane.READING, this::read, this::cannot);
    looking = session.background().question(Lane.WORK, this::looked, this::cannot);
    filter.setId("history-filter");
    Parts.prompt(filter, Ui.text("history.filter"));
    filter.textProperty().addListener((o, a, b) -> fill());
    since.setId("history-since");
    session
        .lastHere()
        .ifPresentOrElse(
            at -> since.setText(Ui.text("history.since", MARGIN.format(at), TIME.format(at))),
            () -> since.setVisible(false));
    since.managedProperty().bind(since.visibleProperty());
    since.selectedProperty().addListener((o, a, b) -> fill());
    name.setId("history-name");
    Parts.prompt(name, Ui.text("history.name"));
    name.textProperty().addListener((o, a, b) -> onChosen.run());
    name.setOnAction(e -> keepState());
    HBox.setHgrow(name, Priority.ALWAYS);
    list.setId("history");
    list.setAccessibleText(Ui.text("handover.history"));
    list.setFixedCellSize(28);
    list.setCellFactory(v -> Skins.on(new Cell()));
    list.setPlaceholder(Parts.wrapped(Ui.text("history.none"), "soft"));
    list.getSelectionModel().selectedItemProperty().addListener((o, a, b) -> look());
    VBox.setVgrow(list, Priority.ALWAYS);
    count.setId("history-count");
    HBox keeping = new HBox(8, name, keep);
    keeping.setAlignment(Pos.CENTER_LEFT);
    VBox left = new VBox(6, filter, since, list, count, keeping);
    left.getStyleClass().add("routine-list");
    left.setPrefWidth(520);
    left.setMinWidth(280);
    told.setId("history-told");
    told.getStyleClass().add("sheet-side");
    ScrollPane middle = Parts.leaf(told, true);
    setLeft(left);
    setCenter(middle);
  }

  void takeKeys() {
    list.requestFocus();
  }

  void takeFilter() {
    filter.requestFocus();
  }

  /** Reads on when the library is another one. */
  void show(Snapshot now) {
    LibraryStore store = session.store();
    reading.ask(
        List.of(new Question.Same(now.library()), store.file()),
        () -> Listed.of(store.chronicle().join()));
  }

  private void read(Listed all) {
    listed = Optional.of(all);
    fill();
    look();
  }

  private void cannot(String why) {
    told.getChildren().setAll(Parts.wrapped(why, "blocks"));
    looked = Optional.empty();
    onChosen.run();
  }

  private void fill() {
    String wanted = filter.getText().strip().toLowerCase(Locale.ROOT);
    List<Chronicle.Event> all = listed.map(l -> l.chronicle().events()).orElse(List.of());
    List<String> texts = listed.map(Listed::texts).orElse(List.of());
    int chosen = Optional.ofNullable(chosen()).map(Chronicle.Event::number).orElse(-1);
    List<Chronicle.Event> shown =
        all.reversed().stream()
            .filter(e -> texts.get(e.number()).contains(wanted))
            .filter(e -> !since.isSelected() || isSince(e))
            .toList();
    list.getItems().setAll(shown);
    int unreadable = listed.map(l -> l.chronicle().unreadable()).orElse(0);
    count.setText(
        Ui.text("history.count", shown.size(), all.size())
            + (unreadable > 0 ? " " + Ui.text("history.unreadable", unreadable) : ""));
    for (int i = 0; i < shown.size(); i++) {
      if (shown.get(i).number() == chosen) {
        list.getSelectionModel().select(i);
      }
    }
    if (chosen() == null) {
      list.getSelectionModel().selectFirst();
    }
  }

  private boolean isSince(Chronicle.Event e) {
    return session.lastHere().filter(e.at()::isAfter).isPresent();
  }

  /** Only what was done since this person was here before, or all again. */
  void onlySince() {
    since.setSelected(!since.isSelected());
    list.requestFocus();
  }

  boolean wasHere() {
    return session.lastHere().isPresent();
  }

  /** Keeps the library as it is now under the name that was typed; else asks for one. */
  void keepState() {
    String called = name.getText().strip();
    if (called.isEmpty()) {
      name.requestFocus();
      session.say(Ui.text("history.nameit"));
      return;
    }
    session.disk().keepState(called, name::clear);
  }

  private Chronicle.Event chosen() {
    return list.getSelectionModel().getSelectedItem();
  }

  /** Works out what the chosen one did, and whether it can be taken back. */
  private void look() {
    Chronicle.Event event = chosen();
    if (event == null || listed.isEmpty()) {
      looking.drop();
      looked = Optional.empty();
      told.getChildren().clear();
      onChosen.run();
      return;
    }
    Chronicle of = listed.get().chronicle();
    if (looking.ask(List.of(new Question.Same(of), event.number()), () -> looked(of, event))) {
      looked = Optional.empty();
      onChosen.run();
    }
  }

  private static Looked looked(Chronicle of, Chronicle.Event event) {
    return DiskWork.done(
        () -> {
          Chronicle.Around around = of.around(event);
          return new Looked(
              event,
              around,
              Differing.between(around.before(), around.after()),
              TakingBack.of(of.present(), around.before(), around.after()),
              of.present());
        });
  }

  private MergeWords words(Library was, Library is) {
    Words around = session.now().words();
    return new MergeWords(around.of(was), around.of(is));
  }

  private void looked(Looked found) {
    looked = Optional.of(found);
    Chronicle.Event event = found.event();
    told.getChildren()
        .setAll(
            Parts.wrapped(says(event), "title"),
            Parts.label(
                Ui.text(
                    "history.when", DAY.format(event.at()), TIME.format(event.at()), event.who()),
                "soft"),
            Parts.label(Ui.text("history.did"), "heading"));
    Differences.add(
        told, found.differing().rows(), words(found.around().before(), found.around().after()));
    switch (found.back()) {
      case TakingBack.Possible p ->
          told.getChildren().add(Parts.wrapped(Ui.text("history.possible"), "good"));
      case TakingBack.Gone g ->
          told.getChildren().add(Parts.wrapped(Ui.text("history.gone"), "soft"));
      case TakingBack.Standing(var now) -> {
        told.getChildren().add(Parts.wrapped(Ui.text("history.standing"), "costs"));
        MergeWords today = words(found.around().after(), found.now());
        now.stream()
            .limit(Differences.MOST)
            .forEach(c -> told.getChildren().add(Parts.wrapped(today.standing(c), "costs")));
      }
    }
    onChosen.run();
  }

  /** The library right after the chosen change, and when that was. */
  record Then(String when, Library library) {}

  Optional<Then> then() {
    return looked.map(l -> new Then(when(l.event()), l.around().after()));
  }

  boolean isChosen() {
    return looked.isPresent();
  }

  boolean canTakeBack() {
    return looked.filter(l -> l.back() instanceof TakingBack.Possible).isPresent();
  }

  /** Takes the chosen change back, as an edit; all that came later stays. */
  void takeBack() {
    looked.ifPresent(
        l -> {
          if (l.back() instanceof TakingBack.Possible(var edit)) {
            session.make(edit, Ui.text("said.tookback", says(l.event())));
            list.requestFocus(); // the button has nothing to do any more
          }
        });
  }

  /** Makes the library what it was right after the chosen change, as an edit. */
  void goBackTo() {
    looked.ifPresent(
        l -> {
          session.make(
              Returning.to(session.now().library(), l.around().after()),
              Ui.text("said.returned", when(l.event())));
          list.requestFocus();
        });
  }

  /** Writes the library as it was right after the chosen change to a file of its own. */
  void saveThen() {
    Looked of = looked.orElseThrow();
    String name = String.valueOf(session.store().file().getFileName()).replaceFirst("\\.json$", "");
    session
        .files()
        .fresh(
            getScene().getWindow(),
            Ui.text("act.history-save"),
            name + "-" + LocalDate.ofInstant(of.event().at(), HERE) + ".json")
        .ifPresent(file -> write(of.around().after(), file));
  }

  private void write(Library library, Path file) {
    String who = session.store().who();
    session
        .background()
        .once(
            Lane.READING,
            () -> {
              try {
                LibraryFile.write(file, library, who);
                return file;
              } catch (IOException e) {
                throw new UncheckedIOException(
                    Ui.text("sheets.cannot", file, DiskWords.reason(e)), e);
              }
            },
            there -> session.say(Ui.text("said.copied", there)));
  }

  private static String when(Chronicle.Event e) {
    return DAY.format(e.at()) + ", " + TIME.format(e.at());
  }

  private static String says(Chronicle.Event e) {
    String what = e.says().isEmpty() ? Ui.text("history.change") : e.says();
    return switch (e.how()) {
      case MADE -> what;
      case TAKEN_BACK -> Ui.text("history.takenback", what);
      case MADE_AGAIN -> Ui.text("history.madeagain", what);
    };
  }

  /** A change; the first of a day has the day in the margin. */
  private static final class Cell extends ListCell<Chronicle.Event> {
    @Override
    protected void updateItem(Chronicle.Event e, boolean empty) {
      super.updateItem(e, empty);
      setText(null);
      if (empty || e == null) {
        setGraphic(null);
        return;
      }
      Label time = Parts.label(TIME.format(e.at()), "mono", "soft");
      time.setMinWidth(46);
      Label what = Parts.label(says(e));
      HBox.setHgrow(what, Priority.ALWAYS);
      what.setMaxWidth(Double.MAX_VALUE);
      what.setMinWidth(0);
      Label who = Parts.label(e.who(), "soft");
      who.setMinWidth(USE_PREF_SIZE);
      int above = getIndex() - 1;
      boolean first =
          above < 0
              || above >= getListView().getItems().size()
              || !DAY.format(getListView().getItems().get(above).at()).equals(DAY.format(e.at()));
      Label day = Parts.label(first ? MARGIN.format(e.at()) : "", "strong");
      day.setMinWidth(78);
      HBox row = new HBox(8, day, time, what, who);
      row.setAlignment(Pos.CENTER_LEFT);
      row.setPrefWidth(100);
      setGraphic(row);
      setAccessibleText(when(e) + ", " + e.who() + ": " + says(e));
    }
  }
}
