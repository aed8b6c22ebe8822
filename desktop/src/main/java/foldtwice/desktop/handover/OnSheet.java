package foldtwice.desktop.handover;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.view.Going;
import foldtwice.desktop.view.Target;
import foldtwice.sheet.About;
import foldtwice.sheet.Contents;
import foldtwice.sheet.Paper;
import foldtwice.sheet.Sheet;
import foldtwice.sheet.SheetKind;
import java.util.List;
import java.util.function.BiConsumer;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Line;
import javafx.scene.shape.Rectangle;

/** What is on a sheet, what is not and why, and how it is folded. */
final class OnSheet extends VBox {

  private static final int MOST = 12;

  private final Going going;
  private final ComboBox<Paper> paper = new ComboBox<>();
  private final CheckBox natives = Skins.on(new CheckBox(Ui.text("sheets.natives")));
  private final CheckBox all = Skins.on(new CheckBox(Ui.text("sheets.all")));
  private final VBox told = new VBox(5);
  private final VBox checked = new VBox(5);

  OnSheet(Going going, Runnable onChosen) {
    super(8);
    this.going = going;
    setId("on-sheet");
    getStyleClass().add("sheet-side");
    paper.setId("sheet-paper");
    paper.setAccessibleText(Ui.text("sheets.paper"));
    paper.getItems().setAll(Paper.values());
    Parts.shows(paper, p -> Ui.text("sheets.paper." + p));
    paper.setValue(Paper.A4);
    Parts.onChosen(paper, onChosen);
    natives.setId("sheet-natives");
    natives.setOnAction(e -> onChosen.run());
    all.setId("sheet-all");
    all.setOnAction(e -> onChosen.run());
    natives.setWrapText(true);
    all.setWrapText(true);
    getChildren()
        .addAll(
            Parts.label(Ui.text("sheets.on"), "heading"),
            Parts.fact(Ui.text("sheets.paper"), paper),
            natives,
            all,
            checked,
            told);
    setPrefWidth(250);
    setMinWidth(200);
  }

  Paper paper() {
    return paper.getValue();
  }

  boolean natives() {
    return natives.isSelected();
  }

  boolean all() {
    return all.isSelected();
  }

  void show(Sheet sheet, int pages) {
    Contents on = sheet.contents();
    told.getChildren().clear();
    Label count = Parts.wrapped(Ui.text("sheets.count", on.size(), pages), "strong");
    count.setId("sheet-count");
    told.getChildren().add(count);
    if (sheet.left() > 0) {
      told.getChildren().add(Parts.wrapped(Ui.text("sheets.noroom", sheet.left()), "costs"));
    }
    if (!sheet.missing().isEmpty()) {
      told.getChildren()
          .add(
              Parts.wrapped(Ui.text("sheets.missing", String.join(" ", sheet.missing())), "costs"));
    }
    asides(all.isSelected() ? "sheets.noted" : "sheets.left", "left-out", on.leftOut());
    asides("sheets.waits", "waiting", on.waiting());
    if (sheet.wanted().kind() == SheetKind.POCKET_CARD) {
      told.getChildren().addAll(Parts.label(Ui.text("sheets.fold"), "heading"), fold());
    }
  }

  /** Tells how a sheet of another day stands to the library as it is. */
  void show(SheetCheck check, BiConsumer<About, SheetKind> anew) {
    checked.getChildren().clear();
    Label heading =
        Parts.wrapped(
            Ui.text("sheets.check.heading", String.valueOf(check.file().getFileName())), "heading");
    checked.getChildren().add(heading);
    String result =
        !check.trouble().isEmpty()
            ? check.trouble()
            : check.since().isEmpty()
                ? Ui.text("sheets.check.right", check.then().asOf())
                : Ui.text("sheets.check.since", check.then().asOf(), check.since().size());
    boolean right = check.trouble().isEmpty() && check.since().isEmpty();
    Label says = Parts.wrapped(result, right ? "good" : "costs");
    says.setId("sheet-checked");
    checked.getChildren().add(says);
    check.since().stream()
        .limit(MOST)
        .forEach(d -> checked.getChildren().add(Parts.wrapped(SheetCheck.says(d))));
    if (check.since().size() > MOST) {
      checked
          .getChildren()
          .add(Parts.label(Ui.text("sheets.more", check.since().size() - MOST), "soft"));
    }
    check
        .subject()
        .ifPresent(
            about ->
                checked
                    .getChildren()
                    .add(
                        Parts.button(
                            "sheet-anew",
                            Ui.text("sheets.check.again"),
                            () -> anew.accept(about, check.then().wanted().kind()),
                            "link")));
  }

  private void asides(String heading, String id, List<Contents.Aside> some) {
    if (some.isEmpty()) {
      return;
    }
    told.getChildren().add(Parts.label(Ui.text(heading, some.size()), "heading"));
    for (int i = 0; i < Math.min(MOST, some.size()); i++) {
      Contents.Aside a = some.get(i);
      String name = a.trigger().isEmpty() ? a.does() : a.trigger() + "  " + a.does();
      Button to =
          Parts.button(id + "-" + i, name, () -> going.to(new Target.Binding(a.binding())), "link");
      to.setWrapText(true);
      told.getChildren().add(new VBox(to, Parts.wrapped(a.why(), "soft")));
    }
    if (some.size() > MOST) {
      told.getChildren().add(Parts.label(Ui.text("sheets.more", some.size() - MOST), "soft"));
    }
  }

  /** How the card is folded: the upper half to the back, then the right half to the back. */
  private static Node fold() {
    HBox steps =
        new HBox(
            10,
            folded(46, 64, true, false),
            Parts.label("\u2192", "soft"),
            folded(46, 32, false, true),
            Parts.label("\u2192", "soft"),
            folded(23, 32, false, false));
    steps.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
    VBox fold = new VBox(6, steps, Parts.wrapped(Ui.text("sheets.fold.says"), "soft"));
    fold.setId("sheet-fold");
    return fold;
  }

  private static Pane folded(double w, double h, boolean across, boolean down) {
    Rectangle sheet = new Rectangle(0.5, 0.5, w, h);
    sheet.getStyleClass().add("fold-sheet");
    Pane pane = new Pane(sheet);
    if (across) {
      crease(pane, new Line(0, h / 2, w, h / 2));
    }
    if (down) {
      crease(pane, new Line(w / 2, 0, w / 2, h));
    }
    pane.setMinSize(w + 1, h + 1);
    pane.setMaxSize(w + 1, h + 1);
    return pane;
  }

  private static void crease(Pane pane, Line crease) {
    crease.getStyleClass().add("fold-crease");
    pane.getChildren().add(crease);
  }
}
