package foldtwice.desktop.payback;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Background.Lane;
import foldtwice.desktop.session.Question;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.view.Act;
import foldtwice.desktop.view.Acts;
import foldtwice.desktop.view.Going;
import foldtwice.desktop.view.Target;
import foldtwice.desktop.view.View;
import foldtwice.effort.Measured;
import foldtwice.effort.Payback;
import foldtwice.effort.Skill;
import foldtwice.effort.Span;
import foldtwice.effort.Values;
import foldtwice.extras.Extras;
import foldtwice.library.Edit;
import foldtwice.library.Ids;
import foldtwice.library.Library;
import foldtwice.library.Outlay;
import foldtwice.library.Procedure;
import foldtwice.routine.Yardstick;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.RowConstraints;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** What the library saves: at a glance, what saves most, both routes, and what to bind next. */
public final class PaybackView extends BorderPane implements View {

  public static final List<Act<PaybackView>> ACTS =
      List.of(
          new Act<>("payback-routines", v -> v.look(Entry.By.ROUTINE)),
          new Act<>("payback-procedures", v -> v.look(Entry.By.PROCEDURE)),
          new Act<>("payback-programs", v -> v.look(Entry.By.PROGRAM)),
          new Act<>("payback-devices", v -> v.look(Entry.By.DEVICE)),
          new Act<>("payback-stations", v -> v.look(Entry.By.STATION)),
          new Act<>("payback-route", v -> v.routes.canEdit(), v -> v.routes.startEditing()),
          new Act<>("procedure-new", v -> v.session.mayWrite(), v -> v.newProcedure(List.of())),
          new Act<>(
              "procedure-fired",
              v -> v.session.mayWrite() && !v.session.proofs().lately().isEmpty(),
              v -> v.newProcedure(v.session.proofs().lately())),
          new Act<>("procedure-practise", v -> v.canPractise(), PaybackView::practise),
          new Act<>(
              "procedure-delete",
              v -> v.session.mayWrite() && v.procedure.shown().isPresent(),
              PaybackView::deleteProcedure),
          new Act<>("payback-uses", v -> v.uses.choose()),
          new Act<>("payback-measure", v -> !v.exercise.isOn(), v -> v.exercise.start()));

  private final Session session;
  private final Acts<PaybackView> acts = new Acts<>(this, ACTS);
  private final HandValues hand = new HandValues();
  private final Glance glance = new Glance();
  private final Shares shares = new Shares(e -> this.chosen());
  private final Routes routes;
  private final Tasks tasks;
  private final UsesRead uses;
  private final Exercise exercise;
  private final Practice practice;
  private final ProcedurePane procedure;
  private final ComboBox<String> skill = new ComboBox<>();
  private final Map<Entry.By, ToggleButton> chips;
  private final Question<Payback> working;
  private final StackPane whole = new StackPane();
  private Optional<Payback> found = Optional.empty();

  /** The same on every station, as far as it is worked out. */
  private final Question<Map<String, Payback>> stations;

  private Map<String, Payback> onStations = Map.of();
  private Entry.By by = Entry.By.ROUTINE;

  /** A procedure that was just made, to be chosen as soon as it is worked out. */
  private Optional<String> wanted = Optional.empty();

