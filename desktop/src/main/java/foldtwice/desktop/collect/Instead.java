package foldtwice.desktop.collect;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Session;
import foldtwice.routine.Routine;
import foldtwice.source.Turned;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.Region;

/** What stands in the middle instead of a routine for a while, and goes again. */
final class Instead {

  private final Session session;
  private final BorderPane in;
  private final Chosen chosen;
  private final RoutineActs making;
  private final Node routine;
  private final Consumer<Routine> keysBack;
  private final Consumer<String> choose;

  /**
   * @param in its middle is what is shown
   * @param routine what is in the middle else
   * @param keysBack gives the keys to what a routine is written in
   */
  Instead(
      Session session,
      BorderPane in,
      Chosen chosen,
      RoutineActs making,
      Node routine,
      Consumer<Routine> keysBack,
      Consumer<String> choose) {
    this.session = session;
    this.in = in;
    this.chosen = chosen;
    this.making = making;
    this.routine = routine;
    this.keysBack = keysBack;
    this.choose = choose;
    takeDrops();
  }

  /** The routine beside its own earlier states and others. */
  void compare() {
    chosen
        .routine()
        .ifPresent(
            r ->
                showWhole(
                    new ComparePanel(
                        making.comparable(r),
                        session.now().words(),
                        session.background(),
                        this::back)));
  }

  /** A macro becomes a script, a script a macro; asks first when something would be lost. */
  void turn() {
    chosen
        .routine()
        .ifPresent(
            r -> {
              boolean toMacro = r instanceof Routine.Script;
              Turned turned = making.turned(r);
              if (turned.whole()) {
                make(turned);
              } else {
                TurnPanel panel = new TurnPanel(turned, toMacro, () -> make(turned), this::back);
                show(panel);
                panel.lookup("#turn-leave").requestFocus();
              }
            });
  }

  private void make(Turned turned) {
    making.turn(turned);
    back();
  }

  /** Takes routines up from files and texts. */
  void takeIn() {
    TakeInPanel panel = takeInPanel();
    Platform.runLater(panel::focusText);
  }

  private TakeInPanel takeInPanel() {
    TakeInPanel panel =
        new TakeInPanel(
            session,
            this::back,
            id -> {
              back();
              choose.accept(id);
            });
    show(panel);
    return panel;
  }

  /** Files dropped anywhere here are looked through. */
  private void takeDrops() {
    in.setOnDragOver(
        e -> {
          if (e.getDragboard().hasFiles()) {
            e.acceptTransferModes(TransferMode.COPY);
          }
        });
    in.setOnDragDropped(
        e -> {
          if (e.getDragboard().hasFiles()) {
            takeInPanel().dropped(e.getDragboard());
            e.setDropCompleted(true);
          }
        });
  }

  private void show(Region panel) {
    panel.getStyleClass().add("collect-middle");
    in.setCenter(Parts.leaf(panel, true));
  }

  /** One that scrolls by itself. */
  private void showWhole(Region panel) {
    panel.getStyleClass().add("collect-middle");
    in.setCenter(panel);
  }

  /** Shows the routine again. */
  private void back() {
    in.setCenter(routine);
    chosen.routine().ifPresent(keysBack);
  }
}
