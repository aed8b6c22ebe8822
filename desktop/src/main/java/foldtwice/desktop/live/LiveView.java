package foldtwice.desktop.live;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.LiveDesk;
import foldtwice.desktop.session.LiveState;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.view.Act;
import foldtwice.desktop.view.Acts;
import foldtwice.desktop.view.Going;
import foldtwice.desktop.view.Target;
import foldtwice.desktop.view.View;
import foldtwice.library.Library;
import foldtwice.live.Live;
import foldtwice.live.program.Untold;
import foldtwice.place.Application;
import foldtwice.routine.Routine;
import foldtwice.trigger.Key;
import foldtwice.trigger.Press;
import foldtwice.trigger.Stroke;
import foldtwice.words.Words;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The real programs of this computer: which are running, what was read off them, what fired. */
public final class LiveView extends BorderPane implements View {

  public static final List<Act<LiveView>> ACTS =
      List.of(
          new Act<>("live-listen", LiveView::canListen, v -> v.desk.listen()),
          new Act<>("live-stop", v -> v.desk.isBusy(), v -> v.desk.stop()),
          new Act<>("live-look", LiveView::lookAgain),
          new Act<>(
              "live-forbid",
              v -> v.session.mayWrite() && v.isAllowed(),
              v -> v.desk.allowLive(false)),
          new Act<>(
              "live-allow-library",
              v -> v.session.mayWrite() && !v.isAllowed(),
              v -> v.desk.allowLive(true)),
          new Act<>("live-read", v -> v.chosen().isPresent(), LiveView::read),
          new Act<>("live-read-dialog", v -> v.reading.canOpen(), v -> v.reading.openDialog()),
          new Act<>("live-take", v -> v.canTake(), v -> v.reading.take()),
          new Act<>("live-leave", v -> v.reading.isOpen(), LiveView::leaveReading),
          new Act<>("live-run", v -> v.canRun(), v -> v.routine().ifPresent(v.desk.byHand()::run)),
          new Act<>("live-undo", v -> v.desk.byHand().canUndo(), v -> v.desk.byHand().undoRun()),
          new Act<>("live-dry", v -> v.canRun(), v -> v.routine().ifPresent(v.desk.byHand()::dry)));

  private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm:ss");

  /** More keys are not named in one line. */
  private static final int NAMED = 4;

  private final Session session;
  private final LiveDesk desk;
  private final Acts<LiveView> acts = new Acts<>(this, ACTS);
  private final ListView<Live.Running> programs = new ListView<>();
  private final Label reach = Parts.wrapped("", "soft");
  private final Label listening = Parts.wrapped("", "soft");
  private final Label wrongKeys = Parts.wrapped("", "blocks");
  private final ComboBox<Routine> routines = new ComboBox<>();
  private final ReadCard reading;
  private final FiredCard fired;
  private final BorderPane right = new BorderPane();
  private final VBox running;
  private boolean looked;

