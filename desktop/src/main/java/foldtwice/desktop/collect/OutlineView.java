package foldtwice.desktop.collect;

import foldtwice.desktop.parts.Children;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Styles;
import foldtwice.desktop.session.Ui;
import foldtwice.known.Known;
import foldtwice.outline.Outline;
import foldtwice.place.Finding;
import foldtwice.place.NativeCommand;
import foldtwice.reading.Mark;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.run.Trace;
import foldtwice.trigger.Layout;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/**
 * The steps of a macro as readable lines; the chosen one is open for editing. Only the rows near
 * those that are seen are there, and a row that stays the same stays the same node.
 */
final class OutlineView extends VBox {

  /** What can be done to the lines. */
  interface Actions extends StepEditor.Actions, SeveralBar.Actions {
    void chooseStep(String number);

    /** Several lines are chosen; the last is the one that was added. */
    void chooseSteps(List<String> numbers);

    void move(String from, String to);

    void mend(Mark mark);

    void found(NativeCommand command, Optional<Finding> finding);

    /** A step begins with these letters. */
    void beginStep(String letters);

    void toClipboard(boolean away);

    void fromClipboard();
  }

  /** What is open below a row counts for so many rows when it is a question what stays there. */
  private static final int OPEN_WEIGHT = 80;

  /** Rows taken as seen while it is not laid out yet. */
  private static final int FIRST_SEEN = 20;

  private static final double ROW_HEIGHT = 28;

  /** A chosen row has so much room above it, and so much for its fields below. */
  private static final double MARGIN = 40;

  private static final double ROOM = 170;

  private final Actions actions;
  private final StepEditor editor;
  private final SeveralBar several;
  private final Region above = new Region();
  private final Region below = new Region();
  private Words words;
  private Routine.Macro shown;
  private List<OutlineRow> rows = List.of();
  private List<String> chosen = List.of();
  private List<NativeCommand> named = List.of();
  private Optional<Node> namesakes = Optional.empty();
  private final RowNodes nodes;
  private final OutlineKeys keys;

  /** The first row that is there, and how many are. */
  private int from;

  private int filled;
  private ScrollPane around;
  private boolean going;

  OutlineView(Actions actions, Supplier<Layout> layout) {
    this.actions = actions;
    this.editor = new StepEditor(actions, layout);
    this.several = new SeveralBar(actions);
    this.nodes = new RowNodes(actions);
    this.keys = new OutlineKeys(actions, () -> rows, () -> chosen, this::edit);
    setId("outline");
    getStyleClass().add("outline");
    setFocusTraversable(true);
    setAccessibleText(Ui.text("collect.steps"));
    addEventHandler(KeyEvent.KEY_PRESSED, e -> ifMine(e, keys::pressed));
    addEventHandler(KeyEvent.KEY_TYPED, e -> ifMine(e, keys::typed));
    addEventHandler(MouseEvent.MOUSE_CLICKED, this::clicked);
    drags();
  }

  /** What scrolls it. */
  void within(ScrollPane pane) {
    around = pane;
    pane.vvalueProperty().addListener((o, a, b) -> scrolled());
    pane.viewportBoundsProperty().addListener((o, a, b) -> scrolled());
  }

  /**
   * Shows the lines.
   *
   * @param numbers of the chosen lines; the last is the one that is open where it is alone
   * @param at the number of the line a run stands before; empty for none
   * @param failed how a run failed, if one did
   * @param same the commands of the label a step chooses, if there are several
   */
  void show(
      Routine.Macro macro,
      Known known,
      List<Mark> marks,
      List<String> numbers,
      String at,
      Optional<Trace.Failed> failed,
      Function<Step, List<NativeCommand>> same,
      Words now) {
    boolean focused = Parts.hasKeys(this);
    words = now;
    shown = macro;
    chosen = numbers;
    rows = OutlineRow.of(macro.steps(), marks, numbers, at, failed);
    Optional<Line> open = open(macro);
    open.ifPresent(line -> editor.show(macro, numbers.getLast(), line, known));
    List<NativeCommand> alike = open.map(line -> same.apply(line.step())).orElse(List.of());
    if (!alike.equals(named)) { // else somebody may be writing into it
      named = alike;
      namesakes =
          alike.isEmpty() ? Optional.empty() : Optional.of(new Namesakes(alike, actions::found));
    }
    several.show(macro, numbers);
    fill();
    if (focused && !Parts.hasKeys(this)) {
      requestFocus();
    }
  }

