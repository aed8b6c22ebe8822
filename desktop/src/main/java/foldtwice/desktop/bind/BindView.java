package foldtwice.desktop.bind;

import foldtwice.binding.Binding;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.parts.Tips;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.view.Act;
import foldtwice.desktop.view.Acts;
import foldtwice.desktop.view.Going;
import foldtwice.desktop.view.Target;
import foldtwice.desktop.view.View;
import foldtwice.library.Bound;
import java.util.List;
import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.SplitPane;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;

/** The register of bindings above, the trifold of the chosen one below. */
public final class BindView extends BorderPane implements View {

  public static final List<Act<BindView>> ACTS =
      List.of(
          new Act<>("press-keys", BindView::mayChange, BindView::pressKeys),
          new Act<>("fire", BindView::isAny, BindView::fire),
          new Act<>("new-binding", v -> v.session.mayWrite(), BindView::addNew),
          new Act<>("remove", BindView::mayChange, v -> v.rows.remove()),
          new Act<>("off-binding", BindView::mayChange, v -> v.rows.turn()),
          new Act<>(
              "off-family", v -> v.mayChange() && v.rows.isInFamily(), v -> v.rows.turnFamily()),
          new Act<>("off-place", BindView::mayChange, v -> v.rows.turnPlace()),
          new Act<>("filter", BindView::focusFilter),
          new Act<>("next-draft", BindView::hasDraft, BindView::nextDraft),
          new Act<>("fold-trifold", BindView::foldTrifold),
          new Act<>("family-open", BindView::mayChange, BindView::openFamily));

  /** What the filter is to have beside chips, in pixels; where there are none it does with less. */
  private static final double FILTER = 90;

  /** The trifold below: as high as it may be made, as high as it is wished, in pixels. */
  private static final double LOWEST = 150;

  private static final double HIGH = 336;

  /** The part of the height that the register has at first. */
  private static final double PART = 0.44;

  private final Session session;
  private final Acts<BindView> acts = new Acts<>(this, ACTS);
  private final Register register = new Register();
  private final Chosen rows;
  private final TextField filter = Skins.on(new TextField());
  private final PlaceChips chips = new PlaceChips(this::refilter);
  private final SplitPane sheet = new SplitPane();
  private final Label count = Parts.label("", "soft");
  private final DoesLeaf does;
  private final SetsLeaf sets;
  private final HappensLeaf happens;
  private final FamilyView family;
  private final HBox trifold = new HBox();
  private final StackPane below = new StackPane();
  private final Label none = Parts.label(Ui.text("bind.none"), "soft");

  public BindView(Session session, Going going) {
    this.session = session;
    rows = new Chosen(session, register);
    Several several = new Several(session, register::selected);
    does = new DoesLeaf(session, several, rows::add, this::openFamily);
    sets = new SetsLeaf(session, several, this::nextDraft);
    happens = new HappensLeaf(session, new ReadyRows.Ways(going::to, this::pressKeys, rows::turn));
    family = new FamilyView(session, this::leaveFamily);
    filter.setId("filter");
    Parts.prompt(filter, Ui.text("bind.filter"));
    filter.setPrefColumnCount(9);
    filter.setMinWidth(48);
    Acts.tip(filter, "filter", "");
    filter.textProperty().addListener((o, a, b) -> refilter());
    filter.setOnKeyPressed(
        e -> {
          if (e.getCode() == KeyCode.ESCAPE) {
            filter.clear();
            register.requestFocus();
            e.consume();
          } else if (e.getCode() == KeyCode.DOWN || e.getCode() == KeyCode.ENTER) {
            register.requestFocus();
            e.consume();
          }
        });
    count.setId("count");
    count.setMinWidth(USE_PREF_SIZE);
    Tips.on(count, Ui.text("bind.counted"));
    Button fold =
        Parts.icon(
            "fold-trifold-button",
            new FontIcon(Feather.CHEVRONS_DOWN),
            Ui.text("act.fold-trifold"),
            this::foldTrifold);
    HBox bar =
        new HBox(
            chips,
            Parts.gap(),
            count,
            filter,
            acts.button("off-binding"),
            acts.button("remove"),
            acts.button("new-binding", "main"),
            fold);
    bar.getStyleClass().add("bar");
    register.setOnKeyPressed(
        e -> {
          if (e.getCode() == KeyCode.DELETE) {
            rows.remove();
            e.consume();
          }
        });
    trifold.getStyleClass().add("trifold");
    trifold.getChildren().addAll(does, Parts.crease(), sets, Parts.crease(), happens);
    below.getStyleClass().add("trifold");
    below.setMinHeight(LOWEST);
    below.setPrefHeight(HIGH);
    widthProperty().addListener((o, a, width) -> fit());
    setTop(bar);
    sheet.setOrientation(Orientation.VERTICAL);
    sheet.getItems().addAll(register, below);
    sheet.getStyleClass().add("bind-sheet");
    SplitPane.setResizableWithParent(below, false);
    sheet.setDividerPositions(PART);
    setCenter(sheet);
    chips.show(session.now().library());
    register.show(session.now());
    register.setOnHidden(this::showAll);
    register
        .chosenProperty()
        .addListener(
            (o, a, b) -> {
              acts.refresh();
              showChosen();
            });
    register.sort();
    register.chooseFirst();
    counted();
  }

