package foldtwice.desktop.bind;

import foldtwice.binding.Binding;
import foldtwice.conflict.Advice;
import foldtwice.conflict.ConflictKind;
import foldtwice.conflict.Weight;
import foldtwice.desktop.parts.Capture;
import foldtwice.desktop.parts.KeyCaps;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.OwnKeys;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Edit;
import foldtwice.library.Resetting;
import foldtwice.place.Application;
import foldtwice.place.Place;
import foldtwice.place.WayIn;
import foldtwice.resolve.Afterwards;
import foldtwice.trigger.Layout;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Notation;
import foldtwice.trigger.NotationException;
import foldtwice.trigger.Press;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.beans.binding.Bindings;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** What sets a binding off: its triggers and its place, with advice before anything is taken. */
final class SetsLeaf extends Leaf implements Capture.Listener {

  private static final double TOP = 66;

  private final Session session;
  private final Runnable onNext;
  private final Capture capture;
  private final AdvicePanel advice;
  private final Button press;
  private final VBox top =
      new VBox(6) {
        @Override
        protected double computeMinHeight(double width) {
          return Math.max(
              TOP, computePrefHeight(width)); // never squeezed, and steady while capturing
        }
      };
  private final ComboBox<Place> where = new ComboBox<>();
  private final ComboBox<WayIn> ways = new ComboBox<>();
  private Binding binding;
  private int index;
  private boolean adding;
  private boolean filling;

  /** True while the stroke that is read is one to be held. */
  private boolean holding;

  /**
   * Empty.
   *
   * @param onNext goes to the next binding without a trigger
   */
  SetsLeaf(Session session, Runnable onNext) {
    this(session, onNext, new Button(Ui.text("sets.press")));
  }

  private SetsLeaf(Session session, Runnable onNext, Button press) {
    super("leaf-sets", Ui.text("leaf.sets"), press);
    this.session = session;
    this.onNext = onNext;
    this.press = press;
    this.advice = new AdvicePanel(session, this::offer);
    this.capture = new Capture(() -> session.now().keymap().layout(), this::mostStrokes, this);
    press.setId("press-keys");
    press.setTooltip(new Tooltip(OwnKeys.PRESS_KEYS.keys()));
    press.setOnAction(e -> toggle());
    press.setMinWidth(USE_PREF_SIZE);
    where.setId("where");
    where.setAccessibleText(Ui.text("sets.where"));
    where.setMaxWidth(Double.MAX_VALUE);
    Parts.shows(where, place -> session.now().library().nameOf(place));
    Parts.onChosen(where, this::chooseWhere);
    HBox whereRow = Parts.fact(Ui.text("sets.where"), where);
    HBox.setHgrow(where, Priority.ALWAYS);
    whereRow.setAlignment(Pos.CENTER_LEFT);
    ways.setId("way");
    ways.setAccessibleText(Ui.text("sets.way"));
    ways.setMaxWidth(Double.MAX_VALUE);
    Parts.shows(ways, way -> way.name());
    Parts.onChosen(ways, this::chooseWay);
    HBox wayRow = Parts.fact(Ui.text("sets.way"), ways);
    HBox.setHgrow(ways, Priority.ALWAYS);
    wayRow.setAlignment(Pos.CENTER_LEFT);
    wayRow.visibleProperty().bind(Bindings.size(ways.getItems()).greaterThan(1));
    wayRow.managedProperty().bind(wayRow.visibleProperty());
    body(top, whereRow, wayRow, advice);
  }

  void show(Snapshot now, Binding b) {
    boolean other = binding == null || !binding.id().equals(b.id());
    boolean changed = other || !binding.equals(b);
    binding = b;
    if (other) {
      index = 0;
    }
    index = Math.clamp(index, 0, Math.max(0, b.triggers().size() - 1));
    filling = true;
    where.getItems().setAll(now.library().places());
    where.setValue(b.place());
    ways.getItems().setAll(application().map(Application::ways).orElse(List.of()));
    ways.setValue(application().flatMap(a -> a.way(b.fitting().way())).orElse(null));
    filling = false;
    if (other) {
      stopCapture();
    }
    if (!capture.isOn() && (changed || top.getChildren().isEmpty())) {
      showTriggers();
    }
    if (!capture.isOn()) {
      present().ifPresentOrElse(this::advise, advice::clear);
      advice.suggest(now, b);
    }
  }

