package foldtwice.desktop.parts;

import foldtwice.binding.Binding;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Bound;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.OneStep;
import foldtwice.place.Application;
import foldtwice.place.Place;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.trigger.Trigger;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** From a key or a button to what it shall do: what it does already, and a routine to give it. */
public final class GiveForm extends VBox {

  /** What a key can be given. */
  private enum What {
    ROUTINE,
    /** A program that is started. */
    PROGRAM,
    /** A text that is typed. */
    TEXT
  }

  private final Session session;
  private final VBox does = new VBox(3);
  private final Contents contents = new Contents(does);
  private final RoutineField routines =
      new RoutineField("give-routine", Ui.text("give.routine"), this::named, this::offerPlaces);
  private final ComboBox<Place> places = new ComboBox<>();
  private final Map<What, ToggleButton> chips;
  private final ComboBox<Application> program = new ComboBox<>();
  private final TextField text = Skins.on(new TextField());
  private final StackPane given = new StackPane();
  private What what = What.ROUTINE;
  private String within = "";
  private final Button give;
  private Trigger trigger;

  public GiveForm(Session session) {
    super(6);
    this.session = session;
    does.setId("give-does");
    routines.setPrefWidth(262);
    places.setId("give-place");
    places.setAccessibleText(Ui.text("names.giveplace"));
    places.setPrefWidth(190);
    Parts.shows(places, p -> session.now().library().nameOf(p));
    program.setId("give-program");
    program.setAccessibleText(Ui.text("give.PROGRAM"));
    Parts.shows(program, Application::name);
    Parts.prompt(program, Ui.text("give.program"));
    Parts.onChosen(program, this::offerPlaces);
    text.setId("give-text");
    Parts.prompt(text, Ui.text("give.text"));
    text.textProperty().addListener((o, a, b) -> offer());
    text.setOnAction(e -> make());
    chips = Parts.chips(What.class, "give-as-", w -> Ui.text("give." + w), this::choose);
    chips.get(What.ROUTINE).setSelected(true);
    FlowPane kinds = new FlowPane(5, 5);
    kinds.getChildren().setAll(chips.values());
    give = Parts.button("give", Ui.text("give.make"), this::make);
    FlowPane row = new FlowPane(8, 6, given, places, give);
    row.setAlignment(Pos.CENTER_LEFT);
    getChildren().addAll(does, kinds, row);
    choose(What.ROUTINE);
  }

  private void choose(What other) {
    what = other;
    given
        .getChildren()
        .setAll(
            switch (what) {
              case ROUTINE -> routines;
              case PROGRAM -> program;
              case TEXT -> text;
            });
    offerPlaces();
  }

  /**
   * Shows what a trigger does, wherever it is bound.
   *
   * @param application the only one it can be bound in; empty for any
   */
  public void show(Snapshot now, Trigger of, String application) {
    boolean other = !of.equals(trigger);
    trigger = of;
    boolean keys = Parts.hasKeys(does);
    List<Binding> bound = Bound.on(now.library(), of);
    for (Binding b : bound) {
      String says = now.words().binding(b);
      String where = now.words().place(b.place());
      contents.add(List.of(b, says, where), () -> row(b, says, where));
    }
    if (bound.isEmpty()) {
      contents.add("", () -> Parts.label(Ui.text("give.nothing"), "soft"));
    }
    contents.show();
    if (keys && !Parts.hasKeys(does)) {
      routines.focus(); // what had the keys is gone now
    }
    within = application;
    Lists.follow(program.getItems(), List.copyOf(now.library().applications().values()));
    if (other) {
      List<Routine> fitting =
          now.library().routines().values().stream()
              .filter(r -> application.isEmpty() || r.application().equals(application))
              .toList();
      routines.offer(fitting);
      places.getItems().clear();
      give.setDisable(true);
    }
  }

  private HBox row(Binding b, String says, String where) {
    VBox what = new VBox(Parts.wrapped(says, "strong"), Parts.wrapped(where, "soft"));
    HBox.setHgrow(what, Priority.ALWAYS);
    HBox row =
        new HBox(
            8,
            what,
            Parts.button("give-away-" + b.id(), Ui.text("sets.away"), () -> takeAway(b), "link"));
    row.setAlignment(Pos.TOP_LEFT);
    return row;
  }

  private String named(Routine routine) {
    return Ui.text(
        "give.of",
        routine.name(),
        session.now().library().nameOf(new Place.Whole(routine.application())));
  }

  /** A routine is bound in its own program; what starts or types, anywhere. */
  private void offerPlaces() {
    Library library = session.now().library();
    Optional<Application> of =
        (what == What.ROUTINE
                ? routines.chosen().map(Routine::application)
                : Optional.of(within).filter(w -> !w.isEmpty()))
            .map(library.applications()::get);
    List<Place> next =
        what == What.ROUTINE || of.isPresent()
            ? of.map(Application::places).orElse(List.of())
            : library.places();
    if (!next.equals(places.getItems())) {
      places.getItems().setAll(next);
      Place everywhere = new Place.Everywhere();
      places.setValue(
          next.contains(everywhere) ? everywhere : next.stream().findFirst().orElse(null));
    }
    Choices.renew(places);
    offer();
    if (what == What.ROUTINE && routines.chosen().isPresent()) {
      give.requestFocus();
    }
  }

  private void offer() {
    give.setDisable(
        switch (what) {
          case ROUTINE -> routines.chosen().isEmpty();
          case PROGRAM -> program.getValue() == null;
          case TEXT -> text.getText().isEmpty() || application().isEmpty();
        });
  }

  /** Whose a routine is that types: of where it is bound, or else of any program. */
  private Optional<String> application() {
    return Optional.ofNullable(places.getValue())
        .flatMap(Place::applicationId)
        .or(() -> session.now().library().applications().keySet().stream().findFirst());
  }

  private void make() {
    Place place = places.getValue();
    if (place == null || give.isDisabled()) {
      return;
    }
    Library library = session.now().library();
    switch (what) {
      case ROUTINE -> {
        Routine routine = routines.chosen().orElseThrow();
        bind(
            new Edit.PutBinding(
                Binding.fresh(
                    session.freeBindingId(), routine.id(), place, List.of(trigger), Map.of())),
            routine.name());
      }
      case PROGRAM -> {
        Application a = program.getValue();
        String name = Ui.text("give.starts", a.name());
        Step step = new Step.StartProgram(a.id(), List.of());
        bind(OneStep.bind(library, step, name, a.id(), place, trigger), name);
      }
      case TEXT -> {
        String typed = text.getText();
        String name = Ui.text("give.types", typed);
        Step step = new Step.TypeText(new Template(typed));
        text.clear();
        bind(OneStep.bind(library, step, name, application().orElseThrow(), place, trigger), name);
      }
    }
  }

  private void bind(Edit edit, String name) {
    session.make(edit, Ui.text("said.bound", name, session.now().words().trigger(trigger)));
  }

  private void takeAway(Binding b) {
    List<Trigger> rest = b.triggers().stream().filter(t -> !t.equals(trigger)).toList();
    session.make(
        new Edit.PutBinding(b.withTriggers(rest)),
        Ui.text("said.tookaway", session.now().words().trigger(trigger)));
  }
}
