package foldtwice.desktop.places;

import foldtwice.desktop.parts.KeyCaps;
import foldtwice.desktop.parts.KeysField;
import foldtwice.desktop.parts.Marks;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.view.OwnCheck;
import foldtwice.desktop.view.OwnKeys;
import foldtwice.trigger.Trigger;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * The actions of this application and the keys a person gives them, under the same check as
 * everybody's keys, on every station of the library.
 */
final class OwnKeysPane extends VBox {

  private static final int MOST_STROKES = 1;

  private final Session session;
  private final TextField filter = Skins.on(new TextField());
  private final VBox rows = new VBox(2);
  private final KeysField keys;
  private final VBox advice = new VBox(3);
  private String chosen = "";

  OwnKeysPane(Session session) {
    super(10);
    this.session = session;
    setId("own-keys-pane");
    getStyleClass().add("collect-middle");
    filter.setId("own-filter");
    Parts.prompt(filter, Ui.text("own.filter"));
    filter.setMaxWidth(320);
    filter.textProperty().addListener((o, a, b) -> fill());
    keys =
        new KeysField(
            "own-keys", () -> session.now().keymap().layout(), () -> MOST_STROKES, this::give);
    keys.onTyped(() -> keys.keys().ifPresentOrElse(this::advise, advice.getChildren()::clear));
    advice.setId("own-advice");
    getChildren()
        .addAll(
            Parts.label(Ui.text("own.title"), "title"),
            Parts.wrapped(Ui.text("own.hint"), "soft"),
            filter,
            rows);
  }

  void show() {
    if (!Parts.hasKeys(rows)) {
      fill(); // what is being typed or pressed there is left alone
    }
  }

  private void fill() {
    boolean keysHere = Parts.hasKeys(rows);
    rows.getChildren().clear();
    String wanted = filter.getText().strip().toLowerCase(Locale.ROOT);
    OwnKeys.get()
        .acts()
        .forEach(
            (id, says) -> {
              String all = says + " " + OwnKeys.get().keys(id);
              if (all.toLowerCase(Locale.ROOT).contains(wanted)) {
                rows.getChildren().add(row(id, says));
              }
            });
    if (keysHere) {
      filter.requestFocus();
    }
  }

  private Node row(String id, String says) {
    Label what = Parts.label(says);
    HBox.setHgrow(what, Priority.ALWAYS);
    what.setMaxWidth(Double.MAX_VALUE);
    HBox row = new HBox(10, what);
    row.setAlignment(Pos.CENTER_LEFT);
    row.setMaxWidth(620);
    OwnKeys.get()
        .of(id)
        .ifPresent(t -> row.getChildren().add(KeyCaps.of(t, session.now().words())));
    row.getChildren()
        .add(Parts.button("own-change-" + id, Ui.text("own.change"), () -> open(id), "link"));
    row.getStyleClass().add("why-row");
    return id.equals(chosen) ? new VBox(4, row, editor(id)) : row;
  }

  private Node editor(String id) {
    HBox ways =
        new HBox(8, Parts.button("own-none", Ui.text("own.none"), () -> give(Optional.empty())));
    OwnKeys.get()
        .shipped(id)
        .filter(s -> !OwnKeys.get().of(id).equals(Optional.of(s)))
        .ifPresent(
            s ->
                ways.getChildren()
                    .add(
                        Parts.button(
                            "own-shipped",
                            Ui.text("own.shipped", session.now().words().trigger(s)),
                            () -> give(Optional.of(s)))));
    VBox box = new VBox(6, keys, ways, advice);
    box.setMaxWidth(620);
    box.getStyleClass().addAll("said", "note");
    return box;
  }

  private void open(String id) {
    chosen = id;
    keys.clear();
    advice.getChildren().clear();
    OwnKeys.get().of(id).ifPresent(this::advise);
    fill();
    keys.requestFocus();
  }

  /** What was pressed or typed is taken when it is free; else a person says so. */
  private void give(Trigger.Keys trigger) {
    keys.set(trigger);
    boolean free = advise(trigger);
    if (trigger.strokes().size() > MOST_STROKES) {
      advice.getChildren().setAll(Parts.wrapped(Ui.text("own.onestroke"), "blocks"));
    } else if (free) {
      give(Optional.of(trigger));
    }
  }

  private void give(Optional<Trigger.Keys> trigger) {
    OwnKeys.get().give(chosen, trigger);
    session.say(
        Ui.text(
            "said.changed",
            OwnKeys.get().acts().get(chosen)
                + trigger.map(t -> ": " + session.now().words().trigger(t)).orElse("")));
    chosen = "";
    fill();
    filter.requestFocus();
  }

  /** Shows what a key would meet on the stations of the library; true when it is free on all. */
  private boolean advise(Trigger.Keys trigger) {
    OwnKeys own = OwnKeys.get();
    List<OwnCheck.Told> told =
        new OwnCheck(session.now().library(), own.without(chosen), own.acts()).on(chosen, trigger);
    advice.getChildren().clear();
    if (told.isEmpty()) {
      advice.getChildren().add(Parts.label(Ui.text("own.free"), "good"));
    }
    for (OwnCheck.Told t : told) {
      HBox row =
          new HBox(
              7,
              Marks.of(t.conflict().weight()),
              Parts.wrapped(Ui.text("own.meets", t.station().name(), t.sentence())));
      advice.getChildren().add(row);
    }
    if (!told.isEmpty() && keys.keys().isPresent()) {
      advice
          .getChildren()
          .add(
              Parts.button(
                  "own-take", Ui.text("sets.take"), () -> give(Optional.of(trigger)), "link"));
    }
    return told.isEmpty();
  }
}
