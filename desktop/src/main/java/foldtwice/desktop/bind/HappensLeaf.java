package foldtwice.desktop.bind;

import foldtwice.binding.Binding;
import foldtwice.desktop.parts.Asking;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Refill;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.parts.WhyRows;
import foldtwice.desktop.session.Background;
import foldtwice.desktop.session.Question;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.standin.Preview;
import foldtwice.desktop.view.Acts;
import foldtwice.desktop.view.Target;
import foldtwice.place.Place;
import foldtwice.ready.Heard;
import foldtwice.resolve.Explanation;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Resolver;
import foldtwice.run.Change;
import foldtwice.run.Program;
import foldtwice.run.Run;
import foldtwice.run.Status;
import foldtwice.run.Trial;
import foldtwice.run.Trial.Effect;
import foldtwice.standin.base.StandIn;
import foldtwice.trigger.Signal;
import foldtwice.words.StepWords;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** What happens when a binding's trigger is pressed: who takes it and what changes. */
final class HappensLeaf extends Leaf {

  private final Session session;
  private final Button fire;
  private final Preview preview = new Preview();
  private final VBox result = new VBox(2);
  private final VBox why = new VBox();
  private final ReadyRows ready;
  private final Button undo;
  private Binding binding;
  private String application = "";
  private String firedFor = "";
  private String firedIn = "";
  private String firedFront = "";
  private Program firedBefore;
  private List<Effect> fired = List.of();
  private final Question<Explained> explaining;
  private final Consumer<Target> go;

  /** What a run asks, and what it was made for; null as long as none has. */
  private Asking asking;

  private Object asked;

  /** The binding whose explanation is shown; empty for none. */
  private String explained = "";

  private record Explained(Heard heard, Explanation explanation) {}

  /**
   * @param ways where to go and what to do about what stands in the way
   */
  HappensLeaf(Session session, ReadyRows.Ways ways) {
    this(session, ways, Skins.on(new Button(Ui.text("happens.fire"))));
  }

  private HappensLeaf(Session session, ReadyRows.Ways ways, Button fire) {
    super("leaf-happens", Ui.text("leaf.happens"), fire);
    this.session = session;
    this.go = ways.go();
    this.explaining = session.background().question(Background.Lane.WORK, this::explain);
    this.fire = fire;
    fire.setId("fire");
    fire.getStyleClass().add("main");
    fire.setMinWidth(USE_PREF_SIZE);
    Acts.tip(fire, "fire", "");
    fire.setOnAction(e -> fire());
    undo = Parts.button("undo-run", Ui.text("happens.undo"), this::undoRun, "link");
    preview.setPrefHeight(122);
    preview.setMinHeight(122);
    result.setId("result");
    why.setId("why");
    ready = new ReadyRows(session, ways, fire::requestFocus, this::showAgain);
    HBox.setHgrow(ready, Priority.ALWAYS);
    HBox below = Parts.fact(Ui.text("happens.readiness"), ready);
    body(preview, below, result, why);
  }

  void show(Snapshot now, Binding b) {
    boolean other = binding == null || !binding.id().equals(b.id());
    binding = b;
    if (!now.library().bindings().containsKey(firedFor)) {
      firedFor = "";
      on().ifPresent(session.runs()::giveUp); // nothing leads to what it asks any more
    }
    application =
        now.library()
            .routineOf(b)
            .map(r -> r.application())
            .filter(session.programs()::containsKey)
            .orElse("");
    if (other && isFired() && on().isPresent()) {
      showFired(); // it has waited meanwhile
    } else if (other || !isFired()) {
      firedFor = on().isPresent() ? firedFor : "";
      idle();
    }
    explain(now);
    ready.show(now, b, cannot());
  }

  /** True when the binding in view was fired last. */
  private boolean isFired() {
    return binding.id().equals(firedFor);
  }

  /** The run of what was fired last, while it is not over. */
  private Optional<Run> on() {
    return session
        .runs()
        .current()
        .filter(
            run -> fired.stream().anyMatch(e -> e instanceof Effect.Ran r && r.run().equals(run)));
  }

