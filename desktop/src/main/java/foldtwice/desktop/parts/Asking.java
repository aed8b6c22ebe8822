package foldtwice.desktop.parts;

import foldtwice.desktop.session.Runs;
import foldtwice.desktop.session.Ui;
import foldtwice.routine.Kind;
import foldtwice.routine.Value;
import foldtwice.routine.ValueException;
import foldtwice.run.Run;
import foldtwice.run.Status;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What a run asks: its question, the offered values to change, going on or giving up. */
public final class Asking extends VBox {

  /** What becomes of the answers. */
  public interface Answering {
    void answer(Map<String, Value> values);

    void giveUp();
  }

  private final Answering answering;
  private final Map<Status.Asked, Control> fields = new LinkedHashMap<>();
  private final Label wrong = Parts.wrapped("", "blocks");

  /**
   * A panel for a run that asks.
   *
   * @param keep keeps the values a routine is to be run with, so that they can be changed without
   *     running it; used only for those asked for before the first step
   * @throws IllegalArgumentException when it asks nothing
   */
  public Asking(Runs runs, Run run, Consumer<Map<String, Value>> keep) {
    this(
        asks(run),
        new Answering() {
          @Override
          public void answer(Map<String, Value> values) {
            run.answer(values);
            runs.goOn(run);
          }

          @Override
          public void giveUp() {
            runs.giveUp(run);
          }
        },
        Optional.of(keep));
  }

  private static Status.Asking asks(Run run) {
    if (run.status() instanceof Status.Asking asking) {
      return asking;
    }
    throw new IllegalArgumentException("asks nothing: " + run.status());
  }

  /**
   * A panel for what is asked.
   *
   * @param keep as above; empty where nothing can be kept
   */
  public Asking(
      Status.Asking asking, Answering answering, Optional<Consumer<Map<String, Value>>> keep) {
    this.answering = answering;
    setId("asking");
    getStyleClass().addAll("said", "asking");
    setSpacing(6);
    getChildren().add(Parts.wrapped(asking.text(), "strong"));
    if (asking.byHand()) {
      getChildren().add(Parts.wrapped(Ui.text("asking.byhand"), "soft"));
    }
    for (Status.Asked asked : asking.questions()) {
      Control field = field(asked);
      fields.put(asked, field);
      Label name = Parts.label(asked.name(), "argument");
      name.setLabelFor(field);
      name.setMinWidth(USE_PREF_SIZE);
      HBox row = new HBox(8, name, field);
      row.setAlignment(Pos.CENTER_LEFT);
      getChildren().addAll(row, Parts.wrapped(asked.kind().allowed(), "soft"));
    }
    Parts.there(wrong, false);
    FlowPane buttons =
        new FlowPane(
            8,
            6,
            Parts.button("asking-on", Ui.text("asking.on"), this::goOn, "main"),
            Parts.button("asking-up", Ui.text("asking.up"), answering::giveUp));
    if (asking.number().isEmpty() && keep.isPresent()) {
      buttons
          .getChildren()
          .add(1, Parts.button("asking-keep", Ui.text("asking.keep"), () -> keep(keep.get())));
    }
    getChildren().addAll(wrong, buttons);
  }

  private Control field(Status.Asked asked) {
    Control made =
        switch (asked.kind()) {
          case Kind.Choice(var options) -> {
            ComboBox<String> box = new ComboBox<>();
            box.getItems().setAll(options);
            box.setValue(asked.otherwise().shown());
            yield box;
          }
          case Kind k when !asked.offered().isEmpty() -> {
            ComboBox<String> box = new ComboBox<>();
            box.setEditable(true);
            box.getItems().setAll(asked.offered().stream().map(Value::shown).toList());
            box.getEditor().setText(asked.otherwise().shown());
            box.getEditor().setOnAction(e -> goOn());
            yield box;
          }
          case Kind k -> {
            TextField text = Skins.on(new TextField(asked.otherwise().shown()));
            text.getStyleClass().add("value");
            text.setPrefColumnCount(12);
            text.setOnAction(e -> goOn());
            yield text;
          }
        };
    made.setId("asked-" + asked.name().replace(' ', '-'));
    return made;
  }

  private void goOn() {
    answers().ifPresent(answering::answer);
  }

  private void keep(Consumer<Map<String, Value>> keep) {
    answers()
        .ifPresent(
            answers -> {
              answering.giveUp();
              keep.accept(answers);
            });
  }

  /** What stands in the fields; empty, and said, when something does not fit. */
  private Optional<Map<String, Value>> answers() {
    Map<String, Value> answers = new LinkedHashMap<>();
    for (var e : fields.entrySet()) {
      try {
        answers.put(e.getKey().name(), e.getKey().kind().read(text(e.getValue())));
      } catch (ValueException refused) {
        say(e.getKey().name() + ": " + refused.allowed());
        e.getValue().requestFocus();
        return Optional.empty();
      }
    }
    return Optional.of(answers);
  }

  private static String text(Control field) {
    return switch (field) {
      case TextField t -> t.getText();
      case ComboBox<?> box when box.isEditable() -> box.getEditor().getText();
      case ComboBox<?> box -> (String) box.getValue();
      default -> throw new IllegalStateException("nothing is written in " + field);
    };
  }

  private void say(String what) {
    wrong.setText(what);
    Parts.there(wrong, true);
  }

  /** Puts the keys into the first field, or on the button that goes on. */
  public void focusFirst() {
    fields.values().stream()
        .findFirst()
        .map(f -> (javafx.scene.Node) f)
        .orElseGet(() -> lookup("#asking-on"))
        .requestFocus();
  }
}
