package foldtwice.desktop.atlas;

import foldtwice.atlas.Atlas;
import foldtwice.atlas.Key;
import foldtwice.atlas.Troubles;
import foldtwice.conflict.Weight;
import foldtwice.desktop.parts.DeviceView;
import foldtwice.desktop.parts.Faces;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Refill;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Snapshot;
import foldtwice.library.Bound;
import foldtwice.place.Place;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Owner;
import foldtwice.surface.Device;
import foldtwice.surface.Face;
import foldtwice.surface.Page;
import foldtwice.surface.RadialMenu;
import foldtwice.surface.Toolbar;
import foldtwice.trigger.Direction;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Trigger;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * What can be pressed beside the keyboard: pads by page, toolbars, radial menus and the pointer;
 * and where the chosen one goes.
 */
final class SurfacesPane extends HBox {

  private static final int IN_A_ROW = 4;

  private final FlowPane chips = new FlowPane(5, 5);
  private final VBox picture = new VBox(8);
  private final DeviceView device;
  private final ChainPane chain;
  private Snapshot now;
  private Troubles troubles;
  private Optional<Place> place = Optional.empty();
  private String chosen = "";
  private Optional<Trigger> picked = Optional.empty();

  /**
   * @param chain where the chosen one goes
   */
  SurfacesPane(ChainPane chain) {
    super(22);
    this.chain = chain;
    setId("atlas-surfaces");
    chips.setPrefWrapLength(440);
    device =
        new DeviceView(
            62,
            38,
            new DeviceView.Listener() {
              @Override
              public void key(String key, Trigger.Duration way) {
                onPage(p -> new Trigger.PadKey(p.device().id(), p.page().id(), key, way));
              }

              @Override
              public void dial(String dial, Trigger.Turn turn) {
                onPage(p -> new Trigger.Dial(p.device().id(), p.page().id(), dial, turn));
              }
            });
    HBox.setHgrow(chain, Priority.ALWAYS);
    getChildren().addAll(new VBox(8, chips, picture), chain);
  }

  private void onPage(Function<Side.OnPage, Trigger> trigger) {
    if (side(sides()) instanceof Side.OnPage p) {
      pick(trigger.apply(p));
    }
  }

  private void pick(Trigger trigger) {
    picked = Optional.of(trigger);
    draw();
  }

  /** Chooses a page of a device and one of its keys. */
  void pad(String deviceId, String pageId, String key) {
    chosen = "page-" + deviceId + "-" + pageId;
    pick(new Trigger.PadKey(deviceId, pageId, key, Trigger.Duration.TAP));
  }

  /** Shows what there is in a place, or in all at once. */
  void show(Snapshot next, Troubles with, Optional<Place> in) {
    now = next;
    troubles = with;
    place = in;
    draw();
  }

  private List<Side> sides() {
    List<Side> sides = new ArrayList<>();
    Optional<String> application = place.flatMap(Place::applicationId);
    for (Device d : now.library().devices()) {
      if (now.station().devices().contains(d.id())) {
        d.pages().forEach(p -> sides.add(new Side.OnPage(d, p)));
      }
    }
    now.library().surfaces().values().stream()
        .flatMap(s -> s instanceof Toolbar t ? Stream.of(t) : Stream.empty())
        .filter(t -> application.isEmpty() || application.get().equals(t.application()))
        .forEach(t -> sides.add(new Side.OnToolbar(t)));
    now.library().surfaces().values().stream()
        .flatMap(s -> s instanceof RadialMenu m ? Stream.of(m) : Stream.empty())
        .filter(m -> place.isEmpty() || now.keymap().statesOf(m.place()).contains(place.get()))
        .forEach(m -> sides.add(new Side.OnMenu(m)));
    sides.add(new Side.OnPointer());
    return sides;
  }

  private Side side(List<Side> sides) {
    return sides.stream().filter(s -> s.id().equals(chosen)).findFirst().orElse(sides.getFirst());
  }

