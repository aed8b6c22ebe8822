package foldtwice.desktop.payback;

import foldtwice.binding.Binding;
import foldtwice.desktop.parts.KeyCaps;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.parts.Styles;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Ui;
import foldtwice.effort.Payback;
import foldtwice.effort.RouteText;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.Procedure;
import foldtwice.routine.Yardstick;
import foldtwice.words.EffortWords;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** A procedure: what is set off one after the other, how often, and what it saves as one. */
final class ProcedurePane extends VBox {

  private static final int FOUND = 60;

  private final Session session;
  private final TextField name =
      Parts.input("procedure-name", Ui.text("payback.procedure.name"), 13);
  private final TextField times =
      Parts.input("procedure-times", Ui.text("payback.procedure.times"), 5);
  private final TextField each =
      Parts.input("procedure-each", Ui.text("payback.procedure.each"), 4);
  private final TextField byHand =
      Parts.input("procedure-route", Ui.text("payback.procedure.route"), 30);
  private final TextField find =
      Parts.input("procedure-find", Ui.text("payback.procedure.find"), 24);
  private final ListView<Procedure.Part> parts = new ListView<>();
  private final ListView<Binding> found = new ListView<>();
  private final Label says = Parts.label("", "good");
  private final Label wrong = Parts.wrapped("", "blocks");
  private final Button up = Parts.button("part-up", "\u2191", () -> move(-1));
  private final Button down = Parts.button("part-down", "\u2193", () -> move(1));
  private final Button out = Parts.button("part-out", Ui.text("payback.part.out"), this::takeOut);
  private final VBox form;
  private final Label none = Parts.wrapped(Ui.text("payback.procedure.none"), "soft");
  private Optional<Procedure> shown = Optional.empty();
  private Library library;
  private Words words;

  /**
   * One that edits the session's library.
   *
   * @param practise lets the person practise the one that is shown
   */
  ProcedurePane(Session session, Button practise, Button delete) {
    super(8);
    this.session = session;
    getStyleClass().add("payback-card");
    setId("procedure");
    up.setAccessibleText(Ui.text("payback.part.up"));
    down.setAccessibleText(Ui.text("payback.part.down"));
    parts.setId("procedure-parts");
    parts.setAccessibleText(Ui.text("payback.procedure.parts"));
    parts.setFixedCellSize(28);
    parts.setCellFactory(v -> Skins.on(new PartCell()));
    parts.setPlaceholder(Parts.wrapped(Ui.text("payback.procedure.noparts"), "soft"));
    found.setId("procedure-found");
    found.setAccessibleText(Ui.text("payback.procedure.find"));
    found.setFixedCellSize(28);
    found.setCellFactory(v -> Skins.on(new FoundCell()));
    found.setOnKeyPressed(
        e -> {
          if (e.getCode() == KeyCode.ENTER) {
            addChosen();
            e.consume();
          }
        });
    found.setOnMouseClicked(
        e -> {
          if (e.getClickCount() == 2) {
            addChosen();
          }
        });
    find.textProperty().addListener((o, a, b) -> fillFound());
    find.setOnAction(e -> addChosen());
    Parts.onKept(name, () -> change(p -> p.named(name.getText().strip())));
    Parts.onKept(times, this::keepNumbers);
    Parts.onKept(each, this::keepNumbers);
    Parts.onKept(byHand, this::keepRoute);
    says.setId("procedure-says");
    wrong.setId("procedure-wrong");
    VBox left = new VBox(6, parts, new HBox(6, up, down, out));
    VBox right = new VBox(6, find, found);
    HBox.setHgrow(left, Priority.ALWAYS);
    HBox.setHgrow(right, Priority.ALWAYS);
    VBox.setVgrow(parts, Priority.ALWAYS);
    VBox.setVgrow(found, Priority.ALWAYS);
    left.setPrefWidth(100);
    right.setPrefWidth(100);
    HBox lists = new HBox(14, left, right);
    VBox.setVgrow(lists, Priority.ALWAYS);
    FlowPane head =
        new FlowPane(
            8,
            4,
            name,
            times,
            Parts.label(Ui.text("payback.procedure.times.after"), "soft"),
            each,
            Parts.label(Ui.text("payback.procedure.each.after"), "soft"),
            practise,
            delete);
    head.setAlignment(Pos.CENTER_LEFT);
    head.setRowValignment(VPos.CENTER);
    form = new VBox(8, head, says, lists, byHand, wrong);
    VBox.setVgrow(form, Priority.ALWAYS);
    getChildren().addAll(none, form);
    none.managedProperty().bind(none.visibleProperty());
    form.managedProperty().bind(form.visibleProperty());
    show(Optional.empty(), null, null);
  }

  Optional<Procedure> shown() {
    return shown;
  }

  void takeKeys() {
    find.requestFocus();
  }

