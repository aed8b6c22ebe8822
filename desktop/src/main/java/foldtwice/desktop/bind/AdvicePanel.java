package foldtwice.desktop.bind;

import foldtwice.binding.Binding;
import foldtwice.conflict.Advice;
import foldtwice.desktop.parts.AdviceLines;
import foldtwice.desktop.parts.KeyCaps;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Refill;
import foldtwice.desktop.parts.Tips;
import foldtwice.desktop.session.Background.Lane;
import foldtwice.desktop.session.Question;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.suggest.Suggestion;
import foldtwice.suggest.Suggestions;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Trigger;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.beans.binding.Bindings;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** What would follow if a binding had a trigger: here, elsewhere, on the layouts; what is free. */
final class AdvicePanel extends VBox {

  private static final int NEAR = 6;
  private static final int SUGGESTED = 6;
  private static final int MOST_ELSEWHERE = 4;

  private final Session session;
  private final Consumer<Trigger> onChosen;
  private final VBox here = new VBox(4);

  /** What there is to say about a trigger; not there while there is none. */
  private final VBox facts = new VBox(8);

  private final Label elsewhere = Parts.wrapped("");
  private final Label layouts = Parts.wrapped("");
  private final FlowPane near = new FlowPane(4, 4);

  /** Whose free triggers are shown, or will be. */
  private List<Object> nearAbout = List.of();

  private final HBox nearRow = Parts.fact(Ui.text("sets.near"), near);
  private final VBox suggested = new VBox(3);
  private final Question<List<Trigger.Keys>> nearQuestion;
  private final Question<Suggested> suggestQuestion;
  private Optional<Suggested> last = Optional.empty();

  /**
   * Empty until something is shown.
   *
   * @param onChosen takes a free trigger that a person chose
   */
  AdvicePanel(Session session, Consumer<Trigger> onChosen) {
    super(8);
    this.session = session;
    this.onChosen = onChosen;
    nearQuestion = session.background().question(Lane.WORK, this::showFree);
    suggestQuestion = session.background().question(Lane.WORK, this::showBest);
    here.setId("here");
    elsewhere.setId("elsewhere");
    layouts.setId("layouts");
    near.setId("near");
    suggested.setId("suggested");
    HBox.setHgrow(suggested, Priority.ALWAYS);
    HBox.setHgrow(near, Priority.ALWAYS);
    HBox.setHgrow(here, Priority.ALWAYS);
    facts
        .getChildren()
        .addAll(
            Parts.fact(Ui.text("sets.here"), here),
            Parts.fact(Ui.text("sets.elsewhere"), elsewhere),
            Parts.fact(Ui.text("sets.layouts"), layouts),
            nearRow);
    facts.managedProperty().bind(facts.visibleProperty());
    nearRow.managedProperty().bind(nearRow.visibleProperty());
    facts.setVisible(false);
    HBox suits = Parts.fact(Ui.text("sets.suggested"), suggested);
    suits.visibleProperty().bind(Bindings.isNotEmpty(suggested.getChildren()));
    suits.managedProperty().bind(suits.visibleProperty());
    getChildren().addAll(facts, suits);
  }

  void clear() {
    facts.setVisible(false);
    suggestQuestion.drop();
    suggested.getChildren().clear();
    here.getChildren().clear();
    elsewhere.setText("");
    layouts.setText("");
    nothingNear();
  }

  private void nothingNear() {
    nearQuestion.drop();
    nearAbout = List.of();
    near.getChildren().clear();
  }

