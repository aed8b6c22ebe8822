package foldtwice.desktop.conflicts;

import foldtwice.conflict.Conflict;
import foldtwice.desktop.parts.Marks;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Tips;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.place.Station;
import foldtwice.remedy.Remedy;
import foldtwice.words.Words;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.geometry.VPos;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Remedies under one another, what each solves and causes side by side. */
final class RemedyRows extends GridPane {

  private final Consumer<Remedy> onTake;
  private int of;
  private int stations;

  RemedyRows(Consumer<Remedy> onTake) {
    this.onTake = onTake;
    setId("remedies");
    setHgap(14);
    setVgap(7);
    getColumnConstraints().addAll(column(38), column(14), column(48));
    ColumnConstraints take = new ColumnConstraints();
    take.setMinWidth(USE_PREF_SIZE);
    getColumnConstraints().add(take);
  }

  private static ColumnConstraints column(double percent) {
    ColumnConstraints column = new ColumnConstraints();
    column.setHgrow(Priority.ALWAYS);
    column.setPrefWidth(percent * 6);
    column.setMinWidth(60);
    return column;
  }

  /**
   * Shows remedies, the best first.
   *
   * @param chosen of how many conflicts
   */
  void show(List<Remedy> remedies, int chosen, Snapshot now, boolean mayWrite) {
    Words words = now.words();
    of = chosen;
    stations = now.library().stations().size();
    getChildren().clear();
    if (remedies.isEmpty()) {
      add(
          Parts.wrapped(Ui.text(chosen > 1 ? "remedies.nonemany" : "remedies.none"), "soft"),
          0,
          0,
          4,
          1);
      return;
    }
    add(Parts.label(Ui.text("remedies.do"), "soft"), 0, 0);
    add(Parts.label(Ui.text("remedies.solves"), "soft"), 1, 0);
    add(Parts.label(Ui.text("remedies.causes"), "soft"), 2, 0);
    for (int i = 0; i < remedies.size(); i++) {
      row(i, remedies.get(i), words, mayWrite);
    }
  }

  private void row(int i, Remedy remedy, Words words, boolean mayWrite) {
    int at = i + 1;
    VBox way = new VBox(1, Parts.wrapped(words.way(remedy.way()), "strong"));
    if (!remedy.alsoOn().isEmpty()) {
      way.getChildren().add(Parts.wrapped(also(remedy, stations), "soft"));
    }
    put(way, 0, at);
    Label solves = Parts.wrapped(solves(remedy), "good");
    Tips.on(
        solves, remedy.solves().stream().map(words::sentence).collect(Collectors.joining("\n")));
    put(solves, 1, at);
    put(causes(remedy, words), 2, at);
    var take =
        Parts.button(
            "take-" + i,
            Ui.text("remedies.take"),
            () -> onTake.accept(remedy),
            i == 0 ? "main" : "");
    take.setDisable(!mayWrite);
    take.setAccessibleText(Ui.text("remedies.take") + ": " + words.way(remedy.way()));
    put(take, 3, at);
  }

  /** Whose keys it changes too, of all these stations. */
  static String also(Remedy remedy, int stations) {
    if (remedy.alsoOn().size() == stations - 1 && stations > 2) {
      return Ui.text("remedies.alsoall");
    }
    return Ui.text(
        "remedies.also",
        remedy.alsoOn().stream().map(Station::name).collect(Collectors.joining(", ")));
  }

  /** Of several chosen ones how many; else whether more than the one goes with it. */
  private String solves(Remedy remedy) {
    int all = remedy.solves().size();
    if (of > 1) {
      return Ui.text("remedies.someof", all, of);
    }
    return all == 1 ? Ui.text("remedies.this") : Ui.text("remedies.more", all - 1);
  }

  private void put(javafx.scene.Node node, int column, int row) {
    GridPane.setValignment(node, VPos.TOP);
    add(node, column, row);
  }

  private static VBox causes(Remedy remedy, Words words) {
    VBox box = new VBox(2);
    remedy
        .givesUp()
        .ifPresent(
            o ->
                box.getChildren()
                    .add(Parts.wrapped(Ui.text("remedies.givesup", words.owner(o)), "costs")));
    for (Conflict c : remedy.causes()) {
      Label says =
          Parts.wrapped(
              Ui.text("remedies.cause", words.owner(c.about().owner()), words.brief(c)),
              Marks.style(c.weight()));
      HBox.setHgrow(says, Priority.ALWAYS);
      HBox row = new HBox(6, Marks.of(c.weight()), says);
      row.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
      box.getChildren().add(row);
    }
    if (box.getChildren().isEmpty()) {
      box.getChildren().add(Parts.label(Ui.text("remedies.nothing"), "good"));
    }
    return box;
  }
}
