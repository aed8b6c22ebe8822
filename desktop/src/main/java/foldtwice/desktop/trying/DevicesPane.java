package foldtwice.desktop.trying;

import foldtwice.desktop.parts.ChipRow;
import foldtwice.desktop.parts.DeviceView;
import foldtwice.desktop.parts.Faces;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.PadHand;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.place.Place;
import foldtwice.surface.Device;
import foldtwice.surface.Page;
import foldtwice.trigger.Trigger;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** The keyboard of the station and the devices that are plugged in, one in view. */
final class DevicesPane extends VBox {

  private static final double KEY = 64;
  private static final double ROW = 41;

  /** What so few keys do is listed beside them. */
  private static final int FEW = 6;

  private final KeyboardView keyboard;
  private final Function<Device, Page> pages;
  private final HBox names = new HBox(6);
  private final StackPane holder = new StackPane();
  private final Label page = Parts.label("", "strong");
  private final DeviceView view;
  private final VBox legend = new VBox(4);
  private final HBox board;
  private String open = "";
  private Snapshot now;
  private Place place;

  /**
   * A pane with the keyboard in view.
   *
   * @param pages the page a device shows
   */
  DevicesPane(KeyboardView keyboard, Function<Device, Page> pages, PadHand listener) {
    this.keyboard = keyboard;
    this.pages = pages;
    this.view =
        new DeviceView(
            KEY,
            ROW,
            new DeviceView.Listener() {
              @Override
              public void key(String key, Trigger.Duration way) {
                inView().ifPresent(d -> listener.key(d, key, way));
              }

              @Override
              public boolean down(String key) {
                return inView().filter(d -> listener.down(d, key)).isPresent();
              }

              @Override
              public void up() {
                listener.up();
              }

              @Override
              public void dial(String dial, Trigger.Turn turn) {
                inView().ifPresent(d -> listener.dial(d, dial, turn));
              }
            });
    board = new HBox(24, view, legend);
    setSpacing(6);
    names.setAlignment(Pos.CENTER_LEFT);
    page.setId("device-page");
    holder.setAlignment(Pos.TOP_LEFT);
    legend.setId("device-legend");
    HBox.setHgrow(legend, javafx.scene.layout.Priority.ALWAYS);
    getChildren().addAll(names, holder);
  }

  void show(Snapshot now, Place place) {
    this.now = now;
    this.place = place;
    if (!open.isEmpty() && inView().isEmpty()) {
      open = "";
    }
    offer();
    keyboard.show(now.keymap(), place);
    draw();
  }

  /** Brings a device into view; the keyboard with an empty id. */
  void open(String device) {
    open = device;
    offer();
    draw();
  }

  private Optional<Device> inView() {
    return now.library().device(open).filter(d -> now.station().devices().contains(d.id()));
  }

  private void offer() {
    String layout = now.station().layout().toUpperCase(Locale.ROOT);
    Map<String, String> offered = new LinkedHashMap<>();
    Map<String, String> devices = new HashMap<>();
    offered.put(named(""), Ui.text("try.keyboard", layout + ", " + now.station().shape()));
    devices.put(named(""), "");
    for (String id : now.station().devices()) {
      now.library().device(id).ifPresent(d -> offered.put(named(id), d.name()));
      devices.put(named(id), id);
    }
    ChipRow.show(
        names,
        offered,
        named(open),
        chip -> {
          open = devices.get(chip);
          draw();
        },
        page);
  }

  private static String named(String device) {
    return "device-" + (device.isEmpty() ? "keyboard" : device);
  }

  /** What its dials do here, and its keys when they are held. */
  private void legend(Device device, Page shows, Faces faces) {
    legend.getChildren().clear();
    for (Device.Knob knob : device.dials()) {
      legend.getChildren().add(says(knob.label(), faces.dial(device, shows, knob.id())));
    }
    for (Device.Cap cap : device.keys()) {
      faces
          .held(device, shows, cap.id())
          .ifPresent(
              does -> {
                String label = shows.face(cap.id()).label();
                String name = label.isEmpty() ? cap.label() : label;
                legend.getChildren().add(says(Ui.text("device.held", name), does));
              });
    }
    if (device.keys().size() <= FEW) {
      for (Device.Cap cap : device.keys()) {
        DeviceView.Shown shown = faces.of(device, shows, cap.id());
        legend.getChildren().add(says(cap.label(), shown.says()));
      }
    }
    String hint = device.dials().isEmpty() ? "device.hint.keys" : "device.hint";
    legend.getChildren().add(Parts.wrapped(Ui.text(hint), "soft"));
  }

  private static HBox says(String name, String does) {
    HBox row = Parts.fact(name, Parts.wrapped(does));
    row.getStyleClass().add("small-text");
    return row;
  }

  /** In view, unless it is: what is taken out and put back loses the key that is down on it. */
  private void show(Node node) {
    if (!holder.getChildren().equals(List.of(node))) {
      holder.getChildren().setAll(node);
    }
  }

  private void draw() {
    Optional<Device> device = inView();
    if (device.isEmpty()) {
      page.setText("");
      show(keyboard);
      return;
    }
    Page shows = pages.apply(device.get());
    page.setText(shows.name().isEmpty() ? "" : Ui.text("device.pagenow", shows.name()));
    Faces faces = new Faces(now, place);
    view.show(device.get(), shows, id -> faces.of(device.get(), shows, id));
    legend(device.get(), shows, faces);
    show(board);
  }
}
