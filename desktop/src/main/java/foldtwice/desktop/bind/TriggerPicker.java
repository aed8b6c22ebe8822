package foldtwice.desktop.bind;

import foldtwice.binding.Binding;
import foldtwice.desktop.parts.Faces;
import foldtwice.desktop.parts.GestureForm;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.PointerForm;
import foldtwice.desktop.parts.Refill;
import foldtwice.desktop.parts.RoutineField;
import foldtwice.desktop.parts.Tips;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Bound;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.NewSurfaces;
import foldtwice.place.Place;
import foldtwice.routine.Routine;
import foldtwice.surface.Toolbar;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** Chooses a trigger that is no chord: on a picture of what it is on. */
final class TriggerPicker extends VBox {

  /** What can come of it. */
  interface Ways {
    void pick(Trigger trigger);

    /** The same, and another binding as it shall be, in one go. */
    void pick(Trigger trigger, Binding other);

    /**
     * Reads a stroke; it is held.
     *
     * @param onRelease what shall run as it comes up; none for this binding again
     */
    void captureHeld(Optional<Routine> onRelease);

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
  private final Supplier<Binding> binding;
  private final Ways ways;
  private final VBox content = new VBox(8);

  /** Shows what is in {@link #content} as it is now. */
  private Runnable follows = () -> {};

  /** For a binding, beginning with what is on devices. */
  TriggerPicker(Session session, Supplier<Binding> binding, Ways ways) {
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

  /** Follows what else is changed meanwhile. */
  void follow() {
    follows.run();
  }

  private Snapshot now() {
    return session.now();
  }

  private Faces faces() {
    Place place = binding.get().place();
    List<Place> states = now().keymap().statesOf(place);
    return new Faces(now(), states.isEmpty() ? place : states.getFirst());
  }

  private void show(Kind kind) {
    follows = () -> {};
    switch (kind) {
      case DEVICE -> {
        PickDevice device = new PickDevice(session, binding, ways, this::faces);
        content.getChildren().setAll(device);
        follows = device::follow;
      }
      case HELD -> held();
      case GESTURE ->
          content.getChildren().setAll(new GestureForm(t -> now().words().trigger(t), ways::pick));
      case POINTER -> {
        PointerForm pointer = new PointerForm(t -> faces().does(t), ways::pick);
        content.getChildren().setAll(pointer);
        follows = pointer::follow;
      }
      case TOOLBAR -> {
        toolbars();
        follows = this::toolbars;
      }
      case RADIAL -> {
        PickMenu menus = new PickMenu(session, binding, this::faces, ways::pick);
        content.getChildren().setAll(menus);
        follows = () -> menus.follow(now());
      }
      case START ->
          content
              .getChildren()
              .setAll(
                  Parts.wrapped(Ui.text("picker.start.hint"), "soft"),
                  Parts.button(
                      "picker-atstart",
                      Ui.text("picker.start.take"),
                      () -> ways.pick(new Trigger.AtStart()),
                      "main"));
    }
  }

  /** A held key; as it comes up something else may run. */
  private void held() {
    RoutineField release =
        new RoutineField("picker-release", Ui.text("picker.held.release"), Routine::name, () -> {});
    follows = () -> release.renew(ofTheSame());
    follows.run();
    content
        .getChildren()
        .setAll(
            Parts.wrapped(Ui.text("picker.held.hint"), "soft"),
            release,
            Parts.button(
                "picker-hold",
                Ui.text("picker.held.press"),
                () -> ways.captureHeld(release.chosen()),
                "main"));
  }

  /** The routines of the program that the binding's routine is for. */
  private List<Routine> ofTheSame() {
    Library library = now().library();
    String application = library.routineOf(binding.get()).map(Routine::application).orElse("");
    return library.routines().values().stream()
        .filter(r -> r.application().equals(application))
        .toList();
  }

  /** A slot of a toolbar, and what it does. */
  private record Slot(Toolbar of, int number, boolean taken, String does) {}

  private void toolbars() {
    String application = binding.get().place().applicationId().orElse("");
    Library library = now().library();
    List<Toolbar> here =
        library.toolbars().stream().filter(t -> t.application().equals(application)).toList();
    List<Slot> slots =
        here.stream()
            .flatMap(t -> IntStream.rangeClosed(1, t.slots()).mapToObj(s -> slot(t, s)))
            .toList();
    Refill.with(
        content, List.of(application, here, slots), () -> toolbars(application, here, slots));
  }

  private Slot slot(Toolbar of, int number) {
    Trigger trigger = new Trigger.Button(of.id(), number);
    boolean taken = !Bound.on(now().library(), trigger).isEmpty();
    String does = faces().does(trigger).orElse(Ui.text(taken ? "picker.used" : "device.free"));
    return new Slot(of, number, taken, does);
  }

  private List<Node> toolbars(String application, List<Toolbar> here, List<Slot> slots) {
    if (application.isEmpty()) {
      return List.of(Parts.wrapped(Ui.text("picker.toolbar.everywhere"), "soft"));
    }
    List<Node> all = new ArrayList<>();
    for (Toolbar t : here) {
      FlowPane its = new FlowPane(4, 4);
      slots.stream()
          .filter(s -> s.of().equals(t))
          .map(this::button)
          .forEach(its.getChildren()::add);
      all.addAll(List.of(Parts.label(t.name(), "heading"), its));
    }
    all.add(
        Parts.button(
            "picker-new-toolbar", Ui.text("picker.toolbar.new"), this::addToolbar, "link"));
    return all;
  }

  private Button button(Slot slot) {
    String number = Integer.toString(slot.number());
    Trigger trigger = new Trigger.Button(slot.of().id(), slot.number());
    Button button = Parts.button("picker-slot-" + number, number, () -> ways.pick(trigger));
    if (slot.taken()) {
      button.getStyleClass().add("taken");
    }
    Tips.on(button, slot.does());
    return button;
  }

  /** The keys go to its chip before what has them is gone. */
  private void addToolbar() {
    Place place = new Place.Whole(binding.get().place().applicationId().orElseThrow());
    Library library = now().library();
    String name = Ui.text("picker.toolbar.name", library.nameOf(place));
    Toolbar made = NewSurfaces.toolbar(library, name, place.applicationId().orElseThrow());
    lookup("#picker-toolbar").requestFocus();
    session.make(new Edit.PutSurface(made), Ui.text("said.newsurface", made.name()));
    toolbars();
  }
}
