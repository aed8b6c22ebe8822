package foldtwice.desktop.atlas;

import foldtwice.atlas.Atlas;
import foldtwice.atlas.Key;
import foldtwice.binding.Binding;
import foldtwice.conflict.Advice;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.Weight;
import foldtwice.desktop.parts.Choices;
import foldtwice.desktop.parts.Corners;
import foldtwice.desktop.parts.Marks;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.RoutineField;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.parts.Styles;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.view.Act;
import foldtwice.desktop.view.Going;
import foldtwice.desktop.view.Target;
import foldtwice.desktop.view.View;
import foldtwice.library.Edit;
import foldtwice.place.Place;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Layout;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Press;
import foldtwice.trigger.Signal;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Who owns which key. */
public final class AtlasView extends BorderPane implements View, KeyBoard.Listener {

  public static final List<Act<AtlasView>> ACTS =
      List.of(
          new Act<>("atlas-everywhere", AtlasView::goEverywhere),
          new Act<>("atlas-place", v -> v.places.requestFocus()));

  /** What a dragged binding is marked by. */
  static final String BINDING = "fold-twice/binding/";

  private final Session session;
  private final ComboBox<Optional<Place>> places = new ComboBox<>();
  private final Map<Modifiers, ToggleButton> holding = new LinkedHashMap<>();
  private final KeyBoard keys = new KeyBoard(this);
  private final StoryPane story;
  private final Label begun = Parts.label("", "strong");
  private final Label counts = Parts.label("", "strong");
  private final Label advice = Parts.wrapped("");
  private final SurfacesPane surfaces = new SurfacesPane(new ChainPane());
  private Optional<Place> place = Optional.empty();
  private Modifiers held = Modifiers.NONE;

  /** Those chosen to stay, to which real keys return when they are let go. */
  private Modifiers kept = Modifiers.NONE;

  private Modifiers toldWith = Modifiers.NONE;
  private List<Signal> before = List.of();
  private KeyCode chosen = KeyCode.KEY_L;
  private KeyBoard.Tint tint = KeyBoard.Tint.OWNER;
  private String advised = "";

  /** The page that is drawn. */
  private Atlas shown = new Atlas(Map.of());

  /** The atlas of the session's library. */
  public AtlasView(Session session, Going going) {
    this.session = session;
    story =
        new StoryPane(
            session,
            id -> going.to(new Target.Binding(id)),
            c -> going.to(new Target.Conflict(session.now().station().id(), c.topic())),
            this::look);
    places.setId("atlas-place");
    places.setAccessibleText(Ui.text("atlas.in"));
    places.setPrefWidth(172);
    Parts.shows(
        places, p -> p.map(session.now().words()::place).orElse(Ui.text("story.everywhere")));
    Parts.onChosen(
        places,
        () -> {
          if (places.getValue() != null) {
            place = places.getValue();
            before = List.of();
            show(session.now());
          }
        });
    place = mostBound(session.now());
    FlowPane top = new FlowPane(6, 6, Parts.label(Ui.text("atlas.in"), "soft"), places);
    top.setAlignment(Pos.CENTER_LEFT);
    top.getChildren().add(Parts.label(Ui.text("atlas.holding"), "soft"));
    ToggleGroup group = new ToggleGroup();
    for (Modifiers m : StoryPane.LAYERS) {
      ToggleButton chip = Skins.on(new ToggleButton(name(m)));
      chip.setId("holding-" + name(m).replace("+", "-"));
      chip.getStyleClass().addAll("chip", "small-chip");
      chip.setToggleGroup(group);
      chip.setMinWidth(USE_PREF_SIZE);
      chip.setOnAction(
          e -> {
            chip.setSelected(true);
            keep(m);
          });
      holding.put(m, chip);
      top.getChildren().add(chip);
    }
    HBox second =
        new HBox(6, begun, counts, Parts.gap(), Parts.label(Ui.text("atlas.tint"), "soft"));
    second.setAlignment(Pos.CENTER_LEFT);
    Map<KeyBoard.Tint, ToggleButton> tints =
        Parts.chips(
            KeyBoard.Tint.class,
            "tint-by-",
            t -> Ui.text("atlas.tint." + t.name().toLowerCase(Locale.ROOT)),
            t -> {
              tint = t;
              show(session.now());
            });
    tints.get(KeyBoard.Tint.OWNER).setSelected(true);
    second.getChildren().addAll(tints.values());
    counts.setId("atlas-counts");
    begun.setId("atlas-begun");
    advice.setId("atlas-advice");
    advice.managedProperty().bind(advice.textProperty().isNotEmpty());
    begun.managedProperty().bind(begun.textProperty().isNotEmpty());
    VBox below = new VBox(8, legend(), advice, surfaces);
    VBox middle = new VBox(9, top, second, keys, below);
    middle.getStyleClass().add("atlas-middle");
    ScrollPane scroll = Skins.on(new ScrollPane(middle));
    scroll.setFitToWidth(true);
    scroll.setFocusTraversable(false);
    setCenter(scroll);
    ScrollPane right = Skins.on(new ScrollPane(story));
    right.setFitToWidth(true);
    right.setFocusTraversable(false);
    right.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    right.setPrefWidth(306);
    right.setMinWidth(270);
    right.getStyleClass().add("story-scroll");
    setRight(right);
  }

