package foldtwice.desktop.bind;

import foldtwice.conflict.Weight;
import foldtwice.desktop.parts.KeyCaps;
import foldtwice.desktop.parts.Marks;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Styles;
import foldtwice.desktop.parts.Tips;
import foldtwice.desktop.session.Question;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.trigger.Layout;
import foldtwice.words.Words;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TableCell;
import javafx.scene.layout.HBox;

/**
 * A cell of the register. Its nodes are made once and show one row after the other: to style new
 * ones takes longer than all the rest of a letter typed into the filter.
 */
abstract sealed class RowCell extends TableCell<Seat, Seat> {

  private Supplier<Snapshot> shown;
  private Row filled;
  private Layout by;

  /** Fills the cell. */
  abstract void fill(Row row, Words words);

  /** Shows nothing; the nodes stay, for the row that comes next. */
  private void clear() {
    setText(null);
    see(false);
    Tips.on(this, "");
  }

  private void see(boolean is) {
    if (getGraphic() != null) {
      getGraphic().setVisible(is);
    }
  }

  /** What moment it is shown at. */
  final void on(Supplier<Snapshot> moment) {
    shown = moment;
  }

  @Override
  protected final void updateItem(Seat seat, boolean empty) {
    super.updateItem(seat, empty);
    if (empty || seat == null) {
      filled = null;
      clear();
    } else {
      look(seat.row());
    }
  }

  /** Shows its binding as it is now; nothing happens when it is seen so. */
  void look() {
    if (filled != null) {
      look(getItem().row());
    }
  }

  private void look(Row row) {
    Layout layout = shown.get().keymap().layout();
    if (Question.Same.is(row, filled) && Question.Same.is(layout, by)) {
      return; // asked again at every change of any row
    }
    filled = row;
    by = layout;
    fill(row, shown.get().words());
    see(true);
  }

  /** The same where something else than the row may have been told anew. */
  final void again() {
    if (filled != null) {
      filled = null;
      look(getItem().row());
    }
  }

  private static Label label(String style) {
    Label label = Parts.label("", style);
    shown(label, false);
    return label;
  }

  private static void shown(Node node, boolean is) {
    node.setManaged(is);
    node.setVisible(is);
  }

  /** Shows a text, or nothing where there is none. */
  private static void say(Label label, String text, String tip) {
    shown(label, !text.isEmpty());
    label.setText(text);
    Tips.on(label, tip);
  }

  /** Has a label in this style, and in no other of its own. */
  private static void style(Label label, String style) {
    Styles.only(label, List.of("label", style));
  }

  private static HBox box(double gap, Node... nodes) {
    HBox box = new HBox(gap, nodes);
    box.setAlignment(Pos.CENTER_LEFT);
    return box;
  }

  /** A text. */
  static final class Plain extends RowCell {

    private final Function<Row, String> text;

    Plain(Function<Row, String> text) {
      this.text = text;
    }

    @Override
    void fill(Row row, Words words) {
      setText(text.apply(row));
    }
  }

  /** What sets it off, as key caps. */
  static final class Triggers extends RowCell {

    private final Label none = Parts.label(Ui.text("notrigger"), "soft");
    private final HBox all = box(8);

    @Override
    void fill(Row row, Words words) {
      int many = row.triggers().size();
      for (int i = all.getChildren().size(); i < many; i++) {
        all.getChildren().add(new KeyCaps());
      }
      all.getChildren().remove(many, all.getChildren().size());
      for (int i = 0; i < many; i++) {
        ((KeyCaps) all.getChildren().get(i)).show(row.triggers().get(i), words);
      }
      all.setOpacity(row.binding().isOff() ? 0.45 : 1);
      setGraphic(many == 0 ? none : all);
      Tips.on(this, row.trigger());
    }
  }

  /** What it does, with what, and in which family. */
  static final class Does extends RowCell {

    private final Label routine = label("strong");
    private final Label arguments = label("argument");
    private final Label family = label("soft");
    private final HBox all = box(7, routine, arguments, family);

    Does() {
      family.setMinWidth(USE_PREF_SIZE);
    }

    @Override
    void fill(Row row, Words words) {
      say(routine, row.routine(), "");
      say(arguments, row.arguments(), row.arguments());
      say(family, row.family().replaceFirst(":.*", ""), row.family());
      setGraphic(all);
    }
  }

  /** How far it is. */
  static final class Ready extends RowCell {

    private final Label stage = Parts.label("", "soft");

    @Override
    void fill(Row row, Words words) {
      style(
          stage,
          switch (row.readiness()) {
            case PROVEN -> "good";
            case WORKING -> "strong";
            case OFF -> "soft";
            case DRAFT, PLACED, WAITING -> "costs";
          });
      stage.setText(Ui.text("readiness." + row.readiness()));
      setGraphic(stage);
    }
  }

  /** The worst that is wrong with it. */
  static final class Trouble extends RowCell {

    private final Label clear = Parts.label(Ui.text("clear"), "soft");
    private final Label says = Parts.label("", "soft");
    private final HBox all = box(6);
    private final Function<Row, Optional<Row.Trouble>> trouble;
    private Weight marked;

    /**
     * @param trouble what is wrong with a row now
     */
    Trouble(Function<Row, Optional<Row.Trouble>> trouble) {
      this.trouble = trouble;
    }

    @Override
    void look() {
      again();
    }

    @Override
    void fill(Row row, Words words) {
      Optional<Row.Trouble> found = trouble.apply(row);
      if (found.isEmpty()) {
        setGraphic(clear);
        return;
      }
      Weight weight = found.get().worst().weight();
      if (weight != marked) {
        marked = weight;
        style(says, Marks.style(weight));
        all.getChildren().setAll(Marks.of(weight), says);
      }
      say(says, found.get().says(), found.get().says());
      setGraphic(all);
    }
  }
}
