package foldtwice.desktop.bind;

import foldtwice.binding.Binding;
import foldtwice.desktop.parts.ChipRow;
import foldtwice.desktop.parts.DeviceView;
import foldtwice.desktop.parts.Faces;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Refill;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Edit;
import foldtwice.library.Halves;
import foldtwice.library.Pages;
import foldtwice.routine.Value;
import foldtwice.surface.Device;
import foldtwice.surface.Page;
import foldtwice.trigger.Trigger;
import foldtwice.writing.Opposites;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** A key or a dial of a device that is plugged in, chosen on its picture. */
final class PickDevice extends VBox {

  /** A key is as wide as fits, up to this. */
  private static final double KEY = 53;

  private static final double ROW = 36;

  private final Session session;
  private final Supplier<Binding> binding;
  private final TriggerPicker.Ways ways;
  private final Supplier<Faces> faces;
  private final FlowPane chips = new FlowPane(5, 5);
  private final VBox view = new VBox(6);
  private final CheckBox both = Skins.on(new CheckBox());

  /** What is in view, by its ids. */
  private String device = "";

  private String page = "";
  private DeviceView picture;

  /** How wide a key of it is. */
  private double drawn;

  PickDevice(
      Session session, Supplier<Binding> binding, TriggerPicker.Ways ways, Supplier<Faces> faces) {
    super(8);
    this.session = session;
    this.binding = binding;
    this.ways = ways;
    this.faces = faces;
    setMinWidth(0); // a picture that is too wide is drawn smaller, and widens nothing
    view.setMinWidth(0);
    both.setId("picker-both");
    both.setSelected(true);
    follow();
    widthProperty()
        .addListener(
            (o, a, width) -> {
              boolean had = Parts.hasKeys(view);
              boolean fits = drawn == KEY && width.doubleValue() >= view.prefWidth(-1);
              if (!had && !fits && picture != null) {
                draw();
              }
            });
  }

  /** Shows everything as it is now. */
  void follow() {
    Snapshot now = session.now();
    List<Device> here = here();
    if (here.isEmpty()) {
      Refill.with(
          this,
          now.station().name(),
          () -> List.of(Parts.wrapped(Ui.text("picker.nodevice", now.station().name()), "soft")));
      return;
    }
    Optional<Device> inView = here.stream().filter(d -> d.id().equals(device)).findFirst();
    if (inView.isEmpty() || inView.get().page(page).isEmpty()) {
      device = here.getFirst().id();
      page = here.getFirst().firstPage().id();
    }
    Optional<Map<String, Value>> opposite = opposite();
    opposite.ifPresent(
        o -> {
          Binding other = binding.get().withRoutine(binding.get().routine(), o);
          both.setText(Ui.text("picker.both", now.words().arguments(other)));
        });
    boolean asks = opposite.isPresent() && here.stream().anyMatch(d -> !d.dials().isEmpty());
    Refill.with(
        this,
        asks,
        () -> {
          Node hint = Parts.wrapped(Ui.text("picker.device.hint"), "soft");
          return asks ? List.of(chips, both, view, hint) : List.of(chips, view, hint);
        });
    chips(here);
    draw();
  }

  private List<Device> here() {
    Snapshot now = session.now();
    return now.station().devices().stream()
        .flatMap(id -> now.library().device(id).stream())
        .toList();
  }

  private Optional<Map<String, Value>> opposite() {
    return session
        .now()
        .library()
        .routineOf(binding.get())
        .flatMap(r -> Opposites.of(r, binding.get().arguments()));
  }

  private void chips(List<Device> here) {
    Map<String, String> says = new LinkedHashMap<>();
    Map<String, Runnable> shows = new HashMap<>();
    for (Device d : here) {
      for (Page p : d.pages()) {
        String id = named(d.id(), p.id());
        says.put(id, p.name().isEmpty() ? d.name() : Ui.text("picker.page", d.name(), p.name()));
        shows.put(id, () -> show(d.id(), p.id()));
      }
    }
    ChipRow.show(chips, says, named(device, page), id -> shows.get(id).run());
  }

  private static String named(String device, String page) {
    return "picker-" + device + (page.isEmpty() ? "" : "-" + page);
  }

  private void show(String ofDevice, String ofPage) {
    device = ofDevice;
    page = ofPage;
    draw();
  }

  /** How wide a key can be so that the whole device is seen. */
  private double unit(Device device) {
    double across = device.keys().stream().mapToDouble(k -> k.x() + k.width()).max().orElse(1);
    return getWidth() == 0 ? KEY : Math.min(KEY, getWidth() / across);
  }

  private void draw() {
    Device shown = session.now().library().device(device).orElseThrow();
    Page its = shown.page(page).orElseThrow();
    if (picture == null || drawn != unit(shown)) {
      drawn = unit(shown);
      picture = new DeviceView(drawn, ROW, listener());
    }
    Faces now = faces.get();
    picture.show(shown, its, id -> now.of(shown, its, id));
    String name = its.id().isEmpty() ? "" : shown.name();
    Refill.with(
        view,
        List.of(picture, name),
        () ->
            name.isEmpty()
                ? List.of(picture)
                : List.of(
                    picture,
                    Parts.button(
                        "picker-new-page",
                        Ui.text("picker.newpage", name),
                        this::addPage,
                        "link")));
  }

  private DeviceView.Listener listener() {
    return new DeviceView.Listener() {
      @Override
      public void key(String key, Trigger.Duration way) {
        ways.pick(new Trigger.PadKey(device, page, key, way));
      }

      @Override
      public void dial(String dial, Trigger.Turn turn) {
        turned(dial, turn);
      }
    };
  }

  /** A dial that is turned gives its other way to the opposite, where that is wished. */
  private void turned(String dial, Trigger.Turn turn) {
    Trigger trigger = new Trigger.Dial(device, page, dial, turn);
    Optional<Map<String, Value>> opposite = opposite();
    if (turn == Trigger.Turn.PUSH || opposite.isEmpty() || !both.isSelected()) {
      ways.pick(trigger);
      return;
    }
    Trigger.Turn back = turn == Trigger.Turn.LEFT ? Trigger.Turn.RIGHT : Trigger.Turn.LEFT;
    Binding now = binding.get();
    ways.pick(
        trigger,
        Halves.other(
            session.now().library(),
            now,
            now.routine(),
            opposite.get(),
            new Trigger.Dial(device, page, dial, back)));
  }

  private void addPage() {
    Device of = session.now().library().device(device).orElseThrow();
    Page fresh = Pages.fresh(of, Ui.text("device.newpage", of.pages().size() + 1));
    Device more = Pages.with(of, fresh);
    chips.requestFocus(); // before what has the keys is gone
    session.make(
        new Edit.PutSurface(more), Ui.text("said.changed", more.name() + " " + fresh.name()));
    page = fresh.id();
    follow();
    chips.lookup("#" + named(device, page)).requestFocus();
  }
}
