package foldtwice.desktop.trying;

import foldtwice.binding.Binding;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.PointerReader;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.parts.Styles;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.standin.StandInWindow;
import foldtwice.desktop.standin.Windows;
import foldtwice.place.Application;
import foldtwice.place.Need;
import foldtwice.run.Act;
import foldtwice.run.Program;
import foldtwice.standin.SimulatedComputer;
import foldtwice.standin.base.StandIn;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.geometry.Point2D;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;

/** The windows of the station's programs, one of them in front, and the chips that lead to them. */
final class Programs {

  private final Session session;
  private final Pressing pressing;
  private final Runnable onChange;
  private final Map<String, StandInWindow> windows = new LinkedHashMap<>();
  private final Map<String, ToggleButton> chips = new LinkedHashMap<>();
  private final FlowPane bar = new FlowPane(8, 6);
  private final StackPane front = new StackPane();
  private final HBox where;
  private final PointerChoice pointerOver;
  private final HandReader hand;
  private final Label context = Parts.label("", "strong");
  private SimulatedComputer computer;

  /** The programs whose windows there are. */
  private Map<String, StandIn<?>> shown = Map.of();

  private String application = "";
  private Point2D pointer;

  /**
   * @param onChange is called when the program in front, or what it shows, may be another
   */
  Programs(Session session, Pressing pressing, Runnable onChange) {
    this.session = session;
    this.pressing = pressing;
    this.onChange = onChange;
    hand = new HandReader(session);
    pointerOver = new PointerChoice(this::refresh);
    context.setId("try-context");
    where = new HBox(5, Parts.label(Ui.text("try.in"), "soft"), context, pointerOver);
    where.setAlignment(Pos.CENTER_LEFT);
    bar.setAlignment(Pos.CENTER_LEFT);
    front.setMinSize(0, 0);
  }

  /** The chips, and the context of the program in front. */
  FlowPane bar() {
    return bar;
  }

  /** The window in front, and what is laid over it. */
  StackPane front() {
    return front;
  }

  String application() {
    return application;
  }

  Program program() {
    return session.programs().get(application);
  }

  /** Where the pointer was last over the program, in the scene. */
  Optional<Point2D> pointer() {
    return Optional.ofNullable(pointer);
  }

  String name(String id) {
    Application a = session.now().library().applications().get(id);
    return a == null ? id : a.name();
  }

  /** The programs of the station in view: their windows are made anew on another computer. */
  void show(Snapshot now) {
    if (computer == null
        || !computer.equals(session.computer())
        || !shown.equals(session.programs())) {
      build();
      go(windows.containsKey(application) ? application : mostUsed(now));
    } else {
      chips.forEach((id, chip) -> chip.setText(name(id)));
      refresh();
    }
  }

  /** The program whose bindings are used most: where there is most to try. */
  private String mostUsed(Snapshot now) {
    Map<String, Double> uses =
        now.library().bindings().values().stream()
            .filter(b -> b.place().applicationId().filter(windows::containsKey).isPresent())
            .collect(
                Collectors.groupingBy(
                    b -> b.place().applicationId().orElseThrow(),
                    Collectors.summingDouble(Binding::usesPerWeek)));
    return windows.keySet().stream()
        .max(Comparator.comparing(id -> uses.getOrDefault(id, 0.0)))
        .orElse("");
  }

  private void build() {
    computer = session.computer();
    shown = Map.copyOf(session.programs());
    front.getChildren().clear();
    windows.clear();
    chips.clear();
    bar.getChildren().clear();
    ToggleGroup group = new ToggleGroup();
    session
        .programs()
        .forEach(
            (id, program) -> {
              windows.put(id, window(id, Windows.of(program)));
              ToggleButton chip = Skins.on(new ToggleButton(name(id)));
              chip.setId("try-" + id);
              chip.getStyleClass().add("chip");
              chip.setToggleGroup(group);
              chip.setOnAction(e -> go(id));
              chips.put(id, chip);
              bar.getChildren().add(chip);
            });
    bar.getChildren().add(where);
  }

  private StandInWindow window(String id, StandInWindow window) {
    window.setOnAct(
        (act, reply) -> {
          session.recorder().hear(act, reply, session.programs().get(id));
          if (!(act instanceof Act.Fill)) {
            worked();
          }
        });
    window.addEventFilter(
        MouseEvent.MOUSE_PRESSED, e -> pointer = new Point2D(e.getSceneX(), e.getSceneY()));
    hand.listen(window);
    window.addEventFilter(
        MouseEvent.MOUSE_MOVED, e -> pointer = new Point2D(e.getSceneX(), e.getSceneY()));
    new PointerReader(pressing::motion, drawn -> session.say(PointerReader.why(drawn)))
        .listen(window);
    window.setOnPane(onChange);
    window.setOnRestart(() -> restarted(id));
    window.setOnNewWindow(() -> session.needs().opened(id));
    window.addEventFilter(KeyEvent.KEY_PRESSED, pressing::key);
    window.addEventFilter(KeyEvent.KEY_RELEASED, pressing::released);
    window.addEventFilter(KeyEvent.KEY_TYPED, Pressing::typed);
    window.focusedProperty().addListener((o, a, b) -> onChange.run());
    window.focusWithinProperty().addListener((o, a, within) -> pressing.letGo());
    return window;
  }

  private void restarted(String id) {
    session.needs().restarted(id);
    session.say(Ui.text("said.restarted", name(id)));
    pressing.started(id);
    windows.get(id).refresh();
    onChange.run();
  }

  /** After the program in front was worked: another may have come to the front. */
  void worked() {
    String now = computer.front().application();
    if (!now.equals(application)) {
      go(now);
    } else {
      onChange.run();
    }
  }

  /** Brings a program to front. */
  void go(String id) {
    if (!windows.containsKey(id)) {
      return; // nobody simulates it on this computer
    }
    application = id;
    if (!computer.front().application().equals(id)) {
      computer.bringToFront(id);
    }
    chips.get(id).setSelected(true);
    front.getChildren().setAll(windows.get(id));
    pressing.in(id);
    windows.get(id).refresh();
    onChange.run();
    takeKeys();
  }

  /** Gives the keys to the window in front. */
  void takeKeys() {
    Optional.ofNullable(windows.get(application)).ifPresent(StandInWindow::requestFocus);
  }

  /** Draws the window in front as its program is now. */
  void draw() {
    Optional.ofNullable(windows.get(application)).ifPresent(StandInWindow::refresh);
  }

  /** Shows the window in front as its program is now, and all that follows from it. */
  void refresh() {
    draw();
    onChange.run();
  }

  /** Shows what the windows are to tell now. */
  void follow(Snapshot now) {
    if (program() != null) {
      pointerOver.show(now, session.programs().get(application));
      context.setText(now.library().nameOf(program().place()).replaceFirst("^.* \u203a ", ""));
    }
    windows.forEach(
        (id, w) -> {
          w.setReadsInWindows(
              Optional.ofNullable(now.library().applications().get(id)).stream()
                  .flatMap(a -> a.ways().stream())
                  .anyMatch(way -> way.needs().contains(Need.NEW_WINDOW)));
          Styles.set(w, "keys-here", w.isFocusWithin());
        });
  }
}
