package foldtwice.desktop.atlas;

import foldtwice.atlas.Troubles;
import foldtwice.binding.Binding;
import foldtwice.conflict.Conflict;
import foldtwice.desktop.parts.Contents;
import foldtwice.desktop.parts.GiveForm;
import foldtwice.desktop.parts.KeyCaps;
import foldtwice.desktop.parts.Marks;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Refill;
import foldtwice.desktop.parts.Tips;
import foldtwice.desktop.parts.WhyRows;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.place.Place;
import foldtwice.place.Station;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Explanation;
import foldtwice.resolve.Outcome;
import foldtwice.resolve.Owner;
import foldtwice.resolve.Resolver;
import foldtwice.suggest.Reach;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Layout;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Press;
import foldtwice.trigger.Signal;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import foldtwice.words.Legends;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The chosen key's whole story. */
final class StoryPane extends VBox {

  /** Which modifiers the pages of the atlas are for, and the layers of a key are told with. */
  static final List<Modifiers> LAYERS =
      List.of(
          Modifiers.NONE,
          Modifiers.of(Modifier.SHIFT),
          Modifiers.of(Modifier.CTRL),
          Modifiers.of(Modifier.ALT),
          Modifiers.of(Modifier.CTRL, Modifier.SHIFT),
          Modifiers.of(Modifier.CTRL, Modifier.ALT),
          Modifiers.of(Modifier.ALT, Modifier.SHIFT),
          Modifiers.of(Modifier.ALTGR),
          Modifiers.of(Modifier.LOGO));

  private final Consumer<String> toBinding;
  private final Consumer<Conflict> toConflict;
  private final GiveForm give;
  private final VBox told = new VBox(7);
  private final Contents story = new Contents(told);
  private final VBox why = new VBox();
  private final FlowPane free = new FlowPane(5, 5);
  private final VBox layers = new VBox();
  private final Consumer<Press> onPress;

  StoryPane(
      Session session,
      Consumer<String> toBinding,
      Consumer<Conflict> toConflict,
      Consumer<Press> onPress) {
    super(9);
    this.toBinding = toBinding;
    this.toConflict = toConflict;
    this.onPress = onPress;
    setId("story");
    getStyleClass().add("story");
    give = new GiveForm(session);
    give.setId("atlas-give");
    free.setId("atlas-free");
    layers.setId("atlas-layers");
    getChildren()
        .addAll(
            told,
            Parts.label(Ui.text("story.give"), "heading"),
            give,
            Parts.label(Ui.text("story.free"), "heading"),
            free,
            Parts.label(Ui.text("story.layers"), "heading"),
            layers);
  }

  /**
   * Tells of a press.
   *
   * @param state empty for all places at once
   * @param before strokes made before it
   */
  void show(
      Snapshot now, Troubles troubles, Optional<Place> state, List<Signal> before, Press press) {
    Layout layout = now.keymap().layout();
    List<Signal> presses = new ArrayList<>(before);
    presses.add(press);
    Trigger.Keys trigger = trigger(layout, presses);
    story.add(
        List.of(trigger, now.words().trigger(trigger)),
        () -> new HBox(KeyCaps.of(trigger, now.words()).large()));
    say(state.map(now.words()::place).orElse(Ui.text("story.everywhere")), "soft");
    state.ifPresent(s -> inOne(now, troubles, s, presses));
    if (state.isEmpty()) {
      inAll(now, trigger);
    } else {
      elsewhere(now, trigger, state.get());
    }
    otherLayouts(now, press);
    double far = Reach.millimetres(now.station().shape(), press.code());
    if (far >= 0) {
      fact(
          Ui.text("story.reach"),
          Ui.text(
              Reach.isRight(now.station().shape(), press.code()) ? "story.right" : "story.left",
              Math.round(far)));
    }
    story.show();
    give.show(now, trigger, state.flatMap(Place::applicationId).orElse(""));
    layers(now, state, press.code());
    freeNear(now, state, press);
  }

  /** As a person would say it: each stroke by the character it makes. */
  static Trigger.Keys trigger(Layout layout, List<Signal> presses) {
    List<Stroke> strokes =
        presses.stream().flatMap(s -> s.asPress().stream()).map(layout::stroke).toList();
    return new Trigger.Keys(strokes);
  }

  private void inOne(Snapshot now, Troubles troubles, Place state, List<Signal> presses) {
    story.add(why, () -> why);
    WhyRows.layers(
        why, Explanation.of(now.keymap(), state, presses), now.words(), now.keymap().layout());
    List<Claim> heard = now.keymap().heard(state, presses);
    heard.stream()
        .flatMap(
            c ->
                c.owner() instanceof Owner.Yours(String id)
                    ? Optional.ofNullable(now.library().bindings().get(id)).stream()
                    : java.util.stream.Stream.<Binding>empty())
        .distinct()
        .limit(3)
        .forEach(b -> leads(b.id(), now.words().binding(b)));
    troubles.of(heard, Optional.of(state)).stream()
        .sorted(java.util.Comparator.comparing(Conflict::weight))
        .limit(4)
        .forEach(
            c -> {
              String brief = now.words().brief(c);
              story.add(List.of(c, brief), () -> trouble(c, brief));
            });
  }

  private void leads(String binding, String says) {
    story.add(
        List.of("to", binding, says),
        () -> Parts.button("story-to-" + binding, says, () -> toBinding.accept(binding), "link"));
  }