  /** A view of the session's programs. */
  public LiveView(Session session, Going going) {
    this.session = session;
    this.desk = session.live();
    reading = new ReadCard(session, acts, this::leaveReading);
    fired = new FiredCard(session, going);
    TextField stopKeys = Parts.input("live-stop-keys", Ui.text("live.stopkeys"), 11);
    stopKeys.setText(desk.stopKeys());
    Parts.onKept(stopKeys, () -> keepStop(stopKeys));
    listening.setId("live-listening");
    HBox.setHgrow(listening, Priority.ALWAYS);
    listening.setMaxWidth(Double.MAX_VALUE);
    HBox top =
        new HBox(
            8,
            acts.button("live-listen", "main"),
            acts.button("live-stop"),
            listening,
            Parts.label(Ui.text("live.stopkeys"), "soft"),
            stopKeys,
            acts.menu("live-more", Ui.text("live.more"), "live-forbid", "live-allow-library"));
    top.getChildren().stream()
        .filter(n -> n instanceof Label && n != listening)
        .forEach(n -> ((Label) n).setMinWidth(USE_PREF_SIZE));
    top.setAlignment(Pos.CENTER_LEFT);
    top.getStyleClass().add("view-top");
    wrongKeys.managedProperty().bind(wrongKeys.textProperty().isNotEmpty());
    wrongKeys.getStyleClass().add("view-said");
    setTop(new VBox(top, wrongKeys));
    programs.setId("live-programs");
    programs.setAccessibleText(Ui.text("live.programs"));
    programs.setCellFactory(l -> Skins.on(new ProgramCell()));
    programs.setFixedCellSize(46);
    programs.getSelectionModel().selectedItemProperty().addListener((o, a, b) -> acts.refresh());
    programs.setOnMouseClicked(
        e -> {
          if (e.getClickCount() == 2 && chosen().isPresent()) {
            read();
          }
        });
    reach.setId("live-reach");
    reach.managedProperty().bind(reach.textProperty().isNotEmpty());
    HBox head =
        new HBox(
            8,
            Parts.label(Ui.text("live.programs"), "heading"),
            Parts.gap(),
            acts.button("live-look", "link"));
    head.setAlignment(Pos.CENTER_LEFT);
    VBox.setVgrow(programs, Priority.ALWAYS);
    running = new VBox(8, head, reach, programs, acts.button("live-read"));
    running.getStyleClass().add("payback-card");
    running.setPrefWidth(330);
    running.setMinWidth(240);
    routines.setId("live-routine");
    Parts.prompt(routines, Ui.text("live.routine"));
    Parts.shows(routines, Routine::name);
    Parts.onChosen(routines, acts::refresh);
    HBox.setHgrow(routines, Priority.ALWAYS);
    routines.setMaxWidth(360);
    HBox run =
        new HBox(
            8,
            routines,
            acts.button("live-run"),
            acts.button("live-dry", "link"),
            Parts.gap(),
            acts.button("live-undo", "link"));
    run.setAlignment(Pos.CENTER_LEFT);
    VBox.setVgrow(fired, Priority.ALWAYS);
    VBox both = new VBox(10, run, fired);
    both.getStyleClass().add("payback-card");
    right.setCenter(both);
    HBox.setHgrow(right, Priority.ALWAYS);
    right.setUserData(both);
    HBox whole = new HBox(14, running, right);
    whole.getStyleClass().add("payback-grid-pane");
    setCenter(whole);
    desk.stateProperty().addListener((o, was, is) -> show(is));
    desk.byHand().onChange(acts::refresh);
  }

  private void keepStop(TextField keys) {
    Optional<String> wrong = desk.stopKeys(keys.getText());
    wrongKeys.setText(wrong.orElse(""));
  }

  private boolean isAllowed() {
    return session.now().library().live();
  }

  private boolean canListen() {
    return isAllowed()
        && !desk.isListening()
        && desk.state().reach() instanceof LiveState.Reach.There;
  }

  private Optional<Live.Running> chosen() {
    return Optional.ofNullable(programs.getSelectionModel().getSelectedItem());
  }

  private Optional<Routine> routine() {
    return Optional.ofNullable(routines.getValue());
  }

  private boolean canRun() {
    return isAllowed() && routine().isPresent();
  }

  private boolean canTake() {
    return reading.canTake() && session.mayWrite();
  }

  private void read() {
    chosen()
        .ifPresent(
            r -> {
              reading.begin(r);
              right.setCenter(reading);
              acts.refresh();
            });
  }

  private void leaveReading() {
    reading.close();
    right.setCenter((Node) right.getUserData());
    acts.refresh();
    programs.requestFocus();
  }

  private final class ProgramCell extends ListCell<Live.Running> {
    @Override
    protected void updateItem(Live.Running item, boolean empty) {
      super.updateItem(item, empty);
      setText(null);
      if (empty || item == null) {
        setGraphic(null);
        return;
      }
      Optional<Application> known =
          session.now().library().applications().values().stream().filter(item::is).findFirst();
      Label name = Parts.label(item.name(), "strong");
      Label says =
          Parts.label(
              known
                  .map(a -> Ui.text("live.known", a.name(), a.commands().size()))
                  .orElseGet(() -> Ui.text("live.unknown")),
              "soft");
      setGraphic(new VBox(1, name, says));
      setAccessibleText(name.getText() + ", " + says.getText());
    }
  }

