package foldtwice.desktop.view;

import foldtwice.desktop.session.Snapshot;
import javafx.scene.Node;

/** One of the sheets of the window. Made when it is first gone to, and kept from then on. */
public interface View {

  /** What is laid into the window. */
  Node node();

  /** Shows what there is now. Called when it comes into view, and at every change while it is. */
  void show(Snapshot now);

  /**
   * Shows what is wrong, which was told anew while all else is as it was shown last. A view that
   * does not say what is wrong has nothing to do.
   */
  default void showConflicts(Snapshot now) {
    show(now);
  }

  /** Gives the keys to where the work in it begins. */
  void takeKeys();

  /** Shows a target of this view's; one that is gone meanwhile is passed over. */
  default void open(Target target) {}

  /** Where one is in it now, to come back to. */
  Target here();

  /** It goes out of view. */
  default void leave() {}
}
