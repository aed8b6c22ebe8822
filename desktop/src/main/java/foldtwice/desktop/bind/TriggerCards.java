package foldtwice.desktop.bind;

import foldtwice.binding.Binding;
import foldtwice.desktop.parts.KeyCaps;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Switching;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Notation;
import foldtwice.trigger.NotationException;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import foldtwice.words.Words;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What stands in the place of the triggers while another one is being made. */
final class TriggerCards {

  private TriggerCards() {}

  /** What a binding has again when it is switched on, and the way to that. */
  static Node parked(Session session, Binding binding) {
    HBox parked = new HBox(8, Parts.label(Ui.text("sets.off"), "soft"));
    parked.setId("parked");
    parked.setAlignment(Pos.CENTER_LEFT);
    binding.fitting().parked().stream()
        .map(t -> KeyCaps.of(t, session.now().words()))
        .forEach(parked.getChildren()::add);
    Runnable on =
        () -> session.make(Switching.bindings(List.of(binding), true), Ui.text("said.on", 1));
    parked.getChildren().add(Parts.button("switch-on", Ui.text("sets.on"), on, "link"));
    return parked;
  }

  /** The triggers there are, the chosen one large, each to be chosen. */
  static Node triggers(
      List<Trigger> triggers, int chosen, Words words, Consumer<Integer> onChosen) {
    FlowPane all = new FlowPane(10, 6);
    for (int i = 0; i < triggers.size(); i++) {
      KeyCaps caps = KeyCaps.of(triggers.get(i), words);
      if (i == chosen) {
        caps.large();
      }
      int which = i;
      Button choose = Parts.button("trigger-" + i, "", () -> onChosen.accept(which), "caps-link");
      choose.setGraphic(caps);
      choose.setAccessibleText(words.trigger(triggers.get(i)));
      all.getChildren().add(choose);
    }
    return all;
  }

  /** Keys as they are pressed: the strokes so far, what is held now, and what to do. */
  static Node capturing(List<Stroke> strokes, Modifiers held, String hint) {
    VBox box = new VBox(6);
    box.setId("capturing");
    box.getStyleClass().add("capturing");
    if (!strokes.isEmpty()) {
      box.getChildren().add(KeyCaps.of(strokes).large());
    }
    if (!held.isEmpty()) {
      String all = held.list().stream().map(m -> m.word()).collect(Collectors.joining(" + "));
      box.getChildren().add(Parts.label(all + " + \u2026", "mono"));
    }
    box.getChildren().add(Parts.wrapped(hint, "soft"));
    return box;
  }

  /** A field to type a trigger into. */
  static final class Typed extends VBox {
    private final TextField field = Skins.on(new TextField());

    /**
     * @param onTyped gets what can be read while it is typed, and null while it cannot
     * @param onEntered gets what was entered
     * @param onLeft is called at Escape
     */
    Typed(Consumer<Trigger> onTyped, Consumer<Trigger> onEntered, Runnable onLeft) {
      super(6);
      field.setId("typed-trigger");
      Parts.prompt(field, Ui.text("sets.typehint"));
      field.setAccessibleText(Ui.text("sets.type"));
      Label wrong = Parts.wrapped("", "blocks");
      wrong.setId("wrong-trigger");
      field.setOnAction(
          e -> {
            try {
              onEntered.accept(Notation.read(field.getText()));
            } catch (NotationException fault) {
              wrong.setText(fault.getMessage());
            }
          });
      field.setOnKeyPressed(
          e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
              onLeft.run();
              e.consume();
            }
          });
      field
          .textProperty()
          .addListener(
              (o, a, text) -> {
                wrong.setText("");
                try {
                  onTyped.accept(Notation.read(text));
                } catch (NotationException unfinished) {
                  onTyped.accept(null); // said only when it is entered: it may still be unfinished
                }
              });
      getChildren().addAll(field, wrong);
    }

    void focus() {
      field.requestFocus();
    }
  }

  /** Whether a trigger with consequences is to be taken. */
  static final class Question extends VBox {
    private final Runnable onTake;
    private final Runnable onLeave;
    private final Button leave;

    Question(Trigger trigger, Words words, Runnable onTake, Runnable onLeave) {
      super(8);
      this.onTake = onTake;
      this.onLeave = onLeave;
      setId("question");
      Button take = Parts.button("take-it", Ui.text("sets.take"), onTake, "main");
      leave = Parts.button("leave-it", Ui.text("sets.leave"), onLeave);
      take.setDefaultButton(false);
      List.of(take, leave).forEach(b -> b.setOnKeyPressed(this::answer));
      getChildren().addAll(KeyCaps.of(trigger, words).large(), new HBox(8, leave, take));
    }

    /** Offers another way to take it. */
    void offer(Node way) {
      getChildren().add(way);
    }

    void focus() {
      leave.requestFocus();
    }

    private void answer(KeyEvent e) {
      if (e.getCode() == KeyCode.ESCAPE) {
        e.consume();
        onLeave.run();
      } else if (e.getCode() == KeyCode.ENTER) {
        e.consume();
        (e.getSource().equals(leave) ? onLeave : onTake).run();
      }
    }
  }
}
