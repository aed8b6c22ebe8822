package foldtwice.desktop.bind;

import foldtwice.binding.Binding;
import foldtwice.desktop.parts.Faces;
import foldtwice.desktop.parts.GestureForm;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.PointerForm;
import foldtwice.desktop.parts.RoutineField;
import foldtwice.desktop.parts.Tips;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Bound;
import foldtwice.library.Edit;
import foldtwice.library.NewSurfaces;
import foldtwice.place.Place;
import foldtwice.routine.Routine;
import foldtwice.surface.Toolbar;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
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
  private final Binding binding;
  private final Ways ways;
  private final VBox content = new VBox(8);

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

  /** Follows what else is changed meanwhile. */
  void follow(Snapshot now) {
    content.getChildren().stream()
        .filter(n -> n instanceof PickMenu)
        .forEach(n -> ((PickMenu) n).follow(now));
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
              case DEVICE -> List.of(new PickDevice(session, binding, ways, faces()));
              case HELD -> held();
              case GESTURE -> List.of(new GestureForm(t -> now().words().trigger(t), ways::pick));
              case POINTER -> List.of(new PointerForm(faces()::does, ways::pick));
              case TOOLBAR -> toolbars();
              case RADIAL -> List.of(new PickMenu(session, binding, faces(), ways::pick));
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

  /** A held key; as it comes up something else may run. */
  private List<Node> held() {
    RoutineField release =
        new RoutineField("picker-release", Ui.text("picker.held.release"), Routine::name, () -> {});
    String application = now().library().routineOf(binding).map(Routine::application).orElse("");
    release.offer(
        now().library().routines().values().stream()
            .filter(r -> r.application().equals(application))
            .toList());
    return List.of(
        Parts.wrapped(Ui.text("picker.held.hint"), "soft"),
        release,
        Parts.button(
            "picker-hold",
            Ui.text("picker.held.press"),
            () -> ways.captureHeld(release.chosen()),
            "main"));
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
          boolean taken = !Bound.on(now().library(), trigger).isEmpty();
          if (taken) {
            button.getStyleClass().add("taken");
          }
          Tips.on(
              button, faces().does(trigger).orElse(Ui.text(taken ? "picker.used" : "device.free")));
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
              Toolbar made = NewSurfaces.toolbar(now().library(), name, application);
              session.make(new Edit.PutSurface(made), Ui.text("said.newsurface", made.name()));
              again(Kind.TOOLBAR);
            },
            "link"));
    return all;
  }
}