  void show(Optional<Payback.Chain> chain, Library of, Words by) {
    boolean other = !shown.map(Procedure::id).equals(chain.map(c -> c.procedure().id()));
    shown = chain.map(Payback.Chain::procedure);
    library = of;
    words = by;
    form.setVisible(shown.isPresent());
    none.setVisible(shown.isEmpty());
    if (shown.isEmpty()) {
      return;
    }
    Procedure p = shown.get();
    Map<TextField, String> texts =
        Map.of(
            name, p.name(),
            times, p.timesPerWeek() > 0 ? Words.number(p.timesPerWeek()) : "",
            each, Integer.toString(p.atATime()),
            byHand, RouteText.write(p.yardstick().moves()));
    texts.forEach(other ? TextField::setText : Parts::renew);
    int at = parts.getSelectionModel().getSelectedIndex();
    parts.getItems().setAll(p.parts());
    parts.getSelectionModel().select(Math.min(at, p.parts().size() - 1));
    Payback.Chain c = chain.get();
    says.setText(
        c.missing() > 0
            ? Ui.text("payback.procedure.missing", c.missing())
            : c.bound()
                .map(
                    b ->
                        Ui.text(
                            "payback.procedure.takes",
                            EffortWords.span(b),
                            c.byHand().map(EffortWords::span).orElse("?"),
                            c.aWeek().map(EffortWords::span).orElse("?")))
                .orElse(Ui.text("payback.procedure.noparts")));
    Styles.only(says, List.of("label", c.missing() > 0 ? "costs" : "good"));
    if (other) {
      wrong.setText("");
      find.clear();
    }
    fillFound();
  }

  private void fillFound() {
    if (library == null) {
      return;
    }
    String wanted = find.getText().strip().toLowerCase(Locale.ROOT);
    List<Binding> some =
        library.bindings().values().stream()
            .filter(b -> !b.isOff() && !b.triggers().isEmpty())
            .filter(b -> text(b).toLowerCase(Locale.ROOT).contains(wanted))
            .limit(FOUND)
            .toList();
    if (!some.equals(found.getItems())) {
      found.getItems().setAll(some);
      found.getSelectionModel().selectFirst();
    }
  }

  private String text(Binding b) {
    return words.binding(b) + " " + words.place(b.place());
  }

  private void addChosen() {
    Binding b = found.getSelectionModel().getSelectedItem();
    if (b != null) {
      change(
          p -> {
            List<Procedure.Part> more = new ArrayList<>(p.parts());
            more.add(new Procedure.Part.Bound(b.id()));
            return more.size() > Procedure.MOST ? p : p.of(more);
          });
      parts.getSelectionModel().selectLast();
    }
  }

  private void move(int by) {
    int at = parts.getSelectionModel().getSelectedIndex();
    int to = at + by;
    change(
        p -> {
          if (at < 0 || to < 0 || to >= p.parts().size()) {
            return p;
          }
          List<Procedure.Part> more = new ArrayList<>(p.parts());
          Collections.swap(more, at, to);
          return p.of(more);
        });
    parts.getSelectionModel().select(Math.clamp(to, 0, Math.max(0, parts.getItems().size() - 1)));
  }

  private void takeOut() {
    int at = parts.getSelectionModel().getSelectedIndex();
    change(
        p -> {
          if (at < 0 || at >= p.parts().size()) {
            return p;
          }
          List<Procedure.Part> fewer = new ArrayList<>(p.parts());
          fewer.remove(at);
          return p.of(fewer);
        });
  }

  private void keepNumbers() {
    try {
      double often =
          times.getText().isBlank()
              ? 0
              : Double.parseDouble(times.getText().strip().replace(',', '.'));
      int many = each.getText().isBlank() ? 1 : Integer.parseInt(each.getText().strip());
      if (!(often >= 0 && often < 1e6) || many < 1 || many > 100_000) {
        throw new NumberFormatException(times.getText());
      }
      change(p -> p.done(often, many));
    } catch (NumberFormatException e) {
      wrong.setText(Ui.text("payback.procedure.number", times.getText(), each.getText()));
    }
  }

  private void keepRoute() {
    try {
      Yardstick route = new Yardstick(RouteText.read(byHand.getText()));
      change(p -> p.with(route));
    } catch (RouteText.Unreadable e) {
      wrong.setText(e.getMessage());
    }
  }

  private void change(UnaryOperator<Procedure> how) {
    if (shown.isEmpty() || !session.mayWrite()) {
      return;
    }
    Procedure next = how.apply(shown.get());
    wrong.setText("");
    if (!next.equals(shown.get())) {
      shown = Optional.of(next);
      session.make(new Edit.PutProcedure(next), Ui.text("said.procedure", next.name()));
    }
  }

  private final class PartCell extends ListCell<Procedure.Part> {
    @Override
    protected void updateItem(Procedure.Part part, boolean empty) {
      super.updateItem(part, empty);
      setText(null);
      if (empty || part == null) {
        setGraphic(null);
        return;
      }
      Binding b =
          part instanceof Procedure.Part.Bound(String id) ? library.bindings().get(id) : null;
      String what =
          b != null
              ? words.binding(b)
              : part instanceof Procedure.Part.Native(String a, String c)
                  ? words.application(a) + " " + c
                  : Ui.text("payback.part.gone");
      Label label = Parts.label(what, b == null ? "costs" : "strong");
      label.setMinWidth(0);
      HBox.setHgrow(label, Priority.ALWAYS);
      label.setMaxWidth(Double.MAX_VALUE);
      HBox row = new HBox(8, Parts.label((getIndex() + 1) + "", "soft"), label);
      if (b != null && !b.triggers().isEmpty()) {
        row.getChildren().add(KeyCaps.of(b.triggers().getFirst(), words));
      }
      row.setAlignment(Pos.CENTER_LEFT);
      row.setPrefWidth(100);
      setGraphic(row);
      setAccessibleText(what);
    }
  }

  private final class FoundCell extends ListCell<Binding> {
    @Override
    protected void updateItem(Binding b, boolean empty) {
      super.updateItem(b, empty);
      setText(empty || b == null || words == null ? null : text(b));
    }
  }
}