  /** A view of the session's library. */
  public PaybackView(Session session, Going going) {
    this.session = session;
    routes = new Routes(session, going);
    tasks = new Tasks(going);
    uses = new UsesRead(session, going);
    exercise = new Exercise(this::measured, this::refresh);
    practice = new Practice(this::refresh);
    procedure =
        new ProcedurePane(
            session, acts.button("procedure-practise"), acts.button("procedure-delete", "link"));
    working = session.background().question(Lane.WORK, this::show);
    stations = session.background().question(Lane.WORK, this::show);
    chips = Parts.chips(Entry.By.class, "payback-", b -> Ui.text("payback.chip." + b), this::look);
    chips.get(by).setSelected(true);
    skill.setId("payback-skill");
    skill.setAccessibleText(Ui.text("payback.hand"));
    Parts.shows(skill, s -> Ui.text("payback.skill." + s));
    fillSkills();
    Parts.onChosen(skill, this::choose);
    HBox top = new HBox(6);
    top.setAlignment(Pos.CENTER_LEFT);
    top.getStyleClass().add("view-top");
    top.getChildren().addAll(chips.values());
    HBox forChains = new HBox(8, acts.button("procedure-new"), acts.button("procedure-fired"));
    forChains.setAlignment(Pos.CENTER_LEFT);
    forChains.managedProperty().bind(forChains.visibleProperty());
    forChains.visibleProperty().bind(procedure.visibleProperty());
    procedure.setVisible(false);
    top.getChildren().add(forChains);
    top.getChildren()
        .addAll(
            Parts.gap(),
            Parts.label(Ui.text("payback.hand"), "soft"),
            skill,
            acts.menu("payback-more", Ui.text("payback.more"), "payback-measure", "payback-uses"));
    setTop(top);
    VBox next = new VBox(12, uses, tasks);
    next.getStyleClass().add("payback-next");
    ScrollPane right = Parts.leaf(next, true);
    right.setFocusTraversable(false);
    right.getStyleClass().add("payback-scroll");
    GridPane grid = new GridPane(14, 14);
    grid.getStyleClass().add("payback-grid-pane");
    grid.add(glance, 0, 0);
    grid.add(shares, 1, 0);
    StackPane below = new StackPane(routes, procedure);
    grid.add(below, 0, 1);
    grid.add(right, 1, 1);
    ColumnConstraints wide = new ColumnConstraints();
    wide.setPercentWidth(61);
    ColumnConstraints narrow = new ColumnConstraints();
    narrow.setPercentWidth(39);
    grid.getColumnConstraints().addAll(wide, narrow);
    RowConstraints high = new RowConstraints();
    high.setPercentHeight(52);
    high.setVgrow(Priority.ALWAYS);
    RowConstraints low = new RowConstraints();
    low.setPercentHeight(48);
    low.setVgrow(Priority.ALWAYS);
    grid.getRowConstraints().addAll(high, low);
    whole.getChildren().addAll(grid, exercise, practice);
    setCenter(whole);
  }

  private void fillSkills() {
    List<String> all = new ArrayList<>();
    if (hand.measured().isPresent()) {
      all.add("OWN");
    }
    for (Skill s : Skill.values()) {
      all.add(s.name());
    }
    skill.getItems().setAll(all);
    skill.setValue(hand.isOwn() ? "OWN" : hand.skill().name());
  }

  private void choose() {
    String chosen = skill.getValue();
    if (chosen == null) {
      return;
    }
    if (chosen.equals("OWN")) {
      hand.chooseOwn();
    } else {
      hand.choose(Skill.valueOf(chosen));
    }
    ask(session.now());
  }

  private void measured(Measured m) {
    hand.keep(m);
    fillSkills();
    session.say(Ui.text("said.measured"));
    ask(session.now());
  }

  private void look(Entry.By other) {
    by = other;
    chips.get(by).setSelected(true);
    found.ifPresent(this::show);
    shares.takeKeys();
  }

  private void refresh() {
    acts.refresh();
  }

  /** Makes a procedure, of what was fired if anything is given, and lets it be filled. */
  private void newProcedure(List<String> bindings) {
    Library library = session.now().library();
    String id = Ids.free("procedure", library.procedures()::containsKey);
    Procedure made =
        new Procedure(
            id,
            Ui.text("payback.procedure.unnamed", library.procedures().size() + 1),
            bindings.stream().<Procedure.Part>map(Procedure.Part.Bound::new).toList(),
            0,
            1,
            Yardstick.NONE,
            Extras.NONE);
    look(Entry.By.PROCEDURE);
    wanted = Optional.of(id);
    session.make(new Edit.PutProcedure(made), Ui.text("said.procedure", made.name()));
  }

  private Optional<Payback.Chain> chain() {
    return found.flatMap(f -> procedure.shown().flatMap(p -> f.chain(p.id())));
  }

  private boolean canPractise() {
    return by == Entry.By.PROCEDURE
        && !practice.isOn()
        && chain().filter(c -> !c.procedure().parts().isEmpty()).isPresent();
  }

  private void practise() {
    chain().ifPresent(c -> practice.start(c, session.now()));
  }

  private void deleteProcedure() {
    procedure
        .shown()
        .ifPresent(
            p ->
                session.make(
                    new Edit.RemoveProcedure(p.id()), Ui.text("said.noprocedure", p.name())));
    shares.takeKeys();
  }

