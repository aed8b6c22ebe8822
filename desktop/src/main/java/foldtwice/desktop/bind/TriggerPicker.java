package foldtwice.desktop.bind;

import foldtwice.binding.Binding;
import foldtwice.desktop.parts.DeviceView;
import foldtwice.desktop.parts.Faces;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.PointerReader;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.extras.Extras;
import foldtwice.library.Edit;
import foldtwice.library.Ids;
import foldtwice.place.Place;
import foldtwice.surface.Device;
import foldtwice.surface.Page;
import foldtwice.surface.RadialMenu;
import foldtwice.surface.Toolbar;
import foldtwice.trigger.Direction;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Trigger;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** Chooses a trigger that is no chord: on a picture of what it is on. */
final class TriggerPicker extends VBox {

  /** What can come of it. */
  interface Ways {
    void pick(Trigger trigger);

    /** Reads a stroke; it is held. */
    void captureHeld();

    void leave();
  }

  /** What a trigger can be on. */
  private enum Kind {
    DEVICE,
    HELD,
    GESTURE,
    POINTER,
    TOOLBAR,
    RADIAL,
    START
  }

  private final Session session;
  private final Binding binding;
  private final Ways ways;
  private final VBox content = new VBox(8);
  private final List<Direction> drawn = new ArrayList<>();

  /** For a binding, beginning with what is on devices. */
  TriggerPicker(Session session, Binding binding, Ways ways) {
    this.session = session;
    this.binding = binding;
    this.ways = ways;
    setId("trigger-picker");
    setSpacing(8);
    var chips = Parts.chips(Kind.class, "picker-", k -> Ui.text("picker." + k), this::show);
    chips.get(Kind.DEVICE).setSelected(true);
    FlowPane kinds = new FlowPane(5, 5);
    kinds.getChildren().setAll(chips.values());
    getChildren()
        .addAll(
            kinds,
            content,
            Parts.button("picker-leave", Ui.text("sets.leave"), ways::leave, "link"));
    show(Kind.DEVICE);
    addEventFilter(
        KeyEvent.KEY_PRESSED,
        e -> {
          if (e.getCode() == KeyCode.ESCAPE) {
            e.consume();
            ways.leave();
          }
        });
  }

  private Snapshot now() {
    return session.now();
  }

  private Faces faces() {
    List<Place> states = now().keymap().statesOf(binding.place());
    return new Faces(now(), states.isEmpty() ? binding.place() : states.getFirst());
  }

  /** Shows it anew; the keys go to its chip before what has them is gone. */
  private void again(Kind kind) {
    lookup("#picker-" + kind.name().toLowerCase(Locale.ROOT)).requestFocus();
    show(kind);
  }

  private void show(Kind kind) {
    content
        .getChildren()
        .setAll(
            switch (kind) {
              case DEVICE -> devices();
              case HELD ->
                  List.of(
                      Parts.wrapped(Ui.text("picker.held.hint"), "soft"),
                      Parts.button(
                          "picker-hold", Ui.text("picker.held.press"), ways::captureHeld, "main"));
              case GESTURE -> gesture();
              case POINTER -> List.of(pointer());
              case TOOLBAR -> toolbars();
              case RADIAL -> menus();
              case START ->
                  List.of(
                      Parts.wrapped(Ui.text("picker.start.hint"), "soft"),
                      Parts.button(
                          "picker-atstart",
                          Ui.text("picker.start.take"),
                          () -> ways.pick(new Trigger.AtStart()),
                          "main"));
            });
  }

