package foldtwice.desktop.frame;

import foldtwice.desktop.parts.Capture;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.view.Act;
import foldtwice.desktop.view.Going;
import foldtwice.desktop.view.Kind;
import foldtwice.desktop.view.Target;
import foldtwice.desktop.view.View;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.layout.StackPane;

/**
 * The views, of which one is in view: made when first gone to, shown only while they are seen. The
 * others stay where they are, hidden, so that coming back to one is quick.
 */
final class Sheets extends StackPane implements Going {

  private static final int KEPT = 100;

  private final Session session;
  private final Consumer<String> onView;
  private final Map<String, View> made = new HashMap<>();
  private final Deque<Target> back = new ArrayDeque<>();
  private final Deque<Target> forward = new ArrayDeque<>();
  private Kind<?> kind = Views.of("bind");
  private View view;

  /**
   * @param onView hears which view is shown
   */
  Sheets(Session session, Consumer<String> onView) {
    this.session = session;
    this.onView = onView;
    getStyleClass().add("sheet");
    setMinSize(0, 0);
  }

  /** Shows what there is now in the view that is seen. */
  void show(Snapshot now) {
    if (view != null) {
      view.show(now);
    }
  }

  /** Shows what is wrong, all else being as it is shown. */
  void showConflicts(Snapshot now) {
    if (view != null) {
      view.showConflicts(now);
    }
  }

  /** What is in view, if anything yet. */
  Optional<View> view() {
    return Optional.ofNullable(view);
  }

  boolean isShown(Kind<?> of) {
    return view != null && kind.equals(of);
  }

  Kind<?> kind() {
    return kind;
  }

  @Override
  public void to(Target target) {
    Optional<Target> from = view().map(View::here);
    lay(target);
    if (from.isPresent() && !from.get().equals(view.here())) {
      back.push(from.get());
      if (back.size() > KEPT) {
        back.removeLast();
      }
      forward.clear();
    }
  }

  private void lay(Target target) {
    bring(Views.of(target.view()));
    view.takeKeys();
    view.open(target);
  }

  boolean canGoBack() {
    return !back.isEmpty();
  }

  boolean canGoForward() {
    return !forward.isEmpty();
  }

  /** To where one was before. */
  void back() {
    step(back, forward);
  }

  /** Undoes a step back. */
  void forward() {
    step(forward, back);
  }

  private void step(Deque<Target> from, Deque<Target> to) {
    if (!from.isEmpty()) {
      to.push(view.here());
      lay(from.pop());
    }
  }

  /** Does something in its view, which comes into view for it; what cannot be done now is said. */
  <V extends View> void perform(Kind<V> in, Act<V> act) {
    if (!isShown(in)) {
      to(new Target.Sheet(in.id()));
    }
    V at = in.type().cast(view);
    if (act.applies().test(at)) {
      act.does().accept(at);
    } else {
      session.say(Ui.text("said.notnow", act.says()));
    }
  }

  /** True when something can be done now, as far as its view has been made. */
  <V extends View> boolean applies(Kind<V> in, Act<V> act) {
    View there = made.get(in.id());
    return there == null || act.applies().test(in.type().cast(there));
  }

  /** Brings a view into view and returns it. */
  <V extends View> V bring(Kind<V> next) {
    View there = made.get(next.id());
    if (there == null) {
      there = next.make().apply(session, this);
      made.put(next.id(), there);
    }
    if (there != view) {
      view().ifPresent(this::hide);
      kind = next;
      view = there;
      if (!getChildren().contains(view.node())) {
        getChildren().add(view.node());
      }
      Parts.there(view.node(), true);
      show(session.now());
      onView.accept(next.id());
    }
    return next.type().cast(there);
  }

  private void hide(View left) {
    Capture.leave(left.node());
    left.leave();
    Parts.there(left.node(), false);
  }

  /** True when the keys are in the view. */
  boolean hasKeys() {
    return Parts.hasKeys(this);
  }
}