  private HBox trouble(Conflict c, String brief) {
    Label says = Parts.wrapped(brief, Marks.style(c.weight()));
    HBox.setHgrow(says, Priority.ALWAYS);
    HBox row =
        new HBox(
            7,
            Marks.of(c.weight()),
            says,
            Parts.button(
                "story-conflict", Ui.text("story.toconflict"), () -> toConflict.accept(c), "link"));
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  private void inAll(Snapshot now, Trigger trigger) {
    Map<String, List<String>> by = new LinkedHashMap<>();
    for (Claim c : now.keymap().claimsOn(trigger)) {
      by.computeIfAbsent(program(now, c), p -> new ArrayList<>()).add(now.words().owner(c.owner()));
    }
    by.forEach((p, some) -> fact(p, some.stream().distinct().collect(Collectors.joining(", "))));
    if (by.isEmpty()) {
      say(Ui.text("story.nowhere"), "good");
    }
  }

  private static String program(Snapshot now, Claim c) {
    return c.place()
        .applicationId()
        .map(id -> now.words().place(new Place.Whole(id)))
        .orElse(now.words().place(c.place()));
  }

  private void elsewhere(Snapshot now, Trigger trigger, Place state) {
    Map<String, Set<String>> by = new LinkedHashMap<>();
    for (Claim c : now.keymap().claimsOn(trigger)) {
      if (!c.place().applicationId().equals(state.applicationId())
          && c.place().applicationId().isPresent()) {
        by.computeIfAbsent(program(now, c), p -> new java.util.LinkedHashSet<>())
            .add(now.words().owner(c.owner()));
      }
    }
    if (!by.isEmpty()) {
      fact(
          Ui.text("story.elsewhere"),
          by.entrySet().stream()
              .map(e -> e.getKey() + ": " + String.join(", ", e.getValue()))
              .collect(Collectors.joining("\n")));
    }
  }

  /** What the same press types on the layouts of the other stations, where it differs. */
  private void otherLayouts(Snapshot now, Press press) {
    String here = now.keymap().layout().types(press).orElse("");
    List<String> others = new ArrayList<>();
    now.library().stations().values().stream()
        .map(Station::keys)
        .filter(l -> !l.types(press).orElse("").equals(here))
        .map(
            l -> {
              String there = l.types(press).orElse("");
              return Ui.text(
                  there.isEmpty() ? "story.typesnot" : "story.types",
                  l.id().toUpperCase(java.util.Locale.ROOT),
                  there);
            })
        .distinct()
        .forEach(others::add);
    if (!others.isEmpty()) {
      fact(Ui.text("story.layouts"), String.join(", ", others));
    }
  }

  private void layers(Snapshot now, Optional<Place> state, KeyCode code) {
    List<Layer> all = new ArrayList<>();
    for (Modifiers m : LAYERS) {
      Press press = new Press(code, m);
      all.add(
          new Layer(
              press,
              now.words().trigger(Trigger.Keys.of(now.keymap().layout().stroke(press))),
              state.map(s -> does(now, s, press)).orElseGet(() -> anywhere(now, press))));
    }
    Refill.with(layers, all, () -> all.stream().map(this::row).toList());
  }

  /** What a key does with some modifiers held. */
  private record Layer(Press press, String name, String does) {}

  private HBox row(Layer layer) {
    Label name = Parts.label(layer.name, "mono");
    name.setMinWidth(118);
    Label says = Parts.label(layer.does);
    Tips.on(says, layer.does);
    HBox row = new HBox(8, name, says);
    row.getStyleClass().add("why-row");
    Parts.leads(row, layer.name + ": " + layer.does, () -> onPress.accept(layer.press));
    return row;
  }

  private static String does(Snapshot now, Place state, Press press) {
    Outcome outcome =
        new Resolver(now.keymap()).press(Resolver.start(state), press, 0).outcomes().getFirst();
    return outcome instanceof Outcome.Unclaimed
        ? Ui.text("story.isfree")
        : now.words().outcome(outcome);
  }

  private static String anywhere(Snapshot now, Press press) {
    Trigger trigger = Trigger.Keys.of(now.keymap().layout().stroke(press));
    long programs =
        now.keymap().claimsOn(trigger).stream().map(c -> program(now, c)).distinct().count();
    return programs == 0 ? Ui.text("story.isfree") : Ui.text("atlas.programs", programs);
  }

  /** The nearest keys that are free with the same modifiers. */
  private void freeNear(Snapshot now, Optional<Place> state, Press press) {
    Map<Press, String> near = new LinkedHashMap<>();
    state.ifPresent(
        s ->
            Reach.nearest(now.station().shape(), press.code()).stream()
                .map(code -> new Press(code, press.held()))
                .filter(p -> now.keymap().heard(s, List.of(p)).isEmpty())
                .filter(p -> !now.keymap().layout().stroke(p).key().toString().isEmpty())
                .limit(7)
                .forEach(p -> near.put(p, Legends.of(now.keymap().layout(), p.code()))));
    Refill.with(
        free,
        near,
        () ->
            near.isEmpty()
                ? List.of(Parts.label(Ui.text("story.nonefree"), "soft"))
                : near.entrySet().stream().map(e -> cap(e.getKey(), e.getValue())).toList());
  }

  private Button cap(Press press, String legend) {
    return Parts.button(
        "free-" + press.code().code(), legend, () -> onPress.accept(press), "cap-button");
  }

  private void say(String text, String style) {
    story.add(List.of(text, style), () -> Parts.wrapped(text, style));
  }

  private void fact(String name, String says) {
    story.add(
        List.of("fact", name, says),
        () -> {
          HBox row = Parts.fact(name, Parts.wrapped(says));
          row.getStyleClass().add("why-row");
          return row;
        });
  }
}
