package foldtwice.desktop.collect;

import foldtwice.binding.Binding;
import foldtwice.collecting.Licence;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.OwnKeys;
import foldtwice.desktop.session.Proposals.Proposal;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.fold.Siblings;
import foldtwice.fold.TooLongToFoldException;
import foldtwice.fold.Unfolding;
import foldtwice.library.Edit;
import foldtwice.library.History;
import foldtwice.place.Application;
import foldtwice.place.Finding;
import foldtwice.place.NativeCommand;
import foldtwice.routine.Card;
import foldtwice.routine.Head;
import foldtwice.routine.Line;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.run.Program;
import foldtwice.run.Run;
import foldtwice.run.Status;
import foldtwice.run.Trace;
import foldtwice.run.Trial;
import foldtwice.script.Ecmascript;
import foldtwice.shape.Checker;
import foldtwice.shape.Making;
import foldtwice.shape.Mark;
import foldtwice.shape.Outline;
import foldtwice.shape.StepFinder;
import foldtwice.words.StepWords;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;

/** The routines at the left, the chosen one's steps in the middle, what there is to know beside. */
public final class CollectView extends BorderPane implements OutlineView.Actions {

  /** Where to go from here. */
  public interface Ways {
    void toBinding(String id);

    void toRecording(String application);
  }

  /** Below this width the panels at both sides are made smaller. */
  private static final double NARROW = 1000;

  /** How long a step of a script is waited for, in nanoseconds. */
  private static final long PATIENCE = 40_000_000;

  private final Session session;
  private final Ways ways;
  private final RoutineList list = new RoutineList(this::choose);
  private final TextField name = new TextField();
  private final Label about = Parts.wrapped("", "soft");
  private final OutlineView outline = new OutlineView(this);
  private final AddStep add;
  private final SourcePane source;
  private final VBox content = new VBox(6);
  private final VBox proposals = new VBox(6);
  private final VBox middle = new VBox();
  private final ScrollPane steps = new ScrollPane();
  private final FactsPanel facts;
  private final RunPanel running;
  private final VBox right = new VBox();
  private final FlowPane tools = new FlowPane(8, 4);
  private final ComboBox<Binding> with = new ComboBox<>();
  private final Button run;
  private final Button step;
  private final Button unfold;
  private String routine = "";
  private String chosen = "";
  private String named = "";
  private boolean typingName;
  private boolean narrow;
  private List<Proposal> proposed = List.of();
  private boolean seenAsked;
  private Run current;
  private Program before;

  public CollectView(Session session, Ways ways) {
    this.session = session;
    this.ways = ways;
    facts = new FactsPanel(session, ways::toBinding);
    running = new RunPanel(session, this::closeRun, this::keepValues);
    source = new SourcePane(session);
    add = new AddStep(this::finder, this::words, this::finding, this::added);
    name.setId("routine-name");
    name.getStyleClass().add("title-field");
    name.textProperty().addListener((o, a, b) -> typingName = true);
    Parts.onKept(name, this::rename);
    about.setId("routine-about");
    run = Parts.button("run-routine", Ui.text("collect.run"), this::runAll, "main");
    run.setTooltip(new Tooltip(OwnKeys.RUN.keys()));
    step = Parts.button("step-routine", Ui.text("collect.step"), this::stepOnce);
    step.setTooltip(new Tooltip(OwnKeys.STEP.keys()));
    Button record = Parts.button("record", Ui.text("collect.record"), this::record);
    record.setTooltip(new Tooltip(OwnKeys.RECORD.keys()));
    HBox head = new HBox(8, name, Parts.gap(), record, step, run);
    head.setAlignment(Pos.CENTER_LEFT);
    with.setId("run-with");
    with.setConverter(
        new StringConverter<>() {
          @Override
          public String toString(Binding b) {
            return b == null ? Ui.text("collect.defaults") : session.now().words().arguments(b);
          }

          @Override
          public Binding fromString(String text) {
            return with.getValue();
          }
        });
    unfold = Parts.button("unfold-routine", Ui.text("collect.unfold"), this::unfold, "link");
    tools();
    middle.getStyleClass().add("collect-middle");
    middle.setSpacing(6);
    middle.getChildren().addAll(head, about, tools, proposals, content);
    session.proposals().allProperty().addListener((o, a, b) -> show(session.now()));
    steps.setContent(middle);
    steps.setFitToWidth(true);
    steps.setFitToHeight(true);
    steps.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    steps.setFocusTraversable(false);
    steps.setStyle("-fx-background: -leaf;");
    right.getStyleClass().add("collect-right");
    ScrollPane beside = new ScrollPane(right);
    beside.setFitToWidth(true);
    beside.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    beside.setFocusTraversable(false);
    widthProperty()
        .addListener(
            (o, a, wide) -> {
              narrow = wide.doubleValue() < NARROW;
              list.setPrefWidth(narrow ? 212 : 246);
              beside.setPrefWidth(narrow ? 246 : 300);
              show(session.now());
            });
    takeDrops();
    setLeft(new HBox(list, crease()));
    setCenter(steps);
    setRight(new HBox(crease(), beside));
    session.nowProperty().addListener((o, a, now) -> show(now));
    list.show(session.now());
    session.now().library().routines().keySet().stream().findFirst().ifPresent(this::choose);
    show(session.now());
  }

