package foldtwice.desktop.standin;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Ui;
import foldtwice.place.Context;
import foldtwice.place.Place;
import foldtwice.standin.sketch.Page;
import foldtwice.standin.sketch.Sketch;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/**
 * A program that is only sketched: its contexts to go into, things to select, the text where text
 * is taken, and at the right what has been done to it, by name.
 */
final class SketchPicture extends Picture {

  private static final double ROW = 27;
  private static final double GAP = 14;

  private final Sketch program;
  private final boolean whole;
  private Consumer<Place> onContext = state -> {};

  /**
   * @param whole with contexts and all that was done; else what was done last only
   */
  SketchPicture(Sketch program, boolean whole) {
    this.program = program;
    this.whole = whole;
    getStyleClass().add("sketch-ground");
  }

  /** Hears which context a person clicked into. */
  void setOnContext(Consumer<Place> action) {
    onContext = action;
  }

  @Override
  protected void draw() {
    StackPane behind = new StackPane();
    clickable(behind, "");
    place(behind, 0, 0, getWidth(), getHeight());
    double y = GAP;
    if (whole && !program.described().contexts().isEmpty()) {
      y += placed(contexts(), GAP, y, getWidth() - 2 * GAP) + GAP;
    }
    double left = Math.max(150, (getWidth() - 3 * GAP) * 0.42);
    things(y, left);
    double wide = getWidth() - left - 3 * GAP;
    done(settings(y, GAP + left + GAP, wide), GAP + left + GAP, wide);
  }

  /** Places what takes as many rows as it needs, and says how high it is once it has its style. */
  private double placed(FlowPane pane, double x, double y, double wide) {
    place(pane, x, y, wide, ROW);
    pane.applyCss();
    double high = Math.ceil(pane.prefHeight(wide));
    pane.setMinHeight(high);
    pane.setMaxHeight(high);
    pane.resize(wide, high);
    return high;
  }

  private FlowPane contexts() {
    FlowPane contexts = new FlowPane(6, 6);
    contexts.getChildren().add(Parts.label(Ui.text("standin.sketch.in"), "soft"));
    for (Context c : program.described().allContexts()) {
      if (c.groupOnly() || program.described().isByPointer(c.id())) {
        continue;
      }
      ToggleButton chip = Skins.on(new ToggleButton(c.name()));
      chip.setId("context-" + c.id());
      chip.getStyleClass().add("chip");
      chip.setFocusTraversable(false);
      chip.setSelected(program.focus().filter(c::equals).isPresent());
      chip.setOnAction(e -> onContext.accept(new Place.Within(program.application(), c.id())));
      contexts.getChildren().add(chip);
    }
    return contexts;
  }

  private void things(double top, double wide) {
    double y = top;
    boolean text = program.focus().filter(Context::takesText).isPresent();
    if (whole && text) {
      Label typed = Parts.label(program.document().text() + "\u2502", "sketch-text");
      typed.setId("sketch-text");
      place(typed, GAP, y, wide, ROW + 6);
      y += ROW + GAP;
    }
    for (Page.Thing thing : program.document().things()) {
      if (y + ROW > getHeight()) {
        return;
      }
      String name = thing.name();
      Label row = Skins.on(new Label(name));
      row.setGraphicTextGap(12);
      if (whole && !thing.values().isEmpty()) {
        row.setContentDisplay(ContentDisplay.RIGHT);
        row.setGraphic(Parts.label(values(thing), "soft"));
      }
      row.getStyleClass().add("sketch-thing");
      row.setId("thing-" + name.replace(' ', '-'));
      if (program.selected().contains(name)) {
        row.getStyleClass().add("selected");
      }
      clickable(row, name);
      place(row, GAP, y, wide, ROW);
      y += ROW + 1;
    }
  }

  private static String values(Page.Thing thing) {
    return thing.values().entrySet().stream()
        .map(v -> v.getKey() + " " + v.getValue().shown())
        .collect(Collectors.joining(", "));
  }

  /** The settings as they are; where the next part begins. */
  private double settings(double top, double x, double wide) {
    if (!whole || program.settings().isEmpty()) {
      return top;
    }
    FlowPane all = new FlowPane(14, 4);
    all.setId("sketch-settings");
    all.setMouseTransparent(true);
    program
        .settings()
        .forEach(
            (name, value) ->
                all.getChildren()
                    .add(Parts.label(Ui.text("standin.sketch.setting", name, value.shown()))));
    return top + placed(all, x, top, wide) + GAP;
  }

  private void done(double top, double x, double wide) {
    VBox done = new VBox(3);
    done.setId("sketch-done");
    done.setMouseTransparent(true);
    done.getChildren().add(Parts.label(Ui.text("standin.sketch.done"), "soft"));
    List<String> lines =
        new java.util.ArrayList<>(
            program.document().done().entrySet().stream()
                .map(e -> Ui.text("standin.sketch.times", e.getKey(), e.getValue()))
                .toList());
    program
        .document()
        .given()
        .forEach((what, to) -> lines.add(Ui.text("standin.sketch.given", what, to)));
    if (lines.isEmpty()) {
      String nothing = Ui.text(whole ? "standin.sketch.nothing" : "standin.sketch.nothingyet");
      done.getChildren().add(Parts.wrapped(nothing, "soft"));
    }
    int fit = Math.max(1, (int) ((getHeight() - top - 30) / 21));
    lines
        .subList(Math.max(0, lines.size() - fit), lines.size())
        .forEach(line -> done.getChildren().add(Parts.label(line, "strong")));
    place(done, x, top, wide, getHeight() - top - 4);
  }
}
