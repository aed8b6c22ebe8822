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
import foldtwice.extras.Extras;
import foldtwice.library.Bound;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.Removing;
import foldtwice.library.Switching;
import foldtwice.place.Place;
import foldtwice.routine.Routine;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
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
          new Act<>("remove", BindView::mayChange, BindView::removeSelected),
          new Act<>("off-binding", BindView::mayChange, v -> v.turn(v.register.selected())),
          new Act<>(
              "off-family",
              v -> v.mayChange() && !v.inFamily().isEmpty(),
              v -> v.turn(v.inFamily())),
          new Act<>("off-place", BindView::mayChange, v -> v.turn(v.inPlace())),
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
    Several several = new Several(session, register::selected);
    does = new DoesLeaf(session, several, this::add, this::openFamily);
    sets = new SetsLeaf(session, several, this::nextDraft);
    happens =
        new HappensLeaf(
            session,
            new ReadyRows.Ways(going::to, this::pressKeys, () -> turn(register.selected())));
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
            removeSelected();
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
    sets.startCapture(false);
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
    Library library = session.now().library();
    Binding like = library.bindings().get(register.chosenProperty().get());
    String application = register.application();
    Optional<Routine> routine =
        library.routines().values().stream()
            .filter(r -> application.isEmpty() || r.application().equals(application))
            .findFirst();
    if (like != null && (application.isEmpty() || like.place().isOf(application))) {
      add(
          like.withRoutine(like.routine(), Map.of())
              .withTriggers(List.of())
              .withFitting(like.fitting().repeating(0)));
    } else if (routine.isPresent()) {
      Place place = new Place.Whole(routine.get().application());
      add(new Binding("", routine.get().id(), place, List.of(), Map.of(), 0, Extras.NONE));
    } else {
      session.say(
          application.isEmpty()
              ? Ui.text("bind.noroutine")
              : Ui.text("bind.noroutinein", session.now().words().application(application)));
      return;
    }
    does.focusRoutine();
  }

  private void add(Binding like) {
    if (!session.mayWrite()) {
      session.make(new Edit.Together(List.of()), "");
      return;
    }
    Binding fresh =
        new Binding(
            session.freeBindingId(),
            like.routine(),
            like.place(),
            like.triggers(),
            like.arguments(),
            0,
            like.fitting().replacing(Optional.empty()).parking(List.of()),
            Extras.NONE);
    session.make(
        new Edit.PutBinding(fresh), Ui.text("said.made", session.now().words().binding(fresh)));
    register.choose(fresh.id());
  }

  /** The family the chosen binding is in; none where it is in none. */
  private List<Binding> inFamily() {
    Library library = session.now().library();
    return register.selected().stream().findFirst().flatMap(b -> library.familyOf(b.id())).stream()
        .flatMap(f -> f.members().stream())
        .map(library.bindings()::get)
        .filter(Objects::nonNull)
        .toList();
  }

  /** All that is bound where the chosen binding is. */
  private List<Binding> inPlace() {
    return register.selected().stream().findFirst().stream()
        .flatMap(
            b ->
                session.now().library().bindings().values().stream()
                    .filter(other -> other.place().equals(b.place())))
        .toList();
  }

  /** Switches bindings off while some are on, else on again. */
  private void turn(List<Binding> some) {
    boolean on = !Switching.isOn(some);
    session.make(Switching.bindings(some, on), Ui.text(on ? "said.on" : "said.off", some.size()));
  }

  private void removeSelected() {
    List<Binding> gone = register.selected();
    if (gone.isEmpty()) {
      return;
    }
    Optional<String> next = register.nextAfterSelected();
    session.make(
        Removing.of(session.now().library(), gone),
        gone.size() == 1
            ? Ui.text("said.removed", session.now().words().binding(gone.getFirst()))
            : Ui.text("said.removedmany", gone.size()));
    if (session.mayWrite()) {
      next.ifPresent(register::choose);
    }
  }
}
