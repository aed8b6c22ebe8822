package foldtwice.desktop.bind;

import foldtwice.binding.Binding;
import foldtwice.desktop.parts.DeviceView;
import foldtwice.desktop.parts.Faces;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Edit;
import foldtwice.library.Halves;
import foldtwice.library.Library;
import foldtwice.library.Pages;
import foldtwice.routine.Value;
import foldtwice.surface.Device;
import foldtwice.surface.Page;
import foldtwice.trigger.Trigger;
import foldtwice.writing.Opposites;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** A key or a dial of a device that is plugged in, chosen on its picture. */
final class PickDevice extends VBox {

  /** A key is as wide as fits, up to this. */
  private static final double KEY = 53;

  private static final double ROW = 36;

  private final Session session;
  private final Binding binding;
  private final TriggerPicker.Ways ways;
  private final Faces faces;
  private final FlowPane chips = new FlowPane(5, 5);
  private final VBox view = new VBox();
  private final CheckBox both = Skins.on(new CheckBox());
  private final Optional<Map<String, Value>> opposite;

  /** Draws what is in view again, and how wide a key was drawn. */
  private Runnable again = () -> {};

  private double drawn;

  PickDevice(Session session, Binding binding, TriggerPicker.Ways ways, Faces faces) {
    super(8);
    this.session = session;
    this.binding = binding;
    this.ways = ways;
    this.faces = faces;
    Snapshot now = session.now();
    Library library = now.library();
    opposite = library.routineOf(binding).flatMap(r -> Opposites.of(r, binding.arguments()));
    setMinWidth(0); // a picture that is too wide is drawn smaller, and widens nothing
    view.setMinWidth(0);
    both.setId("picker-both");
    both.setSelected(true);
    opposite.ifPresent(
        o -> {
          Binding other = binding.withRoutine(binding.routine(), o);
          both.setText(Ui.text("picker.both", now.words().arguments(other)));
        });
    List<Device> here =
        now.station().devices().stream().flatMap(id -> library.device(id).stream()).toList();
    if (here.isEmpty()) {
      getChildren().setAll(Parts.wrapped(Ui.text("picker.nodevice", now.station().name()), "soft"));
      return;
    }
    show(here, here.getFirst().id(), here.getFirst().firstPage().id());
    getChildren().add(chips);
    if (opposite.isPresent() && here.stream().anyMatch(d -> !d.dials().isEmpty())) {
      getChildren().add(both);
    }
    getChildren().addAll(view, Parts.wrapped(Ui.text("picker.device.hint"), "soft"));
    widthProperty()
        .addListener(
            (o, a, width) -> {
              boolean had = Parts.hasKeys(view);
              boolean fits = drawn == KEY && width.doubleValue() >= view.prefWidth(-1);
              if (!had && !fits) {
                again.run();
              }
            });
  }

  private void show(List<Device> devices, String device, String page) {
    chips.getChildren().clear();
    ToggleGroup group = new ToggleGroup();
    for (Device d : devices) {
      for (Page p : d.pages()) {
        String name = p.name().isEmpty() ? d.name() : Ui.text("picker.page", d.name(), p.name());
        ToggleButton chip = Skins.on(new ToggleButton(name));
        chip.setId("picker-" + d.id() + (p.id().isEmpty() ? "" : "-" + p.id()));
        chip.getStyleClass().addAll("chip", "small-chip");
        chip.setToggleGroup(group);
        chip.setOnAction(
            e -> {
              chip.setSelected(true);
              view.getChildren().setAll(device(devices, d, p));
            });
        chips.getChildren().add(chip);
        if (d.id().equals(device) && p.id().equals(page)) {
          chip.setSelected(true);
          view.getChildren().setAll(device(devices, d, p));
        }
      }
    }
  }

  /** How wide a key can be so that the whole device is seen. */
  private double unit(Device device) {
    double across = device.keys().stream().mapToDouble(k -> k.x() + k.width()).max().orElse(1);
    return getWidth() == 0 ? KEY : Math.min(KEY, getWidth() / across);
  }

  private VBox device(List<Device> devices, Device device, Page page) {
    again = () -> view.getChildren().setAll(device(devices, device, page));
    drawn = unit(device);
    DeviceView picture =
        new DeviceView(
            drawn,
            ROW,
            new DeviceView.Listener() {
              @Override
              public void key(String key, Trigger.Duration way) {
                ways.pick(new Trigger.PadKey(device.id(), page.id(), key, way));
              }

              @Override
              public void dial(String dial, Trigger.Turn turn) {
                turned(device, page, dial, turn);
              }
            });
    picture.show(device, page, id -> faces.of(device, page, id));
    VBox shown = new VBox(6, picture);
    if (!page.id().isEmpty()) {
      shown
          .getChildren()
          .add(
              Parts.button(
                  "picker-new-page",
                  Ui.text("picker.newpage", device.name()),
                  () -> addPage(devices, device),
                  "link"));
    }
    return shown;
  }

  /** A dial that is turned gives its other way to the opposite, where that is wished. */
  private void turned(Device device, Page page, String dial, Trigger.Turn turn) {
    Trigger trigger = new Trigger.Dial(device.id(), page.id(), dial, turn);
    if (turn == Trigger.Turn.PUSH || opposite.isEmpty() || !both.isSelected()) {
      ways.pick(trigger);
      return;
    }
    Trigger back =
        new Trigger.Dial(
            device.id(),
            page.id(),
            dial,
            turn == Trigger.Turn.LEFT ? Trigger.Turn.RIGHT : Trigger.Turn.LEFT);
    Library library = session.now().library();
    ways.pick(trigger, Halves.other(library, binding, binding.routine(), opposite.get(), back));
  }

  private void addPage(List<Device> devices, Device device) {
    Page fresh = Pages.fresh(device, Ui.text("device.newpage", device.pages().size() + 1));
    Device more = Pages.with(device, fresh);
    chips.requestFocus(); // before what has the keys is gone
    session.make(
        new Edit.PutSurface(more), Ui.text("said.changed", more.name() + " " + fresh.name()));
    show(
        devices.stream().map(d -> d.id().equals(more.id()) ? more : d).toList(),
        more.id(),
        fresh.id());
    chips.getChildren().stream()
        .filter(c -> ((ToggleButton) c).isSelected())
        .forEach(c -> c.requestFocus());
  }
}