  /** The application it is bound in; none when it holds everywhere. */
  private Optional<Application> application() {
    return binding.place().applicationId().map(session.now().library().applications()::get);
  }

  private Optional<Trigger> present() {
    return binding.triggers().isEmpty()
        ? Optional.empty()
        : Optional.of(binding.triggers().get(index));
  }

  private Optional<Trigger.Keys> presentKeys() {
    return present().filter(t -> t instanceof Trigger.Keys).map(t -> (Trigger.Keys) t);
  }

  private void showTriggers() {
    top.getChildren().clear();
    if (binding.triggers().isEmpty()) {
      top.getChildren().add(Parts.label(Ui.text("notrigger"), "title"));
    }
    FlowPane all = new FlowPane(10, 6);
    for (int i = 0; i < binding.triggers().size(); i++) {
      KeyCaps caps = KeyCaps.of(binding.triggers().get(i), session.now().words());
      if (i == index) {
        caps.large();
      }
      int which = i;
      Button choose = Parts.button("trigger-" + i, "", () -> choose(which), "caps-link");
      choose.setGraphic(caps);
      choose.setAccessibleText(session.now().words().trigger(binding.triggers().get(i)));
      all.getChildren().add(choose);
    }
    FlowPane actions = new FlowPane(10, 4);
    if (!binding.triggers().isEmpty()) {
      top.getChildren().add(all);
      actions
          .getChildren()
          .addAll(
              Parts.button("add-trigger", Ui.text("sets.more"), () -> startCapture(true), "link"),
              Parts.button("take-away", Ui.text("sets.away"), this::takeAway, "link"));
      presentKeys()
          .ifPresent(
              t ->
                  actions
                      .getChildren()
                      .add(
                          Parts.button(
                              "by-position",
                              Ui.text(isByPosition(t) ? "sets.tocharacter" : "sets.toposition"),
                              () -> turn(t),
                              "link")));
    }
    actions
        .getChildren()
        .addAll(
            Parts.button("type-trigger", Ui.text("sets.type"), this::startTyping, "link"),
            Parts.button("other-trigger", Ui.text("sets.other"), this::startPicking, "link"));
    boolean more =
        session.now().library().bindings().values().stream()
            .anyMatch(b -> b.triggers().isEmpty() && !b.id().equals(binding.id()));
    if (more) {
      actions.getChildren().add(Parts.button("next-draft", Ui.text("sets.next"), onNext, "link"));
    }
    top.getChildren().add(actions);
  }

  private void choose(int which) {
    index = which;
    showTriggers();
    present().ifPresent(this::advise);
  }

  private static boolean isByPosition(Trigger.Keys trigger) {
    return trigger.strokes().stream().allMatch(s -> s.key() instanceof foldtwice.trigger.Key.At);
  }

  /** Names the same presses by position instead of by character, or the other way. */
  private void turn(Trigger.Keys trigger) {
    Layout layout = session.now().keymap().layout();
    List<Stroke> turned = new ArrayList<>();
    for (Stroke s : trigger.strokes()) {
      List<Press> presses = layout.presses(s);
      if (presses.isEmpty()) {
        return; // cannot be made here: the advice already says so
      }
      Press p = presses.getFirst();
      turned.add(
          isByPosition(trigger)
              ? layout.stroke(p)
              : new Stroke(p.held(), new foldtwice.trigger.Key.At(p.code())));
    }
    adding = false;
    take(List.of(new Trigger.Keys(turned)));
  }

  private void toggle() {
    if (capture.isOn()) {
      stopCapture();
      showTriggers();
    } else {
      startCapture(false);
    }
  }

  /** Starts reading keys; they replace the chosen trigger, or are added to the others. */
  void startCapture(boolean add) {
    if (binding == null || !session.mayWrite()) {
      return;
    }
    adding = add && !binding.triggers().isEmpty();
    capture.start(this);
    press.setText(Ui.text("sets.stop"));
    showCapturing(List.of(), Modifiers.NONE, Ui.text("sets.pressing"));
    advice.clear();
  }

  boolean isCapturing() {
    return capture.isOn();
  }

  /** As many as the application takes: where single strokes are taken, nothing is waited for. */
  private int mostStrokes() {
    if (holding) {
      return 1;
    }
    return application().map(Application::mostStrokes).orElse(Trigger.Keys.MOST_STROKES);
  }

