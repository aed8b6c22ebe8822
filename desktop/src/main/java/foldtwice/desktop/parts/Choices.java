package foldtwice.desktop.parts;

import java.util.List;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ListCell;

/** What a box offers, called as it is called now: a name may change while the thing is the same. */
public final class Choices {

  private static final Object KEY = new Object();

  private Choices() {}

  /**
   * Says anew what is offered and chosen, where it is called otherwise than when this was called
   * last. Costs the words of each.
   */
  public static <T> void renew(ComboBox<T> box) {
    List<String> says = box.getItems().stream().map(box.getConverter()::toString).toList();
    if (!says.equals(box.getProperties().put(KEY, says))) {
      box.setCellFactory(list -> new Said<>(box, ""));
      box.setButtonCell(new Said<>(box, box.getPromptText()));
    }
  }

  private static final class Said<T> extends ListCell<T> {
    private final ComboBox<T> box;
    private final String none;

    Said(ComboBox<T> box, String none) {
      this.box = box;
      this.none = none;
    }

    @Override
    protected void updateItem(T item, boolean empty) {
      super.updateItem(item, empty);
      setText(empty || item == null ? none : box.getConverter().toString(item));
    }
  }
}