  private void ask(Snapshot now) {
    Optional<Payback> before = found;
    Values values = hand.values();
    working.ask(
        List.of(new Question.Same(now.library()), now.station().id(), values),
        () ->
            before
                .map(b -> b.following(now.library(), now.keymap(), values))
                .orElseGet(() -> Payback.of(now.library(), now.keymap(), values)));
  }

  private void show(Map<String, Payback> all) {
    onStations = all;
    found.ifPresent(this::showEntries);
  }

  private void show(Payback payback) {
    found = Optional.of(payback);
    if (by == Entry.By.STATION) {
      stations.ask(
          List.of(new Question.Same(payback.library()), payback.values()),
          () -> Payback.onStations(payback.library(), payback.values()));
    }
    showEntries(payback);
  }

  private void showEntries(Payback payback) {
    shares.show(by, entries(payback));
    if (wanted.filter(payback.library().procedures()::containsKey).isPresent()) {
      shares.choose(wanted.get());
      wanted = Optional.empty();
      Platform.runLater(procedure::takeKeys);
    }
    Words words = words(payback);
    tasks.show(payback, words);
    chosen();
  }

  private Words words(Payback payback) {
    return session.now().words().of(payback.library());
  }

  /** Another line is looked at. */
  private void chosen() {
    if (found.isEmpty()) {
      return;
    }
    Payback payback = found.get();
    Optional<Entry> entry = shares.chosen();
    Optional<Payback> there =
        entry.filter(e -> by == Entry.By.STATION).map(e -> onStations.get(e.id()));
    if (there.isPresent()) {
      glance.show(entry.get().name(), there.get().aWeek(), payback.spentInAll());
    } else if (by == Entry.By.DEVICE && entry.isPresent()) {
      Entry e = entry.get();
      glance.show(e.name(), e.aWeek().orElse(Span.NONE), payback.spent(Outlay.ofDevice(e.id())));
    } else {
      glance.show("", payback.aWeek(), payback.spentInAll());
    }
    boolean chain = by == Entry.By.PROCEDURE;
    procedure.setVisible(chain);
    routes.setVisible(!chain);
    if (chain) {
      procedure.show(entry.flatMap(e -> payback.chain(e.id())), payback.library(), words(payback));
    } else {
      Payback of = there.orElse(payback);
      routes.show(of, new Words(of.library(), of.keymap().layout()), entry);
    }
    acts.refresh();
  }

  private List<Entry> entries(Payback payback) {
    Library library = payback.library();
    return switch (by) {
      case ROUTINE -> entries(payback.byRoutine(), id -> library.routines().get(id).name());
      case PROGRAM -> entries(payback.byProgram(), id -> words(payback).application(id));
      case DEVICE ->
          entries(payback.byDevice(), id -> library.device(id).map(d -> d.name()).orElse(id));
      case STATION ->
          entries(
              onStations.values().stream()
                  .map(Payback::whole)
                  .sorted(Comparator.comparingDouble(s -> -s.aWeek().mid()))
                  .toList(),
              id -> onStations.get(id).keymap().station().name());
      case PROCEDURE ->
          payback.chains().stream()
              .map(
                  c ->
                      new Entry(
                          by,
                          c.procedure().id(),
                          c.procedure().name(),
                          c.aWeek(),
                          Ui.text("payback.parts", c.procedure().parts().size())))
              .toList();
    };
  }

  private List<Entry> entries(List<Payback.Share> some, UnaryOperator<String> name) {
    return some.stream()
        .map(
            s ->
                new Entry(
                    by,
                    s.id(),
                    name.apply(s.id()),
                    Optional.of(s.aWeek()),
                    Ui.text("payback.bindings", s.bindings())))
        .toList();
  }

  @Override
  public Node node() {
    return this;
  }

  @Override
  public void show(Snapshot now) {
    ask(now);
    acts.refresh();
  }

  @Override
  public void showConflicts(Snapshot now) {}

  @Override
  public void takeKeys() {
    if (exercise.isOn()) {
      exercise.takeKeys();
    } else if (practice.isOn()) {
      practice.takeKeys();
    } else {
      shares.takeKeys();
    }
  }

  @Override
  public Target here() {
    return new Target.Sheet("payback");
  }

  @Override
  public void leave() {
    exercise.stop();
    practice.stop();
  }
}