  private void stopCapture() {
    holding = false;
    capture.stop();
    press.setText(Ui.text("sets.press"));
  }

  private void showCapturing(List<Press> strokes, Modifiers held, String hint) {
    VBox box = new VBox(6);
    box.setId("capturing");
    box.getStyleClass().add("capturing");
    if (!strokes.isEmpty()) {
      box.getChildren().add(KeyCaps.of(strokesOf(strokes)).large());
    }
    if (!held.isEmpty()) {
      box.getChildren()
          .add(
              Parts.label(
                  held.list().stream().map(m -> m.word()).collect(Collectors.joining(" + "))
                      + " + \u2026",
                  "mono"));
    }
    box.getChildren().add(Parts.wrapped(hint, "soft"));
    top.getChildren().setAll(box);
  }

  private List<Stroke> strokesOf(List<Press> presses) {
    Layout layout = session.now().keymap().layout();
    return presses.stream().map(layout::stroke).toList();
  }

  @Override
  public void holding(List<Press> strokes, Modifiers held) {
    showCapturing(strokes, held, Ui.text(strokes.isEmpty() ? "sets.pressing" : "sets.further"));
  }

  @Override
  public void pressed(List<Press> strokes) {
    showCapturing(strokes, Modifiers.NONE, Ui.text("sets.further"));
    advise(new Trigger.Keys(strokesOf(strokes)));
  }

  @Override
  public void untold() {
    showCapturing(List.of(), Modifiers.NONE, Ui.text("sets.untold"));
  }

  @Override
  public void left() {
    stopCapture();
    showTriggers();
    present().ifPresentOrElse(this::advise, advice::clear);
    press.requestFocus();
  }

  @Override
  public void ended(List<Press> strokes) {
    boolean held = holding;
    stopCapture();
    if (held) {
      Stroke stroke = strokesOf(strokes).getFirst();
      offer(
          List.of(
              new Trigger.Held(stroke, Trigger.Edge.DOWN),
              new Trigger.Held(stroke, Trigger.Edge.UP)));
      return;
    }
    offer(new Trigger.Keys(strokesOf(strokes)));
  }

  /** Takes a free trigger at once; one with consequences is taken only when a person says so. */
  private void offer(Trigger trigger) {
    offer(List.of(trigger));
  }

  /** The same for some that belong together; the first is advised on. */
  private void offer(List<Trigger> triggers) {
    Trigger trigger = triggers.getFirst();
    Advice found = advise(trigger);
    boolean serious = found.weight().filter(w -> w != Weight.NOTE).isPresent();
    if (!serious) {
      take(triggers);
      return;
    }
    VBox question = new VBox(8, KeyCaps.of(trigger, session.now().words()).large());
    Button take = Parts.button("take-it", Ui.text("sets.take"), () -> take(triggers), "main");
    Button leave = Parts.button("leave-it", Ui.text("sets.leave"), this::left);
    take.setDefaultButton(false);
    question.getChildren().add(new HBox(8, leave, take));
    if (found.conflicts().stream().anyMatch(c -> c.kind() == ConflictKind.NOT_ACCEPTED)) {
      wayAround()
          .ifPresent(
              w ->
                  question
                      .getChildren()
                      .add(
                          Parts.button(
                              "take-by-way",
                              Ui.text("sets.around", w.name()),
                              () -> takeBy(w, triggers),
                              "link")));
    }
    question.setId("question");
    top.getChildren().setAll(question);
    leave.requestFocus();
    leave.setOnKeyPressed(e -> answer(e, triggers));
    take.setOnKeyPressed(e -> answer(e, triggers));
  }

  /** A way in for which the application's rules do not hold. */
  private Optional<WayIn> wayAround() {
    return application().stream()
        .flatMap(a -> a.ways().stream())
        .filter(WayIn::freeOfRules)
        .findFirst();
  }

  private void takeBy(WayIn way, List<Trigger> triggers) {
    binding = binding.withFitting(binding.fitting().by(way.id()));
    take(triggers);
  }

  private void chooseWay() {
    WayIn way = ways.getValue();
    if (filling || way == null || application().isEmpty()) {
      return;
    }
    String id = application().get().ways().getFirst().equals(way) ? "" : way.id();
    if (!id.equals(binding.fitting().way())) {
      session.make(
          new Edit.PutBinding(binding.withFitting(binding.fitting().by(id))),
          Ui.text("said.changed", way.name()));
    }
  }

