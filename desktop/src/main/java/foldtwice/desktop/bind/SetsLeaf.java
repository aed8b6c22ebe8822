package foldtwice.desktop.bind;

import foldtwice.binding.Binding;
import foldtwice.conflict.Advice;
import foldtwice.desktop.parts.AdviceLines;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Bound;
import foldtwice.place.WayIn;
import foldtwice.resolve.Afterwards;
import foldtwice.routine.Routine;
import foldtwice.trigger.Trigger;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** What sets a binding off: its triggers and its place, with advice before anything is taken. */
final class SetsLeaf extends Leaf implements KeysRead.Wanted {

  private static final double TOP = 66;

  private final Session session;
  private final Runnable onNext;
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
  private final KeysRead keys;

  /**
   * Empty.
   *
   * @param several what is chosen with the one that is shown
   * @param onNext goes to the next binding without a trigger
   */
  SetsLeaf(Session session, Several several, Runnable onNext) {
    this(session, several, onNext, KeysRead.button());
  }

  private SetsLeaf(Session session, Several several, Runnable onNext, Button press) {
    super("leaf-sets", Ui.text("leaf.sets"), press);
    this.session = session;
    this.onNext = onNext;
    this.edits = new TriggerEdits(session);
    this.press = press;
    this.advice = new AdvicePanel(session, this::offer);
    this.keys = new KeysRead(session, edits, this, press, this);
    where = new WhereRows(session, several);
    body(top, where, advice);
  }

  void show(Snapshot now, Binding b) {
    boolean changed = !b.equals(edits.binding());
    boolean other = edits.on(b);
    where.show(now, b);
    if (other) {
      keys.stop();
    }
    boolean stays = !other && isChoosing();
    if (stays) {
      top.getChildren().stream()
          .filter(n -> n instanceof TriggerPicker)
          .forEach(n -> ((TriggerPicker) n).follow());
    } else if (!keys.isOn() && (changed || top.getChildren().isEmpty())) {
      showTriggers();
    }
    if (considers) {
      considered.ifPresent(Runnable::run); // as things are now
    } else {
      advisePresent();
    }
    if (!keys.isOn() && (considered.isPresent() || !considers)) {
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
  @Override
  public void consider(Node what) {
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
              Parts.button("add-trigger", Ui.text("sets.more"), () -> keys.start(true), "link"),
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

  /** Starts reading keys, in place of the chosen trigger. */
  void startCapture() {
    keys.start(false);
  }

  @Override
  public void left() {
    keys.stop();
    showTriggers();
    advisePresent();
    advice.suggest(session.now(), edits.binding());
    press.requestFocus();
  }

  /** Takes a free trigger at once; one with consequences is taken only when a person says so. */
  private void offer(Trigger trigger) {
    offer(List.of(trigger), Optional.empty());
  }

  /**
   * The same for some that belong together, of which the first is advised on, and for another
   * binding that is to have the other half.
   */
  @Override
  public void offer(List<Trigger> triggers, Optional<Binding> other) {
    Trigger trigger = triggers.getFirst();
    Advice found = advise(edits::binding, trigger);
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
                keys.startHeld(onRelease);
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

  /** Shows what would follow from a trigger. */
  @Override
  public void advise(Trigger trigger) {
    advise(edits::binding, trigger);
  }

  private Advice advise(Supplier<Binding> of, Trigger trigger) {
    considered = Optional.of(() -> advise(of, trigger));
    return advice.show(of.get(), trigger);
  }

  @Override
  public void unadvise() {
    considered = Optional.empty();
    advice.clear();
  }
}
