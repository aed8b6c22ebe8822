package foldtwice.desktop.trying;

import foldtwice.binding.Binding;
import foldtwice.desktop.parts.KeyCaps;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.parts.Tips;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.fit.Fit;
import foldtwice.fit.Fits;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.routine.ValueException;
import foldtwice.routine.Whom;
import foldtwice.run.Program;
import java.math.BigDecimal;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * What fits what is selected: type to narrow it, Enter runs the first, Tab goes through it, Escape
 * leaves.
 */
final class OfferingPane extends VBox {

  static final double WIDTH = 440;
  static final double HEIGHT = 330;

  /** What is asked of the view it lies over. */
  interface Listener {
    /** Runs something on the program in front; the list is left. */
    void run(Routine routine, Map<String, Value> arguments);

    /** Runs something that only sets a value; the list stays. */
    void set(Routine routine);

    void select(Whom.Group group);

    void leave();
  }

  private final Session session;
  private final Program program;
  private final Listener listener;
  private final Label on = Parts.label("", "strong");
  private final Button up;
  private final Button down;
  private final CheckBox inside = Skins.on(new CheckBox(Ui.text("offering.inside")));
  private final TextField filter = Skins.on(new TextField());
  private final VBox rows = new VBox();
  private final Label wrong = Parts.wrapped("", "blocks");
  private Fits fits;

  OfferingPane(Session session, String name, Program program, Listener listener) {
    super(6);
    this.session = session;
    this.program = program;
    this.listener = listener;
    setId("offering");
    getStyleClass().add("offering");
    setAccessibleText(name);
    setMaxSize(WIDTH, HEIGHT);
    setPrefSize(WIDTH, HEIGHT);
    up = Parts.button("offering-up", Ui.text("offering.up"), () -> go(Whom.Group.PARENT));
    down = Parts.button("offering-down", Ui.text("offering.down"), () -> go(Whom.Group.CHILDREN));
    inside.setId("offering-inside");
    inside.managedProperty().bind(inside.visibleProperty());
    HBox head = new HBox(8, on, Parts.gap(), up, down);
    head.setAlignment(Pos.CENTER_LEFT);
    filter.setId("offering-filter");
    Parts.prompt(filter, Ui.text("offering.filter"));
    filter.textProperty().addListener((o, a, b) -> rows());
    filter.setOnAction(e -> first());
    wrong.setId("offering-wrong");
    wrong.managedProperty().bind(wrong.textProperty().isNotEmpty());
    rows.setId("offering-rows");
    ScrollPane scroll = Skins.on(new ScrollPane(rows));
    scroll.setFitToWidth(true);
    scroll.setFocusTraversable(false);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    getChildren().addAll(head, inside, filter, wrong, scroll);
    addEventFilter(
        KeyEvent.KEY_PRESSED,
        e -> {
          if (e.getCode() == KeyCode.ESCAPE) {
            e.consume();
            listener.leave();
          }
        });
    setOnMousePressed(e -> e.consume());
    refresh();
  }

  /** Gives the keys to what narrows it. */
  void focusFilter() {
    filter.requestFocus();
  }

  /** Looks again at what is selected and what fits. */
  void refresh() {
    Snapshot now = session.now();
    fits = Fits.of(now.library(), now.heard().keymap(), program);
    List<String> selected = program.selected();
    on.setText(
        switch (selected.size()) {
          case 0 -> Ui.text("offering.nothing");
          case 1 -> selected.getFirst();
          default -> Ui.text("offering.many", selected.size());
        });
    up.setDisable(!fits.up());
    down.setDisable(!fits.down());
    inside.setVisible(fits.down());
    if (!fits.down()) {
      inside.setSelected(false);
    }
    rows();
  }

  private void go(Whom.Group group) {
    focusFilter(); // the button may be disabled now
    listener.select(group);
    refresh();
  }

  private List<Fit> shown() {
    String[] words = filter.getText().toLowerCase(Locale.ROOT).strip().split("\\s+");
    return fits.all().stream()
        .filter(
            f -> {
              String all =
                  (switch (f) {
                        case Fit.Does d -> d.routine().name() + " " + d.routine().category();
                        case Fit.Adjusts a -> a.name();
                      })
                      .toLowerCase(Locale.ROOT);
              for (String w : words) {
                if (!all.contains(w)) {
                  return false;
                }
              }
              return true;
            })
        .toList();
  }

  private void rows() {
    rows.getChildren().clear();
    for (Fit fit : shown()) {
      rows.getChildren()
          .add(
              switch (fit) {
                case Fit.Does d -> does(d);
                case Fit.Adjusts a -> adjusts(a);
              });
    }
    if (rows.getChildren().isEmpty()) {
      rows.getChildren().add(Parts.wrapped(Ui.text("offering.none"), "soft"));
    }
  }