  private List<Node> devices() {
    List<Device> here =
        now().station().devices().stream()
            .flatMap(id -> now().library().device(id).stream())
            .toList();
    if (here.isEmpty()) {
      return List.of(Parts.wrapped(Ui.text("picker.nodevice", now().station().name()), "soft"));
    }
    List<Node> all = new ArrayList<>();
    FlowPane chips = new FlowPane(5, 5);
    VBox view = new VBox();
    ToggleGroup group = new ToggleGroup();
    for (Device d : here) {
      for (Page p : d.pages()) {
        String name = p.name().isEmpty() ? d.name() : Ui.text("picker.page", d.name(), p.name());
        ToggleButton chip = new ToggleButton(name);
        chip.setId("picker-" + d.id() + (p.id().isEmpty() ? "" : "-" + p.id()));
        chip.getStyleClass().addAll("chip", "small-chip");
        chip.setToggleGroup(group);
        chip.setOnAction(
            e -> {
              chip.setSelected(true);
              view.getChildren().setAll(device(d, p));
            });
        chips.getChildren().add(chip);
      }
    }
    Device first = here.getFirst();
    ((ToggleButton) chips.getChildren().getFirst()).setSelected(true);
    view.getChildren().setAll(device(first, first.firstPage()));
    all.add(chips);
    all.add(view);
    all.add(Parts.wrapped(Ui.text("picker.device.hint"), "soft"));
    return all;
  }

  private DeviceView device(Device device, Page page) {
    DeviceView view =
        new DeviceView(
            53,
            36,
            new DeviceView.Listener() {
              @Override
              public void key(String key, Trigger.Duration way) {
                ways.pick(new Trigger.PadKey(device.id(), page.id(), key, way));
              }

              @Override
              public void dial(String dial, Trigger.Turn turn) {
                ways.pick(new Trigger.Dial(device.id(), page.id(), dial, turn));
              }
            });
    Faces faces = faces();
    view.show(device, page, id -> faces.of(device, page, id));
    return view;
  }

  /** Draw it, or put it together from directions. */
  private List<Node> gesture() {
    drawn.clear();
    Label says = Parts.wrapped(Ui.text("picker.gesture.hint"), "soft");
    says.setId("picker-drawn");
    Button take =
        Parts.button(
            "picker-gesture-take",
            Ui.text("picker.gesture.take"),
            () -> ways.pick(new Trigger.Gesture(Trigger.PointerButton.RIGHT, drawn)),
            "main");
    take.setDisable(true);
    StackPane area = new StackPane(Parts.label(Ui.text("picker.gesture.area"), "soft"));
    area.setId("picker-area");
    area.getStyleClass().add("drawing-area");
    area.setMinHeight(96);
    new PointerReader(
            trigger -> {
              if (trigger instanceof Trigger.Gesture g) {
                ways.pick(g);
              } else {
                says.setText(Ui.text("gesture.tooshort"));
              }
            },
            unread -> says.setText(PointerReader.why(unread)))
        .listen(area);
    GridPane ways8 = new GridPane(3, 3);
    for (Direction d : Direction.values()) {
      Button way = Parts.button("picker-way-" + d.id(), "", () -> add(d, says, take), "make");
      way.setText(ARROWS.get(d));
      way.setAccessibleText(Words.direction(d));
      way.setTooltip(new Tooltip(Words.direction(d)));
      way.setMinWidth(34);
      ways8.add(way, d.across() + 1, d.down() + 1);
    }
    HBox both = new HBox(12, area, ways8);
    HBox.setHgrow(area, Priority.ALWAYS);
    return List.of(both, says, take);
  }

  private static final Map<Direction, String> ARROWS =
      Map.of(
          Direction.UP, "\u2191",
          Direction.UP_RIGHT, "\u2197",
          Direction.RIGHT, "\u2192",
          Direction.DOWN_RIGHT, "\u2198",
          Direction.DOWN, "\u2193",
          Direction.DOWN_LEFT, "\u2199",
          Direction.LEFT, "\u2190",
          Direction.UP_LEFT, "\u2196");

  private void add(Direction way, Label says, Button take) {
    if (drawn.size() == Trigger.Gesture.MOST_STROKES
        || (!drawn.isEmpty() && drawn.getLast() == way)) {
      drawn.clear();
    }
    drawn.add(way);
    says.setText(now().words().trigger(new Trigger.Gesture(Trigger.PointerButton.RIGHT, drawn)));
    take.setDisable(false);
  }

  private Node pointer() {
    FlowPane buttons = new FlowPane(6, 6);
    for (Trigger.PointerButton b : Trigger.PointerButton.values()) {
      Trigger trigger = new Trigger.Pointer(b, Modifiers.NONE);
      buttons
          .getChildren()
          .add(
              choice(
                  "picker-" + b.name().toLowerCase(Locale.ROOT), Words.pointerButton(b), trigger));
    }
    return buttons;
  }

