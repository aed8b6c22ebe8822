package foldtwice.desktop.lately;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.view.Act;
import foldtwice.desktop.view.Acts;
import foldtwice.desktop.view.Going;
import foldtwice.desktop.view.Target;
import foldtwice.desktop.view.View;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.ListView;
import javafx.scene.layout.BorderPane;

/** The bindings that were fired last in this window. */
public final class LatelyView extends BorderPane implements View {

  public static final List<Act<LatelyView>> ACTS =
      List.of(new Act<>("lately-bind", v -> !v.list.getItems().isEmpty(), LatelyView::bind));

  private final Session session;
  private final Going going;
  private final ListView<String> list = new ListView<>();

  /** A view of what the session has fired. */
  public LatelyView(Session session, Going going) {
    this.session = session;
    this.going = going;
    list.setId("lately");
    list.setAccessibleText(Ui.text("tab.lately"));
    list.setPlaceholder(Parts.wrapped(Ui.text("lately.none"), "soft"));
    setTop(new Acts<>(this, ACTS).button("lately-bind"));
    setCenter(list);
  }

  @Override
  public Node node() {
    return this;
  }

  @Override
  public void show(Snapshot now) {
    list.getItems()
        .setAll(
            session.firedLately().stream()
                .map(id -> now.words().binding(now.library().bindings().get(id)))
                .toList());
  }

  private void bind() {
    going.to(new Target.Binding(session.firedLately().getLast()));
  }

  @Override
  public void takeKeys() {
    list.requestFocus();
  }

  @Override
  public Target here() {
    return new Target.Sheet("lately");
  }
}
