package foldtwice.desktop.bind;

import foldtwice.binding.Binding;
import foldtwice.conflict.Advice;
import foldtwice.desktop.parts.AdviceLines;
import foldtwice.desktop.parts.Capture;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.view.Acts;
import foldtwice.library.Bound;
import foldtwice.place.Application;
import foldtwice.place.WayIn;
import foldtwice.resolve.Afterwards;
import foldtwice.routine.Routine;
import foldtwice.trigger.Layout;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Press;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** What sets a binding off: its triggers and its place, with advice before anything is taken. */
final class SetsLeaf extends Leaf implements Capture.Listener {

  private static final double TOP = 66;

  private final Session session;
  private final Runnable onNext;
  private final Capture capture;
  private final AdvicePanel advice;

  /** True while something else than its triggers is shown: what may become one. */
  private boolean considers;

  /** Advises anew on what was advised on last; empty for nothing. */
  private Optional<Runnable> considered = Optional.empty();

  private final Button press;
  private final VBox top =
      new VBox(6) {
        @Override
        protected double computeMinHeight(double width) {
          return Math.max(
              TOP, computePrefHeight(width)); // never squeezed, and steady while capturing
        }
      };
  private final WhereRows where;
  private final TriggerEdits edits;

  /** True while the stroke that is read is one to be held. */
  private boolean holding;

  /** What shall run as that comes up; none for the same binding. */
  private Optional<Routine> release = Optional.empty();

  /**
   * Empty.
   *
   * @param several what is chosen with the one that is shown
   * @param onNext goes to the next binding without a trigger
   */
  SetsLeaf(Session session, Several several, Runnable onNext) {
    this(session, several, onNext, Skins.on(new Button(Ui.text("sets.press"))));
  }

  private SetsLeaf(Session session, Several several, Runnable onNext, Button press) {
    super("leaf-sets", Ui.text("leaf.sets"), press);
    this.session = session;
    this.onNext = onNext;
    this.edits = new TriggerEdits(session);
    this.press = press;
    this.advice = new AdvicePanel(session, this::offer);
    this.capture = new Capture(() -> session.now().keymap().layout(), this::mostStrokes, this);
    press.setId("press-keys");
    Acts.tip(press, "press-keys", "");
    press.setOnAction(e -> toggle());
    press.setMinWidth(USE_PREF_SIZE);
    where = new WhereRows(session, several);
    body(top, where, advice);
  }

  void show(Snapshot now, Binding b) {
    boolean changed = !b.equals(edits.binding());
    boolean other = edits.on(b);
    where.show(now, b);
    if (other) {
      stopCapture();
    }
    boolean stays = !other && isChoosing();
    if (stays) {
      top.getChildren().stream()
          .filter(n -> n instanceof TriggerPicker)
          .forEach(n -> ((TriggerPicker) n).follow());
    } else if (!capture.isOn() && (changed || top.getChildren().isEmpty())) {
      showTriggers();
    }
    if (considers) {
      considered.ifPresent(Runnable::run); // as things are now
    } else {
      advisePresent();
    }
    if (!capture.isOn() && (considered.isPresent() || !considers)) {
      advice.suggest(now, b);
    }
  }

  /** True while a trigger is being typed, or looked for on a picture. */
  private boolean isChoosing() {
    return top.getChildren().stream()
        .anyMatch(n -> n instanceof TriggerPicker || n instanceof TriggerCards.Typed);
  }

  private void advisePresent() {
    edits.present().ifPresentOrElse(this::advise, this::unadvise);
  }

  /** Shows something else than the triggers it has, with advice of its own. */
  private void consider(Node what) {
    considers = true;
    top.getChildren().setAll(what);
  }

  private void showTriggers() {
    Binding binding = edits.binding();
    considers = false;
    top.getChildren().clear();
    if (binding.isDraft()) {
      top.getChildren().add(Parts.label(Ui.text("notrigger"), "title"));
    }
    if (!binding.fitting().parked().isEmpty()) {
      top.getChildren().add(TriggerCards.parked(session, binding));
    }
    FlowPane actions = new FlowPane(10, 4);
    if (!binding.triggers().isEmpty()) {
      top.getChildren()
          .add(
              TriggerCards.triggers(
                  binding.triggers(), edits.index(), session.now().words(), this::choose));
      actions
          .getChildren()
          .addAll(
              Parts.button("add-trigger", Ui.text("sets.more"), () -> startCapture(true), "link"),
              Parts.button("take-away", Ui.text("sets.away"), this::takeAway, "link"));
      edits
          .presentKeys()
          .ifPresent(
              t ->
                  actions
                      .getChildren()
                      .add(
                          Parts.button(
                              "by-position",
                              Ui.text(
                                  TriggerEdits.isByPosition(t)
                                      ? "sets.tocharacter"
                                      : "sets.toposition"),
                              () -> turn(t),
                              "link")));
    }
    actions
        .getChildren()
        .addAll(
            Parts.button("type-trigger", Ui.text("sets.type"), this::startTyping, "link"),
            Parts.button("other-trigger", Ui.text("sets.other"), this::startPicking, "link"));
    boolean more =
        Bound.drafts(session.now().library()).stream().anyMatch(b -> !b.id().equals(binding.id()));
    if (more) {
      actions.getChildren().add(Parts.button("next-draft", Ui.text("sets.next"), onNext, "link"));
    }
    top.getChildren().add(actions);
  }

  private void choose(int which) {
    edits.choose(which);
    showTriggers();
    edits.present().ifPresent(this::advise);
  }