  private void draw() {
    boolean had = Parts.hasKeys(this);
    Optional<String> keys =
        had ? Optional.ofNullable(getScene().getFocusOwner().getId()) : Optional.empty();
    List<Side> sides = sides();
    Side side = side(sides);
    chosen = side.id();
    List<List<String>> named = sides.stream().map(s -> List.of(s.id(), s.name())).toList();
    Refill.with(chips, named, () -> chips(sides));
    chips.getChildren().stream()
        .flatMap(n -> n instanceof ToggleButton chip ? Stream.of(chip) : Stream.empty())
        .forEach(chip -> chip.setSelected(chip.getId().equals("atlas-" + chosen)));
    if (picked.filter(side::has).isEmpty()) {
      picked = first(side);
    }
    picture.getChildren().setAll(picture(side));
    chain.setVisible(picked.isPresent());
    picked.ifPresent(t -> chain.show(now, t, sends(side, t)));
    keys.map(id -> lookup("#" + id)).ifPresent(Node::requestFocus);
  }

  private List<ToggleButton> chips(List<Side> sides) {
    ToggleGroup group = new ToggleGroup();
    List<ToggleButton> all = new ArrayList<>();
    for (Side s : sides) {
      ToggleButton chip = Skins.on(new ToggleButton(s.name()));
      chip.setId("atlas-" + s.id());
      chip.getStyleClass().addAll("chip", "small-chip");
      chip.setToggleGroup(group);
      chip.setMinWidth(USE_PREF_SIZE);
      chip.setOnAction(
          e -> {
            chosen = s.id();
            picked = Optional.empty();
            draw();
          });
      all.add(chip);
    }
    return all;
  }

  /** What is told of at first: a key that sends something, else the first that does something. */
  private Optional<Trigger> first(Side side) {
    return switch (side) {
      case Side.OnPage(Device d, Page p) ->
          p.sends().keySet().stream()
              .findFirst()
              .or(() -> d.keys().stream().map(Device.Cap::id).findFirst())
              .map(k -> new Trigger.PadKey(d.id(), p.id(), k, Trigger.Duration.TAP));
      case Side.OnToolbar(Toolbar t) -> Optional.of(new Trigger.Button(t.id(), 1));
      case Side.OnMenu(RadialMenu m) -> Optional.of(firstClaimed(choices(m)));
      case Side.OnPointer() -> Optional.of(firstClaimed(movements()));
    };
  }

  private Trigger firstClaimed(List<Trigger> some) {
    return some.stream()
        .filter(t -> key(t).part() != Key.Part.FREE)
        .findFirst()
        .orElse(some.getFirst());
  }

  private static Optional<Page.Sends> sends(Side side, Trigger trigger) {
    return side instanceof Side.OnPage(var device, Page page)
            && trigger instanceof Trigger.PadKey k
            && k.way() == Trigger.Duration.TAP
        ? page.sends(k.key())
        : Optional.empty();
  }

  private Key key(Trigger trigger) {
    return Atlas.of(now.library(), now.keymap(), troubles, place, trigger);
  }

  private Node picture(Side side) {
    return switch (side) {
      case Side.OnPage(Device d, Page p) -> page(d, p);
      case Side.OnToolbar(Toolbar t) -> toolbar(t);
      case Side.OnMenu(RadialMenu m) -> around(choices(m), m);
      case Side.OnPointer() -> pointer();
    };
  }

  private Node page(Device d, Page page) {
    if (place.isPresent()) {
      Faces faces = new Faces(now, place.get());
      device.show(d, page, id -> faces.of(d, page, id));
    } else {
      device.show(d, page, id -> everywhere(d, page, id));
    }
    for (Device.Cap cap : d.keys()) {
      Trigger.PadKey tap = new Trigger.PadKey(d.id(), page.id(), cap.id(), Trigger.Duration.TAP);
      troubles
          .worst(claims(tap), place)
          .filter(w -> w != Weight.NOTE)
          .ifPresent(w -> device.fold(cap, w));
    }
    return device;
  }

  /** What has a claim on a key of a pad or on what it sends. */
  private List<Claim> claims(Trigger.PadKey tap) {
    List<Claim> claims = new ArrayList<>(key(tap).claims());
    claims.add(
        new Claim(new Owner.Key(tap.device(), tap.page(), tap.key()), tap, new Place.Everywhere()));
    return claims;
  }

