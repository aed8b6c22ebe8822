package foldtwice.desktop.bind;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Tips;
import foldtwice.desktop.session.Ui;
import javafx.geometry.Pos;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** One of the three parts of the trifold; can be folded away to a spine. */
abstract class Leaf extends StackPane {

  private static final double SPINE = 34;

  private final VBox open = new VBox();
  private final VBox spine = new VBox();
  private final ScrollPane scroll = Parts.leaf(open, true);

  /** A leaf with a heading and, at its right, what belongs to the heading. */
  Leaf(String id, String title, Node... beside) {
    setId(id);
    Button heading = Parts.button(id + "-fold", title, this::fold, "quiet", "heading");
    heading.setStyle("-fx-padding: 4 4 4 0; -fx-text-fill: -soft;");
    Tips.on(heading, Ui.text("leaf.fold"));
    HBox head = new HBox(8, heading, Parts.gap());
    head.getChildren().addAll(beside);
    head.setAlignment(Pos.CENTER_LEFT);
    head.setMinHeight(30);
    open.getStyleClass().add("leaf");
    open.getChildren().add(head);
    Button unfold = Parts.button(id + "-unfold", title, this::unfold, "quiet", "heading");
    unfold.setRotate(90);
    Tips.on(unfold, Ui.text("leaf.unfold"));
    spine.getStyleClass().addAll("leaf", "leaf-folded");
    spine.getChildren().add(new Group(unfold));
    spine.setAlignment(Pos.TOP_CENTER);
    getChildren().setAll(scroll);
    setMinWidth(SPINE);
    setPrefWidth(386);
    HBox.setHgrow(this, Priority.ALWAYS);
  }

  private void fold() {
    setOpen(false);
  }

  private void unfold() {
    setOpen(true);
  }

  private void setOpen(boolean yes) {
    if (!yes) {
      getChildren().setAll(spine);
    } else {
      getChildren().setAll(scroll);
    }
    HBox.setHgrow(this, yes ? Priority.ALWAYS : Priority.NEVER);
    setPrefWidth(yes ? 386 : SPINE);
    setMaxWidth(yes ? Double.MAX_VALUE : SPINE);
  }

  /** What stands under the heading. */
  final void body(Node... nodes) {
    open.getChildren().addAll(nodes);
  }
}
