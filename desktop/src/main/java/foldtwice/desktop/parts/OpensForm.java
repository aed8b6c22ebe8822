package foldtwice.desktop.parts;

import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Edit;
import foldtwice.place.Place;
import foldtwice.resolve.Owner;
import foldtwice.surface.Summoned;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** What opens a radial menu, or the list of what fits: taken away, and added by keys or pointer. */
public final class OpensForm extends VBox {

  private final Session session;
  private final FlowPane openers = new FlowPane(12, 6);
  private final KeysField keys;
  private final VBox other = new VBox();
  private final Label says = Parts.wrapped("", "costs");
  private Summoned what;

  public OpensForm(Session session) {
    super(6);
    this.session = session;
    openers.setId("openers");
    openers.setAlignment(Pos.CENTER_LEFT);
    keys =
        new KeysField(
            "opener-keys",
            () -> session.now().keymap().layout(),
            () -> Trigger.Keys.MOST_STROKES,
            this::add);
    says.setId("opener-says");
    says.managedProperty().bind(says.textProperty().isNotEmpty());
    FlowPane ways =
        new FlowPane(
            10,
            4,
            Parts.button("opener-pointer", Ui.text("opens.pointer"), this::byPointer, "link"),
            Parts.button("opener-gesture", Ui.text("opens.gesture"), this::byGesture, "link"));
    getChildren().addAll(openers, says, keys, ways, other);
  }

  public void show(Snapshot now, Summoned shown) {
    if (what == null || !what.id().equals(shown.id())) {
      other.getChildren().clear();
      keys.clear();
      says.setText("");
    }
    what = shown;
    if (Parts.hasKeys(openers)) {
      keys.focusButton(); // what had the keys is gone now
    }
    openers.getChildren().clear();
    for (Trigger t : shown.opens()) {
      KeyCaps caps = KeyCaps.of(t, now.words());
      Button away =
          Parts.button(
              "opener-away-" + openers.getChildren().size(),
              Ui.text("sets.away"),
              () -> take(t),
              "link");
      away.setAccessibleText(Ui.text("opens.away", now.words().trigger(t)));
      openers.getChildren().addAll(caps, away);
    }
    if (shown.opens().isEmpty()) {
      openers.getChildren().add(Parts.label(Ui.text("opens.nothing"), "costs"));
    }
  }

  private void byPointer() {
    toggle(new PointerForm(t -> new Faces(session.now(), state()).does(t), this::add));
  }

  private void byGesture() {
    toggle(new GestureForm(t -> session.now().words().trigger(t), this::add));
  }

  private void toggle(Node form) {
    boolean open =
        !other.getChildren().isEmpty()
            && other.getChildren().getFirst().getClass().equals(form.getClass());
    if (open) {
      other.getChildren().clear();
    } else {
      other.getChildren().setAll(form);
    }
  }

  private Place state() {
    List<Place> states = session.now().keymap().statesOf(what.place());
    return states.isEmpty() ? what.place() : states.getFirst();
  }

  private void add(Trigger trigger) {
    if (Parts.hasKeys(other)) {
      keys.focusButton(); // before what has the keys is gone
    }
    other.getChildren().clear();
    keys.clear();
    if (what.opens().contains(trigger)) {
      return;
    }
    String others = others(trigger);
    says.setText(others.isEmpty() ? "" : Ui.text("opens.others", others));
    List<Trigger> more = new ArrayList<>(what.opens());
    more.add(trigger);
    put(more);
  }

  /** Who else has it where it opens. */
  private String others(Trigger trigger) {
    Snapshot now = session.now();
    List<Place> here = now.keymap().statesOf(what.place());
    return now.keymap().claimsOn(trigger).stream()
        .filter(c -> !c.owner().equals(new Owner.Menu(what.id())))
        .filter(c -> now.keymap().statesOf(c.place()).stream().anyMatch(here::contains))
        .map(c -> now.words().owner(c.owner()))
        .distinct()
        .collect(Collectors.joining("; "));
  }

  private void take(Trigger trigger) {
    says.setText("");
    put(what.opens().stream().filter(t -> !t.equals(trigger)).toList());
  }

  private void put(List<Trigger> openers) {
    session.make(new Edit.PutSurface(what.openedBy(openers)), Ui.text("said.changed", what.name()));
  }
}
