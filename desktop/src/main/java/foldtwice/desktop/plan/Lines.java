package foldtwice.desktop.plan;

import foldtwice.desktop.parts.KeyCaps;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.parts.Tips;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Library;
import foldtwice.plan.Plan;
import foldtwice.suggest.Suggestion;
import foldtwice.words.EffortWords;
import foldtwice.words.Words;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import javafx.beans.binding.Bindings;
import javafx.beans.binding.BooleanBinding;
import javafx.beans.binding.DoubleBinding;
import javafx.collections.ListChangeListener;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.SelectionMode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The lines of a plan: today, what is proposed, what it gains and why. */
final class Lines extends VBox {

  /** In less, only the chosen line shows what can be done with it, in pixels. */
  private static final double NARROW = 1000;

  private final ListView<Plan.Line> list = new ListView<>();
  private final Consumer<Plan.Line> onTake;
  private final Consumer<Plan.Line> onLock;
  private final Consumer<Plan.Line> onRefuse;
  private final DoubleBinding what = width(0.23, 250);
  private final DoubleBinding keys = width(0.185, 178);
  private final DoubleBinding gains = width(0.085, 78);
  private final BooleanBinding narrow = list.widthProperty().lessThan(NARROW);
  private Library library;
  private Words words;
  private Set<String> taken = Set.of();
  private boolean mayWrite;

  /**
   * Lines.
   *
   * @param onChosen called when another is chosen
   * @param onTake takes a line
   * @param onLock locks one, or lets it go
   * @param onRefuse wants another trigger for one
   */
  Lines(
      Runnable onChosen,
      Consumer<Plan.Line> onTake,
      Consumer<Plan.Line> onLock,
      Consumer<Plan.Line> onRefuse) {
    super(4);
    this.onTake = onTake;
    this.onLock = onLock;
    this.onRefuse = onRefuse;
    getStyleClass().add("payback-card");
    list.setId("plan-lines");
    list.setAccessibleText(Ui.text("plan.lines"));
    list.setFixedCellSize(36);
    list.setCellFactory(v -> Skins.on(new Cell()));
    list.setPlaceholder(Parts.wrapped(Ui.text("plan.nolines"), "soft"));
    list.getSelectionModel().setSelectionMode(SelectionMode.MULTIPLE);
    list.getSelectionModel()
        .getSelectedItems()
        .addListener((ListChangeListener<Plan.Line>) c -> onChosen.run());
    VBox.setVgrow(list, Priority.ALWAYS);
    HBox head =
        new HBox(
            8,
            sized(Parts.label(Ui.text("plan.what"), "heading"), what),
            sized(Parts.label(Ui.text("plan.today"), "heading"), keys),
            sized(Parts.label(Ui.text("plan.proposed"), "heading"), keys),
            sized(Parts.label(Ui.text("plan.gain"), "heading"), gains),
            Parts.label(Ui.text("plan.why"), "heading"));
    head.getStyleClass().add("plan-head");
    getChildren().addAll(head, list);
  }

  /** A share of the width of the list, so many pixels at most. */
  private DoubleBinding width(double share, double most) {
    return Bindings.createDoubleBinding(
        () -> Math.min(most, share * list.getWidth()), list.widthProperty());
  }

  void takeKeys() {
    list.requestFocus();
  }

  /** Those that are chosen and move. */
  List<Plan.Line> chosen() {
    return list.getSelectionModel().getSelectedItems().stream().toList();
  }

  Optional<Plan.Line> first() {
    return Optional.ofNullable(list.getSelectionModel().getSelectedItem());
  }

  /**
   * Shows a plan.
   *
   * @param done bindings whose line was taken
   */
  void show(Plan plan, Library of, Words by, Set<String> done, boolean canWrite) {
    library = of;
    words = by;
    taken = Set.copyOf(done);
    mayWrite = canWrite;
    List<Plan.Line> lines =
        plan.lines().stream().filter(l -> of.bindings().containsKey(l.binding())).toList();
    if (lines.equals(list.getItems())) {
      list.refresh();
    } else {
      list.getItems().setAll(lines);
      list.getSelectionModel().selectFirst();
    }
  }