  private static Region crease() {
    Region crease = new Region();
    crease.getStyleClass().add("crease");
    return crease;
  }

  private void tools() {
    tools
        .getChildren()
        .addAll(
            Parts.button("new-routine", Ui.text("collect.new"), this::addNew, "link"),
            Parts.button(
                "new-script",
                Ui.text("collect.newscript"),
                () -> addNew("script", head -> new Routine.Script(head, Ui.text("source.begin"))),
                "link"),
            Parts.button(
                "new-command",
                Ui.text("collect.newcommand"),
                () ->
                    addNew(
                        "command",
                        head ->
                            new Routine.Stored(
                                head, Routine.Stored.Language.SQL, new Template("SELECT 1"))),
                "link"),
            Parts.button("take-in", Ui.text("collect.takein"), this::takeIn, "link"),
            unfold,
            Parts.button("copy-routine", Ui.text("collect.copy"), this::copy, "link"),
            Parts.button("compare-routine", Ui.text("collect.compare"), this::compare, "link"),
            Parts.button(
                "pin-routine",
                Ui.text("collect.pin"),
                () -> card(c -> c.pinned(!c.pinned())),
                "link"),
            Parts.button(
                "aside-routine",
                Ui.text("collect.setaside"),
                () -> card(c -> c.setAside(!c.setAside())),
                "link"),
            Parts.button(
                "off-routine", Ui.text("collect.onoff"), () -> card(c -> c.off(!c.off())), "link"),
            Parts.button("remove-routine", Ui.text("collect.remove"), this::remove, "link"),
            Parts.gap(),
            with);
    tools.setAlignment(Pos.CENTER_LEFT);
  }

  /** The chosen routine. */
  private Optional<Routine> shown() {
    return Optional.ofNullable(session.now().library().routines().get(routine));
  }

  /** The chosen routine, if it has steps. */
  private Optional<Routine.Macro> macro() {
    return shown().filter(r -> r instanceof Routine.Macro).map(r -> (Routine.Macro) r);
  }

  private StepFinder finder() {
    return new StepFinder(
        shown().map(Routine::application).orElse(""),
        session.known(),
        step -> StepWords.verb(step) + " " + words(step));
  }

  private String words(Step step) {
    return session.now().words().step(step);
  }

  private void show(Snapshot now) {
    list.show(now);
    Optional<Routine> shown = shown();
    middle.setDisable(shown.isEmpty());
    if (shown.isEmpty()) {
      outline.getChildren().clear();
      about.setText(Ui.text("collect.none"));
      return;
    }
    Routine of = shown.get();
    if (!typingName || !of.id().equals(named)) {
      named = of.id();
      name.setText(of.name()); // a name being typed is left alone
      typingName = false;
    }
    String application =
        Optional.ofNullable(now.library().applications().get(of.application()))
            .map(a -> a.name())
            .orElse(of.application());
    run.setText(narrow ? Ui.text("collect.run") : Ui.text("collect.runon", application));
    about.setText(about(of));
    offerArguments(now, of);
    boolean loops = of instanceof Routine.Macro m && Unfolding.canUnfold(m.steps());
    unfold.setVisible(loops);
    unfold.setManaged(loops);
    propose(now, of);
    boolean keysBeside = Parts.hasKeys(right);
    if (of instanceof Routine.Macro macro) {
      content(outline, add);
      steps(now, macro);
    } else {
      content(source);
      source.show(of, broken());
    }
    if (current == null) {
      right.getChildren().setAll(facts);
      facts.show(now, of);
    } else {
      right.getChildren().setAll(running);
      running.show(current, before);
    }
    if (keysBeside && !Parts.hasKeys(right)) {
      keysBack(of); // what had the keys may be gone
    }
  }

