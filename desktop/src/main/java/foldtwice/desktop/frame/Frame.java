package foldtwice.desktop.frame;

import foldtwice.desktop.begin.Lately;
import foldtwice.desktop.parts.Capture;
import foldtwice.desktop.parts.KeepsKeys;
import foldtwice.desktop.parts.Theme;
import foldtwice.desktop.parts.Typing;
import foldtwice.desktop.session.Faults;
import foldtwice.desktop.session.HeldKeys;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.view.Act;
import foldtwice.desktop.view.Going;
import foldtwice.desktop.view.OwnKeys;
import foldtwice.desktop.view.Target;
import foldtwice.desktop.view.View;
import foldtwice.resolve.Keymap;
import java.nio.file.Path;
import java.util.Optional;
import javafx.application.Platform;
import javafx.event.EventHandler;
import javafx.geometry.Insets;
import javafx.scene.Scene;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** The whole window: strip above, tabs at the left, the view, the foot. */
public final class Frame extends StackPane implements Going {

  private final Session session;
  private final HeldKeys held = new HeldKeys();
  private final Theme theme;
  private final Sheets sheets;
  private final Deeds deeds;
  private final FirstSteps first;
  private final Strip strip;
  private final Tabs tabs;
  private final Foot foot;
  private final LookUp lookUp;
  private final TroubleBar trouble;
  private final Libraries libraries;

  /** One whose other windows are of no library yet. */
  public Frame(Session session, Theme theme, Faults faults) {
    this(session, theme, faults, new Libraries(faults, session.files(), Lately.mine()));
  }

  public Frame(Session session, Theme theme, Faults faults, Libraries libraries) {
    this.session = session;
    this.libraries = libraries;
    this.theme = theme;
    OwnKeys.get().declare(FrameActs.ALL);
    Views.ALL.forEach(k -> OwnKeys.get().declare(k.acts()));
    tabs = new Tabs(this);
    sheets = new Sheets(session, this::chosen);
    deeds = new Deeds(session, this, sheets);
    first = new FirstSteps(deeds);
    Pane overlay = new Pane();
    lookUp = new LookUp(session, this, deeds, overlay);
    strip = new Strip(session, lookUp.bar(), widthProperty(), deeds, libraries);
    trouble = new TroubleBar(session);
    foot = new Foot(session);
    VBox.setVgrow(sheets, Priority.ALWAYS);
    BorderPane root = new BorderPane(new VBox(first, sheets));
    root.setTop(new VBox(strip, new FaultBar(faults), trouble, new GuestBar(session)));
    root.setLeft(tabs);
    BorderPane.setMargin(root.getCenter(), new Insets(0, 10, 0, 0));
    root.setBottom(foot);
    getChildren().addAll(root, overlay);
    Typing typing = new Typing(this, () -> sheets.view().map(View::here));
    session
        .nowProperty()
        .addListener((o, before, now) -> typing.during(this, () -> show(now, before)));
    session.background().showing(answer -> typing.during(this, answer));
    show(session.now(), null);
    to(new Target.Sheet("bind"));
    EventHandler<KeyEvent> pressed = this::key;
    EventHandler<KeyEvent> released = held::follow;
    sceneProperty()
        .addListener(
            (o, left, scene) -> {
              if (left != null) {
                left.removeEventFilter(KeyEvent.KEY_PRESSED, pressed);
                left.removeEventFilter(KeyEvent.KEY_RELEASED, released);
              }
              if (scene != null) {
                scene.addEventFilter(KeyEvent.KEY_PRESSED, pressed);
                scene.addEventFilter(KeyEvent.KEY_RELEASED, released);
                Platform.runLater(() -> sheets.view().ifPresent(View::takeKeys));
              }
            });
  }

