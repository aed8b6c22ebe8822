package foldtwice.desktop.trying;

import foldtwice.binding.Binding;
import foldtwice.desktop.parts.Faces;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.PointerReader;
import foldtwice.desktop.session.HeldKeys;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.standin.StandInWindow;
import foldtwice.desktop.standin.Windows;
import foldtwice.place.Application;
import foldtwice.place.Need;
import foldtwice.place.Place;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Outcome;
import foldtwice.resolve.Owner;
import foldtwice.resolve.Resolver;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.routine.Whom;
import foldtwice.run.Act;
import foldtwice.run.Program;
import foldtwice.run.Reply;
import foldtwice.run.Run;
import foldtwice.run.Trial;
import foldtwice.run.Trial.Effect;
import foldtwice.script.Ecmascript;
import foldtwice.standin.SimulatedComputer;
import foldtwice.surface.Device;
import foldtwice.surface.Offering;
import foldtwice.surface.RadialMenu;
import foldtwice.surface.Summoned;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Lift;
import foldtwice.trigger.Motion;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Press;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import foldtwice.words.ShorterWay;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.Duration;

/** Fire what is bound in a stand-in's window and see who took the press. */
public final class TryView extends BorderPane {

  private final Session session;
  private final Map<String, StandInWindow> windows = new LinkedHashMap<>();
  private final Map<String, ToggleButton> chips = new LinkedHashMap<>();
  private final StackPane front = new StackPane();
  private final Label context = Parts.label("", "strong");
  private final PointerChoice pointerOver = new PointerChoice(this::refresh);
  private final KeyboardView keyboard;
  private final DevicesPane devices;
  private final MidiInputs midi;
  private final ToolbarRow toolbar;
  private final Map<KeyCode, Press> down = new EnumMap<>(KeyCode.class);
  private final HeldKeys held = new HeldKeys();
  private final TimeLimit timer = new TimeLimit();
  private final Timeline repeating = new Timeline(new KeyFrame(Duration.millis(10), e -> repeat()));
  private final FlowPane bar = new FlowPane(8, 6);
  private final RecordPanel recording;
  private SimulatedComputer computer;
  private Trial trial;
  private Keymap trialOf;
  private String application;
  private Runnable last = () -> {};
  private javafx.geometry.Point2D pointer;
  private final FiredPanel fired;
  private final ChecksPane checks;
  private final ToggleButton pressesSide = new ToggleButton(Ui.text("try.tab.presses"));
  private final ToggleButton checksSide = new ToggleButton();
  private final List<Press> strokes = new ArrayList<>();

  /** The state in which what is shown was begun. */
  private Place began;

  /** The time limit of a sequence, as a timer of the interface. */
  private final class TimeLimit {
    private final Timeline line =
        new Timeline(
            new KeyFrame(
                Duration.millis(Resolver.TIME_LIMIT_MILLIS + 30.0),
                e -> show(trial.tick(millis()))));

    void again() {
      line.playFromStart();
    }

    void stop() {
      line.stop();
    }
  }