  private void content(Node... nodes) {
    if (!content.getChildren().equals(List.of(nodes))) {
      content.getChildren().setAll(nodes);
    }
  }

  private void steps(Snapshot now, Routine.Macro macro) {
    if (Outline.at(macro.steps(), chosen.isEmpty() ? "1" : chosen).isEmpty()) {
      chosen = "";
    }
    List<Mark> marks = Checker.check(macro, session.known());
    String at = current == null ? "" : current.number();
    outline.show(macro, session.known(), marks, chosen, at, this::namesakes, now.words());
  }

  /** Where the run that is shown broke. */
  private Optional<String> broken() {
    return current != null
            && current.status()
                instanceof
                Status.Over(
                    Trace(var entries, Trace.Broke(String number, String message), long nanos))
        ? Optional.of(number + ": " + message)
        : Optional.empty();
  }

  private void propose(Snapshot now, Routine of) {
    List<Proposal> about = session.proposals().about(of.id());
    boolean unseen = !of.origin().seen();
    if (!about.equals(proposed) || unseen || seenAsked) {
      seenAsked = unseen;
      boolean keysHere = Parts.hasKeys(proposals);
      proposed = about;
      proposals
          .getChildren()
          .setAll(
              about.stream()
                  .map(
                      p ->
                          new ProposalBox(p, now.words(), this::take, session.proposals()::dismiss))
                  .toList());
      if (unseen) {
        proposals.getChildren().addFirst(unseen(of));
      }
      if (keysHere) {
        keysBack(of); // what had the keys is gone
      }
    }
  }

  /** The keys go to what stands below. */
  private void keysBack(Routine of) {
    if (of instanceof Routine.Macro) {
      outline.requestFocus();
    } else {
      source.focusEditor();
    }
  }

  /** A collected routine does not run before a person has looked through it. */
  private Node unseen(Routine of) {
    VBox box = new VBox(6, Parts.wrapped(Ui.text("unseen.says", of.origin().from()), "costs"));
    Licence licence = Licence.of(of.origin().licence());
    if (licence.hasConditions()) {
      box.getChildren()
          .add(Parts.wrapped(Ui.text("licence." + licence, of.origin().licence()), "soft"));
    }
    box.getChildren()
        .add(
            Parts.button(
                "seen",
                Ui.text("unseen.seen"),
                () ->
                    put(
                        of.with(of.head().with(of.origin().asSeen())),
                        Ui.text("said.seen", of.name()))));
    box.setId("unseen");
    box.getStyleClass().addAll("said", "costs");
    return box;
  }

  private void take(Proposal proposal) {
    switch (proposal) {
      case Proposal.Loops(Routine.Macro macro, List<Line> folded) ->
          put(macro.withSteps(folded), Ui.text("said.folded", macro.name()));
      case Proposal.Family(Siblings.Group group) -> {
        session.make(
            Siblings.fold(session.now().library(), group),
            Ui.text("said.foldedinto", group.members().size(), group.folded().name()));
        choose(group.folded().id());
      }
    }
  }

  /** Writes the loops out again. */
  private void unfold() {
    macro()
        .filter(m -> Unfolding.canUnfold(m.steps()))
        .ifPresent(
            m -> {
              try {
                put(m.withSteps(Unfolding.unfold(m.steps())), Ui.text("said.unfolded", m.name()));
              } catch (TooLongToFoldException e) {
                session.say(Ui.text("said.toolong", e.limit()));
              }
            });
  }

  /** What a run can be tried with: the arguments of the bindings, or the defaults. */
  private void offerArguments(Snapshot now, Routine macro) {
    List<Binding> bindings = new ArrayList<>();
    bindings.add(null);
    now.library().bindings().values().stream()
        .filter(b -> b.routine().equals(macro.id()) && !b.arguments().isEmpty())
        .forEach(bindings::add);
    if (!bindings.equals(with.getItems())) {
      with.getItems().setAll(bindings);
      with.setValue(bindings.size() > 1 ? bindings.get(1) : null);
    }
    boolean any = bindings.size() > 1;
    with.setVisible(any);
    with.setManaged(any);
  }

  private Map<String, Value> arguments() {
    return with.getValue() == null ? Map.of() : with.getValue().arguments();
  }