  /** Shows the advice on a trigger, and returns it. */
  Advice show(Binding binding, Trigger trigger) {
    Snapshot now = session.now();
    Advice advice = Advice.on(now.subject(), binding, trigger);
    Words words = now.words();
    facts.setVisible(true);
    AdviceLines.show(here, advice, words);
    elsewhere.setText(
        advice.elsewhere().isEmpty()
            ? Ui.text("sets.nowhere")
            : advice.elsewhere().stream()
                .map(c -> words.place(c.place()) + ": " + words.owner(c.owner()))
                .distinct()
                .limit(MOST_ELSEWHERE)
                .collect(Collectors.joining("; ")));
    if (trigger instanceof Trigger.Keys keys) {
      layouts.setText(LayoutNotes.of(keys, now.library(), now.keymap().layout()));
      showNear(now, binding, keys);
    } else {
      layouts.setText(
          trigger.keyStrokes().isEmpty()
              ? Ui.text("sets.nolayout")
              : LayoutNotes.of(
                  new Trigger.Keys(trigger.keyStrokes()), now.library(), now.keymap().layout()));
      nothingNear();
    }
    nearRow.setVisible(trigger instanceof Trigger.Keys);
    return advice;
  }

  /** Searching what is free takes a while among many bindings; it comes when it is found. */
  private void showNear(Snapshot now, Binding binding, Trigger.Keys trigger) {
    nearQuestion.ask(
        List.of(binding, trigger, new Question.Same(now.keymap())),
        () -> Advice.freeNear(now.subject(), binding, trigger, NEAR));
    List<Object> about = List.of(binding, trigger);
    if (!about.equals(nearAbout)) {
      nearAbout = about;
      near.setVisible(false); // what is free there stands for the trigger of before
    }
  }

  private void showFree(List<Trigger.Keys> free) {
    Words words = session.now().words();
    Refill.with(
        near,
        free.stream().map(t -> List.of(t, words.trigger(t))).toList(),
        () ->
            free.isEmpty()
                ? List.of(Parts.label(Ui.text("sets.nonefree"), "soft"))
                : free.stream().map(t -> nearCap(t, words)).toList());
    near.setVisible(true);
  }

  /** Free triggers that would suit the binding; they come when they are found. */
  void suggest(Snapshot now, Binding binding) {
    Optional<Snapshot.Stations> known = last.map(Suggested::stations);
    suggestQuestion.ask(
        List.of(
            binding.routine(),
            binding.place(),
            binding.triggers(),
            new Question.Same(now.keymap())),
        () -> {
          Snapshot.Stations all = now.stations(known);
          return new Suggested(
              all, Suggestions.of(now.library(), all.keymaps(), binding, SUGGESTED));
        });
  }

  private void showBest(Suggested found) {
    last = Optional.of(found);
    Words words = session.now().words();
    Refill.with(
        suggested,
        found.best().stream().map(s -> List.of(s.trigger(), words.reasons(s))).toList(),
        () -> suggestions(found.best(), words));
  }

  private List<Node> suggestions(List<Suggestion> best, Words words) {
    List<Node> all = new ArrayList<>();
    for (Suggestion s : best) {
      all.add(suggestion(all.size(), s, words));
    }
    return best.isEmpty() ? List.of(Parts.label(Ui.text("sets.nonefree"), "soft")) : all;
  }

  /** What suits best, and the keymaps of the library's stations, which are used again. */
  private record Suggested(Snapshot.Stations stations, List<Suggestion> best) {}

  private Node suggestion(int at, Suggestion s, Words words) {
    Button button =
        Parts.button("suggest-" + at, "", () -> onChosen.accept(s.trigger()), "caps-link");
    button.setGraphic(KeyCaps.of(s.trigger(), words));
    button.setAccessibleText(words.trigger(s.trigger()));
    Label why = Parts.wrapped(words.reasons(s), "soft");
    why.setStyle("-fx-font-size: 12px;");
    HBox row = new HBox(8, button, why);
    row.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
    return row;
  }

  private Node nearCap(Trigger.Keys trigger, Words words) {
    String said = words.trigger(trigger);
    Button button =
        Parts.button(
            "near-" + Notation.write(trigger), "", () -> onChosen.accept(trigger), "caps-link");
    button.setGraphic(Parts.label(words.caps(trigger.strokes().getLast()).getLast(), "cap"));
    button.setAccessibleText(said);
    Tips.on(button, said);
    return button;
  }
}
