package foldtwice.desktop.conflicts;

import foldtwice.conflict.Conflict;
import foldtwice.conflict.Weight;
import foldtwice.desktop.parts.Marks;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Refill;
import foldtwice.desktop.parts.Tips;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.place.Station;
import foldtwice.remedy.Remedy;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Remedies under one another, what each solves and causes side by side. */
final class RemedyRows extends GridPane {

  private final Consumer<Remedy> onTake;
  private List<Remedy> shown = List.of();

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

  /** A remedy as it is read. */
  private record Told(
      String way, String also, String solves, String solved, List<Effect> causes, boolean may) {}

  /** What a remedy costs, in the style of its weight. */
  private record Effect(Optional<Weight> weight, String says, String style) {}

  /** Shows none and says nothing. */
  void clear() {
    shown = List.of();
    getChildren().clear();
  }

  /**
   * Shows remedies, the best first.
   *
   * @param chosen of how many conflicts
   */
  void show(List<Remedy> remedies, int chosen, Snapshot now, boolean mayWrite) {
    shown = remedies;
    int stations = now.library().stations().size();
    List<Told> told =
        remedies.stream().map(r -> told(r, chosen, stations, now.words(), mayWrite)).toList();
    Refill.by(this, List.of(chosen > 1, told), () -> fill(told, chosen > 1));
  }

  private void fill(List<Told> told, boolean ofMany) {
    getChildren().clear();
    if (told.isEmpty()) {
      add(
          Parts.wrapped(Ui.text(ofMany ? "remedies.nonemany" : "remedies.none"), "soft"),
          0,
          0,
          4,
          1);
      return;
    }
    add(Parts.label(Ui.text("remedies.do"), "soft"), 0, 0);
    add(Parts.label(Ui.text("remedies.solves"), "soft"), 1, 0);
    add(Parts.label(Ui.text("remedies.causes"), "soft"), 2, 0);
    for (int i = 0; i < told.size(); i++) {
      row(i, told.get(i));
    }
  }

  private static Told told(Remedy r, int chosen, int stations, Words words, boolean mayWrite) {
    return new Told(
        words.way(r.way()),
        r.alsoOn().isEmpty() ? "" : also(r, stations),
        solves(r, chosen),
        r.solves().stream().map(words::sentence).collect(Collectors.joining("\n")),
        causes(r, words),
        mayWrite);
  }

  private void row(int i, Told told) {
    int at = i + 1;
    VBox way = new VBox(1, Parts.wrapped(told.way, "strong"));
    if (!told.also.isEmpty()) {
      way.getChildren().add(Parts.wrapped(told.also, "soft"));
    }
    put(way, 0, at);
    Label solves = Parts.wrapped(told.solves, "good");
    Tips.on(solves, told.solved);
    put(solves, 1, at);
    VBox causes = new VBox(2);
    told.causes.forEach(e -> causes.getChildren().add(effect(e)));
    put(causes, 2, at);
    var take =
        Parts.button(
            "take-" + i,
            Ui.text("remedies.take"),
            () -> onTake.accept(shown.get(i)),
            i == 0 ? "main" : "");
    take.setDisable(!told.may);
    take.setAccessibleText(Ui.text("remedies.take") + ": " + told.way);
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
  private static String solves(Remedy remedy, int of) {
    int all = remedy.solves().size();
    if (of > 1) {
      return Ui.text("remedies.someof", all, of);
    }
    return all == 1 ? Ui.text("remedies.this") : Ui.text("remedies.more", all - 1);
  }

  private void put(Node node, int column, int row) {
    GridPane.setValignment(node, VPos.TOP);
    add(node, column, row);
  }

  private static List<Effect> causes(Remedy remedy, Words words) {
    List<Effect> all = new ArrayList<>();
    remedy
        .givesUp()
        .ifPresent(
            o ->
                all.add(
                    new Effect(
                        Optional.empty(), Ui.text("remedies.givesup", words.owner(o)), "costs")));
    for (Conflict c : remedy.causes()) {
      all.add(
          new Effect(
              Optional.of(c.weight()),
              Ui.text("remedies.cause", words.owner(c.about().owner()), words.brief(c)),
              Marks.style(c.weight())));
    }
    return all.isEmpty()
        ? List.of(new Effect(Optional.empty(), Ui.text("remedies.nothing"), "good"))
        : all;
  }

  private static Node effect(Effect effect) {
    Label says = Parts.wrapped(effect.says, effect.style);
    if (effect.weight.isEmpty()) {
      return says;
    }
    HBox.setHgrow(says, Priority.ALWAYS);
    HBox row = new HBox(6, Marks.of(effect.weight.get()), says);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }
}
