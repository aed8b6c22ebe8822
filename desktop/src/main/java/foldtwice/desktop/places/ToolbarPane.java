package foldtwice.desktop.places;

import foldtwice.desktop.parts.Faces;
import foldtwice.desktop.parts.GiveForm;
import foldtwice.desktop.parts.Icons;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.parts.Tips;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Edit;
import foldtwice.library.Slots;
import foldtwice.place.Place;
import foldtwice.surface.Face;
import foldtwice.surface.Toolbar;
import foldtwice.trigger.Trigger;
import java.util.List;
import java.util.stream.IntStream;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.DragEvent;
import javafx.scene.input.Dragboard;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** A toolbar: its slots in order, to be dragged, and what a button shows and does. */
final class ToolbarPane extends VBox {

  private final Session session;
  private final TextField name = Skins.on(new TextField());
  private final ComboBox<Integer> slots = new ComboBox<>();
  private final ComboBox<Integer> group = new ComboBox<>();
  private final FlowPane row = new FlowPane(4, 6);
  private final Label of = Parts.label("", "heading");
  private final FaceForm face;
  private final GiveForm give;
  private final CheckBox inDocument = Skins.on(new CheckBox(Ui.text("toolbar.document")));
  private Toolbar toolbar;
  private int chosen = 1;
  private boolean filling;

  ToolbarPane(Session session) {
    super(10);
    this.session = session;
    setId("toolbar-pane");
    getStyleClass().add("collect-middle");
    name.setId("toolbar-name");
    name.setAccessibleText(Ui.text("names.toolbar"));
    name.getStyleClass().add("title-field");
    Parts.onKept(name, this::lay);
    slots.setId("toolbar-slots");
    slots.setAccessibleText(Ui.text("toolbar.slots"));
    slots.getItems().setAll(IntStream.rangeClosed(1, Toolbar.MOST_SLOTS).boxed().toList());
    group.setId("toolbar-group");
    group.setAccessibleText(Ui.text("toolbar.group"));
    group.getItems().setAll(IntStream.rangeClosed(0, 10).boxed().toList());
    List.of(slots, group).forEach(b -> Parts.onChosen(b, this::lay));
    inDocument.setId("toolbar-document");
    inDocument.setOnAction(e -> put(toolbar.lying(inDocument.isSelected())));
    row.setId("toolbar-row");
    face = new FaceForm(session, this::face);
    give = new GiveForm(session);
    HBox room =
        new HBox(
            10,
            Parts.label(Ui.text("toolbar.slots"), "soft"),
            slots,
            Parts.label(Ui.text("toolbar.group"), "soft"),
            group,
            inDocument);
    room.setAlignment(Pos.CENTER_LEFT);
    getChildren()
        .addAll(
            name,
            room,
            Parts.wrapped(Ui.text("toolbar.hint"), "soft"),
            row,
            of,
            give,
            face,
            Parts.button("surface-remove", Ui.text("surface.remove"), this::remove, "link"));
  }

  void show(Snapshot now, Toolbar shown) {
    filling = true;
    if (toolbar == null || !toolbar.id().equals(shown.id())) {
      chosen = 1;
    }
    toolbar = shown;
    chosen = Math.min(chosen, shown.slots());
    Parts.renew(name, shown.name());
    slots.setValue(shown.slots());
    group.setValue(shown.group());
    inDocument.setSelected(shown.inDocument());
    filling = false;
    boolean had = Parts.hasKeys(row);
    row.getChildren().clear();
    for (int slot = 1; slot <= shown.slots(); slot++) {
      if (shown.group() > 0 && slot > 1 && (slot - 1) % shown.group() == 0) {
        Region gap = new Region();
        gap.setMinWidth(12);
        row.getChildren().add(gap);
      }
      row.getChildren().add(button(now, slot));
    }
    if (had) {
      row.lookup("#slot-" + chosen).requestFocus();
    }
    showChosen(now);
  }

  private void showChosen(Snapshot now) {
    of.setText(
        Ui.text(
            "toolbar.slot", chosen, now.library().nameOf(new Place.Whole(toolbar.application()))));
    give.show(now, new Trigger.Button(toolbar.id(), chosen), toolbar.application());
    face.show(toolbar.face(chosen));
  }

  private Button button(Snapshot now, int slot) {
    Trigger trigger = new Trigger.Button(toolbar.id(), slot);
    String does = Faces.anywhere(now, trigger);
    Face shows = toolbar.face(slot);
    Button button =
        Parts.button(
            "slot-" + slot,
            shows.label().isEmpty() ? shortened(does, slot) : shows.label(),
            () -> {
              chosen = slot;
              show(session.now(), toolbar);
            });
    Icons.dress(button, shows, 15);
    Tips.on(button, does.isEmpty() ? Ui.text("device.free") : does);
    if (slot == chosen) {
      button.getStyleClass().add("taken");
    }
    button.addEventFilter(
        KeyEvent.KEY_PRESSED,
        e -> {
          int way = e.getCode() == KeyCode.LEFT ? -1 : e.getCode() == KeyCode.RIGHT ? 1 : 0;
          if (e.isAltDown() && way != 0) {
            e.consume();
            move(slot, slot + way);
          }
        });
    button.setOnDragDetected(
        e -> {
          Dragboard board = button.startDragAndDrop(TransferMode.MOVE);
          ClipboardContent content = new ClipboardContent();
          content.putString("slot " + slot);
          board.setContent(content);
          e.consume();
        });
    button.setOnDragOver(
        e -> {
          if (dragged(e) > 0) {
            e.acceptTransferModes(TransferMode.MOVE);
          }
          e.consume();
        });
    button.setOnDragDropped(
        e -> {
          move(dragged(e), slot);
          e.setDropCompleted(true);
          e.consume();
        });
    return button;
  }

  private static String shortened(String does, int slot) {
    return does.isEmpty()
        ? Integer.toString(slot)
        : does.length() > 18 ? does.substring(0, 17) + "\u2026" : does;
  }

  /** The slot that is dragged; 0 for something else. */
  private int dragged(DragEvent e) {
    String text = e.getDragboard().getString();
    return text != null && text.matches("slot \\d{1,2}")
        ? Math.min(Integer.parseInt(text.substring(5)), toolbar.slots())
        : 0;
  }

  private void move(int from, int to) {
    if (from < 1 || to < 1 || to > toolbar.slots() || from == to) {
      return;
    }
    chosen = to;
    boolean had = Parts.hasKeys(row);
    session.make(
        Slots.swap(session.now().library(), toolbar, from, to), Ui.text("said.swapped", from, to));
    if (had) {
      row.lookup("#slot-" + to).requestFocus();
    }
  }

  private void lay() {
    String named = name.getText().strip();
    if (filling || named.isEmpty() || slots.getValue() == null || group.getValue() == null) {
      return;
    }
    put(toolbar.laid(named, slots.getValue(), group.getValue()));
  }

  private void face(Face shows) {
    put(toolbar.showing(chosen, shows));
  }

  private void put(Toolbar next) {
    if (!next.equals(toolbar)) {
      session.make(new Edit.PutSurface(next), Ui.text("said.changed", next.name()));
    }
  }

  private void remove() {
    session.make(new Edit.RemoveSurface(toolbar.id()), Ui.text("said.removed", toolbar.name()));
  }
}