  private DeviceView.Shown everywhere(Device d, Page page, String id) {
    Faces here = new Faces(now, now.keymap().states().getFirst());
    DeviceView.Shown shown = here.of(d, page, id);
    if (d.dial(id).isPresent() || page.sends(id).isPresent()) {
      return shown;
    }
    Key key = key(new Trigger.PadKey(d.id(), page.id(), id, Trigger.Duration.TAP));
    Face face = page.face(id);
    String says = KeyBoard.says(key, shown.text(), now.words());
    return new DeviceView.Shown(
        face.label().isEmpty() ? KeyBoard.label(key, now.words()) : face.label(),
        says,
        key.claims().isEmpty() ? DeviceView.Part.FREE : DeviceView.Part.YOURS,
        face);
  }

  private Node toolbar(Toolbar toolbar) {
    GridPane grid = grid();
    for (int slot = 1; slot <= toolbar.slots(); slot++) {
      Trigger button = new Trigger.Button(toolbar.id(), slot);
      String label = toolbar.face(slot).label();
      SpotNode spot =
          spot("slot-" + slot, button, label.isEmpty() ? Integer.toString(slot) : label);
      grid.add(spot, (slot - 1) % IN_A_ROW, (slot - 1) / IN_A_ROW);
    }
    return grid;
  }

  private static List<Trigger> choices(RadialMenu menu) {
    List<Trigger> choices = new ArrayList<>();
    for (Direction d : Direction.values()) {
      choices.add(new Trigger.Radial(menu.id(), d));
    }
    return choices;
  }

  /** Eight around a middle, as they lie around the pointer. */
  private Node around(List<Trigger> eight, RadialMenu menu) {
    GridPane grid = grid();
    for (Direction d : Direction.values()) {
      String label = menu == null ? "" : menu.face(d).label();
      grid.add(
          spot(d.id(), eight.get(d.ordinal()), label.isEmpty() ? Words.direction(d) : label),
          1 + d.across(),
          1 + d.down());
    }
    grid.add(
        Parts.wrapped(
            menu == null
                ? Words.pointerButton(Trigger.PointerButton.RIGHT)
                : menu.opens().stream().map(now.words()::trigger).collect(Collectors.joining(", ")),
            "soft"),
        1,
        1);
    return grid;
  }

  /** Movements with the right button held, longer ones that are in use, and the other buttons. */
  private List<Trigger> movements() {
    Set<Trigger> all = new LinkedHashSet<>();
    for (Direction d : Direction.values()) {
      all.add(new Trigger.Gesture(Trigger.PointerButton.RIGHT, List.of(d)));
    }
    Bound.triggers(now.library()).stream()
        .filter(t -> t instanceof Trigger.Gesture || t instanceof Trigger.Pointer)
        .forEach(all::add);
    for (Trigger.PointerButton b : Trigger.PointerButton.values()) {
      all.add(new Trigger.Pointer(b, Modifiers.NONE));
    }
    return List.copyOf(all);
  }

  private Node pointer() {
    List<Trigger> all = movements();
    GridPane others = grid();
    int at = 0;
    for (Trigger t : all.subList(Direction.values().length, all.size())) {
      others.add(spot("other-" + at, t, now.words().trigger(t)), at % IN_A_ROW, at / IN_A_ROW);
      at++;
    }
    return new VBox(10, around(all, null), others);
  }

  private static GridPane grid() {
    GridPane grid = new GridPane();
    grid.setHgap(5);
    grid.setVgap(5);
    return grid;
  }

  private SpotNode spot(String id, Trigger trigger, String legend) {
    Key key = key(trigger);
    SpotNode spot =
        new SpotNode(
            "atlas-spot-" + id,
            key,
            legend,
            KeyBoard.label(key, now.words()),
            KeyBoard.says(key, now.words().trigger(trigger), now.words()),
            picked.filter(trigger::equals).isPresent());
    spot.button().setOnAction(e -> pick(trigger));
    return spot;
  }
}
