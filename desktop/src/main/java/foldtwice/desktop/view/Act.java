package foldtwice.desktop.view;

import foldtwice.desktop.session.Ui;
import java.util.function.Consumer;
import java.util.function.Predicate;

/**
 * Something a person can do, declared once: buttons, tooltips, the application's own keys and the
 * look-up are made from it.
 *
 * @param id names it, its button, its key and its words, the text {@code act.}id
 * @param reach where its key is heard
 * @param applies whether it can be done now
 * @param does does it
 * @param <V> the view, or the window, it is done in
 */
public record Act<V>(String id, Reach reach, Predicate<V> applies, Consumer<V> does) {

  /** Where the key of an action is heard. */
  public enum Reach {
    /** Everywhere, also while a program has the keys: the way out of it. */
    ANYWHERE,
    /** Not where text is being typed, which has the same key for itself. */
    NOT_IN_TEXT,
    /** Wherever the keys are this application's. */
    HERE
  }

  public Act(String id, Predicate<V> applies, Consumer<V> does) {
    this(id, Reach.HERE, applies, does);
  }

  public Act(String id, Consumer<V> does) {
    this(id, v -> true, does);
  }

  /** What it does, in words. */
  public String says() {
    return Ui.text("act." + id);
  }

  /** The words on its button, where it is plain what they are about. */
  public String onButton() {
    String shorter = "act." + id + ".button";
    return Ui.has(shorter) ? Ui.text(shorter) : says();
  }
}
