package foldtwice.desktop.parts;

import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.MenuButton;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Skin;
import javafx.scene.control.TableCell;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.skin.ButtonSkin;
import javafx.scene.control.skin.CheckBoxSkin;
import javafx.scene.control.skin.LabelSkin;
import javafx.scene.control.skin.ListCellSkin;
import javafx.scene.control.skin.MenuButtonSkin;
import javafx.scene.control.skin.ScrollPaneSkin;
import javafx.scene.control.skin.TableCellSkin;
import javafx.scene.control.skin.TextAreaSkin;
import javafx.scene.control.skin.TextFieldSkin;
import javafx.scene.control.skin.ToggleButtonSkin;

/**
 * Gives controls the skins they would get anyway, before they are in a scene. One that comes
 * without is matched with all styles, given its skin, and matched again with all that is in it:
 * that took a third more. Not for boxes one chooses from: it is their skin that tells what is
 * chosen, also when it is told to show something.
 */
public final class Skins {

  private Skins() {}

  /** The control, with its skin. */
  public static <C extends Control> C on(C control) {
    if (control.getSkin() == null) {
      control.setSkin(of(control));
    }
    return control;
  }

  /**
   * Panes keep a picture of all that they show. Of what changes a little all the time it is painted
   * anew as a whole each time, and whoever shows the next thing waits until that is done.
   */
  private static ScrollPaneSkin uncached(ScrollPaneSkin skin) {
    for (Node part : skin.getChildren()) {
      part.setCache(false);
    }
    return skin;
  }

  private static Skin<?> of(Control control) {
    return switch (control) {
      case Label label -> new LabelSkin(label);
      case Button button -> new ButtonSkin(button);
      case ToggleButton button -> new ToggleButtonSkin(button);
      case CheckBox box -> new CheckBoxSkin(box);
      case MenuButton button -> new MenuButtonSkin(button);
      case TextField field -> new TextFieldSkin(field);
      case TextArea area -> new TextAreaSkin(area);
      case ListCell<?> cell -> new ListCellSkin<>(cell);
      case TableCell<?, ?> cell -> new TableCellSkin<>(cell);
      case ScrollPane pane -> uncached(new ScrollPaneSkin(pane));
      default -> throw new IllegalArgumentException("no skin is known for " + control.getClass());
    };
  }
}
