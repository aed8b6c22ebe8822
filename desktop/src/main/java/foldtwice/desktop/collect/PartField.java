package foldtwice.desktop.collect;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.parts.Styles;
import foldtwice.outline.StepParts;
import foldtwice.routine.Step;
import foldtwice.routine.ValueException;
import foldtwice.words.StepWords;
import foldtwice.writing.Completing.Completion;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.VBox;

/**
 * A part of a step being written: while it is typed it says what is wrong and what it comes to, and
 * lists how it may go on. Arrows go over the list, Enter or Tab takes the marked one; Ctrl+Space
 * opens it.
 */
final class PartField extends VBox {

  /** What the field asks of the step it is part of. */
  interface Host {

    Step step();

    /** What is wrong with the step as it would be. */
    Optional<Said> said(Step next);

    /** What a text with insertions comes to. */
    Optional<String> preview(String written);

    List<Completion> completions(StepParts.Part part, String written);

    void put(Step next);

    /** False once the field belongs to a step that is no longer shown. */
    boolean holds(PartField field);

    /** The keys go back to the line. */
    void leave();
  }

  /** Something said under a field. */
  record Said(String text, boolean wrong) {}

  private static final int MOST_ROWS = 7;
  private static final int SHORTEST = 7;
  private static final int LONGEST = 38;

  /** A message is as wide as this, whatever the field is, and a letter of it about so wide. */
  private static final double WIDE = 320;

  private static final double LETTER = 6.5;
  private static final Said QUIET = new Said("", false);

  private final TextField field = Skins.on(new TextField());
  private final VBox rows = new VBox();
  private final Label says = Parts.wrapped("");
  private final Host host;
  private StepParts.Part part;
  private List<Completion> found = List.of();
  private int marked = -1;

  /** Where what is written ends; while a key is being typed the field does not know it yet. */
  private int cursor;

  private boolean filling;

  PartField(StepParts.Part part, String id, Host host) {
    super(2);
    this.host = host;
    field.setId(id);
    field.getStyleClass().add("value");
    field.setAccessibleText(part.label().isEmpty() ? StepWords.verb(host.step()) : part.label());
    rows.setId(id + "-list");
    rows.getStyleClass().add("choices");
    rows.managedProperty().bind(rows.visibleProperty());
    rows.setVisible(false);
    says.setId(id + "-says");
    says.managedProperty().bind(says.textProperty().isNotEmpty());
    says.visibleProperty().bind(says.textProperty().isNotEmpty());
    getChildren().addAll(field, rows, says);
    show(part);
    field.textProperty().addListener((o, was, is) -> typed(was, is));
    field.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
    field
        .focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (was && !rows.isHover()) {
                close();
                commit();
              }
            });
  }

  TextField input() {
    return field;
  }

  /** Shows the part as it is by now; what is being typed stays. */
  void show(StepParts.Part now) {
    boolean same = part != null && part.text().equals(now.text());
    part = now;
    if (!same) {
      filling = true;
      field.setText(now.text());
      filling = false;
      size();
    }
    says();
  }

  private void size() {
    field.setPrefColumnCount(Math.clamp(field.getText().length() + 1, SHORTEST, LONGEST));
  }

  private void typed(String was, String is) {
    cursor = is.length() - equalAtEnd(was, is);
    if (filling) {
      return;
    }
    size();
    says();
    offer();
  }

  /** How many letters at the end are the same: the cursor will stand before them. */
  private static int equalAtEnd(String was, String is) {
    int most = Math.min(was.length(), is.length());
    int equal = 0;
    while (equal < most
        && was.charAt(was.length() - 1 - equal) == is.charAt(is.length() - 1 - equal)) {
      equal++;
    }
    return equal;
  }

  private Optional<Step> next() {
    try {
      return Optional.of(StepParts.with(host.step(), part.index(), field.getText()));
    } catch (ValueException e) {
      say(new Said(e.getMessage(), true));
      return Optional.empty();
    }
  }

  private void says() {
    if (field.getText().equals(part.text())) { // what is wrong as it is stands below
      say(preview().orElse(QUIET));
    } else {
      next().ifPresent(step -> say(host.said(step).or(this::preview).orElse(QUIET)));
    }
  }

  private Optional<Said> preview() {
    return host.preview(field.getText()).map(p -> new Said(p, false));
  }

  private void say(Said said) {
    says.setText(said.text());
    says.setPrefWidth(said.text().length() * LETTER > WIDE ? WIDE : USE_COMPUTED_SIZE);
    Styles.one(says, said.wrong() ? "blocks" : "soft", List.of("blocks", "soft"));
    Styles.set(field, "wrong", said.wrong());
  }

  private void offer() {
    found = host.completions(part, field.getText().substring(0, cursor));
    marked = -1;
    list();
  }

  private void list() {
    rows.getChildren().clear();
    int from = Math.max(0, marked - MOST_ROWS + 1);
    for (int i = from; i < Math.min(from + MOST_ROWS, found.size()); i++) {
      Completion one = found.get(i);
      Label row = Parts.label(one.shown(), "choice");
      row.setMaxWidth(Double.MAX_VALUE);
      row.setOnMouseClicked(
          e -> {
            take(one);
            e.consume();
          });
      if (i == marked) {
        row.getStyleClass().add("marked");
      }
      rows.getChildren().add(row);
    }
    rows.setVisible(!found.isEmpty() && field.isFocused());
  }

  private void close() {
    rows.setVisible(false);
    marked = -1;
  }

  private void key(KeyEvent e) {
    boolean open = rows.isVisible();
    if (e.getCode() == KeyCode.SPACE && e.isControlDown()) {
      cursor = field.getCaretPosition();
      offer();
    } else if (e.getCode() == KeyCode.DOWN || e.getCode() == KeyCode.UP) {
      if (open) {
        int by = e.getCode() == KeyCode.DOWN ? 1 : -1;
        marked = Math.clamp(marked + by, -1, found.size() - 1);
        list();
      } else if (e.getCode() == KeyCode.DOWN) {
        cursor = field.getCaretPosition();
        offer();
      }
    } else if (e.getCode() == KeyCode.ENTER) {
      enter(open);
    } else if (e.getCode() == KeyCode.TAB && open && marked >= 0) {
      take(found.get(marked));
    } else if (e.getCode() == KeyCode.ESCAPE) {
      escape(open);
    } else {
      return;
    }
    e.consume();
  }

  private void enter(boolean open) {
    if (open && marked >= 0) {
      take(found.get(marked));
    } else {
      close();
      if (commit()) {
        host.leave();
      }
    }
  }

  private void escape(boolean open) {
    if (open) {
      close();
      return;
    }
    filling = true;
    field.setText(part.text());
    filling = false;
    says();
    host.leave();
  }

  private void take(Completion one) {
    String behind = field.getText().substring(cursor);
    String before = one.in(field.getText().substring(0, cursor));
    field.setText(before + behind);
    field.requestFocus();
    field.positionCaret(before.length());
    cursor = before.length();
    if (before.endsWith(" ")) {
      offer();
    } else {
      close();
    }
  }

  /** False when what stands there cannot be read; it stays to be mended. */
  private boolean commit() {
    if (field.getText().equals(part.text()) || !host.holds(this)) {
      return true;
    }
    Optional<Step> next = next();
    next.filter(s -> !s.equals(host.step())).ifPresent(host::put);
    return next.isPresent();
  }
}
