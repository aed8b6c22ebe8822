package foldtwice.desktop.counts;

import foldtwice.desktop.parts.Contents;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.view.Act;
import foldtwice.desktop.view.Going;
import foldtwice.desktop.view.Target;
import foldtwice.desktop.view.View;
import foldtwice.library.Bound;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.layout.VBox;

/** How many bindings each application has. */
public final class CountsView extends VBox implements View {

  public static final List<Act<CountsView>> ACTS = List.of();

  private final Contents rows = new Contents(this);

  /** A view of the session's library. */
  public CountsView(Session session, Going going) {
    super(6);
    getStyleClass().add("view-top");
  }

  @Override
  public Node node() {
    return this;
  }

  @Override
  public void show(Snapshot now) {
    Bound.inEach(now.library())
        .forEach(
            (id, many) -> {
              String says = now.library().applications().get(id).name() + " " + many;
              rows.add(says, () -> Parts.label(says));
            });
    rows.show();
  }

  @Override
  public void takeKeys() {
    requestFocus();
  }

  @Override
  public Target here() {
    return new Target.Sheet("counts");
  }
}
