package foldtwice.desktop.bind;

import foldtwice.binding.Binding;
import foldtwice.conflict.Advice;
import foldtwice.conflict.Conflict;
import foldtwice.desktop.parts.Marks;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.resolve.Keymap;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Trigger;
import foldtwice.words.Words;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** What would follow if a binding had a trigger: here, elsewhere, on the layouts; what is free. */
final class AdvicePanel extends VBox {

  private static final int NEAR = 6;
  private static final int MOST_ELSEWHERE = 4;

  private final Session session;
  private final Consumer<Trigger> onChosen;
  private final VBox here = new VBox(4);
  private final Label elsewhere = Parts.wrapped("");
  private final Label layouts = Parts.wrapped("");
  private final FlowPane near = new FlowPane(4, 4);
  private final HBox nearRow = Parts.fact(Ui.text("sets.near"), near);
  private long asked;
  private List<Object> nearOf = List.of();

  /**
   * Empty until something is shown.
   *
   * @param onChosen takes a free trigger that a person chose
   */
  AdvicePanel(Session session, Consumer<Trigger> onChosen) {
    super(8);
    this.session = session;
    this.onChosen = onChosen;
    here.setId("here");
    elsewhere.setId("elsewhere");
    layouts.setId("layouts");
    near.setId("near");
    HBox.setHgrow(near, Priority.ALWAYS);
    HBox.setHgrow(here, Priority.ALWAYS);
    getChildren()
        .addAll(
            Parts.fact(Ui.text("sets.here"), here),
            Parts.fact(Ui.text("sets.elsewhere"), elsewhere),
            Parts.fact(Ui.text("sets.layouts"), layouts),
            nearRow);
  }

  void clear() {
    asked++;
    nearOf = List.of();
    here.getChildren().clear();
    elsewhere.setText("");
    layouts.setText("");
    near.getChildren().clear();
  }

  /** Shows the advice on a trigger, and returns it. */
  Advice show(Binding binding, Trigger trigger) {
    Snapshot now = session.now();
    Advice advice = Advice.on(now.library(), now.keymap(), binding, trigger);
    Words words = now.words();
    here.getChildren().clear();
    if (advice.isFree()) {
      here.getChildren().add(Parts.label(Ui.text("sets.free"), "good"));
    }
    advice.conflicts().forEach(c -> here.getChildren().add(said(c, words)));
    elsewhere.setText(
        advice.elsewhere().isEmpty()
            ? Ui.text("sets.nowhere")
            : advice.elsewhere().stream()
                .map(c -> words.place(c.place()) + ": " + words.owner(c.owner()))
                .distinct()
                .limit(MOST_ELSEWHERE)
                .collect(Collectors.joining("; ")));
    if (trigger instanceof Trigger.Keys keys) {
      layouts.setText(LayoutNotes.of(keys, now.library()));
      showNear(now, binding, keys);
    } else {
      layouts.setText(
          trigger.keyStrokes().isEmpty()
              ? Ui.text("sets.nolayout")
              : LayoutNotes.of(new Trigger.Keys(trigger.keyStrokes()), now.library()));
      nearOf = List.of();
      asked++;
      near.getChildren().clear();
    }
    nearRow.setVisible(trigger instanceof Trigger.Keys);
    return advice;
  }

  private static Node said(Conflict c, Words words) {
    Label text = Parts.wrapped(words.sentence(c));
    HBox.setHgrow(text, Priority.ALWAYS);
    Node mark = Marks.of(c.weight());
    Label weight = Parts.label(Words.weight(c.weight()), Marks.style(c.weight()));
    weight.setMinWidth(USE_PREF_SIZE);
    HBox row = new HBox(7, mark, weight, text);
    HBox.setMargin(mark, new Insets(3, 0, 0, 0));
    row.getStyleClass().addAll("said", Marks.style(c.weight()));
    return row;
  }

  /** Searching what is free takes a while among many bindings; it comes when it is found. */
  private void showNear(Snapshot now, Binding binding, Trigger.Keys trigger) {
    List<Object> question = List.of(binding, trigger, System.identityHashCode(now.keymap()));
    if (question.equals(nearOf)) {
      return;
    }
    nearOf = question;
    long mine = ++asked;
    near.getChildren().clear();
    Keymap keymap = now.keymap();
    session.work(
        () -> Advice.freeNear(now.library(), keymap, binding, trigger, NEAR),
        free -> {
          if (mine == asked) {
            near.getChildren().setAll(free.stream().map(this::nearCap).toList());
            if (free.isEmpty()) {
              near.getChildren().setAll(Parts.label(Ui.text("sets.nonefree"), "soft"));
            }
          }
        });
  }

  private Node nearCap(Trigger.Keys trigger) {
    String notation = Notation.write(trigger);
    Button button =
        Parts.button("near-" + notation, "", () -> onChosen.accept(trigger), "caps-link");
    button.setGraphic(Parts.label(Notation.word(trigger.strokes().getLast().key()), "cap"));
    button.setAccessibleText(notation);
    button.setTooltip(new Tooltip(notation));
    return button;
  }
}
