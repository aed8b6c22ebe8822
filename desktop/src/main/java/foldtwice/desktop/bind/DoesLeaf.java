package foldtwice.desktop.bind;

import foldtwice.binding.Binding;
import foldtwice.desktop.parts.Choices;
import foldtwice.desktop.parts.Lists;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Styles;
import foldtwice.desktop.parts.Tips;
import foldtwice.desktop.parts.UsesField;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.known.Touch;
import foldtwice.library.Bound;
import foldtwice.library.Edit;
import foldtwice.reading.Hindrance;
import foldtwice.reading.Reading;
import foldtwice.routine.Manner;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.run.Learnt;
import foldtwice.words.Words;
import foldtwice.writing.Opposites;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;

/** What a binding does: its routine and the arguments it gives. */
final class DoesLeaf extends Leaf {

  private final Session session;
  private final Several several;
  private final UsesField uses = new UsesField("uses", this::keepUses);
  private final Consumer<Binding> onAdd;
  private final ComboBox<Routine> routine = new ComboBox<>();
  private final Label kind = Parts.wrapped("", "soft");
  private final ArgumentFields arguments;
  private final Label acts = Parts.wrapped("");
  private final Label leaves = Parts.wrapped("", "good");
  private final Label hinders = Parts.wrapped("", "blocks");
  private final Label sight = Parts.wrapped("");
  private final HBox sightRow = Parts.fact(Ui.text("does.sight"), sight);
  private final HBox here = Parts.fact(Ui.text("does.here"), hinders);
  private final Button opposite;
  private final ComboBox<Optional<Manner.Asking>> asks = new ComboBox<>();
  private final HBox asksRow;
  private Binding binding;
  private Routine shown;

  private boolean filling;

  /**
   * Empty.
   *
   * @param several what is chosen with the one that is shown
   * @param onAdd adds a binding like this one
   * @param onFamily opens the family of what is chosen
   */
  DoesLeaf(Session session, Several several, Consumer<Binding> onAdd, Runnable onFamily) {
    super("leaf-does", Ui.text("leaf.does"));
    this.session = session;
    this.several = several;
    this.onAdd = onAdd;
    this.arguments = new ArgumentFields(session, several);
    routine.setId("routine");
    routine.setAccessibleText(Ui.text("does.routine"));
    routine.setMaxWidth(Double.MAX_VALUE);
    routine.setStyle("-fx-font-family: 'Hanken Grotesk SemiBold'; -fx-font-size: 17px;");
    Parts.shows(routine, Routine::name);
    Parts.onChosen(routine, this::chooseRoutine);
    opposite = Parts.button("opposite", Ui.text("does.opposite"), () -> add(opposite()));
    hinders.setId("hinders");
    asks.setId("binding-asks");
    asks.setAccessibleText(Ui.text("does.asks"));
    asks.getItems().add(Optional.empty());
    Stream.of(Manner.Asking.values()).map(Optional::of).forEach(asks.getItems()::add);
    Parts.shows(asks, this::asking);
    Parts.onChosen(asks, this::chooseAsking);
    asksRow = Parts.fact(Ui.text("does.asks"), asks);
    asksRow.setAlignment(Pos.CENTER_LEFT);
    Button copy = Parts.button("copy", Ui.text("does.copy"), () -> add(binding.arguments()));
    Button family = Parts.button("family-open", Ui.text("bind.family"), onFamily);
    Tips.on(family, Ui.text("bind.family.hint"));
    FlowPane buttons = new FlowPane(8, 6, copy, opposite, family);
    body(
        routine,
        kind,
        arguments,
        asksRow,
        Parts.fact(Ui.text("does.acts"), acts),
        Parts.fact(Ui.text("does.leaves"), leaves),
        here,
        sightRow,
        Parts.fact(Ui.text("does.uses"), uses),
        buttons);
    sightRow.managedProperty().bind(sightRow.visibleProperty());
  }

  void show(Snapshot now, Binding b) {
    binding = b;
    Routine of = now.library().routineOf(b).orElse(null);
    filling = true;
    Lists.follow(routine.getItems(), List.copyOf(now.library().routines().values()));
    routine.setValue(of);
    filling = false;
    sight.setText(now.words().sight(b.triggers()));
    sightRow.setVisible(!sight.getText().isEmpty());
    shown = of;
    if (!uses.isFocused()) {
      uses.show(binding == null ? 0 : binding.usesPerWeek());
    }
    arguments.show(b, of);
    if (of == null) {
      return;
    }
    String in = Ui.text("does.in", Bound.to(now.library(), of.id()).size());
    String application =
        Optional.ofNullable(now.library().applications().get(of.application()))
            .map(a -> a.name())
            .orElse(of.application());
    kind.setText(Ui.text("does.kind", Ui.text("does.kind." + kind(of)), application, in));
    acts.setText(Words.target(of.target()));
    Reading reading = now.readings().of(of);
    leaves(reading);
    if (reading.beyond().contains(Reading.Beyond.SCRIPT) && of.origin().seen()) {
      session.learning().of(of, now, learnt -> leaves(of, learnt));
    }
    hinders(now, of);
    showAsking(b, of);
    opposite.setDisable(opposite().equals(b.arguments()));
  }

