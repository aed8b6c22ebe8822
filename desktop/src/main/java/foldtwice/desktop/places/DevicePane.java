package foldtwice.desktop.places;

import foldtwice.binding.Binding;
import foldtwice.desktop.parts.DeviceView;
import foldtwice.desktop.parts.GiveForm;
import foldtwice.desktop.parts.KeysField;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Background.Lane;
import foldtwice.desktop.session.Question;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Edit;
import foldtwice.library.Pages;
import foldtwice.place.Place;
import foldtwice.suggest.Suggestions;
import foldtwice.surface.Device;
import foldtwice.surface.Face;
import foldtwice.surface.Page;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** A device: its pages, and for each key what it shows, does of itself, and is bound to. */
final class DevicePane extends VBox {

  private static final int POOL = 4;

  private final Session session;
  private final Question<List<Trigger.Keys>> poolQuestion;
  private final TextField name = Skins.on(new TextField());
  private final FlowPane pages = new FlowPane(5, 5);
  private final TextField pageName = Skins.on(new TextField());
  private final VBox picture = new VBox();
  private final Label of = Parts.label("", "heading");
  private final FaceForm face;
  private final GiveForm give;
  private final KeysField sends;
  private final FlowPane pool = new FlowPane(5, 4);
  private final ComboBox<Page> turns = new ComboBox<>();
  private final Button alone;
  private final VBox itself;
  private Device device;
  private String page = "";
  private String key = "";
  private boolean filling;
  private List<Object> shownSending = List.of();

  DevicePane(Session session) {
    super(10);
    this.session = session;
    poolQuestion = session.background().question(Lane.WORK, this::showPool);
    setId("device-pane");
    getStyleClass().add("collect-middle");
    name.setId("device-name");
    name.setAccessibleText(Ui.text("names.device"));
    name.getStyleClass().add("title-field");
    Parts.onKept(name, this::rename);
    pageName.setId("page-name");
    pageName.setAccessibleText(Ui.text("names.page"));
    pageName.setPrefColumnCount(12);
    Parts.onKept(pageName, this::renamePage);
    face = new FaceForm(session, this::face);
    give = new GiveForm(session);
    sends =
        new KeysField(
            "device-sends",
            () -> session.now().keymap().layout(),
            () -> 1,
            k -> itself(Optional.of(new Page.Sends.Chord(k))));
    pool.setId("device-pool");
    pool.setPrefWrapLength(620);
    turns.setId("device-turns");
    Parts.shows(turns, p -> p.name().isEmpty() ? p.id() : p.name());
    Parts.onChosen(
        turns,
        () -> {
          if (!filling && turns.getValue() != null) {
            itself(Optional.of(new Page.Sends.Turn(turns.getValue().id())));
          }
        });
    alone = Parts.button("device-alone", Ui.text("device.alone"), () -> itself(Optional.empty()));
    itself =
        new VBox(
            6,
            Parts.fact(Ui.text("device.types"), sends),
            Parts.fact(Ui.text("device.pool"), pool),
            Parts.fact(Ui.text("device.turnsto"), turns),
            alone);
    HBox named =
        new HBox(
            8,
            Parts.label(Ui.text("device.page"), "soft"),
            pageName,
            Parts.button("page-remove", Ui.text("device.nopage"), this::removePage, "link"));
    named.setAlignment(Pos.CENTER_LEFT);
    getChildren()
        .addAll(
            name,
            pages,
            named,
            picture,
            of,
            give,
            itself,
            face,
            Parts.button("surface-remove", Ui.text("surface.remove"), this::remove, "link"));
  }

  void show(Snapshot now, Device shown) {
    filling = true;
    if (device == null || !device.id().equals(shown.id())) {
      page = shown.firstPage().id();
      key = shown.keys().isEmpty() ? "" : shown.keys().getFirst().id();
    }
    device = shown;
    Page inView = page();
    page = inView.id();
    Parts.renew(name, shown.name());
    Parts.renew(pageName, inView.name());
    pages(inView);
    DeviceView view =
        new DeviceView(
            64,
            41,
            new DeviceView.Listener() {
              @Override
              public void key(String id, Trigger.Duration way) {
                key = id;
                show(session.now(), device);
              }

              @Override
              public void dial(String dial, Trigger.Turn turn) {} // its turns are bound in Bind
            });
    view.show(shown, inView, id -> face(now, inView, id));
    Optional.ofNullable(view.lookup("#pad-" + key)).ifPresent(k -> k.getStyleClass().add("taken"));
    boolean had = Parts.hasKeys(picture);
    picture.getChildren().setAll(view);
    if (had && view.lookup("#pad-" + key) != null) {
      view.lookup("#pad-" + key).requestFocus();
    }
    showKey(now, inView);
    filling = false;
  }

  /** What a key shows here: what is bound to it anywhere counts. */
  private DeviceView.Shown face(Snapshot now, Page inView, String id) {
    Face shows = inView.face(id);
    String bound =
        now.library().bindings().values().stream()
            .filter(b -> b.triggers().stream().anyMatch(t -> isOn(t, inView, id)))
            .map(b -> now.words().binding(b))
            .collect(Collectors.joining("; "));
    Optional<Page.Sends> does = inView.sends(id);
    String says =
        does.map(
                s ->
                    switch (s) {
                      case Page.Sends.Chord(Trigger.Keys keys) ->
                          Ui.text("device.sends", now.words().trigger(keys));
                      case Page.Sends.Turn(String to) ->
                          Ui.text("device.turns", device.page(to).map(Page::name).orElse(to));
                    })
            .orElse(bound.isEmpty() ? Ui.text("device.free") : bound);
    String text = shows.label();
    if (text.isEmpty()) {
      text = device.key(id).map(Device.Cap::label).orElse("");
    }
    DeviceView.Part part =
        does.isPresent()
            ? DeviceView.Part.SENDS
            : bound.isEmpty() ? DeviceView.Part.FREE : DeviceView.Part.YOURS;
    return new DeviceView.Shown(text, says, part, shows);
  }

