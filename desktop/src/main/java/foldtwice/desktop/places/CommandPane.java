package foldtwice.desktop.places;

import foldtwice.binding.Binding;
import foldtwice.desktop.parts.KeyCaps;
import foldtwice.desktop.parts.KeysField;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.RoutineField;
import foldtwice.desktop.parts.UsesField;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.known.Touch;
import foldtwice.library.Edit;
import foldtwice.library.Resetting;
import foldtwice.place.Application;
import foldtwice.place.NativeCommand;
import foldtwice.place.Place;
import foldtwice.place.Rule;
import foldtwice.reading.Reading;
import foldtwice.resolve.Afterwards;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Owner;
import foldtwice.routine.Routine;
import foldtwice.trigger.Trigger;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.beans.binding.Bindings;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/**
 * The chosen native command: other triggers for it, none, those it came with, or a routine in its
 * place.
 */
final class CommandPane extends VBox {

  private final Session session;
  private final Label title = Parts.label("", "strong");
  private final FlowPane triggers = new FlowPane(10, 5);
  private final KeysField field;
  private final UsesField uses = new UsesField("command-uses", this::used);
  private final VBox question = new VBox(5);
  private final Label after = Parts.wrapped("", "soft");
  private final RoutineField routines =
      new RoutineField("command-routine", Ui.text("command.routine"), Routine::name, this::compare);
  private final Label compared = Parts.wrapped("", "soft");
  private final Button replace;
  private Application application;
  private NativeCommand command;

  /**
   * Shows nothing.
   *
   * @param onNext goes to the next command that nothing sets off
   */
  CommandPane(Session session, Runnable onNext) {
    super(6);
    this.session = session;
    setId("command-pane");
    getStyleClass().add("command-pane");
    field =
        new KeysField(
            "command-keys",
            () -> session.now().keymap().layout(),
            () -> application.mostStrokes(),
            this::offer);
    field.setPrefWidth(290);
    after.setId("command-after");
    after.managedProperty().bind(after.textProperty().isNotEmpty());
    question.setId("command-question");
    question.managedProperty().bind(Bindings.isNotEmpty(question.getChildren()));
    routines.setPrefWidth(240);
    replace = Parts.button("command-replace", Ui.text("command.replace"), this::replace);
    compared.setId("command-compared");
    compared.managedProperty().bind(compared.textProperty().isNotEmpty());
    FlowPane instead =
        new FlowPane(8, 4, Parts.label(Ui.text("command.instead"), "soft"), routines, replace);
    FlowPane keys =
        new FlowPane(
            10,
            4,
            Parts.label(Ui.text("command.give"), "soft"),
            field,
            Parts.label(Ui.text("does.uses"), "soft"),
            uses,
            Parts.button("command-next", Ui.text("command.next"), onNext, "link"));
    getChildren().addAll(title, triggers, after, keys, question, instead, compared);
    setVisible(false);
    managedProperty().bind(visibleProperty());
  }

  /** Shows a command, or nothing. */
  void show(Snapshot now, Application of, NativeCommand chosen) {
    boolean other = command == null || chosen == null || !command.id().equals(chosen.id());
    application = of;
    command = chosen;
    setVisible(chosen != null);
    if (chosen == null) {
      return;
    }
    if (other) {
      after.setText("");
      field.clear();
      question.getChildren().clear();
      compared.setText("");
      routines.offer(
          now.library().routines().values().stream()
              .filter(r -> r.application().equals(of.id()))
              .toList());
      replace.setDisable(true);
    }
    String menu = String.join(" \u203a ", chosen.menuPath());
    title.setText(
        menu.isEmpty()
            ? Words.command(of, chosen)
            : Words.command(of, chosen) + "  \u2013  " + menu);
    if (other || !uses.isFocused()) {
      uses.show(chosen.usesPerWeek());
    }
    showTriggers(now);
  }

  private void used(double timesAWeek) {
    session.make(
        new Edit.Use(application.id(), command.id(), timesAWeek),
        Ui.text("said.commandused", command.name(), Words.number(timesAWeek)));
    uses.show(command.usesPerWeek());
  }

  /** Gives the keys to where keys are pressed. */
  void focusKeys() {
    field.focusButton();
  }

  private void showTriggers(Snapshot now) {
    if (Parts.hasKeys(triggers)) {
      field.focusButton(); // what had the keys is gone now
    }
    triggers.getChildren().clear();
    if (command.triggers().isEmpty()) {
      triggers.getChildren().add(Parts.label(Ui.text("command.none"), "soft"));
    }
    for (int i = 0; i < command.triggers().size(); i++) {
      Trigger t = command.triggers().get(i);
      HBox one =
          new HBox(
              6,
              KeyCaps.of(t, now.words()),
              Parts.button("command-away-" + i, Ui.text("sets.away"), () -> away(t), "link"));
      one.setAlignment(Pos.CENTER_LEFT);
      triggers.getChildren().add(one);
    }
    if (command.isChanged()) {
      String by =
          command.byDefault().isEmpty()
              ? Ui.text("command.none")
              : command.byDefault().stream()
                  .map(now.words()::trigger)
                  .collect(Collectors.joining(", "));
      triggers
          .getChildren()
          .addAll(
              Parts.label(Ui.text("command.default", by), "costs"),
              Parts.button("command-reset", Ui.text("command.reset"), this::reset, "link"));
    }
    replacing(now)
        .ifPresent(
            b ->
                triggers
                    .getChildren()
                    .add(Parts.label(Ui.text("command.replaced", now.words().binding(b)), "good")));
  }

