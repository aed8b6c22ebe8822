package foldtwice.desktop.bind;

import foldtwice.binding.Pattern;
import foldtwice.desktop.parts.KeysField;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Ui;
import foldtwice.surface.Device;
import foldtwice.surface.Page;
import foldtwice.trigger.Key;
import foldtwice.trigger.Keysym;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** How a family is laid out on the keys. */
final class FamilyPattern extends Leaf {

  static final Stroke ALT_1 =
      new Stroke(Modifiers.of(Modifier.ALT), new Key.Making(Keysym.of('1')));

  private enum Kind {
    NEIGHBOURS,
    PAIRS,
    INITIALS,
    STEPS,
    PADKEYS
  }

  /** A page of a device. */
  private record On(Device device, Page page) {}

  private final Session session;
  private final Runnable onChanged;
  private final Map<Kind, ToggleButton> chips;
  private final VBox fields = new VBox(8);
  private final KeysField first;
  private final KeysField second;
  private final KeysField before;
  private final ComboBox<String> held = new ComboBox<>();
  private final ComboBox<String> device = new ComboBox<>();
  private final ComboBox<String> key = new ComboBox<>();
  private final ComboBox<Integer> repeat = new ComboBox<>();
  private final Map<String, Modifiers> choices = FamilyView.heldChoices();
  private final Map<String, On> pages = new LinkedHashMap<>();
  private Kind kind = Kind.NEIGHBOURS;
  private boolean filling;

  /** What was shown before anybody said otherwise here. */
  private Pattern opened = new Pattern.Neighbours(ALT_1);

  private int openedRepeats;

  FamilyPattern(Session session, Runnable onChanged) {
    super("leaf-pattern", Ui.text("family.laid"));
    this.session = session;
    this.onChanged = onChanged;
    first = keys("family-first", 1);
    second = keys("family-second", 1);
    before = keys("family-before", 5);
    chips = Parts.chips(Kind.class, "family-", k -> Ui.text("family." + k), this::choose);
    FlowPane kinds = new FlowPane(5, 5);
    kinds.getChildren().setAll(chips.values());
    held.setId("family-held");
    held.getItems().setAll(choices.keySet());
    Parts.onChosen(held, this::changed);
    device.setId("family-device");
    device.setMaxWidth(Double.MAX_VALUE);
    Parts.onChosen(device, this::devicesKeys);
    key.setId("family-key");
    Parts.onChosen(key, this::changed);
    repeat.setId("family-repeat");
    repeat.getItems().setAll(WhereRows.RATES);
    Parts.shows(repeat, WhereRows::rate);
    Parts.onChosen(repeat, this::changed);
    body(kinds, fields);
  }

  private KeysField keys(String id, int strokes) {
    KeysField field =
        new KeysField(id, () -> session.now().keymap().layout(), () -> strokes, k -> {});
    field.onTyped(this::changed);
    return field;
  }

  private void choose(Kind other) {
    kind = other;
    layOut();
    changed();
  }

  private void changed() {
    if (!filling) {
      onChanged.run();
    }
  }

  /** Shows a pattern, and how many times a second its members fire while their key is down. */
  void open(Pattern pattern, int repeats) {
    opened = pattern;
    openedRepeats = repeats;
    filling = true;
    pages.clear();
    pages.putAll(pages());
    device.getItems().setAll(pages.keySet());
    repeat.setValue(repeats);
    List.of(first, second, before).forEach(KeysField::clear);
    held.setValue(choices.keySet().iterator().next());
    switch (pattern) {
      case Pattern.Neighbours(Stroke stroke) -> {
        kind = Kind.NEIGHBOURS;
        first.set(Trigger.Keys.of(stroke));
      }
      case Pattern.Pairs(Stroke stroke, Modifiers recall) -> {
        kind = Kind.PAIRS;
        first.set(Trigger.Keys.of(stroke));
        held(recall);
      }
      case Pattern.Initials(List<Stroke> strokes, Modifiers modifiers) -> {
        kind = Kind.INITIALS;
        if (!strokes.isEmpty()) {
          before.set(new Trigger.Keys(strokes));
        }
        held(modifiers);
      }
      case Pattern.Steps(Stroke up, Stroke down, Modifiers coarse) -> {
        kind = Kind.STEPS;
        first.set(Trigger.Keys.of(up));
        second.set(Trigger.Keys.of(down));
        held(coarse);
      }
      case Pattern.PadKeys(String id, String page, String from) -> {
        kind = Kind.PADKEYS;
        on(id, page, from);
      }
    }
    chips.get(kind).setSelected(true);
    layOut();
    filling = false;
  }