  /** Keeps the values a run was asked for: with the binding it is tried with, or as defaults. */
  private void keepValues(Map<String, Value> values) {
    closeRun();
    if (with.getValue() != null) {
      session.keepArguments(with.getValue().id(), values);
      return;
    }
    shown()
        .ifPresent(
            m -> {
              List<Parameter> parameters =
                  m.parameters().stream()
                      .map(p -> p.withDefault(values.getOrDefault(p.name(), p.otherwise())))
                      .toList();
              put(m.with(m.head().with(parameters)), Ui.text("said.keptdefaults", m.name()));
            });
  }

  /** The command a step chooses, where its menu path is plain. */
  private Optional<NativeCommand> command(Step step) {
    return step instanceof Step.Choose(List<Template> menu)
        ? application().flatMap(a -> a.commandAt(menu.stream().map(Template::source).toList()))
        : Optional.empty();
  }

  private Optional<Application> application() {
    return shown().map(m -> session.now().library().applications().get(m.application()));
  }

  private Optional<String> finding(Step step) {
    return command(step).flatMap(Words::finding);
  }

  /** The commands that have the label of the one a step chooses, if there are several. */
  private List<NativeCommand> namesakes(Step step) {
    return command(step)
        .flatMap(c -> application().map(a -> a.namesakes(c)))
        .filter(all -> all.size() > 1)
        .orElse(List.of());
  }

  @Override
  public void found(NativeCommand command, Optional<Finding> finding) {
    macro()
        .ifPresent(
            m ->
                session.make(
                    new Edit.Find(m.application(), command.id(), finding),
                    Ui.text("said.changed", command.name())));
  }

  private static String about(Routine macro) {
    List<String> parts = new ArrayList<>();
    parts.add(
        switch (macro) {
          case Routine.Macro m -> Ui.text("collect.about", Line.count(m.steps()));
          case Routine.Script sc ->
              Ui.text("collect.aboutscript", (int) sc.source().lines().count());
          case Routine.PluginAction p -> Ui.text("collect.aboutplugin", p.addOn());
          case Routine.Stored c -> Ui.text("collect.aboutstored");
        });
    if (!macro.manner().fromVersion().isEmpty()) {
      parts.add(Ui.text("facts.version", macro.manner().fromVersion()));
    }
    if (macro.card().off()) {
      parts.add(Ui.text("collect.isoff"));
    }
    if (!macro.origin().from().isEmpty()) {
      parts.add(Ui.text("collect.from", macro.origin().from()));
    }
    if (!macro.card().note().isEmpty()) {
      parts.add(macro.card().note());
    }
    return String.join(", ", parts);
  }

  /** Chooses a routine; a run of another one is given up. */
  public void choose(String id) {
    if (!id.equals(routine)) {
      closeRun();
      routine = id;
      chosen = "";
      list.choose(id);
      show(session.now());
    }
  }

  /** Shows the routines that match. */
  public void filter(String text) {
    list.filter(text);
  }

  public void focusList() {
    list.focusList();
  }

  public void focusFilter() {
    list.focusFilter();
  }

  private void put(Routine macro, String said) {
    session.make(new Edit.PutRoutine(macro), said);
  }

  private void put(UnaryOperator<List<Line>> change, String said) {
    macro()
        .ifPresent(
            m -> {
              List<Line> next = change.apply(m.steps());
              if (!next.equals(m.steps())) {
                put(m.withSteps(next), said);
              }
            });
  }

  private void rename() {
    typingName = false;
    shown()
        .filter(m -> !m.name().equals(name.getText()) && !name.getText().isBlank())
        .ifPresent(
            m ->
                put(
                    m.with(m.head().named(m.id(), name.getText().strip())),
                    Ui.text("said.renamed", name.getText().strip())));
  }

  private void card(UnaryOperator<Card> change) {
    shown()
        .ifPresent(m -> put(m.withCard(change.apply(m.card())), Ui.text("said.changed", m.name())));
  }

  private void added(Step added) {
    String at =
        chosen.isEmpty()
            ? Integer.toString(macro().map(m -> m.steps().size()).orElse(0) + 1)
            : Outline.after(chosen);
    chosen = at;
    put(
        lines -> Outline.insert(lines, at, new Line(added)),
        Ui.text("said.added", StepWords.verb(added) + " " + words(added)));
    outline.rowOf(at).ifPresent(this::scrollTo);
  }