  private void show(LiveState state) {
    reach.setText(
        switch (state.reach()) {
          case LiveState.Reach.Unknown u -> Ui.text("live.looking");
          case LiveState.Reach.Not(String why) -> why;
          case LiveState.Reach.There(List<Live.Running> all) ->
              all.isEmpty() ? Ui.text("live.nobody") : "";
        });
    if (state.reach() instanceof LiveState.Reach.There(List<Live.Running> all)
        && !all.equals(programs.getItems())) {
      Optional<Live.Running> was = chosen();
      programs.getItems().setAll(all);
      all.stream()
          .filter(r -> was.filter(w -> w.process() == r.process()).isPresent())
          .findFirst()
          .or(() -> all.stream().findFirst())
          .ifPresent(programs.getSelectionModel()::select);
    }
    listening.setText(
        state
            .caught()
            .map(
                n ->
                    state.taken().isEmpty()
                        ? Ui.text("live.listening", n)
                        : Ui.text(
                            "live.listeningbut", n, state.taken().size(), named(state.taken())))
            .map(said -> (said + " " + untold(state)).strip())
            .orElseGet(() -> Ui.text(isAllowed() ? "live.notlistening" : "live.forbidden")));
    fired.show(state);
    acts.refresh();
  }

  /** What is not heard, because nobody tells when one is there; empty for nothing. */
  private String untold(LiveState state) {
    if (!(state.reach() instanceof LiveState.Reach.There(List<Live.Running> all))) {
      return "";
    }
    Library library = session.now().library();
    Set<String> running =
        library.applications().values().stream()
            .filter(a -> all.stream().anyMatch(r -> r.is(a)))
            .map(Application::id)
            .collect(Collectors.toSet());
    Untold untold = Untold.of(library, running);
    return untold.bindings().isEmpty()
        ? ""
        : Ui.text("live.untold", untold.bindings().size(), String.join(", ", untold.contexts()));
  }

  /** Reads a running program, for who makes pictures; nothing when it is not there. */
  public void read(Live.Running program) {
    programs.getSelectionModel().select(program);
    read();
  }

  /** Presses by what is printed on their keys, a few of them. */
  private String named(Set<Press> presses) {
    Words words = session.now().words();
    List<String> all =
        presses.stream()
            .map(p -> String.join("+", words.caps(new Stroke(p.held(), new Key.At(p.code())))))
            .sorted()
            .toList();
    return String.join(", ", all.subList(0, Math.min(NAMED, all.size())))
        + (all.size() > NAMED ? " \u2026" : "");
  }

  @Override
  public Node node() {
    return this;
  }

  @Override
  public void show(Snapshot now) {
    List<Routine> all = List.copyOf(now.library().routines().values());
    if (!all.equals(routines.getItems())) {
      String was = routine().map(Routine::id).orElse("");
      routines.getItems().setAll(all);
      routines.setValue(all.stream().filter(r -> r.id().equals(was)).findFirst().orElse(null));
    }
    programs.refresh();
    show(desk.state());
    if (!looked) {
      looked = true;
      desk.look(seen -> {});
    }
  }

  /** As asked for: what was seen is said with the time, as it may be what was seen before. */
  private void lookAgain() {
    desk.look(
        seen ->
            session.say(
                switch (seen) {
                  case LiveState.Reach.There(List<Live.Running> all) ->
                      Ui.text(
                          "said.looked",
                          LocalTime.now(ZoneId.systemDefault()).format(TIME),
                          all.size());
                  case LiveState.Reach.Not(String why) ->
                      Ui.text(
                          "said.notlooked",
                          LocalTime.now(ZoneId.systemDefault()).format(TIME),
                          why);
                  case LiveState.Reach.Unknown u -> Ui.text("live.looking");
                }));
  }

  @Override
  public void takeKeys() {
    programs.requestFocus();
  }

  @Override
  public Target here() {
    return new Target.Sheet("live");
  }
}
