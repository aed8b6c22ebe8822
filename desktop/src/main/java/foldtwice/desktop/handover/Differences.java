package foldtwice.desktop.handover;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Ui;
import foldtwice.merge.Differing;
import foldtwice.words.MergeWords;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;

/** What is different between two libraries, a row for each difference. */
final class Differences {

  /** More are only counted. */
  static final int MOST = 60;

  private Differences() {}

  /** Adds the rows to a pane, the first ones in full. */
  static void add(Pane to, List<Differing.Row> rows, MergeWords words) {
    for (Differing.Row row : rows.subList(0, Math.min(MOST, rows.size()))) {
      Label how = Parts.label(MergeWords.how(row.how()), "soft");
      how.setMinWidth(70);
      Label says = Parts.wrapped(words.of(row));
      HBox.setHgrow(says, Priority.ALWAYS);
      HBox line = new HBox(8, how, says);
      line.getStyleClass().add("why-row");
      to.getChildren().add(line);
    }
    more(to, rows.size());
  }

  /** Says how many more there are than fit. */
  static void more(Pane to, int all) {
    if (all > MOST) {
      to.getChildren().add(Parts.label(Ui.text("sheets.more", all - MOST), "soft"));
    }
  }
}
