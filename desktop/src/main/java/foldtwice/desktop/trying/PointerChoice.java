package foldtwice.desktop.trying;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.place.Application;
import foldtwice.place.Context;
import foldtwice.standin.base.StandIn;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.ComboBox;

/** Where the pointer is, for programs in which that counts; to be chosen without a pointer too. */
final class PointerChoice extends ComboBox<String> {

  private StandIn<?> program;
  private Optional<Application> application = Optional.empty();

  /**
   * @param onMoved called after another place was chosen
   */
  PointerChoice(Runnable onMoved) {
    setId("try-pointer");
    setAccessibleText(Ui.text("try.pointer"));
    managedProperty().bind(visibleProperty());
    Parts.shows(
        this,
        pane ->
            pane.isEmpty()
                ? Ui.text("try.pointer.elsewhere")
                : Ui.text("try.pointer.over", name(pane)));
    Parts.onChosen(
        this,
        () -> {
          if (getValue() != null && !getValue().equals(program.pane())) {
            program.point(getValue());
            onMoved.run();
          }
        });
  }

  void show(Snapshot now, StandIn<?> front) {
    program = front;
    application = Optional.ofNullable(now.library().applications().get(front.application()));
    List<String> panes = new ArrayList<>(List.of(""));
    application.stream()
        .flatMap(a -> a.contexts().stream())
        .filter(Context::byPointer)
        .forEach(c -> panes.add(c.id()));
    if (!panes.equals(getItems())) {
      getItems().setAll(panes);
    }
    setVisible(panes.size() > 1);
    setValue(front.pane());
  }

  private String name(String pane) {
    return application.flatMap(a -> a.context(pane)).map(Context::name).orElse(pane);
  }
}