  private Button choice(String id, String name, Trigger trigger) {
    Optional<String> does = faces().does(trigger);
    Button button =
        Parts.button(
            id,
            does.map(d -> Ui.text("picker.taken", name, d)).orElse(name),
            () -> ways.pick(trigger));
    button.setWrapText(true);
    return button;
  }

  private List<Node> toolbars() {
    String application = binding.place().applicationId().orElse("");
    if (application.isEmpty()) {
      return List.of(Parts.wrapped(Ui.text("picker.toolbar.everywhere"), "soft"));
    }
    List<Node> all = new ArrayList<>();
    for (Toolbar t : now().library().toolbars()) {
      if (t.application().equals(application)) {
        all.add(Parts.label(t.name(), "heading"));
        FlowPane slots = new FlowPane(4, 4);
        for (int slot = 1; slot <= t.slots(); slot++) {
          Trigger trigger = new Trigger.Button(t.id(), slot);
          Button button =
              Parts.button("picker-slot-" + slot, Integer.toString(slot), () -> ways.pick(trigger));
          boolean taken =
              now().library().bindings().values().stream()
                  .anyMatch(b -> b.triggers().contains(trigger));
          if (taken) {
            button.getStyleClass().add("taken");
          }
          button.setTooltip(
              new Tooltip(
                  faces().does(trigger).orElse(Ui.text(taken ? "picker.used" : "device.free"))));
          slots.getChildren().add(button);
        }
        all.add(slots);
      }
    }
    String name =
        Ui.text("picker.toolbar.name", now().library().nameOf(new Place.Whole(application)));
    all.add(
        Parts.button(
            "picker-new-toolbar",
            Ui.text("picker.toolbar.new"),
            () -> {
              String id = freeSurface("toolbar-" + application);
              session.make(
                  new Edit.PutSurface(
                      new Toolbar(id, name, application, 8, 4, Map.of(), Extras.NONE)),
                  Ui.text("said.newsurface", name));
              again(Kind.TOOLBAR);
            },
            "link"));
    return all;
  }

  private List<Node> menus() {
    List<Node> all = new ArrayList<>();
    for (RadialMenu m : now().library().menus()) {
      if (m.place().applicationId().equals(binding.place().applicationId())) {
        String opens =
            m.opens().isEmpty()
                ? Ui.text("picker.radial.unopened")
                : now().words().trigger(m.opens().getFirst());
        all.add(Parts.label(Ui.text("picker.radial.opens", m.name(), opens), "heading"));
        GridPane choices = new GridPane(4, 4);
        for (Direction d : Direction.values()) {
          Trigger trigger = new Trigger.Radial(m.id(), d);
          String label = faces().brief(trigger);
          Button button =
              Parts.button(
                  "picker-choice-" + d.id(),
                  label.isEmpty() ? Words.direction(d) : label.replace("\n", " "),
                  () -> ways.pick(trigger));
          button.setMaxWidth(104);
          button.setMinWidth(104);
          button.setStyle("-fx-font-size: 11px; -fx-padding: 2 4 2 4;");
          button.setTooltip(new Tooltip(Words.direction(d)));
          choices.add(button, d.across() + 1, d.down() + 1);
        }
        all.add(choices);
      }
    }
    String name = Ui.text("picker.radial.name", now().library().nameOf(binding.place()));
    all.add(
        Parts.button(
            "picker-new-radial",
            Ui.text("picker.radial.new"),
            () -> {
              String id = freeSurface("radial");
              Trigger opens = new Trigger.Pointer(Trigger.PointerButton.MIDDLE, Modifiers.NONE);
              session.make(
                  new Edit.PutSurface(
                      new RadialMenu(
                          id, name, binding.place(), List.of(opens), Map.of(), Extras.NONE)),
                  Ui.text("said.newsurface", name));
              again(Kind.RADIAL);
            },
            "link"));
    return all;
  }

  private String freeSurface(String wanted) {
    return Ids.free(wanted, now().library().surfaces()::containsKey);
  }
}