  private void answer(javafx.scene.input.KeyEvent e, List<Trigger> triggers) {
    if (e.getCode() == javafx.scene.input.KeyCode.ESCAPE) {
      left();
      e.consume();
    } else if (e.getCode() == javafx.scene.input.KeyCode.ENTER) {
      if (e.getSource() instanceof Button b && b.getId().equals("take-it")) {
        take(triggers);
      } else {
        left();
      }
      e.consume();
    }
  }

  private void take(List<Trigger> fresh) {
    List<Trigger> triggers = new ArrayList<>(binding.triggers());
    boolean replaced = !triggers.isEmpty() && !adding;
    List<Trigger> gone = new ArrayList<>();
    if (replaced) {
      gone.add(triggers.remove(index));
    } else {
      index = triggers.size();
    }
    triggers.addAll(index, fresh);
    adding = false;
    Words words = session.now().words();
    session.make(
        Resetting.givingBack(
            session.now().library(),
            binding,
            gone,
            new Edit.PutBinding(binding.withTriggers(triggers))),
        Ui.text(
            replaced ? "said.replaced" : "said.bound",
            words.binding(binding),
            words.trigger(fresh.getFirst())));
    showTriggers();
    press.requestFocus();
  }

  private void takeAway() {
    Trigger gone = binding.triggers().get(index);
    List<Trigger> rest = new ArrayList<>(binding.triggers());
    rest.remove(index);
    session.make(
        Resetting.givingBack(
            session.now().library(),
            binding,
            List.of(gone),
            new Edit.PutBinding(binding.withTriggers(rest))),
        Ui.text("said.tookaway", session.now().words().trigger(gone)));
    showTriggers();
    Label left =
        Parts.wrapped(
            Ui.text(
                "sets.left",
                session
                    .now()
                    .words()
                    .afterwards(Afterwards.of(session.now().keymap(), binding.place(), gone))));
    left.setId("left");
    VBox said = new VBox(left);
    said.getStyleClass().addAll("said", "note");
    top.getChildren().add(said);
    press.requestFocus();
  }

  private void startTyping() {
    TextField field = new TextField();
    field.setId("typed-trigger");
    field.setPromptText(Ui.text("sets.typehint"));
    Label wrong = Parts.wrapped("", "blocks");
    wrong.setId("wrong-trigger");
    field.setOnAction(
        e -> {
          try {
            adding = false;
            offer(Notation.read(field.getText()));
          } catch (NotationException fault) {
            wrong.setText(fault.getMessage());
          }
        });
    field.setOnKeyPressed(
        e -> {
          if (e.getCode() == javafx.scene.input.KeyCode.ESCAPE) {
            left();
            e.consume();
          }
        });
    field
        .textProperty()
        .addListener(
            (o, a, text) -> {
              wrong.setText("");
              try {
                advise(Notation.read(text));
              } catch (NotationException unfinished) {
                advice.clear(); // said only when it is entered: it may still be unfinished
              }
            });
    top.getChildren().setAll(field, wrong);
    field.requestFocus();
  }

  /** Shows what else than keys can set it off, to be chosen on a picture. */
  private void startPicking() {
    if (!session.mayWrite()) {
      return;
    }
    adding = false;
    TriggerPicker picker =
        new TriggerPicker(
            session,
            binding,
            new TriggerPicker.Ways() {
              @Override
              public void pick(Trigger trigger) {
                offer(trigger);
              }

              @Override
              public void captureHeld() {
                startCapture(false);
                holding = true;
              }

              @Override
              public void leave() {
                left();
              }
            });
    top.getChildren().setAll(picker);
    advice.clear();
    picker.lookup("#picker-device").requestFocus();
  }

  private void chooseWhere() {
    Place place = where.getValue();
    if (!filling && place != null && !place.equals(binding.place())) {
      session.make(
          new Edit.PutBinding(binding.withPlace(place)),
          Ui.text("said.changed", session.now().library().nameOf(place)));
    }
  }

  /** Shows what would follow from a trigger, and returns it. */
  private Advice advise(Trigger trigger) {
    return advice.show(binding, trigger);
  }
}
