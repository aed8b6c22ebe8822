package foldtwice.desktop.standin;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Ui;
import foldtwice.standin.desk.Desk;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** The desk: a folder of files at the left, the windows one behind the other. */
final class DeskPicture extends Picture {

  private static final double FOLDER = 210;
  private static final double CARD_HIGH = 30;

  private final Desk program;
  private final boolean whole;

  DeskPicture(Desk program, boolean whole) {
    this.program = program;
    this.whole = whole;
    getStyleClass().add("desk-ground");
  }

  @Override
  protected void draw() {
    StackPane behind = new StackPane();
    clickable(behind, "");
    place(behind, 0, 0, getWidth(), getHeight());
    double folder = whole ? FOLDER : Math.min(FOLDER, getWidth() * 0.4);
    folder(folder);
    windows(folder + 24);
    if (program.launching()) {
      Label launcher = Skins.on(new Label(program.launcher() + "\u2502"));
      launcher.setId("desk-launcher");
      launcher.getStyleClass().add("launcher");
      place(launcher, getWidth() / 2 - 150, 20, 300, 36);
    }
  }

  private void folder(double wide) {
    double y = 12;
    Label head = Parts.label(Ui.text("standin.folder"), "desk-head");
    place(head, 12, y, wide - 12, 20);
    y += 24;
    for (String file : program.document().files()) {
      if (y + 24 > getHeight()) {
        break;
      }
      Label row = Skins.on(new Label(file));
      row.getStyleClass().add("desk-file");
      if (program.document().selected().contains(file)) {
        row.getStyleClass().add("selected");
      }
      row.setId("file-" + file.replace(' ', '-'));
      clickable(row, file);
      place(row, 12, y, wide - 12, 24);
      y += 25;
    }
  }

  /** The one in front is drawn last and whole; of the others the title shows. */
  private void windows(double left) {
    List<String> windows = program.order();
    int behind = Math.min(windows.size() - 1, whole ? 6 : 2);
    double wide = Math.max(120, getWidth() - left - 20 - behind * 16);
    for (int i = behind; i >= 0; i--) {
      boolean front = i == 0;
      double y = 14 + (behind - i) * (CARD_HIGH + 2);
      VBox card = new VBox(Parts.label(title(windows.get(i)), "desk-window-title"));
      card.setId("desk-window-" + windows.get(i));
      card.getStyleClass().addAll("desk-window", front ? "in-front" : "behind");
      if (front) {
        card.getChildren().add(inside(windows.getFirst()));
      }
      double high = front ? Math.max(CARD_HIGH * 2, getHeight() - y - 14) : CARD_HIGH + 8;
      place(card, left + (behind - i) * 16, y, wide, high);
    }
  }

  private static String title(String window) {
    return switch (window) {
      case Desk.ID -> Ui.text("standin.desk.bare");
      case Desk.CONVERTER -> Ui.text("standin.desk.converter");
      case Desk.NOTEPAD -> Ui.text("standin.desk.notepad");
      default -> window.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + window.substring(1);
    };
  }

  private Label inside(String window) {
    String text =
        switch (window) {
          case Desk.CONVERTER ->
              program.document().typed()
                  + "\u2502   \u2192 "
                  + (program.document().converted().isEmpty()
                      ? program.converterTo()
                      : program.document().converted());
          case Desk.NOTEPAD -> program.document().notes() + "\u2502";
          case Desk.ID -> Ui.text("standin.desk.nothing");
          default -> Ui.text("standin.desk.elsewhere");
        };
    Label label = Skins.on(new Label(text));
    label.setId("desk-inside");
    label.setWrapText(true);
    label.getStyleClass().add(window.equals(Desk.ID) ? "soft" : "mono");
    label.setPadding(new javafx.geometry.Insets(12));
    return label;
  }
}
