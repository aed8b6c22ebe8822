package foldtwice.desktop.places;

import foldtwice.binding.Binding;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Refill;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.extras.Extras;
import foldtwice.library.Bound;
import foldtwice.library.Edit;
import foldtwice.library.Ids;
import foldtwice.library.Resetting;
import foldtwice.place.Application;
import foldtwice.place.Context;
import foldtwice.place.Place;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The contexts of an application as a tree; the chosen one can be changed. */
final class ContextsPane extends VBox {

  private final Session session;
  private final BiConsumer<String, List<Resetting.Change>> onReset;
  private final VBox rows = new VBox();
  private final TextField name = Skins.on(new TextField());
  private final CheckBox text = Skins.on(new CheckBox(Ui.text("places.text")));
  private final CheckBox group = Skins.on(new CheckBox(Ui.text("context.grouponly")));
  private final CheckBox pointer = Skins.on(new CheckBox(Ui.text("places.bypointer")));
  private final VBox form;

  /** How many there are, by place. */
  private final Map<Place, Integer> bindings = new HashMap<>();

  private Application application;
  private Optional<Context> chosen = Optional.empty();

  /**
   * Empty.
   *
   * @param onReset called with a name and the changed commands that shall be put back
   */
  ContextsPane(Session session, BiConsumer<String, List<Resetting.Change>> onReset) {
    super(6);
    this.session = session;
    this.onReset = onReset;
    setId("contexts-pane");
    name.setId("context-name");
    Parts.onKept(name, this::keep);
    text.setId("context-text");
    text.setOnAction(e -> keep());
    group.setId("context-group");
    group.setOnAction(e -> keep());
    pointer.setId("context-pointer");
    pointer.setOnAction(e -> keep());
    form =
        new VBox(
            6,
            name,
            new FlowPane(12, 4, text, group, pointer),
            Parts.button("context-remove", Ui.text("contexts.remove"), this::remove, "link"));
    form.managedProperty().bind(form.visibleProperty());
    getChildren()
        .addAll(
            rows, form, Parts.button("context-add", Ui.text("contexts.add"), this::add, "link"));
  }

  void show(Snapshot now, Application shown) {
    boolean other = application == null || !application.id().equals(shown.id());
    application = shown;
    chosen = other ? Optional.empty() : chosen.flatMap(c -> shown.context(c.id()));
    boolean had = Parts.hasKeys(rows);
    bindings.clear();
    for (Binding b : Bound.in(now.library(), shown.id())) {
      bindings.merge(b.place(), 1, Integer::sum);
    }
    Refill.with(
        rows,
        List.of(shown, chosen, Map.copyOf(bindings)),
        () -> {
          List<Node> all = new ArrayList<>();
          row(all, shown.name(), new Place.Whole(shown.id()), 0, "", Optional.empty());
          shown.contexts().forEach(c -> row(all, c, 1));
          return all;
        });
    form.setVisible(chosen.isPresent());
    chosen.ifPresent(
        c -> {
          Parts.renew(name, c.name());
          text.setSelected(c.takesText());
          group.setSelected(c.groupOnly());
          pointer.setSelected(shown.isByPointer(c.id()));
          pointer.setDisable(shown.path(c.id()).size() > 1); // those inside are chosen as it is
        });
    if (had && !Parts.hasKeys(rows)) {
      rows.lookup("#context-" + chosen.map(Context::id).orElse("whole")).requestFocus();
    }
  }

  private void row(List<Node> all, Context c, int depth) {
    List<String> kinds = new ArrayList<>();
    if (c.takesText()) {
      kinds.add(Ui.text("places.text"));
    } else if (c.groupOnly()) {
      kinds.add(Ui.text("context.grouponly"));
    }
    if (c.byPointer()) {
      kinds.add(Ui.text("places.bypointer"));
    }
    String kind = String.join(", ", kinds);
    row(all, c.name(), new Place.Within(application.id(), c.id()), depth, kind, Optional.of(c));
    c.inner().forEach(i -> row(all, i, depth + 1));
  }

