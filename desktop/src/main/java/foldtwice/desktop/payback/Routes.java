package foldtwice.desktop.payback;

import foldtwice.desktop.parts.KeyCaps;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.view.Going;
import foldtwice.desktop.view.Target;
import foldtwice.effort.Operator;
import foldtwice.effort.Payback;
import foldtwice.effort.RouteText;
import foldtwice.effort.Timing;
import foldtwice.effort.Values;
import foldtwice.effort.WorkedOut;
import foldtwice.library.Edit;
import foldtwice.routine.Routine;
import foldtwice.routine.Yardstick;
import foldtwice.routine.Yardstick.Move;
import foldtwice.words.EffortWords;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextArea;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** A routine's way by hand and by its trigger, operator by operator; the first can be corrected. */
final class Routes extends VBox {

  private static final double NAMES = 74;
  private static final double TIMES = 130;

  private final Session session;
  private final Going going;
  private final Outlays outlays;
  private final ComboBox<Payback.Row> which = new ComboBox<>();
  private final VBox bars = new VBox(6);
  private final Label saves = Parts.label("", "good");
  private final Label name = Parts.label("", "title");
  private final Label uses = Parts.label("", "soft");
  private final Label says = Parts.wrapped("", "soft");
  private final HBox caps = new HBox(4);
  private final TextArea route = Skins.on(new TextArea());
  private final Label wrong = Parts.wrapped("", "blocks");
  private final VBox why = new VBox(3);
  private final VBox editing = new VBox(6);
  private final Button edit =
      Parts.button("route-edit", Ui.text("payback.edit"), this::startEditing, "link");
  private final Button record =
      Parts.button("route-record", Ui.text("payback.record"), this::record, "link");
  private final Button look =
      Parts.button("route-look", Ui.text("payback.look"), this::look, "link");
  private final Button reasons =
      Parts.button("route-why", Ui.text("payback.why"), this::showWhy, "link");
  private Payback payback;
  private Words words;
  private boolean filling;

  Routes(Session session, Going going) {
    super(8);
    this.session = session;
    this.going = going;
    outlays = new Outlays(session);
    getStyleClass().add("payback-card");
    setId("payback-routes");
    which.setId("payback-which");
    which.setAccessibleText(Ui.text("payback.which"));
    which.setMaxWidth(280);
    Parts.shows(which, r -> words == null ? "" : words.binding(r.binding()));
    Parts.onChosen(
        which,
        () -> {
          if (!filling) {
            stopEditing();
            fill();
          }
        });
    saves.setId("payback-saves");
    saves.setMinWidth(USE_PREF_SIZE);
    HBox head = new HBox(10, name, which, caps, uses, Parts.gap(), saves);
    head.setAlignment(Pos.CENTER_LEFT);
    name.setMinWidth(0);
    uses.setMinWidth(USE_PREF_SIZE);
    bars.setId("payback-bars");
    bars.widthProperty().addListener((o, a, b) -> draw());
    route.setId("route-text");
    route.setAccessibleText(Ui.text("payback.routetext"));
    route.setWrapText(true);
    route.setPrefRowCount(3);
    wrong.setId("route-wrong");
    editing
        .getChildren()
        .addAll(
            Parts.wrapped(Ui.text("payback.routehelp"), "soft"),
            route,
            wrong,
            new HBox(
                8,
                Parts.button("route-keep", Ui.text("payback.keeproute"), this::keep, "main"),
                Parts.button("route-cancel", Ui.text("payback.cancel"), this::stopEditing)));
    editing.managedProperty().bind(editing.visibleProperty());
    editing.setVisible(false);
    why.setId("payback-why");
    why.managedProperty().bind(why.visibleProperty());
    why.setVisible(false);
    FlowPane links = new FlowPane(12, 4, reasons, edit, record, look);
    VBox inside = new VBox(8, bars, editing, legend(), says, links, why, outlays);
    ScrollPane scroll = Parts.leaf(inside, true);
    scroll.setFocusTraversable(false);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    getChildren().addAll(head, scroll);
  }