  private void scrollTo(javafx.scene.Node node) {
    steps.layout();
    double high = middle.getHeight() - steps.getViewportBounds().getHeight();
    if (high > 0) {
      steps.setVvalue(
          Math.clamp(
              (node.getBoundsInParent().getMaxY() + outline.getLayoutY() - 200) / high, 0, 1));
    }
  }

  /** A new macro for the application of the chosen routine. */
  public void addNew() {
    addNew("routine", head -> new Routine.Macro(head, List.of()));
  }

  private void addNew(String kind, Function<Head, Routine> make) {
    String application = shown().map(Routine::application).orElse("vasculum");
    String title = Ui.text("collect.fresh." + kind);
    Routine fresh =
        make.apply(
            Head.of(session.freeRoutineId(title), title, application, List.of())
                .inCategory(shown().map(Routine::category).orElse("")));
    put(fresh, Ui.text("said.newroutine", title));
    choose(fresh.id());
    name.requestFocus();
    name.selectAll();
  }

  private void copy() {
    shown()
        .ifPresent(
            m -> {
              String title = Ui.text("collect.copyof", m.name());
              Routine copy = m.with(m.head().named(session.freeRoutineId(title), title));
              put(copy, Ui.text("said.newroutine", title));
              choose(copy.id());
            });
  }

  private void remove() {
    shown()
        .ifPresent(
            m -> {
              long used =
                  session.now().library().bindings().values().stream()
                      .filter(b -> b.routine().equals(m.id()))
                      .count();
              session.make(
                  new Edit.RemoveRoutine(m.id()),
                  used == 0
                      ? Ui.text("said.removed", m.name())
                      : Ui.text("said.removedrafts", m.name(), used));
              session.now().library().routines().keySet().stream()
                  .findFirst()
                  .ifPresent(this::choose);
            });
  }

  /** The routine beside others of its application, its own earlier version first. */
  private void compare() {
    macro()
        .ifPresent(
            m -> {
              List<Routine.Macro> others = new ArrayList<>();
              earlier(m).ifPresent(others::add);
              for (Routine r : session.now().library().routines().values()) {
                if (r instanceof Routine.Macro o
                    && !o.id().equals(m.id())
                    && o.application().equals(m.application())) {
                  others.add(o);
                }
              }
              ComparePanel panel = new ComparePanel(m, others, session.now().words(), this::back);
              instead(panel);
            });
  }

  /** Takes routines up from files and texts. */
  private void takeIn() {
    TakeInPanel panel = takeInPanel();
    javafx.application.Platform.runLater(() -> panel.lookup("#take-in-text").requestFocus());
  }

  private TakeInPanel takeInPanel() {
    TakeInPanel panel =
        new TakeInPanel(
            session,
            this::back,
            id -> {
              back();
              choose(id);
            });
    instead(panel);
    return panel;
  }

  /** Files dropped anywhere here are looked through. */
  private void takeDrops() {
    setOnDragOver(
        e -> {
          if (e.getDragboard().hasFiles()) {
            e.acceptTransferModes(javafx.scene.input.TransferMode.COPY);
          }
        });
    setOnDragDropped(
        e -> {
          if (e.getDragboard().hasFiles()) {
            takeInPanel().dropped(e.getDragboard());
            e.setDropCompleted(true);
          }
        });
  }

  /** Shows a panel in the middle instead of the routine. */
  private void instead(Region panel) {
    panel.getStyleClass().add("collect-middle");
    ScrollPane scroll = new ScrollPane(panel);
    scroll.setFitToWidth(true);
    scroll.setFitToHeight(true);
    scroll.setStyle("-fx-background: -leaf;");
    setCenter(scroll);
  }

  /** Shows the routine again. */
  private void back() {
    setCenter(steps);
    shown().ifPresent(this::keysBack);
  }

  /** The routine as it was before its last change that can be undone. */
  private Optional<Routine.Macro> earlier(Routine.Macro macro) {
    History history = session.store().history();
    while (history.last().isPresent()) {
      history = history.undo();
      Routine then = history.library().routines().get(macro.id());
      if (then instanceof Routine.Macro m && !m.steps().equals(macro.steps())) {
        return Optional.of(m);
      }
    }
    return Optional.empty();
  }

  private void record() {
    ways.toRecording(shown().map(Routine::application).orElse("vasculum"));
  }

  // outline

  @Override
  public void chooseStep(String number) {
    chosen = number;
    show(session.now());
    outline.rowOf(number).ifPresent(this::scrollTo);
  }