  private void show(Snapshot now, Snapshot before) {
    strip.show(now);
    foot.show(now);
    if (before != null && now.isOnlyLookedThrough(before)) {
      sheets.showConflicts(now);
      return;
    }
    sheets.show(now);
    first.show(sheets.kind().id(), now.library());
  }

  /** Another view has come into view. */
  private void chosen(String view) {
    tabs.choose(view);
    first.show(view, session.now().library());
  }

  @Override
  public void to(Target target) {
    sheets.to(target);
  }

  /** Brings a view into view, for pictures and tests. */
  public <V extends View> V show(Class<V> type) {
    String id =
        Views.ALL.stream().filter(k -> k.type().equals(type)).findFirst().orElseThrow().id();
    to(new Target.Sheet(id));
    return type.cast(sheets.view().orElseThrow());
  }

  /** The application's own keys; a stand-in with the keys, and text being typed, go before most. */
  private void key(KeyEvent e) {
    if (Capture.isReading(getScene())) {
      return; // every key is the person's answer, ours too
    }
    held.follow(e);
    Keymap keymap = session.now().keymap();
    held.press(e, keymap.layout()).stream()
        .flatMap(press -> OwnKeys.get().on(press, keymap).stream())
        .map(deeds::of)
        .flatMap(Optional::stream)
        .filter(deed -> isHeard(deed.reach(), e.getTarget()))
        .findFirst()
        .ifPresent(
            deed -> {
              e.consume();
              deed.does().run();
            });
  }

  private static boolean isHeard(Act.Reach reach, Object target) {
    return switch (reach) {
      case ANYWHERE -> true;
      case NOT_IN_TEXT -> !KeepsKeys.at(target) && !(target instanceof TextInputControl);
      case HERE -> !KeepsKeys.at(target);
    };
  }

  /** From the view to the tabs to the strip, and round again. */
  void nextArea() {
    if (sheets.hasKeys()) {
      tabs.takeKeys();
    } else if (tabs.hasKeys()) {
      strip.takeKeys();
    } else {
      sheets.view().ifPresent(View::takeKeys);
    }
  }

  boolean canGoBack() {
    return sheets.canGoBack();
  }

  void back() {
    sheets.back();
  }

  boolean canGoForward() {
    return sheets.canGoForward();
  }

  void forward() {
    sheets.forward();
  }

  boolean canUndo() {
    return session.now().undoable().isPresent();
  }

  void undo() {
    session.undo();
  }

  boolean canRedo() {
    return session.now().redoable().isPresent();
  }

  void redo() {
    session.redo();
  }

  void beginLibrary() {
    libraries.begin();
  }

  void openLibrary() {
    libraries.ask(getScene().getWindow());
  }

  void openDemo() {
    libraries.demo().ifPresent(session::say);
  }

  /** Writes the library to another file as well. */
  void copyLibrary() {
    Path file = session.store().file();
    session
        .files()
        .fresh(getScene().getWindow(), Ui.text("act.copy-library"), file.getFileName().toString())
        .ifPresent(session.disk()::copyTo);
  }

  void saveElsewhere() {
    trouble.elsewhere();
  }

  boolean hasGuest() {
    return session.guests().guestProperty().get().isPresent() && session.mayWrite();
  }

  void guestOff() {
    session.guests().takeOff();
  }

  void keepAgain() {
    trouble.again();
  }

  /** From the day sheet to the night sheet, and back; the choice is kept for the next start. */
  void turnSheet() {
    showSheet(!theme.isNight());
    Theme.remember(theme.isNight());
  }

  /** Lays the night sheet over the window, or the day sheet, for now. */
  public void showSheet(boolean atNight) {
    theme.turn(getScene(), atNight);
    strip.showSheet(theme.isNight());
  }

  /** Opens the look-up. */
  public void openLookUp() {
    lookUp.open();
  }

  /** The frame in a scene of this size. */
  public Scene scene(double width, double height) {
    Scene scene = new Scene(this, width, height);
    theme.on(scene);
    return scene;
  }
}