  private Optional<Line> open(Routine.Macro macro) {
    return chosen.size() == 1 ? Outline.at(macro.steps(), chosen.getLast()) : Optional.empty();
  }

  /** Puts the rows of the window there, and takes the others away. */
  private void fill() {
    int most = Math.min(rows.size(), most());
    from = Math.clamp(from, 0, rows.size() - most);
    filled = most;
    List<Node> wanted = new ArrayList<>();
    above.setMinHeight(from * ROW_HEIGHT);
    below.setMinHeight((rows.size() - from - most) * ROW_HEIGHT);
    wanted.add(above);
    int last = lastChosen();
    List<Node> there = nodes.show(rows.subList(from, from + most), shown, words, getChildren());
    for (int i = from; i < from + most; i++) {
      wanted.add(there.get(i - from));
      if (i == last) {
        open(rows.get(i), wanted);
      }
    }
    wanted.add(below);
    if (rows.isEmpty()) {
      wanted.add(Parts.wrapped(Ui.text("collect.nosteps"), "soft"));
    }
    Children.follow(
        getChildren(), wanted, n -> n.equals(editor) || n.equals(several) ? OPEN_WEIGHT : 1);
  }

  private int lastChosen() {
    int last = -1;
    for (int i = 0; i < rows.size() && !chosen.isEmpty(); i++) {
      if (rows.get(i) instanceof OutlineRow.Step s && s.chosen()) {
        last = i;
      }
    }
    return last;
  }

  /** What is open below the last chosen line. */
  private void open(OutlineRow row, List<Node> wanted) {
    int depth = ((OutlineRow.Step) row).row().depth();
    Node open = chosen.size() == 1 ? editor : several;
    VBox.setMargin(open, new Insets(0, 0, 0, depth * OutlineRow.INDENT + 40));
    wanted.add(open);
    if (chosen.size() == 1) {
      namesakes.ifPresent(
          n -> {
            VBox.setMargin(n, new Insets(0, 0, 0, depth * OutlineRow.INDENT + 40));
            wanted.add(n);
          });
    }
  }

  // what is seen of it

  /** How many rows have room in what is seen. */
  private int seen() {
    double high = around == null ? 0 : around.getViewportBounds().getHeight();
    return high > 0 ? (int) Math.ceil(high / ROW_HEIGHT) : FIRST_SEEN;
  }

  /**
   * So many rows before the first that is seen are there, and after the last: a third, and some.
   */
  private int spare() {
    return seen() / 3 + 4;
  }

  /** So many rows are there at most, but for those of the chosen line. */
  private int most() {
    return seen() + 2 * spare();
  }

  private void scrolled() {
    if (rows.size() <= filled || !Parts.isSeen(this) || going) {
      return;
    }
    int first = firstSeen();
    int near = spare() / 3;
    boolean upwards = from > 0 && first < from + near;
    boolean downwards = from + filled < rows.size() && first + seen() > from + filled - near;
    if (upwards || downwards) {
      from = Math.clamp(first - spare(), 0, Math.max(0, rows.size() - most()));
      fill();
    }
  }

