package foldtwice.desktop.standin;

import foldtwice.desktop.parts.KeepsKeys;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Ui;
import foldtwice.run.Act;
import foldtwice.run.Program;
import foldtwice.run.Reply;
import foldtwice.standin.base.StandIn;
import java.util.List;
import java.util.Optional;
import java.util.function.LongConsumer;
import java.util.function.Supplier;
import javafx.animation.PauseTransition;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuBar;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.Duration;

/**
 * The window of a stand-in: title, menus, what it shows, foot. Focused, it has the keys. Whatever a
 * person does in it is an {@link Act}, told to whoever listens.
 */
public final class StandInWindow extends VBox implements KeepsKeys {

  /** Hears what a person did, and what the program answered. */
  public interface OnAct {
    void done(Act act, Reply reply);
  }

  /** How often it is looked whether a program is done, in milliseconds. */
  private static final double LOOK_EVERY = 40;

  private final StandIn<?> program;
  private final Runnable draw;
  private final Supplier<String> status;
  private final Label foot = Parts.label("");
  private final Label undo = Parts.label("");
  private final Label pending = Parts.label("", "right");
  private final Label refused = Parts.label("", "refused");
  private final StackPane content = new StackPane();
  private final Button restart = Skins.on(new Button(Ui.text("standin.restart")));
  private final Button newWindow = Skins.on(new Button(Ui.text("standin.newwindow")));
  private final Button stop = Skins.on(new Button(Ui.text("standin.stop")));
  private boolean watching;
  private OnAct onAct = (act, reply) -> {};
  private Runnable onRestart = () -> {};
  private Runnable onPane = () -> {};
  private LongConsumer onWaited = millis -> {};
  private long began;

  /**
   * A window.
   *
   * @param draw draws the picture as the program is now
   * @param status the line at the foot
   */
  StandInWindow(
      StandIn<?> program, String title, Region picture, Runnable draw, Supplier<String> status) {
    this.program = program;
    this.draw = draw;
    this.status = status;
    getStyleClass().add("window");
    setFocusTraversable(true);
    setId("window-" + program.application());
    setAccessibleText(title);
    HBox head =
        new HBox(
            Parts.label(title),
            Parts.label(program.facts().version(), "right"),
            Parts.gap(),
            pending,
            newWindow,
            restart);
    head.setSpacing(8);
    head.getStyleClass().add("window-title");
    pending.setId("standin-pending");
    restart.setId("standin-restart");
    restart.getStyleClass().setAll("label", "right", "restart");
    restart.setFocusTraversable(false);
    restart.setOnAction(
        e -> {
          program.restart();
          onRestart.run();
        });
    newWindow.setId("standin-new-window");
    newWindow.getStyleClass().setAll("label", "right", "restart");
    newWindow.setFocusTraversable(false);
    newWindow.managedProperty().bind(newWindow.visibleProperty());
    newWindow.setVisible(false);
    MenuBar menus = new ProgramMenus(program, path -> work(new Act.Choose(path))).bar();
    foot.setId("standin-foot");
    for (Label l : List.of(foot, undo)) {
      l.setMinWidth(USE_PREF_SIZE); // what was refused is cut first, and told whole by its tooltip
    }
    Tooltip whole = new Tooltip();
    whole.textProperty().bind(refused.textProperty());
    whole.setWrapText(true);
    whole.setMaxWidth(480);
    refused.setTooltip(whole);
    stop.setId("standin-stop");
    stop.getStyleClass().setAll("label", "link", "stop");
    stop.setFocusTraversable(false);
    stop.managedProperty().bind(stop.visibleProperty());
    stop.setVisible(false);
    stop.setOnAction(e -> program.work().ifPresent(Program.Work::giveUp));
    HBox bottom = new HBox(foot, undo, stop, refused);
    bottom.getStyleClass().add("window-foot");
    content.getChildren().setAll(picture);
    VBox.setVgrow(content, Priority.ALWAYS);
    getChildren().addAll(head, menus, content, bottom);
    addEventFilter(MouseEvent.MOUSE_PRESSED, e -> requestFocus());
    refresh();
  }

  /** Called after mouse or menu did something to the program. */
  public void setOnAct(OnAct action) {
    onAct = action;
  }

  /** Called after the pointer went over another of its panes. */
  public void setOnPane(Runnable action) {
    onPane = action;
  }

  /** The pointer goes over an object or a pane, by its name: nothing is drawn anew under it. */
  void point(String name) {
    String was = program.pane();
    program.point(name);
    if (!program.pane().equals(was)) {
      onPane.run();
    }
  }

  /** Tells that keys go elsewhere in it now. */
  void changed() {
    onPane.run();
  }

  /** Called after it was started anew. */
  public void setOnRestart(Runnable action) {
    onRestart = action;
  }

  /** Called when it was at work and is done, with the milliseconds it took. */
  public void setOnWaited(LongConsumer action) {
    onWaited = action;
  }

  /** Called when a further window of it shall be opened. */
  public void setOnNewWindow(Runnable action) {
    newWindow.setOnAction(e -> action.run());
  }

  /** Whether the program reads something anew with each window. */
  public void setReadsInWindows(boolean reads) {
    newWindow.setVisible(reads);
  }

  public StandIn<?> program() {
    return program;
  }

  /** Does something to the program, as a person, and shows and tells it. */
  public void work(Act act) {
    worked(act, act.on(program));
  }

  /** Looks again while the program is at work, and shows what came of it. */
  private void watch() {
    boolean works = program.work().isPresent();
    stop.setVisible(works);
    if (works && !watching && began == 0) {
      began = System.nanoTime();
    }
    if (works && !watching) {
      watching = true;
      PauseTransition soon = new PauseTransition(Duration.millis(LOOK_EVERY));
      soon.setOnFinished(
          e -> {
            watching = false;
            Optional<Reply> reply = program.work().flatMap(w -> w.done(0));
            if (reply.isEmpty()) {
              watch();
            } else {
              onWaited.accept(Math.max(1, (System.nanoTime() - began) / 1_000_000));
              began = 0;
              refresh();
              showRefused(reply.get());
            }
          });
      soon.play();
    }
  }

  private void showRefused(Reply reply) {
    refused.setText(
        reply instanceof Reply.Refused(String expected, String found)
            ? Ui.text("standin.refused", expected, found)
            : "");
  }

  /** Shows and tells what was done to the program. */
  void worked(Act act, Reply reply) {
    refresh();
    showRefused(reply);
    onAct.done(act, reply);
  }

  /** Tells what was done without drawing anew. */
  void told(Act act, Reply reply) {
    onAct.done(act, reply);
  }

  /** Shows the program as it is. */
  public void refresh() {
    refused.setText("");
    draw.run();
    foot.setText(status.get());
    watch();
    undo.setText(Ui.text("standin.undo", program.undoDepth()));
    List<String> waits = program.pending();
    pending.setText(waits.isEmpty() ? "" : Ui.text("standin.waits", String.join("; ", waits)));
    boolean inDialog =
        content.getChildren().stream()
            .anyMatch(n -> n instanceof DialogCard card && card.isFocusWithin());
    content.getChildren().removeIf(n -> n instanceof DialogCard);
    if (inDialog) {
      requestFocus(); // the keys stay with the program when its dialog closes
    }
    program.dialog().ifPresent(d -> content.getChildren().add(new DialogCard(this, d)));
  }
}