  private void row(
      List<Node> all, String says, Place place, int depth, String kind, Optional<Context> context) {
    Region indent = new Region();
    indent.setMinWidth(depth * 16.0);
    Button choose =
        Parts.button(
            "context-" + context.map(Context::id).orElse("whole"),
            kind.isEmpty() ? says : says + ", " + kind,
            () -> {
              chosen = context;
              show(session.now(), application);
            },
            "quiet");
    choose.setStyle("-fx-padding: 1 4 1 0;");
    choose.setAlignment(Pos.CENTER_LEFT);
    choose.setMinWidth(70); // a long name takes a second line before the others are pushed out
    choose.setWrapText(true);
    choose.setMinHeight(Region.USE_PREF_SIZE);
    if (context.isPresent() && context.equals(chosen)) {
      choose.getStyleClass().add("good");
    }
    HBox row = new HBox(8, indent, choose, Parts.gap(), bound(bindings.getOrDefault(place, 0)));
    List<Resetting.Change> changes = Resetting.changes(session.now().library(), place);
    if (!changes.isEmpty()) {
      row.getChildren()
          .add(
              Parts.button(
                  "reset-" + place.id().replace('/', '-'),
                  Ui.text("places.changed", changes.size()),
                  () -> onReset.accept(says, changes),
                  "link"));
    }
    row.setAlignment(Pos.CENTER_LEFT);
    row.getStyleClass().add("why-row");
    all.add(row);
  }

  private void keep() {
    String named = name.getText().strip();
    if (chosen.isEmpty() || named.isEmpty()) {
      return;
    }
    put(
        application.withContext(
            chosen.get().id(),
            c ->
                Optional.of(
                    c.named(named, group.isSelected(), text.isSelected())
                        .chosen(!pointer.isDisabled() && pointer.isSelected()))));
  }

  /** A new one inside the chosen one, or an outermost one. */
  private void add() {
    List<Context> all = application.allContexts();
    String says = Ui.text("contexts.new");
    String id =
        Ids.free(
            Ids.of(says, "context"), wanted -> all.stream().anyMatch(c -> c.id().equals(wanted)));
    Context fresh = new Context(id, says, List.of(), false, false, false, Extras.NONE);
    List<Context> outermost = new ArrayList<>(application.contexts());
    outermost.add(fresh);
    Application next =
        chosen.isPresent()
            ? application.withContext(
                chosen.get().id(),
                c -> {
                  List<Context> inner = new ArrayList<>(c.inner());
                  inner.add(fresh);
                  return Optional.of(c.with(inner));
                })
            : application.withContexts(outermost);
    chosen = Optional.of(fresh);
    put(next);
    name.requestFocus();
    name.selectAll();
  }

  /** Takes a context away, unless something is in it. */
  private void remove() {
    if (chosen.isEmpty()) {
      return;
    }
    List<Place> gone = new ArrayList<>(application.places());
    Application next = application.withContext(chosen.get().id(), c -> Optional.empty());
    gone.removeAll(next.places());
    long bound =
        Bound.in(session.now().library(), application.id()).stream()
            .filter(b -> gone.contains(b.place()))
            .count();
    long commands = application.commands().stream().filter(c -> gone.contains(c.place())).count();
    long summoned =
        session.now().library().summoned().stream().filter(s -> gone.contains(s.place())).count();
    if (bound + commands + summoned > 0) {
      session.say(Ui.text("contexts.used", chosen.get().name(), bound, commands, summoned));
      return;
    }
    chosen = Optional.empty();
    put(next);
  }

  private void put(Application next) {
    if (!next.equals(application)) {
      session.make(new Edit.PutApplication(next), Ui.text("said.changed", next.name()));
    }
  }

  private static Label bound(long bound) {
    Label label = Parts.label(bound == 0 ? "" : Ui.text("places.bound", bound), "soft");
    label.setMinWidth(USE_PREF_SIZE);
    return label;
  }
}