  private void showAsking(Binding b, Routine of) {
    boolean some = !of.parameters().isEmpty();
    Parts.there(asksRow, some);
    filling = true;
    Choices.renew(asks);
    asks.setValue(b.fitting().asks());
    filling = false;
  }

  private String asking(Optional<Manner.Asking> how) {
    return how.map(a -> Ui.text("asking." + a))
        .orElseGet(
            () ->
                shown == null
                    ? ""
                    : Ui.text("does.asks.routine", Ui.text("asking." + shown.manner().asking())));
  }

  private void chooseAsking() {
    Optional<Manner.Asking> how = asks.getValue();
    if (filling || how == null || how.equals(binding.fitting().asks())) {
      return;
    }
    session.make(
        new Edit.PutBinding(binding.withFitting(binding.fitting().asking(how))),
        Ui.text("said.changed", session.now().words().binding(binding)));
  }

  /** A setting left changed is flagged, unless the routine does nothing else. */
  private void leaves(Reading reading) {
    boolean good = true;
    if (reading.touches().contains(Touch.UNDO_HISTORY)) {
      leaves.setText(Ui.text("facts.empties"));
      good = false;
    } else if (reading.touches().contains(Touch.DATA)) {
      leaves.setText(Ui.text("does.data"));
      good = false;
    } else if (!reading.beyond().isEmpty() && reading.leaves().isEmpty()) {
      leaves.setText(
          reading.beyond().stream().map(Words::beyond).collect(Collectors.joining(", ")));
      good = false;
    } else if (!reading.leaves().isEmpty()) {
      good = reading.onlySettings();
      leaves.setText(
          Ui.text(good ? "does.changes" : "facts.leaves", String.join(", ", reading.leaves())));
    } else {
      leaves.setText(
          reading.putBack().isEmpty()
              ? Ui.text("does.nothing")
              : Ui.text("does.putback", String.join(", ", reading.putBack())));
    }
    Styles.one(leaves, good ? "good" : "costs", List.of("good", "costs"));
  }

  private static String kind(Routine of) {
    return of.getClass().getSimpleName();
  }

  /** What a script was seen to leave, if it is still the one in view. */
  private void leaves(Routine of, Learnt learnt) {
    if (of.equals(shown)) {
      boolean good = learnt.leaves().isEmpty() && !learnt.touches().contains(Touch.UNDO_HISTORY);
      leaves.setText(
          Ui.text(
              "does.seen",
              good
                  ? Ui.text("does.nothing")
                  : Ui.text("facts.leaves", String.join(", ", learnt.leaves())),
              learnt.runs()));
      Styles.one(leaves, good ? "good" : "costs", List.of("good", "costs"));
    }
  }

  /** What keeps it from working on the station in view. */
  private void hinders(Snapshot now, Routine of) {
    List<Hindrance> all = now.readings().hindrances(of);
    if (!all.isEmpty()) {
      String first = now.words().hindrance(all.getFirst());
      hinders.setText(all.size() == 1 ? first : Ui.text("does.andmore", all.size() - 1, first));
    }
    Parts.there(here, !all.isEmpty());
  }

  private void keepUses(double next) {
    if (binding != null) {
      several.change(
          binding, b -> true, b -> b.used(next), Ui.text("said.changed", Ui.text("does.uses")));
      uses.show(binding.usesPerWeek());
    }
  }

  private void chooseRoutine() {
    Routine next = routine.getValue();
    if (!filling && next != null && !next.id().equals(binding.routine())) {
      several.change(
          binding,
          b -> true,
          b -> b.withRoutine(next.id(), Map.of()),
          Ui.text("said.changed", next.name()));
    }
  }

  /** The arguments of the other half; those of this one where there is none. */
  private Map<String, Value> opposite() {
    return Opposites.of(shown, binding.arguments()).orElse(binding.arguments());
  }

  private void add(Map<String, Value> arguments) {
    onAdd.accept(binding.withRoutine(binding.routine(), arguments).withTriggers(List.of()));
  }

  void focusRoutine() {
    routine.requestFocus();
  }
}
