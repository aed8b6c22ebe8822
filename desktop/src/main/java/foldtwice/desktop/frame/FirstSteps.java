package foldtwice.desktop.frame;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Library;
import java.util.List;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** Above a view that has nothing to show yet: what it is for, and what to do first. */
final class FirstSteps extends VBox {

  /** What comes first in a library. */
  private record First(String says, List<String> acts) {}

  private static final First NONE = new First("", List.of());

  private final Deeds deeds;
  private First shown = NONE;
  private String in = "";

  FirstSteps(Deeds deeds) {
    super(8);
    this.deeds = deeds;
    setId("first-steps");
    getStyleClass().add("first-steps");
    hide();
  }

  private void hide() {
    Parts.there(this, false);
  }

  /** Shows what comes first in a view, where something does. */
  void show(String view, Library library) {
    First next = first(view, library);
    if (next.equals(shown) && view.equals(in)) {
      return;
    }
    shown = next;
    in = view;
    getChildren().clear();
    if (next.equals(NONE)) {
      hide();
      return;
    }
    FlowPane buttons = new FlowPane(8, 6);
    for (int i = 0; i < next.acts.size(); i++) {
      String id = next.acts.get(i);
      buttons
          .getChildren()
          .add(
              Parts.button(
                  "first-" + id,
                  deeds.of(id).map(Deeds.Deed::title).orElse(id),
                  () -> deeds.perform(id),
                  i == 0 ? "main" : "plain"));
    }
    getChildren()
        .addAll(
            Parts.label(Ui.text("first." + view), "title"),
            Parts.wrapped(Ui.text("first." + next.says), "soft"),
            buttons);
    Parts.there(this, true);
  }

  private static First first(String view, Library library) {
    boolean programs = !library.applications().isEmpty();
    boolean routines = !library.routines().isEmpty();
    boolean bindings = !library.bindings().isEmpty();
    if (!programs) {
      return view.equals("live")
          ? NONE // it tells what is running itself
          : new First("program", List.of("new-application", "add-application", "live"));
    }
    return switch (view) {
      case "collect" ->
          routines ? NONE : new First("routine", List.of("record", "new-routine", "take-in"));
      case "bind", "conflicts", "plan", "payback", "handover" -> {
        if (bindings) {
          yield NONE;
        }
        yield routines
            ? new First("binding", List.of("new-binding"))
            : new First("routine", List.of("record", "new-routine", "take-in"));
      }
      default -> NONE;
    };
  }
}
