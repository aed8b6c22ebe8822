package foldtwice.desktop.parts;

import foldtwice.desktop.session.Ui;
import foldtwice.routine.Routine;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.Dragboard;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.VBox;

/**
 * Chooses a routine by a few letters of its name: the list under it narrows as they are typed,
 * arrows go over it, Enter takes the marked one.
 */
public final class RoutineField extends VBox {

  /** What a dragged routine is marked by; its id follows. */
  public static final String DRAGGED = "fold-twice/routine/";

  private static final int MOST_ROWS = 6;

  private final TextField field = Skins.on(new TextField());
  private final VBox rows = new VBox();
  private final Function<Routine, String> says;
  private final Runnable onChosen;
  private List<Routine> offered = List.of();
  private List<Routine> found = List.of();
  private Optional<Routine> chosen = Optional.empty();
  private int marked;
  private boolean filling;

  /**
   * Offers nothing yet.
   *
   * @param id of the field to type in
   * @param says how a routine is listed
   * @param onChosen called when a person chose one
   */
  public RoutineField(String id, String prompt, Function<Routine, String> says, Runnable onChosen) {
    this.says = says;
    this.onChosen = onChosen;
    field.setId(id);
    Parts.prompt(field, prompt);
    field.setAccessibleText(prompt);
    rows.setId(id + "-list");
    rows.getStyleClass().add("choices");
    rows.managedProperty().bind(rows.visibleProperty());
    rows.setVisible(false);
    field.textProperty().addListener((o, a, b) -> narrow());
    field.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
    field
        .focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (was && !rows.isHover()) {
                write();
              }
            });
    getChildren().addAll(field, rows);
  }

  /** What can be chosen; nothing is chosen of it. */
  public void offer(List<Routine> routines) {
    offered = routines.stream().sorted(Comparator.comparing(Routine::name)).toList();
    clear();
  }

  /** The same as they are now: what is chosen stays, and so does what is being typed. */
  public void renew(List<Routine> routines) {
    List<Routine> now = routines.stream().sorted(Comparator.comparing(Routine::name)).toList();
    if (now.equals(offered)) {
      return;
    }
    offered = now;
    chosen = chosen.flatMap(c -> now.stream().filter(r -> r.id().equals(c.id())).findFirst());
    if (rows.isVisible()) {
      narrow();
    } else {
      write();
    }
  }

  public Optional<Routine> chosen() {
    return chosen;
  }

  /** Nothing is chosen. */
  public void clear() {
    chosen = Optional.empty();
    write();
  }

  /** Gives it the keys. */
  public void focus() {
    field.requestFocus();
  }

  /** Writes what is chosen, with the list closed. */
  private void write() {
    filling = true;
    Parts.write(field, chosen.map(says).orElse(""));
    filling = false;
    rows.setVisible(false);
  }

  private void narrow() {
    if (filling) {
      return;
    }
    found = byName(offered, field.getText());
    marked = 0;
    list();
  }

  private void list() {
    rows.getChildren().clear();
    int from = Math.max(0, marked - MOST_ROWS + 1);
    List<Routine> seen = found.subList(from, Math.min(from + MOST_ROWS, found.size()));
    for (Routine r : seen) {
      Label row = Parts.label(says.apply(r), "choice");
      row.setMaxWidth(Double.MAX_VALUE);
      row.setOnMouseClicked(
          e -> {
            take(r);
            e.consume();
          });
      row.setOnDragDetected(e -> drag(row, r));
      if (found.indexOf(r) == marked) {
        row.getStyleClass().add("marked");
      }
      rows.getChildren().add(row);
    }
    if (seen.isEmpty()) {
      rows.getChildren().add(Parts.label(Ui.text("choices.none"), "soft"));
    }
    rows.setVisible(true);
  }

  private void key(KeyEvent e) {
    boolean open = rows.isVisible();
    if (e.getCode() == KeyCode.DOWN && !open) {
      found = offered;
      marked = 0;
      list();
    } else if (e.getCode() == KeyCode.DOWN && marked + 1 < found.size()) {
      marked++;
      list();
    } else if (e.getCode() == KeyCode.UP && open && marked > 0) {
      marked--;
      list();
    } else if (e.getCode() == KeyCode.ENTER && open && !found.isEmpty()) {
      take(found.get(marked));
    } else if (e.getCode() == KeyCode.ESCAPE && open) {
      write();
    } else {
      return;
    }
    e.consume();
  }

  private static void drag(Label row, Routine routine) {
    Dragboard board = row.startDragAndDrop(TransferMode.MOVE);
    ClipboardContent content = new ClipboardContent();
    content.putString(DRAGGED + routine.id());
    board.setContent(content);
  }

  private void take(Routine routine) {
    chosen = Optional.of(routine);
    write();
    onChosen.run();
  }

  /** Those that have all words in their names, the ones that begin with them first. */
  private static List<Routine> byName(List<Routine> routines, String text) {
    String[] words = text.toLowerCase(Locale.ROOT).strip().split("\\s+");
    return routines.stream()
        .filter(r -> worst(r, words) < 3)
        .sorted(Comparator.comparingInt(r -> worst(r, words)))
        .toList();
  }

  /** 0 when the name begins with a word, 1 when one in it does, 2 when it is within, 3 not. */
  private static int worst(Routine routine, String[] words) {
    String name = routine.name().toLowerCase(Locale.ROOT);
    int worst = 0;
    for (String word : words) {
      int of =
          name.startsWith(word) ? 0 : name.contains(" " + word) ? 1 : name.contains(word) ? 2 : 3;
      worst = Math.max(worst, of);
    }
    return worst;
  }
}