  /** The binding that stands in the command's place. */
  private Optional<Binding> replacing(Snapshot now) {
    return now.library().bindings().values().stream()
        .filter(
            b ->
                b.fitting()
                    .replaces()
                    .filter(
                        r ->
                            r.application().equals(application.id())
                                && r.command().equals(command.id()))
                    .isPresent())
        .findFirst();
  }

  private void away(Trigger gone) {
    List<Trigger> rest = new ArrayList<>(command.triggers());
    rest.remove(gone);
    remap(rest, Ui.text("said.tookaway", session.now().words().trigger(gone)));
    comesTo(List.of(gone));
  }

  private void reset() {
    List<Trigger> had = command.triggers();
    remap(command.byDefault(), Ui.text("said.reset", command.name()));
    comesTo(Stream.concat(had.stream(), command.triggers().stream()).distinct().toList());
  }

  private void remap(List<Trigger> next, String said) {
    session.make(new Edit.Remap(application.id(), command.id(), next), said);
  }

  /** Says what presses come to from now on. */
  private void comesTo(List<Trigger> pressed) {
    Snapshot now = session.now();
    after.setText(
        pressed.stream()
            .map(
                t ->
                    Ui.text(
                        "command.after",
                        now.words().trigger(t),
                        now.words().afterwards(Afterwards.of(now.keymap(), command.place(), t))))
            .collect(Collectors.joining("\n")));
  }

  /** Takes a free trigger at once; one with consequences only when a person says so. */
  private void offer(Trigger.Keys keys) {
    if (!session.mayWrite()) {
      session.make(new Edit.Together(List.of()), "");
      return;
    }
    List<String> against = against(session.now(), keys);
    question.getChildren().clear();
    if (against.isEmpty()) {
      take(keys);
      return;
    }
    against.forEach(a -> question.getChildren().add(Parts.wrapped(a, "costs")));
    Button leave =
        Parts.button(
            "command-leave",
            Ui.text("sets.leave"),
            () -> {
              field.focusButton();
              question.getChildren().clear();
            });
    question
        .getChildren()
        .add(
            new HBox(
                8,
                leave,
                Parts.button("command-take", Ui.text("sets.take"), () -> take(keys), "main")));
    leave.requestFocus();
  }

  /** What speaks against a trigger: rules, and who has it where the command is heard. */
  private List<String> against(Snapshot now, Trigger.Keys keys) {
    List<String> all = new ArrayList<>();
    for (Rule rule : application.rules(command.place())) {
      if (!rule.accepts(keys, now.keymap().layout())) {
        all.add(now.words().rule(rule, command.place()));
      }
    }
    Set<Place> states = Set.copyOf(now.keymap().statesOf(command.place()));
    Owner self = new Owner.Native(application.id(), command.id());
    now.keymap().claimsOn(keys).stream()
        .filter(c -> !c.owner().equals(self))
        .filter(c -> now.keymap().statesOf(c.place()).stream().anyMatch(states::contains))
        .map(c -> hasIt(now, c))
        .distinct()
        .forEach(all::add);
    return all;
  }

  private static String hasIt(Snapshot now, Claim c) {
    return Ui.text("command.taken", now.words().owner(c.owner()), now.words().place(c.place()));
  }

  private void take(Trigger.Keys keys) {
    field.focusButton();
    question.getChildren().clear();
    List<Trigger> next = new ArrayList<>(command.triggers());
    if (!next.contains(keys)) {
      next.add(keys);
    }
    String said = Ui.text("said.bound", command.name(), session.now().words().trigger(keys));
    remap(next, said);
    field.clear();
    comesTo(List.of(keys));
  }

  /** What the command changes and what the routine does, side by side. */
  private void compare() {
    Routine routine = routines.chosen().orElseThrow();
    replace.setDisable(false);
    String its =
        session.known().program(application.id()).stream()
            .flatMap(f -> f.commands().stream())
            .filter(c -> c.id().equals(command.id()))
            .map(c -> changes(c.effects().touches(), c.effects().settings(), List.of()))
            .findFirst()
            .orElse(Ui.text("command.unknown"));
    Reading reading = session.now().readings().of(routine);
    compared.setText(
        Ui.text(
            "command.compared",
            command.name(),
            its,
            routine.name(),
            changes(
                reading.touches(),
                reading.leaves(),
                reading.beyond().stream().map(Words::beyond).toList())));
  }

  private static String changes(
      Collection<Touch> touches, Collection<String> settings, List<String> beyond) {
    List<String> all = new ArrayList<>(touches.stream().sorted().map(Words::touch).toList());
    settings.stream().sorted().forEach(all::add);
    all.addAll(beyond);
    return all.isEmpty() ? Ui.text("does.nothing") : String.join(", ", all);
  }

  private void replace() {
    if (!session.mayWrite()) {
      return;
    }
    Routine routine = routines.chosen().orElseThrow();
    Binding fresh =
        Binding.fresh(session.freeBindingId(), routine.id(), command.place(), List.of(), Map.of());
    List<Trigger> had = command.triggers();
    session.make(
        Resetting.replace(application, command, fresh, List.of()),
        Ui.text("said.inplace", routine.name(), command.name()));
    comesTo(had);
    field.focusButton();
  }
}