  private static FlowPane legend() {
    FlowPane all = new FlowPane(14, 2);
    for (Operator o : Operator.values()) {
      Label box = Parts.label(o.name(), "operator", "operator-" + o);
      box.setMinWidth(20);
      box.setAlignment(Pos.CENTER);
      HBox one = new HBox(5, box, Parts.label(EffortWords.operator(o), "soft"));
      one.setAlignment(Pos.CENTER_LEFT);
      all.getChildren().add(one);
    }
    return all;
  }

  /** Shows the bindings of an entry, the one that saves most first. */
  void show(Payback found, Words by, Optional<Entry> entry) {
    payback = found;
    words = by;
    Optional<String> was = row().map(r -> r.binding().id());
    List<Payback.Row> rows = new ArrayList<>(entry.map(e -> rows(found, e)).orElse(List.of()));
    rows.sort(
        Comparator.comparingDouble(
            (Payback.Row r) -> -r.aWeek().map(s -> Math.abs(s.mid())).orElse(0.0)));
    filling = true;
    which.getItems().setAll(rows);
    which.setValue(
        rows.stream()
            .filter(r -> was.equals(Optional.of(r.binding().id())))
            .findFirst()
            .orElse(rows.isEmpty() ? null : rows.getFirst()));
    filling = false;
    Parts.there(which, rows.size() > 1);
    if (editing.isVisible() && !was.equals(row().map(r -> r.binding().id()))) {
      stopEditing();
    }
    outlays.show(found, entry);
    fill();
  }

  private static List<Payback.Row> rows(Payback payback, Entry e) {
    return payback.rows().stream().filter(r -> belongs(payback, r, e)).toList();
  }

  private static boolean belongs(Payback payback, Payback.Row r, Entry e) {
    return switch (e.by()) {
      case ROUTINE -> r.binding().routine().equals(e.id());
      case PROGRAM -> payback.library().applicationOf(r.binding()).equals(Optional.of(e.id()));
      case DEVICE -> r.trigger().flatMap(t -> t.deviceId()).equals(Optional.of(e.id()));
      case STATION -> r.trigger().isPresent();
      case PROCEDURE -> false; // has a pane of its own
    };
  }

  private Optional<Payback.Row> row() {
    return Optional.ofNullable(which.getValue());
  }

  private Optional<Routine> routine() {
    return row().flatMap(r -> payback.library().routineOf(r.binding()));
  }

  private void fill() {
    Optional<Payback.Row> row = row();
    for (Node n : List.of(edit, record, look, reasons, caps, uses, saves)) {
      n.setVisible(row.isPresent());
    }
    caps.getChildren().clear();
    if (row.isEmpty()) {
      name.setText(Ui.text("payback.choose"));
      says.setText("");
      bars.getChildren().clear();
      why.setVisible(false);
      return;
    }
    Payback.Row r = row.get();
    name.setText(words.binding(r.binding()));
    Parts.there(name, !which.isVisible());
    r.trigger().ifPresent(t -> caps.getChildren().add(KeyCaps.of(t, words)));
    uses.setText(Ui.text("payback.uses", Words.number(r.binding().usesPerWeek())));
    saves.setText(
        r.aWeek()
            .map(s -> Ui.text("payback.aweek", EffortWords.span(s)))
            .orElse(Ui.text("payback.unknown")));
    saves
        .getStyleClass()
        .setAll("label", r.aWeek().filter(s -> s.mid() < 0).isPresent() ? "costs" : "good");
    says.setText(says(r));
    draw();
    if (why.isVisible()) {
      reasons(r);
    }
  }

  private String says(Payback.Row r) {
    Values v = payback.values();
    String hand =
        Ui.text(
            v.own() ? "payback.own" : "payback.book",
            EffortWords.time(v.key().mid()),
            EffortWords.time(v.hand().mid()),
            EffortWords.time(v.thinking().mid()));
    String from =
        r.byHand().isEmpty()
            ? Ui.text("payback.noroute")
            : Ui.text(r.recorded() ? "payback.recorded" : "payback.workedout");
    return from + " " + hand;
  }

