package foldtwice.desktop.trying;

import foldtwice.binding.Binding;
import foldtwice.check.Checking;
import foldtwice.desktop.parts.Asking;
import foldtwice.desktop.parts.Contents;
import foldtwice.desktop.parts.KeyCaps;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.WhyRows;
import foldtwice.desktop.session.Question;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Expected;
import foldtwice.place.Place;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Explanation;
import foldtwice.resolve.Outcome;
import foldtwice.resolve.Owner;
import foldtwice.resolve.Resolver;
import foldtwice.run.Program;
import foldtwice.run.Reply;
import foldtwice.run.Status;
import foldtwice.run.Trial;
import foldtwice.run.Trial.Effect;
import foldtwice.trigger.Trigger;
import foldtwice.words.Words;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** What fired last and why, and the presses so far. */
final class FiredPanel extends VBox {

  private static final int MOST_PRESSES = 30;

  private final Session session;
  private final Runnable onGone;
  private final Runnable onUndone;
  private final Button keep;
  private final Label pressed = Parts.label("", "strong");
  private final VBox why = new VBox();
  private final VBox presses = new VBox(4);
  private final Button again;
  private final Button undo;

  /** What a run asks, beneath what it did so far. */
  private final VBox asking = new VBox();

  private final Contents asked = new Contents(asking);
  private Trial.Result shown;

  /** What was set off last; it may ask long after something else was pressed. */
  private Optional<Effect.Ran> run = Optional.empty();

  private Optional<Kept> last = Optional.empty();
  private String undoIn = "";
  private int count;

  /** A press that can be kept as a check. */
  record Kept(Place place, Trigger trigger, Expected came) {}

  /**
   * A panel of nothing.
   *
   * @param onAgain makes the last press once more
   * @param onGone called before what has the keys here is gone
   * @param onUndone called after a run was taken back
   * @param onKept takes what is to be kept as a check
   */
  FiredPanel(
      Session session,
      Runnable onAgain,
      Runnable onGone,
      Runnable onUndone,
      Consumer<Kept> onKept) {
    super(8);
    this.session = session;
    this.onGone = onGone;
    this.onUndone = onUndone;
    why.setId("try-why");
    presses.setId("try-presses");
    again = Parts.button("try-again", Ui.text("try.again"), onAgain);
    undo = Parts.button("try-undo", Ui.text("try.undo"), this::undoRun, "link");
    keep = Parts.button("try-keep", Ui.text("try.keep"), () -> last.ifPresent(onKept), "link");
    pressed.setId("try-pressed");
    pressed.setStyle("-fx-font-size: 16px;");
    pressed.setWrapText(true);
    HBox fired = new HBox(8, pressed, again);
    HBox.setHgrow(pressed, Priority.ALWAYS);
    pressed.setMaxWidth(Double.MAX_VALUE);
    pressed.setMinHeight(USE_PREF_SIZE); // where there is little room, all of it is still read
    fired.setAlignment(Pos.CENTER_LEFT);
    HBox reason = new HBox(8, Parts.label(Ui.text("try.why"), "soft"), Parts.gap(), keep, undo);
    reason.setAlignment(Pos.CENTER_LEFT);
    getChildren()
        .addAll(
            fired,
            reason,
            new VBox(why, asking),
            Parts.label(Ui.text("try.sofar"), "heading"),
            presses);
    why.getChildren().setAll(Parts.wrapped(Ui.text("try.none"), "soft"));
    ask(Optional.empty());
    again.setDisable(true);
    undo.setDisable(true);
    keep.setDisable(true);
  }

  /**
   * Shows what came of something.
   *
   * @param notation what was pressed, in words
   * @param trigger the same as a trigger; empty for what was chosen otherwise
   * @param in the name of the program it was done in
   * @param before the state it was done in
   */
  void show(
      Trial.Result result, String notation, Optional<Trigger> trigger, String in, Place before) {
    List<Expected> came = Checking.came(result.effects());
    last =
        came.size() == 1 && trigger.filter(t -> !(t instanceof Trigger.AtStart)).isPresent()
            ? Optional.of(new Kept(before, trigger.get(), came.getFirst()))
            : Optional.empty();
    keep.setDisable(last.isEmpty() || !session.mayWrite());
    Words words = words();
    count++;
    pressed.setText(notation);
    shown = result;
    for (Effect effect : result.effects()) {
      run = effect instanceof Effect.Ran ran ? Optional.of(ran) : run;
    }
    explain();
    for (Effect effect : result.effects()) {
      list(trigger, effect, words);
      if (effect instanceof Effect.Ran ran) {
        undoIn = ran.routine().application();
        session.say(
            trigger.isPresent()
                ? Ui.text("said.fired", notation, in, words.binding(ran.binding()))
                : Ui.text("said.ran", notation, in));
      } else if (effect instanceof Effect.Native(var owner, var reply)) {
        session.say(Ui.text("said.firednative", notation, in, words.owner(owner)));
      }
    }
    again.setDisable(false);
    Program acted = session.programs().get(undoIn);
    undo.setDisable(acted == null || acted.undoDepth() == 0);
  }

  /** The words for what the programs know, which may be more or less than the library. */
  private Words words() {
    return session.now().words().of(session.now().heard().library());
  }