  private void turn(Trigger.Keys trigger) {
    edits.adding(false);
    edits.turned(trigger).ifPresent(turned -> take(List.of(turned), Optional.empty()));
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
    if (edits.binding() == null || !session.mayWrite()) {
      return;
    }
    edits.adding(add);
    capture.start(this);
    press.setText(Ui.text("sets.stop"));
    showCapturing(List.of(), Modifiers.NONE, Ui.text("sets.pressing"));
    unadvise();
  }

  boolean isCapturing() {
    return capture.isOn();
  }

  /** As many as the application takes: where single strokes are taken, nothing is waited for. */
  private int mostStrokes() {
    if (holding) {
      return 1;
    }
    return edits.application().map(Application::mostStrokes).orElse(Trigger.Keys.MOST_STROKES);
  }

  private void stopCapture() {
    holding = false;
    capture.stop();
    press.setText(Ui.text("sets.press"));
  }

  private void showCapturing(List<Press> strokes, Modifiers held, String hint) {
    consider(TriggerCards.capturing(strokesOf(strokes), held, hint));
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
    advisePresent();
    press.requestFocus();
  }

  @Override
  public void ended(List<Press> strokes) {
    boolean held = holding;
    stopCapture();
    if (held) {
      Stroke stroke = strokesOf(strokes).getFirst();
      Trigger down = new Trigger.Held(stroke, Trigger.Edge.DOWN);
      Trigger up = new Trigger.Held(stroke, Trigger.Edge.UP);
      if (release.isPresent()) {
        offer(List.of(down), Optional.of(edits.other(release.get().id(), Map.of(), up)));
      } else {
        offer(List.of(down, up), Optional.empty());
      }
      return;
    }
    offer(new Trigger.Keys(strokesOf(strokes)));
  }

  /** Takes a free trigger at once; one with consequences is taken only when a person says so. */
  private void offer(Trigger trigger) {
    offer(List.of(trigger), Optional.empty());
  }

  /**
   * The same for some that belong together, of which the first is advised on, and for another
   * binding that is to have the other half.
   */
  private void offer(List<Trigger> triggers, Optional<Binding> other) {
    Trigger trigger = triggers.getFirst();
    Advice found = advise(trigger);
    boolean serious = AdviceLines.isSerious(found);
    if (!serious && other.isPresent()) {
      Trigger half = other.get().triggers().getLast();
      Advice ofHalf = Advice.on(session.now().subject(), other.get(), half);
      if (AdviceLines.isSerious(ofHalf)) {
        found = advise(other::get, half);
        trigger = half;
        serious = true;
      }
    }
    if (!serious) {
      take(triggers, other);
      return;
    }
    TriggerCards.Question question =
        new TriggerCards.Question(
            trigger, session.now().words(), () -> take(triggers, other), this::left);
    WaysAround.of(
            found,
            edits,
            session.now(),
            w -> takeBy(w, triggers, other),
            key -> take(List.of(key), other))
        .forEach(question::offer);
    consider(question);
    advice.suggest(session.now(), edits.binding()); // what would suit better
    question.focus();
  }

  private void takeBy(WayIn way, List<Trigger> triggers, Optional<Binding> other) {
    edits.by(way.id());
    take(triggers, other);
  }

  private void take(List<Trigger> fresh, Optional<Binding> other) {
    edits.take(fresh, other);
    showTriggers();
    press.requestFocus();
  }

  private void takeAway() {
    Trigger gone = edits.takeAway();
    showTriggers();
    Label left =
        Parts.wrapped(
            Ui.text(
                "sets.left",
                session
                    .now()
                    .words()
                    .afterwards(
                        Afterwards.of(session.now().keymap(), edits.binding().place(), gone))));
    left.setId("left");
    VBox said = new VBox(left);
    said.getStyleClass().addAll("said", "note");
    top.getChildren().add(said);
    press.requestFocus();
  }

  private void startTyping() {
    TriggerCards.Typed typed =
        new TriggerCards.Typed(
            t -> Optional.ofNullable(t).ifPresentOrElse(this::advise, this::unadvise),
            t -> {
              edits.adding(false);
              offer(t);
            },
            this::left);
    consider(typed);
    typed.focus();
  }

  /** Shows what else than keys can set it off, to be chosen on a picture. */
  private void startPicking() {
    if (!session.mayWrite()) {
      return;
    }
    edits.adding(false);
    TriggerPicker picker =
        new TriggerPicker(
            session,
            edits::binding,
            new TriggerPicker.Ways() {
              @Override
              public void pick(Trigger trigger) {
                offer(trigger);
              }

              @Override
              public void pick(Trigger trigger, Binding other) {
                offer(List.of(trigger), Optional.of(other));
              }

              @Override
              public void captureHeld(Optional<Routine> onRelease) {
                startCapture(false);
                holding = true;
                release = onRelease;
              }

              @Override
              public void leave() {
                left();
              }
            });
    consider(picker);
    unadvise();
    picker.lookup("#picker-device").requestFocus();
  }

  /** Shows what would follow from a trigger, and returns it. */
  private Advice advise(Trigger trigger) {
    return advise(edits::binding, trigger);
  }

  private Advice advise(Supplier<Binding> of, Trigger trigger) {
    considered = Optional.of(() -> advise(of, trigger));
    return advice.show(of.get(), trigger);
  }

  private void unadvise() {
    considered = Optional.empty();
    advice.clear();
  }
}
