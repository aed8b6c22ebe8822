package foldtwice.desktop.collect;

import foldtwice.binding.Binding;
import foldtwice.desktop.parts.Contents;
import foldtwice.desktop.parts.KeyCaps;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Bound;
import foldtwice.library.Edit;
import foldtwice.place.Place;
import foldtwice.routine.Routine;
import foldtwice.trigger.Trigger;
import foldtwice.writing.Opposites;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What sets a routine off. A row that says what it said stays. */
final class BoundRows extends VBox {

  /** More are only counted. */
  private static final int MOST = 9;

  private final Session session;
  private final Consumer<String> onBinding;
  private final Label heading = FactsPanel.heading("facts.setoff");

  private final Contents contents = new Contents(this);

  /**
   * @param onBinding goes to a binding
   */
  BoundRows(Session session, Consumer<String> onBinding) {
    super(5);
    this.session = session;
    this.onBinding = onBinding;
  }

  /** A binding as its row says it. */
  private record Row(
      String id, String says, String where, Optional<Trigger> trigger, String written) {}

  /** What a routine is not bound to yet, as the other half of a binding. */
  private record Half(Binding binding, String arguments) {}

  void show(Snapshot now, Routine routine) {
    List<Binding> all = Bound.to(now.library(), routine.id());
    contents.add(heading, () -> heading);
    int seen = sights(all, Trigger.Sight.SEEN);
    int known = sights(all, Trigger.Sight.KNOWN);
    if (seen + known > 0) {
      add(Ui.text("facts.sight", seen, known));
    }
    for (Binding b : all.subList(0, Math.min(MOST, all.size()))) {
      Row row = row(now, b);
      contents.add(row, () -> node(row, now));
      half(now, all, b, routine).ifPresent(h -> contents.add(h, () -> node(b.id(), h)));
    }
    if (all.size() > MOST) {
      add(Ui.text("facts.more", all.size() - MOST));
    }
    contents.add(
        List.of("bind-it", routine.id(), routine.application()),
        () -> Parts.button("bind-it", Ui.text("facts.bind"), () -> bind(routine), "link"));
    contents.show();
  }

  private void add(String says) {
    contents.add(says, () -> Parts.label(says, "soft"));
  }

  private static Row row(Snapshot now, Binding b) {
    String arguments = now.words().arguments(b);
    return new Row(
        b.id(),
        now.words().binding(b),
        (arguments.isEmpty() ? "" : arguments + ", ") + now.words().place(b.place()),
        b.triggers().stream().findFirst(),
        b.triggers().stream().findFirst().map(now.words()::trigger).orElse(""));
  }

  private Node node(Row row, Snapshot now) {
    Node keys =
        row.trigger
            .<Node>map(t -> KeyCaps.of(t, now.words()))
            .orElseGet(() -> Parts.label(Ui.text("notrigger"), "soft"));
    HBox box = new HBox(8, keys, Parts.wrapped(row.where));
    box.setAlignment(Pos.CENTER_LEFT);
    box.getStyleClass().add("why-row");
    box.setId("to-" + row.id);
    Parts.leads(box, row.says, () -> onBinding.accept(row.id));
    return box;
  }

  private static int sights(List<Binding> bindings, Trigger.Sight sight) {
    int count = 0;
    for (Binding b : bindings) {
      for (Trigger t : b.triggers()) {
        count += t.sight() == sight ? 1 : 0;
      }
    }
    return count;
  }

  /** The missing half of a pair. */
  private static Optional<Half> half(Snapshot now, List<Binding> all, Binding b, Routine routine) {
    return Opposites.of(routine, b.arguments())
        .filter(
            other ->
                all.stream()
                    .noneMatch(x -> x.place().equals(b.place()) && x.arguments().equals(other)))
        .map(other -> b.withRoutine(routine.id(), other).withTriggers(List.of()))
        .map(made -> new Half(made, now.words().arguments(made)));
  }

  private Node node(String id, Half half) {
    return Parts.button(
        "half-" + id, Ui.text("facts.half", half.arguments), () -> bindLike(half.binding), "link");
  }

  private void bind(Routine routine) {
    bindLike(
        Binding.fresh(
            "", routine.id(), new Place.Whole(routine.application()), List.of(), Map.of()));
  }

  private void bindLike(Binding like) {
    String id = session.freeBindingId();
    Binding fresh =
        new Binding(
            id, like.routine(), like.place(), like.triggers(), like.arguments(), 0, like.extras());
    session.make(
        new Edit.PutBinding(fresh), Ui.text("said.made", session.now().words().binding(fresh)));
    if (session.now().library().bindings().containsKey(id)) {
      onBinding.accept(id);
    }
  }
}