  /** Which row is about the first that is seen: rows that are not there are taken as usual ones. */
  private int firstSeen() {
    double high = around.getContent().getBoundsInLocal().getHeight();
    double top =
        around.getVvalue() * Math.max(0, high - around.getViewportBounds().getHeight())
            - around.getContent().sceneToLocal(localToScene(0, 0)).getY();
    if (top < above.getHeight()) {
      return (int) Math.max(0, top / ROW_HEIGHT);
    }
    if (top > below.getLayoutY()) {
      return rows.size() - (int) ((getHeight() - top) / ROW_HEIGHT);
    }
    for (int i = from; i < Math.min(from + filled, rows.size()); i++) {
      Node node = nodes.of(rows.get(i));
      if (node != null && node.getBoundsInParent().getMaxY() > top) {
        return i;
      }
    }
    return from;
  }

  /** Scrolls so that the row of a number is seen. */
  void reveal(String number) {
    going = true; // the window stays where the row is until that is where one looks
    rowOf(number).ifPresent(this::scrollTo);
    going = false;
  }

  private Optional<Node> rowOf(String number) {
    for (int i = 0; i < rows.size(); i++) {
      if (rows.get(i).number().equals(number)) {
        if (i < from || i >= from + filled) {
          from = Math.clamp(i - spare(), 0, Math.max(0, rows.size() - most()));
          fill();
        }
        return Optional.ofNullable(nodes.of(rows.get(i)));
      }
    }
    return Optional.empty();
  }

  private void scrollTo(Node row) {
    around.layout();
    Node content = around.getContent();
    double seen = around.getViewportBounds().getHeight();
    double high = content.getBoundsInLocal().getHeight() - seen;
    double at = content.sceneToLocal(row.localToScene(row.getBoundsInLocal())).getMinY();
    double top = around.getVvalue() * Math.max(0, high);
    boolean isSeen = at > top + MARGIN && at < top + seen - ROOM;
    if (high > 0 && !isSeen) {
      around.setVvalue(Math.clamp((at - seen / 3) / high, 0, 1));
    }
  }

  // mouse

  private Optional<OutlineRow> rowAt(Object target) {
    Node node = target instanceof Node n ? n : null;
    while (node != null && !this.equals(node.getParent())) {
      node = node.getParent();
    }
    for (int i = from; node != null && i < Math.min(from + filled, rows.size()); i++) {
      if (node.equals(nodes.of(rows.get(i)))) {
        return Optional.of(rows.get(i));
      }
    }
    return Optional.empty();
  }

  private void clicked(MouseEvent e) {
    rowAt(e.getTarget())
        .filter(OutlineRow::canBeChosen)
        .ifPresent(
            row -> {
              requestFocus();
              keys.clicked(e, row.number());
            });
  }

  /** What is typed into the fields of a step is theirs. */
  private void ifMine(KeyEvent e, Consumer<KeyEvent> does) {
    if (equals(e.getTarget())) {
      does.accept(e);
    }
  }

  private void drags() {
    setOnDragDetected(
        e ->
            rowAt(e.getTarget())
                .filter(r -> r instanceof OutlineRow.Step)
                .ifPresent(
                    row -> {
                      ClipboardContent content = new ClipboardContent();
                      content.putString(row.number());
                      startDragAndDrop(TransferMode.MOVE).setContent(content);
                      e.consume();
                    }));
    setOnDragOver(
        e -> {
          boolean over = rowAt(e.getTarget()).filter(r -> !r.number().isEmpty()).isPresent();
          if (over && e.getDragboard().hasString()) {
            e.acceptTransferModes(TransferMode.MOVE);
            dropHere(e.getTarget());
            e.consume();
          }
        });
    setOnDragExited(e -> dropHere(null));
    setOnDragDropped(
        e ->
            rowAt(e.getTarget())
                .ifPresent(
                    row -> {
                      actions.move(e.getDragboard().getString(), row.number());
                      e.setDropCompleted(true);
                      e.consume();
                    }));
  }

  private void dropHere(Object target) {
    Node over = rowAt(target).map(nodes::of).orElse(null);
    nodes.all().forEach(n -> Styles.set(n, "drop-here", n.equals(over)));
  }

  /** Puts the keys into the first part of the chosen step. */
  void edit() {
    if (getChildren().contains(editor)) {
      editor.edit();
    }
  }
}