  private void first() {
    shown().stream()
        .filter(f -> f instanceof Fit.Does)
        .findFirst()
        .ifPresent(f -> run(((Fit.Does) f).routine(), arguments((Fit.Does) f)));
  }

  private static Map<String, Value> arguments(Fit.Does d) {
    return d.here().stream().findFirst().map(Binding::arguments).orElse(Map.of());
  }

  private void run(Routine routine, Map<String, Value> arguments) {
    listener.run(Fits.run(routine, inside.isSelected()), arguments);
  }

  private HBox does(Fit.Does d) {
    Routine routine = d.routine();
    Map<String, TextField> fields = new LinkedHashMap<>();
    Button button =
        Parts.button("fit-" + routine.id(), routine.name(), () -> runWith(routine, fields), "link");
    HBox row = new HBox(8, button);
    Map<String, Value> given = arguments(d);
    for (Parameter p : routine.parameters()) {
      TextField field =
          Skins.on(new TextField(given.getOrDefault(p.name(), p.otherwise()).shown()));
      field.setId("fit-" + routine.id() + "-" + p.name().replace(' ', '-'));
      field.getStyleClass().add("value");
      field.setPrefColumnCount(6);
      field.setAccessibleText(p.name());
      Tips.on(field, p.name());
      field.setOnAction(e -> runWith(routine, fields));
      fields.put(p.name(), field);
      if (fields.size() <= 2) {
        row.getChildren().add(field);
      }
    }
    row.getChildren().add(Parts.gap());
    if (routine.card().pinned()) {
      Label pinned = Parts.label(Ui.text("offering.pinned"), "soft");
      pinned.setMinWidth(USE_PREF_SIZE);
      row.getChildren().add(pinned);
    }
    d.here().stream()
        .findFirst()
        .ifPresent(
            b -> row.getChildren().add(KeyCaps.of(b.triggers().getFirst(), session.now().words())));
    row.setAlignment(Pos.CENTER_LEFT);
    row.getStyleClass().add("why-row");
    return row;
  }

  private void runWith(Routine routine, Map<String, TextField> fields) {
    Map<String, Value> arguments = new LinkedHashMap<>();
    for (Parameter p : routine.parameters()) {
      try {
        arguments.put(p.name(), p.kind().read(fields.get(p.name()).getText()));
      } catch (ValueException refused) {
        wrong.setText(p.name() + ": " + refused.allowed());
        fields.get(p.name()).requestFocus();
        return;
      }
    }
    run(routine, arguments);
  }

  private HBox adjusts(Fit.Adjusts a) {
    TextField field = Skins.on(new TextField(a.now().shown()));
    String id = "adjust-" + a.name().replace(' ', '-');
    field.setId(id);
    field.getStyleClass().add("value");
    field.setPrefColumnCount(6);
    field.setMinWidth(74);
    field.setAccessibleText(a.name());
    field.setOnAction(
        e -> {
          try {
            set(a, (Value.Quantity) a.range().read(field.getText()), id);
          } catch (ValueException refused) {
            wrong.setText(a.name() + ": " + refused.allowed());
          }
        });
    Label name = Parts.label(a.name());
    name.setMinWidth(98);
    Button less =
        Parts.button(id + "-less", "\u2212", () -> step(a, BigDecimal.valueOf(-1), id + "-less"));
    Button more = Parts.button(id + "-more", "+", () -> step(a, BigDecimal.ONE, id + "-more"));
    less.setAccessibleText(Ui.text("offering.less", a.name()));
    more.setAccessibleText(Ui.text("offering.more", a.name()));
    HBox row =
        new HBox(
            8,
            name,
            less,
            field,
            more,
            Parts.label(
                Ui.text("offering.range", a.range().least().shown(), a.range().most().shown()),
                "soft"));
    row.setAlignment(Pos.CENTER_LEFT);
    row.getStyleClass().add("why-row");
    return row;
  }

  /** One step of the value's range further, not beyond its ends. */
  private void step(Fit.Adjusts a, BigDecimal way, String keys) {
    BigDecimal by = a.range().step().amount().multiply(way);
    BigDecimal to = a.now().amount().add(by);
    BigDecimal clamped = to.max(a.range().least().amount()).min(a.range().most().amount());
    set(a, new Value.Quantity(clamped, a.now().scale()), keys);
  }

  private void set(Fit.Adjusts a, Value.Quantity to, String keys) {
    wrong.setText("");
    focusFilter(); // what has the keys is made anew
    listener.set(Fits.set(program.application(), a, to, inside.isSelected()));
    refresh();
    Platform.runLater(
        () -> {
          if (lookup("#" + keys) != null) {
            lookup("#" + keys).requestFocus();
          }
        });
  }
}