  /** Shows what has become of the pattern meanwhile; what is being said about it stays. */
  void follow(Pattern now, int repeats) {
    boolean isAsOpened =
        pattern().equals(Optional.of(opened)) && (!isSteps() || repeats() == openedRepeats);
    if (isAsOpened && !(now.equals(opened) && repeats == openedRepeats)) {
      open(now, repeats);
    } else {
      followDevices();
    }
  }

  private void followDevices() {
    Map<String, On> now = pages();
    if (now.equals(pages)) {
      return;
    }
    Optional<On> was = Optional.ofNullable(pages.get(device.getValue()));
    String from = key.getValue();
    filling = true;
    pages.clear();
    pages.putAll(now);
    device.getItems().setAll(pages.keySet());
    was.ifPresent(on -> on(on.device().id(), on.page().id(), from));
    filling = false;
  }

  /** Chooses a page of a device, where there is such a one, and the key that is the first. */
  private void on(String id, String page, String from) {
    pages.forEach(
        (name, on) -> {
          if (on.device().id().equals(id) && on.page().id().equals(page)) {
            device.setValue(name);
            devicesKeys();
            key.setValue(from);
          }
        });
  }

  private void held(Modifiers modifiers) {
    choices.forEach(
        (word, m) -> {
          if (m.equals(modifiers)) {
            held.setValue(word);
          }
        });
  }

  /** The pages of all devices, by what they are called. */
  private Map<String, On> pages() {
    Map<String, On> all = new LinkedHashMap<>();
    for (Device d : session.now().library().devices()) {
      for (Page p : d.pages()) {
        all.put(
            p.name().isEmpty() ? d.name() : Ui.text("picker.page", d.name(), p.name()),
            new On(d, p));
      }
    }
    return all;
  }

  private void devicesKeys() {
    On on = pages.get(device.getValue());
    if (on != null) {
      key.getItems().setAll(on.device().keys().stream().map(Device.Cap::id).toList());
      if (!key.getItems().contains(key.getValue()) && !key.getItems().isEmpty()) {
        key.setValue(key.getItems().getFirst());
      }
      changed();
    }
  }

  private void layOut() {
    fields
        .getChildren()
        .setAll(
            switch (kind) {
              case NEIGHBOURS -> List.of(hint(), Parts.field(Ui.text("family.first"), first));
              case PAIRS ->
                  List.of(
                      hint(),
                      Parts.field(Ui.text("family.first"), first),
                      Parts.field(Ui.text("family.recall"), held));
              case INITIALS ->
                  List.of(
                      hint(),
                      Parts.field(Ui.text("family.before"), before),
                      Parts.field(Ui.text("family.with"), held));
              case STEPS ->
                  List.of(
                      hint(),
                      Parts.field(Ui.text("family.up"), first),
                      Parts.field(Ui.text("family.down"), second),
                      Parts.field(Ui.text("family.coarse"), held),
                      Parts.field(Ui.text("family.repeats"), repeat));
              case PADKEYS ->
                  List.of(
                      hint(),
                      Parts.field(Ui.text("family.on"), device),
                      Parts.field(Ui.text("family.from"), key));
            });
  }

  private Node hint() {
    return Parts.wrapped(Ui.text("family.hint." + kind), "soft");
  }

  boolean isSteps() {
    return kind == Kind.STEPS;
  }

  /** How many times a second a member fires while its key is down. */
  int repeats() {
    return kind == Kind.STEPS && repeat.getValue() != null ? repeat.getValue() : 0;
  }

  /** What is laid out; empty while a key for it is missing. */
  Optional<Pattern> pattern() {
    Modifiers with = choices.getOrDefault(held.getValue(), Modifiers.NONE);
    Optional<Stroke> from = first.keys().map(k -> k.strokes().getFirst());
    return switch (kind) {
      case NEIGHBOURS -> from.map(Pattern.Neighbours::new);
      case PAIRS ->
          from.filter(f -> !f.modifiers().equals(with)).map(f -> new Pattern.Pairs(f, with));
      case INITIALS -> {
        List<Stroke> strokes = before.keys().map(Trigger.Keys::strokes).orElse(List.of());
        yield strokes.size() < Trigger.Keys.MOST_STROKES
            ? Optional.of(new Pattern.Initials(strokes, with))
            : Optional.empty();
      }
      case STEPS ->
          from.filter(f -> !with.isEmpty())
              .flatMap(
                  f -> second.keys().map(k -> new Pattern.Steps(f, k.strokes().getFirst(), with)));
      case PADKEYS ->
          Optional.ofNullable(pages.get(device.getValue()))
              .filter(on -> key.getValue() != null)
              .map(on -> new Pattern.PadKeys(on.device().id(), on.page().id(), key.getValue()));
    };
  }
}
