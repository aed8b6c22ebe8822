package foldtwice.desktop.live;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.LiveReading;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.view.Acts;
import foldtwice.live.Live;
import foldtwice.live.survey.Proposal;
import foldtwice.live.survey.Survey;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** What was read off a running program: what is new, changed and gone, before it is taken in. */
final class ReadCard extends VBox {

  private final Session session;
  private final Acts<LiveView> acts;
  private final Runnable onLeft;
  private final Label title = Parts.label("", "title");
  private final Label says = Parts.wrapped("", "soft");
  private final Label conflicts = Parts.wrapped("", "costs");
  private final ListView<Proposal.Difference> differences = new ListView<>();
  private final CheckBox without = Skins.on(new CheckBox(Ui.text("live.without")));
  private final ComboBox<Survey.Item> dialogs = new ComboBox<>();
  private final List<List<String>> opened = new ArrayList<>();
  private Optional<Live.Running> running = Optional.empty();
  private Optional<LiveReading> read = Optional.empty();

  ReadCard(Session session, Acts<LiveView> acts, Runnable onLeft) {
    super(10);
    this.session = session;
    this.acts = acts;
    this.onLeft = onLeft;
    getStyleClass().add("payback-card");
    setId("live-reading");
    says.setId("live-read-says");
    conflicts.managedProperty().bind(conflicts.textProperty().isNotEmpty());
    differences.setId("live-differences");
    differences.setAccessibleText(Ui.text("live.differences"));
    differences.setCellFactory(l -> Skins.on(new Row()));
    differences.setFixedCellSize(30);
    VBox.setVgrow(differences, Priority.ALWAYS);
    without.setId("live-without");
    dialogs.setId("live-dialogs");
    Parts.prompt(dialogs, Ui.text("live.dialogof.prompt"));
    dialogs.setAccessibleText(Ui.text("live.dialogof"));
    Parts.shows(dialogs, i -> String.join(" \u203a ", i.path()));
    Parts.onChosen(dialogs, acts::refresh);
    dialogs.setMaxWidth(300);
    HBox dialog =
        new HBox(
            8,
            Parts.label(Ui.text("live.dialogof"), "soft"),
            dialogs,
            acts.button("live-read-dialog"));
    dialog.setAlignment(Pos.CENTER_LEFT);
    FlowPane buttons =
        new FlowPane(
            8, 6, acts.button("live-take", "main"), acts.button("live-leave", "link"), without);
    buttons.setAlignment(Pos.CENTER_LEFT);
    getChildren().addAll(title, says, conflicts, differences, dialog, buttons);
  }

  void begin(Live.Running program) {
    running = Optional.of(program);
    opened.clear();
    read = Optional.empty();
    differences.getItems().clear();
    dialogs.getItems().clear();
    title.setText(program.name());
    conflicts.setText("");
    look();
  }

  private void look() {
    says.setText(Ui.text("live.reading"));
    session.live().read(running.orElseThrow(), List.copyOf(opened), this::show);
  }

  private void show(Optional<LiveReading> found) {
    if (running.isEmpty()) {
      return;
    }
    read = found;
    if (found.isEmpty()) {
      says.setText(Ui.text("live.silent"));
      acts.refresh();
      return;
    }
    Proposal p = found.get().proposal();
    Survey survey = found.get().survey();
    String counted =
        p.differences().isEmpty()
            ? Ui.text("live.same", survey.items().size())
            : Ui.text(
                "live.counted",
                p.count(Proposal.Fate.NEW),
                p.count(Proposal.Fate.CHANGED),
                p.count(Proposal.Fate.GONE));
    says.setText(
        counted
            + (survey.twins().isEmpty() ? "" : " " + Ui.text("live.twins", survey.twins().size()))
            + (survey.whole() ? "" : " " + Ui.text("live.cut")));
    List<String> wrong = new ArrayList<>();
    if (!found.get().touched().isEmpty()) {
      wrong.add(Ui.text("live.touched", String.join(", ", found.get().touched())));
    }
    if (found.get().conflicts() > 0) {
      wrong.add(Ui.text("live.conflicts", found.get().conflicts()));
    }
    conflicts.setText(String.join(" ", wrong));
    differences.getItems().setAll(p.differences());
    if (!p.differences().isEmpty()) {
      differences.getSelectionModel().select(0);
    }
    Survey.Item was = dialogs.getValue();
    dialogs
        .getItems()
        .setAll(
            survey.items().stream()
                .filter(
                    i ->
                        i.path().getLast().endsWith("\u2026") || i.path().getLast().endsWith("..."))
                .toList());
    dialogs.setValue(dialogs.getItems().contains(was) ? was : null);
    without.setVisible(p.count(Proposal.Fate.GONE) > 0);
    acts.refresh();
  }

  boolean isOpen() {
    return running.isPresent();
  }

  boolean canTake() {
    return read.filter(r -> !r.proposal().differences().isEmpty()).isPresent();
  }

  boolean canOpen() {
    return isOpen() && dialogs.getValue() != null;
  }

  /** Has the program open a dialog, and reads it too. */
  void openDialog() {
    opened.add(dialogs.getValue().path());
    look();
  }

  void take() {
    read.ifPresent(
        r -> {
          Proposal p = r.proposal();
          session.make(
              p.edit(without.isSelected()),
              Ui.text("said.liveread", p.application().name(), p.differences().size()));
          onLeft.run();
        });
  }

  void close() {
    running = Optional.empty();
    read = Optional.empty();
  }

  private static final class Row extends ListCell<Proposal.Difference> {
    @Override
    protected void updateItem(Proposal.Difference d, boolean empty) {
      super.updateItem(d, empty);
      setText(null);
      if (empty || d == null) {
        setGraphic(null);
        return;
      }
      Label fate =
          Parts.label(
              Ui.text("live.fate." + d.fate()),
              d.fate() == Proposal.Fate.GONE
                  ? "blocks"
                  : d.fate() == Proposal.Fate.NEW ? "good" : "costs");
      fate.setMinWidth(70);
      Label what = Parts.label(Ui.text("live.what." + d.what()), "soft");
      what.setMinWidth(74);
      Label name = Parts.label(d.name());
      HBox.setHgrow(name, Priority.ALWAYS);
      name.setMaxWidth(Double.MAX_VALUE);
      String change =
          d.before().isEmpty() || d.now().isEmpty()
              ? d.before() + d.now()
              : d.before() + " \u2192 " + d.now();
      Label keys = Parts.label(change, "mono", "soft");
      keys.setMaxWidth(320);
      HBox row = new HBox(8, fate, what, name, keys);
      row.setPrefWidth(100);
      row.setAlignment(Pos.CENTER_LEFT);
      setGraphic(row);
      setAccessibleText(fate.getText() + " " + what.getText() + " " + d.name() + " " + change);
    }
  }
}
