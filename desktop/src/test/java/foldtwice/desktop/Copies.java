package foldtwice.desktop;

import foldtwice.binding.Binding;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.trigger.Notation;
import java.util.ArrayList;
import java.util.List;

/** Libraries with much in conflict. */
final class Copies {

  private Copies() {}

  /** Each binding once more, on the same triggers. */
  static Library twice(Library library) {
    List<Edit> edits = new ArrayList<>();
    for (Binding b : library.bindings().values()) {
      edits.add(
          new Edit.PutBinding(
              Binding.fresh(b.id() + "x", b.routine(), b.place(), b.triggers(), b.arguments())));
    }
    return new Edit.Together(edits).on(library);
  }

  /** For each letter a binding, and 26 more that it is the beginning of. */
  static Library cutShort(Library library) {
    Binding one = library.bindings().get("b14");
    List<Edit> edits = new ArrayList<>();
    for (char first = 'A'; first <= 'Z'; first++) {
      String begins = "Ctrl+Alt+Shift+[Key%c]".formatted(first);
      edits.add(put(one, "short" + first, begins));
      for (char second = 'A'; second <= 'Z'; second++) {
        edits.add(put(one, "long" + first + second, "%s then [Key%c]".formatted(begins, second)));
      }
    }
    return new Edit.Together(edits).on(library);
  }

  private static Edit put(Binding like, String id, String trigger) {
    return new Edit.PutBinding(
        Binding.fresh(
            id, like.routine(), like.place(), List.of(Notation.read(trigger)), like.arguments()));
  }
}
