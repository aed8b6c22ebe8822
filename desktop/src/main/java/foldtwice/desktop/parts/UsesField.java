package foldtwice.desktop.parts;

import foldtwice.desktop.session.Ui;
import java.util.function.DoubleConsumer;
import javafx.scene.control.TextField;

/** How often a week something is used; what is typed and is no number is not taken. */
public final class UsesField extends TextField {

  private double shown;

  /**
   * @param typed called with what was typed, where that is another number than is shown
   */
  public UsesField(String id, DoubleConsumer typed) {
    setId(id);
    setPrefColumnCount(6);
    getStyleClass().add("value");
    setAccessibleText(Ui.text("does.uses"));
    Parts.onKept(this, () -> keep(typed));
  }

  private void keep(DoubleConsumer typed) {
    String text = getText().strip().replace(',', '.');
    if (!text.matches("\\d{1,6}(\\.\\d{1,2})?")) {
      show(shown);
    } else if (Double.parseDouble(text) != shown) {
      typed.accept(Double.parseDouble(text));
    }
  }

  /** Shows a number. */
  public void show(double timesAWeek) {
    shown = timesAWeek;
    Parts.write(
        this,
        timesAWeek == Math.rint(timesAWeek)
            ? Long.toString((long) timesAWeek)
            : Double.toString(timesAWeek));
  }
}
