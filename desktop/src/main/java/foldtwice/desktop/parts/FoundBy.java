package foldtwice.desktop.parts;

import foldtwice.desktop.session.Ui;
import foldtwice.routine.Routine;

/** What a routine is found by beside its name and its triggers. */
public final class FoundBy {

  private FoundBy() {}

  /** The word for its kind. */
  public static String kind(Routine routine) {
    return Ui.text("look.kind." + routine.getClass().getSimpleName());
  }

  /** Its kind, its heading and its tags, as one text to be searched. */
  public static String of(Routine routine) {
    return String.join(
        " ", kind(routine), routine.category(), String.join(" ", routine.card().tags()));
  }
}
