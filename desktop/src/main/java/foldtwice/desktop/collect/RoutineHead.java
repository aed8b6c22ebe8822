package foldtwice.desktop.collect;

import foldtwice.binding.Binding;
import foldtwice.desktop.parts.Choices;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.view.Acts;
import foldtwice.desktop.view.Going;
import foldtwice.desktop.view.Target;
import foldtwice.fold.Unfolding;
import foldtwice.library.Bound;
import foldtwice.library.Edit;
import foldtwice.place.Application;
import foldtwice.place.Place;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The chosen routine's name, what it is, and what can be done with it. */
final class RoutineHead extends VBox {

  private final Chosen chosen;
  private final TextField name = Skins.on(new TextField());
  private final Label about = Parts.wrapped("", "soft");
  private final ComboBox<Binding> with = new ComboBox<>();
  private final Button run;
  private final Button unfold;
  private String named = "";
  private boolean typingName;
  private final ComboBox<Application> program = new ComboBox<>();
  private boolean filling;

  RoutineHead(Chosen chosen, Going going, Acts<CollectView> acts) {
    super(6);
    this.chosen = chosen;
    name.setId("routine-name");
    name.setAccessibleText(Ui.text("collect.name"));
    name.getStyleClass().add("title-field");
    name.textProperty().addListener((o, a, b) -> typingName = true);
    Parts.onKept(name, this::rename);
    about.setId("routine-about");
    run = acts.button("run-routine", "main");
    Button record =
        Parts.button(
            "record",
            Ui.text("act.record.button"),
            () -> chosen.routine().ifPresent(r -> going.to(new Target.Recording(r.application()))));
    Acts.tip(record, "record", "");
    HBox head = new HBox(8, name, Parts.gap(), record, acts.button("step-routine"), run);
    head.setAlignment(Pos.CENTER_LEFT);
    with.setId("run-with");
    with.setAccessibleText(Ui.text("collect.with"));
    Parts.shows(
        with,
        b ->
            b.id().isEmpty()
                ? Ui.text("collect.defaults")
                : chosen.session.now().words().arguments(b));
    unfold = acts.button("unfold-routine", "link");
    HBox tools =
        new HBox(
            12,
            acts.button("compare-routine", "link"),
            acts.button("copy-routine", "link"),
            unfold,
            acts.menu(
                "routine-more",
                Ui.text("collect.more"),
                "pin-routine",
                "aside-routine",
                "off-routine",
                "turn-routine",
                "",
                "remove-routine"),
            Parts.gap(),
            with);
    tools.setAlignment(Pos.CENTER_LEFT);
    program.setId("routine-program");
    program.setAccessibleText(Ui.text("collect.program"));
    program.setMinWidth(USE_PREF_SIZE);
    Parts.shows(program, Application::name);
    Parts.onChosen(program, this::chooseProgram);
    HBox.setHgrow(about, Priority.ALWAYS);
    about.setMaxWidth(Double.MAX_VALUE);
    HBox what = new HBox(8, about, program);
    what.setAlignment(Pos.CENTER_LEFT);
    getChildren().addAll(head, what, tools);
  }

  /** The routine is of another program from now on. */
  private void chooseProgram() {
    Application other = program.getValue();
    chosen
        .routine()
        .filter(r -> !filling && other != null && !other.id().equals(r.application()))
        .ifPresent(
            r ->
                chosen.session.make(
                    new Edit.PutRoutine(r.with(r.head().inApplication(other.id()))),
                    Ui.text("said.changed", r.name())));
  }

  void show(Snapshot now, Optional<Routine> shown, boolean narrow) {
    programs(now, shown);
    if (shown.isEmpty()) {
      named = "";
      name.clear();
      typingName = false;
      about.setText(Ui.text("collect.none"));
      Parts.there(unfold, false);
      Parts.there(with, false);
      return;
    }
    Routine of = shown.get();
    if (!typingName || !of.id().equals(named)) {
      named = of.id();
      Parts.write(name, of.name()); // a name being typed is left alone
      typingName = false;
    }
    run.setText(
        narrow
            ? Ui.text("act.run-routine.button")
            : Ui.text("collect.runon", now.words().place(new Place.Whole(of.application()))));
    about.setText(about(of));
    boolean loops = of instanceof Routine.Macro m && Unfolding.canUnfold(m.steps());
    Parts.there(unfold, loops);
    offerArguments(now, of);
  }

  private void programs(Snapshot now, Optional<Routine> shown) {
    filling = true;
    List<Application> all = List.copyOf(now.library().applications().values());
    if (!all.equals(program.getItems())) {
      program.getItems().setAll(all);
    }
    program.setValue(
        shown.map(r -> now.library().applications().get(r.application())).orElse(null));
    Parts.there(program, shown.isPresent());
    filling = false;
  }

  private static String about(Routine of) {
    List<String> parts = new ArrayList<>();
    parts.add(
        switch (of) {
          case Routine.Macro m -> Ui.text("collect.about", Line.count(m.steps()));
          case Routine.Script sc ->
              Ui.text("collect.aboutscript", (int) sc.source().lines().count());
          case Routine.PluginAction p -> Ui.text("collect.aboutplugin", p.addOn());
          case Routine.Stored c -> Ui.text("collect.aboutstored");
        });
    if (!of.manner().fromVersion().isEmpty()) {
      parts.add(Ui.text("facts.version", of.manner().fromVersion()));
    }
    if (of.card().off()) {
      parts.add(Ui.text("collect.isoff"));
    }
    if (!of.origin().from().isEmpty()) {
      parts.add(Ui.text("collect.from", of.origin().from()));
    }
    if (!of.card().note().isEmpty()) {
      parts.add(of.card().note());
    }
    return String.join(", ", parts);
  }

  /** What a run can be tried with: the arguments of the bindings, or the defaults. */
  private void offerArguments(Snapshot now, Routine of) {
    List<Binding> bindings = new ArrayList<>();
    bindings.add(Binding.fresh("", of.id(), new Place.Everywhere(), List.of(), Map.of()));
    Bound.to(now.library(), of.id()).stream()
        .filter(b -> !b.arguments().isEmpty())
        .forEach(bindings::add);
    if (!bindings.equals(with.getItems())) {
      with.getItems().setAll(bindings);
      with.setValue(bindings.size() > 1 ? bindings.get(1) : bindings.getFirst());
    }
    Choices.renew(with);
    boolean any = bindings.size() > 1;
    Parts.there(with, any);
  }

  /** The binding whose arguments a run is tried with; none for the defaults. */
  Optional<Binding> with() {
    return Optional.ofNullable(with.getValue()).filter(b -> !b.id().isEmpty());
  }

  Map<String, Value> arguments() {
    return with().map(Binding::arguments).orElse(Map.of());
  }

  /** Gives the name the keys, to be typed anew. */
  void focusName() {
    Parts.retype(name);
  }

  private void rename() {
    typingName = false;
    String typed = name.getText().strip();
    chosen
        .routine()
        .filter(r -> !r.name().equals(typed) && !typed.isEmpty())
        .ifPresent(
            r -> chosen.put(r.with(r.head().named(r.id(), typed)), Ui.text("said.renamed", typed)));
  }
}
