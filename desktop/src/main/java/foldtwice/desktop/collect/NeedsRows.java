package foldtwice.desktop.collect;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Edit;
import foldtwice.place.AddOn;
import foldtwice.place.Application;
import foldtwice.place.Context;
import foldtwice.routine.Manner;
import foldtwice.routine.Routine;
import foldtwice.routine.Target;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What a routine acts on, when it asks and what it needs to begin, each to be changed in place. */
final class NeedsRows extends VBox {

  private final Session session;
  private final Supplier<Routine> now;
  private final Routine routine;
  private final Label wrong = Parts.wrapped("", "blocks");

  /**
   * @param now the routine as it is when something is changed; its steps may be others by then
   */
  NeedsRows(Session session, Supplier<Routine> now) {
    this.session = session;
    this.now = now;
    this.routine = now.get();
    setId("needs");
    Manner manner = routine.manner();
    row(
        "facts.actson",
        choice("target", Target.values(), routine.target(), Words::target, this::aim));
    row(
        "facts.asks",
        choice(
            "asks",
            Manner.Asking.values(),
            manner.asking(),
            a -> Ui.text("asking." + a),
            a -> put(manner.asking(a))));
    row(
        "needs.version",
        text("needs-version", manner.fromVersion(), "needs.any", t -> put(manner.fromVersion(t))));
    row(
        "needs.addons",
        text(
            "needs-addons",
            manner.addOns().stream()
                .map(a -> (a.name() + " " + a.version()).strip())
                .collect(Collectors.joining(", ")),
            "needs.none",
            t -> put(manner.withAddOns(parts(t).stream().map(NeedsRows::addOn).toList()))));
    row(
        "needs.startin",
        text(
            "needs-startin",
            manner.startIn().stream().map(this::name).collect(Collectors.joining(", ")),
            "needs.anywhere",
            this::startIn));
    row(
        "needs.opened",
        text("needs-opened", manner.opened(), "needs.nodialog", t -> put(manner.opened(t))));
    wrong.setId("needs-wrong");
    wrong.visibleProperty().bind(wrong.textProperty().isNotEmpty());
    wrong.managedProperty().bind(wrong.visibleProperty());
    getChildren().add(wrong);
  }

  private void row(String key, Node field) {
    HBox row = Parts.fact(Ui.text(key), field);
    row.getStyleClass().add("why-row");
    row.setAlignment(Pos.CENTER_LEFT);
    field.setAccessibleText(Ui.text(key));
    getChildren().add(row);
  }

  private void put(Manner manner) {
    put(now.get().withManner(manner));
  }

  private void put(Routine next) {
    session.make(new Edit.PutRoutine(next), Ui.text("said.changed", next.name()));
  }

  private void aim(Target target) {
    put(now.get().with(now.get().head().with(target)));
  }

  private static TextField text(String id, String now, String prompt, Consumer<String> onChanged) {
    TextField field = Skins.on(new TextField(now));
    field.setId(id);
    field.setMinWidth(0);
    Parts.prompt(field, Ui.text(prompt));
    Parts.onKept(
        field,
        () -> {
          if (!field.getText().strip().equals(now)) {
            onChanged.accept(field.getText().strip());
          }
        });
    return field;
  }

  /** A choice of a value. */
  static <T> ComboBox<T> choice(
      String id, T[] values, T now, Function<T, String> words, Consumer<T> onChosen) {
    ComboBox<T> box = new ComboBox<>();
    box.setId(id);
    box.getItems().setAll(values);
    Parts.shows(box, words);
    box.setValue(now);
    box.setMaxWidth(196);
    box.setMinWidth(0);
    Parts.onChosen(
        box,
        () -> {
          if (!box.getValue().equals(now)) {
            onChosen.accept(box.getValue());
          }
        });
    return box;
  }

  private static List<String> parts(String text) {
    return Arrays.stream(text.split(",")).map(String::strip).filter(p -> !p.isEmpty()).toList();
  }

  /** A name, and the least version where a number stands behind it. */
  private static AddOn addOn(String text) {
    int last = text.lastIndexOf(' ');
    boolean version = last > 0 && Character.isDigit(text.charAt(last + 1));
    return version
        ? new AddOn(text.substring(0, last).strip(), text.substring(last + 1))
        : new AddOn(text, "");
  }

  // contexts, by their names

  private List<Context> contexts() {
    Application of = session.now().library().applications().get(routine.application());
    List<Context> all = new ArrayList<>();
    if (of != null) {
      gather(of.contexts(), all);
    }
    return all;
  }

  private static void gather(List<Context> contexts, List<Context> all) {
    for (Context c : contexts) {
      all.add(c);
      gather(c.inner(), all);
    }
  }

  private String name(String id) {
    return contexts().stream()
        .filter(c -> c.id().equals(id))
        .map(Context::name)
        .findFirst()
        .orElse(id);
  }

  private void startIn(String typed) {
    List<String> ids = new ArrayList<>();
    for (String one : parts(typed)) {
      Optional<Context> found =
          contexts().stream()
              .filter(c -> c.name().equalsIgnoreCase(one) || c.id().equals(one))
              .findFirst();
      if (found.isEmpty()) {
        wrong.setText(
            Ui.text(
                "needs.nocontext",
                one,
                contexts().stream().map(Context::name).collect(Collectors.joining(", "))));
        return;
      }
      ids.add(found.get().id());
    }
    put(routine.manner().startingIn(ids));
  }
}