  @Override
  public Node node() {
    return this;
  }

  @Override
  public Target here() {
    return place
        .<Target>map(p -> new Target.Key(p, new Press(chosen, held)))
        .orElse(new Target.Sheet("atlas"));
  }

  @Override
  public void open(Target target) {
    if (target instanceof Target.Key(Place to, Press press)) {
      go(to);
      look(press);
    }
  }

  /** The state most bindings are made for: where there is most to see. */
  private static Optional<Place> mostBound(Snapshot now) {
    Map<Place, Long> counts =
        now.library().bindings().values().stream()
            .collect(Collectors.groupingBy(Binding::place, Collectors.counting()));
    return now.keymap().states().stream()
        .max(Comparator.comparing(p -> counts.getOrDefault(p, 0L)));
  }

  private static String name(Modifiers m) {
    return m.isEmpty() ? Ui.text("atlas.nothing") : m.words();
  }

  private HBox legend() {
    HBox legend = new HBox(14);
    legend.setAlignment(Pos.CENTER_LEFT);
    for (String part : List.of("yours", "native")) {
      legend
          .getChildren()
          .add(
              new HBox(6, Corners.ear(12, part), Parts.label(Ui.text("atlas.is." + part), "soft")));
    }
    Region hatched = new Region();
    hatched.setMinSize(13, 13);
    hatched.setMaxSize(13, 13);
    hatched.getStyleClass().addAll("atlas-key", "part-desktop");
    legend
        .getChildren()
        .add(new HBox(6, hatched, Parts.label(Ui.text("atlas.is.desktop"), "soft")));
    for (Weight weight : List.of(Weight.COSTS, Weight.BLOCKS)) {
      legend
          .getChildren()
          .add(
              new HBox(
                  6,
                  Corners.second(12, weight),
                  Parts.label(Ui.text("atlas.is." + weight.id()), "soft")));
    }
    legend.getChildren().forEach(n -> ((HBox) n).setAlignment(Pos.CENTER_LEFT));
    return legend;
  }

  @Override
  public void show(Snapshot now) {
    List<Optional<Place>> all = new ArrayList<>(List.of(Optional.empty()));
    now.keymap().states().forEach(s -> all.add(Optional.of(s)));
    if (!places.getItems().equals(all)) {
      places.getItems().setAll(all);
    }
    Choices.renew(places);
    if (!all.contains(place)) {
      place = all.size() > 1 ? all.get(1) : all.getFirst();
    }
    places.setValue(place);
    page(now);
    tell(now);
    surfaces.show(now, now.troubles(), place);
  }

  /** Draws the keys anew: with every modifier that goes down or up. */
  private void page(Snapshot now) {
    Layout layout = now.keymap().layout();
    shown =
        place
            .map(s -> Atlas.of(now.library(), now.keymap(), now.troubles(), s, held, before))
            .orElseGet(() -> Atlas.everywhere(now.library(), now.keymap(), now.troubles(), held));
    keys.show(now.station().shape(), layout, shown, held, now.words(), tint);
    keys.choose(chosen);
    counts.setText(Ui.text("atlas.counts", shown.free(), shown.all()));
    begun.setText(
        before.isEmpty()
            ? ""
            : Ui.text("atlas.begun", now.words().trigger(StoryPane.trigger(layout, before))));
    holding.forEach((m, chip) -> chip.setSelected(m.equals(held)));
  }

  private void tell(Snapshot now) {
    story.show(now, now.troubles(), place, before, new Press(chosen, toldWith));
  }