  /** True when something was shown that may go on. */
  boolean isShown() {
    return shown != null;
  }

  /**
   * Who looked at the press and what it did, as far as that has come; and what a run asks, also one
   * that was set off before.
   */
  void explain() {
    Optional<Effect.Ran> asks = run.filter(r -> r.run().status() instanceof Status.Asking);
    if (Parts.hasKeys(why) || (Parts.hasKeys(asking) && asks.isEmpty())) {
      onGone.run(); // what had the keys is gone now
    }
    why.getChildren().clear();
    if (shown.explanation().isPresent()) {
      why.getChildren()
          .addAll(
              WhyRows.layers(shown.explanation().get(), words(), session.now().keymap().layout()));
    }
    notYet().ifPresent(n -> why.getChildren().add(Parts.wrapped(n, "costs")));
    for (Effect effect : shown.effects()) {
      why.getChildren().addAll(rows(effect));
      if (effect instanceof Effect.Ran ran && ran.run().status() instanceof Status.Over) {
        session.proofs().ran(ran);
      }
    }
    ask(asks);
  }

  /** Shows what is asked; as long as it is the same, with what has been typed into it. */
  private void ask(Optional<Effect.Ran> asks) {
    asks.ifPresent(
        ran ->
            asked.add(
                List.of(new Question.Same(ran.run()), ran.run().status()), () -> asking(ran)));
    asked.show();
    Parts.there(asking, asks.isPresent());
  }

  private Asking asking(Effect.Ran ran) {
    Asking asking =
        new Asking(
            session.runs(), ran.run(), values -> session.keepArguments(ran.binding().id(), values));
    Platform.runLater(asking::focusFirst);
    return asking;
  }

  /** Which binding would have taken the press if it were in, and what it waits for. */
  private Optional<String> notYet() {
    Snapshot now = session.now();
    if (now.heard().keymap().equals(now.keymap()) || shown.explanation().isEmpty()) {
      return Optional.empty();
    }
    Explanation heard = shown.explanation().get();
    for (Outcome o : Resolver.outcomes(now.keymap(), heard.state(), heard.presses())) {
      if (o instanceof Outcome.Fired(Claim(Owner.Yours(String id), var trigger, var place))) {
        Binding binding = now.library().bindings().get(id);
        return now.outlook(binding)
            .next()
            .map(w -> Ui.text("try.notyet", now.words().binding(binding), now.words().wait(w)));
      }
    }
    return Optional.empty();
  }

  private static List<Node> rows(Effect effect) {
    return switch (effect) {
      case Effect.Ran ran -> WhyRows.trace(ran.trace());
      case Effect.Native(var command, Reply.Done(var changes)) -> WhyRows.changes(changes, "mono");
      case Effect.Native(var command, Reply.Refused(var expected, var found)) ->
          List.of(Parts.wrapped(Ui.text("standin.refused", expected, found), "refused"));
      default -> List.of();
    };
  }

  private void list(Optional<Trigger> from, Effect effect, Words words) {
    String what =
        switch (effect) {
          case Effect.Ran ran ->
              from.isPresent() ? words.binding(ran.binding()) : ran.routine().name();
          case Effect.Lacking(var binding, String lacks) -> Ui.text("try.lacking", lacks);
          case Effect.Native(var owner, var reply) -> words.owner(owner);
          case Effect.Kept(String by) -> by;
          case Effect.Typed(String text, var reply) -> Ui.text("try.typed", text);
          case Effect.Waits w -> Ui.text("try.waits");
          case Effect.Undecided u -> Ui.text("try.undecided");
          case Effect.Opened o -> Ui.text("try.opened", o.menu().name());
          case Effect.Turned t -> Ui.text("try.turned", t.device().name(), t.page().name());
          case Effect.Sent s -> Ui.text("try.sent", s.device().name(), words.trigger(s.keys()));
          case Effect.Nothing n -> Ui.text("try.nothing");
        };
    String how =
        switch (effect) {
          case Effect.Ran r -> Ui.text("try.fired");
          case Effect.Native n -> Ui.text("try.native");
          case Effect.Kept k -> Ui.text("try.kept");
          case Effect.Typed t -> Ui.text("try.text");
          default -> "";
        };
    Label middle = Parts.wrapped(what);
    HBox.setHgrow(middle, Priority.ALWAYS);
    middle.setMaxWidth(Double.MAX_VALUE);
    Label outcome = Parts.label(how, "soft", "mono");
    outcome.setMinWidth(USE_PREF_SIZE);
    HBox row = new HBox(8);
    from.ifPresent(t -> row.getChildren().add(KeyCaps.of(t, words)));
    row.getChildren().addAll(middle, outcome);
    row.setAlignment(Pos.CENTER_LEFT);
    row.getStyleClass().add("why-row");
    presses.getChildren().addFirst(row);
    if (presses.getChildren().size() > MOST_PRESSES) {
      presses.getChildren().removeLast();
    }
    session.say(Ui.text("try.presses", count));
  }

  private void undoRun() {
    Program acted = session.programs().get(undoIn);
    acted.undo();
    session.say(Ui.text("said.undone"));
    undo.setDisable(acted.undoDepth() == 0);
    onUndone.run();
  }
}
