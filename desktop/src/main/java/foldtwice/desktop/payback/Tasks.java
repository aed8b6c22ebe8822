package foldtwice.desktop.payback;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.view.Going;
import foldtwice.desktop.view.Target;
import foldtwice.effort.Payback;
import foldtwice.words.EffortWords;
import foldtwice.words.Words;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** What costs most without a trigger, what nobody uses, what takes longer than by hand. */
final class Tasks extends VBox {

  private static final int MOST = 20;

  private final Going going;
  private final VBox rows = new VBox(4);
  private final VBox foot = new VBox(4);

  Tasks(Going going) {
    super(8);
    this.going = going;
    setId("payback-tasks");
    getChildren().addAll(Parts.label(Ui.text("payback.without"), "heading"), rows, foot);
  }

  void show(Payback payback, Words words) {
    rows.getChildren().clear();
    List<Payback.Task> tasks = payback.withoutTrigger();
    for (int i = 0; i < Math.min(MOST, tasks.size()); i++) {
      rows.getChildren().add(row(i, tasks.get(i), words));
    }
    if (tasks.isEmpty()) {
      rows.getChildren().add(Parts.wrapped(Ui.text("payback.nothingwithout"), "soft"));
    }
    foot.getChildren().clear();
    some("never", payback.neverUsed(), words);
    some("costing", payback.costing(), words);
    some("notknown", payback.unknown(), words);
  }

  private HBox row(int at, Payback.Task t, Words words) {
    Label name = Parts.label(t.name(), "strong");
    Label where =
        Parts.label(
            Ui.text(
                "payback.task",
                words.application(t.application()),
                Words.number(t.uses()),
                t.uses()),
            "soft");
    VBox text = new VBox(name, where);
    text.setMinWidth(0);
    HBox.setHgrow(text, Priority.ALWAYS);
    Label time = Parts.label(EffortWords.time(t.aWeek().mid()), "mono");
    time.setMinWidth(USE_PREF_SIZE);
    Button bind =
        Parts.button("task-" + at, Ui.text("payback.bindit"), () -> going.to(target(t)), "link");
    bind.setMinWidth(USE_PREF_SIZE);
    bind.setAccessibleText(Ui.text("payback.bind", t.name()));
    HBox row = new HBox(8, text, time, bind);
    row.setAlignment(Pos.CENTER_LEFT);
    row.getStyleClass().add("payback-task");
    return row;
  }

  private static Target target(Payback.Task t) {
    return t.binding()
        .<Target>map(Target.Binding::new)
        .orElseGet(() -> new Target.Command(t.application(), t.command().orElseThrow().id()));
  }

  /** How many there are, and the way to the first few of them. */
  private void some(String key, List<Payback.Row> some, Words words) {
    if (some.isEmpty()) {
      return;
    }
    foot.getChildren().add(Parts.wrapped(Ui.text("payback." + key, some.size()), "costs"));
    for (int i = 0; i < Math.min(4, some.size()); i++) {
      String id = some.get(i).binding().id();
      Button to =
          Parts.button(
              key + "-" + i,
              words.binding(some.get(i).binding()),
              () -> going.to(new Target.Binding(id)),
              "link");
      foot.getChildren().add(to);
    }
  }
}