  /** The program stands otherwise than when it was shown. */
  private void showAgain() {
    firedFor = "";
    show(session.now(), binding);
  }

  private void idle() {
    Program program = session.programs().get(application);
    if (program != null) {
      preview.show(program, null);
    }
    say(cannot().orElse("happens.notyet"));
    fire.setDisable(cannot().isPresent());
  }

  /** Says one thing, by the key of its text; and which other binding's run waits for an answer. */
  private void say(String key) {
    Optional<Binding> waits =
        Optional.ofNullable(session.now().library().bindings().get(firedFor))
            .filter(b -> !isFired())
            .filter(b -> on().filter(r -> r.status() instanceof Status.Asking).isPresent());
    Refill.with(
        result,
        List.of(key, waits),
        () -> {
          List<Node> rows = new ArrayList<>();
          rows.add(Parts.wrapped(Ui.text(key), "soft"));
          waits.ifPresent(b -> rows.add(waiting(b)));
          return rows;
        });
  }

  private Node waiting(Binding b) {
    HBox row =
        new HBox(
            10,
            Parts.wrapped(Ui.text("happens.waits", session.now().words().binding(b)), "costs"),
            Parts.button(
                "to-waiting",
                Ui.text("happens.waits.show"),
                () -> go.accept(new Target.Binding(b.id())),
                "link"));
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  /** The key of the text that says why nothing can be fired. */
  private Optional<String> cannot() {
    if (binding.triggers().isEmpty()) {
      return Optional.of(binding.isOff() ? "happens.off" : "happens.notrigger");
    }
    if (path().isEmpty()) {
      return Optional.of("happens.untypeable");
    }
    return state().isEmpty() ? Optional.of("happens.nostandin") : Optional.empty();
  }

  private List<Signal> path() {
    return binding.triggers().stream()
        .findFirst()
        .flatMap(t -> session.now().keymap().paths(t).stream().findFirst())
        .orElse(List.of());
  }

  /**
   * Where to fire: where the stand-in is, if the binding is heard there, else the first such state.
   */
  private Optional<Place> state() {
    Keymap keymap = session.now().keymap();
    List<Place> states =
        keymap.statesOf(binding.place()).stream()
            .filter(s -> session.programs().containsKey(s.applicationId().orElse("")))
            .toList();
    Program routines = session.programs().get(application);
    return states.stream()
        .filter(s -> routines != null && s.equals(routines.place()))
        .findFirst()
        .or(() -> states.stream().filter(s -> s.isOf(application)).findFirst())
        .or(() -> states.stream().findFirst());
  }

  private void explain(Snapshot now) {
    Optional<String> cannot = cannot();
    fire.setDisable(cannot.isPresent());
    if (cannot.isPresent() || !explained.equals(binding.id())) {
      why.getChildren().clear();
      explained = "";
    }
    if (cannot.isEmpty()) {
      List<Signal> path = path();
      Place in = state().orElseThrow();
      explaining.ask(
          List.of(new Question.Same(now), binding.id(), in),
          () -> new Explained(now.heard(), Explanation.of(now.heard().keymap(), in, path)));
    } else {
      explaining.drop();
      if (!isFired()) {
        say(cannot.get());
      }
    }
  }

  private void explain(Explained found) {
    explained = binding.id();
    Keymap heard = found.heard().keymap();
    Words words = new Words(found.heard().library(), heard.layout());
    WhyRows.layers(why, found.explanation(), words, heard.layout());
  }

  /** Presses the trigger in the stand-in. */
  void fire() {
    if (binding == null || cannot().isPresent()) {
      return;
    }
    Place place = state().orElseThrow();
    String front = place.applicationId().orElseThrow();
    session.programs().get(front).enter(place);
    StandIn<?> acted = session.programs().get(application.isEmpty() ? front : application);
    Program before = acted.copy();
    session.computer().bringToFront(front);
    Trial trial = session.trial(this::drive);
    List<Effect> effects = new ArrayList<>();
    for (Signal s : path()) {
      effects.addAll(trial.signal(s, 0).effects());
    }
    effects.addAll(trial.rest(Resolver.TIME_LIMIT_MILLIS + 1).effects());
    firedFor = binding.id();
    firedIn = acted.application();
    firedBefore = before;
    firedFront = front;
    fired = effects;
    showFired();
  }

  /** Runs it; what takes time is shown again when it stands still or is over. */
  private void drive(Run run) {
    String of = binding.id();
    session.runs().drive(run, r -> later(of));
  }

  private void later(String of) {
    if (!firedFor.equals(of)) {
      return;
    }
    if (isFired()) {
      showFired();
    } else {
      fired.forEach(this::proven);
      idle();
    }
  }

  /** What ran to its end is kept as seen, whether or not it is in view. */
  private void proven(Effect effect) {
    if (effect instanceof Effect.Ran ran && ran.run().status() instanceof Status.Over) {
      session.proofs().ran(ran);
    }
  }

  private void showFired() {
    if (Parts.hasKeys(result)) {
      fire.requestFocus(); // what had the keys is gone now
    }
    preview.show(session.programs().get(firedIn), firedBefore);
    result.getChildren().clear();
    for (Effect effect : fired) {
      show(effect, session.now().words(), firedFront);
    }
  }

  private void show(Effect effect, Words words, String front) {
    String keys = words.trigger(binding.triggers().getFirst());
    String name = words.place(new Place.Whole(front));
    switch (effect) {
      case Effect.Ran ran -> {
        boolean failed = ran.trace().endedBadly();
        if (ran.run().status() instanceof Status.Asking asks) {
          result.getChildren().add(asking(ran, asks));
          return;
        }
        HBox head =
            new HBox(
                10,
                Parts.wrapped(StepWords.ending(ran.trace().ending()), failed ? "blocks" : "good"),
                Parts.label(WhyRows.millis(ran.trace().nanos()), "mono", "soft"),
                Parts.gap(),
                undo);
        result.getChildren().add(head);
        List<Change> changes =
            ran.run().status() instanceof Status.Over ? ran.trace().net() : List.of();
        result.getChildren().addAll(WhyRows.changes(changes, "changed"));
        session.say(Ui.text("said.fired", keys, name, words.binding(ran.binding())));
        proven(ran);
      }
      case Effect.Native(var owner, var reply) -> {
        result
            .getChildren()
            .add(
                Parts.wrapped(
                    Ui.text("said.firednative", keys, name, words.owner(owner)), "costs"));
        session.say(Ui.text("said.firednative", keys, name, words.owner(owner)));
      }
      case Effect.Undecided u ->
          result.getChildren().add(Parts.wrapped(Ui.text("try.undecided"), "blocks"));
      case Effect.Kept(String what) ->
          result.getChildren().add(Parts.wrapped(Ui.text("try.kept") + ": " + what, "blocks"));
      case Effect.Lacking(var of, String what) ->
          result.getChildren().add(Parts.wrapped(Ui.text("try.lacking", what), "blocks"));
      case Effect.Typed(String text, var reply) ->
          result.getChildren().add(Parts.wrapped(Ui.text("try.typed", text), "costs"));
      case Effect.Nothing n ->
          result.getChildren().add(Parts.wrapped(Ui.text("try.nothing"), "costs"));
      case Effect.Opened o ->
          result.getChildren().add(Parts.wrapped(Ui.text("try.opened", o.menu().name()), "good"));
      case Effect.Waits w -> {}
      case Effect.Turned t -> {} // bindings turn no pages
      case Effect.Sent s -> {}
    }
  }

  /** What a run asks, with what has been typed into it as long as it asks the same. */
  private Asking asking(Effect.Ran ran, Status.Asking asks) {
    Object of = List.of(new Question.Same(ran.run()), asks);
    if (!of.equals(asked)) {
      asked = of;
      asking =
          new Asking(
              session.runs(),
              ran.run(),
              values -> session.keepArguments(ran.binding().id(), values));
    }
    return asking;
  }

  private void undoRun() {
    Program acted = session.programs().get(application);
    if (acted != null) {
      acted.undo();
      firedFor = "";
      session.say(Ui.text("said.undone"));
      idle();
    }
  }
}