  /**
   * A view of the station's programs.
   *
   * @param onKept gets the id of a macro that was recorded and kept
   */
  public TryView(Session session, Consumer<String> onKept) {
    this.session = session;
    recording =
        new RecordPanel(session.recorder(), id -> id.ifPresentOrElse(onKept, this::focusWindow));
    this.keyboard = new KeyboardView(this::press);
    DevicesPane.Listener hands =
        new DevicesPane.Listener() {
          @Override
          public void key(Device device, String key, Trigger.Way way) {
            TryView.this.key(device, key, way);
          }

          @Override
          public void dial(Device device, String dial, Trigger.Turn turn) {
            TryView.this.dial(device, dial, turn);
          }
        };
    this.devices = new DevicesPane(keyboard, d -> trial().page(d), hands);
    this.midi = new MidiInputs(session, hands);
    this.toolbar = new ToolbarRow(this::motion);
    bar.setAlignment(Pos.CENTER_LEFT);
    HBox.setHgrow(bar, Priority.ALWAYS);
    HBox head = new HBox(bar, Parts.button("try-record", Ui.text("collect.record"), this::record));
    head.getStyleClass().add("bar");
    context.setId("try-context");
    front.setMinSize(0, 0);
    VBox.setVgrow(front, Priority.ALWAYS);
    VBox.setMargin(front, new javafx.geometry.Insets(0, 14, 8, 14));
    Label hint = Parts.wrapped(Ui.text("try.hint"), "soft");
    VBox board = new VBox(6, devices, hint);
    board.setPadding(new javafx.geometry.Insets(4, 14, 10, 14));
    VBox.setMargin(toolbar, new javafx.geometry.Insets(0, 14, 4, 14));
    VBox left = new VBox(head, toolbar, front, board);
    setCenter(left);

    fired =
        new FiredPanel(
            session,
            () -> last.run(),
            this::focusWindow,
            () -> {
              windows.get(application).refresh();
              follow();
            },
            this::keep);
    repeating.setCycleCount(Timeline.INDEFINITE);
    checks = new ChecksPane(session, this::focusWindow);
    VBox reasons = new VBox(8, recording, sides(), fired, checks);
    reasons.getStyleClass().add("why");
    ScrollPane scroll = new ScrollPane(reasons);
    scroll.setFitToWidth(true);
    scroll.setFitToHeight(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    scroll.setPrefWidth(330);
    scroll.setStyle("-fx-background: -leaf;");
    scroll.setFocusTraversable(false);
    HBox right = new HBox(new javafx.scene.layout.Region(), scroll);
    right.getChildren().getFirst().getStyleClass().add("crease");
    setRight(right);
    session.nowProperty().addListener((o, a, b) -> otherNow());
    build();
    go("tagpress");
  }

  /** The presses so far, or the checks of presses. */
  private Node sides() {
    ToggleGroup group = new ToggleGroup();
    pressesSide.setId("try-side-presses");
    checksSide.setId("try-side-checks");
    for (ToggleButton side : List.of(pressesSide, checksSide)) {
      side.getStyleClass().addAll("chip", "small-chip");
      side.setToggleGroup(group);
      side.setOnAction(e -> side(side));
    }
    side(pressesSide);
    return new HBox(6, pressesSide, checksSide);
  }

  private void side(ToggleButton chosen) {
    chosen.setSelected(true);
    boolean presses = chosen == pressesSide;
    fired.setVisible(presses);
    fired.setManaged(presses);
    checks.setVisible(!presses);
    checks.setManaged(!presses);
  }

  /** Shows the checks of presses and makes them on the station in view. */
  public void check() {
    side(checksSide);
    checks.makeHere();
  }

  /** The same on all stations. */
  public void checkEverywhere() {
    side(checksSide);
    checks.makeEverywhere();
  }

  /** Shows the presses so far. */
  public void showPresses() {
    side(pressesSide);
  }

  /** Keeps the last press and what came of it as a check. */
  private void keep(FiredPanel.Kept kept) {
    checks.add(kept.place(), kept.trigger(), kept.came());
    side(checksSide);
    checksSide.requestFocus();
  }

  private void otherNow() {
    if (computer.equals(session.computer())) {
      follow();
    } else {
      build();
      go(application);
    }
  }

  /** Windows and chips for the programs of the station in view. */
  private void build() {
    computer = session.computer();
    windows.clear();
    chips.clear();
    bar.getChildren().clear();
    ToggleGroup group = new ToggleGroup();
    for (var entry : session.programs().entrySet()) {
      StandInWindow window = Windows.of(entry.getValue());
      window.setOnAct(
          (act, reply) -> {
            session.recorder().hear(act, reply, entry.getValue());
            if (!(act instanceof Act.Fill)) {
              worked();
              hint(act, reply);
            }
          });
      window.addEventFilter(MouseEvent.MOUSE_PRESSED, this::clicked);
      new PointerReader(this::motion, drawn -> session.say(PointerReader.why(drawn)))
          .listen(window);
      window.setOnPane(this::follow);
      window.setOnRestart(() -> restarted(entry.getKey()));
      window.setOnNewWindow(() -> session.opened(entry.getKey()));
      window.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
      window.addEventFilter(KeyEvent.KEY_RELEASED, this::released);
      window.addEventFilter(KeyEvent.KEY_TYPED, TryView::swallow);
      window.focusedProperty().addListener((o, a, b) -> follow());
      window.focusWithinProperty().addListener((o, a, within) -> letGo());
      windows.put(entry.getKey(), window);
      ToggleButton chip = new ToggleButton(name(entry.getKey()));
      chip.setId("try-" + entry.getKey());
      chip.getStyleClass().add("chip");
      chip.setToggleGroup(group);
      chip.setOnAction(e -> go(entry.getKey()));
      chips.put(entry.getKey(), chip);
      bar.getChildren().add(chip);
    }
    HBox where = new HBox(5, Parts.label(Ui.text("try.in"), "soft"), context, pointerOver);
    where.setAlignment(Pos.CENTER_LEFT);
    bar.getChildren().add(where);
  }

  /** Quietly says that keys would have done what was chosen from a menu. */
  private void hint(Act act, Reply reply) {
    if (act instanceof Act.Choose(List<String> menu) && reply instanceof Reply.Done) {
      Snapshot now = session.now();
      ShorterWay.toCommand(now.library(), now.keymap(), application, menu)
          .ifPresent(keys -> session.say(Ui.text("try.shorter", keys)));
    }
  }

  private void clicked(MouseEvent e) {
    pointer = new javafx.geometry.Point2D(e.getSceneX(), e.getSceneY());
    double width = e.getTarget() instanceof Node n ? n.getBoundsInLocal().getWidth() : 1;
    session.recorder().click(e.getSceneX(), e.getSceneY(), width);
  }

  /** Begins a recording of the program in front, or keeps the one that is on. */
  public void record() {
    if (session.recorder().isOn()) {
      recording.lookup("#record-keep").fireEvent(new javafx.event.ActionEvent());
      return;
    }
    session.recorder().start(program());
    recording.begin();
    windows.get(application).requestFocus();
  }

  /** Tells the recorder what keys came to. */
  private void heard(Trial.Result result, String in) {
    if (!session.recorder().isOn()) {
      return;
    }
    Program program = session.programs().get(in);
    for (Effect effect : result.effects()) {
      switch (effect) {
        case Effect.Native(var command, var reply) ->
            session
                .recorder()
                .hear(
                    new Act.Fire(
                        command.command(),
                        Optional.of(
                            new Trigger.Keys(
                                strokes.stream()
                                    .map(p -> session.now().keymap().layout().stroke(p))
                                    .toList()))),
                    reply,
                    program);
        case Effect.Typed(String text, var reply) ->
            session.recorder().hear(new Act.Type(text), reply, program);
        case Effect.Ran ran ->
            session
                .recorder()
                .hear(
                    new Act.Ran(ran.routine().id(), ran.binding().arguments()),
                    Reply.QUIET,
                    program);
        default -> {}
      }
    }
  }

  /** After the program in front was worked: another may have come to the front. */
  private void worked() {
    String front = computer.front().application();
    if (!front.equals(application)) {
      go(front);
    } else {
      follow();
    }
  }

  private String name(String application) {
    Application a = session.now().library().applications().get(application);
    return a == null ? application : a.name();
  }

  /** Brings a stand-in to front. */
  public void go(String id) {
    application = id;
    if (!computer.front().application().equals(id)) {
      computer.bringToFront(id);
    }
    chips.get(id).setSelected(true);
    front.getChildren().setAll(windows.get(id));
    trial = null;
    windows.get(id).refresh();
    follow();
    windows.get(id).requestFocus();
  }

  /** Gives the keys to the stand-in in front. */
  public void focusWindow() {
    windows.get(application).requestFocus();
  }

  /**
   * Shows everything as it is now: another view may have worked the programs or changed the
   * library.
   */
  public void refresh() {
    windows.get(application).refresh();
    follow();
  }

  /** Takes a run's steps; one that has to wait or asks is shown again each time it stands still. */
  private void drive(Run run) {
    session.runs().drive(run, r -> stood());
  }

  private void stood() {
    if (fired.isShown()) {
      fired.explain();
      worked();
      windows.get(application).refresh();
    }
  }

  private Program program() {
    return session.programs().get(application);
  }

  private void follow() {
    Snapshot now = session.now();
    pointerOver.show(now, session.programs().get(application));
    checks.show(now);
    checksSide.setText(Ui.text("try.tab.checks", now.library().checks().size()));
    context.setText(now.library().nameOf(program().place()).replaceFirst("^.* \u203a ", ""));
    devices.show(now, program().place());
    midi.follow(now);
    toolbar.show(application, new Faces(now, program().place()));
    windows.forEach(
        (id, w) ->
            w.setReadsInWindows(
                Optional.ofNullable(now.library().applications().get(id)).stream()
                    .flatMap(a -> a.ways().stream())
                    .anyMatch(way -> way.needs().contains(Need.NEW_WINDOW))));
    windows.forEach(
        (id, w) -> {
          w.getStyleClass().remove("keys-here");
          if (hasKeys(w)) {
            w.getStyleClass().add("keys-here");
          }
        });
  }

  private static boolean hasKeys(StandInWindow window) {
    return window.isFocusWithin();
  }

  private Trial trial() {
    Snapshot now = session.now();
    if (trial == null || trialOf != now.heard().keymap()) {
      trial =
          new Trial(
              now.heard().library(),
              now.heard().keymap(),
              computer,
              Ecmascript.ENGINE,
              session.pages(),
              this::drive);
      trialOf = now.heard().keymap();
    }
    return trial;
  }

  private static long millis() {
    return System.nanoTime() / 1_000_000;
  }

  /**
   * Real keys go to the stand-in; those that lead out of it were taken before. In a dialog's field
   * they go to the field, unless somebody claims them there.
   */
  private void key(KeyEvent e) {
    held.follow(e);
    if (e.getTarget() instanceof Button) {
      return;
    }
    Optional<Press> press = held.press(e, session.now().keymap().layout());
    if (e.getTarget() instanceof TextInputControl && press.filter(this::isClaimed).isEmpty()) {
      return;
    }
    keyboard.hold(held.during(e));
    press.filter(p -> !isHeldDown(p)).ifPresent(this::press);
    press.ifPresent(p -> down.put(p.code(), p));
    e.consume();
  }

  private boolean isClaimed(Press press) {
    return !trial().pending().isEmpty()
        || Resolver.outcomes(session.now().heard().keymap(), program().place(), List.of(press))
            .stream()
            .anyMatch(o -> o instanceof Outcome.Fired || o instanceof Outcome.Undecided);
  }

  private void released(KeyEvent e) {
    held.follow(e);
    computer.hold(held.during(e));
    keyboard.hold(held.during(e));
    held.press(e, session.now().keymap().layout())
        .map(p -> down.remove(p.code()))
        .ifPresent(this::lift);
  }

  /** A key that repeats while it is down goes down only once for what is active while held. */
  private boolean isHeldDown(Press press) {
    return down.containsKey(press.code())
        && Resolver.outcomes(session.now().heard().keymap(), program().place(), List.of(press))
            .stream()
            .anyMatch(
                o ->
                    o instanceof Outcome.Fired(Claim claim)
                        && (claim.trigger() instanceof Trigger.Held || repeats(claim)));
  }

  /** True when it fires at a rate of its own while its key is down. */
  private boolean repeats(Claim claim) {
    return claim.owner() instanceof Owner.Yours(String id)
        && session.now().heard().library().bindings().get(id).fitting().repeats() > 0;
  }

  /** Fires again what repeats, when its time has come. */
  private void repeat() {
    Optional<Long> next = trial().repeatsNext();
    if (next.isEmpty() || down.isEmpty()) {
      repeating.stop();
      return;
    }
    if (millis() >= next.get()) {
      Trial.Result result = trial().tick(millis());
      show(result);
    }
  }

  /** The keys go elsewhere: what is down will be told to come up to nobody here. */
  private void letGo() {
    held.reset();
    List<Press> still = List.copyOf(down.values());
    down.clear();
    still.forEach(this::lift);
  }

  /** A key comes up: only what is bound to that hears of it. */
  private void lift(Press press) {
    Trial.Result result = begin().signal(new Lift(press), millis());
    if (result.effects().stream().noneMatch(e -> e instanceof Effect.Nothing)) {
      Stroke stroke = session.now().keymap().layout().stroke(press);
      Trigger up = new Trigger.Held(stroke, Trigger.Edge.UP);
      show(result, session.now().words().trigger(up), up);
    }
  }

  /** Something is done with another thing than a key. */
  public void motion(Trigger trigger) {
    last = () -> motion(trigger);
    hand(begin().signal(new Motion(trigger), millis()), trigger);
  }

  /** A key of a device is pressed. */
  public void key(Device device, String key, Trigger.Way way) {
    last = () -> key(device, key, way);
    String page = trial().page(device).id();
    hand(begin().key(device, key, way, millis()), new Trigger.PadKey(device.id(), page, key, way));
  }

  private void dial(Device device, String dial, Trigger.Turn turn) {
    last = () -> dial(device, dial, turn);
    hand(
        begin().dial(device, dial, turn, millis()),
        new Trigger.Dial(device.id(), trial().page(device).id(), dial, turn));
  }

  /** What takes the messages of a MIDI device of the station. */
  public Optional<javax.sound.midi.Receiver> midi(String device) {
    return midi.receiver(device);
  }

  /** Brings a device into view; the keyboard with an empty id. */
  public void device(String id) {
    devices.open(id);
  }

  /** Something is done: where it was done is remembered, because it may lead elsewhere. */
  private Trial begin() {
    began = program().place();
    return trial();
  }

  private void hand(Trial.Result result, Trigger trigger) {
    heard(result, application);
    summon(result);
    show(result, session.now().words().trigger(trigger), trigger);
  }

  /** Opens what a press summoned. */
  private void summon(Trial.Result result) {
    for (Effect e : result.effects()) {
      if (e instanceof Effect.Opened(Summoned what)) {
        open(what);
      }
    }
  }

  /** Opens what was summoned where the pointer is, or in the middle. */
  private void open(Summoned what) {
    double width = front.getWidth();
    double height = front.getHeight();
    javafx.geometry.Point2D at =
        pointer == null
            ? new javafx.geometry.Point2D(width / 2, height / 2)
            : front.sceneToLocal(pointer);
    Pane[] pane = new Pane[1];
    Runnable close =
        () -> {
          focusWindow(); // before what has the keys is gone
          front.getChildren().remove(pane[0]);
        };
    switch (what) {
      case RadialMenu menu -> {
        pane[0] =
            new RadialPane(
                menu,
                Math.clamp(at.getX(), 232, Math.max(232, width - 232)),
                Math.clamp(at.getY(), 130, Math.max(130, height - 130)),
                new Faces(session.now(), program().place()),
                choice -> {
                  close.run();
                  motion(choice);
                },
                close);
        front.getChildren().add(pane[0]);
        Platform.runLater(pane[0]::requestFocus);
      }
      case Offering offering -> {
        OfferingPane list = new OfferingPane(session, offering.name(), program(), offered(close));
        pane[0] = list;
        StackPane.setAlignment(list, Pos.TOP_LEFT);
        list.setTranslateX(Math.clamp(at.getX(), 8, Math.max(8, width - OfferingPane.WIDTH - 8)));
        list.setTranslateY(Math.clamp(at.getY(), 8, Math.max(8, height - OfferingPane.HEIGHT - 8)));
        front.getChildren().add(list);
        Platform.runLater(list::focusFilter);
      }
    }
  }

  /** What the list of what fits can do to the program in front. */
  private OfferingPane.Listener offered(Runnable close) {
    return new OfferingPane.Listener() {
      @Override
      public void run(Routine routine, Map<String, Value> arguments) {
        close.run();
        fits(routine, arguments);
      }

      @Override
      public void set(Routine routine) {
        fits(routine, Map.of());
      }

      @Override
      public void select(Whom.Group group) {
        program().select(group, false);
        windows.get(application).refresh();
        follow();
      }

      @Override
      public void leave() {
        close.run();
      }
    };
  }

  /** Runs what was chosen from the list of what fits, as if a key had set it off. */
  private void fits(Routine routine, Map<String, Value> arguments) {
    last = () -> fits(routine, arguments);
    Run run = Run.of(routine, arguments, begin().around());
    drive(run);
    Binding as = Binding.fresh("", routine.id(), program().place(), List.of(), arguments);
    Trial.Result result =
        new Trial.Result(Optional.empty(), List.of(new Effect.Ran(as, routine, run)));
    heard(result, application);
    show(result, routine.name(), Optional.empty());
  }

  /** A program was started anew: what is bound to that runs. */
  private void restarted(String id) {
    session.restarted(id);
    Trial.Result result = begin().started(id, millis());
    session.say(Ui.text("said.restarted", name(id)));
    if (!result.effects().isEmpty()) {
      Trigger start = new Trigger.AtStart();
      show(result, session.now().words().trigger(start), start);
    }
    windows.get(id).refresh();
    follow();
  }

  private static void swallow(KeyEvent e) {
    if (!(e.getTarget() instanceof TextInputControl)) {
      e.consume();
    }
  }

  /** Presses a key in the stand-in in front. */
  public void press(Press press) {
    if (press == null) {
      return;
    }
    last = () -> press(press);
    if (trial().pending().isEmpty()) {
      strokes.clear();
      began = program().place();
    }
    strokes.add(press);
    String in = application;
    session.recorder().key();
    Trial.Result result = trial().press(press, millis());
    heard(result, in);
    keyboard.flash(press);
    show(result);
    summon(result);
    if (trial != null && trial.repeatsNext().isPresent()) {
      repeating.playFromStart();
    }
    if (trial != null && !trial.pending().isEmpty()) {
      timer.again();
    } else {
      timer.stop();
    }
  }

  private void show(Trial.Result result) {
    if (!result.effects().isEmpty()) {
      Trigger.Keys keys =
          new Trigger.Keys(
              strokes.stream().map(p -> session.now().keymap().layout().stroke(p)).toList());
      show(result, Notation.write(keys), keys);
    }
  }

  private void show(Trial.Result result, String notation, Trigger trigger) {
    show(result, notation, Optional.of(trigger));
  }

  private void show(Trial.Result result, String notation, Optional<Trigger> trigger) {
    fired.show(result, notation, trigger, name(application), began);
    windows.get(application).refresh();
    worked();
  }
}
