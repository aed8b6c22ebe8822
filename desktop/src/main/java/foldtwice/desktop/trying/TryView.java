package foldtwice.desktop.trying;

import foldtwice.desktop.parts.Faces;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.PadHand;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.view.Act;
import foldtwice.desktop.view.Acts;
import foldtwice.desktop.view.Going;
import foldtwice.desktop.view.Target;
import foldtwice.desktop.view.View;
import foldtwice.place.Place;
import foldtwice.run.Program;
import foldtwice.run.Trial;
import foldtwice.surface.Device;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Press;
import foldtwice.trigger.Trigger;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Fire what is bound in a stand-in's window and see who took the press. */
public final class TryView extends BorderPane implements View, Pressing.Listener {

  public static final List<Act<TryView>> ACTS =
      List.of(
          new Act<>("record", v -> v.session.mayWrite(), TryView::record),
          new Act<>("try-presses", TryView::showPresses),
          new Act<>("checks-here", TryView::check),
          new Act<>("checks-everywhere", TryView::checkEverywhere),
          new Act<>("checks-junit", v -> v.checks.hasResults(), v -> v.checks.save()));

  /** Kept beside the chips of the programs for the button that records. */
  private static final double RECORD_WIDTH = 130;

  private final Session session;
  private final Acts<TryView> acts = new Acts<>(this, ACTS);
  private final Pressing pressing;
  private final Programs programs;
  private final Summons summons;
  private final Echo echo;
  private final KeyboardView keyboard;
  private final DevicesPane devices;
  private final ToolbarRow toolbar;
  private final RecordPanel recording;
  private final FiredPanel fired;
  private final ChecksPane checks;
  private final ToggleButton pressesSide = Skins.on(new ToggleButton(Ui.text("try.tab.presses")));
  private final ToggleButton checksSide = Skins.on(new ToggleButton());

  /** A view of the station's programs. */
  public TryView(Session session, Going going) {
    this.session = session;
    pressing = new Pressing(session, this);
    programs = new Programs(session, pressing, this::follow);
    summons = new Summons(session, programs, pressing);
    echo = new Echo(programs);
    recording =
        new RecordPanel(
            session,
            id ->
                id.ifPresentOrElse(made -> going.to(new Target.Routine(made)), programs::takeKeys));
    keyboard = new KeyboardView(pressing::press);
    PadHand hands =
        new PadHand() {
          @Override
          public void key(Device device, String key, Trigger.Duration way) {
            pressing.key(device, key, way);
          }

          @Override
          public boolean down(Device device, String key) {
            return pressing.down(device, key);
          }

          @Override
          public void up() {
            pressing.up();
          }

          @Override
          public void dial(Device device, String dial, Trigger.Turn turn) {
            pressing.dial(device, dial, turn);
          }
        };
    devices = new DevicesPane(keyboard, d -> pressing.trial().page(d), hands);
    session.pads().tried(hands);
    toolbar = new ToolbarRow(pressing::motion);
    fired =
        new FiredPanel(session, pressing::again, programs::takeKeys, programs::refresh, this::keep);
    checks = new ChecksPane(session, programs::takeKeys);
    HBox.setHgrow(programs.bar(), Priority.ALWAYS);
    HBox head = new HBox(programs.bar(), acts.button("record"));
    head.getStyleClass().add("bar");
    programs.bar().prefWrapLengthProperty().bind(head.widthProperty().subtract(RECORD_WIDTH));
    VBox.setVgrow(programs.front(), Priority.ALWAYS);
    VBox.setMargin(programs.front(), new Insets(0, 14, 8, 14));
    VBox board = new VBox(6, devices, Parts.wrapped(Ui.text("try.hint"), "soft"));
    board.setPadding(new Insets(4, 14, 10, 14));
    VBox.setMargin(toolbar, new Insets(0, 14, 4, 14));
    setCenter(new VBox(head, toolbar, programs.front(), board));
    VBox reasons = new VBox(8, recording, sides(), fired, checks);
    reasons.getStyleClass().add("why");
    ScrollPane scroll = Parts.leaf(reasons, true);
    scroll.setPrefWidth(330);
    setRight(new HBox(Parts.crease(), scroll));
  }

  // the contract of a view

  @Override
  public Node node() {
    return this;
  }

  @Override
  public Target here() {
    return new Target.Program(programs.application());
  }

  @Override
  public void show(Snapshot now) {
    acts.refresh();
    programs.show(now);
  }

  @Override
  public void showConflicts(Snapshot now) {}

  @Override
  public void takeKeys() {
    programs.takeKeys();
  }

  @Override
  public void open(Target target) {
    switch (target) {
      case Target.Program(String id) -> programs.go(id);
      case Target.Recording(String id) -> {
        if (!session.recorder().isOn()) {
          programs.go(id);
          record();
        }
      }
      default -> {} // this view as it was left
    }
  }

  /** Brings a program to front. */
  public void go(String id) {
    programs.go(id);
  }

  private void follow() {
    Snapshot now = session.now();
    Program program = programs.program();
    checks.show(now);
    checksSide.setText(Ui.text("try.tab.checks", now.library().checks().size()));
    session.pads().follow(now);
    echo.look();
    if (program != null) {
      programs.follow(now);
      devices.show(now, program.place());
      toolbar.show(programs.application(), new Faces(now, program.place()));
    }
  }

  // what came of a press

  @Override
  public void came(Trial.Result result, String notation, Optional<Trigger> trigger, Place before) {
    echo.tell(); // before what is shown looks at the values again
    fired.show(result, notation, trigger, programs.name(programs.application()), before);
    programs.draw();
    programs.worked();
    summons.of(result);
  }

  @Override
  public void stood() {
    if (fired.isShown()) {
      echo.tell();
      fired.explain();
      programs.worked();
      programs.draw();
    }
  }

  @Override
  public void held(Modifiers held) {
    keyboard.hold(held);
  }

  @Override
  public void flash(Press press) {
    keyboard.flash(press);
  }

  // at the right

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
    Parts.there(fired, presses);
    Parts.there(checks, !presses);
  }

  /** Shows the presses so far. */
  public void showPresses() {
    side(pressesSide);
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

  /** Keeps the last press and what came of it as a check. */
  private void keep(FiredPanel.Kept kept) {
    checks.add(kept.place(), kept.trigger(), kept.came());
    side(checksSide);
    checksSide.requestFocus();
  }

  /** Begins a recording of the program in front, or keeps the one that is on. */
  public void record() {
    if (session.recorder().isOn()) {
      recording.keep();
    } else if (programs.program() != null) {
      session.recorder().start(programs.program());
      recording.begin();
      programs.takeKeys();
    } else {
      session.say(Ui.text("try.norecord"));
    }
  }

  // hands, for pictures and tests

  /** Presses a key in the stand-in in front. */
  public void press(Press press) {
    pressing.press(press);
  }

  /** What takes the messages of a MIDI device of the station. */
  public Optional<javax.sound.midi.Receiver> midi(String device) {
    return session.pads().receiver(device);
  }

  /** Brings a device into view; the keyboard with an empty id. */
  public void device(String id) {
    devices.open(id);
  }
}
