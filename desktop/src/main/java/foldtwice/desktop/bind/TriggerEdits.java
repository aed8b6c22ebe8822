package foldtwice.desktop.bind;

import foldtwice.binding.Binding;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Edit;
import foldtwice.library.Halves;
import foldtwice.library.Resetting;
import foldtwice.place.Application;
import foldtwice.routine.Value;
import foldtwice.trigger.Key;
import foldtwice.trigger.Layout;
import foldtwice.trigger.Press;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The binding whose triggers are worked on, which of them is chosen, and what is done to them. */
final class TriggerEdits {

  private final Session session;
  private Binding binding;
  private int index;

  /** True when what comes is added to the others; else it replaces the chosen one. */
  private boolean adding;

  TriggerEdits(Session session) {
    this.session = session;
  }

  /** Works on this binding from now on; true when it is another one than before. */
  boolean on(Binding b) {
    boolean other = binding == null || !binding.id().equals(b.id());
    binding = b;
    index = other ? 0 : Math.clamp(index, 0, Math.max(0, b.triggers().size() - 1));
    return other;
  }

  Binding binding() {
    return binding;
  }

  int index() {
    return index;
  }

  void choose(int which) {
    index = which;
  }

  /** What comes next is added to the triggers there are, or replaces the chosen one. */
  void adding(boolean add) {
    adding = add && !binding.triggers().isEmpty();
  }

  /** The application it is bound in; none when it holds everywhere. */
  Optional<Application> application() {
    return binding.place().applicationId().map(session.now().library().applications()::get);
  }

  Optional<Trigger> present() {
    return binding.triggers().isEmpty()
        ? Optional.empty()
        : Optional.of(binding.triggers().get(index));
  }

  Optional<Trigger.Keys> presentKeys() {
    return present().filter(t -> t instanceof Trigger.Keys).map(t -> (Trigger.Keys) t);
  }

  /** From now on by this way in, with what is taken next. */
  void by(String way) {
    binding = binding.withFitting(binding.fitting().by(way));
  }

  /** The binding that has the other half of what is chosen now. */
  Binding other(String routine, Map<String, Value> arguments, Trigger half) {
    return Halves.other(session.now().library(), binding, routine, arguments, half);
  }

  /**
   * Gives the binding triggers, in place of the chosen one or besides.
   *
   * @param other another binding, as it shall be then
   */
  void take(List<Trigger> fresh, Optional<Binding> other) {
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
    put(
        triggers,
        gone,
        other,
        Ui.text(
            replaced ? "said.replaced" : "said.bound",
            words.binding(binding),
            words.trigger(fresh.getFirst())));
  }

  /** Takes the chosen trigger away, and returns it. */
  Trigger takeAway() {
    List<Trigger> rest = new ArrayList<>(binding.triggers());
    Trigger gone = rest.remove(index);
    put(
        rest,
        List.of(gone),
        Optional.empty(),
        Ui.text("said.tookaway", session.now().words().trigger(gone)));
    return gone;
  }

  private void put(
      List<Trigger> triggers, List<Trigger> gone, Optional<Binding> other, String said) {
    Edit own = new Edit.PutBinding(binding.withTriggers(triggers));
    Edit all =
        other.<Edit>map(o -> new Edit.Together(List.of(own, new Edit.PutBinding(o)))).orElse(own);
    session.make(Resetting.givingBack(session.now().library(), binding, gone, all), said);
  }

  static boolean isByPosition(Trigger.Keys trigger) {
    return trigger.strokes().stream().allMatch(s -> s.key() instanceof Key.At);
  }

  /**
   * The same presses named by position instead of by character, or the other way; none when they
   * cannot be made here.
   */
  Optional<Trigger.Keys> turned(Trigger.Keys trigger) {
    Layout layout = session.now().keymap().layout();
    List<Stroke> turned = new ArrayList<>();
    for (Stroke s : trigger.strokes()) {
      List<Press> presses = layout.presses(s);
      if (presses.isEmpty()) {
        return Optional.empty(); // the advice already says so
      }
      Press p = presses.getFirst();
      turned.add(
          isByPosition(trigger) ? layout.stroke(p) : new Stroke(p.held(), new Key.At(p.code())));
    }
    return Optional.of(new Trigger.Keys(turned));
  }
}