  /** The page with these held, until others are chosen. */
  private void keep(Modifiers modifiers) {
    kept = modifiers;
    held = modifiers;
    toldWith = modifiers;
    page(session.now());
    tell(session.now());
  }

  @Override
  public void chosen(KeyCode code) {
    Snapshot now = session.now();
    if (code == KeyCode.ESCAPE && !before.isEmpty()) {
      before = List.of();
      page(now);
      tell(now);
      return;
    }
    if (code.isModifier()) {
      code.modifier().ifPresent(m -> keep(kept.has(m) ? kept.without(m) : kept.with(m)));
      return;
    }
    boolean again = code == chosen && held.equals(toldWith);
    chosen = code;
    toldWith = held;
    Key key = shown.keys().get(code);
    if (again && key != null && key.part() == Key.Part.BEGINS && place.isPresent()) {
      List<Signal> longer = new ArrayList<>(before);
      longer.add(new Press(code, held));
      before = List.copyOf(longer);
    }
    page(now);
    tell(now);
  }

  @Override
  public void held(Modifiers modifiers) {
    Modifiers next = modifiers.isEmpty() ? kept : modifiers;
    if (!next.equals(held)) {
      held = next;
      page(session.now());
    }
  }

  private Trigger target(KeyCode code) {
    List<Signal> presses = new ArrayList<>(before);
    presses.add(new Press(code, held));
    return StoryPane.trigger(session.now().keymap().layout(), presses);
  }

  /** The binding that a drag would make or move. */
  private Optional<Binding> dragged(String what) {
    Snapshot now = session.now();
    if (what.startsWith(BINDING)) {
      return Optional.ofNullable(now.library().bindings().get(what.substring(BINDING.length())));
    }
    return what.startsWith(RoutineField.DRAGGED)
        ? Optional.ofNullable(
                now.library().routines().get(what.substring(RoutineField.DRAGGED.length())))
            .map(
                r ->
                    Binding.fresh(
                        session.freeBindingId(),
                        r.id(),
                        place.orElse(new Place.Everywhere()),
                        List.of(),
                        Map.of()))
        : Optional.empty();
  }

  @Override
  public void over(String what, KeyCode code) {
    Trigger to = target(code);
    String asked = what + code + held;
    if (asked.equals(advised)) {
      return;
    }
    advised = asked;
    dragged(what)
        .ifPresent(
            b -> {
              Advice said = Advice.on(session.now().subject(), b, to);
              String name = session.now().words().trigger(to);
              Optional<Conflict> worst = said.conflicts().stream().findFirst();
              advice.setText(
                  worst
                      .map(c -> Ui.text("atlas.drop.but", name, session.now().words().brief(c)))
                      .orElseGet(() -> Ui.text("atlas.drop.free", name)));
              Styles.one(
                  advice,
                  worst.map(c -> Marks.style(c.weight())).orElse("good"),
                  List.of("good", "blocks", "costs", "note"));
            });
  }

  @Override
  public void left() {
    advised = "";
    advice.setText("");
  }

  @Override
  public void dropped(String what, KeyCode code) {
    left();
    Trigger to = target(code);
    dragged(what)
        .ifPresent(
            b -> {
              List<Trigger> next = new ArrayList<>(b.triggers());
              Optional<Trigger> from =
                  next.stream().filter(t -> t instanceof Trigger.Keys).findFirst();
              from.ifPresent(next::remove);
              next.add(to);
              chosen = code;
              session.make(
                  new Edit.PutBinding(b.withTriggers(next)),
                  Ui.text(
                      from.isPresent() ? "said.moved" : "said.bound",
                      session.now().words().owner(new foldtwice.resolve.Owner.Yours(b.id())),
                      session.now().words().trigger(to)));
            });
  }

  @Override
  public void takeKeys() {
    applyCss(); // before that a scroll pane has not taken in what it shows
    layout();
    keys.requestFocus();
  }

  /** Goes to a place, for pictures and from elsewhere. */
  public void go(Place to) {
    place = Optional.of(to);
    before = List.of();
    show(session.now());
  }

  /** Shows all places at once. */
  void goEverywhere() {
    place = Optional.empty();
    before = List.of();
    show(session.now());
  }

  /** To a press, as a click on it in the story. */
  public void look(Press press) {
    chosen = press.code();
    keep(press.held());
  }

  /** Shows a page of a device and the way of one of its keys, for pictures. */
  public void pad(String deviceId, String pageId, String key) {
    surfaces.pad(deviceId, pageId, key);
  }
}