  @Override
  public void replace(String number, Line line) {
    put(lines -> Outline.change(lines, number, l -> line), Ui.text("said.step", number));
  }

  @Override
  public void mend(Mark mark) {
    mark.mended()
        .ifPresent(
            step ->
                put(
                    lines -> Outline.change(lines, mark.number(), l -> l.with(step)),
                    Ui.text("said.step", mark.number())));
  }

  @Override
  public void move(String from, String to) {
    put(lines -> Outline.move(lines, from, to), Ui.text("said.movedstep", from, to));
  }

  @Override
  public void parameter(Making.Constant constant) {
    macro()
        .ifPresent(
            m ->
                put(
                    Making.parameter(m, constant, constant.name()),
                    Ui.text("said.parameter", constant.name())));
  }

  @Override
  public void act(StepEditor.Action action) {
    Optional<Line> line =
        macro().flatMap(m -> chosen.isEmpty() ? Optional.empty() : Outline.at(m.steps(), chosen));
    if (line.isEmpty()) {
      return;
    }
    String at = chosen;
    String said = Ui.text("said.step", at);
    switch (action) {
      case UP ->
          Outline.before(at)
              .ifPresent(
                  to -> {
                    chosen = to;
                    put(l -> Outline.move(l, at, to), said);
                  });
      case DOWN -> {
        String next = Outline.after(at);
        if (macro().flatMap(m -> Outline.at(m.steps(), next)).isPresent()) {
          chosen = next;
          put(l -> Outline.move(l, next, at), said);
        }
      }
      case IN -> {
        chosen = "";
        put(l -> Outline.indent(l, at), said);
      }
      case OUT -> {
        chosen = Outline.around(at).map(Outline::after).orElse(at);
        put(l -> Outline.outdent(l, at), said);
      }
      case SWITCH -> put(l -> Outline.change(l, at, x -> x.switchedOn(!x.on())), said);
      case COPY -> put(l -> Outline.insert(l, Outline.after(at), line.get()), said);
      case REMOVE -> put(l -> Outline.remove(l, at), Ui.text("said.gone", at));
      case RUN_TO_HERE -> runTo(at);
      case STOP_HERE -> macro().ifPresent(m -> put(l -> DialogStop.turned(m, at), said));
    }
  }

  // running

  private Run begin() {
    Routine macro = shown().orElseThrow();
    session.computer().bringToFront(macro.application());
    before = session.programs().get(macro.application()).copy();
    Snapshot now = session.now();
    return Run.of(
        macro,
        arguments(),
        new Trial(now.library(), now.keymap(), session.computer(), Ecmascript.ENGINE).around());
  }

  private void drive(Consumer<Run> how) {
    if (shown().isEmpty() || !session.programs().containsKey(shown().get().application())) {
      session.say(Ui.text("happens.nostandin"));
      return;
    }
    if (current == null || current.status() instanceof Status.Over) {
      current = begin();
    }
    how.accept(current);
    stood();
  }

  private void stood() {
    if (current != null) {
      show(session.now());
    }
  }

  /** Runs the routine to its end, or goes on with the one being stepped. */
  public void runAll() {
    drive(r -> session.runs().drive(r, x -> stood()));
  }

  /** Takes the next step, or begins. */
  public void stepOnce() {
    boolean fresh = current == null || current.status() instanceof Status.Over;
    drive(
        r -> {
          session.runs().hold(r, x -> stood());
          if (!fresh) {
            stepThrough(r);
          }
        });
    if (current != null && current.status() instanceof Status.Over) {
      session.runs().let(current);
    }
  }

  /** One step; a script gets a moment to come to its next one. */
  private static void stepThrough(Run run) {
    long end = System.nanoTime() + PATIENCE;
    do {
      run.step();
    } while (run.status() instanceof Status.Computing && System.nanoTime() < end);
  }

  /** Runs until it stands before a step. */
  private void runTo(String number) {
    if (current != null) {
      closeRun();
    }
    drive(
        r -> {
          session.runs().hold(r, x -> stood());
          int most = Run.MOST_STEPS;
          while (r.status() instanceof Status.Ready(String at, Step next)
              && !at.equals(number)
              && most-- > 0) {
            r.step();
          }
        });
  }

  private void closeRun() {
    if (current != null) {
      Run over = current;
      current = null;
      if (!(over.status() instanceof Status.Over)) {
        session.runs().giveUp(over);
      }
      session.runs().let(over);
      show(session.now());
    }
  }
}