  private boolean isOn(Trigger trigger, Page inView, String id) {
    return trigger instanceof Trigger.PadKey p
        && p.device().equals(device.id())
        && p.page().equals(inView.id())
        && p.key().equals(id);
  }

  private void showKey(Snapshot now, Page inView) {
    Optional<Device.Cap> cap = device.key(key);
    List.of(of, give, itself, face).forEach(n -> n.setVisible(cap.isPresent()));
    if (cap.isEmpty()) {
      return;
    }
    of.setText(Ui.text("device.key", cap.get().label().isEmpty() ? key : cap.get().label()));
    give.show(now, new Trigger.PadKey(device.id(), inView.id(), key, Trigger.Duration.TAP), "");
    face.show(inView.face(key));
    Optional<Page.Sends> does = inView.sends(key);
    List<Object> sending = List.of(device.id(), device.pages(), inView.id(), key, does);
    if (!sending.equals(shownSending)) { // what is being typed or pressed stays
      shownSending = sending;
      sends.clear();
      turns.getItems().setAll(device.pages());
      turns.setValue(null);
      switch (does.orElse(null)) {
        case Page.Sends.Chord(Trigger.Keys keys) -> sends.set(keys);
        case Page.Sends.Turn(String to) -> turns.setValue(device.page(to).orElse(null));
        case null -> {}
      }
    }
    alone.setDisable(does.isEmpty());
    pool(now);
  }

  /** Free chords that only devices send, to be taken with a click. */
  private void pool(Snapshot now) {
    Binding nobody = Binding.fresh("", "", new Place.Everywhere(), List.of(), Map.of());
    poolQuestion.ask(
        List.of(device.id(), page, key, new Question.Same(now.library())),
        () -> {
          List<Trigger.Keys> sent = sent(now);
          return Suggestions.forDevices(
                  now.library(), now.stations(Optional.empty()).keymaps(), nobody, 48)
              .stream()
              .filter(t -> !sent.contains(t))
              .limit(POOL)
              .toList();
        });
  }

  private void showPool(List<Trigger.Keys> free) {
    pool.getChildren().clear();
    for (Trigger.Keys t : free) {
      pool.getChildren()
          .add(
              Parts.button(
                  "pool-" + pool.getChildren().size(),
                  session.now().words().trigger(t),
                  () -> itself(Optional.of(new Page.Sends.Chord(t))),
                  "small-make"));
    }
  }

  /** What devices send already. */
  private static List<Trigger.Keys> sent(Snapshot now) {
    List<Trigger.Keys> all = new ArrayList<>();
    for (Device d : now.library().devices()) {
      for (Page p : d.pages()) {
        for (Page.Sends s : p.sends().values()) {
          if (s instanceof Page.Sends.Chord(Trigger.Keys keys)) {
            all.add(keys);
          }
        }
      }
    }
    return all;
  }

  private Page page() {
    return device.page(page).orElse(device.firstPage());
  }

  private void pages(Page inView) {
    if (Parts.hasKeys(pages)) {
      name.requestFocus(); // what had the keys is gone now
    }
    pages.getChildren().clear();
    ToggleGroup group = new ToggleGroup();
    for (Page p : device.pages()) {
      ToggleButton chip = Skins.on(new ToggleButton(p.name().isEmpty() ? p.id() : p.name()));
      chip.setId("page-" + p.id());
      chip.setAccessibleText(p.name().isEmpty() ? Ui.text("device.page") : p.name());
      chip.getStyleClass().addAll("chip", "small-chip");
      chip.setToggleGroup(group);
      chip.setSelected(p.id().equals(inView.id()));
      chip.setOnAction(
          e -> {
            page = p.id();
            show(session.now(), device);
          });
      pages.getChildren().add(chip);
    }
    pages
        .getChildren()
        .add(Parts.button("page-add", Ui.text("device.addpage"), this::addPage, "link"));
  }

  private void addPage() {
    Page fresh = Pages.fresh(device, Ui.text("device.newpage", device.pages().size() + 1));
    page = fresh.id();
    put(Pages.with(device, fresh));
  }

  private void removePage() {
    Optional<Device> rest = Pages.without(device, page);
    if (rest.isEmpty()) {
      session.say(Ui.text("device.lastpage"));
    } else {
      page = rest.get().firstPage().id();
      put(rest.get());
    }
  }

  private void renamePage() {
    Page now = page();
    String named = pageName.getText().strip();
    if (!filling && !named.equals(now.name())) {
      put(device.with(new Page(now.id(), named, now.colour(), now.faces(), now.sends())));
    }
  }

  private void rename() {
    String named = name.getText().strip();
    if (!filling && !named.isEmpty()) {
      put(device.named(named));
    }
  }

  private void face(Face shows) {
    put(device.with(page().showing(key, shows)));
  }

  private void itself(Optional<Page.Sends> does) {
    if (!filling) {
      put(device.with(page().sending(key, does)));
    }
  }

  private void put(Device next) {
    if (!next.equals(device)) {
      session.make(new Edit.PutSurface(next), Ui.text("said.changed", next.name()));
    }
  }

  private void remove() {
    session.make(new Edit.RemoveSurface(device.id()), Ui.text("said.removed", device.name()));
  }
}