  private final class Cell extends ListCell<Plan.Line> {
    @Override
    protected void updateItem(Plan.Line l, boolean empty) {
      super.updateItem(l, empty);
      setText(null);
      if (empty || l == null || library.bindings().get(l.binding()) == null) {
        setGraphic(null);
        return;
      }
      boolean done = taken.contains(l.binding());
      Label does = Parts.label(words.binding(library.bindings().get(l.binding())), "strong");
      sized(does, what);
      Region today = sized(KeyCaps.of(l.today(), words), keys);
      Node proposed =
          l.moves()
              ? sized(KeyCaps.of(l.proposed(), words), keys)
              : sized(Parts.label(Ui.text("plan.asitis"), "soft"), keys);
      Label gain =
          Parts.label(
              l.moves() ? EffortWords.change(-l.gain()) : "\u2013",
              l.gain() < 0 ? "costs" : l.moves() ? "good" : "soft");
      sized(gain, gains);
      Label why = Parts.label(done ? Ui.text("plan.taken") : why(l), done ? "good" : "soft");
      Tips.on(why, why.getText());
      why.setMinWidth(0);
      why.setMaxWidth(Double.MAX_VALUE);
      HBox.setHgrow(why, Priority.ALWAYS);
      HBox row = new HBox(8, does, today, proposed, gain, why);
      if (mayWrite && !done) {
        HBox links = new HBox(8);
        links.getChildren().addAll(links(l));
        links.setAlignment(Pos.CENTER_LEFT);
        links.managedProperty().bind(links.visibleProperty());
        links.visibleProperty().bind(narrow.not().or(selectedProperty()));
        row.getChildren().add(links);
      }
      row.setAlignment(Pos.CENTER_LEFT);
      row.setPrefWidth(100);
      setGraphic(row);
      setAccessibleText(
          Ui.text(
              "plan.row",
              does.getText(),
              words.trigger(l.today()),
              l.moves() ? words.trigger(l.proposed()) : Ui.text("plan.asitis"),
              gain.getText(),
              why.getText()));
    }

    private String why(Plan.Line l) {
      if (!l.moves()) {
        return Ui.text("plan.fate." + l.fate());
      }
      String reasons = words.reasons(new Suggestion(l.proposed(), 0, l.reasons()));
      return l.family()
          .flatMap(f -> Optional.ofNullable(library.families().get(f)))
          .map(f -> Ui.text("plan.withfamily", f.name(), reasons))
          .orElse(reasons);
    }

    private List<Button> links(Plan.Line l) {
      String of = l.binding();
      return switch (l.fate()) {
        case MOVES ->
            List.of(
                link("plan-take-" + of, "plan.take", () -> onTake.accept(l)),
                link("plan-not-" + of, "plan.not", () -> onRefuse.accept(l)),
                link("plan-lock-" + of, "plan.lock", () -> onLock.accept(l)));
        case STAYS, LESS_TO_GAIN ->
            List.of(link("plan-lock-" + of, "plan.lock", () -> onLock.accept(l)));
        case LOCKED -> List.of(link("plan-lock-" + of, "plan.unlock", () -> onLock.accept(l)));
        case IN_FAMILY, POINTS, OTHER_KIND -> List.of();
      };
    }

    private Button link(String id, String text, Runnable does) {
      Button b = Parts.button(id, Ui.text(text), does, "link");
      b.setMinWidth(USE_PREF_SIZE);
      b.setFocusTraversable(false); // the keys of the list do the same
      return b;
    }
  }

  private static <R extends Region> R sized(R node, DoubleBinding width) {
    node.minWidthProperty().bind(width);
    node.maxWidthProperty().bind(width);
    return node;
  }
}
