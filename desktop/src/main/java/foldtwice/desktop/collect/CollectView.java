package foldtwice.desktop.collect;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.view.Act;
import foldtwice.desktop.view.Acts;
import foldtwice.desktop.view.Going;
import foldtwice.desktop.view.Target;
import foldtwice.desktop.view.View;
import foldtwice.fold.Unfolding;
import foldtwice.outline.Outline;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.words.StepWords;
import foldtwice.writing.StepFinder;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The routines at the left, the chosen one's steps in the middle, what there is to know beside. */
public final class CollectView extends BorderPane implements View {

  public static final List<Act<CollectView>> ACTS =
      List.of(
          new Act<>("run-routine", CollectView::isAny, CollectView::runAll),
          new Act<>("step-routine", CollectView::isAny, CollectView::stepOnce),
          new Act<>("again-routine", v -> v.stepping.canRunAgain(), v -> v.stepping.runAgain()),
          new Act<>("new-routine", CollectView::mayWrite, v -> v.making.macro()),
          new Act<>("new-script", CollectView::mayWrite, v -> v.making.script()),
          new Act<>("new-command", CollectView::mayWrite, v -> v.making.command()),
          new Act<>("take-in", CollectView::mayWrite, v -> v.instead.takeIn()),
          new Act<>("find-routine", CollectView::focusFilter),
          new Act<>("copy-routine", CollectView::mayChange, v -> v.making.copy()),
          new Act<>("compare-routine", CollectView::isAny, v -> v.instead.compare()),
          new Act<>("turn-routine", CollectView::canTurn, v -> v.instead.turn()),
          new Act<>("unfold-routine", CollectView::hasLoops, v -> v.making.unfold()),
          new Act<>(
              "pin-routine",
              CollectView::mayChange,
              v -> v.chosen.card(c -> c.pinned(!c.pinned()))),
          new Act<>(
              "aside-routine",
              CollectView::mayChange,
              v -> v.chosen.card(c -> c.setAside(!c.setAside()))),
          new Act<>("off-routine", CollectView::mayChange, v -> v.chosen.turn()),
          new Act<>("remove-routine", CollectView::mayChange, v -> v.making.remove()));

  /** Below this width the panels at both sides are made smaller. */
  private static final double NARROW = 1000;

  private final Session session;
  private final Chosen chosen;
  private final RoutineActs making;
  private final Acts<CollectView> acts = new Acts<>(this, ACTS);
  private final RoutineList list = new RoutineList(this::choose);
  private final RoutineHead head;
  private final Hints hints;
  private final StepActs stepActs;
  private final CopyTo copyTo;
  private final Stepping stepping;
  private final OutlineView outline;
  private final AddStep add;
  private final VBox writing;
  private final Instead instead;
  private final SourcePane source;
  private final VBox content = new VBox(6);
  private final VBox middle = new VBox(6);
  private final ScrollPane steps = Parts.leaf(middle, true);
  private final FactsPanel facts;
  private final RunPanel running;
  private final VBox right = new VBox();
  private boolean narrow;

  public CollectView(Session session, Going going) {
    this.session = session;
    chosen = new Chosen(session);
    making = new RoutineActs(chosen, this::toFresh, this::choose);
    head = new RoutineHead(chosen, going, acts);
    stepping = new Stepping(chosen, head::arguments, this::showNow);
    hints = new Hints(chosen, this::choose);
    copyTo = new CopyTo(chosen);
    stepActs =
        new StepActs(
            chosen,
            this::stepChosen,
            stepping::runTo,
            this::toLines,
            this::beginStep,
            copyTo::ask,
            making::cutOut);
    outline = new OutlineView(stepActs, () -> session.now().keymap().layout());
    outline.within(steps);
    facts = new FactsPanel(session, id -> going.to(new Target.Binding(id)));
    running =
        new RunPanel(
            session,
            stepping::close,
            acts.button("again-routine", "link"),
            values -> {
              stepping.close();
              making.keepValues(values, head.with());
            });
    source = new SourcePane(session);
    add =
        new AddStep(
            this::finder,
            this::words,
            stepActs::finding,
            new AddStep.Actions() {
              @Override
              public void add(Step step) {
                stepActs.add(step);
              }

              @Override
              public void toLines() {
                CollectView.this.toLines();
              }

              @Override
              public void toStep() {
                outline.edit();
              }
            });
    VBox beneath = new VBox(6, copyTo, add);
    beneath.getStyleClass().add("collect-beneath");
    writing = new VBox(steps, beneath);
    VBox.setVgrow(steps, Priority.ALWAYS);
    middle.getStyleClass().add("collect-middle");
    middle.getChildren().addAll(head, hints, content);
    session.proposals().allProperty().addListener((o, a, b) -> showNow());
    right.getStyleClass().add("collect-right");
    ScrollPane beside = Parts.leaf(right, false);
    HBox fresh =
        new HBox(
            8,
            acts.menu(
                "new-menu", Ui.text("collect.new"), "new-routine", "new-script", "new-command"),
            acts.button("take-in"));
    list.getChildren().add(fresh);
    widthProperty()
        .addListener(
            (o, a, wide) -> {
              narrow = wide.doubleValue() < NARROW;
              list.setPrefWidth(narrow ? 212 : 268);
              beside.setPrefWidth(narrow ? 246 : 300);
              showNow();
            });
    instead = new Instead(session, this, chosen, making, writing, this::keysBack, this::choose);
    setLeft(new HBox(list, Parts.crease()));
    setCenter(writing);
    setRight(new HBox(Parts.crease(), beside));
    list.show(session.now());
    session.now().library().routines().keySet().stream().findFirst().ifPresent(chosen::choose);
    list.choose(chosen.id());
  }