  private void draw() {
    bars.getChildren().clear();
    if (row().isEmpty() || bars.getWidth() < 200) {
      return;
    }
    Payback.Row r = row().get();
    double longest =
        Math.max(
            r.byHand().map(t -> t.plain().mid()).orElse(0.0),
            r.bound().map(t -> t.plain().mid()).orElse(0.0));
    double perSecond = (bars.getWidth() - NAMES - TIMES - 24) / Math.max(0.5, longest);
    r.byHand().ifPresent(t -> bar(Ui.text("payback.byhand"), t, perSecond));
    r.bound().ifPresent(t -> bar(Ui.text("payback.bytrigger"), t, perSecond));
  }

  private void bar(String of, Timing timing, double perSecond) {
    Label label = Parts.label(of, "soft");
    label.setMinWidth(NAMES);
    Label time = Parts.label(EffortWords.span(timing.total()), "strong");
    time.setMinWidth(Region.USE_PREF_SIZE);
    HBox row = new HBox(8, label, new OperatorBar(timing, perSecond), time);
    row.setAlignment(Pos.CENTER_LEFT);
    bars.getChildren().add(row);
  }

  // every operator and why

  private void showWhy() {
    why.setVisible(!why.isVisible());
    row().filter(r -> why.isVisible()).ifPresent(this::reasons);
  }

  private void reasons(Payback.Row r) {
    why.getChildren().clear();
    r.byHand().ifPresent(t -> reasons(Ui.text("payback.byhand"), t, byHand()));
    r.bound().ifPresent(t -> reasons(Ui.text("payback.bytrigger"), t, List.of()));
  }

  private void reasons(String of, Timing timing, List<Move> moves) {
    why.getChildren().add(Parts.label(of, "heading"));
    timing.parts().stream()
        .limit(100)
        .forEach(t -> why.getChildren().add(Parts.wrapped(OperatorBar.says(t))));
    timing.left().stream()
        .filter(l -> l.move() < moves.size())
        .limit(40)
        .forEach(
            l ->
                why.getChildren()
                    .add(
                        Parts.wrapped(
                            EffortWords.move(moves.get(l.move())) + ": " + EffortWords.left(l),
                            "soft")));
  }

  /** The moves that were recorded, or worked out. */
  private List<Move> byHand() {
    return routine()
        .map(
            r ->
                r.yardstick().moves().isEmpty()
                    ? WorkedOut.of(payback.library(), r, row().orElseThrow().binding().arguments())
                        .orElse(List.of())
                    : r.yardstick().moves())
        .orElse(List.of());
  }

  // the route, corrected by hand

  /** Lets the manual route be written. */
  void startEditing() {
    if (routine().isEmpty()) {
      return;
    }
    route.setText(RouteText.write(byHand()));
    wrong.setText("");
    editing.setVisible(true);
    route.requestFocus();
  }

  boolean canEdit() {
    return session.mayWrite() && payback != null && routine().isPresent();
  }

  private void stopEditing() {
    if (editing.isVisible()) {
      editing.setVisible(false);
      edit.requestFocus();
    }
  }

  private void keep() {
    Routine r = routine().orElseThrow();
    try {
      List<Move> moves = RouteText.read(route.getText());
      editing.setVisible(false);
      session.make(
          new Edit.PutRoutine(r.with(r.head().with(new Yardstick(moves)))),
          Ui.text(moves.isEmpty() ? "said.noroute" : "said.route", r.name()));
      edit.requestFocus();
    } catch (RouteText.Unreadable e) {
      wrong.setText(e.getMessage());
      route.requestFocus();
    }
  }

  private void record() {
    routine().ifPresent(r -> going.to(new Target.Recording(r.application())));
  }

  private void look() {
    routine().ifPresent(r -> going.to(new Target.Routine(r.id())));
  }
}