  /** Gives the chips what room there is beside the rest. */
  private void fit() {
    if (getWidth() > 0 && Parts.isSeen(this)) {
      int all = session.now().library().bindings().size();
      String longest = Ui.text("bind.shown", all, all); // they stay while one filters
      chips.fit(getWidth(), longest, () -> needed(longest));
    }
  }

  private double needed(String counted) {
    String now = count.getText();
    count.setText(counted);
    getTop().applyCss();
    double needed = getTop().minWidth(-1) - filter.getMinWidth() + FILTER;
    count.setText(now);
    return needed;
  }

  /** Leaves the filter, in the words and in the chips, so that both say what is shown. */
  private void showAll() {
    chips.showAll();
    filter.clear();
    refilter();
  }

  private void refilter() {
    register.filter(chips.chosen(), filter.getText());
    counted();
  }

  private void counted() {
    int all = session.now().library().bindings().size();
    count.setText(
        register.shown() == all
            ? Ui.text("bind.count", all)
            : Ui.text("bind.shown", register.shown(), all));
  }

  private boolean isAny() {
    return session.now().library().bindings().containsKey(register.chosenProperty().get());
  }

  private boolean mayChange() {
    return session.mayWrite() && isAny();
  }

  private boolean hasDraft() {
    return !Bound.drafts(session.now().library()).isEmpty();
  }

  @Override
  public Node node() {
    return this;
  }

  @Override
  public Target here() {
    return new Target.Binding(register.chosenProperty().get());
  }

  @Override
  public void open(Target target) {
    if (target instanceof Target.Binding(String id)) {
      choose(id);
    }
  }

  @Override
  public void takeKeys() {
    register.requestFocus();
  }

  @Override
  public void show(Snapshot now) {
    register.show(now);
    chips.show(now.library());
    counted();
    fit();
    acts.refresh();
    showChosen();
  }

  @Override
  public void showConflicts(Snapshot now) {
    register.show(now);
    counted();
  }

  /** Gives the register all the room, or the trifold its own again. */
  private void foldTrifold() {
    if (sheet.getItems().contains(below)) {
      register.requestFocus(); // before what has the keys is gone
      sheet.getItems().remove(below);
    } else {
      sheet.getItems().add(below);
      sheet.setDividerPositions(PART);
    }
  }

  /** Shows the family of the chosen bindings, or begins one with them. */
  public void openFamily() {
    List<Binding> chosen = register.selected();
    if (!chosen.isEmpty() && session.mayWrite()) {
      family.open(chosen);
      register.requestFocus(); // before what has the keys is gone
      below.getChildren().setAll(family);
      family.focusName();
    }
  }

  private void leaveFamily() {
    register.requestFocus();
    below.getChildren().setAll(trifold);
    showChosen();
  }

  private void showChosen() {
    if (below.getChildren().contains(family) && Parts.hasKeys(family)) {
      family.follow(session.now()); // it goes on until it is left
      return;
    }
    Snapshot now = session.now();
    Binding b = now.library().bindings().get(register.chosenProperty().get());
    if (b == null) {
      below.getChildren().setAll(none);
      return;
    }
    if (!below.getChildren().contains(trifold)) {
      below.getChildren().setAll(trifold);
    }
    does.show(now, b);
    sets.show(now, b);
    happens.show(now, b);
  }

  /** Chooses a binding, wherever it is in the register. */
  public void choose(String binding) {
    register.choose(binding);
  }

  public void focusFilter() {
    filter.requestFocus();
    filter.selectAll();
  }

  /** Narrows the register to what matches. */
  public void filter(String words) {
    filter.setText(words);
  }

  /** Starts reading keys for the chosen binding. */
  public void pressKeys() {
    sets.startCapture();
  }

  /** To the next binding without a trigger, in the order of the register. */
  private void nextDraft() {
    register.chooseNext(Binding::isDraft);
    lookup("#press-keys").requestFocus();
  }

  /** Fires the chosen binding. */
  public void fire() {
    happens.fire();
  }

  /** Makes a new binding, like the chosen one where nothing else is said. */
  public void addNew() {
    if (rows.addNew()) {
      does.focusRoutine();
    }
  }
}