  private boolean isAny() {
    return chosen.routine().isPresent();
  }

  private boolean mayWrite() {
    return session.mayWrite();
  }

  private boolean mayChange() {
    return mayWrite() && isAny();
  }

  private boolean hasLoops() {
    return mayWrite() && chosen.macro().filter(m -> Unfolding.canUnfold(m.steps())).isPresent();
  }

  private boolean canTurn() {
    return mayWrite()
        && chosen
            .routine()
            .filter(r -> r instanceof Routine.Macro || r instanceof Routine.Script)
            .isPresent();
  }

  private StepFinder finder() {
    return new StepFinder(
        chosen.routine().map(Routine::application).orElse(""),
        session.known(),
        step -> StepWords.verb(step) + " " + words(step));
  }

  private String words(Step step) {
    return session.now().words().step(step);
  }

  // the contract of a view

  @Override
  public Node node() {
    return this;
  }

  @Override
  public Target here() {
    return new Target.Routine(chosen.id());
  }

  @Override
  public void showConflicts(Snapshot now) {}

  @Override
  public void takeKeys() {
    list.focusList();
  }

  @Override
  public void open(Target target) {
    if (target instanceof Target.Routine(String id)
        && session.now().library().routines().containsKey(id)) {
      choose(id);
    }
  }

  private void showNow() {
    if (Parts.isSeen(this)) {
      show(session.now());
    }
  }

  @Override
  public void show(Snapshot now) {
    list.show(now);
    Optional<Routine> shown = chosen.routine();
    boolean isMacro = shown.filter(r -> r instanceof Routine.Macro).isPresent();
    Parts.there(add.getParent(), isMacro);
    middle.setDisable(shown.isEmpty());
    head.show(now, shown, narrow);
    acts.refresh();
    if (shown.isEmpty()) {
      outline.getChildren().clear();
      return;
    }
    Routine of = shown.get();
    if (hints.show(of)) {
      keysBack(of);
    }
    boolean keysBeside = Parts.hasKeys(right);
    if (of instanceof Routine.Macro macro) {
      only(content, outline);
      steps(now, macro);
    } else {
      only(content, source);
      source.show(of, stepping.broken());
    }
    stepping
        .run()
        .ifPresentOrElse(
            run -> {
              only(right, running);
              running.show(run, stepping.before());
              acts.refresh();
            },
            () -> {
              only(right, facts);
              facts.show(now, of);
            });
    if (keysBeside && !Parts.hasKeys(right)) {
      keysBack(of); // what had the keys may be gone
    }
  }

  /** What is there already keeps its styles. */
  private static void only(Pane in, Node one) {
    if (!in.getChildren().equals(List.of(one))) {
      in.getChildren().setAll(one);
    }
  }

  private void steps(Snapshot now, Routine.Macro macro) {
    List<String> there =
        chosen.steps().stream().filter(n -> Outline.isPlace(macro.steps(), n)).toList();
    if (!there.equals(chosen.steps())) {
      chosen.chooseSteps(there);
    }
    outline.show(
        macro,
        session.known(),
        now.readings().marks(macro),
        chosen.steps(),
        stepping.number(),
        stepping.failed(),
        stepActs::namesakes,
        now.words());
  }

  private void beginStep(String letters) {
    add.begin(letters);
  }

  private void toLines() {
    outline.requestFocus();
  }

  /** The keys go to what stands below. */
  private void keysBack(Routine of) {
    if (of instanceof Routine.Macro) {
      outline.requestFocus();
    } else {
      source.focusEditor();
    }
  }

  /** Chooses a routine; a run of another one is given up. */
  public void choose(String id) {
    if (!id.equals(chosen.id())) {
      stepping.close();
      chosen.choose(id);
      list.choose(id);
      showNow();
    }
  }

  /** A routine was made: it is shown, and its name is asked for. */
  private void toFresh(String id) {
    choose(id);
    head.focusName();
  }

  /** Chooses a step. */
  public void chooseStep(String number) {
    stepActs.chooseStep(number);
  }

  private void stepChosen(String number) {
    if (Parts.isSeen(this)) {
      chosen.macro().ifPresent(m -> steps(session.now(), m)); // nothing else knows of steps
    }
    outline.reveal(number);
  }

  private void focusFilter() {
    list.focusFilter();
  }

  /** Runs the routine to its end, or goes on with the one being stepped. */
  public void runAll() {
    stepping.runAll();
  }

  /** Takes the next step, or begins. */
  public void stepOnce() {
    stepping.stepOnce();
  }
}
